import { applyEdit, type Part } from '../part';
import { bindingUnits, chosenModel } from '../spice';
import { AMP_MODEL, pinNamed, provenPart } from '../test/samples';
import { markEdit, nodeSteps, padSteps } from '.';

describe('reading pads back', () => {
  const part = provenPart();
  const pkg = part.packages[0]!;
  const steps = (p: Part) => padSteps(p, p.packages[0]!);
  const marked = (p: Part) => steps(p).reduce((q, step) => applyEdit(q, markEdit({ package: pkg.id }, step)), p);
  const states = (p: Part) => steps(p).map((s) => s.state);

  it('begins with every pad open, each with its pins', () => {
    expect(new Set(states(part))).toEqual(new Set(['open']));
    expect(steps(part).map((s) => s.pins.map((p) => p.name).join())).toEqual('OUT1 IN1- IN1+ VSS IN2+ IN2- OUT2 VDD'.split(' '));
  });
  it('keeps a mark for each', () => expect(new Set(states(marked(part)))).toEqual(new Set(['read'])));
  it('stays where pins are bundled: each pad has the terminal that is printed there', () => {
    const ids = ['IN1+', 'IN2+'].map((name) => pinNamed(part, name).id);
    const bundled = applyEdit(marked(part), { kind: 'bundlePins', pins: ids });
    expect(bundled.pins).toHaveLength(7);
    expect(steps(bundled).map((s) => s.pins.map((p) => p.name).join())).toEqual('OUT1 IN1- IN1+ VSS IN2+ IN2- OUT2 VDD'.split(' '));
    expect(new Set(states(bundled))).toEqual(new Set(['read']));
  });
  it('takes a mark back', () => {
    const all = marked(part);
    expect(states(applyEdit(all, markEdit({ package: pkg.id }, steps(all)[2]!, false)))[2]).toBe('open');
  });
  it.each<[string, (p: Part) => Part, number[]]>([
    ['a pin’s name changes', (p) => ({ ...p, pins: p.pins.map((x) => (x.name === 'VSS' ? { ...x, name: 'GND' } : x)) }), [3]],
    ['an overbar comes', (p) => ({ ...p, pins: p.pins.map((x) => (x.name === 'VSS' ? { ...x, activeLow: true } : x)) }), [3]],
    [
      'two pins change their pads',
      (p) =>
        applyEdit(p, {
          kind: 'joinPads',
          package: pkg.id,
          joins: [
            { pin: pinNamed(p, 'VDD').id, pads: ['1'] },
            { pin: pinNamed(p, 'OUT1').id, pads: ['8'] },
          ],
        }),
      [0, 7],
    ],
    ['a type changes, which the drawing does not show', (p) => ({ ...p, pins: p.pins.map((x) => ({ ...x, type: 'input' as const })) }), []],
    [
      'pads get other sizes',
      (p) => ({
        ...p,
        packages: p.packages.map((k) => ({ ...k, land: { ...k.land, pads: k.land.pads.map((d) => ({ ...d, w: d.w + 0.1 })) } })),
      }),
      [],
    ],
  ])('lapses where %s', (_what, change, lapsed) =>
    expect(states(change(marked(part))).flatMap((s, i) => (s === 'lapsed' ? [i] : []))).toEqual(lapsed),
  );
});

describe('reading nodes back', () => {
  const source = AMP_MODEL;
  const set = applyEdit(provenPart(), { kind: 'setModel', model: { id: 'm1', fileName: 'a.lib', source, chosen: 'AMP1', ties: {} } });
  const chosen = chosenModel(set.models[0]!)!;
  const [unit = ''] = bindingUnits(set, chosen.nodes.length);
  const tied = applyEdit(set, { kind: 'tieNodes', model: 'm1', ties: [{ unit, node: '1', tie: { pin: pinNamed(set, 'IN1+').id } }, { unit, node: '4', tie: { to: 'ground' } }] }); // prettier-ignore
  const steps = (p: Part) => nodeSteps(p, p.models[0]!, chosen, unit);
  it('shows each node with its pin, or what else it is tied to, and the comment that names it', () =>
    expect(steps(tied).map((s) => [s.place, s.pins[0]?.name ?? s.to, s.doc])).toEqual([
      ['1', 'IN1+', 'non-inverting input'],
      ['2', 'not tied', 'inverting input'],
      ['3', 'not tied', 'positive supply'],
      ['4', 'ground', 'negative supply'],
      ['5', 'not tied', 'output'],
    ]));
  it('lapses where another pin is tied', () => {
    const read = applyEdit(tied, markEdit({ model: 'm1', unit }, steps(tied)[0]!));
    expect(steps(read)[0]!.state).toBe('read');
    const other = applyEdit(read, { kind: 'tieNodes', model: 'm1', ties: [{ unit, node: '1', tie: { pin: pinNamed(set, 'IN1-').id } }] });
    expect(steps(other)[0]!.state).toBe('lapsed');
  });
});
