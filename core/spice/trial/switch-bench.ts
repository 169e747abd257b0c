import type { Bench } from './benches';
import { at, lacks, netsOf, netlistOf, rails, round, vectorOf, type Net } from './setup';

const CONTROL = /^(ctrl|ctl|control|sel|select|in|coil\+?|c\+|on|gate|led\+?|a)\d?$/i;
const RETURN = /^(coil-|c-|ctrl-|control-|led-)$/i;

/** The nets of a switch by the names and types of its pins: what drives it, and the two ends that it joins. */
function endsOf(nets: readonly Net[]): { control?: string; back?: string; ends: Net[] } {
  const signals = nets.filter((n) => !['supply+', 'supply-', 'ground'].includes(n.role) || /^com/i.test(n.pin.name));
  const control = signals.find((n) => n.pin.type === 'input') ?? signals.find((n) => CONTROL.test(n.pin.name));
  const back = signals.find((n) => RETURN.test(n.pin.name.replace('−', '-')));
  const ends = signals.filter((n) => n !== control && n !== back && n.role !== 'enable').slice(0, 2);
  return { ...(control ? { control: control.net } : {}), ...(back ? { back: back.net } : {}), ends };
}

/** A switch: 1 V through 1 kΩ on one end, 1 kΩ to ground at the other, and the control swept from 0 to 5 V. */
export const switchBench: Bench = {
  name: 'switching',
  build(setup) {
    const nets = netsOf(setup);
    const { control, back, ends } = endsOf(nets);
    if (control === undefined || ends.length < 2) return lacks(control === undefined ? 'the control' : 'the two ends of the switch');
    const [from, to] = [ends[0]!.net, ends[1]!.net];
    const around = [
      ...rails(nets.filter((n) => n.net !== control && n.net !== from && n.net !== to)).lines,
      `Vctl ${control} 0 0`,
      ...(back === undefined ? [] : [`Vback ${back} 0 0`]),
      `Vsrc src 0 1`,
      `Rsrc src ${from} 1k`,
      `Rload ${to} 0 1k`,
    ];
    return {
      netlist: netlistOf(setup, around, '.dc Vctl 0 5 0.1'),
      judge(run) {
        const [x, out] = [vectorOf(run, 'v(v-sweep)'), vectorOf(run, `v(${to})`)];
        const [off, on] = [at(x, out, 0), at(x, out, 5)];
        const [low, high] = [Math.min(Math.abs(off), Math.abs(on)), Math.max(Math.abs(off), Math.abs(on))];
        const threshold = x.find((_, i) => Math.abs(out[i]! - off) > Math.abs(on - off) / 2);
        const ohms = high > 0 ? 1000 / high - 2000 : 0;
        const measured = { onOhm: round(ohms), offV: round(low), ...(threshold === undefined ? {} : { thresholdV: round(threshold) }) };
        const curve = { curve: { x: { label: 'control, V', values: x }, y: [{ label: 'behind the switch, V', values: out }] } };
        if (high > 0.05 && low < high / 20) {
          const kind = on > off ? 'closes' : 'opens';
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
