import { remember } from '../../part';

/**
 * The first clause of a description and the word it ends with: `Analog current monitor output. Sources a ratio of …` names
 * the terminal, and what follows tells of it.
 */
const HEADLINE =
  /^\W*(?:(?!(?:of|from|to|for|at|with|by|on|in|when|if|while)\b)[\w/+%°µΩ-]+,? ){0,7}(input|output)(?: (?:pin|terminal|signal|lead|line))?(?: (?:of|for|from|to) (?:the )?(?:[\w-]+ ){0,3}[\w-]+)?(?: [A-Z]{0,2}\d{0,2}[+\-−]?)?\s*(?:\([^)]*\)\s*)?(?:[.;]|$)/i;

/** Nouns that are no direction of a signal, or that tell both. */
const OTHER = /\b(supply|power|rail|voltage|battery|adapter|ground|reference|bias|regulator|charge[- ]?pump|crystal|oscillator|and|or)\b/i;

/** The direction that a description's first clause closes with; undefined where it names none, both, or a rail. */
export const headlineOf = remember((description: string): 'input' | 'output' | undefined => {
  const match = HEADLINE.exec(description.slice(0, 120));
  if (!match || OTHER.test(match[0])) return undefined;
  const others = match[0].match(/\b(inputs?|outputs?|i\/o)\b/gi) ?? [];
  return others.length === 1 ? (match[1]!.toLowerCase() as 'input' | 'output') : undefined;
});
