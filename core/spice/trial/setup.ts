import { goesOut, type ElectricalType } from '../../part';
import type { Device } from '../device';
import type { SpiceModel } from '../read-models';
import { rolesOf, withoutChannel, withoutMark } from '../roles';
import { forEngine } from './for-engine';

/** A pin of the symbol as a trial sees it. */
export interface TrialPin {
  number: string;
  name: string;
  type: ElectricalType;
}

/** What one node of the model is joined to. */
export interface Join {
  node: string;
  pins: TrialPin[];
  /** Where no pin is: as the user says. */
  to: 'ground' | 'open';
  /** Where no pin is and nothing is said: the node that the model itself has in its place. */
  otherwise?: string;
}

/** A joined unit to be tried: the symbol's pins on the model's nodes. */
export interface Setup {
  unit: string | null;
  /** The part's model by its id, where a part is tried. */
  modelId?: string;
  device: Device;
  model: SpiceModel;
  source: string;
  joins: Join[];
  params: Record<string, string>;
  /** The supply of an amplifier, in volts, where the usual 5 V are too low for it. */
  volts?: number;
  /** The most that a regulator is fed with, in volts; below 0 for one of a negative voltage, whose input lies under the ground. */
  feed?: number;
  /** A regulator or amplifier that its enable or shutdown lets on while it is low. */
  isOnWhenLow?: boolean;
  /** How long the engine's last resort for an operating point may run, in µs of the circuit's own time. */
  settleUs?: number;
  /** Resistance of each lead, in ohms, where ideal sources of bench and model would be set against each other. */
  leadOhm?: number;
}

/** The vectors of a run by their names in lower case, and what the engine said went wrong. */
export interface Run {
  vectors: ReadonlyMap<string, number[]>;
  errors: string[];
}

/**
 * Runs a netlist. The engine keeps old results after an error: who calls it looks at the errors first. `mostMs` ends a run
 * sooner than the engine's own limit does; what an engine takes to start is not counted.
 */
export type Simulate = (netlist: string, mostMs?: number) => Promise<Run>;

export interface Curve {
  x: { label: string; values: number[] };
  y: { label: string; values: number[] }[];
}

export interface Verdict {
  verdict: 'pass' | 'fail' | 'inconclusive';
  reason: string;
  /** Figures with their unit in the name: `gain`, `offsetMv`. */
  measured: Record<string, number>;
  curve?: Curve;
}

/**
 * What a pin is by its own name and type: never by the node that it is joined to, or a wrong join would try itself by its
 * own mistake.
 */
export function roleOf({ name, type }: TrialPin): string {
  const named = rolesOf(withoutChannel(withoutMark(name)));
  const first = (...roles: string[]) => roles.find((r) => named.has(r));
  if (type === 'ground') return 'ground';
  if (type === 'supply-in')
    return first('supply-', 'bootstrap', 'switch') ?? (named.has('input') && !named.has('supply+') ? 'input' : 'supply+');
  if (type === 'supply-out') return 'output';
  const special = first('in+', 'in-', 'supply+', 'supply-', 'ground', 'drain', 'gate', 'source', 'collector', 'base', 'emitter', 'anode', 'cathode', 'enable', 'feedback', 'bypass', 'bootstrap', 'switch', 'bulk'); // prettier-ignore
  if (type === 'input') return special && ['in+', 'in-', 'enable', 'gate', 'base', 'feedback'].includes(special) ? special : 'input';
  if (goesOut(type)) return 'output';
  return special ?? first('output', 'input') ?? 'other';
}

/** The joined pins with the net that the bench knows them by; one net a node, whatever pins are on it. */
export interface Net {
  net: string;
  role: string;
  pin: TrialPin;
}

export function netsOf(setup: Setup): Net[] {
  const nets = setup.joins.flatMap((j, i) => (j.pins[0] ? [{ net: `p${i + 1}`, role: roleOf(j.pins[0]), pin: j.pins[0] }] : []));
  const has = (role: string) => nets.some((n) => n.role === role);
  // A single letter means a transistor's lead only beside its other leads; B of a gate is an input.
  const isLead = (role: string) =>
    role === 'base'
      ? has('collector') && has('emitter')
      : role === 'gate'
        ? (has('drain') && has('source')) || (has('collector') && has('emitter'))
        : true;
  // Beside an anode alone, C is a cathode.
  const isDiode = nets.length === 2 && has('anode');
  return nets.map((n) => (isDiode && n.role === 'collector' ? { ...n, role: 'cathode' } : isLead(n.role) ? n : { ...n, role: 'input' }));
}

export const netOf = (nets: readonly Net[], ...roles: string[]): string | undefined => nets.find((n) => roles.includes(n.role))?.net;
export const netsWith = (nets: readonly Net[], ...roles: string[]): string[] =>
  nets.filter((n) => roles.includes(n.role)).map((n) => n.net);

/** Lines that a model's text must not bring into a bench: its own analyses, ends, and whatever would run or read something. */
const UNWANTED = /^\s*\.(end|ac|dc|tran|op|print|plot|probe|save|meas(ure)?|control|endc|include|inc|csdf|four|step|temp)\b/i;

