/** Raised digits and brackets, as notes have them, as Unicode's superscript characters. */
export const RAISED: Readonly<Record<string, string>> = Object.fromEntries([...'0123456789()'].map((d, i) => [d, '⁰¹²³⁴⁵⁶⁷⁸⁹⁽⁾'[i]!]));

/** A text's superscript characters; what has none stays as it is. */
export const raise = (text: string, known: Readonly<Record<string, string>> = RAISED): string =>
  [...text].map((c) => known[c] ?? c).join('');
