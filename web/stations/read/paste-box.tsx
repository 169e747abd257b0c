import { useState } from 'react';
import { isHtmlTable } from '../../../core/intake';
import { Button } from '../../ui/button';

interface Props {
  start: string;
  onText: (text: string, name?: string) => void;
  onChoose: () => void;
  disabled: boolean;
}

/** Where a pin table comes in: pasted, typed, dropped or chosen. A paste is read at once. */
export function PasteBox({ start, onText, onChoose, disabled }: Props) {
  const [text, setText] = useState(start);
  return (
    <div className="mx-auto flex h-full max-w-3xl flex-col gap-3 px-6 pt-4 pb-8">
      <h2 className="text-lg font-semibold">Bring the source as it is</h2>
      <p className="text-muted">
        Drop the datasheet anywhere here: PDF, workbook, BSDL, IBIS or text. Or paste the pin table from a page or a spreadsheet. The table
        is found and its columns understood; every cell keeps its place in the source.
      </p>
      <label htmlFor="paste-box" className="sr-only">
        Pin table
      </label>
      <textarea
        id="paste-box"
        value={text}
        disabled={disabled}
        spellCheck={false}
        placeholder={'Pin  Name   Type  Description\n1    AIN1+  AI    Positive bridge input\n2    AIN1-  AI    Negative bridge input\n…'}
        onChange={(e) => setText(e.target.value)}
        onPaste={(e) => {
          // Spreadsheets and browsers put the cells on the clipboard too: they say more than the text does.
          const html = e.clipboardData.getData('text/html');
          if (text.trim() === '' && isHtmlTable(html)) {
            e.preventDefault();
            return onText(html, 'pasted table');
          }
          const pasted = e.clipboardData.getData('text/plain');
          if (text.trim() === '' && pasted.includes('\n')) {
            e.preventDefault();
            // A text too large to be shown is refused with its reason; it need not pass through the field.
            setText(pasted.length > 500_000 ? '' : pasted);
            onText(pasted);
          }
        }}
        className="min-h-52 flex-1 resize-none rounded-lg border border-line p-3 font-mono text-[13px] whitespace-pre"
      />
      <div className="flex gap-2">
        <Button tone="main" disabled={disabled || text.trim() === ''} onClick={() => onText(text)}>
          Read the table
        </Button>
        <Button disabled={disabled} onClick={onChoose}>
          Choose a file…
        </Button>
      </div>
    </div>
  );
}
