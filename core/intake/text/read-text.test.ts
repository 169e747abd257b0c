import fc from 'fast-check';
import { sayProblem } from '../../part';
import { byNumber, good, read, refused } from '../../test/samples';
import { readText, terminalsIn } from '..';
import { withoutMarks } from './markup';

/** The same five rows in every layout that people paste. */
const LAYOUTS: [string, string][] = [
  [
    'commas',
    'Pin,Name,Type,Description\n1,VDD,P,Supply voltage\n2,GND,G,Ground\n3,IN+,I,"Positive input, buffered"\n4,IN-,I,Negative input\n5,OUT,O,Output of the buffer\n',
  ],
  [
    'semicolons',
    'Pin;Name;Type;Description\n1;VDD;P;Supply voltage\n2;GND;G;Ground\n3;IN+;I;Positive input, buffered\n4;IN-;I;Negative input\n5;OUT;O;Output of the buffer\n',
  ],
  [
    'tabs',
    'Pin\tName\tType\tDescription\n1\tVDD\tP\tSupply voltage\n2\tGND\tG\tGround\n3\tIN+\tI\tPositive input, buffered\n4\tIN-\tI\tNegative input\n5\tOUT\tO\tOutput of the buffer',
  ],
  [
    'bars',
    '| Pin | Name | Type | Description |\n|-----|------|------|---|\n| 1 | VDD | P | Supply voltage |\n| 2 | GND | G | Ground |\n| 3 | IN+ | I | Positive input, buffered |\n| 4 | IN- | I | Negative input |\n| 5 | OUT | O | Output of the buffer |',
  ],
  [
    'blanks',
    'Pin  Name  Type  Description\n1    VDD   P     Supply voltage\n2    GND   G     Ground\n3    IN+   I     Positive input, buffered\n4    IN-   I     Negative input\n5    OUT   O     Output of the buffer',
  ],
  [
    'single blanks',
    'Pin Name Type Description\n1 VDD P Supply voltage\n2 GND G Ground\n3 IN+ I Positive input, buffered\n4 IN- I Negative input\n5 OUT O Output of the buffer',
  ],
  [
    'columns in another order',
    'Description;I/O;Symbol;No.\nSupply voltage;P;VDD;1\nGround;G;GND;2\nPositive input, buffered;I;IN+;3\nNegative input;I;IN-;4\nOutput of the buffer;O;OUT;5',
  ],
  [
    'a drawn grid',
    '+-----+------+------+-----------------------+\n| Pin | Name | Type | Description           |\n+=====+======+======+=======================+\n| 1   | VDD  | P    | Supply voltage        |\n+-----+------+------+-----------------------+\n| 2   | GND  | G    | Ground                |\n+-----+------+------+-----------------------+\n| 3   | IN+  | I    | Positive input, buffered |\n+-----+------+------+-----------------------+\n| 4   | IN-  | I    | Negative input        |\n+-----+------+------+-----------------------+\n| 5   | OUT  | O    | Output of the buffer  |\n+-----+------+------+-----------------------+',
  ],
  [
    'the source of a typeset table',
    '\\begin{tabular}{llll}\nPin & Name & Type & Description \\\\ \\hline\n1 & VDD & P & Supply voltage \\\\\n2 & GND & G & Ground \\\\\n3 & IN+ & I & Positive input, buffered \\\\[2pt]\n4 & \\texttt{IN-} & I & Negative input \\\\ \\hline\n5 & OUT & O & Output of the buffer \\\\\n\\end{tabular}',
  ],
  [
    'how many there are beside them',
    'Signal,Qty,Type,Pins,Description\nVDD,1,P,1,Supply voltage\nGND,1,G,2,Ground\nIN+,1,I,3,"Positive input, buffered"\nIN-,1,I,4,Negative input\nOUT,1,O,5,Output of the buffer\n',
  ],
  [
    'the part on its board before them',
    'Designator;Pin;Name;Type;Description\nU7;1;VDD;P;Supply voltage\nU7;2;GND;G;Ground\nU7;3;IN+;I;Positive input, buffered\nU7;4;IN-;I;Negative input\nU7;5;OUT;O;Output of the buffer\n',
  ],
  [
    'old Mac line ends',
    'Pin,Name,Type,Description\r1,VDD,P,Supply voltage\r2,GND,G,Ground\r3,IN+,I,"Positive input, buffered"\r4,IN-,I,Negative input\r5,OUT,O,Output of the buffer',
  ],
  [
    'a byte order mark and a title',
    '\uFEFFTF0001 buffer, 5 leads\n\nPin,Name,Type,Description\r\n1,VDD,P,Supply voltage\r\n2,GND,G,Ground\r\n3,IN+,I,"Positive input, buffered"\r\n4,IN-,I,Negative input\r\n5,OUT,O,Output of the buffer\r\n',
  ],
  [
    'a quoted cell over two lines',
    'Pin,Name,Type,Description\n1,VDD,P,"Supply\nvoltage"\n2,GND,G,Ground\n3,IN+,I,"Positive input, buffered"\n4,IN-,I,Negative input\n5,OUT,O,Output of the buffer',
  ],
];

it.each(LAYOUTS)('reads a table with %s', (_name, text) => {
  const proposal = read(text);
  expect(terminalsIn(proposal).map((t) => [t.numbers[proposal.package], t.name, t.type, t.description])).toEqual([
    ['1', 'VDD', 'supply-in', 'Supply voltage'],
    ['2', 'GND', 'ground', 'Ground'],
    ['3', 'IN+', 'input', 'Positive input, buffered'],
    ['4', 'IN-', 'input', 'Negative input'],
    ['5', 'OUT', 'output', 'Output of the buffer'],
  ]);
  expect(terminalsIn(proposal).flatMap((t) => t.doubts)).toEqual([]);
  expect(proposal.problems.map(sayProblem)).toEqual([]);
  expect(proposal.pairs).toEqual([['3', '4']]);
});

/** A pinout as a list, a line for each terminal. */
it.each([
  ['names behind a colon', 'Pin 1: VDD - Supply voltage\nPin 2: GND - Ground\nPin 3: EN - Enable input'],
  ['names in brackets', 'Pin 1 (VDD): Supply voltage\nPin 2 (GND): Ground\nPin 3 (EN): Enable input'],
  ['numbers behind the names', 'VDD (Pin 1): Supply voltage\nGND (Pin 2): Ground\nEN (Pin 3): Enable input'],
  ['cells one under the other', 'Pin\nName\nDescription\n1\nVDD\nSupply voltage\n2\nGND\nGround\n3\nEN\nEnable input'],
  ['names before numbers', 'VDD 1 Supply voltage\nGND 2 Ground\nEN 3 Enable input'],
  ['numbers with a dot', '1. VDD, Supply voltage\n2. GND, Ground\n3. EN, Enable input'],
  ['bullets', '- 1 = VDD: Supply voltage\n- 2 = GND: Ground\n- 3 = EN: Enable input'],
  ['dashes', 'Lead 1 – VDD (Supply voltage)\nLead 2 – GND (Ground)\nLead 3 – EN (Enable input)'],
])('reads a list with %s', (_how, text) =>
  expect(terminalsIn(read(text)).map((t) => `${Object.values(t.numbers)[0]} ${t.name} ${t.type} ${t.description}`)).toEqual([
    '1 VDD supply-in Supply voltage',
    '2 GND ground Ground',
    '3 EN input Enable input',
  ]),
);
it.each([
  ['numbered prose', '1. Open the box.\n2. Take the part out.\n3. Read on.\n'],
  ['words with numbers behind', 'IN 1972 it was built.\nOF 3 makers\nit was the best.\nAT 5 others it was not.'],
  ['prose with one entry in it', 'The part has leads.\nPin 1: VDD\nIt is small.\nIt is light.\nIt is cheap.'],
])('takes %s for no list', (_what, text) => expect(refused(readText(text))[0]).toMatch(/No pin table/));

