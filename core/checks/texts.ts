import { nameOnDrawing, padsIn, type Drawing, type Unit } from '../part';
import { drawBody, drawLabels, drawPort, drawStrokes, textBox, type Box, type Primitive } from '../shapes';
import type { Facts, RawFinding } from './rule';

/** A text as drawn, with what a person calls it. */
interface DrawnText {
  what: string;
  isName: boolean;
  box: Box;
  pin: string | undefined;
}

/** Boxes that overlap by more than a hair. */
const overlap = (a: Box, b: Box): boolean =>
  Math.min(a.right, b.right) - Math.max(a.left, b.left) > 4 && Math.min(a.top, b.top) - Math.max(a.base, b.base) > 8;

/** The letters' own box: a line box is taller than the capitals in it. */
const inked = (box: Box): Box => ({ ...box, top: box.top - 8, base: box.base + 8 });

interface Drawn {
  texts: DrawnText[];
  lines: [number, number][][];
}

/** What each unit shows, worked out once for the rules that look at it. */
const known = new WeakMap<Facts, Map<string, Drawn>>();

function textsAndLines(facts: Facts, unit: Unit, drawing: Drawing): Drawn {
  const units = known.get(facts) ?? new Map<string, Drawn>();
  known.set(facts, units);
  const found = units.get(unit.id) ?? drawTexts(facts, unit, drawing);
  units.set(unit.id, found);
  return found;
}

/** All texts of a unit, and the lines that they must keep off: artwork, the title's rule, the lines of pins. */
function drawTexts(facts: Facts, unit: Unit, drawing: Drawing): Drawn {
  const texts: DrawnText[] = [];
  const lines: [number, number][][] = [];
  const add = (items: readonly Primitive[], pin?: { id: string; name: string }) => {
    for (const p of items) {
      if (p.kind === 'line')
        lines.push([[p.x1, p.y1], [p.x2, p.y2]]); // prettier-ignore
      else if (p.kind === 'polyline') lines.push(p.points);
      else if (p.kind === 'polygon' && !pin) lines.push([...p.points, p.points[0]!]);
      else if (p.kind === 'text' && p.text !== '' && p.role !== 'mark') {
        const what = pin ? (p.role === 'name' ? `the name ${pin.name}` : `the number of ${pin.name}`) : `the ${p.role}`;
        texts.push({ what, isName: p.role === 'name', box: textBox(p), pin: pin?.id });
      }
    }
  };
  add(drawBody(drawing, unit.title));
  add(drawStrokes(drawing));
  add(drawLabels(facts.part, unit, drawing));
  for (const port of drawing.ports) {
    const pin = facts.pinById.get(unit.binding[port.id] ?? '');
    if (pin) add(drawPort(drawing, port, pin, padsIn(pin, facts.part.packages[0]?.id)), { id: pin.id, name: nameOnDrawing(pin) });
  }
  return { texts: texts.sort((a, b) => b.box.top - a.box.top), lines };
}

/** Texts that overlap each other: of names alone, or of any where one is no name. */
export function overlappingTexts(facts: Facts, unit: Unit, drawing: Drawing, ofNames: boolean): RawFinding[] {
  const { texts } = textsAndLines(facts, unit, drawing);
  const found: RawFinding[] = [];
  // Sorted by height, so that only neighbours are compared and large units stay quick.
  texts.forEach((one, i) => {
    for (let k = i + 1; k < texts.length && texts[k]!.box.top > one.box.base; k++) {
      const other = texts[k]!;
      if ((one.isName && other.isName) !== ofNames || (one.pin !== undefined && one.pin === other.pin) || !overlap(one.box, other.box))
        continue;
      const pin = one.pin ?? other.pin;
      const message = ofNames
        ? `The names ${one.what.slice(9)} and ${other.what.slice(9)} overlap in unit ${unit.label}.`
        : `${one.what[0]!.toUpperCase()}${one.what.slice(1)} and ${other.what} overlap in unit ${unit.label}.`;
      found.push({ where: { ...(pin ? { pin } : {}), unit: unit.id }, message });
    }
  });
  return found.slice(0, 10);
}

/** Names and texts that a line runs through: of the artwork, of a body shape, of another pin. */
export function crossedTexts(facts: Facts, unit: Unit, drawing: Drawing): RawFinding[] {
  const { texts, lines } = textsAndLines(facts, unit, drawing);
  const rows = byRow(lines);
  return texts
    .filter((t) => {
      const box = inked(t.box);
      for (let row = rowOf(box.base); row <= rowOf(box.top); row++) if (rows.get(row)?.some((s) => crosses(box, s.from, s.to))) return true;
      return false;
    })
    .map((t) => ({
      where: { ...(t.pin ? { pin: t.pin } : {}), unit: unit.id },
      message: `A line runs through ${t.what} in unit ${unit.label}.`,
    }))
    .slice(0, 10);
}

interface Segment {
  from: [number, number];
  to: [number, number];
}

const rowOf = (y: number): number => Math.floor(y / 100);
/** Bodies are at most 2,000 steps tall; artwork beyond that is not followed. */
const MOST_ROWS = 4000;

/** Segments by the grid rows that they run through, so that a text is held only against those beside it. */
function byRow(lines: readonly [number, number][][]): Map<number, Segment[]> {
  const rows = new Map<number, Segment[]>();
  for (const line of lines)
    for (let i = 1; i < line.length; i++) {
      const segment = { from: line[i - 1]!, to: line[i]! };
      const [low, high] = [Math.min(segment.from[1], segment.to[1]), Math.max(segment.from[1], segment.to[1])];
      const last = Math.min(rowOf(high), rowOf(low) + MOST_ROWS);
      for (let row = rowOf(low); row <= last; row++) {
        const list = rows.get(row);
        if (list) list.push(segment);
        else rows.set(row, [segment]);
      }
    }
  return rows;
}

/** Whether a segment has a part of more than a hair inside a box (Liang and Barsky's clipping). */
function crosses(box: Box, [x1, y1]: [number, number], [x2, y2]: [number, number]): boolean {
  const [dx, dy] = [x2 - x1, y2 - y1];
  let [from, to] = [0, 1];
  for (const [p, q] of [
    [-dx, x1 - box.left],
    [dx, box.right - x1],
    [-dy, y1 - box.base],
    [dy, box.top - y1],
  ] as const) {
    if (p === 0 && q < 0) return false;
    if (p === 0) continue;
    const r = q / p;
    if (p < 0) from = Math.max(from, r);
    else to = Math.min(to, r);
  }
  return (to - from) * Math.hypot(dx, dy) > 4;
}
