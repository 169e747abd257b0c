import {
  isFlank,
  carriesPower,
  problem,
  unitLabel,
  type Drawing,
  type Label,
  type Pin,
  type Port,
  type Problem,
  type Side,
  type Stroke,
} from '../../part';
import { inferType } from '../../intake';
import { atomOf, formIn, formsIn, isForm, numberOf, pointsOf, textOf, type Form } from './form';
import { gridOf } from './grid';
import { plainString } from './names';
import { figureAs, type ReadView } from './own-view';
import { designatorOf, nameOf } from './properties';

/** What a view is read with: the length of the file's unit, the wanted step, and where problems go. */
export interface Reading {
  /** Millimetres a unit of the file; undefined where it gives no scale. */
  unitMm: number | undefined;
  stepMm: number;
  packageId: string;
  file: string | undefined;
  problems: Problem[];
}

const CODES: Record<string, string> = { INPUT: 'I', OUTPUT: 'O', INOUT: 'I/O' };
const NO_LEGEND: ReadonlyMap<string, string> = new Map();

/**
 * Reads a symbol that another program wrote, by its geometry: the connect point of each port, the line from it to the
 * body, the figures of the body. Connect points that are not on the grid are moved to it and listed. A direction is less
 * than an electrical type: what name and direction say together is concluded as from a pin table, with doubts.
 */
export function readForeignView(view: Form, index: number, reading: Reading): ReadView | undefined {
  const face = formIn(view, 'interface');
  const symbol = formIn(face, 'symbol');
  if (!face || !symbol) return undefined;
  const pins = formsIn(face, 'port').flatMap((form) => pinOf(form, reading) ?? []);
  const implementations = formsIn(symbol, 'portimplementation').flatMap((form) => placeOf(form) ?? []);
  const grid = gridOf(
    implementations.map((i) => i.at),
    reading.unitMm,
    reading.stepMm,
  );
  const art = symbol.items.flatMap((i) => (isForm(i) ? artOf(i, reading) : []));
  const frame = frameOf(art, implementations, grid);
  const byId = new Map(pins.map((p) => [p.port, p.pin]));
  const binding: Record<string, string> = {};
  const ports = implementations.flatMap((place, i): Port[] => {
    const pin = byId.get(place.id);
    if (!pin) return [];
    binding[`t${i + 1}`] = pin.id;
    return [{ id: `t${i + 1}`, ...portAt(place, frame, grid, pin.name, reading) }];
  });
  const drawing: Drawing = {
    id: `d${index + 1}`,
    body: { shape: frame.isBlock ? 'block' : 'none', width: frame.width, height: frame.height, strip: 0 },
    ports,
    strokes: frame.isBlock ? [] : art.map((s) => scaled(s, frame, grid)),
    labels: labelsOf(symbol, frame, grid),
  };
  const label = unitLabel(index);
  return { unit: { id: `u${index + 1}`, label, title: '', drawing: drawing.id, binding }, drawing, pins };
}

function pinOf(form: Form, { packageId, problems, file }: Reading): { port: string; pin: Pin; index: number } | undefined {
  const name = nameOf(form.items[0]);
  if (!name) {
    problems.push(
      problem('edif-construct', { keyword: isForm(form.items[0]) ? form.items[0].keyword : 'port' }, { file, line: form.line }),
    );
    return undefined;
  }
  const direction = (atomOf(formIn(form, 'direction')) ?? '').toUpperCase();
  const told = formIn(form, 'unused') ? 'NC' : (CODES[direction] ?? '');
  const { type, because, doubt, confidence } = conclude(name.name, told);
  const designator = designatorOf(form);
  const pin: Pin = {
    id: `p-${name.id}`,
    name: name.name,
    type,
    pads: designator ? { [packageId]: designator.split(/[,\s]+/) } : {},
    because: { type: because },
    confidence,
    origin: { line: form.line },
    doubts: doubt ? [doubt] : [],
  };
  return { port: name.id, pin, index: form.line };
}

/** EDIF has no word for power: a supply that comes in is written as an input, and its name says what it is. */
function conclude(name: string, told: string): ReturnType<typeof inferType> {
  const named = inferType(name, undefined, '', NO_LEGEND);
  return carriesPower(named.type) && !named.doubt && told !== 'O' ? named : inferType(name, told, '', NO_LEGEND);
}

