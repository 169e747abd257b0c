const words = (text: string): ReadonlySet<string> => new Set(text.split(' '));

const DIODE = words('is js n rs trs trs1 trs2 tt ttt1 ttt2 cjo cj cj0 vj pb m mj eg xti kf af fc bv ibv nbv tnom tref ikf ik ikr isr nr tbv1 jsw ns cjp cjsw php vjsw mjsw fcs area pj level tlev tlevc cta ctc ctp tpb tphp tcv lm lp wm wp xom xoi xm xp tm1 tm2'); // prettier-ignore
const BIPOLAR = words('is ibe ibc bf nf vaf va ikf ik ise c2 ne br nr var vb ikr isc c4 nc rb irb rbm re rc cje vje pe mje me tf xtf vtf itf ptf cjc vjc pc mjc mc xcjc tr cjs csub ccs vjs ps mjs ms iss ns xtb eg xti kf af fc tnom tref tre1 tre2 trc1 trc2 trb trb1 trb2 trbm1 trbm2 tbf1 tbf2 tbr1 tbr2 tikf1 tikf2 tirb1 tirb2 tnc1 tnc2 tne1 tne2 tnf1 tnf2 tnr1 tnr2 tvaf1 tvaf2 tvar1 tvar2 ctc cte cts tvjc tvje tvjs titf1 titf2 ttf1 ttf2 ttr1 ttr2 tmje1 tmje2 tmjc1 tmjc2 tmjs1 tmjs2 subs nkf nk rco vo gamma qco level tlev tlevc'); // prettier-ignore
const MOS = words('level vto vt0 kp gamma phi lambda rd rs cbd cbs is pb cgso cgdo cgbo rsh cj mj cjsw mjsw js tox ld u0 uo fc nsub tpg nss tnom kf af xj nfs vmax delta neff uexp ucrit eta theta kappa alpha xd'); // prettier-ignore
const JFET = words('level vto vt0 beta lambda rd rs cgs cgd pb is fc b kf af tnom tcv bex n m xti vtotc betatce');
const POWER_MOS = words('vto vth0 kp phi lambda theta rd rs rg rb rds n is tt cjo vj m fc bv ibv nbv eg xti cgdmin cgdmax a cgs mtriode subshift ksubthres rq vq tcvth texp0 texp1 tnom trd1 trd2 trg1 trs1 trb1 kf af mu tksubthres1 bex'); // prettier-ignore

const KNOWN: Record<string, ReadonlySet<string>> = {
  d: DIODE,
  npn: BIPOLAR,
  pnp: BIPOLAR,
  nmos: MOS,
  pmos: MOS,
  njf: JFET,
  pjf: JFET,
  vdmos: POWER_MOS,
  r: words('rsh r res tc1 tc2 tce narrow short defw w tnom dw dlr l kf af'),
  c: words('c cap cj cjsw defw defl narrow short del tc1 tc2 tnom di thick'),
  l: words('l ind tc1 tc2 tnom csect length dia mu nt'),
  sw: words('vt vh ron roff'),
  csw: words('it ih ron roff'),
};
const ALIASES: Record<string, string> = { res: 'r', cap: 'c', ind: 'l' };

/**
 * Whether the engine knows a parameter of a model card: it ends at one that it does not, such as the ratings and makers
 * that vendors write into cards. Transistors of levels that it has no table for here keep all of theirs.
 */
export function isModelParameter(type: string, name: string, level: string | undefined): boolean {
  const known = KNOWN[ALIASES[type.toLowerCase()] ?? type.toLowerCase()];
  const isOtherLevel = known === MOS || known === BIPOLAR ? Number(level ?? 1) > 3 : false;
  return !known || isOtherLevel || known.has(name.toLowerCase());
}
