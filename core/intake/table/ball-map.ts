import { ok, problem, type Problem, type Result } from '../../part';
import type { Proposal, ReadOptions, TableView, Terminal } from '../proposal';
import { inferType } from '../understand/infer-type';
import { levelDoubt, readActiveLow } from './active-low';
import { findBallMaps, followOn, type BallMap } from './find-map';
import { padded, type Grid, type GridRow } from './grid';
import { packageNamed } from './headings';
import { joinTables } from './join-tables';
import { alternatesIn, cleanName, markDoubt, findVectors } from './names';
import { readNumberCell } from './numbers';
import { placeOf } from './places';
import { signalKey, type SignalList } from './signal-list';
import { propose } from './understand';

/** What stands beside a ball map: the lists of signals, and what their type codes mean. */
export interface BesideMap {
  signals: SignalList;
  legend: ReadonlyMap<string, string>;
}
const NOTHING: BesideMap = { signals: new Map(), legend: new Map() };

/** A grid that may hold maps, with the titles around it. */
export interface MapSource {
  grid: Grid;
  titles: readonly string[];
}

interface Found {
  map: BallMap;
  packageName: string;
}

/**
 * Reads the ball maps of grids that hold no list, in the order of the document: parts of one map are put together, the same
 * map again is compared, and a map of another package is one more. Undefined where there is none.
 */
export function readBallMaps(
  sources: readonly MapSource[],
  problems: Problem[],
  options: ReadOptions,
  beside: BesideMap = NOTHING,
): Result<Proposal> | undefined {
  const found = sources.flatMap(({ grid, titles }) =>
    findBallMaps(grid).map((map): Found => ({ map, packageName: packageNamed(map.titles) || packageNamed(titles) })),
  );
  const [own, ...others] = groupsOf(found);
  if (!own) return undefined;
  // With several packages the one that is asked for is chosen when they are together.
  const { package: _asked, ...rest } = options;
  const read = (maps: readonly Found[]) => proposalOf(maps, others.length > 0 ? rest : options, beside);
  const first = read(own);
  if (!first?.ok) return first;
  const isTold = first.value.terminals.every((t) => beside.signals.has(signalKey(t.name)));
  if (!first.value.package && !isTold)
    problems.push(problem('map-unnamed', { found: first.value.terminals.length }, { file: options.file }));
  const more = others.map(read).flatMap((r) => (r?.ok ? [r.value] : []));
  const joined = joinTables(first.value, more, options);
  if (!joined.ok) return joined;
  const table = viewOf([own, ...others].flat(), new Set(options.without));
  return ok({ ...joined.value, problems: [...problems, ...joined.value.problems], table });
}

/** Maps that are parts of one, by package: the document's first, then the same again and those of other packages. */
function groupsOf(found: readonly Found[]): Found[][] {
  const largest = Math.max(0, ...found.map((f) => f.map.cells.length));
  // A few cells before the map are a table of something else.
  const left = found.filter((f) => f.map.cells.length >= LEAST_SHARE * largest);
  const groups: Found[][] = [];
  while (left.length > 0) {
    const group = takeParts(left);
    const known = groups.map((g) => g[0]!.packageName);
    const isOther = group[0]!.packageName !== '' && known.every((k) => k !== '' && k !== group[0]!.packageName);
    const isAgain = groups.some((g) => coversSame(g, group));
    if (groups.length === 0 || isOther || isAgain) groups.push(group);
  }
  return groups;
}

const LEAST_SHARE = 0.1;

/** Takes the first map and all that go on with it, to the side or below, out of the list; in the order of the document. */
function takeParts(left: Found[]): Found[] {
  const parts = [left[0]!];
  const isPart = (f: Found) =>
    !parts.includes(f) &&
    (f.packageName === '' || parts[0]!.packageName === '' || f.packageName === parts[0]!.packageName) &&
    parts.some((p) => goesOn(p.map, f.map)) &&
    !parts.some((p) => overlaps(p.map, f.map));
  for (let part = left.find(isPart); part; part = left.find(isPart)) parts.push(part);
  const own = left.filter((f) => parts.includes(f));
  left.splice(0, left.length, ...left.filter((f) => !parts.includes(f)));
  return own;
}

