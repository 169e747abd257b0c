// The cells of a workbook, as the sheet shows them; what they mean is the core's work.
import type { Sheet } from '../core/intake';
import { ok, problem, refuse, type Result } from '../core/part';

const RAISED: Record<string, string> = Object.fromEntries([...'0123456789()'].map((d, i) => [d, '⁰¹²³⁴⁵⁶⁷⁸⁹⁽⁾'[i]!]));

/** Reads all sheets of a workbook. Formulas are never computed and links never followed: the values kept in the file count. */
export async function readWorkbook(bytes: Uint8Array, file?: string): Promise<Result<Sheet[]>> {
  const { read, utils } = await import('@e965/xlsx');
  try {
    const book = read(bytes, { type: 'array', cellFormula: false, cellHTML: true, cellNF: false, cellText: true, sheetStubs: false });
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

/** What the cell shows; raised digits of formatted text, as notes have them, become superscript characters. */
function textOf(cell: { w?: string; v?: unknown; h?: string }): string {
  const shown = cell.w ?? (cell.v === undefined || cell.v === null ? '' : String(cell.v));
  if (typeof cell.h !== 'string' || !cell.h.includes('<sup>')) return shown.trim();
  const raised = cell.h.replace(/<sup>(.*?)<\/sup>/g, (_, inner: string) =>
    [...inner.replace(/<[^>]*>/g, '')].map((c) => RAISED[c] ?? c).join(''),
  );
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
