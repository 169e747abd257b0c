import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { readPdf, type PdfLibrary } from '../adapters/pdf';
import { readWorkbook } from '../adapters/workbook';
import { decodeText, formatOf, readSheets, readSourceText, type Proposal, type ReadOptions } from '../core/intake';
import type { Result } from '../core/part';
import { readBytes } from './files';

const require = createRequire(import.meta.url);

/** Reads a source of any kind, told by its first bytes. The libraries for PDF and workbooks are loaded when they are needed. */
export async function readSource(path: string, options: ReadOptions): Promise<Result<Proposal>> {
  const bytes = readBytes(path);
  const withFile = { ...options, file: path };
  switch (formatOf(bytes)) {
    case 'pdf': {
      const { library, data } = await pdfLibrary();
      return readPdf(library, new Uint8Array(bytes), data, withFile);
    }
    case 'workbook': {
      const book = await readWorkbook(bytes, path);
      return book.ok ? readSheets(book.value, withFile) : book;
    }
    default:
      return readSourceText(decodeText(bytes), withFile);
  }
}

async function pdfLibrary() {
  // The library looks for drawing classes that only rendering needs, and says so on standard output where there are none.
  for (const name of ['DOMMatrix', 'ImageData', 'Path2D']) (globalThis as Record<string, unknown>)[name] ??= class {};
  const log = console.log;
  const warn = console.warn;
  console.log = console.warn = () => {};
  try {
    const library = (await import('pdfjs-dist/legacy/build/pdf.mjs')) as unknown as PdfLibrary;
    const folder = dirname(require.resolve('pdfjs-dist/package.json'));
    const url = (name: string) => `${join(folder, name)}/`;
    return { library, data: { cMapUrl: url('cmaps'), standardFontDataUrl: url('standard_fonts') } };
  } finally {
    console.log = log;
    console.warn = warn;
  }
}
