import { readPages, terminalsIn } from '..';
import { across, list, page, read, table, text } from './page.samples';
import type { Run } from './page';

const X = [50, 100, 180, 230];
/** A line of cells at a height; a cell in braces stands in the middle of the table, from 50 to 540. */
const line = (y: number, cells: string[]): Run[] =>
  cells.flatMap((cell, i) => {
    const title = /^\{(.*)\}$/.exec(cell)?.[1];
    if (title !== undefined) return [text(295 - title.length * 2.25, y, title)];
    return cell === '' ? [] : [text(X[i]! + 3, y, cell)];
  });
const lines = (rows: [y: number, cells: string[]][]): Run[] => rows.flatMap(([y, cells]) => line(y, cells));
const HEAD: [number, string[]] = [100, ['Pin', 'Name', 'Type', 'Description']];
const groups = (runs: Run[]): string[] => terminalsIn(read([page(runs)])).map((t) => `${t.numbers['']} ${t.group ?? '-'}`);

describe('titles of groups in the middle of a table', () => {
  const body: [number, string[]][] = [
    [118, ['{Power and ground}']],
    [136, ['1', 'VDD', 'P', 'Supply of the core and of the pins']],
    [154, ['2', 'VSS', 'G', 'Ground of the core and of the pins']],
    [172, ['{Control}']],
    [190, ['3', 'EN', 'I', 'Enables the part when high']],
    [208, ['4', 'CLK', 'I', 'Clock of the interface']],
  ];
  it('are told by standing where no column’s cells do', () =>
    expect(groups(lines([HEAD, ...body]))).toEqual(['1 Power and ground', '2 Power and ground', '3 Control', '4 Control']));
  it('stay apart from descriptions that go on', () => {
    const more: [number, string[]][] = [...body.slice(0, 3), [165, ['', '', '', 'to be tied to the plane']], [183, ['{Control}']], [201, ['3', 'EN', 'I', 'Enables the part']], [219, ['4', 'CLK', 'I', 'Clock']]]; // prettier-ignore
    const read4 = terminalsIn(read([page(lines([HEAD, ...more]))]));
    expect(read4.map((t) => t.group)).toEqual(['Power and ground', 'Power and ground', 'Control', 'Control']);
    expect(read4[1]!.description).toBe('Ground of the core and of the pins to be tied to the plane');
  });
  it('over two columns are whole, and one behind the last row counts for the next page', () => {
    // Its first word begins where the types do, and stands above none of their cells but itself.
    const wide = (y: number, title: string) => text(231.5 - title.length * 2.25, y, title);
    const rows = lines([HEAD, body[1]!, body[2]!, body[4]!, body[5]!].map(([, cells], i) => [100 + i * 22, cells]));
    const first = [...rows, wide(111, 'Power and ground'), wide(155, 'Control'), wide(210, 'Data interface')];
    const next = lines([HEAD, [118, ['5', 'DIN', 'I', 'Data in']], [136, ['6', 'DOUT', 'O', 'Data out']]]);
    const proposal = read([page(first), page(next, [], 2)]);
    expect(terminalsIn(proposal).map((t) => t.group)).toEqual(['Power and ground', 'Power and ground', 'Control', 'Control', 'Data interface', 'Data interface']); // prettier-ignore
  });
  it('stand above a list of numbers whose name is beside its middle', () => {
    const list: [number, string[]][] = [
      [226, ['{Data interface}']],
      [244, ['5, 6,']],
      [249, ['', 'GND', 'G', 'Ground']],
      [254, ['7']],
    ];
    expect(groups(lines([HEAD, ...body, ...list])).slice(-3)).toEqual(['5 Data interface', '6 Data interface', '7 Data interface']);
  });
  it.each([
    ['Synchronous port 1', 'Synchronous port 1'],
    ['Synchronous 2', 'Synchronous 2'],
    ['2. Serial port', '2. Serial port'],
    ['Serial port:', 'Serial port'],
    ['Inputs, 0 V to 2.5 V', 'Inputs, 0 V to 2.5 V'],
    ['ADC inputs', 'ADC inputs'],
  ])('are whole wherever their words stand over the columns: %s', (title, group) => {
    for (const put of [title, `{${title}}`]) {
      const rows = body.map(([y, cells], i): [number, string[]] => [
        y,
        i % 3 === 0 ? [i === 0 ? put : put.replace(title, 'Control')] : cells,
      ]);
      expect(groups(lines([HEAD, ...rows]))).toEqual([`1 ${group}`, `2 ${group}`, '3 Control', '4 Control']);
    }
  });
  it('right below the heading are no part of it', () =>
    expect(list([page(lines([HEAD, [112, ['{Analog section}']], ...body.slice(1, 3), ...body.slice(4)]))])).toEqual(['1 VDD', '2 VSS', '3 EN', '4 CLK'])); // prettier-ignore
});

