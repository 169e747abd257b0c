import { good } from '../../test/samples';
import { readModels } from '../read-models';

const docsOf = (text: string) => good(readModels(text)).models[0]!.nodes.map((n) => n.doc);
const above = (comments: string, nodes: string) => `${comments}\n.subckt X ${nodes}\n.ends`;

describe('comments between the lines of a card', () => {
  const card = (lines: string) => `.subckt X\n${lines}\n.ends`;
  it.each<[string, string, string[]]>([
    ['over each node', '* gate\n+ 1\n* drain\n+ 2\n* source\n+ 3', ['gate', 'drain', 'source']],
    ['under each node', '+ 1\n* gate\n+ 2\n* drain\n+ 3\n* source', ['gate', 'drain', 'source']],
    ['with the node’s own name', '* IN: input\n+ IN\n* G: ground\n+ G', ['input', 'ground']],
    ['before parameters', '* - input\n+ 1\n* positive input\n+ 2\n* output\n+ 3\n+ PARAMS: A=1k', ['-input', 'positive input', 'output']],
    ['over some of them', '* gate\n+ 1\n+ 2\n* source\n+ 3', ['', '', '']],
    ['over the first and under the last', '* gate\n+ 1\n* drain\n+ 2\n* source\n+ 3\n* bulk\nR1 1 2 1', ['', '', '']],
    ['as one sentence', '* drain first\n+ 1\n* then the gate\n+ 2\n* and the source\n+ 3', ['', '', '']],
    ['about something else', '* here it starts\n+ 1\n* added in May\n+ 2\n* not used\n+ 3', ['', '', '']],
  ])('%s', (_where, lines, docs) => expect(docsOf(card(lines))).toEqual(docs));
});

it.each<[string, string, string, string[]]>([
  ['long arrows', '* Node 1 --> Gate\n* Node 2 ==> Drain', '1 2', ['Gate', 'Drain']],
  ['an order in German', '* Anschlussfolge: Kollektor, Basis, Emitter', '1 2 3', ['Kollektor', 'Basis', 'Emitter']],
  ['an order in French', '* Ordre des broches : entrée, masse, sortie', '1 2 3', ['entrée', 'masse', 'sortie']],
  ['an order in Spanish', '* Orden de los pines: entrada, masa, salida', '1 2 3', ['entrada', 'masa', 'salida']],
  ['commas behind names', '* node,function\n* IN,raw supply\n* G,ground\n* OUT,5 V output', 'IN G OUT', ['raw supply', 'ground', '5 V output']],
  ['names with a mark for programs', '* @node IN raw supply\n* @node OUT 5 V output', 'IN OUT', ['raw supply', '5 V output']],
  ['words that begin with the node’s own name', '* VIN=Supply input, G=Ground, TRIM=Trim input', 'VIN G TRIM', ['Supply input', 'Ground', 'Trim input']],
  ['a name that comes twice', '* node X2 X2 input\n* node Y2 Y2 input', 'X2 Y2', ['X2 input', 'Y2 input']],
  ['nodes in brackets behind words with commas', '* Nodes: reset, active low (5), data (6)', '5 6', ['reset, active low', 'data']],
  ['nodes in brackets behind words in brackets', '* Nodes: in (high = on) (5), data, 5 V tolerant (6)', '5 6', ['in (high = on)', 'data, 5 V tolerant']],
  ['words in brackets behind nodes', '* Nodes: D (drain), KS (source, sensed), S (power source)', 'D KS S', ['drain', 'source, sensed', 'power source']],
  ['a bracket that names two', '* Nodes: OUT, COM, GND (4), IN (5)', 'IN OUT 4 5 COM GND', ['', '', '', '', '', '']],
  ['words that go on under themselves', '* 4   compensation, see the\n*     note below\n* 5   ground', '4 5', ['compensation, see the note below', 'ground']],
  ['a bracket that goes on', '* IN  supply (2.7\n*     V to 5.5 V)\n* G   ground', 'IN G', ['supply (2.7 V to 5.5 V)', 'ground']],
  ['a sign beside its mate', '* A   - input\n* B   positive input\n* C   output', 'A B C', ['-input', 'positive input', 'output']],
  ['a sign behind a dash', '* node A - - input\n* node B - output', 'A B', ['-input', 'output']],
  ['dashes that only part', '* A - input\n* B - output\n* C - + input', 'A B C', ['input', 'output', '+ input']],
  ['places without a sign', '* Nodes, in order:\n*  1 set input\n*  2 output\n*  3 common', 'S Q 0V', ['set input', 'output', 'common']],
  ['places and names, some of them figures', '* Nodes:\n*  1  99   supply\n*  2  3    + input\n*  3  OUT  output', '99 3 OUT', ['supply', '+ input', 'output']],
  ['bullets', '* o IN: raw supply\n* o OUT: 5 V output', 'IN OUT', ['raw supply', '5 V output']],
  ['places with their sign', '* #1 IN: raw supply\n* #2 OUT: 5 V output', 'IN OUT', ['raw supply', '5 V output']],
  ['an order in a sentence', '* The 3 nodes are, in this order: on/off control, supply 2.7 V to 5.5 V and device ground.', '7 8 9', ['on/off control', 'supply 2.7 V to 5.5 V', 'device ground']],
  ['places before numbers', '*#1 7: gate\n*#2 1: drain\n*#3 2: source', '7 1 2', ['gate', 'drain', 'source']],
  ['an order of two', '* Nodes: anode and cathode', '7 8', ['anode', 'cathode']],
  ['a node OUT that is no pinout', '* Pin IN is Input\n* Pin OUT is Output', 'IN OUT', ['Input', 'Output']],
  ['steps before a list', '* 1. set the part number\n* 2. run it\n* 1 = gate\n* 2 = drain', '1 2', ['gate', 'drain']],
  ['volts that are a node’s number', '* 2 = clock, 5 V tolerant\n* 5 = common', '2 5', ['clock, 5 V tolerant', 'common']],
])('reads %s', (_form, comments, nodes, docs) => expect(docsOf(above(comments, nodes))).toEqual(docs)); // prettier-ignore

