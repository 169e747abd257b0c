import {
  MARKS,
  anyNumber,
  freshId,
  nameOnDrawing,
  type Drawing,
  type Edit,
  type HouseRules,
  type Part,
  type Pin,
  type Port,
} from '../part';
import { rolesOf, withoutChannel } from '../spice';
import { marksOf } from './place';
import { freeSlots } from './slots';

/** A drawing that another part has, with the pin that each of its ports shows there. */
export interface ReuseSource {
  part: string;
  unit: string;
  drawing: Drawing;
  pins: Map<string, Pin>;
}

export interface ReuseProposal {
  source: ReuseSource;
  /** Ports with the pins that would be bound to them, and by what they were matched. */
  bound: { port: Port; pin: Pin; by: 'name' | 'role' | 'number' }[];
  /** Ports that no pin was found for; they are left out. */
  ports: Port[];
  /** Pins that no port was found for; they are put where there is room. */
  pins: Pin[];
  doubts: string[];
}

/** The drawing of a part's unit as something another part can take. */
export function reuseSource(part: Part, unitId: string): ReuseSource | undefined {
  const unit = part.units.find((u) => u.id === unitId);
  const drawing = part.drawings.find((d) => d.id === unit?.drawing);
  if (!unit || !drawing) return undefined;
  const byId = new Map(part.pins.map((p) => [p.id, p]));
  const pins = new Map(Object.entries(unit.binding).flatMap(([port, id]) => (byId.has(id) ? [[port, byId.get(id)!] as const] : [])));
  return { part: part.name, unit: unit.label, drawing, pins };
}

const plain = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9+\-−]/g, '')
    .replace('−', '-');
const bare = (pin: Pin): string => withoutChannel(nameOnDrawing(pin));

/** The ways a port finds its pin, the surest first; a way counts only where exactly one pin answers. */
const WAYS: { by: 'name' | 'role' | 'number'; same: (a: Pin, b: Pin) => boolean }[] = [
  { by: 'name', same: (a, b) => plain(nameOnDrawing(a)) === plain(nameOnDrawing(b)) },
  { by: 'name', same: (a, b) => plain(bare(a)) === plain(bare(b)) },
  { by: 'role', same: (a, b) => [...rolesOf(bare(a))].some((r) => rolesOf(bare(b)).has(r)) },
  { by: 'number', same: (a, b) => anyNumber(a) !== '' && anyNumber(a) === anyNumber(b) && a.type === b.type },
];

/**
 * How a unit of this part would take another part's drawing: ports find pins by name, then by role, then by number with the
 * same type. What was matched by number only, and what differs in type, is a doubt.
 */
export function proposeReuse(part: Part, unitId: string, source: ReuseSource): ReuseProposal {
  const bound = new Set(Object.values(part.units.find((u) => u.id === unitId)?.binding ?? {}));
  const free = new Set(part.pins.filter((p) => bound.has(p.id)));
  const found: ReuseProposal['bound'] = [];
  const open = new Set(source.drawing.ports);
  for (const { by, same } of WAYS)
    for (const port of open) {
      const model = source.pins.get(port.id);
      const answers = model ? [...free].filter((pin) => same(model, pin)) : [];
      if (answers.length !== 1) continue;
      found.push({ port, pin: answers[0]!, by });
      free.delete(answers[0]!);
      open.delete(port);
    }
  const order = new Map(source.drawing.ports.map((p, i) => [p.id, i]));
  found.sort((a, b) => order.get(a.port.id)! - order.get(b.port.id)!);
  const doubts = found.flatMap(({ port, pin, by }) => {
    const model = source.pins.get(port.id)!;
    const shown = nameOnDrawing(model);
    if (by === 'number') return [`${nameOnDrawing(pin)} was put at ${shown} by its number only.`];
    return model.type === pin.type ? [] : [`${nameOnDrawing(pin)} is ${pin.type}, ${shown} is ${model.type}.`];
  });
  return { source, bound: found, ports: [...open], pins: [...free], doubts };
}

/** The name that drawings taken from each other share. */
export const familyOf = ({ part, unit, drawing }: Pick<ReuseSource, 'part' | 'unit' | 'drawing'>): string =>
  drawing.family ?? `${part} ${unit}`;

