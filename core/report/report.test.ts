import { AMP_MODEL, provenPart, tried } from '../test/samples';
import { applyEdit, type Model, type Part, type Pin } from '../part';
import { chosenModel, proposeTies, tieEdit } from '../spice';
import { writeReport } from '.';

const draft = { version: 'draft', note: '', digest: 'd1' };
const part = provenPart();
const report = (of: Part) => writeReport(of, draft);
const changed = (set: Partial<Pin>): Part => ({ ...part, pins: part.pins.map((p) => (p.name === 'IN1+' ? { ...p, ...set } : p)) });

/** The cells of the row of one number. */
function rowOf(html: string, number: string): string[] {
  const rows = [...html.matchAll(/<tr>(.*?)<\/tr>/g)].map((m) => [...m[1]!.matchAll(/<td>(.*?)<\/td>/g)].map((c) => c[1]!));
  return rows.find((cells) => cells[1] === number) ?? [];
}

describe('the datasheet check', () => {
  it('has every terminal with its type, place, words and origin', () => {
    const row = rowOf(report(part), '3');
    expect(row.slice(2, 7).map((c) => c.replace(/<.*?>/g, ''))).toEqual([
      'IN1+',
      'input',
      'A left',
      expect.any(String),
      expect.stringMatching(/^line \d+$/),
    ]);
  });
  it('lists terminals in the order of their numbers', () => {
    const numbers = [...report(part).matchAll(/<span class="tick"><\/span><\/td><td>(\d+)<\/td>/g)].map((m) => Number(m[1]));
    expect(numbers).toEqual([1, 2, 3, 4, 5, 6, 7, 8]);
  });
  it.each<[string, Part, RegExp]>([
    ['what is in doubt', changed({ doubts: [{ field: 'type', reason: 'Two words.' }] }), /class="open">type in doubt: Two words\./],
    ['what was set by hand', changed({ byHand: ['name'] }), /Set by hand: name\./],
    ['an active-low name', changed({ activeLow: true }), /<span class="low">IN1\+<\/span>/],
    ['other names of a pin', changed({ alternates: ['ADC0'] }), /Also ADC0\./],
    ['pins that a package lacks', changed({ pads: {} }), /Not bonded out in SO-8: <span>IN1\+<\/span>/],
    ['a package without a land', { ...part, packages: part.packages.map((p) => ({ ...p, land: { pads: [] } })) }, /SO-8 has no land/],
    ['a part without a package', { ...part, packages: [] }, /<h2>Pins \(8\)<\/h2>/],
    ['waivers with their reasons', { ...part, waivers: [{ finding: 'f', rule: 'r', reason: 'as drawn', digest: 'x' }] }, /<td>r<\/td><td>f<\/td><td>as drawn<\/td>/],
  ])('says %s', (_, of, words) => expect(report(of)).toMatch(words)); // prettier-ignore
  it('is the same for the same part', () => expect(report(structuredClone(part))).toBe(report(part)));
});

describe('a joined model in the report', () => {
  const model: Model = { id: 'm1', fileName: 'amp.lib', source: AMP_MODEL, chosen: 'AMP1', ties: {} };
  const set = applyEdit(part, { kind: 'setModel', model });
  const joined = applyEdit(set, tieEdit(model, proposeTies(set, model, chosenModel(model)!).ties));
  it('has its nodes in order, with the words of the file and the pin', () =>
    expect(report(joined)).toMatch(/<td>1<\/td><td>non-inverting input \(line \d+\)<\/td><td><span>IN1\+<\/span><\/td>/));
  it.each<[string, Part, string]>([
    ['missing', joined, 'Trial: missing.'],
    ['passed', tried(joined), 'Trial: pass.'],
    ['failed', tried(joined, 'fail'), 'Trial: fail.'],
  ])('says that its trial is %s', (_, of, words) => expect(report(of)).toContain(words));
});

describe('text of a part in the report', () => {
  const hostile = '<script>alert(1)</script>"&';
  it.each<[string, Part]>([
    ['a name', changed({ name: hostile })],
    ['a description', changed({ description: hostile })],
    ['a particular', { ...part, maker: hostile, fields: [{ name: hostile, value: hostile }] }],
    ['a unit’s title', { ...part, units: part.units.map((u) => ({ ...u, title: hostile })) }],
  ])('stays text in %s', (_, of) => {
    const html = report(of);
    expect(html).not.toContain('<script');
    expect(html).toContain('&lt;script&gt;');
  });
  it('is under a policy that runs and fetches nothing', () => expect(report(part)).toContain(`content="default-src 'none';`));
});
