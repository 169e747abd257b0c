import { readText, terminalsIn, type Proposal } from '../..';
import { readHtml } from '../../html';

const proposal = (text: string, packageName?: string): Proposal => {
  const options = packageName === undefined ? {} : { package: packageName };
  const read = text.startsWith('<') ? readHtml(text, options) : readText(text, options);
  if (!read.ok) throw new Error(read.problems.map((p) => p.code).join(' '));
  return read.value;
};
const said = (p: Proposal): string[] => terminalsIn(p).map((t) => `${t.numbers[p.package]} ${t.name} ${t.type}`);
const list = (text: string, packageName?: string): string[] => said(proposal(text, packageName));
const bars = (rows: string[][]): string => rows.map((r) => r.join(' | ')).join('\n');
const html = (rows: string): string => `<table>${rows}</table>`;

/** Tables that say the same as a plain one in another form. */
it.each([
  [
    'ticks under the types',
    bars([['Pin', 'Name', 'Input', 'Output', 'Power'], ['1', 'VDD', '', '', 'x'], ['2', 'SEL', '✓', '', ''], ['3', 'FOO', '', '✓', ''], ['4', 'BAR', '✓', '✓', '']]), // prettier-ignore
    ['1 VDD supply-in', '2 SEL input', '3 FOO output', '4 BAR bidirectional'],
  ],
  [
    'a pinout on its side',
    bars([
      ['Pin', '1', '2', '3', '4'],
      ['Name', 'VDD', 'FOO', 'BAR', 'VSS'],
      ['I/O', 'P', 'I', 'O', 'P'],
    ]),
    ['1 VDD supply-in', '2 FOO input', '3 BAR output', '4 VSS ground'],
  ],
  [
    'a pinout on its side that goes on below',
    bars([
      ['Pin', '1', '2', '3'],
      ['Signal', 'VDD', 'CLK', 'RXD'],
      ['Pin', '4', '5', '6'],
      ['Signal', 'TXD', 'VSS', 'NC'],
    ]),
    ['1 VDD supply-in', '2 CLK input', '3 RXD input', '4 TXD output', '5 VSS ground', '6 NC no-connect'],
  ],
  [
    'numbers behind the names',
    bars([
      ['Pin', 'I/O', 'Description'],
      ['VIN (1)', 'P', 'Input supply'],
      ['GND (2, 4)', 'P', 'Ground'],
      ['EN (pin 3)', 'I', 'Enable'],
    ]),
    ['1 VIN supply-in', '2 GND ground', '4 GND ground', '3 EN input'],
  ],
  [
    'functions over names and numbers',
    bars([
      ['Function', 'Pins', 'Numbers'],
      ['Supply', 'VDD, VDDA', '1, 8'],
      ['Ground', 'VSS', '4'],
      ['Address inputs', 'A0, A1', '2, 3'],
    ]),
    ['1 VDD supply-in', '8 VDDA supply-in', '4 VSS ground', '2 A0 input', '3 A1 input'],
  ],
  [
    'several functions in the rows of one number',
    html('<tr><th>Pin<th>Name<th>Signal<th>Type<tr><td rowspan=2>1<td rowspan=2>PA0<td>PA0<td>I/O<tr><td>ADC0<td>I<tr><td>2<td>VDD<td>VDD<td>P<tr><td rowspan=2>3<td rowspan=2>PA1<td>PA1<td>I/O<tr><td>TXD<td>O'), // prettier-ignore
    ['1 PA0 bidirectional', '2 VDD supply-in', '3 PA1 bidirectional'],
  ],
  [
    'functions of numbers that a port has, further down',
    bars([['Pin', 'Name', 'Type', 'Description'], ['1-2', 'P1.0-P1.1', 'I/O', 'Port 1'], ['1', '', 'I', 'RxD (P1.0): serial input'], ['3', 'VSS', 'P', 'Ground']]), // prettier-ignore
    ['1 P1.0 bidirectional', '2 P1.1 bidirectional', '3 VSS ground'],
  ],
  [
    'the rows of a connector',
    bars([
      ['Pin', 'Row A', 'Row B'],
      ['Bus', '', ''],
      ['1', 'GND', 'CLK'],
      ['2', 'RXD', 'TXD'],
      ['3', 'EN', 'GND'],
      ['4', '', 'VDD'],
    ]),
    ['A1 GND ground', 'B1 CLK input', 'A2 RXD input', 'B2 TXD output', 'A3 EN input', 'B3 GND ground', 'B4 VDD supply-in'],
  ],
  [
    'numbers and names, with a list of the names below',
    html('<tr><th>Pin<th>Signal<tr><td>1<td>FOO<tr><td>2<td>BAR') + html('<tr><th>Signal<th>Type<th>Description<tr><td>FOO<td>I<td>Strobe<tr><td>BAR<td>OZ<td>Data'), // prettier-ignore
    ['1 FOO input', '2 BAR three-state'],
  ],
  [
    'arrows that are explained',
    `${bars([['Pin', 'Name', 'Direction'], ['1', 'FOO', '→'], ['2', 'BAR', '←'], ['3', 'BUS', '↔']])}\n\n→ output of the module, ← input of the module`, // prettier-ignore
    ['1 FOO output', '2 BAR input', '3 BUS bidirectional'],
  ],
  [
    'contacts of connectors',
    bars([
      ['Terminal', 'Signal', 'I/O'],
      ['X1-1', 'FOO', 'I'],
      ['X1-2', 'BAR', 'O'],
      ['X2-1', 'GND', 'G'],
    ]),
    ['X1-1 FOO input', 'X1-2 BAR output', 'X2-1 GND ground'],
  ],
])('reads %s', (_, text, expected) => expect(list(text)).toEqual(expected));

