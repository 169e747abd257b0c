import { readNumberCell } from '../table/numbers';
import { filledIn, OPEN, type CellLine } from './cells';
import { titlesIn } from './titles';

/** Lines with a number, those that are the title of a group, and the stretches between these; a title is a stretch of its own. */
export function sectionsOf(
  lines: readonly CellLine[],
  { keys, width }: { keys: readonly number[]; width?: [left: number, right: number] | undefined },
): { anchors: ReadonlySet<CellLine>; titles: ReadonlySet<CellLine>; sections: CellLine[][] } {
  const isAnchored = withoutListed(
    lines,
    lines.map((_, i) => isAnchor(lines, i, keys)),
    keys,
  );
  const places = titlesIn(lines, keys, isAnchored, width);
  const sections: CellLine[][] = [];
  lines.forEach((line, i) => {
    if (i === 0 || places.has(i) || places.has(i - 1)) sections.push([line]);
    else sections.at(-1)!.push(line);
  });
  return {
    anchors: new Set(lines.filter((_, i) => isAnchored[i])),
    titles: new Set(lines.filter((_, i) => places.has(i))),
    sections,
  };
}

/**
 * Numbers under each other beside the lines of one description, `17` next to `point for all`, are a list of one row: what every
 * row has on its own line, its name and type, they have not.
 */
function withoutListed(lines: readonly CellLine[], isAnchored: boolean[], keys: readonly number[]): boolean[] {
  const rows = lines.filter((_, i) => isAnchored[i]);
  if (rows.length < 4) return isAnchored;
  const lengthIn = (k: number) => rows.reduce((sum, l) => sum + l.cells[k]!.length, 0);
  const full = lines[0]!.cells
    .flatMap((_, k) => (!keys.includes(k) && rows.filter((l) => l.cells[k] !== '').length >= 0.7 * rows.length ? [k] : []))
    .sort((a, b) => lengthIn(a) - lengthIn(b))
    .slice(0, -1);
  if (full.length === 0) return isAnchored;
  const isListed = (l: CellLine, i: number) => i > 0 && l.base - lines[i - 1]!.base < 1.6 * l.size && full.every((k) => l.cells[k] === '');
  return isAnchored.map((is, i) => is && (!isListed(lines[i]!, i) || opensList(lines, i, keys)));
}

function isAnchor(lines: readonly CellLine[], at: number, keys: readonly number[]): boolean {
  const line = lines[at]!;
  const cells = keys.map((k) => line.cells[k] ?? '');
  // `Side 1` over the columns of names and numbers is a heading: its words stand as near as words do.
  if (line.whole !== undefined && line.cells.length > 2 && filledIn(line) === 2) return false;
  const numbered = cells.some((c) => ['list', 'pad'].includes(readNumberCell(c.replace(OPEN, '')).kind) && c !== '');
  if (!numbered) return false;
  const before = lines[at - 1];
  if (!before) return true;
  const isTight = line.base - before.base < 1.6 * line.size;
  // `1, 5,` over `9, 12`: the list of the row above goes on, though lines of other cells may stand between.
  for (const k of keys) {
    if ((line.cells[k] ?? '') === '') continue;
    const above = lines
      .slice(Math.max(0, at - 3), at)
      .reverse()
      .find((l) => l.cells[k] !== '');
    const isNear = above !== undefined && line.base - above.base < 1.7 * line.size;
    const isOpen = isNear && OPEN.test(above.cells[k]!) && readNumberCell(above.cells[k]!).kind !== 'none';
    // `Power and` over it is a title.
    if (isOpen && !/^[A-Za-z]{3}/.test(above.cells[k]!)) return false;
  }
  // Beside figures `S2` is a name, though it could be a ball.
  const areNamed = cells.length > 1 && cells.some((c) => /^\d+$/.test(c)) && cells.some((c) => /^[A-Z]{1,2}\d/.test(c));
  const others = line.cells.filter((c, i) => c !== '' && (areNamed || !keys.includes(i)));
  // The first of numbers under each other, whose row has its name beside a later one.
  const next = lines[at + 1];
  const below = next === undefined ? Infinity : next.base - line.base;
  const isListed = below > 0.8 * line.size && below < Math.min(1.6 * line.size, 0.8 * (line.base - before.base));
  return others.length > 0 || opensList(lines, at, keys) || !(isTight || isListed);
}

/** The first line of a list that goes on, whose name stands beside it in the middle of two lines. */
function opensList(lines: readonly CellLine[], at: number, keys: readonly number[]): boolean {
  const [line, next] = [lines[at]!, lines[at + 1]];
  const isHalf = next !== undefined && next.base - line.base < 0.8 * line.size;
  return isHalf && keys.some((k) => OPEN.test(line.cells[k] ?? '') && next.cells[k] === '');
}
