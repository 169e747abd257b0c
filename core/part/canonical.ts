import { partSchema, frozenPartSchema, type FrozenPart, type Part } from './part';

/**
 * The canonical form: keys in the schema's order, dictionaries in natural order, one pin, port or pad a line,
 * two spaces of indent, a line feed at the end. Equal parts are equal bytes, so a digest can be taken of them and
 * version control shows a changed pin as one changed line.
 *
 * The order comes from parsing through the schema once more: Zod builds objects in the order of the shape, and
 * `sortedRecord` sorts dictionaries. Do not skip the parse: edits spread objects and leave their keys in any order.
 */
export const canonicalPart = (part: Part): string => `${write(partSchema.parse(part), '')}\n`;

/** The canonical form of a part without its releases; what a release's digest is taken of. */
export const canonicalFrozen = (part: FrozenPart | Part): string => `${write(frozenPartSchema.parse(part), '')}\n`;

/** Lists whose members are opened over several lines, because lists of their own stand in them. */
const OPENED = new Set(['units', 'drawings', 'packages', 'models', 'releases']);
/** Lists that are written one member a line. */
const LINES = new Set(['pins', 'ports', 'strokes', 'labels', 'pads', 'fields', 'sources', 'companions', 'accessories', 'waivers']);

function write(value: object, indent: string): string {
  const inner = `${indent}  `;
  const lines = Object.entries(value)
    .filter(([, v]) => v !== undefined)
    .map(([key, v]) => `${inner}${JSON.stringify(key)}: ${writeMember(key, v, inner)}`);
  return `{\n${lines.join(',\n')}\n${indent}}`;
}

function writeMember(key: string, value: unknown, indent: string): string {
  if (Array.isArray(value) && value.length > 0 && (OPENED.has(key) || LINES.has(key))) {
    const member = (v: object) => (OPENED.has(key) ? write(v, `${indent}  `) : JSON.stringify(v));
    return `[\n${value.map((v) => `${indent}  ${member(v as object)}`).join(',\n')}\n${indent}]`;
  }
  if ((key === 'land' || key === 'frozen') && typeof value === 'object' && value !== null) return write(value, indent);
  return JSON.stringify(value);
}
