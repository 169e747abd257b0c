import { good } from '../../test/samples';
import type { ElectricalType } from '../../part';
import type { Device } from '../device';
import { readModels } from '../read-models';
import { biasBench, bipolarBench, diodeBench, fieldEffectBench, follower, openLoop, regulatorBench, type Bench } from './benches';
import { enableBench } from './enable-bench';
import { logicLevels } from './logic-bench';
import { isOptocoupler, optocouplerBench } from './optocoupler-bench';
import { isShunt, shuntBench } from './shunt-bench';
import type { Setup, Verdict } from './setup';

const CARDS =
  '.model D1 D(IS=1n)\n.model Q1 NPN(BF=100)\n.model Q2 PNP(BF=100)\n.model M1 NMOS(VTO=2)\n.model J1 NJF(VTO=-2)\n.subckt S3 a b c\nR1 a b 1\n.ends\n.subckt S4 a k e c\nR1 a k 1\n.ends\n';
function setup(model: string, device: Device, ...pins: string[]): Setup {
  const chosen = good(readModels(CARDS)).models.find((m) => m.name === model)!;
  const joins = chosen.nodes.map(({ name: node }, i) => {
    const [name = '', type = 'passive'] = (pins[i] ?? '').split(':');
    return { node, pins: name ? [{ number: String(i), name, type: type as ElectricalType }] : [], to: 'open' as const };
  });
  return { unit: null, device, model: chosen, source: CARDS, joins, params: {} };
}

/** Judges a run in which every vector is a function of the sweep. */
function judged(
  bench: Bench,
  given: Setup,
  x: number[],
  vectors: Record<string, (x: number, i: number) => number>,
  sweep = 'v(v-sweep)',
): Verdict {
  const built = bench.build(given);
  if ('verdict' in built) return built;
  const run = new Map([[sweep, x], ...Object.entries(vectors).map(([name, f]) => [name, x.map(f)] as [string, number[]])]);
  return built.judge({ vectors: run, errors: [] });
}
const range = (from: number, to: number, step: number) =>
  Array.from({ length: Math.round((to - from) / step) + 1 }, (_, i) => from + i * step);

describe('a diode', () => {
  const diode = setup('D1', 'diode', 'A', 'K');
  const x = range(-100, 6, 0.25);
  it.each<[string, (v: number) => number, Verdict['verdict'], RegExp]>([
    ['the right way round', (v) => (v > 0.6 ? (v - 0.6) / 1000 : -1e-9), 'pass', /conducts 4.4 mA forward/],
    ['with a breakdown', (v) => (v > 0.6 ? (v - 0.6) / 1000 : v < -12 ? (v + 12) / 1000 : -1e-9), 'pass', /blocks in reverse/],
    ['the wrong way round', (v) => (v < -0.6 ? (v + 0.6) / 1000 : 1e-9), 'fail', /anode and cathode may be swapped/],
    ['a short', (v) => v / 1000, 'fail', /both ways/],
    ['open', () => 0, 'fail', /does not conduct forward/],
  ])('%s', (_what, current, verdict, says) => {
    const result = judged(diodeBench, diode, x, { 'i(vk)': current, 'v(p1)': () => 0.6 });
    expect([result.verdict, result.reason]).toEqual([verdict, expect.stringMatching(says)]);
  });
  it('measures where it breaks down', () =>
    expect(
      judged(diodeBench, diode, x, { 'i(vk)': (v) => (v > 0.6 ? 5e-3 : v < -12 ? (v + 12) / 1000 : 0), 'v(p1)': () => 0.6 }).measured[
        'breakdownV'
      ],
    ).toBeCloseTo(13.25));
  it('has its cathode at C, where A is its other end', () =>
    expect(
      judged(diodeBench, setup('D1', 'diode', 'A', 'C'), x, { 'i(vk)': (v) => (v > 0.6 ? 5e-3 : 0), 'v(p1)': () => 0.6 }).verdict,
    ).toBe('pass'));
  it('without a cathode says so', () => expect(judged(diodeBench, setup('D1', 'diode', 'A', ''), x, {}).reason).toMatch(/the cathode/));
});

