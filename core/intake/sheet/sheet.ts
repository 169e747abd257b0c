/** A sheet of a workbook as plain data. Rows and columns count from 0; texts are as the sheet shows them. */
export interface Sheet {
  name: string;
  cells: { row: number; col: number; text: string }[];
  /** Merged cells, by their first cell and their extent. */
  merges: { row: number; col: number; rows: number; cols: number }[];
}

/** The address of a cell as ISO 29500-1, 18.3.1.4 writes it: `B7`. */
export const cellRef = (row: number, col: number): string => {
  let letters = '';
  for (let n = col + 1; n > 0; n = Math.floor((n - 1) / 26)) letters = String.fromCharCode(65 + ((n - 1) % 26)) + letters;
  return `${letters}${row + 1}`;
};
