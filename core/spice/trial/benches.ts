import { rolesOf } from '../roles';
import {
  at,
  feedOf,
  lacks,
  netOf,
  netsOf,
  netsWith,
  netlistOf,
  railOf,
  rails,
  round,
  vectorOf,
  type Net,
  type Run,
  type Setup,
  type Verdict,
} from './setup';

/** A small bench: what stands around the joined unit, what is measured, and how it is judged. */
export interface Bench {
  name: string;
  /** False where the unit has nothing that it could try; such a bench is left out. */
  fits?(setup: Setup): boolean;
  /** Undefined where a pin that the bench needs is not joined; `lack` says which. */
  build(setup: Setup): { netlist: string; judge: (run: Run) => Verdict } | Verdict;
}

export const pass = (reason: string, measured: Verdict['measured'], more: Partial<Verdict> = {}): Verdict => ({
  verdict: 'pass',
  reason,
  measured,
  ...more,
});
export const fail = (reason: string, measured: Verdict['measured'], more: Partial<Verdict> = {}): Verdict => ({
  verdict: 'fail',
  reason,
  measured,
  ...more,
});

export const sweepCurve = (x: number[], y: number[], label: string, out: string): Pick<Verdict, 'curve'> => ({
  curve: { x: { label, values: x }, y: [{ label: out, values: y }] },
});

/** Pins that the output is measured against, as instrumentation and current sense amplifiers have them. */
const referencesOf = (nets: readonly Net[]): string[] =>
  nets.filter(({ role, pin }) => (role === 'input' || role === 'other') && rolesOf(pin.name).has('reference')).map((n) => n.net);

/** The values of a sweep within a sweep, apart: one run of the inner one for each of so many steps of the outer one. */
export function sweepsOf(values: readonly number[], steps: number): number[][] {
  const each = values.length / steps;
  return Array.from({ length: steps }, (_, k) => values.slice(k * each, (k + 1) * each));
}

/** Said where an amplifier wanted more than the usual supply. */
const fedWith = ({ volts }: Setup): string => (volts === undefined ? '' : ` It wants more than 5 V: fed with ${volts} V.`);

/** A small capacitor at an output that is fed back: where the engine finds no operating point, the circuit comes to rest with it. */
export const settling = (out: string): string => `Cload ${out} 0 100p`;

/** Open loop: the output must rise where IN+ rises above IN−. A follower alone settles with swapped inputs too. */
export const openLoop: Bench = {
  name: 'open loop',
  build(setup) {
    const nets = netsOf(setup);
    const [plus, minus, out] = [netOf(nets, 'in+'), netOf(nets, 'in-'), netOf(nets, 'output')];
    if (!plus || !minus || !out) return lacks(!out ? 'an output' : 'both inputs');
    const { lines, high, low, mid } = rails(nets, setup);
    const around = [
      ...lines,
      `Vin ${plus} 0 ${mid}`,
      `Vref ${minus} 0 ${mid}`,
      `Rload ${out} pull 10k`,
      `Vpull pull 0 ${setup.device === 'comparator' ? high : mid}`,
      ...referencesOf(nets).map((n, i) => `Vmid${i} ${n} 0 ${mid}`),
      // The output's own emitter, where a comparator has it apart from its supply.
      ...netsWith(nets, 'emitter').map((n, i) => `Vemit${i} ${n} 0 ${low}`),
    ];
    return {
      netlist: netlistOf(setup, around, `.dc Vin ${mid - 0.2} ${mid + 0.2} 0.004`),
      judge(run) {
        const [x, y] = [vectorOf(run, 'v(v-sweep)'), vectorOf(run, `v(${out})`)];
        const [below, above] = [at(x, y, mid - 0.2), at(x, y, mid + 0.2)];
        const measured = { outBelowV: round(below), outAboveV: round(above) };
        const curve = sweepCurve(x, y, 'IN+, V', 'output, V');
        const swing = (above - below) / (high - low);
        if (swing > 0.3)
          return pass(
            `The output goes from ${round(below)} V to ${round(above)} V as IN+ rises over IN−.${fedWith(setup)}`,
            measured,
            curve,
          );
        if (swing < -0.3) return fail('The output falls as IN+ rises: the inputs may be swapped.', measured, curve);
        return fail(`The output stays near ${round(above)} V whatever the inputs do.`, measured, curve);
      },
    };
  },
};

