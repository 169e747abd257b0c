import { ok, problem, refuse, type Result } from '../part';
import type { Family } from './family';
import { readLandName } from './land-name';
import { hundredthsOfMm as round } from './round-mm';

/** Nominal dimensions in mm of outlines that carry their lead count in the name. Each is a start to compare with the datasheet. */
type Maker = (count: number, name: string) => Family | undefined;

const dual =
  (pitch: number, span: number, length: number, width: number, bodyWidth: number): Maker =>
  (count) => ({
    kind: 'dual',
    count,
    pitch,
    span,
    length,
    width,
    body: { w: bodyWidth, h: round((count / 2 - 1) * pitch + pitch + 0.5) },
  });

const quadLeaded =
  (pitch: number): Maker =>
  (count) => {
    const side = LEADED_BODY[count] ?? round((count / 4) * pitch + 2);
    return {
      kind: 'quad',
      count,
      pitch,
      span: round(side + 1.4),
      length: 1.5,
      width: round(pitch * 0.56),
      body: { w: side, h: side },
      round: true,
    };
  };

const LEADED_BODY: Record<number, number> = { 32: 7, 48: 7, 64: 10, 80: 12, 100: 14, 144: 20, 176: 24, 208: 28 };
const LEADLESS_BODY: Record<number, [number, number]> = {
  12: [3, 0.5],
  16: [3, 0.5],
  20: [4, 0.5],
  24: [4, 0.5],
  28: [5, 0.5],
  32: [5, 0.5],
  40: [6, 0.5],
  48: [7, 0.5],
  56: [8, 0.5],
  64: [9, 0.5],
  68: [10, 0.5],
  72: [10, 0.5],
};

const quadLeadless: Maker = (count) => {
  const [side, pitch] = LEADLESS_BODY[count] ?? [round((count / 4) * 0.5 + 1), 0.5];
  return {
    kind: 'quad',
    count,
    pitch,
    span: round(side - 0.1),
    length: 0.8,
    width: 0.28,
    body: { w: side, h: side },
    exposed: { w: round(side - 1.7), h: round(side - 1.7) },
  };
};

const ballGrid: Maker = (count) => {
  const side = Math.round(Math.sqrt(count));
  if (side * side !== count) return undefined;
  const pitch = count > 144 ? 1 : 0.8;
  return {
    kind: 'grid',
    rows: side,
    columns: side,
    pitch,
    diameter: pitch === 1 ? 0.5 : 0.4,
    body: { w: round(side * pitch + 1), h: round(side * pitch + 1) },
  };
};

const outline =
  (pitch: number, span: number): Maker =>
  (count) =>
    count === 3 || count === 5 || count === 6 || count === 8
      ? { kind: 'outline', leads: count, pitch, span, length: 1.1, width: 0.6, body: { w: 1.6, h: 2.9 } }
      : undefined;

const FAMILIES: [RegExp, Maker][] = [
  [/^(HT|T|VT)SSOP$/, dual(0.65, 5.8, 1.5, 0.4, 4.4)],
  [/^SSOP$/, dual(0.65, 7.2, 1.75, 0.4, 5.3)],
  [/^(MSOP|VSSOP)$/, (n) => dual(n > 8 ? 0.5 : 0.65, 4.4, 1.45, n > 8 ? 0.3 : 0.4, 3)(n, '')],
  [/^SOW$|^SOICW$/, dual(1.27, 9.3, 2, 0.6, 7.5)],
  [/^(SO|SOIC|SOP)$/, dual(1.27, 5.4, 1.55, 0.6, 3.9)],
  [
    /^(P|C)?DIP$/,
    (count) => ({
      kind: 'dual',
      count,
      pitch: 2.54,
      span: count > 22 ? 15.24 : 7.62,
      length: 2.4,
      width: 1.6,
      drill: 0.8,
      body: { w: count > 22 ? 13.5 : 6.4, h: round((count / 2) * 2.54) },
    }),
  ],
  [/^(L|T|H|V)?QFP$/, (count) => quadLeaded(count <= 32 ? 0.8 : 0.5)(count, '')],
  [/^(V|W|U|T)?QFN$/, quadLeadless],
  [/^(FC|F|L|TF|UF|VF|P|C)?BGA$/, ballGrid],
  [
    /^(F|T|U|V)?LGA$/,
    (count, name) => {
      const grid = ballGrid(count, name);
      return grid && ({ ...grid, square: true } as Family);
    },
  ],
  [
    /^SIP$/,
    (count) => ({
      kind: 'inline',
      count,
      pitch: 2.54,
      length: 1.8,
      width: 1.6,
      drill: 0.9,
      body: { w: round(count * 2.54), h: 3 },
    }),
  ],
  [
    /^(V|W)?(SON|DFN)$/,
    (count) => ({ ...dual(0.5, 2.9, 0.7, 0.28, 3)(count, ''), exposed: { w: 1.6, h: round((count / 2) * 0.5) } }) as Family,
  ],
];

