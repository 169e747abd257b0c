import {
  boundLabel,
  carriesPower,
  channelKey,
  channelsInUnits,
  isChannelKey,
  firstPadOrId,
  pinsOnNode,
  WHOLE_PART,
  type Edit,
  type Model,
  type NodeTie,
  type Part,
  type Pin,
  type Problem,
} from '../part';
import { matchPins, type Matching, type MatchPin } from './match';
import type { Construct } from './dialect';
import { readModels, type SpiceModel } from './read-models';
import { rewriteForBerkeley } from './rewrite';

/** The text that was read last: a source of megabytes is asked for again after each tie, and seldom another one. */
let lastRead: { source: string; list: ReturnType<typeof readModels> } | undefined;

/** The models of a part's SPICE source; reading one text again costs nothing. */
export function modelsOf(source: string): ReturnType<typeof readModels> {
  if (lastRead?.source !== source) lastRead = { source, list: readModels(source) };
  return lastRead.list;
}

/** Models of a source by their names, for a list that a person looks through. */
export interface FoundModels {
  /**
   * The first of those whose names have the words asked for, those of the part's own name before others; nested ones belong
   * to their subcircuits and are not listed.
   */
  models: SpiceModel[];
  /** How many of them have the part's name. */
  own: number;
  total: number;
  problems: Problem[];
}

export function findModels(
  source: string,
  query: string,
  most: number,
  part?: Pick<Part, 'name' | 'baseName' | 'orderCodes'>,
): FoundModels {
  const read = modelsOf(source);
  if (!read.ok) return { models: [], own: 0, total: 0, problems: read.problems };
  const words = query
    .toLowerCase()
    .split(/\s+/)
    .filter((w) => w !== '');
  const found = read.value.models.filter(
    (m) => m.inside.length === 0 && words.every((w) => `${m.name} ${m.device}`.toLowerCase().includes(w)),
  );
  const names = part ? [part.name, part.baseName ?? '', ...part.orderCodes].map(plain).filter((n) => n.length >= SHORTEST) : [];
  const fits = found.map((model) => ({ model, fit: fitOf(plain(model.name), names) })).sort((a, b) => b.fit - a.fit);
  const models = fits.slice(0, most).map((f) => f.model);
  return { models, own: fits.filter((f) => f.fit > 0).length, total: found.length, problems: read.value.problems };
}

/** Names shorter than this stand in too many others to say anything. */
const SHORTEST = 4;

const plain = (name: string): string => name.toLowerCase().replace(/[^a-z0-9]/g, '');

/** How well a model's name is one of the part's: 3 the same, 2 one begins with the other, 1 one stands within the other, 0 none. */
function fitOf(model: string, names: readonly string[]): number {
  if (model.length < SHORTEST) return 0;
  const one = (name: string): number => {
    if (model === name) return 3;
    if (model.startsWith(name) || name.startsWith(model)) return 2;
    return model.includes(name) ? 1 : 0;
  };
  return Math.max(0, ...names.map(one));
}

/** What can be set for a part's model, and what stands in the way of other simulators. */
export interface ModelSettings {
  chosen: SpiceModel | undefined;
  dialect: Construct[];
  /** How many changes the export makes where it writes the Berkeley form. */
  rewrites: number;
}

export function modelSettings(model: Model): ModelSettings {
  const read = modelsOf(model.source);
  return {
    chosen: chosenModel(model),
    dialect: read.ok ? read.value.dialect : [],
    rewrites: model.berkeley ? rewriteForBerkeley(model.source, model.chosen, model.params).rewrites.length : 0,
  };
}

/** The chosen model of a part's SPICE source; undefined where the source no longer has it. */
export function chosenModel(model: Pick<Model, 'source' | 'chosen'>): SpiceModel | undefined {
  const list = modelsOf(model.source);
  return list.ok ? list.value.models.find((m) => m.name === model.chosen) : undefined;
}

const isSignal = (p: Pin): boolean => !carriesPower(p.type) && p.type !== 'no-connect' && p.type !== 'reserved';

/** A part's pins as matching sees them. Supplies outside the channels belong to every unit, or to every channel of `bound`. */
export function matchPinsOf(part: Part, bound: readonly string[] = []): MatchPin[] {
  const packageId = part.packages[0]?.id;
  const channels = bound.some(isChannelKey) ? channelsInUnits(part) : undefined;
  const labels = channels
    ? new Map(channels.members.flatMap((m, i) => [...m.values()].map((p) => [p.id, boundLabel(part, channelKey(channels.indices[i]!))])))
    : unitLabels(part);
  return part.pins.map((pin) => {
    const label = isSignal(pin) ? labels.get(pin.id) : undefined;
    return {
      number: firstPadOrId(pin, packageId),
      name: pin.name,
      type: pin.type,
      unit: label ?? null,
      ...(pin.description ? { description: pin.description } : {}),
      ...(pin.bits ? { bits: pin.bits.length } : {}),
    };
  });
}

