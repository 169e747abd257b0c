import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { parsePart, type ElectricalType } from '../../part';
import { good } from '../../test/samples';
import type { Device } from '../device';
import { readModels } from '../read-models';
import { setupsOf } from './of-part';
import { deviceByPins, runTrials } from './run';
import { netlistOf, roleOf, type Run, type Setup, type Simulate } from './setup';

const OPAMP = '* a model\n.subckt OA 1 2 3 4 5\nE1 5 0 1 2 1e5\n.ends\n.tran 1u 1m\n.control\nshell rm x\n.endc\n.end\n';
const pinOf = (text: string, i = 0) => {
  const [name = '', type = 'passive'] = text.split(':');
  return { number: String(i + 1), name, type: type as ElectricalType };
};
/** A setup whose nodes are joined to the pins `NAME:type` in their order; an empty text leaves a node open. */
function setup(source: string, name: string, pins: string[], device?: Device): Setup {
  const model = good(readModels(source)).models.find((m) => m.name === name)!;
  const joins = model.nodes.map(({ name: node }, i) => ({ node, pins: pins[i] ? [pinOf(pins[i], i)] : [], to: 'open' as const }));
  return { unit: null, device: device ?? model.device, model, source, joins, params: {} };
}
const AMP = ['IN+:input', 'IN-:input', 'V+:supply-in', 'V-:supply-in', 'OUT:output'];
const amp = (pins = AMP) => setup(OPAMP, 'OA', pins, 'opamp');

/** An engine that gives an ideal amplifier's output for the sweep of a bench, by which net the bench drives and reads. */
const answering =
  (slope: (netlist: string) => number, errors: string[] = []): Simulate =>
  (netlist) => {
    const [, from, to, step] = /\.dc Vin (\S+) (\S+) (\S+)/.exec(netlist)!.map(Number);
    const n = Math.round((to! - from!) / step!) + 1;
    const x = Array.from({ length: n }, (_, i) => from! + i * step!);
    const isLoop = /Vloop/.test(netlist);
    const gain = slope(netlist);
    const most = 0.8 * Number(/^Vpos0 \S+ 0 (\S+)/m.exec(netlist)?.[1] ?? 5);
    const out = x.map((v) => (isLoop ? (gain > 0 ? v : 5) : Math.max(-most, Math.min(most, v * 100 * gain))));
    const net = /^Rload (\S+)/m.exec(netlist)![1]!;
    return Promise.resolve({ vectors: new Map([['v(v-sweep)', x], [`v(${net})`, out]]), errors }); // prettier-ignore
  };

