import fc from 'fast-check';
import { applyEdit, rowLetters, rowNumber, type Pad } from '../part';
import { good, pinNamed, provenPart, refused } from '../test/samples';
import { ballsIn, familyFromName, generateLand, joinExposedPad, meetPads, type Family } from '.';

const pads = (f: Family): Pad[] => good(generateLand(f)).pads;
const at = (list: Pad[], number: string) => {
  const p = list.find((q) => q.number === number)!;
  return [p.x, p.y];
};
const SO14: Family = {
  kind: 'dual',
  count: 14,
  pitch: 1.27,
  span: 5.4,
  length: 1.55,
  width: 0.6,
  body: { w: 3.9, h: 8.65 },
};
const QFP: Family = {
  kind: 'quad',
  count: 16,
  pitch: 0.5,
  span: 4,
  length: 0.8,
  width: 0.28,
  body: { w: 4, h: 4 },
  exposed: { w: 2, h: 2 },
};
const GRID: Family = { kind: 'grid', rows: 3, columns: 3, pitch: 0.8, diameter: 0.4, body: { w: 3, h: 3 } };
const HEADER: Family = {
  kind: 'header',
  rows: 2,
  columns: 5,
  pitch: 2.54,
  diameter: 1.7,
  drill: 1,
  body: { w: 13, h: 5 },
  numbering: 'zigzag',
};

describe('numbering, counter-clockwise from the first pad, seen from the top', () => {
  it.each<[string, Family, string, [number, number]]>([
    ['two rows: first at the upper left', SO14, '1', [-2.7, 3.81]],
    ['two rows: last of the left', SO14, '7', [-2.7, -3.81]],
    ['two rows: first of the right, at the foot', SO14, '8', [2.7, -3.81]],
    ['two rows: last at the upper right', SO14, '14', [2.7, 3.81]],
    ['four sides: first at the left', QFP, '1', [-2, 0.75]],
    ['four sides: first at the base', QFP, '5', [-0.75, -2]],
    ['four sides: first at the right', QFP, '9', [2, -0.75]],
    ['four sides: first at the top', QFP, '13', [0.75, 2]],
    ['four sides: the exposed pad after the last', QFP, '17', [0, 0]],
    ['a grid: A1 at the upper left', GRID, 'A1', [-0.8, 0.8]],
    ['a grid: columns to the right', GRID, 'A3', [0.8, 0.8]],
    ['a grid: rows down', GRID, 'C1', [-0.8, -0.8]],
    ['a header in zig-zag: 2 under 1', HEADER, '2', [-5.08, -1.27]],
    ['a header row by row', { ...HEADER, numbering: 'rows' }, '6', [-5.08, -1.27]],
    ['a header around', { ...HEADER, numbering: 'around' }, '10', [-5.08, 1.27]],
    ['one row', { kind: 'inline', count: 3, pitch: 2.54, length: 1.8, width: 1.6, drill: 0.9, body: { w: 8, h: 3 } }, '3', [2.54, 0]],
    [
      'five leads: the right has no middle',
      { kind: 'outline', leads: 5, pitch: 0.95, span: 2.4, length: 1.1, width: 0.6, body: { w: 1.6, h: 2.9 } },
      '4',
      [1.2, -0.95],
    ],
    [
      'three leads: the third alone',
      { kind: 'outline', leads: 3, pitch: 0.95, span: 2.4, length: 1.1, width: 0.6, body: { w: 1.6, h: 2.9 } },
      '3',
      [1.2, 0],
    ],
    [
      'six leads',
      { kind: 'outline', leads: 6, pitch: 0.95, span: 2.4, length: 1.1, width: 0.6, body: { w: 1.6, h: 2.9 } },
      '6',
      [1.2, 0.95],
    ],
  ])('%s', (_what, family, number, place) => expect(at(pads(family), number)).toEqual(place));

  it('counts rows by their letters', () => {
    expect(Array.from({ length: 430 }, (_, i) => rowNumber(rowLetters(i)))).toEqual(Array.from({ length: 430 }, (_, i) => i));
    expect(rowNumber('I')).toBe(-1);
  });
  it('leaves I, O, Q, S, X and Z out of the rows', () =>
    expect(Array.from({ length: 24 }, (_, i) => rowLetters(i)).join(' ')).toBe('A B C D E F G H J K L M N P R T U V W Y AA AB AC AD'));
  it.each<[string, string[] | undefined]>([
    ['A1', ['A1']],
    ['A1, C3', ['A1', 'C3']],
    ['A1-B2', ['A1', 'A2', 'B1', 'B2']],
    ['', []],
    ['banana', undefined],
    ['I1', undefined],
  ])('the balls in “%s”', (text, balls) => expect(ballsIn(text) && [...ballsIn(text)!]).toEqual(balls));
  it('leaves out missing balls', () =>
    expect(pads({ ...GRID, without: 'B2' }).map((p) => p.number)).toEqual(['A1', 'A2', 'A3', 'B1', 'B3', 'C1', 'C2', 'C3']));
  it('gives through-hole pads their drill and the first another shape', () => {
    const dip = pads({ ...SO14, pitch: 2.54, span: 7.62, width: 1.6, length: 2.4, drill: 0.8 });
    expect([dip[0]!.shape, dip[1]!.shape, dip[1]!.drill]).toEqual(['rect', 'oval', 0.8]);
  });
  it('names mechanical tabs apart', () =>
    expect(pads({ ...HEADER, tabs: { w: 2, h: 3, distance: 18 } }).slice(-2)).toMatchObject([
      { number: 'MP1', mechanical: true, x: -9 },
      { number: 'MP2', x: 9 },
    ]));
  it('draws courtyard and first pad', () =>
    expect(good(generateLand(SO14))).toMatchObject({
      courtyard: { w: 7.45, h: 9.15 },
      firstPad: { x: -2.7, y: 3.81 },
    }));
});