/** The label of the first unit that each pin is drawn in; none where the part has but one unit. */
function unitLabels(part: Part): Map<string, string> {
  if (part.units.length < 2) return new Map();
  return new Map([...part.units].reverse().flatMap((u) => Object.values(u.binding).map((id) => [id, u.label])));
}

/**
 * Whether a model is bound once for the whole part, once in each unit that has signals, or, where it is of one channel and a
 * unit has several, in each channel. Units that another model of the part is tied in are that one's, unless this one is tied
 * in them too.
 */
export function bindingUnits(part: Part, nodeCount: number, model?: Model): string[] {
  const units = unitsFor(part, nodeCount);
  if (!model) return units;
  const others = othersOf(part, model);
  const own = units.filter((unit) => unit === WHOLE_PART || isTiedIn(unit, [model]) || !isTiedIn(unit, others));
  return own.length > 0 ? own : units;
}

const othersOf = (part: Part, model: Model): Model[] => part.models.filter((m) => m.id !== model.id);
const isTiedIn = (unit: string, models: readonly Model[]): boolean => models.some((m) => Object.keys(m.ties[unit] ?? {}).length > 0);

function unitsFor(part: Part, nodeCount: number): string[] {
  const signals = new Set(part.pins.filter(isSignal).map((p) => p.id));
  const supplies = new Set(part.pins.filter((p) => carriesPower(p.type)).map((p) => p.name));
  const channels = channelsInUnits(part);
  if (channels && nodeCount <= channels.members[0]!.size + supplies.size) return channels.indices.map(channelKey);
  const signalUnits = part.units.filter((u) => Object.values(u.binding).some((id) => signals.has(id)));
  return signalUnits.length > 1 && nodeCount < signals.size + supplies.size ? signalUnits.map((u) => u.id) : [WHOLE_PART];
}

export interface TieProposal {
  matching: Matching;
  ties: { unit: string; node: string; tie: NodeTie; confidence: number; because: string }[];
}

/** Signals that other models of the part have: each model has its own, and all share the supplies. */
function signalsOfOthers(part: Part, model: Model): Set<string> {
  const tied = new Set(
    othersOf(part, model).flatMap((m) => Object.values(m.ties).flatMap((ties) => Object.values(ties).flatMap(pinsOnNode))),
  );
  return new Set(part.pins.filter((p) => tied.has(p.id) && isSignal(p)).map((p) => p.id));
}

/** The matcher's pairs as ties of the part's pins. Nodes that are tied already are not offered again. */
export function proposeTies(part: Part, model: Model, chosen: SpiceModel): TieProposal {
  const taken = signalsOfOthers(part, model);
  const units = bindingUnits(part, chosen.nodes.length, model);
  const matching = matchPins(
    matchPinsOf(taken.size === 0 ? part : { ...part, pins: part.pins.filter((p) => !taken.has(p.id)) }, units),
    chosen.nodes,
    chosen.endsAlike,
  );
  const packageId = part.packages[0]?.id;
  const byNumber = new Map<string, Pin>(part.pins.map((p) => [firstPadOrId(p, packageId), p]));
  const unitOf = new Map(units.map((key) => [boundLabel(part, key), key]));
  const ties = matching.pairs.flatMap((pair) => {
    const pin = byNumber.get(pair.pin);
    const unit = units[0] === WHOLE_PART ? WHOLE_PART : pair.unit === null ? undefined : unitOf.get(pair.unit);
    if (!pin || unit === undefined || !units.includes(unit) || model.ties[unit]?.[pair.node] !== undefined) return [];
    return [{ unit, node: pair.node, tie: { pin: pin.id }, confidence: pair.confidence, because: pair.because }];
  });
  // Several pads of one signal make several pairs of one node: the first pin stands for it, the others go along.
  const byNode = new Map<string, TieProposal['ties'][number]>();
  for (const t of ties) {
    const first = byNode.get(`${t.unit} ${t.node}`);
    if (first && 'pin' in first.tie) first.tie = { ...first.tie, also: [...(first.tie.also ?? []), t.tie.pin] };
    else byNode.set(`${t.unit} ${t.node}`, { ...t });
  }
  return { matching, ties: [...byNode.values()] };
}

export const tieEdit = (model: Model, ties: TieProposal['ties']): Edit => ({
  kind: 'tieNodes',
  model: model.id,
  ties: ties.map(({ unit, node, tie }) => ({ unit, node, tie })),
});