export const follower: Bench = {
  name: 'follower',
  // An amplifier of a fixed gain over a reference follows nothing.
  fits: (setup) => referencesOf(netsOf(setup)).length === 0,
  build(setup) {
    const nets = netsOf(setup);
    const [plus, minus, out] = [netOf(nets, 'in+'), netOf(nets, 'in-'), netOf(nets, 'output')];
    if (!plus || !minus || !out) return lacks(!out ? 'an output' : 'both inputs');
    const { lines, high, low, mid } = rails(nets, setup);
    const reach = (high - low) * 0.2;
    const around = [...lines, `Vin ${plus} 0 ${mid}`, `Vloop ${out} ${minus} 0`, `Rload ${out} 0 10k`, settling(out)];
    return {
      netlist: netlistOf(setup, around, `.dc Vin ${mid - reach} ${mid + reach} ${reach / 20}`),
      judge(run) {
        const [x, y] = [vectorOf(run, 'v(v-sweep)'), vectorOf(run, `v(${out})`)];
        const worst = Math.max(...x.map((v, i) => Math.abs(y[i]! - v)));
        const measured = { worstErrorMv: round(worst * 1000) };
        const curve = sweepCurve(x, y, 'input, V', 'output, V');
        if (worst < 0.05 * (high - low))
          return pass(`The output follows the input within ${round(worst * 1000)} mV.${fedWith(setup)}`, measured, curve);
        return fail(`The output is off by up to ${round(worst)} V: supplies or inputs may be swapped.`, measured, curve);
      },
    };
  },
};

/** Forward and reverse: current flows from anode to cathode only, up to a breakdown. */
export const diodeBench: Bench = {
  name: 'forward and reverse',
  build(setup) {
    const nets = netsOf(setup);
    const [anode, cathode] = [netOf(nets, 'anode'), netOf(nets, 'cathode')];
    if (!anode || !cathode) return lacks(!anode ? 'the anode' : 'the cathode');
    const around = [`Vin in 0 0`, `Rs in ${anode} 1k`, `Vk ${cathode} 0 0`];
    return {
      netlist: netlistOf(setup, around, '.dc Vin -100 6 0.25'),
      judge(run) {
        const [x, current] = [vectorOf(run, 'v(v-sweep)'), vectorOf(run, 'i(vk)')];
        const [forward, reverse] = [at(x, current, 5), at(x, current, -1)];
        const drop = at(x, vectorOf(run, `v(${anode})`), 5);
        const broken = x.findIndex((_, i) => current[i]! < -1e-3);
        const until = broken < 0 ? undefined : Math.max(...x.filter((_, i) => current[i]! < -1e-3).map((v) => v));
        const measured = {
          forwardMa: round(forward * 1000),
          dropV: round(drop),
          reverseUa: round(reverse * 1e6),
          ...(until === undefined ? {} : { breakdownV: round(-until) }),
        };
        const curve = sweepCurve(
          x,
          current.map((i) => i * 1000),
          'anode over cathode through 1 kΩ, V',
          'current, mA',
        );
        if (forward > 2e-4 && Math.abs(reverse) < forward / 50)
          return pass(`It conducts ${round(forward * 1000)} mA forward at ${round(drop)} V and blocks in reverse.`, measured, curve);
        if (Math.abs(forward) < 1e-4 && -reverse > 1e-5)
          return fail('It blocks forward and conducts in reverse: anode and cathode may be swapped.', measured, curve);
        if (Math.abs(forward) < 1e-4) return fail('It does not conduct forward: anode and cathode may be swapped.', measured, curve);
        return fail('It conducts both ways.', measured, curve);
      },
    };
  },
};

/** Currents into a base, in amperes, what a base may stand over its emitter, in volts, and what no transistor here conducts. */
const [LITTLE, MORE] = [20e-6, 2e-3];
const [LEAST_VBE, MOST_VBE] = [0.2, 2];
/** The most that a digital transistor has before its base, in ohms. */
const MOST_OHMS = 50e3;
const MOST_AMPS = 100;
/** No two transistors in a row have this gain: it is a diode that conducts, whatever the base does. */
const MOST_GAIN = 50_000;

