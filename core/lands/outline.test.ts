import fc from 'fast-check';
import { good } from '../test/samples';
import { familyFromName, familyOfOutline, generateLand, packageIn, readOutline, type Family } from '.';

const DRIVER = `7 Package outline, SO-8-EP
All dimensions are in mm.
Symbol   Min   Nom   Max   What
A   -   -   1.70   Height over the seating plane
A1   0.00   -   0.15   Standoff
b   0.31   -   0.51   Lead width
D   4.80   4.90   5.00   Body length
E   5.80   6.00   6.20   Over the leads
E1   3.80   3.90   4.00   Body width
e   1.27 BSC   Lead pitch
L   0.40   -   1.27   Foot length
D2   2.99   3.10   3.20   Exposed pad, length
E2   2.29   2.40   2.50   Exposed pad, width`;

describe('a table of a package outline', () => {
  it('gives each letter with its limits and its line', () => {
    const outline = readOutline(DRIVER);
    expect(Object.keys(outline).sort()).toEqual(['A', 'D', 'D2', 'E', 'E1', 'E2', 'L', 'b', 'e']);
    expect(outline.A).toEqual({ max: 1.7, line: 'A  -  -  1.70  Height over the seating plane' });
    expect(outline.b).toMatchObject({ min: 0.31, max: 0.51 });
    expect(outline.D).toMatchObject({ min: 4.8, nom: 4.9, max: 5 });
    expect(outline.e).toMatchObject({ nom: 1.27 });
  });

  it.each<[string, string, object]>([
    ['one value', 'e   0.50 BSC', { e: { nom: 0.5 } }],
    ['two values are limits', 'D   4.8   5.0', { D: { min: 4.8, max: 5 } }],
    ['a range in a cell', 'L   0.4 to 0.8', { L: { min: 0.4, max: 0.8 } }],
    ['a tolerance', 'D   4.90 ± 0.10', { D: { nom: 4.9 } }],
    ['millimetres, then inches', 'D   4.80   5.00   0.189   0.197', { D: { min: 4.8, max: 5 } }],
    ['inches, then millimetres', 'D   .189   .197   4.80   5.00', { D: { min: 4.8, max: 5 } }],
    ['one of each', 'e   1.27 BSC   0.050 BSC', { e: { nom: 1.27 } }],
    ['two letters in a line', 'A   -   -   1.2   E   6.3   6.4   6.5', { A: { max: 1.2 }, E: { nom: 6.4 } }],
    ['lowered figures', 'D₂   3.0   3.1   3.2', { D2: { nom: 3.1 } }],
    ['a note at the letter', 'D (1)   4.8   4.9   5.0', { D: { nom: 4.9 } }],
    ['what it is called first', 'Lead pitch   e   1.27', { e: { nom: 1.27 } }],
    ['no letters', 'Lead pitch   0.65 BSC', { e: { nom: 0.65 } }],
    [
      'no letters, an exposed pad',
      'Exposed pad width   2.3   2.4   2.5\nExposed pad length   3.0   3.1   3.2',
      { E2: { nom: 2.4 }, D2: { nom: 3.1 } },
    ],
    ['inches alone are converted', 'Dimensions in inches\ne   0.050', { e: { nom: 1.27 } }],
    ['over the leads in an older table', 'H   5.80   6.20', { H: { min: 5.8, max: 6.2 } }],
    ['columns as near as words', 'D   6.85 7.00 7.15', { D: { min: 6.85, nom: 7, max: 7.15 } }],
    ['a letter as near as a word', 'b 0.35 - 0.45', { b: { min: 0.35, max: 0.45 } }],
    ['a lead that is called B', 'B   0.35   0.49', { b: { min: 0.35, max: 0.49 } }],
    ['inches that are cut off', 'D   9.80   10.00   0.385   0.393', { D: { min: 9.8, max: 10 } }],
    [
      'letters above their values',
      'UNIT   A   D(1)   E(1)   e   HE   L   y\nmm   1.75   5.0   4.0   1.27   6.2   1.0   0.1',
      { A: { nom: 1.75 }, D: { nom: 5 }, e: { nom: 1.27 }, H: { nom: 6.2 } },
    ],
    [
      'letters above the most and the least',
      'A b D E e\nmax 1.75 0.49 5.0 4.0 1.27\nmin 1.35 0.36 4.8 3.8 1.27',
      { b: { min: 0.36, max: 0.49 }, e: { nom: 1.27 } },
    ],
    [
      'one line for both ways of a square',
      'D/E   4.9   5.0   5.1\nD2, E2 3.4 3.6',
      { D: { nom: 5 }, E: { nom: 5 }, D2: { min: 3.4 }, E2: { max: 3.6 } },
    ],
    ['the same value twice', 'e   1.27\ne   1.27', { e: { nom: 1.27 } }],
  ])('%s', (_what, text, expected) => expect(readOutline(text)).toMatchObject(expected));

  it.each<[string, string]>([
    ['a letter of two packages is left out', 'D   4.9\nD   6.0'],
    ['a letter without a value', 'D   see the drawing'],
    ['a unit is no letter', 'Output current   0.5   A'],
    ['prose', 'The package has a pitch that suits a board of two layers.'],
    ['more values than limits', 'D   1   2   3   4   5'],
  ])('nothing: %s', (_what, text) => expect(readOutline(text)).toEqual({}));

  it('is read or left from any text', () =>
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('A', 'D', 'e', '   ', '1.27', '-', '±', 'BSC', '\n', 'x')),
        (bits) => void readOutline(bits.join('')),
      ),
    ));
});

