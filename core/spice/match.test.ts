import { good } from '../test/samples';
import { withoutIndex } from './likeness';
import { matchPins, type MatchPin } from './match';
import { readModels } from './read-models';
import { letterOf, shortens } from './roles';
import type { ElectricalType } from '../part';

type Pin = [name: string, type: ElectricalType];
/** Pins by name against what comments say of nodes 1, 2, 3 …: `NAME=node` of each pair, and the names that are asked. */
function matched(pins: Pin[], docs: string[]): { pairs: string[]; asks: string[] } {
  const given = pins.map(([name, type], i) => ({ number: `p${i}`, name, type, unit: null }));
  const { pairs, asks } = matchPins(
    given,
    docs.map((doc, i) => ({ name: String(i + 1), doc, docLine: 1 })),
  );
  const nameOf = (number: string) => given.find((p) => p.number === number)!.name;
  return { pairs: pairs.map((p) => `${nameOf(p.pin)}=${p.node}`).sort(), asks: asks.map((a) => nameOf(a.pin)).sort() };
}

it.each<[string, Pin[], string[], string[]]>([
  ['the ends of a contact by their figures', [['A1', 'passive'], ['A2', 'passive'], ['11', 'passive'], ['12', 'passive'], ['14', 'passive']], ['common contact', 'normally open', 'normally closed'], ['11=1', '12=3', '14=2']],
  ['how fast it starts by how fast its output rises', [['dVdT', 'passive'], ['GND', 'ground']], ['soft start', 'ground'], ['GND=2', 'dVdT=1']],
  ['what turns on at a voltage', [['UVLO', 'input'], ['GND', 'ground']], ['enable', 'ground'], ['GND=2', 'UVLO=1']],
  ['a transistor in German', [['B', 'input'], ['C', 'passive'], ['E', 'passive']], ['Kollektor', 'Basis', 'Emitter'], ['B=2', 'C=1', 'E=3']],
  ['inputs by their letter', [['A', 'input'], ['B', 'input'], ['Y', 'output']], ['Output Y', 'Input B', 'Input A'], ['A=3', 'B=2', 'Y=1']],
  ['inputs of a single gate by their letter', [['1A', 'input'], ['1B', 'input'], ['1Y', 'output']], ['B', 'Y', 'A'], ['1A=3', '1B=1', '1Y=2']],
  ['a bus that counts from 0 by comments that count from 1', [['A0', 'input'], ['A1', 'input'], ['A2', 'input']], ['A1', 'A2', 'A3'], ['A0=1', 'A1=2', 'A2=3']],
  ['letters before the word', [['A', 'input'], ['B', 'input']], ['B input', 'A input'], ['A=2', 'B=1']],
  ['names with their channel behind a blank', [['OUT A', 'output'], ['IN- A', 'input'], ['IN+ A', 'input'], ['1A', 'input'], ['1B', 'input']], ['NON-INVERTING INPUT', 'INVERTING INPUT', 'OUTPUT'], ['IN+ A=1', 'IN- A=2', 'OUT A=3']],
  ['a half bridge by its other names', [['VCC', 'supply-in'], ['HIN', 'input'], ['LIN', 'input'], ['COM', 'ground'], ['LO', 'output'], ['VS', 'passive'], ['HO', 'output'], ['VB', 'supply-in']], ['VDD', 'HI', 'LI', 'COM', 'LO', 'HS', 'HO', 'HB'], ['COM=4', 'HIN=2', 'HO=7', 'LIN=3', 'LO=5', 'VB=8', 'VCC=1', 'VS=6']],
  ['the current of a controller', [['COMP', 'passive'], ['FB', 'input'], ['CS', 'input'], ['OUT', 'output']], ['ISENSE', 'OUT', 'VFB', 'COMP'], ['COMP=4', 'CS=1', 'FB=3', 'OUT=2']],
  ['a timer by its letters', [['THR', 'input'], ['TR', 'input'], ['~R', 'input'], ['Q', 'output']], ['trigger', 'output', 'reset', 'threshold'], ['Q=2', 'THR=4', 'TR=1', '~R=3']],
  ['rails by their voltage', [['VCC', 'supply-in'], ['VEE', 'supply-in']], ['-15 V', '+15 V'], ['VCC=2', 'VEE=1']],
  ['signs in brackets', [['IN+', 'input'], ['IN-', 'input']], ['INPUT(-)', 'INPUT(+)'], ['IN+=2', 'IN-=1']],
  ['the ends of a potentiometer', [['A', 'passive'], ['W', 'passive'], ['B', 'passive']], ['end B', 'end A', 'wiper'], ['A=2', 'B=1', 'W=3']],
  ['a node of two versions', [['ADJ', 'input'], ['GND', 'ground']], ['GND', 'ADJ/NC'], ['ADJ=2', 'GND=1']],
  ['lines that are protected', [['I/O1', 'passive'], ['I/O2', 'passive'], ['GND', 'ground']], ['LINE2', 'LINE1', 'GND'], ['GND=3', 'I/O1=2', 'I/O2=1']],
  ['what turns a switch on', [['EN', 'input'], ['IN', 'supply-in']], ['input of the switch', 'control, active high'], ['EN=2', 'IN=1']],
  ['an output that is sensed', [['OUT', 'supply-out'], ['SENSE', 'input']], ['output sense', 'regulated output'], ['OUT=2', 'SENSE=1']],
  ['the output of a converter’s switch', [['SW', 'passive'], ['FB', 'input']], ['switch output', 'feedback'], ['FB=2', 'SW=1']],
  ['what the switch passes on', [['IN', 'supply-in'], ['OUT', 'supply-out']], ['switch output', 'supply input'], ['IN=2', 'OUT=1']],
  ['a supply pin', [['V+', 'supply-in'], ['REF', 'input']], ['reference input', 'supply pin'], ['REF=1', 'V+=2']],
  ['names cut short', [['TRIG', 'input'], ['CTRL', 'input'], ['DISCH', 'open-drain']], ['Discharge', 'Trigger', 'Control voltage'], ['CTRL=3', 'DISCH=1', 'TRIG=2']],
  ['signs behind their word', [['IN+', 'input'], ['IN-', 'input'], ['V+', 'supply-in']], ['INPUT -', 'SUPPLY +', 'INPUT +'], ['IN+=3', 'IN-=1', 'V+=2']],
  ['words tied by underscores', [['IN+', 'input'], ['IN-', 'input']], ['inverting_input', 'non-inverting_input'], ['IN+=2', 'IN-=1']],
  ['other letters for one thing', [['A', 'passive'], ['K', 'passive']], ['C', 'A'], ['A=2', 'K=1']],
  ['inputs by their place', [['A', 'input'], ['B', 'input']], ['second input', 'first input'], ['A=2', 'B=1']],
  ['a resistor’s ends', [['RG1', 'passive'], ['RG2', 'passive']], ['gain resistor, second end', 'gain set resistor 1'], ['RG1=2', 'RG2=1']],
  ['what is sensed', [['RS+', 'input'], ['RS-', 'input']], ['negative sense input', 'positive sense input'], ['RS+=2', 'RS-=1']],
  ['a product', [['W', 'output'], ['VCC', 'supply-in']], ['power supply input', 'product output'], ['VCC=1', 'W=2']],
  ['a switch’s control', [['ON', 'input'], ['IN', 'supply-in']], ['input', 'switch control input'], ['IN=1', 'ON=2']],
  ['contacts of a switch', [['NO', 'bidirectional'], ['NC', 'bidirectional'], ['COM', 'bidirectional']], ['Common', 'Normally closed contact', 'Normally open contact'], ['COM=1', 'NC=2', 'NO=3']],
  ['supplies with their sign at the end', [['VCC+', 'supply-in'], ['VCC-', 'supply-in']], ['negative supply', 'positive supply'], ['VCC+=2', 'VCC-=1']],
  ['names of one sense', [['SHDN', 'input'], ['FAULT', 'open-drain']], ['FLT', 'shutdown'], ['FAULT=1', 'SHDN=2']],
  ['leads by their index', [['A1', 'passive'], ['A2', 'passive'], ['K', 'passive']], ['anode 2', 'cathode', 'anode 1'], ['A1=3', 'A2=1', 'K=2']],
  ['a pad that the model has', [['PowerPAD', 'ground'], ['OUT', 'output']], ['output', 'thermal pad'], ['OUT=1', 'PowerPAD=2']],
  ['a power input', [['VIN', 'supply-in'], ['OUT', 'output']], ['output', 'power input'], ['OUT=1', 'VIN=2']],
  ['words behind a name', [['IN+', 'input'], ['OUT', 'output']], ['OUT analog output', 'IN+ to the shunt'], ['IN+=2', 'OUT=1']],
  ['shortened words', [['IN+', 'input'], ['IN-', 'input']], ['noninv. input', 'inv. input'], ['IN+=1', 'IN-=2']],
  ['a transceiver of a bus', [['D', 'input'], ['R', 'output'], ['CANH', 'bidirectional'], ['CANL', 'bidirectional']], ['CANL', 'CANH', 'RXD', 'TXD'], ['CANH=2', 'CANL=1', 'D=4', 'R=3']],
  ['what stands in brackets', [['B', 'input'], ['C', 'passive'], ['E', 'passive']], ['OUT(collector)', 'GND(emitter)', 'IN(base)'], ['B=3', 'C=1', 'E=2']],
  ['a mark behind the channel', [['1~CLR', 'input'], ['1~PRE', 'input']], ['~PRE', '~CLR'], ['1~CLR=2', '1~PRE=1']],
  ['a half bridge by what each gate does', [['PWMH', 'input'], ['PWML', 'input'], ['HDRV', 'output'], ['LDRV', 'output'], ['HB', 'supply-in'], ['PHASE', 'passive']], ['lower gate drive', 'logic input, high side', 'floating supply', 'low side logic input', 'high-side driver output', 'floating ground'], ['HB=3', 'HDRV=5', 'LDRV=1', 'PHASE=6', 'PWMH=2', 'PWML=4']],
  ['the two outputs of a gate driver', [['OUTH', 'output'], ['OUTL', 'output']], ['turn-off output', 'source current output'], ['OUTH=2', 'OUTL=1']],
  ['the pins around a converter', [['CB', 'passive'], ['POK', 'open-drain'], ['TRACK', 'passive'], ['ITH', 'passive'], ['LX', 'passive']], ['soft start', 'inductor connection', 'power good flag', 'boot capacitor', 'error amplifier output'], ['CB=4', 'ITH=5', 'LX=2', 'POK=3', 'TRACK=1']],
  ['a timer in short', [['TH', 'input'], ['TR', 'input'], ['DCH', 'open-drain'], ['CV', 'passive']], ['control voltage', 'discharge', 'trigger input', 'threshold'], ['CV=1', 'DCH=2', 'TH=4', 'TR=3']],
  ['words tied by hyphens', [['V+', 'supply-in'], ['V-', 'supply-in']], ['negative-supply', 'positive-supply'], ['V+=2', 'V-=1']],
  ['a regulator’s output', [['VOUT', 'supply-out'], ['VIN', 'supply-in']], ['unregulated input', 'regulator output'], ['VIN=1', 'VOUT=2']],
  ['a negative supply named VSS', [['VDD', 'supply-in'], ['VSS', 'supply-in']], ['negative supply', 'positive supply'], ['VDD=2', 'VSS=1']],
  ['a flip-flop', [['D', 'input'], ['CP', 'input'], ['Q', 'output'], ['~Q', 'output'], ['~SD', 'input'], ['~RD', 'input']], ['clear, active low', 'preset, active low', 'inverted output', 'clock', 'true output', 'data input'], ['CP=4', 'D=6', 'Q=5', '~Q=3', '~RD=1', '~SD=2']],
  ['a multiplier', [['X1', 'input'], ['Y2', 'input']], ['Y input 2', 'output', 'X input 1'], ['X1=3', 'Y2=1']],
  ['two transistors', [['D1', 'passive'], ['D2', 'passive'], ['G2', 'input']], ['drain 2', 'gate-of-M2', 'drain 1'], ['D1=3', 'D2=1', 'G2=2']],
  ['ports by their letter', [['A', 'bidirectional'], ['B', 'bidirectional'], ['DIR', 'input']], ['direction', 'port B data', 'A port input/output'], ['A=3', 'B=2', 'DIR=1']],
  ['what a comment goes into more of', [['AIN+', 'input'], ['AIN-', 'input'], ['IMON', 'output']], ['load current monitor output', 'analog input +', 'analog input -'], ['AIN+=2', 'AIN-=3', 'IMON=1']],
  ['a charger', [['ISET', 'passive'], ['NTC', 'input'], ['~CHRG', 'open-drain'], ['BAT', 'passive']], ['charge status', 'battery terminal', 'charge current set', 'thermistor'], ['BAT=2', 'ISET=3', 'NTC=4', '~CHRG=1']],
  ['a power input beside the part’s own supply', [['PVIN', 'supply-in'], ['INTVCC', 'supply-out'], ['EN', 'input']], ['VCC', 'VIN', 'enable'], ['EN=3', 'INTVCC=1', 'PVIN=2']],
  ['a Kelvin emitter', [['E', 'passive'], ['EK', 'passive'], ['G', 'input']], ['sense-emitter', 'gate', 'emitter'], ['E=3', 'EK=1', 'G=2']],
  ['the colours of a lamp', [['ANODE', 'passive'], ['RED', 'passive'], ['BLUE', 'passive']], ['KB', 'A', 'KR'], ['ANODE=2', 'BLUE=1', 'RED=3']],
  ['ports of an isolator by their letters', [['VIA', 'input'], ['VOB', 'output']], ['output B', 'input A'], ['VIA=2', 'VOB=1']],
  ['a pair that is told by words', [['EXC+', 'passive'], ['EXC-', 'passive']], ['excitation, negative', 'excitation, positive'], ['EXC+=2', 'EXC-=1']],
  ['contacts that make and break', [['NC', 'passive'], ['NO', 'passive'], ['COM', 'passive']], ['common', 'make', 'break'], ['COM=1', 'NC=3', 'NO=2']],
  ['set and reset, active low', [['SD', 'input'], ['RD', 'input'], ['D', 'input']], ['D', 'RDN', 'SDN'], ['D=1', 'RD=2', 'SD=3']],
  ['a capacitor at the bypass', [['CBYPASS', 'passive'], ['VO', 'supply-out']], ['noise bypass', 'regulated output'], ['CBYPASS=1', 'VO=2']],
  ['names that stand before their words', [['LO', 'output'], ['HIN', 'input'], ['VS', 'input']], ['VS return of the floating section', 'HIN logic input for LO', 'LO gate of the lower switch'], ['HIN=2', 'LO=3', 'VS=1']],
  ['half of a supply', [['VREF', 'output'], ['VCC', 'supply-in']], ['VCC', 'REF VCC/2 output'], ['VCC=1', 'VREF=2']],
  ['a preset by its letters', [['PR', 'input'], ['D', 'input']], ['PREB', 'D'], ['D=2', 'PR=1']],
  ['a bar over the letters', [['Q', 'output'], ['Q\u0305', 'output']], ['QB', 'Q'], ['Q=2', 'Q\u0305=1']],
  ['the only pair of signs', [['PV+', 'passive'], ['PV-', 'passive']], ['neg', 'pos'], ['PV+=2', 'PV-=1']],
  ['the output of a converter', [['OUTPUT', 'output'], ['FB', 'input']], ['feedback', 'emitter of the switch'], ['FB=1', 'OUTPUT=2']],
  ['a supply and how high it is', [['+VS', 'supply-in'], ['OUT', 'output']], ['output', 'supply 3..36 V'], ['+VS=2', 'OUT=1']],
  ['a pair of transistors of either kind', [['SN', 'passive'], ['GN', 'input'], ['SP', 'passive'], ['GP', 'input']], ['gate of the p-channel', 'source of the n-channel', 'gate of the n-channel', 'source of the p-channel'], ['GN=3', 'GP=1', 'SN=2', 'SP=4']],
  ['the ends of two windings', [['PRI_S', 'passive'], ['PRI_F', 'passive'], ['SEC_S', 'passive']], ['secondary start', 'primary end', 'primary start'], ['PRI_F=2', 'PRI_S=3', 'SEC_S=1']],
  ['colours before what they do', [['RIN', 'input'], ['GIN', 'input'], ['BIN', 'input'], ['ROUT', 'output']], ['Out R', 'In B', 'In G', 'In R'], ['BIN=2', 'GIN=3', 'RIN=4', 'ROUT=1']],
  ['an array that counts before', [['1B', 'input'], ['1C', 'open-drain'], ['E', 'ground'], ['COM', 'passive']], ['COM', 'O1', 'GND', 'I1'], ['1B=4', '1C=2', 'COM=1', 'E=3']],
  ['addresses by another letter', [['E0', 'input'], ['E1', 'input'], ['E2', 'input']], ['A0', 'A1', 'A2'], ['E0=1', 'E1=2', 'E2=3']],
  ['ends of a lamp by their letters', [['K_R', 'passive'], ['K_G', 'passive']], ['green cathode', 'red cathode'], ['K_G=1', 'K_R=2']],
  ['one of two functions of a node among named ones', [['NR', 'passive'], ['EN', 'input'], ['IN', 'supply-in']], ['VIN', 'EN (high = on)', 'NR/SS'], ['EN=2', 'IN=1', 'NR=3']],
  ['the enable of a coupler', [['ANODE', 'passive'], ['VO', 'open-drain'], ['VE', 'input']], ['enable', 'Vo', 'anode'], ['ANODE=3', 'VE=1', 'VO=2']],
  ['comments in German', [['IN+', 'input'], ['IN-', 'input'], ['V+', 'supply-in'], ['OUT', 'output']], ['Ausgang', 'positive Versorgung', 'invertierender Eingang', 'nichtinvertierender Eingang'], ['IN+=4', 'IN-=3', 'OUT=1', 'V+=2']],
  ['comments in Spanish and French', [['IN', 'supply-in'], ['GND', 'ground'], ['OUT', 'supply-out']], ['salida', 'masa', 'entrée'], ['GND=2', 'IN=3', 'OUT=1']],
  ['a load switch', [['EN', 'input'], ['IN', 'supply-in'], ['SR', 'passive']], ['slew capacitor', 'logic control', 'switch input'], ['EN=2', 'IN=3', 'SR=1']],
])('%s are matched', (_, pins, docs, pairs) => expect(matched(pins, docs)).toEqual({ pairs, asks: [] })); // prettier-ignore

