import { applyEdit, canonicalPart, DEFAULT_RULES, parsePart, type Drawing, type Edit, type Part, type Pin } from '../part';
import { padSteps } from '../read-back';
import { AMP_MODEL, pinNamed, provenPart, tried } from '../test/samples';
import { checkPart, FAMILIES, RULES, waiverEdit, whereText, type Finding } from '.';

const proven = provenPart();
const pkg = proven.packages[0]!;
const id = (name: string) => pinNamed(proven, name).id;
const all = {
  '1': { pin: id('IN1+') },
  '2': { pin: id('IN1-') },
  '3': { pin: id('VDD') },
  '4': { pin: id('VSS') },
  '5': { pin: id('OUT1') },
};
const second = {
  '1': { pin: id('IN2+') },
  '2': { pin: id('IN2-') },
  '3': { pin: id('VDD') },
  '4': { pin: id('VSS') },
  '5': { pin: id('OUT2') },
};
const untried = applyEdit(proven, {
  kind: 'setModel',
  model: { id: 'm1', fileName: 'a.lib', source: AMP_MODEL, chosen: 'AMP1', ties: { u1: all, u2: second } },
});
const joined = tried(untried);
/** The first pads of a package marked as read back. */
const readBack = (part: Part, count: number): Part =>
  padSteps(part, part.packages[0]!)
    .slice(0, count)
    .reduce((p, { place, digest }) => applyEdit(p, { kind: 'markRead', of: { package: pkg.id }, marks: [{ place, digest }] }), part);
const withModel =
  (set: Partial<Part['models'][number]>) =>
  (part: Part): Part => ({ ...part, models: part.models.map((m) => ({ ...m, ...set })) });

const find = (part: Part, rule: string, rules = DEFAULT_RULES): Finding[] => checkPart(part, rules).findings.filter((f) => f.rule === rule);
const withPin =
  (name: string, set: Partial<Pin>) =>
  (part: Part): Part => ({ ...part, pins: part.pins.map((p) => (p.name === name ? { ...p, ...set } : p)) });
const withDrawing =
  (i: number, change: (d: Drawing) => Drawing) =>
  (part: Part): Part => ({ ...part, drawings: part.drawings.map((d, k) => (k === i ? change(d) : d)) });
const withEdit =
  (edit: Edit) =>
  (part: Part): Part =>
    applyEdit(part, edit);
const withTies = (unit: string, node: string, tie: Part['models'][number]['ties'][string][string] | null) =>
  withEdit({ kind: 'tieNodes', model: 'm1', ties: [{ unit, node, tie }] });
const withFields = (set: Extract<Edit, { kind: 'setFields' }>['set']) => withEdit({ kind: 'setFields', set });
const withPads =
  (change: (pads: Part['packages'][number]['land']['pads']) => Part['packages'][number]['land']['pads']) =>
  (part: Part): Part => ({ ...part, packages: part.packages.map((p) => ({ ...p, land: { ...p.land, pads: change(p.land.pads) } })) });

