import { carriesPower, type Doubt, type ElectricalType } from '../../part';
import { doubtByCues } from './doubt-by-cues';
import { COVERS, evidence, oneOfEach, type Evidence } from './evidence';
import { TIED_TO_GROUND } from './signal-wordings';
import { evidenceOfName } from './type-names';
import { wordsOfType } from './type-words';

/**
 * Weighing the evidence for a type.
 *
 * Three witnesses speak: the type column, the description, the name. Each speaks with its strongest word only
 * (a long description is not more right than a short one), and the column's word is refined before it is weighed:
 * a datasheet that writes `O` in the column and `open-drain` in the text does not contradict itself, it says the
 * same thing twice with different precision. A power class (`P`) is refined by the name in the same way.
 *
 * What remains is added up by type. The best type stands without a doubt when it has a voice of at least 3 and no
 * other type that the best does not refine has a voice nearly as strong. Otherwise it stands with a doubt that
 * gives the contradicting words and the other candidates.
 */
export interface TypeConclusion {
  type: ElectricalType;
  because: string;
  /** The share of the evidence that speaks for it, 0 to 1; lower where the evidence is thin. */
  confidence: number;
  /** A name or a hint alone speaks for it, `clock` of a clock that may as well go out. */
  isHinted?: true;
  doubt?: Doubt;
}

const ENOUGH = 3;
/** A voice no stronger than this hints at a type. */
const HINT = 4;
/** A voice so strong says a type outright. */
const ENOUGH_ALONE = 4.5;
/** How sure a conclusion is at most that leaves out what the text has. */
export const UNSURE = 0.6;
/** What a person most often chooses where the evidence gives too few candidates. */
export const USUAL: ElectricalType[] = ['input', 'output', 'passive'];
/** How near to the best another type may come before it is a conflict. */
const NEAR = 0.62;

/** What a word of the text may sharpen a column's word to. */
export const REFINES: Partial<Record<ElectricalType, ElectricalType[]>> = {
  'open-drain': ['output'],
  'open-source': ['output'],
  'three-state': ['output'],
  'supply-out': ['output', 'supply-in'],
  // VIN of a converter is coded as an input by many makers.
  'supply-in': ['input'],
  passive: ['input', 'output', 'bidirectional'],
  // A serial bus's data line is both: it is read and written, and its driver is open-drain.
  bidirectional: ['open-drain'],
  reserved: ['no-connect', 'input', 'output', 'bidirectional', 'passive'],
};

/** What a source says of a terminal. */
export interface Said {
  name: string;
  /** The cell of the type column; undefined where the table has none. */
  code: string | undefined;
  description: string;
  /** What the cell means, by the document's legend and the codes in common use. */
  told: Evidence[];
}

