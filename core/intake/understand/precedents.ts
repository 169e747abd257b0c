import { ELECTRICAL_TYPES, type ElectricalType } from '../../part';
import type { Evidence } from './evidence';
import learnt from './precedents.json';
import { traitsOf, type Traits } from './traits';

/**
 * What terminals of such names and words were in datasheets before: a second reader that knows none of the wordings that
 * the first one goes by. It is a multinomial logistic regression over `traits`; `npm run learn` makes its weights anew from
 * the labelled terminals in `bench/corpus/terminals`.
 */
export interface Precedent {
  /** What most terminals like this one were. */
  type: ElectricalType;
  /** What most of the others were. */
  next: () => ElectricalType;
  /** The share of terminals like this one that were of a type, 0 to 1. */
  share: (type: ElectricalType) => number;
  /** The words that speak most for `type` and against `other`; undefined where only the column and little things do. */
  wordsFor: (type: ElectricalType, other: ElectricalType) => string | undefined;
}

/** Weights are kept as one letter for each type: `STEP` times its distance from `ZERO`. */
const ZERO = 78;
const STEP = 0.2;
const FURTHEST = 45;

/** A row of weights, one for each type, as letters; undefined where none of them is worth keeping. */
export function packWeights(row: readonly number[]): string | undefined {
  const steps = row.map((w) => Math.max(-FURTHEST, Math.min(FURTHEST, Math.round(w / STEP))));
  return steps.some((s) => s !== 0) ? String.fromCharCode(...steps.map((s) => letter(s + ZERO))) : undefined;
}

/** Quote and backslash would need an escape each in the file: two codes above the others change places with them. */
const EXCHANGED = new Map([
  [34, 126],
  [126, 34],
  [92, 125],
  [125, 92],
]);
const letter = (code: number): number => EXCHANGED.get(code) ?? code;

const weights = new Map<string, Float64Array>();

/** Unpacked at the first question, not when the program starts. */
function weightsOf(trait: string): Float64Array | undefined {
  if (weights.size === 0)
    for (const [key, row] of Object.entries(learnt as Record<string, string>))
      weights.set(
        key,
        Float64Array.from(row, (c) => (letter(c.charCodeAt(0)) - ZERO) * STEP),
      );
  return weights.get(trait);
}

/** What terminals like this one were; `told` is what the type column says, if the table has one. */
export function precedentOf(name: string, told: readonly Evidence[], hasCode: boolean, description: string): Precedent {
  const traits = traitsOf(name, told, hasCode, description);
  const known = [...traits.keys()].flatMap((t) => weightsOf(t) ?? []);
  const scale = 1 / Math.sqrt(Math.max(1, known.length));
  const sums = ELECTRICAL_TYPES.map((_, k) => Math.exp(known.reduce((sum, row) => sum + row[k]!, 0) * scale));
  const sumOf = (type: ElectricalType): number => sums[ELECTRICAL_TYPES.indexOf(type)]!;
  const whole = sums.reduce((a, b) => a + b, 0);
  const mostOf = (types: readonly ElectricalType[]) => types.reduce((most, type) => (sumOf(type) > sumOf(most) ? type : most));
  const type = mostOf(ELECTRICAL_TYPES);
  return {
    type,
    next: () => mostOf(ELECTRICAL_TYPES.filter((t) => t !== type)),
    share: (type) => sumOf(type) / whole,
    wordsFor: (type, other) => loudest(traits, ELECTRICAL_TYPES.indexOf(type), ELECTRICAL_TYPES.indexOf(other)),
  };
}

/** The text whose traits together speak most for one type against another. */
function loudest(traits: Traits, type: number, other: number): string | undefined {
  const voices = new Map<string, number>();
  for (const [trait, shown] of traits) {
    const row = weightsOf(trait);
    if (row && shown !== '' && !/^(\W|[a-z]{1,3}\b|from|this|that|with|when|into)*$/i.test(shown))
      voices.set(shown, (voices.get(shown) ?? 0) + row[type]! - row[other]!);
  }
  const [best] = [...voices].sort((a, b) => b[1] - a[1]);
  return best && best[1] > 0.5 ? best[0] : undefined;
}
