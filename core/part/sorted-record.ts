import { z } from 'zod';
import { compareNatural } from './natural';

/**
 * A dictionary whose keys stand in natural order after parsing, so that two equal parts are
 * written as the same bytes whatever order their keys were added in.
 */
export const sortedRecord = <V extends z.ZodType>(value: V) =>
  z
    .record(z.string(), value)
    .transform(
      (record) => Object.fromEntries(Object.entries(record).sort(([a], [b]) => compareNatural(a, b))) as Record<string, z.output<V>>,
    );