/** Every rule with a part that trips it, what it says, and whether its first mend settles it. */
const TRIPS: [rule: string, trip: (part: Part) => Part, says: RegExp, mends?: boolean][] = [
  ['field-empty', withFields({ maker: ' ' }), /maker is empty/],
  ['field-empty', withFields({ reference: '' }), /reference is empty/, true],
  ['field-empty', withFields({ category: '' }), /category is empty/, true],
  ['datasheet-missing', withFields({ datasheet: { title: '' } }), /No datasheet/],
  ['reference-form', withFields({ reference: 'u1' }), /“u1”/],
  ['reference-letters', withFields({ reference: 'R' }), /U or IC is usual/, true],
  ['order-code-twice', withFields({ orderCodes: ['A', 'B', 'A'] }), /A stands twice/, true],
  ['base-name-suffix', withFields({ baseName: 'TF0002-SO8' }), /carries the package/],
  [
    'field-twice',
    withFields({
      fields: [
        { name: 'Height', value: '1' },
        { name: 'Height', value: '2' },
      ],
    }),
    /Height stands twice/,
  ],
  ['no-pins', (p) => ({ ...p, pins: [], units: [] }), /no pins/],
  [
    'number-twice',
    withEdit({ kind: 'joinPads', package: pkg.id, joins: [{ pin: id('VDD'), pads: ['1'] }] }),
    /Number 1 of SO-8 stands 2 times: OUT1, VDD/,
  ],
  ['number-gap', withEdit({ kind: 'removePins', pins: [id('IN1+')] }), /number 3/],
  ['name-missing', withPin('VDD', { name: '' }), /number 8 has no name/],
  ['name-form', withPin('VDD', { name: 'V<b>' }), /V<b>/],
  ['name-lookalike', (p) => withPin('IN2+', { name: 'I00' })(withPin('IN1+', { name: 'IO0' })(p)), /IO0 and I00 look alike/],
  ['name-types', (p) => withPin('OUT2', { name: 'OUT1', type: 'input' })(p), /output and as input/, true],
  ['pin-without-pad', withPin('VDD', { pads: {} }), /VDD has no number/],
  ['alternate-twice', withPin('VDD', { alternates: ['A', 'A'] }), /twice/, true],
  ['type-unspecified', withPin('IN1+', { type: 'unspecified' }), /IN1\+ \(3\) has no electrical type/, true],
  ['supply-name-type', withPin('VDD', { type: 'input' }), /named like a supply and typed input/, true],
  ['ground-name-type', withPin('VSS', { type: 'passive' }), /named like a ground and typed passive/, true],
  ['no-connect-name', withPin('IN2+', { name: 'NC', type: 'output' }), /typed output/, true],
  ['active-low-name', withPin('IN1+', { name: 'CS#' }), /not flagged/, true],
  ['active-low-power', withPin('VDD', { activeLow: true }), /flagged active low/, true],
  ['output-bundled', withEdit({ kind: 'bundlePins', pins: [id('OUT1'), id('OUT2')] }), /joins 2 outputs/, true],
  ['bundle-types', withEdit({ kind: 'bundlePins', pins: [id('VSS'), id('IN1+')] }), /of different types: IN1\+ input, VSS ground/, true],
  ['bundle-names', withEdit({ kind: 'bundlePins', pins: [id('IN1+'), id('IN1-')] }), /names apart: IN1-, IN1\+/, true],
  ['no-ground', withPin('VSS', { type: 'input', name: 'X' }), /no pin is a ground/],
  ['no-supply', withPin('VDD', { type: 'input', name: 'X' }), /no pin is a supply/],
  ['pair-types', withPin('IN1-', { type: 'output' }), /IN1\+ is input and IN1- is output/, true],
  ['doubt-open', withPin('VDD', { doubts: [{ field: 'type', reason: 'Perhaps.', candidates: ['ground'] }] }), /in doubt\. Perhaps/, true],
  [
    'pin-undrawn',
    withEdit({ kind: 'addPins', pins: [{ id: 'x', name: 'NEW', type: 'input', pads: {}, doubts: [] }] }),
    /NEW is drawn in no unit/,
    true,
  ],
  [
    'pin-drawn-twice',
    (p) => ({ ...p, units: p.units.map((u) => (u.id === 'u2' ? { ...u, binding: { ...u.binding, t1: p.units[0]!.binding['t1']! } } : u)) }),
    /drawn in A and B/,
  ],
  ['shared-signal', withPin('IN1+', { shared: true }), /typed input and marked shared/, true],
  ['port-unbound', (p) => ({ ...p, units: p.units.map((u) => (u.id === 'u3' ? { ...u, binding: {} } : u)) }), /Unit C draws a pin/],
  ['place-twice', withDrawing(0, (d) => ({ ...d, ports: d.ports.map((q) => ({ ...q, side: 'left', at: 0 })) })), /one place/, false],
  [
    'place-outside',
    withDrawing(1, (d) => ({ ...d, ports: d.ports.map((q, i) => (i === 0 ? { ...q, at: 30 } : q)) })),
    /beyond the body/,
    true,
  ],
  [
    'unit-empty',
    (p) => ({
      ...p,
      units: [...p.units, { id: 'u9', label: 'Z', title: '', drawing: 'd9', binding: {} }],
      drawings: [...p.drawings, { ...p.drawings[0]!, id: 'd9', ports: [] }],
    }),
    /Unit Z has no pins/,
    true,
  ],
  ['unit-label-twice', withEdit({ kind: 'changeUnit', unit: 'u2', set: { label: 'A' } }), /2 units have the label A/],
  ['units-unequal', withPin('OUT2', { type: 'open-drain' }), /OUT2 \(7\) in unit B is open-drain/],
  [
    'text-crossed',
    withDrawing(0, (d) => ({ ...d, strokes: [{ kind: 'line', points: [[-400, 300], [400, -300]] }] })), // prettier-ignore
    /A line runs through the (name|number|title)/,
  ],
  ['unit-tall', withDrawing(0, (d) => ({ ...d, body: { ...d.body, height: 80 } })), /Unit A is 80 steps tall; the house rules allow 56/],
  [
    'group-cut',
    (p) => ({
      ...p,
      pins: p.pins.map((x) => (x.name === 'IN1+' || x.name === 'VDD' ? { ...x, group: 'Bias', type: 'input' as const } : x)),
    }),
    /Bias stands in the units A and C/,
  ],
  ['names-overlap', withDrawing(0, (d) => ({ ...d, body: { ...d.body, width: 2 } })), /overlap in unit A/],
  [
    'texts-overlap',
    withDrawing(0, (d) => ({ ...d, labels: d.labels.map((l) => ({ ...l, x: 0, y: 0, anchor: 'start' as const })) })),
    /overlap in unit A/,
  ],
  ['mark-type', withPin('OUT1', { activeLow: true }), /lacks the mark/, true],
  [
    'pair-apart',
    withEdit({ kind: 'moveToUnit', unit: 'u3', places: [{ pin: id('IN1-'), side: 'left', at: -2 }], length: 2 }),
    /IN1\+ is in unit A and IN1- in unit C/,
  ],
  ['no-package', (p) => ({ ...p, packages: [] }), /no package/],
  ['land-missing', (p) => ({ ...p, packages: [{ ...pkg, land: { pads: [] } }] }), /SO-8 has no pads yet/, true],
  ['pad-without-pin', withEdit({ kind: 'joinPads', package: pkg.id, joins: [{ pin: id('VDD'), pads: [] }] }), /Pad 8 of SO-8 has no pin/],
  ['number-without-pad', withEdit({ kind: 'joinPads', package: pkg.id, joins: [{ pin: id('VDD'), pads: ['EP'] }] }), /has no pad EP/, true],
  ['pad-count', (p) => ({ ...p, packages: [{ ...p.packages[0]!, name: 'SO-14' }] }), /should have 14 pads; its land has 8/],
  ['pads-touch', withPads((pads) => pads.map((p) => ({ ...p, h: 2 }))), /touch/],
  ['pad-number-twice', withPads((pads) => [...pads, { ...pads[0]!, x: 20 }]), /2 pads of SO-8 have the number 1/],
  ['pad-unnumbered', withPads((pads) => [...pads, { ...pads[0]!, number: ' ', x: 20 }]), /without a number/],
  ['model-gone', (p) => ({ ...p, models: [{ ...p.models[0]!, chosen: 'GONE' }] }), /has no model GONE/, true],
  [
    'bus-on-node',
    withEdit({ kind: 'bundlePins', pins: [id('IN1+'), id('IN1-')], bus: { name: 'IN[1:0]' } }),
    /IN\[1:0\].* is 2 nets, and on node 1 of AMP1 in unit A/,
    true,
  ],
  ['unit-unbound', withTies('u9', '1', { pin: id('IN1+') }), /AMP1 is tied in a unit that is gone, and is bound unit by unit/, true],
  ['unit-unbound', withTies('*', '1', { pin: id('IN1+') }), /AMP1 is tied in the whole part, and is bound unit by unit/, true],
  ['node-untied', withTies('u1', '4', null), /Node 4 \(negative supply\) of AMP1 has no pin in unit A/, true],
  ['node-no-connect', withPin('IN1+', { type: 'no-connect' }), /not connected inside and is joined to node 1/, true],
  ['node-two-signals', withTies('u1', '1', { pin: id('IN1+'), also: [id('IN2+')] }), /not the same signal/],
  ['pin-two-nodes', withTies('u1', '2', { pin: id('IN1+') }), /on the nodes 1 and 2 in unit A/],
  ['pin-two-models', (p) => ({ ...p, models: [...p.models, { ...p.models[0]!, id: 'm2' }] }), /IN1\+.* is on nodes of AMP1 and AMP1/],
  [
    'models-one-name',
    (p) => ({
      ...p,
      models: [...p.models, { ...p.models[0]!, id: 'm2', fileName: 'b.lib', source: `* other\n${p.models[0]!.source}`, ties: {} }],
    }),
    /AMP1 is defined in .* and in b\.lib/,
  ],
  [
    'ties-unequal',
    (p) => withTies('u2', '1', { pin: id('IN2-') })(withTies('u2', '2', { pin: id('IN2+') })(p)),
    /another place in unit B than in unit A/,
  ],
  ['node-role', (p) => withTies('u1', '1', { pin: id('IN1-') })(withTies('u1', '2', { pin: id('IN1+') })(p)), /“non-inverting input”/],
  ['pin-without-node', withTies('u1', '1', { to: 'ground' }), /IN1\+ \(3\) is on no node/],
  [
    'exposed-pad-open',
    withPads((pads) => [...pads, { number: '9', x: 0, y: 0, w: 2.4, h: 3.3, shape: 'rect' }]),
    /exposed pad 9 of SO-8 has no pin/,
  ],
  [
    'rail-partly-joined',
    withEdit({ kind: 'addPins', pins: [{ id: 'x', name: 'VDD', type: 'supply-in', pads: {}, doubts: [] }] }),
    /1 of 2 pins of VDD have no pad in SO-8/,
  ],
  ['numbering-mirrored', withPads((pads) => pads.map((p) => ({ ...p, x: -p.x }))), /counted clockwise/, true],
  [
    'model-no-ground',
    (p) =>
      ['u1', 'u2'].reduce(
        (q, unit) => withTies(unit, '4', { to: 'open' })(q),
        withModel({ source: AMP_MODEL.replace('negative supply', 'tail') })(p),
      ),
    /AMP1 has a supply and no node on a ground/,
  ],
  ['dialect-foreign', withModel({ source: AMP_MODEL.replace('1 2 1meg', '1 2 {2*500k}') }), /an expression in braces \(line 9\)/, true],
  ['trial-missing', () => untried, /AMP1 is joined and has not been tried/],
  ['trial-failed', () => tried(untried, 'fail'), /trial of AMP1 failed\. As told\./],
  ['trial-older', withPin('IN2+', { name: 'IN2P' }), /join of AMP1 in unit B has changed since its trial/],
  ['trial-inconclusive', () => tried(untried, 'inconclusive'), /shows nothing/],
  ['read-back-missing', (p) => readBack(p, 3), /3 of 8 pads of SO-8 are read back/],
  ['read-back-lapsed', (p) => withPin('IN1-', { name: 'IN1N' })(readBack(p, 8)), /Of the pads of SO-8, 2 changed after the read-back/],
  [
    'waiver-lapsed',
    (p) => ({ ...p, waivers: [{ finding: 'field-empty', rule: 'field-empty', reason: 'fine', digest: 'old' }] }),
    /has lapsed/,
    true,
  ],
];

