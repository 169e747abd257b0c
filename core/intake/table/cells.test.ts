import { readActiveLow } from './active-low';
import { headingWorth, packageIn, packageOfHeading, roleOfHeading } from './headings';
import { alternatesIn, cleanName, expandNames, findVectors, listAlternates } from './names';
import { brokenName, roomForNames } from './broken-names';
import { isTypePhrase, typeInOneLine } from '../understand/type-codes';
import { readNumberCell } from './numbers';

it.each<[string, boolean]>([
  ['Analog input', true],
  ['Digital input/output', true],
  ['Output (open drain)', true],
  ['I/O', true],
  ['Supply', true],
  ['Positive input', false],
  ['Input of the clock', false],
  ['', false],
  [`${'in '.repeat(12)}x`, false],
])('“%s” is a type in words: %s', (text, is) => expect(isTypePhrase(text)).toBe(is));

it.each<[string, string]>([
  ['Analog inpu\nt/output', 'Analog input/output'],
  ['Analog\ninput', 'Analog input'],
  ['Power, see\nnote', 'Power, see note'],
  ['I/O', 'I/O'],
])('type %j stands in one line as “%s”', (text, line) => expect(typeInOneLine(text)).toBe(line));

it.each<[string, [string, string] | undefined]>([
  ['FULL_CARD_POW\nER_OFF#', ['FULL_CARD_POW', 'ER_OFF#']],
  ['VREF_SAM\nP', ['VREF_SAM', 'P']],
  ['SYNC/RESE\nT', ['SYNC/RESE', 'T']],
  ['OUT\nA', undefined],
  ['PA0\nTIM2_CH1', undefined],
  ['EXPOSED\nPAD', undefined],
  ['VDD', undefined],
])('name %j is broken between %j', (name, parts) => {
  const rows = ['A name', name, 'W_DISABLE1#', 'PEWAKE#'].map((n, line) => ({ line, cells: ['1', n] }));
  expect(brokenName(name, roomForNames(rows, 1))).toEqual(parts);
});

describe('number cells', () => {
  it.each<[string, string[]]>([
    ['7', ['7']],
    ['A1', ['A1']],
    ['AB12', ['AB12']],
    ['5, 12, 31', ['5', '12', '31']],
    ['5,12,31', ['5', '12', '31']],
    ['5; 12', ['5', '12']],
    ['1 2 3', ['1', '2', '3']],
    ['3 and 4', ['3', '4']],
    ['10–13', ['10', '11', '12', '13']],
    ['10-13', ['10', '11', '12', '13']],
    ['10 - 13', ['10', '11', '12', '13']],
    ['10 to 13', ['10', '11', '12', '13']],
    ['10..12', ['10', '11', '12']],
    ['13-10', ['13', '12', '11', '10']],
    ['1-2, 5', ['1', '2', '5']],
    ['A1-A3', ['A1', 'A2', 'A3']],
    ['A1 to A3', ['A1', 'A2', 'A3']],
    ['A1, B2, C3', ['A1', 'B2', 'C3']],
    ['5(1)', ['5']],
    ['5²', ['5']],
    ['12*', ['12']],
    ['MP1', ['MP1']],
    ['EP (33)', ['33']],
  ])('%s', (text, numbers) => expect(readNumberCell(text)).toEqual({ kind: 'list', numbers }));
  it.each(['9(EP)', '9 (tab)', '9 (thermal pad)', '9 (E-pad)'])('%s is 9', (text) =>
    expect(readNumberCell(text)).toEqual({ kind: 'list', numbers: ['9'] }),
  );

  it.each(['', '-', '–', '—', 'n/a', 'N.A.', 'none', 'x'])('“%s” is none', (text) =>
    expect(readNumberCell(text)).toEqual({ kind: 'none' }),
  );
  it.each(['EP', 'PAD', 'Exposed pad', 'exposed thermal pad', 'Thermal pad', 'EPAD', 'Center\nPad'])('%s is an exposed pad', (text) =>
    expect(readNumberCell(text)).toEqual({ kind: 'pad' }),
  );
  it.each(['3.3', 'Supply voltage', '2.7 V', 'A1-B3', '1-99999', 'D[7:0]'])('“%s” is no number', (text) =>
    expect(readNumberCell(text)).toEqual({ kind: 'unread' }),
  );
});

