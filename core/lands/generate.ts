import { ok, problem, refuse, rowLetters, type Land, type Pad, type Problem, type Result } from '../part';
import { familySchema, type Family } from './family';
import { ballsIn } from './numbering';
import { landMm as round } from './round-mm';

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
          need: /received NaN/.test(i.message) ? 'it must be a number' : i.message.replace(/^Invalid input: /, ''),
        }),
      ),
    );
  const family = betweenCentres(parsed.data);
  const wrong = impossible(family);
  if (wrong.length > 0) return refuse(...wrong);
  const pads = padsOf(family).map(rounded);
  const first = pads[0]!;
  const courtyard = courtyardOf(pads, family.body);
  const heightMm = family.heightMm === undefined ? {} : { heightMm: family.heightMm };
  return ok({ family: family.kind, body: family.body, courtyard, ...heightMm, firstPad: { x: first.x, y: first.y }, pads });
}

/** The same family with its span between pad centres: a span over the toes is longer by one pad length. */
export function betweenCentres(family: Family): Family {
  if (!('spanOver' in family) || family.spanOver !== 'toes') return family;
  const { spanOver: _toes, ...rest } = family;
  return { ...rest, span: round(family.span - family.length) };
}

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
    case 'chip':
      return [-1, 1].map((side, i) => ({
        number: String(i + 1),
        x: (side * family.span) / 2,
        y: 0,
        w: family.length,
        h: family.width,
        shape: 'roundrect',
      }));
    case 'array':
      return matrix(family, family.rowPitch ?? family.pitch, { w: family.width, h: family.length, shape: 'rect' });
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
const exposed = (size: { w: number; h: number; number?: string | undefined } | undefined, count: number): Pad[] =>
  size ? [{ number: size.number ?? String(count + 1), x: 0, y: 0, w: size.w, h: size.h, shape: 'rect' }] : [];

function grid(f: Extract<Family, { kind: 'grid' }>): Pad[] {
  const without = ballsIn(f.without ?? '') ?? new Set();
  const xs = spread(f.columns, f.pitch);
  return spread(f.rows, f.pitch).flatMap((y, r) =>
    xs.flatMap((x, c): Pad[] => {
      const number = `${rowLetters(r)}${c + 1}`;
      return without.has(number) ? [] : [{ number, x: -x, y, w: f.diameter, h: f.diameter, shape: f.square ? 'rect' : 'circle' }];
    }),
  );
}

/** Leads in a row, from left to right; a tab stands above them, numbered after the last lead unless it has its own. */
function inline(f: Extract<Family, { kind: 'inline' }>): Pad[] {
  const y = f.tab ? -f.tab.distance / 2 : 0;
  const leads = spread(f.count, f.pitch).map((x, i): Pad => ({
    number: String(i + 1),
    x: -x,
    y,
    w: f.width,
    h: f.length,
    ...(f.drill === undefined ? { shape: 'roundrect' } : { shape: i === 0 ? 'rect' : 'oval', drill: f.drill }),
  }));
  return f.tab ? [...leads, ...exposed(f.tab, f.count).map((p) => ({ ...p, y: f.tab!.distance / 2 }))] : leads;
}

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
    8: [-1.5, -0.5, 0.5, 1.5].map((k) => [-x, -k * f.pitch]).concat([-1.5, -0.5, 0.5, 1.5].map((k) => [x, k * f.pitch])),
  }[f.leads] as [number, number][];
  return places.map(([px, y], i) => ({ number: String(i + 1), x: px, y, w: f.length, h: f.width, shape: 'roundrect' }));
}

/** Pads in rows and columns, numbered odd and even in zig-zag, row by row, or around two rows. */
function matrix(
  f: { rows: number; columns: number; pitch: number; numbering: 'zigzag' | 'rows' | 'around' },
  rowPitch: number,
  pad: Pick<Pad, 'w' | 'h' | 'shape' | 'drill' | 'slot'>,
): Pad[] {
  const xs = spread(f.columns, f.pitch).map((x) => -x);
  const number = (r: number, c: number): number => {
    if (f.numbering === 'zigzag') return c * f.rows + r + 1;
    if (f.numbering === 'rows' || f.rows !== 2) return r * f.columns + c + 1;
    return r === 0 ? f.columns * 2 - c : c + 1;
  };
  const pads = spread(f.rows, rowPitch).flatMap((y, r) => xs.map((x, c): Pad => ({ number: String(number(r, c)), x, y, ...pad })));
  return pads.sort((a, b) => Number(a.number) - Number(b.number));
}

function header(f: Extract<Family, { kind: 'header' }>): Pad[] {
  const hole = { drill: f.drill, ...(f.slot === undefined ? {} : { slot: f.slot }) };
  const width = f.diameter + Math.max(0, (f.slot ?? 0) - f.drill);
  const shape = f.slot === undefined ? 'circle' : 'oval';
  const pads = matrix(f, f.pitch, { w: width, h: f.diameter, shape, ...hole }).map((p): Pad =>
    p.number === '1' ? { ...p, shape: 'rect' } : p,
  );
  const ends = (name: string, distance: number, pad: Omit<Pad, 'number' | 'x' | 'y'>) =>
    [-1, 1].map((end, i): Pad => ({ number: `${name}${i + 1}`, x: (end * distance) / 2, y: 0, ...pad, mechanical: true }));
  return [
    ...pads,
    ...(f.tabs ? ends('MP', f.tabs.distance, { w: f.tabs.w, h: f.tabs.h, shape: 'rect' }) : []),
    ...(f.mounting
      ? ends('MH', f.mounting.distance, { w: f.mounting.diameter, h: f.mounting.diameter, shape: 'circle', drill: f.mounting.drill })
      : []),
  ];
}

const COURTYARD_EXCESS = 0.25; // mm, the nominal density level of IPC-7351B

export function courtyardOf(pads: readonly Pad[], body: { w: number; h: number }): { w: number; h: number } {
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
  if ('width' in f && 'pitch' in f && f.kind !== 'outline')
    need(f.width >= f.pitch, 'The pad width', f.width, `it must be under the pitch of ${f.pitch}, or pads touch`);
  if ('diameter' in f)
    need(f.diameter >= f.pitch, 'The pad diameter', f.diameter, `it must be under the pitch of ${f.pitch}, or pads touch`);
  if ('span' in f) need(f.span <= f.length, 'The span', f.span, `it must be over the pad length of ${f.length}, or the rows touch`);
  if ('drill' in f && f.drill !== undefined) {
    const smallest = 'diameter' in f ? f.diameter : Math.min(f.length, f.width);
    need(f.drill >= smallest, 'The drill', f.drill, `it must be under the pad's ${smallest}`);
  }
  if (f.kind === 'header' && f.slot !== undefined)
    need(f.slot <= f.drill, 'The slot', f.slot, `it must be longer than its width of ${f.drill}`);
  if (f.kind === 'header' && f.mounting)
    need(
      f.mounting.drill > f.mounting.diameter,
      'The mounting hole',
      f.mounting.drill,
      `it must not be over the ring's ${f.mounting.diameter}`,
    );
  if (f.kind === 'array')
    need(f.length >= (f.rowPitch ?? f.pitch), 'The pad length', f.length, 'it must be under the pitch of the rows, or pads touch');
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
