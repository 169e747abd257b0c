/** Row letters of ball grids: the alphabet without I, O, Q, S, X and Z (JEDEC JEP95), then AA, AB, … */
const LETTERS = 'ABCDEFGHJKLMNPRTUVWY';

/** The letters of a row, counted from 0: A, B, …, Y, AA, AB, … */
export const rowLetters = (index: number): string =>
  index < LETTERS.length ? LETTERS[index]! : rowLetters(Math.floor(index / LETTERS.length) - 1) + LETTERS[index % LETTERS.length]!;

/** The row that letters name, counted from 0; -1 where one of them is no row letter. */
export const rowNumber = (letters: string): number =>
  [...letters].some((letter) => !LETTERS.includes(letter))
    ? -1
    : [...letters].reduce((row, letter) => (row + 1) * LETTERS.length + LETTERS.indexOf(letter), -1);
