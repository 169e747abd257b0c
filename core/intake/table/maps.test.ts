import { read, refused } from '../../test/samples';
import { readText, terminalsIn, type ReadOptions } from '..';
import { areEdge, followOn } from './find-map';

const nameOf = (ball: string) => (/^[AB]1$/.test(ball) ? 'VSS' : `GPIO_${ball}`);
/** The lines of a map, or of a part of one, in commas. */
const map = (letters: string, figures: number[], names: (ball: string) => string = nameOf): string[] => [
  ['', ...figures].join(','),
  ...[...letters].map((l) => [l, ...figures.map((f) => names(`${l}${f}`))].join(',')),
];
/** The same with the letters over its columns. */
const turned = (letters: string, figures: number[]): string[] => [
  ['', ...letters].join(','),
  ...figures.map((f) => [f, ...[...letters].map((l) => nameOf(`${l}${f}`))].join(',')),
];
const pins = (lines: string[], options?: ReadOptions) => {
  const proposal = read(lines.join('\n'), options);
  return terminalsIn(proposal).map((t) => `${t.numbers[proposal.package]} ${t.name}`);
};
const all = (letters: string, figures: number[]) =>
  [...letters].flatMap((l) => figures.map((f) => `${l}${f} ${nameOf(`${l}${f}`)}`)).sort();

const SIX = [1, 2, 3, 4, 5, 6];
it.each<[string, string[], string[]]>([
  ['in one piece', map('ABCD', SIX), all('ABCD', SIX)],
  ['as seen from below', map('ABCD', [6, 5, 4, 3, 2, 1]), all('ABCD', SIX)],
  ['with letters over its columns', turned('ABCDE', [1, 2, 3]), all('ABCDE', [1, 2, 3])],
  ['in halves beside each other', ['Left', ...map('ABCD', [1, 2, 3]), '', 'Right', ...map('ABCD', [4, 5, 6])], all('ABCD', SIX)],
  ['in halves below each other', [...map('ABC', SIX), '', ...map('DEF', SIX)], all('ABCDEF', SIX)],
  ['in quarters', [['ABC', [1, 2, 3]], ['ABC', [4, 5, 6]], ['DEF', [1, 2, 3]], ['DEF', [4, 5, 6]]].flatMap(([l, f]) => [...map(l as string, f as number[]), '']), all('ABCDEF', SIX)],
  ['in halves with letters over their columns', [...turned('ABCD', [1, 2, 3]), '', ...turned('ABCD', [4, 5, 6])], all('ABCD', SIX)],
  ['with figures at both edges', [...map('ABC', SIX), ',1,2,3,4,5,6', '', ...map('DEF', SIX), ',1,2,3,4,5,6'], all('ABCDEF', SIX)],
  ['with hardly more balls than dashes', map('ABCD', SIX, (b) => (/[BC][2-5]/.test(b) ? '-' : nameOf(b))), all('ABCD', SIX).filter((t) => !/^[BC][2-5] /.test(t))],
  ['beside one that does not go on with it', [...map('ABCD', SIX), '', ...map('GHJ', [11, 12, 13])], all('ABCD', SIX)],
  ['beside what is small', [',1,2,3', 'A,x,y,z', 'B,x,y,z', 'C,x,y,z', '', ...map('ABCDEFGHJK', [1, 2, 3, 4, 5, 6, 7, 8, 9, 10])], all('ABCDEFGHJK', [1, 2, 3, 4, 5, 6, 7, 8, 9, 10])],
])('reads a ball map %s', (_case, lines, want) => expect(pins(lines).sort()).toEqual(want)); // prettier-ignore

it('asks where the same map stands again with another name', () => {
  const other = map('ABCD', SIX, (b) => (b === 'C3' ? 'WAKE' : nameOf(b)));
  const { terminals } = read(['Top view', ...map('ABCD', SIX), '', 'Bottom view', ...other].join('\n'));
  const asked = terminals.flatMap((t) => t.doubts.filter((d) => d.field === 'name').map((d) => [t.name, d.candidates]));
  expect(asked).toEqual([['GPIO_C3', ['GPIO_C3', 'WAKE']]]);
});

it('reads the maps of two packages', () => {
  const lines = ['Ball map of BGA-24', ...map('ABCD', SIX), '', 'Ball map of BGA-9', ...map('ABC', [1, 2, 3])];
  expect(read(lines.join('\n')).packages).toEqual([{ name: 'BGA-24', pinCount: 24 }, { name: 'BGA-9', pinCount: 9 }]); // prettier-ignore
  expect(pins(lines, { package: 'BGA-9' })).toHaveLength(9);
});

it('refuses a package that the only map is not of', () => {
  const text = ['Ball map of BGA-24', ...map('ABCD', SIX)].join('\n');
  expect(refused(readText(text, { package: 'QFN-48' }))[0]).toMatch(/QFN-48.*BGA-24/);
  expect(pins(text.split('\n'), { package: 'bga24' })).toHaveLength(24);
});

it('says how many balls a half is short of', () => {
  const { problems } = read(['FBGA-24', ...map('ABCD', [1, 2, 3])].join('\n'));
  expect(problems.map((p) => p.code)).toEqual(['count-package']);
});

it('leaves a row out that a person leaves out', () => {
  expect(pins(map('ABCD', SIX), { without: [2] }).some((t) => t.startsWith('A'))).toBe(false);
});

it.each<[string[], boolean]>([
  [['1', '2', '3'], true],
  [['9', '8', '7'], true],
  [['Y', 'AA', 'AB', 'AC'], true],
  [['H', 'J', 'K', 'L'], true],
  [['H', 'I', 'J', 'K'], false],
  [['A', 'B', 'C'], false],
  [['1', '3', '5'], false],
])('%j is an edge: %s', (texts, want) => expect(areEdge(texts)).toBe(want));

it.each<[string[], string[], boolean]>([
  [['1', '2', '3'], ['4', '5'], true],
  [['6', '5', '4'], ['3', '2', '1'], true],
  [['A', 'B', 'C'], ['D', 'E'], true],
  [['1', '2'], ['4', '5'], false],
  [['A', 'B'], ['1', '2'], false],
])('%j and %j follow each other: %s', (a, b, want) => expect(followOn(a, b)).toBe(want));
