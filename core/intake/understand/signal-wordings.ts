import type { Wording } from './wording';

/** `PWM from the controller`, `to the next stage`: a signal, or nothing, and a device it goes to or comes from. */
const fromOrTo = (way: string): RegExp =>
  new RegExp(
    `^\\W*(?:(?:serial |averaged |measured |pulse |digital |logic |step |frame |shift )*(?:data|pwm|pulses?|clocks?|commands?|status|requests?|interrupts?|report|bits?|bit ?stream|video|samples?|current|temperature|sync\\w*|code)(?: \\w+)? )?(?:${way}) (?:the |a |an )?(?:next|previous|host|controller|partner|processor|micro\\w+|master|slave|following|power stage|driver|baseband|fpga|cpu|mcu|adc|dac|codec|display|panel)\\b`,
    'i',
  );

/** An order to wire a terminal, or the pad below a part, to ground. */
export const TIED_TO_GROUND =
  /^\W*((must be |should be )?(connect|tie|solder)(ed|d)?( this (pin|pad)| it)? )?to (the )?(\w+ )?(ground|[adp]?gnd|vss)\b/i;

/** What is said of inputs, outputs and terminals that go both ways, in the words of many makers. */
export const SIGNAL_WORDINGS: readonly Wording[] = [
  {
    type: 'bidirectional',
    weight: 7,
    words:
      /\bbi-?directional\b|\binputs? ?(\/|and|or) ?outputs?\b|\binput (and|or) (an? )?([\w-]+ ){1,2}output\b|\bin\/out\b|\bi\/os?\b(?! (buffers?|supply|rail|voltage|power|ground|bank))|\bgpio\b|\bgeneral[- ]purpose (i\/?o|port|pin)\b|\bport [A-Z]?\d? ?(bit|pin|line)\b/i,
    unless: /\bsuppl(y|ies)\b|\bground\b|\binput\/output (mask|buffers?|select|control|voltage)\b/i,
  },
  {
    type: 'bidirectional',
    weight: 8,
    words:
      /\b(output|out) (in|for|as) (an? |the )?master( mode)?\b.{0,40}\b(input|in) (in|for|as) (an? |the )?slave\b|\b(input|in) (in|for|as) (an? |the )?slave( mode)?\b.{0,40}\b(output|out) (in|for|as) (an? |the )?master\b|\bdata input output\b|\b(clock|sync\w*), (an? )?(output|input) in (master|slave) mode\W*$|\beither transmit or receive\b|\breference output\b.{0,120}\breference input\b|\breference input\b.{0,120}\breference output\b/i,
  },
  {
    type: 'bidirectional',
    weight: 5.5,
    words: /\bUSB ([a-z\d.-]+ )?D[+−-](?!\w)|\bD[+−-] data\b|\bconfiguration channel( [12])?\s*$|\bsideband use\b/i,
    unless: /\b(in|out)puts?\b/i,
  },
  // A switch passes both ways.
  { type: 'bidirectional', weight: 4.5, words: /\bRF (common )?(port|throw|pole)\b/i, unless: /\b(in|out)puts?\b/i },
  {
    type: 'bidirectional',
    weight: 9,
    words: /\bin and out\b|\b(clock|sync\w*|data|trigger) in or out\b/i,
    unless: /\bsuppl(y|ies)\b|\bground\b/i,
  },
  // A line of a bus goes both ways where nothing else is said of it.
  {
    type: 'bidirectional',
    weight: 5.5,
    words: /\bdata (line|bus)\b(?<!\b(for|to|of|on|from) (the )?([\w-]+ ){0,3}data (line|bus))|\bbus[- ]line\b/i,
    unless:
      /\bsuppl(y|ies)\b|\bground\b|\b(connects?|enables?|drives|places|puts|reads|writes|releases|latch(es)?) (\w+ (on|to|onto) )?the data (line|bus)\b/i,
  },
  // A port without a modem between: what is transmitted goes out.
  {
    type: 'output',
    weight: 6,
    words:
      /\b(uart|usart|lpuart|serial (port|console|debug)|(debug )?console)[- ]?\d{0,2},? (port |data |serial )?(transmit|tx)(ter|ted)?\b/i,
    unless: /\binput\b/i,
  },
  {
    type: 'input',
    weight: 6,
    words: /\b(uart|usart|lpuart|serial (port|console|debug)|(debug )?console)[- ]?\d{0,2},? (port |data |serial )?(receive|rx)(r|d)?\b/i,
    unless: /\boutput\b/i,
  },
  {
    type: 'output',
    weight: 5,
    words: /\b(outputs?|(?<!\b(brown|time|fan|lock|drop|cut|black)[- ])out(?! of\b))\b/i,
    unless:
      /\b(enable|disable|supply|ground|control|load|select|stage|of the output|to the output|feedback)s?\b.{0,12}$|\boutput[- ](voltage|current|level|common[- ]mode)[- ](adjust|set|select|program|trim|detect|sens|monitor|limit)|\boutput[- ](enable|disable|control|supply|stage|range|mode|driver supply|data rate|load|select|update|latch|ground)\b|\boutputs? (are|is) (off|on|disabled|enabled|updated)|\binputs? ?(\/|and|or) ?outputs?\b|\b(en|dis)ables? .{0,24}outputs?\b/i,
  },
  {
    type: 'output',
    weight: 3.5,
    words:
      /\b(transmit(ted)? data(?! input)|drives? (the|a|an)|driver output(?! enable)|indicat(es|or)|(ready|status|digital|logic|fault|warning) flag|goes (high|low)|asserted (when|while)|is (driven|pulled) (high|low) (when|while|by the device))\b/i,
  },
  {
    type: 'input',
    weight: 5,
    words: /\binputs?\b/i,
    unless:
      /\binput (supply|power|ground)\b|\b(supply|power) input\b|\binputs? ?(\/|and|or) ?outputs?\b|\b(to|of|from|at|by|with) (the |an? )?(\w+ )?inputs?\b/i,
  },
  { type: 'input', weight: 7, words: /^\W*analog(ue)? (signal |voltage )?inputs?\b/i, unless: /\bsupply|\bpower\b|\boutputs?\b|\bi\/o\b/i },
  {
    type: 'input',
    weight: 6,
    words: /^\W*(monitors|senses|measures|detects) (the|an?|its|availability|presence|state)\b/i,
    unless: /\boutputs?\b(?! (voltage|current))|\bsupplies\b/i,
  },
  // `Transmit data, digital input`: said outright, whatever the signal is called.
  {
    type: 'input',
    weight: 7,
    words: /[;,.] (digital|analog(ue)?|logic) input\b/i,
    unless: /\boutputs?\b|\bi\/o\b|^\W*(gpio|port [A-Z]?\d* ?(bit|pin|line))\b/i,
  },
  {
    type: 'input',
    weight: 6.5,
    words: /^\W*(\w+ )?outputs?[- ](\w+ )?(enable|disable|control|select(ion)?|adjust(ment)?)\b/i,
    unless: /\b(resistor|capacitor|open[- ](drain|collector))\b/i,
  },
  {
    type: 'input',
    weight: 5.5,
    words: /^\W*((speed|torque|position|current|dimming|brightness|level) )+(command|demand|set ?point)\b/i,
    unless: /\boutput\b/i,
  },
  { type: 'input', weight: 7, words: /\bcurrent[- ]sense (pin|input)\b/i, unless: /\boutput\b/i },
  // A copy of what flows through a switch.
  {
    type: 'output',
    weight: 6.5,
    words:
      /\b(sources|delivers|outputs|provides|gives) (a (current|fraction|copy|scaled|small)|\d+ ?[/:] ?\d+ (of )?|an? \w+ proportional)\b[^.;]{0,24}\b(load|output|switch) current\b/i,
  },
  {
    type: 'input',
    weight: 5.5,
    words:
      /(^|[;,.] )(tie|tied|connect|connected|strap|strapped|set) to (VDD|VCC|VIO|the supply|high|1) or( to)? (GND|VSS|ground|low|0)\b/i,
    unless: /\boutput\b|\bunused\b|\bnot used\b/i,
  },
  // Levels of a setting, told by what each of them means.
  {
    type: 'input',
    weight: 4.5,
    words:
      /\b(mode|direction|select|setting|polarity|range|rate)\b[^.;]{0,20}[.;:,] *(low|high|open|[01HL]) ?[=:] ?[^.;]{0,40}[.;,] *(low|high|open|floating|[01HL]) ?[=:]/i,
    unless: /\boutput\b|\bopen[- ](drain|collector)\b|\bi\/o\b/i,
  },
  {
    type: 'output',
    weight: 5.5,
    words: /^\W*(card )?(reset|clock|data|select|enable)( signal)? to (the )?(card|sim|panel|display|memory|slave|peripheral)\b/i,
    unless: /\binput\b/i,
  },
  // Where a signal goes to, or comes from, where neither word for it stands.
  { type: 'output', weight: 4.5, words: fromOrTo('to|towards?'), unless: /\b(resistor|capacitor|tied?|connect\w*|wired?|inputs?)\b/i },
  {
    type: 'input',
    weight: 4.5,
    words: fromOrTo('from'),
    unless: /\b(resistor|capacitor|tied?|connect\w*|wired?|outputs?)\b|^\W*requests \w+ from\b/i,
  },
  {
    type: 'output',
    weight: 4.5,
    words: /^\W*(coil|winding|relay|lamp|led|heater|valve|solenoid|fan|motor|buzzer|horn|speaker|piezo|base|earpiece) drive\b/i,
    unless: /\binput\b|\bsupply\b/i,
  },
  // What each of two rails does that it may be wired to.
  {
    type: 'input',
    weight: 6,
    words: /\bconnect(ed)? to \w+ (to|for) [^.;,]{1,40},? (or|and) to \w+ (to|for) \w/i,
  },
  { type: 'output', weight: 5, words: /^\W*drives (the|an?|one|either|both) /i, unless: /\binputs?\b|\bsupply\b/i },
  {
    type: 'input',
    weight: 6,
    words: /^\W*(above|below|over|under) [\d.]+ ?m?V(,| it)? (turns|enables|starts|stops|shuts|disables|selects|resets)\b/i,
  },
  {
    type: 'input',
    weight: 5.5,
    words:
      /^[^.;]{0,40}\b(comparator|amplifier|converter|receiver|microphone)\b[,:(]* ?(positive|negative|inverting|non-?inverting)\)?\W*$/i,
  },
  {
    type: 'input',
    weight: 6,
    words: /^\W*(kelvin |remote |voltage |positive |negative )?sens(e|ing) (of|from|at) (the |an? )?/i,
    unless: /\bresistor\b/i,
  },
  {
    type: 'input',
    weight: 6,
    words:
      /\b(middle|tap|mid-?point|centre|center|junction) of (a|an|the) (\w+ )?(divider|resist(or|ive) (divider|network))\b|\b(resist(or|ive) )?divider from (the )?\w+/i,
    unless: /\boutput of\b|\breference output\b/i,
  },
  {
    type: 'input',
    weight: 6,
    words:
      /\b(part|device|chip|ic|converter|regulator|controller|driver|amplifier)s? (is|are) (shut ?down|disabled|off|active|enabled|on|reset) (when|while|if|as long as) (this|the) (pin|input|terminal)\b/i,
  },
  // What an edge does, it does as an input; so does a level among several.
  {
    type: 'input',
    weight: 6,
    words:
      /\b(rising|falling|each|every|positive|negative)[- ]edge (advances|starts|latches|clocks|steps|triggers|begins|loads|resets|shifts|moves|toggles|enables|stores|captures)\b|\blogic (level|state) (sets|selects|chooses|controls|decides)\b/i,
    unless: /\bopen[- ](drain|collector)\b|\binputs? ?(\/|and|or) ?outputs?\b/i,
  },
  { type: 'input', weight: 4.5, words: /\b(two|three|tri|four|quad|five|seven|multi)-level (pin|input|setting)?/i, unless: /\boutput\b/i },
  {
    type: 'input',
    weight: 4.5,
    words: /\b(mode|polarity|gain|range|rate|address|frequency|slew rate) setting\b/i,
    unless: /\bresistor|\bcapacitor|\boutput/i,
  },
  // A level that does something to the part.
  {
    type: 'input',
    weight: 6,
    words:
      /^[^.]*(\b(an? (logic )?|logic[- ]?)|^\W*|[:;,] )(low|high|zero|one)( level)? (drives|forces|switches|turns|puts|places|sets|selects|chooses|enables|disables|starts|stops|holds|clears|resets|powers|wakes|keeps|mutes|shuts|inverts|reverses|enters|engages|activates|initiates|invokes|brakes|connects|opens|closes)\b/i,
    unless: /\bopen[- ](drain|collector)\b/i,
  },
  {
    type: 'input',
    weight: 6,
    words: /^\W*(clocks|shifts) [^.;,]{1,30} (out|in)\b/i,
  },
  {
    type: 'input',
    weight: 4.5,
    words:
      /^\W*(starts|begins|initiates) (an?|the|each|every)\b|^\W*(selects|chooses|picks) (the|which|one|between)\b|\b(sets|selects|chooses|determines) [^.;]{0,24}\b(slave|bus|device|target) address\b/i,
    unless: /\b(resistor|capacitor|outputs?)\b/i,
  },
  // An order to pull it is given for an input, whatever it does to outputs.
  {
    type: 'input',
    weight: 7,
    words: /^\W*(pull|drive|hold|bring|take|set|tie|assert|toggle)( this pin| it)? (high|low)( or (high|low))? (to|for|and|when)\b/i,
    unless: /\bopen[- ](drain|collector)\b/i,
  },
  // What is done to a terminal from outside is done to an input.
  {
    type: 'input',
    weight: 6,
    words:
      /\b(logic )?(low|high|zero|one)( level)? (on|at|applied to) (this|the) (pin|input|terminal)\b|\b(rising|falling) edge (on|at) this (pin|input|terminal)\b|\b(pull|driv|ty|hold|bring|tak|sett)(ing|e)? (this pin|this input|it) (to )?(logic )?(low|high)\b/i,
    unless: /\bopen[- ](drain|collector)\b|\binputs? ?(\/|and|or) ?outputs?\b/i,
  },
  { type: 'bidirectional', weight: 5, words: /\b(i²c|i2c|i 2 c|smbus|smb|two-wire|2-wire) (master )?(serial )?data\b/i },
  {
    type: 'output',
    weight: 4.5,
    words:
      /\bgate[- ](drive|driver) (for|of|to|output)\b|\bdrives the gate\b|^\W*gate of (the |an? )?(external|high-side|low-side|main|synchronous|top|bottom|pass|blocking|reverse|upper|lower)\b|^\W*((top|bottom|upper|lower|high-side|low-side|main|synchronous|external) )gate[- ]drive(r)?\b/i,
    unless: /\bsupply\b|\binput\b|\breturn\b|\bsource\b/i,
  },
  { type: 'bidirectional', weight: 5, words: /\b(command|request) ?(\/|and) ?(response|reply)\b/i },
  // The part is the master: its clock goes out.
  { type: 'output', weight: 6, words: /\b(i²c|i2c|spi) master (serial )?clock\b(?! input)/i },
  { type: 'output', weight: 3.5, words: /\bclock master\b/i },
  // What was made of the received bits goes to the host.
  {
    type: 'output',
    weight: 6,
    words: /^\W*recovered (bit |byte |symbol )?clock( output)?\s*([.;,(]|$)|\bprovides (a|an|the) [^.;]{0,40}\bclock\b/i,
    unless: /\binputs?\b|\bsuppl|\bmust\b/i,
  },
  {
    type: 'output',
    weight: 4.5,
    words:
      /(^|[.;] )(asserted|negated|de-?asserted)( (high|low))? (when|while|if|in|upon|to indicate|after|during|until|for)\b|^\W*(carrier sense|collision( detect)?|receive error)\b|^\W*(programmable |maskable |\w+ )?interrupt( \d)?\s*([/;,.]|$)|\benables (the )?power (to|for)\b/i,
    unless: /\binputs?\b|\bopen[- ](drain|collector)\b|\bexternal interrupt\b|\bwire[d]?[- ]or/i,
  },
  {
    type: 'output',
    weight: 5,
    words:
      /^\W*(toggles|mirrors) (at|on|the|when)\b|\bcopy of the [^.;]{0,24}\bclock\b|^\W*detected (power|level|voltage|envelope|amplitude)\b|^\W*(low|high)-side switch to\b/i,
    unless: /\binputs?\b|\bopen[- ](drain|collector)\b|\bsens/i,
  },
  {
    type: 'input',
    weight: 5,
    words: /^\W*((current|voltage|analog(ue)?|measuring|differential) )+channel [a-z0-9]{1,3}[,.;:] ?(positive|negative|plus|minus)\b/i,
    unless: /\boutput\b/i,
  },
  { type: 'output', weight: 6, words: /^\W*(goes|becomes|turns) (high|low) (when|while|if|after|once|as soon as)\b/i },
  {
    type: 'output',
    weight: 4.5,
    words: /\bdifferential (serial )?transmit (port|pair|line|lane|driver|data)\b/i,
    unless: /\breceive|\binput/i,
  },
  { type: 'input', weight: 4.5, words: /\bdifferential (serial )?receive (port|pair|line|lane|data)\b/i, unless: /\btransmit|\boutput/i },
  // What is watched comes in, whatever rail it is.
  { type: 'input', weight: 8, words: /^[^.;]{0,30}\b(monitor|sense|detect(ion)?|measurement) input\b/i, unless: /\boutput\b/i },
  { type: 'input', weight: 7, words: /^\W*output (voltage )?(feedback|sense|sensing)\b/i },
  {
    type: 'input',
    weight: 6,
    words:
      /\b(supply|load|positive|negative|high|low|bus|battery|input|output) side of (the )?(external )?(shunt|(current[- ])?sense)( resistor)?\b|\bresistor divider (sets|to set|from|between)\b|\bvoltage to be (monitored|measured|sensed)\b|\b(remote )?on\/off (control|input|pin)\b|\breference voltage for (the |an? )?(adc|dac|a\/d|d\/a|converter)\b/i,
    unless: /\boutput of\b|\breference output\b/i,
  },
  {
    type: 'input',
    weight: 5,
    words:
      /\bconnect to (GND|ground|VSS|VCC|VDD) to (set|select|enable|disable|choose|use)\b|^[^.;]{0,30}\b(mode|address|gain|range|polarity|frequency|source) selection\b/i,
    unless: /\boutput\b|\bresistor\b/i,
  },
  // Read at reset: whatever the terminal is later, it is an input then.
  { type: 'input', weight: 2.9, words: /\bstrap(s|ping|ped)?\b|\b(latched|sampled) (at|on|during) (reset|power[- ]?(up|on))\b/i },
  // A hint only: what is tied to ground can be an input that is not used.
  {
    type: 'ground',
    weight: 2.5,
    words: TIED_TO_GROUND,
  },
  {
    type: 'input',
    weight: 4,
    words:
      /\b(selects?|enables?|enable|chip[- ]select|reset|shut-?down|power-?down|clock|strobe|strap|trigger|address (bit|line|LSB|MSB|input)s?|bit of the (device |target )?address|mode (pin|select)|output[- ]enable|output[- ]disable|output[- ]control|write[- ]protect|receive(d)? data|feedback|sense|non-?inverting|inverting|set pin|control pin|logic (level )?(high|low) (to|for)|pull (high|low) to|tie (high|low)|drive (high|low) to)\b/i,
    unless:
      /\boutputs?\b(?![- ](enable|disable|control))|\boutput (of|from)\b|\bsuppl(y|ies)\b|\bcarrier sense\b|\bsense resistor\b|\bpulls?\b.*\blow when\b/i,
  },
];