interface Implementation {
  id: string;
  at: [number, number];
  /** The end of its line at the body. */
  inner: [number, number] | undefined;
}

function placeOf(form: Form): Implementation | undefined {
  const id = nameOf(form.items[0])?.id;
  const location = formIn(form, 'connectlocation');
  const at = location ? formsIn(location, 'figure').flatMap((f) => f.items.flatMap((i) => (isForm(i) ? pointsOf(i) : [])))[0] : undefined;
  if (id === undefined || !at) return undefined;
  const ends = formsIn(form, 'figure').flatMap((f) => formsIn(f, 'path').flatMap((p) => pointsOf(p)));
  const far = ends.sort((a, b) => distance(b, at) - distance(a, at))[0];
  return { id, at, inner: far && distance(far, at) > 0 ? far : undefined };
}

const distance = (a: [number, number], b: [number, number]): number => Math.hypot(a[0] - b[0], a[1] - b[1]);

type Art = { kind: string; points: [number, number][]; radius?: number; text?: string };

/** The figures and texts of a symbol, in the file's units; what no stroke can show is listed. */
function artOf(form: Form, reading: Pick<Reading, 'problems' | 'file'>): Art[] {
  const { problems, file } = reading;
  if (form.keyword === 'figure')
    return form.items.slice(1).flatMap((i) => {
      if (!isForm(i) || i.keyword === 'comment' || i.keyword === 'dot') return [];
      const art = figureAs(i);
      if (art && art.points.length > 0) return [art];
      problems.push(problem('edif-construct', { keyword: i.keyword }, { file, line: i.line }));
      return [];
    });
  if (form.keyword === 'commentgraphics') return form.items.flatMap((i) => (isForm(i) ? artOf(i, reading) : []));
  if (form.keyword === 'annotate') {
    const shown = formIn(form, 'stringdisplay');
    const [at] = pointsOf(formIn(formIn(shown, 'display'), 'origin') ?? form);
    return at ? [{ kind: 'text', points: [at], text: plainString(textOf(shown) ?? '') }] : [];
  }
  if (!KNOWN.has(form.keyword)) problems.push(problem('edif-construct', { keyword: form.keyword }, { file, line: form.line }));
  return [];
}

const KNOWN = new Set([
  'portimplementation',
  'keyworddisplay',
  'propertydisplay',
  'property',
  'comment',
  'boundingbox',
  'pagesize',
  'userdata',
]);

/** The body's frame in steps: its centre in the file's grid, and whether one rectangle is all of its art. */
interface Frame {
  cx: number;
  cy: number;
  width: number;
  height: number;
  isBlock: boolean;
}

function frameOf(art: readonly Art[], pins: readonly Implementation[], grid: number): Frame {
  const solid = art.filter((a) => a.kind !== 'text');
  const points = solid.flatMap((a) =>
    a.points.flatMap(([x, y]): [number, number][] =>
      a.radius
        ? [
            [x - a.radius, y - a.radius],
            [x + a.radius, y + a.radius],
          ]
        : [[x, y]],
    ),
  );
  const of = points.length > 0 ? points : pins.map((p) => p.inner ?? p.at);
  const [xs, ys] = [of.map((p) => p[0] / grid), of.map((p) => p[1] / grid)];
  const span = (list: number[]) => {
    const [low, high] = list.length > 0 ? [Math.min(...list), Math.max(...list)] : [0, 0];
    const centre = Math.round((low + high) / 2);
    return { centre, size: Math.max(2, 2 * Math.ceil(Math.max(high - centre, centre - low) - 0.01)) };
  };
  const [x, y] = [span(xs), span(ys)];
  return {
    cx: x.centre,
    cy: y.centre,
    width: Math.min(400, x.size),
    height: Math.min(2000, y.size),
    isBlock: solid.length === 1 && isBox(solid[0]!) && art.length === 1,
  };
}

const isBox = ({ kind, points }: Art): boolean =>
  kind === 'rectangle' ||
  (kind === 'polygon' && new Set(points.map((p) => p[0])).size === 2 && new Set(points.map((p) => p[1])).size === 2);

