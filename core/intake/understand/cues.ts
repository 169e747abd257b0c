import type { ElectricalType } from '../../part';

export interface Cue {
  /** The type that the cue speaks for. */
  type: ElectricalType;
  /** Conclusions that the cue puts in doubt. */
  against: readonly ElectricalType[];
  words?: RegExp;
  name?: RegExp;
  /** Where these stand in the text, the cue says nothing. */
  unless?: RegExp;
  /** It says nothing where column and words name one and the same type. */
  weak?: true;
  /** It counts only where the type column says one of these. */
  column?: readonly ElectricalType[];
  /** Its name alone speaks against the column's own word. */
  alone?: true;
}

/** Types that a signal can be taken for. */
const SIGNALS: readonly ElectricalType[] = ['input', 'output', 'bidirectional', 'three-state'];

/** An open terminal is no more than advice where it is not used, or may be wired as well. */
const ONLY_ADVICE =
  /\bno[- ]connect|\bnot connected\b|\bno internal\b|\bif (it is )?(not used|unused|not needed|left)\b|\bopen (for|or (connect|tie))\b|\bwhen (not used|unused)\b|\b(can|may|do not|should not|never|not) (be )?(leave|left)\b|\bunused\b|\bunless\b|\bor (leave|left)\b|\bdefaults\b/i;

/**
 * What is no evidence for a type and yet shows in many terminals of it: a conclusion that leaves it out has to be looked at.
 * Better ten doubts too many than one wrong type on the board.
 */
