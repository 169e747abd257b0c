import { ok, type Problem, type Result } from '../../part';
import type { Proposal, ReadOptions } from '../proposal';
import { readBallMap, type BesideMap } from '../table/ball-map';
import { unite, withRoom, type Box } from '../table/box';
import type { Grid } from '../table/grid';
import { readSignalLists } from '../table/signal-list';
import { alignedRow } from '../text/aligned';
import { readLegend } from '../understand/legend';
import type { Block } from './block';
import { gridOf, type Chain } from './chains';
import { headerAt } from './headers';
import { linesOf, spacedText, textOf } from './lines';
import type { Ready } from './ready';
import { legendLines } from './surroundings';
import { boxOf } from './words';

/** Reads the first ball map of a document, ruled or not; undefined where it has none. */
export function readMaps(ready: readonly Ready[], problems: Problem[], options: ReadOptions): Result<Proposal> | undefined {
  const beside = besideMap(ready);
  for (const r of ready) {
    if (options.page !== undefined && r.page.number !== options.page) continue;
    const backBox = (_page: number, box: Box) => r.back(box);
    for (const block of r.blocks) {
      const map = readBallMap(gridOf([block], 1, backBox), problems, options, block.captions, beside);
      if (map) return withArea(map, r.page.number, block.captions[0]);
    }
    const plain = plainMap(r);
    const map = plain && readBallMap(plain, problems, options, r.lines.slice(0, 14).map(textOf), beside);
    if (map) return withArea(map, r.page.number, undefined);
  }
  return undefined;
}

/** The map as the one table of the document, with the place that its cells take on the page. */
function withArea(read: Result<Proposal>, page: number, title = 'Ball map'): Result<Proposal> {
  if (!read.ok || !read.value.table) return read;
  const { rows } = read.value.table;
  const box = unite(rows.flatMap((r) => (r.place?.boxes ?? []).flatMap((b) => (b ? [b] : []))));
  const areas = box ? [{ page, box: withRoom(box), columns: [] }] : [];
  return ok({ ...read.value, tables: [{ title, page, rows: rows.length, taken: true, areas }] });
}

/** The lists of signals in a document's tables, and what it says of type codes. */
export function besideMap(ready: readonly Ready[]): BesideMap {
  const ruled = goingOn(ready.flatMap((r) => r.blocks)).map((blocks) => gridOf(blocks, 1, (_page, box) => box));
  // Without ruled lines the white between cells parts them, and headings by their words where they stand close.
  const rowAt = ({ lines }: Ready, at: number) => {
    const header = headerAt(lines, at);
    return header?.depth === 1 ? { line: at + 1, cells: header.heads.map((h) => h.text) } : alignedRow(spacedText(lines[at]!), at + 1);
  };
  const plain = ready.map((r): Grid => ({ layout: 'aligned', rows: r.lines.map((_, i) => rowAt(r, i)) }));
  return {
    signals: readSignalLists([...ruled, ...plain]),
    legend: readLegend(legendLines(ready)),
  };
}

/** Lists of names go on over a page break in columns that are as wide, with no heading again and no numbers to tell. */
function goingOn(blocks: readonly Block[]): Chain[] {
  const chains: Chain[] = [];
  for (const block of blocks) {
    const last = chains.at(-1)?.at(-1);
    const isAsWide = last?.edges.length === block.edges.length && last.edges.every((e, i) => Math.abs(e - block.edges[i]!) < 6);
    if (last?.page === block.page - 1 && isAsWide) chains.at(-1)!.push(block);
    else chains.push([block]);
  }
  return chains;
}

/** A ball map without ruled lines: columns are taken from where its numbers stand. */
function plainMap(r: Ready): Grid | undefined {
  const head = r.lines.find((l) => {
    const numbers = l.words.filter((w) => /^\d{1,2}$/.test(w.text));
    return (
      numbers.length >= 3 &&
      numbers.length === l.words.length &&
      numbers.every((w, i) => i === 0 || Math.abs(Number(w.text) - Number(numbers[i - 1]!.text)) === 1)
    );
  });
  if (!head) return undefined;
  const centres = head.words.map((w) => (w.x0 + w.x1) / 2);
  const pitch = centres[1]! - centres[0]!;
  const edges = [0, centres[0]! - pitch / 2, ...centres.map((c) => c + pitch / 2)];
  const all = r.lines.filter((l) => l.base > head.base - 400);
  const letters = all.filter((l) => l.words[0] && /^[A-Y]{1,2}$/.test(l.words[0].text) && l.words[0].x1 < edges[1]!);
  const rows = letters.map((letter, i) => {
    const [before, after] = [letters[i - 1], letters[i + 1]];
    const from = before ? (before.base + letter.base) / 2 : letter.base - (after ? (after.base - letter.base) / 2 : 10);
    const to = after ? (after.base + letter.base) / 2 : letter.base + (before ? (letter.base - before.base) / 2 : 10);
    const words = all.filter((l) => l.base > from && l.base <= to).flatMap((l) => l.words);
    const inColumn = (k: number) => words.filter((w) => (w.x0 + w.x1) / 2 >= edges[k]! && (w.x0 + w.x1) / 2 < edges[k + 1]!);
    const columns = edges.slice(0, -1).map((_, k) => inColumn(k));
    return {
      line: i + 2,
      cells: columns.map((c) => linesOf(c).map(textOf).join('\n')),
      place: {
        page: r.page.number,
        boxes: columns.map((c) => {
          const b = unite(c.map(boxOf));
          return b && r.back(b);
        }),
      },
      crossed: words.some((w) => edges.some((e) => w.x0 < e - 1.5 && w.x1 > e + 1.5)),
    };
  });
  return { layout: 'cells', rows: [{ line: 1, cells: ['', ...head.words.map((w) => w.text)] }, ...rows] };
}
