import { deviceByBody, type Device } from '../device';
import { isLowMarked, rolesOf, withoutMark } from '../roles';
import { FED, biasBench, bipolarBench, diodeBench, fieldEffectBench, follower, openLoop, regulatorBench, type Bench } from './benches';
import { enableBench } from './enable-bench';
import { logicLevels } from './logic-bench';
import { isOptocoupler, optocouplerBench } from './optocoupler-bench';
import { isShunt, shuntBench } from './shunt-bench';
import { switchBench } from './switch-bench';
import { netsOf, type Net, type Run, type Setup, type Simulate, type Verdict } from './setup';

/** One trial of a joined unit, with the change of the join that would pass where exactly one does. */
export interface Trial extends Verdict {
  name: string;
  unit: string | null;
  modelId?: string;
  /** Names of two pins that may be swapped. */
  rejoin?: [string, string];
}

const BENCHES: Partial<Record<Device, Bench[]>> = {
  opamp: [openLoop, follower],
  comparator: [openLoop],
  logic: [logicLevels],
  diode: [diodeBench],
  zener: [diodeBench],
  npn: [bipolarBench],
  pnp: [bipolarBench],
  nmos: [fieldEffectBench],
  pmos: [fieldEffectBench],
  njf: [fieldEffectBench],
  pjf: [fieldEffectBench],
  switch: [switchBench],
  regulator: [regulatorBench, enableBench],
};

/** The device that the joined pins themselves speak of, where the model does not say. */
export function deviceByPins(setup: Setup): Device {
  const nets = netsOf(setup);
  const roles = new Set(nets.map((n) => n.role));
  const has = (...all: string[]) => all.every((r) => roles.has(r));
  if (has('in+', 'in-', 'output')) return nets.some((n) => n.pin.type === 'open-drain') ? 'comparator' : 'opamp';
  if (has('drain', 'gate', 'source')) return deviceByBody('nmos', setup.model.transistor);
  if (has('collector', 'base', 'emitter')) return deviceByBody('npn', setup.model.transistor);
  if (has('collector', 'gate', 'emitter')) return 'nmos';
  if (has('anode', 'cathode') && nets.length === 2) return 'diode';
  if (nets.some((n) => n.pin.type === 'supply-out') && isRegulator(setup)) return 'regulator';
  const digital =
    nets.every((n) => n.pin.type !== 'supply-out') &&
    nets.every((n) => ['input', 'output', 'supply+', 'ground', 'enable'].includes(n.role));
  return digital && has('input', 'output') && nets.length <= 8 ? 'logic' : 'other';
}

/** What a regulator's inputs are for, none of which is a signal. */
const HELPS = ['enable', 'feedback', 'bypass', 'reference', 'soft start', 'compensation'];

/**
 * A regulator is fed by a supply and has no signal inputs: a front end with a reference output is none, and its bench
 * would fail what is right.
 */
function isRegulator(setup: Setup): boolean {
  const pins = netsOf(setup);
  const isFed = pins.some((n) => n.pin.type === 'supply-in' || n.pin.type === 'supply-out');
  const isSignal = ({ role, pin }: Net) =>
    pin.type === 'input' && ![role, ...rolesOf(withoutMark(pin.name))].some((r) => HELPS.includes(r));
  return isFed && !pins.some(isSignal);
}

/**
 * How a joined unit can be tried, the likelier first: with its enable or shutdown at the level that lets it on, low for one
 * with a bar, and both for a shutdown without one, which by its name lets it on while low and often only lost its bar; and an
 * amplifier with more than the usual supply too.
 */
function waysOn(setup: Setup): [Setup, ...Setup[]] {
  const isAmplifier = setup.device === 'opamp' || setup.device === 'comparator';
  const levels = isAmplifier || setup.device === 'regulator' ? levelsOn(setup) : [setup];
  // Inputs that work only 2 V from either rail have no room at 5 V.
  const [first, ...others] = [...levels, ...(isAmplifier ? levels.map((way) => ({ ...way, volts: 15 })) : [])];
  return [first ?? setup, ...others];
}

