import { fail, pass, sweepCurve, sweepsOf, type Bench } from './benches';
import { at, lacks, netlistOf, netOf, netsOf, round, vectorOf, type Setup } from './setup';

/** What feeds the diode through 1 kΩ, in volts. */
const FEED = 5;
/** So much current through the diode lights it, in A. */
const LIT = 1e-4;
/** Less than this share of the diode's current is no coupling. */
const LEAST_RATIO = 0.0005;

const endsOf = (setup: Setup) => {
  const nets = netsOf(setup);
  return {
    anode: netOf(nets, 'anode'),
    cathode: netOf(nets, 'cathode'),
    collector: netOf(nets, 'collector'),
    emitter: netOf(nets, 'emitter'),
  };
};

/** True for a diode and a transistor in one part: whether a base is led out or not, the light drives it. */
export const isOptocoupler = (setup: Setup): boolean => Object.values(endsOf(setup)).every((net) => net !== undefined);

/** An optocoupler: its transistor conducts while its diode does, from collector to emitter, and blocks else. */
export const optocouplerBench: Bench = {
  name: 'current transfer',
  build(setup) {
    const { anode, cathode, collector, emitter } = endsOf(setup);
    if (!anode || !cathode || !collector || !emitter) return lacks('diode and transistor');
    const around = ['Vled feed 0 0', `Rled feed ${anode} 1k`, `Vk ${cathode} 0 0`, `Ve ${emitter} 0 0`, `Vc ${collector} 0 0`];
    return {
      netlist: netlistOf(setup, around, `.dc Vc -4 4 0.1 Vled 0 ${FEED} ${FEED}`),
      judge(run) {
        const darkAndLit = (name: string) => sweepsOf(vectorOf(run, name), 2) as [number[], number[]];
        const [x] = darkAndLit('v(v-sweep)');
        const [dark, lit] = darkAndLit('i(vc)').map((v) => v.map((i) => -i)) as [number[], number[]];
        const diode = (FEED - at(x, darkAndLit(`v(${anode})`)[1], 2)) / 1000;
        const back = Math.abs(at(x, darkAndLit('i(vk)')[1], 2));
        const [on, off, inverse] = [at(x, lit, 2), Math.abs(at(x, dark, 2)), Math.abs(at(x, lit, -2))];
        const measured = { diodeMa: round(diode * 1000), ratio: round(on / Math.max(diode, LIT)), darkUa: round(off * 1e6) };
        const curve = sweepCurve(
          x,
          lit.map((i) => i * 1000),
          'collector over emitter, V',
          'collector current, mA',
        );
        if (diode < LIT) return fail('No current flows through the diode: anode and cathode may be swapped.', measured, curve);
        if (back < 0.9 * diode) return fail('The current that goes in at the anode does not come out at the cathode.', measured, curve);
        if (off > Math.abs(on) / 10) return fail('It conducts in the dark: collector and emitter may be swapped.', measured, curve);
        if (on > LEAST_RATIO * diode && on > inverse / 2)
          return pass(`It passes ${round((on / diode) * 100)} % of the diode’s current, and blocks in the dark.`, measured, curve);
        return fail(
          `It passes ${round((on / diode) * 100)} % of the diode’s current: collector and emitter may be swapped.`,
          measured,
          curve,
        );
      },
    };
  },
};