/** Weighs what the type column, the description and the name say of a type. */
export function weighType({ name, code, description: whole, told: cell }: Said): TypeConclusion {
  // `General purpose / analog input 0`: what follows is what it may be besides.
  const description = whole.replace(/^(\W*general[- ]purpose)( (?:pin|port|i\/?o))?\s*[/,;]\s.*$/i, '$1 I/O');
  const ofName = evidenceOfName(name);
  const told = ofPowerInput(ofPowerOutput(cell, name, description), ofName);
  const goesOut = ofName.some((n) => n.type === 'output' && n.weight >= 4.5);
  const words = [
    ...groundPad(name, description),
    ...testTerminal(name, description),
    ...severalFunctions(name, description),
    ...wordsOfType(description),
    ...partEnd(code, description),
  ]
    // The drain of a bus's clock is the master's, where the column says that the clock comes in.
    .filter((e) => !(e.type === 'open-drain' && exactOf(told) === 'input' && /^SCL/i.test(name)))
    .filter((e) => !isOfAnother(e, name))
    // What comes in is no three-state output: the words say what it controls.
    .map((e) => (e.type === 'three-state' && exactOf(told) === 'input' ? { ...e, weight: Math.min(e.weight, ENOUGH_ALONE) } : e))
    // `Clock for more phases`, said of CLKOUT, tells what goes out.
    .filter((e) => !(e.type === 'input' && e.weight <= HINT && goesOut))
    .map((e) => (e.isBare && exactOf(told) !== undefined ? { ...e, weight: Math.min(e.weight, HINT) } : e))
    .map((e) => ofPower(e, told))
    .map((e) => ofBothPoles(e, description, ofName))
    .sort((a, b) => b.weight - a.weight);
  const named = ofName.filter((e) => !isReference(e, told)).map((e) => ofPower(e, told));
  const fed = fedByName(told, named, description);
  const voices = sharpen(told, narrowest(strongest(words)), [...named, ...fed]);
  const tally = [...voices].sort((a, b) => b[1].weight - a[1].weight);
  const best = tally[0];
  if (!best) return nothingKnown(code, description);
  const [type, { weight, reasons }] = best;
  const rivals = tally
    .slice(1)
    .filter(([other, voice]) => (voice.weight >= weight * NEAR || other === exactOf(told)) && !agrees(type, other, told))
    // Columns of directions have no word for a ground: many put an I there.
    .filter(([other]) => !(other === 'input' && isSaidGround(type, words, named)));
  const because = [...new Set(reasons)].join(', ');
  const against = rivals.reduce((sum, [, voice]) => sum + voice.weight, 0);
  const confidence = Math.round((weight / (weight + against)) * Math.min(1, 0.4 + weight / 10) * 100) / 100;
  // A dash for the direction of what carries power, or of a part's end, says that it has none.
  const empty = code !== undefined && /^[-–—\s]*$/.test(code) && !(code.trim() !== '' && (carriesPower(type) || type === 'passive'));
  const unheard = !!code && code.trim() !== '' && told.length === 0 && !/^([-–—]+|n\/?a\.?)$/i.test(code.trim());
  // Where the column says a thing that is not understood, hints add up to no more than they are.
  const isHinted = weight < 5.5 || [...words, ...named].every((e) => e.type !== type || e.weight < ENOUGH_ALONE);
  // A class of power alone does not tell a rail that comes in from one that the part makes.
  const isClassOnly = isClass(told) && reasons.length === 1 && reasons[0] === told[0]!.because;
  // The column says a signal and only the name a rail.
  const isFed = fed.length > 0 && type === fed[0]!.type && !words.some((e) => e.type === type && e.weight >= 4);
  if (!isFed && weight >= ENOUGH && rivals.length === 0 && !isClassOnly && !(empty && weight < 5) && !(unheard && isHinted)) {
    const doubt = doubtByCues(type, name, description, {
      column: told.length === 1 ? told[0]!.type : undefined,
      words: words.some((e) => e.type === type && e.weight >= 4.5),
    });
    if (doubt) return { type, because, confidence: Math.min(confidence, UNSURE), doubt };
    return { type, because, confidence, ...(weight <= HINT ? { isHinted: true } : {}) };
  }
  const candidates = [...new Set([type, ...tally.slice(1, 4).map(([t]) => t), ...USUAL])].slice(0, 4);
  return {
    type,
    because,
    confidence,
    doubt: {
      field: 'type',
      reason: isClassOnly
        ? `${capital(because)} does not tell ${told[0]!.type === 'supply-in' ? 'a supply from a rail that the part makes itself' : 'a direction'}, and neither name nor words do.`
        : isFed && rivals.length === 0
          ? `${capital(told[0]!.because)} says ${told[0]!.type}; ${fed[0]!.because} reads as a ${type === 'ground' ? 'ground' : 'supply'}.`
          : reasonOf(type, weight, because, rivals, unheard || empty ? code : undefined),
      candidates,
    },
  };
}