/** Common emitter, and the same with collector and emitter exchanged: the right way round has the higher gain. */
export const bipolarBench: Bench = {
  name: 'current gain',
  build(setup) {
    const nets = netsOf(setup);
    const [c, b, e] = [netOf(nets, 'collector'), netOf(nets, 'base'), netOf(nets, 'emitter')];
    if (!c || !b || !e) return lacks('collector, base and emitter');
    const sign = setup.device === 'pnp' ? -1 : 1;
    const around = [`Ib 0 ${b} ${sign * LITTLE}`, `Ve ${e} 0 0`, `Vc ${c} 0 0`];
    const bases = `Ib ${LITTLE * sign} ${(LITTLE + MORE) * sign} ${MORE * sign}`;
    return {
      netlist: netlistOf(setup, around, `.dc Vc ${-4 * sign} ${4 * sign} ${0.1 * sign} ${bases}`),
      judge(run) {
        const x = sweepsOf(vectorOf(run, 'v(v-sweep)'), 2)[0]!;
        const [little, more] = sweepsOf(vectorOf(run, `v(${b})`), 2).map((v) => at(x, v, 2 * sign) * sign) as [number, number];
        const currents = sweepsOf(vectorOf(run, 'i(vc)'), 2);
        // Resistors beside the base, of a Darlington or a digital transistor, take the small current alone.
        const isOff = [2, -2].some((v) => Math.abs(at(x, currents[0]!, v * sign)) < LITTLE / 10);
        const isShunted = (little < LEAST_VBE || isOff) && more >= LEAST_VBE;
        const [vbe, into] = isShunted ? [more, LITTLE + MORE] : [little, LITTLE];
        const i = currents[isShunted ? 1 : 0]!.map((v) => -v * sign);
        const gain = at(x, i, 2 * sign) / into;
        const inverse = Math.abs(at(x, i, -2 * sign)) / into;
        const measured = { gain: round(gain), inverseGain: round(inverse), vbeV: round(vbe) };
        const curve = sweepCurve(
          x,
          i.map((v) => v * 1000),
          'collector, V',
          'collector current, mA',
        );
        // A diode conducts alike whatever the base does.
        const flows = (volts: number) => currents.map((of) => Math.abs(at(x, of, volts * sign))) as [small: number, large: number];
        const isDiode = ([small, large]: [number, number]) => small > MOST_AMPS || (small > MOST_GAIN * LITTLE && large < 1.2 * small);
        if (isDiode(flows(2))) return fail('It conducts without end from collector to emitter: the two may be swapped.', measured, curve);
        if (vbe < LEAST_VBE || vbe > MOST_VBE + into * MOST_OHMS)
          return fail(`The base stands ${round(vbe)} V over the emitter: base, emitter or the polarity may be wrong.`, measured, curve);
        // From emitter to collector, as power transistors have it, one conducts the other way round.
        const hasDiode = isDiode(flows(-2));
        // With resistors beside the base it is the larger current that tells.
        const isTurned = flows(-2)[1] > 4 * flows(2)[1];
        if (gain > 5 && ((gain > inverse * 0.5 && !isTurned) || hasDiode))
          return pass(`The current gain is ${round(gain)} at ${round(into * 1e6)} µA into the base.`, measured, curve);
        return fail(`The current gain is ${round(gain)}: collector and emitter may be swapped.`, measured, curve);
      },
    };
  },
};

/** True where what flows with the gate off is more than a leak. */
const conducts = (off: number, on: number): boolean => Math.abs(off) > 5e-3 && Math.abs(off) > on * 0.3;

