import { LONGEST_CELL, mmPerUnit, shapeIn, withoutUnit } from './lengths';

/** What a column of a pad list says. `place` and `size` hold both lengths in one cell; `x1` to `y2` are a pad's edges. */
export type Column =
  | 'number'
  | 'x'
  | 'y'
  | 'w'
  | 'h'
  | 'place'
  | 'size'
  | 'x1'
  | 'x2'
  | 'y1'
  | 'y2'
  | 'diameter'
  | 'shape'
  | 'unit'
  | 'turn'
  | 'package'
  | 'drill'
  | 'drillY'
  | 'slot'
  | 'plated';

/** A column with the millimetres a unit of its lengths, where its heading says that. */
export interface Heading {
  column: Column;
  perUnit: number | undefined;
}

/** What is told of a heading alone; the rest is told by the others. */
type Sense = Column | 'padX' | 'padY' | 'type';

/** Words that are written together: `PosX`, `xmin`, `padnumber`. */
const WORDS =
  'pad|pin|ball|number|no|num|name|id|x|y|pos|position|center|centre|loc|location|coord|mid|size|width|height|length|dim|min|max|shape|drill|hole|dia|diam|diameter|1|2';
const TIED = new RegExp(`^(${WORDS})(${WORDS})$`);
/** Letters that formulas have: centres and extents. */
const LETTERS: Record<string, string[]> = { xc: ['x'], yc: ['y'], sx: ['w'], wx: ['w'], lx: ['w'], sy: ['h'], wy: ['h'], ly: ['h'] };

