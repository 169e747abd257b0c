import { carriesPower, type ElectricalType } from '../../part';
import { evidence, type Evidence } from './evidence';

interface NameRule {
  type: ElectricalType;
  weight: number;
  name: RegExp;
  /** What such a name ends in where it is that of a signal about the rail: VDD_PG, GND_SENSE. */
  unless?: RegExp;
}

const isCalled = (rule: NameRule, name: string): boolean => rule.name.test(name) && !rule.unless?.test(name);

/** What names alone say, in the conventions of the trade. Weight 3 and more can stand alone. */
const NAMES: NameRule[] = [
  {
    type: 'ground',
    weight: 5,
    name: /^([ADPSRC]|RF|IO|CORE|PLL|ISO)?_?(GND|GROUND)(_?[A-Z0-9]+)?$|^(GND|VSS)[A-Z0-9_]*$|^[ADP]?VSS[A-Z0-9_]*$|^[A-Z]{1,4}_?(GND|VSS)\d*$|^(0 ?V|COM_?GND)$/i,
    unless: /(_?(DET|DETECT|SENSE|SNS|MON|CTRL|SEL|STAT)|_(EN|FB|OK|SW|FLT|FAULT))\d*$/i,
  },
  {
    type: 'supply-in',
    weight: 5,
    name: /^(?:[ADPI]?V(CC|DD|BAT|IO|PP|NN|LL|EE|BB|LOGIC|DDA|DDIO|CCIO|CCINT|CCAUX|DDQ|S(?!S|YNC|EN|ADJ|ET)|SUP|SUPPLY|BUS|M(?!ID|OD|EAS|AX|IN|UX)|PA|RF|PLL)(_?[A-Z0-9]+)?\+?$|(V?LDO_?IN|AVDD|DVDD|IOVDD|DVCC|AVCC|PVDD|PVIN|AVIN|VIN|VBAT|VPWR|HVDD|LVDD|OVDD)(_?[A-Z0-9]+)?$|[A-Z]{1,5}_?V(DD|CC)\d*$|V[+\-−]$|[+\-−]VS?$|VS[+\-−]$|VDD[A-Z0-9_.]*$|VCC[A-Z0-9_.]*$|V\d+P\d+$)/i,
    unless:
      /(_(?:EN|PG|PGOOD|ON|OFF|UV|OV|UVLO|OVP|RST|RESET|VALID|TEST|ALERT|INT|RDY|READY|ADJ|TRIM|PRESENT|REQ|ACK|DIS|SHDN)|_?(DET|DETECT|SENSE|SNS|MON|OK|GOOD|FLT|FAULT|CTRL|(?<!VC)SEL|STAT))\d*$/i,
  },
  // A voltage is a rail's name.
  { type: 'supply-in', weight: 4, name: /^(?!0 ?V$)[+-]?\d{1,2}(\.\d{1,2})? ?V\d{0,2}(_?(AUX|SB|A|D|IO))?$/i },
  {
    type: 'no-connect',
    weight: 5,
    name: /^not (?:used|(?:internally )?connected)$|^un(?:used|connected)$|^no (?:internal )?connect(?:ion)?$/i,
  },
  { type: 'no-connect', weight: 5, name: /^N\.?\/?C\.?_?\d*$|^NC_[A-Z0-9]+$|^NIC$/i },
  { type: 'reserved', weight: 6, name: /^(DNC|DNU|RSVD?|RESERVED|RFU)[_\d]*$/i },
  // A reset as often.
  { type: 'reserved', weight: 2.9, name: /^RES[_\d]*$/i },
  {
    type: 'supply-out',
    weight: 4,
    name: /^(REF_?OUT|VREF_?OUT|VREF_?O|LDO\d|LDO_?OUT|MIC_?BIAS\d*|VREG(_?OUT)?|REG_?OUT|VREGOUT|VOUT_?LDO|VLDO\d*)$/i,
  },
  { type: 'supply-in', weight: 6.5, name: /^\+V_?IN\d*$/i },
  { type: 'supply-out', weight: 6.5, name: /^\+V_?OUT\d*$/i },
  { type: 'ground', weight: 6.5, name: /^[-−–]V_?(IN|OUT)\d*$/i },
  { type: 'supply-out', weight: 5.5, name: /^[ADP]?V(DD|CC|REG)[A-Z]{0,4}_?OUT$|^(LDO|REG|VREF)_?OUT$/i },
  {
    type: 'passive',
    weight: 4,
    name: /^(XTAL|XIN|XOUT|XI|XO|X1|X2|OSC_?IN?|OSC_?O(UT)?|XTAL_?(?!EN$)[A-Z0-9]+|C\dP|C\dN|CP[+-]?|CFLY[+\-PN]?|BTST|C_?BOOT|BST|COMP|RG[+\-−\d]?|RSET|ISET|RT|CT|CEXT|REXT|RBIAS|CAP[+\-PN]?|LX\d?)$/i,
  },
  // The bootstrap of a converter in one datasheet, a start-up mode in the next.
  { type: 'passive', weight: 2.9, name: /^BOOT$/i },
  {
    type: 'input',
    weight: 3,
    name: /^(CLK|CLKIN|SCLK|SCK|SCL|TCK|TDI|TMS|TRST|MOSI|SDI|DIN|SDIN|SDA_?IN|RXD?|CS|SS|CE|OE|WE|RD|WR|EN|ENABLE|RESET|RST|SHDN|PWDN|AIN\d*|IN|IN[+\-−]|IN[AB]|IN\d+|IN\d*[+\-−PN]|INP|INN|V?FB\d?|SYNC|BOOT\d|MODE\d*|SEL\d*|ADDR\d*|A\d+|REF_?IN[+\-−PN]?|VREF[+\-−]|CONVST|LDAC|WP|HOLD)$/i,
  },
  {
    type: 'input',
    weight: 3,
    name: /^(?!V|HV|LV|PWR|POWER|DC|AC|BAT|CHG|USB|ADP|SUP|REG|LDO|BUCK|BOOST|OSC|XTAL|X)[A-Z][A-Z0-9]*_IN\d*[+\-−PN]?$/,
  },
  {
    type: 'output',
    weight: 3,
    name: /^(?!V|HV|LV|PWR|POWER|DC|AC|BAT|CHG|USB|ADP|SUP|REG|LDO|BUCK|BOOST|OSC|XTAL|X|REF|PUMP|CP)[A-Z][A-Z0-9]*_OUT\d*[+\-−PN]?$/,
  },
  { type: 'input', weight: 3, name: /^[+\-−–]IN_?[A-D\d]?$/i },
  // Said of a clock it outweighs the words for clocks, which most often come in.
  { type: 'output', weight: 4.5, name: /^[A-Z0-9_]*(CLK|CLOCK)_?O(UT)?\d?[+\-−PN]?$/i },
  // Seen from the part: what its converter is to put out comes in.
  { type: 'input', weight: 3, name: /^DAC_?DATA?\d?$/i },
  { type: 'output', weight: 3, name: /^ADC_?DATA?\d?$/i },
  // The segments of a display.
  { type: 'output', weight: 3, name: /^SEG_?\d+$/i },
  // An input of a converter, an output of a reference, a capacitor of either.
  { type: 'input', weight: 2.8, name: /^VREF$/i },
  {
    type: 'output',
    weight: 3,
    name: /^(OUT|OUT[+\-−]|OUT[AB]|OUT\d+|OUT\d*[+\-−PN]|VOUT\d*|VOUT[A-D]|DOUT|SDA_?OUT|SDO|MISO|TDO|TXD?|BUSY|DRDY|CLKOUT|AOUT\d*|Q\d*|PGOOD|PG)$/i,
  },
  {
    type: 'bidirectional',
    weight: 3,
    name: /^(SDA|SDAT|SMB_?DATA?|SWDIO|P[A-K]\d{1,2}(\/.*)?|GPIO_?\d+(\/.*)?|GP\d+|IO|IO_?\d+.*|IO_[A-Z]\w*|D\d+|DQ\d+|DIO\d*|CAN_?[HL]|ANT\d*|RF_?IO\d*|USB_?D[PM+\-−]|D[+\-−]|DQS\d*[PN]?)$/i,
  },
];

