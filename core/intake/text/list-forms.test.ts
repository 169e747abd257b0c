import { readText, terminalsIn } from '..';
import { read } from '../../test/samples';

/** Each terminal as its number and its name. */
const pins = (text: string) => terminalsIn(read(text)).map((t) => `${t.numbers['']} ${t.name}`);

describe('pinouts in lists and drawings of other kinds', () => {
  it.each<[string, string, string[]]>([
    ['a package drawn with lines', '       ┌────┐\n VDD 1 ┤    ├ 4 VOUT\n GND 2 ┤    ├ 3 SDA\n       └────┘\n', ['1 VDD', '2 GND', '3 SDA', '4 VOUT']],
    ['two rows without any sign', 'VDD 1 6 OUTA\nIN+ 2 5 REF\nGND 3 4 EN\n', ['1 VDD', '2 IN+', '3 GND', '4 EN', '5 REF', '6 OUTA']],
    ['several balls in a line', 'A1 VDD   A2 GND   A3 SDA\nB1 SCL   B2 INT   B3 ADDR\n', ['A1 VDD', 'A2 GND', 'A3 SDA', 'B1 SCL', 'B2 INT', 'B3 ADDR']],
    ['names before several balls', 'VDD A1, GND A2\nSDA B1, SCL B2\n', ['A1 VDD', 'A2 GND', 'B1 SDA', 'B2 SCL']],
    ['the part before its pins', 'U7 pin 1 -> VCC\nU7 pin 2 -> SDA\nU7 pin 3 -> SCL\nU7 pin 4 -> GND\n', ['1 VCC', '2 SDA', '3 SCL', '4 GND']],
    ['a tab with a name of its own', 'Pin 1: Gate\nPin 2: Drain\nPin 3: Source\nTab: Drain\n', ['1 Gate', '2 Drain', '3 Source', 'Tab Drain']],
    ['a pad below in words', 'Pin 1 (VCC) - Supply\nPin 2 (OUT) - Output\nPin 3 (GND) - Ground\nExposed pad - Ground\n', ['1 VCC', '2 OUT', '3 GND', 'EP Exposed pad']],
    ['a line of numbers and names', '1=RESET#,2=XTAL1,3=XTAL2,4=GND\n', ['1 RESET#', '2 XTAL1', '3 XTAL2', '4 GND']],
    ['a line of lists', 'PINS: 1,2 = PVIN; 3 = PGND; 4 = FB; PAD = AGND\n', ['1 PVIN', '2 PVIN', '3 PGND', '4 FB', 'EP AGND']],
    ['counts before columns', '1.  Vin      Input voltage\n2.  Gnd      Ground\n3.  Trim     Output adjustment\n', ['1 Vin', '2 Gnd', '3 Trim']],
    ['names with all of their balls', 'VDD (2): A1, B2\nGND pins: A2, B1\nSCL: C1\nSDA: C2\n', ['A1 VDD', 'B2 VDD', 'A2 GND', 'B1 GND', 'C1 SCL', 'C2 SDA']],
    ['numbers that share a name', '1: VDD\n2: SDA\n3, 4: NC\n5: GND\n', ['1 VDD', '2 SDA', '3 NC', '4 NC', '5 GND']],
    ['what is not connected, in a sentence', 'Pin 1: VIN - supply\nPin 2: GND - ground\nPins 3 and 5 are not connected.\nPin 4: EN - enable\n', ['1 VIN', '2 GND', '3 NC', '5 NC', '4 EN']],
    ['records behind what is said of the part', 'part: KX7712\npins:\n  - number: 1\n    name: VCC\n  - number: 2\n    name: GND\n', ['1 VCC', '2 GND']],
    ['records without a dash', 'Part: KX7712\n\nPin: 1\nName: VCC\n\nPin: 2\nName: GND\n', ['1 VCC', '2 GND']],
    ['a pad called paddle in a list', 'Name | Pin | Description\nRF | 1 | Input\nGND | 2, paddle | Ground\nVCC | 3 | Supply\n', ['1 RF', '2 GND', 'EP GND', '3 VCC']],
    ['words with a comma', 'Lead  Name\n1     Anode, red\n2     Common cathode\n3     Anode, green\n', ['1 Anode, red', '2 Common cathode', '3 Anode, green']],
  ])('%s', (_what, text, expected) => expect(pins(text)).toEqual(expected)); // prettier-ignore

  it.each([
    ['the elements of a circuit', 'D1 1 6 DMOD\nR2 2 5 1k\nC3 3 4 10n\n'],
    ['settings', 'mode: 4\nlimit: 25\ncount: 700\nlevel: 9\n'],
    ['steps', '1.  Remove the cover.\n2.  Set the jumper.\n3.  Close the cover.\n'],
  ])('takes %s for no pinout', (_what, text) => expect(readText(text).ok).toBe(false));

  it('keeps words that go on below, and tells of lines that speak of terminals', () => {
    const { terminals, problems } = read(
      'Pin 1: VIN - input, connect a\n  10 uF capacitor\nPin 2: GND - ground\nPin 3: EN - enable\nThe pad below is ground too.\nPin 4: OUT - output\nPin 5: FB - feedback\n',
    );
    expect(terminals[0]!.description).toBe('input, connect a 10 uF capacitor');
    expect(problems.map((p) => [p.code, p.at?.line])).toContainEqual(['row-skipped', 5]);
  });

  it('takes the titles over the entries of a list for their groups', () =>
    expect(read('Outputs\n1 = OUT1\n2 = OUT2\n3 = OUT3\nPower\n4 = VCC\n5 = GND\n6 = VEE\n').terminals.map((t) => t.group)).toEqual([
      ...['Outputs', 'Outputs', 'Outputs', 'Power', 'Power', 'Power'],
    ]));

  it('says of NC in a list what stands behind it', () =>
    expect(read('Pin 1: VIN - input\nPin 2: NC - not connected\nPin 3: NC\nPin 4: not connected\n').terminals.map((t) => [t.name, t.description])).toEqual([['VIN', 'input'], ['NC', 'not connected'], ['NC', undefined], ['NC', 'not connected']])); // prettier-ignore

  it('takes dots in place of rows for no group', () =>
    expect(read('Pin  Name  Description\n1    IN    Input\n2    NC    Not connected\n...\n7    NC    Not connected\n8    OUT   Output\n').terminals[3]!.group).toBeUndefined()); // prettier-ignore

  it.each([
    ['words', 'Pin  Name   Opposite\n1    VDD    8 OUTA\n2    IN     7 OUTB\n3    REF    6 GND\n', 'Opposite'],
    ['a remark', 'VDD 1 - 8 OUTA and more\nIN+ 2 - 7 OUTB and more\nIN- 3 - 6 REF and more\n', 'column 3'],
  ])('tells of terminals that stand in %s', (_what, text, heading) =>
    expect(read(text).problems).toContainEqual(expect.objectContaining({ code: 'column-numbers', params: { heading } })),
  );
});

