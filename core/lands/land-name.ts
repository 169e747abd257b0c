import type { Family } from './family';
import { gullWings, padsOfLeads } from './fillets';
import { betweenCentres } from './generate';
import { hundredthsOfMm as round } from './round-mm';

/**
 * Names of lands in the form of IPC-7351B, table 3-15: the family's letters, then pitch, span or body, height, each in
 * hundredths of a millimetre, then the count of pins: `SOIC127P600X175-8` is 1.27 mm pitch, 6.00 mm over the leads,
 * 1.75 mm high, 8 pins. A letter L, N or M at the end is the density level (least, nominal, most).
 *
 * Such a name says where the leads end and not how long or wide they are. Those are taken as usual for the family and
 * have to be compared with the datasheet; toes and heels are those of the nominal density for gull wings.
 */
interface Read {
  family: Family;
  density?: 'L' | 'N' | 'M';
  /** What the name does not give and was taken as usual. */
  assumed: string[];
}

const hundredths = (text: string): number => Number(text) / 100;
/** Usual width of a lead, by pitch, and the usual length of its foot, in mm. */
const leadWidth = (pitch: number): number => round(Math.min(0.6, pitch * 0.55));
const footLength = (pitch: number): number => (pitch >= 1 ? 0.85 : 0.65);

/** Usual length of a foot of a small outline, in mm. */
const SMALL_FOOT = 0.45;

/** Pads for gull wings that end `over` apart: from a toe fillet outside to a heel fillet inside. */
function gullWing(over: number, pitch: number): { span: number; length: number; width: number } {
  return { ...padsOfLeads(over, footLength(pitch), gullWings(pitch)), width: leadWidth(pitch) };
}

type Reader = (m: RegExpExecArray) => { family: Family; assumed: string[] } | undefined;
const FEET = ['pad length', 'pad width', 'body'];

const FORMS: [RegExp, Reader][] = [
  [
    /^(SOIC|SOP|SSOP|TSSOP|MSOP|VSSOP)(\d+)P(\d+)X(\d+)-(\d+)$/,
    ([, , p = '', over = '', height = '', n = '']) => {
      const [pitch, wide, count] = [hundredths(p), hundredths(over), Number(n)];
      const leads = count % 2 === 0 ? count : count - 1;
      const body = { w: round(wide - 2.05), h: round((leads / 2 - 1) * pitch + 1.1) };
      const exposed = count % 2 === 0 ? {} : { exposed: { w: round(body.w * 0.6), h: round(body.h * 0.6) } };
      return {
        family: { kind: 'dual', count: leads, pitch, ...gullWing(wide, pitch), body, heightMm: hundredths(height), ...exposed },
        assumed: count % 2 === 0 ? FEET : [...FEET, 'exposed pad'],
      };
    },
  ],
  [
    /^(?:T|L)?QFP(\d+)P(\d+)X(\d+)X(\d+)-(\d+)$/,
    ([, p = '', over = '', other = '', height = '', n = '']) => {
      const [pitch, wide, count] = [hundredths(p), hundredths(over), Number(n)];
      if (count % 4 > 1) return undefined;
      const side = round(wide - 2);
      return {
        family: {
          kind: 'quad',
          count: count - (count % 4),
          pitch,
          ...gullWing(wide, pitch),
          round: true,
          body: { w: side, h: round(hundredths(other) - 2) },
          heightMm: hundredths(height),
          ...(count % 4 === 1 ? { exposed: { w: round(side * 0.5), h: round(side * 0.5) } } : {}),
        },
        assumed: FEET,
      };
    },
  ],
  [
    /^(QFN|SON)(\d+)P(\d+)X(\d+)X(\d+)-(\d+)$/,
    ([, kind, p = '', w = '', h = '', height = '', n = '']) => {
      const [pitch, body, count] = [hundredths(p), { w: hundredths(w), h: hundredths(h) }, Number(n)];
      const sides = kind === 'QFN' ? 4 : 2;
      const extra = count % sides;
      if (extra > 1) return undefined;
      const common = {
        count: count - extra,
        pitch,
        span: round(body.w - 0.1),
        length: 0.8,
        width: round(pitch * 0.56),
        body,
        heightMm: hundredths(height),
      };
      const pad =
        extra === 1
          ? { exposed: { w: round(Math.max(0.5, body.w - 1.7)), h: round(Math.max(0.5, body.h - (sides === 4 ? 1.7 : 0.6))) } }
          : {};
      return {
        family: { kind: sides === 4 ? 'quad' : 'dual', ...common, ...pad },
        assumed: ['pad length', 'pad width', ...(extra === 1 ? ['exposed pad'] : [])],
      };
    },
  ],
  [
    /^SOT(\d+)P(\d+)X(\d+)-([3568])$/,
    ([, p = '', over = '', height = '', n = '']) => {
      const [pitch, wide] = [hundredths(p), hundredths(over)];
      const body = { w: round(wide - 1.2), h: round((n === '8' ? 3 : 2) * pitch + 1) };
      return {
        family: {
          kind: 'outline',
          leads: Number(n) as 3,
          pitch,
          ...padsOfLeads(wide, SMALL_FOOT, gullWings(pitch)),
          width: leadWidth(pitch),
          body,
          heightMm: hundredths(height),
        },
        assumed: FEET,
      };
    },
  ],
  [
    /^(BGA|LGA)(\d+)(?:C|N)?(\d+)P(\d+)X(\d+)_(\d+)X(\d+)X(\d+)$/,
    ([, kind, n = '', p = '', columns = '', rows = '', w = '', h = '', height = '']) => {
      const pitch = hundredths(p);
      if (Number(columns) * Number(rows) !== Number(n)) return undefined;
      return {
        family: {
          kind: 'grid',
          rows: Number(rows),
          columns: Number(columns),
          pitch,
          diameter: round(pitch * 0.5),
          ...(kind === 'LGA' ? { square: true } : {}),
          body: { w: hundredths(w), h: hundredths(h) },
          heightMm: hundredths(height),
        },
        assumed: ['pad diameter'],
      };
    },
  ],
  [
    /^(RES|CAP|IND|DIO|LED|FUS|XTAL)(?:C|M)(\d\d)(\d\d)X(\d+)$/,
    ([, , l = '', w = '', height = '']) => {
      const [length, width] = [Number(l) / 10, Number(w) / 10];
      const pad = round(Math.max(0.3, length * 0.5));
      return {
        family: {
          kind: 'chip',
          span: round(length * 0.95),
          length: pad,
          width: round(width * 1.1),
          body: { w: length, h: width },
          heightMm: hundredths(height),
        },
        assumed: ['pad length', 'pad width', 'span'],
      };
    },
  ],
  [
    /^DIP(\d+)W(\d+)P(\d+)L(\d+)H(\d+)Q(\d+)$/,
    ([, over = '', lead = '', p = '', l = '', height = '', n = '']) => {
      const [drill, pitch] = [round(hundredths(lead) + 0.25), hundredths(p)];
      const size = round(drill + 0.7);
      return {
        family: {
          kind: 'dual',
          count: Number(n),
          pitch,
          span: hundredths(over),
          length: size,
          width: size,
          drill,
          body: { w: round(hundredths(over) - 1), h: hundredths(l) },
          heightMm: hundredths(height),
        },
        assumed: ['ring', 'drill'],
      };
    },
  ],
  [
    /^HDRV(\d+)W(\d+)P(\d+)X(\d+)_(\d+)X(\d+)X(\d+)$/,
    ([, lead = '', p = '', rows = '', columns = '', l = '', w = '', height = '']) => {
      const [drill, pitch] = [round(hundredths(lead) + 0.3), hundredths(p)];
      const body = { w: hundredths(l), h: hundredths(w) };
      return {
        family: {
          kind: 'header',
          rows: Number(rows),
          columns: Number(columns),
          pitch,
          diameter: round(drill + 0.7),
          drill,
          body,
          heightMm: hundredths(height),
          numbering: 'zigzag',
        },
        assumed: ['ring', 'drill'],
      };
    },
  ],
];

