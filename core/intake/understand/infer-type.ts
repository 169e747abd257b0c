import { heldAgainstPrecedent } from './held-against-precedent';
import { inEnglish } from './other-languages';
import { evidenceOfCode } from './type-codes';
import { weighType, type TypeConclusion } from './weigh-type';

/** A conclusion that is kept, with its reasons cut where they name the name it was drawn for. */
interface Kept {
  name: string;
  conclusion: TypeConclusion;
  because: string[];
}
/** By the shapes of names; a list where shapes fall on one key. */
type ByShape = Map<number, Kept[]>;

/** Conclusions by what they depend on; names that differ in figures only come to the same one. */
const concluded = new WeakMap<ReadonlyMap<string, string>, Map<string | undefined, Map<string, ByShape>>>();
const MOST_KEPT = 4096;

/** Concludes a terminal's type from its type column (undefined where the table has none), description and name. */
export function inferType(
  name: string,
  code: string | undefined,
  description: string,
  legend: ReadonlyMap<string, string>,
): TypeConclusion {
  const kept = keptFor(legend, code, description);
  const key = shapeKey(name);
  const alike = kept.get(key);
  const known = alike?.find((k) => hasShape(k.name, name));
  if (known) return known.name === name ? copyOf(known.conclusion) : renamed(known, name);
  // A dash is no word.
  const words = /^[-–—\s]*$/.test(description) ? '' : inEnglish(description);
  const said = { name, code, description: words, told: evidenceOfCode(code ?? '', legend) };
  const conclusion = heldAgainstPrecedent(weighType(said), said);
  if (kept.size >= MOST_KEPT) kept.clear();
  kept.set(key, [...(alike ?? []), { name, conclusion, because: conclusion.because.split(`name ${name}`) }]);
  return copyOf(conclusion);
}

const isFigure = (code: number): boolean => code >= 48 && code <= 57;
/** Short names such as X1 or C1P mean what they mean by their figures. */
const SHORT = 3;

/** A number that is the same for names of one shape; without making a text for each of a thousand names. */
function shapeKey(name: string): number {
  let key = name.length;
  for (let i = 0; i < name.length; i++) {
    const code = name.charCodeAt(i);
    key = (key * 31 + (name.length > SHORT && isFigure(code) ? 48 : code)) | 0;
  }
  return key;
}

/** True where two names are the same but for their figures. */
function hasShape(a: string, b: string): boolean {
  if (a.length !== b.length) return false;
  if (a.length <= SHORT) return a === b;
  for (let i = 0; i < a.length; i++) {
    const x = a.charCodeAt(i);
    const y = b.charCodeAt(i);
    if (x !== y && !(isFigure(x) && isFigure(y))) return false;
  }
  return true;
}

function keptFor(legend: ReadonlyMap<string, string>, code: string | undefined, description: string): ByShape {
  let byCode = concluded.get(legend);
  if (!byCode) concluded.set(legend, (byCode = new Map()));
  let byWords = byCode.get(code);
  if (!byWords || byWords.size > MOST_KEPT) byCode.set(code, (byWords = new Map()));
  let byShape = byWords.get(description);
  if (!byShape) byWords.set(description, (byShape = new Map()));
  return byShape;
}

const copyOf = (c: TypeConclusion): TypeConclusion => (c.doubt ? { ...c, doubt: { ...c.doubt } } : c);

/** The same conclusion for another name: its reasons speak of that one. */
function renamed({ name, conclusion: c, because }: Kept, other: string): TypeConclusion {
  if (because.length === 1 && !c.doubt) return c;
  const say = (text: string) => text.split(`name ${name}`).join(`name ${other}`).split(`Name ${name}`).join(`Name ${other}`);
  const out: TypeConclusion = { type: c.type, because: because.join(`name ${other}`), confidence: c.confidence };
  if (c.doubt) out.doubt = { ...c.doubt, reason: say(c.doubt.reason) };
  return out;
}
