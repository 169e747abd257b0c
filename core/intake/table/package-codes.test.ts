import { read } from '../../test/samples';
import { list, page, read as readPage, table, text } from '../page/page.samples';
import { arePackageCodes, headingOfCode } from './package-codes';

const ROWS = [
  ['INA', '1', '7', 'A1', 'I', 'Channel A input'],
  ['OUTA', '2', '8', 'B1', 'O', 'Channel A output'],
  ['VCC', '3', '1', 'C1', 'P', 'Supply'],
  ['GND', '4, 5', '2', '-', 'G', 'Ground'],
];
const packagesOf = (text: string) => {
  const p = read(text);
  return `${p.packages.map((q) => q.name).join(' ')}: ${p.terminals.map((t) => Object.values(t.numbers).join('/')).join(' ')}`;
};
const csv = (...heads: string[]) => [...heads, ...ROWS.map((r) => r.map((c) => `"${c}"`).join(','))].join('\n');

describe('packages that have only their makers’ codes', () => {
  it.each<[string, string[], string]>([
    ['under a merged heading of numbers', ['Name,Pin No.,,,Type,Description', ',PW,RGE,YBD,,'], 'PW RGE YBD'],
    ['with their counts', ['Name,PIN,,,Type,Description', ',PW (5),RGE (8),YBD-4,,'], 'PW (5) RGE (8) YBD-4'],
    ['beside the heading of the names', ['PIN,,,,TYPE,DESCRIPTION', 'NAME,PW,RGE,YBD,,'], 'PW RGE YBD'],
    ['in the third row', ['PIN,,,,TYPE,DESCRIPTION', 'NAME,NO.,,,,', ',PW,RGE,YBD,,'], 'PW RGE YBD'],
    ['under a heading of packages', ['Signal,Package,,,I/O,Function', ',D,DGK,RSE,,'], 'D DGK RSE'],
    ['as counts of a family', ['Symbol,LQFP,,,I/O,Function', ',32,48,64,,'], 'LQFP32 LQFP48 LQFP64'],
    ['as counts alone', ['Symbol,Pin number,,,I/O,Function', ',32,48,64,,'], '32-pin 48-pin 64-pin'],
  ])('have their own numbers: %s', (_how, heads, names) => expect(packagesOf(csv(...heads))).toBe(`${names}: 1/7/A1 2/8/B1 3/1/C1 4/2 5`));

  it('have them in columns of blanks', () =>
    expect(packagesOf('SIGNAL   PIN NO.          I/O   DESCRIPTION\n         PW    RGE  YBD\nINA      1     3    A1    I     Input\nOUT      2     4    A2    O     Output\nVCC      3     1    B1    P     Supply\nGND      4     2    B2    G     Ground\n')).toBe('PW RGE YBD: 1/3/A1 2/4/A2 3/1/B1 4/2/B2')); // prettier-ignore

  it.each<[string, number[]]>([
    ['in line with the other headings', [100, 100, 113]],
    ['between the two lines of the numbers', [100, 107, 114]],
    ['below them', [100, 113, 113]],
  ])('have them on a page without ruled lines: %s', (_how, [over, others, codes]) => {
    const x = [50, 100, 150, 200, 250, 300];
    const heads = [
      text(53, others!, 'SIGNAL'),
      text(140, over!, 'PIN NO.'),
      text(253, others!, 'I/O'),
      text(303, others!, 'DESCRIPTION'),
      ...['PW', 'RGE', 'YBD'].map((code, i) => text(103 + 50 * i, codes!, code)),
    ];
    const { runs } = table(ROWS, { x, y: 118 });
    const proposal = readPage([page([...heads, ...runs])]);
    expect(proposal.packages.map((p) => p.name)).toEqual(['PW', 'RGE', 'YBD']);
    expect(proposal.terminals.map((t) => [t.name, ...Object.values(t.numbers)].join(' '))).toEqual([
      'INA 1 7 A1',
      'OUTA 2 8 B1',
      'VCC 3 1 C1',
      'GND 4 2',
      'GND 5',
    ]);
  });
  it('are not seen in names under one heading of numbers', () =>
    expect(list([page(table([['PIN', 'NAME', 'TYPE', 'FUNCTION'], ['EP', 'GND', 'P', 'Ground'], ['1', 'VIN', 'P', 'Supply'], ['2', 'SW', 'O', 'Switch']]).runs)])).toEqual(['EP GND', '1 VIN', '2 SW'])); // prettier-ignore

  it.each<[string, string, boolean]>([
    ['PW RGE', 'Pin no.', true],
    ['PW RGE', 'Description', false],
    ['48 64', 'QFP', true],
    ['64 48', 'QFP', false],
    ['1 2', 'Pin', false],
    ['NAME TYPE', 'Pin', false],
    ['SO-8 PW', 'Packages', true],
    ['A1 B2', 'Pin', false],
  ])('%s under “%s”: %s', (texts, over, are) => expect(arePackageCodes(texts.split(' '), over)).toBe(are));
  it.each([
    ['PIN NO.', 'PW', 'PIN NO. PW'],
    ['PIN', 'PW', 'Pin no. PW'],
    ['NO.', 'PW', 'Pin no. PW'],
    ['LQFP', '48', 'LQFP48'],
    ['Pin', 'SO-8', 'SO-8'],
  ])('%s over %s is “%s”', (over, code, heading) => expect(headingOfCode(over, code)).toBe(heading));
});

describe('names of the versions of a part', () => {
  const rows = '\n1,VIN,VIN,Supply\n2,GND,GND,Ground\n3,EN,EN,Enable\n4,NC,ADJ,Adjust input of B\n';
  it.each([
    ['Pin,Name (A version),Name (B version),Function', 'Name (A version)'],
    ['Pin,Pin name,,Function\n,TF1001A,TF1001B,', 'Pin name (TF1001A)'],
    ['Pin,TF1001A,TF1001B,Function', 'TF1001A'],
  ])('are asked where they differ: %s', (head, first) => {
    const terminals = read(head + rows).terminals;
    const asked = terminals.flatMap((t) => t.doubts.filter((d) => d.field === 'name').map((d) => [t.name, d.candidates, d.reason]));
    expect(asked).toEqual([['NC', ['NC', 'ADJ'], expect.stringContaining(`“NC” under ${first}`)]]);
    expect(terminals[3]!.alternates).toEqual(['ADJ']);
  });
  it('are no versions where hardly one name is the same', () =>
    expect(read('Pin,TF1001A,TF1001B,Function\n1,A,X,Supply\n2,B,Y,Ground\n3,C,Z,Enable\n').terminals.flatMap((t) => t.doubts.filter((d) => d.field === 'name'))).toEqual([])); // prettier-ignore
});