it('keeps the functions of a number as other names, and not its own name', () => {
  const text = '<tr><th>Pin<th>Name<th>Signal<th>Type<tr><td rowspan=3>1<td rowspan=3>PA0<td>PA0<td>I/O<tr><td>ADC0<td>I<tr><td>TXD<td>O<tr><td>2<td>VDD<td>VDD<td>P'; // prettier-ignore
  const [first, second] = proposal(html(text)).terminals;
  expect([first!.alternates, second!.alternates]).toEqual([['ADC0', 'TXD'], undefined]);
  expect(first!.doubts).toEqual([]);
});

it.each([
  ['SO: 1 / QFN: 15', 'SO: 2 / QFN: 16', 'SO: 3 / QFN: 1', 'Pin', ['SO', 'QFN'], ['15 EN input', '16 GND ground', '1 VIN supply-in']],
  ['1 (15)', '2 (16)', '3 (1)', 'Pin DIP (LCC)', ['DIP', 'LCC'], ['15 EN input', '16 GND ground', '1 VIN supply-in']],
  ['1\n15', '2\n16', '3\n1', 'SO\nQFN', ['SO', 'QFN'], ['15 EN input', '16 GND ground', '1 VIN supply-in']],
  ['1/15', '2/16', '3/1', 'Pin (SO/QFN)', ['SO', 'QFN'], ['15 EN input', '16 GND ground', '1 VIN supply-in']],
])('takes %s for a number in each of two packages', (a, b, c, head, packages, second) => {
  const rows = [[head, 'Name', 'I/O'], [a, 'EN', 'I'], [b, 'GND', 'G'], [c, 'VIN', 'P']]; // prettier-ignore
  const text = html(rows.map((r) => `<tr>${r.map((cell) => `<td>${cell.replace('\n', '<br>')}`).join('')}`).join(''));
  expect(proposal(text).packages.map((p) => p.name)).toEqual(packages);
  expect(list(text, packages[1])).toEqual(second);
});

it('calls the terminals of equal channels by both, and asks', () => {
  const rows = [['Function', 'Channel A', 'Channel B', 'Description'], ['OUT', '1', '7', 'Output'], ['IN-', '2', '6', 'Inverting input'], ['IN+', '3', '5', 'Non-inverting input'], ['V+', '8', '-', 'Positive supply']]; // prettier-ignore
  const read = proposal(bars(rows));
  expect(said(read)).toEqual(['1 OUTA output', '7 OUTB output', '2 INA- input', '6 INB- input', '3 INA+ input', '5 INB+ input', '8 V+ supply-in']); // prettier-ignore
  expect(read.terminals.map((t) => t.doubts.some((d) => d.field === 'name'))).toEqual([true, true, true, true, true, true, false]);
});

it.each([
  ['one row of ticks', [['Pin', 'Name', 'Input'], ['1', 'FOO', 'x'], ['2', 'BAR', 'x']], ['1 FOO', '2 BAR']], // prettier-ignore
  ['names in brackets without numbers', [['Pin', 'Name', 'I/O'], ['1', 'FOO (A)', 'I'], ['2', 'BAR (B)', 'O']], ['1 FOO (A)', '2 BAR (B)']], // prettier-ignore
])('leaves %s alone', (_, rows, expected) => {
  const read = proposal(bars(rows));
  expect(read.terminals.map((t) => `${t.numbers['']} ${t.name}`)).toEqual(expected);
});

it('asks whether IN feeds a part that nothing else feeds', () => {
  const asked = (rows: string[][]) => proposal(bars([['Pin', 'Name'], ...rows])).terminals.filter((t) => t.doubts.length > 0).map((t) => t.name); // prettier-ignore
  expect(asked([['1', 'IN'], ['2', 'GND'], ['3', 'OUT']])).toEqual(['IN', 'OUT']); // prettier-ignore
  expect(asked([['1', 'IN'], ['2', 'GND'], ['3', 'OUT'], ['4', 'VDD']])).toEqual([]); // prettier-ignore
});

