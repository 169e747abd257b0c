import { filled, type GridRow } from './grid';
import { readCountedCell, type NumberCell } from './numbers';

/** What a row is read to, as far as lists of numbers over several rows need it. */
interface Listed {
  rows: GridRow[];
  numbers: { packageName: string; text: string; cell: NumberCell }[];
}

/** `12-15` alone below `10,`: the list of the row above goes on. */
export const goesOnWithNumbers = (entry: Listed | undefined, row: GridRow, numbers: readonly number[]): boolean =>
  entry !== undefined &&
  filled(row).length === numbers.filter((i) => row.cells[i]?.trim()).length &&
  numbers.every((i, k) => !row.cells[i]?.trim() || goesOnBelow(entry.numbers[k]!.text, row.cells[i]!));

/** A list that is open at its end, or one of several balls between blanks over another such. */
const goesOnBelow = (above: string, below: string): boolean =>
  /[,;&]$|\s(?:and|to)$/.test(above) || (SEVERAL_BALLS.test(above.trim()) && ONE_OR_MORE_BALLS.test(below.trim()));
const SEVERAL_BALLS = /^[A-Z]{1,2}\d{1,2}(?: [A-Z]{1,2}\d{1,2}){2,}$/;
const ONE_OR_MORE_BALLS = /^[A-Z]{1,2}\d{1,2}(?: [A-Z]{1,2}\d{1,2})*$/;

/** `1, 2, 14,` alone above `27, 40 | GND`: the list of the row below begins there. */
export const areNumbersAhead = (row: GridRow, numbers: readonly number[]): boolean =>
  numbers.length === 1 && filled(row).length === 1 && /^[A-Z\d][^a-z]*,$/.test(row.cells[numbers[0]!]?.trim() ?? '');

/** Puts the numbers of such a row before those of the row that has its name. */
export function putBefore(entry: Listed, ahead: GridRow, numbers: readonly number[]): void {
  const [own] = entry.numbers;
  const text = `${ahead.cells[numbers[0]!]!.trim()} ${own!.text}`;
  entry.numbers = [{ ...own!, text, cell: readCountedCell(text) }];
  entry.rows.push(ahead);
}

/** Puts the numbers of a row that goes on behind those of the row above. */
export function addNumbers(entry: Listed, row: GridRow, numbers: readonly number[]): void {
  entry.rows.push(row);
  entry.numbers = entry.numbers.map((own, k) => {
    const text = `${own.text} ${row.cells[numbers[k]!]?.trim() ?? ''}`.trim();
    return { ...own, text, cell: readCountedCell(text) };
  });
}
