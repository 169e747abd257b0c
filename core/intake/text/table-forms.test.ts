import { terminalsIn } from '..';
import { read } from '../../test/samples';

/** Each terminal as its number and its name. */
const pins = (text: string) => terminalsIn(read(text)).map((t) => `${t.numbers['']} ${t.name}`);

describe('two columns of numbers under headings that are alike', () => {
  const ROWS =
    '3,3,IN1+,Input of channel 1\n6,1,OUT1,Output of channel 1\n-,5,IN2+,Input of channel 2\n7,8,V+,Positive supply\n4,4,V-,Negative supply\n';
  it.each([
    ['names stand over them', 'Single,Dual,,\nPin,Pin,Name,Function\n', 'Single', 'Dual'],
    ['packages stand below them', 'Pin,Pin,Name,Function\nDIP,SOP,,\n', 'DIP', 'SOP'],
    ['nothing tells them apart', 'Pin,Pin,Name,Function\n', 'Pin (column 1)', 'Pin (column 2)'],
  ])('are two packages: %s', (_what, head, one, two) => {
    const { packages, terminals } = read(head + ROWS);
    expect(packages.map((p) => [p.name, p.pinCount])).toEqual([[one, 4], [two, 5]]); // prettier-ignore
    expect(terminals.map((t) => [t.numbers[one], t.numbers[two], t.name])).toEqual([
      ['3', '3', 'IN1+'],
      ['6', '1', 'OUT1'],
      [undefined, '5', 'IN2+'],
      ['7', '8', 'V+'],
      ['4', '4', 'V-'],
    ]);
  });
  it('are two packages in columns of blanks, where names stand above in their order', () =>
    expect(read('Single    Dual\nPin  Pin  Name   Function\n3    3    IN1+   Input\n6    1    OUT1   Output\n-    5    IN2+   Input\n').packages.map((p) => p.name)).toEqual(['Single', 'Dual'])); // prettier-ignore
});

describe('two rows of a connector, each seen from its side', () => {
  it.each([
    ['in cells', 'Signal,Pin,Pin,Signal\nGND,1,2,GND\nD0,3,4,D1\nnCS,5,6,nIRQ\n'],
    ['in columns of blanks', 'Signal  Pin  Pin  Signal\nGND     1    2    GND\nD0      3    4    D1\nnCS     5    6    nIRQ\n'],
  ])('are one list: %s', (_what, text) => expect(pins(text)).toEqual(['1 GND', '3 D0', '5 nCS', '2 GND', '4 D1', '6 nIRQ']));
  it('are one list with more beside the names, and a side that is shorter', () =>
    expect(read('Name,Dir,Pin,Pin,Dir,Name\nVDD,-,1,2,-,GND\nD0,I,3,4,O,Q0\n,,,6,O,Q1\n').terminals.map((t) => `${t.numbers['']} ${t.name} ${t.type}`)).toEqual(['1 VDD supply-in', '3 D0 input', '2 GND ground', '4 Q0 output', '6 Q1 output'])); // prettier-ignore
  it('leave a cell empty where the row has none there', () =>
    expect(read('Pin  Name   Pin  Name\n1    VDD    5    GND\n2           6    OUT\n3    A      7    B\n').terminals.map((t) => `${t.numbers['']} ${t.name}`)).toEqual(['1 VDD', '3 A', '5 GND', '6 OUT', '7 B'])); // prettier-ignore
});

