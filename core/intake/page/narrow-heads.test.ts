import type { Run } from './page';
import { list, page, read, table, text } from './page.samples';

const ROWS = [
  ['CLK', '1', 'B1', 'I', 'Clock input'],
  ['DIN', '2', 'A1', 'I', 'Serial data input'],
  ['VDD', '3', 'C2', 'P', 'Supply'],
  ['GND', '4', 'A2', 'G', 'Ground'],
];
const X = [50, 110, 150, 200, 240];
const heads = (...of: [value: string, x: number, y: number][]): Run[] => of.map(([value, x, y]) => text(x, y, value));
const numbers = (above: Run[], x = X) => {
  const p = read([page([...above, ...table(ROWS, { x, y: 124 }).runs])]);
  return [p.packages.map((q) => q.name).join(' | '), ...p.terminals.map((t) => [t.name, ...Object.values(t.numbers)].join(' '))];
};
const ALL = ['CLK 1 B1', 'DIN 2 A1', 'VDD 3 C2', 'GND 4 A2'];

describe('headings over narrow columns', () => {
  it.each<[string, Run[], string]>([
    ['with counts below the names of packages', heads(['PIN NO.', 120, 96], ['SIGNAL', 53, 107], ['I/O', 203, 107], ['FUNCTION', 243, 107], ['QFN', 113, 107], ['CSP', 153, 107], ['(20)', 113, 118], ['(25)', 153, 118]), 'QFN (20) | CSP (25)'],
    ['with the counts beside the rest of another heading', heads(['PIN NO.', 120, 90], ['Pin', 203, 96], ['SIGNAL', 53, 107], ['FUNCTION', 243, 107], ['QFN', 113, 107], ['CSP', 153, 107], ['type', 203, 118], ['(20)', 113, 118], ['(25)', 153, 118]), 'QFN (20) | CSP (25)'],
    ['with one over the names and the numbers', heads(['PIN', 95, 96], ['NAME', 53, 118], ['PW', 113, 118], ['RGE', 153, 118], ['I/O', 203, 96], ['FUNCTION', 243, 96]), 'PW | RGE'],
    ['with parts side by side', heads(['PIN', 95, 96], ['NAME', 53, 118], ['TF1001', 113, 118], ['TF1002', 153, 118], ['I/O', 203, 96], ['FUNCTION', 243, 96]), 'TF1001 | TF1002'],
  ])('are read: %s', (_how, above, names) => expect(numbers(above)).toEqual([names, ...ALL])); // prettier-ignore

  it('are read with hardly a gap between codes', () =>
    expect(numbers(heads(['PIN', 95, 96], ['I/O', 203, 96], ['FUNCTION', 243, 96], ['NAME', 53, 118], ['PW', 110, 118], ['RGE', 121, 118]), [50, 107, 118, 200, 240])).toEqual(['PW | RGE', ...ALL])); // prettier-ignore

  it('have their two lines where those of their neighbours stand between them', () => {
    const above = heads(['Terminal', 60, 96], ['Input/', 203, 96], ['Description', 243, 96], ['output', 203, 107], ['Name', 53, 118], ['No.', 113, 118]); // prettier-ignore
    const rows = ROWS.map(([name, number, , type, words]) => [name!, number!, type!, words!]);
    expect(list([page([...above, ...table(rows, { x: [50, 110, 200, 240], y: 124 }).runs])])).toEqual(['1 CLK', '2 DIN', '3 VDD', '4 GND']);
  });
});

it('asks where numbers of two kinds stand in one cell', () => {
  const rows = [['Pin', 'Name', 'Function'], ['1 B1', 'CLK', 'Clock'], ['2 A1', 'DIN', 'Data'], ['3 C2', 'VDD', 'Supply']]; // prettier-ignore
  const { runs, rules } = table(rows, { x: [50, 100, 180], rules: 'all' });
  const { terminals } = read([page(runs, rules)]);
  expect(terminals.every((t) => t.doubts.some((d) => d.field === 'number' && /two kinds/.test(d.reason)))).toBe(true);
});

describe('a reference that is broken over two lines', () => {
  const rows = [['Pin', 'Name', 'Function'], ['1', 'MODE', 'Mode select. See\nTable 7'], ['2', 'SEL', 'Select'], ['3', 'VDD', 'Supply'], ['4', 'GND', 'Ground']]; // prettier-ignore
  it('ends no table', () => expect(list([page(table(rows, { x: [50, 100, 180] }).runs)])).toEqual(['1 MODE', '2 SEL', '3 VDD', '4 GND']));
  it('is no caption, which ends one', () => {
    const { runs, end } = table(rows.slice(2), { x: [50, 100, 180] });
    const above = table([rows[0]!, ['1', 'MODE', 'Mode select']], { x: [50, 100, 180], y: 60 }).runs;
    const other = table([['Step', 'Value'], ['9', 'Reset']], { x: [50, 100], y: end + 30 }).runs; // prettier-ignore
    expect(list([page([...above, ...runs, text(50, end + 20, 'Table 7 Modes'), ...other])])).toEqual(['1 MODE', '2 SEL', '3 VDD', '4 GND']);
  });
});
