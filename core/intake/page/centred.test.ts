import { terminalsIn } from '..';
import { list, page, read, text } from './page.samples';
import type { Run } from './page';

const X = [53, 103, 183, 233];
const line = (y: number, cells: string[], face = 'plain'): Run[] =>
  cells.flatMap((cell, i) => (cell === '' ? [] : [{ ...text(X[i]!, y, cell), face }]));
const lines = (rows: [y: number, ...cells: string[]][]): Run[] => rows.flatMap(([y, ...cells]) => line(y, cells));
const words = (runs: Run[]) => terminalsIn(read([page(runs)])).map((t) => `${t.numbers['']} ${t.name} ${t.description ?? ''}`.trim());

describe('rows whose cells are centred, hardly farther apart than their lines', () => {
  const HEAD: [number, ...string[]] = [100, 'Pin', 'Name', 'Type', 'Description'];
  it.each<[string, [number, ...string[]][], string[]]>([
    [
      'of lines in odd number belong to the number beside the middle one',
      [
        HEAD,
        [115, '1', 'VBB', 'P', 'Battery'],
        [130, '', '', '', 'Ground. See the section on'],
        [143.5, '2', 'GND', 'G', 'timing for what it does after'],
        [157, '', '', '', 'power-up.'],
        [172, '3', 'DEN', 'I', 'Diagnosis enable'],
      ],
      ['1 VBB Battery', '2 GND Ground. See the section on timing for what it does after power-up.', '3 DEN Diagnosis enable'],
    ],
    [
      'of lines in even number belong to the number between them',
      [
        HEAD,
        [115, '1', 'KE', 'P', 'Kelvin emitter'],
        [130, '', '', '', 'Gate. Leave open'],
        [136.75, '2', 'G', 'I'],
        [143.5, '', '', '', 'if not used.'],
        [158.5, '3', 'C', 'P', 'Collector'],
      ],
      ['1 KE Kelvin emitter', '2 G Gate. Leave open if not used.', '3 C Collector'],
    ],
    [
      'are found where the names could be balls',
      [
        [100, 'Signal', 'Terminal', '', 'Purpose'],
        [115, 'A2', '1', '', 'Operand'],
        [130, '', '', '', 'Sum. Leave open'],
        [136.75, 'S2', '2'],
        [143.5, '', '', '', 'if not used.'],
        [158.5, 'B2', '3', '', 'Operand'],
        [173.5, 'C0', '4', '', 'Carry'],
      ],
      ['1 A2 Operand', '2 S2 Sum. Leave open if not used.', '3 B2 Operand', '4 C0 Carry'],
    ],
  ])('%s', (_what, rows, expected) => expect(words(lines(rows))).toEqual(expected));
});

describe('faces', () => {
  const title = (y: number, value: string, face = 'bold'): Run => ({ ...text(X[3]!, y, value), face });
  const rows = (at: Run[]): Run[] => [
    ...line(100, ['Pin', 'Name', 'Type', 'Description'], 'bold'),
    ...[1, 2, 3, 4].flatMap((n, i) => line(115 + i * 15 + (i > 1 ? 15 : 0), [`${n}`, `PA${n}`, 'I/O', `Port A, bit ${n}`])),
    ...at,
  ];
  const groups = (runs: Run[]) => terminalsIn(read([page(runs)])).map((t) => t.group ?? '-');
  it('tell a title that begins where the descriptions do', () =>
    expect(groups(rows([title(145, 'Control')])).slice(2)).toEqual(['Control', 'Control']));
  it('tell none where the descriptions have the same, or nothing is known of them', () => {
    expect(groups(rows([title(145, 'Control', 'plain')]))).not.toContain('Control');
    const unknown = rows([title(145, 'Control')]).map(({ face: _, ...run }): Run => run);
    expect(groups(unknown)).not.toContain('Control');
  });
});

it('takes balls alone in the line below a heading for the first row’s', () =>
  expect(
    list([
      page([
        ...lines([
          [100, 'Name', 'Pin', '', 'Description'],
          [113, '', 'A1 A12'],
          [118, 'GND', '', '', 'Ground'],
          [123, '', 'B1 B12'],
          [136, 'TXP', 'A2', '', 'Transmit'],
          [149, 'TXN', 'A3', '', 'Transmit'],
          [162, 'CC', 'A5', '', 'Configuration'],
        ]),
      ]),
    ]),
  ).toEqual(['A1 GND', 'A12 GND', 'B1 GND', 'B12 GND', 'A2 TXP', 'A3 TXN', 'A5 CC']));

it('takes names with a sign of equality for no notes', () =>
  expect(
    list([
      page(
        lines([
          [100, 'Symbol', 'No.', 'I/O', 'Function'],
          [115, 'A0', '1', 'I', 'Word A bit 0'],
          [130, 'A=B_IN', '2', 'I', 'Cascade equal'],
          [145, 'A=B', '3', 'O', 'Equal, of both words'],
          [160, 'B0', '4', 'I', 'Word B bit 0'],
        ]),
      ),
    ]),
  ).toEqual(['1 A0', '2 A=B_IN', '3 A=B', '4 B0']));

it('asks where a second column of the page runs into the last cells, and says that rows were left', () => {
  const beside = (y: number, cells: string[]): Run[] => cells.map((cell, i) => text([400, 425, 460, 490][i]!, y, cell));
  const runs = [
    ...lines([
      [100, 'Pin', 'Name', 'Type', 'Description'],
      [118, '1', 'A', '-', 'Anode'],
      [136, '2', 'K', '-', 'Cathode'],
    ]),
    ...[97, 115, 133, 151].flatMap((y, i) => beside(y, [`${i + 3}`, 'NC', 'NC', 'Not connected'])),
  ];
  const { terminals, problems } = read([page(runs)]);
  expect(problems.map((p) => p.code)).toContain('rows-left');
  expect(terminals.map((t) => t.doubts.map((d) => d.field))).toEqual([['name'], ['name']]);
});

it.each([
  ['at the left', 53],
  ['in the middle', 260],
])('takes a word for a group below a whole heading for a title: %s', (_where, x) => {
  const runs = [
    ...lines([
      [100, 'Signal', 'Pin', 'Type', 'Description'],
      [130, 'SDA', '1', 'I/O', 'Data of the bus'],
      [145, 'SCL', '2', 'I', 'Clock of the bus'],
      [160, 'VDD', '3', 'P', 'Supply of the part'],
    ]),
    text(x, 115, 'Interface'),
  ];
  expect(terminalsIn(read([page(runs)])).map((t) => `${t.numbers['']} ${t.name} ${t.group}`)).toEqual(['1 SDA Interface', '2 SCL Interface', '3 VDD Interface']); // prettier-ignore
});

it('takes words over the first of rows of a line each for a title, and one heading that is set wide for one', () => {
  const runs = [
    ...lines([
      [100, 'Pin', 'Name', '', 'Description'],
      [115, '', '', '', 'Digital signals'],
      [130, '1', 'D0', '', 'Data of bit 0'],
      [145, '2', 'D1', '', 'Data of bit 1'],
      [160, '3', 'D2', '', 'Data of bit 2'],
    ]),
    text(75, 100, 'No.'),
  ];
  const { terminals } = read([page(runs)]);
  expect(terminals.map((t) => `${t.name} ${t.description} ${t.group}`)).toEqual([0, 1, 2].map((n) => `D${n} Data of bit ${n} Digital signals`)); // prettier-ignore
});
