import { byNumber, read } from '../test/samples';
import { terminalsIn } from '.';

/**
 * Pin tables as invented datasheets print them, each with what a person reads in it: number, name, `-` for active low,
 * type, and `?` where a doubt is right. What is not asked must be right; what is asked may be anything.
 */
const CORPUS: { name: string; text: string; package?: string; truth: string }[] = [
  {
    name: 'a comparator, tab separated with spaces in the headings',
    text: 'Pin Number\tPin Name\tI/O Type\tPin Description\n1\tOUT\tOD\tOpen-collector output\n2\tVEE\tPWR\tNegative supply\n3\tIN+\tAI\tNon-inverting input\n4\tIN−\tAI\tInverting input\n5\tVCC\tPWR\tPositive supply\n',
    truth: `
      1 OUT open-drain
      2 VEE supply-in
      3 IN+ input
      4 IN− input
      5 VCC supply-in`,
  },
  {
    name: 'a shift register with overbars as slashes',
    text: `
Terminal   Signal   Dir   Function
--------   ------   ---   -----------------------------------
1          QB       O     Parallel data output
2          QC       O     Parallel data output
3-5        QD-QF    O     Parallel data output
6          QG       O     Parallel data output
7          QH       O     Parallel data output
8          GND      G     Ground
9          QH'      O     Serial data output
10         /SRCLR   I     Shift register clear, active low
11         SRCLK    I     Shift register clock input
12         RCLK     I     Storage register clock input
13         /OE      I     Output enable, active low
14         SER      I     Serial data input
15         QA       O     Parallel data output
16         VCC      P     Supply voltage
`,
    truth: `
      1 QB output
      2 QC output
      3 QD output
      4 QE output
      5 QF output
      6 QG output
      7 QH output
      8 GND ground
      9 QH' output
      10 /SRCLR - input
      11 SRCLK input
      12 RCLK input
      13 /OE - input
      14 SER input
      15 QA output
      16 VCC supply-in`,
  },
  {
    name: 'a memory with address and data ranges',
    text: `No.;Symbol;Type;Description
1-8;A0-A7;I;Address inputs
9;CE#;I;Chip enable
10;WE#;I;Write enable
11;OE#;I;Output enable
12-19;DQ0–DQ7;I/O;Data inputs/outputs
20;VCC;P;Power supply
21, 22;VSS;G;Ground
23;NC;-;No connect
24;RY/BY#;OD;Ready/busy status output, open drain
`,
    truth: `
      1 A0 input
      8 A7 input
      9 CE# - input
      10 WE# - input
      11 OE# - input
      12 DQ0 bidirectional
      19 DQ7 bidirectional
      20 VCC supply-in
      21 VSS ground
      22 VSS ground
      23 NC no-connect
      24 RY/BY# - open-drain ?`,
  },
  {
    name: 'a bus printed downwards',
    text: `Pin,Name,Type,Description
1-4,D[3:0],I/O,Data bus
5-8,ADDR[0:3],I,Address
`,
    truth: `
      1 D3 bidirectional
      2 D2 bidirectional
      4 D0 bidirectional
      5 ADDR0 input
      8 ADDR3 input`,
  },
  {
    name: 'a regulator with words for types',
    text: `| Pin | Name | Type | Description |
|---|---|---|---|
| 1 | IN | Power | Unregulated input supply |
| 2 | GND | Ground | Common ground |
| 3 | EN | Input | Enable; pull high to turn the regulator on |
| 4 | ADJ | Input | Feedback input; set the output with two resistors |
| 5 | OUT | Power output | Regulated output voltage |
`,
    truth: `
      1 IN supply-in
      2 GND ground
      3 EN input
      4 ADJ input
      5 OUT supply-out`,
  },
  {
    name: 'a buck converter, where names alone would mislead',
    text: `Pin  Name   I/O  Description
1    BOOT   P    Bootstrap capacitor connection for the high-side driver
2    VIN    P    Power supply input, 4.5 V to 36 V
3    EN     I    Enable input
4    SS     I    Connect a capacitor to set the soft-start time
5    FB     I    Feedback input
6    COMP   O    Error amplifier compensation node
7    GND    G    Power ground
8    SW     O    Switch node; connect the inductor here
EP   GND    G    Exposed pad; connect to ground
`,
    truth: `
      1 BOOT passive
      2 VIN supply-in
      3 EN input
      4 SS passive
      5 FB input
      6 COMP passive
      7 GND ground
      8 SW passive ?
      EP GND ground`,
  },
  {
    name: 'a microcontroller with alternates in a column of their own',
    text: `LQFP32;Pin name;Pin type;Main function;Alternate functions
1;VDD;S;Digital power supply;
2;OSC_IN;I;Crystal oscillator input;
3;OSC_OUT;O;Crystal oscillator output;
4;NRST;I/O;Device reset, active low;
5;VDDA;S;Analog power supply;
6;PA0;I/O;Port A0;ADC_IN0, TIM2_CH1, WKUP
7;PA1;I/O;Port A1;ADC_IN1/TIM2_CH2
8;BOOT0;I;Boot memory selection input;
9;VSS;S;Ground;
`,
    truth: `
      1 VDD supply-in
      2 OSC_IN passive
      3 OSC_OUT passive
      4 NRST - bidirectional
      5 VDDA supply-in
      6 PA0 bidirectional
      7 PA1 bidirectional
      8 BOOT0 input
      9 VSS ground`,
  },
  {
    name: 'two packages with numbers in words',
    package: 'SOT-23-6',
    text: `PIN,,NAME,TYPE,DESCRIPTION
SO-8,SOT-23-6,,,
1,5,IN,I,Signal input
2,n/a,NC,—,Not internally connected
3,2,GND,P,Ground
4,6,OUT,O,Signal output
5,–,SHDN#,I,Shutdown input
6,1,VDD,P,Supply
7,3,REF,AO,Voltage reference output
8,4,SENSE,I,Sense input
`,
    truth: `
      5 IN input
      2 GND ground
      6 OUT output
      1 VDD supply-in
      3 REF supply-out
      4 SENSE input`,
  },
  {
    name: 'a transceiver with groups, footnotes and continued lines',
    text: `TF9001 bus transceiver, SO-14

Pin   Name     Type   Description
Bus side
12    A(1)     I/O    Bus line A, non-inverting
                      driver output and receiver input
13    B(1)     I/O    Bus line B, inverting
                      driver output and receiver input
Logic side
2     RO       O      Receiver output, three-state
3     RE#      I      Receiver enable
4     DE       I      Driver enable, active high
5     DI       I      Driver input
Supplies
6, 7  GND      P      Ground
14    VCC      P      Supply, 4.75 V to 5.25 V
Not connected
1, 8  NC       -      No internal connection
9-11  NC       -      No internal connection

(1) Protected to 15 kV.
`,
    truth: `
      12 A bidirectional
      13 B bidirectional
      2 RO three-state
      3 RE# - input
      4 DE input
      5 DI input
      6 GND ground
      7 GND ground
      14 VCC supply-in
      1 NC no-connect
      9 NC no-connect
      11 NC no-connect`,
  },
  {
    name: 'a sensor with reserved pins and a legend',
    text: `Pad | Name | Class | Notes
1 | VDDIO | S | Interface supply
2 | SCX | D | Serial clock input
3 | SDX | B | Serial data input/output
4 | RES0 | R | Reserved; connect to GND
5 | INT1 | Y | Interrupt output
6 | GND | G | Ground
7 | CS | D | Chip select, active low
8 | DNC | R | Do not connect

S = power supply, D = digital input, B = bidirectional, Y = push-pull output, R = reserved, G = ground
`,
    truth: `
      1 VDDIO supply-in
      2 SCX input
      3 SDX bidirectional
      4 RES0 reserved
      5 INT1 output
      6 GND ground
      7 CS - input
      8 DNC reserved`,
  },
  {
    name: 'a ball list of a module',
    text: `Ball   Ball name   Type   Buffer   Description
A1     VDDQ        PWR    -        I/O supply
A2     DQ0         I/O    HSTL     Data
A3     DQ1         I/O    HSTL     Data
B1     VSS         GND    -        Ground
B2     CK_P        I      HSTL     Clock input, positive
B3     CK_N        I      HSTL     Clock input, negative
C1     RESET_N     I      CMOS     Reset, active low
C2     ZQ          A      -        Connect a 240 ohm resistor to VSS
C3     VREF        A      -        Reference voltage input
`,
    truth: `
      A1 VDDQ supply-in
      A2 DQ0 bidirectional
      B1 VSS ground
      B2 CK_P input
      B3 CK_N input
      C1 RESET_N - input
      C2 ZQ passive
      C3 VREF input`,
  },
  {
    name: 'numbers and names alone',
    text: '1 GND\n2 VDD\n3 SDA\n4 SCL\n5 ALERT\n6 ADDR\n',
    truth: `
      1 GND ground
      2 VDD supply-in
      3 SDA bidirectional
      4 SCL input
      5 ALERT unspecified ?
      6 ADDR input`,
  },
  {
    name: 'a connector',
    text: `Contact,Signal,Type,Description
1,+12V,passive,Battery positive
2,RTN,passive,Battery return
3,DATA+,passive,Data pair
4,DATA-,passive,Data pair
5,SHELL,passive,Shield
MP1,,,Mounting tab
`,
    truth: `
      1 +12V passive
      2 RTN passive
      3 DATA+ passive
      4 DATA- passive
      5 SHELL passive
      MP1 EP passive ?`,
  },
  {
    name: 'a converter whose types say more than one thing',
    text: `Pin;Name;Type;Description
1;AIN0;Analog input;Channel 0
2;DOUT;Digital output, three-state;Serial data output
3;SCLK;Digital input;Serial clock
4;REFP;Analog input;Positive reference
5;AVSS;Supply;Analog ground
6;AVDD;Supply;Analog supply
7;DRDY;Digital output, open-drain;Data ready, active low
8;CLK;Digital input;Master clock
9;BYP;Analog output;Internal 1.8 V regulator output; bypass with 220 nF
10;IOUT;Analog output;Excitation current output
`,
    truth: `
      1 AIN0 input
      2 DOUT three-state
      3 SCLK input
      4 REFP input
      5 AVSS ground
      6 AVDD supply-in
      7 DRDY - open-drain
      8 CLK input
      9 BYP supply-out
      10 IOUT output`,
  },
  {
    name: 'quotes, commas and blank columns from a spreadsheet',
    text: `,,Pinout of TF3001,,,
,,,,,
,Pin,Signal,I/O,Description,
,1,"VIN","P","Input supply, 2.7 V to 5.5 V",
,2,"GND","G","Ground",
,"3, 4","OUT","O","Driver output, both pins together",
,5,"IN","I","Logic input, with hysteresis",
`,
    truth: `
      1 VIN supply-in
      2 GND ground
      3 OUT output
      4 OUT output
      5 IN input`,
  },
  {
    name: 'negative halves that are not active low',
    text: `Pin,Name,Type,Description
1,TX_P,O,Transmitter output
2,TX_N,O,Transmitter output
3,RX_P,I,Receiver input
4,RX_N,I,Receiver input
5,PERST_N,I,Reset input
6,CLKREQ_N,OD,Clock request
`,
    truth: `
      1 TX_P output
      2 TX_N output
      3 RX_P input
      4 RX_N input
      5 PERST_N - input ?
      6 CLKREQ_N - open-drain ?`,
  },
];

