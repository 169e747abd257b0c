import { fail, pass, sweepCurve, type Bench } from './benches';
import { at, netlistOf, netOf, netsOf, round, vectorOf, type Setup } from './setup';

/** What feeds a shunt through 1 kΩ at most, in volts, and the lower feed that it must hold as well. */
const MOST = 12;
const LESS = 8;

const controlOf = (setup: Setup): string | undefined => netsOf(setup).find((n) => /^(V?(REF|ADJ|FB)|R)$/i.test(n.pin.name))?.net;

/** True for an adjustable shunt reference: an anode, a cathode and a control between them, and nothing else. */
export function isShunt(setup: Setup): boolean {
  const nets = netsOf(setup);
  return nets.length === 3 && netOf(nets, 'anode') !== undefined && netOf(nets, 'cathode') !== undefined && controlOf(setup) !== undefined;
}

/** A shunt reference with its control on the cathode holds a voltage of its own; turned round it is a diode. */
export const shuntBench: Bench = {
  name: 'shunt',
  build(setup) {
    const nets = netsOf(setup);
    const [anode, cathode, control] = [netOf(nets, 'anode'), netOf(nets, 'cathode'), controlOf(setup)];
    const around = [`Vin in 0 0`, `Rs in ${cathode} 1k`, `Rctl ${control} ${cathode} 1`, `Va ${anode} 0 0`];
    return {
      netlist: netlistOf(setup, around, `.dc Vin 0 ${MOST} 0.25`),
      judge(run) {
        const [x, y] = [vectorOf(run, 'v(v-sweep)'), vectorOf(run, `v(${cathode})`)];
        const [full, less] = [at(x, y, MOST), at(x, y, LESS)];
        const measured = { outputV: round(full), lineMv: round((full - less) * 1000) };
        const curve = sweepCurve(x, y, 'feed through 1 kΩ, V', 'cathode over anode, V');
        if (full < 1) return fail(`It holds only ${round(full)} V, as a diode does: anode and cathode may be swapped.`, measured, curve);
        if (full > LESS || Math.abs(full - less) > 0.05 * full)
          return fail(`The cathode moves by ${measured.lineMv} mV with the feed: it holds no voltage.`, measured, curve);
        return pass(`It holds ${round(full)} V from ${LESS} V to ${MOST} V through 1 kΩ.`, measured, curve);
      },
    };
  },
};
