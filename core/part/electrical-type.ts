import { z } from 'zod';

/**
 * The electrical type of a pin, in the words of IEEE 1149.1 and IBIS (IEC 62014-1).
 * `no-connect` is not connected inside the package; `reserved` is connected inside and is to be
 * treated as the datasheet tells.
 */
export const ELECTRICAL_TYPES = [
  'input',
  'output',
  'bidirectional',
  'three-state',
  'open-drain',
  'open-source',
  'passive',
  'supply-in',
  'supply-out',
  'ground',
  'no-connect',
  'reserved',
  'unspecified',
] as const;

export const electricalTypeSchema = z.enum(ELECTRICAL_TYPES);
export type ElectricalType = z.infer<typeof electricalTypeSchema>;

/** True for the types that drive their net: two of them joined are a fault. */
export const drives = (type: ElectricalType): boolean => type === 'output' || type === 'supply-out';

/** True for pins that carry power: supplies in and out, and grounds. */
export const carriesPower = (type: ElectricalType): boolean => type === 'supply-in' || type === 'supply-out' || type === 'ground';

/** True for outputs of every kind, whichever ways they drive, and for rails that the part makes. */
export const goesOut = (type: ElectricalType): boolean => GOING_OUT.has(type);
const GOING_OUT = new Set<ElectricalType>(['output', 'three-state', 'open-drain', 'open-source', 'supply-out']);

/** True for signals: all but power and what a circuit leaves alone. */
export const isSignal = (type: ElectricalType): boolean => !carriesPower(type) && type !== 'no-connect' && type !== 'reserved';