/** The units of a part that show a drawing of a family, each drawing once. */
export const unitsOfFamily = (part: Part, family: string): Part['units'] =>
  part.units.filter(
    (u, i) =>
      part.units.findIndex((v) => v.drawing === u.drawing) === i &&
      part.drawings.some((d) => d.id === u.drawing && familyOf({ part: part.name, unit: u.label, drawing: d }) === family),
  );

/** Whether two drawings look alike: body, artwork, and the places of their ports, whatever those are called; marks are the pins' own. */
export function isAlike(a: Drawing, b: Drawing): boolean {
  const look = (d: Drawing) =>
    JSON.stringify([d.body, d.strokes, d.hide, d.names, d.ports.map((p) => `${p.side} ${p.at} ${p.length}`).sort()]);
  return look(a) === look(b);
}

/**
 * The edit that makes a part's unit look like the drawing of its family; undefined where a pin or a port finds no partner
 * for sure: such a part has to be looked at by hand.
 */
export function followEdit(part: Part, unitId: string, source: ReuseSource, rules: HouseRules): Edit | undefined {
  const found = proposeReuse(part, unitId, source);
  const sure = found.ports.length === 0 && found.pins.length === 0 && found.bound.every((b) => b.by !== 'number');
  const sharers = part.units.filter((u) => u.drawing === part.units.find((v) => v.id === unitId)?.drawing);
  if (!sure) return undefined;
  // Units that share one drawing go on sharing it: their ports keep the pins that they stand for.
  const own = reuseEdit(part, unitId, found, rules);
  const first = own.units.find((u) => u.id === unitId)!;
  const pinOf = part.units.find((u) => u.id === unitId)!.binding;
  const portFor = new Map(Object.entries(first.binding).map(([port, pin]) => [Object.entries(pinOf).find(([, p]) => p === pin)![0], port]));
  const ids = new Set(sharers.map((u) => u.id));
  const units = own.units.map((u) =>
    ids.has(u.id) && u.id !== unitId
      ? {
          ...u,
          drawing: first.drawing,
          binding: Object.fromEntries(Object.entries(u.binding).map(([port, pin]) => [portFor.get(port) ?? port, pin])),
        }
      : u,
  );
  const used = new Set(units.map((u) => u.drawing));
  return { ...own, units, drawings: own.drawings.filter((d) => used.has(d.id)) };
}

/** A port for another pin: marks that the first pin's type and words called for go, those of its own come, marks set by hand stay. */
function withMarksOf(port: Port, model: Pin | undefined, pin: Pin): Port {
  const called = new Set(model ? marksOf(model) : []);
  const own = new Set([...(port.marks ?? []).filter((m) => !called.has(m)), ...marksOf(pin)]);
  const { marks: _, ...rest } = port;
  return own.size > 0 ? { ...rest, marks: MARKS.filter((m) => own.has(m)) } : rest;
}

/** The edit that gives a unit a copy of the drawing, its pins bound as proposed. Other units keep the drawing they had. */
export function reuseEdit(part: Part, unitId: string, proposal: ReuseProposal, rules: HouseRules): Edit & { kind: 'takeArrangement' } {
  const id = freshId('d', new Set(part.drawings.map((d) => d.id)));
  const pinOf = new Map(proposal.bound.map((b) => [b.port.id, b.pin]));
  const kept = proposal.source.drawing.ports.flatMap((port) => {
    const pin = pinOf.get(port.id);
    return pin ? [withMarksOf(port, proposal.source.pins.get(port.id), pin)] : [];
  });
  const base: Drawing = { ...proposal.source.drawing, id, ports: kept, family: familyOf(proposal.source) };
  const ids = new Set(proposal.source.drawing.ports.map((p) => p.id));
  const more = freeSlots(base, 'right', proposal.pins.length).map((at): Port => {
    const port = freshId('t', ids);
    ids.add(port);
    return { id: port, side: 'right', at, length: kept[0]?.length ?? rules.pinLength };
  });
  const binding = Object.fromEntries([
    ...proposal.bound.map(({ port, pin }) => [port.id, pin.id] as const),
    ...more.map((port, i) => [port.id, proposal.pins[i]!.id] as const),
  ]);
  const units = part.units.map((u) => (u.id === unitId ? { ...u, drawing: id, binding } : u));
  const inUse = new Set(units.map((u) => u.drawing));
  const drawings = [...part.drawings, { ...base, ports: [...kept, ...more] }].filter((d) => inUse.has(d.id));
  return { kind: 'takeArrangement', units, drawings, placed: Object.values(binding) };
}