describe('tables of other forms', () => {
  it.each<[string, string, string[]]>([
    ['headings one blank apart over cells that stand further apart', 'No. Terminal  Electrical     Function\n01  L1        AC line input  Live\n02  N         AC line input  Neutral\n', ['01 L1', '02 N']],
    ['balls by their row and column', 'Row,Col,Signal,Type\nA,1,VDD,power\nA,2,D0,inout\nB,1,GND,ground\nB,2,D1,inout\n', ['A1 VDD', 'A2 D0', 'B1 GND', 'B2 D1']],
    ['a letter that is quoted in another', '> Hi, here it is:\n> Pin  Name   Dir\n> 1    VDD    pwr\n> 2    OUT    out\n> 3    GND    gnd\n', ['1 VDD', '2 OUT', '3 GND']],
    ['a record in each line', 'Pin: 1, 2     Name: VIN      Function: supply input\nPin: 3        Name: EN       Function: enable\nPin: 4        Name: GND      Function: ground\n', ['1 VIN', '2 VIN', '3 EN', '4 GND']],
    ['several names with their numbers before the words of all', 'VCC (Pin 4): Supply.\nIN+ (Pin 3), IN- (Pin 2): Differential inputs.\nGND (Pin 1): Ground.\n', ['4 VCC', '3 IN+', '2 IN-', '1 GND']],
    ['the mark of the first pad behind its number', '1 (square)  VCC  Supply\n2           GND  Ground\n3           SDA  Data\n', ['1 VCC', '2 GND', '3 SDA']],
    ['balls behind a count of the rows', 'no,pin,function\n1,A1,VDD\n2,A2,GND\n3,B1,SDA\n4,B2,SCL\n', ['A1 VDD', 'A2 GND', 'B1 SDA', 'B2 SCL']],
    ['names like balls behind a count of the rows', 'No,Pin,Function\n1,D0,Data 0\n2,D1,Data 1\n3,A1,Address 1\n4,B1,Bank 1\n', ['1 D0', '2 D1', '3 A1', '4 B1']],
    ['numbers beside the row and column of a key', 'Pin,Name,Row,Col\n1,KA,A,1\n2,KB,A,2\n3,KC,B,1\n', ['1 KA', '2 KB', '3 KC']],
    ['headings of two rows whose ends are left out', 'Pin,,Name,Type\nQFN,SOIC,,\n1,3,VIN,P\n2,4,GND,G\n3,5,EN,I\n', ['undefined VIN', 'undefined GND', 'undefined EN']],
    ['names before a colon and their words', '1 VIN: supply input\n2 GND: ground\n3 EN: enable input\n', ['1 VIN', '2 GND', '3 EN']],
  ])('%s', (_what, text, expected) => expect(pins(text)).toEqual(expected)); // prettier-ignore

  it('asks for names of two terminals that have one number', () =>
    expect(read('Pin,Name,Type\n1,"D0\nD1",I/O\n2,VCC,P\n3,GND,G\n').terminals.map((t) => t.doubts.map((d) => d.field))).toEqual([['number'], [], []])); // prettier-ignore

  it('spreads a heading over the two below it', () =>
    expect(read('PIN | I/O | DESCRIPTION\nNAME | NO. |  |\nBIAS | 4 | O | Bias output\nEN | 1 | I | Enable\nGND | 3 | - | Ground\n').terminals.map((t) => [t.numbers[''], t.name, t.type, t.description])).toEqual([['4', 'BIAS', 'output', 'Bias output'], ['1', 'EN', 'input', 'Enable'], ['3', 'GND', 'ground', 'Ground']])); // prettier-ignore

  it('takes the second function for another name, and the first for none', () =>
    expect(read('Pin,Name,1st function,2nd function\n1,P1,P1,TX\n2,P2,P2,RX\n3,VDD,,\n').terminals.map((t) => t.alternates ?? [])).toEqual([['TX'], ['RX'], []])); // prettier-ignore

  it('takes signs for names, and the words for each of them for what they are, whatever their headings', () =>
    expect(read('Terminal,Pin,Designation\n+Vin,1,Positive input\n-Vin,2,Negative input\nCTRL,3,Remote on\n').terminals.map((t) => [t.name, t.description])).toEqual([['+Vin', 'Positive input'], ['-Vin', 'Negative input'], ['CTRL', 'Remote on']])); // prettier-ignore

  it('takes a few kinds under a second heading of names for no names', () => {
    const rows = ['A2,PB0A,GPIO', 'A3,PB0B,GPIO', 'B2,PB1A,GPIO', 'B3,VIO0,Supply', 'C1,PB2A,GPIO', 'A1,GND,Ground'];
    const { terminals } = read(`Ball,Pad name,Primary function\n${rows.join('\n')}\n`);
    expect(terminals.map((t) => [t.alternates ?? [], t.description])).toEqual(rows.map((row) => [[], row.split(',')[2]]));
  });

  it('takes functions before all else, that stand once for several rows, for groups', () =>
    expect(read('Function,Signal,Ball,I/O\nClock,XTI,E1,I\n,XTO,E2,O\nUART,TXA,C1,O\n,RXA,C2,I\nPower,VDD,A1,P\n,VSS,A2,G\n').terminals.map((t) => t.group)).toEqual(['Clock', 'Clock', 'UART', 'UART', 'Power', 'Power'])); // prettier-ignore

  it('reads a heading of types that is broken into its letters', () =>
    expect(read('Pin,Name,"I\nO\nP",Description\n1,D1,I,Line\n2,Q1,O,Line\n3,VTT,P,Line\n').terminals.map((t) => t.type)).toEqual(['input', 'output', 'supply-in'])); // prettier-ignore

  it.each([
    ['AGND', 'Analog supply', 'ground', false],
    ['VSS', 'Power supply pins', 'ground', true],
    ['VSS', 'Supply voltage', 'supply-in', true],
    ['VDD', 'Power supply pins', 'supply-in', false],
  ])('%s that is said to be “%s” is %s, asked: %s', (name, words, type, isAsked) => {
    const [t] = read(`Pin,Name,Description\n1,${name},${words}\n2,VCC,Supply of the core\n3,Q0,Output\n`).terminals;
    expect([t!.type, t!.doubts.length > 0]).toEqual([type, isAsked]);
  });

  it('takes a negative polarity for active low, and a direction at the device for its own', () =>
    expect(read('Pin,Name,Direction at device,Polarity\n1,CS,input,Negative\n2,RD,output,Positive\n3,VEE,power,Negative\n').terminals.map((t) => [t.type, t.activeLow ?? false])).toEqual([['input', true], ['output', false], ['supply-in', false]])); // prettier-ignore

  it('knows ins and outs in German', () =>
    expect(read('Pin | Signal | Richtung\n1 | AB1 | Ein\n2 | AB2 | Aus\n3 | AB3 | Ein/Aus\n').terminals.map((t) => t.type)).toEqual(['input', 'output', 'bidirectional'])); // prettier-ignore

  it('takes levels in the columns of modes for no other names', () =>
    expect(read('Pin,Name,Mode 1,Mode 2\n1,MD0,GND,VDD\n2,CLK,TCK,CLKX\n3,VDD,VDD,VDD\n4,DA,open,TDI\n').terminals.map((t) => t.alternates ?? [])).toEqual([[], ['TCK', 'CLKX'], [], ['TDI']])); // prettier-ignore

  it.each([
    ['+24V', 'in', 'supply-in', true],
    ['3V3', 'O', 'supply-out', true],
    ['GND', 'I', 'ground', true],
    ['GND', 'power in', 'ground', false],
    ['VDD', 'power input', 'supply-in', false],
    ['VDD', 'power_in', 'supply-in', false],
  ])('%s with “%s” is %s, asked: %s', (name, code, type, isAsked) => {
    const [t] = read(`Pin,Signal,Direction\n1,${name},${code}\n2,TX,O\n3,RX,I\n`).terminals;
    expect([t!.type, t!.doubts.length > 0]).toEqual([type, isAsked]);
  });
});

