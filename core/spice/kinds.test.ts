import type { ElectricalType } from '../part';
import { namedOtherwise, otherNamesOf } from './kinds';
import { countedOtherwise } from './series';

const named = (names: string) => names.split(' ').map((name) => ({ name, type: 'passive' as const }));

it.each<[kind: string, pins: string, nodes: string, name: string, others: string[]]>([
  ['a half-bridge driver', 'HO LO VS VB', 'HO LO HS HB', 'VS', ['HS']],
  ['a driver of the upper switch', 'VDD HIN GND HB HO HS', 'VCC IN COM VB HO VS', 'HIN', ['IN']],
  ['a converter', 'BST SW FB', 'BOOT PH VSENSE', 'FB', ['VSENSE']],
  ['a shunt reference', 'REF A K', 'CATHODE ANODE ADJ', 'REF', ['ADJ', 'R']],
  ['a triac', 'T1 T2 GATE', 'MT2 G MT1', 'T1', ['MT1']],
  ['an amplifier', 'V+ V-', 'VP VM', 'V-', ['VM']],
  ['an amplifier of two supplies', '+VS -VS', 'VP VM', '-VS', ['VM']],
  ['an amplifier whose inputs are VP and VM', 'V+ V-', 'VP VM VCC VEE', 'V-', []],
  ['a register', 'DS SHCP ~MR Q0 Q1 Q2', 'SER SRCLK SRCLRN QA QB QC', '~MR', ['SRCLR', 'SRCLRN']],
  ['its outputs', 'DS SHCP ~MR Q0 Q1 Q2', 'SER SRCLK SRCLRN QA QB QC', 'Q2', ['QC']],
  ['outputs from 1 on', 'Q1 Q2 Q3', 'QA QB QC', 'Q1', ['QA']],
  ['a counter’s data', 'CP TC D0 D1 D2 Q0 Q1 Q2', 'CLK RCO A B C QA QB QC', 'D1', ['B']],
  ['outputs of another number', 'Q0 Q1 Q2 Q3', 'QA QB QC', 'Q1', []],
  ['letters alone', 'D0 D1 D2', 'A B C', 'D1', []],
  ['what has no series', 'Q0 Q2 Q3', 'QA QB QC', 'Q2', []],
  ['a converter’s data', 'DB0 DB1 DB2', 'D0 D1 D2', 'DB1', ['D1']],
  ['data of other figures', 'DB1 DB2 DB3', 'D0 D1 D2', 'DB1', []],
  ['data beside other data', 'DB0 DB1 DB2 DQ0 DQ1 DQ2', 'D0 D1 D2', 'DB1', []],
  ['a switch', 'NO1 NO2 COM', 'S1 S2 D', 'COM', ['D']],
  ['a decoder', 'A0 A1 A2 ~E1 E3 ~Y7', 'A B C G1 G2AN Y7N', 'E3', ['G1']],
  ['a charge pump', 'CAP+ CAP-', 'CAPP CAPN', 'CAP-', ['CAPN']],
  ['a pump of two capacitors', 'C1+ C1- C2+ C2-', 'C1P C1N C2P C2N', 'C2-', ['C2N']],
  ['a dual amplifier', '+IN_A', 'INAP INAN', '+IN_A', ['INAP']],
  ['an amplifier with one sign written', 'CAP+', 'CAPP OUT', 'CAP+', []],
  ['two transistors', 'GA SA GB SB', 'G1 S1 G2 S2', 'SB', ['S2']],
  ['two transistors with a node of either name', 'GA SA GB SB', 'G1 S1 G2 S2 SB', 'GA', []],
  ['a motor with a tachometer', 'MOT+ MOT- TACH+ TACH-', 'M+ M- T+ T-', 'TACH-', ['T-']],
  ['two pairs that begin alike', 'TA+ TA- TB+ TB-', 'T+ T- M+ M-', 'TA+', []],
  ['pads of one net', 'D2 D2 S2', 'D2A D2B S2', 'D2', ['D2A', 'D2B']],
  ['a multiplexer by another letter', 'X0 X1 X2 X', 'Y0 Y1 Y2 Z', 'X1', ['Y1']],
  ['a timer', '~R THR ~TR Q', 'RESET THRS TRIG OUT', '~R', ['RESET']],
  ['an array', 'Q1C Q1B', 'C1 B1', 'Q1C', ['C1']],
  ['an isolator', 'VCC1 INA GND1 VCC2 OUTA GND2', 'VDD1 VIA GND1 VDD2 VOA GND2', 'OUTA', ['VOA']],
  ['diodes of three colours', 'R G B ANODE', 'A KR KG KB', 'G', ['KG']],
  ['diodes of three colours on one anode that comments name', 'R G B A', '1 2 3 4', 'G', ['KG']],
  ['diodes of three colours on one cathode', 'R G B K', '1 2 3 4', 'G', ['AG']],
  ['a diode', 'A K', 'P N', 'K', ['N']],
  ['a transistor that is no diode', 'A K', 'P N G', 'A', []],
  ['a potentiometer', 'CW WIPER CCW', 'A W B', 'WIPER', ['W']],
  ['a driver by its gates', 'UGATE LGATE PHASE', 'HO LO HS', 'PHASE', ['PH', 'SW', 'LX', 'HS']],
  ['channels with a common', 'X0 X1 XCOM A', 'X0 X1 X A', 'XCOM', ['X']],
  ['a transistor whose nodes carry a letter before', 'B C E', 'NB NC NE', 'C', ['NC']],
  ['two pins by figures', '1 2', 'T1 T2', '1', []],
  ['a rectifier', '+ - ~1 ~2', 'POS NEG AC1 AC2', '~1', ['AC1']],
  ['a switch of two throws', 'NO NC COM IN', 'A B C SEL', 'IN', ['SEL', 'CTRL']],
  ['a potentiometer', 'PA PB PW', 'A B W', 'PB', ['B']],
  ['a multiplexer', 'S0 S1 Z Y0 Y1', 'A B X X0 X1', 'Z', ['X', 'COM']],
])('in %s of %s over %s, %s has the other names %s', (_kind, pins, nodes, name, others) =>
  expect(otherNamesOf(named(pins), named(nodes)).get(/^~\D/.test(name) ? name.slice(1) : name)?.all ?? []).toEqual(others),
);

