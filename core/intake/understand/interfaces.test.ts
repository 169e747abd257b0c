import { read } from '../../test/samples';

const bus = (prefix: string, count: number): string[] => Array.from({ length: count }, (_, i) => `${prefix}${i}`);
/** The types of some signals of a part whose source gives names, and words where they stand behind a colon; a question where asked. */
const typed = (signals: string[], wanted: string[]): string[] => {
  const rows = [...signals, 'VDD', 'VSS'].map((s, i) => [i + 1, ...s.split(':')].join(','));
  const { terminals } = read(`Pin,Name,Description\n${rows.join('\n')}\n`);
  return wanted.map((name) => {
    const t = terminals.find((x) => x.name === name)!;
    return `${t.type}${t.doubts.some((d) => d.field === 'type') ? '?' : ''}`;
  });
};

const CONTROL = ['CK_P', 'CK_N', 'CKE', 'CS_N', 'RAS_N', 'CAS_N', 'WE_N', 'ODT', 'RESET_N', 'ZQ', 'DQS0_P', 'DM0', 'DMI0'];
const MEMORY = [...bus('DQ', 16), ...bus('A', 14), ...bus('BA', 3), ...CONTROL];
const behind = (prefix: string) => MEMORY.map((n) => prefix + n);
const PADS = bus('GPIO', 12);

describe('the signals of a memory’s bus', () => {
  it.each<[string, string[], string[], string[]]>([
    ['come in at the memory', MEMORY, ['DQ3', 'A7', 'BA0', 'CK_P', 'CS_N', 'DQS0_P', 'DM0', 'ZQ'], ['bidirectional', 'input', 'input', 'input', 'input', 'bidirectional', 'input', 'passive']],
    ['go out at what has a memory', [...behind('DDR_'), ...PADS], ['DDR_DQ3', 'DDR_A7', 'DDR_CK_P', 'DDR_CS_N', 'DDR_WE_N', 'DDR_DQS0_P', 'DDR_DMI0', 'DDR_ZQ'], ['bidirectional', 'output', 'output', 'output', 'output', 'bidirectional', 'bidirectional', 'passive']],
    ['whatever such words are said of most often', [...behind('DDR_').map((n) => (n === 'DDR_CS_N' ? `${n}:Chip select of the memory` : n)), ...PADS], ['DDR_CS_N'], ['output']],
    ['but not against a word for the direction', [...behind('DDR_').map((n) => (n === 'DDR_CS_N' ? `${n}:Chip select input` : n)), ...PADS], ['DDR_CS_N'], ['input']],
    ['and are not known where nothing else is there', behind('DDR_'), ['DDR_CS_N'], ['unspecified?']],
    ['come in at a static memory', [...bus('A', 18), ...bus('I/O', 8), 'CE', 'OE', 'WE'], ['A9', 'I/O3', 'OE'], ['input', 'bidirectional', 'input']],
    ['are data that go in and out', [...bus('A', 18), ...bus('DQ', 8).map((n) => `${n}:Data in and data out`), 'CE', 'OE', 'WE'], ['DQ3'], ['bidirectional']],
    ['go to a flash beside the part', [...bus('NAND_IO', 8), 'NAND_CLE', 'NAND_WE_N:Write strobe', 'NAND_RB_N', ...PADS], ['NAND_IO1', 'NAND_CLE', 'NAND_WE_N', 'NAND_RB_N'], ['bidirectional', 'output', 'output', 'input']],
  ])('%s', (_what, signals, wanted, types) => expect(typed(signals, wanted)).toEqual(types)); // prettier-ignore
});

const MII = [...bus('TXD', 4), 'TXEN', 'TXC', ...bus('RXD', 4), 'RXDV', 'RXC', 'CRS', 'MDC', 'MDIO'];
const HOST = [...behind('DDR_'), ...PADS];

describe('the signals of other interfaces', () => {
  it.each<[string, string[], string[], string[]]>([
    ['at a transceiver', [...MII, 'TX+', 'TX-'], ['TXD2', 'TXEN', 'RXD1', 'RXC', 'CRS', 'MDC', 'MDIO', 'TXC'], ['input', 'input', 'output', 'output', 'output', 'input', 'bidirectional', 'output?']],
    ['at one with data at both edges', [...MII, 'TX_CTL', 'MDI0+', 'MDI0-'], ['TXC', 'MDI0+'], ['input', 'bidirectional']],
    ['at a host', [...HOST, ...MII.map((n) => `RGMII_${n}`)], ['RGMII_TXD2', 'RGMII_RXD1', 'RGMII_MDC', 'RGMII_TXC'], ['output', 'input', 'output', 'output?']],
    ['of unknown side', MII, ['TXD2', 'RXD1'], ['unspecified?', 'unspecified?']],
    ['of a host’s serial ports', [...HOST, 'UART0_TXD', 'UART0_RXD', 'SPI0_CS0', 'I2C1_SDA', 'I2C1_SCL', 'QSPI0_IO2'], ['UART0_TXD', 'UART0_RXD', 'SPI0_CS0', 'I2C1_SDA', 'I2C1_SCL', 'QSPI0_IO2'], ['output', 'input', 'output?', 'bidirectional', 'bidirectional?', 'bidirectional']],
    ['of a card', ['SD0_CLK', 'SD0_CMD', 'SD0_D0', 'SD0_D1', 'SD0_CD'], ['SD0_CLK', 'SD0_CMD', 'SD0_D1', 'SD0_CD'], ['output?', 'bidirectional', 'bidirectional', 'input?']],
    ['of a display and a camera', ['LCD_D0', 'LCD_HSYNC', 'CAM_D0', 'CAM_MCLK'], ['LCD_D0', 'LCD_HSYNC', 'CAM_D0', 'CAM_MCLK'], ['output?', 'output?', 'input?', 'output?']],
    ['of a test access port', ['TCK', 'TDI', 'TDO', 'TMS', 'TRSTN'], ['TCK', 'TDI', 'TMS', 'TRSTN'], ['input', 'input', 'input', 'input']],
    ['of links', ['PCIE_TX0P', 'PCIE_RX0N', 'USB1_DP', 'IN_TXP'], ['PCIE_TX0P', 'PCIE_RX0N', 'USB1_DP'], ['output', 'input', 'bidirectional']],
    ['that turn another part on', ['PMIC_EN:Enables the power manager', 'EN:Enables the part'], ['PMIC_EN', 'EN'], ['output?', 'input']],
  ])('%s', (_what, signals, wanted, types) => expect(typed(signals, wanted)).toEqual(types)); // prettier-ignore

  it('are not told over a type column, and those of several functions are asked', () => {
    const rows = [...HOST, 'DDR_A14', 'DDR_A15/DDR_BA3'].map((n, i) => `${i + 1},${n},${n === 'DDR_A14' ? 'I' : ''}`);
    const { terminals } = read(`Pin,Name,Type\n${rows.join('\n')}\n${rows.length + 1},VSS,G\n`);
    const [column, several] = terminals.filter((t) => /A1[45]/.test(t.name));
    expect([column!.type, several!.doubts.length > 0]).toEqual(['input', true]);
  });
  it('give the interface as the reason', () => {
    const { terminals } = read(`Pin,Name\n${HOST.map((n, i) => `${i + 1},${n}`).join('\n')}\n`);
    expect(terminals.find((t) => t.name === 'DDR_A7')!.because['type']).toBe('the bus DDR_ of a part that has a memory');
  });
});
