import { inEnglish } from '../intake/understand/other-languages';
import { remember } from '../part';

/** Words that count places, from the first on. */
export const PLACES = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth'];

/** Where a hyphen or an underscore ties words together; short names keep theirs: `IN-2`, `IN_A`. */
const TIED = [
  // positive-supply, soft-start
  /(?<=[a-z]{4}\.?)-(?=[a-z]{4})/,
  // NEG-SUPPLY
  /(?<=\b(?:pos|neg|inv))-(?=[a-z]{5})/,
  // main terminal-1, input-a
  /(?<=[a-z]{4})-(?=\d)/,
  /(?<=put)-(?=[a-h]$)/,
  // 5-V-reference
  /(?<=\d-v)-(?=[a-z]{4})|(?<=^\d)-(?=v-)/,
];
const HYPHENS = new RegExp(TIED.map((tie) => tie.source).join('|'), 'gi');
/** NEG_SUPPLY, INV._INPUT, bus_line_A. */
const UNDERSCORES = /(?<=[a-z]{3})_(?=[a-z]{4})|(?<=[a-z]{4})_|(?<=[a-z]\.)_(?=[a-z]{4})|_(?=[a-z]{5})/gi;
/** drain-of-M2 */
const ALL_TIED = /^(?=.{10})[a-z]+(-\w+){2,}$/i;

/** A comment whose words are tied together, in single words. */
export const untied = (text: string): string => {
  if (/\s/.test(text)) return text;
  return ALL_TIED.test(text) ? text.replaceAll('-', ' ') : text.replace(HYPHENS, ' ').replace(UNDERSCORES, ' ');
};

/** A text as names and comments are compared by: in English and in small letters, in single words, without `pin` behind a name. */
export const normal = remember((text: string): string =>
  untied(inEnglish(text))
    .toLowerCase()
    .replace(/[−–]/g, '-')
    // A bar over the letters.
    .replace(
      /^(\d{0,2})(?=.{0,30}[\u0304\u0305])(.+)$/,
      (_, channel: string, name: string) => `${channel}~${name.replace(/[\u0304\u0305]/g, '')}`,
    )
    .replace(/\(([+-])\)/g, '$1')
    .replace(UNDERSCORES, ' ')
    .replace(/\bnon-?\s?inv\b\.?/g, 'non-inverting')
    .replace(/\binv\b\.?(?= )|^inv$/g, 'inverting')
    .replace(/\b(pos|neg)(?:\.|(?= ))/g, (_, sign: string) => (sign === 'pos' ? 'positive' : 'negative'))
    // `GND pin` and `GND terminal` are GND.
    .replace(/^([^ ]+) pin$|^([^ ]{1,5}) terminal$/, '$1$2')
    .replace(/\s+/g, ' ')
    .trim(),
);