it('reads cells that stand on the last line of their row', () => {
  const runs = lines([
    HEAD,
    [118, ['', '', '', 'Supply of the core, to']],
    [129, ['1', 'VDD', 'P', 'be bypassed.']],
    [140, ['', '', '', 'Ground of the core and']],
    [151, ['', '', '', 'of the pins, to be tied']],
    [162, ['2', 'VSS', 'G', 'to the plane.']],
    [173, ['3', 'EN', 'I', 'Enables the part.']],
    [184, ['', '', '', 'Clock of the']],
    [195, ['4', 'CLK', 'I', 'interface.']],
  ]);
  expect(terminalsIn(read([page(runs)])).map((t) => `${t.numbers['']} ${t.name}: ${t.description}`)).toEqual([
    '1 VDD: Supply of the core, to be bypassed.',
    '2 VSS: Ground of the core and of the pins, to be tied to the plane.',
    '3 EN: Enables the part.',
    '4 CLK: Clock of the interface.',
  ]);
});

it.each<[string, [number, string[]][], string[]]>([
  [
    'under each other',
    [[190, ['5', 'GND', 'G', 'Ground.']], [201, ['6']], [212, ['7']], [230, ['8', 'CLK', 'I', 'Clock']]],
    ['5 GND', '6 GND', '7 GND', '8 CLK'],
  ],
  ['above and below its name', [[198, ['5']], [209, ['6', 'GND', 'G', 'Ground.']], [220, ['7']], [246, ['8', 'CLK', 'I', 'Clock']]], ['5 GND', '6 GND', '7 GND', '8 CLK']],
  [
    'beside the lines of a description',
    [[190, ['5', 'GND', 'G', 'Ground, to be tied to']], [201, ['6', '', '', 'the plane of the']], [212, ['7', '', '', 'board.']], [230, ['8', 'CLK', 'I', 'Clock']]],
    ['5 GND', '6 GND', '7 GND', '8 CLK'],
  ],
  ['that go on behind a word', [[190, ['5 to', 'GND', 'G', 'Ground.']], [201, ['7']], [219, ['8', 'CLK', 'I', 'Clock']]], ['5 GND', '6 GND', '7 GND', '8 CLK']],
])('reads a list of numbers %s', (_, rows, wanted) => {
  const before = ['A', 'B', 'C', 'D'].map((n, i): [number, string[]] => [118 + 18 * i, [String(i + 1), `IN_${n}`, 'I', 'Input']]);
  expect(list([page(lines([HEAD, ...before, ...rows]))]).slice(4)).toEqual(wanted);
}); // prettier-ignore

it.each<[string, number[], string[]]>([
  ['the middle of', [127, 163, 208], ['Supplies', 'Supplies', 'Bus', 'Bus', 'Keys', 'Keys', 'Keys']],
  ['the last of', [136, 172, 226], ['Supplies', 'Supplies', 'Bus', 'Bus', 'Keys', 'Keys', 'Keys']],
])('a label of a group in %s its rows is of them all', (_, places, wanted) => {
  const rows = 'VDD VSS SDA SCL UP DOWN MENU'.split(' ').map((name, i): [number, string[]] => [118 + 18 * i, ['', String(i + 1), name, 'What it is for']]); // prettier-ignore
  const labels = ['Supplies', 'Bus', 'Keys'].map((label, i): [number, string[]] => [places[i]!, [label]]);
  const runs = lines([[100, ['Group', 'Pin', 'Name', 'Description']], ...rows, ...labels]);
  expect(terminalsIn(read([page(runs)])).map((t) => t.group)).toEqual(wanted);
});