describe('names', () => {
  const notes = { marks: new Set(['1', '*']), vectors: new Set(['D']) };
  it.each<[string, string]>([
    ['VDD(1)', 'VDD'],
    ['VDD (1)', 'VDD'],
    ['VDD¹', 'VDD'],
    ['VDD†', 'VDD'],
    ['OUT*', 'OUT'],
    ['D(0)', 'D(0)'],
    ['  A   B ', 'A B'],
    ['V+', 'V+'],
    ['DATA[3]', 'DATA[3]'],
    ['C\u0305S\u0305', 'CS'],
  ])('cleans %s to %s', (text, name) => expect(cleanName(text, notes).name).toBe(name));
  it('sees an overbar', () => expect(cleanName('C\u0305S\u0305', notes).overbar).toBe(true));
  it('doubts a mark that no footnote explains', () => expect(cleanName('IN(2)', notes)).toMatchObject({ name: 'IN', unsure: 'IN(2)' }));
  it('knows a vector by several indices', () => expect([...findVectors(['D(0)', 'D(1)', 'A(1)'])]).toEqual(['D']));

  it.each<[string, number, string[]]>([
    ['D0–D3', 4, ['D0', 'D1', 'D2', 'D3']],
    ['D0-D3', 4, ['D0', 'D1', 'D2', 'D3']],
    ['D0 to D3', 4, ['D0', 'D1', 'D2', 'D3']],
    ['D3..D0', 4, ['D3', 'D2', 'D1', 'D0']],
    ['D[3:0]', 4, ['D3', 'D2', 'D1', 'D0']],
    ['DQ<0:1>', 2, ['DQ0', 'DQ1']],
    ['A(1:0)_N', 2, ['A1_N', 'A0_N']],
    ['IN0P–IN2P', 3, ['IN0P', 'IN1P', 'IN2P']],
    ['D0-3', 4, ['D0', 'D1', 'D2', 'D3']],
    ['D0-3', 1, ['D0-3']],
    ['A, B, C', 3, ['A', 'B', 'C']],
    ['A/B', 2, ['A', 'B']],
    ['PA0/ADC0', 1, ['PA0/ADC0']],
    ['USB_D-', 1, ['USB_D-']],
    ['VSS', 3, ['VSS']],
    ['TEST1–TE ST2', 2, ['TEST1', 'TEST2']],
    ['DATA10–DA\nTA12', 3, ['DATA10', 'DATA11', 'DATA12']],
    ['IN1 IN2', 2, ['IN1', 'IN2']],
    ['QD-QF', 3, ['QD', 'QE', 'QF']],
    ['OUTA to OUTD', 4, ['OUTA', 'OUTB', 'OUTC', 'OUTD']],
    ['QF–QD', 3, ['QF', 'QE', 'QD']],
    ['QD-QF', 2, ['QD-QF']],
    ['QD-RF', 3, ['QD-RF']],
  ])('expands %s over %i numbers', (cell, numbers, names) => expect(expandNames(cell, numbers)).toEqual(names));

  it.each<[string, string[]]>([
    ['PA0/ADC0/TIM1', ['ADC0', 'TIM1']],
    ['R/W', []],
    ['/CS', []],
    ['VDD', []],
  ])('finds the alternates of %s', (name, list) => expect(alternatesIn(name)).toEqual(list));
  it('reads a column of alternates', () => expect(listAlternates('ADC0, TIM1; –')).toEqual(['ADC0', 'TIM1']));
});

