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

/** All texts of a unit, and the lines that they must keep off: artwork, the title's rule, the lines of pins. */
function textsAndLines(facts: Facts, unit: Unit, drawing: Drawing): { texts: DrawnText[]; lines: [number, number][][] } {
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
  const segments = lines.flatMap((line) => line.slice(1).map((to, i) => ({ from: line[i]!, to })));
  return texts
    .filter((t) => segments.some((s) => crosses(inked(t.box), s.from, s.to)))
    .map((t) => ({
      where: { ...(t.pin ? { pin: t.pin } : {}), unit: unit.id },
      message: `A line runs through ${t.what} in unit ${unit.label}.`,
    }))
    .slice(0, 10);
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
