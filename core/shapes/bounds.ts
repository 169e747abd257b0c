import { textWidth } from './metrics';
import type { Primitive } from './picture';

export interface Box {
  left: number;
  right: number;
  top: number;
  base: number;
}

/** The box that holds all primitives, in hundredths of a step; texts by their exact advance. */
export function boundsOf(primitives: readonly Primitive[]): Box {
  const box = { left: 0, right: 0, top: 0, base: 0 };
  let first = true;
  const add = (x: number, y: number) => {
    if (first) Object.assign(box, { left: x, right: x, top: y, base: y });
    first = false;
    box.left = Math.min(box.left, x);
    box.right = Math.max(box.right, x);
    box.top = Math.max(box.top, y);
    box.base = Math.min(box.base, y);
  };
  for (const p of primitives) {
    if (p.kind === 'line') {
      add(p.x1, p.y1);
      add(p.x2, p.y2);
    } else if (p.kind === 'circle') {
      add(p.x - p.r, p.y - p.r);
      add(p.x + p.r, p.y + p.r);
    } else if (p.kind === 'text') {
      add(...textCorner(p, -1));
      add(...textCorner(p, 1));
    } else p.points.forEach(([x, y]) => add(x, y));
  }
  return box;
}

type Text = Extract<Primitive, { kind: 'text' }>;

/** The box of a text. Its y is the middle of the capital letters. */
export function textBox(p: Text): Box {
  const [x1, y1] = textCorner(p, -1);
  const [x2, y2] = textCorner(p, 1);
  return { left: Math.min(x1, x2), right: Math.max(x1, x2), top: Math.max(y1, y2), base: Math.min(y1, y2) };
}

function textCorner(p: Text, end: -1 | 1): [number, number] {
  const width = textWidth(p.text, p.size);
  const from = p.anchor === 'start' ? 0 : p.anchor === 'end' ? -width : -width / 2;
  const along = end < 0 ? from : from + width;
  const across = (p.size / 2) * end;
  return p.upright ? [p.x + across, p.y + along] : [p.x + along, p.y + across];
}
