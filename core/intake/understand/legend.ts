import { isTypeCode } from './type-codes';

/**
 * Type codes as the document itself explains them: `I = input, O = output, P = power`. Keys are upper case without blanks.
 * Only short codes before an equals sign, a colon or a dash count, so that prose is not taken for a legend.
 */
export function readLegend(lines: readonly string[]): Map<string, string> {
  const legend = new Map<string, string>();
  for (const line of lines) {
    // An arrow shows a way only to one who knows which end is the part.
    for (const [, arrow = '', words = ''] of line.matchAll(/([←→])\s*[=:–]?\s*([A-Za-z][A-Za-z /-]{2,40})/g))
      legend.set(
        arrow,
        words
          .trim()
          .replace(/^into\b/i, 'input,')
          .replace(/^out of\b/i, 'output,'),
      );
    const entries = [...line.matchAll(/(?:^|[\s,;:(])([A-Z][A-Z0-9/]{0,5})\s*[=:–]\s*([A-Za-z][A-Za-z /-]*(?:\([^)]{0,80}\))?)/g)];
    const equals = [...line.matchAll(/=/g)].length;
    // `DI digital input, DO digital output, PWR supply`: a list of nothing else.
    const items = line.split(/\s*[,;.]\s*/).filter((item) => item !== '');
    const listed = items.map((item) => /^([A-Z][A-Z0-9/]{0,5}) ([a-z][a-z /-]{2,60})$/.exec(item));
    const codes = listed.flatMap((item) => item?.[1] ?? []);
    if (codes.length >= Math.max(2, listed.length - 2) && codes.filter(isTypeCode).length > 1)
      for (const item of listed) if (item) legend.set(item[1]!, wordsOf(item[2]!));
    // One lone `X: word` is a remark; two and more, or an equals sign, are a legend.
    if (entries.length < 2 && equals === 0) continue;
    for (const [, code = '', words = ''] of entries) legend.set(code.replace(/\s/g, ''), wordsOf(words));
  }
  return legend;
}

/** The words of a code, without the one that leads to the next. */
const wordsOf = (text: string): string => text.trim().replace(/\s+(and|or)$/, '');

/** A row of a legend's table, `I | Input pin`, as a legend's line; none where the cells are no code with its words. */
export function legendLine(cells: readonly string[]): string[] {
  const [code, words] = cells.slice(-2).map((c) => c.replace(/\s+/g, ' ').trim());
  // A row of three begins with a signal's name as often: `VREF | O | Reference output`.
  const isBare = cells.length === 2 || (cells.length === 3 && !/^[A-Z][A-Z0-9_+\-−/#]*$/.test(cells[0]!.trim()));
  const isEntry = isBare && code && words && /^[A-Z][A-Z0-9/]{0,5}$/.test(code) && /^[A-Za-z]/.test(words);
  return isEntry ? [`${code} = ${words}`] : [];
}
