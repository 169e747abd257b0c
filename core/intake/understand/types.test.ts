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
  // What a terminal serves, acts on or measures is not what it is.
  ['LIN', undefined, 'Logic input for low-side gate driver output (LO), in phase', 'input'],
  ['PDB', undefined, 'RF power-down. A logic low on this pin mutes the RF outputs.', 'input'],
  ['VTUNE', undefined, 'Control input to the VCO. This voltage determines the output frequency.', 'input'],
  ['DI', undefined, 'Driver input. A low on DI forces output A low and output B high.', 'input'],
  ['FB', undefined, 'Feedback. Connect to the tap of an external resistor divider from the output to GND.', 'input'],
  ['FB1', 'I', 'Buck 1 output sense', 'input'],
  ['DE', undefined, 'Driver output enable. The driver outputs are enabled by bringing DE high.', 'input'],
  ['DQM', 'Input', 'Input/output mask', 'input'],
  ['MR', undefined, 'Manual reset input. Pull low to force a reset. Leave unconnected if unused.', 'input'],
  ['PSEL', 'DI', 'Power source selection. High indicates a small source.', 'input'],
  ['PWREN', 'I', 'Power enable from the processor', 'input'],
  ['VBUS_DET', 'I/O12', 'Upstream detection', 'bidirectional'],
  ['HPGND', 'AI', 'Headphone ground feedback input', 'input'],
  // Codes that are built of a direction and a buffer.
  ['LED', 'O8', '', 'output'],
  ['SDA', 'I/OSD12', '', 'bidirectional'],
  ['RXD1', 'Ipd/O', 'Receive data output', 'output'],
  ['INTRP', 'Ipu/Opu', 'Interrupt output, programmable level, active low', 'output'],
  // Rails that the part makes, contacts, lines of a bus, drains.
  ['LDO1', 'O', 'LDO1 output, 150 mA', 'supply-out'],
  ['SIMV', 'PO', 'Card power supply', 'supply-out'],
  ['DEC1', 'Power', '0.9 V regulator digital supply decoupling', 'supply-out'],
  ['NC', undefined, 'Break contact (normally closed)', 'passive'],
  ['COM', undefined, 'Low-side return', 'ground'],
  ['CANL', undefined, 'LOW-level bus line', 'bidirectional'],
  ['TEST', 'IPD', 'Continuity test. Tie to VSS for normal operation.', 'reserved'],
  ['PG', undefined, 'Power good output. The output is an open drain and goes high in range.', 'open-drain'],
  ['A8', 'Digital I/O', 'General purpose I/O, analog input 7', 'bidirectional'],
  ['IN1', 'Power', 'First input source', 'supply-in'],
  ['VOUT', 'Power', 'Output to the load', 'supply-out'],
  ['INT', 'OPU', 'Interrupt', 'output'],
  ['RF', 'O', 'Output current detection pin. Insert a resistor between this pin and GND.', 'passive'],
  ['W1', undefined, 'Wiper terminal of potentiometer 1', 'passive'],
  ['RESET', undefined, 'Hardware reset input. Refreshes the wiper registers from memory.', 'input'],
  ['I1P', 'Analog in', 'Current channel, positive', 'input'],
  ['CF1', 'Digital out', 'Pulses in proportion to energy', 'output'],
  ['DGND', 'I', 'Digital ground', 'ground'],
  ['RESERVED', undefined, 'Keep these pins unconnected', 'reserved'],
  ['GPIO', undefined, 'General purpose input or open-drain output', 'bidirectional'],
  ['EQ', 'I', 'Equalisation, four levels by strap resistor', 'input'],
  ['CPL', 'PWR', 'Charge pump output; connect a flying capacitor between CPH and CPL', 'passive'],
  ['3.3V', '—', '3.3 V source', 'supply-in'],
  ['VR_DIG', undefined, 'Internally regulated 1.5 V digital supply voltage', 'supply-out'],
  ['VIN_DC', 'P', 'DC voltage input from the harvester', 'supply-in'],
  ['SDIN', 'DI', 'Data line of the serial port', 'input'],
  ['IO', 'I/O', 'Command line; open-drain with pull-up', 'bidirectional'],
  ['TEST_0', 'I', 'This pin must be tied to DGND', 'reserved'],
  ['TEST', 'Input', 'Enable manufacturing test modes; connect to DGND', 'reserved'],
  ['AVDDVCSEL', 'Supply', 'Laser supply', 'supply-in'],
  ['DO', 'DO_T', 'Data output', 'three-state'],
  ['MAGINC', 'DO_OD', 'Magnet field increase', 'open-drain'],
  ['CLK', 'DI_ST', 'Clock', 'input'],
  ['CMD', 'I/O/PP/OD', 'Command', 'bidirectional'],
  ['DS', 'O/PP', 'Data strobe', 'output'],
  ['PGND', 'G', 'Power ground, source of the lower transistor', 'ground'],
  ['ALERT#', 'O (OD)', 'Limit exceeded', 'open-drain'],
  ['SMBDAT', 'I/O (OD)', 'Management bus data', 'bidirectional'],
  ['SMBCLK', 'I (OD)', 'Management bus clock', 'input'],
  ['REG_SEL1', undefined, 'Regulator output select 1; strap to REG_OUT or COM', 'input'],
  ['RSTN', undefined, 'Reset in and out, open drain with pull-up', 'bidirectional'],
  ['DO', undefined, 'Coil drive', 'output'],
  ['REG_IN', undefined, 'Input of the voltage regulator', 'supply-in'],
  ['INIT_B', 'Bidirectional (open-drain)', 'Low while the memory is cleared', 'bidirectional'],
  ['VCCAUX', 'N/A', 'Auxiliary circuits', 'supply-in'],
  ['T1', 'I', 'Test input; must be connected to VSS', 'reserved'],
  ['FORCEON', 'DI', 'Test; tie to ground', 'reserved'],
  ['VCXO', 'AI', 'Pulls the crystal by ±100 ppm', 'input'],
  ['PWMA', undefined, 'PWM to power stage A', 'output'],
  ['PWMIN', undefined, 'PWM from the controller, three levels', 'input'],
  ['SYNC_IN', undefined, 'From the partner in quad mode', 'input'],
  ['EN', undefined, 'Pull low to hold both outputs in the high-impedance state', 'input'],
  ['BLANK', undefined, 'Composite blank; a low drives the analog outputs to the blanking level', 'input'],
  ['VA', 'P', 'Analog power; may share the battery', 'supply-in'],
  ['VEXCC', undefined, 'Sense of the external regulator’s output', 'input'],
  ['CWD', undefined, 'Watchdog window: capacitor to ground', 'passive'],
  ['VSS', 'Input', 'Ground: connect all VSS pins to the system ground (0 V)', 'ground'],
  ['CE', undefined, 'Chip enable', 'input'],
  ['MICBIAS', 'Power output', 'Microphone bias output 2.5 V', 'supply-out'],
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
  ['NC', '-', 'No connection. Must be connected to ground.'],
  ['VS', undefined, 'High-side floating supply return'],
  ['BTST', 'P', 'High-side gate driver supply. 47 nF from SW to BTST.'],
  ['VREF', undefined, 'Reference voltage'],
  ['VCC_RF', 'O', 'Output voltage RF section'],
  ['VIN', 'I', 'Switch input'],
  ['INT', undefined, 'Interrupt output (totem pole or open-drain)'],
  ['AD0/SDO', undefined, 'Slave address LSB; serial data output'],
  ['VOUT', 'O', 'Output of the load switch'],
  ['INTVCC', undefined, 'Internal 3.3 V supply decoupling output'],
  ['VPP', 'P', 'Power supply for programming, leave open'],
  ['DATA', undefined, 'Data out, high impedance on the other edge'],
  ['-VOUT', undefined, 'Negative output, isolated return'],
  ['VDD', 'C', 'Core logic power, connect a capacitor'],
  ['VSH2', 'C', 'Positive source driving voltage 2'],
  ['OSC_IN', 'I', 'Main oscillator input'],
  ['BST', undefined, 'Supply of the high-side driver; 100 nF to LX'],
  ['SUPHV', undefined, 'High-voltage input for the start-up'],
  ['VCP', 'PWR', 'Gate drive supply of the high side, 1 µF to VM'],
  ['VDD', 'P', '1.8 V digital supply; output of the internal regulator, for filtering only'],
  ['OUT', undefined, 'Drain voltage sense: the cathode of the ideal diode'],
  ['VRDIV', 'Output', 'Resistor divider biasing voltage'],
  ['CONFIG_3', 'O', 'Connected to ground on the module'],
  ['VCARD', undefined, 'Supply of the card, switched'],
  ['RSTC', undefined, 'Reset to the card'],
  ['VO', 'O', 'Terminating output'],
  ['D1P', 'AI', 'Remote diode anode side'],
  ['VSS', undefined, 'Most negative power supply; ground in single-supply use'],
  ['SW', 'O', 'Switch node of the boost converter; to inductor and diode'],
  ['IN', 'I', 'Photodiode anode'],
  ['DRAIN', undefined, 'Drain of the internal transistor; primary winding connects here'],
  ['OUT_HS', 'O', 'High-side output for a lamp'],
  ['BP', undefined, 'Bypass: external capacitor for the internally generated 5.85 V supply'],
  ['MISO', 'DO', 'Data to the host; open while not selected'],
  ['RECT', 'O', 'Filter of the rectified voltage, 10 µF to PGND'],
  ['SCL', undefined, 'Bus clock; the device may stretch it'],
  ['RESET', undefined, 'Low for 200 ms after VCC has come up'],
  ['VSSEXT', 'P', 'External −3 V, or ground to run the internal generator'],
  ['RXDC', undefined, 'Received data from the bus'],
  ['MICBIAS', 'Analog Output', 'Low-noise bias of the electret microphone, 2.1 V'],
  ['CPVOUTN', 'Analog Output', 'Negative rail of the headphone pump'],
  ['FILTER', 'O', 'Low-pass of the dimming; 1 µF'],
  ['IREF', 'I', 'Reference current; 26.1 kΩ to AGND'],
  ['ONTIME', undefined, 'Time that the output stays on'],
  ['SC1', undefined, 'Serial clock 1'],
  ['IRQ0', undefined, 'Interrupt request output; needs a pull-up resistor'],
  ['CE', undefined, 'Counter electrode of the cell; driven so that the other keeps its potential'],
  ['HVRTN', undefined, 'Return of the tube’s cathode'],
  ['HV+', undefined, 'High-voltage output to the anode'],
  ['SS/HSA', undefined, 'Slave select, or port active'],
  ['DB14/SDI', undefined, 'Data bit 14, or serial data input'],
  ['BCLK', undefined, 'Bit clock'],
  ['LED', undefined, 'Cathode of the status LED; sinks 20 mA'],
  ['SYNC', undefined, 'Synchronises to an external clock, or gives the internal one'],
  ['VOUT_A', 'Power output', 'Phase A'],
];

