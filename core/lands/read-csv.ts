import Papa from 'papaparse';
import { ok, problem, refuse, type Pad, type Problem, type Result } from '../part';
import { roundMm } from './round-mm';

const COLUMNS = {
  number: /^(#|(pad|pin|ball|terminal|contact)( (number|no|num|name|id|designator|#))?|number|no|num|name|designator)$/,
  x: /^(((pad|pin) )?(center|centre|pos|position|loc|location|coord|mid|offset) )?x( (center|centre|pos|position|loc|location|coord|coordinate))?$/,
  y: /^(((pad|pin) )?(center|centre|pos|position|loc|location|coord|mid|offset) )?y( (center|centre|pos|position|loc|location|coord|coordinate))?$/,
  w: /^(w|dx|(pad )?width( x)?|(pad )?size x|x (size|width|dim|dimension))$/,
  h: /^(h|dy|(pad )?(height|length)( y)?|(pad )?size y|y (size|height|length|dim|dimension))$/,
  // Of a round pad, or of a square one.
  diameter: /^(pad |copper |annular )?(diameter|diam|dia)$/,
  size: /^(pad )?size$/,
  // A place where nothing else is one, and a size beside places.
  padX: /^pad x$/,
  padY: /^pad y$/,
  plated: /^plat(ed|ing)$/,
  shape: /^(pad )?(shape|style|form)$/,
  // Where each row says its own.
  unit: /^units?$/,
  // A type is mostly the kind of pad; where its cells are shapes it is the shape.
  type: /^(pad )?type$/,
  turn: /^(rotation|rot|angle|orientation|turn)( deg| degrees)?$/,
  package: /^(package|footprint|land|land pattern|pattern)( name)?$/,
  slot: /^(slot|slot length|hole length)$/,
  drill: /^((finished )?(drill|hole)( (diameter|diam|dia|size|x))?)$/,
  drillY: /^(drill|hole) y$/,
} as const;
type Column = keyof typeof COLUMNS;

const PER_UNIT: Record<string, number> = {
  mm: 1,
  mil: 0.0254,
  mils: 0.0254,
  thou: 0.0254,
  in: 25.4,
  inch: 25.4,
  inches: 25.4,
  '"': 25.4,
  '″': 25.4,
  um: 0.001,
  µm: 0.001,
};
const SHAPES: Record<string, Pad['shape']> = {
  rect: 'rect',
  rectangle: 'rect',
  rectangular: 'rect',
  square: 'rect',
  roundrect: 'roundrect',
  rounded: 'roundrect',
  'rounded rectangle': 'roundrect',
  'round rect': 'roundrect',
  oval: 'oval',
  obround: 'oval',
  oblong: 'oval',
  circle: 'circle',
  circular: 'circle',
  round: 'circle',
};

/** The pads of a list, by the package that its rows name; undefined where it has no column for that. */
export interface PadList {
  package: string | undefined;
  pads: Pad[];
}

/** A heading stands within so many rows; a title and a line of units may stand over it. */
const LOOK = 20;

/**
 * Reads pads from CSV with the columns number, x, y, w, h, shape, drill, rotation and package in any order. Lengths are
 * mm, or as the heading (`x_mil`, `x (in)`), a line above it (`units: mil`) or the value (`10mil`) says; quarter turns
 * exchange width and height. Gives mm, y upwards. Refuses a list with any cell that is no length, or a pad turned otherwise.
 */
export function readPadLists(text: string, file?: string): Result<PadList[]> {
  const delimiter = delimiterOf(text);
  const plain = text.replace(/^\uFEFF/, '');
  const data = delimiter === ' ' ? plain.split(/\r?\n/).map((l) => l.trim().split(/\s+/)) : Papa.parse<string[]>(plain, { delimiter }).data;
  const all = data.map((cells, i) => ({ cells: cells.map((c) => c.trim()), line: i + 1 })).filter((r) => r.cells.some((c) => c !== ''));
  const found = all.slice(0, LOOK).findIndex((r) => {
    const named = withPadSizes(r.cells.map((c) => columnOf(c)));
    return ['number', 'x', 'y'].every((k) => named.some((c) => c?.column === k));
  });
  const isRow = (r: (typeof all)[number]) => !/^#./.test(r.cells[0] ?? '');
  const head = found < 0 ? all.find(isRow) : all[found];
  if (!head) return refuse(problem('input-empty', {}, { file }));
  const above = all.slice(0, Math.max(found, 0)).map((r) => r.cells.join(' '));
  const unit = above.map((t) => /\bunits?\W+(mm|mils?|thou|in|inch|inches|um|µm)\b/i.exec(t)?.[1]).find((u) => u !== undefined);
  const columns = withPadSizes(head.cells.map((c) => columnOf(c, unit)));
  // A designator beside a column of pads is that of the part.
  const designator = head.cells.findIndex((c) => /^(ref(erence)?|designator)$/i.test(c));
  if (designator >= 0 && columns.some((c, i) => c?.column === 'number' && i !== designator)) columns[designator] = undefined;
  const missing = (['number', 'x', 'y', 'w'] as const).find((c) => !columns.some((k) => k?.column === c));
  if (missing) return refuse(problem('land-column', { what: missing }, { file, line: head.line }));
  const rows = all.slice(all.indexOf(head) + 1).filter(isRow);
  if (!columns.some((c) => c?.column === 'shape')) takeTypeForShape(columns, rows);
  const problems: Problem[] = [];
  const lists = new Map<string | undefined, Pad[]>();
  const packageAt = columns.findIndex((c) => c?.column === 'package');
  for (const { cells, line } of rows) {
    const name = packageAt < 0 ? undefined : cells[packageAt];
    const pads = lists.get(name) ?? [];
    lists.set(name, pads);
    pads.push(padOf(cells, columns, delimiter !== ',', { file, line }, problems));
  }
  if (problems.length > 0) return refuse(...problems.slice(0, 20));
  return lists.size > 0 ? ok([...lists].map(([name, pads]) => ({ package: name, pads }))) : refuse(problem('input-empty', {}, { file }));
}

/** All pads of a CSV, whatever package its rows name. */
export function readPadsCsv(text: string, file?: string): Result<Pad[]> {
  const lists = readPadLists(text, file);
  return lists.ok ? ok(lists.value.flatMap((l) => l.pads)) : lists;
}

/** `PadX` beside `LocationX` is a width, and alone a place; a diameter or a size is a width that serves as the height too. */
function withPadSizes(columns: Heading[]): Heading[] {
  const has = (column: Column) => columns.some((c) => c?.column === column);
  const as: Partial<Record<Column, Column>> = {
    padX: has('x') ? 'w' : 'x',
    padY: has('y') ? 'h' : 'y',
    ...(has('w') ? {} : { diameter: 'w', size: 'w' }),
  };
  const round = !has('w') && has('diameter');
  return columns.map(
    (c) => c && { ...c, column: as[c.column] ?? c.column, ...(round && c.column === 'diameter' ? { isRound: true } : {}) },
  );
}

function takeTypeForShape(columns: Heading[], rows: readonly { cells: string[] }[]): void {
  const at = columns.findIndex((c) => c?.column === 'type');
  const isShape = at >= 0 && rows.length > 0 && rows.every((r) => SHAPES[(r.cells[at] ?? '').toLowerCase()] !== undefined);
  if (isShape) columns[at] = { column: 'shape', perUnit: 1 };
}

/** The sign that parts the cells of the heading, or of the line that has most of them where a title stands above. */
function delimiterOf(text: string): string {
  const lines = text
    .split(/\r?\n/)
    .filter((l) => l.trim() !== '' && !l.startsWith('#'))
    .slice(0, LOOK);
  const counts = ['\t', ';', ','].map((sign) => ({ sign, most: Math.max(0, ...lines.map((l) => l.split(sign).length - 1)) }));
  // Cells in columns, parted by blanks only.
  if (counts.every(({ most }) => most < 2) && lines.filter((l) => l.trim().split(/\s+/).length > 3).length >= 0.6 * lines.length)
    return ' ';
  // A comma is the decimal one as often: it counts where nothing else parts three cells.
  return counts.find(({ sign, most }) => most >= 2 || sign === ',')!.sign;
}

type Heading = { column: Column; perUnit: number; isRound?: boolean } | undefined;

function columnOf(heading: string, otherwise = 'mm'): Heading {
  const unit = /(?:[\s_([]+)(mm|mils?|thou|in|inch|inches|um|µm)[\])]?$/i.exec(heading);
  const name = (unit ? heading.slice(0, unit.index) : heading)
    // `PinNumber`, `PadX`
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .toLowerCase()
    .replace(/[._-]+/g, ' ')
    // `PosX`, `SizeY`
    .replace(/^(pos|size|center|centre|loc|mid)([xy])$/, '$1 $2')
    .trim();
  const column = (Object.keys(COLUMNS) as Column[]).find((c) => COLUMNS[c].test(name));
  return column ? { column, perUnit: PER_UNIT[(unit?.[1] ?? otherwise).toLowerCase()]! } : undefined;
}

function padOf(
  cells: string[],
  columns: Heading[],
  isComma: boolean,
  at: { file: string | undefined; line: number },
  problems: Problem[],
): Pad {
  const cell = (column: Column) => {
    const i = columns.findIndex((c) => c?.column === column);
    return { text: cells[i] ?? '', perUnit: columns[i]?.perUnit ?? 1 };
  };
  const unitText = cell('unit').text.toLowerCase();
  const ofRow = unitText === '' ? undefined : PER_UNIT[unitText];
  if (unitText !== '' && ofRow === undefined)
    problems.push(problem('land-value', { what: 'The unit', value: unitText, need: 'mm, mil, inch and um are known' }, at));
  const length = (column: Column, positive: boolean): number => {
    const { text: given, perUnit } = cell(column);
    // Where cells are parted by another sign, a comma can be the decimal one.
    const text = isComma ? given.replace(/^([+-]?\d*),(\d)/, '$1.$2') : given;
    const match = /^([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d{1,2})?)\s*([a-zµ]+|["″])?$/i.exec(text);
    const unit = match?.[2] === undefined ? (ofRow ?? perUnit) : PER_UNIT[match[2].toLowerCase()];
    const value = match && unit !== undefined ? Number(match[1]) * unit : NaN;
    if (!Number.isFinite(value) || Math.abs(value) > 2000 || (positive && value <= 0)) {
      problems.push(problem('land-number', { what: column, text }, at));
      return 1;
    }
    return roundMm(value);
  };
  const width = length('w', true);
  const height = cell('h').text === '' ? width : length('h', true);
  const turn = Number(cell('turn').text.replace(/[°\s]|deg(rees)?/gi, '') || 0);
  if (turn % 90 !== 0)
    problems.push(problem('land-value', { what: 'The rotation', value: cell('turn').text, need: '0, 90, 180 and 270 are known' }, at));
  const [w, h] = Math.abs(turn % 180) === 90 ? [height, width] : [width, height];
  const shapeText = cell('shape').text.toLowerCase();
  const shape = shapeText === '' ? (columns.some((c) => c?.isRound) ? 'circle' : 'rect') : SHAPES[shapeText];
  if (!shape)
    problems.push(problem('land-value', { what: 'The shape', value: shapeText, need: 'rect, roundrect, oval and circle are known' }, at));
  const hole = (column: Column) => (['', '0', '-'].includes(cell(column).text) ? undefined : length(column, true));
  const [along, across] = [hole('drill'), hole('drillY')];
  // A hole that is longer one way is a slot.
  const isLonger = along !== undefined && across !== undefined && across !== along;
  const drill = isLonger ? Math.min(along, across) : along;
  const slot = hole('slot') ?? (isLonger ? Math.max(along, across) : undefined);
  return {
    number: cell('number').text,
    x: length('x', false),
    y: length('y', false),
    w,
    h,
    shape: shape ?? 'rect',
    ...(drill === undefined ? {} : { drill }),
    ...(slot === undefined ? {} : { slot }),
    // What carries no copper carries no signal.
    ...(/^(no|n|false|0|npth|non[- ]plated)$/i.test(cell('plated').text) ? { mechanical: true as const } : {}),
  };
}