it('reads a bare list with equals signs', () =>
  expect(terminalsIn(read('1=GND\n2=TRIG\n3=OUT')).map((t) => `${Object.values(t.numbers)[0]} ${t.name}`)).toEqual(['1 GND', '2 TRIG', '3 OUT'])); // prettier-ignore

it('takes a row for a heading only where it says what columns are', () =>
  expect(terminalsIn(read('Position,Signal,Class\nPin 11,STEP,Input\nPin 12,DIR,Input\nPin 13,MODE,Input\n')).map((t) => t.name)).toEqual(['STEP', 'DIR', 'MODE'])); // prettier-ignore
it.each<[string, string, string[]]>([
  ['in one line', 'VDD (1, 8), GND (4, 5), IN (2), OUT (3), EN (6) and NC (7)', ['1 VDD', '8 VDD', '4 GND', '5 GND', '2 IN', '3 OUT', '6 EN', '7 NC']],
  ['with several numbers before a name', 'Pins 1, 8: VDD, supply\nPin 2: IN\nPins 3–5: GND\nPin 6: OUT, output', ['1 VDD', '8 VDD', '2 IN', '3 GND', '4 GND', '5 GND', '6 OUT']],
  ['with a dash between', '1 - VDD\n2 - IN\n3 - OUT\n4 - GND', ['1 VDD', '2 IN', '3 OUT', '4 GND']],
  ['as a package drawn with signs', '      +--\\/--+\n OUT 1|      |4 VDD\n IN  2|      |3 GND\n      +------+', ['1 OUT', '2 IN', '3 GND', '4 VDD']],
  ['as one drawn with its numbers inside', 'OUT -|1    4|- VDD\nIN  -|2    3|- GND', ['1 OUT', '2 IN', '3 GND', '4 VDD']],
  ['in letters of full width', '端子番号，端子名，機能\n１，ＶＤＤ，電源\n２，ＯＵＴ＋，出力\n３，ＧＮＤ，グランド', ['1 VDD', '2 OUT+', '3 GND']],
  ['with their meaning behind the names', '引脚,名称,功能\n1,VM（电源）,\n2,OUT,输出\n3,GND（地）,', ['1 VM', '2 OUT', '3 GND']],
  ['as objects', '[{"pin": 1, "name": "VDD"}, {"pin": [2, 3], "name": "GND"}, {"pin": 4, "name": "OUT", "more": {"x": 1}}]', ['1 VDD', '2 GND', '3 GND', '4 OUT']],
  ['as objects within one', '{"part": "TF1", "pins": [{"pin": 1, "name": "VDD"}, {"pin": 2, "name": "OUT"}]}', ['1 VDD', '2 OUT']],
  ['as keys and values', 'pins:\n  - number: 1\n    name: VDD\n  - number: 2\n    name: "OUT"\n', ['1 VDD', '2 OUT']],
  ['with page numbers in its headings', 'PIN  NAME  TYPE  PAGE 1\n---  ----  ----\n1    VDD   P\n2    IN    I\f\nPIN  NAME  TYPE  PAGE 2\n---  ----  ----\n3    OUT   O\n4    GND   G\n', ['1 VDD', '2 IN', '3 OUT', '4 GND']],
  ['with a pad in a list of numbers', 'Pin,Name,Type\n1,VDD,P\n"2, PAD",GND,G\n3,OUT,O', ['1 VDD', '2 GND', 'EP GND', '3 OUT']],
  ['with what is so after a reset', 'Signal,QFP4,QFN4,Dir,Reset\nVDD,1,2,Power,\nPB0,2,3,I/O,0\nPB1,3,4,I/O,1\nVSS,4,1,Power,', ['1 VDD', '2 PB0', '3 PB1', '4 VSS']],
  ['of balls behind a count', '#,Ball,Name,Type\n1,A1,VDD,P\n2,A2,CLK,I\n3,B1,GND,G', ['A1 VDD', 'A2 CLK', 'B1 GND']],
])('reads a pinout %s', (_what, text, terminals) => {
  const proposal = read(text);
  expect(terminalsIn(proposal).map((t) => `${t.numbers[proposal.package]} ${t.name}`)).toEqual(terminals);
}); // prettier-ignore
it('takes the types of a list in brackets', () => {
  const text =
    'pin 1 : CLK (in) -- sampling clock\npin 2 : DOUT (out) -- data\npin 3 : VREF (inout) -- reference\npin 4 : AGND (gnd) -- ground';
  expect(terminalsIn(read(text)).map((t) => `${t.name} ${t.type} ${t.description}`)).toEqual(['CLK input sampling clock', 'DOUT output data', 'VREF bidirectional reference', 'AGND ground ground']); // prettier-ignore
});
it.each(['[{"pin": 1, "name"', '{}', '[]', '[1, 2, [3]]', '{"a": {"b": null}}', 'name: VDD\n', `[${'['.repeat(50_000)}`])(
  'refuses the records %#',
  (text) => expect(refused(readText(text))[0]).toMatch(/No pin table/),
);
it('asks about names between braces', () =>
  expect(terminalsIn(read('Pin,Name,Type\n1,VDD,P\n2,{FLT},O')).map((t) => t.doubts.map((d) => d.field))).toEqual([[], ['name']])); // prettier-ignore
it.each([
  ['signs', `OUT 1|${'-'.repeat(200_000)}\n`.repeat(2)],
  ['ampersands', `1 ${'& A '.repeat(100_000)}\n`.repeat(3)],
  ['digits in brackets', `A (${'1'.repeat(100_000)}x\nB (2), C (3)`],
  ['a long word', 'x'.repeat(500_000)],
  ['a name in brackets without end', `Pin,Name\n1,A(${'电'.repeat(50_000)}\n2,B`],
])('comes to an end with hostile %s', (_what, text) => {
  expect([true, false]).toContain(readText(text).ok);
});
it('keeps the exposed pad of a list', () =>
  expect(terminalsIn(read('1: VDD\n2: OUT\n3: IN\nEP: EP\n')).map((t) => t.name)).toEqual(['VDD', 'OUT', 'IN', 'EP']));
it('asks where a name has neither letter nor figure', () =>
  expect(terminalsIn(read('Pin,Name\n1,VDD\n2,&\n3,OUT\n'))[1]!.doubts[0]!.reason).toBe('“&” is hardly a name.'));
it('takes the signs of markup off the cells between bars', () => {
  const pins = byNumber(read('| Pin | Name | Type |\n|---|---|---|\n| 1 | `SDA` | I/O |\n| 2 | **VDD** | P |\n| 3 | CS\\_N | I |\n'));
  expect(Object.values(pins).map((p) => p.name)).toEqual(['SDA', 'VDD', 'CS_N']);
});