/** A transistor with a gate: it conducts with the gate driven, blocks without, and its body diode lies the right way round. */
export const fieldEffectBench: Bench = {
  name: 'transfer',
  build(setup) {
    const nets = netsOf(setup);
    // One with an insulated gate and bipolar ends has a collector and an emitter.
    const [d, g, s] = [netOf(nets, 'drain', 'collector'), netOf(nets, 'gate'), netOf(nets, 'source', 'emitter')];
    if (!d || !g || !s) return lacks('drain, gate and source');
    const sign = setup.device === 'pmos' || setup.device === 'pjf' ? -1 : 1;
    const isJunction = setup.device === 'njf' || setup.device === 'pjf';
    // One without a channel of its own blocks at 0 V, one with a channel (depletion) only below.
    const gates = isJunction ? [-12, 0] : [-10, 0, 10];
    const around = [`Vs ${s} 0 0`, `Vd dd 0 0`, `Rd dd ${d} 100`, `Vg ${g} 0 0`];
    return {
      netlist: netlistOf(
        setup,
        around,
        `.dc Vd ${-2 * sign} ${5 * sign} ${0.25 * sign} Vg ${gates[0]! * sign} ${gates.at(-1)! * sign} ${(gates[1]! - gates[0]!) * sign}`,
      ),
      judge(run) {
        const x = sweepsOf(vectorOf(run, 'v(v-sweep)'), gates.length)[0]!;
        const sweeps = sweepsOf(vectorOf(run, 'i(vd)'), gates.length).map((i) => i.map((v) => -v * sign));
        const [iLow, iZero, iOn] = [sweeps[0]!, sweeps.at(-2)!, sweeps.at(-1)!];
        const isDepletion = !isJunction && conducts(at(x, iZero, 5 * sign), at(x, iOn, 5 * sign));
        const iOff = isDepletion ? iLow : iZero;
        const [leak, drive, body] = [at(x, iOff, 5 * sign), at(x, iOn, 5 * sign), at(x, iOff, -2 * sign)];
        const measured = { onMa: round(drive * 1000), offMa: round(leak * 1000), bodyDiodeMa: round(-body * 1000) };
        const curve = {
          curve: {
            x: { label: 'drain, V', values: x.map((v) => v * sign) },
            y: [
              { label: 'gate off, mA', values: iOff.map((v) => v * 1000) },
              { label: 'gate on, mA', values: iOn.map((v) => v * 1000) },
            ],
          },
        };
        if (conducts(leak, drive)) return fail('It conducts without gate drive: drain and source may be swapped.', measured, curve);
        if (drive < 1e-4 || drive < Math.abs(leak) * 10)
          return fail('The gate does not turn it on: the gate may be swapped with another pin.', measured, curve);
        // No junction transistor has a body diode: what flows the other way flows into its gate.
        if (isJunction && conducts(body, drive))
          return fail('It conducts the other way with the gate off: the gate may be swapped with another pin.', measured, curve);
        // A junction transistor is the same either way round: no bench tells its drain from its source.
        const alike = isJunction ? ' Drain and source cannot be told apart by it.' : '';
        const without = isDepletion ? `at ${gates[0]! * sign} V on the gate: it has a channel of its own` : 'without';
        const said = `It conducts ${round(drive * 1000)} mA with the gate driven and ${round(leak * 1000)} mA ${without}.${alike}`;
        return pass(said, measured, curve);
      },
    };
  },
};

/** What a regulator is fed with where nothing else is said, in volts. */
export const FED = 12;

