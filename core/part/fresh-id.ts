/** The first of `prefix1`, `prefix2`, … that is not taken. Ids are counted, not random, so the same work gives the same file. */
export function freshId(prefix: string, taken: ReadonlySet<string>): string {
  let n = taken.size + 1;
  while (taken.has(`${prefix}${n}`)) n++;
  return `${prefix}${n}`;
}

/** Spreadsheet-like unit labels: 0 is A, 25 is Z, 26 is AA. */
export function unitLabel(index: number): string {
  const letter = String.fromCharCode(65 + (index % 26));
  return index < 26 ? letter : unitLabel(Math.floor(index / 26) - 1) + letter;
}
