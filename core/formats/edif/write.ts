import {
  memberSchema,
  connectPoint,
  nameOnDrawing,
  padsIn,
  type Drawing,
  type ElectricalType,
  type Label,
  type Part,
  type Pin,
  type Port,
  type Stroke,
  type Unit,
} from '../../part';
import { drawBody, drawPort, labelText, type Primitive } from '../../shapes';
import { edifString, Identifiers } from './names';

/**
 * Writing EDIF 2 0 0 (EIA-548-1988), level 0: one library, one cell a part, one schematic view a unit, whose symbol has a
 * port implementation for each pin. Coordinates are hundredths of a grid step, so connect points are whole hundreds and the
 * scale says how long a hundredth is; the file has seven bits only. What EDIF has no word for (the electrical type beyond
 * a direction, marks, the side a pin is on) stands in properties, from which the reader gives back the very same symbol.
 */
type Node = string | Node[];

const form = (keyword: string, ...items: Node[]): Node[] => [keyword, ...items];
const text = (value: string): Node => edifString(value);
const property = (name: string, value: string): Node => form('property', name, form('string', text(value)));
const whole = (name: string, value: number): Node => form('property', name, form('integer', String(value)));
const flag = (name: string): Node => form('property', name, form('boolean', form('true')));
const rename = (ids: Identifiers, name: string): Node => named(ids.of(name), name);
const named = (id: string, name: string): Node => (id === name ? id : form('rename', id, text(name)));
const point = (x: number, y: number): Node => form('pt', String(Math.round(x)), String(Math.round(y)));

/** The cell and views of a part as an EDIF file; `stepMm` is the length of a grid step. */
export function writeEdif(part: Part, stepMm = 2.54): string {
  const ids = new Identifiers();
  const cell = rename(ids, part.name);
  const file: Node = form(
    'edif',
    rename(new Identifiers(), part.name),
    form('edifVersion', '2', '0', '0'),
    form('edifLevel', '0'),
    form('keywordMap', form('keywordLevel', '0')),
    form(
      'library',
      'SYMBOLS',
      form('edifLevel', '0'),
      form('technology', form('numberDefinition', form('scale', '1', scaleOf(stepMm), form('unit', 'DISTANCE'))), ...FIGURE_GROUPS),
      form('cell', cell, form('cellType', 'GENERIC'), ...part.units.map((unit) => viewOf(part, unit)), ...aboutPart(part)),
    ),
    form(
      'design',
      new Identifiers().of(part.name),
      form('cellRef', typeof cell === 'string' ? cell : String(cell[1]), form('libraryRef', 'SYMBOLS')),
    ),
  );
  return `${print(file, '')}\n`;
}

/** A hundredth of a step in metres, as mantissa and exponent of ten. */
function scaleOf(stepMm: number): Node {
  let [mantissa, exponent] = [Math.round(stepMm * 1e6), -11];
  while (mantissa % 10 === 0) [mantissa, exponent] = [mantissa / 10, exponent + 1];
  return form('e', String(mantissa), String(exponent));
}

const FIGURE_GROUPS: Node[] = [
  ...(['BODY', 'RULE', 'PIN', 'MARK', 'CONNECT', 'ART'] as const).map((name, i) =>
    form('figureGroup', name, form('pathWidth', String([9, 4, 7, 5, 0, 9][i]))),
  ),
  form('figureGroup', 'ART_FILLED', form('pathWidth', '9'), form('fillPattern', '1', '1', form('boolean', form('true')))),
  ...['NAME', 'NUMBER', 'TITLE', 'TEXT'].map((name) => form('figureGroup', name, form('textHeight', '64'))),
];

const optional = (name: string, value: string | undefined): Node[] => (value === undefined || value === '' ? [] : [property(name, value)]);
const list = (name: string, values: readonly string[] | undefined): Node[] => (values ? [property(name, values.join('\n'))] : []);

function aboutPart(part: Part): Node[] {
  const fields = new Identifiers();
  return [
    ...optional('DESCRIPTION', part.description),
    ...optional('MAKER', part.maker),
    ...optional('CATEGORY', part.category),
    ...optional('REFERENCE', part.reference),
    ...optional('BASE_NAME', part.baseName),
    ...optional('HOUSE_NUMBER', part.houseNumber),
    ...(part.orderCodes.length > 0 ? list('ORDER_CODES', part.orderCodes) : []),
    ...(part.keywords.length > 0 ? list('KEYWORDS', part.keywords) : []),
    ...part.packages.map((p, i) => property(`PACKAGE_${i + 1}`, `${p.id}\n${p.name}`)),
    // A field's name need be no identifier, so it stands before its value.
    ...part.fields.map((f) =>
      property(fields.of(`FIELD_${f.name}`), `${f.name}\n${f.drawn === undefined ? '' : String(f.drawn)}\n${f.value}`),
    ),
    ...part.pins
      .filter((p) => !part.units.some((u) => Object.values(u.binding).includes(p.id)))
      .map((p) => property(`UNDRAWN_${p.id}`, p.name)),
  ];
}

