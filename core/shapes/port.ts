import { bodyPoint, connectPoint, nameOnDrawing, type Body, type Pin, type Port } from '../part';
import { drawMarks, insideWidth, outsideWidth } from './marks';
import { NAME_INSET, NAME_SIZE, NUMBER_SIZE, STEP, type Primitive, type TextPrimitive } from './picture';

/** True where a name shows its low-active sense by an overbar; a name that carries a mark of its own shows that. */
export const hasOverbar = (pin: Pin): boolean => pin.activeLow === true && !/^[/!~\\]|[#*]$|_N$|_B$|^n[A-Z]/.test(nameOnDrawing(pin));

/** The number that stands over a pin's line: its pads in the package in view; a bundle says how many. */
export function numberText(pads: readonly string[]): string {
  if (pads.length <= 2) return pads.join(',');
  return `${pads[0]} ×${pads.length}`;
}

/** A pin as drawn: its line, marks, name and number. */
export function drawPort(body: Body, port: Port, pin: Pin | undefined, pads: readonly string[]): Primitive[] {
  const marks = port.marks ?? [];
  const inner = bodyPoint(body, port);
  const outer = connectPoint(body, port);
  const dir = { x: Math.sign(inner.x - outer.x), y: Math.sign(inner.y - outer.y) };
  const shorten = outsideWidth(marks);
  const [ix, iy] = [inner.x * STEP, inner.y * STEP];
  const out: Primitive[] = [
    {
      kind: 'line',
      x1: outer.x * STEP,
      y1: outer.y * STEP,
      x2: ix - dir.x * shorten,
      y2: iy - dir.y * shorten,
      weight: 'pin',
    },
    ...drawMarks(marks, port.side, ix, iy),
  ];
  if (pin && !port.hide?.includes('name')) out.push(nameOf(port, pin, ix, iy, insideWidth(marks)));
  if (pads.length > 0 && !port.hide?.includes('number')) out.push(numberOf(port, pads, ix, iy, outer, shorten));
  return out;
}

function nameOf(port: Port, pin: Pin, x: number, y: number, marksWidth: number): TextPrimitive {
  const inset = NAME_INSET + marksWidth;
  const text = {
    kind: 'text',
    text: nameOnDrawing(pin),
    size: NAME_SIZE,
    role: 'name',
    ...(hasOverbar(pin) ? { overbar: true } : {}),
  } as const;
  switch (port.side) {
    case 'left':
      return { ...text, x: x + inset, y, anchor: 'start' };
    case 'right':
      return { ...text, x: x - inset, y, anchor: 'end' };
    case 'top':
      return { ...text, x, y: y - inset, anchor: 'end', upright: true };
    case 'base':
      return { ...text, x, y: y + inset, anchor: 'start', upright: true };
  }
}

function numberOf(
  port: Port,
  pads: readonly string[],
  x: number,
  y: number,
  outer: { x: number; y: number },
  shorten: number,
): TextPrimitive {
  const middle = { x: (x + outer.x * STEP) / 2, y: (y + outer.y * STEP) / 2 };
  const text = { kind: 'text', text: numberText(pads), size: NUMBER_SIZE, anchor: 'middle', role: 'number' } as const;
  const rise = NUMBER_SIZE * 0.72;
  const nudge = shorten / 2;
  switch (port.side) {
    case 'left':
      return { ...text, x: middle.x - nudge, y: middle.y + rise };
    case 'right':
      return { ...text, x: middle.x + nudge, y: middle.y + rise };
    case 'top':
      return { ...text, x: middle.x - rise, y: middle.y + nudge, upright: true };
    case 'base':
      return { ...text, x: middle.x - rise, y: middle.y - nudge, upright: true };
  }
}
