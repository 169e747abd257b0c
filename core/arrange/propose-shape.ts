import {
  anyNumber,
  compareNatural,
  compareTerminals,
  groupBy,
  isFlank,
  type ElectricalType,
  type Part,
  type Pin,
  type Side,
} from '../part';
import { SHAPES, type BodyDef, type ShapeName, type ShapePort } from '../shapes';
import { canBe, canTell, isCounted, isCountedOnly, isWiper, tellsShape } from './shape-roles';

/** A body shape for a unit, with the pin that each of its ports would be bound to. */
export interface ShapeProposal {
  shape: ShapeName;
  /** In the order of the shape's ports. */
  bound: { port: ShapePort; pin: Pin }[];
  /** Pins that the shape has no port for; they are put where there is room. */
  left: Pin[];
  /** What it gives out is negated, as the words say. */
  inverted: boolean;
  /** What could not be known: which polarity, which end. */
  doubts: string[];
  /** 0 to 1. */
  confidence: number;
}

/** The ports that a shape has for so many inputs: gates take any number, one step apart above two. */
function portsFor(def: BodyDef, pins: readonly Pin[]): ShapePort[] {
  const inputs = pins.filter((p) => p.type === 'input').length;
  if (!def.manyInputs || inputs <= 2) return def.ports;
  const top = Math.floor(inputs / 2);
  const more = Array.from({ length: inputs }, (_, i): ShapePort => {
    const at = top - i;
    return { role: 'input', side: 'left', at: inputs % 2 === 0 && at <= 0 ? at - 1 : at };
  });
  return [...more, ...def.ports.filter((p) => p.role !== 'input')];
}

/** Binds pins to the ports of a shape, each to one; the most ports that can be had, in their order. */
function bindPorts(ports: readonly ShapePort[], pins: readonly Pin[]): Map<ShapePort, Pin> {
  const pinOf = new Map<ShapePort, Pin>();
  const portOf = new Map<string, ShapePort>();
  const seek = (port: ShapePort, seen: Set<string>): boolean => {
    // Those that are free first, so that ends keep the order of their numbers.
    for (const pin of [...pins].sort((a, b) => Number(portOf.has(a.id)) - Number(portOf.has(b.id)))) {
      if (seen.has(pin.id) || !canBe(pin, port.role)) continue;
      seen.add(pin.id);
      const holder = portOf.get(pin.id);
      if (holder && !seek(holder, seen)) continue;
      pinOf.set(port, pin);
      portOf.set(pin.id, port);
      return true;
    }
    return false;
  };
  for (const port of [...ports.filter((p) => !p.optional), ...ports.filter((p) => p.optional)]) seek(port, new Set());
  return pinOf;
}

const TWINS: Partial<Record<ShapeName, [ShapeName, string]>> = {
  npn: ['pnp', 'NPN or PNP'],
  pnp: ['npn', 'NPN or PNP'],
  nmos: ['pmos', 'N-channel or P-channel'],
  pmos: ['nmos', 'N-channel or P-channel'],
  njf: ['pjf', 'N-channel or P-channel'],
  pjf: ['njf', 'N-channel or P-channel'],
  amplifier: ['comparator', 'an amplifier or a comparator'],
  comparator: ['amplifier', 'an amplifier or a comparator'],
};

const wordsOfPart = (part: Part): string =>
  [part.category, part.description, ...part.keywords, ...part.models.map((m) => m.chosen), hasCoil(part) ? 'relay' : ''].join(' ');

/** What has contacts, and a coil as EN 50005 marks it, is a relay. */
const hasCoil = ({ pins }: Part): boolean =>
  ['A1', 'A2'].every((name) => pins.some((p) => p.name === name)) && pins.some((p) => /\bcontact\b/i.test(p.description ?? ''));

const wordsOfPins = (pins: readonly Pin[]): string => pins.map((p) => p.description ?? '').join(' ');

/** The words that can speak for a shape: those of the part, and of the unit's pins where these are named or name it. */
const wordsFor = (part: Part, pins: readonly Pin[], def: BodyDef): string =>
  def.ports.some((p) => isCounted(p.role)) && !areOfOne(pins, def) ? wordsOfPart(part) : `${wordsOfPart(part)} ${wordsOfPins(pins)}`;

/**
 * Whether pins that are only counted are all said to be of one thing of several, `Terminal A of potentiometer 4`: a plain
 * `Timing resistor` is what is to be connected there.
 */
function areOfOne(pins: readonly Pin[], { words }: BodyDef): boolean {
  const named = new RegExp(`(?:${words.source}) ?#?(\\d+|[A-H])\\b`, 'i');
  const figures = new Set(pins.map((p) => named.exec(p.description ?? '')?.[1]));
  return figures.size === 1 && !figures.has(undefined);
}

