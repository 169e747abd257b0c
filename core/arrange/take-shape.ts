import {
  anyNumber,
  isFlank,
  applyEdit,
  carriesPower,
  compareTerminals,
  goesOut,
  nameOnDrawing,
  type Drawing,
  type Edit,
  type HouseRules,
  type Part,
  type Pin,
  type Side,
} from '../part';
import { SHAPES, type BodyDef, type ShapeName, type ShapePort } from '../shapes';
import { rolesOf, withoutChannel } from '../spice';
import { tidyUnit } from './arrange';
import { labelsFor } from './draw';

/** A body shape for a unit, with the pin that each of its ports would be bound to. */
export interface ShapeProposal {
  shape: ShapeName;
  /** In the order of the shape's ports. */
  bound: { port: ShapePort; pin: Pin }[];
  /** Pins that the shape has no port for; they are put where there is room. */
  left: Pin[];
  /** What could not be known: which polarity, which end. */
  doubts: string[];
  /** 0 to 1. */
  confidence: number;
}

/** Roles by what is counted, not named: the ends of a resistor, the contacts of a relay. */
const isCounted = (role: string): boolean => /^([12345]|[ps][12]|coil[12]|contact[12]|~[12])$/.test(role);

function canBe(pin: Pin, role: string): boolean {
  if (isCounted(role)) return pin.type === 'passive' || pin.type === 'unspecified';
  const name = withoutChannel(nameOnDrawing(pin));
  if (role === '+' || role === '-') return name.replace('−', '-').endsWith(role) || rolesOf(name).has(role === '+' ? 'anode' : 'cathode');
  if (['com', 'no', 'nc'].includes(role)) return name.toLowerCase() === role || (role === 'com' && /^(c|common|pole)$/i.test(name));
  if (role === 'supply-' && pin.type === 'ground') return true;
  if (role === 'ground' || role.startsWith('supply')) {
    const named = rolesOf(name);
    return (
      carriesPower(pin.type) &&
      (named.has(role) ||
        (role === 'ground' ? pin.type === 'ground' : role === 'supply+' && pin.type === 'supply-in' && !named.has('supply-')))
    );
  }
  const roles = rolesOf(name);
  if (roles.has(role)) return role !== 'input' || !goesOut(pin.type);
  if (role === 'input') return pin.type === 'input' && !['in+', 'in-', 'enable', 'bypass', 'feedback'].some((r) => roles.has(r));
  if (role === 'output') return goesOut(pin.type);
  return role === 'input' && pin.type === 'supply-in';
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
    for (const pin of pins) {
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
};

const wordsOfPart = (part: Part): string =>
  [part.category, part.description, ...part.keywords, ...part.models.map((m) => m.chosen)].join(' ');

const unitPins = (part: Part, unitId: string): Pin[] => {
  const bound = new Set(Object.values(part.units.find((u) => u.id === unitId)?.binding ?? {}));
  return part.pins.filter((p) => bound.has(p.id)).sort((a, b) => compareTerminals(anyNumber(a), anyNumber(b)));
};

/** How a shape would take a unit's pins; undefined where it lacks a pin that it cannot be read without. */
export function proposeShape(part: Part, unitId: string, shape: ShapeName): ShapeProposal | undefined {
  const def = SHAPES[shape];
  const pins = unitPins(part, unitId);
  const ports = shape === 'contacts' ? contactPorts(pins) : portsFor(def, pins);
  const pinOf = shape === 'contacts' ? new Map(ports.map((p, i) => [p, pins[i]!])) : bindPorts(ports, pins);
  if (ports.some((p) => !p.optional && !pinOf.has(p))) return undefined;
  const bound = ports.flatMap((port) => (pinOf.has(port) ? [{ port, pin: pinOf.get(port)! }] : []));
  const taken = new Set(bound.map((b) => b.pin.id));
  const said = def.words.test(wordsOfPart(part));
  const twin = TWINS[shape];
  const doubts = twin && !said ? [`Nothing says whether it is ${twin[1]}.`] : [];
  if (bound.some((b) => isCounted(b.port.role)) && bound.length > 2) doubts.push('The ends are taken in the order of their numbers.');
  const confidence = said ? 0.95 : def.needsWords ? 0.2 : twin ? 0.4 : 0.7;
  return { shape, bound, left: pins.filter((p) => !taken.has(p.id)), doubts, confidence };
}

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

/**
 * The shapes that a unit's pins call for, the surest first: all of the shape's ports and all of the unit's pins find each
 * other, and where pins alone say too little, the part's words speak for it.
 */
export function suggestShapes(part: Part, unitId: string): ShapeProposal[] {
  const words = wordsOfPart(part);
  return (Object.keys(SHAPES) as ShapeName[])
    .filter((shape) => !SHAPES[shape].needsWords || SHAPES[shape].words.test(words))
    .flatMap((shape) => proposeShape(part, unitId, shape) ?? [])
    .filter((p) => p.left.length === 0 && p.bound.length > 0)
    .filter((p) => p.shape !== 'buffer' || p.confidence > 0.9)
    .sort(
      (a, b) =>
        b.confidence - a.confidence ||
        Number(!!SHAPES[b.shape].needsWords) - Number(!!SHAPES[a.shape].needsWords) ||
        b.bound.length - a.bound.length,
    );
}

/**
 * The edit that gives a unit's drawing a shape: the frame at the shape's size, the ports at its places, pins that it has
 * no port for on the free places of the left side. All units that share the drawing change with it.
 */
export function shapeEdit(part: Part, unitId: string, proposal: ShapeProposal, rules: HouseRules): Edit {
  const unit = part.units.find((u) => u.id === unitId)!;
  const drawing = part.drawings.find((d) => d.id === unit.drawing)!;
  const def = SHAPES[proposal.shape];
  const portOf = new Map(Object.entries(unit.binding).map(([port, pin]) => [pin, port]));
  const placed = proposal.bound.map(({ port, pin }) => ({ port: portOf.get(pin.id)!, side: port.side, at: port.at }));
  const used = new Set(placed.filter((p) => p.side === 'left').map((p) => p.at));
  let at = def.height / 2 - 1;
  const others = proposal.left.map((pin) => {
    while (used.has(at)) at--;
    used.add(at);
    return { port: portOf.get(pin.id)!, side: 'left' as const, at };
  });
  const moves = [...placed, ...others];
  const reach = Math.max(0, ...moves.filter((m) => isFlank(m.side)).map((m) => Math.abs(m.at) * 2 + 2));
  const height = Math.max(def.height, reach + (reach % 2));
  const names = proposal.shape === 'contacts' ? widthForNames(proposal) : 0;
  const width = Math.max(def.width, names + (names % 2));
  const body: Drawing['body'] = { shape: proposal.shape, width, height, strip: 0 };
  const reaches = (side: Side) => (moves.some((m) => m.side === side) ? rules.pinLength + 1 : 0);
  const labels = labelsFor(width, height, { top: reaches('top'), base: reaches('base') }, rules.texts);
  return {
    kind: 'batch',
    title: `draw unit ${unit.label} as ${def.title}`,
    edits: [
      { kind: 'changeDrawing', drawing: drawing.id, body, labels },
      { kind: 'movePorts', drawing: drawing.id, moves },
    ],
  };
}

const widthForNames = ({ bound }: ShapeProposal): number => {
  const longest = (side: Side) => Math.max(0, ...bound.filter((b) => b.port.side === side).map((b) => nameOnDrawing(b.pin).length));
  return Math.ceil((longest('left') + longest('right')) * 0.405 + 1.8);
};

/** The edit that gives a unit the block again, its pins placed by the house rules. */
export function blockEdit(part: Part, unitId: string, rules: HouseRules): Edit {
  const unit = part.units.find((u) => u.id === unitId)!;
  const strip = rules.strip ? 1 : 0;
  const change: Edit = { kind: 'changeDrawing', drawing: unit.drawing, body: { shape: 'block', strip }, strokes: [] };
  const bound = new Set(part.units.filter((u) => u.drawing === unit.drawing).flatMap((u) => Object.values(u.binding)));
  const free = part.pins.map((p) => (bound.has(p.id) && p.byHand ? { ...p, byHand: p.byHand.filter((f) => f !== 'place') } : p));
  const tidy = tidyUnit({ ...applyEdit(part, change), pins: free }, unitId, rules);
  return { kind: 'batch', title: `draw unit ${unit.label} as a block`, edits: [change, tidy] };
}