it('says that a column of numbers was not taken, and says nothing of a count of rows', () => {
  const rows = (second: (i: number) => string | number) => Array.from({ length: 6 }, (_, i) => `${i + 10},S${i},I,${second(i)}`).join('\n');
  const codes = (text: string) => read(text).problems.map((p) => p.code);
  expect(codes(`Pin,Name,Type,Foo bar\n${rows((i) => 30 - i)}`)).toContain('column-numbers');
  expect(codes(`Pin,Name,Type,Foo bar\n${rows(() => 7)}`)).not.toContain('column-numbers');
  expect(codes(`Item,Pin,Name,Type\n${Array.from({ length: 6 }, (_, i) => `${i + 1},${i + 1},S${i},I`).join('\n')}`)).toEqual([]);
});

it('leaves out a type column that tells no types', () => {
  const banks = Array.from({ length: 6 }, (_, i) => `${i + 1},IO_L${i}P_T0,HR`).join('\n');
  expect(terminalsIn(read(`Pin,Name,I/O Type\n${banks}`)).map((t) => [t.type, t.doubts.length])).toEqual(
    Array.from({ length: 6 }, () => ['bidirectional', 0]),
  );
});

it('asks where the column of directions tells none that is understood', () => {
  const rows = ['1,CK,from camera', '2,D0,from camera', '3,SCL,to camera', '4,SDA,both', '5,MCLK,to camera'].join('\n');
  expect(terminalsIn(read(`Pin,Name,Direction\n${rows}`)).filter((t) => t.doubts.length === 0)).toEqual([]);
});

it('takes what stands in words behind a name for its meaning', () => {
  const rows = [
    '1,TXD (transmit data from the host),I',
    '2,GND (ground),G',
    '3,DI (IO0),I/O',
    '4,S (silent mode),I',
    '5,PA0 (see note 2),I/O',
  ];
  expect(terminalsIn(read(`Pin,Name,Type\n${rows.join('\n')}\n`)).map((t) => [t.name, t.description])).toEqual([
    ['TXD', 'transmit data from the host'],
    ['GND', 'ground'],
    ['DI (IO0)', undefined],
    ['S', 'silent mode'],
    ['PA0 (see note 2)', undefined],
  ]);
});

it('takes from the column of buffers how an output drives', () => {
  const rows = ['1,SDA,IO,OD/PP', '2,SCL,O,PP', '3,ALERT,O,OD', '4,MISO,O,TS', '5,SDI,IO,OD', '6,CS,I,ST'].join('\n');
  expect(terminalsIn(read(`Pin,Name,Dir,Buffer,Description\n${rows}`)).map((t) => t.type)).toEqual(['bidirectional', 'output', 'open-drain', 'three-state', 'bidirectional', 'input']); // prettier-ignore
});

it('takes the column of codes for the type, whatever stands over it', () => {
  const rows = ['1,RA0,I/O,TTL,Port', '2,RA1,I,ST,Port', '3,VDD,P,HV,Supply', '4,RA2,I/O,AN,Port', '5,RA3,O,X9,Port'].join('\n');
  expect(terminalsIn(read(`Pin,Name,Function,Buffer Type,Description\n${rows}`)).map((t) => t.type)).toEqual(['bidirectional', 'input', 'supply-in', 'bidirectional', 'output']); // prettier-ignore
});

it('takes a column of functions for the type where they are a few kinds, and texts for the description whatever stands over them', () => {
  const kinds = ['1,IN1P,Analog input,Positive input', '2,DO,Digital output,Data', '3,VA,Supply,Analog supply', '4,IN1N,Analog input,Negative input', '5,DIO,Digital input/output,Clock', '6,VD,Supply,Digital supply']; // prettier-ignore
  const typed = read(`Name,Pin,Function,Description\n${kinds.map((k) => k.replace(/^(\d),(\w+)/, '$2,$1')).join('\n')}`);
  expect(terminalsIn(typed).map((t) => t.type)).toEqual(['input', 'output', 'supply-in', 'input', 'bidirectional', 'supply-in']);
  const told = read('Pin,Name,In short\n1,PG,An open collector output\n2,GO,The start input of it\n3,W1,The wiper terminal of it');
  expect(terminalsIn(told).map((t) => t.type)).toEqual(['open-drain', 'input', 'passive']);
});

it('takes no chapter for a count of pins', () =>
  expect(read('2 Pin description\n\nPin,Name,Type\n1,A,I\n2,B,I\n3,C,O').problems.map((p) => p.code)).toEqual([]));

it('knows a reset that is pulled low, and an enable that is not', () => {
  const pins = byNumber(read('Pin,Name,Type,Description\n1,RESET,I,Pull low for 20 ns\n2,EN,I,Pull low to turn it off\n3,Q,O,Output'));
  expect([pins['1']!.activeLow, pins['2']!.activeLow]).toEqual([true, undefined]);
});

it('takes a tab by its word', () =>
  expect(terminalsIn(read('Pin,Name,Type\n1,IN,I\n2,OUT,O\nTab,GND,G')).map((t) => Object.values(t.numbers)[0])).toEqual(['1', '2', 'Tab'])); // prettier-ignore

it('takes the types of a ball map from the list of signals beside it', () => {
  const map = ',1,2,3\nA,VX,SDA,GND\nB,INT,SCL,GND\nC,CLK,RES,TST';
  const list = 'Signal,Type,Description\nVX,P,Core supply\nSDA,I/O,Data\nINT,OD,Interrupt\nSCL,I,Clock\nCLK,I,Clock\nRES,I,Reset\nTST,I,Tie to ground\nGND,G,Ground'; // prettier-ignore
  const pins = byNumber(read(`${map}\n\n${list}\n`));
  expect(Object.fromEntries(Object.entries(pins).map(([n, p]) => [n, p.type]))).toEqual({
    A1: 'supply-in', A2: 'bidirectional', A3: 'ground', B1: 'open-drain', B2: 'input', B3: 'ground', C1: 'input', C2: 'input', C3: 'reserved',
  }); // prettier-ignore
  expect(pins['B1']!.description).toBe('Interrupt');
});

/** Headings in the wordings of many datasheets. */
it.each([
  ['Pin No.', 'Pin Name', 'Pin Type', 'Pin Description'],
  ['PIN #', 'SIGNAL', 'DIR', 'FUNCTION'],
  ['Ball', 'Ball Name', 'I/O', 'Purpose'],
  ['Terminal No.', 'Terminal Name', 'Type(1)', 'Remarks'],
  ['No.', 'Symbol', 'I/O', 'Functional description'],
  ['Lead', 'Mnemonic', 'Class', 'Notes'],
  ['Pad number', 'Designation', 'Direction', 'Comment'],
  ['Contact', 'Signal name', 'In/Out', 'Meaning'],
  ['Number', 'Name', 'Kind', 'Details'],
  ['#', 'Label', 'Electrical type', 'Explanation'],
])('understands the headings %s, %s, %s, %s', (number, name, type, description) => {
  const pins = byNumber(read(`${number},${name},${type},${description}\n1,CLK,I,Clock input\n2,Q,O,Data output\n3,GND,G,Ground\n`));
  expect(pins['1']).toMatchObject({ name: 'CLK', type: 'input', description: 'Clock input' });
  expect(pins['2']).toMatchObject({ name: 'Q', type: 'output' });
});

