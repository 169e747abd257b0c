import { ok, problem, refuse, type Land, type Pad, type Problem, type Result } from '../part';
import { familySchema, type Family } from './family';
import { ballsIn, rowLetters } from './numbering';

/**
 * Makes a land of a family's dimensions: pads numbered counter-clockwise from the first, seen from the top, in mm with
 * y upwards and the body's centre at the origin. Refuses what cannot be built, with the reason.
 */
export function generateLand(input: Family): Result<Land> {
  const parsed = familySchema.safeParse(input);
  if (!parsed.success)
    return refuse(
      ...parsed.error.issues.map((i) =>
        problem('land-value', {
          what: i.path.join(' ') || 'the family',
          value: 'not usable',
          need: i.message.replace(/^Invalid input: /, ''),
        }),
      ),
    );
  const family = parsed.data;
  const wrong = impossible(family);
  if (wrong.length > 0) return refuse(...wrong);
  const pads = padsOf(family).map(rounded);
  const first = pads[0]!;
  const courtyard = courtyardOf(pads, family.body);
  return ok({ family: family.kind, body: family.body, courtyard, firstPad: { x: first.x, y: first.y }, pads });
}

/** Tenths of a micrometre: what remains of binary fractions is cut off, so that the file reads as the datasheet does. */
const round = (mm: number): number => Math.round(mm * 1e4) / 1e4 + 0;
const rounded = (pad: Pad): Pad => ({ ...pad, x: round(pad.x), y: round(pad.y), w: round(pad.w), h: round(pad.h) });

function padsOf(family: Family): Pad[] {
  switch (family.kind) {
    case 'dual':
      return [...dual(family), ...exposed(family.exposed, family.count)];
    case 'quad':
      return [...quad(family), ...exposed(family.exposed, family.count)];
    case 'grid':
      return grid(family);
    case 'inline':
      return inline(family);
    case 'outline':
      return outline(family);
    case 'header':
      return header(family);
  }
}

const spread = (count: number, pitch: number): number[] => Array.from({ length: count }, (_, i) => ((count - 1) / 2 - i) * pitch);

function dual(f: Extract<Family, { kind: 'dual' }>): Pad[] {
  const ys = spread(f.count / 2, f.pitch);
  const x = f.span / 2;
  const pad = (number: number, px: number, y: number): Pad =>
    f.drill === undefined
      ? { number: String(number), x: px, y, w: f.length, h: f.width, shape: 'roundrect' }
      : {
          number: String(number),
          x: px,
          y,
          w: f.length,
          h: f.width,
          shape: number === 1 ? 'rect' : 'oval',
          drill: f.drill,
        };
  return [...ys.map((y, i) => pad(i + 1, -x, y)), ...[...ys].reverse().map((y, i) => pad(f.count / 2 + i + 1, x, y))];
}

function quad(f: Extract<Family, { kind: 'quad' }>): Pad[] {
  const n = f.count / 4;
  const along = spread(n, f.pitch);
  const [x, y] = [f.span / 2, (f.span + f.body.h - f.body.w) / 2];
  const shape = f.round ? 'oval' : 'roundrect';
  const flat = (i: number, px: number, py: number): Pad => ({
    number: String(i),
    x: px,
    y: py,
    w: f.length,
    h: f.width,
    shape,
  });
  const upright = (i: number, px: number, py: number): Pad => ({
    number: String(i),
    x: px,
    y: py,
    w: f.width,
    h: f.length,
    shape,
  });
  return [
    ...along.map((a, i) => flat(i + 1, -x, a)),
    ...along.map((a, i) => upright(n + i + 1, -a, -y)),
    ...along.map((a, i) => flat(2 * n + i + 1, x, -a)),
    ...along.map((a, i) => upright(3 * n + i + 1, a, y)),
  ];
}

/** The exposed pad takes the number after the last lead's. */
const exposed = (size: { w: number; h: number } | undefined, count: number): Pad[] =>
  size ? [{ number: String(count + 1), x: 0, y: 0, w: size.w, h: size.h, shape: 'rect' }] : [];

function grid(f: Extract<Family, { kind: 'grid' }>): Pad[] {
  const without = ballsIn(f.without ?? '') ?? new Set();
  const xs = spread(f.columns, f.pitch);
  return spread(f.rows, f.pitch).flatMap((y, r) =>
    xs.flatMap((x, c): Pad[] => {
      const number = `${rowLetters(r)}${c + 1}`;
      return without.has(number) ? [] : [{ number, x: -x, y, w: f.diameter, h: f.diameter, shape: 'circle' }];
    }),
  );
}

const inline = (f: Extract<Family, { kind: 'inline' }>): Pad[] =>
  spread(f.count, f.pitch).map((x, i) => ({
    number: String(i + 1),
    x: -x,
    y: 0,
    w: f.width,
    h: f.length,
    ...(f.drill === undefined
      ? { shape: 'roundrect' as const }
      : { shape: i === 0 ? ('rect' as const) : ('oval' as const), drill: f.drill }),
  }));