it.each<[string, string[][]]>([
  ['revisions', [['Revision', 'Date', 'Description'], ['A', '2026-03', 'First issue'], ['B', '2026-06', 'Pin 2 renamed']]],
  ['registers', [['Address', 'Name', 'Type', 'Description'], ['0x00', 'CTRL', 'R/W', 'Control'], ['0x01', 'STAT', 'R', 'Status']]],
  ['orders', [['Order', 'Package', 'Pins', 'Description'], ['TF1', 'QFN', '24', 'Reel'], ['TF2', 'SO', '28', 'Tube']]],
])('a pin table ends above a table of %s', (_, other) => {
  const pins = table([HEAD[1], ['1', 'VDD', 'P', 'Supply'], ['2', 'VSS', 'G', 'Ground'], ['3', 'EN', 'I', 'Enable']]);
  const below = table([['More about it'], ...other], { y: pins.end + 14 });
  const proposal = read([page([...pins.runs, ...below.runs])]);
  expect(terminalsIn(proposal).map((t) => t.name)).toEqual(['VDD', 'VSS', 'EN']);
  expect(proposal.problems.filter((p) => p.code !== 'count-package')).toEqual([]);
}); // prettier-ignore

it('reads two tables of the same headings whose rows do not stand beside each other', () => {
  const rows = (from: number, names: string[]) =>
    names.map((name, i) => [String(from + i), name, i % 2 ? 'Input of\nthe filter' : 'Output']);
  const head = ['Pin', 'Name', 'Description'];
  const left = table([head, ...rows(1, ['A', 'B', 'C', 'D'].map((n) => `IN_${n}`))], { x: [50, 90, 150], right: 280 }); // prettier-ignore
  const right = table([head, ['5', 'VDD', 'Supply of\nthe core and\nof the pins'], ...rows(6, ['VSS', 'EN', 'CLK'])], { x: [300, 340, 400], right: 540 }); // prettier-ignore
  expect(list([page([...left.runs, ...right.runs])])).toEqual(['1 IN_A', '2 IN_B', '3 IN_C', '4 IN_D', '5 VDD', '6 VSS', '7 EN', '8 CLK']);
});

it('takes a small raised asterisk for a note, and one of full size for a part of the name', () => {
  const runs = lines([
    HEAD,
    [118, ['1', 'EN', 'I', 'Enable']],
    [136, ['2', 'RD*', 'I', 'Read strobe']],
    [154, ['3', 'VSS', 'G', 'Ground']],
  ]);
  expect(list([page([...runs, text(112, 115, '*', 6)])])).toEqual(['1 EN', '2 RD*', '3 VSS']);
});