it.each<[string, Pin[], string[], string[]]>([
  [
    'more of a bus than the model has',
    [
      ['A0', 'input'],
      ['A1', 'input'],
      ['A2', 'input'],
    ],
    ['A1', 'A2'],
    ['A0', 'A1', 'A2'],
  ],
  [
    'a ground and a negative supply',
    [
      ['VSS', 'ground'],
      ['OUT', 'output'],
    ],
    ['negative supply', 'output'],
    ['VSS'],
  ],
  [
    'two inputs of no letter',
    [
      ['A', 'input'],
      ['B', 'input'],
    ],
    ['input', 'input'],
    ['A', 'B'],
  ],
  ['two series of which either may be meant', [['P0', 'bidirectional'], ['P1', 'bidirectional'], ['P2', 'bidirectional']], ['X0', 'X1', 'X2', 'Z0', 'Z1', 'Z2'], ['P0', 'P1', 'P2']], // prettier-ignore
  ['outputs by the letter of inputs', [['Q0', 'output'], ['Q1', 'output'], ['Q2', 'output']], ['D0', 'D1', 'D2'], ['Q0', 'Q1', 'Q2']], // prettier-ignore
  ['the throws of a switch', [['S1', 'bidirectional'], ['S2', 'bidirectional'], ['D', 'bidirectional'], ['IN', 'input']], ['COM', 'IN', 'NC', 'NO'], ['S1', 'S2']], // prettier-ignore
  ['a negative supply beside a positive one', [['VCC-', 'supply-in'], ['OUT', 'output']], ['V+', 'output'], ['VCC-']], // prettier-ignore
  ['supplies by their signs beside a pair', [['V+', 'supply-in'], ['V-', 'supply-in']], ['p', 'n'], ['V+', 'V-']], // prettier-ignore
  [
    'names that only share letters',
    [
      ['SNS', 'input'],
      ['OUT', 'output'],
    ],
    ['Supervisor', 'output'],
    ['SNS'],
  ],
  [
    'outputs of one name beside an inverted one',
    [
      ['Q', 'output'],
      ['Q', 'output'],
      ['D', 'input'],
    ],
    ['D', 'Q', 'QN'],
    ['Q', 'Q'],
  ],
])('%s are asked, never guessed', (_, pins, docs, asks) => expect(matched(pins, docs).asks).toEqual(asks));