it.each<[pins: string, nodes: string, of: Record<string, string | undefined>]>([
  ['A0 A1 A2', 'A1 A2 A3', { A0: 'A1', A1: 'A2', A2: 'A3' }],
  ['A1 A2 A3', 'A0 A1 A2', { A1: 'A0', A2: 'A1', A3: 'A2' }],
  ['A0 A1 A2', 'A0 A1 A2', {}],
  ['A0 A1', 'A1 A2', { A0: 'A1', A1: 'A2' }],
  ['A0 A1 A2 A3', 'A1 A2', { A0: undefined, A1: undefined, A2: undefined, A3: undefined }],
  ['A1 A3', 'A0 A1', {}],
])('%s over %s count as %j', (pins, nodes, of) => expect(Object.fromEntries(countedOtherwise(named(pins), named(nodes)))).toEqual(of));

it.each<[pins: [string, ElectricalType][], nodes: string, asked: string[]]>([
  [[['IN+', 'input'], ['V+', 'supply-in'], ['V-', 'supply-in']], 'V+ V- VCC VEE VO', ['V+', 'V-']],
  [[['IN+', 'input'], ['V+', 'supply-in'], ['V-', 'supply-in']], 'INP INN V+ V- VO', []],
  [[['IN', 'supply-in'], ['ON', 'input']], 'VIN VOUT IN GND', ['IN']],
  [[['IN', 'supply-in'], ['ON', 'input']], 'IN ON OUT GND', []],
  [[['VIN', 'supply-in'], ['IN', 'supply-in']], 'VIN IN', []],
  [[['~Q', 'output'], ['CLK', 'input']], 'QA QB CLK', ['~Q']],
  [[['~Q', 'output'], ['Q', 'output']], 'Q QB', []],
])('of %j over %s the names of %s may be others', (pins, nodes, asked) =>
  expect([...namedOtherwise(pins.map(([name, type]) => ({ name, type })), named(nodes))]).toEqual(asked),
); // prettier-ignore