describe('what a pin is in a trial, by its own name and type', () => {
  it.each<[string, string]>([
    ['IN+:input', 'in+'],
    ['2IN-:input', 'in-'],
    ['INN2:input', 'in-'],
    ['OUT1:output', 'output'],
    ['VCC:supply-in', 'supply+'],
    ['VEE:supply-in', 'supply-'],
    ['VIN:supply-in', 'input'],
    ['VSS:ground', 'ground'],
    ['VOUT:supply-out', 'output'],
    ['EN:input', 'enable'],
    ['D:passive', 'drain'],
    ['G:input', 'gate'],
    ['E:passive', 'emitter'],
    ['K:passive', 'cathode'],
    ['A:input', 'input'],
    ['BOOT:passive', 'bootstrap'],
    ['XYZ:passive', 'other'],
  ])('%s is %s', (text, role) => expect(roleOf(pinOf(text))).toBe(role));
  it.each<[string[], Device]>([
    [AMP, 'opamp'],
    [['IN+:input', 'IN-:input', 'V+:supply-in', 'V-:supply-in', 'OUT:open-drain'], 'comparator'],
    [['IN:supply-in', 'GND:ground', 'EN:input', 'OUT:supply-out', ''], 'regulator'],
    [['S1P:input', 'S1N:input', 'AVDD:supply-in', 'AGND:ground', 'REFOUT:supply-out'], 'other'],
    [['A:input', 'B:input', 'VCC:supply-in', 'GND:ground', 'Y:output'], 'logic'],
    [['X1:passive', 'X2:passive', '', '', ''], 'other'],
    [['C:passive', 'G:input', 'E:passive', '', ''], 'nmos'],
    [['IN:supply-in', 'GND:ground', 'CE:input', 'VADJ:input', 'OUT:supply-out'], 'regulator'],
    [['IN:supply-in', 'GND:ground', 'NR:input', 'SS:input', 'OUT:supply-out'], 'regulator'],
    [['C:passive', 'B:input', 'E:passive', '', ''], 'npn'],
  ])('%j speak of a %s', (pins, device) => expect(deviceByPins({ ...amp(pins), device: 'other' })).toBe(device));
  it.each<[string[], string, Device]>([
    [['C', 'B:input', 'E'], 'Q1 1 2 3 Q\n.model Q PNP', 'pnp'],
    [['D', 'G:input', 'S'], 'M1 1 2 3 3 M\n.model M PMOS', 'pmos'],
    [['D', 'G:input', 'S'], 'J1 1 2 3 J\n.model J PJF', 'pjf'],
    [['C', 'B:input', 'E'], 'Q1 1 2 4 Q\nM1 4 2 3 3 M\n.model Q NPN\n.model M NMOS', 'npn'],
  ])('%j of a body with %j are a %s', (pins, body, device) =>
    expect(deviceByPins(setup(`.subckt X 1 2 3\n${body}\n.ends\n`, 'X', pins))).toBe(device),
  );
});

describe('the bench', () => {
  const text = netlistOf(amp(['IN+:input', 'IN-:input', 'V+:supply-in', '', 'OUT:output']), ['Vin p1 0 0'], '.op');
  it('instances the model by its joined pins, open nodes held by 1 Gohm', () => {
    expect(text).toContain('Xdut p1 p2 p3 open4 p5 OA\n');
    expect(text).toContain('Rhold_open4 open4 0 1G');
  });
  it('brings none of the model’s analyses or commands', () =>
    expect(text.replace('.control\noptran 1 1 1 50n 1u 0\n.endc\n', '')).not.toMatch(/\.tran|\.control|shell|\.endc/));
  it('ends once, after its analysis', () => expect(text.trimEnd().split('\n').slice(-2)).toEqual(['.op', '.end']));
  it('holds the bulk of a card on its source', () => {
    const card = '.model MN NMOS(VTO=2)\n';
    expect(netlistOf(setup(card, 'MN', ['D', 'G', 'S']), [], '.op')).toContain('Mdut p1 p2 p3 p3 MN');
  });
  it('doubles logical signs that stand alone', () =>
    expect(netlistOf(setup('.subckt X a b\nB1 a b V={V(a)>1 & V(b)<1 | V(a)>2 && 1}\n.ends', 'X', ['A', 'B']), [], '.op')).toContain(
      'V(a)>1 && V(b)<1 || V(a)>2 && 1',
    ));
});