it.each([
  ['Pin over names', 'Pin,No.,Type\nCLK,1,I\nQ,2,O\nGND,3,G\n'],
  ['Terminal over numbers', 'Terminal,Function,Type\n1,CLK,I\n2,Q,O\n3,GND,G\n'],
  ['no heading at all', '1,CLK,I\n2,Q,O\n3,GND,G\n'],
  ['no heading, blanks', '1   CLK   I\n2   Q     O\n3   GND   G\n'],
  ['a heading in two lines', 'Pin,Pin,Pin\nNo.,Name,Type\n1,CLK,I\n2,Q,O\n3,GND,G\n'],
  ['a heading in two aligned lines', 'Pin   Pin    Pin\nNo.   Name   Type\n1     CLK    I\n2     Q      O\n3     GND    G\n'],
  ['a heading that comes again', 'Pin,Name,Type\n1,CLK,I\n2,Q,O\nPin,Name,Type\n3,GND,G\n'],
])('decides by the cells where there is %s', (_name, text) => {
  expect(terminalsIn(read(text)).map((t) => `${Object.values(t.numbers)[0]} ${t.name} ${t.type}`)).toEqual([
    '1 CLK input',
    '2 Q output',
    '3 GND ground',
  ]);
});

describe('groups, continuations and notes', () => {
  const text = `TF0001 converter, TSSOP-8

Pin  Name   Type  Description
Analog inputs
1    AIN    AI    Analog input of the converter, with
                  a range of 0 V to 2.5 V
Supplies:
2    VDD(1) P     Supply voltage
3    GND    G     Ground

(1) Bypass with 100 nF.
Note: pins 4 to 8 are not shown.
`;
  const proposal = read(text);
  const pins = byNumber(proposal);
  it('gives rows the heading that they stand under', () =>
    expect([pins['1']!.group, pins['2']!.group, pins['3']!.group]).toEqual(['Analog inputs', 'Supplies', 'Supplies']));
  it.each<[string, string, string[]]>([
    ['before the first row', 'Supply|1,VDD|SPI|2,FOO', ['VDD of Supply', 'FOO of SPI']],
    ['in words', '1,VDD|Serial port (SPI)|2,FOO', ['VDD', 'FOO of Serial port (SPI)']],
    ['and yet the rest of it', '1,PA0/|ADC0|2,FOO', ['PA0/ADC0', 'FOO']],
    ['and perhaps the rest of it', '1,VDD|SPI|2,FOO', ['VDD SPI?', 'FOO']],
  ])('has a name alone %s', (_where, rows, found) => {
    const cells = rows.split('|').map((r) => (r.includes(',') ? `${r},I,In` : `,${r},,`));
    const { terminals } = read(`Pin,Name,Type,Description\n${cells.join('\n')}\n3,CK,I,Clock\n`);
    const said = terminals
      .slice(0, 2)
      .map((t) => `${t.name}${t.doubts.some((d) => d.field === 'name') ? '?' : ''}${t.group ? ` of ${t.group}` : ''}`);
    expect(said).toEqual(found);
  });
  it('has titles in the column of descriptions where one stands before the first row', () => {
    const { terminals } = read('Pin,Name,Type,Description\n,,,Supplies\n1,VDD,P,Supply\n,,,2. Rest\n2,FOO,I,In\n,,,Goes on.\n3,BAR,I,In\n');
    expect(terminals.map((t) => `${t.name} of ${t.group}: ${t.description}`)).toEqual([
      'VDD of Supplies: Supply',
      'FOO of 2. Rest: In Goes on.',
      'BAR of 2. Rest: In',
    ]);
  });
  it('joins a line that goes on with the row above', () =>
    expect(pins['1']!.description).toBe('Analog input of the converter, with a range of 0 V to 2.5 V'));
  it('joins what stands straight under the words, though it reads like a note', () => {
    const told = byNumber(
      read(`Pin  Name   Description
1    VDD    Supply of the part, which is to be decoupled close to its
            package with a capacitor of 100 nF and with a loop that is short.
2    EN     Enable (1 = on,
            0 = off)
3    GND    Ground
I = input, O = output
`),
    );
    expect(['1', '2', '3'].map((n) => told[n]!.description)).toEqual([
      'Supply of the part, which is to be decoupled close to its package with a capacitor of 100 nF and with a loop that is short.',
      'Enable (1 = on, 0 = off)',
      'Ground',
    ]);
  });
  it('takes footnote marks off', () => expect(pins['2']!.name).toBe('VDD'));
  it('takes no note for a row', () => expect(terminalsIn(proposal)).toHaveLength(3));
  it('takes the package from the title and misses its pins', () => {
    expect(proposal.package).toBe('TSSOP-8');
    expect(proposal.problems.map(sayProblem).join(' ')).toMatch(/TSSOP-8 should have 8 terminals; 3 were read/);
  });
  it('keeps the line of each row', () => expect(pins['2']!.origin).toEqual({ line: 8 }));
});

it.each<[string, string, string[]]>([
  ['two lists side by side', '1  VDD  Supply    6  OUT2  Output 2\n2  IN1  Input 1   5  OUT1  Output 1\n3  NC             4  GND   Ground\n', ['1 VDD', '2 IN1', '3 NC', '6 OUT2', '5 OUT1', '4 GND']],
  ['figures in the words, which are no second list', '1  VDD  Supply  5\n2  IN1  Level   3\n3  OUT  Level   5\n', ['1 VDD', '2 IN1', '3 OUT']],
])('without headings reads %s', (_, text, expected) =>
  expect(terminalsIn(read(text)).map((t) => `${t.numbers['']} ${t.name}`)).toEqual(expected),
); // prettier-ignore

it('takes contacts of several connectors by their designators', () =>
  expect(terminalsIn(read('Pin,Signal\nJ1.1,+5V\nJ1.2,GND\nJ2.1,CANH\n')).map((t) => t.numbers[''])).toEqual(['J1.1', 'J1.2', 'J2.1']));

it('gives a row of numbers alone the name above, and asks', () => {
  const rows = terminalsIn(read('Name,SO-8,MSOP-8,Type,Description\nNC,1,8,-,Not connected\n,5,1,,\nOUT,6,6,O,Output\n'), 'SO-8');
  expect(rows.map((t) => [t.name, t.type, t.doubts.length])).toEqual([['NC', 'no-connect', 0], ['NC', 'no-connect', 1], ['OUT', 'output', 0]]); // prettier-ignore
});

it.each(['AF0,AF1,AF2', 'Mode 0,Mode 1,Mode 2', 'Alt 1,Alt 2,Alt 3'])('takes the functions of all columns %s', (heads) => {
  const rows = ['1,PA0,UART0_TX,SPI_CLK,PWM0', '2,PA1,UART0_RX,-,PWM1', '3,PA2,,ADC0/ADC1,', '4,VDD,,,'].join('\n');
  expect(terminalsIn(read(`Pin,Name,${heads}\n${rows}\n`)).map((t) => t.alternates?.join(' '))).toEqual([
    'UART0_TX SPI_CLK PWM0',
    'UART0_RX PWM1',
    'ADC0 ADC1',
    undefined,
  ]);
});

it('takes a table of modes and levels at reset for one of pins', () =>
  expect(terminalsIn(read('Pin,Name,Mode 0,Mode 1,Mode 2,Reset\n1,IO0,GPIO0,CLK,PWM0,Input\n2,VDD,,,,\n3,IO1,GPIO1,MISO,,Input\n')).map((t) => `${t.name} ${t.alternates}`)).toEqual(['IO0 GPIO0,CLK,PWM0', 'VDD undefined', 'IO1 GPIO1,MISO'])); // prettier-ignore

