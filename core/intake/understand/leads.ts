import { carriesPower, type ElectricalType } from '../../part';
import { giveType, isTypeAsked, isTypeTold, type Terminal } from '../proposal';

/** Leads of discrete parts by their letters, with what a person calls them. */
const DEVICES: { leads: Record<string, ElectricalType>; what: string }[] = [
  { leads: { D: 'passive', S: 'passive', G: 'input' }, what: 'drain, gate and source of a transistor' },
  { leads: { C: 'passive', E: 'passive', B: 'input' }, what: 'collector, base and emitter of a transistor' },
  { leads: { A: 'passive', K: 'passive' }, what: 'anode and cathode of a diode' },
  { leads: { C: 'passive', E: 'passive', G: 'input' }, what: 'collector, gate and emitter of a transistor' },
  { leads: { A: 'passive', K: 'passive', G: 'input' }, what: 'anode, cathode and gate of a thyristor' },
  { leads: { A: 'passive', K: 'passive', C: 'passive', E: 'passive' }, what: 'the diode and the transistor of a coupler' },
];

/** What a lead of a part without supplies is called where words tell it; what controls the others goes in. */
const LEADS: readonly [RegExp, ElectricalType][] = [
  [/\b(gate|(?<!mounting )base|trigger electrode)\b/i, 'input'],
  [
    /\b(mounting base|case|crystal|anode|cathode|drain|source|emitter|collector|kelvin|shield|screen|main terminal|winding|primary|secondary|(centre|center) tap|coil|contact|wiper|(counter-?)?clockwise|armature|throw|pole|shell|resistor|capacitor|inductor|choke|thermistor|varistor|track|switch|electrode|conductor|slider|sleeve|tip|ring|thermopile|thermocouple|(row|column|position|digit) ?\d+|segment [a-h]|decimal point)s?\b|^\W*phase [a-e]( return)?\W*$|^\W*(terminal|common)( (terminal|lead|end|pin))?( ?[12ab])?\W*$/i,
    'passive',
  ],
];
/** What only a part that is fed does, whatever its leads are called. */
const ACTS =
  /\b(inputs?|outputs?|i\/?o|dri(ve[sn]?|ving|ver of)|supply|supplies|supplied|powered|power(?! (source|emitter|drain))|ground|data|clock|logic|enable|select|bus|interface)\b/i;

/** A lead's letter: `D` of D, D1 and 1D. */
const letterOf = (name: string): string | undefined => /^\d?([A-Z])\d?$/.exec(name.toUpperCase())?.[1];

/** The type of a lead by what its description calls it, or its name where that is all there is; undefined where that is no lead's. */
function describedLead({ name, description = name }: Terminal): ElectricalType | undefined {
  if (ACTS.test(description)) return undefined;
  // What is said first is what it is: `Kelvin source for the gate loop` is no gate.
  const found = LEADS.flatMap(([words, type]) => {
    const at = words.exec(description)?.index;
    return at === undefined ? [] : [{ at, type }];
  });
  return found.sort((x, y) => x.at - y.at)[0]?.type;
}

/** What the table does not ask for: pins of nothing and pads for the heat. */
const isApart = (t: Terminal): boolean => t.type === 'no-connect' || t.type === 'reserved' || /^(EP|TAB|PAD)\d?$/i.test(t.name);

/**
 * Where all terminals are leads of discrete parts, of transistors, diodes, windings or contacts, that is what they are: alone
 * D1 reads as a bit of data and `gate of the P-channel` as what drives it. Only types that the source itself does not tell are set.
 */
export function recogniseLeads(terminals: readonly Terminal[]): void {
  const own = terminals.filter((t) => !isApart(t));
  byLetters(own);
  if (isBridge(own)) return own.forEach((t) => setLead(t, 'passive', 'a terminal of a rectifier bridge'));
  // A case that is grounded feeds nothing.
  const leads = own.filter((t) => t.type !== 'ground' || isTypeAsked(t));
  if (leads.length < 2 || leads.some((t) => carriesPower(t.type) && !isTypeAsked(t))) return;
  const types = leads.map(describedLead);
  if (types.some((type) => type === undefined)) return doubtUndriven(own, types.filter((type) => type !== undefined).length);
  leads.forEach((t, i) => {
    if (!isTypeTold(t)) setLead(t, types[i]!, 'a lead of a part without supplies');
  });
}

/** So many terminals without a supply are a part; more are a table of a part's signals alone. */
const FEW = 12;

const UNDRIVEN = 'Taken for output, but nothing feeds the part.';

/** Takes that doubt back where another table of the part has what feeds it. */
export function settleUndriven(terminals: readonly Terminal[]): void {
  if (!terminals.some((t) => carriesPower(t.type))) return;
  for (const t of terminals) t.doubts = t.doubts.filter((d) => d.reason !== UNDRIVEN);
}

/** Nothing drives an output where nothing feeds the part: of a switch, a bridge or a cell it is a lead too. */
function doubtUndriven(own: readonly Terminal[], leads: number): void {
  const isFed = own.some((t) => carriesPower(t.type) && !(leads > 1 && isTypeAsked(t)));
  if (own.length > FEW || isFed) return;
  for (const t of own) {
    if (t.type !== 'output' || isTypeAsked(t) || isTypeTold(t)) continue;
    t.doubts = [...t.doubts, { field: 'type', reason: UNDRIVEN, candidates: ['output', 'passive'] }];
  }
}

/** `+`, `−` and two or three of `~`, `AC1`: what the words call inputs and outputs is neither, the bridge only leads it. */
const isBridge = (own: readonly Terminal[]): boolean =>
  own.length <= 6 &&
  ['+', '-'].every((sign) => own.some((t) => t.name.replace(/[−–]/, '-') === sign)) &&
  own.every((t) => /^([+−–-]|(AC ?|[~≈])\d?)$/i.test(t.name));

function byLetters(own: readonly Terminal[]): void {
  const letters = new Set(own.map((t) => letterOf(t.name)));
  const device = DEVICES.find(({ leads }) => letters.size === Object.keys(leads).length && Object.keys(leads).every((l) => letters.has(l)));
  if (!device) return;
  for (const t of own) {
    const type = device.leads[letterOf(t.name)!]!;
    // Whatever else says it, a column, a legend, words or a model, outweighs a letter.
    const isSaid = t.description !== undefined || !/^(name |nothing )/.test(t.because['type'] ?? 'nothing ');
    if (t.type === type || (isSaid && !isTypeAsked(t))) continue;
    setLead(t, type, device.what);
  }
}

const setLead = (t: Terminal, type: ElectricalType, what: string): void =>
  giveType(t, type, t.type === type ? (t.because['type'] ?? what) : what);
