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

/** The pad of a row, in mm; what is no length, shape or quarter turn is added to `wrong`. */
export function padOf(cell: Cell, reading: Reading, at: { file: string | undefined; line: number }, wrong: Problem[]): Pad {
  const { columns, isDecimalComma } = reading;
  const unit = cell('unit');
  const ofRow = unit === '' ? undefined : mmPerUnit(unit);
  const refused = (what: string, value: string, need: string) => void wrong.push(problem('land-value', { what, value, need }, at));
  if (unit !== '' && ofRow === undefined) refused('The unit', unit, 'mm, mil, inch and um are known');
  const perUnitOf = (column: Column) => columns.find((c) => c?.column === column)?.perUnit ?? ofRow ?? reading.perUnit;
  const read = (what: Column, text: string, isSize: boolean, column = what): number => {
    const mm = lengthMm(text, perUnitOf(column), isDecimalComma);
    if (mm !== undefined && !(isSize && mm <= 0)) return mm;
    wrong.push(problem('land-number', { what, text }, at));
    return 1;
  };
  const size = (what: Column) => read(what, cell(what), true);
  const has = (column: Column) => columns.some((c) => c?.column === column);
  const place = placeIn(cell('place'), isDecimalComma);
  const sizes = sizeIn(cell('size'));
  const axis = (a: 'x' | 'y', low: Column, high: Column): [middle: number, extent: number | undefined] => {
    if (has(a)) return [read(a, cell(a), false), undefined];
    if (has('place')) return [read(a, place.length === 2 ? place[a === 'x' ? 0 : 1]! : cell('place'), false, 'place'), undefined];
    const edges = [read(low, cell(low), false), read(high, cell(high), false)];
    return [roundMm((edges[0]! + edges[1]!) / 2), roundMm(Math.abs(edges[1]! - edges[0]!))];
  };
  const [x, between] = axis('x', 'x1', 'x2');
  const [y, high] = axis('y', 'y1', 'y2');
  const ofSize = (i: number) => read('size', sizes.length <= 2 ? sizes[Math.min(i, sizes.length - 1)]! : cell('size'), true);
  const isRound = !has('w') && !has('size') && between === undefined;
  const shapeText = cell('shape');
  const shape = shapeText === '' ? (isRound ? 'circle' : 'rect') : shapeIn(shapeText);
  if (!shape) refused('The shape', shapeText.toLowerCase(), 'rect, roundrect, oval and circle are known');
  const width = has('w') ? size('w') : has('size') ? ofSize(0) : (between ?? size('diameter'));
  // Only a circle may leave its height out where the others have one.
  const hasHeight = cell('h') !== '' || (has('h') && shape !== 'circle');
  const height = hasHeight ? size('h') : has('size') && !has('w') ? ofSize(1) : (high ?? width);
  const turn = Number(cell('turn').replace(/[°\s]|deg(rees)?/gi, '') || 0);
  if (turn % 90 !== 0 && shape !== 'circle') refused('The rotation', cell('turn'), '0, 90, 180 and 270 are known');
  // Edges are those of the pad as it lies.
  const isTurned = Math.abs(turn % 180) === 90 && between === undefined;
  const [w, h] = isTurned ? [height, width] : [width, height];
  return {
    number: cell('number'),
    x,
    y,
    w,
    h,
    shape: shape ?? 'rect',
    ...holeOf((column) => (isNone(cell(column)) ? undefined : size(column))),
    // What carries no copper carries no signal.
    ...(/^(no|n|false|0|npth|non[- ]plated)$/i.test(cell('plated')) ? { mechanical: true as const } : {}),
  };
}

/** A hole in mm; one that is longer one way is a slot. */
function holeOf(hole: (column: Column) => number | undefined): Pick<Pad, 'drill' | 'slot'> {
  const [along, across] = [hole('drill'), hole('drillY')];
  const isLonger = along !== undefined && across !== undefined && across !== along;
  const drill = isLonger ? Math.min(along, across) : along;
  const slot = hole('slot') ?? (isLonger ? Math.max(along, across) : undefined);
  return { ...(drill === undefined ? {} : { drill }), ...(slot === undefined ? {} : { slot }) };
}