describe('active low', () => {
  const names = new Set(['TX_P', 'TX_N', 'CK_N', 'OUT_A', 'OUT_B', 'RESET_N']);
  it.each<[string, string, boolean]>([
    ['CS#', '', true],
    ['/CS', '', true],
    ['nRESET', 'Reset input', true],
    ['RESET_N', '', true],
    ['SPI1_CS_N', '', true],
    ['IRQ_B', 'Interrupt', true],
    ['CS', 'Chip select, active low', true],
    ['RESET', 'Active-low reset input', true],
    ['OE*', 'Output enable', true],
    ['TX_N', 'Negative output', false],
    ['OUT_B', 'Output of channel B', false],
    ['CLK', 'Clock', false],
    ['EN', 'Enable, active high', false],
    ['MRN', 'Manual reset input. A low level asserts RESETN.', true],
    ['XTAL_EN', 'Circuit enable. A low state enables the circuit.', true],
    ['ENABLE', 'Logic input; low enables the outputs', true],
    ['RESET', 'Logic input; low holds the translator in its home state', true],
    ['PWRFAIL', 'Open drain output; low when the supply is below 1 V', true],
    ['nHOME', 'Home position. Logic low when at the home state.', true],
    ['nENBL', 'Logic high to disable the outputs, logic low to enable', true],
    ['nSTEP', 'Goes low at each step', true],
    ['SD0_CD_N', 'Card detect', true],
    ['WDOG_N', 'Watchdog output', true],
    ['nPWRON', 'Key input', true],
    ['VREF_N', 'Reference', false],
    ['MIX_N', 'Mixer, negative', false],
    ['CS_n', 'Chip select', true],
    ['S_CSn', 'Chip select, falling edge starts a transfer', true],
    ['OCS1_N', 'Over-current sense of port 1', true],
    ['nRESETO', 'Reset to the processor', true],
    ['OEB', 'Output enable; low enables the outputs', true],
    ['INTB', 'Interrupt of port B', false],
    ['CS', 'Chip select. The device is selected while CS is low', true],
    ['RESET', 'Reset; a low level of 20 µs resets all registers', true],
    ['SPI_CE', 'Low selects this device', true],
    ['OE', 'Low enables the outputs', true],
    ['SEL', 'Low selects channel A', false],
    ['SEL', 'The upper channel is selected when low', false],
    ['EN', 'Low for shut-down', false],
    ['FLT', 'Fault event indicator, goes low to indicate a fault', true],
    ['FAULT', 'Open-drain output, low on fault', true],
    ['ALERT', 'Driven low when a limit is passed', true],
    ['PGOOD', 'Goes low to indicate a fault', false],
    ['RST', 'Reset low; has an internal pull-up', true],
    ['CSB', 'Serial port chip select (active low)', true],
    ['PDB', 'Power-down while low', true],
    ['OEB', 'Output driver enable. Low = enabled, high = disabled', true],
    ['NRSTPD', 'Not reset and power-down', true],
    ['CSB', 'Chip select of port B', false],
  ])('%s (%s) is %s', (name, description, activeLow) => expect(readActiveLow(name, false, description, names).activeLow).toBe(activeLow));
  it.each<[string, string]>([
    ['DATA_N', 'Data'],
    ['RESET_N', 'Reset, active high'],
    ['POL', 'Selects active-low mode of the output'],
    ['GPOUT', 'Configurable output. As battery-low flag it is active low.'],
    ['ST', 'Status flag, open drain; pulled low in case of overload'],
    ['SLEEP', 'Logic input; low puts the part to sleep'],
    ['IDLE', 'Idle mode when low'],
    ['RXD', 'receive data output; active LOW after a wake-up event'],
    ['DATA_n', 'Data'],
    ['XYZB', 'Low when the loop has lost lock'],
    ['FLTB', 'Reports open strings, low, open drain'],
    ['SHDN A', 'Shutdown: low = disabled, high = normal operation'],
    ['PDB', 'Power-down input. PDB = H: on. PDB = L: in power down'],
    ['QON', 'A low for 1 s turns the switch on'],
    ['SMUTE', 'Soft mute control: soft mute (low), soft un-mute (high)'],
    ['CSB', 'Chip select'],
    ['ALERTB', 'Bus alert, open drain'],
    ['SLPN', 'Low puts the part to sleep'],
    ['WAKEN', 'Falling edge wakes the part'],
    ['DRDY', 'Goes low when a new result is there, high when it was read'],
    ['IDLE', 'Low keeps only the oscillator alive'],
  ])('asks about %s (%s)', (name, description) => expect(readActiveLow(name, false, description, names).unsure).toBeDefined());
  it('does not take SDB for a channel beside the data line SDA', () =>
    expect(readActiveLow('SDB', false, 'Shutdown pin', new Set(['SDA', 'SDB'])).unsure).toBeDefined());
  it('believes an overbar', () => expect(readActiveLow('X', true, '', names)).toEqual({ activeLow: true, because: 'overbar' }));
});

