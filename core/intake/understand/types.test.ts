import type { ElectricalType } from '../../part';
import { inferType } from './infer-type';
import { readLegend } from './legend';
import { findPairs } from './pairs';
import { evidenceOfCode } from './type-codes';

const none = new Map<string, string>();

/** name, type column, description → type, and whether it must be sure. */
const SURE: [string, string | undefined, string, ElectricalType][] = [
  ['CLK', 'I', 'Clock input', 'input'],
  ['D0', 'I/O', 'Data bus', 'bidirectional'],
  ['Q', 'O', '', 'output'],
  ['VDD', 'P', 'Supply voltage', 'supply-in'],
  ['GND', 'P', 'Ground', 'ground'],
  ['VSS', 'S', '', 'ground'],
  ['VDD', 'PWR', '', 'supply-in'],
  ['AGND', 'G', 'Analog ground', 'ground'],
  ['REFOUT', 'AO', '2.5 V reference output; bypass to AGND', 'supply-out'],
  ['VOUT', 'P', 'Regulated output', 'supply-out'],
  ['VCAP', 'P', 'Output of the core regulator; bypass with 2.2 uF', 'supply-out'],
  ['CPOUT', 'O', 'Charge-pump output rail', 'supply-out'],
  ['ALERT', 'O', 'Alert output, open-drain', 'open-drain'],
  ['INT', 'OD', 'Interrupt request', 'open-drain'],
  ['DOUT', 'O', 'Serial data output, three-state while CS is high', 'three-state'],
  ['SDO', 'OZ', 'Serial data output', 'three-state'],
  ['XIN', 'AI', 'Crystal terminal', 'passive'],
  ['XOUT', 'AO', 'Crystal oscillator terminal', 'passive'],
  ['BOOT', 'P', 'Bootstrap capacitor connection', 'passive'],
  ['ISET', 'I', 'Connect a resistor of 10 kohm to ground', 'passive'],
  ['LX', 'O', 'Connect the inductor here', 'passive'],
  ['K1', 'passive', 'Cathode of diode 1', 'passive'],
  ['NC', '-', 'No internal connection', 'no-connect'],
  ['NC', 'NC', '', 'no-connect'],
  ['NC', '', 'Not connected', 'no-connect'],
  ['DNC', '-', 'Do not connect', 'reserved'],
  ['TEST', 'I', 'Factory test; tie to ground', 'reserved'],
  ['RSVD', '', 'Reserved; leave open', 'reserved'],
  ['PA0', 'I/O', 'General-purpose port', 'bidirectional'],
  ['OE', 'I', 'Output enable', 'input'],
  ['EN', 'DI', 'Enable of the output driver', 'input'],
  ['AIN', 'A', 'Analog input', 'input'],
  ['VREF', 'A', 'Reference voltage input', 'input'],
  ['VIN', 'P', 'Input supply of the regulator', 'supply-in'],
  ['V-', 'P', 'Negative supply', 'supply-in'],
  ['EP', 'G', 'Exposed pad, connect to ground', 'ground'],
  ['OUT', 'Output', '', 'output'],
  ['IN', 'Digital input', '', 'input'],
  ['SW', 'Bidirectional', '', 'bidirectional'],
  ['VDDIO', 'Power supply', '', 'supply-in'],
  ['VDD', undefined, '', 'supply-in'],
  ['GND', undefined, '', 'ground'],
  ['OUT', undefined, 'Output of the amplifier', 'output'],
  ['IN+', undefined, 'Non-inverting input', 'input'],
  ['SDA', 'I/O', 'Serial data, open-drain', 'bidirectional'],
  ['FAULT', 'OD Out', '', 'open-drain'],
  ['DO', 'Output (TS)', '', 'three-state'],
  ['CAP1', 'O', 'Capacitor to VSS for the oscillator', 'passive'],
  ['BOOT', 'P', 'Bootstrap capacitor', 'passive'],
  ['AOUT1', 'O', 'Winding A output 1', 'output'],
  ['SCL', 'I', 'Serial clock. Connect to the logic rail through a 10 kΩ resistor.', 'input'],
  ['TS', 'I', 'Temperature sense input. Connect to the centre tap of a resistor divider.', 'input'],
  ['ILIM', 'I', 'Current limit programming input. Connect a resistor from ILIM to ground.', 'input'],
  ['VCP', 'P', 'Charge pump output. Connect a 0.22-µF capacitor to VM.', 'supply-out'],
  ['IC', undefined, 'Internally connected. Leave unconnected.', 'reserved'],
  ['SET', undefined, 'Output voltage adjust. Connect to a divider from OUT to GND.', 'input'],
  ['VIN', 'IN', 'Converter input voltage', 'supply-in'],
  ['VOUT', 'OUT', 'Converter output', 'supply-out'],
  ['VDRIVE', undefined, 'Logic Supply Input. The voltage at this pin sets the level.', 'supply-in'],
  ['SDATA', undefined, 'Serial Data Output. The result comes first. This pin is three-stated while CS is high.', 'three-state'],
  ['CK', 'O', 'Differential memory clock', 'output'],
  ['TEST', 'I', 'Tie to ground', 'reserved'],
  ['B+', 'O', 'Phase B winding, start', 'output'],
  ['TCK_0', undefined, '', 'input'],
  ['IO_L2P_T0', undefined, '', 'bidirectional'],
  ['VCAP', 'O', 'Decoupling capacitor for the core; connect 1 µF to AGND', 'passive'],
];

