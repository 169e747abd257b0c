/** The ports of a mixer that are pairs, by their letters and by what they are called. */
const PORTS = [
  ['lo', 'lo|local oscillator'],
  ['rf', 'rf'],
  ['if', 'if|intermediate frequency'],
] as const;
const SIGNED = { '+': ['\\+|p', '\\+|positive'], '-': ['-|n', '-|negative'] } as const;

const ofSigns = ([port, words]: (typeof PORTS)[number]): [role: string, words: RegExp][] =>
  (['+', '-'] as const).map((sign) => {
    const [letter, word] = SIGNED[sign];
    return [`${port} ${sign}`, new RegExp(`^${port} ?(${letter})$|^(${words})( in(put)?| out(put)?)? ?(${word})$`)];
  });

const pumped = (word: string, sign: string): string =>
  `\\b(flying|pump) capacitor,? ?(${word}|${sign})|\\b${word} (terminal|side|end) of the (flying|pump) capacitor\\b`;
/** What is said of the two ends of the capacitor that a charge pump moves. */
const PUMPED = { '+': pumped('positive', '\\+'), '-': pumped('negative', '-') } as const;

const named = (names: string, words: string): RegExp => new RegExp(`^(${names})$|${words}`);

/**
 * What a name or a comment says a terminal is, in one vocabulary for pins and nodes. Two texts with the same role mean
 * the same terminal: IN+, INP and "non-inverting input" are all `in+`.
 */
