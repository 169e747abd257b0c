import { applyEdit, canonicalPart, DEFAULT_RULES, emptyPart, type Part } from '../part';
import { decodeText, takeProposal } from '../intake';
import { AMP_TABLE, good, pinNamed, read, refused } from '../test/samples';
import { draftPart, fromTitle, named, nameOfFile, withDatasheet } from '.';

const SOURCE = { digest: 'abc', name: 'amp.csv', kind: 'text' };

describe('a draft', () => {
  const { part, proposal } = good(draftPart(AMP_TABLE, 'TF0002', 'amp.csv'));
  it('is read, taken and arranged', () =>
    expect([part.name, part.pins.length, part.units.length, proposal.terminals.length]).toEqual(['TF0002', 8, 3, 8]));
  it('keeps the source by its digest, and each pin its line', () => {
    expect(part.sources).toEqual([{ digest: expect.stringMatching(/^[0-9a-f]{64}$/), name: 'amp.csv', kind: 'text' }]);
    expect(pinNamed(part, 'IN1+').origin).toEqual({ source: part.sources[0]!.digest, line: 4 });
  });
  it('is the same bytes again', () =>
    expect(canonicalPart(good(draftPart(AMP_TABLE, 'TF0002', 'amp.csv')).part)).toBe(canonicalPart(part)));
  it('follows the house rules', () =>
    expect(
      good(draftPart(AMP_TABLE, 'X', 'x', {}, { ...DEFAULT_RULES, pinLength: 4 })).part.drawings[0]!.ports.every((p) => p.length === 4),
    ).toBe(true));
  it('says the file of what it refuses', () => expect(refused(draftPart('nothing', 'X', 'x.csv'))[0]).toMatch(/^x\.csv: /));
});

describe('the first line of a source', () => {
  it.each<[string, string, string, string]>([
    ['TF2204 quad line receiver, SO-14', 'tf2204', 'TF2204', 'Quad line receiver'],
    ['# TF8484 vision array, BGA-484', 'TF8484', 'TF8484', 'Vision array'],
    ['TF2204-X: hurried receiver', 'TF2204-X', 'TF2204-X', 'Hurried receiver'],
    ['TF2204 quad line receiver', 'NEW-3', 'TF2204', 'Quad line receiver'],
    ['TF9999 something else', 'TF2204', 'TF2204', ''],
    ['Pin,Name,Type', 'TF2204', 'TF2204', ''],
    ['', 'TF2204', 'TF2204', ''],
  ])('“%s” makes of %s the part %s, “%s”', (line, start, name, description) =>
    expect(fromTitle(emptyPart(start), `${line}\n`)).toMatchObject({ name, description }),
  );
  it('does not overwrite a description', () =>
    expect(fromTitle({ ...emptyPart('TF1'), description: 'Mine' }, 'TF1 other').description).toBe('Mine'));
});

it.each([
  ['tf2204', 'TF9999 something else', 'TF2204'],
  ['datasheet', 'TF2204 quad line receiver', 'TF2204'],
  ['datasheet', 'Product brief', 'DATASHEET'],
  ['pinout', '', 'PINOUT'],
])('a part of the file “%s” with the title “%s” is called %s', (stem, title, name) => expect(nameOfFile(stem, title)).toBe(name));

it.each([
  ['NEW-1', 'x.csv', 'TF2204 quad line receiver', 'TF2204'],
  ['NEW-1', 'tf8800.csv', 'Pin table', 'TF8800'],
  ['NEW-1', 'TF8800 pinout, final.xlsx', '', 'TF8800'],
  ['NEW-1', 'TF8800_rev2.xlsx', '', 'TF8800_REV2'],
  ['NEW-1', 'datasheet.pdf', 'Product brief', 'NEW-1'],
  ['NEW-1', 'pasted text', '', 'NEW-1'],
  ['Mine', 'TF8800.csv', '', 'Mine'],
])('the part %s that reads %s with the title “%s” is called %s', (name, file, title, called) =>
  expect(named(emptyPart(name), file, title).name).toBe(called),
);