/** Those of some shapes that words name. */
const namedBy = (words: string, shapes: readonly ShapeName[]): ShapeName[] => shapes.filter((s) => SHAPES[s].words.test(words));

/** The pins of a unit in the order of their numbers. */
const unitPins = (part: Part, unitId: string): Pin[] => {
  const bound = new Set(Object.values(part.units.find((u) => u.id === unitId)?.binding ?? {}));
  return part.pins.filter((p) => bound.has(p.id)).sort((a, b) => compareTerminals(anyNumber(a), anyNumber(b)));
};

const TELLS_SENSE = /\binvert|\bbuffers?\b|\breceiver|\bschmitt\b/i;

/** Both polarities in one part: which of its units has which, the part's own words do not say. */
const OF_BOTH = /\bcomplementary\b|\bn\s*[/&+]\s*p\b|\bnpn\s*[/&+]\s*pnp\b/i;

/** True where the words of the unit's own pins, or those of the part where the pins have none, tell this shape and not its twin. */
function isThis(shape: ShapeName, other: ShapeName, part: Part, pins: readonly Pin[]): boolean {
  const own = namedBy(wordsOfPins(pins), [shape, other]);
  const whole = wordsOfPart(part);
  const named = own.length > 0 || OF_BOTH.test(whole) ? own : namedBy(whole, [shape, other]);
  return named.length === 1 && named[0] === shape;
}

const GATES: readonly ShapeName[] = ['and', 'or', 'xor'];

/** True where the words name gates of several kinds, `NAND, NOR or XOR`, and the unit's own pins not just this one. */
function saysOtherGate(shape: ShapeName, part: Part, pins: readonly Pin[]): boolean {
  const own = namedBy(wordsOfPins(pins), GATES);
  const named = own.length > 0 ? own : namedBy(wordsOfPart(part), GATES);
  return named.some((gate) => !shape.startsWith(gate));
}

/** How a shape would take a unit's pins; undefined where it lacks a pin that it cannot be read without. */
export const proposeShape = (part: Part, unitId: string, shape: ShapeName): ShapeProposal | undefined =>
  proposeFor(part, unitPins(part, unitId), shape);

function proposeFor(part: Part, pins: readonly Pin[], shape: ShapeName): ShapeProposal | undefined {
  const def = SHAPES[shape];
  const ports = shape === 'contacts' ? contactPorts(pins) : portsFor(def, pins);
  const ends = shape === 'choke' ? byWinding(pins) : shape === 'potentiometer' && pins.some(isWiper) ? byName(pins) : pins;
  const firsts = ends === pins ? oneOfEach(pins) : ends;
  const pinOf = shape === 'contacts' ? new Map(ports.map((p, i) => [p, pins[i]!])) : bindPorts(ports, firsts);
  if (ports.some((p) => !p.optional && !pinOf.has(p))) return undefined;
  const bound = withTwins(
    ports.flatMap((port) => (pinOf.has(port) ? [{ port, pin: pinOf.get(port)! }] : [])),
    pins,
  );
  const taken = new Set(bound.map((b) => b.pin.id));
  const words = wordsFor(part, pins, def);
  const twin = TWINS[shape];
  const said = (twin ? isThis(shape, twin[0], part, pins) : def.words.test(words)) || tellsShape(shape, bound);
  const doubts = twin && !said ? [`Nothing says whether it is ${twin[1]}.`] : [];
  const ofNumbers = new Set(bound.flatMap((b) => (isCountedOnly(b.pin, b.port.role) ? [b.port.role] : [])));
  if (ofNumbers.size > 2 && ends === pins && !(shape === 'contacts' && said))
    doubts.push('The ends are taken in the order of their numbers.');
  // A driver may invert, and what is called so alone does not say whether.
  if (/^buffer/.test(shape) && /\bdrivers?\b/i.test(words) && !TELLS_SENSE.test(words))
    doubts.push('Nothing says whether its output is inverted.');
  if (def.manyInputs && saysOtherGate(shape, part, pins)) doubts.push('Nothing says which of its gates this is.');
  const confidence = said ? 0.95 : def.needsWords ? 0.2 : twin ? 0.4 : 0.7;
  return { shape, bound, left: pins.filter((p) => !taken.has(p.id)), inverted: def.inverted?.test(words) ?? false, doubts, confidence };
}

const FLANK = [-1, 1, -2];
/** Where further pins of one electrode stand, after the first at 1; the driver's return has its own place at 2 of the base. */
const BESIDE: Partial<Record<Side, readonly number[]>> = { top: [0, -1, 2, -2], base: [0, -1, -2], left: FLANK, right: FLANK };
const MOST_BESIDE = 7;