/** Small outlines: leads on the left counted down, leads on the right counted up. Five leads leave the right middle out, three have one at the right middle. */
function outline(f: Extract<Family, { kind: 'outline' }>): Pad[] {
  const x = f.span / 2;
  const places: [number, number][] = {
    3: [
      [-x, f.pitch],
      [-x, -f.pitch],
      [x, 0],
    ],
    5: [
      [-x, f.pitch],
      [-x, 0],
      [-x, -f.pitch],
      [x, -f.pitch],
      [x, f.pitch],
    ],
    6: [
      [-x, f.pitch],
      [-x, 0],
      [-x, -f.pitch],
      [x, -f.pitch],
      [x, 0],
      [x, f.pitch],
    ],
  }[f.leads] as [number, number][];
  return places.map(([px, y], i) => ({ number: String(i + 1), x: px, y, w: f.length, h: f.width, shape: 'roundrect' }));
}

function header(f: Extract<Family, { kind: 'header' }>): Pad[] {
  const xs = spread(f.columns, f.pitch).map((x) => -x);
  const ys = spread(f.rows, f.pitch);
  const number = (r: number, c: number): number => {
    if (f.numbering === 'zigzag') return c * f.rows + r + 1;
    if (f.numbering === 'rows' || f.rows !== 2) return r * f.columns + c + 1;
    return r === 0 ? f.columns * 2 - c : c + 1;
  };
  const pads = ys.flatMap((y, r) =>
    xs.map((x, c): Pad => {
      const n = number(r, c);
      return {
        number: String(n),
        x,
        y,
        w: f.diameter,
        h: f.diameter,
        shape: n === 1 ? 'rect' : 'circle',
        drill: f.drill,
      };
    }),
  );
  pads.sort((a, b) => Number(a.number) - Number(b.number));
  const tabs = f.tabs;
  if (!tabs) return pads;
  return [
    ...pads,
    ...[-1, 1].map((end, i): Pad => ({
      number: `MP${i + 1}`,
      x: (end * tabs.distance) / 2,
      y: 0,
      w: tabs.w,
      h: tabs.h,
      shape: 'rect',
      mechanical: true,
    })),
  ];
}

const COURTYARD_EXCESS = 0.25; // mm, the nominal density level of IPC-7351B

function courtyardOf(pads: readonly Pad[], body: { w: number; h: number }): { w: number; h: number } {
  const w = Math.max(body.w / 2, ...pads.map((p) => Math.abs(p.x) + p.w / 2));
  const h = Math.max(body.h / 2, ...pads.map((p) => Math.abs(p.y) + p.h / 2));
  return { w: round((w + COURTYARD_EXCESS) * 2), h: round((h + COURTYARD_EXCESS) * 2) };
}

/** Dimensions that contradict each other. */
function impossible(f: Family): Problem[] {
  const found: Problem[] = [];
  const need = (bad: boolean, what: string, value: number | string, needs: string) => {
    if (bad) found.push(problem('land-value', { what, value, need: needs }));
  };
  if (f.kind === 'dual') need(f.count % 2 !== 0, 'The count', f.count, 'two rows need an even count');
  if (f.kind === 'quad') need(f.count % 4 !== 0, 'The count', f.count, 'four sides need a multiple of four');
  if ('width' in f && f.kind !== 'outline')
    need(f.width >= f.pitch, 'The pad width', f.width, `it must be under the pitch of ${f.pitch}, or pads touch`);
  if ('diameter' in f)
    need(f.diameter >= f.pitch, 'The pad diameter', f.diameter, `it must be under the pitch of ${f.pitch}, or pads touch`);
  if ('span' in f) need(f.span <= f.length, 'The span', f.span, `it must be over the pad length of ${f.length}, or the rows touch`);
  if ('drill' in f && f.drill !== undefined) {
    const smallest = 'diameter' in f ? f.diameter : Math.min(f.length, f.width);
    need(f.drill >= smallest, 'The drill', f.drill, `it must be under the pad's ${smallest}`);
  }
  if ('exposed' in f && f.exposed)
    need(f.exposed.w >= f.span - f.length, 'The exposed pad', f.exposed.w, `only ${round(f.span - f.length)} is free between the rows`);
  if (f.kind === 'quad')
    need(
      ((f.count / 4 - 1) * f.pitch + f.width) / 2 > f.span / 2 - f.length / 2,
      'The span',
      f.span,
      'it leaves the corner pads on each other',
    );
  if (f.kind === 'grid')
    need(
      f.without !== undefined && ballsIn(f.without) === undefined,
      'The list of missing balls',
      f.without ?? '',
      'write it like A1, C3-F6',
    );
  if (f.kind === 'grid' && found.length === 0)
    need(grid(f).length === 0, 'The list of missing balls', f.without ?? '', 'it leaves no ball');
  return found;
}
