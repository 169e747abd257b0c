import { padsIn, type Drawing, type Part, type Pin, type Stroke, type Unit } from '../part';
import { arcPoints } from './arc';
import { NAME_SIZE, STEP, type Primitive } from './picture';
import { drawShape } from './bodies';
import { drawPort } from './port';

/** The body: a shape of its own, or the block's outline with, under the title strip, a rule. */
export function drawBody(drawing: Drawing, title: string): Primitive[] {
  const { shape, width, height, strip } = drawing.body;
  if (shape === 'none') return [];
  if (shape !== 'block') return drawShape(drawing.body, drawing.ports);
  const [right, top] = [(width / 2) * STEP, (height / 2) * STEP];
  const out: Primitive[] = [
    {
      kind: 'polygon',
      points: [
        [-right, top],
        [right, top],
        [right, -top],
        [-right, -top],
      ],
      weight: 'body',
      filled: true,
    },
  ];
  if (strip > 0) {
    const y = top - strip * STEP;
    out.push({ kind: 'line', x1: -right, y1: y, x2: right, y2: y, weight: 'rule' });
    out.push({
      kind: 'text',
      x: -right + 30,
      y: top - (strip * STEP) / 2,
      text: title,
      size: NAME_SIZE * 0.94,
      anchor: 'start',
      role: 'title',
    });
  }
  return out;
}

/** Artwork of a drawing that no body shape covers. An arc runs through its three points. */
export const drawStrokes = (drawing: Drawing): Primitive[] => drawing.strokes.map(drawStroke);

function drawStroke({ kind, points, radius, filled, text, size }: Stroke): Primitive {
  const [x, y] = points[0]!;
  const fill = filled ? { filled: true } : {};
  switch (kind) {
    case 'circle':
      return { kind, x, y, r: radius ?? STEP, weight: 'body', ...fill };
    case 'polygon':
      return { kind, points, weight: 'body', ...fill };
    case 'rectangle': {
      const [x2, y2] = points[1] ?? [x, y];
      const corners: [number, number][] = [
        [x, y],
        [x2, y],
        [x2, y2],
        [x, y2],
      ];
      return { kind: 'polygon', points: corners, weight: 'body', ...fill };
    }
    case 'text':
      return { kind, x, y, text: text ?? '', size: size ?? NAME_SIZE, anchor: 'start', role: 'mark' };
    default:
      return { kind: 'polyline', points: kind === 'arc' ? arcPoints(points) : points, weight: 'body' };
  }
}

/** What a part's labels say comes from these. */
export type Labelled = Pick<Part, 'name' | 'reference' | 'fields' | 'units'>;

/** Reference, value and fields at their places. */
export function drawLabels(part: Labelled, unit: Unit, drawing: Drawing): Primitive[] {
  return drawing.labels
    .filter((l) => !l.hidden)
    .map((label) => ({
      kind: 'text' as const,
      x: label.x,
      y: label.y,
      text: labelText(part, unit, label),
      size: label.size,
      anchor: label.anchor,
      role: label.kind,
    }));
}

export function labelText(part: Labelled, unit: Unit, label: Drawing['labels'][number]): string {
  if (label.kind === 'reference') return `${part.reference || '?'}${part.reference ? '?' : ''}${part.units.length > 1 ? unit.label : ''}`;
  if (label.kind === 'value') return part.name;
  return part.fields.find((f) => f.name === label.field)?.value ?? '';
}

/** A unit as drawn, in hundredths of a grid step, y upwards. */
export function drawUnit(part: Part, unit: Unit, packageId = part.packages[0]?.id): Primitive[] {
  const drawing = part.drawings.find((d) => d.id === unit.drawing);
  if (!drawing) return [];
  const pins = new Map<string, Pin>(part.pins.map((p) => [p.id, p]));
  const ports = drawing.ports.flatMap((port) => {
    const pin = pins.get(unit.binding[port.id] ?? '');
    return drawPort(drawing, port, pin, pin ? padsIn(pin, packageId) : []);
  });
  return [...drawBody(drawing, unit.title), ...drawStrokes(drawing), ...ports, ...drawLabels(part, unit, drawing)];
}