it('knows E, A and S by what stands over them', () => {
  const types = (head: string, out: string) => terminalsIn(read(`Pin,Name,${head}\n1,X1,E\n2,X2,${out}\n3,X3,E/${out}\n`)).map((t) => t.type); // prettier-ignore
  const known = ['input', 'output', 'bidirectional'];
  expect([types('E/A', 'A'), types('E/S', 'S')]).toEqual([known, known]);
});

it('says that names and words are exchanged', () => {
  const codes = (text: string) => read(text).problems.map((p) => p.code);
  expect(codes('Pin,Name,Description\n1,Supply,VDD\n2,Enable,EN\n3,Ground,GND\n')).toContain('column-exchanged');
  expect(codes('Pin,Name,Description\n1,VDD,Supply\n2,EN,Enable\n3,GND,Ground\n')).toEqual([]);
  expect(codes('Pin,Name,Description\n1,Vdd,SUPPLY\n2,En,ENABLE\n3,Gnd,GROUND\n')).toEqual([]);
});

it('asks whether a plain output is a rail where IN is a supply', () => {
  const asked = (of: string) => terminalsIn(read(`Pin,Name,Description\n1,IN,Input supply\n2,GND,Ground\n3,OUT,${of}\n`)).map((t) => t.doubts.length); // prettier-ignore
  expect([asked('Output'), asked('Output of the comparator')]).toEqual([[0, 0, 1], [0, 0, 0]]); // prettier-ignore
});

it('reads a group column before headings', () => {
  expect(byNumber(read('Pin,Name,Group\n1,A,Port\n2,B,Port\n'))['2']!.group).toBe('Port');
});

it.each<[string, string]>([
  ['by its name', 'Name,Pin,Type,Description\nA,1,I,Input\nB,2,O,Output\nGND (PPAD),-,G,Ground\n'],
  [
    'by what its words begin with',
    'Name,Pin,Type,Description\nA,1,I,Input\nB,2,O,Output\nGND,-,G,Exposed thermal pad. Connect to ground.\n',
  ],
])('takes a row without a number for the pad under the package, %s', (_by, text) =>
  expect(read(text).terminals.at(-1)).toMatchObject({ numbers: { '': 'EP' }, type: 'ground' }),
);

it.each<[string, string, string]>([
  ['two transistors', 'Pin,Name\n1,S1\n2,G1\n3,S2\n4,G2\n"5, 6",D2\n"7, 8",D1\n', 'G1 input, D2 passive'],
  ['a transistor', 'Pin,Name\n1,B\n2,C\n3,E\n', 'B input, C passive'],
  ['a transistor whose column says otherwise', 'Pin,Name,Type\n1,B,I\n2,C,O\n3,E,P\n', 'B input, C output'],
  [
    'a transistor whose legend says otherwise',
    'Q = bidirectional, R = input\n\nPin,Name,Type\n1,B,Q\n2,C,Q\n3,E,Q\n',
    'B bidirectional, C bidirectional',
  ],
  [
    'a pair of both polarities',
    'Pin,Name,Description\n1,S1,Source of the N-channel\n2,G1,Gate of the N-channel\n3,D2,Drain of the P-channel\n4,S2,Source of the P-channel\n5,G2,Gate of the P-channel\n6,D1,Drain of the N-channel\n',
    'G1 input, G2 input, D2 passive',
  ],
  [
    'a lamp of three colours',
    'Pin,Name,Description\n1,R,Red cathode\n2,A,Common anode\n3,G,Green cathode\n4,B,Blue cathode\n',
    'R passive, A passive, G passive, B passive',
  ],
  [
    'a transformer',
    'Pin,Name,Description\n1,P1,Primary start\n2,P2,Primary end\n3,S1,Secondary\n4,CT,Centre tap\n',
    'P1 passive, CT passive',
  ],
  ['a coupler by its letters', 'Pin,Name\n1,A\n2,K\n3,E\n4,C\n', 'A passive, K passive, E passive, C passive'],
  ['a thyristor by its letters', 'Pin,Name\n1,K\n2,A\n3,G\n', 'K passive, A passive, G input'],
  [
    'a detector whose case is grounded',
    'Pin,Name,Description\n1,D,Drain of the JFET\n2,S,Source of the JFET\n3,G,"Ground, case"\n',
    'D passive, S passive, G ground',
  ],
  [
    'what words stand for',
    'Pin,Function\n1,Enable input\n2,Ground\n3,Output\n4,Supply voltage\n',
    'Enable input input, Ground ground, Output output, Supply voltage supply-in',
  ],
  [
    'a transistor with a return of its own',
    'Pin,Name,Description\n1,D,Drain\n2,S,Power source\n3,KS,Kelvin source for the gate loop\n4,G,Gate\n',
    'S passive, KS passive, G input',
  ],
  ['coupled windings on two pins each', 'Terminals,Winding\n"1, 4",Winding A\n"2, 3",Winding B\n', 'Winding A passive, Winding B passive'],
  ['a potentiometer', 'Terminal,Description\n1,Counter-clockwise end\n2,Wiper\n3,Clockwise end\n', 'Wiper passive, Clockwise end passive'],
  ['a bead', 'Pin,Name,Description\n1,1,Terminal\n2,2,Terminal\n', '1 passive, 2 passive'],
  [
    'a bridge',
    'Pin,Name,Description\n1,+,Positive DC output\n2,~1,AC input\n3,~2,AC input\n4,-,Negative DC output\n',
    '+ passive, ~1 passive, - passive',
  ],
  [
    'a driver that has a supply',
    'Pin,Name,Description\n1,VCC,Supply voltage\n2,GND,Ground\n3,HO,Gate of the external transistor\n4,IN,Logic input\n',
    'HO output, IN input',
  ],
  ['no transistor', 'Pin,Name\n1,D1\n2,D2\n3,CLK\n4,Q1\n', 'D1 bidirectional, CLK input'],
])('tells the leads of %s', (_what, text, says) => {
  const types = read(text).terminals.map((t) => `${t.name} ${t.type}`);
  for (const one of says.split(', ')) expect(types).toContain(one);
});

it('asks for an output that nothing feeds, and not for the signs of a bridge', () => {
  const text = 'Pin,Name,Description\n1,A,LED anode\n2,K,LED cathode\n3,S1,Output\n4,S2,Output\n';
  expect(read(text).terminals.map((t) => t.doubts.length)).toEqual([0, 0, 1, 1]);
  const bridge = 'Pin,Name,Description\n1,+,Positive DC output\n2,~,AC input\n3,~,AC input\n4,-,Negative DC output\n';
  expect(read(bridge).terminals.flatMap((t) => t.doubts)).toEqual([]);
});

it('takes names from under a heading that nobody knows, beside one of words', () => {
  const text =
    'Pin,Single output,Function\n1,-Vin,Negative input\n2,+Vin,Positive input\n3,+Vout,Positive output\n4,Trim,Output adjustment\n';
  expect(read(text).terminals.map((t) => t.name)).toEqual(['-Vin', '+Vin', '+Vout', 'Trim']);
  const wires = 'Lead,Colour,Function\n1,Red,Phase A\n2,Blue,Phase A return\n3,Green,Phase B\n4,Black,Phase B return\n';
  expect(read(wires).terminals.map((t) => t.name)).toEqual(['Phase A', 'Phase A return', 'Phase B', 'Phase B return']);
});

