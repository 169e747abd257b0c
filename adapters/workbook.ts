// The cells of a workbook, as the sheet shows them; what they mean is the core's work.
import { unzipSync, zipSync } from 'fflate';
import { raise, type Sheet } from '../core/intake';
import { ok, problem, refuse, type Result } from '../core/part';

/** Reads all sheets of a workbook. Formulas are never computed and links never followed: the values kept in the file count. */
export async function readWorkbook(bytes: Uint8Array, file?: string): Promise<Result<Sheet[]>> {
  const { read, utils } = await import('@e965/xlsx');
  try {
    const book = read(unpacked(bytes), {
      type: 'array',
      cellFormula: false,
      cellHTML: true,
      cellNF: false,
      cellText: true,
      sheetStubs: false,
    });
    const sheets = book.SheetNames.map((name): Sheet => {
      const sheet = book.Sheets[name] ?? {};
      const cells = Object.entries(sheet).flatMap(([ref, cell]) => {
        if (ref.startsWith('!')) return [];
        const { r, c } = utils.decode_cell(ref);
        const text = textOf(cell as { w?: string; v?: unknown; h?: string });
        return text === '' ? [] : [{ row: r, col: c, text }];
      });
      const merges = (sheet['!merges'] ?? []).map(({ s, e }) => ({ row: s.r, col: s.c, rows: e.r - s.r + 1, cols: e.c - s.c + 1 }));
      return { name, cells, merges };
    });
    return ok(sheets);
  } catch (error) {
    const locked = /password|encrypt/i.test((error as Error).message);
    return refuse(problem(locked ? 'sheet-encrypted' : 'sheet-broken', {}, { file }));
  }
}

/** Unpacked, a workbook of more than this is none that a person made. */
const MOST_MB = 300;

/**
 * The archive with its entries unpacked: a damaged one is found out here, where it ends in an error, and not in the
 * workbook library, whose own unpacking may not end. Old binary workbooks are no archives and stay as they are.
 */
function unpacked(bytes: Uint8Array): Uint8Array {
  if (bytes[0] !== 0x50 || bytes[1] !== 0x4b) return bytes;
  let total = 0;
  const entries = unzipSync(bytes, {
    filter: ({ originalSize }) => {
      total += originalSize;
      if (total > MOST_MB * 1e6) throw new Error('too large');
      return true;
    },
  });
  return zipSync(entries, { level: 0 });
}

/** What the cell shows; raised digits of formatted text, as notes have them, become superscript characters. */
function textOf(cell: { w?: string; v?: unknown; h?: string }): string {
  const shown = cell.w ?? (cell.v === undefined || cell.v === null ? '' : String(cell.v));
  if (typeof cell.h !== 'string' || !cell.h.includes('<sup>')) return shown.trim();
  const raised = cell.h.replace(/<sup>(.*?)<\/sup>/g, (_, inner: string) => raise(inner.replace(/<[^>]*>/g, '')));
  return raised
    .replace(/<br\s*\/?>/g, '\n')
    .replace(/<[^>]*>/g, '')
    .replace(/&#x([0-9a-f]+);/gi, (_, hex: string) => String.fromCodePoint(parseInt(hex, 16)))
    .replace(/&lt;/g, '<')
    .replace(/&gt;/g, '>')
    .replace(/&quot;/g, '"')
    .replace(/&apos;/g, "'")
    .replace(/&amp;/g, '&')
    .trim();
}
