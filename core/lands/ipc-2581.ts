import { ok, problem, refuse, type Land, type Package, type Pad, type Problem, type Result } from '../part';
import { xmlText } from '../formats';
import { FARTHEST_MM, MOST_PADS } from './limits';
import { roundMm } from './round-mm';
import { childOf, childrenOf, descendantsOf, readXml, type Element } from './xml';

/** A land as a file gives it. */
export interface ReadLand {
  name: string;
  land: Land;
}

export interface ReadLands {
  packages: ReadLand[];
  problems: Problem[];
}

/** Millimetres a unit (IPC-2581B, 4.1.1.7: units of CadHeader and of the dictionaries). */
const UNITS: Record<string, number> = { MILLIMETER: 1, MICRON: 0.001, INCH: 25.4, MILS: 0.0254 };

interface Reading {
  file: string | undefined;
  perUnit: number;
  shapes: Map<string, { element: Element; perUnit: number }>;
  stacks: Map<string, Element>;
  /** What each layer is for, by its name. */
  layers: Map<string, string>;
  problems: Problem[];
}

type Shape = Pick<Pad, 'w' | 'h' | 'shape'>;

/**
 * Reads the packages of an IPC-2581 document (IPC-2581B, 8.2.3.10 Package): pins with number, place, rotation and a shape,
 * given in place or by its dictionary entry; where a package has a land pattern, its pads count. Gives mm, y upwards. A pin
 * without a readable place or shape is refused with its line; free outlines are taken by their box, and that is said.
 */
export function readIpc2581(text: string, file?: string): Result<ReadLands> {
  const root = readXml(text, file);
  if (!root.ok) return root;
  const elements = descendantsOf(root.value, 'Package');
  if (elements.length === 0) return refuse(problem('ipc-none', {}, { file }));
  const header = descendantsOf(root.value, 'CadHeader')[0];
  const units = header?.attributes['units'] ?? descendantsOf(root.value, 'DictionaryStandard')[0]?.attributes['units'];
  const perUnit = units === undefined ? undefined : UNITS[units.toUpperCase()];
  if (perUnit === undefined) return refuse(problem('ipc-units', { units: units ?? 'none' }, { file, line: header?.line }));
  const reading: Reading = { file, perUnit, shapes: new Map(), stacks: new Map(), layers: new Map(), problems: [] };
  for (const { attributes } of descendantsOf(root.value, 'Layer'))
    if (attributes['name'] !== undefined) reading.layers.set(attributes['name'], attributes['layerFunction'] ?? '');
  for (const dictionary of [...descendantsOf(root.value, 'DictionaryStandard'), ...descendantsOf(root.value, 'DictionaryUser')]) {
    const own = UNITS[(dictionary.attributes['units'] ?? '').toUpperCase()] ?? perUnit;
    for (const entry of dictionary.children)
      if (entry.attributes['id'] !== undefined && entry.children[0])
        reading.shapes.set(entry.attributes['id'], { element: entry.children[0], perUnit: own });
  }
  for (const stack of [...descendantsOf(root.value, 'PadStackDef'), ...descendantsOf(root.value, 'PadstackDef')])
    if (stack.attributes['name'] !== undefined) reading.stacks.set(stack.attributes['name'], stack);
  const wrong: Problem[] = [];
  const packages = elements.map((element) => packageOf(element, reading, wrong));
  return wrong.length > 0 ? refuse(...wrong.slice(0, 20)) : ok({ packages, problems: reading.problems });
}

function packageOf(element: Element, reading: Reading, wrong: Problem[]): ReadLand {
  const pattern = childOf(element, 'LandPattern');
  const pads = pattern ? childrenOf(pattern, 'Pad') : [];
  const pins = pads.length > 0 ? pads : childrenOf(element, 'Pin');
  const at = { file: reading.file, line: element.line };
  if (pins.length > MOST_PADS) wrong.push(problem('table-large', { limit: MOST_PADS }, at));
  if (pins.length === 0) wrong.push(problem('ipc-pins', { name: element.attributes['name'] ?? '' }, at));
  const isMechanical = (pin: Element) => pin.attributes['electricalType'] === 'MECHANICAL';
  const mechanical = new Set(childrenOf(element, 'Pin').flatMap((pin) => (isMechanical(pin) ? numberOf(pin) : [])));
  const height = Number(element.attributes['height']) * reading.perUnit;
  const outline = boxOf(childOf(element, 'Outline'), reading.perUnit);
  const land: Land = {
    pads: pins.slice(0, MOST_PADS).flatMap((pin) => padOf(pin, mechanical, reading, wrong) ?? []),
    ...(height > 0 ? { heightMm: roundMm(height) } : {}),
    ...(outline && outline.w > 0 && outline.h > 0 ? { body: { w: roundMm(outline.w), h: roundMm(outline.h) } } : {}),
  };
  return { name: element.attributes['name'] ?? '', land };
}

const numberOf = (pin: Element): string =>
  pin.attributes['number'] ?? childOf(pin, 'PinRef')?.attributes['pin'] ?? pin.attributes['name'] ?? '';