describe('verdicts', () => {
  it('pass where the output rises with IN+', async () => {
    const trials = await runTrials(
      amp(),
      answering(() => 1),
    );
    expect(trials.map((t) => [t.name, t.verdict])).toEqual([['open loop', 'pass'], ['follower', 'pass']]); // prettier-ignore
    expect(trials[0]!.measured).toEqual({ outBelowV: -4, outAboveV: 4 });
    expect(trials[0]!.curve!.x.values).toHaveLength(101);
  });
  it('of an amplifier that only pulls down are those of a comparator', async () => {
    const trials = await runTrials(
      amp([...AMP.slice(0, 4), 'OUT:open-drain']),
      answering(() => 1),
    );
    expect(trials.map((t) => [t.name, t.verdict])).toEqual([['open loop', 'pass']]);
  });
  const SHUT = '.subckt OS 1 2 3 4 5 6\nE1 5 0 1 2 1e5\nR6 6 0 1\n.ends\n';
  const shut = (pins: string[]) => setup(SHUT, 'OS', [...pins, 'SHDN:input'], 'opamp');
  const isOn = (netlist: string) => /^Ven0 p6 0 -5$/m.test(netlist);
  it('of an amplifier that a shutdown without a bar lets on while low pass', async () => {
    const trials = await runTrials(
      shut(AMP),
      answering((netlist) => (isOn(netlist) ? 1 : 0)),
    );
    expect(trials.map((t) => t.verdict)).toEqual(['pass', 'pass']);
  });
  it('tell no exchange where each level of the shutdown has one of its own', async () => {
    const trials = await runTrials(
      shut(AMP),
      answering((netlist) => ((isOn(netlist) ? /^Vpos0 p4 /m : /^Vin p2 /m).test(netlist) ? 1 : 0)),
    );
    expect(trials.map((t) => [t.verdict, t.rejoin])).toEqual([['fail', undefined], ['fail', undefined]]); // prettier-ignore
  });
  it('tell the exchange that passes where what is joined has no end', async () => {
    const asGiven = [/^Vin p2 /m, /^Vpos0 p3 /m, /^Vneg0 p4 /m, /^Rload p5 /m];
    const ended = { vectors: new Map<string, number[]>(), errors: ['aborted: it took over 12 s'] };
    const swapped = amp(['IN-:input', 'IN+:input', ...AMP.slice(2)]);
    const trials = await runTrials(swapped, (netlist) =>
      asGiven.every((line) => line.test(netlist)) ? Promise.resolve(ended) : answering((n) => (/^Vin p1 /m.test(n) ? 1 : -1))(netlist),
    );
    expect(trials.map((t) => [t.verdict, t.rejoin])).toEqual([['fail', ['IN-', 'IN+']], ['fail', ['IN-', 'IN+']]]); // prettier-ignore
  });
  it('fail with the exchange that alone would pass', async () => {
    // The model's first node is its non-inverting one: whichever pin is there, the output rises with it.
    const trials = await runTrials(
      amp(['IN-:input', 'IN+:input', ...AMP.slice(2)]),
      answering((netlist) => (/^Vin p1 /m.test(netlist) ? 1 : -1)),
    );
    expect(trials.map((t) => t.verdict)).toEqual(['fail', 'fail']);
    expect(trials[0]!.reason).toMatch(/falls as IN\+ rises.*With IN- and IN\+ exchanged it passes/);
    expect(trials[0]!.rejoin).toEqual(['IN-', 'IN+']);
  });
  it('fail without an exchange where several would pass', async () => {
    const asGiven = [/^Vin p1 /m, /^Vpos0 p3 /m, /^Vneg0 p4 /m, /^Rload p5 /m];
    const trials = await runTrials(
      amp(),
      answering((netlist) => (asGiven.every((line) => line.test(netlist)) ? -1 : 1)),
    );
    expect([trials[0]!.verdict, trials[0]!.rejoin]).toEqual(['fail', undefined]);
  });
  it('find the exchange though other exchanges have no end, and end those sooner', async () => {
    const limits: (number | undefined)[] = [];
    const ideal = answering((netlist) => (/^Vin p1 /m.test(netlist) ? 1 : -1));
    const trials = await runTrials(amp(['IN-:input', 'IN+:input', ...AMP.slice(2)]), (netlist, mostMs) => {
      limits.push(mostMs);
      const isEndless = mostMs !== undefined && /^Vpos0 p4 /m.test(netlist) && /^Vin p1 /m.test(netlist);
      return isEndless ? Promise.resolve({ vectors: new Map(), errors: ['aborted: it took over 2.5 s'] }) : ideal(netlist);
    });
    expect(trials[0]!.rejoin).toEqual(['IN-', 'IN+']);
    expect(limits.slice(0, 5)).toEqual([undefined, undefined, undefined, undefined, 2500]);
  });
  it.each([20, 400])('that were judged before the circuit came to rest are those after %i µs', async (us) => {
    const hasTime = (netlist: string) => new RegExp(`optran 1 1 1 \\d+n ${us}u 0`).test(netlist);
    const early = answering((netlist) => (hasTime(netlist) ? 1 : 0), ['Note: Transient op started']);
    expect((await runTrials(amp(), early)).map((t) => t.verdict)).toEqual(['pass', 'pass']);
    const steady = answering((netlist) => (hasTime(netlist) ? 1 : 0));
    expect((await runTrials(amp(), steady)).map((t) => t.verdict)).toEqual(['fail', 'fail']);
  });
  it('of an amplifier that 5 V are too low for are those with 15 V', async () => {
    const trials = await runTrials(amp(), (netlist, mostMs) =>
      answering(() => (/^Vpos0 \S+ 0 15$/m.test(netlist) ? 1 : 0))(netlist, mostMs),
    );
    expect(trials.map((t) => t.verdict)).toEqual(['pass', 'pass']);
    expect(trials[0]!.reason).toMatch(/It wants more than 5 V: fed with 15 V\.$/);
  });
  it('stay failed where the other level of a shutdown could not be run', async () => {
    const off: Simulate = (netlist) => {
      const [x, y] = /^\.dc Vin/m.test(netlist) ? [[0, 12, 0, 12], [0, 0, 0, 0]] : [[0, 5], [0, 0]]; // prettier-ignore
      const isLow = /^Ven0 en0 0 0$/m.test(netlist);
      const errors = isLow ? ['aborted: it took over 12 s'] : [];
      return Promise.resolve({ vectors: new Map([['v(v-sweep)', x], ['v(p4)', y]]), errors }); // prettier-ignore
    };
    const pins = ['IN:supply-in', 'SHDN:input', 'GND:ground', 'OUT:supply-out'];
    const [trial] = await runTrials(setup('.subckt L 1 2 3 4\nR1 1 4 1\n.ends', 'L', pins, 'regulator'), off);
    expect(trial!.verdict).toBe('fail');
  });
  it.each<[string, number, number]>([
    ['a low output', 3.3, 12],
    ['one that the usual feed is too low for', 15, 30],
    ['a negative one', -5, -12],
    ['a high negative one', -15, -30],
  ])('of a regulator with %s feed it by enough', async (_what, volts, feed) => {
    const simulate: Simulate = (netlist) => {
      const to = Number(/^\.dc Vin 0 (\S+)/m.exec(netlist)![1]);
      const x = Array.from({ length: 49 }, (_, i) => (to * i) / 48);
      const isOwn = Math.sign(to) === Math.sign(volts);
      const y = x.map((v) => (isOwn ? Math.sign(volts) * Math.min(Math.abs(volts), Math.max(0, Math.abs(v) - 1)) : 0));
      return Promise.resolve({ vectors: new Map([['v(v-sweep)', [...x, ...x]], ['v(p3)', [...y, ...y]]]), errors: [] }); // prettier-ignore
    };
    const pins = ['IN:supply-in', 'GND:ground', 'OUT:supply-out'];
    const [trial] = await runTrials(setup('.subckt L 1 2 3\nR1 1 3 1\n.ends', 'L', pins, 'regulator'), simulate);
    expect([trial!.verdict, trial!.measured['outputV']]).toEqual(['pass', volts]);
    expect(trial!.reason).toContain(`to ${feed} V`);
  });
  it('of a regulator whose ground and input are exchanged are no pass of a negative one', async () => {
    const simulate: Simulate = (netlist) => {
      const to = Number(/^\.dc Vin 0 (\S+)/m.exec(netlist)![1]);
      const x = Array.from({ length: 49 }, (_, i) => (to * i) / 48);
      // 12 V over what it takes for its ground; 1.5 V are lost on the way.
      const y = x.map((v) => v + Math.max(0, Math.min(12, -v - 1.5)));
      return Promise.resolve({ vectors: new Map([['v(v-sweep)', [...x, ...x]], ['v(p3)', [...y, ...y]]]), errors: [] }); // prettier-ignore
    };
    const pins = ['IN:supply-in', 'GND:ground', 'OUT:supply-out'];
    const [trial] = await runTrials(setup('.subckt L 1 2 3\nR1 1 3 1\n.ends', 'L', pins, 'regulator'), simulate);
    expect(trial!.verdict).toBe('fail');
  });
  it.each<[string, string, 'pass' | 'fail']>([
    ['EN', 'high', 'pass'],
    ['EN', 'low', 'fail'],
    ['~EN', 'low', 'pass'],
    ['SHDN', 'low', 'pass'],
    ['SHDN', 'high', 'pass'],
    ['~SHDN', 'low', 'fail'],
  ])('of a regulator whose %s lets it on while %s: %s', async (name, on, verdict) => {
    const isOn = (level: number) => (on === 'high' ? level > 1 : level < 1);
    const simulate: Simulate = (netlist) => {
      const [, source, from, to] = /^\.dc (\S+) (\S+) (\S+)/m.exec(netlist)!;
      const x = Array.from({ length: 51 }, (_, i) => Number(from) + ((Number(to) - Number(from)) * i) / 50);
      const enable = Number(/^Ven0 en0 0 (\S+)/m.exec(netlist)?.[1] ?? 0);
      const y = x.map((v) => (source === 'Ven' ? (isOn(v) ? 3 : 0) : isOn(enable) ? Math.min(3, v) : 0));
      const vectors =
        source === 'Ven'
          ? [x, y]
          : [
              [...x, ...x],
              [...y, ...y],
            ];
      return Promise.resolve({ vectors: new Map([['v(v-sweep)', vectors[0]!], ['v(p4)', vectors[1]!]]), errors: [] }); // prettier-ignore
    };
    const pins = ['IN:supply-in', `${name}:input`, 'GND:ground', 'OUT:supply-out'];
    const trials = await runTrials(setup('.subckt L 1 2 3 4\nR1 1 4 1\n.ends', 'L', pins, 'regulator'), simulate);
    expect(trials[0]!.verdict).toBe(verdict);
  });
  it.each<[string, string[], RegExp]>([
    [
      'an error beside old results',
      ['Error: unknown subckt: xdut', '    in line no. 3'],
      /could not run it: Error: unknown subckt: xdut in line no. 3/,
    ],
    ['an ended run', ['aborted: it took over 20 s'], /aborted: it took over 20 s/],
  ])('are inconclusive after %s', async (_what, errors, says) => {
    const [trial] = await runTrials(
      amp(),
      answering(() => 1, errors),
    );
    expect([trial!.verdict, trial!.measured]).toEqual(['inconclusive', {}]);
    expect(trial!.reason).toMatch(says);
  });
  it('are not disturbed by warnings', async () =>
    expect(
      (
        await runTrials(
          amp(),
          answering(() => 1, ['Warning: singular matrix was mended', 'Note: no error']),
        )
      ).map((t) => t.verdict),
    ).toEqual(['pass', 'pass']));
  it('are inconclusive where a pin that is needed is not joined', async () => {
    const [trial] = await runTrials(
      amp(['IN+:input', '', 'V+:supply-in', 'V-:supply-in', 'OUT:output']),
      answering(() => 1),
    );
    expect([trial!.verdict, trial!.reason]).toEqual(['inconclusive', 'No pin is joined as both inputs, so there is nothing to measure.']);
  });
  it('are inconclusive without results', async () => {
    const none: Run = { vectors: new Map(), errors: [] };
    expect((await runTrials(amp(), () => Promise.resolve(none)))[0]!.reason).toBe('The engine gave no result.');
  });
});

it('takes the joined units of a part', () => {
  const part = parsePart(readFileSync(resolve(__dirname, '../../../demo/library/TF2204.kite.json'), 'utf8'));
  const setups = setupsOf(part);
  expect(setups.map((s) => s.unit)).toEqual(['A', 'B', 'C', 'D']);
  expect(setups[1]!.joins.map((j) => `${j.node} ${j.pins.map((p) => p.name).join()}`)).toEqual(['A 2A', 'Y 2Y', 'VP VCC', 'VN GND']);
  expect(setupsOf(part, 'nothing')).toEqual([]);
});
