import { good } from '../../test/samples';
import { readModels } from '../read-models';

const docsOf = (text: string, name?: string) => {
  const { models } = good(readModels(text));
  return (name === undefined ? models[0]! : models.find((m) => m.name === name)!).nodes.map((n) => n.doc);
};
const card = (comments: string, nodes = '1 2 3') => `${comments}\n.subckt X ${nodes}\n.ends`;

it.each<[string, string[]]>([
  ['1 drain 2 gate 3 source', ['drain', 'gate', 'source']],
  ['1) drain 2) gate 3) source', ['drain', 'gate', 'source']],
  ['#1 drain #2 gate #3 source', ['drain', 'gate', 'source']],
  ['3 source 1 drain 2 gate', ['drain', 'gate', 'source']],
  ['1 A converter 2 V output 3 channels', ['', '', '']],
  ['1 drain 2 gate', ['', '', '']],
  ['node sequence drain-gate-source', ['drain', 'gate', 'source']],
  ['external nodes are drain, gate and source', ['drain', 'gate', 'source']],
  ['model terminals follow: drain, gate, source', ['drain', 'gate', 'source']],
  ['order as in the symbol: drain, gate, source', ['drain', 'gate', 'source']],
  ['connections are (left to right) drain, gate, source', ['drain', 'gate', 'source']],
  ['<drain> <gate> <source>', ['drain', 'gate', 'source']],
  ['(drain) (gate) (source)', ['drain', 'gate', 'source']],
  ['(note) (this) (text)', ['', '', '']],
  ['drain[1], gate[2], source[3]', ['drain', 'gate', 'source']],
  ['n1 - drain, n2 - gate, n3 - source', ['drain', 'gate', 'source']],
  ['drain is node 1, gate is node 2 and source is node 3', ['drain', 'gate', 'source']],
  ['Pin 1 is the drain. Pin 2 is the gate. Pin 3 is the source.', ['drain', 'gate', 'source']],
  ['pin 1 is the drain, pin 2 is the gate and pin 3 is the source', ['drain', 'gate', 'source']],
  ['the first node is the drain, the second the gate, the third the source', ['drain', 'gate', 'source']],
  ['the second is the drain, the first the gate, the third the source', ['', '', '']],
  ['D:1 G:2 S:3', ['D', 'G', 'S']],
  ['usage: Xname <drain> <gate> <source> X', ['drain', 'gate', 'source']],
  ['source = last, gate = middle, drain = first', ['', '', '']],
  ['nodes 1 and 2 are the inputs (+,-), 3 the output', ['', '', '']],
  ['pinning: 1 = drain, 2 = gate, 3 = source (SOT-23)', ['', '', '']],
])('reads a line as a person does: %s', (comment, docs) => expect(docsOf(card(`* library\n\n* ${comment}`))).toEqual(docs));

