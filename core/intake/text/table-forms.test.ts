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

describe('tables of other forms', () => {
  it.each<[string, string, string[]]>([
    ['headings one blank apart over cells that stand further apart', 'No. Terminal  Electrical     Function\n01  L1        AC line input  Live\n02  N         AC line input  Neutral\n', ['01 L1', '02 N']],
    ['balls by their row and column', 'Row,Col,Signal,Type\nA,1,VDD,power\nA,2,D0,inout\nB,1,GND,ground\nB,2,D1,inout\n', ['A1 VDD', 'A2 D0', 'B1 GND', 'B2 D1']],
    ['a letter that is quoted in another', '> Hi, here it is:\n> Pin  Name   Dir\n> 1    VDD    pwr\n> 2    OUT    out\n> 3    GND    gnd\n', ['1 VDD', '2 OUT', '3 GND']],
    ['a record in each line', 'Pin: 1, 2     Name: VIN      Function: supply input\nPin: 3        Name: EN       Function: enable\nPin: 4        Name: GND      Function: ground\n', ['1 VIN', '2 VIN', '3 EN', '4 GND']],
    ['several names with their numbers before the words of all', 'VCC (Pin 4): Supply.\nIN+ (Pin 3), IN- (Pin 2): Differential inputs.\nGND (Pin 1): Ground.\n', ['4 VCC', '3 IN+', '2 IN-', '1 GND']],
    ['the mark of the first pad behind its number', '1 (square)  VCC  Supply\n2           GND  Ground\n3           SDA  Data\n', ['1 VCC', '2 GND', '3 SDA']],
    ['balls behind a count of the rows', 'no,pin,function\n1,A1,VDD\n2,A2,GND\n3,B1,SDA\n4,B2,SCL\n', ['A1 VDD', 'A2 GND', 'B1 SDA', 'B2 SCL']],
    ['names before a colon and their words', '1 VIN: supply input\n2 GND: ground\n3 EN: enable input\n', ['1 VIN', '2 GND', '3 EN']],
  ])('%s', (_what, text, expected) => expect(pins(text)).toEqual(expected)); // prettier-ignore

  it('asks for names of two terminals that have one number', () =>
    expect(read('Pin,Name,Type\n1,"D0\nD1",I/O\n2,VCC,P\n3,GND,G\n').terminals.map((t) => t.doubts.map((d) => d.field))).toEqual([['number'], [], []])); // prettier-ignore

  it('spreads a heading over the two below it', () =>
    expect(read('PIN | I/O | DESCRIPTION\nNAME | NO. |  |\nBIAS | 4 | O | Bias output\nEN | 1 | I | Enable\nGND | 3 | - | Ground\n').terminals.map((t) => [t.numbers[''], t.name, t.type, t.description])).toEqual([['4', 'BIAS', 'output', 'Bias output'], ['1', 'EN', 'input', 'Enable'], ['3', 'GND', 'ground', 'Ground']])); // prettier-ignore

  it('takes the second function for another name, and the first for none', () =>
    expect(read('Pin,Name,1st function,2nd function\n1,P1,P1,TX\n2,P2,P2,RX\n3,VDD,,\n').terminals.map((t) => t.alternates ?? [])).toEqual([['TX'], ['RX'], []])); // prettier-ignore

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
  ])('%s with “%s” is %s, asked: %s', (name, code, type, isAsked) => {
    const [t] = read(`Pin,Signal,Direction\n1,${name},${code}\n2,TX,O\n3,RX,I\n`).terminals;
    expect([t!.type, t!.doubts.length > 0]).toEqual([type, isAsked]);
  });
});