describe('an optocoupler', () => {
  const coupler = setup('S4', 'npn', 'A', 'K', 'E', 'C');
  // The collector's sweep twice: in the dark, and lit.
  const x = [...range(-4, 4, 0.1), ...range(-4, 4, 0.1)];
  const isLit = (i: number) => i >= x.length / 2;
  const run = (collector: (v: number, lit: boolean) => number, anode = 1.2, back = 3.8e-3) =>
    judged(optocouplerBench, coupler, x, {
      'i(vc)': (v, i) => -collector(v, isLit(i)),
      'i(vk)': (_v, i) => (isLit(i) ? back : 0),
      'v(p1)': (_v, i) => (isLit(i) ? anode : 0),
    });
  const forward = (v: number, lit: boolean) => (lit && v > 0.2 ? 2e-3 : lit && v < -0.2 ? -2e-5 : 0);
  it.each<[string, Verdict, Verdict['verdict'], RegExp]>([
    ['as it should be', run(forward), 'pass', /passes 52.6\d? % of the diode’s current/],
    ['with its diode turned round', run(() => 0, 5, 0), 'fail', /anode and cathode may be swapped/],
    ['with its transistor turned round', run((v, lit) => -forward(-v, lit)), 'fail', /collector and emitter may be swapped/],
    ['that conducts in the dark', run(() => 2e-3), 'fail', /conducts in the dark/],
    ['whose diode drives the base', run(forward, 0.7, 0), 'fail', /does not come out at the cathode/],
  ])('%s', (_what, result, verdict, says) => expect([result.verdict, result.reason]).toEqual([verdict, expect.stringMatching(says)]));
  it('is known by its four ends, whatever the model is taken for', () =>
    expect([isOptocoupler(coupler), isOptocoupler(setup('Q1', 'npn', 'C', 'B', 'E'))]).toEqual([true, false]));
});

describe('a shunt reference', () => {
  const shunt = setup('S3', 'other', 'REF:input', 'A', 'K');
  const x = range(0, 12, 0.25);
  it.each<[string, (v: number) => number, Verdict['verdict'], RegExp]>([
    ['the right way round', (v) => Math.min(v, 2.5), 'pass', /holds 2.5 V/],
    ['the wrong way round', (v) => Math.min(v, 0.7), 'fail', /anode and cathode may be swapped/],
    ['with its control elsewhere', (v) => v, 'fail', /holds no voltage/],
    ['that gives way', (v) => Math.min(v, 2 + v / 4), 'fail', /moves by 1000 mV/],
  ])('%s', (_what, y, verdict, says) => {
    const result = judged(shuntBench, shunt, x, { 'v(p3)': y });
    expect([result.verdict, result.reason]).toEqual([verdict, expect.stringMatching(says)]);
  });
  it.each<[string[], boolean]>([
    [['REF:input', 'A', 'K'], true],
    [['IN:input', 'A', 'K'], false],
    [['REF:input', 'C', 'E'], false],
  ])('%j is one: %s', (pins, is) => expect(isShunt(setup('S3', 'other', ...pins))).toBe(is));
});