describe('codes and marks', () => {
  const first = (text: string) => read(text).terminals[0]!;
  it('reads types as programs write them', () =>
    expect(read('Pin,Name,Type\n1,PG,OpenCollector\n2,VIN,PowerIn\n3,Y,TriState\n').terminals.map((t) => [t.type, t.doubts.length])).toEqual([['open-drain', 0], ['supply-in', 0], ['three-state', 0]])); // prettier-ignore
  it('reads the active level under Pol.', () => expect(first('No,Name,Pol.,Function\n1,CS,L,Chip select\n2,RDY,H,Ready output\n').activeLow).toBe(true)); // prettier-ignore
  it('asks what B is beside I/O', () => {
    const [port, boot] = read('Pin,Name,Type\n1,PC13,I/O\n2,BOOT0,B\n3,VDD,S\n').terminals;
    expect([port!.doubts.length, boot!.doubts[0]?.candidates]).toEqual([0, ['bidirectional', 'input', 'passive']]);
  });
  it.each([
    ['/USB_DP', '/USB_DM', false],
    ['/power/EN', '/power/FB', false],
    ['/RESET', '/IRQ', true],
  ])('takes the sign before %s for what it is', (a, b, low) =>
    expect(
      read(`Pin,Name\n1,${a}\n2,${b}\n3,GND\n`)
        .terminals.slice(0, 2)
        .map((t) => t.activeLow ?? false),
    ).toEqual([low, low]),
  );
  it.each([
    ['IO_0_1', 'IO_1_1', ['VCCO_0', 'VCCO_1']],
    ['IO_L1P_0', 'IO_L1P_1', ['VCCO_0', 'VCCO_1']],
  ])('finds the bank in %s and %s', (a, b, rails) => {
    const { terminals } = read(`Ball,Name\nA1,${a}\nA2,${b}\nB1,VCCO_0\nB2,VCCO_1\nC1,GND\nC2,GND\n`);
    expect(terminals.slice(0, 2).map((t) => t.rail)).toEqual(rails);
  });
});

