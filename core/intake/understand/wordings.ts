import { ACTING_WORDINGS } from './acting-wordings';
import { BARE_WORDINGS } from './bare-wordings';
import { SIGNAL_WORDINGS } from './signal-wordings';
import type { Wording } from './wording';

/** What is said of a terminal of each type, in the words of many makers. */
export const WORDINGS: readonly Wording[] = [
  // What is said of the bond itself beats every other word.
  {
    type: 'no-connect',
    weight: 9,
    words:
      /\b(no|not) internal(ly)? connect(ion|ed)\b|\bnot (bonded|connected internally|connected inside|connected to (the )?die)\b|\bno (internal )?bond\b/i,
  },
  {
    type: 'no-connect',
    weight: 7,
    words: /\bno[- ]connect(ion)?s?\b|\bnot connected\b|\bunused (pin|lead|terminal)\b|^\s*n\.?c\.?\s*$/i,
    unless: /\bdo not\b|\bnormal operation\b|\bstrap/i,
  },
  { type: 'no-connect', weight: 7, words: /\bunconnected\b/i, unless: /\bdo not\b|\bnormal operation\b|\bstrap/i, isAdvice: true },
  {
    type: 'reserved',
    weight: 9,
    words:
      /\bdo not connect\b(?! (it |this |this pin )?(to )?(any |an |other )?(external |additional |other )?(loads?|circuit|rails?|suppl|ground|gnd))|\bdo not use\b(?! (it |this |this pin |the pin )?(for|to|as|in)\b)|\bmake no (external )?connection\b|\breserved\b|\bfactory (test|use|trim|calibration|program)|\bfor (internal|factory|manufacturing|maker'?s) (use|test)|\b(manufacturing|production) test|\btest (pin|point|mode(?! select\b(?!\W*(connect|tie|must)))|purposes?)\b.*\b(leave|float|open|tie|connect|ground)|^\W*(factory |scan |production )?test( (input|output|signal)s?\b|(?=[;,.:]))(?!.*\b(not used|unused|resistor|capacitor)\b).*\b(leave|float|open|tie|tied|connected|ground)|\bmust be left (open|floating|unconnected)\b|\bno[- ]connect(ion)?s?\b.{0,12}\bmust be (connected|tied|grounded|left|kept)\b|\b(tie|connect|strap|short)(ed)? (this pin )?to \w+ (for|in) normal (operation|use|mode)\b|^\W*internally connected\b(?! (to|with)\b)|^\W*not used[,;.] *(connect|tie|leave|must|strap)|^\W*(for )?production only\b/i,
    unless: /\bno internal connection\b|\breserved for future use in\b/i,
  },
  // What the output is to be set by is no output.
  {
    type: 'input',
    weight: 7,
    words:
      /^\W*output[- ](voltage|current|level|common[- ]mode)[- ](adjust(ment)?|set(ting)?|select(ion)?|feedback|sense|sensing|program\w*|trim(ming)?|control)\b/i,
  },
  {
    type: 'input',
    weight: 7,
    words:
      /\b(regulator|ldo|buck|boost|converter|reference|supply)('s)? output( voltage| level)? (select(ion)?|set(ting)?|adjust(ment)?|program\w*|trim(ming)?)\b/i,
  },
  // External parts make a terminal passive, whatever direction its circuit has.
  {
    type: 'passive',
    weight: 8,
    words: /\b(crystal|xtal|resonator|tuning fork)\b/i,
    unless:
      /\bno crystal\b|^\W*(strap[:,] )?(an? )?(low|high)( level)? (keeps|turns|selects|switches|stops|starts|holds|disables|enables)\b|\b(if|when) (a |an |the )?(\w+ )?crystal is\b|\b(pull|tune|trim)(s|ing)? (of )?the crystal\b|\bcrystal (pulling|trim)|\boscillator (circuit |driver )?(enable|disable|select|control|power)|^\W*(\w+ )?clock output\b|\bclock (output|buffer)|\bwithout (a )?crystal/i,
  },
  { type: 'passive', weight: 6.5, words: /\bpassive\b/i },
  ...BARE_WORDINGS,
  // What the upper driver floats on is a capacitor, whatever it supplies.
  {
    type: 'passive',
    weight: 12,
    words:
      /^\W*boot-?strap (supply|i\/o|pin|node|connection|terminal)\b|\b(side|end|terminal|plate) of the boot-?strap[- ]cap(acitor)?\b|\bboot-?strap[- ]cap(acitor)?\b[^.;]{0,24}\b(between|from|to) (SW|LX|PH|PHASE|HS|VS)\d?\b/i,
    unless: /\bcontroller\b|\bdiode'?s? (anode|supply)\b/i,
    isBare: true,
  },
  { type: 'supply-out', weight: 7, words: /\bbias voltage output\b/i, isBare: true },
  // `Current limit programming input. Connect a resistor`: what is set by a part hangs on that part.
  {
    type: 'passive',
    weight: 8,
    words:
      /^[^.;]{0,60}\b(program\w*|set(ting)?|adjust(ment)?|control|timer)\b[^.;]{0,24}[.;,] *(connect|tie|place|use|attach) (a|an) ([\w.%±-]+ ){0,3}(resistor|capacitor)\b(?! (divider|network|ladder|string))/i,
    unless: /\bpull-?(up|down)\b|\b(bypass|decoupl\w*)\b|\bvoltage divider\b/i,
    isBare: true,
  },
  {
    type: 'passive',
    weight: 8,
    words:
      /\b(resistor|capacitor) (connected )?(between|from) \w+ (and|to) \w+ (sets|programs|determines|controls|defines)\b|\bexternal (resistor|capacitor) (is )?(connected |connects )?(to|at|on|from) this (pin|terminal)\b(?! divider)|\bconnecting an? (external )?(resistor|capacitor)\b/i,
    unless: /\bpull-?(up|down)\b|\bopen[- ](drain|collector)\b/i,
    isBare: true,
  },
  {
    type: 'passive',
    weight: 9,
    words:
      /^\W*([\w-]+ ){0,3}(filter|storage|hold-?up|store) capacitor( connection)?\s*([.;,]|$)|^\W*((?!(for|of|to|from|with|by|at|on|no) )[\w-]+ ){1,5}(capacitor|resistor)( connection)?\s*([.;]|$)/i,
    unless: /\boutput\b/i,
  },
  {
    type: 'passive',
    weight: 6.5,
    words: /^\W*([\w-]+ )?(reference|bias|calibration|termination|precision) resistor( (pin|connection|terminal))?\b/i,
    unless: /\binternal\b/i,
  },
  { type: 'passive', weight: 6.5, words: /^[^.;,]{0,40}\bswitching node\W*$/i },
  // What goes to and fro between two terminals is on no rail, whatever pumps it.
  {
    type: 'passive',
    weight: 12,
    words: /\b(positive|negative|top|bottom|[+-]) (terminal|side|end|plate) of (the |a )?([a-z-]{1,12} ){0,4}capacitor\b/i,
  },
  { type: 'passive', weight: 12, words: /\bflying[- ]cap/i, unless: /\b(output|rail) of (the |a )?(charge[- ]?pump|converter)/i },
  {
    type: 'passive',
    weight: 7,
    words:
      /\b(flying|bootstrap|boot-?strap|charge[- ]?pump|pump|filter|timing|compensation|soft[- ]start|integrat\w+|hold|ramp|delay)[- ]cap(acitor)?\b|\bcharge[- ]?pump (switching|flying|cap\w*) (node|pin|terminal)\b|\bcap(acitor)? (connection|terminal|positive|negative|pin)\b|\b(loop )?compensation (node|pin|network|terminal|point)\b/i,
    unless: /\boutput of|\bregulat(or|ed) output|\breference output|\b(tie|add|place|connect|put) (a|an|the) filter cap/i,
  },
  {
    type: 'passive',
    weight: 7,
    words: /\b(inductor|coil|winding|antenna coil)\b/i,
    unless:
      /\b(motor|phase [a-z0-9])\b|\bsense input\b|\b(coil|winding|relay)s? driver?s?\b|\bdrives? ([\w-]+ ){0,5}(coil|winding|relay)|\b(winding|coil)( [a-z0-9+−-]{1,3})? (driver |drive )?outputs?\b|\bbridge output\b|\b(inductor|coil) current\b/i,
  },
  {
    type: 'passive',
    weight: 7,
    words: /^\W*((decoupling|bypass|smoothing|reservoir|external) )?(capacitor|cap|resistor)\b(?! (divider|network|ladder|string))/i,
    unless: /\boutput\b/i,
  },
  {
    type: 'passive',
    weight: 7,
    words:
      /^(?!.*\b(supply|power|ground|output|input)\b.{0,60}\b(bypass|decoupl))(.*\b)?(connect(ing)?|plac(e|ing)|put|insert(ing)?|attach(ing)?|wire|needs?|requires?)\b((?!\b(through|via|using|with|by|divider|tap|pull|series)\b)(?:[^.;]|\.(?=\d))){0,40}\b(resistor|capacitor|inductor|coil|crystal|ferrite|loop filter)\b(?! (divider|network|ladder))/i,
    unless:
      /\b(bypass|decoupl\w*|pull-?up|pull-?down|supply|regulator output|ldo output|reference output|open[- ](drain|collector)|(side|end) of (the )?(shunt|sense)|shunt resistor)\b/i,
    isAdvice: true,
  },
  {
    type: 'passive',
    weight: 6.5,
    words:
      /\b(set(ting)?|sense|bias|external|timing|programming|gain|current[- ]set|frequency[- ]set)[- ]resistor\b(?! (divider|network|ladder|string))|\bresistor (connection|terminal)\b|\bsets? .{0,30}\bwith (a|an) (external )?(resistor|capacitor)/i,
    unless:
      /\bpull-?(up|down)\b|\b(end|side|terminal) of (the |a )?(sense|shunt)\b|\b(through|across|of|on|at) (the|an?) ([\w-]+ )?sense resistor\b/i,
  },
  {
    type: 'passive',
    weight: 6.5,
    words:
      /^\W*(oscillator|frequency|current[- ]limit|dead[- ]time|slope|off-time|on-time)([- ](setting|programming))? (resistor|capacitor)\b/i,
  },
  {
    type: 'passive',
    weight: 6.5,
    words:
      /\bboot-?strapped\b|\bboot[- ]?strap(?! mode)\b.{0,120}\bcapacitor\b|\bcapacitor (to|from) (SW|LX|PH|PHASE|HS)\d?\b|^\W*connection (of|for) (the |an? )?(\w+ )?(capacitor|resistor|crystal|coil|inductor)\b|^\W*(\w+ )?resistor of \d/i,
    unless: /\bpull-?(up|down)\b|\bboot-?strapped (output|signal)/i,
  },
  {
    type: 'passive',
    weight: 6.5,
    words: /(^|[;,.:] *)\d[\d.]* ?[kM]?(Ω|ohms?\b)( resistor)? (from this pin )?to ([ADP]?GND|VSS|VEE|ground)\b/i,
    unless: /\bpull|\bterminat|\binternal|\bthrough\b/i,
    isAdvice: true,
  },
  { type: 'passive', weight: 7, words: /^\W*(main |low-speed |quartz )?oscillator (input|output)( (pin|terminal))?\W*$/i },
  {
    type: 'passive',
    weight: 7,
    words: /\b\d[\d.]* ?[nµμup]F (capacitor )?(from|between) (the )?(SW|LX|PH|PHASE|BST|BTST|BOOT)\w* (to|and)\b/,
  },
  {
    type: 'passive',
    weight: 6.5,
    words:
      /\b(loop|external) filter (components? )?(must be|should be|is|are|has to be) (connected|attached|placed)\b|^\W*external (loop[- ])?filter( components?)?\b(?! (clock|input|output|select))/i,
  },
  {
    type: 'passive',
    weight: 6.5,
    words:
      /^\W*(an? )?(external )?(capacitor|resistor) (connected )?(from|between) this pin (to|and)\b|\bcharge[- ]?pump (pin|terminal)\b[^.;]{0,24}\bcapacitor\b/i,
    unless: /\bpull-?(up|down)\b|\bopen[- ](drain|collector)\b/i,
  },
  {
    type: 'passive',
    weight: 7,
    words: /\bcompensation network (is |must be )?(placed|connected|between|from)\b|\bconnect (a|the) (\w+ )?compensation network\b/i,
  },
  {
    type: 'passive',
    weight: 6.5,
    words:
      /^\W*rc (network|components?|timing)\b|^\W*([\w-]+ )?(resistor|capacitor)s? of (the |an? )?(\w+ )?(oscillator|timer|filter|demodulator|ramp|loop)\b|^\W*soft[- ]start\b[^.]{0,60}\bcapacitor\b/i,
  },
  { type: 'passive', weight: 6.5, words: /^\W*switch(ing)?[- ]node\b/i },
  // Contacts and poles of relays and switches.
  {
    type: 'passive',
    weight: 8,
    words: /\bnormally[- ](open|closed)\b|\b(make|break|common|moving|fixed|change-?over|relay) contact\b/i,
    unless: /\b(output|input|driver|supply|ground)\b/i,
  },
  { type: 'passive', weight: 6, words: /\bfloating (supply )?return\b|\bfloating ground\b|\bswitch(ing)? node return\b/i },
  {
    type: 'passive',
    weight: 6.5,
    words: /\bcapacitor (from|between) [A-Z]\w+ (to|and) (?!\w*(GND|VSS|ground))[A-Z]\w+/,
  },
  {
    type: 'passive',
    weight: 7,
    words:
      /\bresistor (is |must be |should be )?(attached|connected|placed|wired)\b|\ba (resistor|capacitor) (on|at) this (pin|terminal)\b/i,
    unless: /\bpull-?(up|down)\b|\bopen[- ](drain|collector)\b/i,
    isAdvice: true,
  },
  {
    type: 'passive',
    weight: 6.5,
    words:
      /(^|[:;,])\W*(an? )?((blocking|timing|integrating|ramp|delay|set|setting) )?capacitor (to|between this pin and) (ground|[AD]?GND|VSS)\b/i,
    unless: /\b(bypass|decoupl\w*|supply|power|output|reference|regulator|rail|voltage)\b/i,
  },
  { type: 'passive', weight: 6.5, words: /^\W*(internal )?(reference|band-?gap) (bypass|decoupling)\b/i, unless: /\boutput\b/i },
  { type: 'passive', weight: 6.5, words: /^\W*(bypass|decoupling) (of|for) (the )?(?!.*\b(supply|power|output|reference)\b)/i },
  // What a phrase ends with is what the terminal is for: `mid-rail decoupling capacitor`.
  {
    type: 'passive',
    weight: 6.5,
    words: /^[^.;,]{0,60}\b(bypass|decoupling|reservoir|smoothing) (capacitor|cap)\W*$/i,
    unless: /\b(regulator|ldo|supply|output)\b/i,
  },
  { type: 'supply-out', weight: 2.9, words: /\bbias(ing)? (voltage|supply)\b/i, unless: /\binput\b|\bset|\badjust/i },
  {
    type: 'passive',
    weight: 6.5,
    words: /\bresistor (sets|from|to (ground|gnd|agnd|vss|vee)|between this)\b/i,
    unless: /\bpull-?(up|down)\b/i,
    isAdvice: true,
  },
  {
    type: 'passive',
    weight: 6.5,
    words:
      /\b(anode|cathode|emitter|photodiode)\b|\b(switch|relay|contact) (terminal|contact|pole)\b|\b(mounting|mechanical|shield|shell|chassis)\b|\bresistor end\b|^\W*(the )?wiper\b|\bwiper( (terminal|pin|connection|of)\b|\W*$)|^\W*(end|terminal) [a-z0-9]{1,2} of (the |a )?(potentiometer|resistor|divider)\b|\bterminal [ab] of\b/i,
    unless:
      /\bground\b|\bsupply\b|\bdriver?\b|\boutput\b|\binput\b|\bbi-?directional\b|\btransistor\b|\bgate of\b|\bbase of\b|\b(to|at) the (emitter|anode|cathode)\b/i,
  },
  {
    type: 'supply-out',
    weight: 8,
    words:
      /\b(regulator|ldo|charge[- ]?pump|boost|buck|dc[-/]?dc|converter rail|core regulator)( ?\d{1,2})?('s)?\b[^.;]{0,30}\b(output|out)\b|\boutput (of|from) (the )?((internal|on-chip|core|low-drop\w*|linear|digital|analog|\d[\d.]*[- ]?V) )*(regulator|ldo|charge[- ]?pump|reference)\d?\b|\bregulated (\w+ )?(output|supply output|rail)\b|\b(voltage )?reference (force |voltage )?output\b|\breference out\b|\bsupply (voltage )?output\b|(?<!\bhigh-|\b(high|low)-side |\bprotected |\bswitched )\bpower output\b(?! (stage|(of|for) (channel|the load)))|\b(\d[\d.]* ?V|internal) (rail|supply) output\b|\binternal(ly)? (generated|regulated) (\d[\d.]* ?V )?((analog(ue)?|digital|core|gate|driver) )*(supply|rail|voltage)\b|\bbias (supply|rail) output\b|\bdecoupl(e|ing) output (for|of)\b|\b(internal|regulator) (core |digital |analog )?(supply|regulator|rail)( voltage)? (bypass|decoupl\w*)\b|\bregulated output voltage\b|\b(ldo|low[- ]?dropout) output\b|\bcharge[- ]?pump rail\b|\boutput voltage (pin )?(of|for|from) (the )?(ldo|dc[-/]?dc|regulator|buck|boost|load switch)( ?\d{1,2})?\b/i,
    unless:
      /\bflying[- ]cap|\bfeedback\b|\bsense\b|\boutput( voltage| level)? (select|set|adjust|program|trim)|\binput (to|of|for|supply)\b|\benable\b|\bpower[- ]good\b|\bloop filter\b|\bphase (detector|comparator)\b|\bcharge[- ]?pump (output )?current\b/i,
  },
  {
    type: 'ground',
    weight: 7,
    words:
      /\b(analog(ue)?|digital|power|signal|supply|common|circuit|logic|rf|chassis|core|i\/?o|driver|output|input|high-side|low-side|side [12ab]|isolated)? ?grounds?\b(?! (plane )?(sense|sensing|fault|detect|feedback|reference input))|\b0 ?V (supply|reference|rail)\b|\(0 ?V\)|\bvss\b|\b(supply|power|low[- ]side|logic|signal) return\b|^\W*return of the (low-side|lower|gate|logic|output) (gate )?(driver|stage|supply)s?\b(?! (of|from) (the |an? )?(sensor|transducer|bridge|load|shunt|winding|coil|lamp))|\breturn for\b/i,
    unless:
      /\b(to|from|and|of|with|or|versus|above|below|at) (the )?((analog|digital|power|signal|circuit|system|board|input|output)\w* )?ground\b|\bground[- ](referenced|referred)\b|\bvirtual ground\b|\bfloating\b|\b(to|or) (vdd or |vcc or )?(vss|gnd|agnd|dgnd)\b|\bgrounds? (this|the|it|to|for|when|if|through|via)\b|\bsens(e|ing) of\b|\bground is \d/i,
  },
  // What comes in or goes out by two terminals comes back by the second.
  {
    type: 'ground',
    weight: 6,
    words:
      /^\W*((input|output|load|converter) return|return (of|for) (the )?(…|input|output|supply|load|converter)( (voltage|side|stage))?)\W*$/i,
  },
  // Said at the start it is what the terminal is, whatever ground the text speaks of after.
  {
    type: 'ground',
    weight: 7,
    words: /^\W*((analog(ue)?|digital|power|signal|system|circuit|chip|logic|device|battery) )?ground\s*([:;,.(]|$)/i,
    unless: /\bgrounds? (sense|sensing|fault|reference)\b|\bpull-?down\b/i,
  },
  {
    type: 'ground',
    weight: 7,
    words: /^\W*((analog(ue)?|digital|power|signal) )?ground (for|of) (the|all|both)\b/i,
    unless: /\bsens|\bfault\b/i,
  },
  {
    type: 'ground',
    weight: 6,
    words:
      /\b(device|analog(ue)?|power|supply|circuit|signal|digital|rf) common\b(?![- ](mode|port|input|output|terminal|anode|cathode|line))/i,
  },
  {
    type: 'ground',
    weight: 6,
    words: /\b(exposed|thermal|die|centre|center) (pad|paddle)\b.{0,80}\b(ground|gnd|vss|agnd|dgnd)\b/i,
  },
  {
    type: 'supply-in',
    weight: 7,
    words:
      /\b(positive|negative|analog(ue)?|digital|core|i\/?o|main|logic|power|rf|pll|pad|bank|driver|output driver|input|output|vco|synthesi[sz]er|memory|auxiliary|backup|battery|gate([- ]drive)?|high[- ]voltage|low[- ]voltage|transmitter|receiver|oscillator|isolated|side [12ab]|bridge|sensor|charge pump|amplifier|pa|\d[\d.]* ?V)[- ]?(power |voltage )?suppl(y|ies)( voltage| input| rail| pin)?\b|\bpower supply\b|\bsupply (voltage|input|pin|rail|terminal|for)\b|^suppl(y|ies)\b|^\W*((analog(ue)?|digital|core|logic|i\/?o|pll|rf|and) )+power\b(?!\W*(down|good|on|up|fail|save|mode|amp|ground|output|stage|enable|control|switch|return))|^\W*\d[\d.]* ?V (power )?source\b|\bpower (input|rail|pin|for)\b|\bbattery (input|positive|terminal|connection)\b|\binput (supply|power)\b|^\W*power\b(?!\W*(down|good|on|up|fail|save|saving|limit|mode|amp|ground|output|stage|enable|source|key|button|request|sequenc|detect|select|control|switch|state|status|cycl|indicat|monitor|sens|level|hold|off|manag|event|alert))|(?<!\b(have|has|had|with|without|no|of|to|from) )\bsupply\s*\.?\s*$/i,
    unless:
      /\b(supply|battery|power|v?bus|charger|adapter)( (supply|source|input))* (current|sense|sensing|monitor|good|output|return|ground|enable|select(ion)?|control|detect(ion|or)?|fault|ok|status|indicat\w+|switch control|fail|presence|present)\b|\bpower[- ](down|good|on reset|fail|save)\b|\bdead[- ]battery\b|^\W*power (contract|path|role|ok)\b|\b(to|from|of) (the )?(\w+ )?supply\b|\bboot-?strapped\b|\b0 ?V suppl|\bgrounds?\b|\bsupply voltage (monitor|sense)|^\W*power and signal (return|ground)/i,
  },
  {
    type: 'supply-in',
    weight: 7,
    words:
      /^\W*(positive |negative )?((usb|ac|wall|solar|car|mains|dc[- ](link|bus)) )+(adapter )?(power )?input( voltage)?\b(?! (current|signal|level))|^\W*[+]?\d[\d.]*[- ]?V input (for|of|to) (the )?[^.;]{0,24}\b(regulator|ldo|converter)\b/i,
    unless: /\b(logic|data|sens\w+|detect\w*|monitor|reference|tolerant|compatible|cmos|ttl|comparator|signal|enable)\b/i,
  },
  // What stands before a colon is what it is; the rest tells when.
  { type: 'supply-in', weight: 7, words: /^\W*(power supply|supply voltage|positive supply|supply):/i },
  {
    type: 'supply-in',
    weight: 7,
    words:
      /^\W*(voltage )?input (of|to) the (internal |voltage |linear |core |main |buck |boost |step-?(up|down) |dc\/dc )*(regulator|ldo|converter)s?\b|^\W*(power )?input (of|for) (buck|boost|ldo|regulator|converter)s? ?\d\b|^\W*source of the regulator\b|\bsupplies the (device|chip|part|ic)\b|^\W*(?!converter input\W*$)((converter|regulator|switcher|ldo|boost|buck|main|unregulated|dc|battery|charger|adapter)[- ])+input( voltage)?\b|^\W*(dc|main|battery|supply) voltage input\b|^\W*(positive |dc )?input voltage\b(?! (range|sense|monitor|divider))/i,
    unless: /\b(sense|sensing|monitor|feedback|comparator|logic|data|reference|filter|a\/d|adc)\b|\bconverter input (\d|channel)/i,
  },
  {
    type: 'passive',
    weight: 6,
    words:
      /^\W*(primary|secondary|tertiary|auxiliary)( (winding|side|coil))?( ?\d)?,? \(?(start|end|finish|begin(ning)?|dot(ted)?|(cent(er|re) )?tap)\b|^\W*(start|end|finish|(cent(er|re) )?tap) of (the )?((primary|secondary|auxiliary|first|second) )*(winding|coil|primary|secondary)\b/i,
    isBare: true,
  },
  {
    type: 'supply-out',
    weight: 6,
    words: /^\W*output of (the |an? )?([a-z\d.-]+ ){0,3}(supply|rail)\b(?! (monitor|switch|sense|supervisor))/i,
  },
  {
    type: 'output',
    weight: 6,
    words:
      /^\W*(power-on |system |hardware )?(reset|interrupt|wake-?up|alert) (output )?to (the )?(host|processor|micro(processor|controller)|mcu|cpu|soc|application processor)\b(?! (input|side))/i,
    unless: /\b(input|from the)\b/i,
  },
  {
    type: 'supply-out',
    weight: 8,
    words: /\bregulated supply (of|to|for) (the )?(cards?|sim|sensors?|displays?|cameras?|antenna|microphones?)\b/i,
  },
  { type: 'supply-out', weight: 7.5, words: /^\W*switched (\d[\d.]*[- ]?V )?supply (of|to|for) (the )?(?!(part|chip|device|internal)\b)/i },
  { type: 'supply-out', weight: 7.5, words: /^\W*rectified (output )?(voltage|supply|output)\b/i, unless: /\binput\b|\bsens/i },
  {
    type: 'supply-out',
    weight: 6.5,
    words: /^\W*(active )?antenna (bias|supply)( (voltage|output))?\b(?! (input|enable|sens|detect|current|control))/i,
  },
  {
    type: 'supply-out',
    weight: 6.5,
    words: /^\W*(\d[\d.]*[- ]?V )?internal ((\d[\d.]*[- ]?V|linear|voltage|digital|analog) )*regulator\s*([.;,]|$)/i,
  },
  { type: 'ground', weight: 7.5, words: /\b(generally|usually|normally|typically|always) (grounded|(connected|tied) to (the )?ground)\b/i },
  // `1.2 V core, generated inside`
  {
    type: 'supply-out',
    weight: 7,
    words:
      /\b\d[\d.]* ?V\b[^.;]{0,24}\bgenerated (inside|internally|on[- ]chip|by (the|an?) ([a-z-]{1,12} ){0,2}(pump|doubler|regulator|converter))\b/i,
  },
  { type: 'supply-out', weight: 7, words: /\b\d[\d.]* ?V (of|from|by) (the |an? )?(internal|on-chip) (regulator|ldo)\b/i },
  // A supply's name and no more: `5 V for the prescaler`.
  {
    type: 'supply-in',
    weight: 5,
    words: /^\W*[+−-]?\d[\d.]* ?V (for|of) (the )?(?!.*\b(out|outputs?|resistor|external|reference|internal)\b)/i,
  },
  {
    type: 'supply-out',
    weight: 6.5,
    words: /^\W*((converter|switching|step-up|step-down|main|isolated) )+output( voltage)?\b(?! (driver|stage))/i,
    unless: /\b(data|digital|serial|bit|feedback|sense|a\/d|adc|d\/a|dac|switch(ed)? node)\b/i,
  },
  {
    type: 'open-drain',
    weight: 7,
    words: /\bopen[- ](drain|collector)\b/i,
    unless: /\b(not|no) open[- ]drain\b|\bopen[- ]drain tolerant\b/i,
  },
  { type: 'open-drain', weight: 7, words: /\bNMOS (\w+ )?output\b|\b[Cc]ollector output\b|\bwired[- ](or|and)\b/ },
  // Which of the two is set by the user: it is an output either way.
  {
    type: 'output',
    weight: 9,
    words:
      /\b(push-?pull|totem[- ]pole) ?(or|\/) ?open[- ]drain\b|\bopen[- ]drain ?(or|\/) ?(push-?pull|totem[- ]pole)\b|\b(programmable|configurable|selectable)\b[^.;]{0,30}\bopen[- ]drain\b|\bopen[- ]drain\b[^.;]{0,30}\b(programmable|configurable|selectable)\b/i,
  },
  { type: 'open-source', weight: 7, words: /\bopen[- ](source|emitter)\b/i },
  {
    type: 'three-state',
    weight: 7,
    words:
      /\b(three|tri|3)[- ]?state(d|able)?\b|\bhigh[- ]impedance (state )?(when|while|if|unless|output)\b|\bhi(gh)?-?z (when|while|if|unless)\b|\bhigh[- ]impedance (in|during) the other\b/i,
    unless:
      /\b(input|bidirectional|inputs?\/outputs?|i\/o)\b|\b(three|tri|3)[- ]?state (control|enable|mode|output[- ](mode )?(enable|control))|\binto (three|tri|3)[- ]?state\b|\b(three|tri|3)-?states (the|all)\b|(^\W*|[.;] )(three|tri|3)-?state:|^\W*(\w+ )?outputs?[- ]enable\b/i,
  },
  // Said of the terminal itself it is as good in the last sentence as in the first.
  {
    type: 'three-state',
    weight: 10,
    words:
      /\b([Tt]his pin|[Tt]he pin|[Tt]he output|[Ii]t|[Oo]utput|[A-Z]{2,}) (is|goes|becomes|remains|stays) ((three|tri|3)[- ]?stated?|high[- ]impedance|hi-?z|in (the )?(high[- ]impedance|three[- ]state))\b/,
    unless: /\b(inputs?|bi-?directional|i\/o)\b/i,
  },
  ...SIGNAL_WORDINGS,
  ...ACTING_WORDINGS,
];
