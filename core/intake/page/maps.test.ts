import type { Rule, Run } from './page';
import { list, page, read, table } from './page.samples';

const X = [60, 110, 200, 250, 330, 380, 450];
/** A map's rows: its figures, and names whose widths differ. */
const rows = (letters: string, figures: number[]): string[][] => [
  ['', ...figures.map(String)],
  ...[...letters].map((l) => [l, ...figures.map((f) => (f % 2 ? `UART_RX_${l}${f}` : `P${l}${f}`))]),
];
const all = (letters: string, figures: number[]) => [...letters].flatMap((l) => figures.map((f) => `${l}${f} ${f % 2 ? 'UART_RX_' : 'P'}${l}${f}`)); // prettier-ignore
const onPage = (number: number, ...parts: { runs: Run[]; rules: Rule[] }[]) =>
  page(
    parts.flatMap((p) => p.runs),
    parts.flatMap((p) => p.rules),
    number,
  );
const at = (y: number, cells: string[][], rules: 'all' | 'none' = 'none') => table(cells, { x: X, y, rules, right: 540 });

describe.each(['all', 'none'] as const)('with lines: %s', (rules) => {
  it('reads halves below each other', () =>
    expect(list([onPage(1, at(100, rows('ABC', [1, 2, 3, 4]), rules), at(300, rows('DEF', [1, 2, 3, 4]), rules))])).toEqual(all('ABCDEF', [1, 2, 3, 4]))); // prettier-ignore

  it('reads halves on two pages, and says where each stands', () => {
    const pages = [onPage(1, at(100, rows('ABCD', [1, 2, 3]), rules)), onPage(2, at(100, rows('ABCD', [4, 5, 6]), rules))];
    expect(list(pages).sort()).toEqual(all('ABCD', [1, 2, 3, 4, 5, 6]));
    const { tables, terminals, table: view } = read(pages);
    expect(tables!.map((t) => [t.rows, t.areas!.map((a) => a.page)])).toEqual([[8, [1, 2]]]);
    expect(terminals.find((t) => t.name === 'PD6')!.origin).toMatchObject({ page: 2 });
    expect(new Set(view!.rows.map((r) => r.line)).size).toBe(10);
    expect(view!.rows.filter((r) => r.heading).map((r) => r.cells)).toEqual([['', '1', '2', '3'], ['', '4', '5', '6']]); // prettier-ignore
  });

  it('reads one that goes on on the next page without its figures', () => {
    const [head, ...body] = rows('ABCDEFGH', [1, 2, 3, 4]);
    const pages = [onPage(1, at(700, [head!, ...body.slice(0, 6)], rules)), onPage(2, at(60, body.slice(6), rules))];
    expect(list(pages)).toEqual(all('ABCDEFGH', [1, 2, 3, 4]));
  });
});

it('asks nothing of names that are wider than their neighbours, and asks of one that stands between two columns', () => {
  const whole = at(100, rows('ABCD', [1, 2, 3, 4]));
  expect(read([page(whole.runs)]).terminals.flatMap((t) => t.doubts.filter((d) => d.field === 'name'))).toEqual([]);
  const moved = whole.runs.map((r) => (r.text === 'PB2' ? { ...r, x: r.x + 26 } : r));
  const asked = read([page(moved)]).terminals.filter((t) => t.doubts.some((d) => d.field === 'name'));
  expect(new Set(asked.map((t) => t.numbers['']!.slice(0, 1)))).toEqual(new Set(['B']));
});

it('reads one with letters over its columns', () => {
  const turned = [['', 'A', 'B', 'C', 'D', 'E'], ...[1, 2, 3].map((f) => [String(f), ...[...'ABCDE'].map((l) => `P${l}${f}`)])];
  expect(list([page(table(turned, { x: X }).runs)]).sort()).toEqual(
    [...'ABCDE'].flatMap((l) => [1, 2, 3].map((f) => `${l}${f} P${l}${f}`)),
  );
});