it.each<[string, string | undefined]>([
  ['B', 'b'],
  ['Input B', 'b'],
  ['B input', 'b'],
  ['OUT_Y', 'y'],
  ['Output', undefined],
  ['Bias', undefined],
])('the letter of “%s” is %s', (text, letter) => expect(letterOf(text)).toBe(letter));

it.each<[string, string, boolean]>([
  ['TRIG', 'trigger', true],
  ['CTRL', 'control', true],
  ['THRES', 'threshold', true],
  ['RST', 'reset', true],
  ['~DIS', 'disable', true],
  ['OUT', 'output', true],
  ['IN', 'input', false],
  ['SET', 'select', false],
  ['CLK', 'collector', false],
])('%s of %s: cut short is %s', (name, word, is) => expect(shortens(name, word)).toBe(is));

it.each<[string, string[], string[]]>([
  ['a letter for the bar', ['CS:input', 'Q:output', 'Q#:output'], ['CSB', 'Q', 'QN']],
  ['a supply with its sign in a word', ['V+:supply-in', 'V-:supply-in'], ['VPLUS', 'VMINUS']],
  ['two letters of a lead', ['K:passive', 'E:passive', 'B:input'], ['KA', 'EM', 'BA']],
  ['dashes between words', ['PRE-TERM:passive', '~PG:open-drain'], ['PRETERM', 'PG']],
  ['colours in a letter', ['A:passive', 'KR:passive', 'KG:passive'], ['common_anode', 'red_cathode', 'green_cathode']],
  ['colours in a word', ['RED A:passive', 'RED K:passive', 'BLUE K:passive'], ['AR', 'KR', 'KB']],
  ['the ends of a triac', ['A1:passive', 'A2:passive', 'G:passive'], ['MT1', 'MT2', 'G']],
  ['letters for channels', ['OUTA:output', '-INB:input', 'OUTB:output'], ['output_1', 'inverting_input_2', 'output_2']],
  ['the gate before its input', ['A2:input', 'B1:input', 'Y2:output'], ['input 2A', 'input B of gate 1', 'output of gate 2']],
  ['drives of gates', ['HDRV:output', 'LDRV:output', 'LE:input'], ['DRVH', 'DRVL', 'latch_enable']],
  ['signs by letters', ['+IN:input', '-IN:input', 'SDO:output'], ['ainp', 'ainn', 'dout']],
])('matches names with %s', (_what, names, nodes) => {
  const pins = names.map((n, i) => ({ number: String(i), name: n.split(':')[0]!, type: n.split(':')[1] as ElectricalType, unit: null }));
  const { pairs } = matchPins(pins, nodes.map((name) => ({ name, doc: '' }))); // prettier-ignore
  expect(pairs.map((p) => p.node)).toEqual(nodes);
});