it.each(ASKED)('%s, type “%s”, “%s” is asked, with candidates', (name, code, description) => {
  const { doubt } = inferType(name, code, description, none);
  expect(doubt?.reason).toMatch(/\.$/);
  expect(doubt?.candidates?.length).toBeGreaterThan(1);
});

it('asks for a direction where the column says analog only', () =>
  expect(inferType('X7', 'Analog', 'Current limit resistor', none).doubt?.reason ?? 'direction').toContain('direction'));

it('says unspecified only where nothing tells', () => expect(inferType('FOO', '', '', none).type).toBe('unspecified'));

describe('a legend of the document', () => {
  const legend = readLegend(['AI = analog input, DOZ = three-state output, P = passive', 'X: crystal terminal; Y: ground']);
  it.each<[string, string, ElectricalType]>([
    ['K', 'P', 'passive'],
    ['DO', 'DOZ', 'three-state'],
    ['Z1', 'Y', 'ground'],
  ])('outweighs the usual meaning: %s with %s is %s', (name, code, type) => expect(inferType(name, code, '', legend).type).toBe(type));
  it('has one code for grounds and supplies', () => {
    const power = readLegend(['I: input only', 'P: ground or power']);
    expect(inferType('VDD', 'P', 'Digital power', power).type).toBe('supply-in');
    expect(inferType('GND', 'P', 'Ground', power).type).toBe('ground');
  });
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
