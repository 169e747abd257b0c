import fc from 'fast-check';
import { good } from '../test/samples';
import { arithmeticOf, familyFromName, generateLand, readLandName, walkPads, writeLandName, type Family } from '.';
import { betweenCentres } from './generate';
import { familySchema } from './family';

/** A length of `from` to `to` mm in steps of 0.05 mm. */
const mm = (from: number, to: number) => fc.integer({ min: Math.round(from * 20), max: Math.round(to * 20) }).map((n) => n / 20);
const body = fc.record({ w: mm(1, 20), h: mm(1, 20) });
const heightMm = mm(0.5, 5);

const dual = fc.record({ kind: fc.constant('dual' as const), count: fc.integer({ min: 1, max: 40 }).map((n) => n * 2), pitch: mm(0.4, 2.54), span: mm(4, 16), length: mm(0.5, 2), width: mm(0.2, 0.35), body, heightMm }); // prettier-ignore
const chip = fc.record({ kind: fc.constant('chip' as const), span: mm(1.5, 8), length: mm(0.3, 1.4), width: mm(0.3, 3), body, heightMm });
const array = fc.record({ kind: fc.constant('array' as const), rows: fc.integer({ min: 1, max: 8 }), columns: fc.integer({ min: 1, max: 20 }), pitch: mm(1, 5), length: mm(0.3, 0.9), width: mm(0.3, 0.9), body, numbering: fc.constantFrom('rows' as const, 'zigzag' as const, 'around' as const) }); // prettier-ignore
const header = fc.record({ kind: fc.constant('header' as const), rows: fc.integer({ min: 1, max: 3 }), columns: fc.integer({ min: 1, max: 30 }), pitch: mm(2, 5), diameter: mm(1.2, 1.8), drill: mm(0.6, 1.1), body, heightMm, numbering: fc.constantFrom('rows' as const, 'zigzag' as const) }); // prettier-ignore
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
