import { remember, type ElectricalType } from '../../part';
import { evidence, type Evidence } from './evidence';
import { headlineOf } from './headline';
import { WORDINGS } from './wordings';

/** What a first clause may say outright that a terminal is, whatever is to be wired to it. */
const SAID: ReadonlySet<ElectricalType> = new Set([
  'input',
  'output',
  'bidirectional',
  'three-state',
  'open-drain',
  'open-source',
  'supply-out',
]);

const RAILS: ReadonlySet<ElectricalType> = new Set(['ground', 'supply-in']);

/** What one terminal does to others, in the third person or plain. */
const acts = (ending: 's' | ''): string =>
  `(?:mute|blank|tri-?state|power|feed|receive|disable|enable|control|drive|determine|set|program|limit|clear|gate|reset|force|(?:three|tri|3)-?state)${ending}|latch${ending === '' ? '' : 'es'}|turn${ending} (?:on|off)|switch${ending === '' ? '' : 'es'} (?:on|off)|(?:shut|power)${ending} down`;

/**
 * Inputs and outputs that a text speaks of beside its own terminal: what the terminal serves (`for the low-side output`),
 * acts on (`mutes the RF outputs`) or measures (`output sense`). What stands before the word, in the group, stays.
 */
const BESIDE = [
  /\b((?:for (?:the |an? |all |both )?|(?:of|from|to|at) (?:the|an?) )(?:(?!(?:or|and) )[\w'’-]+ ){0,4}?)(?:in|out)puts?\b/gi,
  // `mutes outputs`, and `to mute the outputs`: without an article the plain verb is a name, `enable input`.
  new RegExp(`\\b((?:${acts('s')}) (?:the |all |both |its )?(?:[\\w-]+ ){0,3}?)(?:in|out)puts?\\b`, 'gi'),
  new RegExp(`\\b((?:${acts('')}) (?:the|all|both|its) (?:[\\w-]+ ){0,3}?)(?:in|out)puts?\\b`, 'gi'),
  new RegExp(
    '\\b((?:turns?|switch(?:es)?|cuts?|pulls?) (?:the |all |both |its )?(?:[\\w-]+ ){0,2}?)(?:in|out)puts?(?= (?:on|off|low|high)\\b)',
    'gi',
  ),
  /\b()(?:in|out)puts?(?= (?:(?:pin|channel|stage|driver)s? (?:[\w-]+ ){0,4})?(?:are|is) (?:enabled|disabled|active|on|off|held|forced|placed|put|turned)\b)/gi,
  /\b()(?:in|out)puts?(?= (?:off|on|enabled|disabled) (?:when|while|if)\b)/gi,
  // `low = outputs Hi-Z`
  /(= ?)outputs?(?= )/gi,
  /\b()(?:all (?:\w+ )?)?outputs are (?:three|tri|3)-?stated\b/gi,
  /\b()(?:in|out)put(?= voltage (?:connection|terminal)\b)/gi,
  // `all DACs output a span`: a verb.
  /\b((?:\w+s|which|they) )output(?= (?:a|an|the|from) )/g,
  // `both OUT1 and OUT2 are tri-stated`
  /\b((?:[A-Z]+\d* (?:and|or) )?OUT\w{0,4} (?:are|is) )(?:three|tri|3)-?stated\b/g,
  /\b()(?:in|out)puts?(?= (?:go|goes|becomes?|floats?|stays?|remains?)\b)/gi,
  /\b()(?:[Ii]n|[Oo]ut)puts?(?= [A-Z0-9]{1,4} (?:low|high)\b(?!-))/g,
  // `turns the output transistor on`, `high while the input is locked`
  /\b(the (?:[\w-]+ ){0,2})(?:in|out)puts?(?= (?:transistor|MOSFET|FET|stage|device)s?\b)/gi,
  /\b((?:while|when|whenever|if|until|unless|as long as|after|before) (?:the |an? |its |both |all )(?:[\w-]+ )?)(?:in|out)puts?(?= (?:is|are|was|has|have)\b)/gi,
  /\b()(?:in|out)puts?(?= (?:sens(?:e|ing)|frequency|swing|slew|impedance|amplitude|power level)\b)/gi,
];

/** A text in which only the terminal's own direction is left. */
const ownWords = (text: string): string =>
  /put/i.test(text) || text.includes('OUT') ? BESIDE.reduce((t, beside) => t.replace(beside, '$1…'), text) : text;

/** Evidence for types from a description's words, strongest first. */
export const wordsOfType = remember((given: string): Evidence[] => {
  if (given.trim() === '') return [];
  const text = ownWords(given);
  const clause = /[.;](\s|$)/.exec(text)?.index ?? Infinity;
  // A rail that is named behind the first clause is one that the terminal is wired to or works with, unless a clause begins with it.
  const told = (type: ElectricalType, at: number) =>
    at <= clause || !RAILS.has(type) ? 1 : /[.;]\s+$/.test(text.slice(0, at)) ? 0.8 : 0.4;
  // How it drives is often a sentence of its own, behind what it is for.
  const isOwnClause = (type: ElectricalType, at: number) =>
    (type === 'open-drain' || type === 'three-state') &&
    /[.;,(]\s*((it|this pin) is )?(an? )?((active[- ](low|high)|goes into|in)( a| the)?,? )?$/i.test(text.slice(Math.max(0, at - 40), at));
  const found: { own: Evidence; at: number; isAdvice: boolean }[] = [];
  for (const { type, weight, words, unless, isAdvice = false, isBare } of WORDINGS) {
    const match = words.exec(text);
    if (match && !unless?.test(text))
      found.push({
        own: {
          ...evidence(
            type,
            weight * (isOwnClause(type, match.index) ? 1 : lead(match.index)) * told(type, match.index),
            `“${match[0].trim()}”`,
          ),
          ...(isBare ? { isBare } : {}),
        },
        at: match.index,
        isAdvice,
      });
  }
  // `Convert input. … selects the mode of the output`: what follows the name of a terminal speaks of others too.
  const called = headlineOf(given);
  const other = called && (called === 'input' ? 'output' : 'input');
  if (called && !found.some(({ own, at }) => own.type === called && at < clause))
    found.push({ own: evidence(called, 5, `“${called}”`), at: 0, isAdvice: false });
  const isSaid = found.some(({ own, at }) => SAID.has(own.type) && own.weight >= 4.5 && at < clause);
  return found
    .filter(({ own, at, isAdvice }) => !(isAdvice && isSaid) && !(own.type === other && own.weight <= 5 && at > clause))
    .map(({ own }) => own)
    .sort((a, b) => b.weight - a.weight);
});

/** Words at the start of a description say what the terminal is; words far behind often tell of another. */
const lead = (index: number): number => (index < 25 ? 1 : index < 60 ? 0.9 : 0.7);