function wordsOf(heading: string): string[] {
  return heading
    .replace(/([a-z])([A-Z\d])/g, '$1 $2')
    .replace(/([A-Z])([A-Z][a-z])/g, '$1 $2')
    .toLowerCase()
    .split(/[^a-z\d#]+/)
    .flatMap((w) => (Object.hasOwn(LETTERS, w) ? LETTERS[w]! : (TIED.exec(w)?.slice(1) ?? w)))
    .filter((w) => w !== '');
}

const OTHER = ['mask', 'paste', 'solder', 'net', 'layer', 'side', 'radius', 'clearance', 'tolerance', 'tol', 'body', 'courtyard', 'signal'];
const PLACE = ['center', 'centre', 'pos', 'position', 'loc', 'location', 'coord', 'coords', 'coordinate', 'coordinates', 'mid', 'midpoint', 'offset', 'placement']; // prettier-ignore
const PAD = ['pad', 'ball', 'terminal', 'contact', 'lead', 'land', 'pin'];
const COUNT = ['number', 'no', 'num', 'nr', '#'];
const NAME = ['name', 'id', 'designator', 'ref', 'reference'];

function senseOf(words: readonly string[]): Sense | undefined {
  const has = (...any: string[]) => any.some((w) => words.includes(w));
  const only = (...all: readonly string[][]) => words.length > 0 && words.every((w) => all.some((a) => a.includes(w)));
  const [isX, isY] = [has('x', 'horizontal'), has('y', 'vertical')];
  if (has(...OTHER)) return undefined;
  if (has('plated', 'plating')) return 'plated';
  if (has('drill', 'hole', 'bore', 'slot')) {
    if (has('slot', 'length')) return 'slot';
    return has('shape', 'type', 'count') ? undefined : isY ? 'drillY' : 'drill';
  }
  if (has('rotation', 'rot', 'angle', 'orientation', 'turn', 'theta')) return 'turn';
  if (has('unit', 'units')) return 'unit';
  if (only(['package', 'footprint', 'land', 'pattern', 'name']) && has('package', 'footprint', 'land', 'pattern')) return 'package';
  if (has('w', 'width') && has('h', 'height', 'length')) return 'size';
  if (has('size', 'width', 'height', 'length', 'dim', 'dims', 'dimension', 'dimensions', 'w', 'h', 'dx', 'dy')) {
    if (isX !== isY) return isX ? 'w' : 'h';
    return has('width', 'w', 'dx') ? 'w' : has('height', 'length', 'h', 'dy') ? 'h' : 'size';
  }
  if (has('diameter', 'diam', 'dia')) return 'diameter';
  if (has('shape', 'style', 'form', 'geometry')) return 'shape';
  if (only(['pad', 'type']) && has('type')) return 'type';
  return edgeOf(words) ?? placeOf(words, isX, isY) ?? (only(PAD, COUNT, NAME) ? 'number' : undefined);
}

/** `Xmin`, `Left`, `lower left x`: an edge of the pad. */
function edgeOf(words: readonly string[]): Column | undefined {
  const has = (...any: string[]) => any.some((w) => words.includes(w));
  const [isX, isY] = [has('x'), has('y')];
  if (!isY && has('left')) return 'x1';
  if (!isY && has('right')) return 'x2';
  if (!isX && has('bottom', 'lower')) return 'y1';
  if (!isX && has('top', 'upper')) return 'y2';
  if (isX === isY) return undefined;
  if (has('min', '1')) return isX ? 'x1' : 'y1';
  return has('max', '2') ? (isX ? 'x2' : 'y2') : undefined;
}

function placeOf(words: readonly string[], isX: boolean, isY: boolean): Sense | undefined {
  const rest = words.filter((w) => !['x', 'y', 'horizontal', 'vertical'].includes(w));
  if (!rest.every((w) => PLACE.includes(w) || PAD.includes(w))) return undefined;
  const isPlace = rest.some((w) => PLACE.includes(w));
  if (isX === isY) return isX || isPlace ? 'place' : undefined;
  if (rest.length === 1 && rest[0] === 'pad') return isX ? 'padX' : 'padY';
  return isPlace || rest.length === 0 || PAD.includes(rest[0]!) ? (isX ? 'x' : 'y') : undefined;
}

/** How surely words name a pad by its number: a number before a pad before a name, and a part's designator last. */
const rankOfNumber = (words: readonly string[]): number =>
  (words.some((w) => COUNT.includes(w)) ? 4 : 0) +
  (words.some((w) => PAD.includes(w)) ? 2 : 0) +
  (words.includes('pad') ? 1 : 0) -
  (words.some((w) => NAME.includes(w)) ? 1 : 0);

/** A row of more cells than this is no heading. */
export const MOST_COLUMNS = 100;

/**
 * The columns of a heading; undefined for what says nothing of pads. Of several that could hold the pads' numbers the
 * surest is taken, of any others the first. `PadX` beside `LocationX` is a width and alone a place; a diameter alone is a
 * width that serves as the height too. `cells` of a column tell whether a type, or a heading of no known word, is the shape.
 */
export function columnsOf(heads: readonly string[], cellsOf: (column: number) => readonly string[]): (Heading | undefined)[] {
  if (heads.length > MOST_COLUMNS) return [];
  const read = heads.map((given) => {
    const head = given.length > LONGEST_CELL ? '' : given;
    const { name, unit } = withoutUnit(head);
    const words = wordsOf(name);
    return {
      sense: head.trim() === '#' ? 'number' : senseOf(words),
      perUnit: unit === undefined ? undefined : mmPerUnit(unit),
      rank: rankOfNumber(words),
    };
  });
  const has = (sense: Sense) => read.some((r) => r.sense === sense);
  const as: Partial<Record<Sense, Column>> = { padX: has('x') ? 'w' : 'x', padY: has('y') ? 'h' : 'y' };
  const best = Math.max(...read.map((r) => (r.sense === 'number' ? r.rank : -Infinity)));
  const taken = new Set<Column>();
  const columns = read.map(({ sense, perUnit, rank }): Heading | undefined => {
    if (sense === undefined || sense === 'type' || (sense === 'number' && rank < best)) return undefined;
    const column = as[sense] ?? (sense as Column);
    if (taken.has(column)) return undefined;
    taken.add(column);
    return { column, perUnit };
  });
  if (taken.has('shape')) return columns;
  const isShape = (i: number) => cellsOf(i).length > 0 && cellsOf(i).every((c) => shapeIn(c) !== undefined);
  const shape = heads.findIndex((_, i) => columns[i] === undefined && isShape(i));
  return columns.map((c, i) => (i === shape ? { column: 'shape', perUnit: undefined } : c));
}

/** Columns a list cannot do without, each in its forms; the first is what a person is told to add. */
const NEEDED: [Column, ...Column[]][][] = [
  [['number']],
  [['x'], ['place'], ['x1', 'x2']],
  [['y'], ['place'], ['y1', 'y2']],
  [['w'], ['size'], ['diameter'], ['x1', 'x2']],
];

/** The first column that is missing; undefined where pads can be read. */
export const missingColumn = (columns: readonly (Heading | undefined)[]): Column | undefined =>
  NEEDED.find((forms) => !forms.some((form) => form.every((c) => columns.some((k) => k?.column === c))))?.[0]![0];
