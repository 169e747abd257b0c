/** A footnote or a remark under a table. */
export const isNote = (text: string): boolean =>
  /^(\(\d+\)|\[\d+\]|[¹²³⁰-⁹⁽⁾†‡§*]+\s?\w|\d\)\s|notes?\b|remarks?\b|legend\b|source\b|see\b)/i.test(text) ||
  (text.length > 60 && /[.;]$/.test(text)) ||
  /^\w{1,4}\s*=\s*\w/.test(text);
