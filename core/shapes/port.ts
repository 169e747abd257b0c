import { isFlank, bodyPoint, connectPoint, nameOnDrawing, saysLow, type Drawing, type Pin, type Port } from '../part';
import { edgeInset, shapeOf } from './bodies';
import { drawMarks, insideWidth, outsideWidth } from './marks';
import { NAME_INSET, NAME_SIZE, NUMBER_SIZE, STEP, type Primitive, type TextPrimitive } from './picture';

/** What of a drawing its pins are drawn by. */
export type PortFrame = Pick<Drawing, 'body' | 'hide' | 'names'>;

/** True where a name shows its low-active sense by an overbar; a name that carries a mark of its own shows that. */
export const hasOverbar = (pin: Pin): boolean => pin.activeLow === true && !saysLow(nameOnDrawing(pin));

/** The number that stands over a pin's line: its pads in the package in view; a bundle says how many. */
export function numberText(pads: readonly string[]): string {
  if (pads.length <= 2) return pads.join(',');
  return `${pads[0]} ×${pads.length}`;
}

/** Whether a port's name or number is drawn: a shape that says itself which pin is which shows no names. */
export function isShown(what: 'name' | 'number', { body, hide }: PortFrame, port: Port): boolean {
  const shape = shapeOf(body);
  return !(what === 'name' && shape && !shape.names) && !hide?.includes(what) && !port.hide?.includes(what);
}

/** Whether a port's name runs upwards: on top and base, and turned ones on the flanks. */
const isUpright = (port: Port): boolean => !isFlank(port.side) !== (port.turned ?? false);

/** A pin as drawn: its line, marks, name and number. */
export function drawPort(frame: PortFrame, port: Port, pin: Pin | undefined, pads: readonly string[]): Primitive[] {
  const { body } = frame;
  const marks = port.marks ?? [];
  const outer = connectPoint(body, port);
  const edge = bodyPoint(body, port);
  const dir = { x: Math.sign(edge.x - outer.x), y: Math.sign(edge.y - outer.y) };
  const inset = edgeInset(body, port.side, port.at);
  const [x, y] = [edge.x * STEP + dir.x * inset, edge.y * STEP + dir.y * inset];
  const shorten = outsideWidth(marks);
  const end = { x: x - dir.x * shorten, y: y - dir.y * shorten };
  const out: Primitive[] = [
    { kind: 'line', x1: outer.x * STEP, y1: outer.y * STEP, x2: end.x, y2: end.y, weight: pin?.bits ? 'bus' : 'pin' },
    ...drawMarks(marks, port.side, x, y),
  ];
  const middle = { x: (end.x + outer.x * STEP) / 2, y: (end.y + outer.y * STEP) / 2 };
  if (pin?.bits) out.push(slash(middle.x, middle.y));
  if (pin && isShown('name', frame, port))
    out.push(
      frame.names === 'over'
        ? beside(port, middle, 'name', pin)
        : inside(port, pin, x, port.side === 'top' ? y - body.strip * STEP : y, insideWidth(marks)),
    );
  if (pads.length > 0 && isShown('number', frame, port)) out.push(beside(port, middle, 'number', pin, pads, frame.names));
  return out;
}

/** The stroke across a line that stands for several (IEC 60617-3, connecting lines). */
const slash = (x: number, y: number): Primitive => ({
  kind: 'polyline',
  points: [
    [x - 16, y - 26],
    [x + 16, y + 26],
  ],
  weight: 'mark',
});

const named = (pin: Pin) =>
  ({ kind: 'text', text: nameOnDrawing(pin), size: NAME_SIZE, role: 'name', ...(hasOverbar(pin) ? { overbar: true } : {}) }) as const;

/** A name inside the body, from its edge on. */
function inside(port: Port, pin: Pin, x: number, y: number, marksWidth: number): TextPrimitive {
  const inset = NAME_INSET + marksWidth;
  const text = named(pin);
  const upright = isUpright(port) ? { upright: true } : {};
  if (port.turned) {
    // Across its pin a name stands in the middle of the line's end, half its height further in.
    const deep = inset + NAME_SIZE / 2 - 18;
    const [dx, dy] = { left: [deep, 0], right: [-deep, 0], top: [0, -deep], base: [0, deep] }[port.side] as [number, number];
    return { ...text, x: x + dx, y: y + dy, anchor: 'middle', ...upright };
  }
  switch (port.side) {
    case 'left':
      return { ...text, x: x + inset, y, anchor: 'start' };
    case 'right':
      return { ...text, x: x - inset, y, anchor: 'end' };
    case 'top':
      return { ...text, x, y: y - inset, anchor: 'end', ...upright };
    case 'base':
      return { ...text, x, y: y + inset, anchor: 'start', ...upright };
  }
}

/** A text along a pin's line: its number over it, or, where names stand over the lines, under it. */
function beside(
  port: Port,
  middle: { x: number; y: number },
  role: 'name' | 'number',
  pin: Pin | undefined,
  pads: readonly string[] = [],
  names?: Drawing['names'],
): TextPrimitive {
  const size = role === 'name' ? NAME_SIZE : NUMBER_SIZE;
  const rise = size * 0.72 * (role === 'number' && names === 'over' ? -1 : 1);
  const number = pin?.bits ? `${numberText(pads)} /${pin.bits.length}` : numberText(pads);
  const text: Omit<TextPrimitive, 'x' | 'y'> =
    role === 'name' && pin ? { ...named(pin), anchor: 'middle' } : { kind: 'text', text: number, size, anchor: 'middle', role: 'number' };
  const flat = isFlank(port.side);
  return flat ? { ...text, x: middle.x, y: middle.y + rise } : { ...text, x: middle.x - rise, y: middle.y, upright: true };
}
