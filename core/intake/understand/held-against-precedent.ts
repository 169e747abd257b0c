import type { Doubt, ElectricalType } from '../../part';
import { headlineOf } from './headline';
import { precedentOf, type Precedent } from './precedents';
import { PROTECTED } from './bare-wordings';
import { exactOf, REFINES, UNSURE, USUAL, type Said, type TypeConclusion } from './weigh-type';

/** A sure conclusion that most terminals like it contradict is asked where fewer than this share it. */
const RARE = 0.4;
/** The same for one that the type column or the description's first clause says outright. */
const RARE_WHEN_SAID = 0.2;
/** Where a table has no types, so many have to share even one that most of them were. */
const RARE_UNTOLD = 0.65;
/** The same for one that a hint or a name alone speaks for. */
const RARE_WHEN_HINTED = 0.9;
/** Types that nothing but their own words tell. */
const ONLY_SAID: readonly ElectricalType[] = ['open-drain', 'open-source', 'three-state'];
/** What so many terminals like it were is taken where the evidence is not sure. */
const USUALLY = 0.5;
/** What so many were is proposed instead of what the words say. */
const MOSTLY = 0.9;
/** What so many were is not asked where nothing at all tells: no less sure than what few words say. */
const NEARLY_ALWAYS = 0.95;

/** What says no more than a type has no words that other terminals could have. */
const PLAIN: Partial<Record<ElectricalType, RegExp>> = {
  input: /^\W*(data |logic |clock )?inputs?( [a-h0-9])?(,? \(?active[- ](low|high)\)?)?\W*$/i,
  output: /^\W*(data |logic |clock )?outputs?( [a-h0-9])?(,? \(?active[- ](low|high)\)?)?\W*$/i,
  passive: PROTECTED,
  bidirectional: /^\W*(bidirectional )?data (bus|input\/output)( (port )?[a-h])?(,? bit \d{1,2})?\W*$/i,
};

const VOLTAGE = /^[+]?\d{1,3}(\.\d)?V\d?$/i;

/**
 * Holds a conclusion against what terminals of such names and words were before: a sure one that they contradict, or that
 * rests on little and they do not bear out, is asked; one that is asked anyway becomes what most of them were.
 */
export function heldAgainstPrecedent(conclusion: TypeConclusion, { name, code, description, told }: Said): TypeConclusion {
  if (description.trim() === '' && !code?.trim()) return conclusion;
  const { type, doubt } = conclusion;
  if (!doubt && PLAIN[type]?.test(description)) return conclusion;
  const exact = exactOf(told);
  // The column and another witness say the same: nothing is left to ask.
  // Nor is there of +24V in a column that says power.
  const isTold = exact === type || (VOLTAGE.test(name) && told.some((e) => e.type === type));
  if (!doubt && isTold && conclusion.because !== told[0]!.because) return conclusion;
  const precedent = precedentOf(name, told, !!code?.trim(), description);
  if (doubt) return usualInstead(conclusion, doubt, exact, precedent);
  // Nobody writes passive into the column of a terminal that drives or is driven.
  if (exact === 'passive' && type === 'passive') return conclusion;
  const isOutright = exact === type || headlineOf(description) === type;
  const isBorneOut = precedent.type === type;
  if (isBorneOut && (told.length > 0 || isOutright || ONLY_SAID.includes(type))) return conclusion;
  const untold = conclusion.isHinted ? RARE_WHEN_HINTED : RARE_UNTOLD;
  const contradicted = isOutright ? RARE_WHEN_SAID : RARE;
  if (precedent.share(type) >= (isBorneOut ? untold : contradicted)) return conclusion;
  const asked = askedFor(conclusion, isBorneOut ? precedent.next() : precedent.type, precedent);
  // Where nearly all were another, that is the likelier one of the two.
  return told.length === 0 && precedent.share(precedent.type) >= MOSTLY ? usualInstead(asked, asked.doubt!, exact, precedent) : asked;
}

/** What is asked anyway becomes what most terminals like it were, if the type column allows that. */
function usualInstead(conclusion: TypeConclusion, doubt: Doubt, exact: ElectricalType | undefined, precedent: Precedent): TypeConclusion {
  const { type } = conclusion;
  const usual = precedent.type;
  const isFit = exact === undefined || usual === exact || REFINES[usual]?.includes(exact);
  if (usual === type || !isFit || precedent.share(usual) < USUALLY) return conclusion;
  const words = precedent.wordsFor(usual, type);
  if (type === 'unspecified' && words !== undefined && precedent.share(usual) >= NEARLY_ALWAYS)
    return { type: usual, because: `most terminals with “${words}”`, confidence: UNSURE + 0.1 };
  const known = [usual, type, ...(doubt.candidates as ElectricalType[])].filter((t) => t !== 'unspecified');
  const candidates = [...new Set(known)].slice(0, 4);
  const like = words ? `terminals with “${words}”` : 'terminals like it';
  const reason = reasonOf(doubt, type, usual, like);
  return { ...conclusion, type: usual, because: `${conclusion.because}; most ${like}`, doubt: { ...doubt, reason, candidates } };
}

/** A conclusion that was sure, asked because terminals like it were of `other`. */
function askedFor(conclusion: TypeConclusion, other: ElectricalType, precedent: Precedent): TypeConclusion {
  const { type } = conclusion;
  const words = precedent.wordsFor(other, type);
  const said = words ? `“${words}” is` : 'such words are';
  return {
    ...conclusion,
    confidence: Math.min(conclusion.confidence, UNSURE),
    doubt: {
      field: 'type',
      reason: `Taken for ${type}, but ${said} ${other === precedent.type ? 'more ' : ''}often said of ${other} terminals.`,
      candidates: [...new Set([type, other, ...USUAL])].slice(0, 4),
    },
  };
}

/** Why it is asked, where most terminals like it were of another type than the evidence says. */
function reasonOf(doubt: Doubt, type: ElectricalType, usual: ElectricalType, like: string): string {
  if (type === 'unspecified') return `Neither column nor wording tells; most ${like} are ${usual}.`;
  if (!doubt.reason.startsWith('Taken for')) return doubt.reason;
  // A cue for the same type says it better than the words that most terminals share.
  const isCueFor = doubt.candidates?.[1] === usual;
  return isCueFor ? doubt.reason.replace('Taken for', 'It reads as') : `It reads as ${type}, but most ${like} are ${usual}.`;
}