/** With the pins that have the name of a bound one beside it, where the shape lets its port repeat. */
function withTwins(bound: ShapeProposal['bound'], pins: readonly Pin[]): ShapeProposal['bound'] {
  const out = [...bound];
  for (const pin of pins) {
    if (out.some((b) => b.pin === pin)) continue;
    const twin = bound.find((b) => b.port.repeats && b.pin.name === pin.name && canBe(pin, b.port.role));
    const at = twin && BESIDE[twin.port.side]?.find((at) => !out.some((b) => b.port.side === twin.port.side && b.port.at === at));
    if (twin && at !== undefined) out.push({ port: { ...twin.port, at }, pin });
  }
  return [...groupBy(out, (b) => b.port.role).values()].flatMap((of) => (of[0]!.port.repeats ? inOrder(of, pins) : of));
}

/** Pins of one electrode from left to right, or downwards, as they are numbered. */
function inOrder(of: ShapeProposal['bound'], pins: readonly Pin[]): ShapeProposal['bound'] {
  const downwards = isFlank(of[0]!.port.side) ? -1 : 1;
  const ports = of.map((b) => b.port).sort((a, b) => (a.at - b.at) * downwards);
  return pins.filter((p) => of.some((b) => b.pin === p)).map((pin, i) => ({ port: ports[i]!, pin }));
}

/** One pin of each name before those that have a name again, which are the same end. */
const oneOfEach = (pins: readonly Pin[]): Pin[] => {
  const names = groupBy(pins, (p) => p.name);
  return [...pins].sort((a, b) => names.get(a.name)!.indexOf(a) - names.get(b.name)!.indexOf(b));
};

/** A before B, whatever their numbers: each of several potentiometers is drawn the same way round. */
const byName = (pins: readonly Pin[]): Pin[] => [...pins].sort((a, b) => compareNatural(a.name, b.name));

/** The two windings of a choke by what tells them apart, a word or a figure; the pins as they are where nothing does. */
function byWinding(pins: readonly Pin[]): readonly Pin[] {
  const [upper, lower, ...more] = groupBy(pins, windingOf).values();
  const areTwo = upper?.length === 2 && lower?.length === 2 && more.length === 0;
  return areTwo ? [upper[0]!, lower[0]!, lower[1]!, upper[1]!] : pins;
}
const windingOf = ({ name, description }: Pin): string | undefined =>
  /\bwinding ([a-d1-4])\b/i.exec(description ?? '')?.[1]?.toLowerCase() ?? /^(?:[A-Z]*)(\d)/.exec(name)?.[1];

/** A connector's contacts, in two columns where they are many. */
function contactPorts(pins: readonly Pin[]): ShapePort[] {
  const rows = pins.length > 6 ? Math.ceil(pins.length / 2) : pins.length;
  const top = Math.floor(rows / 2);
  return pins.map((_, i) => {
    const right = rows < pins.length && i % 2 === 1;
    const row = rows < pins.length ? Math.floor(i / 2) : i;
    return { role: String(i + 1), side: right ? 'right' : 'left', at: top - row };
  });
}

/** More pins than any part has that is drawn as a shape: what has more is not looked at. */
const mostPins = ({ ports, manyInputs, box }: BodyDef): number =>
  ports.length + (manyInputs ? 12 : 0) + (box ? 4 : 0) + (ports.some((p) => p.repeats) ? MOST_BESIDE : 0);
const IDLE: ReadonlySet<ElectricalType> = new Set(['no-connect', 'reserved']);

/**
 * The shapes that a unit's pins call for, the surest first: all of the shape's ports and all of the unit's pins find each
 * other, and where pins alone say too little, the part's words speak for it.
 */
export function suggestShapes(part: Part, unitId: string): ShapeProposal[] {
  const pins = unitPins(part, unitId);
  const shapes = (Object.keys(SHAPES) as ShapeName[]).filter((shape) => shape === 'contacts' || pins.length <= mostPins(SHAPES[shape]));
  const called = new Set(
    shapes.filter((shape) => !SHAPES[shape].needsWords || SHAPES[shape].words.test(wordsFor(part, pins, SHAPES[shape]))),
  );
  return shapes
    .filter((shape) => called.has(shape) || canTell(shape))
    .flatMap((shape) => proposeFor(part, pins, shape) ?? [])
    .filter((p) => called.has(p.shape) || tellsShape(p.shape, p.bound))
    .filter((p) => p.bound.length > 0 && p.left.every((pin) => !!SHAPES[p.shape].box && IDLE.has(pin.type)))
    .filter((p) => p.shape !== 'buffer' || p.confidence > 0.9)
    .sort(
      (a, b) =>
        b.confidence - a.confidence ||
        Number(!!SHAPES[b.shape].needsWords) - Number(!!SHAPES[a.shape].needsWords) ||
        b.bound.length - a.bound.length,
    );
}
