/** The leads of small parts as a drawing's legend counts them: `1: Anode`, `2. Cathode`, `Pin connections: 1 anode, 2 cathode`. */
export interface ListedLead {
  number: string;
  name: string;
  /** The text that it stands in, by its place among those given. */
  at: number;
}

const ADJECTIVE = String.raw`(?:led|photo|input|output|transistor|triac|diode|internal|common|first|second|upper|lower|red|green|blue|driver|kelvin|main|moving|make|break|normally[- ](?:open|closed)|centre|center|mounting)[- ]`;
const LEAD = String.raw`anodes?|cathodes?|collectors?|emitters?|base|gate|drain|source|main terminal|mt|nc|n\.c\.?|(?:no|not) (?:internal(?:ly)? )?connect(?:ion|ed)?|do not connect|substrate|ground|gnd|v(?:cc|dd|ss|ee|o|out|in)|coil|contact|winding|primary|secondary|(?:centre|center) tap|wiper|crystal|shield|case|input|output`;
const NAME = String.raw`(?:${ADJECTIVE}){0,3}(?:${LEAD})(?: ?[1-4a-d+-])?(?: (?:red|green|blue|white|yellow|amber))?(?: ?\([^()]{1,24}\))?`;
const ENTRY = new RegExp(String.raw`(?:^|[\s,;(|])(?:(?:pin|terminal|lead)s? ?(?:no\.? ?)?)?#?(\d{1,2})\s*(?:[.:)=]|[-–—](?=\s)|(?=\s))\s*(${NAME})(?=\s*(?:[.,;/|)]|$)|\s+(?:(?:pin|terminal|lead) ?)?#?\d{1,2}\s*[.:)=\s])`, 'gi'); // prettier-ignore
/** What only leads of discrete parts are called: without any of these a list of supplies and outputs can be of anything. */
const DISCRETE =
  /\b(anodes?|cathodes?|collectors?|emitters?|base|gate|drain|source|main terminal|coil|contact|winding|primary|secondary|wiper|crystal)\b/i;
/** What may stand before the first entry of a line. */
const LEAD_IN =
  /^\W*((pin|terminal|lead|electrical|internal)s? ?)*(connections?|assignments?|configuration|out|layout|numbers?|identification|names?|functions?|descriptions?)?\W*$/i;
/** So many lines may stand between two entries: the legend of a drawing has its picture beside it. */
const NEAR = 4;
const MOST = 16;

/**
 * The leads that texts list, in the order of their numbers, which count through from 1; undefined where there is no such list
 * or two that differ. A text that says anything besides its entries is a sentence, and has none.
 */
export function listedLeads(texts: readonly string[]): ListedLead[] | undefined {
  const entries = texts.flatMap((text, at) => entriesIn(text).map((e) => ({ ...e, at })));
  const lists: ListedLead[][] = [];
  entries.forEach((first, i) => {
    if (first.number !== '1') return;
    const list = [first];
    for (let k = i + 1; k < entries.length; k++) {
      const next = entries[k]!;
      if (Number(next.number) !== list.length + 1 || next.at - list.at(-1)!.at > NEAR || list.length === MOST) break;
      list.push(next);
    }
    const isDiscrete = list.length > 1 && list.filter((e) => DISCRETE.test(e.name)).length * 2 >= list.length;
    if (isDiscrete && !goesOnOtherwise(texts, list)) lists.push(list);
  });
  const [list, ...others] = lists;
  const said = (of: readonly ListedLead[]) => of.map((e) => e.name.toLowerCase()).join();
  return list && others.every((o) => said(o) === said(list)) ? list : undefined;
}

/** Where another list begins. */
const FIRST = /^\W*(?:(?:pin|terminal|lead) ?)?#?1\b/i;

/** True where the next number follows with words that no lead has: the list says more than was understood of it. */
function goesOnOtherwise(texts: readonly string[], list: readonly ListedLead[]): boolean {
  const { at, number } = list.at(-1)!;
  const next = new RegExp(String.raw`^\W*(?:(?:pin|terminal|lead) ?)?#?${Number(number) + 1}(?:\s*[.:)=]\s*|\s+)[A-Za-z].{0,40}$`, 'i');
  for (let i = at + 1; i <= at + NEAR && i < texts.length && !FIRST.test(texts[i]!); i++) if (next.test(texts[i]!)) return true;
  return false;
}

function entriesIn(text: string): { number: string; name: string }[] {
  if (text.length > 300 || !/\d/.test(text)) return [];
  const found = [...text.matchAll(ENTRY)];
  const rest = found.reduce((t, m) => t.replace(m[0], ' '), text);
  const before = found.length === 0 ? '' : text.slice(0, found[0]!.index);
  const isWhole = LEAD_IN.test(before) && !/\w/.test(rest.replace(before, ''));
  return isWhole ? found.map((m) => ({ number: m[1]!, name: m[2]!.trim() })) : [];
}
