import type { Pad } from '../../part';
import { FARTHEST_MM } from '../limits';
import { roundMm } from '../round-mm';

const MM_PER_UNIT: Record<string, number> = {
  mm: 1,
  millimeter: 1,
  millimeters: 1,
  millimetre: 1,
  millimetres: 1,
  mil: 0.0254,
  mils: 0.0254,
  thou: 0.0254,
  in: 25.4,
  inch: 25.4,
  inches: 25.4,
  '"': 25.4,
  '″': 25.4,
  um: 0.001,
  µm: 0.001,
  μm: 0.001,
  micron: 0.001,
  microns: 0.001,
};

/** Millimetres a unit by any of its usual names; undefined for a word that is none. */
export const mmPerUnit = (unit: string): number | undefined =>
  Object.hasOwn(MM_PER_UNIT, unit.toLowerCase()) ? MM_PER_UNIT[unit.toLowerCase()] : undefined;

/** The names that are no other word too, the longer ones first. */
const NAMES = Object.keys(MM_PER_UNIT).filter((unit) => /^[a-zµμ]+$/.test(unit) && unit !== 'in').sort((a, b) => b.length - a.length); // prettier-ignore
const UNITS = `(?<![a-zµμ])(?:${NAMES.join('|')})`;
/** `Units: mil`, `All dimensions in inches`. */
const SAYS_UNIT = new RegExp(
  `\\b(?:units?|dimensions?|lengths?|sizes?|values?|coordinates?|figures?)\\b[^\\d]{0,30}?(${UNITS}|\\bin)\\W*$`,
  'i',
);
/** `Pad list, um`, `Land (mm)` */
const ENDS_WITH_UNIT = new RegExp(`[,([:;-]\\s*(${UNITS}|in)\\s*[)\\]]?\\s*$`, 'i');
/** `Width (mm)`, `x_mil` */
const HEADING_UNIT = new RegExp(`(?:[\\s_([/,]+)(${UNITS}|in)[\\])]?$`, 'i');

/** Longer texts than these are no heading, no cell with a length and no line that says a unit. */
export const LONGEST_CELL = 80;
const LONGEST_LINE = 400;

/** The unit that a line above the heading says for all that follows, as it is written there. */
export const unitSaid = (line: string): string | undefined =>
  line.length > LONGEST_LINE ? undefined : (SAYS_UNIT.exec(line) ?? ENDS_WITH_UNIT.exec(line))?.[1];

/** A heading without the unit at its end, and that unit. */
export function withoutUnit(heading: string): { name: string; unit: string | undefined } {
  const found = HEADING_UNIT.exec(heading);
  return found ? { name: heading.slice(0, found.index), unit: found[1] } : { name: heading, unit: undefined };
}

/** A cell that holds nothing but a unit, with or without brackets. */
export const unitAlone = (cell: string): string | undefined => {
  const word = cell.replace(/^[([]\s*|\s*[)\]]$/g, '');
  return mmPerUnit(word) === undefined ? undefined : word;
};

const LENGTH = /^([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d{1,2})?)\s*([a-zµμ]+|["″])?$/i;

/**
 * A length in mm. `perUnit` is for a text without a unit; with `isDecimalComma` a comma is the decimal sign. Undefined for
 * what is no length, or is over two metres.
 */
export function lengthMm(given: string, perUnit: number, isDecimalComma: boolean): number | undefined {
  if (given.length > LONGEST_CELL) return undefined;
  const text = isDecimalComma ? given.replace(/^([+-]?\d*),(\d)/, '$1.$2') : given;
  const match = LENGTH.exec(text);
  const unit = match?.[2] === undefined ? perUnit : mmPerUnit(match[2]);
  const value = match && unit !== undefined ? Number(match[1]) * unit : NaN;
  return Number.isFinite(value) && Math.abs(value) <= FARTHEST_MM ? roundMm(value) : undefined;
}

/** True for a length with its unit. */
export const hasUnit = (cell: string): boolean => cell.length <= LONGEST_CELL && mmPerUnit(LENGTH.exec(cell)?.[2] ?? '') !== undefined;

/** What stands where a pad has no hole. */
export const isNone = (text: string): boolean => /^(?:[-–—]*|0+(?:[.,]0+)?\s*[a-z"]{0,5}|n\/?a|none|no|nil)$/i.test(text);

/** `(-2.5, 1.27)`, `-2.5 / 1.27`: the two lengths of a place. */
export function placeIn(text: string, isDecimalComma: boolean): string[] {
  if (text.length > LONGEST_CELL) return [text];
  const inner = text.replace(/^[([]\s*|\s*[)\]]$/g, '');
  const sign = [/[;/|]/, isDecimalComma ? /,\s/ : /,/, /\s(?=[-+.\d])/].find((s) => s.test(inner));
  return sign ? inner.split(sign).map((t) => t.trim()) : [inner];
}

/** `0.6 x 1.5 mm`: width and height, each with its unit; one length where a pad is as wide as high. */
export function sizeIn(text: string): string[] {
  if (text.length > LONGEST_CELL) return [text];
  const both = text.split(/\s*(?:[x×*/]|\bby\b)\s*/i);
  const unit = /[a-zµμ"″]+$/i.exec(both.at(-1)!)?.[0] ?? '';
  return both.map((t) => (/\d$/.test(t) ? t + unit : t));
}

/** The shape that a word or two name, in the form it is usual to write it; undefined where it is none that a pad has here. */
export function shapeIn(text: string): Pad['shape'] | undefined {
  if (text.length > LONGEST_CELL) return undefined;
  const words = text.toLowerCase().replace(/[^a-z]+/g, ' ').trim(); // prettier-ignore
  if (/chamf|oct|hex|poly|custom|free|special/.test(words)) return undefined;
  if (/^r(?:ound(?:ed)?)?[ ]?(?:rect|sq)|(?:rect|square).*round|^rounded$/.test(words)) return 'roundrect';
  if (/\b(?:oval|obround|oblong|pill|stadium|ellip)/.test(words)) return 'oval';
  if (/\b(?:circ|round$|disc)/.test(words)) return 'circle';
  return /\b(?:rect|square)/.test(words) ? 'rect' : undefined;
}