const WITH_GAIN: [number: string, name: string, type: ElectricalType][] = [
  ['1', 'RG', 'passive'],
  ['2', '-IN', 'input'],
  ['3', '+IN', 'input'],
  ['4', '-VS', 'supply-in'],
  ['5', '+VS', 'supply-in'],
  ['6', 'RG', 'passive'],
  ['7', 'OUT', 'output'],
];
it.each<[string, typeof WITH_GAIN, [name: string, doc: string][], string[]]>([
  [
    'whose others carry their pins’ numbers are told by them',
    WITH_GAIN,
    [
      ['1', 'RG1'],
      ['2', 'IN-'],
      ['3', 'IN+'],
      ['4', 'V-'],
      ['5', 'V+'],
      ['6', 'RG2'],
      ['7', 'OUT'],
    ],
    ['1=1', '2=2', '3=3', '4=4', '5=5', '6=6', '7=7'],
  ],
  [
    'are not where one of them does not',
    WITH_GAIN,
    [
      ['1', 'RG1'],
      ['2', 'IN+'],
      ['3', 'IN-'],
      ['4', 'V-'],
      ['5', 'V+'],
      ['6', 'RG2'],
      ['7', 'OUT'],
    ],
    ['2=3', '3=2', '4=4', '5=5', '7=7'],
  ],
  [
    'are not where few are known',
    [
      ['1', 'ADJ', 'passive'],
      ['2', 'IN', 'supply-in'],
      ['3', 'X', 'passive'],
      ['4', 'OUT', 'supply-out'],
    ],
    [
      ['1', ''],
      ['2', 'IN'],
      ['3', ''],
      ['4', 'OUT'],
    ],
    ['2=2', '4=4'],
  ],
])('nodes %s', (_, pins, nodes, pairs) => {
  const made = matchPins(
    pins.map(([number, name, type]) => ({ number, name, type, unit: null })),
    nodes.map(([name, doc]) => ({ name, doc, docLine: 1 })),
  ).pairs;
  expect(made.map((p) => `${p.pin}=${p.node}`).sort()).toEqual(pairs);
});

