import { padsIn, type Drawing, type Part, type Pin, type Unit } from '../part';
import { arcPoints } from './arc';
import { NAME_SIZE, STEP, type Primitive } from './picture';
import { drawPort } from './port';

/** The block body: an outline, and under the title strip a rule. */
export function drawBody(drawing: Drawing, title: string): Primitive[] {
  const { shape, width, height, strip } = drawing.body;
  if (shape === 'none') return [];
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
export function drawStrokes(drawing: Drawing): Primitive[] {
  return drawing.strokes.map((s): Primitive => {
    const [x, y] = s.points[0]!;
    if (s.kind === 'circle') return { kind: 'circle', x, y, r: s.radius ?? STEP, weight: 'body', ...(s.filled ? { filled: true } : {}) };
    if (s.kind === 'polygon') return { kind: 'polygon', points: s.points, weight: 'body', ...(s.filled ? { filled: true } : {}) };
    return { kind: 'polyline', points: s.kind === 'arc' ? arcPoints(s.points) : s.points, weight: 'body' };
  });
}

/** Reference, value and fields at their places. */
export function drawLabels(part: Part, unit: Unit, drawing: Drawing): Primitive[] {
  return drawing.labels.map((label) => ({
    kind: 'text' as const,
    x: label.x,
    y: label.y,
    text: labelText(part, unit, label),
    size: label.size,
    anchor: label.anchor,
    role: label.kind,
  }));
}

function labelText(part: Part, unit: Unit, label: Drawing['labels'][number]): string {
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
    return drawPort(drawing.body, port, pin, pin ? padsIn(pin, packageId) : []);
  });
  return [...drawBody(drawing, unit.title), ...drawStrokes(drawing), ...ports, ...drawLabels(part, unit, drawing)];
}