interface Truth {
  number: string;
  name: string;
  activeLow: boolean;
  type: string;
  asked: boolean;
}

const truths = (text: string): Truth[] =>
  text
    .trim()
    .split('\n')
    .map((line) => {
      const words = line.trim().split(/\s+/);
      const asked = words.at(-1) === '?';
      const rest = asked ? words.slice(0, -1) : words;
      return { number: rest[0]!, name: rest[1]!, activeLow: rest[2] === '-', type: rest.at(-1)!, asked };
    });

describe.each(CORPUS)('$name', ({ text, truth, package: pkg }) => {
  const proposal = read(text, pkg === undefined ? {} : { package: pkg });
  const pins = byNumber(proposal);
  it.each(truths(truth))('$number $name is $type', ({ number, name, activeLow, type, asked }) => {
    const t = pins[number]!;
    const found = [t.name, !!t.activeLow, t.type];
    // What is wrong must carry a doubt; what is right need not.
    if (asked && JSON.stringify(found) !== JSON.stringify([name, activeLow, type]))
      expect(t.doubts.length + proposal.problems.length).toBeGreaterThan(0);
    else expect(found).toEqual([name, activeLow, type]);
  });
  it('asks nothing that the table answers', () => {
    const right = truths(truth).filter((t) => !t.asked);
    expect(right.filter((t) => pins[t.number]!.doubts.length > 0).map((t) => `${t.name}: ${pins[t.number]!.doubts[0]!.reason}`)).toEqual(
      [],
    );
  });
  it('invents no terminal', () => {
    const highest = Math.max(...truths(truth).map((t) => Number(t.number) || 0));
    for (const t of terminalsIn(proposal))
      if (/^\d+$/.test(t.numbers[proposal.package]!)) expect(Number(t.numbers[proposal.package])).toBeLessThanOrEqual(highest);
  });
});