it.each<[string, string, string[]]>([
  ['before the names', 'Pin,Connection,Name\n1,3.3 V rail,VDD\n2,Ground plane,GND\n3,MCU pin 12,SDA\n', ['VDD', 'GND', 'SDA']],
  ['behind them', 'Pin,Name,Connection\n1,VDD,3.3 V rail\n2,GND,Ground plane\n3,SDA,MCU pin 12\n', ['VDD', 'GND', 'SDA']],
  ['alone', 'Pin,Connection\n1,Anode\n2,Cathode\n3,Gate\n', ['Anode', 'Cathode', 'Gate']],
])('takes what a terminal is connected to for its name only where nothing else is: %s', (_where, text, names) =>
  expect(read(text).terminals.map((t) => t.name)).toEqual(names),
);

it('takes an asterisk off that a note explains', () => {
  const text =
    'Pin,Name,Description\n1,RF1*,Port of the switch\n2,GND,Ground\n3,RF2*,Port of the switch\nNote: * These pins must be at 0 V.\n';
  expect(read(text).terminals.map((t) => [t.name, t.activeLow ?? false])).toEqual([['RF1', false], ['GND', false], ['RF2', false]]); // prettier-ignore
});

describe('several packages', () => {
  const text =
    'Pin number,,,Name,I/O,Function\nLQFP-64,QFN-48,BGA-64,,,\n1,1,A1,PA0/ADC0,I/O,Port bit\n2,-,B1,PA1,I/O,Port bit\n3,2,C1,VDD,S,Supply\n4,3,n/a,VSS,G,Ground\n';
  it('takes the first unless another is asked', () => {
    expect(read(text).packages).toEqual([
      { name: 'LQFP-64', pinCount: 4 },
      { name: 'QFN-48', pinCount: 3 },
      { name: 'BGA-64', pinCount: 3 },
    ]);
    expect(read(text).package).toBe('LQFP-64');
  });
  it.each(['QFN-48', 'qfn48', '48-QFN', 'QFN 48'])('finds the package by %s', (name) => {
    const proposal = read(text, { package: name });
    expect(terminalsIn(proposal).map((t) => t.numbers['QFN-48'])).toEqual(['1', '2', '3']);
  });
  it('leaves out what is not bonded out', () =>
    expect(terminalsIn(read(text, { package: 'QFN-48' })).map((t) => t.name)).toEqual(['PA0/ADC0', 'VDD', 'VSS']));
  it('refuses a package that is not there', () =>
    expect(refused(readText(text, { package: 'SO-8', file: 'f.csv' }))[0]).toBe(
      'f.csv: There is no package "SO-8" in it. It has LQFP-64, QFN-48, BGA-64.',
    ));
  it('keeps alternate functions beside the printed name', () =>
    expect(byNumber(read(text))['1']).toMatchObject({ name: 'PA0/ADC0', alternates: ['ADC0'] }));
});

describe('what the source has wrong', () => {
  it.each<[string, string, RegExp]>([
    ['a number twice', 'Pin,Name,Type\n1,A,I\n1,B,I\n', /line 3: Number 1 stands twice: A, B/],
    ['a gap', 'Pin,Name,Type\n1,A,I\n2,B,I\n5,C,I\n', /jump from 2 to 5; 3 to 4 are missing/],
    ['a first number that is missing', 'Pin,Name,Type\n2,A,I\n3,B,I\n', /begin at 2; 1 is missing/],
    ['more names than numbers', 'Pin,Name,Type\n1-3,D0–D7,I/O\n9,A,I\n10,B,I\n', /line 2: "D0–D7" has 8 names and 3 numbers/],
    ['a quote that is not closed', 'Pin,Name,Type\n1,A,I\n2,"B,I\n', /closing quote/],
    ['a count that the text gives', '5-pin part\nPin,Name,Type\n1,A,I\n2,B,I\n', /should have 5 terminals; 2 were read/],
    ['control characters', 'Pin,Name,Type,Description\n1,A\u0007,I,Input of something\n2,B,I,Input of something\n', /control characters/],
  ])('says %s', (_name, text, says) => expect(read(text, { file: 'f.csv' }).problems.map(sayProblem).join('\n')).toMatch(says));

  it('puts a doubt on each number that stands twice', () => {
    expect(terminalsIn(read('Pin,Name,Type\n1,A,I\n1,B,I\n')).map((t) => t.doubts.map((d) => d.field))).toEqual([['number'], ['number']]);
  });

  it.each<[string, string, RegExp]>([
    ['nothing', '  \n\n', /nothing in it/],
    ['prose', 'The part is small.\nIt has many uses.\n', /No pin table/],
    ['a table of something else', 'Parameter,Min,Max,Unit\nSupply,2.7,5.5,V\nCurrent,1,2,mA\n', /No pin table/],
    ['binary', 'PK\u0000\u0001\u0002', /not text/],
    ['ranges that name more terminals than any package has', `Pin,Name,Type\n${'1-2000,A,I\n'.repeat(40)}`, /over 60000 terminals/],
    ['too much', 'x'.repeat(10_000_000), /10 MB; 4 MB is the most/],
  ])('refuses %s with one clear sentence', (_name, text, says) => {
    const said = refused(readText(text, { file: 'f.txt' }));
    expect(said).toHaveLength(1);
    expect(said[0]).toMatch(/^f\.txt: /);
    expect(said[0]).toMatch(says);
  });
});

it('finds the pin table among decoys', () => {
  const text = `Absolute maximum ratings
Symbol  Parameter       Min   Max   Unit
VDD     Supply voltage  -0.3  6     V
IO      Output current        20    mA

Pin functions
Pin  Name  Type  Description
1    VDD   P     Supply voltage
2    GND   G     Ground
3    OUT   O     Output

Ordering
Order code  Package  Quantity
TF0001-D    SO-8     100
`;
  expect(terminalsIn(read(text)).map((t) => t.name)).toEqual(['VDD', 'GND', 'OUT']);
});

it('lets a person change what a column is', () => {
  const text = 'Pin,Name,Alias\n1,A,ALPHA\n2,B,BETA\n';
  expect(byNumber(read(text, { roles: ['number', 'alternates', 'name'] }))['1']).toMatchObject({
    name: 'ALPHA',
    alternates: ['A'],
  });
  expect(read(text).table!.columns.map((c) => c.role)).toEqual(['number', 'name', 'ignore']);
});

it('shows each row with what became of it', () => {
  const { table } = read(
    'Pin,Name,Type,Description\nInputs\n1,A,I,First input\n,,,of two\n2,B,I,Second input\nNote: both have pull-ups.\n',
  );
  const became = table!.rows.map(({ line, taken, heading, goesOn }) => `${line} ${taken ? 'taken' : heading ? 'heading' : goesOn ? 'goes on' : 'left'}`); // prettier-ignore
  expect(became).toEqual(['2 heading', '3 taken', '4 goes on', '5 taken', '6 left']);
});

it('reads 1,200 rows in the order of the source', () => {
  const rows = Array.from({ length: 1200 }, (_, i) => `${i + 1},IO${i},I/O,Input/output ${i}`);
  const terminals = terminalsIn(read(`Pin,Name,Type,Description\n${rows.join('\n')}`));
  expect(terminals).toHaveLength(1200);
  expect(terminals[1199]).toMatchObject({ name: 'IO1199', type: 'bidirectional', doubts: [] });
});

