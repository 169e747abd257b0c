import type { Bench } from './benches';
import { isLowMarked } from '../roles';
import { at, lacks, netsOf, netlistOf, rails, round, vectorOf, type Net } from './setup';

const CONTROL = /^(ctrl|ctl|control|sel|select|in|coil\+?|c\+|on|gate|led\+?|a)\d?$/i;
const RETURN = /^(coil-|c-|ctrl-|control-|led-)$/i;

/** The pole of a switch with several throws. */
const COMMON = /^(com(mon)?|c|pole|d|z)\d?$/i;

/** The nets of a switch by the names and types of its pins: what drives it, and the two ends that it joins. */
function endsOf(nets: readonly Net[]): { control?: Net; back?: string; ends: Net[] } {
  const signals = nets.filter((n) => !['supply+', 'supply-', 'ground'].includes(n.role) || /^com/i.test(n.pin.name));
  const control = signals.find((n) => n.pin.type === 'input') ?? signals.find((n) => CONTROL.test(n.pin.name));
  const back = signals.find((n) => RETURN.test(n.pin.name.replace('−', '-')));
  const all = signals.filter((n) => n !== control && n !== back && n.role !== 'enable');
  // Two throws never meet: one of them is tried against the pole.
  const pole = all.length > 2 ? all.find((n) => COMMON.test(n.pin.name)) : undefined;
  const ends = pole ? [all.find((n) => n !== pole)!, pole] : all.slice(0, 2);
  return { ...(control ? { control } : {}), ...(back ? { back: back.net } : {}), ends };
}

/** Of two throws NO is the one that a control lets close; a control with a bar does so while it is low. */
function isExchanged(nets: readonly Net[], ends: readonly Net[], control: Net, closes: boolean): boolean {
  const isThrow = (name: 'NO' | 'NC') => (n: Net) => n.pin.name.replace(/\d$/, '').toUpperCase() === name;
  if (!nets.some(isThrow('NO')) || !nets.some(isThrow('NC'))) return false;
  const isLow = isLowMarked(control.pin.name);
  return ends.some(isThrow('NO')) ? closes === isLow : ends.some(isThrow('NC')) && closes !== isLow;
}

/** What stands before and behind a switch, in volts and ohms: a signal's own, or a supply that it lets through. */
const SIGNAL = { volts: 1, before: 1000 };
const SUPPLY = { volts: 5, before: 1 };
const LOAD = 1000;

/** A switch: a voltage on one end, 1 kΩ to ground at the other, and the control swept from 0 to 5 V. */
export const switchBench: Bench = {
  name: 'switching',
  build(setup) {
    const nets = netsOf(setup);
    const { control, back, ends } = endsOf(nets);
    if (control === undefined || ends.length < 2) return lacks(control === undefined ? 'the control' : 'the two ends of the switch');
    const isLoad = ends.some((n) => n.pin.type === 'supply-out');
    const [from, to] = (isLoad && ends[0]!.pin.type === 'supply-out' ? ends.toReversed() : ends).map((n) => n.net) as [string, string];
    const { volts, before } = isLoad ? SUPPLY : SIGNAL;
    const around = [
      ...rails(nets.filter((n) => n !== control && n.net !== from && n.net !== to)).lines,
      `Vctl ${control.net} 0 0`,
      ...(back === undefined ? [] : [`Vback ${back} 0 0`]),
      `Vsrc src 0 ${volts}`,
      `Rsrc src ${from} ${before}`,
      `Rload ${to} 0 ${LOAD}`,
    ];
    return {
      netlist: netlistOf(setup, around, '.dc Vctl 0 5 0.1'),
      judge(run) {
        const [x, out] = [vectorOf(run, 'v(v-sweep)'), vectorOf(run, `v(${to})`)];
        const [off, on] = [at(x, out, 0), at(x, out, 5)];
        const [low, high] = [Math.min(Math.abs(off), Math.abs(on)), Math.max(Math.abs(off), Math.abs(on))];
        const threshold = x.find((_, i) => Math.abs(out[i]! - off) > Math.abs(on - off) / 2);
        const ohms = high > 0 ? (volts * LOAD) / high - LOAD - before : 0;
        const measured = { onOhm: round(ohms), offV: round(low), ...(threshold === undefined ? {} : { thresholdV: round(threshold) }) };
        const curve = { curve: { x: { label: 'control, V', values: x }, y: [{ label: 'behind the switch, V', values: out }] } };
        // Where the control's own voltage comes out, it comes out in proportion, or is more than stands before the switch.
        const isControl = [0.5, 1.5, 2.5].every((v) => Math.abs(at(x, out, v) - (on * v) / 5) < 0.05 * Math.abs(on)) && high > 0.05;
        if (isControl || ohms < -LOAD / 20)
          return { verdict: 'fail', reason: 'The control itself comes out: it may be swapped with an end.', measured, ...curve };
        if (high > 0.05 && low < high / 20) {
          const kind = on > off ? 'closes' : 'opens';
          if (isExchanged(nets, ends, control, on > off))
            return { verdict: 'fail', reason: `With its control high it ${kind} between ${ends.map((n) => n.pin.name).join(' and ')}: NO and NC may be exchanged.`, measured, ...curve }; // prettier-ignore
          return {
            verdict: 'pass',
            reason: `It ${kind} at ${round(threshold ?? 0)} V; closed it has ${round(ohms)} Ω.`,
            measured,
            ...curve,
          };
        }
        const why =
          high < 0.05
            ? 'No control closes it: the control may be swapped with an end.'
            : 'The control does not act: it may be swapped with an end.';
        return { verdict: 'fail', reason: why, measured, ...curve };
      },
    };
  },
};
