// Text runs and ruled lines of a PDF, taken from pdf.js. Finding and understanding tables is the core's work; this file
// only puts what pdf.js gives into the core's plain shapes, in the same way in the browser's worker and in the terminal.
import type * as PdfJs from 'pdfjs-dist';
import type { PDFDocumentProxy, PDFPageProxy } from 'pdfjs-dist';
import type { DocumentPage, Rule, Run } from '../core/intake';

/** What is needed of the library: the terminal and the worker load it each in their own way. */
export type PdfLibrary = Pick<typeof PdfJs, 'getDocument' | 'OPS'>;

export type OpenPdf = { ok: true; document: PDFDocumentProxy } | { ok: false; why: 'encrypted' | 'broken' };

/** Where the library's own data stands: character maps and standard fonts. */
export interface PdfData {
  cMapUrl: string;
  standardFontDataUrl: string;
}

/** Opens a document. Scripts, forms and links in it are never looked at. */
export async function openPdf(library: PdfLibrary, bytes: Uint8Array, data: PdfData, more: object = {}): Promise<OpenPdf> {
  const task = library.getDocument({
    data: bytes,
    ...data,
    cMapPacked: true,
    isEvalSupported: false,
    enableXfa: false,
    disableFontFace: true,
    useSystemFonts: false,
    stopAtErrors: false,
    verbosity: 0,
    ...more,
  });
  try {
    return { ok: true, document: await task.promise };
  } catch (error) {
    await task.destroy();
    return { ok: false, why: (error as Error).name === 'PasswordException' ? 'encrypted' : 'broken' };
  }
}

/** The text of one page; one that is damaged has none, and says so. */
async function pageText(document: PDFDocumentProxy, number: number): Promise<DocumentPage> {
  try {
    const page = await document.getPage(number);
    const { width, height, transform } = page.getViewport({ scale: 1 });
    const { items } = await page.getTextContent({ disableNormalization: false });
    const runs = items.flatMap((item) => ('str' in item && item.str !== '' ? [runOf(item, transform as Matrix)] : []));
    return { number, width, height, runs };
  } catch {
    return { number, width: 612, height: 792, runs: [], isDamaged: true };
  }
}

type Matrix = [number, number, number, number, number, number];

const times = (a: Matrix, b: Matrix): Matrix => [
  a[0] * b[0] + a[2] * b[1],
  a[1] * b[0] + a[3] * b[1],
  a[0] * b[2] + a[2] * b[3],
  a[1] * b[2] + a[3] * b[3],
  a[0] * b[4] + a[2] * b[5] + a[4],
  a[1] * b[4] + a[3] * b[5] + a[5],
];

function runOf(item: { str: string; transform: number[]; width: number; height: number; fontName: string }, view: Matrix): Run {
  const m = times(view, item.transform as Matrix);
  const angle = Math.atan2(m[1], m[0]);
  const turns = (((Math.round(angle / (Math.PI / 2)) % 4) + 4) % 4) as Run['turns'];
  return { text: item.str, x: m[4], y: m[5], width: item.width, size: Math.hypot(m[2], m[3]) || item.height, turns, face: item.fontName };
}

/** Filled boxes up to this many points thick are drawn lines. */
const THIN = 2.5;
/** How far a line may lean, in points, and still run along an axis. */
const LEAN = 0.6;

/** The ruled lines of one page, drawn as strokes or as thin filled boxes. */
export async function pageRules(library: PdfLibrary, document: PDFDocumentProxy, number: number): Promise<Rule[]> {
  try {
    const page = await document.getPage(number);
    const rules = await rulesOf(library, page);
    page.cleanup();
    return rules;
  } catch {
    return [];
  }
}

async function rulesOf({ OPS }: PdfLibrary, page: PDFPageProxy): Promise<Rule[]> {
  const { fnArray, argsArray } = await page.getOperatorList();
  const rules: Rule[] = [];
  let matrix = page.getViewport({ scale: 1 }).transform as Matrix;
  const stack: Matrix[] = [];
  fnArray.forEach((operator: number, i: number) => {
    const args = argsArray[i] as unknown[];
    if (operator === OPS.save) stack.push(matrix);
    else if (operator === OPS.restore) matrix = stack.pop() ?? matrix;
    else if (operator === OPS.transform) matrix = times(matrix, args as unknown as Matrix);
    else if (operator === OPS.paintFormXObjectBegin) {
      stack.push(matrix);
      if (args[0]) matrix = times(matrix, args[0] as Matrix);
    } else if (operator === OPS.paintFormXObjectEnd) matrix = stack.pop() ?? matrix;
    else if (operator === OPS.constructPath) {
      const [paint, [path]] = args as [number, [Float32Array | null]];
      if (path) addPath(path, matrix, STROKES(OPS).includes(paint), FILLS(OPS).includes(paint), rules);
    }
  });
  return rules;
}

