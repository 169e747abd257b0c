import fc from 'fast-check';
import { arrangePart, nudge, sendToSide } from '../../arrange';
import { AMP_MODEL, pinNamed, provenPart } from '../../test/samples';
import {
  applyEdit,
  bundleName,
  canonicalPart,
  describeEdit,
  DEFAULT_RULES,
  EditError,
  inverseOf,
  padOwners,
  terminalAt,
  terminalsOf,
  type Edit,
  type Part,
  type Pin,
} from '..';

const part = provenPart();
const id = (name: string) => pinNamed(part, name).id;
const drawing = part.drawings[0]!;
const pkg = part.packages[0]!;
const model = {
  id: 'm1',
  fileName: 'a.lib',
  source: AMP_MODEL,
  chosen: 'AMP1',
  ties: { u1: { '1': { pin: 'p3', also: ['p5'] }, '4': { to: 'ground' as const } } },
};
const withModel = applyEdit(part, { kind: 'setModel', model });

/** One of every kind, each with what must be true after it. */
const CASES: [edit: Edit, before: Part, after: (p: Part) => unknown, expected: unknown][] = [
  [{ kind: 'setFields', set: { maker: 'Ostrell' } }, part, (p) => p.maker, 'Ostrell'],
  [
    { kind: 'changePins', byHand: true, changes: [{ id: id('VDD'), set: { type: 'supply-out' } }] },
    part,
    (p) => [pinNamed(p, 'VDD').type, pinNamed(p, 'VDD').byHand],
    ['supply-out', ['type']],
  ],
  [
    { kind: 'changePins', changes: [{ id: id('VDD'), set: {}, unset: ['description'] }] },
    part,
    (p) => 'description' in pinNamed(p, 'VDD'),
    false,
  ],
  [
    { kind: 'addPins', pins: [{ id: 'x', name: 'NEW', type: 'input', pads: {}, doubts: [] }], after: id('OUT1') },
    part,
    (p) => p.pins[1]!.name,
    'NEW',
  ],
  [{ kind: 'removePins', pins: [id('IN1+')] }, withModel, (p) => [p.pins.length, p.models[0]!.ties['u1']!['1']], [7, { pin: 'p5' }]],
  [
    { kind: 'bundlePins', pins: [id('OUT1'), id('OUT2')] },
    part,
    (p) => [p.pins.length, pinNamed(p, 'OUT1').pads[pkg.id], pinNamed(p, 'OUT1').alternates],
    [7, ['1', '7'], ['OUT2']],
  ],
  [{ kind: 'settleDoubt', pin: id('VDD'), field: 'type', value: 'passive' }, part, (p) => pinNamed(p, 'VDD').type, 'passive'],
  [{ kind: 'settleDoubt', pin: id('VDD'), field: 'number', value: '9' }, part, (p) => pinNamed(p, 'VDD').pads[pkg.id], ['9']],
  [
    { kind: 'settleDoubt', pin: id('VDD'), field: 'number', value: '9, 10', package: 'other' },
    part,
    (p) => pinNamed(p, 'VDD').pads,
    { ...pinNamed(part, 'VDD').pads, other: ['9', '10'] },
  ],
  [{ kind: 'settleDoubt', pin: id('VDD'), field: 'activeLow', value: 'active low' }, part, (p) => pinNamed(p, 'VDD').activeLow, true],
  [
    { kind: 'movePorts', drawing: drawing.id, moves: [{ port: 't1', side: 'top', at: 0 }] },
    part,
    (p) => p.drawings[0]!.ports[0]!.side,
    'top',
  ],
  [{ kind: 'changePorts', drawing: drawing.id, ports: ['t1'], set: { length: 5 } }, part, (p) => p.drawings[0]!.ports[0]!.length, 5],
  [{ kind: 'changeDrawing', drawing: drawing.id, body: { width: 20 } }, part, (p) => p.drawings[0]!.body.width, 20],
  [{ kind: 'changeUnit', unit: 'u1', set: { title: 'One' } }, part, (p) => p.units[0]!.title, 'One'],
  [{ kind: 'removeUnit', unit: 'u3' }, part, (p) => [p.units.length, p.drawings.length], [2, 1]],
  [{ kind: 'removeUnit', unit: 'u1' }, part, (p) => [p.units.length, p.drawings.length], [2, 2]],
  [
    { kind: 'moveToUnit', unit: 'u3', places: [{ pin: id('OUT1'), side: 'right', at: -2 }], length: 2 },
    part,
    (p) => [
      p.drawings.length,
      Object.values(p.units[2]!.binding).includes(id('OUT1')),
      Object.values(p.units[0]!.binding).includes(id('OUT1')),
    ],
    [3, true, false],
  ],
  [{ kind: 'joinPads', package: pkg.id, joins: [{ pin: id('VDD'), pads: [] }] }, part, (p) => pinNamed(p, 'VDD').pads, {}],
  [{ kind: 'removePackage', package: pkg.id }, part, (p) => [p.packages.length, pinNamed(p, 'VDD').pads], [0, {}]],
  [{ kind: 'removeModel', model: 'm1' }, withModel, (p) => p.models.length, 0],
  [
    {
      kind: 'tieNodes',
      model: 'm1',
      ties: [
        { unit: 'u1', node: '4', tie: null },
        { unit: 'u2', node: '5', tie: { to: 'open' } },
      ],
    },
    withModel,
    (p) => [p.models[0]!.ties['u1']!['4'], p.models[0]!.ties['u2']!['5']],
    [undefined, { to: 'open' }],
  ],
  [{ kind: 'waive', waiver: { finding: 'f', rule: 'r', reason: 'so', digest: 'd' } }, part, (p) => p.waivers.length, 1],
  [
    {
      kind: 'batch',
      title: 'two',
      edits: [
        { kind: 'setFields', set: { maker: 'A' } },
        { kind: 'setFields', set: { maker: 'B' } },
      ],
    },
    part,
    (p) => p.maker,
    'B',
  ],
];