it('asks what contacts in a shell are whose names alone tell a direction', () => {
  const rows = [['A1', 'SSTXP1', 'Transmit pair 1 positive'], ['A2', 'SSTXN1', 'Transmit pair 1 negative'], ['S1', 'SHIELD', 'Shell']]; // prettier-ignore
  const asked = (of: string[][]) => proposal(bars([['Pin', 'Name', 'Description'], ...of])).terminals.filter((t) => t.doubts.length > 0).map((t) => t.name); // prettier-ignore
  expect([asked(rows), asked(rows.slice(0, 2))]).toEqual([['SSTXP1', 'SSTXN1'], []]);
});

it('asks likes by the same, where only one of them is of a usual name', () => {
  const rows = ['U', 'V', 'W'].map((phase, i) => [`${i + 1}`, `SEN${phase}`, `Phase ${phase} shunt`]);
  const types = proposal(bars([['Pin', 'Name', 'Description'], ...rows])).terminals.map((t) => `${t.type} ${t.doubts.length}`); // prettier-ignore
  expect(new Set(types)).toEqual(new Set(['input 1']));
});

it('takes what the column says comes in for an input, whatever it makes three-state, and asks', () => {
  const [control] = proposal(bars([['Pin', 'Name', 'Type', 'Description'], ['1', 'GTS', 'I', 'Global three-state'], ['2', 'GSR', 'I', 'Global reset']])).terminals; // prettier-ignore
  expect([control!.type, control!.doubts.length]).toEqual(['input', 1]);
});

it('takes the level that stands beside a type', () => {
  const { terminals } = proposal(bars([['Pin', 'Name', 'Type', 'Description'], ['1', 'CLR', 'Digital input, active low', 'Sets all channels to zero'], ['2', 'PD', 'Digital input', 'Sets the part to rest']])); // prettier-ignore
  expect(terminals.map((t) => t.activeLow ?? false)).toEqual([true, false]);
});

it('asks for the numbers of a connector, which no cell has whole', () => {
  const { terminals } = proposal(bars([['Pin', 'Row A', 'Row B'], ['1', 'GND', 'CLK'], ['2', 'RXD', 'TXD']])); // prettier-ignore
  expect(terminals.map((t) => t.doubts[0]?.field)).toEqual(['number', 'number', 'number', 'number']);
});

it('says which column of names was not taken where no heading tells what it is', () => {
  const rows = ['GND', 'CLK', 'RXD', 'TXD', 'EN'].map((name, i) => [`${i + 1}`, name, `see ${name}`, `X_${name}`]);
  expect(proposal(bars(rows)).problems.map((p) => p.code)).toContain('column-names');
  expect(proposal(bars(rows.map((r) => r.slice(0, 3)))).problems).toEqual([]);
});

it.each([
  ['PA0<br>ADC0<br>T1CH1', 'PA0', ['ADC0', 'T1CH1'], 1],
  ['DATA<br>VALID', 'DATA VALID', undefined, 0],
  ['PA0/<br>ADC0', 'PA0/ADC0', ['ADC0'], 0],
])('reads the lines of a name such as %s', (cell, name, alternates, asked) => {
  const [first] = proposal(html(`<tr><td>Pin<td>Name<td>Type<tr><td>1<td>${cell}<td>I/O<tr><td>2<td>VDD<td>P`)).terminals;
  expect([first!.name, first!.alternates, first!.doubts.filter((d) => d.field === 'name').length]).toEqual([name, alternates, asked]);
});

it.each([
  ['L', '-', [true, false]],
  ['low', 'high', [true, false]],
  ['-', '+', [true, false]],
  ['-', '-', [false, false]],
])('reads the levels %s and %s of a column', (a, b, expected) => {
  const { terminals } = proposal(bars([['Pin', 'Name', 'Type', 'Active'], ['1', 'FOO', 'I', a], ['2', 'BAR', 'I', b]])); // prettier-ignore
  expect(terminals.map((t) => t.activeLow ?? false)).toEqual(expected);
});

it('takes the names under one number for one terminal where several have more than one, and asks', () => {
  const rows = [['Pin', 'Function', 'I/O'], ['1', 'PB0', 'I/O'], ['1', 'SDI', 'I'], ['2', 'PB1', 'I/O'], ['2', 'SDO', 'O'], ['3', 'VSS', 'P']]; // prettier-ignore
  const { terminals } = proposal(bars(rows));
  expect(terminals.map((t) => [t.name, t.alternates, t.doubts.map((d) => d.field)])).toEqual([['PB0', ['SDI'], ['name']], ['PB1', ['SDO'], ['name']], ['VSS', undefined, []]]); // prettier-ignore
  const once = proposal(bars(rows.filter((r) => r[1] !== 'SDO')));
  expect([once.terminals.length, once.problems.map((p) => p.code)]).toEqual([4, ['number-twice']]);
});