it('joins the contacts of a relay by their figures where the model has them too', () => {
  const names = ['A1', 'A2', '11', '12', '14'];
  const pins: MatchPin[] = names.map((name, i) => ({ number: `${i + 1}`, name, type: 'passive', unit: null }));
  const { pairs } = matchPins(pins, ['14', '11', 'A1', '12', 'A2'].map((name) => ({ name, doc: '' }))); // prettier-ignore
  expect(pairs.map((p) => `${p.pin}=${p.node}`)).toEqual(['1=A1', '2=A2', '3=11', '4=12', '5=14']);
});

it('takes the phases of a motor by their letters', () => {
  const pins: MatchPin[] = ['U', 'V', 'W'].map((phase, i) => ({ number: `${i + 1}`, name: `PHASE_${phase}`, type: 'passive', unit: null }));
  const { pairs } = matchPins(pins, ['W', 'U', 'V', 'N'].map((name) => ({ name, doc: '' }))); // prettier-ignore
  expect(pairs.map((p) => `${p.pin}=${p.node}`)).toEqual(['1=U', '2=V', '3=W']);
});

it('two pins of one net and two nodes of one comment are joined one to one, by their numbers where these are the nodes', () => {
  const pins = ['5', '6'].map((number) => ({ number, name: 'D2', type: 'passive' as const, unit: null }));
  const nodes = (names: string[]) => names.map((name) => ({ name, doc: 'D2', docLine: 1 }));
  expect(matchPins(pins, nodes(['6', '5'])).pairs.map((p) => [p.pin, p.node])).toEqual([['5', '5'], ['6', '6']]); // prettier-ignore
  expect(matchPins(pins, nodes(['10', '11'])).pairs.map((p) => [p.pin, p.node])).toEqual([['5', '10'], ['6', '11']]); // prettier-ignore
});

