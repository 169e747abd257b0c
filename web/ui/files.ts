import { decodeText, isHtmlTable } from '../../core/intake';

/** Hands a file to the person through the browser's own saving. */
export function download(name: string, data: string | Uint8Array, type: string): void {
  const url = URL.createObjectURL(new Blob([typeof data === 'string' ? data : new Uint8Array(data)], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

export const readFileBytes = async (file: File): Promise<Uint8Array> => new Uint8Array(await file.arrayBuffer());
export const readFileText = async (file: File): Promise<string> => decodeText(await readFileBytes(file));

/** A table on the clipboard; spreadsheets and browsers put the cells there too, and they say more than the text does. */
export function pastedTable(data: DataTransfer): { name: string; text: string } | undefined {
  const [html, text] = [data.getData('text/html'), data.getData('text/plain')];
  if (isHtmlTable(html)) return { name: 'pasted table', text: html };
  return text.includes('\n') ? { name: 'pasted text', text } : undefined;
}

/** Asks the person for files. Empty where they change their mind. */
export function chooseFiles(accept: string, multiple = false): Promise<File[]> {
  return new Promise((resolve) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = accept;
    input.multiple = multiple;
    input.onchange = () => resolve([...(input.files ?? [])]);
    input.oncancel = () => resolve([]);
    input.click();
  });
}