it.each(CASES)('$kind does what it says, and its inverse takes it back', (edit, before, after, expected) => {
  const next = applyEdit(before, edit);
  expect(after(next)).toEqual(expected);
  expect(applyEdit(next, inverseOf(before, next))).toEqual(before);
  expect(describeEdit(edit)).toMatch(/^[a-z]/);
});

describe('a bundle', () => {
  const bundled = applyEdit(part, { kind: 'bundlePins', pins: [id('IN1+'), id('IN2+')] });
  const one = pinNamed(bundled, 'IN1+');
  const split = (p: Part) => applyEdit(p, { kind: 'splitPin', pin: one.id }).pins.filter((x) => /^(IN\d\+|N)$/.test(x.name));
  it('is split into the terminals that it was made of', () =>
    expect(split(bundled).map((p) => [p.name, p.pads[pkg.id], p.alternates])).toEqual([
      ['IN1+', ['3'], undefined],
      ['IN2+', ['5'], undefined],
    ]));
  it('is at each pad the terminal that stands there', () => {
    expect(terminalAt(one, pkg.id, '5').name).toBe('IN2+');
    expect(
      padOwners(bundled, pkg.id)
        .get('5')!
        .map((p) => [p.id, p.name]),
    ).toEqual([[one.id, 'IN2+']]);
    expect(terminalAt(one, pkg.id, '99')).toBe(one);
  });
  it('gives what its terminals have in common to each of them when it is changed', () => {
    const typed = applyEdit(bundled, { kind: 'changePins', byHand: true, changes: [{ id: one.id, set: { type: 'passive' } }] });
    expect(split(typed).map((p) => p.type)).toEqual(['passive', 'passive']);
  });
  it('makes one pin more of a pad that was put to it since', () => {
    const more = applyEdit(bundled, { kind: 'joinPads', package: pkg.id, joins: [{ pin: one.id, pads: ['3', '9'] }] });
    expect(split(more).map((p) => [p.name, p.pads[pkg.id] ?? []])).toEqual([
      ['IN1+', ['3']],
      ['IN2+', []],
      ['IN1+', ['9']],
    ]);
  });
  it.each<[string, Pin['type'], string[], string]>([
    ['what is counted', 'ground', ['VSS_1', 'VSS_12'], 'VSS'],
    ['what is counted in brackets', 'supply-in', ['VDD[1]', 'VDD[2]'], 'VDD'],
    ['one name', 'ground', ['VSS', 'VSS'], 'VSS'],
    ['another word each', 'ground', ['VSS', 'VSSA'], 'VSS'],
    ['signals of other numbers', 'input', ['IN1', 'IN2'], 'IN1'],
    ['numbers alone', 'ground', ['1', '2'], '1'],
  ])('of %s is called so', (_what, type, names, name) => expect(bundleName(names.map((n) => ({ ...one, type, name: n })))).toBe(name));
  it('bundles a bundle with more', () => {
    const all = applyEdit(bundled, { kind: 'bundlePins', pins: [one.id, id('VDD')] });
    expect(
      terminalsOf(all.pins.find((p) => p.members)!)
        .map((p) => p.name)
        .sort(),
    ).toEqual(['IN1+', 'IN2+', 'VDD']);
  });
});

