import type { Doubt, Pin } from './pin';

/** A doubt with the pin that it is of. */
export interface OpenDoubt {
  pin: Pin;
  doubt: Doubt;
}

/** What a person answers for many terminals in one thought: what goes in or out, and by which level. */
const FIELDS: readonly Doubt['field'][] = ['type', 'activeLow'];

/** What a name shares with others of its bus, both halves of a pair: `DDR_DQS` of DDR_DQS3_P. */
export const stemOf = (name: string): string =>
  name
    .replace(/\d+/g, '')
    .replace(/_?[PNpn]$|[+\-−]$/, '')
    .replace(/_+$|[[\]()<>]/g, '');

/** The doubts that say of the terminals of one bus what this one says of its own: this one first, in the order of the list. */
export function alikeTo(current: OpenDoubt, all: readonly OpenDoubt[]): OpenDoubt[] {
  if (!FIELDS.includes(current.doubt.field)) return [current];
  const own = keyOf(current);
  return [current, ...all.filter((d) => d !== current && keyOf(d) === own)];
}

function keyOf({ pin, doubt }: OpenDoubt): string {
  const reason = doubt.reason.split(pin.name).join('#').replace(/\d+/g, '#');
  return [doubt.field, pin.type, pin.activeLow === true, stemOf(pin.name), (doubt.candidates ?? []).join(), reason].join('\n');
}
