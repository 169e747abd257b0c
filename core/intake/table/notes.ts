/** A text that begins like a footnote or a remark: `(1) …`, `Note: …`, `* …`, `AI = analog input`. */
export const isMarkedNote = (text: string): boolean =>
  /^(\(\d+\)|\[\d+\]|[¹²³⁰-⁹⁽⁾†‡§*﹡]+\s?\w|\d\)\s|notes?\b|remarks?\b|legend\b|source\s*:|see (?=[a-z“"§]))/i.test(text) ||
  /^\w{1,4}\s*=\s*\w/.test(text);

/** A footnote or a remark under a table; long sentences count too. */
export const isNote = (text: string): boolean => isMarkedNote(text) || (text.length > 60 && /[.;]$/.test(text));