it('matches the transistors of a pair by their leads’ letters, each with the model of one', () => {
  const leads = [['S1', 'A'], ['G1', 'A'], ['D1', 'A'], ['S2', 'B'], ['G2', 'B'], ['D2', 'B']] as const; // prettier-ignore
  const pins = leads.map(([name, unit]) => ({ number: name, name, type: 'passive' as const, unit }));
  const { pairs, asks } = matchPins(pins, ['D', 'G', 'S'].map((name) => ({ name, doc: '' }))); // prettier-ignore
  expect(pairs.map((p) => `${p.unit}:${p.pin}=${p.node}`)).toEqual(['A:S1=S', 'A:G1=G', 'A:D1=D', 'B:S2=S', 'B:G2=G', 'B:D2=D']);
  expect(asks).toEqual([]);
});

it('a supply that one unit tells by its number is the same node in every unit', () => {
  const pins = ([['1OUT', '1', 'output', 'A'], ['1IN-', '2', 'input', 'A'], ['1IN+', '3', 'input', 'A'], ['VCC', '4', 'supply-in', null], ['GND', '11', 'ground', null], ['2OUT', '7', 'output', 'B'], ['2IN-', '6', 'input', 'B'], ['2IN+', '5', 'input', 'B']] as const).map(([name, number, type, unit]) => ({ name, number, type, unit })); // prettier-ignore
  const docs = Object.entries({ 3: 'IN+', 2: 'IN-', 4: 'vcc', 11: 'vee', 1: 'OUT' });
  const { pairs, asks } = matchPins(pins, docs.map(([name, doc]) => ({ name, doc, docLine: 1 }))); // prettier-ignore
  expect(pairs.filter((p) => p.pin === '11').map((p) => `${p.unit}=${p.node}`)).toEqual(['A=11', 'B=11']);
  expect(pairs.find((p) => p.pin === '11' && p.unit === 'B')!.because).toMatch(/^as in unit A/);
  expect(asks).toEqual([]);
});

