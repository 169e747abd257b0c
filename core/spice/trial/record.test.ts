import { applyEdit, WHOLE_PART, type Model, type NodeTie, type Part } from '../../part';
import { AMP_MODEL, pinNamed, provenPart, tried } from '../../test/samples';
import { joinDigest, joinedUnits, recordEdit, rejoinEdit, trialStanding, trialState } from './record';
import type { Trial } from './run';

const base = provenPart();
const tie = (name: string): NodeTie => ({ pin: pinNamed(base, name).id });
const ties = (n: 1 | 2) => ({ '1': tie(`IN${n}+`), '2': tie(`IN${n}-`), '3': tie('VDD'), '4': tie('VSS'), '5': tie(`OUT${n}`) });
const model: Model = { id: 'm1', fileName: 'a.lib', source: AMP_MODEL, chosen: 'AMP1', ties: { u1: ties(1), u2: ties(2) } };
const part = applyEdit(base, { kind: 'setModel', model });
const [first, second] = joinedUnits(part, model) as [{ id: string; label: string }, { id: string; label: string }];
const states = (p: Part) => joinedUnits(p, p.models[0]!).map((u) => trialState(p, p.models[0]!, u));
const trial = (unit: string | null, verdict: Trial['verdict'], name = 'bench'): Trial => ({
  name,
  unit,
  verdict,
  reason: '',
  measured: {},
});
const keep = (...trials: Trial[]): Part => applyEdit(part, recordEdit(part, model, trials));

describe('the units that a trial covers', () => {
  it('are those with a pin on a node', () => {
    const loose = { ...model, ties: { ...model.ties, u3: { '1': { to: 'open' as const } } } };
    expect(joinedUnits(part, loose).map((u) => u.label)).toEqual(['A', 'B']);
  });
  it('are one without a label where the model covers the part', () =>
    expect(joinedUnits(part, { ...model, ties: { [WHOLE_PART]: ties(1) } })).toEqual([{ id: WHOLE_PART, label: '' }]));
});

describe('the digest of a join', () => {
  const digest = joinDigest(part, model, first.id);
  const renamed = (from: string, to: string): Part => ({ ...part, pins: part.pins.map((p) => (p.name === from ? { ...p, name: to } : p)) });
  it.each<[string, Part, Model]>([
    ['another pin', part, { ...model, ties: { ...model.ties, u1: { ...ties(1), '1': tie('IN1-') } } }],
    ['another name', renamed('IN1+', 'INP'), model],
    ['another type', { ...part, pins: part.pins.map((p) => ({ ...p, type: 'passive' as const })) }, model],
    ['another text', part, { ...model, source: `${AMP_MODEL}\n* more` }],
    ['another parameter', part, { ...model, params: { GAIN: '1' } }],
    ['a node on ground', part, { ...model, ties: { ...model.ties, u1: { ...ties(1), '4': { to: 'ground' } } } }],
  ])('is another with %s', (_what, p, m) => expect(joinDigest(p, m, first.id)).not.toBe(digest));
  it.each<[string, Part, Model]>([
    ['another unit’s pin', renamed('IN2+', 'X'), model],
    ['a description', { ...part, description: 'Another' }, model],
    ['what a trial gave', part, keep(trial('A', 'pass')).models[0]!],
    ['nodes in another order', part, { ...model, ties: { u1: Object.fromEntries(Object.entries(ties(1)).reverse()) } }],
  ])('is the same with %s', (_what, p, m) => expect(joinDigest(p, m, first.id)).toBe(digest));
});

describe('what a part keeps of its trials', () => {
  it.each<[string, Part, string[]]>([
    ['nothing', part, ['missing', 'missing']],
    ['all passed', tried(part), ['pass', 'pass']],
    ['one unit only', keep(trial('A', 'pass')), ['pass', 'missing']],
    ['one that failed', keep(trial('A', 'pass'), trial('B', 'fail')), ['pass', 'fail']],
    ['the worst of two benches', keep(trial('A', 'pass', 'one'), trial('A', 'inconclusive', 'two')), ['inconclusive', 'missing']],
    ['a failure beside a doubt', keep(trial('A', 'inconclusive', 'one'), trial('A', 'fail', 'two')), ['fail', 'missing']],
    ['a unit that is gone', keep(trial('Z', 'fail')), ['missing', 'missing']],
  ])('%s', (_what, p, expected) => expect(states(p)).toEqual(expected));
  it('is older once the join of its unit changes, and no other', () => {
    const passed = tried(part);
    const changed = applyEdit(passed, { kind: 'tieNodes', model: 'm1', ties: [{ unit: second.id, node: '4', tie: { to: 'ground' } }] });
    expect(states(changed)).toEqual(['pass', 'older']);
  });
});

describe('the exchange that a failed trial found', () => {
  it('puts two pins on each other’s nodes in its unit', () => {
    const after = applyEdit(part, rejoinEdit(part, model, 'B', ['IN2+', 'IN2-'])!).models[0]!;
    expect([after.ties['u2']!['1'], after.ties['u2']!['2'], after.ties['u1']]).toEqual([tie('IN2-'), tie('IN2+'), ties(1)]);
  });
  it.each<[string, string, [string, string]]>([
    ['a unit that is gone', 'Z', ['IN1+', 'IN1-']],
    ['a pin that is not tied', 'A', ['IN1+', 'NOPE']],
  ])('is nothing for %s', (_what, unit, names) => expect(rejoinEdit(part, model, unit, names)).toBeUndefined());
});

describe('what a trial card needs', () => {
  it('is one setup and one standing for each joined unit', () => {
    const standing = trialStanding(tried(part));
    expect(standing.setups.map((s) => s.unit)).toEqual(['A', 'B']);
    expect(standing.kept.map((k) => [k.unit, k.state, k.records.length])).toEqual([
      ['A', 'pass', 1],
      ['B', 'pass', 1],
    ]);
  });
  it('has the same digest until a join changes', () => {
    const { digest } = trialStanding(part);
    expect(trialStanding(tried(part)).digest).toBe(digest);
    const changed = applyEdit(part, { kind: 'tieNodes', model: 'm1', ties: [{ unit: second.id, node: '4', tie: null }] });
    expect(trialStanding(changed).digest).not.toBe(digest);
  });
  it('is empty for a part without a model', () => expect(trialStanding(base)).toEqual({ setups: [], kept: [], digest: '' }));
});