function padOf(pin: Element, mechanical: ReadonlySet<string>, reading: Reading, wrong: Problem[]): Pad | undefined {
  const at = { file: reading.file, line: pin.line };
  const number = numberOf(pin);
  const location = childOf(pin, 'Location');
  const read = (name: string): number => {
    const value = Number(location?.attributes[name] ?? NaN) * reading.perUnit;
    if (!Number.isFinite(value) || Math.abs(value) > FARTHEST_MM)
      wrong.push(problem('ipc-value', { what: name, pin: number, text: location?.attributes[name] ?? '' }, at));
    return roundMm(value);
  };
  const [x, y] = [read('x'), read('y')];
  const stack = reading.stacks.get(pin.attributes['padstackDefRef'] ?? '');
  const hole = descendantsOf(stack ?? pin, 'PadstackHoleDef')[0]?.attributes;
  const drill = Number(hole?.['diameter']) * reading.perUnit;
  const shape = shapeIn(pin, reading) ?? (stack ? shapeIn(copperOf(stack, reading) ?? stack, reading) : undefined);
  if (!shape || !(shape.w > 0) || !(shape.h > 0)) {
    wrong.push(problem('ipc-shape', { pin: number }, at));
    return undefined;
  }
  const turned = quarterTurns(pin, number, reading);
  const { w, h } = turned ? { w: shape.h, h: shape.w } : shape;
  return {
    number,
    x,
    y,
    w: roundMm(w),
    h: roundMm(h),
    shape: shape.shape,
    ...(drill > 0 ? { drill: roundMm(drill) } : {}),
    // A hole that is not plated carries no copper.
    ...(mechanical.has(number) || hole?.['platingStatus'] === 'NONPLATED' ? { mechanical: true } : {}),
  };
}

/** What of a pad stack is the pad itself: neither clearance nor thermal relief, on a layer of copper (IPC-2581B, padUse REGULAR). */
function copperOf(stack: Element, { layers }: Reading): Element | undefined {
  const pads = childrenOf(stack, 'PadstackPadDef');
  const isCopper = (pad: Element) => {
    const layer = pad.attributes['layerRef'] ?? '';
    const use = layers.get(layer);
    return use ? /^(?:CONDUCTOR|SIGNAL|PLANE|MIXED|CONDFILM)/i.test(use) : !/mask|paste|silk|solder/i.test(layer);
  };
  const regular = pads.filter((pad) => /^REGULAR$/i.test(pad.attributes['padUse'] ?? 'REGULAR'));
  return regular.find(isCopper) ?? regular[0] ?? pads[0];
}

/** Whether a rotation exchanges width and height. Pads have no angle here: one between the quarters is said. */
function quarterTurns(pin: Element, number: string, reading: Reading): boolean {
  const angle = Number(childOf(pin, 'Xform')?.attributes['rotation'] ?? 0);
  const quarters = angle / 90;
  if (!Number.isFinite(quarters) || Math.abs(quarters - Math.round(quarters)) > 0.01)
    reading.problems.push(problem('ipc-angle', { pin: number, angle: String(angle) }, { file: reading.file, line: pin.line }));
  return Number.isFinite(quarters) && Math.abs(Math.round(quarters)) % 2 === 1;
}

/** The standard primitive that a pin has, in place or by reference (IPC-2581B, 3.4 standard primitives). */
function shapeIn(owner: Element, reading: Reading): Shape | undefined {
  for (const child of owner.children) {
    const reference = /Ref$/.test(child.name) ? reading.shapes.get(child.attributes['id'] ?? '') : undefined;
    const found = reference ? shapeOf(reference.element, reference.perUnit, reading) : shapeOf(child, reading.perUnit, reading);
    if (found) return found;
  }
  return undefined;
}

function shapeOf(element: Element, perUnit: number, reading: Reading): Shape | undefined {
  const size = (name: string) => Number(element.attributes[name]) * perUnit;
  const [w, h] = [size('width'), size('height')];
  switch (element.name) {
    case 'RectCenter':
    case 'RectCham':
      return { w, h, shape: 'rect' };
    case 'RectRound':
      return { w, h, shape: 'roundrect' };
    case 'RectCorner':
      return {
        w: Math.abs(size('upperRightX') - size('lowerLeftX')),
        h: Math.abs(size('upperRightY') - size('lowerLeftY')),
        shape: 'rect',
      };
    case 'Oval':
    case 'Ellipse':
      return { w, h, shape: 'oval' };
    case 'Circle':
    case 'Donut':
      return {
        w: size(element.name === 'Circle' ? 'diameter' : 'outerDiameter'),
        h: size(element.name === 'Circle' ? 'diameter' : 'outerDiameter'),
        shape: 'circle',
      };
    case 'Contour':
    case 'Polygon':
    case 'Octagon':
    case 'Hexagon':
    case 'Diamond':
    case 'UserSpecial': {
      const box = boxOf(element, perUnit) ?? (w > 0 ? { w, h: h > 0 ? h : w } : undefined);
      if (box) reading.problems.push(problem('ipc-outline', { shape: element.name }, { file: reading.file, line: element.line }));
      return box && { ...box, shape: 'rect' };
    }
    default:
      return undefined;
  }
}