/** The family that a name in the form of IPC-7351 stands for; undefined for any other text. */
export function readLandName(text: string): Read | undefined {
  const [, name = '', density] =
    /^(.*?\d)([LNM])?$/.exec(
      text
        .trim()
        .toUpperCase()
        .replace(/[\s-](?=[LNM]$)/, ''),
    ) ?? [];
  for (const [form, reader] of FORMS) {
    const match = form.exec(name);
    const read = match ? reader(match) : undefined;
    if (read) return { ...read, ...(density === undefined ? {} : { density: density as 'L' }) };
  }
  return undefined;
}

/** A family's name in the form of IPC-7351, at the nominal density; undefined without a height, or for families that have no form. */
export function writeLandName(given: Family): string | undefined {
  const family = betweenCentres(given);
  if (family.heightMm === undefined) return undefined;
  const h = (value: number): string => String(Math.round(value * 100));
  const { body } = family;
  const height = h(family.heightMm);
  /** Over the leads: the pads' outer edges without their toe fillets. */
  const over = 'span' in family ? family.span + family.length - 2 * gullWings(1).toe : 0;
  const withExposed = 'exposed' in family && family.exposed ? 1 : 0;
  switch (family.kind) {
    case 'dual':
      if (family.drill !== undefined)
        return `DIP${h(family.span)}W${h(family.drill - 0.25)}P${h(family.pitch)}L${h(body.h)}H${height}Q${family.count}`;
      if (family.span <= body.w) return `SON${h(family.pitch)}P${h(body.w)}X${h(body.h)}X${height}-${family.count + withExposed}`;
      return `${family.pitch >= 1.27 ? 'SOIC' : 'SOP'}${h(family.pitch)}P${h(over)}X${height}-${family.count + withExposed}`;
    case 'quad':
      if (family.span <= body.w) return `QFN${h(family.pitch)}P${h(body.w)}X${h(body.h)}X${height}-${family.count + withExposed}`;
      return `QFP${h(family.pitch)}P${h(over)}X${h(over + body.h - body.w)}X${height}-${family.count + withExposed}`;
    case 'outline':
      return `SOT${h(family.pitch)}P${h(over)}X${height}-${family.leads}`;
    case 'grid':
      if (family.without) return undefined;
      return `${family.square ? 'LGA' : 'BGA'}${family.rows * family.columns}${family.square ? 'N' : 'C'}${h(family.pitch)}P${family.columns}X${family.rows}_${h(body.w)}X${h(body.h)}X${height}`;
    case 'header':
      return `HDRV${h(family.drill - 0.3)}W${h(family.pitch)}P${family.rows}X${family.columns}_${h(body.w)}X${h(body.h)}X${height}`;
    default:
      return undefined;
  }
}