describe('labels beside several rows', () => {
  const at = (rows: string[][]) => [page(rows.flatMap((r, i) => r.flatMap((c, k) => (c === '' ? [] : [text([53, 130, 180, 250, 300][k]!, 100 + i * 18, c)]))))]; // prettier-ignore
  const head = ['Group', 'Pin', 'Name', 'Type', 'Description'];
  it('go on beside the next row in small letters', () => {
    const rows = [['Serial', '1', 'TXD', 'O', 'Data out'], ['port', '2', 'RXD', 'I', 'Data in'], ['', '3', 'CTS', 'I', 'Clear'], ['Power', '4', 'VDD', 'P', 'Supply'], ['', '5', 'GND', 'G', 'Ground']]; // prettier-ignore
    expect(terminalsIn(read(at([head, ...rows]))).map((t) => t.group)).toEqual(['Serial port', 'Serial port', 'Serial port', 'Power', 'Power']); // prettier-ignore
  });
  it('go on over three rows, and in a figure', () => {
    const labels = ['Power', 'and', 'ground', '', '', 'Port', '1', '', ''];
    const names = ['VDD', 'VIO', 'GND', 'GND', 'GND', 'TXD', 'RXD', 'CTS', 'RTS'];
    const rows = names.map((name, i) => [labels[i]!, String(i + 1), name, 'I', 'Of the part']);
    expect(terminalsIn(read(at([head, ...rows]))).map((t) => t.group)).toEqual(
      names.map((_, i) => (i < 5 ? 'Power and ground' : 'Port 1')),
    );
  });
  it('of two lines begin on their first row’s line, beside a list that goes on too', () => {
    const cells: [number, string[]][] = [
      [100, head],
      [118, ['Address', '1, 2,', 'A0–', 'I', 'Address']],
      [129, ['bus', '3, 4', 'A3']],
      [147, ['Power and', '5', 'VDD', 'P', 'Supply']],
      [158, ['ground']],
      [165, ['', '6', 'GND', 'G', 'Ground']],
      [183, ['', '7', 'GND', 'G', 'Ground']],
      [201, ['Clocks', '8', 'XIN', 'I', 'Clock']],
    ];
    const runs = cells.flatMap(([y, row]) => row.flatMap((c, k) => (c === '' ? [] : [text([53, 130, 180, 250, 300][k]!, y, c)])));
    const { terminals } = read([page(runs)]);
    expect(terminals.map((t) => `${t.numbers['']} ${t.name} ${t.group}`)).toEqual([
      ...[0, 1, 2, 3].map((i) => `${i + 1} A${i} Address bus`),
      ...['5 VDD', '6 GND', '7 GND'].map((t) => `${t} Power and ground`),
      '8 XIN Clocks',
    ]);
    expect(terminals.flatMap((t) => t.doubts.filter((d) => d.field === 'group'))).toEqual([]);
  });
  it('around the only row of a page are its label, and no titles', () => {
    const cells: [number, string[]][] = [[100, head], [118, ['Analog']], [123, ['', '1', 'RB', 'I', 'Bias']], [128, ['support']]]; // prettier-ignore
    const runs = cells.flatMap(([y, row]) => row.flatMap((c, k) => (c === '' ? [] : [text([53, 130, 180, 250, 300][k]!, y, c)])));
    const first = at([head, ['Serial', '2', 'TXD', 'O', 'Data out'], ['', '3', 'RXD', 'I', 'Data in'], ['', '4', 'CTS', 'I', 'Clear']]);
    const { terminals } = read([...first, page(runs, [], 2)]);
    expect(terminals.find((t) => t.name === 'RB')?.group).toBe('Analog support');
  });
  it('are asked about where they do not come out even', () => {
    const rows = [['', '1', 'TXD', 'O', 'Data out'], ['Serial', '2', 'RXD', 'I', 'Data in'], ['', '3', 'CTS', 'I', 'Clear'], ['', '4', 'VDD', 'P', 'Supply'], ['Power', '5', 'GND', 'G', 'Ground'], ['', '6', 'VIO', 'P', 'Supply'], ['', '7', 'NC', '-', 'None']]; // prettier-ignore
    const asked = terminalsIn(read(at([head, ...rows]))).map((t) => t.doubts.some((d) => d.field === 'group'));
    expect(asked).toEqual(asked.map(() => true));
  });
});

it('takes the last rows of the table before, and a title, for no heading', () => {
  const before = lines([[60, ['H', 'L', 'L']], [78, ['H', 'H', 'H']]]); // prettier-ignore
  const heads = [text(53, 118, 'Pin'), text(183, 118, 'Pin'), text(103, 124, 'Lead'), text(233, 124, 'Function'), text(53, 130, 'name'), text(183, 130, 'type')]; // prettier-ignore
  const body = lines([[150, ['VDD', '1', 'P', 'Supply']], [168, ['GND', '2', 'G', 'Ground']], [186, ['CLK', '3', 'I', 'Clock']]]); // prettier-ignore
  expect(list([page([...before, text(50, 98, 'Pin description'), ...heads, ...body])])).toEqual(['1 VDD', '2 GND', '3 CLK']);
});

it('puts halves beside each other under one heading where it is written otherwise over the second', () => {
  const heads = ['No.', 'Name', 'Type', 'No.', 'Pin name', 'Type'];
  const rows = [heads, ['1', 'VDD', 'P', '3', 'CLK', 'I'], ['2', 'GND', 'G', '4', 'OUT', 'O']];
  expect(list([page(rows.flatMap((r, i) => r.map((c, k) => text([50, 90, 150, 300, 340, 420][k]!, 100 + i * 18, c))))])).toEqual(['1 VDD', '2 GND', '3 CLK', '4 OUT']); // prettier-ignore
});

it('goes on below a name whose note stands in a line of its own', () => {
  const rows: [number, string[]][] = [[118, ['VDD', '1', 'P', 'Supply']], [136, ['RST#', '', '', '']], [146, ['(2)', '2', 'O', 'Data ready output, active low']], [164, ['GND', '3', 'G', 'Ground']]]; // prettier-ignore
  const runs = lines([[100, ['Signal', 'No.', 'Type', 'Description']], ...rows, [190, ['(2) Leave it open where it is not used.']]]);
  expect(list([page(runs)])).toEqual(['1 VDD', '2 RST#', '3 GND']);
});