describe('a bipolar transistor', () => {
  // Two sweeps follow each other: little current into the base, then more.
  const x = [...range(-4, 4, 0.1), ...range(-4, 4, 0.1)];
  const half = x.length / 2;
  it.each<[string, number, number, number, Verdict['verdict'], RegExp]>([
    ['the right way round', 2e-3, 2e-5, 0.7, 'pass', /gain is 100/],
    ['with collector and emitter exchanged', 2e-5, 2e-3, 0.7, 'fail', /collector and emitter/],
    ['of the other polarity', 0, 0, -4, 'fail', /polarity/],
  ])('%s', (_what, forward, inverse, vbe, verdict, says) => {
    const result = judged(bipolarBench, setup('Q1', 'npn', 'C', 'B:input', 'E'), x, {
      'i(vc)': (v) => (v > 0 ? -forward : inverse),
      'v(p2)': () => vbe,
    });
    expect([result.verdict, result.reason]).toEqual([verdict, expect.stringMatching(says)]);
  });
  it('with a resistor beside its base is judged at more current', () => {
    const result = judged(bipolarBench, setup('Q1', 'npn', 'C', 'B:input', 'E'), x, {
      'i(vc)': (v, i) => (i < half ? 0 : v > 0 ? -0.5 : 1e-3),
      'v(p2)': (_, i) => (i < half ? 0.16 : 1.3),
    });
    expect([result.verdict, result.reason]).toEqual(['pass', expect.stringMatching(/gain is 247.5 at 2020 µA/)]);
  });
  // A digital transistor, its base behind 22 kΩ and beside 10 kΩ: [collector at little and more current, base at both].
  it.each<[string, [number, number], [number, number], Verdict['verdict'], RegExp]>([
    ['the right way round', [0, 0.3], [-1e-5, -4e-3], 'pass', /gain is 148/],
    ['with collector and emitter exchanged', [4.5e-4, 4e-3], [-2e-5, -0.3], 'fail', /collector and emitter may be swapped/],
  ])('with resistors before and beside its base, %s', (_what, forward, inverse, verdict, says) => {
    const result = judged(bipolarBench, setup('Q1', 'npn', 'C', 'B:input', 'E'), x, {
      'i(vc)': (v, i) => -(v > 0 ? forward : inverse)[i < half ? 0 : 1],
      'v(p2)': (_, i) => (i < half ? 0.6 : 45),
    });
    expect([result.verdict, result.reason]).toEqual([verdict, expect.stringMatching(says)]);
  });
  it('that conducts alike whatever the base does has a diode that way round', () => {
    const vectors = { 'i(vc)': (v: number) => (v > 0 ? -24 : 1e-3), 'v(p2)': () => 0.7 };
    expect(judged(bipolarBench, setup('Q1', 'npn', 'C', 'B:input', 'E'), x, vectors)).toMatchObject({ verdict: 'fail', reason: expect.stringMatching(/without end/) as string }); // prettier-ignore
  });
  it.each<[string, number, number, Verdict['verdict']]>([
    ['from emitter to collector is a power transistor’s own', 2e-3, 1e21, 'pass'],
    ['from collector to emitter is the wrong way round', 1e21, 2e-3, 'fail'],
  ])('a diode %s', (_, forward, inverse, verdict) => {
    const vectors = { 'i(vc)': (v: number) => (v > 0 ? -forward : inverse), 'v(p2)': () => 0.7 };
    expect(judged(bipolarBench, setup('Q1', 'npn', 'C', 'B:input', 'E'), x, vectors).verdict).toBe(verdict);
  });
  it('of PNP kind is driven the other way', () => {
    const built = bipolarBench.build(setup('Q2', 'pnp', 'C', 'B:input', 'E'));
    expect('netlist' in built && built.netlist).toMatch(/Ib 0 p2 -0\.00002\n[^]*\.dc Vc 4 -4 -0\.1/);
  });
});