it('takes a negated output of a gate, and the contact that is closed at rest, for what they are', () => {
  const gate = withDrawing(0, (d) => ({
    ...d,
    body: { ...d.body, shape: 'and-block' as const },
    ports: d.ports.map((q) => (proven.units[0]!.binding[q.id] === id('OUT1') ? { ...q, marks: ['negation' as const] } : q)),
  }))(proven);
  expect(find(gate, 'mark-type')).toEqual([]);
  const block = { ...gate, drawings: gate.drawings.map((d) => ({ ...d, body: { ...d.body, shape: 'block' as const } })) };
  expect(find(block, 'mark-type')).not.toEqual([]);
  const relay = withPin('IN1-', { name: 'NC1', type: 'passive' })(withPin('IN1+', { name: 'NO1', type: 'passive' })(proven));
  expect(find(relay, 'no-connect-name')).toEqual([]);
});

it.each<[Drawing['body']['shape'], string, string]>([
  ['npn', 'transistor', 'Q'],
  ['photodiode', 'diode', 'D'],
  ['contacts', 'connector', 'J'],
  ['varistor', 'varistor', 'RV'],
  ['amplifier', 'integrated circuit', 'U'],
])('offers for what is drawn as %s the category %s and the letters %s', (shape, category, letters) => {
  const drawings = proven.drawings.map((d) => ({ ...d, body: { ...d.body, shape } }));
  const found = find({ ...proven, pins: [], category: '', reference: '', drawings }, 'field-empty');
  expect(found.flatMap((f) => f.mends.map((m) => m.label)).sort()).toEqual([`use ${category}`, `use ${letters}`].sort());
});