it.each<[string, Edit]>([
  ['a pin', { kind: 'changePins', changes: [{ id: 'nobody', set: { name: 'x' } }] }],
  ['a drawing', { kind: 'movePorts', drawing: 'none', moves: [] }],
  ['a unit', { kind: 'moveToUnit', unit: 'none', places: [], length: 2 }],
  ['half a step', { kind: 'movePorts', drawing: 'd1', moves: [{ port: 't1', side: 'left', at: 0.5 }] }],
  ['a lone bundle', { kind: 'bundlePins', pins: ['p1'] }],
])('refuses %s that is not there', (_what, edit) => {
  expect(() => applyEdit(part, edit)).toThrow(EditError);
});

it('never changes the part that it is given', () => {
  const bytes = canonicalPart(withModel);
  for (const [edit, before] of CASES) if (before === withModel) applyEdit(withModel, edit);
  expect(canonicalPart(withModel)).toBe(bytes);
});

/** Any edit that a person could make of this part, chosen by numbers. */
const anyEdit = fc.tuple(fc.nat(8), fc.nat(1000), fc.nat(1000), fc.string({ maxLength: 6 }));
function make(p: Part, [kind, a, b, text]: [number, number, number, string]): Edit {
  const pin = p.pins[a % Math.max(1, p.pins.length)]?.id ?? 'none';
  const d = p.drawings[a % Math.max(1, p.drawings.length)];
  const port = d?.ports[b % Math.max(1, d.ports.length)]?.id;
  switch (kind) {
    case 0:
      return {
        kind: 'changePins',
        byHand: true,
        changes: p.pins.slice(0, 1 + (b % 3)).map((x) => ({ id: x.id, set: { name: text } })),
      };
    case 1:
      return { kind: 'removePins', pins: p.pins.length > 0 ? [pin] : [] };
    case 2:
      return d && port
        ? { kind: 'movePorts', drawing: d.id, moves: nudge(d, [port], b % 2 ? 1 : -1) }
        : { kind: 'setFields', set: { maker: text } };
    case 3:
      return d && port
        ? {
            kind: 'movePorts',
            drawing: d.id,
            moves: sendToSide(d, [port], (['left', 'right', 'top', 'base'] as const)[b % 4]!),
          }
        : { kind: 'setFields', set: { maker: text } };
    case 4:
      return arrangePart(p, DEFAULT_RULES);
    case 5:
      return p.units[b % Math.max(1, p.units.length)] && p.pins.length > 0
        ? {
            kind: 'moveToUnit',
            unit: p.units[b % p.units.length]!.id,
            places: [{ pin, side: 'left', at: (b % 9) - 4 }],
            length: 2,
          }
        : { kind: 'setFields', set: { description: text } };
    case 6:
      return { kind: 'joinPads', package: pkg.id, joins: p.pins.length > 0 ? [{ pin, pads: [text] }] : [] };
    case 7:
      return p.units.length > 0
        ? { kind: 'removeUnit', unit: p.units[b % p.units.length]!.id }
        : { kind: 'setFields', set: { description: text } };
    default:
      return { kind: 'batch', title: text, edits: [make(p, [a % 8, b, a, text])] };
  }
}