export const ROLES: readonly [role: string, words: RegExp][] = [
  [
    'in-',
    /^(-|in-|inn|-in|vin-|v-in|inm|in_n|in_neg|inneg|inminus|ain-|minus|vinn|vn_in|vim)$|^in(\d*)-$|^rs-$|(?<!non[- ]?)\binverting\b|\bnegative (signal |analog |differential |sense )?input\b|^(?:analog )?input ?-$|^- ?input\b|^signal ?-$/,
  ],
  [
    'in+',
    /^(\+|in\+|inp|\+in|vin\+|in_p|in_pos|inpos|inplus|ain\+|plus|ni|vinp|vp_in|vip)$|^in(\d*)\+$|^rs\+$|\bnon-?\s?inverting\b|\bpositive (signal |analog |differential |sense )?input\b|^(?:analog )?input ?\+$|^\+ ?input\b|^signal ?\+$/,
  ],
  [
    'out-',
    /^(out-|outn|-out|vout-|voutn|outm|out_n|outneg|on|vo-|von|dout-|doutn|don|do-)$|^(?:inverted|inverting|negative|complementary) (?:signal |differential )?output\b(?! voltage)|^(?:speaker |motor |bridge )?output ?-$|^- ?output\b/,
  ],
  [
    'out+',
    /^(out\+|outp|\+out|vout\+|voutp|out_p|outpos|op|vo\+|vop|dout\+|doutp|dop|do\+)$|^(?:non-?\s?inverting|positive|true) (?:signal |differential )?output\b|^(?:speaker |motor |bridge )?output ?\+$|^\+ ?output\b/,
  ],
  [
    'supply+',
    /^(vcc|vdd|v\+|vs\+|vcc\+|vdd\+|\+vcc|\+vdd|supply ?\+|\+ ?supply|vp|vplus|v_plus|v_?pos|avdd|dvdd|vsup|vsupply|vs|\+vs|vc|vp\+|vccp|vddp|pvdd|pvcc|vps|vsp|[ad]?pwr|vpwr)$|\b(positive|plus) (power )?supply\b|^positive power$|^power supply voltage$|\bpositive rail\b|^((power|main|device|chip|logic|battery|upper|clamp|driver) )?supply( (voltage|pin|rail|terminal|node))?$|\b(vcc|vdd)\b(?!-)|^(supply|power)( voltage)? input$|^v?\+ supply|^\+v( supply)?$|^battery (voltage|input)$|^supply from the battery$|^\+\d{1,2}(\.\d+)? ?v( supply)?$|^\d{1,2}(\.\d+)? ?v supply$|^(upper|clamp) rail$|^input (supply|power)$|^power supply( input)?$|^power$/,
  ],
  [
    'supply-',
    /^(vee|v-|vs-|v_?neg|vminus|v_minus|-vs|vn|vcc-|vdd-|-vcc|-vdd|vccn|vddn|veen|vsn|vss|supply ?-|- ?supply)$|^v?- supply|^lower supply$|^-v( supply)?$|^-\d{1,2}(\.\d+)? ?v( supply)?$|\b(negative|minus) (power )?supply\b|^negative power$|\bnegative rail\b|\bvee\b/,
  ],
  [
    'ground',
    /^(gnd|vss|agnd|dgnd|pgnd|sgnd|0|com|common|ground|0v|gnda)$|^(power |signal |analog |digital |supply |device |chip |circuit |reference |common )?ground$|^ground\b|\bground (pin|terminal|return)\b|^(power|supply|signal|common|input|output) return$/,
  ],
  [
    'normally open',
    /^n\.?o\.?\d?$|^n_?open\d?$|\bnormally[- ]open\b|^make( contact)?$|^contact ?\d*,? make$|^make of contact\b|^(?:switch )?(?:contact|terminal) n\.?o\.?$|^n\.?o\.? (?:contact|terminal)$/,
  ],
  [
    'normally closed',
    /^n\.?c\.?\d?$|^n_?clos(ed)?\d?$|\bnormally[- ]closed\b|^break( contact)?$|^contact ?\d*,? break$|^break of contact\b|^(?:switch )?(?:contact|terminal) n\.?c\.?$|^n\.?c\.? (?:contact|terminal)$/,
  ],
  [
    'common',
    /^(com|common)\d?$|\bcommon (contact|terminal|pole|node)\b|^(analog|signal|switch) common$|^common (input|output|i\/o)$|^moving contact$|^pole$|^contact ?\d*,? common$|^common of contact\b/,
  ],
  ['main 1', /^(mt1|a1)$|\bmain terminal 1\b/],
  ['main 2', /^(mt2|a2)$|\bmain terminal 2\b/],
  ['anode', /^(a|an|anode|ano|led ?\+|led_?a)$|\banode\b/],
  ['cathode', /^(k|c|ca|ka|cat|cath|cathode|kat|led ?-|led_?k)$|\bcathodes?\b/],
  ['drain', /^(d|drain)$|\bdrains?\b/],
  ['gate', /^(g|gate)$|\bgate\b(?! driv)/],
  ['source', /^(s|source|src)$|^(power )?source\b/],
  ['collector', /^(c|coll?|collector)$|\bcollector\b/],
  ['base', /^(b|ba|base)$|\bbase\b/],
  ['emitter', /^(e|em|emi|emitter|emit)$|\bemitters?\b/],
  [
    'kelvin emitter',
    /^(ek|ke|es|se|ks_?e|ks|sk|e_?(kelvin|sense))$|\b(kelvin|sens(e|ing)|auxiliary|signal)[- ]emitter\b|\bemitter[- ](kelvin|sens(e|ing))\b|\b(kelvin|driver|auxiliary)[- ]source\b/,
  ],
  ['bulk', /^(bulk|sub|substrate|body)$|\b(bulk|substrate)\b/],
  [
    'enable',
    /^(en|ven|enable|ena|on|on\/off|e\/d|ce|shdn|nshdn|shutdown|sd|pd)$|\benable\b|\bshut-?down\b|^on[/ -]off( control| input)?$|^run( control)?$|^control,? active[- ](high|low)\b|^(logic|switch) control( input)?$/,
  ],
  [
    'feedback',
    /^(fb|vfb|fbk|fdbk|feedback|v?adj|sense|vsense|adjust)$|\bfeedback\b|^output divider\b|\bremote sense\b|\bsense (connection|line)\b|^error amp(lifier)? input$|\badjust\b|\boutput (voltage )?sens(e|ing)\b/,
  ],
  ['bypass', /^(c?_?byp(ass)?|c?nr|noise)$|\b(noise )?bypass\b|\bnoise reduction\b/],
  ['soft start', /^(ss|ss\/tr|track|sst|soft_?start)$|\bsoft[- ]start\b/],
  ['power good', /^(pg|pgood|pok|pwr_?gd|pwrok|power_?good)$|\bpower[- ]?(good|ok)\b/],
  ['compensation', /^(comp|cc|ith|eaout)$|\bcompensation\b|\berror amp(lifier)? output\b/],
  [
    'bootstrap',
    /^(boot|bst|vb|hb|cb|cboot|vbst)$|\bboot(strap)?\b|^boost$|\bboost(ed)? (supply|capacitor)\b|\b(high[- ]side|hs)( driver| floating)? supply\b(?! return)|\bfloating supply\b(?! return)/,
  ],
  [
    'switch',
    /^(sw|swn|lx|vs_?out|hs|phase|ph|switch)$|\bswitch(ing)? node\b|\bswitch output\b|\b(half[- ])?bridge (node|output)\b|\binductor (connection|node)\b|\b(high[- ]side|hs)( floating)?( supply)? (return|source)\b|\bbridge mid-?point\b|^(drain|emitter|source) of the (internal |power )?switch\b|\bfloating (ground|return)\b/,
  ],
  [
    'high-side input',
    /^(hin|hi|inh|pwmh)$|^(logic )?input,? high[- ]side$|\b(high[- ]side|hs)( logic)? (input|control)\b|\binput for (the )?high[- ]side\b|\bupper (driver )?input\b/,
  ],
  [
    'low-side input',
    /^(lin|li|inl|pwml)$|^(logic )?input,? low[- ]side$|\b(low[- ]side|ls)( logic)? (input|control)\b|\binput for (the )?low[- ]side\b|\blower (driver )?input\b/,
  ],
  [
    'high-side output',
    /^(ho|hdrv|gh|[tuh]g|ugate|drvh)$|\b(top|upper|high[- ]side)( mosfet)? gate\b|\b(high[- ]side|hs|upper)( gate| driver)* (drive|driver|output|gate)\b/,
  ],
  [
    'low-side output',
    /^(lo|ldrv|gl|[bl]g|lgate|drvl)$|\b(bottom|lower|low[- ]side)( mosfet)? gate\b|\b(low[- ]side|ls|lower)( gate| driver)* (drive|driver|output|gate)\b/,
  ],
  ['sourcing output', /^(outh|out_?src|oh|voh)$|\b(sourc(e|ing)|pull-?up|turn-?on|high|source current) output\b|^output high$/],
  ['sinking output', /^(outl|out_?snk|snk|ol|vol)$|\b(sink(ing)?|pull-?down|turn-?off|low|sink current) output\b|^output low$/],
  ['trigger', /^(trig|trg|tr|trigger)$|^trigger\b/],
  ['threshold', /^(thres|thresh|thr|th|threshold)$|^threshold\b/],
  ['discharge', /^(disch|disc|dch|discharge)$|^discharge\b/],
  ['control voltage', /^(cv|cont|control)$|\bcontrol voltage\b/],
  ['clock', /^(clk|clock|ck|cp)$|^clock\b(?! out)/],
  [
    'selection',
    /^(sel|select)$|^(?:switch|logic|digital|channel) (?:control|select)\b|^(?:control|select(?:ion)?|switch selection)( input)?$|^logic input$|^(data|channel|input) select\b/,
  ],
  ['reference', /^(ref|vref|refin|reference)$|^ref in(put)?$|\breference (voltage )?input\b|^output reference$/],
  [
    'input',
    /^(in|\+?vin|vi|pvin|vddin|v(dd|cc)_in|input|i|a|din|inp?ut|ain)$|^(signal |line |logic |data |voltage |regulator |unregulated |adapter |control |raw |(power |load )?switch )?input\b|\binput (terminal|pin|voltage|of)\b/,
  ],
  [
    'output',
    /^(out|vout|vo|aout|rout|vreg|output|o|y|q|dout|z)$|^(signal |line |logic |data |regulated |regulator |amplifier |comparator |(power |load )?switch |switched |load |amp |sensor |detector |driver |motor |product |multiplexer |analog |digital |dac |ldo |op[- ]?amp )?output\b|\boutput (terminal|pin|voltage|of)\b|^regulated voltage$/,
  ],
  // Interfaces.
  ['receive data', /^(rxd|ro|rx)$|\breceived? data\b|\breceiver( data)? output$/],
  ['transmit data', /^(txd|di|tx)$|\btransmit(ted)? (data|input)\b|\bdata to transmit\b|\b(driver|transmitter)( data)? input\b/],
  ['driver enable', /^(de|txen)$|\b(driver|transmitter)( output)? enable\b/],
  ['receiver enable', /^(n?re|reb|rxen)$|\breceiver( output)? enable\b/],
  ['output enable', /^(n?oe|oe_?[nb]|e\/d)$|(?<!receiver |driver |transmitter )\boutput enable\b|^(three|3|tri)-?state (control|enable)\b/],
  ['bus high', /^canh$|^can[- ](bus )?high\b|^high[- ]level (can )?bus\b/],
  ['bus low', /^canl$|^can[- ](bus )?low\b|^low[- ]level (can )?bus\b/],
  ['standby', /^(stb|stby)$|\bstand-?by\b/],
  ['serial data', /^(sda|sdio|ser|si)$|\b(serial|i2c) data\b|^data line$/],
  ['serial clock', /^(scl|sclk|sck)$|\b(serial|i2c|spi|shift) clock\b|^clock line$/],
  ['chip select', /^(n?cs|csb|[~/!]ss|ss[#*]|nss)$|\b(chip|slave) select\b/],
  ['supply of a', /^(vcca|va)$|^(?:a[- ]port|port[- ]a|side[- ]a) supply\b|^supply (?:voltage )?(?:(?:of|for) )?(?:(?:port|side) )?a$/],
  ['supply of b', /^(vccb|vb)$|^(?:b[- ]port|port[- ]b|side[- ]b) supply\b|^supply (?:voltage )?(?:(?:of|for) )?(?:(?:port|side) )?b$/],
  ['direction', /^(dir|t\/r)$|^direction\b/],
  ['serial input', /^(sdi|din|mosi|si|ser|ds)$|\b(serial|spi) (data )?in(put)?\b|^data in$/],
  ['serial output', /^(sdo|dout|miso|so|qhs|qhp|q7s|qh')$|\b(serial|spi) (data )?out(put)?\b|^data out$|^cascade output$/],
  ['shift clock', /^(srclk|sh_?cp)$|\bshift( register)? clock\b/],
  ['clock output', /^(cko|m?clk_?out)$|^buffered clock\b|^clock out(put)?\b/],
  ['shift clear', /^(srclr|mr)$|\bshift register clear\b|\bclear of the shift register\b|\bmaster reset\b/],
  ['latch clock', /^(rclk|rck|st_?cp)$|\b(latch|storage)( register)? clock\b/],
  // The two sides of what isolates: the first is the one that is driven.
  ['ground of side 1', /^gnd_?1$|^(input|primary)[- ]side ground\b|^ground (of|for) the (input|primary) side\b|^side 1 ground\b/],
  ['ground of side 2', /^gnd_?2$|^(output|secondary)[- ]side ground\b|^ground (of|for) the (output|secondary) side\b|^side 2 ground\b/],
  ['supply of side 1', /^v(cc|dd)_?1$|^(input|primary)[- ]side supply\b|^supply (of|for) the (input|primary) side\b|^side 1 supply\b/],
  [
    'supply of side 2',
    /^v(cc|dd)_?2$|^(output|secondary)[- ]side supply\b|^supply (of|for) the (output|secondary) side\b|^side 2 supply\b/,
  ],
  // Converters of data.
  ['start of conversion', /^(convst|cnvst|cnv|conv)$|\b(conversion start|start of conversion|convert start|start conversion)\b/],
  ['busy', /^n?busy$|\bbusy\b|\bconversion in progress\b/],
  ['update', /^(n?ldac|ldac_?[bn])$|\b(load|update) (of )?(the )?dacs?\b|\bdac (update|load)\b/],
  ['bus', /^(bus|lin_?bus)$|^(lin )?bus( (line|terminal))?$/],
  // Logic.
  ['latch enable', /^le$|^latch enable\b/],
  ['latch', /^latch( (control|input))?$/],
  ['data input', /^(din|d in)$|^data( in(put)?)?$|^d input$/],
  ['true output', /^q$|^(true|q) output$|^data out$/],
  ['complement', /^([~/!]q|q[#*]|qn|qb|q_n|nq|qbar)$|^(complementary|inverted|inverting) output$|^q[- _]bar$|^not q$/],
  ['preset', /^(pre|pr|preset|n?sd|sdn|setn|setb|n?pre|pre[nb]|pr[nb])$|^preset\b|^set input\b/],
  ['reset', /^(n?rst|rst[nb]|n?reset|reset[nb]|n?clr|clr[nb]|clear|n?rd|rdn|cdn)$|^(master )?reset\b(?! (out|delay|time))|^clear\b/],
  ['reset output', /^reset output\b|^reset, open\b/],
  ['manual reset', /^(n?mr|mrb|mr_n)$|\bmanual reset\b/],
  // Supplies, their supervision and their loads.
  ['flying +', named('c\\+|cap\\+|capp|cfly\\+', PUMPED['+'])],
  ['flying -', named('c-|cap-|capn|cfly-', PUMPED['-'])],
  // The only capacitor of a pump may be called its first; a node CAP+ may be another's.
  ['first flying +', named('c1(?:p|\\+)', PUMPED['+'])],
  ['first flying -', named('c1(?:n|-)', PUMPED['-'])],
  ['undervoltage', /^(uv|uvlo)$|\bunder[- ]?voltage\b/],
  ['overvoltage', /^(ov|ovp)$|\bover[- ]?voltage\b/],
  ['gate drive', /^(gate|gd|drv|gdrv|drive)$|\bgate driv(e|er|ing)\b|\bgate of the (external|pass)\b|^driver? output$/],
  ['current sense', /^(cs|sense|sns|isense|isns|isen)$|\bcurrent[- ]sens(e|ing)\b|^sense resistor\b|\bsense current\b|^switch current$/],
  ['timer', /^(timer|tmr|ct)$|\btim(er|ing) capacitor\b|\bfault timer\b|^timer\b/],
  [
    'slew',
    /^(ct|cslew|slew|sr|dv\/?dt)$|\b(output ramp|ramp control|slew control|slew(ing)? cap(acitor)?)\b|\b(slew|rise)[- ](rate|time)\b/,
  ],
  ['delay', /^(ct|cd|cdly|dly|delay|td)$|\bdelay\b/],
  ['output discharge', /^qod$|\boutput discharge\b|\bdischarge of the output\b/],
  ['dimming', /^a?dim$|\bdimming\b|\bbrightness\b/],
  ['trim', /^(trim|adj)$|\btrim\b/],
  ['temperature', /^(v?temp(_?out)?|tmp)$|(?<!battery )\btemperature( (output|voltage|monitor|sensor))?$/],
  ['thermistor', /^(ts|ntc|therm)$|\bthermistor\b|\bbattery temperature\b/],
  ['battery', /^(v?batt?|bat\+|vbb)$|^battery\b(?! temp)/],
  ['set current', /^(prog|r?iset|iprog|rset|rext)$|\bcurrent[- ](set(ting)?|program(ming)?)\b/],
  ['status', /^(stat?\d?|n?chrg|status|diag)$|\bstatus\b|\bdiagnostic (output|feedback)\b|\bcharge indicat/],
  ['motor supply', /^(vm|vmot|vbb)$|\bmotor (power )?supply\b/],
  ['reference output', /\breference( voltage)? output\b|^\d+(\.\d+)? ?v reference$/],
  ['timing network', /^(rt\/ct|rt_?ct|rc)$|\boscillator timing\b|\btiming (network|components)\b/],
  ['common mode', /^(vocm|vcm|ocm)$|\bcommon[- ]mode\b/],
  ['shutdown', /^(n?shdn|shutdown|sd|pdn?)$|\bshut-?down\b|\bpower[- ]?down\b/],
  ['zero current', /^zcd$|\bzero[- ]current\b|\bdemagneti[sz]ation\b/],
  ['multiplier', /^mult?$|\bmultiplier input\b|\binput of the multiplier\b/],
  [
    'current sense +',
    /^(i?sense\+|i?sensep|cs\+|csp|isp|i?sns\+)$|^inductor current ?\+$|\bcurrent[- ]sense,? (\+|positive)|\bpositive current[- ]sense\b|\bsense resistor,? (\+|positive)/,
  ],
  [
    'current sense -',
    /^(i?sense-|i?sensen|cs-|csn|isn|i?sns-)$|^inductor current ?-$|\bcurrent[- ]sense,? (-|negative)|\bnegative current[- ]sense\b|\bsense resistor,? (-|negative)/,
  ],
  ['internal supply', /^(intvcc|vreg|v(cc|dd)5)$|\binternal (\d+(\.\d+)? ?v )?(supply|regulator)\b/],
  [
    'frequency',
    /^(rt|freq|rosc|fset|rfreq)$|\b(switching|oscillator) frequency\b|^frequency (set(ting)?|adjust|resistor|program(ming)?)\b/,
  ],
  ['mode', /^mode$|^(operating )?mode( (select(ion)?|control|input))?$/],
  ['synchronization', /^sync$|\bsynchroni[sz]ation\b|^(external sync|sync (clock|input))\b/],
  ['set voltage', /^v?set$|\bvoltage set(ting)?\b|^set resistor$/],
  ['clamp', /^com$|\bclamp\b/],
  ['photodiode', /\bphotodiode( input)?$|^detector input$/],
  ['watchdog', /^wdi$|^watchdog\b/],
  ['power fail in', /^pfi$|\bpower[- ]fail (comparator )?input\b|\bearly warning input\b/],
  ['power fail out', /^pfo$|\bpower[- ]fail (comparator )?output\b|\bearly warning output\b/],
  ['light', /^led(_?out)?$|^led (drive|current output|output)\b|^to the led$/],
  ['address', /^(addr|address)$|^(address|select)( bit)?$/],
  ['inhibit', /^n?inh(ibit)?$|^inhibit\b/],
  ['junction', /^tj$|\bjunction temp(erature)?\b|\btemperature node of the junction\b/],
  ['case', /^tc(ase)?$|\bcase temp(erature)?\b|\btemperature node of the case\b/],
  ['dead time', /^r?dt$|\bdead[- ]time\b/],
  ['current limit', /^(ilim|ilm|iset|rlim|ocset)$|\bcurrent limit\b/],
  ['current monitor', /^i_?mon$|\bcurrent monitor\b/],
  ['pump capacitor', /^(vcap|vcp|cpump)$|\bcharge[- ]pump\b/],
  ['power stage supply', /^(pvdd|pvcc)$|\b(output|power)[- ]stage supply\b|\bsupply of the bridge\b/],
  ['power stage ground', /^pgnd$|\b(output|power)[- ]stage ground\b|^power ground\b|\bground of the bridge\b/],
  ['bootstrap +', /^(bs_?p|bst_?p|bs\+)$|^bootstrap\b.{0,9}(\+|\bpositive)/],
  ['bootstrap -', /^(bs_?n|bst_?n|bs-)$|^bootstrap\b.{0,9}(-$|\bnegative)/],
  ['thermocouple +', /^(tc?\+|tp)$|\bthermocouple (\+|positive)|\bpositive thermocouple\b/],
  ['thermocouple -', /^(tc?-|tn)$|\bthermocouple (-|negative)|\bnegative thermocouple\b/],
  [
    'crystal input',
    /^(x_?in|xi|osc_?in|osci|xtal_?in)$|^(crystal|oscillator|crystal oscillator) in(put)?$|^crystal or (external )?(clock|reference)( in(put)?)?$/,
  ],
  ['crystal output', /^(x_?out|xo|osc_?out|osco|xtal_?out)$|^(crystal|oscillator|crystal oscillator) out(put)?$/],
  // Radio, and windings, contacts and bridges.
  ['rf common', /^(rfc|rf_?com(mon)?|ant(enna)?)$|^antenna( (port|terminal))?$|\brf common\b/],
  ['rf input', /^(rf(_?in|i)?|rf port)$|^(rf|radio[- ]frequency) in(put)?\b/],
  ['rf output', /^(rf_?out|rfo)$|^(rf|radio[- ]frequency) out(put)?\b/],
  ...PORTS.flatMap(ofSigns),
  ['local oscillator', /^lo(_?in)?$|\blocal oscillator\b|^lo port$/],
  ['intermediate frequency', /^if(_?out)?$|^if (output|port)$|\bintermediate[- ]frequency\b/],
  ['tuning', /^(vt|v?tune)$|\btuning\b/],
  ['bias', /^(v?bias|vb)$|^bias\b/],
  ['wiper', /^(pw|rw|wiper)$|\bwiper\b/],
  ['coil +', /^(coil ?\+|coilp)$|^coil( terminal)? ?(\+|positive)$/],
  ['coil -', /^(coil ?-|coiln)$|^coil( terminal)? ?(-|negative)$/],
  ['dc +', /^dc ?\+$|^(dc )?positive( (output|terminal))?$|^plus terminal$/],
  ['dc -', /^dc ?-$|^(dc )?negative( (output|terminal))?$|^minus terminal$/],
  ['ac', /^ac$|^ac input$|^alternating( (current|voltage|input))*$/],
];