it('a part in order has no finding at all', () => {
  expect(checkPart(joined).findings.filter((f) => f.rule !== 'node-role')).toEqual([]);
  expect(checkPart(proven).findings).toEqual([]);
});

describe.each(TRIPS)('%s', (rule, trip, says, mends) => {
  const tripped = trip(joined);
  it('finds what it is for, and says it', () => {
    const found = find(tripped, rule);
    expect(found.map((f) => f.message).join('\n')).toMatch(says);
    expect(find(joined, rule)).toEqual([]);
  });
  it('says where in words', () =>
    expect(
      find(tripped, rule)
        .map((f) => whereText(tripped, f.where))
        .join(''),
    ).toMatch(/\w/));
  if (mends) {
    it('is settled by its first mend', () => {
      const [first] = find(tripped, rule);
      const after = applyEdit(tripped, first!.mends[0]!.edit);
      expect(find(after, rule).map((f) => f.id)).not.toContain(first!.id);
    });
  }
});

it('says once that nothing is drawn while no unit is planned', () =>
  expect(checkPart({ ...provenPart(), units: [], drawings: [] }).findings.filter((f) => f.rule === 'pin-undrawn')).toMatchObject([
    { where: {}, message: 'None of its 8 pins is drawn: no unit is planned yet.' },
  ]));
