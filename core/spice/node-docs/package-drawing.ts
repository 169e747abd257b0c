import type { Comment } from '../cards';
import { countOf, tidy, type Found, type Names } from './found';

/** A row of a package drawn in characters: its left and its right lead, by number and name. */
type Leads = [number: string, name: string][];

/**
 * A package drawn with bars, `OUT1 1|    |8 VCC` and `1 -| OUT1   VCC |- 8`: where the nodes are called by the package's
 * numbers, its names are theirs. Only whole: each row has its leads, and the rows together name most of the nodes.
 */
export function packageDrawing(comments: readonly Comment[], byName: Names): Found {
  const rows = comments.flatMap(({ text, line }) => {
    // What is not connected has no node.
    const leads = leadsOf(text).filter(([number, name]) => byName.has(number) || !/^n\.?c\.?$/i.test(name));
    return leads.length > 0 && leads.every(([number]) => byName.has(number)) ? [{ leads, line }] : [];
  });
  const found = rows.flatMap(({ leads, line }) =>
    leads.map(([number, name]): Found[number] => [byName.get(number)!, { doc: tidy(name), line }]),
  );
  const isWhole = new Set(found.map(([node]) => node)).size === found.length && found.length >= Math.max(3, countOf(byName) * 0.6);
  return isWhole ? found : [];
}

/** The leads of one row, the number beside the bar of its side or beyond its name; none where it is no such row. */
function leadsOf(text: string): Leads {
  const row = text.trim().replace(/(?:\s|(?<=\d))-+\|/g, ' |').replace(/\|-+(?=\s|\d)/g, '| '); // prettier-ignore
  if (!/^[^|]*\|[^|]*\|[^|]*$/.test(row)) return [];
  const words = row.split(/[|\s]+/).filter((w) => w !== '');
  const isNumber = (w: string | undefined) => w !== undefined && /^\d{1,2}$/.test(w);
  const isName = (w: string | undefined) => w !== undefined && /[A-Za-z+-]/.test(w);
  if (words.length === 2)
    return isNumber(words[1]) && isName(words[0]) ? [[words[1]!, words[0]!]] : isNumber(words[0]) && isName(words[1]) ? [[words[0]!, words[1]!]] : []; // prettier-ignore
  if (words.length !== 4) return [];
  const [a, b, c, d] = words as [string, string, string, string];
  if (isName(a) && isNumber(b) && isNumber(c) && isName(d)) return [[b, a], [c, d]]; // prettier-ignore
  if (isNumber(a) && isName(b) && isName(c) && isNumber(d)) return [[a, b], [d, c]]; // prettier-ignore
  return [];
}
