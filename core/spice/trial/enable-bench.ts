import { FED, fail, pass, settling, sweepCurve, type Bench } from './benches';
import { at, feedOf, lacks, netlistOf, netOf, netsOf, netsWith, railOf, round, vectorOf } from './setup';

/** A regulator's enable switches the output; an output that rises with it step by step is fed from it. */
export const enableBench: Bench = {
  name: 'enable',
  fits: (setup) => netsWith(netsOf(setup), 'enable').length === 1,
  build(setup) {
    const nets = netsOf(setup);
    const [input, out, enable] = [feedOf(nets, 'input', 'supply+'), railOf(nets), netOf(nets, 'enable')];
    if (!input || !out || !enable) return lacks(!out ? 'the output' : 'the input');
    const around = [
      ...netsWith(nets, 'ground').map((n, i) => `Vgnd${i} ${n} 0 0`),
      ...netsWith(nets, 'feedback').map((n, i) => `Rfb${i} ${n} ${out} 1`),
      `Vin ${input} 0 ${setup.feed ?? FED}`,
      `Ven en 0 0`,
      `Ren en ${enable} 1`,
      `Rload ${out} 0 10k`,
      settling(out),
    ];
    return {
      netlist: netlistOf(setup, around, '.dc Ven 0 5 0.05'),
      judge(run) {
        const [x, v] = [vectorOf(run, 'v(v-sweep)'), vectorOf(run, `v(${out})`)];
        const [on, off] = setup.isOnWhenLow ? [0, 5] : [5, 0];
        const full = at(x, v, on);
        // Steps at which the output stands well between off and on, and goes up with the enable.
        const between = v.filter((y, i) => i > 0 && y > 0.15 * full && y < 0.85 * full && Math.abs(y - v[i - 1]!) > 0.01).length;
        const measured = { outputOnV: round(full), outputOffV: round(at(x, v, off)) };
        const curve = sweepCurve(x, v, 'enable, V', 'output, V');
        if (!(full > 0.4)) return fail(`With ${on} V on the enable the output gives ${round(full)} V.`, measured, curve);
        if (between * 0.05 > 0.3 * full) return fail('The output rises with the enable: enable and input may be swapped.', measured, curve);
        const acts = Math.abs(full - measured.outputOffV) > 0.5 * Math.abs(full);
        const said = acts ? 'The enable switches the output.' : 'The model heeds no enable up to 5 V.';
        return pass(`${said} With ${on} V on it the output is ${round(full)} V.`, measured, curve);
      },
    };
  },
};