export const CUES: readonly Cue[] = [
  {
    type: 'passive',
    weak: true,
    against: SIGNALS,
    words: /\b(resistors?|capacitors?|inductors?|crystal|coil|ferrite|decoupl\w+|bypass(ed|ing)?(?! (mode|or|is)\b))\b/i,
    unless:
      /\bpull-?(up|down)s?\b|\b(through|via)\b.{0,24}\b(resistor|capacitor)|\b(output|voltage) adjust|\badjusted (by|with)|\btrim|\bdivider\b|\bladder\b|\bstrap|\btermination\b|\bseries\b|\binternal(ly)? .{0,12}(resistor|capacitor)|\bno (external )?(resistor|capacitor)|\bacross (the|an?) |\b(at|of|across) the (output|input|load|bulk) capacitor|\b(side|end) of (the |a )?(sense|shunt)\b|\b(coil|relay)s? driver?\b|\b(pull|tune|trim)s? the crystal\b/i,
  },
  {
    type: 'open-drain',
    against: ['output'],
    words: /\bsinks? (current\b|up to\b|\d)|\bgoes (open|high[- ]impedance)\b|\bpulls? (it |the (line|output) )?(to ground|low)\b/i,
    unless: /\bpush-?pull\b|\bsources? (and|or)\b|\b(and|or) sources?\b|\bled\b/i,
  },
  { type: 'open-drain', against: ['passive'], words: /\bsinks? (current|up to|\d)/i },
  { type: 'open-drain', against: ['output'], words: /\((OD|O\.D\.)\)/ },
  { type: 'bidirectional', against: ['input'], words: /\bor (gives|outputs|drives|sends|provides)\b/i },
  { type: 'bidirectional', against: ['input'], words: /\b(driven|pulled (low|down)) by (the|this) (device|part|chip)\b/i },
  { type: 'bidirectional', against: ['passive', 'input', 'output'], words: /\bclock in\b.*\bclock out\b|\bclock out\b.*\bclock in\b/i },
  // An output that has to be pulled up does not do so itself.
  {
    type: 'open-drain',
    against: ['output'],
    words:
      /\b(needs?|requires?|with) (an? )?(external )?pull-?up\b|\b(connect|tie|pull)(ed)? (it |this pin )?(up )?to [\w ]{1,24} (through|via|with|by) (a|an) ([\w.%±-]+ ){0,2}(pull-?up|resistor)\b|\bpull-?up( resistor)? (is )?(needed|required|necessary)\b/i,
    unless: /\bpush-?pull\b|\bno (external )?pull-?up\b/i,
  },
  {
    type: 'supply-out',
    against: ['output'],
    words:
      /\bexcitation\b[^.;]{0,40}\b(bridges?|load cells?|strain gau?ges?|sensors?)\b|\b(bridge|load cell|strain gau?ge|sensor) excitation\b/i,
    unless: /\bcurrent\b|\bwave\b|\bsens(e|ing)\b/i,
  },
  { type: 'input', against: ['passive'], words: /\bphotodiode( anode)?\W*$/i },
  { type: 'input', against: ['passive'], words: /\b(collector|transistor) of the (opto-?)?coupler\b/i },
  // The source of a bridge, over its shunt or at the ground.
  { type: 'ground', against: ['passive'], name: /^[AP]?GND_?[A-D\d]?$/i },
  // What turns is told, or is to be told.
  {
    type: 'output',
    against: ['input'],
    name: /^DIR/i,
    words: /\bhigh (for|while|when|at) (the )?(\w+ )?(in|de)creas|\b(shows?|tells?|indicat\w+)\b/i,
  },
  { type: 'input', against: ['output'], words: /\boutput (connects|is connected|is wired|goes) (here|to this (pin|terminal))\b/i },
  // What tells that a rail is good seldom drives high itself.
  // What tells of a fault or resets others is mostly pulled up outside; without a column a person has to say.
  {
    type: 'open-drain',
    weak: true,
    against: ['output'],
    name: /^[~/!]?n?(?:[A-Z0-9]{1,6}_(?=IRQ|INT|ALERT|FAULT|FLT))?(FAULT|FLT|RESET|RST|INT|IRQ|ALERT|ST|RO|STAT|CHRG|WARN|DIAG)\d?(#|\*|_?[NB])?$/i,
    unless: /\bpush|\btotem\b|\bcmos\b|\bhigh\b|\binput\b|\breceive/i,
  },
  // The ends of a rectifier's bridge, or the rails of a supply.
  {
    type: 'supply-in',
    weak: true,
    against: ['input'],
    name: /^P?V?I(N)?\d?$/,
    words: /^\W*(line|raw|battery|unregulated|(power |load )?switch) input\b/i,
  },
  { type: 'supply-out', weak: true, against: ['output'], name: /^[+−–-]$/ },
  { type: 'passive', weak: true, against: ['output'], words: /\boutput (discharge|ramp)\b/i, unless: /\b(enable|control input|time)\b/i },
  // The common of a multiplexer is no ground.
  { type: 'bidirectional', weak: true, against: ['ground'], name: /^[DXYZ]\d?$/, words: /\banalog common\b/i },
  {
    type: 'supply-out',
    weak: true,
    against: ['output'],
    name: /^V?O(UT)?\d?$/,
    words: /^\W*((negative|positive|inverted) )?output voltage\W*$/i,
  },
  { type: 'open-drain', against: ['output'], name: /^(PG|PGOOD|POK|PWRGD|PWROK|PGD)\d?$/, unless: /\bpush|\btotem\b|\bcmos\b|\bhigh\b/i },
  { type: 'bidirectional', against: ['input', 'output', 'passive'], name: /\/P[A-K]\d{1,2}$/ },
  { type: 'output', weak: true, against: ['input'], words: /\b(clock|data) lane\b/i, unless: /\binput\b|\breceiv/i },
  { type: 'supply-out', against: ['output'], words: /\bhigh[- ]voltage output\b|\bboosted voltage\b/i },
  {
    type: 'output',
    against: ['passive', 'input'],
    words: /\bcurrent (flows|is drawn|is sunk|sink)\b/i,
    unless: /\bno current\b|\bsens|\bmeasur/i,
  },
  // What comes out of a bridge goes into its amplifier.
  { type: 'input', against: ['output'], name: /^V?IN\d?[PNM+\-−]?\d?$|^IN[PNM]\d?$/ },
  { type: 'supply-out', against: ['output'], alone: true, name: /^VTT(REF)?\d?$/ },
  { type: 'output', against: ['passive'], name: /^[UVW](O|OUT)?\d?$|OUT/, words: /\b(coil|winding)\b/i },
  // A resistor hangs on it, whatever its column says and its words leave out.
  {
    type: 'passive',
    against: SIGNALS,
    alone: true,
    name: /^([IR]_?SET|R_?EXT|R_?BIAS|R_?OSC|RT)\d?$/,
    unless: /\b(voltage|logic|divider|digital|pwm|resistors?)\b/i,
  },
  // Letters of a bus strobe that a cell, a motor or a soft start has too.
  {
    type: 'passive',
    against: ['input'],
    name: /^(CE|RE|WE|RD|WR|OE|SS|CS)\d?$/,
    unless: /^\s*$|enabl|select|chip|read|writ|strobe|slave|output|access|receiv|activ|soft|frame/i,
  },
  {
    type: 'supply-out',
    against: ['output'],
    name: /^[A-Z]{0,3}V?_?OUT\d{0,2}$/i,
    words: /\b(load|power|regulat\w+|supply|rail|converter|switch)\b/i,
    unless: /\b(signal|amplifier|logic|data|comparator|dac|buffer|sensor|driver|digital|serial|clock|power[- ](good|down|on))\b/i,
  },
  {
    type: 'supply-in',
    against: ['input'],
    words:
      /\b(power|supply|battery) (input|voltage|source|pin|connection|terminal)\b|\binput source\b|\b(supplies|powers) the\b|\bpower supply (to|for|of)\b/i,
    unless: /\b(monitor|sens\w+|detect\w*|comparator|measure\w*|select\w*|enable|power[- ]good)\b/i,
  },
  {
    type: 'supply-in',
    against: ['input'],
    words: /\binput( pin)? (of|for|to) [^.;]{0,16}\b(ldo|regulator)s?\b/i,
    unless: /\b(enable|feedback|control|select|reference|sense|error amplifier)\b/i,
  },
  {
    type: 'supply-in',
    against: ['input'],
    words: /\bhigh[- ]voltage (input|supply)\b|\bstart-?up (input|current|supply)\b|\bfor (the )?start-?up\b/i,
    unless: /\b(time|delay|ramp|slope|mode|signal|select\w*|sequence)\b/i,
  },
  // A reservoir that stands on another rail is one that the part pumps up itself.
  {
    type: 'supply-out',
    against: ['supply-in', 'output'],
    words: /(\bcapacitor|\d ?[nµμu]F)\b[^.;]{0,24} to (VM|VS|VIN|VBAT|VCC|VDD|VSUP|PVDD|VBB|the (motor |input )?supply)\b/,
  },
  {
    type: 'input',
    against: ['passive'],
    words: /\b(sense|sensing|monitors?|monitoring)\b/i,
    unless: /\bresistor|\bshunt\b|\bcurrent[- ]sens/i,
  },
  { type: 'supply-out', against: ['output'], words: /\bbias(ing)? (voltage|supply)\b/i, unless: /\binput\b|\bset|\badjust/i },
  { type: 'supply-out', against: ['output'], alone: true, name: /^V?(LDO|REG)\d*(_?O(UT)?)?\d?$/, unless: /\bsens|\bfeedback\b|\bgate\b/i },
  { type: 'supply-out', against: ['output'], words: /\bterminat(ing|ion) (output|regulator|rail)\b/i },
  { type: 'output', against: ['input'], name: /^n?INTR?_?\d?$/, words: /\binterrupt\b/i, unless: /\binputs?\b/i },
  {
    type: 'bidirectional',
    against: ['input', 'output', 'supply-out', 'passive'],
    words: /\b(input|output),? or (an? |the )?[\w. -]{0,40}\b(input|output)\b/i,
    unless: /\b(input or [\w. -]*input|output or [\w. -]*output)\b|\b(to|of|from|at) (the |an? )?(\w+ )?(input|output) or\b/i,
  },
  { type: 'output', against: ['input'], words: /\bactive (ac )?shield(ing)?\b|\bdriven shield\b/i },
  {
    type: 'passive',
    against: ['input', 'output'],
    words: /\bloop[- ]filter\b/i,
    unless: /\b(in|out)put (of|to|from) the loop|\bcharge[- ]?pump\b/i,
  },
  { type: 'supply-out', against: ['passive'], words: /\bbias (of|for) the\b/i, unless: /\bresistor\b/i },
  // Columns that know directions only call an inductor's end, and a rail, I/O.
  { type: 'supply-out', against: ['bidirectional'], words: /^\W*output of the\b|\b(boost|buck|pump|regulator|converter)('s)? output\b/i },
  { type: 'passive', against: ['bidirectional'], words: /\bswitch(ing)? (node|of the)\b|\binductor\b/i },
  // A rail where the part is a regulator.
  {
    type: 'supply-out',
    against: ['output'],
    name: /^V_?OUT_?\d?$/,
    words: /^\W*(voltage )?(output|out)( (pin|terminal|voltage|node))?( \d)?(\W*$|\s*\()/i,
  },
  // `Gain stage output, for a filter capacitor`, `current monitor; connect a resistor`: driven, whatever hangs on it.
  {
    type: 'output',
    against: ['passive'],
    words:
      /^[^.;,]{0,60}\b(?<!\b(to|of|from|at|between|the) )(?<!(regulator|driver|oscillator|crystal|pump|inverter) )output\b(?! (current|voltage))|\bcurrent (source|mirror|monitor)\b|\bmirror of the\b/i,
    name: /^(?!COMP|XT|XO|OSC|REXT|RSET|ISET)/,
    unless: /\b(crystal|oscillator|converter output|sets?)\b|^\W*(capacitor|resistor)\b/i,
  },
  { type: 'output', against: ['passive'], words: /\bsources (an?|out) [^.;]{0,40}\b(current|ratio)\b/i },
  // What feeds or clocks another device comes out of this one.
  {
    type: 'supply-out',
    against: ['supply-in'],
    words:
      /^\W*(switched )?(power )?supply (voltage )?(of|for|to) (the |an? )?(cards?|sim|sensors?|external|peripherals?|displays?|cameras?|antenna|microphones?)\b/i,
  },
  {
    type: 'output',
    against: ['input'],
    words:
      /^\W*(reset|clock|data|select|enable|interrupt|request|wake-?up)( \w+)? to (the |an? )?(cards?|sim|host|memory|displays?|panel|slave|peripheral|processor|microcontroller|camera|sensor)\b/i,
  },
  { type: 'output', against: ['passive'], words: /\bswitch(ing)? node of (the |a )?(\w+ )?driver\b/i },
  {
    type: 'output',
    against: ['input'],
    words: /^\W*(serial |chip[- ])?(clock|data|select|enable|reset) (of|for|to) (the |an )?external\b/i,
  },
  { type: 'supply-out', against: ['passive'], words: /^\W*(internal )?reference\b(?! (resistor|current))/i, column: ['output'] },
  { type: 'input', against: ['passive'], words: /\b(remote|thermal|temperature|sens\w+) diode\b/i, unless: /\bresistor\b/i },
  { type: 'ground', against: ['output'], words: /^\W*(internally )?(connected|tied|shorted|wired|bonded) to (the )?(ground|gnd|vss)\b/i },
  {
    type: 'supply-in',
    against: ['input', 'output', 'bidirectional'],
    words: /\b(backup|back-up|coin|lithium|button) (cell|battery|supply)\b|\bsuper-?cap(acitor)?\b/i,
    unless: /\b(sense|monitor|detect\w*|low[- ]battery|indicat\w+|status|switch|select\w*|enable|control)\b/i,
  },
  {
    type: 'input',
    against: ['supply-in', 'supply-out'],
    words: /\b(detect(s|ion|or)?|sens(e|es|ing)|monitor(s|ing)?|measures?|watch(es)?)\b/i,
    unless: /\b(suppl(y|ies)|power(s|ed)?|feeds?|rail|regulat\w+|not monitored)\b|\bsensed\b|\bphase[- ]detector\b/i,
  },
  {
    type: 'reserved',
    against: ['no-connect'],
    words: /\b(must|has to|have to) (not )?be\b|\bdo not (connect|use|route)\b|\b(tie|connect) (it |this pin )?to\b/i,
    unless:
      /\b(may|can) be\b|\bunconnected or (connect|tie)\b|\bno internal connection\b|\bnot internally connected\b|\bnot connected internally\b/i,
  },
  {
    type: 'reserved',
    against: ['no-connect', 'supply-in', 'input', 'output'],
    // NC says that nothing is inside.
    name: /^(?!N\.?\/?C\.?_?\d*$)/,
    words: /\b(leave|left) (it |this pin )?(open|floating|unconnected)\b/i,
    unless: ONLY_ADVICE,
  },
  {
    type: 'reserved',
    against: ['no-connect', 'supply-in', 'input', 'output'],
    words: /\b(keep|kept) (it |this pin )?(open|floating|unconnected)\b/i,
    unless: ONLY_ADVICE,
  },
  // A switch to the upper rail leaves its output open where it is off.
  {
    type: 'open-source',
    against: ['output'],
    words:
      /\bhigh[- ]side (switch(ed)? )?output\b|\bhigh[- ]side (switch )?to (VS|VBAT|VIN|the (supply|battery))\b|\bswitched (to|from) the (supply|battery)\b/i,
    unless: /\bgate\b|\b(half|full)[- ]bridge\b|\blow[- ]side\b|\bdriver? output\b/i,
  },
  { type: 'passive', against: ['supply-out'], words: /^\W*((bypass|decoupling|external|reservoir)\W+)+capacitor\b/i },
  { type: 'output', against: ['passive'], words: /\b(drain|collector) of the (internal|integrated|power|high-voltage|main)\b/i },
  { type: 'bidirectional', against: ['input'], name: /^SCL?_?\d[A-Z]?$/, unless: /\binput\b/i },
  // The clocks of a serial audio port come in or go out by who is its master.
  {
    type: 'bidirectional',
    against: ['input'],
    name: /^(BCLK|BICK|BCK|((ADC|DAC)_?)?LRC?L?K?|WCLK|WS|I2S_(BCLK|SCK|WS|LRCK))\d?$/,
    unless: /\binput\b|\bslave\b/i,
  },
  // A coil hangs on it, and yet the part drives it.
  {
    type: 'output',
    against: ['passive'],
    words: /\b(switch(ing|ed)?|phase) (node|output|terminal)\b/i,
    column: ['output', 'bidirectional'],
  },
  { type: 'passive', against: ['output'], words: /\b(switch(ing)?|phase) node\b/i },
  { type: 'output', against: ['passive'], name: /^(?!LX?\d?$)/, words: /\b(inductor|coil|winding)\b|\bdrive of\b/i, column: ['output'] },
  { type: 'input', against: ['passive'], words: /\b(photodiode|anode|cathode)\b/i, column: ['input'] },
  { type: 'output', against: ['passive'], words: /\b(anode|cathode)\b/i, column: ['output'] },
  { type: 'supply-out', against: ['passive'], name: /^[ADPI]?V(DD|CC|REG|CORE|INT)\w*$/i },
  {
    type: 'supply-out',
    against: ['supply-in'],
    words: /\binternal(ly)?\b|\bregulat(or|ed)\b|\bldo\b|\bgenerated\b|\bdecoupling output\b/i,
    unless: /\binputs?\b|(?<!\b(output|out) )\b(for|to|of|powers|supplies|feeds?) (the |all |its )?(internal|regulator|ldo|on-chip)/i,
  },
  // The lowest rail is a ground in one circuit and a supply in the next.
  { type: 'supply-in', against: ['ground'], words: /\bnegative (power )?supply\b/i, unless: /\b0 ?V\b|\bgrounded\b/i },
  {
    type: 'ground',
    against: ['supply-in'],
    words: /\bnegative (power )?(supply|input|rail|side)\b/i,
    name: /^[ADP]?VSS\w*$/i,
    unless: /[−–-] ?\d+(\.\d+)? ?V\b/,
  },
  {
    type: 'passive',
    weak: true,
    against: ['ground'],
    words: /\b(floating|bootstrap|ac ground|source of|emitter|drain of|sense|switch(ing)? node)\b/i,
    unless: /\b(exposed|thermal) (pad|paddle)\b|^\W*((power|analog(ue)?|digital|signal) )?ground\b|^[^.;]{0,30}\bcommon[.;]/i,
  },
  {
    type: 'ground',
    against: ['passive'],
    words: /^\W*return (of|for|from)\b/i,
    unless: /\b(crystal|oscillator|driver|gate|boot|inductor)/i,
  },
  { type: 'ground', against: ['input', 'output'], words: /\breturn\b/i, unless: /\b(to|from) (\S+ ){0,2}return\b/i },
  {
    type: 'output',
    against: ['input'],
    words:
      /^\W*((goes|is|stays|held) )?(active )?(low|high) (for (at least |about )?\d[\d.]*|after|while|until|whenever|as long as|during)\b/i,
    unless: /\binput\b/i,
  },
  {
    type: 'output',
    against: ['input'],
    words: /^\W*(serial )?received (serial )?data\b|^\W*(serial )?data received\b/i,
    unless: /\binput\b/i,
  },
  { type: 'output', against: ['input'], name: /OUT\d?$/, unless: /\b(input|sens\w+|feedback|monitor\w*|measur\w+)\b/i },
  { type: 'input', against: ['output'], words: /\boutput( voltage)? monitor\b/i },
  // What acts on another device comes out of this one.
  {
    type: 'output',
    against: ['input'],
    words:
      /^\W*(selects|starts|stops|enables|puts|switches|wakes|resets|mutes) (the |an? )?(external|transceiver|receiver of|lamp|relay|fan|heater|display|panel|host|next|peripheral|slave)\b/i,
    unless: /\binput\b|\bclock\b/i,
  },
  { type: 'supply-out', against: ['output'], words: /\bbias\b.*\b(microphone|electret)|\b(microphone|electret)\b.*\bbias\b/i },
  {
    type: 'supply-out',
    against: ['output'],
    words: /(?<!rail-to-)\brail\b(?!-to-)/i,
    unless: /\b(to|within|near) (the |either |a )?(\w+ )?rail\b|\bmonitor|\bsupervis|\bdrives?\b|\breset\b|\blow (while|when|if|until)\b/i,
  },
  {
    type: 'passive',
    weak: true,
    against: SIGNALS,
    column: SIGNALS,
    words: /\b\d[\d.]* ?[nµμup]F\b/,
    unless: /\bcoupl|\bload\b|\bthrough\b|\bseries\b/i,
  },
  {
    type: 'passive',
    weak: true,
    against: SIGNALS,
    words: /\d ?[kM]?(Ω|ohms?\b)[^.;]{0,12} to ([ADP]?GND|VSS|ground)\b/,
    unless: /\bpull|\bthrough\b|\bterminat|\binternal|\bseries\b/i,
  },
  { type: 'passive', against: SIGNALS, words: /\b\d[\d.]* ?[kM]?(Ω|ohms?) (gives|sets|is|for|means|programs)\b/ },
  { type: 'output', against: ['input'], words: /\bswitch to (the )?(AVSS|VSS|GND|AGND|ground)\b/ },
  { type: 'supply-in', against: ['ground'], words: /(?<![\d±/] ?)[−–-] ?\d+(\.\d+)? ?V\b/ },
  { type: 'supply-out', against: ['output'], words: /\brectif(ied|ier)\b/i },
  { type: 'bidirectional', against: ['input'], words: /\b(may|can|could|might) stretch\b|\bstretch(es|ing)\b/i },
  {
    type: 'three-state',
    against: ['output'],
    words: /\b(open|floats?|floating|released|undriven) (while|when|unless|until|asleep|otherwise|in (sleep|standby|shut-?down))\b/i,
    unless: /\b(leave|left|keep|kept|input|drain|switch)\b/i,
  },
  { type: 'passive', against: ['input', 'output'], words: /\boscillator\b/i, name: /^(OSC|XTAL|XT|X)_?(IN|OUT|I|O|\d)\d?$/i },
  // A column of directions says which end of a crystal it is.
  { type: 'passive', against: ['input', 'output'], alone: true, name: /^(OSC|XTAL|XT)_?(IN|OUT|I|O)\d?$/i, unless: /\b(clock|external)\b/i }, // prettier-ignore
  {
    type: 'passive',
    against: SIGNALS,
    words: /\bboot-?strap\b|\bboot strap\b(?=.{0,80}\bcap)/i,
    unless: /\bboot-?strap (mode|supply voltage monitor)\b/i,
  },
  {
    type: 'supply-out',
    against: ['passive'],
    words: /\b(internal|core|on-chip) (regulator|ldo|supply)\b/i,
    unless: /\b(set|program|adjust|resistor|compensation|bootstrap|flying|filter capacitor)\b|^\W*external capacitor\b/i,
  },
  { type: 'bidirectional', against: ['input', 'output'], words: /\balso (used|serves?|acts?) (for|as)\b/i },
  { type: 'passive', against: ['supply-in'], words: /\b(bootstrap|high[- ]side (gate )?driver|floating)\b/i },
  { type: 'supply-in', against: ['passive'], words: /^\W*boot-?strap supply (for|of) the\b/i },
  {
    type: 'three-state',
    against: ['output'],
    words: /\b(high[- ]impedance|hi-?z|(three|tri|3)-?stat\w+)\b/i,
    unless: /\b(never|not|no) /i,
  },
  {
    type: 'bidirectional',
    against: ['input', 'output', 'open-drain', 'supply-out'],
    name: /^(SDA|SDIO|DIO)\/|\/(SDA|SDIO|DIO)$|IN\d*\/\w*OUT|OUT\d*\/\w*IN\b/i,
  },
];
