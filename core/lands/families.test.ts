import fc from 'fast-check';
import type { Pad } from '../part';
import { good } from '../test/samples';
import { arithmeticOf, ballsIn, familyFromName, familyOf, generateLand, readLandName, walkPads, writeLandName, type Family } from '.';
import { betweenCentres } from './generate';
import { familySchema } from './family';
import { ballsText } from './numbering';

/** A length of `from` to `to` mm in steps of 0.05 mm. */
const mm = (from: number, to: number) => fc.integer({ min: Math.round(from * 20), max: Math.round(to * 20) }).map((n) => n / 20);
const body = fc.record({ w: mm(1, 20), h: mm(1, 20) });
const heightMm = mm(0.5, 5);

const dual = fc.record({ kind: fc.constant('dual' as const), count: fc.integer({ min: 1, max: 40 }).map((n) => n * 2), pitch: mm(0.4, 2.54), span: mm(4, 16), length: mm(0.5, 2), width: mm(0.2, 0.35), body, heightMm }); // prettier-ignore
const chip = fc.record({ kind: fc.constant('chip' as const), span: mm(1.5, 8), length: mm(0.3, 1.4), width: mm(0.3, 3), body, heightMm });
const array = fc.record({ kind: fc.constant('array' as const), rows: fc.integer({ min: 1, max: 8 }), columns: fc.integer({ min: 1, max: 20 }), pitch: mm(1, 5), length: mm(0.3, 0.9), width: mm(0.3, 0.9), body, numbering: fc.constantFrom('rows' as const, 'zigzag' as const, 'around' as const) }); // prettier-ignore
const header = fc.record({ kind: fc.constant('header' as const), rows: fc.integer({ min: 1, max: 3 }), columns: fc.integer({ min: 1, max: 30 }), pitch: mm(2, 5), diameter: mm(1.2, 1.8), drill: mm(0.6, 1.1), body, heightMm, numbering: fc.constantFrom('rows' as const, 'zigzag' as const) }); // prettier-ignore
const exposed = fc.option(fc.record({ w: mm(0.5, 1.5), h: mm(0.5, 3), number: fc.option(fc.constant('EP'), { nil: undefined }) }), { nil: undefined }); // prettier-ignore
const quad = fc.record({ kind: fc.constant('quad' as const), count: fc.integer({ min: 1, max: 40 }).map((n) => n * 4), pitch: mm(0.4, 1), span: mm(3, 30), length: mm(0.5, 1), width: mm(0.2, 0.35), body, exposed, round: fc.option(fc.constant(true), { nil: undefined }) }); // prettier-ignore
const outline = fc.record({ kind: fc.constant('outline' as const), leads: fc.constantFrom(3 as const, 5 as const, 6 as const, 8 as const), pitch: mm(0.5, 1.5), span: mm(2, 4), length: mm(0.5, 1.5), width: mm(0.2, 0.45), body }); // prettier-ignore
const inline = fc.record({ kind: fc.constant('inline' as const), count: fc.integer({ min: 1, max: 15 }), pitch: mm(2, 5), length: mm(1, 3), width: mm(0.5, 1.9), body, drill: fc.option(mm(0.2, 0.45), { nil: undefined }), tab: fc.option(fc.record({ w: mm(3, 9), h: mm(3, 9), distance: mm(3, 12) }), { nil: undefined }) }); // prettier-ignore
const grid = fc.record({ kind: fc.constant('grid' as const), rows: fc.integer({ min: 2, max: 24 }), columns: fc.integer({ min: 2, max: 24 }), pitch: mm(0.5, 1.3), diameter: mm(0.2, 0.45), body, square: fc.option(fc.constant(true), { nil: undefined }), without: fc.option(fc.constantFrom('A1', 'B1-B2', 'A1-A9', 'A1-X1, B2-C2'), { nil: undefined }) }); // prettier-ignore
const any: fc.Arbitrary<Family> = fc.oneof(dual, chip, array, header);

