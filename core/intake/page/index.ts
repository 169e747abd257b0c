import { ok, problem, refuse, type Problem, type Result } from '../../part';
import type { Proposal, ReadOptions, TableChoice } from '../proposal';
import { tenths, type Box } from '../table/box';
import { findBallMap, readBallMap } from '../table/ball-map';
import { findTable, scoreOf, type FoundTable } from '../table/find-table';
import type { Grid } from '../table/grid';
import { understandTable } from '../table/understand';
import { legendLine } from '../understand/legend';
import { forEach, joinTables } from '../table/join-tables';
import { blocksIn, captionsAbove, type OpenTable } from './borderless';
import type { Block } from './block';
import { chainsOf, gridOf, type Chain } from './chains';
import { withoutFurniture } from './furniture';
import { latticeRows } from './lattice-block';
import { linesOf, spacedText, textOf, type Line } from './lines';
import type { DocumentPage } from './page';
import { regionsOf } from './regions';
import { latticesOf, type Lattice } from './ruled';
import { upright } from './upright';
import { boxOf, wordsAndRules, type Word } from './words';
import { unite } from '../table/box';

export { pagesWorthRuling } from './candidates';
export type { DocumentPage, Rule, Run } from './page';

/** More pages than this are a collection of documents, not one. */
export const MOST_PAGES = 2000;

/**
 * Reads a pin table from a document's pages. Pages whose rules were not fetched give only text. Refused, each with its
 * own reason: no text at all, no pin table, no such page.
 */
export function readPages(pages: readonly DocumentPage[], options: ReadOptions = {}): Result<Proposal> {
  const { file } = options;
  const letters = pages.reduce((n, p) => n + p.runs.reduce((m, r) => m + r.text.trim().length, 0), 0);
  if (letters < 8 * Math.min(pages.length, 4)) return refuse(problem('pdf-image', {}, { file }));
  const asked = options.region?.page ?? options.page;
  if (asked !== undefined && !pages.some((p) => p.number === asked))
    return refuse(problem('page-none', { page: asked, pages: pages.length }, { file }));
  const none = () => refuse(problem('pdf-none', { pages: pages.length }, { file, ...(asked === undefined ? {} : { page: asked }) }));

  const ready = prepare(worthReading(pages));
  const found = tablesOf(ready, options);
  const problems: Problem[] = [];
  if (found.length === 0) return readMaps(ready, problems, options) ?? none();
  const { chosen, choices } = choose(found, options);
  if (chosen.length === 0) return none();
  const read = chosen.map(({ table, chain }) => {
    const own: Problem[] = [];
    const around = surroundings(ready, chain, found);
    return { read: understandTable(table, around, own, forEach(options, chosen.length)), problems: own };
  });
  const joined = joinTables(
    read.flatMap((r) => (r.read.ok ? [r.read.value] : [])),
    options,
  );
  if (!joined) return read[0]!.read.ok ? none() : read[0]!.read;
  return joined.ok ? ok({ ...joined.value, tables: choices, title: titleOf(ready) }) : joined;
}

interface Ready {
  page: DocumentPage;
  back: (box: Box) => Box;
  words: Word[];
  lines: Line[];
  lattices: Lattice[];
  rules: NonNullable<DocumentPage['rules']>;
}

/**
 * The pages that can hold a table (their rules were fetched), those beside them, where legends and notes stand, and the
 * first, which names the part. In a long document the others only cost time.
 */
function worthReading(pages: readonly DocumentPage[]): readonly DocumentPage[] {
  const ruled = pages.filter((p) => p.rules !== undefined).map((p) => p.number);
  if (ruled.length === 0) return pages.slice(0, 1);
  const near = new Set(ruled.flatMap((n) => [n - 1, n, n + 1]));
  return pages.filter((p, i) => i === 0 || near.has(p.number));
}

function prepare(pages: readonly DocumentPage[]): Ready[] {
  const first = pages.map((given) => {
    const { page, back } = upright(given);
    const { words, rules } = wordsAndRules(page);
    return { page, back, words, lines: linesOf(words), lattices: latticesOf(rules), rules };
  });
  const kept = withoutFurniture(first);
  return first.map((ready, i) => {
    const lines = kept[i]!;
    if (lines.length === ready.lines.length) return ready;
    const words = lines.flatMap((l) => l.words).concat(ready.words.filter((w) => w.sideways));
    return { ...ready, lines, words };
  });
}