describe('a transistor with a gate', () => {
  // Sweeps follow each other: the gate below, off, then on.
  const sweep = range(-2, 5, 0.25);
  const x = [...sweep, ...sweep, ...sweep];
  const isOn = (i: number) => i >= 2 * sweep.length;
  const device = setup('M1', 'nmos', 'D', 'G:input', 'S');
  it.each<[string, number, number, Verdict['verdict'], RegExp]>([
    ['that switches', 1e-9, 40e-3, 'pass', /conducts 40 mA with the gate driven/],
    ['with drain and source exchanged', 42e-3, 42e-3, 'fail', /drain and source/],
    ['whose gate does nothing', 1e-9, 2e-9, 'fail', /does not turn it on/],
  ])('%s', (_what, off, on, verdict, says) => {
    const result = judged(fieldEffectBench, device, x, { 'i(vd)': (_, i) => -(isOn(i) ? on : off) });
    expect([result.verdict, result.reason]).toEqual([verdict, expect.stringMatching(says)]);
  });
  it('with a channel of its own conducts at 0 V and blocks below', () => {
    const result = judged(fieldEffectBench, device, x, { 'i(vd)': (_, i) => (i < sweep.length ? -1e-9 : isOn(i) ? -45e-3 : -30e-3) });
    expect([result.verdict, result.reason]).toEqual(['pass', expect.stringMatching(/at -10 V on the gate: it has a channel of its own/)]);
  });
  it.each<[string, string[], string]>([
    ['on its adjustment, where it has no ground', ['ADJ:input', 'OUT:supply-out', 'IN:supply-in'], 'Rfb0 p1 0 1'],
    ['on its ground, with the adjustment at the output', ['ADJ:input', 'OUT:supply-out', 'IN:supply-in', 'GND:ground'], 'Rfb0 p1 p2 1'],
  ])('stands %s', (_what, pins, line) => {
    const built = regulatorBench.build(setup('S4', 'regulator', ...pins));
    expect('netlist' in built && built.netlist).toContain(line);
  });
  it('of junction kind is told that it is the same either way round', () =>
    expect(
      judged(fieldEffectBench, setup('J1', 'njf', 'D', 'G:input', 'S'), [...sweep, ...sweep], {
        'i(vd)': (_, i) => (i >= sweep.length ? -4e-3 : 0),
      }).reason,
    ).toMatch(/cannot be told apart/));
});

describe('a regulator', () => {
  const x = [...range(0, 12, 0.25), ...range(0, 12, 0.25)];
  const given = setup('S3', 'regulator', 'IN:supply-in', 'OUT:supply-out', 'GND:ground');
  const loaded = (i: number) => i >= x.length / 2;
  it.each<[string, (v: number, i: number) => number, Verdict['verdict'], RegExp]>([
    ['that holds', (v, i) => Math.min(v, 3.3) - (loaded(i) ? 0.01 : 0), 'pass', /holds 3.3 V/],
    ['without an output', () => 0, 'fail', /gives 0 V/],
    ['that nothing holds', () => -0.6, 'fail', /Nothing drives the output/],
    ['that follows', (v) => v, 'fail', /follows the input/],
    ['that stands without its input', () => 3.3, 'fail', /stands without its input/],
    ['that sags', (v, i) => Math.min(v, 3.3) - (loaded(i) ? 1 : 0), 'fail', /with the load/],
  ])('%s', (_what, out, verdict, says) => {
    const result = judged(regulatorBench, given, x, { 'v(p2)': out });
    expect([result.verdict, result.reason]).toEqual([verdict, expect.stringMatching(says)]);
  });
});

it('a regulator is fed at its supply and read at its rail, whatever else goes in and out', () => {
  const pins = ['BYP:input', 'PG:open-drain', 'VIN:supply-in', 'VOUT:supply-out'];
  const source = '.subckt S5 a b c d\nR1 a b 1\n.ends\n';
  const given = { ...setup('S4', 'regulator', ...pins), model: good(readModels(source)).models[0]!, source };
  const built = regulatorBench.build(given);
  expect('netlist' in built && built.netlist).toMatch(/^Vin p3 0 12\nIload p4 0 1m$/m);
});

it('a regulator of a negative voltage is fed and loaded the other way', () => {
  const down = range(0, 12, 0.25).map((v) => -v);
  const given = { ...setup('S3', 'regulator', 'IN:supply-in', 'OUT:supply-out', 'GND:ground'), feed: -12 };
  const built = regulatorBench.build(given);
  expect('netlist' in built && built.netlist).toMatch(/^Vin p1 0 -12\nIload p2 0 -1m\nCload p2 0 100p\nDkeep p2 0 keep$/m);
  const result = judged(regulatorBench, given, [...down, ...down], { 'v(p2)': (v) => Math.max(v, -5) });
  expect([result.verdict, result.reason, result.measured['outputV']]).toEqual(['pass', expect.stringMatching(/holds -5 V from -10 V/), -5]);
});