describe('the datasheet of a part', () => {
  const pdf = { digest: 'd1', name: 'TF1.pdf', kind: 'pdf' };
  const own = { ...emptyPart('TF1'), datasheet: { title: 'Mine' } };
  it.each<[string, Part, typeof pdf, string | undefined]>([
    ['is the document that was read', emptyPart('TF1'), pdf, 'TF1.pdf'],
    ['is no list', emptyPart('TF1'), { ...pdf, kind: 'text' }, undefined],
    ['stays the one that a person named', own, pdf, 'Mine'],
  ])('%s', (_what, part, source, title) => expect(withDatasheet(part, source).datasheet?.title).toBe(title));
});

describe('taking a pinout again', () => {
  const first = applyEdit(emptyPart('TF0002'), takeProposal(emptyPart('TF0002'), read(AMP_TABLE), SOURCE));
  const edited = applyEdit(first, {
    kind: 'changePins',
    byHand: true,
    changes: [{ id: pinNamed(first, 'VDD').id, set: { type: 'passive', group: 'Mine' } }],
  });
  const again = (text: string): Part => applyEdit(edited, takeProposal(edited, read(text), SOURCE));

  it('keeps ids by number, and what a person set', () => {
    const part = again(AMP_TABLE.replace('VDD', 'VCC'));
    expect(pinNamed(part, 'VCC')).toMatchObject({
      id: pinNamed(first, 'VDD').id,
      type: 'passive',
      group: 'Mine',
      byHand: ['type', 'group'],
    });
  });
  it('takes the source for what nobody set', () =>
    expect(pinNamed(again(AMP_TABLE.replace('Ground', 'Negative supply').replace('VSS,G', 'VEE,P')), 'VEE').type).toBe('supply-in'));
  it('drops pins that are gone, and adds new ones', () => {
    const part = again(AMP_TABLE.replace(/^7,OUT2.*\n/m, '9,NEW,I,Input of something\n'));
    expect(part.pins.map((p) => p.name)).toContain('NEW');
    expect(part.pins.map((p) => p.name)).not.toContain('OUT2');
    expect(new Set(part.pins.map((p) => p.id)).size).toBe(8);
  });
  it('keeps the package and its land', () => expect(again(AMP_TABLE).packages).toEqual(first.packages));
  it('keeps several packages apart', () => {
    const part = applyEdit(emptyPart('X'), takeProposal(emptyPart('X'), read('Name,SO-8,QFN-8,Type\nA,1,3,I\nB,2,-,I\nC,3,1,I\n')));
    expect(part.packages.map((p) => p.id)).toEqual(['SO-8', 'QFN-8']);
    expect(pinNamed(part, 'A').pads).toEqual({ 'SO-8': ['1'], 'QFN-8': ['3'] });
    expect(pinNamed(part, 'B').pads).toEqual({ 'SO-8': ['2'] });
  });
});

describe('the bytes of a file', () => {
  const bytes = (list: number[]) => Uint8Array.from(list);
  it.each<[string, Uint8Array, string]>([
    ['UTF-8', bytes([0x41, 0xe2, 0x80, 0x93, 0x42]), 'A–B'],
    ['UTF-8 with a mark', bytes([0xef, 0xbb, 0xbf, 0x41]), 'A'],
    ['Windows-1252', bytes([0x41, 0x96, 0x42, 0xb5]), 'A–Bµ'],
    ['UTF-16, little end first', bytes([0xff, 0xfe, 0x41, 0x00, 0x13, 0x20]), 'A–'],
    ['UTF-16, big end first', bytes([0xfe, 0xff, 0x00, 0x41, 0x20, 0x13]), 'A–'],
    ['a cut sequence', bytes([0x41, 0xe2, 0x80]), 'Aâ€'],
    ['nothing', bytes([]), ''],
  ])('in %s', (_what, data, text) => expect(decodeText(data)).toBe(text));
});
