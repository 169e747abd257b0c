import { problem, type Pad, type Problem } from '../../part';
import { roundMm } from '../round-mm';
import type { Column, Heading } from './columns';
import { isNone, lengthMm, mmPerUnit, placeIn, shapeIn, sizeIn } from './lengths';

/** How the rows of a list are read. */
export interface Reading {
  columns: readonly (Heading | undefined)[];
  /** Millimetres a unit where neither cell, row nor heading says it. */
  perUnit: number;
  isDecimalComma: boolean;
}

/** The text of a row under a column, empty where there is none. */
export type Cell = (column: Column) => string;
export const cellIn =
  (cells: readonly string[], columns: readonly (Heading | undefined)[]): Cell =>
  (column) =>
    cells[columns.findIndex((c) => c?.column === column)] ?? '';

/** The columns that hold lengths every pad has. */
export const LENGTHS: Column[] = ['x', 'y', 'w', 'h', 'place', 'size', 'x1', 'x2', 'y1', 'y2', 'diameter'];

/** `Total: 8 pads`, `Note: centred on the body`: words where a number stands, and no length. */
export const isRemark = (cell: Cell): boolean =>
  LENGTHS.every((c) => !/\d/.test(cell(c))) && (cell('number') === '' || /[\s:]/.test(cell('number')));

/** A row with what reads its cells; what they hold that cannot be is added to the list's faults. */
interface Row {
  cell: Cell;
  has: (column: Column) => boolean;
  isDecimalComma: boolean;
  /** A length in mm, of a cell or a piece of one. */
  mm: (column: Column, text?: string) => number;
  /** A length in mm that is over 0. */
  size: (column: Column, text?: string) => number;
  refuse: (what: string, value: string, need: string) => void;
}

/** The pad of a row, in mm; what is no length, shape or quarter turn is added to `wrong`. */
export function padOf(cell: Cell, reading: Reading, at: { file: string | undefined; line: number }, wrong: Problem[]): Pad {
  const row = rowOf(cell, reading, at, wrong);
  const { x, y, edges } = placeOf(row);
  const shape = shapeOf(row, edges !== undefined);
  const { w, h } = sizeOf(row, edges, shape);
  return {
    number: cell('number'),
    x,
    y,
    // Edges are those of the pad as it lies.
    ...(isTurned(row, shape) && !edges ? { w: h, h: w } : { w, h }),
    shape,
    ...holeOf((column) => (isNone(cell(column)) ? undefined : row.size(column))),
    // What carries no copper carries no signal.
    ...(/^(no|n|false|0|npth|non[- ]plated)$/i.test(cell('plated')) ? { mechanical: true as const } : {}),
  };
}

function rowOf(
  cell: Cell,
  { columns, perUnit, isDecimalComma }: Reading,
  at: { file: string | undefined; line: number },
  wrong: Problem[],
): Row {
  // prettier-ignore
  const refuse = (what: string, value: string, need: string) => void wrong.push(problem('land-value', { what, value, need }, at));
  const unit = cell('unit');
  const ofRow = unit === '' ? undefined : mmPerUnit(unit);
  if (unit !== '' && ofRow === undefined) refuse('The unit', unit, 'mm, mil, inch and um are known');
  const read = (column: Column, text: string, least: number): number => {
    const own = columns.find((c) => c?.column === column)?.perUnit;
    const mm = lengthMm(text, own ?? ofRow ?? perUnit, isDecimalComma);
    if (mm !== undefined && mm > least) return mm;
    wrong.push(problem('land-number', { what: column, text }, at));
    return 1;
  };
  return {
    cell,
    has: (column) => columns.some((c) => c?.column === column),
    isDecimalComma,
    mm: (column, text = cell(column)) => read(column, text, -Infinity),
    size: (column, text = cell(column)) => read(column, text, 0),
    refuse,
  };
}

/** A pad's centre; where its edges are given, its extent too. */
function placeOf({ cell, has, mm, isDecimalComma }: Row): { x: number; y: number; edges?: { w: number; h: number } } {
  if (has('x')) return { x: mm('x'), y: mm('y') };
  if (has('place')) {
    const [x, y, ...more] = placeIn(cell('place'), isDecimalComma);
    if (y === undefined || more.length > 0) return { x: mm('place'), y: 0 };
    return { x: mm('place', x), y: mm('place', y) };
  }
  const [x1, x2, y1, y2] = [mm('x1'), mm('x2'), mm('y1'), mm('y2')];
  const edges = { w: roundMm(Math.abs(x2 - x1)), h: roundMm(Math.abs(y2 - y1)) };
  return { x: roundMm((x1 + x2) / 2), y: roundMm((y1 + y2) / 2), edges };
}

function shapeOf({ cell, has, refuse }: Row, hasEdges: boolean): Pad['shape'] {
  const text = cell('shape');
  // A diameter alone is a circle's.
  if (text === '') return has('w') || has('size') || hasEdges ? 'rect' : 'circle';
  const shape = shapeIn(text);
  if (!shape) refuse('The shape', text.toLowerCase(), 'rect, roundrect, oval and circle are known');
  return shape ?? 'rect';
}

function sizeOf({ cell, has, size }: Row, edges: { w: number; h: number } | undefined, shape: Pad['shape']): { w: number; h: number } {
  if (has('w')) {
    const w = size('w');
    // Only a circle may leave its height out where the others have one.
    return { w, h: cell('h') !== '' || (has('h') && shape !== 'circle') ? size('h') : w };
  }
  if (has('size')) {
    const [w, h, ...more] = sizeIn(cell('size'));
    const given = size('size', more.length === 0 ? w : undefined);
    return { w: given, h: h === undefined || more.length > 0 ? given : size('size', h) };
  }
  if (edges) return edges;
  const across = size('diameter');
  return { w: across, h: across };
}

/** Whether a quarter turn exchanges width and height; a circle may be turned by anything. */
function isTurned({ cell, refuse }: Row, shape: Pad['shape']): boolean {
  const turn = Number(cell('turn').replace(/[°\s]|deg(rees)?/gi, '') || 0);
  if (turn % 90 !== 0 && shape !== 'circle') refuse('The rotation', cell('turn'), '0, 90, 180 and 270 are known');
  return Math.abs(turn % 180) === 90;
}

/** A hole in mm; one that is longer one way is a slot. */
function holeOf(hole: (column: Column) => number | undefined): Pick<Pad, 'drill' | 'slot'> {
  const [along, across] = [hole('drill'), hole('drillY')];
  const isLonger = along !== undefined && across !== undefined && across !== along;
  const drill = isLonger ? Math.min(along, across) : along;
  const slot = hole('slot') ?? (isLonger ? Math.max(along, across) : undefined);
  return { ...(drill === undefined ? {} : { drill }), ...(slot === undefined ? {} : { slot }) };
}
