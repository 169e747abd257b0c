/** Lines that tables are drawn with (Unicode block Box Drawing), and what they are written as otherwise. */
const DRAWN: [sign: RegExp, plain: string][] = [
  [/[\u2502\u2503\u2506\u2507\u250a\u250b\u2551]/g, '|'],
  [/[\u2500\u2501\u2504\u2505\u2508\u2509\u254c\u254d\u2550]/g, '-'],
  [/[\u250c-\u254b\u2552-\u256c]/g, '+'],
];

/** Most texts have none of these marks, which one look at each line tells. */
const MARKED = /[\u2500-\u256c]|^\s*(?:\^|\{\||\|\|)/;

/** The lines of tables in drawn lines, between carets and as wikis mark them, as lines with bars between their cells. */
export function fromMarkup(lines: string[]): string[] {
  if (!lines.some((l) => MARKED.test(l))) return lines;
  const drawn = lines.map((l) => (/[\u2500-\u256c]/.test(l) ? DRAWN.reduce((text, [sign, plain]) => text.replace(sign, plain), l) : l));
  // Headings between carets stand over cells between bars.
  const barred = drawn.map((l) => (/^\s*\^.*\^\s*$/.test(l) ? l.replace(/\^/g, '|') : l));
  if (barred.some((l) => /^\s*\{\|/.test(l))) return fromWiki(barred);
  // Headings between double bars do too.
  return barred.map((l) => (/^\s*\|\|.*\|\|\s*$/.test(l) && !/[^|]\|[^|]/.test(l) ? l.replace(/\|\|/g, '|') : l));
}

/** A wiki's table, `{|` to `|}`, whose rows begin with `|-` and whose cells stand in one line or in a line each. */
function fromWiki(lines: string[]): string[] {
  const out = lines.map(() => '');
  let at = -1;
  let isTable = false;
  lines.forEach((given, i) => {
    const line = given.trim();
    if (/^\{\|/.test(line)) isTable = true;
    else if (/^\|\}/.test(line)) isTable = false;
    else if (!isTable) out[i] = given;
    else if (/^[|!]-/.test(line)) at = -1;
    else if (/^[|!](?!\+)/.test(line)) {
      if (at < 0) at = i;
      // `style="…" | cell`: what stands before a single bar is how the cell looks.
      const cells = line
        .slice(1)
        .split(/\|\||!!/)
        .map((cell) => cell.replace(/^\s*\w+="[^"]*"(?:\s+\w+="[^"]*")*\s*\|(?!\|)/, '').trim());
      out[at] = `${out[at] === '' ? '|' : out[at]} ${cells.join(' | ')} |`;
    }
  });
  return out;
}

/** Signs of a markup text that stand around words or escape a sign in them: `code`, **bold**, ~~struck~~, `A\_B`. */
export const withoutMarks = (text: string): string =>
  !/[`*_~\\]/.test(text)
    ? text
    : text
        .replace(/(`{1,2})([^`]+)\1/g, '$2')
        .replace(/\*\*([^*]+)\*\*/g, '$1')
        .replace(/^__(.+)__$/, '$1')
        .replace(/^~~([^~]+)~~$/, '$1')
        .replace(/\\([\\`*_{}[\]()#+.!|~-])/g, '$1');
