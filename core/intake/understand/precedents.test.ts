import type { ElectricalType } from '../../part';
import { inferType } from './infer-type';
import { packWeights, precedentOf } from './precedents';
import { traitsOf } from './traits';
import { evidenceOfCode } from './type-codes';

const none = new Map<string, string>();
const of = (name: string, code: string, description: string) => precedentOf(name, evidenceOfCode(code, none), code !== '', description);

describe('what terminals of such names and words were', () => {
  it.each<[string, string, string, ElectricalType]>([
    ['CLKX', '', 'Clock for the filter', 'input'],
    ['HB', '', 'Bootstrap for the upper driver; capacitor to HS', 'passive'],
    ['STRING7', '', 'Constant-current sink 7', 'output'],
    ['VAUX', 'P', 'Supply of the auxiliary logic', 'supply-in'],
    ['GNDX', '', 'Return of the filter', 'ground'],
    ['DX', 'I/O', 'Port', 'bidirectional'],
    ['OKFLAG', '', 'Open drain; low until the rails are good', 'open-drain'],
  ])('%s, “%s”, “%s”: %s', (name, code, description, type) => expect(of(name, code, description).type).toBe(type));

  it('gives every type a share, together one', () => {
    const { share } = of('OUT', 'O', 'Output');
    const all: ElectricalType[] = ['input', 'output', 'bidirectional', 'three-state', 'open-drain', 'open-source', 'passive'];
    const more: ElectricalType[] = ['supply-in', 'supply-out', 'ground', 'no-connect', 'reserved', 'unspecified'];
    expect([...all, ...more].reduce((sum, t) => sum + share(t), 0)).toBeCloseTo(1, 9);
    expect(share('output')).toBeGreaterThan(0.5);
  });
  it('names the words that speak for one type against another', () =>
    expect(of('ABC', '', 'Flying capacitor').wordsFor('passive', 'input')?.toLowerCase()).toContain('capacitor'));
  it('names no word that tells nothing', () =>
    expect(inferType('DIG 0', undefined, 'To the', none).doubt?.reason ?? '').not.toMatch(/“(to|the|to the)”/i));
  it('has an answer where it knows no word at all', () => expect(of('Ω', '', 'ünïcödé').share('input')).toBeLessThan(1));
});

describe('where nothing else tells', () => {
  it.each<[string, string, ElectricalType, boolean]>([
    ['ADCIN1', 'Divider that sets the address.', 'input', false],
    ['C1', 'Timing element of the integrator, capacitor', 'passive', false],
    ['CS5', 'Column 5, sink.', 'output', true],
    // Its words read as passive, and nearly all terminals of its name go in.
    ['SIN', 'Sine winding.', 'input', true],
    ['ZZ', 'Nothing that anybody has said before', 'unspecified', true],
  ])('%s, “%s” is %s; asked: %s', (name, description, type, isAsked) => {
    const { type: found, doubt } = inferType(name, undefined, description, none);
    expect([isAsked && type === 'unspecified' ? 'unspecified' : found, doubt !== undefined]).toEqual([type, isAsked]);
  });
});

describe('a conclusion is held against them', () => {
  it.each<[string, string | undefined, string]>([
    ['VSS', undefined, 'Negative supply terminal for the device, generally grounded.'],
    ['MR', undefined, 'Manual reset; pull low to assert the output'],
    ['REF', undefined, 'Reference voltage terminal. Drive this terminal with a low impedance source to level shift the output.'],
    ['OUT', undefined, 'Output; sinks current when the field is strong'],
    ['VBCKP', 'I/O', 'Backup cell'],
    ['BSL', 'I/O', 'Bootstrap of the left high-side FET'],
    ['IREF', 'I', 'Current reference for brightness adjustment; a resistor to VSS'],
    ['VOUT', undefined, 'Output signal, also used for programming'],
    ['REGSRC', 'I', 'Input source for the output LDO'],
  ])('%s, type “%s”, “%s” is asked', (name, code, description) => expect(inferType(name, code, description, none).doubt).toBeDefined());

  it.each<[string, string | undefined, string, ElectricalType]>([
    ['CH2', undefined, 'LED current sink 2', 'output'],
    ['PWM', undefined, 'Duty of this signal scales the current', 'input'],
  ])('%s, type “%s”, “%s” becomes %s, and is still asked', (name, code, description, type) => {
    const found = inferType(name, code, description, none);
    expect(found.type).toBe(type);
    expect(found.doubt?.candidates?.[0]).toBe(type);
  });
  it('does not take what the type column excludes', () =>
    expect(inferType('VCC_RF', 'O', 'Supply for an active antenna', none).doubt?.candidates).toContain('supply-out'));
});

describe('traits', () => {
  const traits = (name: string, code: string, description: string) => [
    ...traitsOf(name, evidenceOfCode(code, none), code !== '', description).keys(),
  ];
  it('are the same for figures that differ', () => expect(traits('D12', 'I/O', 'Data bit 12')).toEqual(traits('D7', 'I/O', 'Data bit 7')));
  it('tell the first clause from the later ones', () => {
    const found = traits('X', '', 'Output. Needs a resistor');
    expect(found).toEqual(expect.arrayContaining(['first output', 'later resistor', 'pair a resistor']));
    expect(found).not.toContain('first resistor');
  });
  it.each([
    ['I', 'column input'],
    ['P', 'column ground+supply-in+supply-out'],
    ['?!', 'column odd'],
    ['', 'column none'],
  ])('column “%s” is “%s”', (code, trait) => expect(traits('X', code, 'words')).toContain(trait));
  it('are few, however long the text is', () => expect(traits('X', '', 'word after word '.repeat(50_000)).length).toBeLessThan(40));
  it('say that there are no words', () => expect(traits('X', 'I', ' ')).toContain('no words'));
});

describe('packed weights', () => {
  it('leave out what decides nothing', () => expect(packWeights([0.04, -0.09, 0])).toBeUndefined());
  it('are one letter for each, and never a quote or a backslash', () => {
    const row = packWeights(Array.from({ length: 91 }, (_, i) => (i - 45) * 0.2))!;
    expect(row).toHaveLength(91);
    expect(row).not.toMatch(/["\\]/);
    expect(new Set(row).size).toBe(91);
  });
  it('end at the furthest', () => expect(packWeights([99, 9])).toBe(packWeights([9, 99])));
});
