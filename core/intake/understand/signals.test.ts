import { read } from '../../test/samples';

const groups = (rows: string[]) =>
  Object.fromEntries(read(`Pin,Name,Type,Description\n${rows.join('\n')}\n`).terminals.map((t) => [t.name, t.group]));
const numbered = (...rows: [string, string, string?][]) =>
  rows.map(([name, type, description = ''], i) => `${i + 1},${name},${type},${description}`);

it.each<[string, [string, string, string?][], Record<string, string | undefined>]>([
  [
    'a bus',
    [
      ['D0', 'I/O'],
      ['D1', 'I/O'],
      ['D2', 'I/O'],
      ['CLK', 'I'],
    ],
    { D0: 'D', D2: 'D', CLK: 'Clock' },
  ],
  [
    'an interface by its stem',
    [
      ['SPI1_CLK', 'I'],
      ['SPI1_MOSI', 'I'],
      ['SPI1_MISO', 'O'],
    ],
    { SPI1_CLK: 'SPI1', SPI1_MISO: 'SPI1' },
  ],
  [
    'a mode pin, and a bootstrap that only has its name',
    [
      ['MODE', 'I'],
      ['BOOT', 'P', 'Bootstrap capacitor'],
    ],
    { MODE: 'Control', BOOT: undefined },
  ],
  [
    'the capacitors of a charge pump, by their words before their letters',
    [
      ['C1+', 'A', 'Positive terminal of the voltage doubler capacitor'],
      ['C1-', 'A', 'Negative terminal of the voltage doubler capacitor'],
      ['C2+', 'A', 'Positive terminal of the inverting charge pump capacitor'],
      ['CT', 'A', 'Timing capacitor'],
    ],
    { 'C1+': 'Charge pump', 'C2+': 'Charge pump', CT: undefined },
  ],
  [
    'a port',
    [
      ['PA0', 'I/O'],
      ['PA1', 'I/O'],
      ['PA2-OSC_IN', 'I/O'],
    ],
    { PA0: 'Port A', 'PA2-OSC_IN': 'Port A' },
  ],
  [
    'lines of several fans',
    [
      ['FAN1_TACH', 'I'],
      ['FAN1_PWM', 'O'],
      ['FAN2_TACH', 'I'],
      ['FAN2_PWM', 'O'],
      ['SW1', 'I'],
    ],
    { FAN1_TACH: 'FAN', FAN2_PWM: 'FAN', SW1: undefined },
  ],
  [
    'a port by its number',
    [
      ['P0.00', 'I/O'],
      ['P0.01', 'I/O'],
      ['P0.11', 'I/O'],
      ['NFC1', 'A'],
    ],
    { 'P0.00': 'Port 0', 'P0.11': 'Port 0', NFC1: undefined },
  ],
  [
    'a serial port by names',
    [
      ['CS', 'I'],
      ['SCLK', 'I'],
      ['SDO', 'O'],
    ],
    { CS: 'Serial port', SDO: 'Serial port' },
  ],
  [
    'a memory’s controls, and the halves of a clock’s outputs',
    [
      ['CE#', 'I'],
      ['OE#', 'I'],
      ['WE#', 'I'],
      ['UB#', 'I'],
      ['Q0', 'O'],
      ['Q0_N', 'O'],
      ['Q1', 'O'],
      ['Q1_N', 'O'],
    ],
    { 'CE#': 'Control', 'UB#': 'Control', Q0: 'Q', Q1_N: 'Q' },
  ],
  [
    'windings by their words',
    [
      ['P1', 'passive', 'Primary winding, start'],
      ['S1', 'passive', 'Secondary winding A, start'],
    ],
    { P1: 'Primary winding', S1: 'Secondary winding A' },
  ],
  [
    'a port of a switch by its controls, and a crystal of a clock of its own',
    [
      ['TX_D6_0', 'I'],
      ['RX_D6_0', 'O'],
      ['TX_CTL6', 'I'],
      ['RX_CTL6', 'O'],
      ['RX_CLK6', 'O'],
      ['RTC_XI', 'I'],
      ['RTC_XO', 'O'],
    ],
    { TX_D6_0: 'RGMII', RX_D6_0: 'RGMII', RX_CLK6: 'RGMII', RTC_XI: 'Clock', RTC_XO: 'Clock' },
  ],
  [
    'a select that is the complement, not the second of two',
    [
      ['SDA', 'I/O'],
      ['CSB', 'I'],
    ],
    { CSB: 'Serial port' },
  ],
  [
    'contacts of a socket, which take part in no traffic',
    [
      ['CLK', 'passive'],
      ['RST', 'passive'],
      ['XTAL', 'passive'],
    ],
    { CLK: undefined, RST: undefined, XTAL: 'Clock' },
  ],
  [
    'a serial port by its frame, and one of a module',
    [
      ['SYNC#', 'I'],
      ['SCLK', 'I'],
      ['DIN', 'I'],
      ['TXD0', 'O'],
      ['RXD0', 'I'],
    ],
    { 'SYNC#': 'Serial port', TXD0: 'Serial port', RXD0: 'Serial port' },
  ],
  [
    'no serial port of a bus, and no frame where nothing is clocked',
    [
      ['SYNC', 'I'],
      ['TXD0', 'O'],
      ['TXD1', 'O'],
      ['TXD2', 'O'],
      ['RXD0', 'I'],
    ],
    { SYNC: undefined, TXD0: 'TXD', TXD2: 'TXD' },
  ],
  [
    'buses that begin with a figure',
    [
      ['1A1', 'I/O'],
      ['1A2', 'I/O'],
      ['1A3', 'I/O'],
    ],
    { '1A1': '1A', '1A3': '1A' },
  ],
  [
    'a serial port of three wires, and one with a plain clock',
    [
      ['CLK', 'I'],
      ['DATA', 'I'],
      ['LE', 'I'],
    ],
    { CLK: 'Serial port', DATA: 'Serial port', LE: 'Serial port' },
  ],
  [
    'a clock by its words, and its select',
    [
      ['CLK', 'I', 'Serial data clock'],
      ['nSCS', 'I'],
      ['REFCLK', 'I', 'Reference clock of the serial link'],
    ],
    { CLK: 'Serial port', nSCS: 'Serial port', REFCLK: 'Clock' },
  ],
  [
    'banks that stand behind the names',
    [
      ['IO_L1P_34', 'I/O', ''],
      ['IO_L1N_34', 'I/O', ''],
      ['IO_L2P_T0_35', 'I/O', ''],
      ['VCCO_34', 'P', ''],
      ['VCCO_35', 'P', ''],
    ],
    { IO_L1P_34: 'Bank 34', IO_L2P_T0_35: 'Bank 35', VCCO_35: 'Bank 35' },
  ],
  [
    'the lanes of a transceiver, whose halves end in a letter behind a sign',
    [0, 1, 2].flatMap((i): [string, string, string][] => [
      [`MGTTX${i}_P`, 'O', ''],
      [`MGTTX${i}_N`, 'O', ''],
    ]),
    { MGTTX0_P: 'MGTTX', MGTTX2_N: 'MGTTX' },
  ],
  [
    'counted ports of two wires',
    ['SD0', 'SC0', 'SD1', 'SC1', 'SD2', 'SC2', 'SDA', 'SCL'].map((n): [string, string, string] => [n, 'I/O', '']),
    { SD0: 'Channels', SC2: 'Channels', SDA: 'Serial port' },
  ],
  [
    'what measures a current and selects nothing',
    [
      ['CSP', 'I', 'Current sense, positive'],
      ['CSN', 'I', 'Current sense, negative'],
      ['CS', 'I', 'Chip select'],
    ],
    { CSN: undefined, CS: 'Control' },
  ],
  [
    'an interface that its names tell together',
    [
      ['MDC', 'I'],
      ['MDIO', 'I/O'],
      ['TXD0', 'I'],
      ['TXEN', 'I'],
      ['RXDV/CONFIG2', 'I/O'],
      ['TXP', 'O'],
      ['TXM', 'O'],
      ['LED0', 'O'],
    ],
    { MDC: 'Ethernet', TXD0: 'Ethernet', 'RXDV/CONFIG2': 'Ethernet', TXP: 'Line', TXM: 'Line', LED0: undefined },
  ],
  [
    'the same name where the others are not there',
    [
      ['TXEN', 'I'],
      ['WS', 'I'],
      ['CANH', 'I/O'],
    ],
    { TXEN: undefined, WS: undefined, CANH: undefined },
  ],
  [
    'a memory’s command and an audio port',
    [
      ['RAS', 'I'],
      ['CAS', 'I'],
      ['CKE', 'I'],
      ['BCLK', 'I'],
      ['LRCLK', 'I'],
      ['SDIN', 'I'],
    ],
    { CAS: 'Command', CKE: 'Command', BCLK: 'Audio port', SDIN: 'Audio port' },
  ],
  [
    'a bus and a serial bus with words for its ends',
    [
      ['CANH', 'I/O'],
      ['CANL', 'I/O'],
      ['TXD', 'I'],
      ['USB_DP', 'I/O'],
      ['USB_DM', 'I/O'],
    ],
    { CANL: 'CAN', TXD: 'CAN', USB_DM: 'USB' },
  ],
  [
    'words where names say nothing',
    [
      ['FOO', 'I', 'Serial data in'],
      ['BAR', 'I', 'Crystal terminal'],
    ],
    { FOO: 'Serial port', BAR: 'Clock' },
  ],
  [
    'supplies and what is not used',
    [
      ['VDD', 'P'],
      ['GND', 'G'],
      ['NC', 'NC'],
    ],
    { VDD: 'Supplies', GND: 'Supplies', NC: 'Not used' },
  ],
  [
    'banks with their supplies',
    [
      ['IO1_A', 'I/O'],
      ['IO1_B', 'I/O'],
      ['VCCO1', 'P'],
    ],
    { IO1_A: 'Bank 1', VCCO1: 'Bank 1' },
  ],
  [
    'ports of two signals each, of which there are several',
    [
      ['UART0_TX', 'O'],
      ['UART0_RX', 'I'],
      ['UART1_TX', 'O'],
      ['UART1_RX', 'I'],
      ['I2C0_SCL', 'OD'],
      ['OUT1_A', 'O'],
      ['OUT2_A', 'O'],
      ['OUT3_A', 'O'],
    ],
    { UART0_TX: 'UART', UART1_RX: 'UART', I2C0_SCL: undefined, OUT1_A: undefined },
  ],
  [
    'channels that words tell apart, where they are more than a bus',
    [
      ['SW_B1', 'O', 'Switch node of buck 1'],
      ['FB_B1', 'I', 'Buck 1 feedback'],
      ['SW_B2', 'O', 'Switch node of buck 2'],
      ['FB_B2', 'I', 'Buck 2 feedback'],
      ['SW_B3', 'O', 'Switch node'],
      ['FB_B3', 'I', 'Feedback'],
      ['AIN1', 'I', 'Input of channel 1'],
      ['AIN2', 'I', 'Input of channel 2'],
    ],
    { SW_B1: 'Buck 1', FB_B1: 'Buck 1', SW_B2: 'Buck 2', SW_B3: 'SW', AIN1: undefined },
  ],
  [
    'a modem’s port with all that goes with its data',
    [
      ['TXD', 'O'],
      ['RXD', 'I'],
      ['RTS', 'I'],
      ['DTR', 'I'],
      ['I2C_SDA', 'I/O'],
      ['I2C_SCL', 'O'],
    ],
    { TXD: 'Serial port', RTS: 'Serial port', DTR: 'Serial port', I2C_SDA: 'I2C', I2C_SCL: 'I2C' },
  ],
  [
    'an audio port beside a port for control',
    [
      ['BCLK', 'I/O'],
      ['DACLRC', 'I/O'],
      ['DACDAT', 'I'],
      ['SCLK', 'I'],
      ['SDIN', 'I/O'],
      ['CSB', 'I'],
    ],
    { DACLRC: 'Audio port', DACDAT: 'Audio port', SCLK: 'Serial port', SDIN: 'Serial port', CSB: 'Serial port' },
  ],
  [
    'two-wire ports by what stands before both lines',
    [
      ['DDCSDA', 'I/O'],
      ['DDCSCL', 'O'],
      ['AUXSDA', 'I/O'],
      ['SMB_CLK', 'I'],
      ['SMB_DATA', 'I/O'],
    ],
    { DDCSDA: 'DDC', DDCSCL: 'DDC', AUXSDA: undefined, SMB_CLK: 'Serial port', SMB_DATA: 'Serial port' },
  ],
  [
    'nothing where nothing is shared',
    [
      ['FOO', 'I'],
      ['BAR', 'O'],
    ],
    { FOO: undefined, BAR: undefined },
  ],
])('finds %s', (_what, rows, found) => expect(groups(numbered(...rows))).toMatchObject(found));

it('leaves groups that the source prints alone, and makes no others', () => {
  const p = read('Pin,Name,Type,Group\n1,D0,I/O,Data\n2,D1,I/O,Data\n3,D2,I/O,\n');
  expect(p.terminals.map((t) => t.group)).toEqual(['Data', 'Data', undefined]);
});
it('ties a bank to its rail, and a supply to its own', () => {
  const p = read(`Pin,Name,Type\n1,IO2_A,I/O\n2,VCCO2,P\n3,VDD,P\n`);
  expect(p.terminals.map((t) => t.rail)).toEqual(['VCCO2', 'VCCO2', 'VDD']);
});
it('says why', () => expect(read('Pin,Name,Type\n1,D0,I\n2,D1,I\n3,D2,I\n').terminals[0]!.because['group']).toBe('3 names share “D”'));
