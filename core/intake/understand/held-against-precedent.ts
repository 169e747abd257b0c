import type { Doubt, ElectricalType } from '../../part';
import { headlineOf } from './headline';
import { precedentOf } from './precedents';
import { exactOf, REFINES, UNSURE, USUAL, type Said, type TypeConclusion } from './weigh-type';

/** A sure conclusion that fewer terminals like it share than this is asked. */
const RARE = 0.4;
/** The same for one that the type column or the description's first clause says outright. */
const RARE_WHEN_SAID = 0.2;
/** What so many terminals like it were is taken where the evidence is not sure. */
const USUALLY = 0.5;

const VOLTAGE = /^[+]?\d{1,3}(\.\d)?V\d?$/i;

/**
 * Holds a conclusion against what terminals of such names and words were before: a sure one that they contradict is asked;
 * one that is asked anyway becomes what most of them were.
 */
export function heldAgainstPrecedent(conclusion: TypeConclusion, { name, code, description, told }: Said): TypeConclusion {
  if (description.trim() === '' && !code?.trim()) return conclusion;
  const { type, doubt } = conclusion;
  const exact = exactOf(told);
  // The column and another witness say the same: nothing is left to ask.
  // Nor is there of +24V in a column that says power.
  const isTold = exact === type || (VOLTAGE.test(name) && told.some((e) => e.type === type));
  if (!doubt && isTold && conclusion.because !== told[0]!.because) return conclusion;
  const precedent = precedentOf(name, told, !!code?.trim(), description);
  const usual = precedent.type;
  if (usual === type) return conclusion;
  const words = precedent.wordsFor(usual, type);
  if (doubt) {
    const isFit = exact === undefined || usual === exact || REFINES[usual]?.includes(exact);
    if (!isFit || precedent.share(usual) < USUALLY) return conclusion;
    const known = [usual, type, ...(doubt.candidates as ElectricalType[])].filter((t) => t !== 'unspecified');
    const candidates = [...new Set(known)].slice(0, 4);
    const like = words ? `terminals with “${words}”` : 'terminals like it';
    const reason = reasonOf(doubt, type, usual, like);
    return { ...conclusion, type: usual, because: `${conclusion.because}; most ${like}`, doubt: { ...doubt, reason, candidates } };
  }
  // Nobody writes passive into the column of a terminal that drives or is driven.
  if (exact === 'passive' && type === 'passive') return conclusion;
  const isOutright = exact === type || headlineOf(description) === type;
  if (precedent.share(type) >= (isOutright ? RARE_WHEN_SAID : RARE)) return conclusion;
  return {
    ...conclusion,
    confidence: Math.min(conclusion.confidence, UNSURE),
    doubt: {
      field: 'type',
      reason: `Taken for ${type}, but ${words ? `“${words}” is more often said` : 'such words are more often said'} of ${usual} terminals.`,
      candidates: [...new Set([type, usual, ...USUAL])].slice(0, 4),
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