function modelText(source: string): string {
  let inControl = false;
  const own = source
    .replace(/\r\n?/g, '\n')
    .split('\n')
    .filter((line) => {
      if (/^\s*\.control\b/i.test(line)) inControl = true;
      const keep = !inControl && !UNWANTED.test(line);
      if (/^\s*\.endc\b/i.test(line)) inControl = false;
      return keep;
    })
    .join('\n');
  return forEngine(own);
}

/**
 * The engine's last resort for an operating point, a transient, runs for 1 µs and not for 10: a join that has no steady
 * state would keep it busy for minutes.
 */
const steady = (us = 1): string[] => ['.control', `optran 1 1 1 ${us * 50}n ${us}u 0`, '.endc'];

/** A global node's own sign would begin a comment. */
const otherNet = ({ otherwise }: Join, index: number): string => otherwise?.replace(/\W/g, '_') ?? `open${index + 1}`;

/** The bench's netlist: the model's text, an instance whose nets are the joined pins, the sources around it, one analysis. */
export function netlistOf(setup: Setup, around: readonly string[], analysis: string): string {
  const nets = setup.joins.map((j, i) => (j.pins.length > 0 ? `p${i + 1}` : j.to === 'ground' ? '0' : otherNet(j, i)));
  const { model } = setup;
  // A card of four nodes whose bulk no pin is joined to has it on the source, as three-lead transistors do.
  if (model.kind === 'model' && nets.length === 4 && setup.joins[3]!.pins.length === 0) nets[3] = nets[2]!;
  const params = Object.entries(setup.params)
    .map(([k, v]) => ` ${k}=${v}`)
    .join('');
  const held = [...new Set(nets)].filter((n) => n !== '0');
  const { leadOhm } = setup;
  const hasLead = (net: string) => leadOhm !== undefined && net.startsWith('p');
  return [
    '* trial',
    `${model.kind === 'subckt' ? 'X' : model.letter}dut ${nets.map((n) => (hasLead(n) ? `lead_${n}` : n)).join(' ')} ${model.name}${params}`,
    ...held.filter(hasLead).map((n) => `Rlead_${n} ${n} lead_${n} ${leadOhm}`),
    ...held.map((n) => `Rhold_${n} ${n} 0 1G`),
    ...around,
    modelText(setup.source),
    ...steady(setup.settleUs),
    analysis,
    '.end',
    '',
  ].join('\n');
}

interface Rails {
  lines: string[];
  high: number;
  low: number;
  mid: number;
}

/** The rail that a regulator holds; its other outputs, such as a power good, are open drains. */
export const railOf = (nets: readonly Net[]): string | undefined =>
  nets.find((n) => n.pin.type === 'supply-out')?.net ?? netOf(nets, 'output');

/** What a regulator is fed at: by its type before its name, as a bypass can be an input too. */
export const feedOf = (nets: readonly Net[], ...roles: string[]): string | undefined =>
  nets.find((n) => n.pin.type === 'supply-in' && roles.includes(n.role))?.net ?? netOf(nets, ...roles);

/** Sources for supplies: 5 V and ground, or both polarities where a negative supply is there; enables are on. */
export function rails(nets: readonly Net[], { volts = 5, isOnWhenLow = false }: Pick<Setup, 'volts' | 'isOnWhenLow'> = {}): Rails {
  const negative = netsWith(nets, 'supply-');
  const low = negative.length > 0 ? -volts : 0;
  const lines = [
    ...netsWith(nets, 'supply+').map((n, i) => `Vpos${i} ${n} 0 ${volts}`),
    ...negative.map((n, i) => `Vneg${i} ${n} 0 ${-volts}`),
    ...netsWith(nets, 'ground').map((n, i) => `Vgnd${i} ${n} 0 0`),
    ...netsWith(nets, 'enable').map((n, i) => `Ven${i} ${n} 0 ${isOnWhenLow ? low : volts}`),
    // The upper driver of a half bridge stands on its switch node and is fed from the bootstrap.
    ...netsWith(nets, 'switch').map((n, i) => `Vsw${i} ${n} 0 0`),
    ...netsWith(nets, 'bootstrap').map((n, i) => `Vboot${i} ${n} 0 ${volts}`),
  ];
  return { lines, high: volts, low, mid: (volts + low) / 2 };
}

export const vectorOf = (run: Run, name: string): number[] => run.vectors.get(name.toLowerCase()) ?? [];

/** The value of y where x is nearest to a place. */
export function at(x: readonly number[], y: readonly number[], place: number): number {
  let best = 0;
  x.forEach((v, i) => {
    if (Math.abs(v - place) < Math.abs(x[best]! - place)) best = i;
  });
  return y[best] ?? NaN;
}

export const round = (value: number): number => (value === 0 || !Number.isFinite(value) ? 0 : Number(value.toPrecision(4)));
export const lacks = (what: string): Verdict => ({
  verdict: 'inconclusive',
  reason: `No pin is joined as ${what}, so there is nothing to measure.`,
  measured: {},
});
