import { readText, terminalsIn } from '..';
import { read } from '../../test/samples';

describe('connectors, cases and lists that run on', () => {
  const pins = (text: string) => terminalsIn(read(text)).map((t) => `${t.numbers['']} ${t.name}`);
  it.each<[string, string, string[]]>([
    ['letters for numbers', 'Pin,Name,Type\nA,VIN,P\nB,GND,G\nC,VOUT,O\nCase,GND,G\n', ['A VIN', 'B GND', 'C VOUT', 'Case GND']],
    ['a connector’s shell', 'Contact,Signal,Type\n1,CAN_H,I/O\n2,CAN_L,I/O\nShell,SHIELD,-\n', ['1 CAN_H', '2 CAN_L', 'Shell SHIELD']],
    ['contacts behind a colon', 'Pin,Name,Type\nX1:1,DI0,I\nX1:2,DI1,I\nX2:1,DI2,I\n', ['X1:1 DI0', 'X1:2 DI1', 'X2:1 DI2']],
    ['what a lead is mounted by', 'Pin 1 (VIN) - input\nPin 2 (OUT) - output\nTab - connected to pin 2\n', ['1 VIN', '2 OUT', 'Tab OUT']],
    ['numbers that begin a line above', 'Pads     Name   Type\n1, 2,\n5-6      GND    GND\n3        RFO    O\n4        VCC    PWR\n', ['1 GND', '2 GND', '5 GND', '6 GND', '3 RFO', '4 VCC']],
    ['a name that runs into its type', 'Pin  Name   I/O  Bank\n1    IO_1   I/O  0\n2    IO_2/CLKREF I/O 0\n3    IO_3   I/O  0\n', ['1 IO_1', '2 IO_2/CLKREF', '3 IO_3']],
    ['names in words', 'Pin 1: Red video (75 ohm)\nPin 2: Red return\nPin 3: Ground\nPin 4: H sync\n', ['1 Red video', '2 Red return', '3 Ground', '4 H sync']],
  ])('%s', (_what, text, expected) => expect(pins(text)).toEqual(expected)); // prettier-ignore

  it('takes a letter before numbers for a package, though connectors are called so too', () => {
    const { packages } = read('Pins,Name,Type\nP: 1; D: 2,VIN,P\nP: 2; D: 3,GND,G\nP: 3; D: 1,OUT,O\n');
    expect(packages.map((p) => `${p.name} ${p.pinCount}`)).toEqual(['P 3', 'D 3']);
  });

  it('takes every second contact of a row where there are so many names, and says so', () => {
    const { terminals } = read('Pin,Name,Type\na2,VCC,P\na4-a10,D0-D3,I/O\nc2,GND,G\nc4-c8,A0-A2,I\n');
    expect(terminals.map((t) => `${t.numbers['']} ${t.name}`)).toEqual(['a2 VCC', 'a4 D0', 'a6 D1', 'a8 D2', 'a10 D3', 'c2 GND', 'c4 A0', 'c6 A1', 'c8 A2']); // prettier-ignore
    expect(terminals.map((t) => t.doubts.some((d) => d.field === 'number'))).toEqual(terminals.map((t) => /[AD]\d/.test(t.name)));
  });

  it('says of numbers above no row that they were left out', () => {
    const { problems } = read('Pads     Name   Type\n3        RFO    O\n4        VCC    PWR\n1, 2,\n');
    expect(problems.filter((p) => p.code === 'row-skipped').map((p) => p.at?.line)).toEqual([4]);
  });

  it.each<[string, string, string[]]>([
    ['a header with both contacts in a line', '1 VTREF      2 SWDIO\n3 GND        4 SWCLK\n5 KEY        6 NC\n', ['1 VTREF', '2 SWDIO', '3 GND', '4 SWCLK', '5 KEY', '6 NC']],
    ['a header with its numbers within', 'VTREF 1 o o 2 SWDIO\nGND   3 o o 4 SWCLK\n', ['1 VTREF', '2 SWDIO', '3 GND', '4 SWCLK']],
    ['a drawing with names in brackets', '(CS) 1 |o   | 4 (VCC)\n(SO) 2 |    | 3 (SCK)\n', ['1 CS', '2 SO', '3 SCK', '4 VCC']],
    ['names that go on below', 'Pin No   Mnemonic  Description\n1        BUSY      Busy output.\n2 to 4   DB2 to    Data bits.\n         DB0\n5        REFIN/    Reference input or output. It is\n         REFOUT    2.5 V.\n6        RD        Read input.\n', ['1 BUSY', '2 DB2', '3 DB1', '4 DB0', '5 REFIN/REFOUT', '6 RD']],
  ])('%s', (_what, text, expected) => expect(pins(text)).toEqual(expected)); // prettier-ignore

  it('takes no elements of a circuit for a header', () =>
    expect(readText('* amplifier\nRLOAD 1 2 1k\nCLOAD 3 4 10n\nRSRC 5 6 10k\n').ok).toBe(false));

  it.each(['Unused', 'When unused', 'X (um)', 'Y'])('takes no words under “%s” for what a terminal is', (heading) => {
    const { terminals } = read(`Pin,Name,Type,${heading}\n1,PA0,I/O,Leave open\n2,PA1,I/O,Tie to GND\n3,PA2,I/O,Leave open\n`);
    expect(terminals.map((t) => [t.type, t.description ?? '', t.doubts.length])).toEqual(terminals.map(() => ['bidirectional', '', 0]));
  });

  it('takes sides under `Position` for no numbers', () =>
    expect(read('Designator,Pin Name,Type,Position\n1,VIN,P,Left\n2,EN,I,Left\n3,GND,G,Bottom\n').problems).toEqual([]));

  it('takes E and S for ins and outs beside E/S', () =>
    expect(read('Pin,Name,Type\n1,HOR,E\n2,DON,E/S\n3,SOR,S\n').terminals.map((t) => t.type)).toEqual(['input', 'bidirectional', 'output'])); // prettier-ignore

  it('takes a chip select that low selects for active low, and closes a bracket in the words of a list', () => {
    expect(read('Pin,Name,Description\n1,CS,Chip select. Low selects.\n2,SCK,Clock\n').terminals[0]!.activeLow).toBe(true);
    const listed = read(
      '* `1` **VBAT** – battery\n* `2` **GND** – ground\n* `3` **CHG** – status (low = charging)\n* `4` **EN** – enable\n',
    );
    expect(listed.terminals[2]!.description).toBe('status (low = charging)');
  });

  it('reads name, type and words in columns before the numbers of a list', () => {
    const { terminals } = read(
      'HD[0:1]     I/O   Host data (pins 10, 11)\nHCSn        I     Chip select (pin 22)\nVSS         G     Ground (pins 8, 14)\n',
    );
    expect(terminals.map((t) => `${t.numbers['']} ${t.name} ${t.type} ${t.description}`)).toEqual([
      '10 HD0 bidirectional Host data', '11 HD1 bidirectional Host data', '22 HCSn input Chip select', '8 VSS ground Ground', '14 VSS ground Ground',
    ]); // prettier-ignore
  });

  it('keeps the functions of a programmable part’s columns beside its names', () => {
    const text =
      'Bank,Pin Name/Function,Optional Function,Configuration Function,Dedicated Tx/Rx Channel,Emulated Output,F256\n' +
      '1A,IO,CLK0p,,RX_L2p,OUT_L2p,E2\n1A,IO,,JTAGEN,,,F2\n1A,TMS,,,,,G1\n,GND,,,,,A1\n';
    const { terminals } = read(text);
    expect(terminals.map((t) => [t.name, t.group, ...(t.alternates ?? [])])).toEqual([
      ['IO', '1A', 'CLK0p', 'RX_L2p', 'OUT_L2p'],
      ['IO', '1A', 'JTAGEN'],
      ['TMS', '1A'],
      ['GND', undefined],
    ]);
  });

  it.each<[string, string, boolean]>([
    ['RESET', 'Reset. L: reset', true],
    ['OE', 'Output enable, L = enabled', true],
    ['RESET', 'Reset. H: reset', false],
  ])('%s, “%s”: active low is %s', (name, words, isLow) =>
    expect(read(`Pin,Name,Type,Description\n1,${name},I,"${words}"\n2,Q,O,Output\n`).terminals[0]!.activeLow ?? false).toBe(isLow),
  );

  it.each<[string, string, string[]]>([
    ['a map with figures over it', '   1    2    3\nA  VIN  EN   FB\nB  VIN  GND  AGND\nC  SW   GND  MODE\n', ['A1 VIN', 'A2 EN', 'A3 FB', 'B1 VIN', 'B2 GND', 'B3 AGND', 'C1 SW', 'C2 GND', 'C3 MODE']],
    ['a map with letters over it', '   A    B    C    D\n1  VIN  VIN  SW   SW\n2  EN   GND  GND  PG\n3  FB   AGND MODE VOUT\n', ['A1 VIN', 'B1 VIN', 'C1 SW', 'D1 SW', 'A2 EN', 'B2 GND', 'C2 GND', 'D2 PG', 'A3 FB', 'B3 AGND', 'C3 MODE', 'D3 VOUT']],
    ['balls on two lines', 'Name   Ball         Type   Description\nVSS    A1 A8 B2 B7  GND    Ground\n       E4 E5\nCLK    F2           I      Clock\n', ['A1 VSS', 'A8 VSS', 'B2 VSS', 'B7 VSS', 'E4 VSS', 'E5 VSS', 'F2 CLK']],
    ['the pins of a part beside the nets of its board', 'Pin #,Net name,Component pin,Type\n1,SYS_CLK,CLK,input\n2,N00012,D,input\n3,N00013,Q,output\n', ['1 CLK', '2 D', '3 Q']],
    ['a legend below', 'Pin  Name  I/O(1)  Description\n1    VS    P       Supply\n2    EN    I       Enable\n(1)  P = power, I = input, O = output\n', ['1 VS', '2 EN']],
  ])('%s', (_what, text, expected) => expect(pins(text)).toEqual(expected)); // prettier-ignore

  it('takes a column of supplies’ names for what each terminal is at, and /RES for a reset', () => {
    const { terminals } = read('Name,Ball,Type,Power\nVDDIO,A1,PWR,\nPA0,A2,IO,VDDIO\nPA1,A3,IO,VDDIO\n/RES,A4,,-\n');
    expect(terminals.map((t) => t.rail)).toEqual(['VDDIO', 'VDDIO', 'VDDIO', undefined]);
    expect(terminals[3]).toMatchObject({ type: 'input', activeLow: true });
  });

  it.each<[string, string, string[]]>([
    ['beside lists of figures', 'Terminal,Signal,Purpose\n"1,15",GND,Ground\n2,IO34,Port\n3,IO35,Port\n4,IO36,Port\n', ['1 GND', '15 GND', '2 IO34', '3 IO35', '4 IO36']],
    ['beside the nets of a board', 'LQFP,Signal,Type,Net\n1,VC16,I,N$0\n2,VC15,I,N$1\n3,VC14,I,N$2\n', ['1 VC16', '2 VC15', '3 VC14']],
  ])('takes names that could be balls for names %s', (_what, text, expected) =>
    expect(terminalsIn(read(text)).map((t) => `${Object.values(t.numbers)[0]} ${t.name}`)).toEqual(expected)); // prettier-ignore
});
