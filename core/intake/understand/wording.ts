import type { ElectricalType } from '../../part';

/** Words that tell a type, and how strongly. */
export interface Wording {
  type: ElectricalType;
  weight: number;
  words: RegExp;
  /** Where these stand in the text too, the wording means something else. */
  unless?: RegExp;
  /** The wording tells what to wire to the terminal: it counts only where the text does not say what the terminal is. */
  isAdvice?: true;
  /** A column that says a direction outright knows better: there it is no more than a hint. */
  isBare?: true;
}