const DIRECTIONS: Partial<Record<ElectricalType, string>> = {
  input: 'INPUT',
  'supply-in': 'INPUT',
  ground: 'INPUT',
  output: 'OUTPUT',
  'three-state': 'OUTPUT',
  'open-drain': 'OUTPUT',
  'open-source': 'OUTPUT',
  'supply-out': 'OUTPUT',
  bidirectional: 'INOUT',
  passive: 'INOUT',
};

function viewOf(part: Part, unit: Unit): Node {
  const drawing = part.drawings.find((d) => d.id === unit.drawing)!;
  const pins = new Map(part.pins.map((p) => [p.id, p]));
  const ids = new Identifiers();
  const ports = drawing.ports.flatMap((port) => {
    const pin = pins.get(unit.binding[port.id] ?? '');
    return pin ? [{ port, pin, id: ids.of(pin.name) }] : [];
  });
  const reference = `${part.reference || 'U'}?`;
  return form(
    'view',
    `UNIT_${unit.label}`,
    form('viewType', 'SCHEMATIC'),
    form(
      'interface',
      ...ports.map(({ pin, id }) => portOf(part, pin, id)),
      form('designator', text(reference)),
      form('symbol', ...ports.map((p) => implementationOf(part, drawing, p)), ...bodyOf(unit, drawing), ...labelsOf(part, unit, drawing)),
    ),
    property('TITLE', unit.title),
    property('UNIT', unit.id),
    property('DRAWING', drawing.id),
  );
}

function portOf(part: Part, pin: Pin, id: string): Node {
  const [first, ...others] = part.packages;
  const pads = padsIn(pin, first?.id);
  const direction = DIRECTIONS[pin.type];
  const elsewhere = others.filter((p) => padsIn(pin, p.id).length > 0).map((p) => `${p.id}:${padsIn(pin, p.id).join(',')}`);
  return form(
    'port',
    named(id, pin.name),
    ...(direction ? [form('direction', direction)] : []),
    ...(pin.type === 'no-connect' ? [form('unused')] : []),
    ...(pads.length > 0 ? [form('designator', text(pads.join(',')))] : []),
    property('PIN', pin.id),
    whole('INDEX', part.pins.indexOf(pin) + 1),
    property('TYPE', pin.type),
    ...(pin.activeLow ? [flag('ACTIVE_LOW')] : []),
    ...(pin.shared ? [flag('SHARED')] : []),
    ...optional('DRAWN_NAME', pin.drawnName),
    ...optional('DESCRIPTION', pin.description),
    ...optional('GROUP', pin.group),
    ...optional('RAIL', pin.rail),
    ...optional('SWAP_GROUP', pin.swapGroup),
    ...list('ALTERNATES', pin.alternates),
    ...list('BITS', pin.bits),
    ...list(
      'MEMBERS',
      pin.members?.map(({ origin: _origin, ...member }) => JSON.stringify(memberSchema.parse(member))),
    ),
    ...(elsewhere.length > 0 ? list('PADS', elsewhere) : []),
  );
}

const JUSTIFY = { start: 'CENTERLEFT', middle: 'CENTERCENTER', end: 'CENTERRIGHT' } as const;

type Text = Extract<Primitive, { kind: 'text' }>;
const display = (group: string, p: Pick<Text, 'x' | 'y' | 'anchor' | 'upright' | 'size'>): Node =>
  form(
    'display',
    form('figureGroupOverride', group, form('textHeight', String(Math.round(p.size)))),
    form('justify', JUSTIFY[p.anchor]),
    form('orientation', p.upright ? 'R90' : 'R0'),
    form('origin', point(p.x, p.y)),
  );

function implementationOf(part: Part, drawing: Drawing, { port, pin, id }: { port: Port; pin: Pin; id: string }): Node {
  const drawn = drawPort(drawing, port, pin, padsIn(pin, part.packages[0]?.id));
  const texts = drawn.filter((p) => p.kind === 'text');
  const name = texts.find((t) => t.role === 'name');
  const number = texts.find((t) => t.role === 'number');
  const { x, y } = connectPoint(drawing.body, port);
  return form(
    'portImplementation',
    name ? form('name', id, display('NAME', name)) : id,
    form('connectLocation', form('figure', 'CONNECT', form('dot', point(x * 100, y * 100)))),
    ...drawn.filter((p) => p.kind !== 'text').map((p) => figureOf(p, p.kind === 'line' ? 'PIN' : 'MARK')),
    ...(number ? [form('keywordDisplay', 'designator', display('NUMBER', number))] : []),
    property('PORT', port.id),
    property('SIDE', port.side),
    whole('AT', port.at),
    whole('LENGTH', port.length),
    ...list('MARKS', port.marks),
    ...list('HIDE', port.hide),
    ...(port.turned === undefined ? [] : [property('TURNED', String(port.turned))]),
    // A name may differ from what is drawn; the drawn one stands here for readers that show properties only.
    ...(nameOnDrawing(pin) === pin.name ? [] : [property('SHOWN', nameOnDrawing(pin))]),
  );
}

