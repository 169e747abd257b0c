import { arrangePart } from '../arrange';
import { checkPart } from '../checks';
import { applyEdit, boundLabel, channelsInUnits, DEFAULT_RULES, pinsOfChannel, sayBound, type Model, type Part } from '../part';
import { AMP_MODEL, pinNamed, provenPart } from '../test/samples';
import { bindingUnits, chosenModel, matchPinsOf, pinsBound, proposeTies, setupsOf, tieEdit, writeSpiceLibrary } from '.';

const model: Model = { id: 'm1', fileName: 'amp.lib', source: AMP_MODEL, chosen: 'AMP1', ties: {} };
const twoUnits = provenPart();
const replanned = (part: Part, strategy: 'one' | 'function') => applyEdit(part, arrangePart(part, DEFAULT_RULES, strategy));
const oneUnit = replanned(twoUnits, 'one');
const joined = (part: Part): Part => {
  const set = applyEdit(part, { kind: 'setModel', model });
  return applyEdit(set, tieEdit(model, proposeTies(set, model, chosenModel(model)!).ties));
};
const tied = (part: Part) =>
  Object.fromEntries(
    Object.entries(part.models[0]!.ties).map(([key, ties]) => [
      key,
      Object.entries(ties).map(([node, tie]) => `${node} ${'pin' in tie ? part.pins.find((p) => p.id === tie.pin)?.name : tie.to}`),
    ]),
  );
const CHANNELS = { '*1': ['1 IN1+', '2 IN1-', '3 VDD', '5 OUT1'], '*2': ['1 IN2+', '2 IN2-', '3 VDD', '5 OUT2'] };

describe('a model of one channel, of a part whose channels are drawn in one unit', () => {
  it('is bound in each channel; one of all channels is bound once', () => {
    expect(oneUnit.units).toHaveLength(1);
    expect(bindingUnits(oneUnit, 5)).toEqual(['*1', '*2']);
    expect(bindingUnits(oneUnit, 8)).toEqual(['*']);
    expect(bindingUnits(twoUnits, 5)).toEqual(['u1', 'u2']);
    expect(channelsInUnits(twoUnits)).toBeUndefined();
  });
  it('is tied by the matcher as it would be in units', () => {
    expect(tied(joined(oneUnit))).toEqual(CHANNELS);
    expect(matchPinsOf(oneUnit).every((p) => p.unit === null)).toBe(true);
  });
  it('can be tied to the pins of its channel and to those of none', () => {
    expect(pinsBound(oneUnit, '*2').map((p) => p.name)).toEqual(['VSS', 'IN2+', 'IN2-', 'OUT2', 'VDD']);
    expect(pinsOfChannel(oneUnit, '*')).toBeUndefined();
    expect(pinsOfChannel(oneUnit, '*9')).toBeUndefined();
    expect(pinsOfChannel(oneUnit, 'u1')).toBeUndefined();
  });
  it.each([
    ['*', ''],
    ['*1', 'channel 1'],
    ['u1', 'unit A'],
    ['gone', 'unit gone'],
  ])('%s is called “%s”', (key, said) => expect(sayBound(boundLabel(oneUnit, key))).toBe(said));
  it('is called once for each in the library, and tried once for each', () => {
    const part = joined(oneUnit);
    const text = writeSpiceLibrary(part);
    expect(text).toMatch(/^X1 IN1P IN1N VDD open_1_4 OUT1 AMP1$/m);
    expect(text).toMatch(/^X2 IN2P IN2N VDD open_2_4 OUT2 AMP1$/m);
    expect(setupsOf(part).map((s) => s.unit)).toEqual(['channel 1', 'channel 2']);
  });
  it('is checked channel by channel', () => {
    const { findings } = checkPart(joined(oneUnit), DEFAULT_RULES);
    const said = findings.map((f) => f.message).join('\n');
    expect(findings.map((f) => f.rule)).not.toContain('unit-unbound');
    expect(said).toMatch(/in channel 2/);
    const whole = applyEdit(joined(oneUnit), {
      kind: 'tieNodes',
      model: 'm1',
      ties: [{ unit: '*', node: '1', tie: { pin: pinNamed(oneUnit, 'IN1+').id } }],
    });
    expect(checkPart(whole, DEFAULT_RULES).findings.map((f) => f.message)).toContain(
      'AMP1 is tied in the whole part, and is bound channel by channel.',
    );
  });
  it('keeps its ties when the channels get units of their own, and when they are drawn in one again', () => {
    const apart = replanned(joined(oneUnit), 'function');
    expect(tied(apart)).toEqual({ u1: CHANNELS['*1'], u2: CHANNELS['*2'] });
    expect(tied(replanned(apart, 'one'))).toEqual(CHANNELS);
    expect(tied(replanned(joined(oneUnit), 'one'))).toEqual(CHANNELS);
    // One channel alone is tied yet.
    const second = { unit: 'u2', node: '1', tie: { pin: pinNamed(twoUnits, 'IN2+').id } };
    const begun = applyEdit(applyEdit(twoUnits, { kind: 'setModel', model }), { kind: 'tieNodes', model: 'm1', ties: [second] });
    expect(tied(replanned(begun, 'one'))).toEqual({ '*2': ['1 IN2+'] });
  });
});