describe('what cannot be built', () => {
  it.each<[string, Family, RegExp]>([
    ['an odd count in two rows', { ...SO14, count: 13 }, /count is 13; two rows need an even count/],
    ['15 leads on four sides', { ...QFP, count: 15 }, /multiple of four/],
    ['pads that touch', { ...SO14, width: 1.3 }, /pad width is 1.3; it must be under the pitch/],
    ['balls that touch', { ...GRID, diameter: 0.9 }, /diameter is 0.9/],
    ['rows that touch', { ...SO14, span: 1 }, /span is 1/],
    ['a drill wider than its pad', { ...HEADER, drill: 2 }, /drill is 2/],
    ['an exposed pad under the leads', { ...QFP, exposed: { w: 3.9, h: 2 } }, /exposed pad is 3.9; only 3.2 is free/],
    ['corners on each other', { ...QFP, span: 2, exposed: undefined as never }, /corner pads|span/],
    ['a list of balls that is none', { ...GRID, without: 'banana' }, /missing balls/],
    ['no ball left', { ...GRID, without: 'A1-C3' }, /leaves no ball/],
    ['a pitch of nothing', { ...SO14, pitch: 0 }, /pitch/],
    ['a pitch that is no number', { ...SO14, pitch: Number.NaN }, /pitch is not usable; it must be a number/],
    ['a million leads', { ...SO14, count: 1_000_000 }, /count/],
  ])('%s is refused with the reason', (_what, family, says) => expect(refused(generateLand(family)).join(' ')).toMatch(says));

  it('property: what is made has each number once and no pads that touch', () => {
    const family = fc.record({
      count: fc.integer({ min: 1, max: 40 }),
      pitch: fc.double({ min: 0.3, max: 3, noNaN: true }),
      span: fc.double({ min: 1, max: 20, noNaN: true }),
      length: fc.double({ min: 0.2, max: 3, noNaN: true }),
      width: fc.double({ min: 0.1, max: 2, noNaN: true }),
    });
    fc.assert(
      fc.property(family, fc.constantFrom('dual' as const, 'quad' as const), (f, kind) => {
        const land = generateLand({ kind, ...f, body: { w: 5, h: 5 } });
        if (!land.ok) return;
        const list = land.value.pads;
        expect(new Set(list.map((p) => p.number)).size).toBe(f.count);
        list.forEach((a, i) =>
          list
            .slice(i + 1)
            .forEach((b) =>
              expect(Math.abs(a.x - b.x) >= (a.w + b.w) / 2 - 1e-3 || Math.abs(a.y - b.y) >= (a.h + b.h) / 2 - 1e-3).toBe(true),
            ),
        );
      }),
    );
  });
});

describe('short names', () => {
  it.each<[string, number]>([
    ['SO-14', 14],
    ['SOIC-8', 8],
    ['SO-16W', 16],
    ['SO-8-EP', 9],
    ['TSSOP-20', 20],
    ['MSOP-10', 10],
    ['DIP-8', 8],
    ['DIP-40', 40],
    ['LQFP-64', 64],
    ['LQFP-100', 100],
    ['48-QFN', 49],
    ['QFN-48', 49],
    ['BGA-64', 64],
    ['BGA-484', 484],
    ['SOT-23', 3],
    ['SOT-23-5', 5],
    ['SC-70-6', 6],
    ['SIP-9', 9],
    ['HDR-2x5', 10],
    ['HDR-1X40', 40],
    ['SON-8', 9],
  ])('%s makes a land of %i pads', (name, count) => expect(pads(good(familyFromName(name)).family)).toHaveLength(count));
  it.each(['', 'FOO-8', 'BGA-60', 'SOT-23-4', 'SO', 'SO-14-14'])('“%s” is refused with what is known', (name) =>
    expect(refused(familyFromName(name))[0]).toMatch(/SO-14, TSSOP-20/),
  );
  it.each(['SO-13', 'QFN-50'])('%s cannot be built', (name) => expect(generateLand(good(familyFromName(name)).family).ok).toBe(false));
});

describe('pads and pins', () => {
  const part = provenPart();
  const pkg = part.packages[0]!;
  it('meet by number', () => {
    const met = meetPads(part, pkg.id);
    expect([met.joined.size, met.padsWithoutPin, met.numbersWithoutPad]).toEqual([8, [], []]);
  });
  it('that do not meet are named from both ends', () => {
    const moved = applyEdit(part, {
      kind: 'joinPads',
      package: pkg.id,
      joins: [{ pin: pinNamed(part, 'VDD').id, pads: ['9'] }],
    });
    const met = meetPads(moved, pkg.id);
    expect(met.padsWithoutPin).toEqual(['8']);
    expect(met.numbersWithoutPad).toEqual([{ pin: pinNamed(part, 'VDD').id, number: '9' }]);
    expect(joinExposedPad(moved, pkg.id)).toBeUndefined();
  });
  it('join the exposed pad where only it is left', () => {
    const ep = applyEdit(part, {
      kind: 'joinPads',
      package: pkg.id,
      joins: [{ pin: pinNamed(part, 'VDD').id, pads: ['EP'] }],
    });
    expect(joinExposedPad(ep, pkg.id)).toMatchObject({ joins: [{ pads: ['8'] }] });
  });
});
