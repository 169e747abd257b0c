import { groupBy } from '../../part';
import type { Terminal } from '../proposal';

/** What is said of signals of any part, and names no interface. */
const OF_ANY =
  /^(?:(?:general[- ]purpose|digital|analog(?:ue)?|configurable|programmable|user|logic|control|test|port|bus|memory|serial|parallel)?[ -]?(?:i\/os?|gpios?|io|inputs?(?:\/outputs?)?|outputs?|signals?|data|address(?:es)?|pins?|lines?|ports?|channels?|bits?|control|clocks?|function)?|general[- ]purpose|reserved|configurable|differential pairs?|strobes?|commands?|lanes?|transceivers?|masks?|crystals?|see .*|not? .*)$/i;
/** So many terminals at least, and no more words than these, make words the name of an interface. */
const [LEAST, MOST_WORDS] = [4, 4];

const startOf = (name: string): string => /^([A-Z][A-Z0-9]+)_/i.exec(name)?.[1] ?? '';

/**
 * The interfaces that words name: the same few words said of several signals of unlike names, of which some go in and others out.
 * What is said of others in the same words and one more, `Printer data` beside `Printer`, is of it too. By terminal.
 */
export function bySameWords(signals: readonly Terminal[]): ReadonlyMap<Terminal, string> {
  const starts = new Map<string, number>();
  for (const { name } of signals) if (startOf(name) !== '') starts.set(startOf(name), (starts.get(startOf(name)) ?? 0) + 1);
  const said = groupBy(signals, (t) => t.description?.trim());
  const titles = [...said].flatMap(([words, of]) => {
    if (words === undefined || words.split(/\s+/).length > MOST_WORDS || !/^[A-Z]/.test(words) || OF_ANY.test(words)) return [];
    // Where names begin with what they are of, DDR_CK_P and DDR_WE#, words are of a part of it.
    const begun = of.filter((t) => (starts.get(startOf(t.name)) ?? 0) >= LEAST).length;
    if (begun > of.length / 3) return [];
    const isWhole = new Set(of.map((t) => t.name)).size >= LEAST && new Set(of.map((t) => t.type)).size > 1;
    return isWhole ? [words] : [];
  });
  const titleOf = (words: string) => titles.find((title) => words === title || words.startsWith(`${title} `));
  return new Map(
    signals.flatMap((t): [Terminal, string][] => {
      const title = t.description === undefined ? undefined : titleOf(t.description.trim());
      return title === undefined ? [] : [[t, title]];
    }),
  );
}