describe('a land of any dimensions', () => {
  it('has each number once, and as many as the family counts', () =>
    fc.assert(
      fc.property(any, (family) => {
        const { pads } = good(generateLand(family));
        expect(new Set(pads.map((p) => p.number)).size).toBe(pads.length);
        const count = family.kind === 'dual' ? family.count : 'rows' in family ? family.rows * family.columns : 2;
        expect(pads).toHaveLength(count);
        expect(walkPads(pads).sort()).toEqual(pads.map((p) => p.number).sort());
      }),
    ));
  it('stands around its middle, and its courtyard holds it', () =>
    fc.assert(
      fc.property(any, (family) => {
        const { pads, courtyard } = good(generateLand(family));
        for (const axis of ['x', 'y'] as const)
          expect(Math.max(...pads.map((p) => p[axis]))).toBeCloseTo(-Math.min(...pads.map((p) => p[axis])), 3);
        for (const p of pads) {
          expect(Math.abs(p.x) + p.w / 2).toBeLessThan(courtyard!.w / 2);
          expect(Math.abs(p.y) + p.h / 2).toBeLessThan(courtyard!.h / 2);
        }
      }),
    ));
  it('has arithmetic that adds up', () =>
    fc.assert(
      fc.property(any, (family) => {
        for (const { how } of arithmeticOf(family)) {
          const [left = '', right] = how.replace(/−/g, '-').replace(/×/g, '*').split('=');
          const value = left.split('*').length > 0 ? evaluate(left) : NaN;
          expect(Math.abs(value - Number(right))).toBeLessThan(0.011);
        }
      }),
    ));
  it('over its toes is the same as between its centres', () =>
    fc.assert(
      fc.property(fc.oneof(dual, chip), (family) => {
        const toes = { ...family, span: family.span + family.length, spanOver: 'toes' as const };
        expect(betweenCentres(toes)).toMatchObject({ kind: family.kind, length: family.length });
        expect(good(generateLand(toes)).pads).toEqual(good(generateLand(family)).pads);
      }),
    ));
  it('gives its dimensions back: those make the same pads again', () =>
    fc.assert(
      fc.property(fc.oneof(any, quad, outline, inline, grid), (family) => {
        const made = generateLand(family);
        if (!made.ok) return;
        const back = familyOf(made.value);
        expect(back).toMatchObject({ kind: family.kind, body: family.body });
        expect(good(generateLand(back!))).toEqual(made.value);
      }),
    ));
  it('keeps to its schema', () => fc.assert(fc.property(any, (family) => expect(familySchema.safeParse(family).success).toBe(true))));
});

/** `(7 - 1) * 1.27 / 2`, with one bracket at most. */
function evaluate(text: string): number {
  const plain = text.replace(/\(([^()]*)\)/, (_, inner: string) => String(sum(inner)));
  return sum(plain);
}
const sum = (text: string): number => {
  const [left = '', sign, right] = text.trim().split(/\s([-+])\s/);
  return sign === undefined ? product(left) : sign === '+' ? product(left) + product(right!) : product(left) - product(right!);
};
const product = (text: string): number =>
  text
    .trim()
    .split(/\s(?=[*/])/)
    .reduce(
      (value, piece, i) =>
        i === 0 ? Number(piece) : piece.startsWith('*') ? value * Number(piece.slice(1)) : value / Number(piece.slice(1)),
      0,
    );

describe('a name in the form of IPC-7351', () => {
  it('says again what it was made of', () =>
    fc.assert(
      fc.property(fc.oneof(dual, header), (family) => {
        const name = writeLandName(family)!;
        const read = readLandName(name);
        // Two rows under the body have the name of a body, and its pads are not in it.
        if (!read) return expect(name).toMatch(/^(SON|DIP|SOIC|SOP)/);
        expect(writeLandName(read.family)!.replace(/\d+(?=-|X|Q|L)/g, '')).toBe(name.replace(/\d+(?=-|X|Q|L)/g, ''));
      }),
    ));
  it.each(['SO-8', 'TSSOP-20', 'LQFP-64', 'QFN-48', 'BGA-64', 'SOT-23-5', 'HDR-2x5', 'DIP-8'])('is known for %s with a height', (short) => {
    const { family } = good(familyFromName(short));
    expect(readLandName(writeLandName({ ...family, heightMm: 1.5 })!)?.family.kind).toBe(family.kind);
  });
});

describe('the dimensions of a land', () => {
  it.each(['SO-14', 'TSSOP-20', 'QFN-48', 'LQFP-64', 'BGA-484', 'SOT-23-5', 'DIP-8', 'SIP-9', 'HDR-2x5', 'SOIC127P600X175-8'])(
    'of a %s are those of its name',
    (name) => {
      const { family } = good(familyFromName(name));
      const land = good(generateLand(family));
      expect(good(generateLand(familyOf(land)!))).toEqual(land);
    },
  );
  const land = good(generateLand(good(familyFromName('SO-14')).family));
  it.each<[string, (pads: Pad[]) => Pad[]]>([
    ['one pad is moved', ([first, ...rest]) => [{ ...first!, x: first!.x + 0.1 }, ...rest]],
    ['one pad is wider', ([first, ...rest]) => [{ ...first!, w: 2 }, ...rest]],
    ['one pad has another number', ([first, ...rest]) => [{ ...first!, number: '99' }, ...rest]],
    ['one pad is gone', (pads) => pads.slice(1)],
    ['one pad has another shape', ([first, ...rest]) => [{ ...first!, shape: 'circle' }, ...rest]],
    ['there are none', () => []],
  ])('are none where %s', (_what, change) => expect(familyOf({ ...land, pads: change(land.pads) })).toBeUndefined());
  it('are found without a body and a family, as files have it', () => {
    const found = familyOf({ pads: land.pads });
    expect(found).toMatchObject({ kind: 'dual', count: 14, pitch: 1.27, span: 5.4, body: { w: 5.4, h: 7.62 } });
  });
});

it.each(['', 'A1', 'A1-A4', 'B2-C3', 'A1, D4', 'A1-D1, B3', 'A1-B2, A4-B4, D1-D4'])(
  'missing balls %s are written as they are read',
  (text) => {
    const balls = ballsIn(text)!;
    expect(ballsText(4, 4, (r, c) => balls.has(`${'ABCD'[r]}${c + 1}`))).toBe(text);
  },
);