describe('headings', () => {
  it.each<[string, ReturnType<typeof roleOfHeading>]>([
    ['Pin No.', 'number'],
    ['Pin N°', 'number'],
    ['№', 'number'],
    ['Bank pin', 'number'],
    ['BALL', 'ambiguous'],
    ['Pin(s)', 'ambiguous'],
    ['Symbol', 'name'],
    ['I/O', 'type'],
    ['Pin Type²', 'type'],
    ['Functional Description', 'description'],
    ['Function', 'ambiguous'],
    ['Alternate functions', 'alternates'],
    ['Supply domain', 'rail'],
    ['Bank', 'group'],
    ['Active level', 'activeLow'],
    ['I/O, Type', 'type'],
    ['Function in SPI mode', 'description'],
    ['Mode 1 pin function', 'description'],
    ['Parameter', 'description'],
    ['Abbreviation', 'name'],
    ['Full name', 'description'],
    ['Minimum', undefined],
    ['', undefined],
  ])('“%s”', (text, role) => expect(roleOfHeading(text)).toBe(role));

  it.each<[string[], number]>([
    [['Pin', 'Symbol', 'Parameter'], 3],
    [['Pin', 'Symbol', 'Parameter', 'Min'], 0],
    [['Symbol', 'Parameter', 'Rating'], 0],
    [['Pad', 'Name', 'X', 'Y'], 2],
    [['Pad', 'VSUB', 'Supply', 'Substrate; must be wired to the lowest voltage'], 0],
  ])('%j are %i headings', (cells, worth) => expect(headingWorth(cells)).toBe(worth));

  it.each<[string, string | undefined, number | undefined]>([
    ['SO-14', 'SO-14', 14],
    ['TSSOP20', 'TSSOP20', 20],
    ['48-QFN', '48-QFN', 48],
    ['LQFP 64', 'LQFP 64', 64],
    ['SOT-23-5', 'SOT-23-5', 5],
    ['SOT-23', 'SOT-23', undefined],
    ['SO-8-EP', 'SO-8-EP', 8],
    ['BGA-484 array', 'BGA-484', 484],
    ['DIP', 'DIP', undefined],
    ['from 4 to 7', undefined, undefined],
    ['VDD', undefined, undefined],
  ])('the package in “%s”', (text, name, count) => {
    expect(packageIn(text)?.name).toBe(name);
    expect(packageIn(text)?.count).toBe(count);
  });
  it.each([
    ['VQFN-\n24', 'VQFN-24'],
    ['TSSOP\n20', 'TSSOP 20'],
    ['Pin no.\nBGA-64', 'BGA-64'],
  ])('the package that the broken heading %j names', (heading, name) => expect(packageOfHeading(heading)).toBe(name));
});
