import { groupBy, type ElectricalType } from '../part';
import { capitalsOf, keyOf, withoutMark } from './roles';
import { byLetters, bySeries } from './series';

interface Kind {
  /** Names that a part of this kind has among its pins, and such that its model has among its nodes. */
  pins: RegExp[];
  nodes?: RegExp[];
  /** A name that none of the model's nodes has, and one that none of the part's pins has. */
  without?: RegExp;
  unlike?: RegExp;
  /** Pairs of names that mean the same there. */
  alike: string;
}

/** Each name of a list with each behind it. */
const among = (...lists: string[]): string =>
  lists.flatMap((list) => list.split(' ').flatMap((name, i, all) => all.slice(i + 1).map((other) => `${name} ${other}`))).join(', ');

/** A pair for each of up to eight in an array. */
const ofEach = (pair: (n: number) => string): string => [1, 2, 3, 4, 5, 6, 7, 8].map(pair).join(', ');

/** `1B I1, 2B I2, …`: the terminals of an array that counts before and behind. */
const counted = (own: string, other: string): string => ofEach((n) => `${n}${own} ${other}${n}`);

/** The upper and the lower gate that a bridge's driver drives. */
const [UPPER_GATE, LOWER_GATE] = ['HO HOUT UGATE HGATE TGATE GATEH DRVH HDRV TG GH DH UG', 'LO LOUT LGATE BGATE GATEL DRVL LDRV BG GL DL LG'] as const; // prettier-ignore
const GATES = [UPPER_GATE, LOWER_GATE].map((names) => new RegExp(`^(${names.replaceAll(' ', '|')})$`, 'i'));

/** The ends of a coupler's light and of its transistor. */
const COUPLER = [/^A(NODE)?$/i, /^(K|CATHODE)$/i, /^C(OLL(ECTOR)?)?$/i, /^E(MIT(TER)?)?$/i];

