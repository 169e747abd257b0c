import { good } from '../../test/samples';
import type { ElectricalType } from '../../part';
import { readModels } from '../read-models';
import type { Setup } from './setup';
import { switchBench } from './switch-bench';

const SOURCE = '.subckt SW a b c d e\nR1 a b 1\n.ends\n';
function setup(...pins: string[]): Setup {
  const model = good(readModels(SOURCE)).models[0]!;
  const joins = model.nodes.map(({ name: node }, i) => {
    const [name = '', type = 'passive'] = (pins[i] ?? '').split(':');
    return { node, pins: name ? [{ number: String(i), name, type: type as ElectricalType }] : [], to: 'open' as const };
  });
  return { unit: null, device: 'switch', model, source: SOURCE, joins, params: {} };
}
const ANALOG = setup('NO', 'COM', 'IN:input', 'V+:supply-in', 'GND:ground');
const x = Array.from({ length: 51 }, (_, i) => i / 10);

function judged(given: Setup, out: (v: number) => number) {
  const built = switchBench.build(given);
  if ('verdict' in built) return built;
  return built.judge({ vectors: new Map([['v(v-sweep)', x], ['v(p2)', x.map(out)]]), errors: [] }); // prettier-ignore
}

describe('a switch', () => {
  it.each<[string, (v: number) => number, 'pass' | 'fail', RegExp]>([
    ['that closes', (v) => (v > 1.5 ? 0.495 : 1e-6), 'pass', /It closes at 1\.6 V; closed it has 20\.2 Ω/],
    ['that opens', (v) => (v > 1.5 ? 1e-6 : 0.495), 'pass', /It opens at 1\.6 V/],
    ['whose control does nothing', () => 0.495, 'fail', /does not act/],
    ['that never closes', () => 1e-6, 'fail', /No control closes it/],
    ['whose control comes out', (v) => v / 2, 'fail', /The control itself comes out/],
    ['that gives more than it gets', (v) => (v > 1.5 ? 4.9 : 0), 'fail', /The control itself comes out/],
  ])('%s', (_what, out, verdict, says) => {
    const result = judged(ANALOG, out);
    expect([result.verdict, result.reason]).toEqual([verdict, expect.stringMatching(says)]);
  });
  it('is driven at its control, and its supplies stand', () => {
    const built = switchBench.build(ANALOG);
    expect('netlist' in built && built.netlist).toMatch(
      /Vpos0 p4 0 5\nVgnd0 p5 0 0\nVctl p3 0 0\nVsrc src 0 1\nRsrc src p1 1000\nRload p2 0 1000$/m,
    );
  });
  it('of two throws is tried between one of them and its pole', () => {
    const built = switchBench.build(setup('NO', 'NC', 'COM', 'IN:input', 'GND:ground'));
    expect('netlist' in built && built.netlist).toMatch(/Vctl p4 0 0\nVsrc src 0 1\nRsrc src p1 1000\nRload p3 0 1000$/m);
  });
  it.each<[string, string[], boolean, 'pass' | 'fail']>([
    ['NO closes', ['NO', 'NC', 'COM', 'IN:input'], true, 'pass'],
    ['NO opens', ['NO', 'NC', 'COM', 'IN:input'], false, 'fail'],
    ['NC opens', ['NC', 'NO', 'COM', 'IN:input'], false, 'pass'],
    ['NC closes', ['NC1', 'NO1', 'COM1', 'IN:input'], true, 'fail'],
    ['NO opens with a control that is low', ['NO', 'NC', 'COM', 'IN#:input'], false, 'pass'],
  ])('of two throws whose %s: %j', (_what, pins, closes, verdict) => {
    const built = switchBench.build(setup(...pins));
    if (!('netlist' in built)) throw new Error(built.reason);
    const run = { vectors: new Map([['v(v-sweep)', x], ['v(p3)', x.map((v) => (v > 1 === closes ? 0.495 : 1e-6))]]), errors: [] }; // prettier-ignore
    expect(built.judge(run).verdict).toBe(verdict);
  });
  it('for a supply is fed with it, and loaded at its output', () => {
    const load = setup('VOUT:supply-out', 'VIN:supply-in', 'EN:input', 'GND:ground');
    const built = switchBench.build(load);
    if (!('netlist' in built)) throw new Error(built.reason);
    expect(built.netlist).toMatch(/Vctl p3 0 0\nVsrc src 0 5\nRsrc src p2 1\nRload p1 0 1000$/m);
    const run = { vectors: new Map([['v(v-sweep)', x], ['v(p1)', x.map((v) => (v > 1 ? 4.9 : 1e-5))]]), errors: [] }; // prettier-ignore
    expect(built.judge(run)).toMatchObject({ verdict: 'pass', measured: { onOhm: 19.41 } });
  });
  it('of a relay has the coil’s other end on ground', () => {
    const built = switchBench.build(setup('COM', 'NO', 'COIL+', 'COIL-'));
    expect('netlist' in built && built.netlist).toMatch(/Vctl p3 0 0\nVback p4 0 0/);
  });
  it.each([
    ['the control', setup('NO', 'COM')],
    ['the two ends', setup('NO', '', 'IN:input')],
  ])('without %s says so', (what, given) => expect(judged(given, () => 0)).toMatchObject({ verdict: 'inconclusive', reason: expect.stringContaining(what) as string })); // prettier-ignore
});