it.each<[string, [number, string[]][]]>([
  ['a sentence that begins as a heading', [[154, ['4,']], [159, ['', 'NC', 'NC', 'No internal connection; leave open']], [164, ['5']]]],
  ['the end of the table, above a legend', [[154, ['4', 'NC', 'NC', 'Leave it open']], [172, ['5', 'NC', 'NC', 'Leave it open']], [198, ['Code Meaning']], [216, ['I', 'input']], [234, ['G', 'ground']]]],
])('reads on to %s', (_case, more) => {
  const rows: [number, string[]][] = [[118, ['1', 'VDD', 'P', 'Supply']], [136, ['2, 3', 'GND', 'G', 'Ground']], ...more, [182, ['6', 'EN', 'I', 'Enable']]]; // prettier-ignore
  const kept = more.length > 3 ? rows.slice(0, -1) : rows;
  expect(list([page(lines([HEAD, ...kept]))])).toEqual(['1 VDD', '2 GND', '3 GND', '4 NC', '5 NC', ...(more.length > 3 ? [] : ['6 EN'])]);
}); // prettier-ignore

it('takes a list of numbers whole around the name in its middle, with the mark of a note behind it', () => {
  const rows: [number, string[]][] = [
    [118, ['1', 'VDD', 'P', 'Supply of the core']],
    [132, ['2, 3,']],
    [146, ['4, 5,', 'D0–D5', 'I/O', 'Data']],
    [160, ['6, 7']],
    [174, ['8', 'GND', 'G', 'Ground']],
    [188, ['9', 'EN', 'I', 'Enables the part']],
  ];
  const marked = [...lines([HEAD, ...rows]), text(71, 157, '(1)', 5)];
  expect(list([page(marked)])).toEqual(['1 VDD', ...[0, 1, 2, 3, 4, 5].map((i) => `${i + 2} D${i}`), '8 GND', '9 EN']);
});

it('takes the upper line of a centred cell for no title, though every row has one', () => {
  const rows = ['VDD', 'VSS', 'SDA', 'SCL'].flatMap((name, i): [number, string[]][] => [
    [118 + 22 * i, ['', '', '', 'Input of channel']],
    [124 + 22 * i, [String(i + 1), name, 'I']],
    [130 + 22 * i, ['', '', '', String(i)]],
  ]);
  const { terminals } = read([page(lines([HEAD, ...rows]), [across(50, 540, 104)])]);
  expect(terminals.map((t) => `${t.name} ${t.description}`)).toEqual(['VDD', 'VSS', 'SDA', 'SCL'].map((n, i) => `${n} Input of channel ${i}`)); // prettier-ignore
});

it('takes what stands between two lines for a title, where it begins as descriptions do too', () => {
  const rows = [['1', 'VDD', 'P', 'Supply of all inputs'], ['2', 'GND', 'G', 'Ground of all inputs'], ['', '', '', 'Control'], ['3', 'EN', 'I', 'Enables all inputs']]; // prettier-ignore
  const t = table([HEAD[1], ...rows], { x: X, rules: 'rows', y: 100, pitch: 12 });
  const { terminals } = read([page(t.runs, t.rules)]);
  expect(terminals.map((p) => `${p.name} ${p.group ?? '-'} ${p.description}`)).toEqual(['VDD - Supply of all inputs', 'GND - Ground of all inputs', 'EN Control Enables all inputs']); // prettier-ignore
});