const STROKES = (OPS: PdfLibrary['OPS']): number[] => [
  OPS.stroke,
  OPS.closeStroke,
  OPS.fillStroke,
  OPS.eoFillStroke,
  OPS.closeFillStroke,
  OPS.closeEOFillStroke,
];
const FILLS = (OPS: PdfLibrary['OPS']): number[] => [OPS.fill, OPS.eoFill, OPS.fillStroke, OPS.eoFillStroke];

type Point = [number, number];
/** pdf.js's path codes with how many numbers follow each: move, line, curve, quadratic curve, close. */
const NUMBERS = [2, 2, 6, 4, 0];

/** Takes the straight parts of a path that run along an axis; curves are no table lines. */
function addPath(path: Float32Array, matrix: Matrix, stroked: boolean, filled: boolean, rules: Rule[]): void {
  const map = (x: number, y: number): Point => [matrix[0] * x + matrix[2] * y + matrix[4], matrix[1] * x + matrix[3] * y + matrix[5]];
  let figure: Point[] = [];
  let curved = false;
  const finish = () => {
    if (!curved && filled && !stroked) addThinBox(figure, rules);
    else if (!curved && stroked && isThinBox(figure)) addThinBox(figure, rules);
    else if (stroked) for (let i = 1; i < figure.length; i++) addLine(figure[i - 1]!, figure[i]!, rules);
    figure = [];
    curved = false;
  };
  for (let i = 0; i < path.length;) {
    const code = path[i]!;
    const count = NUMBERS[code];
    if (count === undefined) return;
    const last = map(path[i + count - 1]!, path[i + count]!);
    if (code === 0) {
      finish();
      figure = [last];
    } else if (code === 4) {
      if (figure[0]) figure.push(figure[0]);
    } else {
      if (code > 1) curved = true;
      figure.push(last);
    }
    i += 1 + count;
  }
  finish();
}

const extent = (figure: readonly Point[]) => ({
  x1: Math.min(...figure.map((p) => p[0])),
  y1: Math.min(...figure.map((p) => p[1])),
  x2: Math.max(...figure.map((p) => p[0])),
  y2: Math.max(...figure.map((p) => p[1])),
});

const isThinBox = (figure: readonly Point[]): boolean => {
  if (figure.length < 4) return false;
  const { x1, y1, x2, y2 } = extent(figure);
  return Math.min(x2 - x1, y2 - y1) <= THIN && Math.max(x2 - x1, y2 - y1) > 2 * THIN;
};

/** A thin filled box is a line along its middle; cells of a filled table are none. */
function addThinBox(figure: readonly Point[], rules: Rule[]): void {
  if (figure.length < 3) return;
  const { x1, y1, x2, y2 } = extent(figure);
  if (y2 - y1 <= THIN && x2 - x1 > y2 - y1) rules.push({ x1, x2, y1: (y1 + y2) / 2, y2: (y1 + y2) / 2 });
  else if (x2 - x1 <= THIN && y2 - y1 > x2 - x1) rules.push({ x1: (x1 + x2) / 2, x2: (x1 + x2) / 2, y1, y2 });
}

function addLine([ax, ay]: Point, [bx, by]: Point, rules: Rule[]): void {
  if (Math.abs(ay - by) <= LEAN && Math.abs(ax - bx) > 1)
    rules.push({ x1: Math.min(ax, bx), x2: Math.max(ax, bx), y1: (ay + by) / 2, y2: (ay + by) / 2 });
  else if (Math.abs(ax - bx) <= LEAN && Math.abs(ay - by) > 1)
    rules.push({ x1: (ax + bx) / 2, x2: (ax + bx) / 2, y1: Math.min(ay, by), y2: Math.max(ay, by) });
}

/** How a long document is told about while it is read: pages done, of how many. */
export type Progress = (done: number, of: number) => void;

/** The text of all pages, without their rules. */
export async function textsOf(document: PDFDocumentProxy, progress?: Progress): Promise<DocumentPage[]> {
  const pages: DocumentPage[] = [];
  for (let number = 1; number <= document.numPages; number++) {
    pages.push(await pageText(document, number));
    progress?.(number, document.numPages);
  }
  return pages;
}

/** Fetches the rules of pages that have none yet. */
export async function addRules(
  library: PdfLibrary,
  document: PDFDocumentProxy,
  pages: DocumentPage[],
  numbers: readonly number[],
): Promise<void> {
  for (const number of numbers) {
    const page = pages[number - 1];
    if (page && !page.rules) page.rules = await pageRules(library, document, number);
  }
}