export interface NamedFamily {
  name: string;
  family: Family;
}

/**
 * A family with nominal dimensions from a short name: `SO-14`, `TSSOP20`, `LQFP-64`, `QFN-48`, `BGA-484`, `SOT-23-5`,
 * `SC-70-6`, `DIP-8`, `SIP-9`, `HDR-2x5`, `SO-16W`, `SO-8-EP`, and from names in the form of
 * IPC-7351 (`SOIC127P600X175-8`). Refuses other names and says what is known.
 */
export function familyFromName(text: string): Result<NamedFamily> {
  const name = text.trim().toUpperCase();
  const hint =
    'Names like SO-14, TSSOP-20, LQFP-64, QFN-48, BGA-64, SOT-23-5, DIP-8, SIP-9, HDR-2x5 and SOIC127P600X175-8 are known; or give the dimensions.';
  const standard = readLandName(text);
  if (standard) return ok({ name: text.trim(), family: standard.family });
  const no = () => refuse(problem('land-family', { text, hint }));
  const header = /^(?:HDR|HEADER|PINHDR|CONN)[- ]?(\d)X(\d{1,3})$/.exec(name);
  if (header) return ok({ name: text.trim(), family: headerFamily(Number(header[1]), Number(header[2])) });
  const small = /^(SOT-?23|SOT-?323|SOT-?353|SOT-?363|SC-?70|SC-?59)(?:-(\d))?$/.exec(name);
  if (small) {
    const family = outline(small[1]!.includes('23') && !small[1]!.includes('323') ? 0.95 : 0.65, 2.4)(Number(small[2] ?? 3), '');
    return family ? ok({ name: text.trim(), family }) : no();
  }
  const match = /^([A-Z]+)[- ]?(\d{1,4})(W?)(-?EP)?$/.exec(name) ?? swap(/^(\d{1,4})[- ]?([A-Z]+)(-?EP)?$/.exec(name));
  if (!match) return no();
  const [, letters = '', count = '', wide, ep] = match;
  const make = FAMILIES.find(([shape]) => shape.test(wide ? `${letters}W` : letters))?.[1];
  const family = make?.(Number(count), name);
  if (!family) return no();
  if (ep && family.kind === 'dual')
    return ok({
      name: text.trim(),
      family: { ...family, exposed: { w: round(family.span - family.length - 1.1), h: round(family.body.h * 0.66) } },
    });
  return ok({ name: text.trim(), family });
}

const swap = (m: RegExpExecArray | null): string[] | undefined => (m ? [m[0], m[2]!, m[1]!, '', m[3] ?? ''] : undefined);

function headerFamily(rows: number, columns: number): Family {
  return {
    kind: 'header',
    rows,
    columns,
    pitch: 2.54,
    diameter: 1.7,
    drill: 1,
    body: { w: round(columns * 2.54), h: round(rows * 2.54) },
    numbering: 'zigzag',
  };
}

/** A package's short name as it stands among other words: `TSSOP-20`, `SO-8-EP`, `LQFP64`. */
const AMONG_WORDS = /\b[A-Z]{2,7}-?\d{1,3}(?:-[A-Z0-9]{1,3})?\b/g;

/** The first package that a text names and whose dimensions its name says, in mm; undefined where there is none. */
export function packageIn(text: string): NamedFamily | undefined {
  for (const [name] of text.matchAll(AMONG_WORDS)) {
    const read = familyFromName(name);
    if (read.ok) return { name, family: read.value.family };
  }
  return undefined;
}