it.each<[string, string, string, string[]]>([
  ['a bracket each', '* Nodes:\n*[INP] positive input (CMOS)\n*[Q] output', 'INP Q A B C', ['positive input (CMOS)', 'output', '', '', '']],
  ['a colon each', '* External nodes:\n* VIN: Input\n* TRIM: Trim\n* G: Ground', 'VIN TRIM G', ['Input', 'Trim', 'Ground']],
  ['a sign each', '* External nodes:\n* Data input=DIN\n* Supply voltage=VDD', 'DIN VDD A B', ['Data input', 'Supply voltage', '', '']],
  ['columns', '* Nodes:\n* AN    LED anode\n* K     LED cathode\n* C     collector', 'AN K C', ['LED anode', 'LED cathode', 'collector']],
  ['a place each', '* Nodes:\n*  1  OUT  Reference output\n*  2  G    Ground', 'OUT G', ['Reference output', 'Ground']],
])('lines with %s below a lead are no order that goes on', (_form, comments, nodes, docs) =>
  expect(docsOf(above(comments, nodes))).toEqual(docs),
);

describe('two lists that say unlike things', () => {
  const NONE = ['', '', ''];
  const OWN = ['gate', 'drain', 'source'];
  const list = '* 1 = gate\n* 2 = drain\n* 3 = source';
  it.each<[string, string, string[]]>([
    ['the package’s leads by its title', `* Leads of the package:\n* pin 1: S\n* pin 2: D\n* pin 3: G\n*\n${list}`, OWN],
    ['the package’s leads in a line', `* Package pins: 1=S 2=D 3=G\n${list}`, OWN],
    ['a package seen from above, by lines', `* SOT-23-3 pinout (top view):\n* 1 S\n* 2 D\n* 3 G\n*\n${list}`, OWN],
    ['a package that is only named', `* Package: 3 leads\n${list}`, OWN],
    ['a list by lines without a title', `* 1 S\n* 2 D\n* 3 G\n*\n${list}`, NONE],
    ['a line without a title', `* 1=S 2=D 3=G\n*\n${list}`, NONE],
    ['a list whose title is only that it is of pins', `* Pins: 1=S 2=D 3=G\n*\n${list}`, NONE],
    ['a list of the nodes beside one of the pins', `* Pins:\n* 1 S\n* 2 D\n* 3 G\n*\n* Nodes: 1=gate 2=drain 3=source`, OWN],
    ['a row of the other list that has a node’s number', `* pin 3: D\n*\n${list}`, OWN],
    ['a row that is counted among others', `* Pins:\n* pin 3: X\n* pin 4: Y\n*\n${list}`, OWN],
    ['a supply that would be the input’s kin', '* 1 VCC, 2 GND, 3 IN\n*\n* 1: input\n* 2: common\n* 3: supply', NONE],
    ['a list that says the same in other words', `* 1 G\n* 2 D\n* 3 S\n*\n${list}`, OWN],
    [
      'a list of the pins beside the order of the nodes',
      '* Datasheet pins:\n* 1 S\n* 2 D\n* 3 G\n*\n* Node order: gate, drain, source',
      OWN,
    ],
  ])('%s', (_what, comments, docs) => expect(docsOf(above(comments, '1 2 3'))).toEqual(docs));
});

it('takes no words in capitals for an order', () =>
  expect(docsOf(above('* - 1: ANODE OF THE LED\n* - 2: CATHODE', '1 2 3 4'))).toEqual(['ANODE OF THE LED', 'CATHODE', '', '']));

it('takes no order that the nodes’ names deny', () =>
  expect(docsOf(above('* Pinout: GND EN IN VOUT', 'VOUT EN VIN COM'))).toEqual(['', '', '', '']));