it('property: any text is read or refused, never thrown at, and no terminal is without number and name', () => {
  const cell = fc.oneof(
    fc.constantFrom('1', '2', 'A1', 'VDD', 'D0–D7', '10-17', '-', 'EP', 'I', 'Pin', 'Name', 'Type', '"', '|', '(1)', '<b>'),
    fc.string({ maxLength: 12 }),
  );
  const table = fc
    .tuple(fc.constantFrom(',', '\t', ';', '|', '  ', ' '), fc.array(fc.array(cell, { maxLength: 6 }), { maxLength: 14 }))
    .map(([d, rows]) => rows.map((r) => r.join(d)).join('\n'));
  fc.assert(
    fc.property(fc.oneof(table, fc.string()), (text) => {
      const result = readText(text);
      if (!result.ok) return expect(result.problems.length).toBeGreaterThan(0);
      for (const t of terminalsIn(result.value)) {
        expect(t.numbers[result.value.package]).toMatch(/\S/);
        expect(t.name).toMatch(/\S/);
      }
      result.value.problems.map(sayProblem);
    }),
    { numRuns: 400 },
  );
});

describe('columns that hold more than one thing', () => {
  const pins = (text: string, packageName?: string) => {
    const proposal = good(readText(text, packageName === undefined ? {} : { package: packageName }));
    return terminalsIn(proposal).map((t) => `${t.numbers[proposal.package]} ${t.name} ${t.type}`);
  };
  const packages = (text: string) => good(readText(text)).packages.map((p) => p.name);
  const SLASH = 'Pin (SO/QFN),Name,Type\n1/16,IN,I\n2/1,GND,G\n3/3,OUT,O\n–/17,EP,G\n';
  it('a part of each cell for each package', () => {
    expect(packages(SLASH)).toEqual(['SO', 'QFN']);
    expect(pins(SLASH)).toEqual(['1 IN input', '2 GND ground', '3 OUT output']);
    expect(pins(SLASH, 'QFN')).toEqual(['16 IN input', '1 GND ground', '3 OUT output', '17 EP ground']);
  });
  it('one column for two packages', () =>
    expect(packages('"SOIC-8, MSOP-8",DFN-8,Name\n1,2,OUT\n2,1,IN\n3,3,GND\n')).toEqual(['SOIC-8', 'MSOP-8', 'DFN-8']));
  it('a list of numbers is no two packages', () =>
    expect(pins('Pin,Name,Type\n1/16,IN,I\n2/1,GND,G\n')).toEqual(['1 IN input', '16 IN input', '2 GND ground', '1 GND ground']));
  it('packages by their counts', () => expect(packages('8-Pin,14-Pin,Name\n1,1,VDD\n8,14,VSS\n–,5,GP7\n')).toEqual(['8-Pin', '14-Pin']));
  it.each<[string, string, string[]]>([
    ['types in name cells', 'Pin,Name,Function\n1,VDD (P),Rail\n2,CK (I),Time\n3,DO (O),Out\n', ['1 VDD supply-in', '2 CK input', '3 DO output']],
    ['marks that are no types', 'Pin,Name,Type\n1,IN (2),I\n2,OUT (2),O\n', ['1 IN input', '2 OUT output']],
    ['words in name cells', 'Pin,Pin name and description\n1,VIN: input supply\n2,GND: ground\n3,EN: enable input\n', ['1 VIN supply-in', '2 GND ground', '3 EN input']],
    ['rows counted up', 'No.,Name,I/O\n1.,IN,I\n(2),OUT,O\n', ['1 IN input', '2 OUT output']],
    ['halves by rows', 'Row A,Signal,I/O,Row B,Signal,I/O\nA1,TX,O,B1,RX,I\nA2,CK,I,B2,DO,O\n', ['A1 TX output', 'A2 CK input', 'B1 RX input', 'B2 DO output']],
    ['names of modes', 'Pin,Mode 0,Mode 1,Type,Description\n1,SCK,SCL,I,Clock\n2,MOSI,SDA,I/O,Data\n', ['1 SCK input', '2 MOSI bidirectional']],
  ])('%s', (_what, text, expected) => expect(pins(text)).toEqual(expected)); // prettier-ignore
  it.each<[string, string, (string | undefined)[]]>([
    ['once over its rows', 'Group,Pin,Name\nPower,1,VDD\n,2,VSS\nSerial,3,SCK\n,4,SDI\n', ['Power', 'Power', 'Serial', 'Serial']],
    ['in each of its rows', 'Group,Pin,Name\nPower,1,VDD\nPower,2,VSS\n,3,SCK\n', ['Power', 'Power', undefined]],
    ['as a dash where there is none', 'Bank,Pin,Name\n0,1,PL2A\n0,2,PL2B\n–,3,VCC\n', ['0', '0', undefined]],
  ])('a group %s', (_what, text, groups) => {
    const found = good(readText(text)).terminals;
    // Rails have a group of their own where the source gives none.
    expect(found.map((t, i) => (groups[i] === undefined && t.group === 'Supplies' ? undefined : t.group))).toEqual(groups);
  });
  it('names of another mode are alternates', () =>
    expect(good(readText('Pin,Name,I2C mode,Type\n1,SCK,SCL,I\n2,MOSI,SDA,I/O\n')).terminals.map((t) => t.alternates)).toEqual([
      ['SCL'],
      ['SDA'],
    ]));
});

it('asks whose the low level is where a bar stands over another of the names', () => {
  const low = 'D\u0305R\u0305D\u0305Y\u0305';
  const proposal = good(
    readText(`Pin,Name,Type,Description\n1,DOUT/${low},O,Data with ready flag; active low\n2,VDD,P,Supply\n3,GND,G,Ground\n`),
  );
  expect(terminalsIn(proposal)[0]!.doubts).toEqual([
    expect.objectContaining({ field: 'activeLow', reason: 'A bar stands over another of its names.' }),
  ]);
});

it('takes short texts under a heading that nobody knows for what the terminals are', () => {
  const rows = ['VDD,Core supply,high', 'GND,Common return,low', 'SCK,Host clock,high', 'TST,Leave open,low'];
  const proposal = read(`Pin,Name,Wiring advice,Asleep\n${rows.map((r, i) => `${i + 1},${r}`).join('\n')}\n`);
  expect(terminalsIn(proposal).map((t) => t.description)).toEqual(['Core supply', 'Common return', 'Host clock', 'Leave open']);
});