/** A name and what it is of; what its rail is watched or switched by is another signal. */
const OF_SOMETHING = /^([A-Z]{2,6}\d?) ?\((?!(?:EN|PG|OK|FB|ON|OFF|DET|SENSE|MON|OUT|NC)\b)[A-Z][A-Z/]{0,9}\)$/i;

/** Evidence from a name without its low-active mark. */
export function evidenceOfName(name: string): Evidence[] {
  const main = name
    // With a mark it is a reset, and nothing reserved.
    .replace(/^(?:[/!~\\]RES|RES[#*])$/, 'RESET')
    .replace(/^[/!~\\]|[#*]$/g, '')
    .replace(/^n(?=[A-Z]{2})/, '')
    .replace(/_[NB]$/, '');
  const found = NAMES.filter((n) => isCalled(n, main) || isCalled(n, name));
  // The bank behind a name, TCK_0, is no part of it.
  const bare = found.length > 0 ? main : main.replace(/_\d{1,2}$/, '');
  const all = bare === main ? found : NAMES.filter((n) => isCalled(n, bare));
  // `VDD(PLL)` is a rail as VDD is; of a signal, what stands in brackets can be another function.
  const of = all.length === 0 ? OF_SOMETHING.exec(name) : null;
  if (of) return NAMES.filter((n) => carriesPower(n.type) && isCalled(n, of[1]!)).map((n) => evidence(n.type, n.weight, `name ${name}`));
  return all.map((n) => evidence(n.type, n.weight, `name ${name}`));
}