it('has a part for every rule', () => expect([...new Set(TRIPS.map(([rule]) => rule))].sort()).toEqual(RULES.map((r) => r.id).sort()));

describe('the registry', () => {
  it('has over thirty rules, each with a name of its own, a title and a reason', () => {
    expect(RULES.length).toBeGreaterThan(30);
    expect(new Set(RULES.map((r) => r.id)).size).toBe(RULES.length);
    for (const r of RULES) {
      expect(r.id).toMatch(/^[a-z]+(-[a-z]+)+$/);
      expect(r.why).toMatch(/\.$/);
      expect(r.title).not.toMatch(/\.$/);
    }
  });
  it('has rules in every family', () => expect(new Set(RULES.map((r) => r.family))).toEqual(new Set(Object.keys(FAMILIES))));
});

describe('severities', () => {
  const tripped = withFields({ maker: '', datasheet: { title: '' } })(proven);
  it('stand with the gravest first', () => expect(checkPart(tripped).findings.map((f) => f.severity)).toEqual(['error', 'warning']));
  it('are what the house rules say', () => {
    const rules = { ...DEFAULT_RULES, severities: { 'field-empty': 'note' as const, 'datasheet-missing': 'off' as const } };
    const { findings, asked } = checkPart(tripped, rules);
    expect(findings.map((f) => [f.rule, f.severity])).toEqual([['field-empty', 'note']]);
    expect(RULES.map((r) => r.id).filter((id) => !asked.includes(id))).toEqual(['datasheet-missing']);
  });
  it('require the fields that the house wants', () => {
    const rules = { ...DEFAULT_RULES, required: ['Height', 'keywords'] };
    expect(find(proven, 'field-empty', rules).map((f) => f.where.field)).toEqual(['Height', 'keywords']);
    expect(find(withFields({ fields: [{ name: 'height', value: '1 mm' }], keywords: ['a'] })(proven), 'field-empty', rules)).toEqual([]);
  });
});

