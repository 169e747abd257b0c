import type { Edit, HouseRules, Part, Pin, Port, Severity, Unit } from '../part';
import type { SpiceModel } from '../spice';

/** What a finding points to. The screen leads there; the command line says it. */
export interface Where {
  pin?: string;
  unit?: string;
  package?: string;
  pad?: string;
  model?: string;
  node?: string;
  field?: string;
}

/** A change that would settle a finding, applied with one key. */
export interface Mend {
  label: string;
  edit: Edit;
}

export interface RawFinding {
  where: Where;
  message: string;
  mends?: Mend[];
}

export interface Finding extends RawFinding {
  /** The same for the same trouble at the same place, so that a waiver finds it again. */
  id: string;
  rule: string;
  severity: Severity;
  mends: Mend[];
}

/** Families of rules with their titles, in the order that findings are shown. */
export const FAMILIES = {
  identity: 'Identity',
  pins: 'Pins',
  types: 'Electrical types',
  doubts: 'Doubts',
  units: 'Units',
  pads: 'Pads',
  nodes: 'Model nodes',
  trials: 'Trials',
  'read-backs': 'Read-back',
  waivers: 'Waivers',
} as const;
export type FamilyId = keyof typeof FAMILIES;

/** One rule as a plain object. `find` looks at the whole part and gives what is wrong. */
export interface Rule {
  id: string;
  family: FamilyId;
  severity: Severity;
  title: string;
  why: string;
  find(facts: Facts): RawFinding[];
}

/** The part with the look-ups that many rules need, made once per run. */
export interface Facts {
  part: Part;
  rules: HouseRules;
  pinById: ReadonlyMap<string, Pin>;
  /** Where each pin is drawn. */
  placesOf: ReadonlyMap<string, { unit: Unit; port: Port }[]>;
  /** Chosen SPICE models by model id; missing where the source no longer has them. */
  chosen: ReadonlyMap<string, SpiceModel>;
}

/** "VDD (8, 21)": a pin as messages name it. */
export function pinText(pin: Pin, packageId?: string): string {
  const pads = (packageId === undefined ? Object.values(pin.pads)[0] : pin.pads[packageId]) ?? [];
  const numbers = pads.length > 4 ? `${pads.slice(0, 4).join(', ')} …` : pads.join(', ');
  return `${pin.name || 'the pin without a name'}${numbers ? ` (${numbers})` : ''}`;
}

export const setType = (pins: readonly Pin[], type: Pin['type']): Mend => ({
  label: `make it ${type}`,
  edit: { kind: 'changePins', changes: pins.map((p) => ({ id: p.id, set: { type } })), byHand: true },
});