it('property: any run of edits is undone step by step to where it began', () => {
  fc.assert(
    fc.property(fc.array(anyEdit, { maxLength: 12 }), (choices) => {
      const trail: { before: Part; back: Edit }[] = [];
      let current = withModel;
      for (const choice of choices) {
        const next = applyEdit(current, make(current, choice));
        trail.push({ before: current, back: inverseOf(current, next) });
        current = next;
      }
      for (const { before, back } of trail.reverse()) {
        current = applyEdit(current, back);
        expect(current).toEqual(before);
      }
    }),
    { numRuns: 150 },
  );
});

describe('ties of a part whose units are planned anew', () => {
  const pin = (name: string) => ({ pin: id(name) });
  const two = { u1: { in: pin('IN1+'), out: pin('OUT1'), vdd: pin('VDD') }, u2: { in: pin('IN2+'), out: pin('OUT2'), vdd: pin('VDD') } };
  const joined = applyEdit(part, { kind: 'setModel', model: { ...model, ties: two, readBack: { u1: { in: 'abc' } } } });
  const unit = (unitId: string, ...names: string[]) => ({
    ...{ id: unitId, label: unitId, title: '', drawing: drawing.id },
    binding: Object.fromEntries(names.map((n, i) => [`port${i}`, id(n)])),
  });
  it.each<[string, ReturnType<typeof unit>[], Record<string, 'u1' | 'u2'>]>([
    ['stay', [unit('u1', 'IN1+', 'OUT1'), unit('u2', 'IN2+', 'OUT2')], { u1: 'u1', u2: 'u2' }],
    ['go with their signals', [unit('u1', 'IN2+', 'OUT2'), unit('u2', 'IN1+', 'OUT1')], { u1: 'u2', u2: 'u1' }],
    ['go to a unit of another name', [unit('u7', 'VDD'), unit('u8', 'IN2+', 'OUT2'), unit('u9', 'IN1+', 'OUT1')], { u8: 'u2', u9: 'u1' }],
    ['are those of its channels where one unit holds both', [unit('u1', 'IN1+', 'OUT1', 'IN2+', 'OUT2')], { '*1': 'u1', '*2': 'u2' }],
    ['are no other unit’s where none holds them', [unit('u1', 'VDD'), unit('u2', 'IN1+', 'OUT1')], { 'former B': 'u2', u2: 'u1' }],
    ['stay where half of them is', [unit('u1', 'IN1+'), unit('u2', 'IN2+', 'OUT2'), unit('u3', 'OUT1')], { u1: 'u1', u2: 'u2' }],
  ])('%s', (_what, units, found) => {
    const after = applyEdit(joined, { kind: 'takeArrangement', units, drawings: part.drawings }).models[0]!;
    expect(after.ties).toEqual(Object.fromEntries(Object.entries(found).map(([key, was]) => [key, two[was]])));
    const first = Object.keys(found).find((key) => found[key] === 'u1')!;
    expect(after.readBack).toEqual({ [first]: { in: 'abc' } });
  });
  it('stay where only supplies are tied yet', () => {
    const begun = applyEdit(part, { kind: 'setModel', model: { ...model, ties: { u1: { vdd: pin('VDD') } } } });
    const units = [unit('u1', 'IN1+', 'OUT1'), unit('u2', 'VDD')];
    expect(applyEdit(begun, { kind: 'takeArrangement', units, drawings: part.drawings }).models).toBe(begun.models);
  });
});
