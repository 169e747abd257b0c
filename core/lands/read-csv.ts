import Papa from 'papaparse';
import { ok, problem, refuse, type Pad, type Problem, type Result } from '../part';
import { roundMm } from './round-mm';

const COLUMNS = {
  number: /^(number|pad|pin|no|pad number|pad no|name)$/,
  x: /^(x|center x|centre x|pos x|x pos)$/,
  y: /^(y|center y|centre y|pos y|y pos)$/,
  w: /^(w|width|size x|dx|x size)$/,
  h: /^(h|height|size y|dy|y size|length)$/,
  shape: /^shape$/,
  slot: /^(slot|slot length|hole length)$/,
  drill: /^(drill|hole|drill diameter|hole diameter)$/,
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
  um: 0.001,
  µm: 0.001,
};
const SHAPES: Record<string, Pad['shape']> = {
  rect: 'rect',
  rectangle: 'rect',
  square: 'rect',
  roundrect: 'roundrect',
  rounded: 'roundrect',
  oval: 'oval',
  obround: 'oval',
  oblong: 'oval',
  circle: 'circle',
  round: 'circle',
};

/**
 * Reads pads from CSV with the columns number, x, y, w, h, shape, drill in any order. Lengths are mm, or as the heading
 * (`x_mil`, `x (in)`) or the value (`10mil`) says. Gives mm, y upwards. Refuses a list with any cell that is no length.
 */
export function readPadsCsv(text: string, file?: string): Result<Pad[]> {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { delimiter: delimiterOf(text) });
  const rows = data
    .map((cells, i) => ({ cells: cells.map((c) => c.trim()), line: i + 1 }))
    .filter((r) => r.cells.some((c) => c !== '') && !r.cells[0]?.startsWith('#'));
  const head = rows.shift();
  if (!head) return refuse(problem('input-empty', {}, { file }));
  const columns = head.cells.map(columnOf);
  const missing = (['number', 'x', 'y', 'w'] as const).find((c) => !columns.some((k) => k?.column === c));
  if (missing) return refuse(problem('land-column', { what: missing }, { file, line: head.line }));
  const problems: Problem[] = [];
  const pads = rows.map(({ cells, line }) => padOf(cells, columns, { file, line }, problems));
  if (problems.length > 0) return refuse(...problems.slice(0, 20));
  return pads.length > 0 ? ok(pads) : refuse(problem('input-empty', {}, { file }));
}

const delimiterOf = (text: string): string => {
  const head = text.split(/\r?\n/).find((l) => l.trim() !== '') ?? '';
  return head.includes('\t') ? '\t' : head.includes(';') ? ';' : ',';
};

type Heading = { column: Column; perUnit: number } | undefined;

function columnOf(heading: string): Heading {
  const unit = /(?:[\s_([]+)(mm|mils?|thou|in|inch|inches|um|µm)[\])]?$/i.exec(heading);
  const name = (unit ? heading.slice(0, unit.index) : heading)
    .toLowerCase()
    .replace(/[._-]+/g, ' ')
    .trim();
  const column = (Object.keys(COLUMNS) as Column[]).find((c) => COLUMNS[c].test(name));
  return column ? { column, perUnit: PER_UNIT[unit?.[1]!.toLowerCase() ?? 'mm']! } : undefined;
}

function padOf(cells: string[], columns: Heading[], at: { file: string | undefined; line: number }, problems: Problem[]): Pad {
  const cell = (column: Column) => {
    const i = columns.findIndex((c) => c?.column === column);
    return { text: cells[i] ?? '', perUnit: columns[i]?.perUnit ?? 1 };
  };
  const length = (column: Column, positive: boolean): number => {
    const { text, perUnit } = cell(column);
    const match = /^([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d{1,2})?)\s*([a-zµ]+)?$/i.exec(text);
    const unit = match?.[2] === undefined ? perUnit : PER_UNIT[match[2].toLowerCase()];
    const value = match && unit !== undefined ? Number(match[1]) * unit : NaN;
    if (!Number.isFinite(value) || Math.abs(value) > 2000 || (positive && value <= 0)) {
      problems.push(problem('land-number', { what: column, text }, at));
      return 1;
    }
    return roundMm(value);
  };
  const w = length('w', true);
  const h = cell('h').text === '' ? w : length('h', true);
  const shapeText = cell('shape').text.toLowerCase();
  const shape = shapeText === '' ? 'rect' : SHAPES[shapeText];
  if (!shape)
    problems.push(problem('land-value', { what: 'The shape', value: shapeText, need: 'rect, roundrect, oval and circle are known' }, at));
  const drill = ['', '0', '-'].includes(cell('drill').text) ? undefined : length('drill', true);
  const slot = ['', '0', '-'].includes(cell('slot').text) ? undefined : length('slot', true);
  return {
    number: cell('number').text,
    x: length('x', false),
    y: length('y', false),
    w,
    h,
    shape: shape ?? 'rect',
    ...(drill === undefined ? {} : { drill }),
    ...(slot === undefined ? {} : { slot }),
  };
}