it.each(SURE)('%s, type “%s”, “%s” is %s, without a doubt', (name, code, description, type) => {
  const found = inferType(name, code, description, none);
  expect(found.type).toBe(type);
  expect(found.doubt).toBeUndefined();
  expect(found.because).not.toBe('');
});

/** What speaks against itself or says too little must be asked, whatever is concluded. */
const ASKED: [string, string | undefined, string][] = [
  ['GND', 'I', ''],
  ['VCC', 'I', 'Positive'],
  ['NC', 'O', ''],
  ['GAIN', '', 'Gain strap; see Table 9'],
  ['FOO', '', ''],
  ['FOO', undefined, ''],
  ['BAR', 'QQ', 'Does something'],
  ['CTRL', 'O', 'Control input of the switch'],
  ['X7', 'A', ''],
  ['PMID', 'P', ''],
  ['SW', 'P', 'Half-bridge node; connect the source of the upper switch'],
  ['BOOT', undefined, 'Boot signal'],
  ['RES', undefined, ''],
];

it.each(ASKED)('%s, type “%s”, “%s” is asked, with candidates', (name, code, description) => {
  const { doubt } = inferType(name, code, description, none);
  expect(doubt?.reason).toMatch(/\.$/);
  expect(doubt?.candidates?.length).toBeGreaterThan(1);
});

it('says unspecified only where nothing tells', () => expect(inferType('FOO', '', '', none).type).toBe('unspecified'));

describe('a legend of the document', () => {
  const legend = readLegend(['AI = analog input, DOZ = three-state output, P = passive', 'X: crystal terminal; Y: ground']);
  it.each<[string, string, ElectricalType]>([
    ['K', 'P', 'passive'],
    ['DO', 'DOZ', 'three-state'],
    ['Z1', 'Y', 'ground'],
  ])('outweighs the usual meaning: %s with %s is %s', (name, code, type) => expect(inferType(name, code, '', legend).type).toBe(type));
  it('is not read out of prose', () => expect(readLegend(['Note: keep the pad open', 'Remark: see page 3'])).toEqual(new Map()));
  it('gives its words as the reason', () => expect(evidenceOfCode('AI', legend)[0]!.because).toBe('code AI = “analog input”'));
});

describe('pairs', () => {
  it.each<[string[], [string, string][]]>([
    [['IN+', 'IN-'], [['IN+', 'IN-']]],
    [['AIN1−', 'AIN1+'], [['AIN1+', 'AIN1−']]],
    [['TX_P', 'TX_N', 'RX_P'], [['TX_P', 'TX_N']]],
    [['INP', 'INN'], [['INP', 'INN']]],
    [
      ['L0P', 'L0N', 'L1P', 'L1N'],
      [
        ['L0P', 'L0N'],
        ['L1P', 'L1N'],
      ],
    ],
    [['TXP0', 'TXN0'], [['TXP0', 'TXN0']]],
    [['USB_DP', 'USB_DM'], [['USB_DP', 'USB_DM']]],
    [['CLK', 'CLR'], []],
  ])('of %j', (names, pairs) => expect(findPairs(names)).toEqual(pairs));
});
