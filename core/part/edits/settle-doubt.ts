import { electricalTypeSchema } from '../electrical-type';
import type { Doubt, Pin } from '../pin';
import { replaceById, type EditRule } from './edit-rule';

/** Confirms what stands in a doubtful field, or puts another value there. Either way the doubt is over. */
export interface SettleDoubt {
  kind: 'settleDoubt';
  pin: string;
  field: Doubt['field'];
  value?: string;
}

export const settleDoubt: EditRule<SettleDoubt> = {
  apply: (part, edit) => ({ ...part, pins: replaceById(part.pins, [edit.pin], (pin) => settled(pin, edit)) }),
  describe: ({ field, value }) => (value === undefined ? `confirm the ${field}` : `settle the ${field}`),
};

function settled(pin: Pin, { field, value }: SettleDoubt): Pin {
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
    case 'number': {
      const only = Object.keys(pin.pads)[0];
      return only === undefined ? next : { ...next, pads: { ...pin.pads, [only]: [value] } };
    }
    default:
      return { ...next, [field]: value };
  }
}