const path = (points: readonly (readonly [number, number])[]): Node => form('pointList', ...points.map(([x, y]) => point(x, y)));

function figureOf(p: Primitive, group: string): Node {
  switch (p.kind) {
    case 'line':
      return form(
        'figure',
        group,
        form(
          'path',
          path([
            [p.x1, p.y1],
            [p.x2, p.y2],
          ]),
        ),
      );
    case 'circle':
      return form('figure', group, form('circle', point(p.x - p.r, p.y), point(p.x + p.r, p.y)));
    case 'text':
      return form(
        'commentGraphics',
        form('annotate', form('stringDisplay', text(p.text), display(p.role === 'title' ? 'TITLE' : 'TEXT', p))),
      );
    default:
      return form('figure', group, form(p.kind === 'polygon' ? 'polygon' : 'path', path(p.points)));
  }
}

function bodyOf(unit: Unit, drawing: Drawing): Node[] {
  const { shape, width, height, strip } = drawing.body;
  return [
    ...drawBody(drawing, unit.title).map((p) => figureOf(p, p.kind !== 'text' && p.weight === 'rule' ? 'RULE' : 'BODY')),
    ...drawing.strokes.map(strokeOf),
    property('BODY_SHAPE', shape),
    whole('WIDTH', width),
    whole('HEIGHT', height),
    whole('STRIP', strip),
    ...list('HIDE', drawing.hide),
    ...optional('NAMES', drawing.names),
    ...optional('FAMILY', drawing.family),
  ];
}

function strokeOf({ kind, points, radius = 100, filled, text: words = '', size = 64 }: Stroke): Node {
  const group = filled ? 'ART_FILLED' : 'ART';
  const [x, y] = points[0]!;
  switch (kind) {
    case 'circle':
      return form('figure', group, form('circle', point(x - radius, y), point(x + radius, y)));
    case 'rectangle':
      return form('figure', group, form('rectangle', ...points.slice(0, 2).map(([a, b]) => point(a, b))));
    case 'polygon':
      return form('figure', group, form('polygon', path(points)));
    case 'arc':
      return form('figure', group, form('openShape', form('curve', form('arc', ...points.slice(0, 3).map(([a, b]) => point(a, b))))));
    case 'text':
      return form('annotate', form('stringDisplay', text(words), display('ART', { x, y, anchor: 'start', size })));
    default:
      return form('figure', group, form('path', path(points)));
  }
}

function labelsOf(part: Part, unit: Unit, drawing: Drawing): Node[] {
  const place = (l: Label) => display('TEXT', { ...l });
  const shown = drawing.labels.flatMap((label): Node[] => {
    if (label.hidden) return [];
    if (label.kind === 'reference') return [form('keywordDisplay', 'designator', place(label))];
    if (label.kind === 'value') return [form('keywordDisplay', 'cell', place(label))];
    return [form('commentGraphics', form('annotate', form('stringDisplay', text(labelText(part, unit, label)), place(label))))];
  });
  const kept = drawing.labels.map((l, i) =>
    property(
      `LABEL_${i + 1}`,
      [l.kind, String(l.x), String(l.y), l.anchor, String(l.size), l.hidden === undefined ? '' : String(l.hidden), l.field ?? ''].join(
        '\n',
      ),
    ),
  );
  return [...shown, ...kept];
}

/** Short forms stand on one line, longer ones open. */
function print(node: Node, indent: string): string {
  if (typeof node === 'string') return node;
  const flat = flatten(node);
  if (indent.length + flat.length <= 118) return flat;
  const [keyword, ...items] = node;
  const inner = `${indent} `;
  // What names a form stays beside its keyword.
  const head = items.length > 0 && (typeof items[0] === 'string' || items[0]![0] === 'rename') ? ` ${flatten(items.shift()!)}` : '';
  return `(${keyword as string}${head}${items.map((i) => `\n${inner}${print(i, inner)}`).join('')})`;
}

const flatten = (node: Node): string => (typeof node === 'string' ? node : `(${node.map(flatten).join(' ')})`);