function portAt(place: Implementation, frame: Frame, grid: number, name: string, { problems, file }: Reading): Omit<Port, 'id'> {
  const [x, y] = [place.at[0] / grid - frame.cx, place.at[1] / grid - frame.cy];
  const side = sideOf(place, x, y, frame);
  const flat = isFlank(side);
  const at = Math.round(flat ? y : x);
  const out = flat ? (side === 'left' ? -x : x) - frame.width / 2 : (side === 'base' ? -y : y) - frame.height / 2;
  const length = Math.min(40, Math.max(0, Math.round(out)));
  const off = Math.max(Math.abs((flat ? y : x) - at), Math.abs(out - length));
  if (off > 0.001) problems.push(problem('edif-snapped', { pin: name, by: Math.round(off * 100) / 100, to: `${side} ${at}` }, { file }));
  return { side, at, length };
}

function sideOf({ at, inner }: Implementation, x: number, y: number, { width, height }: Frame): Side {
  const [dx, dy] = inner ? [inner[0] - at[0], inner[1] - at[1]] : [0, 0];
  if (Math.abs(dx) > Math.abs(dy)) return dx > 0 ? 'left' : 'right';
  if (dy !== 0) return dy < 0 ? 'top' : 'base';
  const away: [Side, number][] = [
    ['left', Math.abs(x + width / 2)],
    ['right', Math.abs(x - width / 2)],
    ['top', Math.abs(y - height / 2)],
    ['base', Math.abs(y + height / 2)],
  ];
  return away.sort((a, b) => a[1] - b[1])[0]![0];
}

const hundredths = (value: number, grid: number, centre: number): number => Math.round((value / grid - centre) * 100);

function scaled(art: Art, { cx, cy }: Frame, grid: number): Stroke {
  return {
    kind: art.kind as Stroke['kind'],
    points: art.points.map(([x, y]): [number, number] => [hundredths(x, grid, cx), hundredths(y, grid, cy)]),
    ...(art.radius ? { radius: Math.max(1, Math.round((art.radius / grid) * 100)) } : {}),
    ...(art.text === undefined ? {} : { text: art.text }),
  };
}

const ANCHORS: Record<string, Label['anchor']> = { LEFT: 'start', RIGHT: 'end', CENTER: 'middle' };

/** Where reference and value are displayed; over the body where the file does not say. */
function labelsOf(symbol: Form, frame: Frame, grid: number): Label[] {
  const found = formsIn(symbol, 'keyworddisplay').flatMap((form): Label[] => {
    const kind = ({ designator: 'reference', instance: 'reference', cell: 'value' } as const)[(atomOf(form) ?? '').toLowerCase()];
    const display = formIn(form, 'display');
    const [at] = pointsOf(formIn(display, 'origin') ?? form);
    const justify = (atomOf(formIn(display, 'justify')) ?? '').toUpperCase();
    const anchor = ANCHORS[/(LEFT|RIGHT|CENTER)$/.exec(justify)?.[1] ?? 'LEFT']!;
    return kind && at ? [{ kind, x: hundredths(at[0], grid, frame.cx), y: hundredths(at[1], grid, frame.cy), anchor, size: 64 }] : [];
  });
  const has = (kind: Label['kind']) => found.some((l) => l.kind === kind);
  const [x, y] = [-frame.width * 50, frame.height * 50 + 50];
  return [
    ...found.filter((l, i) => found.findIndex((m) => m.kind === l.kind) === i),
    ...(has('reference') ? [] : [{ kind: 'reference' as const, x, y: y + 90, anchor: 'start' as const, size: 64 }]),
    ...(has('value') ? [] : [{ kind: 'value' as const, x, y, anchor: 'start' as const, size: 60 }]),
  ];
}

/** The scale of a library's numbers in millimetres a unit, where it gives one. */
export function unitOf(library: Form): number | undefined {
  const scale = formIn(formIn(formIn(library, 'technology'), 'numberdefinition'), 'scale');
  if (!scale || (atomOf(formIn(scale, 'unit')) ?? '').toUpperCase() !== 'DISTANCE') return undefined;
  const [units, metres] = [numberOf(scale.items[0]), numberOf(scale.items[1])];
  return units && metres ? (metres / units) * 1000 : undefined;
}
