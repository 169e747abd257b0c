import { applyEdit, canonicalPart, DEFAULT_RULES, emptyPart, type Part } from '../part';
import { decodeText, takeProposal, type Proposal } from '../intake';
import { AMP_TABLE, good, pinNamed, read, refused } from '../test/samples';
import { draftPart, nameOfSource, ofAnother, particularsOf } from '.';

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

const PDF = { digest: 'd1', name: 'TF1.pdf', kind: 'pdf' };
const TEXT = { digest: 'd2', name: 'pasted text', kind: 'text' };
const proposed = (more: Partial<Proposal>): Proposal => ({ packages: [], package: '', terminals: [], pairs: [], problems: [], ...more });
/** What a part is called and described by after its source gave it its particulars. */
const given = (start: Partial<Part>, more: Partial<Proposal>, source = TEXT): Part => {
  const part = { ...emptyPart('NEW-1'), ...start };
  return particularsOf(part, proposed(more), source).reduce((p, { set }) => ({ ...p, ...set }), part);
};

describe('the first line of a source', () => {
  it.each<[string, string, string, string]>([
    ['TF2204 quad line receiver, SO-14', 'tf2204', 'TF2204', 'Quad line receiver'],
    ['# TF8484 vision array, BGA-484', 'TF8484', 'TF8484', 'Vision array'],
    ['TF2204-X: hurried receiver', 'TF2204-X', 'TF2204-X', 'Hurried receiver'],
    ['TF2204 quad line receiver', 'NEW-3', 'TF2204', 'Quad line receiver'],
    ['TF3100 low-power, 24-bit converter, 20-lead', 'NEW-3', 'TF3100', 'Low-power, 24-bit converter'],
    ['TF9999 something else', 'TF2204', 'TF2204', ''],
    ['Pin,Name,Type', 'TF2204', 'TF2204', ''],
    ['', 'TF2204', 'TF2204', ''],
  ])('“%s” makes of %s the part %s, “%s”', (line, name, called, description) =>
    expect(given({ name }, { title: `${line}\n` })).toMatchObject({ name: called, description }),
  );
  it('does not overwrite a description', () =>
    expect(given({ name: 'TF1', description: 'Mine' }, { title: 'TF1 other' }).description).toBe('Mine'));
});

const COVER = { number: { value: 'TF2204' }, orderCodes: [] };

it.each([
  ['tf2204', 'TF9999 something else', undefined, 'TF2204'],
  ['datasheet', 'TF2204 quad line receiver', undefined, 'TF2204'],
  ['datasheet', 'RS485 receiver', COVER, 'TF2204'],
  ['datasheet', 'Product brief', undefined, 'DATASHEET'],
  ['pinout', '', undefined, 'PINOUT'],
])('a part of the file “%s” with the title “%s” is called %s', (stem, title, cover, name) =>
  expect(nameOfSource(stem, proposed({ title, ...(cover ? { cover } : {}) }))).toBe(name),
);

it.each([
  ['NEW-1', 'x.csv', 'TF2204 quad line receiver', 'TF2204'],
  ['NEW-1', 'tf8800.csv', 'Pin table', 'TF8800'],
  ['NEW-1', 'TF8800 pinout, final.xlsx', '', 'TF8800'],
  ['NEW-1', 'TF8800_rev2.xlsx', '', 'TF8800_REV2'],
  ['NEW-1', 'datasheet.pdf', 'Product brief', 'NEW-1'],
  ['NEW-1', 'pasted text', '', 'NEW-1'],
  ['Mine', 'TF8800.csv', '', 'Mine'],
])('the part %s that reads %s with the title “%s” is called %s', (name, file, title, called) =>
  expect(given({ name }, { title }, { ...TEXT, name: file }).name).toBe(called),
);

describe('the particulars that a document prints', () => {
  const cover = {
    number: { value: 'TF7311' },
    description: { value: '24-bit bridge converter', page: 1 },
    maker: { value: 'Tarnfield Devices', page: 2 },
    revision: { value: 'C' },
    orderCodes: [{ value: 'TF7311-T' }, { value: 'TF7311-TR' }],
  };
  it.each<[string, Partial<Part>, object]>([
    [
      'fill what is empty',
      {},
      {
        name: 'TF7311',
        description: '24-bit bridge converter',
        maker: 'Tarnfield Devices',
        datasheet: { title: 'TF7311 datasheet, revision C', source: 'd1' },
        orderCodes: ['TF7311-T', 'TF7311-TR'],
      },
    ],
    [
      'leave what a person wrote',
      { name: 'TF7311-T', maker: 'Mine', orderCodes: ['X'] },
      { name: 'TF7311-T', maker: 'Mine', orderCodes: ['X'] },
    ],
    ['are no other part’s', { name: 'TF7312' }, { name: 'TF7312', description: '', maker: '', orderCodes: [] }],
  ])('%s', (_what, start, after) => expect(given(start, { cover }, PDF)).toMatchObject(after));
  it.each<[string, string, Partial<Proposal>, string | undefined]>([
    ['TF7312', 'another part', { cover }, 'TF7311'],
    ['TF7311-B', 'its family', { cover }, undefined],
    ['TF7312', 'a family that its title lists', { cover: { ...cover, others: ['TF7312'] } }, undefined],
    ['NEW-1', 'whatever it is', { cover }, undefined],
    ['TF7312', 'another part by its first line', { title: 'TF7311 converter' }, 'TF7311'],
    ['TF7312', 'nothing', {}, undefined],
  ])('of %s may be of %s', (name, _what, more, number) => expect(ofAnother({ ...emptyPart(name) }, proposed(more))).toBe(number));
  it.each<[string, Partial<Part>, string | undefined]>([
    ['nothing', {}, 'TF7311'],
    ['its order codes', { orderCodes: ['TF7311-TR'] }, undefined],
    ['its base name', { baseName: 'TF7311' }, undefined],
    ['the datasheet that it has', { datasheet: { title: 'TF7311 datasheet, revision C' } }, undefined],
    ['another datasheet', { datasheet: { title: 'TF9900 datasheet' } }, 'TF7311'],
  ])('of a part that the house named, its maker’s number is told by %s', (_by, has, number) =>
    expect(ofAnother({ ...emptyPart('IC-00123'), ...has }, proposed({ cover }))).toBe(number),
  );
  it('are a family’s, but for the order codes', () =>
    expect(given({ name: 'TF7312' }, { cover: { ...cover, others: ['TF7312'] } }, PDF)).toMatchObject({
      description: '24-bit bridge converter',
      orderCodes: [],
    }));
  it('say where they stand', () =>
    expect(particularsOf(emptyPart('TF7311'), proposed({ cover }), PDF).map((p) => [p.field, p.said?.page])).toEqual([
      ['description', 1],
      ['maker', 2],
      ['datasheet', undefined],
      ['orderCodes', undefined],
    ]));
});

describe('the datasheet of a part', () => {
  it.each<[string, Partial<Part>, typeof PDF, string | undefined]>([
    ['is the document that was read', { name: 'TF1' }, PDF, 'TF1.pdf'],
    ['is no list', { name: 'TF1' }, TEXT, undefined],
    ['stays the one that a person named', { name: 'TF1', datasheet: { title: 'Mine' } }, PDF, 'Mine'],
  ])('%s', (_what, start, source, title) => expect(given(start, {}, source).datasheet?.title).toBe(title));
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