interface Found {
  table: FoundTable;
  chain: Chain;
  grid: Grid;
  score: number;
  /** To the page as it is displayed. */
  back: (page: number, box: Box) => Box;
}

/** All tables in reading order that have rows with a number and a name. */
function tablesOf(ready: readonly Ready[], options: ReadOptions): Found[] {
  const blocks = options.region
    ? regionBlocks(ready, options.region)
    : ready.filter((r) => r.page.rules !== undefined).flatMap(ruledBlocks);
  const ruled = found(chainsOf(blocks), ready);
  const isTaken = (page: number, word: Word) => ruled.some((f) => f.chain.some((b) => b.page === page && inBox(word, b.box)));
  const plain: Block[] = [];
  let open: OpenTable | undefined;
  for (const r of ready) {
    if (r.page.rules === undefined) {
      open = undefined;
      continue;
    }
    const own = options.region && options.region.page !== r.page.number ? [] : r.words;
    const inRegion = options.region ? boxOn(r, options.region.box) : undefined;
    const words = own.filter((w) => !w.sideways && !isTaken(r.page.number, w) && (!inRegion || inBox(w, inRegion)));
    for (const region of regionsOf(r.page, linesOf(words))) {
      const read = blocksIn(region, r.rules, open);
      plain.push(...read.blocks);
      open = read.open;
    }
    if (words.length === 0) open = undefined;
  }
  const all = [...ruled, ...found(chainsOf(plain), ready, ruled.length)];
  const page = options.page;
  return all
    .filter((f) => page === undefined || f.chain.some((b) => b.page === page))
    .sort((a, b) => a.chain[0]!.page - b.chain[0]!.page || a.chain[0]!.box[1] - b.chain[0]!.box[1]);
}

function found(chains: readonly Chain[], ready: readonly Ready[], salt = 0): Found[] {
  const backOf = new Map(ready.map((r) => [r.page.number, r.back]));
  return chains.flatMap((chain, i) => {
    const back = (page: number, box: Box) => backOf.get(page)!(box);
    const grid = gridOf(chain, (salt + i) * 100_000 + 1, back);
    const table = findTable(grid);
    if (!table || findBallMap(grid)) return [];
    return [{ table, chain, grid, score: scoreOf(table), back }];
  });
}

const inBox = (w: Word, [x, y, width, height]: Box): boolean => {
  const middle = (w.x0 + w.x1) / 2;
  return middle >= x - 1 && middle <= x + width + 1 && w.base - 0.3 * w.size >= y - 1 && w.base - 0.3 * w.size <= y + height + 1;
};

function ruledBlocks(r: Ready): Block[] {
  return r.lattices.flatMap((lattice): Block[] => {
    const rows = latticeRows(lattice, r.words);
    if (rows.length < 2) return [];
    const [x, y] = [lattice.xs[0]!, lattice.ys[0]!];
    const box: Box = [x, y, lattice.xs.at(-1)! - x, lattice.ys.at(-1)! - y];
    const above = r.lines.filter((l) => l.base < y + 2);
    return [{ page: r.page.number, box, edges: lattice.xs, rows, captions: captionsAbove(above, above.length) }];
  });
}

/** The displayed page's box on the page as it was turned. */
const boxOn = (r: Ready, box: Box): Box => {
  // `back` turns by quarters, so three more turns undo one; trying a unit box tells where the corners go.
  const { width, height } = r.page;
  const corners: Box[] = [
    [0, 0, width, height],
    [0, 0, 0, 0],
  ];
  const [whole] = corners.map(r.back);
  const same = Math.abs(whole![2] - width) < 0.5;
  if (same && r.back([1, 2, 0, 0])[0] === 1) return box;
  const [ox, oy] = r.back([0, 0, 0, 0]);
  const [ax, ay] = r.back([1, 0, 0, 0]);
  const [dx, dy] = [ax - ox, ay - oy];
  const map = (x: number, y: number): [number, number] => [(x - ox) * dx + (y - oy) * dy, (x - ox) * -dy + (y - oy) * dx];
  const [a, b] = [map(box[0], box[1]), map(box[0] + box[2], box[1] + box[3])];
  return [Math.min(a[0], b[0]), Math.min(a[1], b[1]), Math.abs(a[0] - b[0]), Math.abs(a[1] - b[1])];
};