function levelsOn(setup: Setup): Setup[] {
  const name = netsOf(setup).find((n) => n.role === 'enable')?.pin.name;
  if (name === undefined) return [setup];
  const low = { ...setup, isOnWhenLow: true };
  const isBarred = isLowMarked(name) || /^n(?=[A-Z])/.test(name);
  const isShutdown = /^\W*n?(SHDN|SHUTDOWN|SHTDN|SD|PD|OFF|INH|INHIBIT|DIS\w*)\b/i.test(name.replace(/_.*$/, ''));
  if (isShutdown) return isBarred ? [setup] : [setup, low];
  return isBarred ? [low, setup] : [setup];
}

/** What the engine says that makes its results those of an earlier run, or none. */
const FATAL = /\b(error|unknown|singular|no such|fatal|abort\w*|interrupted|failed|too (?:many|small)|undefined|cannot|can't|unable)\b/i;
/** A run that did not end in its time. */
const ABORTED = /\baborted\b/;
const UNSOLVED = /timestep too small|singular|no convergence|operating point/i;
const HARMLESS = /^\s*(warning|note|using|reference|doing|no compatibility)/i;

/** Enough for an ideal source against another one to have a solution, and little beside the loads of the benches. */
const LEAD_OHM = 10;

/** Longer times to come to rest, in µs of the circuit's own time. */
const LONGER_US = [20, 400];

/** A bench on a joined unit. What the engine cannot solve is tried once more with a resistance in each lead. */
async function tryBench(bench: Bench, setup: Setup, simulate: Simulate, mostMs?: number): Promise<Verdict> {
  const { verdict: first, isUnsettled } = await tryOnce(bench, setup, simulate, mostMs);
  // Judged before it came to rest: only where a person waits for this one run is it given longer.
  for (const settleUs of isUnsettled && first.verdict === 'fail' && mostMs === undefined ? LONGER_US : []) {
    const { verdict: longer } = await tryOnce(bench, { ...setup, settleUs }, simulate);
    if (longer.verdict === 'pass') return longer;
  }
  if (first.verdict !== 'inconclusive' || !UNSOLVED.test(first.reason)) return first;
  const { verdict: second } = await tryOnce(bench, { ...setup, leadOhm: LEAD_OHM }, simulate, mostMs);
  return second.verdict === 'fail' ? second : first;
}

interface Tried {
  verdict: Verdict;
  /** The engine found no operating point but by its last resort, a transient of a fixed length. */
  isUnsettled: boolean;
}

async function tryOnce(bench: Bench, setup: Setup, simulate: Simulate, mostMs?: number): Promise<Tried> {
  const built = bench.build(setup);
  if ('verdict' in built) return { verdict: built, isUnsettled: false };
  const run = await simulate(built.netlist, mostMs);
  return { verdict: judgedBy(built.judge, run), isUnsettled: run.errors.some((line) => /transient op started/i.test(line)) };
}

/** The judgement of a run, where the engine gave one that can be judged. */
function judgedBy(judge: (run: Run) => Verdict, run: Run): Verdict {
  const wrong = run.errors.findIndex((line) => FATAL.test(line) && !HARMLESS.test(line));
  if (wrong >= 0) {
    // What is wrong often stands in the lines after the one that says where.
    const says = run.errors
      .slice(wrong, wrong + 3)
      .join(' ')
      .replace(/\s+/g, ' ')
      .trim();
    return { verdict: 'inconclusive', reason: `The engine could not run it: ${says.slice(0, 200)}`, measured: {} };
  }
  if (run.vectors.size === 0) return { verdict: 'inconclusive', reason: 'The engine gave no result.', measured: {} };
  const verdict = judge(run);
  return Object.values(verdict.measured).some((n) => !Number.isFinite(n))
    ? { verdict: 'inconclusive', reason: 'The engine gave no figures.', measured: {} }
    : verdict;
}

const swapped = (setup: Setup, a: number, b: number): Setup => ({
  ...setup,
  joins: setup.joins.map((j, i) => (i === a ? { ...j, pins: setup.joins[b]!.pins } : i === b ? { ...j, pins: setup.joins[a]!.pins } : j)),
});

/** Above so many joined nodes the swaps are too many to try. */
const MOST_SWAPPED = 8;
/** An exchange that takes longer than this is none that passes, in ms; and after so many of them the search is given up. */
const LONGEST = 2500;
const MOST_ENDED = 6;

/** The pairs of pins whose exchange makes all benches pass; none where a user would have to wait too long for them. */
async function findRejoins(benches: readonly Bench[], setup: Setup, simulate: Simulate): Promise<[string, string][]> {
  const joined = setup.joins.flatMap((j, i) => (j.pins.length > 0 ? [i] : []));
  if (joined.length > MOST_SWAPPED) return [];
  const found: [string, string][] = [];
  let ended = 0;
  for (const [k, a] of joined.entries())
    for (const b of joined.slice(k + 1)) {
      const other = swapped(setup, a, b);
      let passes = true;
      for (const bench of benches) {
        if (!passes) break;
        const { verdict, reason }: Verdict = await tryBench(bench, other, simulate, LONGEST);
        // A user would wait for minutes.
        if (ABORTED.test(reason) && ++ended >= MOST_ENDED) return [];
        passes = verdict === 'pass';
      }
      if (passes) found.push([setup.joins[a]!.pins[0]!.name, setup.joins[b]!.pins[0]!.name]);
    }
  return found;
}

/** The trials of a joined unit on some benches, one after the other. */
async function tryAll(benches: readonly Bench[], setup: Setup, simulate: Simulate): Promise<Trial[]> {
  const ofModel = setup.modelId === undefined ? {} : { modelId: setup.modelId };
  const trials: Trial[] = [];
  for (const bench of benches) trials.push({ name: bench.name, unit: setup.unit, ...ofModel, ...(await tryBench(bench, setup, simulate)) });
  return trials;
}

/**
 * Feeds in volts of regulators that the usual one does not suit, each with the output before it that lets it be tried: one
 * near its feed wants more of it, and one that stays at nothing may have been shut down by so much.
 */
const OTHER_FEEDS: { feed: number; after: (outputV: number) => boolean }[] = [
  { feed: 30, after: isNearFeed },
  { feed: 5, after: (v) => Math.abs(v) < 0.4 },
  { feed: -FED, after: () => true },
  { feed: -30, after: isNearFeed },
];
function isNearFeed(outputV: number): boolean {
  return Math.abs(outputV) > 0.7 * FED && Math.abs(outputV) < 2 * FED;
}

/**
 * True where an output under the ground is held at twice the feed as well. A positive regulator whose input and ground are
 * exchanged looks like a negative one while it has too little between the two.
 */
async function isHeldBelow(way: Setup, { measured }: Trial, simulate: Simulate): Promise<boolean> {
  const [twice] = await tryAll([regulatorBench], { ...way, feed: 2 * way.feed! }, simulate);
  const [once, again] = [measured['outputV'] ?? 0, twice!.measured['outputV'] ?? 0];
  return twice!.verdict === 'pass' && Math.abs(again - once) < 0.03 * Math.abs(once);
}

/** A regulator's trials with the first of the other feeds that it passes with, after those with the usual one. */
async function fedOtherwise(usual: Setup, benches: readonly Bench[], trials: Trial[], simulate: Simulate): Promise<Trial[] | undefined> {
  let last = trials;
  for (const { feed, after } of OTHER_FEEDS) {
    if (!after(last[0]!.measured['outputV'] ?? 0)) continue;
    const way = { ...usual, feed };
    last = await tryAll(feed > 0 ? benches : [regulatorBench], way, simulate);
    const passes = last.every((t) => t.verdict === 'pass');
    if (passes && (feed > 0 || (await isHeldBelow(way, last[0]!, simulate)))) return last;
  }
  return undefined;
}

/**
 * By its pins alone a linear part looks like a gate and a load switch like a regulator: what those benches then fail may be
 * no fault of the join.
 */
async function otherwiseBy(setup: Setup, trials: Trial[], simulate: Simulate): Promise<Trial[] | undefined> {
  const doubted = (what: string) =>
    trials.map((t): Trial => (t.verdict === 'fail' ? { ...t, verdict: 'inconclusive', reason: `Taken for ${what} by its pins, it may be none. ${t.reason}` } : t)); // prettier-ignore
  if (setup.device === 'logic') {
    const bias = await tryAll([biasBench], setup, simulate);
    return bias[0]!.verdict === 'pass' ? doubted('logic') : bias;
  }
  const holdsNothing = setup.device === 'regulator' && trials[0]!.verdict === 'fail';
  const isSwitch = holdsNothing && (await tryAll([switchBench], setup, simulate))[0]!.verdict === 'pass';
  return isSwitch ? doubted('a regulator') : undefined;
}

/** What looks like an amplifier and only pulls its output down is a comparator. */
const withOpenDrain = ({ device, joins }: Setup): Device =>
  device === 'opamp' && joins.some((j) => j.pins.some((pin) => pin.type === 'open-drain')) ? 'comparator' : device;

/** Tries a joined unit on the benches of its device. */
export async function runTrials(given: Setup, simulate: Simulate): Promise<Trial[]> {
  const isKnown = BENCHES[given.device] !== undefined && (given.device !== 'regulator' || isRegulator(given));
  const setup = { ...given, device: isKnown ? withOpenDrain(given) : deviceByPins(given) };
  const own = isShunt(setup) ? [shuntBench] : isOptocoupler(setup) ? [optocouplerBench] : BENCHES[setup.device];
  const benches = (own ?? [biasBench]).filter((bench) => bench.fits?.(setup) ?? true);
  const [usual, ...others] = waysOn(setup);
  const trials = await tryAll(benches, usual, simulate);
  const hasFailed = trials.some((t) => t.verdict === 'fail');
  for (const way of hasFailed ? others : []) {
    const again = await tryAll(benches, way, simulate);
    if (again.every((t) => t.verdict === 'pass')) return again;
  }
  const isUnfed = setup.device === 'regulator' && trials[0]!.verdict === 'fail';
  const heldOtherwise = isUnfed ? await fedOtherwise(usual, benches, trials, simulate) : undefined;
  if (heldOtherwise) return heldOtherwise;
  if (!isKnown && hasFailed) {
    const doubted = await otherwiseBy(setup, trials, simulate);
    if (doubted) return doubted;
  }
  const fed = setup.device === 'regulator' ? OTHER_FEEDS.map(({ feed }) => ({ ...usual, feed })) : [];
  return withRejoin(trials, benches, [usual, ...others, ...fed], simulate);
}

/** Trials that failed with the exchange of two pins that would pass, where there is exactly one; else as they are. */
async function withRejoin(trials: Trial[], benches: readonly Bench[], ways: readonly Setup[], simulate: Simulate): Promise<Trial[]> {
  const isUnsolved = trials.every((t) => t.verdict === 'inconclusive' && (UNSOLVED.test(t.reason) || ABORTED.test(t.reason)));
  if (!isUnsolved && !trials.some((t) => t.verdict === 'fail')) return trials;
  const rejoin = await rejoinOf(benches, ways, simulate);
  if (!rejoin) return trials;
  const said = `With ${rejoin[0]} and ${rejoin[1]} exchanged it passes.`;
  if (isUnsolved)
    return trials.map((t) => ({ ...t, verdict: 'fail', rejoin, reason: `As it is joined the circuit has no solution. ${said}` }));
  return trials.map((t) => (t.verdict === 'fail' ? { ...t, rejoin, reason: `${t.reason} ${said}` } : t));
}

/** The exchange that alone passes in the likeliest way that has one; none where the other level of an enable has another. */
async function rejoinOf(benches: readonly Bench[], ways: readonly Setup[], simulate: Simulate): Promise<[string, string] | undefined> {
  for (const way of ways) {
    const [only, ...more] = await findRejoins(benches, way, simulate);
    if (!only || more.length > 0) continue;
    const other = ways.find((w) => w.isOnWhenLow !== way.isOnWhenLow && w.volts === way.volts && w.feed === way.feed);
    const others = other ? await findRejoins(benches, other, simulate) : [];
    return others.every((o) => o.join() === only.join()) ? only : undefined;
  }
  return undefined;
}