/** The box around all points of an outline. */
function boxOf(element: Element | undefined, perUnit: number): { w: number; h: number } | undefined {
  if (!element) return undefined;
  const points = [element, ...element.children.flatMap((c) => [c, ...c.children])]
    .flatMap((e) => e.children.filter((c) => /^Poly(Begin|StepSegment|StepCurve)$/.test(c.name)))
    .map((p) => [Number(p.attributes['x']) * perUnit, Number(p.attributes['y']) * perUnit] as const)
    .filter(([x, y]) => Number.isFinite(x) && Number.isFinite(y));
  if (points.length < 2) return undefined;
  const span = (axis: 0 | 1) => Math.max(...points.map((p) => p[axis])) - Math.min(...points.map((p) => p[axis]));
  return { w: span(0), h: span(1) };
}

const shapeId = ({ shape, w, h }: Pad): string => `${shape.toUpperCase()}_${w}x${h}`;

function primitive({ shape, w, h }: Pad): string {
  switch (shape) {
    case 'circle':
      return `<Circle diameter="${w}"/>`;
    case 'oval':
      return `<Oval width="${w}" height="${h}"/>`;
    case 'roundrect':
      return `<RectRound width="${w}" height="${h}" radius="${roundMm(Math.min(w, h) / 4)}" upperRight="true" upperLeft="true" lowerRight="true" lowerLeft="true"/>`;
    default:
      return `<RectCenter width="${w}" height="${h}"/>`;
  }
}

/**
 * The lands of packages as an IPC-2581B document: one Package each, pins by number with their place and the dictionary
 * entry of their shape, holes as pad stacks; mm. Lands without pads are left out.
 */
export function writeIpc2581(name: string, packages: readonly Package[]): string {
  const lands = packages.filter((p) => p.land.pads.length > 0);
  const shapes = new Map(lands.flatMap((p) => p.land.pads).map((pad) => [shapeId(pad), primitive(pad)]));
  const drills = [...new Set(lands.flatMap((p) => p.land.pads.flatMap((pad) => (pad.drill ? [pad.drill] : []))))].sort((a, b) => a - b);
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    '<IPC-2581 revision="B" xmlns="http://webstds.ipc.org/2581">',
    '  <Content roleRef="Owner">',
    '    <FunctionMode mode="USERDEF" level="1"/>',
    `    <StepRef name="${xmlText(name)}"/>`,
    '    <DictionaryStandard units="MILLIMETER">',
    ...[...shapes].map(([id, shape]) => `      <EntryStandard id="${id}">${shape}</EntryStandard>`),
    '    </DictionaryStandard>',
    '  </Content>',
    `  <Ecad name="${xmlText(name)}">`,
    '    <CadHeader units="MILLIMETER"/>',
    '    <CadData>',
    `      <Step name="${xmlText(name)}">`,
    ...drills.map(
      (d) =>
        `        <PadStackDef name="HOLE_${d}"><PadstackHoleDef name="HOLE_${d}" diameter="${d}" platingStatus="PLATED" plusTol="0" minusTol="0" x="0" y="0"/></PadStackDef>`,
    ),
    ...lands.flatMap(packageLines),
    '      </Step>',
    '    </CadData>',
    '  </Ecad>',
    '</IPC-2581>',
    '',
  ].join('\n');
}

function packageLines({ name, land }: Package): string[] {
  const body = land.body;
  const outline = body
    ? [
        '          <Outline>',
        `            <Polygon><PolyBegin x="${roundMm(-body.w / 2)}" y="${roundMm(-body.h / 2)}"/>${[
          [1, -1],
          [1, 1],
          [-1, 1],
          [-1, -1],
        ]
          .map(([x, y]) => `<PolyStepSegment x="${roundMm((body.w / 2) * x!)}" y="${roundMm((body.h / 2) * y!)}"/>`)
          .join('')}</Polygon>`,
        '            <LineDesc lineEnd="ROUND" lineWidth="0.1"/>',
        '          </Outline>',
      ]
    : [];
  return [
    `        <Package name="${xmlText(name)}" type="OTHER" pinOne="${xmlText(land.pads[0]!.number)}" pinOneOrientation="OTHER"${land.heightMm ? ` height="${land.heightMm}"` : ''}>`,
    ...outline,
    ...land.pads.map((pad) => {
      const kind = `type="${pad.drill ? 'THRU' : 'SURFACE'}" electricalType="${pad.mechanical ? 'MECHANICAL' : 'ELECTRICAL'}"`;
      const hole = pad.drill ? ` padstackDefRef="HOLE_${pad.drill}"` : '';
      return `          <Pin number="${xmlText(pad.number)}" ${kind}${hole}><Location x="${pad.x}" y="${pad.y}"/><StandardPrimitiveRef id="${shapeId(pad)}"/></Pin>`;
    }),
    '        </Package>',
  ];
}