/** In a region that a person drew only its own ruled tables count. */
function regionBlocks(ready: readonly Ready[], region: NonNullable<ReadOptions['region']>): Block[] {
  const r = ready.find((x) => x.page.number === region.page);
  if (!r) return [];
  const box = boxOn(r, region.box);
  const words = r.words.filter((w) => inBox(w, box));
  return ruledBlocks({ ...r, words }).filter((b) => b.rows.length > 1);
}

/** Types of a document are explained near its table, or in a table of their own. */
function surroundings(ready: readonly Ready[], chain: Chain, all: readonly Found[]) {
  const pages = new Set(chain.map((b) => b.page));
  const near = ready.filter((r) => pages.has(r.page.number) || pages.has(r.page.number + 1) || pages.has(r.page.number - 1));
  const first = ready[0]!.lines.slice(0, 12).map(textOf);
  const outside = near.flatMap((r) =>
    r.lines
      .filter((l) => !all.some((f) => f.chain.some((b) => b.page === r.page.number && l.words.some((w) => inBox(w, b.box)))))
      .map(spacedText),
  );
  return {
    titles: [...chain[0]!.captions, ...first],
    legend: [...legendTables(ready), ...outside],
    notes: near.flatMap((r) => r.lines.map(textOf)),
  };
}

/** Rows of small ruled tables, `I | Input pin`, as the lines of a legend. */
function legendTables(ready: readonly Ready[]): string[] {
  return ready.flatMap((r) =>
    r.page.rules === undefined
      ? []
      : ruledBlocks(r)
          .filter((b) =>
            /legend|abbreviation|type|code|symbol|key/i.test([...b.captions.slice(0, 2), ...(b.rows[0]?.cells ?? [])].join(' ')),
          )
          .flatMap((b) => b.rows.flatMap(({ cells }) => legendLine(cells.filter((c) => c !== '')))),
  );
}

/** The tables to read: those a person chose, or the best one with the others that go with it. */
function choose(all: readonly Found[], options: ReadOptions): { chosen: Found[]; choices: TableChoice[] } {
  const best = [...all].sort((a, b) => b.score - a.score)[0]!;
  const chosen = options.tables ? all.filter((_, i) => options.tables!.includes(i)) : all.filter((f) => f === best || goesWith(f, best));
  const choices = all.map((f) => ({
    title: f.chain[0]!.captions.find((c) => /^table/i.test(c)) ?? f.table.columns.map((c) => c.heading).join(', '),
    page: f.chain[0]!.page,
    rows: f.table.rows.length,
    taken: chosen.includes(f),
    areas: f.chain.map((b) => ({
      page: b.page,
      box: tenths(f.back(b.page, b.box)),
      columns: b.edges.slice(1).map((e, k) => tenths(f.back(b.page, [b.edges[k]!, b.box[1], e - b.edges[k]!, b.box[3]]))),
    })),
  }));
  return { chosen, choices };
}

const key = (f: Found): string =>
  f.table.columns
    .filter((c) => c.role !== 'ignore')
    .map((c) => `${c.role} ${c.packageName}`)
    .sort()
    .join('|');

/** Another table of the same kind: the parts of one pinout, or the same pinout in another package. */
function goesWith(f: Found, best: Found): boolean {
  return f.score >= 0.5 && key(f) === key(best);
}

/** The largest line near the top of the first page. */
function titleOf(ready: readonly Ready[]): string {
  const top = (ready.find((r) => r.lines.length > 0) ?? ready[0]!).lines.slice(0, 12);
  if (top.length === 0) return '';
  const largest = Math.max(...top.map((l) => l.size));
  return textOf(top.find((l) => l.size > largest - 0.5) ?? top[0]!);
}

function readMaps(ready: readonly Ready[], problems: Problem[], options: ReadOptions): Result<Proposal> | undefined {
  for (const r of ready) {
    if (options.page !== undefined && r.page.number !== options.page) continue;
    const backBox = (_page: number, box: Box) => r.back(box);
    for (const block of ruledBlocks(r)) {
      const map = readBallMap(gridOf([block], 1, backBox), problems, options, block.captions);
      if (map) return map;
    }
    const plain = plainMap(r);
    const map = plain && readBallMap(plain, problems, options, r.lines.slice(0, 14).map(textOf));
    if (map) return map;
  }
  return undefined;
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
      cells: columns.map((c) =>
        linesOf(c)
          .map((l) => l.words.map((w) => w.text).join(' '))
          .join('\n'),
      ),
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