describe('a gate', () => {
  const pins = ['A:input', 'B:input', 'Y:output', 'VCC:supply-in'];
  const time = range(0, 80e-6, 0.5e-6);
  const bits = (t: number) => [Math.floor(t / 10e-6) & 1, (Math.floor(t / 10e-6) >> 1) & 1] as const;
  /** The second walk has inputs of 4 V. */
  const high = (t: number) => (t < 40e-6 ? 5 : 4);
  const of = (f: (a: number, b: number, high: number) => number, above = '', drivenA?: number) => {
    const source = CARDS.replace('.subckt S3 a b c', `* ${above}\n.subckt S3 a b c d`);
    const given = { ...setup('S3', 'logic', ...pins), source };
    given.model = good(readModels(source)).models.find((m) => m.name === 'S3')!;
    given.joins = given.model.nodes.map(({ name: node }, i) => ({ node, pins: [{ number: String(i), name: pins[i]!.split(':')[0]!, type: pins[i]!.split(':')[1] as ElectricalType }], to: 'open' as const })); // prettier-ignore
    const vectors = {
      'v(p1)': (t: number) => drivenA ?? bits(t)[0] * high(t),
      'v(p2)': (t: number) => bits(t)[1] * high(t),
      'v(p3)': (t: number) => f(...bits(t), high(t)),
    };
    return judged(logicLevels, given, time, vectors, 'time');
  };
  it.each<[string, (a: number, b: number, high: number) => number, Verdict['verdict'], RegExp, string?]>([
    ['AND', (a, b) => 5 * (a & b), 'pass', /outputs are 0001 for the inputs counted up\.$/],
    ['of two unlike inputs', (a, b) => 5 * (a & (1 - b)), 'pass', /0100 .*cannot tell which input is which/],
    ['that ignores an input', (a) => 5 * a, 'fail', /B has no effect/],
    ['that never changes', () => 5, 'fail', /never changes: 1111/],
    ['between its levels', () => 2.5, 'fail', /at no level/],
    ['that is what its comment says', (a, b) => 5 * (1 - (a & b)), 'pass', /1110/, 'two-input NAND'],
    ['that is not what its comment says', (a, b) => 5 * (a & (1 - b)), 'fail', /is 0100 .* NAND gives 1110/, 'two-input NAND'],
    ['that its comment names by its inputs', (a, b) => 5 * (a | b), 'fail', /is 0111 .* AND gives 0001/, 'two-input AND, one of four'],
    ['as high as an input', (a, b, v) => v * (a & (1 - b)), 'inconclusive', /as high as an input/],
  ])('%s', (_what, f, verdict, says, above = '') => {
    const result = of(f, above);
    expect([result.verdict, result.reason]).toEqual([verdict, expect.stringMatching(says)]);
  });
  it.each<[string, Verdict['verdict'], RegExp]>([
    ['OE', 'pass', /outputs are 01ZZ/],
    ['B', 'fail', /B lets an output go: 01ZZ/],
  ])('whose output %s lets go: %s', (name, verdict, says) => {
    const given = setup('S3', 'logic', 'A:input', `${name}:input`, 'Y:three-state');
    const time = range(0, 80e-6, 0.5e-6);
    const bit = (t: number, b: number) => (Math.floor(Math.min(t, 79.9e-6) / 10e-6) >> b) & 1;
    const result = judged(
      logicLevels,
      given,
      time,
      {
        'v(p1)': (t) => 5 * bit(t, 0),
        'v(p2)': (t) => 5 * bit(t, 1),
        'v(p3)': (t) => (bit(t, 1) ? 2.5 : 5 * bit(t, 0)),
      },
      'time',
    );
    expect([result.verdict, result.reason]).toEqual([verdict, expect.stringMatching(says)]);
  });
  it('whose input the model drives fails', () => expect(of((a, b) => 5 * (a & b), '', 5).reason).toMatch(/model drives A/));
  it('with an open output is pulled to the level that it lacks', () => {
    const netlist = (type: string) => {
      const built = logicLevels.build(setup('S3', 'logic', 'A:input', `Y:${type}`));
      return 'verdict' in built ? '' : /^Vpull0 .*$/m.exec(built.netlist)![0];
    };
    expect(['output', 'open-drain', 'open-source'].map(netlist)).toEqual(['Vpull0 pull0 0 2.5', 'Vpull0 pull0 0 5', 'Vpull0 pull0 0 0']);
  });
});

