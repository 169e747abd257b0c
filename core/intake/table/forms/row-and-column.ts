import type { GridRow } from '../grid';
import { isOverNumbers } from '../headings';

/** The letters of a row of balls (JEDEC JEP95), or of contacts. */
const LETTERS = /^[A-Z]{1,2}$/;
/** What stands over the two halves of a ball's number. */
const [ROW, COLUMN] = [/^\W*(?:(?:ball|grid|pin) )?row\W*$/i, /^\W*(?:(?:ball|grid|pin) )?col(?:umn)?\W*$/i];

/**
 * A ball by its row and its column, `B` and `12` under `Row` and `Col`: the number stands whole under the first of them, which is a
 * column of balls then. Tables without such columns are given as they are.
 */
export function ballsOfHalves(cells: readonly string[], rows: GridRow[]): { cells: readonly string[]; rows: GridRow[] } {
  const [letter, figure] = [cells.findIndex((c) => ROW.test(c)), cells.findIndex((c) => COLUMN.test(c))];
  // Beside numbers they are of something else, the keys of a keyboard.
  if (letter < 0 || figure < 0 || rows.length === 0 || cells.some(isOverNumbers)) return { cells, rows };
  const halves = rows.filter((r) => LETTERS.test(r.cells[letter]?.trim() ?? '') && /^\d{1,2}$/.test(r.cells[figure]?.trim() ?? ''));
  if (halves.length < 0.8 * rows.length) return { cells, rows };
  const known = new Set(halves);
  const whole = (r: GridRow) => r.cells.map((c, i) => (i === letter ? `${c.trim()}${r.cells[figure]!.trim()}` : i === figure ? '' : c));
  return {
    cells: cells.map((c, i) => (i === letter ? 'Ball' : c)),
    rows: rows.map((r) => (known.has(r) ? { ...r, cells: whole(r) } : r)),
  };
}