describe('white down a page', () => {
  const names = ['VDD', 'VSS', 'SDA', 'SCL', 'UP', 'DOWN', 'OUT', 'IN', 'REF', 'FB'];
  it('between numbers and what stands beside them in centred cells parts no table', () => {
    const heads = ['QFN10', 'QFN12', 'type', 'Name', 'Description'].map((h, i) => text([60, 110, 330, 370, 430][i]!, 100, h));
    heads.push(text(85, 88, 'No.'), text(330, 88, 'Pin'));
    const cells = names.flatMap((name, i) => [
      text(60, 124 + 22 * i, String(i + 1)),
      text(110, 124 + 22 * i, String(i + 2)),
      text(330, 124 + 22 * i, 'I'),
      text(370, 124 + 22 * i, name),
      text(430, 118 + 22 * i, 'Of the input stage,'),
      text(430, 129 + 22 * i, 'to be left open'),
    ]);
    expect(list([page([...heads, ...cells])])).toEqual(names.map((n, i) => `${i + 1} ${n}`));
  });
  it('is looked at where one heading stands three times in a line', () => {
    const heads = ['Pin', 'Pin', 'Pin'].map((h, i) => text([60, 250, 430][i]!, 100, h));
    const cells = names.flatMap((name, i) => [
      text(60, 118 + 18 * i, 'Of the left side'),
      text(420, 126 + 18 * i, String(i + 1)),
      text(440, 126 + 18 * i, name),
    ]);
    expect(() => readPages([page([...heads, ...cells])])).not.toThrow();
  });
  it('within the second of two headings parts none either', () => {
    const x = [60, 110, 150, 320, 400, 440];
    const heads = ['Signal', 'No.', 'Function', 'Signal', 'No.', 'Function'].map((h, i) => text(x[i]!, 100, h));
    const half = (from: number, by: number) =>
      names
        .slice(from, from + 5)
        .flatMap((name, i) => [
          text(x[by]!, 118 + (18 + by) * i, name),
          text(x[by + 1]!, 118 + (18 + by) * i, String(from + i + 1)),
          text(x[by + 2]!, 118 + (18 + by) * i, by === 0 ? 'Of the long input stage that is wide' : 'Of the stage'),
        ]);
    expect(list([page([...heads, ...half(0, 0), ...half(5, 3)])])).toEqual(names.map((n, i) => `${i + 1} ${n}`));
  });
});

it('goes on in the next text column, where centred names reach further to its edge', () => {
  const centred = (x: number, y: number, value: string) => text(x - value.length * 2.25, y, value);
  const row = (x: number, y: number, [number, name, use, more]: readonly string[]) => [
    centred(x, y, name!),
    text(x + 48, y, number!),
    text(x + 80, y, use!),
    ...(more ? [text(x + 80, y + 11, more)] : []),
  ];
  const left = [['1', 'SDA', 'Data of the bus'], ['2', 'SCL', 'Clock of the bus'], ['3', 'EN', 'Enable of the part', 'in all its modes'], ['4', 'PG', 'Power good']]; // prettier-ignore
  const right = [['5', 'CLOCK_OUT', 'Buffered clock'], ['6', 'READY_OUT', 'Goes high when the', 'part is ready'], ['7', 'SYNC', 'Of several parts'], ['8', 'GND', 'Ground']]; // prettier-ignore
  const prose = ['The part brings together a converter', 'and a port, and keeps its settings', 'while it sleeps for a long time.'].map((line, i) => text(30, 60 + 12 * i, line)); // prettier-ignore
  const heads = [centred(70, 400, 'Name'), text(118, 400, 'Pin'), text(150, 400, 'Description')];
  const runs = [...heads, ...left.flatMap((r, i) => row(70, 420 + 26 * i, r)), ...right.flatMap((r, i) => row(340, 60 + 26 * i, r))];
  expect(list([page([...prose, ...runs])])).toEqual([...left, ...right].map(([number, name]) => `${number} ${name}`));
});

it('says that numbers which count on in the next text column were not taken, whatever stands beside them', () => {
  const left = table([['Pin', 'Name', 'Type', 'Description'], ['1', 'VDD', 'P', 'Supply'], ['2', 'GND', 'G', 'Ground'], ['3', 'CLK', 'I', 'Clock']], { x: [40, 75, 130, 165], right: 280, y: 400 }); // prettier-ignore
  const right = ['4', '5', '6'].flatMap((number, i) => [text(330, 100 + 20 * i, 'of the part'), text(420, 100 + 20 * i, number), text(440, 100 + 20 * i, 'as said')]); // prettier-ignore
  const { problems } = read([page([...left.runs, ...right])]);
  expect(problems.map((p) => p.code)).toContain('rows-left');
  const apart = read([page([...left.runs, ...right.slice(0, 6)])]);
  expect(apart.problems.map((p) => p.code)).not.toContain('rows-left');
});