describe('what comments say of nodes, in the forms that makers write', () => {
  it.each<[string, string, string[]]>([
    ['elbows', card('* +---- in\n* | +-- out\n* | | +- common'), ['in', 'out', 'common']],
    ['bars with dashes', card('* |----- in\n* |  |-- out\n* |  |  |- common'), ['in', 'out', 'common']],
    ['a bar of its own for each label', card('* | in\n* | | out\n* | | | common'), ['in', 'out', 'common']],
    ['a ladder that hangs below', '.subckt X 1 2 3\n* |  |  +- common\n* |  +---- out\n* +------- in\n.ends', ['in', 'out', 'common']],
    ['a ladder that hangs by bars', '.subckt X 1 2 3\n* |  |  common\n* |  out\n* in\n.ends', ['in', 'out', 'common']],
    [
      'attributes behind commas',
      '.subckt X 1 2 3 ; ground pin, reset output, active low, supply\n.ends',
      ['ground pin', 'reset output, active low', 'supply'],
    ],
    ['a sign alone', card('* PINS: +\n*       | out\n*       | | -\n*       | | |'), ['+', 'out', '-']],
    ['no title with a revision', card('* OS34 MODEL, rev A, 2026', 'NB NC NE'), ['', '', '']],
    ['the other node in brackets as no word of it', card('* Vcc+ (vcc)\n* Vcc- (vee)\n* Out (y)', 'vcc vee y'), ['Vcc+', 'Vcc-', 'Out']],
    ['what an entry has in brackets', card('* 1:VDD 2:GND 3:P (pressure, 1 V = 1 Pa)'), ['VDD', 'GND', 'P (pressure, 1 V = 1 Pa)']],
    [
      'a pair of nodes by its signs',
      card('* E+  excitation\n* E-  return of it\n* S   signal', 'EP EN S'),
      ['excitation', 'return of it', 'signal'],
    ],
    [
      'the sign of an input behind a colon',
      card('* inp : + input\n* inm : - input\n* q : output', 'inp inm q'),
      ['+ input', '-input', 'output'],
    ],
    [
      'names in columns, some of two words',
      card('* in+  in-  out  buffer in  buffer out', '4 5 6 8 9'),
      ['in+', 'in-', 'out', 'buffer in', 'buffer out'],
    ],
    ['names in brackets of their own', card('* Coupler (1 A) (2 K) (3 GND)'), ['A', 'K', 'GND']],
    ['no pin of the package', card('* Pins: 2=VIN 4=GND 6=VOUT', 'VIN GND VOUT'), ['', '', '']],
    [
      'nodes and words side by side',
      card('* pair; Q1: 1 2 3 = C1 B1 E1, Q2: 6 5 4 = C2 B2 E2', '1 2 3 4 5 6'),
      ['C1', 'B1', 'E1', 'E2', 'B2', 'C2'],
    ],
    ['contacts in a bare line', card('* coil+ coil- common make break', '1 2 3 4 5'), ['coil+', 'coil-', 'common', 'make', 'break']],
    [
      'ends of windings, in words that are known',
      card('* primary dot, primary end, secondary dot, secondary end', '1 2 3 4'),
      ['primary dot', 'primary end', 'secondary dot', 'secondary end'],
    ],
    [
      'a list behind dots, with remarks in brackets',
      card('* .. supply, ground, out (open drain)', 'vdd gnd out'),
      ['supply', 'ground', 'open drain'],
    ],
    ['no package drawing in brackets', card('* Regulator (TO-220: in, gnd, out)'), ['', '', '']],
    ['dots', card('* 1 ..... in\n* 2 ..... out\n* 3 ..... common'), ['in', 'out', 'common']],
    ['sentences', card('* Node 1 is the input.\n* Node 2 is the output.\n* Node 3 is the common.'), ['input', 'output', 'common']],
    ['numbers with a bracket', card('* 1) in\n* 2) out\n* 3) common'), ['in', 'out', 'common']],
    ['bullets', card('* - 1: in\n* - 2: out\n* - 3: common'), ['in', 'out', 'common']],
    ['several with colons', card('* 1: in, 2: out, 3: common'), ['in', 'out', 'common']],
    ['several with a label each', card('* Node 1: in  Node 2: out  Node 3: common'), ['in', 'out', 'common']],
    ['several the other way round', card('* in = 1, out = 2, common = 3'), ['in', 'out', 'common']],
    ['nodes in brackets before words with commas', card('* terminals: (1) supply  (2) output, open drain  (3) ground'), ['supply', 'output, open drain', 'ground']], // prettier-ignore
    ['the package’s pins in a column behind', card('* 1   INPUT   5\n* 2   OUTPUT   6\n* 3   GROUND   4'), ['INPUT', 'OUTPUT', 'GROUND']],
    ['two transistors counted', card('* dual NPN, transistor 1: C1 B1 E1, transistor 2: C2 B2 E2', '11 12 13 21 22 23'), ['C1', 'B1', 'E1', 'C2', 'B2', 'E2']], // prettier-ignore
    ['windings and where they begin', card('* Pulse transformer 1:1\n* primary 1-2, secondary 3-4, dots at 1 and 3', '1 2 3 4'), ['primary', 'primary', 'secondary', 'secondary']], // prettier-ignore
    ['lines that turn down at their corners', card('* in  -----.\n* out ---. |\n* gnd--. | |', '3 2 1'), ['gnd', 'out', 'in']], // prettier-ignore
    ['pins with their nodes in brackets', card('* PIN 1 (node 3)  : +IN\n* PIN 2 (node 1)  : -IN\n* PIN 3 (node 2)  : OUT', '3 1 2'), ['+IN', '-IN', 'OUT']], // prettier-ignore
    ['letters that a legend has words for', card('* A = anode    C = collector\n* K = cathode  E = emitter\n*  A K C E', '1 2 3 4'), ['anode', 'cathode', 'collector', 'emitter']], // prettier-ignore
    ['a list with words in brackets between', card('* Terminal list: B1 (select low), GND, B0 (select high)', 'B1 GND B0'), ['select low', 'GND', 'select high']], // prettier-ignore
    ['the ends of a diode', card('* Zener 5.6 V\n* Cathode Anode', '1 2'), ['Cathode', 'Anode']],
    ['drains with a node for each of their pins', card('* dual N-channel\n* S1 G1 S2 G2 D2 D2 D1 D1', '1 2 3 4 5 6 7 8'), ['S1', 'G1', 'S2', 'G2', 'D2', 'D2', 'D1', 'D1']], // prettier-ignore
    ['numbers in brackets', card('* IN(1) OUT(2) GND(3)'), ['IN', 'OUT', 'GND']],
    ['nodes in brackets before their words', card('* (1) IN  power input\n* (2) OUT  output\n* (3) GND  common'), ['IN power input', 'OUT output', 'GND common']], // prettier-ignore
    ['a package with dashes at its leads', card('*   +-----+\n* 1-|IN GND|-3\n* 2-|OUT NC|-4\n*   +-----+'), ['IN', 'OUT', 'GND']],
    ['two lists of which one is the model’s', card('* Package: 1=GND 2=OUT 3=IN\n* Model nodes: IN=1 OUT=2 GND=3'), ['IN', 'OUT', 'GND']],
    [
      'a list of the package’s pins, and the model’s order',
      card('* Pins:\n* 1 GND\n* 2 OUT\n* 3 IN\n* Model connections: IN OUT GND'),
      ['IN', 'OUT', 'GND'],
    ],
    ['a line for each node in brackets', card('* positive supply (1)\n* enable (active high) (2)\n* ground (node 3)'), ['positive supply', 'enable (active high)', 'ground']], // prettier-ignore
    ['one node in brackets, which is a remark', card('* made for the small package (3)'), ['', '', '']],
    ['the word for a pin before the names of nodes', card('* Pin IN power input\n* Pin OUT output\n* Pin GND common\n* Pin EN enable', 'IN OUT GND EN'), ['power input', 'output', 'common', 'enable']], // prettier-ignore
    ['words before numbers in brackets', card('* IN(1) output(2) sense output(3)'), ['IN', 'output', 'sense output']],
    ['names in brackets', card('* 1 (IN), 2 (OUT), 3 (GND)'), ['IN', 'OUT', 'GND']],
    ['a title before the list', card('* Hall switch: 1 supply, 2 output, 3 ground'), ['supply', 'output', 'ground']],
    ['one blank, where all have it', card('* IN input\n* OUT output\n* GND ground', 'IN OUT GND'), ['input', 'output', 'ground']],
    [
      'a line for each place',
      card('* Order of the nodes:\n* 1st  inverting input\n* 2nd  positive supply\n* third: output', 'a b c'),
      ['inverting input', 'positive supply', 'output'],
    ],
    [
      'a table with the package’s pins',
      card('* Node  Pin  Signal\n* 1   3   IN+\n* 99  7   VDD\n* 50  4   VSS', '1 99 50'),
      ['IN+', 'VDD', 'VSS'],
    ],
    ['nodes in groups', card('* Inputs : A, B\n* Output : Y', 'A B Y'), ['Inputs', 'Inputs', 'Output']],
    ['a title with the first word', card('* Shunt reference: cathode, anode, output', 'K A R'), ['cathode', 'anode', 'output']],
    ['places that are counted', card('* pins: 1 = VIN, 2 = VOUT, 3 = GND', 'x1 x2 x3'), ['VIN', 'VOUT', 'GND']],
    ['the package’s pins counted', card('* Pinout: 1 = GND, 2 = OUT, 3 = IN', 'vin gnd vout'), ['', '', '']],
    ['a sign that follows the lead', card('* PINOUT ORDER -IN +IN OUT'), ['-IN', '+IN', 'OUT']],
    ['a list behind a title with a comma', card('* X : one of four, +in -in out'), ['+in', '-in', 'out']],
    ['the card’s order', card('* .SUBCKT order: ADJ (or GND), OUT, IN'), ['ADJ (or GND)', 'OUT', 'IN']],
    ['an order with a comma', card('* terminals, in order: signal in, signal out, ground'), ['signal in', 'signal out', 'ground']],
    ['ways of a signal', card('* RFIN/GND/RFOUT'), ['RFIN', 'GND', 'RFOUT']],
    ['a sample call', card('* Usage: XU1 IN OUT GND X'), ['IN', 'OUT', 'GND']],
    ['a sample call with parameters', card('* call: X1 IN OUT GND X R=1k'), ['IN', 'OUT', 'GND']],
    ['a list with bare names between', card('* Pins: A = input, GND, Y = output', 'A GND Y'), ['input', 'GND', 'output']],
    ['columns of entries with colons', card('* in: 1   out: 2   common: 3'), ['in', 'out', 'common']],
    ['columns of entries', card('* IN = 1    OUT = 2    GND = 3'), ['IN', 'OUT', 'GND']],
    ['a ruled table', card('* | 1 | in |\n* | 2 | out |\n* | 3 | common |'), ['in', 'out', 'common']],
    ['a number in brackets first', card('* (1) IN (2) OUT (3) GND'), ['IN', 'OUT', 'GND']],
    ['a lead inside a line', card('* A receiver; node list: IN OUT GND'), ['IN', 'OUT', 'GND']],
    ['an order that is named at its end', card('* Nodes are IN OUT GND in that order.'), ['IN', 'OUT', 'GND']],
    [
      'a line for each after a lead',
      card('* NODES ARE:  IN   signal input\n*             OUT  signal output\n*             GND  ground'),
      ['IN signal input', 'OUT signal output', 'GND ground'],
    ],
    ['names with signs straight above', card('* +Vin -Vin +Vout -Vout', 'a b c d'), ['+Vin', '-Vin', '+Vout', '-Vout']],
    ['pins that are no nodes', card('* Pin 1: Drain; Pin 2: Gate; Pin 3: Source', '10 20 30'), ['Drain', 'Gate', 'Source']],
    ['an order with a remark behind it', card('* node order  OUT  GND  IN    (package order IN OUT GND)'), ['OUT', 'GND', 'IN']],
    ['a list behind the model’s name', card('* SUBCKT X (in, out, adj): a regulator'), ['in', 'out', 'adj']],
    ['entries in braces', card('* Terminals: {1: collector} {2: gate} {3: emitter}'), ['collector', 'gate', 'emitter']],
    ['an order below a title', '.subckt X 3 2 6\n* LOW-POWER AMPLIFIER\n* NON-INV  INV  OUT\n.ends', ['NON-INV', 'INV', 'OUT']],
    ['a boxed table', card('* 1 | in        *\n* 2 | out       *\n* 3 | common    *'), ['in', 'out', 'common']],
    ['labels with a sign of their own', card('* -IN\n* |  OUT\n* |  |  +IN\n* |  |  |'), ['-IN', 'OUT', '+IN']],
    ['a list in brackets straight above', card('* (Emitter, Base, Collector)'), ['Emitter', 'Base', 'Collector']],
    [
      'a table under a line of dashes',
      card('* Node   Description\n* ----   -----------\n* N1    LED cathode\n* N2    LED anode\n* N3    Base', 'N1 N2 N3'),
      ['LED cathode', 'LED anode', 'Base'],
    ],
    [
      'words that are no list of three roles',
      card('* IN input\n* OUT output\n* K  common cathode', 'IN OUT K'),
      ['input', 'output', 'common cathode'],
    ],
    ['an active-low name', card('* D data, LE enable, OE# output enable', 'D LE OE'), ['data', 'enable', 'output enable']],
    [
      'the order of the model beside that of the package',
      card('* pin 1 OUT, pin 2 IN, pin 3 GND (package order)\n* Model terminals:  IN GND OUT'),
      ['IN', 'GND', 'OUT'],
    ],
    ['names behind a title', card('* NMOS typical: D G S'), ['D', 'G', 'S']],
    ['words behind a title and blanks', card('* SCR   anode gate cathode'), ['anode', 'gate', 'cathode']],
    ['names of any case straight above', card('* Anode Cathode Gate Vcap GND', '1 2 3 4 5'), ['Anode', 'Cathode', 'Gate', 'Vcap', 'GND']],
    ['two of a kind', card('* MT2 G MT1'), ['MT2', 'G', 'MT1']],
    ['names with a stroke', card('* TVS array: I/O1, I/O2, GND'), ['I/O1', 'I/O2', 'GND']],
    ['nodes that wait for their words', card('* 1, 2 = element, 3 = case'), ['element', 'element', 'case']],
    ['a title in capitals', card('* DUAL GATE DRIVER'), ['', '', '']],
    ['words over bars', card('*  in  out  common\n*  |    |     |'), ['in', 'out', 'common']],
    ['single blanks over bars', card('*  IN OUT GND\n*  |  |   |'), ['IN', 'OUT', 'GND']],
    ['labels at the left of their bars', card('* in     ---+\n* out    ---|--+\n* common ---|--|--+'), ['in', 'out', 'common']],
    ['a framed table', card('* +---+------+\n* | 1 | in   |\n* | 2 | out  |\n* | 3 | common |\n* +---+------+'), ['in', 'out', 'common']],
    ['one label for several nodes', card('* D=1 2, S=3'), ['D', 'D', 'S']],
    ['several nodes for one label', card('* 1, 2 = drain\n* 3 = source'), ['drain', 'drain', 'source']],
    ['the number of the pin before the name', card('*  7  IN   input\n*  8  OUT  output', 'IN OUT'), ['input', 'output']],
    [
      'arrows line by line',
      card('* External node designations\n* Node 1 -> Drain\n* Node 2 -> Gate\n* Node 3 -> Source'),
      ['Drain', 'Gate', 'Source'],
    ],
    ['leaders of spaced dots', card('*  . 1 . . . in\n*  . 2 . . . out\n*  . 3 . . . common'), ['in', 'out', 'common']],
    ['a counted list', card('* Ports (in order):\n*   1. IN   2. OUT   3. GND', 'a b c'), ['IN', 'OUT', 'GND']],
    ['a frame of signs', card('*####\n*# A K\n*####', '1 2'), ['A', 'K']],
    [
      'a remark on an older part behind',
      '* XX1: 1=in 2=out 3=common (old YY1: 1=out)\n.subckt XX1 1 2 3\n.ends\n.subckt YY1 1\n.ends',
      ['in', 'out', 'common'],
    ],
    ['an order of external nodes', card('* External nodes order: Drain, Gate, Source', '4 1 2'), ['Drain', 'Gate', 'Source']],
    [
      'two nodes with a stroke between',
      card('* Switch TF1:  IN = control, D = common, S1/S2 = contacts', 'D S1 S2 IN'),
      ['common', 'contacts', 'contacts', 'control'],
    ],
    [
      'a list behind a title that says what the names say',
      card('* Sensor: supply, ground, output (open drain), field as a voltage', 'VDD GND OUT B'),
      ['supply', 'ground', 'output (open drain)', 'field as a voltage'],
    ],
    [
      'labels before the word node',
      card('* AC inputs: nodes 1 and 2; plus: node 3; minus: node 4', '1 2 3 4'),
      ['AC inputs', 'AC inputs', 'plus', 'minus'],
    ],
    [
      'items that begin with their nodes',
      card('* IN1/IN2 inputs, OUT output, VM motor supply', 'IN1 IN2 OUT VM'),
      ['inputs', 'inputs', 'output', 'motor supply'],
    ],
    ['items with the word terminal', card('* Terminal 1 +In, Terminal 2 -In, Terminal 3 Out'), ['+In', '-In', 'Out']],
    ['items that end with their numbers', card('* Relay: coil 1-2, common 3', '1 2 3'), ['coil', 'coil', 'common']],
    ['items in columns', card('* 1 drain  2 source  3 gate'), ['drain', 'source', 'gate']],
    ['entries in columns with several nodes', card('*  INPUTS: 1 2    OUTPUT: 3'), ['INPUTS', 'INPUTS', 'OUTPUT']],
    ['several nodes before dots', card('* S0, S1 .... inputs\n* SEL ..... select', 'S0 S1 SEL'), ['inputs', 'inputs', 'select']],
    [
      'a bare line that says what the names say',
      card('*  +Vs  Vout  GND  Temperature(V)', 'VS VO GND TEMP'),
      ['+Vs', 'Vout', 'GND', 'Temperature(V)'],
    ],
    ['the package only', card('* package: 1 = G, 2 = D, 3 = S', 'G D S'), ['', '', '']],
    ['arrows', card('* node order: IN -> OUT -> GND'), ['IN', 'OUT', 'GND']],
    ['an order in brackets', card('* pins (IN, OUT, GND)'), ['IN', 'OUT', 'GND']],
    ['an order over two lines', card('* Pin order:\n*   IN OUT\n*   GND'), ['IN', 'OUT', 'GND']],
    ['a list further down in the body', '.subckt X 1 2 3\nR1 1 2 1\n* 1 = in\n* 2 = out\n* 3 = common\n.ends', ['in', 'out', 'common']],
    [
      'names in order, and a list of what is behind them',
      card('* PINS: VB HO VS\n*  VB   floating supply\n*  HO   gate of the upper switch\n*  VS   return of the upper side'),
      ['VB floating supply', 'HO gate of the upper switch', 'VS return of the upper side'],
    ],
    [
      'places that are counted before a colon',
      card('* Node list (in order)\n* 1: supply input (with lockout)\n* 2: on, active high\n* 3: return', 'VCC ON GND'),
      ['supply input (with lockout)', 'on, active high', 'return'],
    ],
    [
      'an order from left to right',
      card('* terminals, left to right in the .SUBCKT line: supply, input, hold capacitor', 'VP AIN CH'),
      ['supply', 'input', 'hold capacitor'],
    ],
    ['items between slashes', card('* 1 gnd / 2 trig / 3 out'), ['gnd', 'trig', 'out']],
    [
      'several nodes between slashes',
      card('* inp/inn  thermocouple\n* out  signal', 'inp inn out'),
      ['thermocouple', 'thermocouple', 'signal'],
    ],
    [
      'several nodes behind their words',
      card('* choke, winding 1 = pins 1-2, winding 2 = pins 4-3', '1 2 3 4'),
      ['winding 1', 'winding 1', 'winding 2', 'winding 2'],
    ],
    [
      'rows behind a rule',
      card('* |  RO   receiver output\n* |  /RE  receiver enable\n* |  DI   driver input', 'RO REB DI'),
      ['receiver output', 'receiver enable', 'driver input'],
    ],
    ['the word node before each of two', card('* node 1 anode, node 2 and node 3 load (ac)'), ['anode', 'load (ac)', 'load (ac)']],
    [
      'rows that are counted as the nodes are',
      card('* 1 CAP  : capacitor\n* 2 GND  : 0 V\n* 3 V+   : supply', 'cap gnd vp'),
      ['capacitor', '0 V', 'supply'],
    ],
    [
      'ranges of letters, and nodes that end the list',
      card("* nodes: CK clock, CLR_ clear\n* QA..QC outputs, QC' cascade, GND", 'CK CLR_ QA QB QC QCS GND'),
      ['clock', 'clear', 'outputs', 'outputs', 'outputs', 'cascade', ''],
    ],
    [
      'volts that are as many as the nodes',
      card('* 1 = VOUT  output\n* 2 = VIN  input, 1 to 3.5 V\n* 3 = ON'),
      ['VOUT output', 'VIN input, 1 to 3.5 V', 'ON'],
    ],
    ['names that end as sentences', card('* IN. signal, ac or dc\n* OUT. its average', 'IN OUT'), ['signal, ac or dc', 'its average']],
    [
      'names in a comment on the card',
      '.subckt X A K G ; diode controller: A anode side (input), K cathode side, G\n.ends',
      ['anode side (input)', 'cathode side', ''],
    ],
    [
      'entries in columns that have commas',
      card('* SW=drain  SRC=source, tab  IN=logic input', 'SW SRC IN'),
      ['drain', 'source, tab', 'logic input'],
    ],
    [
      'several nodes before their words',
      card('* nodes: A+ A- coil ends, CA centre tap', 'A+ CA A-'),
      ['coil ends', 'centre tap', 'coil ends'],
    ],
    [
      'several nodes before each sign',
      card('* A1 A2 = coil, 11 12 14 = contact (common, closed, open)', 'A1 A2 11 12 14'),
      ['coil', 'coil', ...Array<string>(3).fill('contact (common, closed, open)')],
    ],
    [
      'words that go on behind a comma',
      card('* COM: common anode, R/G: cathodes of red, green', 'COM R G'),
      ['common anode', 'cathodes of red, green', 'cathodes of red, green'],
    ],
    [
      'dashes between semicolons, and a node S',
      card('* Terminals: D - drain, 700 V; S - source, also ground', 'D S'),
      ['drain, 700 V', 'source, also ground'],
    ],
    [
      'an order whose last two are counted',
      card('* connections: input / output / offset null 1 / offset null 2', '1 2 3 4'),
      ['input', 'output', 'offset null 1', 'offset null 2'],
    ],
    ['a range of volts', card('* vs  supply 3..36 V\n* out  signal', 'vs out'), ['supply 3..36 V', 'signal']],
    [
      'lines that are drawn with box characters',
      card('* ┌──── in\n* │ ┌── out\n* │ │ ┌─ common\n* │ │ │', '4 5 6'),
      ['in', 'out', 'common'],
    ],
    ['a single dash before the corner', card('* limit --+\n* in ---+ |\n* out -+ | |', '7 8 9'), ['out', 'in', 'limit']],
    [
      'entries between rules',
      card('* P: + bus | N: - bus | G, E: gate and its emitter', 'P N G E'),
      ['+ bus', '-bus', 'gate and its emitter', 'gate and its emitter'],
    ],
    [
      'ranges of names',
      card('* I1..I3 : inputs\n* O1 to O3 : outputs', 'I1 I2 I3 O1 O2 O3'),
      ['inputs', 'inputs', 'inputs', 'outputs', 'outputs', 'outputs'],
    ],
    ['places in brackets of another kind', card('* [1] +in  [2] -in  [3] out'), ['+in', '-in', 'out']],
    ['marks before the word pin', card('* @pin 1 shutdown\n* @pin 2 + input\n* @pin 3 - input'), ['shutdown', '+ input', '-input']],
    [
      'an order that is told behind it',
      card('* line a, line b and the centre electrode, in this order', 'a b c'),
      ['line a', 'line b', 'centre electrode'],
    ],
    [
      'an announced order with each node’s own name',
      card('* functions (order)\n* EXC  - 2.5 V\n* INP  - bridge plus\n* OUT  - raw output', 'EXC INP OUT'),
      ['2.5 V', 'bridge plus', 'raw output'],
    ],
    [
      'what is said alike under two titles',
      card('* primary: P1 (start), P2 (end)\n* secondary: S1 (start), S2 (end)', 'P1 P2 S1 S2'),
      ['primary start', 'primary end', 'secondary start', 'secondary end'],
    ],
    [
      'several nodes before an equals sign',
      card('* NTC: t1 t2 = the resistor, amb = ambient (V = degree)', 't1 t2 amb'),
      ['the resistor', 'the resistor', 'ambient (V = degree)'],
    ],
    ['names before their numbers', card('* IN 1, GND 2, COM 3'), ['IN', 'GND', 'COM']],
    [
      'the package’s pins in the order of the nodes',
      card('* Pin 1: Anode\n* Pin 2: Cathode\n* Pin 4: Emitter', 'A K E'),
      ['Anode', 'Cathode', 'Emitter'],
    ],
    ['two groups between a slash', card('* dual JFET: D1 G1 S1 / D2 G2 S2', '11 12 13 21 22 23'), ['D1', 'G1', 'S1', 'D2', 'G2', 'S2']],
    [
      'a ruled table of three columns',
      card('* +---+-----+--------+\n* | 1 | GND | ground |\n* | 2 | IN2 | input  |\n* | 3 | VM  | supply |'),
      ['GND ground', 'IN2 input', 'VM supply'],
    ],
    [
      'words before the names of their nodes',
      card('* inputs A B, output Y, supply VCC', 'A B Y VCC'),
      ['inputs', 'inputs', 'output', 'supply'],
    ],
    ['a sign behind a ladder’s dashes', card('* ,----- RG-\n* | ,--- -IN\n* | | ,- +IN'), ['RG-', '-IN', '+IN']],
    ['a list behind a title and a dash', card('* TFS12 SCR - anode, cathode, gate'), ['anode', 'cathode', 'gate']],
    ['numbers behind a hash', card('*#1 GND   #2 IN   #3 IS (current sense)'), ['GND', 'IN', 'IS (current sense)']],
    ['two nodes before their words', card('* OUT    output\n* VP VM  supplies', 'OUT VP VM'), ['output', 'supplies', 'supplies']],
    [
      'a slash in a name that the card has with an underscore',
      card('* RT/CLK  frequency\n* FB  feedback', 'RT_CLK FB'),
      ['frequency', 'feedback'],
    ],
    ['its own card with names in angle brackets', card('* .subckt X <sel> <in0> <out>', 's a0 y'), ['sel', 'in0', 'out']],
    [
      'entries between rules beside nodes alone',
      card('* vin gnd | led1 led2 : cathodes | iset : resistor', 'vin gnd led1 led2 iset'),
      ['', '', 'cathodes', 'cathodes', 'resistor'],
    ],
    [
      'two nodes before their words, one blank apart',
      card('* ENA enable, high\n* IN1 IN2 inputs\n* OUT output', 'ENA IN1 IN2 OUT'),
      ['enable, high', 'inputs', 'inputs', 'output'],
    ],
    [
      'pairs between slashes and nodes alone at the end',
      card('* rf+/rf- balanced input, lo+/lo- drive, vcc, gnd', 'rfp rfn lop lon vcc gnd'),
      ['balanced input', 'balanced input', 'drive', 'drive', '', ''],
    ],
    [
      'a list in a box of asterisks',
      card('*************\n*  OUT   1  *\n*  VEE   2  *\n*  IN+   3  *\n*************'),
      ['OUT', 'VEE', 'IN+'],
    ],
    ['dots without a blank', card('* 1.....set coil\n* 2.....reset coil\n* 3.....common'), ['set coil', 'reset coil', 'common']],
    [
      'a title that names pins among other things',
      card('* Pin functions and features:\n* 1 = in\n* 2 = out\n* 3 = common'),
      ['in', 'out', 'common'],
    ],
    ['comments between the lines of the card', '.subckt X\n* 1 = in\n+ 1\n* 2 = out\n+ 2\n.ends', ['in', 'out']],
  ])('%s', (_how, text, expected) => expect(docsOf(text)).toEqual(expected));

  it.each<[string, string]>([
    ['a title that begins with a node’s number', card('* 2 A converter\n* 40 V, 1 MHz')],
    ['two orders that contradict each other', card('* 1=IN 2=OUT 3=GND\n* order: GND IN OUT')],
    ['a sentence of as many words', card('* pins of the part')],
    ['a history of revisions', card('* 1 Initial release\n* 2 Corrected resistance\n* 3 Added breakdown')],
    ['one line that happens to begin with a node', card('* IN a few words', 'IN OUT GND')],
    ['a remark in the body about one element', '.subckt X 1 2 3\nR1 1 2 1\n* 1 = the first stage\nR2 2 3 1\n.ends'],
    ['words of elements', card('* C1 B1 E1 first, C2 B2 E2 second', 'C1 B1 E1')],
    ['a rule of dashes', card('* ---------------\n* | A fine part |\n* ---------------')],
    ['items of which one has no node', card('* X1/X2 crystal terminals, CASE to ground', 'X1 X2 CASE')],
    ['a sentence in brackets', card('* a model (IN, OUT, B field in mT)', 'IN GND OUT')],
    ['a list that says other things than the names', card('* Notes: output, ground, field, supply', 'VDD GND OUT B')],
    ['an outline’s pins', card('* SOT-23: pin 1 gate, pin 2 source, pin 3 drain')],
    ['two outlines’ pins', card('* SOT23 pinout: 1=OUT 2=GND 3=IN\n* SO8 pinout: 1=IN 2=GND 3=OUT')],
    ['two lists that say unlike things', card('* 1=OUT 2=GND 3=IN\n* 1=IN 2=GND 3=OUT')],
    ['an order from its end', card('* pins from last to first: OUT GND IN')],
    ['the nodes’ own names in another order', card('* Pin 1 = S, pin 2 = G, pin 3 = D', 'D G S')],
    ['a title of two words', card('* Positive Regulator', '1 2')],
    ['counted pins of a package that name the nodes otherwise', card('* 1: GND\n* 2: IN\n* 3: OUT', 'IN OUT GND')],
    ['the sides of an isolator', card('* Side 1: VDD1 GND1\n* Side 2: VDD2 GND2', 'VDD1 GND1 GND2 VDD2')],
    ['what lies outside', card('* external: drain gate source', 'drain gate source Tj')],
    [
      'clauses of a licence',
      card(
        '* 1. Redistributions must retain the notice.\n* 2. Redistributions in binary form as well.\n* 3. No name may be used to endorse.',
      ),
    ],
    ['what a model has', card('* 1 - offset voltage and drift\n* 2 - input bias current\n* 3 - common mode range')],
    ['steps', card('* 1) copy the file\n* 2) include it\n* 3) draw a symbol', 'a b c')],
    ['days of a history', card('* 1 March 2026 reviewed\n* 2 April 2026 checked')],
    ['figures with units', card('* 1 mV offset, 2 nA bias, 3 MHz bandwidth')],
    ['conditions', card('* Conditions: IN = 12 V, OUT = 5 V', 'IN OUT GND')],
    ['notes', card('* Notes:\n* (1) the bandwidth is set by C1\n* (2) valid from 0 to 85 C')],
    ['levels of a model', card('* relay, model levels: 1 = fast, 2 = accurate, 3 = with bounce')],
    ['values of parts', card('* filter: 1 = 10k, 2 = 22n, 3 = 47k')],
    ['limits', card('* limits:\n* VCC 18 V max\n* IN  -0.3 to VCC\n* OUT 2 A peak', 'IN VCC OUT')],
    ['how far it agrees', card('* 1 offset   within 5 %\n* 2 gain     within 2 %\n* 3 supply   within 9 %')],
    ['a title of as many words', card('* RGB LED common anode', 'COM R G B')],
    ['what the names deny', card('* control input output', 'D G S')],
    ['a supply that is said of a ground', card('* enable, soft start, power good', 'IN OUT GND')],
    ['the elements of a circuit', card('* D1 input clamp, D2 output clamp, D3 supply clamp')],
    ['elements beside their words', card('* R1 input R2 output R3 supply', '1 2 3 4 5 6')],
    ['a test at certain volts', card('* VCC = 5 V, VEE = -5 V', '1 2')],
    ['what it has, counted', card('* 2 inputs, 1 output')],
    ['a path', card('* signal path: input, gain, output')],
    ['a package from a side', card('* leads seen from the front: gate drain source')],
    ['quantities', card('* drain gate charge, source inductance, gate resistance')],
    ['a call of another model', card('* Usage: X1 IN OUT GND OTHER')],
  ])('takes nothing from %s', (_what, text) => expect(docsOf(text).every((d) => d === '')).toBe(true));

  describe('of a family that is described above its first member', () => {
    const text =
      '* AMP1: 1=OUT 2=IN- 3=IN+\n* AMP2: 1=IN+ 2=IN- 3=OUT\n.subckt AMP1 1 2 3\n.ends\n* AMP2: 1=IN+ 2=IN- 3=OUT\n.subckt AMP2 1 2 3\n.ends';
    it.each([
      ['AMP1', ['OUT', 'IN-', 'IN+']],
      ['AMP2', ['IN+', 'IN-', 'OUT']],
    ])('each model takes its own: %s', (name, expected) => expect(docsOf(text, name)).toEqual(expected));
  });
  it('a foreign paragraph ends at a blank comment', () =>
    expect(docsOf('* see OTHER1\n* 1 = wrong\n*\n* 1 = in\n* 2 = out\n.subckt X 1 2\n.ends\n.subckt OTHER1 1\n.ends')).toEqual([
      'in',
      'out',
    ]));
});

it('takes a line at the top of the file that begins with the name of a later model', () => {
  const text = '* AA1: 1 = out, 2 = in\n* BB1: 1 = in, 2 = out\n.subckt AA1 1 2\n.ends\n.subckt BB1 1 2\n.ends';
  expect([docsOf(text, 'AA1'), docsOf(text, 'BB1')]).toEqual([['out', 'in'], ['in', 'out']]); // prettier-ignore
});