describe('tables and lists of programs and markup texts', () => {
  const rows = [['1', 'VDD', 'P', 'Supply voltage'], ['2', 'GND', 'G', 'Ground'], ['3', 'SCL', 'I', 'Serial clock'], ['4', 'SDA', 'I/O', 'Serial data']] as const; // prettier-ignore
  const all = [['Pin', 'Name', 'Type', 'Description'], ...rows];
  const lines = (of: (row: readonly string[]) => string, from: readonly (readonly string[])[] = rows) => from.map(of).join('\n');
  it.each<[string, string]>([
    ['drawn lines', lines((r) => `│ ${r.join(' │ ')} │\n├───┼───┼───┼───┤`, all)],
    ['double lines', lines((r) => `║ ${r.join(' ║ ')} ║\n╠═══╬═══╬═══╬═══╣`, all)],
    ['a wiki’s table', `{| class="wikitable"\n|+ Pins\n! Pin !! Name !! Type !! Description\n${lines((r) => `|-\n| style="width:2em" | ${r.join(' || ')}`)}\n|}`],
    ['a wiki’s cells in a line each', `{|\n! Pin\n! Name\n! Type\n! Description\n${lines((r) => `|-\n| ${r.join('\n| ')}`)}\n|}`],
    ['headings between double bars', `||Pin||Name||Type||Description||\n${lines((r) => `|${r.join('|')}|`)}`],
    ['a typeset table', `\\begin{tabular}{clll}\n${lines((r) => `${r.join(' & ')} \\\\ \\hline`, all)}\n\\end{tabular}`],
    ['headings between carets', `^ Pin ^ Name ^ Type ^ Description ^\n${lines((r) => `| ${r.join(' | ')} |`)}`],
    ['records by number', JSON.stringify({ pins: Object.fromEntries(rows.map(([pin, name, type, description]) => [pin, { name, type, description }])) })],
    ['records by name', JSON.stringify(Object.fromEntries(rows.map(([pin, name, type, description]) => [name, { pin, type, description }])))],
    ['sections of keys', lines(([pin, name, type, words]) => `[[pin]]\nnumber = "${pin}"\nname = "${name}"\ntype = "${type}"\ndescription = "${words}"`)],
    ['sections by number', lines(([pin, name, type, words]) => `[${pin}]\nname=${name}\ntype=${type}\ndescription=${words}`)],
  ])('%s are read', (_, text) =>
    expect(terminalsIn(read(text)).map((t) => [Object.values(t.numbers)[0], t.name, t.description])).toEqual(rows.map((r) => [r[0], r[1], r[3]])),
  ); // prettier-ignore

  it.each<[string, string]>([
    ['bold names in a list', lines((r) => `- **${r[1]}** (pin ${r[0]}): ${r[3]}`)],
    ['quoted names with remarks', `pins = {\n${lines((r) => `  ${r[0]}: "${r[1]}",  # ${r[3]}`)}\n}`],
    ['names by number', JSON.stringify(Object.fromEntries(rows.map((r) => [r[0], r[1]])))],
    ['numbers by name', JSON.stringify(Object.fromEntries(rows.map((r) => [r[1], Number(r[0])])))],
  ])('%s have no marks of the text in them', (_, text) =>
    expect(terminalsIn(read(text)).map((t) => [Object.values(t.numbers)[0], t.name])).toEqual(rows.map((r) => [r[0], r[1]])),
  );

  it.each<[string, string]>([
    ['`PA0` / `ADC0`', 'PA0 / ADC0'],
    ['**VDD**', 'VDD'],
    ['__VDD__', 'VDD'],
    ['~~NC~~', 'NC'],
    ['~RESET', '~RESET'],
    ['IO\\_1', 'IO_1'],
    ['A*B*', 'A*B*'],
    ['nRST_', 'nRST_'],
  ])('“%s” is %s', (text, plain) => expect(withoutMarks(text)).toBe(plain));

  it.each(['{"a": 1, "b": [2]}', '{"model": {"VTO": 1.5, "KP": 2}}', '[settings]\nspeed = 9\nname = x', '{| nothing'])(
    '%s is no pinout',
    (text) => expect(readText(text).ok).toBe(false),
  );
});

describe('entries of a number and a name, in whatever signs they stand', () => {
  const PINS = ['1 VDD', '2 IN-', '3 RST#', '4 GPIO_7'];
  const parts = PINS.map((p) => p.split(' ') as [string, string]);
  const lines = (of: (number: string, name: string) => string) => parts.map(([number, name]) => of(number, name)).join('\n');
  const pins = (text: string) => terminalsIn(read(text)).map((t) => `${t.numbers['']} ${t.name}`);
  it.each<[string, string]>([
    ['a name before its number', lines((n, name) => `${name}: ${n}`)],
    ['equals signs behind numbers, and remarks', `[PINS]\n${lines((n, name) => `${n}  = ${name}    ; what it does`)}`],
    ['leading dots', lines((n, name) => `${n} ....... ${name} ....... what it does`)],
    ['an equals sign', lines((n, name) => `${name} = ${n}`)],
    ['bullets', lines((n, name) => `- ${n} ${name}: what it does`)],
    ['names in bold', lines((n, name) => `* **${name}** (${n}) - what it does`)],
    ['arrows', lines((n, name) => `${n} -> ${name}`)],
    ['dashes behind names', lines((n, name) => `${name} - ${n} - what it does`)],
    ['a dictionary', `pins = {\n${lines((n, name) => `  "${n}": "${name}",`)}\n}`],
    ['tuples', `PINS = [\n${lines((n, name) => `  ("${n}", "${name}", "input"),`)}\n]`],
    ['an object in each line', lines((n, name) => JSON.stringify({ pin: n, name }))],
    ['attributes', `<pins>\n${lines((n, name) => `  <pin number="${n}" name="${name}"/>`)}\n</pins>`],
    ['numbers over their fields', lines((n, name) => `${n}:\n  name: "${name}"\n  type: input`)],
    ['paragraphs of names', `TF0003\n${lines((n, name) => `${name} (Pin ${n})\nWhat it does,\nand when.\n`)}`],
    ['paragraphs of numbers', `TF0003\n\n${lines((n, name) => `Pin ${n} - ${name}\n    A485 bus line.\n`)}`],
  ])('%s', (_what, text) => expect(pins(text)).toEqual(PINS));

  it('takes a bar over a typeset name for its level', () => {
    const { terminals } = read('Pin & Name & Type \\\\\n1 & $\\overline{\\mathrm{CS}}$ & I \\\\\n2 & EN\\_A & I \\\\\n');
    expect(terminals.map((t) => [t.name, t.activeLow ?? false])).toEqual([['CS', true], ['EN_A', false]]); // prettier-ignore
  });
  it('takes a word behind an equals sign for a name', () =>
    expect(pins('1 = +24V\n2 = 0V\n3 = Shield\n')).toEqual(['1 +24V', '2 0V', '3 Shield']));

  it('takes the word of a program off its names, and what it says beside them', () => {
    const { terminals } = read('#define PIN_VDD 1 /* supply */\n#define PIN_TXD 2 /* output */\n#define PIN_RXD 3\n#define PIN_GND 4');
    expect(terminals.map((t) => t.name)).toEqual(['VDD', 'TXD', 'RXD', 'GND']);
    expect(terminals[1]!.description).toBe('output');
  });

  it.each([
    'Width: 12\nHeight: 40\nDepth: 3\nLayers: 8\nMass: 220\n',
    'VDD: 5\nVIO: 3\nVCORE: 1\nVBAT: 4\nVUSB: 5\n',
    '1 -> 2\n2 -> 3\n3 -> 4\n4 -> 1\n',
    `${'('.repeat(200_000)}\na\nb\nc`,
  ])('takes no settings for terminals: %j', (text) => expect(readText(text).ok).toBe(false));
});

it('takes the lower line of a heading for no group', () => {
  const text = 'Pin | Name | Type\nnumber\n1 | TXD | O\n2 | RXD | I\n3 | VDD | P\n';
  expect(terminalsIn(read(text)).filter((t) => t.group === 'number')).toEqual([]);
});

it('gives the cells below a group of merged cells its name, whatever stands below the list', () => {
  const text =
    'Group,Pin,Name,Type\nClocks,1,XIN,I\n,2,XOUT,O\nSerial bus,3,SDA,I/O\n,4,SCL,I\n(1) Not tested.\nRevision history\nRevision history\n';
  expect(terminalsIn(read(text)).map((t) => t.group)).toEqual(['Clocks', 'Clocks', 'Serial bus', 'Serial bus']);
});
