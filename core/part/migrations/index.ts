import { SCHEMA_VERSION } from '../part';

type Raw = Record<string, unknown>;

/**
 * Migrations by the schema they start from, applied one after the other until the current shape is reached.
 * Parts written before the `schema` key existed are schema 0: their units kept `pins` by port instead of `binding`.
 */
const MIGRATIONS: Record<number, (raw: Raw) => Raw> = {
  0: (raw) => ({
    ...raw,
    schema: 1,
    units: list(raw['units']).map(({ pins, ...unit }) => ({ ...unit, binding: unit['binding'] ?? pins ?? {} })),
  }),
};

const list = (value: unknown): Raw[] => (Array.isArray(value) ? (value as Raw[]) : []);

/** Brings raw JSON of an older schema to the current one. Newer schemas come back untouched, for the caller to refuse. */
export function migrate(raw: Raw): Raw {
  let current = raw;
  for (let version = schemaOf(raw); version < SCHEMA_VERSION; version = schemaOf(current)) {
    const step = MIGRATIONS[version];
    if (!step) return current;
    current = step(current);
  }
  return current;
}

/** The schema a raw part says it has; 0 where it says nothing readable. */
export const schemaOf = (raw: Raw): number => (Number.isInteger(raw['schema']) ? (raw['schema'] as number) : 0);
