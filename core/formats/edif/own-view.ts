import { drawingSchema, memberSchema, pinSchema, type Drawing, type Member, type Pin, type Unit } from '../../part';
import { formIn, formsIn, isForm, pointsOf, textOf, type Form } from './form';
import { plainString } from './names';
import { designatorOf, linesOf, nameOf, propertiesOf } from './properties';

/** A view with what it holds; pins by id with their place in the part's list. */
export interface ReadView {
  unit: Unit;
  drawing: Drawing;
  pins: { pin: Pin; index: number }[];
}

/** True for views that this program wrote: their properties say all that the geometry does not. */
export const isOwnView = (view: Form): boolean => propertiesOf(formIn(formIn(view, 'interface'), 'symbol')).has('BODY_SHAPE');

/** Reads a view as `writeEdif` writes it; undefined where its properties make no drawing. */
export function readOwnView(view: Form, packageId: string | undefined): ReadView | undefined {
  const face = formIn(view, 'interface')!;
  const symbol = formIn(face, 'symbol')!;
  const about = propertiesOf(view);
  const pins = formsIn(face, 'port').flatMap((port) => pinOf(port, packageId) ?? []);
  const pinOfPort = new Map(pins.map((p) => [p.port, p.pin.id]));
  const ports = formsIn(symbol, 'portimplementation').map((form) => ({ id: nameOf(form.items[0])?.id ?? '', said: propertiesOf(form) }));
  const label = nameOf(view.items[0])!
    .name.replace(/^UNIT_/i, '')
    .toUpperCase();
  const said = propertiesOf(symbol);
  const drawing = drawingSchema.safeParse({
    id: about.get('DRAWING') ?? label,
    body: {
      shape: said.get('BODY_SHAPE'),
      width: Number(said.get('WIDTH')),
      height: Number(said.get('HEIGHT')),
      strip: Number(said.get('STRIP')),
    },
    ports: ports.map(({ said: p }) => ({
      id: p.get('PORT'),
      side: p.get('SIDE'),
      at: Number(p.get('AT')),
      length: Number(p.get('LENGTH')),
      marks: linesOf(p, 'MARKS'),
      hide: linesOf(p, 'HIDE'),
      turned: p.has('TURNED') ? p.get('TURNED') === 'true' : undefined,
    })),
    hide: linesOf(said, 'HIDE'),
    names: said.get('NAMES'),
    family: said.get('FAMILY'),
    strokes: symbol.items.flatMap((i) => (isForm(i) ? (strokeOf(i) ?? []) : [])),
    labels: [...said].filter(([name]) => name.startsWith('LABEL_')).map(([, text]) => labelOf(text)),
  });
  if (!drawing.success || !/^[A-Z]{1,3}$/.test(label)) return undefined;
  const binding = Object.fromEntries(ports.flatMap((p) => (pinOfPort.has(p.id) ? [[p.said.get('PORT')!, pinOfPort.get(p.id)!]] : [])));
  const unit: Unit = { id: about.get('UNIT') ?? label, label, title: about.get('TITLE') ?? '', drawing: drawing.data.id, binding };
  return { unit, drawing: drawing.data, pins };
}

function pinOf(form: Form, packageId: string | undefined): { port: string; pin: Pin; index: number } | undefined {
  const name = nameOf(form.items[0]);
  const said = propertiesOf(form);
  const pads = Object.fromEntries(
    (linesOf(said, 'PADS') ?? []).map((line) => [line.slice(0, line.lastIndexOf(':')), line.slice(line.lastIndexOf(':') + 1).split(',')]),
  );
  const designator = designatorOf(form);
  const pin = pinSchema.safeParse({
    id: said.get('PIN'),
    name: name?.name,
    drawnName: said.get('DRAWN_NAME'),
    activeLow: said.has('ACTIVE_LOW') || undefined,
    type: said.get('TYPE'),
    description: said.get('DESCRIPTION'),
    alternates: linesOf(said, 'ALTERNATES'),
    group: said.get('GROUP'),
    rail: said.get('RAIL'),
    swapGroup: said.get('SWAP_GROUP'),
    shared: said.has('SHARED') || undefined,
    bits: linesOf(said, 'BITS'),
    members: membersIn(linesOf(said, 'MEMBERS')),
    pads: { ...(designator !== undefined && packageId !== undefined ? { [packageId]: designator.split(',') } : {}), ...pads },
  });
  return pin.success && name ? { port: name.id, pin: pin.data, index: Number(said.get('INDEX') ?? 0) } : undefined;
}

/** The terminals of a bundle as they were written; none where any of them is damaged, so that the pin itself stays. */
function membersIn(lines: readonly string[] | undefined): Member[] | undefined {
  try {
    const read = memberSchema.array().safeParse(lines?.map((line) => JSON.parse(line) as unknown));
    return read.success ? read.data : undefined;
  } catch {
    return undefined;
  }
}

/** A figure of the artwork; undefined for what belongs to the body or a text place. */
function strokeOf(form: Form): unknown {
  if (form.keyword === 'annotate') return artText(form);
  if (form.keyword !== 'figure') return undefined;
  const group = nameOf(form.items[0])?.name;
  if (group !== 'ART' && group !== 'ART_FILLED') return undefined;
  const filled = group === 'ART_FILLED' ? { filled: true } : {};
  const shape = form.items.find((i, n) => n > 0 && isForm(i)) as Form | undefined;
  return shape && { ...figureAs(shape), ...filled };
}

/** A figure as a stroke, in the file's units. */
export function figureAs(shape: Form): { kind: string; points: [number, number][]; radius?: number } | undefined {
  const points = pointsOf(shape);
  switch (shape.keyword) {
    case 'circle': {
      const [a, b] = points;
      if (!a || !b) return undefined;
      return { kind: 'circle', points: [[(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]], radius: Math.hypot(b[0] - a[0], b[1] - a[1]) / 2 };
    }
    case 'rectangle':
    case 'polygon':
      return { kind: shape.keyword, points };
    case 'path':
      return { kind: points.length === 2 ? 'line' : 'polyline', points };
    case 'openshape': {
      const curve = formIn(shape, 'curve');
      const arc = formIn(curve, 'arc');
      return arc ? { kind: 'arc', points: pointsOf(arc) } : curve ? { kind: 'polyline', points: pointsOf(curve) } : undefined;
    }
    default:
      return undefined;
  }
}

/** A text of the artwork stands under its figure group; others are the unit's title or a field. */
function artText(form: Form): unknown {
  const shown = formIn(form, 'stringdisplay');
  const display = formIn(shown, 'display');
  const override = formIn(display, 'figuregroupoverride');
  const [at] = pointsOf(formIn(display, 'origin') ?? form);
  if (!shown || !at || nameOf(override?.items[0])?.name !== 'ART') return undefined;
  const size = formIn(override, 'textheight')?.items[0];
  return {
    kind: 'text',
    points: [at],
    text: plainString(textOf(shown) ?? ''),
    ...(size && 'atom' in size ? { size: Number(size.atom) } : {}),
  };
}

function labelOf(text: string): unknown {
  const [kind, x, y, anchor, size, hidden, ...field] = text.split('\n');
  const name = field.join('\n');
  return {
    kind,
    x: Number(x),
    y: Number(y),
    anchor,
    size: Number(size),
    hidden: hidden === '' ? undefined : hidden === 'true',
    field: name === '' ? undefined : name,
  };
}