describe('a read-back', () => {
  const wanted = { ...DEFAULT_RULES, severities: { 'read-back-missing': 'error' as const } };
  it('is asked of nobody who has not begun it', () => expect(find(joined, 'read-back-missing')).toEqual([]));
  it('is asked of every part where the house rules want it: pads, and nodes of each unit', () =>
    expect(find(joined, 'read-back-missing', wanted).map((f) => f.message)).toEqual([
      '0 of 8 pads of SO-8 are read back.',
      '0 of 5 nodes of AMP1 in unit A are read back.',
      '0 of 5 nodes of AMP1 in unit B are read back.',
    ]));
  it('is done when each pad has its mark', () => expect(find(readBack(joined, 8), 'read-back-missing')).toEqual([]));
});

const bundled = (type: Pin['type'], ...names: string[]): Edit => {
  const ids = ['IN1+', 'IN2+'].map(id);
  const changes = ids.map((pin, i) => ({ id: pin, set: { name: names[i]!, type } }));
  return {
    kind: 'batch',
    title: '',
    edits: [
      { kind: 'changePins', changes },
      { kind: 'bundlePins', pins: ids },
    ],
  };
};
it.each<[string, Edit, string[]]>([
  ['a bus of outputs', { kind: 'bundlePins', pins: [id('OUT1'), id('OUT2')], bus: { name: 'OUT[2:1]' } }, []],
  ['inputs that are counted', { kind: 'bundlePins', pins: [id('IN1+'), id('IN2+')] }, ['bundle-names']],
  ['signals that are counted in brackets', bundled('input', 'VIN[1]', 'VIN[2]'), ['bundle-names']],
  ['grounds that are counted in brackets', bundled('ground', 'VSS[1]', 'VSS[2]'), []],
  ['one supply of two pads', { kind: 'joinPads', package: pkg.id, joins: [{ pin: id('VDD'), pads: ['8', '9'] }] }, []],
])('of bundles, %s has what is wrong with it', (_what, edit, rules) =>
  expect(checkPart(applyEdit(proven, edit)).findings.flatMap((f) => (/bundle/.test(f.rule) ? [f.rule] : []))).toEqual(rules),
);

describe('waivers', () => {
  const tripped = withPin('VSS', { name: 'V SS' })(proven);
  const finding = find(tripped, 'name-form')[0]!;
  const waived = applyEdit(tripped, waiverEdit(tripped, finding, 'the datasheet prints it so'));
  it('take the finding away and keep its reason', () => {
    const result = checkPart(waived);
    expect(result.findings).toEqual([]);
    expect(result.waived.map((w) => w.waiver.reason)).toEqual(['the datasheet prints it so']);
  });
  it('hold while other things change', () => expect(checkPart(withFields({ maker: 'Another' })(waived)).waived).toHaveLength(1));
  it('outlive the file, in which the nodes of a model stand in another order', () => {
    const source = AMP_MODEL.replace('1 2 1meg', '1 2 {2*500k}');
    const reversed = { out: all['5'], in: all['1'] };
    const tied = withModel({ source, ties: { '*': reversed } })(joined);
    const found = checkPart(tied).findings.find((f) => f.rule === 'dialect-foreign')!;
    const part = parsePart(canonicalPart(applyEdit(tied, waiverEdit(tied, found, 'it is read'))));
    expect(checkPart(part).waived).toHaveLength(1);
    expect(checkPart(part).findings.filter((f) => f.rule === 'waiver-lapsed')).toEqual([]);
  });
  it('lapse when what they waive changes', () => {
    const changed = withPin('V SS', { activeLow: true })(waived);
    expect(checkPart(changed).findings.map((f) => f.rule)).toEqual(expect.arrayContaining(['name-form', 'waiver-lapsed']));
  });
  it('lapse when what they waived is gone', () =>
    expect(checkPart(withPin('V SS', { name: 'VSS' })(waived)).findings.map((f) => f.rule)).toEqual(['waiver-lapsed']));
  it('cover one finding and no other', () => expect(find(withPin('VDD', { name: 'V DD' })(waived), 'name-form')).toHaveLength(1));
});

it('gives the same findings for the same part, in the same order', () => {
  const tripped = TRIPS.slice(0, 7).reduce((p, [, trip]) => trip(p), joined);
  expect(checkPart(tripped)).toEqual(checkPart(JSON.parse(JSON.stringify(tripped)) as Part));
});