describe('an enable', () => {
  const x = range(0, 5, 0.05);
  const given = setup('S3', 'regulator', 'IN:supply-in', 'OUT:supply-out', 'EN:input');
  it.each<[string, (v: number) => number, Verdict['verdict'], RegExp]>([
    ['that switches', (v) => (v > 1.2 ? 3.3 : 0), 'pass', /switches the output/],
    ['that makes no difference', () => 3.3, 'pass', /heeds no enable/],
    ['that feeds the output', (v) => Math.min(v, 3.3), 'fail', /enable and input may be swapped/],
    ['that leaves it off', () => 0, 'fail', /gives 0 V/],
  ])('%s', (_what, out, verdict, says) => {
    const result = judged(enableBench, given, x, { 'v(p2)': out });
    expect([result.verdict, result.reason]).toEqual([verdict, expect.stringMatching(says)]);
  });
  it('is tried only where a pin is one', () =>
    expect([given, setup('S3', 'regulator', 'IN:supply-in', 'OUT:supply-out')].map((s) => enableBench.fits!(s))).toEqual([true, false]));
});

describe('anything else', () => {
  const given = setup('S3', 'other', 'VDD:supply-in', 'X1', 'GND:ground');
  it.each<[string, number, number, Verdict['verdict'], RegExp]>([
    ['in order', -2e-3, 2.5, 'pass', /supplies give 2 mA/],
    ['with a shorted supply', -5, 2.5, 'fail', /shorted or swapped/],
    ['with a pin beyond all supplies', -1e-3, 900, 'fail', /X1 stands at 900 V/],
  ])('%s', (_what, current, pin, verdict, says) => {
    const result = judged(biasBench, given, [0], { 'i(vpos0)': () => current, 'v(p2)': () => pin });
    expect([result.verdict, result.reason]).toEqual([verdict, expect.stringMatching(says)]);
  });
});

it('an output that nothing drives is told', () => {
  const given = setup('S3', 'other', 'VCC:supply-in', 'OUT:output', 'X');
  const at = (volts: number) => judged(biasBench, given, [0], { 'i(vpos0)': () => 1e-3, 'v(p2)': () => volts });
  expect([at(2.5 / 1.0001).verdict, at(2.5).verdict, at(0.1).verdict]).toEqual(['inconclusive', 'pass', 'pass']);
  expect(at(2.5 / 1.0001).reason).toMatch(/OUT is an output and nothing drives it/);
});

it('an amplifier that does not answer is a failure, not a pass', () => {
  const amp = setup('S3', 'opamp', 'IN+:input', 'IN-:input', 'OUT:output');
  expect(judged(openLoop, amp, range(-0.2, 0.2, 0.004), { 'v(p3)': () => 1 }).reason).toMatch(/stays near 1 V/);
});

describe('an amplifier', () => {
  const source = '.subckt AMP a b c d\nR1 a b 1\n.ends\n';
  const amp = (...names: string[]): Setup => {
    const model = good(readModels(source)).models[0]!;
    const pin = (text: string) => ({ number: text, name: text.split(':')[0]!, type: text.split(':')[1] as ElectricalType });
    return { unit: null, device: 'comparator', model, source, params: {}, joins: model.nodes.map(({ name: node }, i) => ({ node, pins: [pin(names[i]!)], to: 'open' as const })) }; // prettier-ignore
  };
  it.each<[string, string, RegExp, boolean]>([
    ['over a reference has it in the middle, and follows nothing', 'REF:input', /^Vmid0 p4 0 2\.5$/m, false],
    ['with an emitter of its own output has it on the ground', 'EMIT:passive', /^Vemit0 p4 0 0$/m, true],
  ])('%s', (_, fourth, line, follows) => {
    const setup = amp('IN+:input', 'IN-:input', 'OUT:open-drain', fourth);
    const built = openLoop.build(setup);
    expect('netlist' in built && built.netlist).toMatch(line);
    expect(follower.fits!(setup)).toBe(follows);
  });
});