describe('lists, rows and cells that were taken for something else', () => {
  it.each<[string, string, string[]]>([
    ['numbers behind a word are a row', 'VDD    supply    pins 5, 6\nGND    ground    pins 7, 8\nOUT    output    pins 1..4\n', ['5 VDD', '6 VDD', '7 GND', '8 GND', '1 OUT', '2 OUT', '3 OUT', '4 OUT']],
    ['names of two words behind a dash', ' 1 - Ground\n 2 - +5 V\n 3..4 - D0..D1\n 5 - LED+\n', ['1 Ground', '2 +5 V', '3 D0', '4 D1', '5 LED+']],
    ['numbers in square brackets', '[1] VCC  [2] OUT\n[3] GND  [4] IN\n', ['1 VCC', '2 OUT', '3 GND', '4 IN']],
    ['values beside names', 'Pin | Name | Value\n1 | VDD | 3.3V\n2 | GND | 0V\n', ['1 VDD', '2 GND']],
    ['the pad among the numbers', 'VIN (Pins 1, 2): Supply.\nGND (Pin 3, Exposed Pad Pin 5): Ground.\nFB (Pin 4): Feedback.\n', ['1 VIN', '2 VIN', '3 GND', '5 GND', '4 FB']],
  ])('%s', (_what, text, expected) => expect(pins(text)).toEqual(expected)); // prettier-ignore

  it('takes voltages for rails, with a blank or without', () =>
    expect(read('Pin,Signal\n1,+24 V\n2,0 V\n3,0V\n4,0V8\n').terminals.map((t) => t.type)).toEqual(['supply-in', 'ground', 'ground', 'supply-in'])); // prettier-ignore

  it('reads E and A under German headings, and a mark before a blank and another name', () => {
    expect(read('Pin,Name,Typ,Beschreibung\n1,TX,A,Sendedaten\n2,DE,E,Freigabe\n3,GND,-,Masse\n').terminals.map((t) => t.type)).toEqual(['output', 'input', 'ground']); // prettier-ignore
    expect(read('Pin,Name,Type\n1,CTS# / GPIO3,I/O\n2,GPIO4,I/O\n').terminals.map((t) => t.activeLow ?? false)).toEqual([true, false]);
  });
});

describe('tables without headings, or with others than usual', () => {
  const named = (text: string) => terminalsIn(read(text)).map((t) => `${t.numbers['']} ${t.name} ${t.type} ${t.description ?? ''}`.trim());
  it.each([
    ['in columns', '1  VDD  Supply\n2  VSS  Ground\n3  IN   Input\n4  OUT  Output\n'],
    ['with commas', '1,VDD,Supply\n2,VSS,Ground\n3,IN,Input\n4,OUT,Output\n'],
  ])('takes names that are codes of types too for names: %s', (_what, text) =>
    expect(named(text)).toEqual(['1 VDD supply-in Supply', '2 VSS ground Ground', '3 IN input Input', '4 OUT output Output']),
  );
  it('keeps a row whose cells stand one blank apart', () =>
    expect(named('1  A  IN\n2  B  IN\n3  Y  OUT\n4  VSS  GND\n5 VDD PWR\n').at(-1)).toBe('5 VDD supply-in'));
  it('takes the functions under each kind of them for other names, and what has nothing else by its only one', () => {
    const { terminals } = read('Pin,Port,Analog,Timer,UART,Power\n1,PA0,AIN0,TIM1_CH1,,\n2,PA1,,TIM1_CH2,TX,\n3,PA2,,,RX,\n4,,,,,VDD\n');
    expect(terminals.map((t) => [t.name, ...(t.alternates ?? [])])).toEqual([['PA0', 'AIN0', 'TIM1_CH1'], ['PA1', 'TIM1_CH2', 'TX'], ['PA2', 'RX'], ['VDD']]); // prettier-ignore
  });
  it('asks for the contacts of rows A to C under numbers without a heading', () => {
    const { terminals } = read('      Row A      Row B      Row C\n1     +5V        BUSY       GND\n2     D0         D8         GND\n3     D1         D9         A23\n'); // prettier-ignore
    expect(terminals.map((t) => `${t.numbers['']} ${t.name}`)).toEqual(['A1 +5V', 'B1 BUSY', 'C1 GND', 'A2 D0', 'B2 D8', 'C2 GND', 'A3 D1', 'B3 D9', 'C3 A23']); // prettier-ignore
    expect(terminals.every((t) => t.doubts.some((d) => d.field === 'number'))).toBe(true);
  });
  it.each([
    ['numbers behind No.', 'No.1 VCC\nNo.2 GND\nNo.3 SIG\n', ['1 VCC', '2 GND', '3 SIG']],
    ['a line below a title', 'module header\npin1=GND pin2=VCC pin3=TXD\n', ['1 GND', '2 VCC', '3 TXD']],
  ])('%s', (_what, text, expected) => expect(pins(text)).toEqual(expected));
  it('asks whether PORB is active low', () => expect(read('Ball,Name\nA1,PORB\nA2,VDD\nB1,VSS\n').terminals[0]!.doubts.map((d) => d.field)).toContain('activeLow')); // prettier-ignore
});