/** `RO is high impedance when RE is high`, said at RE: the capitals name the terminal that it is said of. */
function isOfAnother({ type, because }: Evidence, name: string): boolean {
  const said = type === 'three-state' ? /^“([A-Z]{2,}) (?:is|goes|becomes|remains|stays)\b/.exec(because)?.[1] : undefined;
  return said !== undefined && !/^(IT|THIS|PIN|OUTPUT)$/.test(said) && said !== name.replace(/^[/~!]|[#*]$/g, '');
}

/** `Power output` is the output of a bridge or a rail that the part makes: of the latter where name or words say so too. */
function ofPowerOutput(told: Evidence[], name: string, description: string): Evidence[] {
  const rail = told.find((e) => e.type === 'supply-out');
  if (!rail || told.length < 2 || told.some((e) => e !== rail && e.type !== 'output')) return told;
  const said = [...evidenceOfName(name), ...wordsOfType(description)];
  if (said.some((e) => e.type === 'supply-out')) return [rail];
  return OF_BRIDGE.test(description) && said.some((e) => e.type === 'output') ? told.filter((e) => e !== rail) : told;
}

/** `Power input` of GND: in tables of directions and classes a ground has no class of its own. */
const ofPowerInput = (told: Evidence[], ofName: readonly Evidence[]): Evidence[] =>
  told.map((e) => (POWER_INPUT.test(e.because) && ofName.some((n) => n.type === 'ground' && n.weight >= 5) ? { ...e, type: 'ground' } : e));
const POWER_INPUT = /^type column “(?:power|supply)[ _-]?in(?:put)?”$/i;

const OF_BRIDGE = /\bbridge\b|\bmotor\b|\bspeaker\b|\bphase [a-z]\b|\bloudspeaker\b/i;

/** In a class of power an input is one of supply, and an output a rail. */
const ofPower = (e: Evidence, told: readonly Evidence[]): Evidence =>
  isClass(told) && told[0]!.type === 'supply-in' && (e.type === 'input' || e.type === 'output')
    ? { ...e, type: e.type === 'input' ? 'supply-in' : 'supply-out' }
    : e;

/** `Power supply pins` of VDD and VSS: said of both poles, it tells neither. */
const ofBothPoles = (e: Evidence, description: string, ofName: readonly Evidence[]): Evidence =>
  e.type === 'supply-in' && OF_BOTH_POLES.test(description) && ofName.some((n) => n.type === 'ground' && n.weight >= 5)
    ? { ...e, type: 'ground' }
    : e;
const OF_BOTH_POLES =
  /^\W*(?:(?:analog(?:ue)?|digital|i\/?o|core|main|chip|device|logic) )?(?:power|suppl(?:y|ies)|power suppl(?:y|ies)|supply voltage)(?: (?:pins?|terminals?|connections?|lines?|rails?))?\W*$/i;

/** VREF in a class of power comes in as often as the part makes it: its name tells neither. */
const isReference = (e: Evidence, told: readonly Evidence[]): boolean =>
  isClass(told) && told[0]!.type === 'supply-in' && e.type === 'input' && /\bV?REF/i.test(e.because);

/** Both name and words call it a ground. */
const isSaidGround = (type: ElectricalType, words: readonly Evidence[], named: readonly Evidence[]): boolean =>
  type === 'ground' && [words[0], named[0]].every((e) => e?.type === 'ground' && e.weight >= 5);

/**
 * TEST that is to be tied or left open is no input for the user, whatever its buffer is; nor is RSVD what is not connected. TMS is
 * the test mode select of IEEE 1149.1, whatever is said of its trace.
 */
const testTerminal = (name: string, description: string): Evidence[] =>
  /^(?!n?TMS)n?(TEST|TST|TM|TMODE|SCAN_?(EN|MODE)|RSVD?|RESERVED|RFU)[A-Z_]{0,4}\d*[#*]?$/i.test(name) &&
  /(^|[.;,] *)(this (pin|input|terminal) )?(tie|connect|leave|keep|must be|should be|strap|short|wire)\b(?!.*\b(resistor|capacitor)\b)(?!.{0,40}\b(not used|unused)\b)/i.test(
    description.trim(),
  )
    ? [evidence('reserved', 8, `name ${name} and “${description.slice(0, 40).trim()}”`)]
    : [];

/** The pad below a part is no input that is tied: where it is to be soldered to ground it is one. */
const groundPad = (name: string, description: string): Evidence[] =>
  /^(EP|THERMAL|E-?PAD|(PWR|THERMAL|EXPOSED|POWER)?[ _-]?PAD|TAB|DAP|SLUG|PADDLE)\d?$/i.test(name) && TIED_TO_GROUND.test(description)
    ? [evidence('ground', 5.5, `name ${name} and “${TIED_TO_GROUND.exec(description)![0].trim()}”`)]
    : [];

/** A dash for the direction, and a part in the words: the terminal is that part's end. */
function partEnd(code: string | undefined, description: string): Evidence[] {
  const part = /^[-–—]+$/.test(code?.trim() ?? '') ? PART.exec(description) : undefined;
  return part ? [evidence('passive', 3.5, `“${code!.trim()}” in the type column and “${part[0]}”`)] : [];
}
const PART = /\b(resistor|capacitor|inductor|coil|crystal|quartz|winding|potentiometer)s?\b|\b\d[\d.]* ?(k|[kM]?(Ω|ohms?)|[pnµμu]F)\b/i;

/** Words that are said of signals, whatever their names. */
const OF_SIGNAL = /\b(analog(ue)?|signal|differential|channel|data|logic|sense|threshold|divider|command|sequence)\b/i;

/**
 * A column that says input or output of what has a supply's name: the column's word is as often meant of the rail, so that
 * both stand against each other and a person decides.
 */
function fedByName(told: Evidence[], named: Evidence[], description: string): Evidence[] {
  const supply = named.find((e) => e.type === 'supply-in' && e.weight >= 4);
  const ground = named.find((e) => e.type === 'ground' && e.weight >= 5);
  const [only, ...more] = told;
  if (!only || more.length > 0 || OF_SIGNAL.test(description)) return [];
  // Where words say more, they tell.
  if (ground && description.trim() === '' && (only.type === 'input' || only.type === 'output'))
    return [evidence('ground', 9, ground.because)];
  if (!supply) return [];
  if (only.type === 'output') return [evidence('supply-out', 9, supply.because)];
  return only.type === 'input' ? [evidence('supply-in', 9, supply.because)] : [];
}

/** What words say outright of one type holds what they say of its parts: `open-drain output`, `input/output, input at reset`. */
function narrowest(words: Evidence[]): Evidence[] {
  const outright = words.filter((e) => ['open-drain', 'open-source', 'three-state', 'bidirectional'].includes(e.type) && e.weight >= 6);
  // Data inputs and outputs that are three-state go both ways.
  const whole = outright.find((e) => e.type === 'bidirectional') ?? outright[0];
  if (!whole) return words;
  return words.map((e) => (COVERS[whole.type]!.includes(e.type) && e.weight < 7 ? { ...e, type: whole.type } : e));
}

/** `AD0/SDO`, `address bit; data output`: each function has its own words, and both directions in them are both. */
function severalFunctions(name: string, description: string): Evidence[] {
  const parts = name.split('/');
  const clauses = [/;\s+/, /,? or /].map((by) => description.split(by)).find((c) => c.length > 1 && c.length === parts.length);
  if (!clauses) return [];
  const types = clauses.map((clause) => wordsOfType(clause)[0]?.type);
  // Under what is said outright, so that each direction still speaks against it.
  if (types.includes('input') && types.includes('output')) return [evidence('bidirectional', 5.9, 'its two functions')];
  // Where only one of its functions tells a direction, the other may have any.
  const silent = types.findIndex((type) => type === undefined);
  const told = types.find((type) => type !== undefined);
  const isOpen = silent >= 0 && (told === 'input' || told === 'output') && evidenceOfName(parts[silent]!).every((e) => e.type !== told);
  return isOpen ? [evidence('bidirectional', 4, 'its other function')] : [];
}

type Voices = Map<ElectricalType, { weight: number; reasons: string[] }>;

/** Adds the witnesses up by type, the column's word moved to what the others make of it. */
function sharpen(told: Evidence[], words: Evidence[], named: Evidence[]): Voices {
  const voices: Voices = new Map();
  const add = ({ type, weight, because }: Evidence) => {
    const voice = voices.get(type) ?? { weight: 0, reasons: [] };
    voices.set(type, { weight: voice.weight + weight, reasons: [...voice.reasons, because] });
  };
  const spoken = [...words, ...named.filter((n) => n.weight >= 4)];
  for (const e of told) {
    const sharper = words.find((s) => REFINES[s.type]?.includes(e.type) && s.weight >= 6);
    add(sharper && told.length === 1 ? evidence(sharper.type, e.weight, e.because) : e);
  }
  // A column that says OZ and a text that says "output" agree: the broader word counts for the narrower.
  const exact = exactOf(told);
  // A text that says supply does not say which way it goes.
  const isHeld = (type: ElectricalType) =>
    exact !== undefined &&
    (COVERS[exact]?.includes(type) ||
      (exact === 'supply-out' && type === 'supply-in') ||
      (exact === 'bidirectional' && type === 'open-drain'));
  const narrowed = (e: Evidence): Evidence => (isHeld(e.type) ? { ...e, type: exact! } : e);
  // A hint such as "clock" beside an exact code only says what the signal is for: a clock can be an output.
  // So is a line of a bus beside a column and a name that say one direction.
  const isNamed = named.some((n) => n.type === exact || COVERS[exact!]?.includes(n.type));
  const isHint = (e: Evidence) =>
    exact !== undefined && e.type !== exact && (e.weight <= HINT || (isNamed && e.type === 'bidirectional' && e.weight <= 5.5));
  for (const e of words) add(isHint(e) ? { ...e, weight: Math.min(e.weight, HINT) * 0.8 } : narrowed(e));
  for (const e of named.map(narrowed))
    add(told.length > 0 || spoken.some((s) => s !== e) ? { ...e, weight: e.weight * (e.weight >= 5 ? 0.8 : 0.6) } : e);
  return voices;
}

/** One voice per type, and only the voices near to the loudest. */
function strongest(words: Evidence[]): Evidence[] {
  const top = words[0]?.weight ?? 0;
  return oneOfEach(words).filter((e) => e.weight >= top * 0.7);
}

/** A rival is none when the best only sharpens what it says, or when it is one of a class that the column named. */
function agrees(best: ElectricalType, other: ElectricalType, told: Evidence[]): boolean {
  if (REFINES[best]?.includes(other)) return true;
  return isClass(told) && told.some((e) => e.type === other) && told.some((e) => e.type === best);
}

/** The one type that the column says outright, if it does: what the words make of it instead is for a person to see. */
export const exactOf = (told: readonly Evidence[]): ElectricalType | undefined =>
  told.length === 1 && told[0]!.weight >= 6 ? told[0]!.type : undefined;

/** True where the column names a class of types and none of them. */
const isClass = (told: readonly Evidence[]): boolean => told.length > 1 && told.every((e) => e.weight <= 3.2);

function reasonOf(type: ElectricalType, weight: number, because: string, rivals: Rival[], unheard?: string): string {
  const rival = rivals[0];
  if (rival) return `${capital(because)} says ${type}; ${[...new Set(rival[1].reasons)].join(', ')} says ${rival[0]}.`;
  if (unheard?.trim() === '') return `The type cell is empty; taken from ${because}.`;
  if (unheard !== undefined) return `The type “${unheard}” is not known; taken from ${because}.`;
  return weight < ENOUGH ? `Only ${because} speaks for it.` : `Taken from ${because}.`;
}

type Rival = [ElectricalType, { reasons: string[] }];

const capital = (text: string): string => (text[0] ?? '').toUpperCase() + text.slice(1);

function nothingKnown(code: string | undefined, description: string): TypeConclusion {
  const reason = code?.trim()
    ? `The type “${code.trim()}” is not known, and neither name nor description tells.`
    : description.trim() === ''
      ? 'There is no type and no description, and the name does not tell.'
      : 'The type is empty, and neither name nor description tells.';
  return {
    type: 'unspecified',
    because: 'nothing says it',
    confidence: 0,
    doubt: { field: 'type', reason, candidates: ['input', 'output', 'passive'] },
  };
}