/** Line and load: the output holds its voltage while input and load change. */
export const regulatorBench: Bench = {
  name: 'line and load',
  build(setup) {
    const nets = netsOf(setup);
    const [input, out] = [feedOf(nets, 'input', 'supply+', 'supply-'), railOf(nets)];
    if (!input || !out) return lacks(!out ? 'the output' : 'the input');
    const most = setup.feed ?? FED;
    const sign = Math.sign(most);
    const feed = Math.abs(most);
    const grounds = netsWith(nets, 'ground');
    const around = [
      ...grounds.map((n, i) => `Vgnd${i} ${n} 0 0`),
      // The enable has a weak source of its own: on the input's, the two could be swapped unnoticed.
      ...netsWith(nets, 'enable').flatMap((n, i) => [`Ven${i} en${i} 0 ${setup.isOnWhenLow ? 0 : 5}`, `Ren${i} en${i} ${n} 10k`]),
      // One without a ground stands on its adjustment, and holds its reference above it.
      ...netsWith(nets, 'feedback').map((n, i) => `Rfb${i} ${n} ${grounds.length > 0 ? out : '0'} 1`),
      `Vin ${input} 0 ${most}`,
      `Iload ${out} 0 ${sign}m`,
      settling(out),
      // An output that nothing drives is not pulled beyond all voltages by the load: the engine would look for them for long.
      `Dkeep ${sign > 0 ? `0 ${out}` : `${out} 0`} keep`,
      '.model keep D(IS=1e-12)',
    ];
    return {
      netlist: netlistOf(setup, around, `.dc Vin 0 ${most} ${most / 48} Iload ${sign}m ${20 * sign}m ${19 * sign}m`),
      judge(run) {
        // A negative regulator is judged by amounts.
        const amounts = (name: string) =>
          sweepsOf(vectorOf(run, name), 2).map((values) => values.map((y) => y * sign)) as [number[], number[]];
        const [line] = amounts('v(v-sweep)');
        const [light, heavy] = amounts(`v(${out})`);
        const [full, less, loaded] = [at(line, light, feed), at(line, light, (feed * 5) / 6), at(line, heavy, feed)];
        const measured = { outputV: round(full * sign), lineMv: round((full - less) * 1000), loadMv: round((full - loaded) * 1000) };
        const curve = {
          curve: {
            x: { label: 'input, V', values: line },
            y: [
              { label: 'output at 1 mA, V', values: light },
              { label: 'at 20 mA, V', values: heavy },
            ],
          },
        };
        if (full < -0.2) return fail('Nothing drives the output: input, output or enable may be swapped.', measured, curve);
        if (!(full > 0.4)) return fail(`The output gives ${round(full)} V: input, output or enable may be swapped.`, measured, curve);
        if (full > feed - 0.5)
          return fail('The output follows the input: input and output may be swapped, or the ground is open.', measured, curve);
        // An output that stands without any input is fed from elsewhere, from an enable that was taken for the input.
        if (at(line, light, 0) > 0.5 * full)
          return fail('The output stands without its input: the input may be swapped with another pin.', measured, curve);
        const isHeld = Math.abs(full - less) < 0.03 * full && Math.abs(full - loaded) < 0.1 * full;
        return isHeld
          ? pass(`The output holds ${round(full * sign)} V from ${round((most * 5) / 6)} V to ${most} V and up to 20 mA.`, measured, curve)
          : fail(
              `The output moves by ${round((full - less) * 1000)} mV with the line and ${round((full - loaded) * 1000)} mV with the load.`,
              measured,
              curve,
            );
      },
    };
  },
};

/** Anything else: it loads, it converges, no supply is shorted, and no output floats. */
export const biasBench: Bench = {
  name: 'bias',
  build(setup) {
    const nets = netsOf(setup);
    const { lines, high } = rails(nets);
    const driven = new Set(netsWith(nets, 'supply+', 'supply-', 'ground', 'enable', 'switch', 'bootstrap'));
    const others = nets.filter((n) => !driven.has(n.net));
    // Everything that no rail holds is held weakly, so that a pin that the model drives shows it.
    const around = [...lines, ...others.map((n, i) => `Rbias${i} ${n.net} bias 100k`), `Vbias bias 0 ${high / 2}`];
    return {
      netlist: netlistOf(setup, around, '.op'),
      judge(run) {
        const currents = [...run.vectors].filter(([name]) => /^i\(v(pos|neg|gnd)\d/.test(name)).map(([, v]) => Math.abs(v[0] ?? 0));
        const worst = Math.max(0, ...currents);
        const beyond = others.find((n) => Math.abs(vectorOf(run, `v(${n.net})`)[0] ?? 0) > high * 4);
        const measured = { supplyMa: round(worst * 1000) };
        if (worst > 1) return fail(`A supply gives ${round(worst)} A: two pins may be shorted or swapped.`, measured);
        if (beyond)
          return fail(`${beyond.pin.name} stands at ${round(vectorOf(run, `v(${beyond.net})`)[0]!)} V, beyond all supplies.`, measured);
        // An output that nothing drives lies exactly where 100 kΩ to the source and 1 GΩ to ground hold it.
        const held = high / 2 / (1 + 1e-4);
        const floating = others.find((n) => n.role === 'output' && Math.abs((vectorOf(run, `v(${n.net})`)[0] ?? 0) - held) < 1e-5);
        if (floating) {
          const reason = `${floating.pin.name} is an output and nothing drives it: it may be joined to another node.`;
          return { verdict: 'inconclusive', reason, measured };
        }
        return pass(`It loads and converges; the supplies give ${round(worst * 1000)} mA.`, measured);
      },
    };
  },
};