const same = (a: readonly string[], b: readonly string[]): boolean => a.length === b.length && b.every((label) => a.includes(label));

const goesOn = (a: BallMap, b: BallMap): boolean =>
  (same(a.letters, b.letters) && followOn(a.figures, b.figures)) || (same(a.figures, b.figures) && followOn(a.letters, b.letters));

const overlaps = (a: BallMap, b: BallMap): boolean =>
  a.letters.some((l) => b.letters.includes(l)) && a.figures.some((f) => b.figures.includes(f));

const coversSame = (a: readonly Found[], b: readonly Found[]): boolean => {
  const numbers = (group: readonly Found[]) => group.flatMap((f) => f.map.cells.map((c) => c.number));
  return numbers(a).sort().join() === numbers(b).sort().join();
};

/** What one map says, or the parts of one. */
function proposalOf(maps: readonly Found[], options: ReadOptions, { signals, legend }: BesideMap): Result<Proposal> | undefined {
  const left = new Set(options.without);
  const cells = maps.flatMap(({ map }) => map.cells.filter(({ row }) => !left.has(row.line)));
  const texts = cells.map(({ row, at }) => joinName(row.cells[at] ?? ''));
  const names = new Set(texts);
  const notes = { marks: new Set<string>(), vectors: findVectors(texts) };
  const packageName = maps.find((m) => m.packageName !== '')?.packageName ?? '';
  const terminals = cells.flatMap(({ row, number, at }, i): Terminal[] => {
    if (readNumberCell(texts[i]!).kind === 'none') return [];
    const { name, overbar, unsure } = cleanName(texts[i]!, notes);
    const told = signals.get(signalKey(name));
    const low = readActiveLow(name, overbar, told?.description ?? '', names);
    const type = inferType(name, told?.code, told?.description ?? '', legend);
    const alternates = alternatesIn(name);
    const doubts = [
      ...(unsure ? [markDoubt(name, unsure)] : []),
      ...(low.unsure ? [levelDoubt(`${low.unsure}.`)] : []),
      ...(row.crossed ? [{ field: 'name' as const, reason: 'Its text runs over the edge of its cell.' }] : []),
      ...(type.doubt ? [type.doubt] : []),
    ];
    return [
      {
        numbers: { [packageName]: number },
        name,
        ...(low.activeLow ? { activeLow: true } : {}),
        type: type.type,
        ...(told?.description ? { description: told.description } : {}),
        ...(alternates.length > 0 ? { alternates } : {}),
        origin: placeOf(row, { name: at }),
        row: row.line,
        because: { type: type.because, ...(low.because ? { activeLow: low.because } : {}) },
        doubts,
      },
    ];
  });
  if (terminals.length === 0) return undefined;
  return propose(terminals, [packageName], { problems: [] }, options);
}

/** The rows of all maps under the labels of their columns, for a person to leave some out. */
function viewOf(maps: readonly Found[], left: ReadonlySet<number>): TableView {
  const width = Math.max(...maps.flatMap(({ map }) => map.rows.map((r) => r.cells.length)));
  const placed = (row: GridRow) => ({
    line: row.line,
    cells: padded(row.cells, width),
    ...(row.place ? { place: row.place } : {}),
  });
  return {
    columns: Array.from({ length: width }, () => ({ role: 'ignore' as const, heading: '', packageName: '' })),
    isMap: true,
    rows: maps.flatMap(({ map }) => [
      { ...placed(map.head), taken: false, heading: true },
      ...map.rows.map((row) => ({ ...placed(row), taken: !left.has(row.line) })),
    ]),
  };
}

/** A name that is broken over lines in its narrow cell is one name. */
const joinName = (text: string): string => text.replace(/\s*\n\s*/g, '').trim();
