import { electricalTypeSchema } from '../electrical-type';
import type { Doubt, Pin } from '../pin';
import { padNumbers } from './join-pads';
import { replaceById, type EditRule } from './edit-rule';

/** Confirms what stands in a doubtful field, or puts another value there. Either way the doubt is over. */
export interface SettleDoubt {
  kind: 'settleDoubt';
  pin: string;
  field: Doubt['field'];
  value?: string;
  /** The package whose numbers the value is for; the pin's first where it is not said. */
  package?: string;
}

export const settleDoubt: EditRule<SettleDoubt> = {
  apply: (part, edit) => ({ ...part, pins: replaceById(part.pins, [edit.pin], (pin) => settled(pin, edit)) }),
  describe: ({ field, value }) => (value === undefined ? `confirm the ${field}` : `settle the ${field}`),
};

function settled(pin: Pin, { field, value, package: packageId = Object.keys(pin.pads)[0] }: SettleDoubt): Pin {
  const next: Pin = {
    ...pin,
    doubts: pin.doubts.filter((d) => d.field !== field),
    byHand: [...new Set([...(pin.byHand ?? []), field])],
    because: { ...pin.because, [field]: value === undefined ? 'confirmed by hand' : 'set by hand' },
  };
  if (value === undefined) return next;
  switch (field) {
    case 'type':
      return { ...next, type: electricalTypeSchema.parse(value) };
    case 'activeLow':
      return { ...next, activeLow: value === 'true' || value === 'active low' };
    case 'number':
      return packageId === undefined ? next : { ...next, pads: { ...pin.pads, [packageId]: padNumbers(value) } };
    default:
      return { ...next, [field]: value };
  }
}
