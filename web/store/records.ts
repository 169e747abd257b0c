import { checkPart } from '../../core/checks';
import { drawUnit, type Primitive } from '../../core/shapes';
import type { HouseRules, Part } from '../../core/part';
import { latestRelease, partDigest } from '../../core/release';

/** What the Shelf shows of a part without opening it. */
export interface Summary {
  id: string;
  name: string;
  maker: string;
  description: string;
  /** All words that search looks through, lower case. */
  words: string;
  state: string;
  pins: number;
  units: number;
  errors: number;
  warnings: number;
  notes: number;
  updated: number;
  drawing: Primitive[];
}

export interface PartRecord {
  id: string;
  part: Part;
  /** Counts the saves; a tab whose count is behind does not write. */
  revision: number;
}

/** "draft", "proven", or "released v1.2" while nothing has changed since that release. */
export function stateOf(part: Part, errors: number): string {
  const last = latestRelease(part);
  if (last && last.digest === partDigest(part)) return `released v${last.version}`;
  const open = part.pins.some((p) => p.doubts.length > 0);
  return errors === 0 && !open && part.pins.length > 0 ? 'proven' : 'draft';
}

export function summarize(id: string, part: Part, rules: HouseRules, updated: number): Summary {
  const { findings } = checkPart(part, rules);
  const count = (severity: string) => findings.filter((f) => f.severity === severity).length;
  const first = part.units[0];
  return {
    id,
    name: part.name,
    maker: part.maker,
    description: part.description,
    words: [part.name, part.maker, part.description, ...part.keywords, ...part.orderCodes, ...part.pins.map((p) => p.name)]
      .join(' ')
      .toLowerCase(),
    state: stateOf(part, count('error')),
    pins: part.pins.length,
    units: part.units.length,
    errors: count('error'),
    warnings: count('warning'),
    notes: count('note'),
    updated,
    // A thumbnail is legible as a shape only: body, lines and marks.
    drawing: first
      ? drawUnit(part, first)
          .filter((p) => p.kind !== 'text')
          .slice(0, 240)
      : [],
  };
}
