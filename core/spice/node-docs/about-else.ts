import type { Comment } from '../cards';
import { isRemark, type Found } from './found';

/** What a part is good for: `input bias current`, `output swing`. */
const QUANTITY =
  /\b(current|range|swing|slew rate|bandwidth|drift|noise|rejection|ratio|cmrr|psrr|(?:loop |voltage )gain|impedance|effects?|protection|margin|recovery|times?|capacitance|inductance|resistance|accuracy|dissipation|charge|dropout|ripple|loop)(?: (?:under|over|at|with|and|of) [^,;]{1,30})?$|^offset voltage\b/i;
/** What somebody is to do with the file. */
const STEP =
  /^(copy|include|draw|place|add|click|import|paste|rename|save|edit|choose|simulate|make|download|unzip|(run|use|open|select|set|connect|start|load) (the|a|an|it|your|this))\b/i;
/** `mV offset`, behind a number that counts millivolts. */
const UNIT = /^(?:[munpkM](?:[AVWFHsS]|ohm)|[kMG]?Hz|[VA]\/\w+|[VAW](?= [a-z])|dB|ppm)\b/;

/** `10k`, `22n as built`; `18 V max`; `offset within 5 %`. */
const FIGURE = /^\d[\d.]*\s?[kMunpR](?:ohm|F|H)?(?:\s|$)|\b(?:max|min|typ|peak)\b|\bwithin \d|^-?\d[\d.]* to \w/;

/** True for a list in which nothing or little is said of terminals: features, figures, steps, clauses and dates are counted as nodes are. */
const isAboutElse = (docs: readonly string[]): boolean => {
  const share = (of: (doc: string) => boolean) => docs.filter(of).length / docs.length;
  return docs.length > 1 && (share(isRemark) >= 0.4 || [QUANTITY, STEP, UNIT, FIGURE].some((kind) => share((doc) => kind.test(doc)) > 0.5));
};

/** `1. set the part number`: what somebody is to do, counted. */
export const isStep = (text: string, doc: string): boolean => /^\s*\d{1,2}[.)]\s/.test(text) && STEP.test(doc);

/** What stands over a list, or before it, that counts something else than nodes. */
const TITLE_OF_ELSE =
  /\b(?:notes|levels|positions|stages|limits|limitations|accuracy|corners?|cases|versions|values|features|options|steps|history|changes|figures|settings|conditions|tolerances|path|blocks|protections?|marking|ratings?|test circuit|what the model (?:has|does)|modell?(?:ed|s)|how to)\b/i;

/** `Pin functions and features` is over terminals all the same. */
const OF_NODES = /\b(?:pins?|nodes?|terminals?|connections?|ports?|order)\b/i;

const saysElse = (title: string): boolean => TITLE_OF_ELSE.test(title) && !OF_NODES.test(title);

/** True for a line that is the title of such a list: a short one, or one that ends with a colon. */
function isTitleOfElse(text: string): boolean {
  const title = text.trim();
  return (title.endsWith(':') || title.split(/\s+/).length <= 4) && saysElse(title);
}

/** True for a list that is about something else, by its words or by the line over it. */
export const isListOfElse = (docs: readonly string[], over: string | undefined): boolean => isTitleOfElse(over ?? '') || isAboutElse(docs);

/**
 * The lines of lists that are about something else, as their words say, or the title over them or before them. Entries that
 * follow each other line by line are one list.
 */
export function linesOfElse(comments: readonly Comment[], found: Found): ReadonlySet<number> {
  const textAt = new Map(comments.map((c) => [c.line, c.text]));
  const runs: Found[] = [];
  let linesIn = new Map<string, number>();
  for (const entry of [...found].sort(([, a], [, b]) => a.line - b.line)) {
    const last = runs.at(-1);
    // A node that comes again on another line begins another list.
    const isAgain = (linesIn.get(entry[0]) ?? entry[1].line) !== entry[1].line;
    if (last && !isAgain && entry[1].line - last.at(-1)![1].line <= 1) last.push(entry);
    else {
      runs.push([entry]);
      linesIn = new Map();
    }
    linesIn.set(entry[0], entry[1].line);
  }
  const isOfElse = (run: Found) => {
    const [first, last] = [run[0]![1].line, run.at(-1)![1].line];
    const before = first === last ? (/^[^:=]*:(?=\s)/.exec(textAt.get(first)!)?.[0] ?? '') : '';
    const docs = run.map(([, { doc }]) => doc);
    return saysElse(before) || isListOfElse(docs, textAt.get(first - 1));
  };
  return new Set(runs.filter((run) => run.length > 1 && isOfElse(run)).flatMap((run) => run.map(([, { line }]) => line)));
}