it('the first of several gates tells the nodes of each', () => {
  const pins = ['1A', '1Y', '2A', '2Y'].map((name) => ({ number: name, name, type: name.endsWith('A') ? ('input' as const) : ('output' as const), unit: name.startsWith('1') ? 'A' : 'B' })); // prettier-ignore
  const { pairs } = matchPins(pins, ['1A', '1Y'].map((name) => ({ name, doc: '' }))); // prettier-ignore
  expect(pairs.map((p) => `${p.unit}:${p.pin}=${p.node}`)).toEqual(['A:1A=1A', 'A:1Y=1Y', 'B:2A=1A', 'B:2Y=1Y']);
  expect(pairs.at(-1)!.because).toBe('node 1Y has its name');
});

it.each([
  ['another name', 'VS', 'HS', 'node HS is what such parts also call VS'],
  ['its own name', 'HO', 'HO', 'node HO has its name'],
])('says whether a node has %s', (_, name, node, because) => {
  const pins = [['HO', 'output'], ['LO', 'output'], ['VS', 'passive']].map(([n, t]) => ({ number: n!, name: n!, type: t as ElectricalType, unit: null })); // prettier-ignore
  const { pairs } = matchPins(pins, ['HO', 'LO', 'HS'].map((n) => ({ name: n, doc: '' }))); // prettier-ignore
  expect(pairs.find((p) => p.pin === name)).toMatchObject({ node, because });
});

it('says that a model counts its pins from another figure', () => {
  const pins = ['A0', 'A1', 'A2'].map((name) => ({ number: name, name, type: 'input' as const, unit: null }));
  const { pairs } = matchPins(pins, ['A1', 'A2', 'A3'].map((name) => ({ name, doc: '' }))); // prettier-ignore
  expect(pairs[0]).toMatchObject({ pin: 'A0', node: 'A1', because: 'node A1 is A0: the model counts from another figure' });
});

it('takes no pole of a switch for its control', () => {
  const pins: Pin[] = [['A', 'passive'], ['SEL', 'input']]; // prettier-ignore
  expect(matched(pins, ['control input', 'common']).pairs).not.toContain('A=1');
});

