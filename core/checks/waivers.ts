import { sha256 } from '../release/digest';
import type { Edit, Part } from '../part';
import type { Finding, Where } from './rule';

/**
 * What a waiver is bound to: the finding's words and the pin, unit, pads or model that it points to. When any of it
 * changes the waiver lapses, so that nobody's "that is fine" covers something they never saw.
 */
export function waivedDigest(part: Part, finding: Pick<Finding, 'rule' | 'where' | 'message'>): string {
  return sha256(JSON.stringify([finding.rule, finding.message, ...subjects(part, finding.where)]));
}

function subjects(part: Part, where: Where): unknown[] {
  const pin = part.pins.find((p) => p.id === where.pin);
  const unit = part.units.find((u) => u.id === where.unit);
  const model = part.models.find((m) => m.id === where.model);
  const pkg = part.packages.find((p) => p.id === where.package);
  return [
    pin ? [pin.name, pin.type, pin.activeLow ?? false, Object.entries(pin.pads).sort()] : null,
    unit ? [unit.label, Object.entries(unit.binding).sort()] : null,
    // Sorted: in the file the nodes stand in another order than they were tied in, and a waiver outlives the file.
    model ? [model.chosen, sorted(model.ties[where.unit ?? '*'])] : null,
    pkg && where.pad !== undefined ? pkg.land.pads.filter((p) => p.number === where.pad) : null,
  ];
}

const sorted = (ties: object | undefined) => (ties ? Object.entries(ties).sort(([a], [b]) => (a < b ? -1 : 1)) : null);

/** The edit that waives a finding with a reason. */
export const waiverEdit = (part: Part, finding: Finding, reason: string): Edit => ({
  kind: 'waive',
  waiver: { finding: finding.id, rule: finding.rule, reason, digest: waivedDigest(part, finding) },
});