/** Names that mean the same in one kind of part only, which its other pins tell. */
const KINDS: Kind[] = [
  // In a driver of two switches VS is no supply: it is the upper switch's source, as HS is.
  { pins: [/^HO$/i, /^LO$/i], alike: 'VS HS, VB HB, HIN HI, LIN LI' },
  // The same of the upper one alone.
  { pins: [/^HO$/i, /^(VS|HS)$/i], nodes: [/^HO$/i], without: /^(LO|LI|LIN)$/i, alike: 'VS HS, VB HB, HIN IN, HI IN' },
  {
    pins: GATES,
    nodes: GATES,
    alike: among(UPPER_GATE, LOWER_GATE, 'HI HIN INH PWMH HINP', 'LI LIN INL PWML LINP', 'HB VB BOOT BST VBOOT', 'HS PHASE PH SW LX VSW VSWN'),
  },
  { pins: GATES, nodes: [...GATES, /^VDRV$/i], without: /^V(CC|DD|IN|5)$/i, unlike: /^V(DRV|IN)$/i, alike: 'VDD VDRV, VCC VDRV' },
  // The error amplifier of a controller, and the rail that it makes for itself.
  { pins: [/^(V?FB|INV)$/i, /^COMP$/i], nodes: [/^EAIN$/i, /^EAO(UT)?$/i], alike: 'FB EAIN, VFB EAIN, INV EAIN, COMP EAOUT, COMP EAO' },
  { pins: [/^VIN$/i, /^V(CC|DD)$/i], nodes: [/^VIN$/i, /^(VREG5?|INTVCC|VCCINT)$/i], without: /^V(CC|DD|DR)/i, unlike: /^V?(DRV|CCDR|DRVCC|PVCC)$/i, alike: among('VCC VREG VREG5 INTVCC VCCINT', 'VDD VREG VREG5') },
  // A pump that turns its supply over.
  { pins: [/^CAP\+$/i, /^CAP[-−–]$/i], nodes: [/^CP$/i, /^C[MN]$/i], without: /^C1[PNM]$/i, alike: 'CAP+ CP, CAP- CM, CAP- CN' },
  { pins: [/^CAP\+$/i, /^CAP[-−–]$/i, /^V?OUT$/i], nodes: [/^VNEG$/i], without: /^V?OUT$/i, unlike: /^(V-|VNEG|VEE)$/i, alike: 'OUT VNEG, VOUT VNEG, LV LVSEL, FC FREQ' },
  // The two lines of a differential input, where nothing drives a bridge.
  { pins: [/^INHI$/i, /^INLO$/i], unlike: /^(HO|LO|[HL]OUT|OUT[HL])$/i, alike: 'INHI IN+, INLO IN-, INHI INP, INLO INN, INLO INM' },
  // A reference puts out nothing else.
  { pins: [/^V?IN$/i, /^V?OUT$/i, /^(TEMP|TRIM|GND)$/i], nodes: [/^V?IN$/i, /^VREF$/i], without: /^(V?O|V?OUT\w?|FB|ADJ)$/i, unlike: /^V?REF$/i, alike: 'VOUT VREF, OUT VREF' },
  { pins: COUPLER, nodes: [/^LEDA$/i, /^LEDC$/i], without: /^LEDK$/i, alike: 'A LEDA, K LEDC, ANODE LEDA, CATHODE LEDC, C PTC, E PTE' },
  { pins: COUPLER, nodes: [/^LEDA$/i, /^LEDK$/i], alike: 'A LEDA, K LEDK, C PTC, E PTE' },
  { pins: [/^V?IN$/i, /^V?OUT$/i, /^QOD$/i], nodes: [/^DISCH(ARGE)?$/i], alike: 'QOD DISCH, QOD DISCHARGE' },
  { pins: [/^1B$/i, /^1C$/i, /^GND$/i], nodes: [/^IN$/i, /^OUT$/i], alike: ofEach((n) => `${n}B IN, ${n}C OUT`) },
  // One letter for a part's ground, where nothing is a gate.
  { pins: [/^GND$/i], nodes: [/^G$/i], without: /^(GND|VSS|0|COM|[ADPS]GND|[DSAKCE]|T1|MT1|CATHODE|ANODE|DRAIN|SOURCE)$/i, unlike: /GATE|^G\d?$|^DRV$/i, alike: 'GND G' },
  // The only capacitor of a pump is its first.
  { pins: [/^C\+$/i, /^C[-−–]$/i], nodes: [/^C1P$/i, /^C1[NM]$/i], without: /^C(2[PNM]|P|N)$/i, alike: 'C+ C1P, C- C1N, C- C1M' },
  // A controller's current is sensed; elsewhere CS selects a chip.
  { pins: [/^COMP$/i, /^V?FB$|^INV$/i, /^(OUT(PUT)?|GD|DRV|GATE)$/i], alike: 'CS ISENSE, CS ISEN' },
  { pins: [/^THR(ES(H(OLD)?)?)?$/i, /^TR(IG(GER)?)?$/i], alike: 'R RESET, Q OUT, CV CONT' },
  { pins: [/^DE$/i, /^~?RE#?$/i], alike: `${among('RO R RXD', 'DI D TXD')}, RE REN, RE REB, DE DEN, A BUSA, B BUSB` },
  { pins: [/^RIN\+$/i, /^RIN[-−–]$/i], nodes: [/^RP$/i, /^R[NM]$/i], alike: 'RIN+ RP, RIN- RN, RIN− RN, RIN- RM' },
  // A charger of one cell is fed by the bus.
  { pins: [/^VBUS$/i, /^V?BAT$/i], nodes: [/^V?IN$/i, /^V?BATT?$/i], without: /^(VBUS|VCC|VDD|USB)$/i, unlike: /^(V?IN|VCC|DC)$/i, alike: 'VBUS VIN, VBUS IN' },
  { pins: [/^V?IN\d?$/i, /^V?OUT\d?$/i, /^EN\d?$/i, /^(OC|FLG|FLT|FAULT)$/i], without: /^OUT_?[BN]$/i, alike: 'OC FLAG, FLG FLAG, FLT FLAG, FAULT FLAG, OC FAULT, FLG FAULT, OC FLT, FLG FLT' },
  // A transistor with its resistors.
  { pins: [/^B$/i, /^C$/i, /^E$/i], nodes: [/^IN$/i, /^OUT$/i, /^GND$/i], without: /^(V(CC|DD|EE|SS)|[BCEKA]|COM)$/i, alike: 'B IN, C OUT, E GND' },
  { pins: [/^VD$/i, /^VG$/i, /^VS$/i], nodes: [/^D(RAIN)?$/i, /^G(ATE)?$/i, /^S(OURCE)?$/i], without: /^V[DGS]$/i, alike: 'VD DRAIN, VG GATE, VS SOURCE, VD D, VG G, VS S' },
  { pins: [/^S?CLK$|^SCK$/i, /^[~/]?CS#?$/i, /^(SDI|SDO|SDA|DIN|DOUT|MOSI|MISO)$/i], without: /^CSP$|^CS\+$/i, alike: 'CS CSN, CS NCS, CS CSB, CS SSN' },
  { pins: [/^MDAT$/i, /^MCLK(IN)?$/i], alike: 'MDAT DATA, MDAT MDATA, MDAT DOUT, MCLK CLK, MCLK CLKOUT, MCLKIN CLK, MCLKIN CLKIN' },
  { pins: [/^LX1$/i, /^LX2$/i], nodes: [/^L1$/i, /^L2$/i], without: /^(LX|SW)\d$/i, alike: 'LX1 L1, LX2 L2' },
  { pins: [/^CANH$/i, /^CANL$/i], alike: among('R RXD RX', 'D TXD TX') },
  // A converter senses its output where a controller's feedback comes in.
  { pins: [/^(BST|C?BOOT)$/i, /^(SW|PH|LX|PHASE)$/i, /^V?FB$|^VSENSE$/i], alike: 'FB VSENSE, VFB VSENSE' },
  // The third terminal of a shunt reference is adjusted by.
  { pins: [/^(REF|ADJ|R)$/i, /^(A|ANODE)$/i, /^(K|C|CATHODE)$/i], alike: 'REF REF, REF ADJ, REF R, R REF, R ADJ, ADJ REF, ADJ ADJ' },
  { pins: [/^(G(ATE)?|K|CATHODE)$/i, /^M?T1$/i, /^M?T2$/i], alike: 'T1 MT1, T2 MT2' },
  { pins: [/^NO\d?$/i, /^NC\d?$/i, /^(C|COM)$/i], alike: 'C COM' },
  { pins: [/^S1$/i, /^S2$/i, /^D$/i], nodes: [/^NO$/i, /^NC$/i, /^COM$/i], alike: 'D COM' },
  { pins: [/^NO\d?$/i, /^NC\d?$/i, /^COM$/i], nodes: [/^D$/i, /^S1$/i, /^S2$/i], alike: 'COM D' },
  {
    pins: [/^NO1$/i, /^NO2$/i, /^COM$/i],
    nodes: [/^S1$/i, /^S2$/i, /^D$/i],
    alike: 'COM D, NO1 S1, NO2 S2, NO3 S3, NO4 S4, NO5 S5, NO6 S6, NO7 S7, NO8 S8',
  },
  // A coupler's light gate is enabled.
  { pins: [/^VE$/i, /^V?O(UT)?$/i, /^A(NODE)?$/i], alike: 'VE EN, VE ENABLE' },
  // What a switch of two throws is set by.
  { pins: [/^(NO|S1|S1?A|B1)$/i, /^(NC|S2|S1?B|B0)$/i, /^(COM|D|D1|A)$/i, /^(IN|SEL)$/i], alike: 'IN SEL, IN CTRL, SEL SEL, SEL IN, SEL CTRL' },
  { pins: [/^N[OC]$/i, /^COM$/i, /^IN$/i], alike: 'IN SEL, IN CTRL' },
  { pins: [/^N[OC]1$/i, /^COM1$/i, /^IN1$/i], unlike: /^IN2$/i, alike: 'IN1 SEL, IN1 CTRL' },
  { pins: [/^(NO|B1)$/i, /^(NC|B0)$/i, /^(COM|A)$/i, /^S$/i], alike: 'S SEL, S IN, S CTRL' },
  { pins: [/^RFB[A-D]?$/i, /^I?OUT1?[A-D]?$/i, /^V?REF[A-D]?$/i], alike: 'IOUT1 OUT1, IOUT2 OUT2, IOUT OUT' },
  { pins: [/^G(ATE)?$/i, /^C(OLL(ECTOR)?)?$/i, /^E(MIT(TER)?)?$/i], alike: 'C COLL, E EMIT' },
  // Signs written as letters: VM is a motor's supply elsewhere, and IN an input like any.
  {
    pins: [/^(V\+|\+VS?|VS\+)$/i, /^(V[-−–]|[-−–]VS?|VS[-−–])$/i],
    nodes: [/^VP$/i, /^VM$/i],
    without: /^V(CC|DD|EE|SS|S|OP|OM)[PN]?$/i,
    alike: 'V+ VP, +V VP, +VS VP, VS+ VP, V- VM, V− VM, V– VM, -V VM, −V VM, -VS VM, −VS VM, VS- VM, VS− VM',
  },
  { pins: [/^(\+IN|IN\+)$/i, /^([-−–]IN|IN[-−–])$/i], nodes: [/^IP$/i, /^IN$/i], alike: '+IN IP, IN+ IP, -IN IN, −IN IN, IN- IN, IN− IN' },
  { pins: [/^Q$/i, /^(~Q|Q#|Q_?[NB])$/i], nodes: [/^QP$/i, /^Q[NMB]$/i], alike: 'Q QP, LATCH LE' },
  // Registers, counters and multiplexers have two sets of names for one function each.
  {
    pins: [/^(DS|SER|SI)$/i, /^(SHCP|SH_CP|SRCLK|SCK|SCLK)$/i],
    alike: 'DS SER, SHCP SRCLK, SH_CP SRCLK, STCP RCLK, ST_CP RCLK, MR SRCLR, Q7S QHS, Q7S QH\', QH\' QHS, QH\' QH_S, QH\' QHP, SCK SRCLK, RCK RCLK, SCLR SRCLR, MR SRCLRN, SRCLR SRCLRN',
  },
  { pins: [/^Q$/i, /^(~Q|Q#|Q_?[NB])$/i], nodes: [/^OUT$/i, /^OUT_?[NB]$/i], without: /^OUT_?[AP]$/i, alike: 'Q OUT, QN OUTB, QN OUTN, QB OUTB, QB OUTN, Q_N OUT_N' },
  // An oscillator has no other input.
  {
    pins: [/^(OE|EN|E\/D|ST)$/i, /^(OUT(PUT)?|FOUT|FO|CLK)$/i, /^V(DD|CC)$/i],
    unlike: /^(V?IN|FB|ADJ|[AD]\d?|IN\d|[+-]IN|IN[+-]|INP|SW|LX|VBIAS|CP|REF)$/i,
    alike: 'OE EN, OE ENABLE, EN OE, E/D EN, E/D OE, OUT FOUT, FOUT OUT, CLK OUT, CLK FOUT, OUT CLKOUT',
  },
  { pins: [/^V?T(UNE)?$/i, /^(RF_?)?OUT$/i], alike: 'VTUNE CTRL, VTUNE VCTRL, VTUNE VC, VT CTRL, VT VCTRL, VT VC, TUNE CTRL, TUNE VCTRL, RFOUT OUT, RF_OUT OUT, OUT RFOUT' },
  // Signs written as letters behind an underscore, where the inputs' are written so too.
  {
    pins: [/^(V\+|\+VS?|VS\+)$/i, /^(V[-−–]|[-−–]VS?|VS[-−–])$/i],
    nodes: [/^V_P$/i, /^V_[NM]$/i, /^IN_P$/i],
    without: /^V(CC|DD|EE|SS|S)[PN]?$/i,
    alike: 'V+ V_P, +VS V_P, VS+ V_P, V- V_N, V− V_N, -VS V_N, VS- V_N, VS− V_N, V- V_M, VS- V_M',
  },
  { pins: [/^(CP|CLK|CK)$/i, /^Q$/i], nodes: [/^RN$/i], alike: 'RST RN, RESET RN, CLR RN' },
  { pins: [/^(CP|CLK|CK)$/i, /^Q$/i], nodes: [/^SN$/i], alike: 'SET SN, PRE SN' },
  { pins: [/^D$/i, /^(CP|CLK|CK)$/i, /^Q$/i], alike: 'SD PRE, RD CLR, CD CLR, S PRE, R CLR, D DIN' },
  { pins: [/^(CP|CLK)$/i, /^(TC|RCO)$/i], alike: 'MR CLR, MR CLRN, CP CLK, CEP ENP, CET ENT, PE LOAD, PE LOADN, TC RCO' },
  {
    pins: [/^S0$/i, /^S1$/i, /^(Z|COM|Y)$/i],
    alike: 'S0 A, S1 B, S2 C, S3 D, E INH, Z X, Z COM, COM X, Y0 X0, Y1 X1, Y2 X2, Y3 X3, Y4 X4, Y5 X5, Y6 X6, Y7 X7',
  },
  { pins: [/^[IA]0$/i, /^[IA]1$/i, /^S$/i, /^[YZ]$/i], alike: 'S SEL' },
  { pins: [/^~?RO$/i, /^D$/i, /^V?(OUT|Q)$/i], alike: 'D DELAY' },
  { pins: [/^A0$/i, /^S1$/i, /^S2$/i, /^D$/i], alike: 'D COM, S1 IN1, S2 IN2, S3 IN3, S4 IN4, S5 IN5, S6 IN6, S7 IN7, S8 IN8, A0 ADDRESS0, A1 ADDRESS1, A2 ADDRESS2' },
  { pins: [/^A0$/i, /^A2$/i, /^[~/]?Y_?7/i], nodes: [/^A$/i, /^B$/i, /^C$/i], alike: 'A0 A, A1 B, A2 C, E1 G2A, E1 G2AN, E2 G2B, E2 G2BN, E3 G1' },
  { pins: [/^(CS|I?SENSE|ISNS)$/i, /^(V?FB|COMP)$/i, /^(GATE|DRV|GD|OUT)$/i], alike: 'GATE DRV, OUT DRV, GD DRV, GATE OUT, GD OUT, GATE GD' },
  { pins: [/^\d?B$/i, /^\d?C$/i, /^E$/i, /^COM$/i], alike: `B IN, C OUT, E GND, ${counted('B', 'I')}, ${counted('C', 'O')}, ${counted('B', 'IN')}, ${counted('C', 'OUT')}` },
  { pins: [/^RIN$/i, /^GIN$/i, /^BIN$/i], alike: 'RIN IN_R, GIN IN_G, BIN IN_B, ROUT OUT_R, GOUT OUT_G, BOUT OUT_B' },
  // A pair of transistors of either kind.
  { pins: [/^SN$/i, /^SP$/i, /^GN$/i, /^GP$/i], alike: 'SN NCHAN_SOURCE, GN NCHAN_GATE, DN NCHAN_DRAIN, SP PCHAN_SOURCE, GP PCHAN_GATE, DP PCHAN_DRAIN, SN NS, GN NG, DN ND, SP PS, GP PG, DP PD' },
  { pins: [/^PRI_?S$/i, /^PRI_?F$/i], alike: 'PRI_S PRI_START, PRI_F PRI_FINISH, SEC_S SEC_START, SEC_F SEC_FINISH' },
  { pins: [/^COMP$/i, /^(FB|INV)$/i, /^(AUX|ZCD)$/i], alike: 'FB INV, AUX ZCD' },
  { pins: [/^(\+|V\+|DC\+)$/i, /^([-−–]|V[-−–]|DC[-−–])$/i, /^(AC|~)[1A]?$/i], alike: '+ DC+, - DC-, V+ DC+, V- DC-, V+ VP, V- VN, V+ POS, V- NEG, + POS, - NEG, ~1 AC1, ~2 AC2' },
  { pins: [/^V(CC)?A$/i, /^V(CC)?B$/i], alike: 'VA VCCA, VB VCCB, A A1, B B1' },
  { pins: [/^OUT1$/i, /^OUT2$/i, /^IN1$/i, /^VS$/i], alike: 'VS VM' },
  // Each side of an isolator has its supply, and letters tell its channels.
  {
    pins: [/^V(CC|DD|S)_?1$/i, /^V(CC|DD|S)_?2$/i, /^GND_?1$/i, /^GND_?2$/i],
    alike: 'VCC1 VDD1, VCC2 VDD2, INA VIA, INB VIB, INC VIC, IND VID, OUTA VOA, OUTB VOB, OUTC VOC, OUTD VOD, IN1 VI1, IN2 VI2, OUT1 VO1, OUT2 VO2, VI1 VIA, VI2 VIB, VO1 VOA, VO2 VOB',
  },
  { pins: [/^A$/i, /^B$/i, /^INH$/i, /^(X|Y)0$/i], nodes: [/^S0$/i, /^S1$/i], without: /^[AB]$/i, alike: 'A S0, B S1, C S2, INH E, INH EN, INH EB' },
  // The colours of three diodes with an end in common.
  { pins: [/^R$/i, /^G$/i, /^B$/i], nodes: [/^KRED$/i, /^KGR(EE)?N$/i, /^KBLUE?$/i], alike: 'R KRED, G KGRN, G KGREEN, B KBLU, B KBLUE' },
  { pins: [/^R$/i, /^G$/i, /^B$/i], nodes: [/^ARED$/i, /^AGR(EE)?N$/i, /^ABLUE?$/i], alike: 'R ARED, G AGRN, G AGREEN, B ABLU, B ABLUE' },
  { pins: [/^R$/i, /^G$/i, /^B$/i], nodes: [/^KR$/i, /^KG$/i, /^KB$/i], alike: 'R KR, G KG, B KB' },
  { pins: [/^R$/i, /^G$/i, /^B$/i], nodes: [/^AR$/i, /^AG$/i, /^AB$/i], alike: 'R AR, G AG, B AB' },
  { pins: [/^R$/i, /^G$/i, /^B$/i, /^(A|ANODE|VCC|VDD|V?\+)$/i], without: /^[AK][RGB]$/i, alike: 'R KR, G KG, B KB' },
  { pins: [/^R$/i, /^G$/i, /^B$/i, /^(K|C|CATHODE|GND|V?-)$/i], without: /^[AK][RGB]$/i, alike: 'R AR, G AG, B AB' },
  { pins: [/^A(NODE)?$/i, /^(K|CATHODE)$/i], nodes: [/^P$/i, /^N$/i], without: /^(A|K|C|G|E|B)$/i, alike: 'A P, ANODE P, K N, CATHODE N' },
  { pins: [/^[PR]A$/i, /^[PR]B$/i, /^[PR]W$/i], alike: 'PA A, PB B, PW W, RA A, RB B, RW W' },
  { pins: [/^A$/i, /^B$/i, /^W$/i], nodes: [/^[PR]A$/i, /^[PR]B$/i, /^[PR]W$/i], alike: 'PA A, PB B, PW W, RA A, RB B, RW W' },
  { pins: [/^W(IPER)?$/i], nodes: [/^A$/i, /^B$/i, /^W$/i], alike: 'WIPER W' },
  { pins: [/^X0$/i, /^X1$/i, /^XCOM$/i], nodes: [/^X$/i], alike: 'XCOM X, YCOM Y, ZCOM Z' },
  { pins: [/^X0$/i, /^X1$/i, /^X$/i], nodes: [/^Y0$/i, /^Y1$/i, /^Z$/i], alike: 'X Z' },
  { pins: [/^DIR$/i, /^A1$/i, /^B1$/i], nodes: [/^A$/i, /^B$/i], alike: 'A1 A, B1 B' },
]; // prettier-ignore

/** Other names of a pin: all of them, and those in plainer words, which say what the pin is where its own name does not. */
export interface OtherNames {
  all: readonly string[];
  plain: readonly string[];
}

/** The other names that this kind of part has for its pins, by their names in capitals without a mark. */
export function otherNamesOf(
  pins: readonly { name: string; type: ElectricalType }[],
  nodes: readonly { name: string }[],
): ReadonlyMap<string, OtherNames> {
  const isCalled = ({ name }: { name: string }, as: RegExp) => as.test(name) || as.test(withoutMark(name));
  const has = (list: readonly { name: string }[], names: readonly RegExp[]) => names.every((name) => list.some((x) => isCalled(x, name)));
  const isOf = (kind: Kind) =>
    has(pins, kind.pins) &&
    has(nodes, kind.nodes ?? []) &&
    !nodes.some(({ name }) => kind.without?.test(name)) &&
    !pins.some(({ name }) => kind.unlike?.test(name));
  const own = new Set(pins.map(keyOf));
  const pairs = KINDS.filter(isOf)
    .flatMap(({ alike }) => alike.split(', ').map((pair) => pair.split(' ') as [string, string]))
    // A part that has both of them calls two things so.
    .filter(([a, b]) => a === b || !own.has(a) || !own.has(b))
    // A supply of a driver is none of its switches' sources, whatever its name.
    .filter(([a, b]) => b !== 'HS' || !pins.some((p) => p.type === 'supply-in' && keyOf(p) === a));
  const there = capitalsOf(nodes);
  const told = [
    ...pairs,
    ...bySeries(pins, nodes),
    ...bySigns(pins, there),
    ...byOnlySigns(pins, nodes),
    ...[...new Set(pins.map(keyOf))].flatMap((stem) => nodesOfNet(pins, there, stem).map((node): [string, string] => [stem, node])),
    ...byLastWord(pins, there),
    ...byAffix(pins, there),
    ...ofArrays(pins),
    ...byLetters(pins, there),
    ...byPlaceOfFigure(pins, there),
  ];
  const back = pairs.map(([a, b]): [string, string] => [b, a]);
  const others = (of: readonly [string, string][]) => [...new Set(of.map(([, other]) => other))];
  const plain = groupBy(told, ([name]) => name);
  return new Map(
    [...groupBy([...told, ...back], ([name]) => name)].map(([name, of]) => [
      name,
      { all: others(of).filter((other) => other !== name), plain: others(plain.get(name) ?? []) },
    ]),
  );
}

/** How a sign is written by a letter at a node. */
const LETTERS = { '+': ['P'], '-': ['N', 'M'] } as const;

/** CAP+ and `-IN A` are CAPP and INAN where the node of the other sign is written alike. */
function bySigns(pins: readonly { name: string }[], there: ReadonlySet<string>): [string, string][] {
  return pins.flatMap(({ name }): [string, string][] => {
    const plain = name.toUpperCase().replace(/[−–]/g, '-');
    const [, before, stem = '', behind, channel = ''] = /^([+-])?(C|[A-Z][A-Z\d]+?)([+-])?[ _]?([A-H\d])?$/.exec(plain) ?? [];
    const sign = (before ?? behind) as '+' | '-' | undefined;
    if (!sign || (before && behind)) return [];
    const written = (of: '+' | '-') => {
      const forms = LETTERS[of].flatMap((letter) => [`${stem}${channel}${letter}`, `${stem}${letter}${channel}`]);
      return [...new Set(forms)].filter((n) => there.has(n));
    };
    const [own, other] = [written(sign), written(sign === '+' ? '-' : '+')];
    return own.length === 1 && other.length > 0 ? [[keyOf({ name }), own[0]!]] : [];
  });
}

/** How a sign alone is written by a name. */
const ALONE = { '+': ['P', 'POS', 'PLUS'], '-': ['N', 'M', 'NEG', 'MINUS'] } as const;

/** The stems of names that stand with both signs: PV of PV+ and PV-, and nothing of `+` and `-`, or of P and N. */
function signedStems(list: readonly { name: string }[]): string[] {
  const names = list.map(({ name }) =>
    name
      .toUpperCase()
      .replace(/[−–]/g, '-')
      .replace(/^([+-])(.+)$/, '$2$1'),
  );
  const there = new Set(names);
  const stems = [...new Set(names.flatMap((name) => /^(.*)\+$/.exec(name)?.[1] ?? []))].filter((stem) => there.has(`${stem}-`));
  return Object.values(ALONE).every((written) => written.some((name) => there.has(name))) ? [...stems, ''] : stems;
}

/**
 * PV+ and PV- are P and N where those are the only signed ones of each; MOT+ and TACH+ are M+ and T+ where each stem is
 * the beginning of one other.
 */
function byOnlySigns(pins: readonly { name: string; type: ElectricalType }[], nodes: readonly { name: string }[]): [string, string][] {
  const [own, there] = [signedStems(pins.filter((p) => p.type !== 'supply-in' && p.type !== 'ground')), signedStems(nodes)];
  const names = capitalsOf(nodes);
  const begins = (a: string, b: string) => a !== '' && b !== '' && a !== b && (a.startsWith(b) || b.startsWith(a));
  return own.flatMap((stem) => {
    const others = there.filter((other) => begins(stem, other));
    const isOnly = others.length === 1 && own.filter((s) => begins(s, others[0]!)).length === 1 && !there.includes(stem);
    const isAlone = own.length === 1 && there.length === 1 && there[0] === '' && stem !== '' && !/^V|IN$|OUT$/.test(stem);
    return (['+', '-'] as const).flatMap((sign): [string, string][] => {
      const node = isOnly ? `${others[0]!}${sign}` : isAlone ? [...ALONE[sign], sign].find((name) => names.has(name)) : undefined;
      return node === undefined ? [] : [[`${stem}${sign}`, node]];
    });
  });
}

/** `OFFSET N1` is N1, where that is a name of two letters or more. */
function byLastWord(pins: readonly { name: string }[], there: ReadonlySet<string>): [string, string][] {
  return pins.flatMap(({ name }): [string, string][] => {
    const last = /\s([A-Z]\w+)$/i.exec(name)?.[1]?.toUpperCase();
    const isOwn = last !== undefined && /\d/.test(last) && there.has(last) && !pins.some((p) => p.name.toUpperCase() === last);
    return isOwn ? [[name.toUpperCase(), last]] : [];
  });
}

/** NB, NC and NE are B, C and E: all nodes carry the names of all pins with the same letters before or behind them. */
function byAffix(pins: readonly { name: string }[], there: ReadonlySet<string>): [string, string][] {
  const names = [...new Set(pins.map(keyOf))];
  const [shortest = '', ...others] = [...there].sort((a, b) => a.length - b.length);
  const own = names.find((name) => /^[A-Z]/.test(name) && name !== shortest && (shortest.startsWith(name) || shortest.endsWith(name)));
  if (own === undefined || others.length === 0 || names.length !== there.size) return [];
  const [before, behind] = shortest.endsWith(own) ? [shortest.slice(0, -own.length), ''] : ['', shortest.slice(own.length)];
  const called = names.map((name): [string, string] => [name, `${before}${name}${behind}`]);
  return called.every(([, node]) => there.has(node)) ? called : [];
}

/** D2A and D2B, where as many pins are called D2 as there are nodes of it. */
function nodesOfNet(pins: readonly { name: string }[], there: ReadonlySet<string>, stem: string): string[] {
  const nodes = /^\w*\d$/.test(stem) && !there.has(stem) ? [...'ABCDEFGH'].map((letter) => stem + letter).filter((n) => there.has(n)) : [];
  return nodes.length > 1 && nodes.length === pins.filter((p) => keyOf(p) === stem).length ? nodes : [];
}

/** T1IN is TIN1: the figure stands in the middle of one and behind the other. */
const byPlaceOfFigure = (pins: readonly { name: string }[], there: ReadonlySet<string>): [string, string][] =>
  pins.flatMap(({ name }): [string, string][] => {
    const [, before, figure, behind] = /^([A-Z]{1,4})(\d)_?(IN|OUT|[A-Z]{3,})$/.exec(keyOf({ name })) ?? [];
    const node = `${before}${behind}${figure}`;
    return figure !== undefined && there.has(node) && !there.has(keyOf({ name })) ? [[keyOf({ name }), node]] : [];
  });

/** Q1C of an array is the collector of its first transistor, C1. */
const ofArrays = (pins: readonly { name: string }[]): [string, string][] =>
  pins.flatMap(({ name }): [string, string][] => {
    const [, index, end] = /^Q(\d)_?([BCEDGS])$/i.exec(name) ?? [];
    return index && end ? [[name.toUpperCase(), `${end.toUpperCase()}${index}`]] : [];
  });

/**
 * Pins whose name the model may have for something else: V+ of a part beside VCC of a model is a supply, and its node V+ an
 * input; IN that feeds a part beside VIN of a model is not its node IN; and of QA and QB neither is Q for sure.
 */
export function namedOtherwise(
  pins: readonly { name: string; type: ElectricalType }[],
  nodes: readonly { name: string }[],
): ReadonlySet<string> {
  const has = (list: readonly { name: string }[], name: RegExp) => list.some((x) => name.test(x.name));
  const there = capitalsOf(nodes);
  const out = new Set<string>();
  for (const { name, type } of pins) {
    // QB beside QA is the second of two, and no Q with a bar.
    const stem = keyOf({ name });
    const isOne = stem.length > 0 && there.has(`${stem}A`) && there.has(`${stem}B`) && !there.has(stem);
    if (isOne && nodesOfNet(pins, there, stem).length === 0) out.add(name);
    if (type !== 'supply-in' && type !== 'ground') continue;
    const isRail = /^V[+\-−–]$/.test(name) && has(nodes, /^V[+]$/) && has(nodes, /^V(CC|DD|S\+|POS)$/i);
    const isFeed = /^IN$/i.test(name) && has(nodes, /^IN$/i) && has(nodes, /^V_?IN$/i) && !has(pins, /^V_?IN$/i);
    if (isRail || isFeed) out.add(name);
  }
  return out;
}