describe('what was lost or exchanged without a word', () => {
  it.each<[string, string, string[]]>([
    ['codes of types between numbers and names', '1 I IN+ Non-inverting input\n2 I IN- Inverting input\n3 P V- Negative supply\n4 O OUT Output\n', ['1 IN+', '2 IN-', '3 V-', '4 OUT']],
    ['several balls between commas', 'A1,VDD,B1,SDA\nA2,GND,B2,SCL\n', ['A1 VDD', 'B1 SDA', 'A2 GND', 'B2 SCL']],
    ['several pins by the word in a line', 'Pin 1   OUT    Pin 4   SET\nPin 2   GND    Pin 5   V+\nPin 3   IN     Pin 6   NC\n', ['1 OUT', '2 GND', '3 IN', '4 SET', '5 V+', '6 NC']],
    ['parts of a list by titles in brackets', '[POWER]\nVDD = 1, 2\nGND = 3\n[SPI]\nSCK = 4\nMOSI = 5\n', ['1 VDD', '2 VDD', '3 GND', '4 SCK', '5 MOSI']],
  ])('reads %s', (_what, text, expected) => expect(pins(text)).toEqual(expected)); // prettier-ignore

  it('tells of a row without a number below a list without headings, and of a second column of numbers', () => {
    expect(read('1\tVIN\tInput\n2\tGND\tGround\n3\tEN\tEnable\n\tTAB\tGround\n').problems.map((p) => [p.code, p.at?.line])).toEqual([['row-skipped', 4]]); // prettier-ignore
    const { terminals, problems } = read('1,3,IN,I\n2,4,GND,G\n3,5,OUT,O\n4,6,VCC,P\n');
    expect([problems.map((p) => p.code), terminals.map((t) => t.description)]).toEqual([['column-numbers'], Array(4).fill(undefined)]);
  });

  it('tells of a place of a terminal that stands set in below another', () =>
    expect(read('Pin 1: VIN - input\n  Tab is connected to the case of the module\nPin 2: GND - ground\nPin 3: EN - enable\nPin 4: OUT - output\n').problems.map((p) => [p.code, p.at?.line])).toContainEqual(['row-skipped', 2])); // prettier-ignore

  it('takes rails under Power for no other names', () => {
    const { terminals } = read('Pin,Port,Power,Clock\n1,PA0,VIO,CKA\n2,PA1,VIO,CKA\n3,PA2,VIO,CKB\n4,PA3,VIO,CKB\n');
    expect(terminals.map((t) => t.alternates ?? [])).toEqual([[], [], [], []]);
  });

  it('takes a second package and codes of types for no other terminals', () =>
    expect(read('QFN,Name,SOP,Type\n1,A,5,I\n2,B,6,I\n3,C,7,O\n4,D,8,P\n').terminals).toHaveLength(4));
});
