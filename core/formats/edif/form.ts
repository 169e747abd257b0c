import { ok, problem, refuse, type Result } from '../../part';

/** A form of a file: its keyword and what stands in it; atoms are identifiers and numbers as written. */
export interface Form {
  keyword: string;
  /** Line of its bracket, from 1. */
  line: number;
  items: Item[];
}

export type Item = Form | { atom: string; line: number } | { text: string; line: number };

export const isForm = (item: Item | undefined): item is Form => item !== undefined && 'keyword' in item;

/** Forms nested deeper than this are no symbol library. */
const DEEPEST = 200;
/** The largest file that is read, in characters. */
const LARGEST = 60_000_000;

/**
 * Reads the brackets of an EDIF 2 0 0 file:
 *
 *     (port (rename CS_N "CS#") (direction INPUT))
 *      ^keyword  ^form                            ^ atoms inside
 *
 * Keywords have no case. Refused with the line where a bracket or a quote is missing.
 */
export function readForms(text: string, file?: string): Result<Form> {
  if (text.length > LARGEST)
    return refuse(problem('input-large', { size: Math.round(text.length / 1e5) / 10, limit: LARGEST / 1e6 }, { file }));
  const stack: Form[] = [];
  let root: Form | undefined;
  let line = 1;
  let i = 0;
  const fail = (expected: string, at = line) => refuse(problem('edif-syntax', { expected }, { file, line: at }));
  while (i < text.length) {
    const c = text[i]!;
    if (c === '\n') line++;
    if (c <= ' ' || c === '\uFEFF') i++;
    else if (c === '(') {
      const match = /^\(\s*([A-Za-z&_][\w&]*)/.exec(text.slice(i, i + 300));
      if (!match) return fail('a keyword behind the bracket');
      if (root && stack.length === 0) return fail('the end of the file');
      const form: Form = { keyword: match[1]!.toLowerCase(), line, items: [] };
      stack.at(-1)?.items.push(form);
      root ??= form;
      stack.push(form);
      if (stack.length > DEEPEST) return fail(`no more than ${DEEPEST} brackets in each other`);
      line += match[0].split('\n').length - 1;
      i += match[0].length;
    } else if (c === ')') {
      if (!stack.pop()) return fail('the end of the file');
      i++;
    } else if (c === '"') {
      const end = text.indexOf('"', i + 1);
      if (end < 0) return fail('a closing quote');
      const raw = text.slice(i + 1, end);
      if (stack.length === 0) return fail('(edif …)');
      stack.at(-1)!.items.push({ text: raw.replace(/\r?\n\s*/g, ''), line });
      line += raw.split('\n').length - 1;
      i = end + 1;
    } else {
      const atom = /^[^\s()"]+/.exec(text.slice(i, i + 400))![0];
      if (stack.length === 0) return fail('(edif …)');
      stack.at(-1)!.items.push({ atom, line });
      i += atom.length;
    }
  }
  if (stack.length > 0) return fail('a closing bracket', stack.at(-1)!.line);
  return root?.keyword === 'edif' ? ok(root) : fail('(edif …)', 1);
}

/** The forms of a keyword that stand directly in a form. */
export const formsIn = (form: Form, keyword: string): Form[] => form.items.filter((i): i is Form => isForm(i) && i.keyword === keyword);
export const formIn = (form: Form | undefined, keyword: string): Form | undefined => (form ? formsIn(form, keyword)[0] : undefined);

/** The first atom, the first string, the first whole number of a form. */
export const atomOf = (form: Form | undefined): string | undefined => form?.items.flatMap((i) => ('atom' in i ? [i.atom] : []))[0];
export const textOf = (form: Form | undefined): string | undefined => form?.items.flatMap((i) => ('text' in i ? [i.text] : []))[0];

/** A number: an integer, or `(e mantissa exponent)` in tens. */
export function numberOf(item: Item | undefined): number | undefined {
  if (item === undefined || 'text' in item) return undefined;
  if ('atom' in item) return /^[+-]?\d+$/.test(item.atom) ? Number(item.atom) : undefined;
  if (item.keyword !== 'e') return undefined;
  const [mantissa, exponent] = [numberOf(item.items[0]), numberOf(item.items[1])];
  return mantissa === undefined || exponent === undefined ? undefined : Number(`${mantissa}e${exponent}`);
}

/** The points that stand in a form: `(pt x y)`, directly or in its point list. */
export const pointsOf = (form: Form): [number, number][] =>
  [form, ...formsIn(form, 'pointlist')].flatMap((f) =>
    formsIn(f, 'pt').flatMap((pt): [number, number][] => {
      const [x, y] = [numberOf(pt.items[0]), numberOf(pt.items[1])];
      return x === undefined || y === undefined ? [] : [[x, y]];
    }),
  );
