import { isSignal, type ElectricalType } from '../../part';
import { giveType, isTypeAsked, isTypeTold, type Terminal } from '../proposal';

/** What signals of an interface are, by the name behind the interface's own; `asked` where parts differ in it. */
type Members = readonly [name: RegExp, type: ElectricalType, asked?: 'asked'][];

const BUS = '[LU]?\\[?\\d{1,3}\\]?(?:_?[AB])?';
const DATA = new RegExp(`^S?(?:DQ|DATA|D|IO|I/O)_?${BUS}$`, 'i');
const ADDRESS = new RegExp(`^(?:S?BA|BG|MA|CA|ADDR|A)_?${BUS}$`, 'i');
const STROBE = /^[LU]?S?DQS[LU]?_?\d{0,2}(?:_?[PNTCB]|[#+−-])?(?:_?[AB])?$/i;
/** Mask and inversion in one. */
const INVERSION = /^(?:DMI|DBI)[LU]?_?\d{0,2}(?:_?[NAB]|#)?$/i;
const MEMORY_CLOCK = /^S?D?(?:CLK|CK)_?\d?(?:_?[ABPNTC]|[#+−-])?(?:_?[AB])?$/i;
const COMMAND = /^n?\/?(?:S?D?CKE|S?D?WE|S?D?ODT|CS|RAS|CAS|ACT|RESET|RST|PAR|PARITY|TEN)_?\d?(?:_?[NBL]|[#*])?(?:_?[AB])?$/i;
const MASK = /^(?:[LU]?S?DQM|[LU]?DM)[LUH]?_?\d{0,2}(?:_?N|#)?$/i;
const CALIBRATION = /^(?:R?ZQ(?:PAD|CAL)?\d?|CAL|COMP)_?\d?$/i;

/** The same signals seen from the other end: what goes in there goes out here. */
const fromOtherEnd = (members: Members): Members =>
  members.map(([name, type]) => [name, type === 'input' ? 'output' : type === 'output' ? 'input' : type]);

/** Seen from the part that holds the data, and from the one that asks for them. */
const MEMORY: Members = [
  [DATA, 'bidirectional'],
  [STROBE, 'bidirectional'],
  [INVERSION, 'bidirectional'],
  [ADDRESS, 'input'],
  [MEMORY_CLOCK, 'input'],
  [COMMAND, 'input'],
  [MASK, 'input'],
  [CALIBRATION, 'passive'],
];
const CONTROLLER: Members = [...fromOtherEnd(MEMORY), [/^ALERT_?(?:N|#)?$/i, 'input']];
const PARALLEL: Members = [
  [DATA, 'bidirectional'],
  [ADDRESS, 'input'],
  [/^n?\/?(?:[CWO]E|CS|LB|UB|BHE|BLE|BYTE|ADV|WP|RESET|RST|CLK|CRE|ACC)\d?(?:_?[NB]|[#*])?$/i, 'input'],
];
/** Of what a part has beside it, and not in it: the bus of a flash. */
const BESIDE = /^(NAND|NOR|FLASH|NF|SRAM|PSRAM|EEPROM)C?\d?$/i;
const BESIDES: Members = [
  [DATA, 'bidirectional'],
  [STROBE, 'bidirectional'],
  [/^n?(CLE|ALE|WP|[CWOR]E|RD|WR|CS|CLK|RST|RESET|ADV|BLE|BHE|LB|UB)_?\d?(?:_?[NB]|#)?$/i, 'output'],
  [ADDRESS, 'output'],
  [/^n?(RB|R_?B|RY_?BY|RDY|READY|BUSY|WAIT|TE)_?\d?(?:_?[NB]|#)?$/i, 'input'],
];
/** Pixels go to a display and come from a camera; a display with a memory of its own is read as well. */
const SHOWS: Members = [
  [/^(D(ATA)?|[RGB])_?\d{1,2}$|^(P|D|DOT)?CLK$|^[HV]_?SYNC$|^DE$|^DEN$|^(BL|BACKLIGHT)_?(EN|PWM)?$/i, 'output', 'asked'],
];
const SEES: Members = [
  [/^D(ATA)?_?\d{1,2}$|^P(IX)?_?CLK$|^[HV]_?(SYNC|REF)$|^FIELD$/i, 'input', 'asked'],
  [/^(MCLK|XCLK|PWDN|RST_?N?|RESET_?N?)$/i, 'output', 'asked'],
];
/** The media interface as the transceiver has it. */
const MEDIA: Members = [
  [/^TXD_?\d$|^TX_?(EN|CTL|ER)$|^GTX_?CLK$|^MDC$/i, 'input'],
  [/^RXD_?\d$|^RX_?(DV|CTL|ER|C|CLK)$|^CRS(_?DV)?$|^COL$/i, 'output'],
  [/^MDIO$/i, 'bidirectional'],
];
const PHY: Members = [...MEDIA, [/^(MDI|TRX?D?)_?\d_?[PMN+−-]$/i, 'bidirectional']];
const MAC: Members = [...fromOtherEnd(MEDIA), [/^TX_?C(LK)?$/i, 'output', 'asked'], [/^REF_?CLK$/i, 'input', 'asked']];
/** With data at both edges the transmit clock comes with them; else the transceiver gives it. */
const CLOCK_WITH_DATA: Members = [[/^TX_?C(LK)?$/i, 'input']];
const CLOCK_GIVEN: Members = [[/^TX_?C(LK)?$/i, 'output', 'asked']];
const CARD: Members = [
  [/^(CMD|D(AT|ATA)?_?\d)$/i, 'bidirectional'],
  [/^(CLK|RST_?N?|RESET_?N?|PWR_?EN)$/i, 'output', 'asked'],
  [/^(CD|DET|CDN?|WP|DS|STRB)(_?N)?$/i, 'input', 'asked'],
];
/** Of a card with a subscriber's identity (ISO/IEC 7816-3), seen from what reads it. */
const SUBSCRIBER: Members = [
  [/^(IO|I\/O|DATA?)$/i, 'bidirectional'],
  [/^(CLK|RST_?N?|RESET_?N?)$/i, 'output', 'asked'],
  [/^(VDD|VCC|PWR)$/i, 'supply-out', 'asked'],
  [/^(DET(ECT)?|PRES(ENCE)?|CD)_?N?$/i, 'input', 'asked'],
];
const SIM = /^U?(SIM|IM)\d?$/i;
const HOST: Members = [
  [/^(UART|CAN|LIN)_?\d_?(TXD?|RTS)(_?N)?$|^TXD\d$/i, 'output'],
  [/^(UART|CAN|LIN)_?\d_?(RXD?|CTS)(_?N)?$|^RXD\d$/i, 'input'],
  [/^(I2C|TWI)_?\d_?SDA$/i, 'bidirectional'],
  [/^(I2C|TWI)_?\d_?SCL$/i, 'bidirectional', 'asked'],
  [/^(Q|O)?SPI_?\d_?(CLK|SCLK|SCK|MOSI|N?(CS|SS)_?\d?(_?N)?)$/i, 'output', 'asked'],
  [/^(Q|O)?SPI_?\d_?MISO$/i, 'input', 'asked'],
  [/^(Q|O)SPI_?\d?_?(IO|DQ?)_?\d$/i, 'bidirectional'],
  [/^(MIPI_?)?CSI_?\d?_?(CLK|CK|D|DATA|LANE)_?\d?_?[PN]$/i, 'input'],
  [/^(MIPI_?)?DSI_?\d?_?(CLK|CK|D|DATA|LANE)_?\d?_?[PN]$/i, 'output', 'asked'],
];
/** Interfaces by what the names of their signals begin with; `has` is a signal that has to be there. */
const PREFIXED: readonly { prefix: RegExp; members: Members; what: string; has?: RegExp; ofHost?: true }[] = [
  { prefix: SIM, members: SUBSCRIBER, what: 'the interface of a subscriber card' },
  { prefix: /^(LCD|LCDC|DISP|TFT|VOUT|VO)\d?$/i, members: SHOWS, what: 'the interface of a display' },
  { prefix: /^(CAM|CIF|DVP|ISI|DCMI|VIN|VI)\d?$/i, members: SEES, what: 'the interface of a camera' },
  {
    prefix: /^(R?G?MII|GMAC|MAC|ENET|ETH|EMAC)\d?$/i,
    members: MAC,
    what: 'the media interface of a part that has a memory bus',
    ofHost: true,
  },
  { prefix: /^(SD|SDIO|SDC|SDMMC|MMC|EMMC|USDHC)\d?$/i, members: CARD, what: 'the interface of a card', has: /^CMD$/i },
];
const ACCESS = [/^TCK$/i, /^TDI$/i, /^TDO$/i, /^TMS$/i];
const SCAN: Members = [[/^n?(TCK|TDI|TMS|TRST)(_?N|_?B|#)?$/i, 'input']];
/** The enable of another part stands for its supply's switch; of a part of that name it is its own. */
const ANOTHER: Members = [
  [
    /^(PMIC|PHY|WIFI|WLAN|BT|MODEM|CODEC|AMP|SPK|HUB|SENSOR|GNSS|GPS|V?BUS|USB\d?_VBUS)\d?_?(EN|PWR_?EN|RST_?N?|RESET_?N?|PDN?|SHDN)$/i,
    'output',
    'asked',
  ],
];
/** Each end of such a link calls what it sends TX. */
const OWN: Members = [
  [/^USB_?\d?_?D[PM+−-]\d?$/i, 'bidirectional'],
  [/^(PCIE|SATA|S?GMII|Q?SGMII|USB|SS|XAUI|XFI|SFI|SERDES|HSS?|GTH?|MGT)\w*_?(SS)?TX_?\d*_?[PN+−-]_?\d*$/i, 'output'],
  [/^(PCIE|SATA|S?GMII|Q?SGMII|USB|SS|XAUI|XFI|SFI|SERDES|HSS?|GTH?|MGT)\w*_?(SS)?RX_?\d*_?[PN+−-]_?\d*$/i, 'input'],
];

/** What tells both ways, or of the other end: words that an interface does not outweigh. */
const DIRECTION =
  /\b(in|inputs?|out|outputs?|i\/o|from|to|into|dri(ve[sn]?|ving)|receives|transmits|sends|strap\w*|latch(?:ed|es)|configur\w*)\b/i;

/** `Data in, data out` */
const BOTH = /\bin(put)?\b.*\bout(put)?\b|\bout(put)?\b.*\bin(put)?\b/i;

/** The name of a signal's interface, DDR of DDR_DQ7, and its own behind it; of a bare name the interface is empty. */
function apart(name: string): [prefix: string, rest: string] {
  const at = name.indexOf('_');
  return at > 0 ? [name.slice(0, at), name.slice(at + 1)] : ['', name];
}

/** The most common signals of a part, by the interface that their names begin with. */
function byPrefix(terminals: readonly Terminal[]): Map<string, { rest: string; terminal: Terminal }[]> {
  const found = new Map<string, { rest: string; terminal: Terminal }[]>([['', []]]);
  for (const terminal of terminals) {
    const [prefix, rest] = apart(terminal.name);
    found.get('')!.push({ rest: terminal.name, terminal });
    if (prefix === '') continue;
    const own = found.get(prefix) ?? [];
    found.set(prefix, own);
    own.push({ rest, terminal });
  }
  return found;
}

type Signals = readonly { rest: string; terminal: Terminal }[];
const has = (signals: Signals, name: RegExp, least = 1): boolean => {
  const seen = new Set<string>();
  for (const { rest } of signals) if (name.test(rest)) seen.add(rest);
  return seen.size >= least;
};

/** Eight data and eight addresses, or four of an address and command bus, with a clock and a command. */
const isMemory = (s: Signals): boolean =>
  has(s, DATA, 8) && has(s, ADDRESS, 5) && has(s, MEMORY_CLOCK) && has(s, /^n?\/?(S?D?CKE|CS|RAS|CAS)/i);
const isParallel = (s: Signals): boolean =>
  has(s, DATA, 8) && has(s, ADDRESS, 8) && [/^n?\/?WE/i, /^n?\/?OE/i, /^n?\/?C[ES]/i].every((name) => has(s, name));

/** So many other signals has a part whose bus of a memory is one of several things. */
const OTHERS = 12;
/** So much of a part is one interface where it is made for it. */
const MOST = 0.75;

/**
 * What interfaces tell of their signals where neither a column nor words do: the addresses of a memory come in, those of the
 * processor that has a memory bus go out, whatever “address” is said of most often. A column, and words that speak of a
 * direction, are not overruled.
 */
export function recogniseInterfaces(terminals: readonly Terminal[]): void {
  if (terminals.every(isTypeTold)) return;
  const groups = byPrefix(terminals.filter((t) => isSignal(t.type) || isTypeAsked(t) || SIM.test(apart(t.name)[0])));
  const all = groups.get('')!;
  const share = (members: Members) => all.filter(({ rest }) => members.some(([name]) => name.test(rest))).length / all.length;
  const controllers = [...groups].filter(([prefix, own]) => prefix !== '' && isMemory(own) && all.length - own.length >= OTHERS);
  for (const [prefix, own] of controllers) settle(own, CONTROLLER, `the bus ${prefix}_ of a part that has a memory`);

  if (isMemory(all) && share(MEMORY) >= MOST) settle(all, MEMORY, 'the bus of a memory');
  else if (isParallel(all) && share(PARALLEL) >= MOST) settle(all, PARALLEL, 'the bus of a memory');

  const isHost = controllers.length > 0;
  if (isHost) settle(all, HOST, 'a part that has a memory bus');
  const isPhy = !isHost && has(all, /^MDC$/i) && has(all, /^MDIO$/i) && has(all, /^([TR]X|[TR]D|MDI_?\d?|TRX?D?_?\d?)_?[PMN+−-]$/i, 2);
  if (isPhy) {
    const what = 'a transceiver that is managed by MDC and MDIO';
    settle(all, PHY, what);
    settle(all, has(all, /^TX_?CTL$/i) ? CLOCK_WITH_DATA : CLOCK_GIVEN, what);
  }
  for (const [prefix, own] of groups) {
    // A part of such a name may have its own pins called by it.
    if (BESIDE.test(prefix) && all.length - own.length >= OTHERS) settle(own, BESIDES, `the bus ${prefix}_ of a part that has others`);
    for (const { prefix: begins, members, what, has: least, ofHost } of PREFIXED)
      if (begins.test(prefix) && (isHost || !ofHost) && (!least || has(own, least))) settle(own, members, what);
    if (ACCESS.every((name) => has(own, name))) settle(own, SCAN, 'a test access port');
  }
  settle(all, ANOTHER, 'a part that turns another on');
  settle(all, OWN, 'a link whose ends each call what they send TX');
}

function settle(signals: Signals, members: Members, what: string): void {
  for (const { rest, terminal: t } of signals) {
    if (isTypeTold(t) || t.alternates?.length || (t.name.includes('/') && !/^I\/O\d+$/i.test(t.name))) continue;
    const member = members.find(([name]) => name.test(rest));
    if (!member) continue;
    const [, type, isAsked] = member;
    const speaks = t.description !== undefined && DIRECTION.test(t.description) && !(type === 'bidirectional' && BOTH.test(t.description));
    if (t.type !== type ? speaks : !isTypeAsked(t)) continue;
    // Where parts differ, what its words come to and what the interface tells are enough together.
    const stays = isAsked !== undefined && t.type !== type;
    const reason = stays ? `Taken for ${type}, as in ${what}; the source does not say it.` : undefined;
    giveType(t, type, what, reason, ['input', 'output', 'bidirectional']);
  }
}
