import type { ElectricalType } from '../../part';

/**
 * A reason to think that a terminal has a type. Weights are on one scale for all kinds of evidence:
 * 1 a hint, 3 enough to stand alone, 6 said outright, 9 said so that nothing else can be meant.
 */
export interface Evidence {
  type: ElectricalType;
  weight: number;
  /** The words it came from, as a person would be shown them. */
  because: string;
  /** Where a type column says a direction outright, it is a hint only. */
  isBare?: true;
}

export const evidence = (type: ElectricalType, weight: number, because: string): Evidence => ({
  type,
  weight,
  because,
});

/** The first voice of each type: the strongest where they are sorted. */
export function oneOfEach(voices: readonly Evidence[]): Evidence[] {
  const seen = new Set<ElectricalType>();
  return voices.filter((e) => !seen.has(e.type) && !!seen.add(e.type));
}

/** Broader words that a narrower type covers: an output that is called three-state is one thing said twice. */
export const COVERS: Partial<Record<ElectricalType, ElectricalType[]>> = {
  'three-state': ['output'],
  'open-drain': ['output'],
  'open-source': ['output'],
  bidirectional: ['input', 'output', 'three-state'],
  passive: ['input', 'output', 'bidirectional', 'supply-in', 'ground'],
};
