// A source of any kind, opened once and read as often as a person changes what is taken of it. The terminal and the
// browser's worker both come through here, so that they conclude the same.
import type { PDFDocumentProxy } from 'pdfjs-dist';
import {
  decodeText,
  formatOf,
  MOST_PAGES,
  pagesWorthRuling,
  readPages,
  readSheets,
  readShownText,
  sheetsOfHtml,
  shownText,
  textKind,
  type DocumentPage,
  type Proposal,
  type ReadOptions,
  type Sheet,
  type TextKind,
} from '../core/intake';
import { ok, problem, refuse, type Result } from '../core/part';
import { addRules, openPdf, textsOf, type PdfData, type PdfLibrary, type Progress } from './pdf';
import { readWorkbook } from './workbook';

export type SourceKind = 'pdf' | 'workbook' | TextKind;

export interface OpenSource {
  kind: SourceKind;
  /** The text of a source that is text. */
  text?: string;
  sheets?: Sheet[];
  /** The document of a PDF, for drawing its pages, and what stands on them: read once, whoever asks. */
  document?: PDFDocumentProxy;
  pages?(): Promise<DocumentPage[]>;
  read(options: ReadOptions, progress?: Progress): Promise<Result<Proposal>>;
  close(): Promise<void>;
}

/** How each place loads the PDF library: it is large, and only needed for PDF. */
export interface Libraries {
  pdf(): Promise<{ library: PdfLibrary; data: PdfData; more?: object }>;
}

/** Opens a source by its bytes. Refused where it is locked or damaged; whether it holds a pin table shows when it is read. */
export async function openSource(bytes: Uint8Array, libraries: Libraries, file?: string): Promise<Result<OpenSource>> {
  switch (formatOf(bytes)) {
    case 'pdf':
      return openPdfSource(bytes, libraries, file);
    case 'workbook': {
      const book = await readWorkbook(bytes, file);
      if (!book.ok) return book;
      const sheets = book.value;
      return ok({
        kind: 'workbook',
        sheets,
        read: (options) => Promise.resolve(readSheets(sheets, options)),
        close: () => Promise.resolve(),
      });
    }
    default: {
      const text = shownText(decodeText(bytes));
      const kind = textKind(text);
      const sheets = kind === 'html' ? { sheets: sheetsOfHtml(text) } : {};
      return ok({
        kind,
        text,
        ...sheets,
        read: (options) => Promise.resolve(readShownText(text, options)),
        close: () => Promise.resolve(),
      });
    }
  }
}

async function openPdfSource(bytes: Uint8Array, libraries: Libraries, file: string | undefined): Promise<Result<OpenSource>> {
  const { library, data, more } = await libraries.pdf();
  const opened = await openPdf(library, new Uint8Array(bytes), data, more);
  if (!opened.ok) return refuse(problem(`pdf-${opened.why}`, {}, { file }));
  const { document } = opened;
  if (document.numPages > MOST_PAGES) return refuse(problem('pdf-large', { pages: document.numPages, limit: MOST_PAGES }, { file }));
  let texts: Promise<DocumentPage[]> | undefined;
  const pagesRead = (progress?: Progress) => (texts ??= textsOf(document, progress));
  let isRuled = false;
  return ok({
    kind: 'pdf',
    document,
    pages: () => pagesRead(),
    async read(options, progress) {
      const pages = await pagesRead(progress);
      // The rules of the pages that can hold a pin table are fetched once.
      if (!isRuled) await addRules(library, document, pages, pagesWorthRuling(pages));
      isRuled = true;
      const wanted = [options.region?.page, options.page].filter((n) => n !== undefined);
      await addRules(library, document, pages, wanted);
      return readPages(pages, options);
    },
    close: () => document.loadingTask.destroy(),
  });
}