const named = (name: string): Family => good(familyFromName(name)).family;
const of = (text: string, name: string) => familyOfOutline(readOutline(text), named(name))!;

describe('a land of an outline', () => {
  it('of gull wings has its pads beyond the feet', () => {
    const { family, doubts, taken } = of(DRIVER, 'SO-8-EP');
    // A foot of (0.40 + 1.27) / 2 = 0.835 with 0.35 at toe and heel; 6.00 over the leads.
    expect(family).toMatchObject({ kind: 'dual', count: 8, pitch: 1.27, length: 1.54, span: 5.16, width: 0.57, heightMm: 1.7 });
    expect(family).toMatchObject({ body: { w: 3.9, h: 4.9 }, exposed: { w: 2.4, h: 3.1 } });
    expect(doubts).toEqual([]);
    expect(taken.map((t) => t.what)).toContain('span over the leads');
    expect(taken.every((t) => DRIVER.replace(/ {3}/g, '  ').includes(t.line))).toBe(true);
    expect(good(generateLand(family)).pads).toHaveLength(9);
  });
  it('without feet has its pads beyond the body', () => {
    const { family, doubts } = of(
      'A   0.9\nb   0.18   0.25   0.30\nD   7.00\nE   7.00\ne   0.50\nL   0.3   0.4   0.5\nD2   5.3\nE2   5.3',
      'QFN-48',
    );
    expect(family).toMatchObject({ kind: 'quad', count: 48, length: 0.7, span: 6.9, width: 0.22, body: { w: 7, h: 7 } });
    expect(doubts).toEqual([]);
  });
  it('on four sides has D and E over the leads, and the body in D1 and E1', () => {
    const { family } = of('A   1.6\nb   0.17   0.27\nD   12\nD1   10\nE   12\nE1   10\ne   0.5\nL   0.45   0.75', 'LQFP-64');
    expect(family).toMatchObject({ kind: 'quad', body: { w: 10, h: 10 }, length: 1.3, span: 11.4, width: 0.23 });
  });
  it('of balls has pads of 0.8 of them, and says so', () => {
    const { family, doubts } = of('A   1.4\nb   0.5\nD   23\nD1   21\nE   23\nE1   21\ne   1.00', 'BGA-484');
    expect(family).toMatchObject({ kind: 'grid', rows: 22, pitch: 1, diameter: 0.4, body: { w: 23, h: 23 } });
    expect(doubts).toEqual(['A pad is taken as 0.8 of its ball.']);
  });
  it.each<[string, string, string, RegExp]>([
    ['no foot', DRIVER.replace(/^L .*$/m, ''), 'SO-8-EP', /length of a foot is not given/],
    ['no lead', DRIVER.replace(/^b .*$/m, ''), 'SO-8-EP', /width of a lead is not given/],
    ['no span', DRIVER.replace(/^E .*$/m, ''), 'SO-8-EP', /span over the leads is not given/],
    ['no body width', DRIVER.replace(/^E1.*$/m, ''), 'SO-8-EP', /may go over the leads/],
    ['no exposed pad', DRIVER.replace(/^D2.*$/m, ''), 'SO-8-EP', /exposed pad along is not given/],
    ['inches that are called mm', DRIVER.replace('1.27 BSC', '0.05 BSC'), 'SO-8-EP', /may be in inches/],
    ['another count', `${DRIVER}\nN   10`, 'SO-8-EP', /of 10 leads/],
    ['D and E the other way round', DRIVER, 'SO-14', /the other way round/],
  ])('says what is doubtful: %s', (_what, text, name, doubt) => expect(of(text, name).doubts.join(' ')).toMatch(doubt));
  it('is none without a pitch, or of a family without an outline', () => {
    expect(familyOfOutline(readOutline('D   4.9'), named('SO-8'))).toBeUndefined();
    expect(familyOfOutline(readOutline(DRIVER), named('HDR-2x5'))).toBeUndefined();
  });
  it('with H over the leads has E for its body', () =>
    expect(of('A   1.75\nb   0.4\nD   4.9\nE   3.9\nH   6.0\ne   1.27\nL   0.8', 'SO-8').family).toMatchObject({
      body: { w: 3.9 },
      span: 5.2,
      length: 1.5,
    }));
});

it.each<[string, string | undefined]>([
  ['7 Package outline, SO-8-EP', 'SO-8-EP'],
  ['JEDEC MS-012. The TSSOP-20 package and the QFN-20', 'TSSOP-20'],
  ['LQFP64 mechanical data', 'LQFP64'],
  ['Revision A-12 of document DS-7311', undefined],
  ['', undefined],
])('the package that “%s” names is %s', (text, name) => expect(packageIn(text)?.name).toBe(name));