const all = (text: string) =>
  read(text).terminals.map((t) => [Object.values(t.numbers).join('/'), t.name, t.type, t.alternates?.join(' ') ?? ''].join(' ').trim());

describe('what stands in a cell or beside it', () => {
  it.each<[string, string, string[]]>([
    ['a number before each name', 'PIN,I/O,FUNCTION\n1 VOS,I,Output voltage sense\n2 FB,I,Feedback\n3 GND,-,Ground\n', ['1 VOS input', '2 FB input', '3 GND ground']],
    ['a note in words beside a number', 'No.,Name,Type\n1 (note 1),EN,I\n2,GND,P\n3 (see note 2),OUT,O\n', ['1 EN input', '2 GND ground', '3 OUT output']],
    ['colours of wires before the numbers', 'Wire colour,Pin,Signal,Cable 2 m,Cable 5 m\nbrown,1,VDD,yes,no\nblue,2,GND,yes,yes\nblack,3,SDA,no,yes\n', ['1 VDD supply-in', '2 GND ground', '3 SDA bidirectional']],
    ['ports whose words begin with their names', 'Port,Pin No.,Function\nPA,1,"PA0: GPIO, analog input"\nPA,2,PA1: GPIO\n-,3,VSS: ground\n-,4,VDD: supply\n', ['1 PA0 bidirectional', '2 PA1 bidirectional', '3 VSS ground', '4 VDD supply-in']],
    ['the ports of a controller beside contacts', 'Signal,MCU Pin,Connector Pin,Direction\nTXD,PA9,1,OUT\nRXD,PA10,2,IN\nLED,PB3,3,OUT\nGND,,4,\n', ['1 TXD output PA9', '2 RXD input PA10', '3 LED output PB3', '4 GND ground']],
    ['what a terminal is at the start', 'Ball,Ball name,Default function,Alternate 1\nA1,GPIO_A0,GPIO_A0,TXD0\nA2,GPIO_A1,JTAG_TCK,RXD0\nB1,VDD_IO,,\nB2,GND,,\n', ['A1 GPIO_A0 unspecified TXD0', 'A2 GPIO_A1 unspecified JTAG_TCK RXD0', 'B1 VDD_IO supply-in', 'B2 GND ground']],
    ['counts of a port beside the numbers', '#,Pin Label,GPIO,ADC,Touch\n1,3V3,,,\n2,VP,36,ADC1_0,T2\n3,D34,34,ADC1_6,T9\n4,GND,,,\n', ['1 3V3 supply-in', '2 VP unspecified ADC1_0 T2', '3 D34 bidirectional ADC1_6 T9', '4 GND ground']],
    ['other functions in brackets, and rails of something', 'Pin,Name,Type\n1,PA0(ADC0/TIM1),I/O\n2,VDD(I/O),P\n3,OUT(A/B),O\n', ['1 PA0(ADC0/TIM1) bidirectional ADC0 TIM1', '2 VDD(I/O) supply-in', '3 OUT(A/B) output']],
  ])('is read: %s', (_what, text, expected) => expect(all(text)).toEqual(expected)); // prettier-ignore

  it.each<[string, string, string[]]>([
    ['signs behind their words', 'Pin 1 - Chip Enable (CE)\nPin 2 - Ground (GND)\nPin 3 - Clock (SCL)\nPin 4 - Supply (VCC)\n', ['1 CE input', '2 GND ground', '3 SCL input', '4 VCC supply-in']],
    ['numbers between angles', '<1> VCC\n<2> OUT\n<3> GND\n', ['1 VCC supply-in', '2 OUT output', '3 GND ground']],
    ['numbers with a dash', '1-VCC  Power supply\n2-GND  Ground\n3-EN   Enable input\n', ['1 VCC supply-in', '2 GND ground', '3 EN input']],
    ['the numbers of lines before those of terminals', '12: 1   VDD    Supply\n13: 2   GND    Ground\n14: 3   EN     Enable input\n', ['1 VDD supply-in', '2 GND ground', '3 EN input']],
    ['terminals deep in what is said of a part', '{"part":"TF5100","pins":{"1":{"name":"VDD","type":"power"},"2":{"name":"SCL","type":"input"}}}', ['1 VDD supply-in', '2 SCL input']],
  ])('is a list: %s', (_what, text, expected) => expect(all(text)).toEqual(expected)); // prettier-ignore

  it('makes each row of signals a group where its function stands before its numbers', () =>
    expect(read('Function,Pins,Signals,Notes\nSPI,4–6,"SCK, MISO, MOSI",slave only\nI2C,\"8, 9\",\"SCL, SDA\",400 kHz\nPower,\"1, 12\",\"VDD, VSS\",3.3 V\n').terminals.map((t) => `${t.name} ${t.group}`)).toEqual(['SCK SPI', 'MISO SPI', 'MOSI SPI', 'SCL I2C', 'SDA I2C', 'VDD Power', 'VSS Power'])); // prettier-ignore
});

describe('words that tell of further terminals', () => {
  const table = 'No.,Symbol,Function\n1,IN1,Input 1\n2,IN2,Input 2\n3,OUT,Output\n4,GND,Ground\n\n';
  const codes = (line: string) => read(table + line).problems.filter((p) => p.code === 'pins-in-words').map((p) => p.params['number']); // prettier-ignore
  it.each([
    ['VDD is on pins 5 and 8.', [5]],
    ['Pins 5 to 7 are not connected.', [5]],
    ['Pin 3 is open drain.', []],
    ['Pin 5 mm from the edge is free.', []],
    ['Pins 15 and 16 are on the other part.', []],
  ])('are told: %s', (line, expected) => expect(codes(line)).toEqual(expected));
});
