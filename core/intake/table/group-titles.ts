import type { Proposal, Terminal } from '../proposal';
import { countedIn, packageIn } from './headings';

/** `Table 5.` and `4.2` before a title; in `3.3 V supplies` the figure is of the title. */
const NUMBER =
  /^(?:(?:table|tab\.)\s*[A-Z]?\d[\d.–-]*\s*[.:–—-]?\s*(?=\S)|\d{1,2}(?:\.\d{1,2})+[.)]?\s+(?=[A-Z])(?!(?:[munkgµ]?(?:V|A|W|Hz|m|bit|bps|b)|VDC|VAC)\b))/i;
/** `2.` before a title, and the signs of a heading. */
const [COUNT, SIGNS] = [/^\d{1,2}(?:[.)]\s+|\s+(?=[A-Z][a-z]))/, /^[#*=\s]+/];
/** `(continued)` behind a title. */
const BEHIND = /[\s:,*=#]*(?:\(?(?:continued|cont'?d\.?)\)?)?[\s:*=#]*$/i;
/** What every table of a pinout is called: `Pin functions`, `Signal names and descriptions`. */
const OF_ANY =
  /(?:^|\s+)(?:pin|signal|terminal|ball|lead|contact)?s?(?:\s+(?:and\s+)?(?:function|description|assignment|definition|name|number)s?)*$/i;
/** A part's name: `KX1042`. */
const OF_PART = /^[A-Z]{1,5}\d{3,}\S*$/;
/** What stands at the edge of each page: `page 2 of 3`, `KX1042 data sheet`. */
const AT_EDGE = /^(?:page )?\d{1,4}(?: ?(?:of|\/) ?\d{1,4})?$|\bdata ?sheets?\b/i;
const LONGEST = 48;
/** So many numbers stand twice by mistake, and no more. */
const FEW_TWICE = 0.05;

/** True for a line that stands at the edge of a page, and is none of its text. */
export const isAtEdge = (line: string): boolean => AT_EDGE.test(line);

/** A title without the number of its table or section. */
export const withoutNumber = (title: string): string => title.replace(NUMBER, '');

/**
 * The group that the title over one of several tables names, as printed: `Serial port pins` of `Table 5. Serial port pins`.
 * Undefined for a title that could stand over any pinout, names a package or a part, or is a sentence.
 */
export function groupOfTitle(title: string | undefined): string | undefined {
  if (title === undefined || title.length > 2 * LONGEST) return undefined;
  const whole = title.replace(SIGNS, '');
  const counted = withoutNumber(whole);
  const bare = (counted === whole ? whole.replace(COUNT, '') : counted).replace(BEHIND, '').trim();
  const of = bare.replace(OF_ANY, '').trim();
  const isTitle = /^[A-Z\d][^;]*[^.,;]$/.test(of) && /[A-Za-z]{2}/.test(of) && bare.length <= LONGEST && bare.split(/\s+/).length <= 7;
  return isTitle && packageIn(of) === undefined && countedIn(of) === undefined && !OF_PART.test(of) && !isAtEdge(of) ? bare : undefined;
}

/**
 * Gives the terminals of each of several tables the group that its title names, where the tables are parts of one pinout: hardly a
 * number stands in two of them, and at least two are called differently. Groups that stand in a table itself stay.
 */
export function groupByTitles(tables: readonly { proposal: Proposal; title: string | undefined }[]): void {
  const read = tables.map((t) => t.proposal);
  const groups = tables.map((t) => groupOfTitle(t.title));
  if (new Set(groups.filter((g) => g !== undefined)).size < 2) return;
  // A package in which a table has nothing is none of it.
  const shared = read[0]!.packages.find(({ name }) => read.every((p) => p.packages.some((q) => q.name === name)));
  if (!shared) return;
  const numbers = read.flatMap((p) => p.terminals.flatMap((t) => t.numbers[shared.name] ?? []));
  if (numbers.length - new Set(numbers).size > FEW_TWICE * numbers.length) return;
  // A title within a table holds from its own row on.
  const isOpen = (t: Terminal) => t.group === undefined || t.because['group'] !== undefined;
  for (const [i, { terminals }] of read.entries()) if (groups[i] !== undefined) give(terminals.filter(isOpen), groups[i]);
}

/** A group that the source says, in place of one that names or words suggested. */
function give(terminals: readonly Terminal[], group: string): void {
  for (const t of terminals) {
    t.group = group;
    delete t.because['group'];
  }
}
