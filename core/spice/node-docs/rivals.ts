import type { Comment } from '../cards';
import { rolesOf, shares } from '../roles';
import { contradict, isOfPackage, tellsOf, type Found } from './found';

/** What a comment lists of nodes. */
export interface Listed {
  comment: Comment;
  found: Found;
}

interface List {
  text: string;
  lines: number[];
  found: Found;
  /** What it has words for. */
  nodes: Set<string>;
  /** The roles of its words, by node, and all of them; worked out where it is held against others. */
  roles?: { of: ReadonlyMap<string, ReadonlySet<string>>; all: ReadonlySet<string> };
}

/** More lists than this over one card are held against each other by nobody. */
const MOST_LISTS = 40;

/** A row that is counted: `pin 3:`, `(3)` and `3.` */
export const COUNTED = /^\s*(?:(?:pin|lead|terminal)\s*)?[(#]?(\d{1,2})\b/i;

/**
 * The lines of lists that another list contradicts: the one about the model counts, else the one that has all nodes where
 * the other has some of them, and none where neither says so: one of them counts the package's pins.
 */
export function linesOfRivals(
  listed: readonly Listed[],
  nodes: readonly string[],
  textAt: ReadonlyMap<number, string>,
): ReadonlySet<number> {
  const lists = asLists(listed, textAt);
  const first = lists.slice(0, MOST_LISTS);
  const known = new Set(nodes);
  const isAll = ({ found }: List) => found.length >= nodes.length;
  const countAt = (line: number) => Number(COUNTED.exec(textAt.get(line) ?? '')?.[1] ?? NaN);
  // Rows that are counted up, and the next of which is no node, count the leads of the package.
  const isCounted = ({ lines: [line = 0, ...more] }: List) =>
    more.length === 0 && [-1, 1].some((step) => countAt(line + step) === countAt(line) + step && !known.has(String(countAt(line + step))));
  const isBeaten = (list: List, by: List): boolean => {
    if (isAll(by) && !isAll(list) && isCounted(list)) return true;
    if (list === by || !areUnlike(list, by, isAll(list) === isAll(by) ? 2 : 1)) return false;
    const [own, other] = [surenessOf(list), surenessOf(by)];
    return own === other ? isAll(by) || !isAll(list) : own < other;
  };
  return new Set(lists.filter((list) => first.some((by) => isBeaten(list, by))).flatMap(({ lines }) => lines));
}

/** A list that says that it is one of the model's nodes is surer than any other, and one of a package's leads less sure. */
const surenessOf = ({ text, found }: List): number =>
  isOfPackage(text) || /\b(?:package|footprint)\b/i.test(text) ? 0 : found.length > 1 && tellsOf(text) === 'model' ? 2 : 1;

/** Two lines with several nodes each by their words; else by what the words mean, since one may have names and the other what is behind them. */
function areUnlike(a: List, b: List, least: number): boolean {
  const isLine = ({ lines, found }: List) => lines.length === 1 && found.length > 1;
  if (isLine(a) && isLine(b)) return contradict(a.found, b.found);
  const { of, all } = (b.roles ??= rolesIn(b.found));
  // What the other list says of another node, and not of this one.
  const isAstray = ([node, { doc }]: Found[number]) => {
    const [own, here] = [rolesOf(doc), of.get(node)];
    return here !== undefined && !shares(own, here) && shares(own, all);
  };
  return a.found.filter(isAstray).length >= least;
}

function rolesIn(found: Found): NonNullable<List['roles']> {
  const of = new Map(found.map(([node, { doc }]) => [node, rolesOf(doc)]));
  return { of, all: new Set([...of.values()].flatMap((roles) => [...roles])) };
}

/** A line that lists several nodes, or lines below each other with one node each, with the title over them. */
function asLists(listed: readonly Listed[], textAt: ReadonlyMap<number, string>): List[] {
  const lists: List[] = [];
  // Words that go on below an entry part no list.
  const isBelow = (at: number, line: number): boolean => {
    let above = at - 1;
    while (above >= 0 && listed[above]!.found.length === 0 && /^\s{2,}\S/.test(listed[above]!.comment.text)) above--;
    return listed[above]?.comment.line === line && listed[at]!.comment.line - line <= 3;
  };
  listed.forEach(({ comment, found }, i) => {
    const before = lists.at(-1);
    const isNew = !found.some(([node]) => before?.nodes.has(node));
    if (before && found.length > 0 && isNew && isBelow(i, before.lines.at(-1)!)) {
      before.found.push(...found);
      before.lines.push(comment.line);
      for (const [node] of found) before.nodes.add(node);
    } else if (found.length > 0) {
      const above = listed[i - 1];
      const isEntry = above?.comment.line === comment.line - 1 && above.found.length > 0;
      const over = found.length > 1 || isEntry ? '' : (textAt.get(comment.line - 1) ?? '');
      // `TF12 simulation model` over a list says nothing of what it lists.
      const title = over.replace(/\bmodel\b(?! (?:nodes|pins|terminals|order))/i, '');
      lists.push({
        text: `${title} ${comment.text}`,
        lines: [comment.line],
        found: [...found],
        nodes: new Set(found.map(([node]) => node)),
      });
    }
  });
  return lists;
}