it.each([
  ['before a sign', (name: string, channel: number) => `${channel}${name}`, ['-IN', '+IN', 'OUT']],
  ['behind a sign that is a letter', (name: string, channel: number) => `${name}${channel}`, ['IN_N', 'IN_P', 'OUTPUT']],
] as const)('matches each channel of several where its figure stands %s', (_case, named, names) => {
  const nodes = ['output', 'inverting input', 'non-inverting input'].map((doc, i) => ({ name: String(i + 7), doc, docLine: 1 }));
  const types = ['input', 'input', 'output'] as const;
  const pins = [1, 2].flatMap((channel) =>
    names.map((name, i) => ({ number: named(name, channel), name: named(name, channel), type: types[i]!, unit: 'AB'[channel - 1]! })),
  );
  const { pairs, asks } = matchPins(pins, nodes);
  expect(asks).toEqual([]);
  expect(pairs.map((p) => `${p.pin}=${p.node}`)).toEqual(expect.arrayContaining(pins.map((p) => `${p.number}=${{ input: /P|\+/.test(p.name) ? 9 : 8, output: 7 }[p.type]}`)));
}); // prettier-ignore

it.each([
  ['1SD', 'SD'],
  ['2QA', 'QA'],
  ['1A', 'A'],
  ['IN1+', 'IN+'],
  ['OUTB', 'OUT'],
  ['S1_A', 'S1'],
])('%s without its channel is %s', (name, bare) => expect(withoutIndex(name)).toBe(bare));

describe('a model of the first channel, told by the letter behind its names', () => {
  const nodes = ['VBBA', 'IN1A', 'OUT1A', 'SENSEA', 'GND'].map((name) => ({ name, doc: '', docLine: 0 }));
  const of = (unit: string, first: number): MatchPin[] =>
    (['VBB supply-in', 'IN1 input', 'OUT1 output', 'SENSE passive'] as const).map((pin, i) => {
      const [name, type] = pin.split(' ') as [string, ElectricalType];
      return { number: String(first + i), name: `${name}${unit}`, type, unit };
    });
  const { pairs } = matchPins([...of('A', 1), ...of('B', 11), { number: '20', name: 'GND', type: 'ground', unit: null }], nodes);
  const ofUnit = (unit: string) => pairs.flatMap((p) => (p.unit === unit ? [`${p.pin}=${p.node}`] : []));
  it.each([
    ['A', ['1=VBBA', '2=IN1A', '3=OUT1A', '4=SENSEA', '20=GND']],
    ['B', ['11=VBBA', '12=IN1A', '13=OUT1A', '14=SENSEA', '20=GND']],
  ])('is that of channel %s, with its own supply', (unit, expected) => expect(ofUnit(unit)).toEqual(expected));
});

it('takes letters in a row for no names', () => {
  const nodes = ['a', 'b', 'c'].map((name) => ({ name, doc: '', docLine: 0 }));
  const pin = (number: string, name: string, type: ElectricalType): MatchPin => ({ number, name, type, unit: null });
  expect(matchPins([pin('1', 'IN', 'input'), pin('2', 'OUT', 'output')], nodes).pairs).toEqual([]);
  expect(matchPins([pin('1', 'A', 'input'), pin('2', 'B', 'input'), pin('3', 'C', 'output')], nodes).pairs).toHaveLength(3);
});

it('leaves a bus out, since it is several nets', () => {
  const nodes = ['d1', 'd0', 'clk'].map((name) => ({ name, doc: '' }));
  const pins = [
    { number: '1', name: 'D[1:0]', type: 'bidirectional' as const, unit: null, bits: 2 },
    { number: '3', name: 'CLK', type: 'input' as const, unit: null },
  ];
  expect(matchPins(pins, nodes)).toMatchObject({
    pairs: [{ pin: '3', node: 'clk' }],
    asks: [],
    left: [{ pin: '1', reason: 'it is a bus of 2: split it to tie its bits' }],
  });
});

it.each<[string, string, boolean]>([
  ['a bead of R, L and C', '.subckt B 1 2\nL1 1 3 1u\nR1 3 2 50m\nC1 1 2 1p\n.ends', true],
  ['a card of a resistor', '.model B R(R=1)', true],
  ['what the simulator’s ground is in', '.subckt B 1 2\nR1 1 2 1\nC1 2 0 1p\n.ends', false],
  ['a diode', '.subckt B 1 2\nD1 1 2 DM\n.model DM D\n.ends', false],
  ['three ends', '.subckt B 1 2 3\nR1 1 2 1\nR2 2 3 1\n.ends', false],
])('says of %s whether either end is right', (_what, text, alike) => {
  const model = good(readModels(text)).models.find((m) => m.name === 'B')!;
  const pins = ['X', 'Y'].map((name, i) => ({ number: String(i + 1), name, type: 'passive' as const, unit: null }));
  const { pairs, asks } = matchPins(pins, model.nodes, model.endsAlike);
  expect([pairs, asks.map((a) => /either is right\. Free: /.test(a.reason))]).toEqual([[], [alike, alike]]);
});
