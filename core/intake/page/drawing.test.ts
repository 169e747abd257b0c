import fc from 'fast-check';
import { pagesWorthRuling, readPages, terminalsIn } from '..';
import type { Run } from './page';
import { page, table, text } from './page.samples';

const SIDE = 24;
/** A package with as many leads on each of its two sides, its numbers inside and its names outside of its body. */
const dual = (names: readonly string[], isInside = false): Run[] =>
  names.flatMap((name, i) => {
    const half = names.length / 2;
    const isLeft = i < half;
    const y = 120 + SIDE * (isLeft ? i : names.length - 1 - i);
    const right = (x: number, value: string) => text(x - value.length * 4.5, y, value);
    const [near, far] = isLeft ? [right(215, `${i + 1}`), right(190, name)] : [text(385, y, `${i + 1}`), text(410, y, name)];
    // The other way round the names stand within.
    return isInside ? [isLeft ? text(225, y, name) : right(375, name), near] : [near, far];
  });
/** The same with four sides; names above and below stand sideways. */
const quad = (names: readonly string[]): Run[] =>
  names.flatMap((name, i) => {
    const each = names.length / 4;
    const [side, k] = [Math.floor(i / each), i % each];
    const [near, far] = [20 + SIDE * k, 20 + SIDE * (each - 1 - k)];
    const width = 40 + SIDE * (each - 1);
    if (side === 0) return [text(205, 200 + near, `${i + 1}`), text(190 - name.length * 4.5, 200 + near, name)];
    if (side === 2) return [text(200 + width - 12, 200 + far, `${i + 1}`), text(200 + width + 12, 200 + far, name)];
    const x = 200 + (side === 1 ? near : far);
    const y = side === 1 ? 200 + width : 200;
    const turned: Run = { ...text(x + 7, side === 1 ? y + 12 + name.length * 4.5 : y - 12, name), turns: 3 };
    return [text(x, side === 1 ? y - 6 : y + 14, `${i + 1}`), turned];
  });
const NAMES = ['VDD', 'CLK', 'IN A', 'TXD', 'D0', 'D1', 'D2', 'D3', 'NC', 'EN', 'RST', 'VSS'];
const read = (runs: Run[], extra: ReturnType<typeof table> | undefined = undefined) =>
  readPages([page([text(50, 60, 'Pin configuration'), ...runs, ...(extra?.runs ?? [])], extra?.rules ?? [])]);
const names = (runs: Run[]): string[] | undefined => {
  const got = read(runs);
  return got.ok ? terminalsIn(got.value).map((t) => `${t.numbers['']} ${t.name}`) : undefined;
};
const counted = NAMES.map((name, i) => `${i + 1} ${name}`);

it.each([
  ['two sides, names outside', dual(NAMES)],
  ['two sides, names inside', dual(NAMES, true)],
  ['four sides', quad(NAMES)],
])('reads a package that is only drawn: %s', (_, runs) => {
  expect(names(runs)).toEqual(counted);
  const got = read(runs);
  expect(got.ok && got.value.problems.map((p) => p.code)).toContain('pinout-drawn');
  expect(got.ok && got.value.terminals[0]!.origin).toMatchObject({
    page: 1,
    cells: { number: expect.anything(), name: expect.anything() },
  });
});

it('takes types and words from the list of names beside the drawing, and the pad in its middle', () => {
  const rows = [['Name', 'I/O', 'Description'], ['EN', 'I', 'Enable of the part'], ['D0', 'I/O', 'Data'], ['TXD', 'OZ', 'Data out']]; // prettier-ignore
  const beside = table(rows, { x: [50, 150, 220], y: 560, rules: 'all' });
  const got = read([...quad(NAMES), text(225, 246, 'Exposed pad', 7)], beside);
  const all = got.ok ? terminalsIn(got.value) : [];
  expect(all.find((t) => t.name === 'TXD')).toMatchObject({ type: 'three-state', description: 'Data out' });
  expect(all.find((t) => t.name === 'EN')).toMatchObject({ type: 'input', description: 'Enable of the part' });
  expect(all.at(-1)).toMatchObject({ name: 'EP', numbers: { '': 'EP' } });
});

it.each([
  ['a number is missing', dual(NAMES).filter((r) => r.text !== '5')],
  ['a name is missing', dual(NAMES).filter((r) => r.text !== 'IN A')],
  ['a curve has figures along its axes', [1, 2, 3, 4, 5].flatMap((n) => [text(60, 400 - 20 * n, `${n}`), text(60 + 30 * n, 400, `${n}`)])],
])('takes nothing from a drawing in which %s', (_, runs) => expect(names(runs)).toBeUndefined());

it('fetches the lines of a page that says it has a drawing: they hold its overbars', () =>
  expect(pagesWorthRuling([page([text(50, 60, 'Pin configuration (top view)'), ...dual(NAMES)])])).toEqual([1]));

it.each([
  ['beside it', 310, -20],
  ['under it', 20, 260],
])('reads the first of two packages, and says that another is drawn %s', (_, dx, dy) => {
  const other = ['OUT', 'IN', 'GND', 'VEE', 'SDA', 'SCL', 'D0', 'D1', 'TXD', 'EN', 'RST', 'VSS'];
  const codes = (of: readonly string[]) => {
    const runs = [...dual(NAMES), ...dual(of).map((r) => ({ ...r, x: r.x + dx, y: r.y + dy }))];
    const [first] = dy < 0 ? [of] : [NAMES];
    expect(names(runs)).toEqual(first.map((name, i) => `${i + 1} ${name}`));
    const got = read(runs);
    return got.ok ? got.value.problems.map((p) => p.code) : [];
  };
  expect(codes(other)).toContain('pinout-drawn-too');
  expect(codes(NAMES)).not.toContain('pinout-drawn-too');
});

it.each([true, false])('finds no pad in a lead that is called as one, names inside: %s', (isInside) =>
  expect(names(dual(['EP', 'CLK', 'TXD', 'EPAD', 'D0', 'D1'], isInside))).toEqual(['1 EP', '2 CLK', '3 TXD', '4 EPAD', '5 D0', '6 D1']),
);

it('gives each lead of a drawing its own name, whatever it is called', () =>
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.stringMatching(/^[A-Z][A-Z0-9_]{0,7}$/), { minLength: 6, maxLength: 30 }),
      fc.boolean(),
      (all, isInside) => {
        const own = all.slice(0, all.length - (all.length % 2));
        expect(names(dual(own, isInside))).toEqual(own.map((name, i) => `${i + 1} ${name}`));
      },
    ),
    { numRuns: 60 },
  ));
