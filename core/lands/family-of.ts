import { rowLetters, type Land, type Pad } from '../part';
import type { Family } from './family';
import { generateLand } from './generate';
import { ballsText, rowIndex } from './numbering';
import { landMm as mm } from './round-mm';

/**
 * The dimensions that a land was made of, or could have been: those that give exactly its pads again, in mm. Undefined
 * where no family does, as of a land that was changed by hand. A land without a body gets that of its pads' centres.
 */
export function familyOf(land: Land): Family | undefined {
  if (land.pads.length === 0) return undefined;
  const found = KINDS.flatMap((kind) => kind(land)).filter((family) => gives(family, land.pads));
  // Three leads in a row fit more than one family; the land says which it was made of.
  return found.find((family) => family.kind === land.family) ?? found[0];
}

function gives(family: Family, pads: readonly Pad[]): boolean {
  const made = generateLand(family);
  if (!made.ok || made.value.pads.length !== pads.length) return false;
  const by = new Map(pads.map((p) => [p.number, p]));
  return made.value.pads.every((p) => {
    const pad = by.get(p.number);
    if (!pad || p.shape !== pad.shape || p.mechanical !== pad.mechanical) return false;
    return (['x', 'y', 'w', 'h', 'drill', 'slot'] as const).every((key) => Math.abs((p[key] ?? 0) - (pad[key] ?? 0)) < 1e-3);
  });
}

type Kind = (land: Land) => Family[];

const common = (land: Land) => ({
  body: land.body ?? { w: reach(land.pads, 'x'), h: reach(land.pads, 'y') },
  ...(land.heightMm === undefined ? {} : { heightMm: land.heightMm }),
});

/** Twice the way from the middle to the farthest pad's centre. */
const reach = (pads: readonly Pad[], axis: 'x' | 'y'): number =>
  mm(2 * pads.reduce((most, p) => Math.max(most, Math.abs(p[axis])), 0)) || 1;

/** The step between the first two pads; of a lone pad anything that its width allows. */
const pitchOf = (pads: readonly Pad[], axis: 'x' | 'y', width: number): number =>
  pads.length > 1 ? mm(Math.abs(pads[0]![axis] - pads[1]![axis])) : mm(width * 2);

/** Pads without the one in the middle, and that one with its number where it is not the next. */
function withoutMiddle(pads: readonly Pad[]): { leads: readonly Pad[]; exposed?: { w: number; h: number; number?: string } } {
  const last = pads.at(-1)!;
  if (pads.length < 3 || last.x !== 0 || last.y !== 0) return { leads: pads };
  const isNext = last.number === String(pads.length);
  return { leads: pads.slice(0, -1), exposed: { w: last.w, h: last.h, ...(isNext ? {} : { number: last.number }) } };
}

/** What two rows and four sides have alike; a first row has its share of the leads. */
function inRows(land: Land, rows: 2 | 4) {
  const { leads, exposed } = withoutMiddle(land.pads);
  const first = leads[0]!;
  const pitch = pitchOf(leads.slice(0, leads.length / rows), 'y', first.h);
  const size = { count: leads.length, pitch, span: mm(Math.abs(first.x) * 2), length: first.w, width: first.h };
  return { first, family: { ...size, ...common(land), ...(exposed ? { exposed } : {}) } };
}

const dual: Kind = (land) => {
  const { first, family } = inRows(land, 2);
  return [{ kind: 'dual', ...family, ...(first.drill === undefined ? {} : { drill: first.drill }) }];
};

const quad: Kind = (land) => {
  const { first, family } = inRows(land, 4);
  return [{ kind: 'quad', ...family, ...(first.shape === 'oval' ? { round: true } : {}) }];
};

const grid: Kind = (land) => {
  const first = land.pads[0]!;
  const place = /^([A-Z]{1,2})(\d{1,2})$/.exec(first.number);
  const pitch = stepOf(land.pads, 'x') ?? stepOf(land.pads, 'y');
  if (!place || pitch === undefined) return [];
  // The first ball's way from the middle says how many rows and columns there are, whichever of them have balls.
  const rows = Math.round(2 * (rowIndex(place[1]!) + first.y / pitch)) + 1;
  const columns = Math.round(2 * (Number(place[2]) - 1 - first.x / pitch)) + 1;
  if (rows < 1 || columns < 1 || rows > 80 || columns > 80) return [];
  const has = new Set(land.pads.map((p) => p.number));
  const without = ballsText(rows, columns, (r, c) => !has.has(`${rowLetters(r)}${c + 1}`));
  return [
    {
      kind: 'grid',
      rows,
      columns,
      pitch,
      diameter: first.w,
      ...common(land),
      ...(first.shape === 'rect' ? { square: true } : {}),
      ...(without === '' ? {} : { without }),
    },
  ];
};

const inline: Kind = (land) => {
  const last = land.pads.at(-1)!;
  const first = land.pads[0]!;
  const hasTab = land.pads.length > 1 && last.x === 0 && last.y > 0 && first.y < 0;
  const leads = hasTab ? land.pads.slice(0, -1) : land.pads;
  const size = { count: leads.length, pitch: pitchOf(leads, 'x', first.w), length: first.h, width: first.w };
  const number = last.number === String(leads.length + 1) ? {} : { number: last.number };
  const tab = hasTab ? { tab: { w: last.w, h: last.h, distance: mm(last.y * 2), ...number } } : {};
  return [{ kind: 'inline', ...size, ...common(land), ...(first.drill === undefined ? {} : { drill: first.drill }), ...tab }];
};

const outline: Kind = (land) => {
  const leads = land.pads.length;
  if (leads !== 3 && leads !== 5 && leads !== 6 && leads !== 8) return [];
  const first = land.pads[0]!;
  const pitch = leads === 3 ? mm(first.y) : pitchOf(land.pads, 'y', first.h);
  return [{ kind: 'outline', leads, pitch, span: mm(Math.abs(first.x) * 2), length: first.w, width: first.h, ...common(land) }];
};

const chip: Kind = (land) => {
  const first = land.pads[0]!;
  return [{ kind: 'chip', span: mm(Math.abs(first.x) * 2), length: first.w, width: first.h, ...common(land) }];
};

const NUMBERINGS = ['zigzag', 'rows', 'around'] as const;

const header: Kind = (land) => {
  const pads = land.pads.filter((p) => !p.mechanical);
  const first = pads[1] ?? pads[0];
  if (first?.drill === undefined) return [];
  const pitch = stepOf(pads, 'x') ?? stepOf(pads, 'y') ?? mm(first.h * 2);
  const slot = first.slot === undefined ? {} : { slot: first.slot };
  const [tab, mount] = ['MP2', 'MH2'].map((number) => land.pads.find((p) => p.number === number));
  const ends = {
    ...(tab ? { tabs: { w: tab.w, h: tab.h, distance: mm(tab.x * 2) } } : {}),
    ...(mount ? { mounting: { drill: mount.drill ?? 0, diameter: mount.w, distance: mm(mount.x * 2) } } : {}),
  };
  const size = { rows: placesOf(pads, 'y').length, columns: placesOf(pads, 'x').length, pitch, diameter: first.h, drill: first.drill };
  return NUMBERINGS.map((numbering) => ({ kind: 'header', ...size, ...slot, ...common(land), ...ends, numbering }));
};

const array: Kind = (land) => {
  const first = land.pads[0]!;
  const [across, down] = [stepOf(land.pads, 'x'), stepOf(land.pads, 'y')];
  const pitch = across ?? down ?? mm(first.h * 2 + first.w * 2);
  const size = { rows: placesOf(land.pads, 'y').length, columns: placesOf(land.pads, 'x').length, pitch };
  const rowPitch = down === undefined || down === pitch ? {} : { rowPitch: down };
  return NUMBERINGS.map((numbering) => ({
    kind: 'array',
    ...size,
    ...rowPitch,
    length: first.h,
    width: first.w,
    ...common(land),
    numbering,
  }));
};

const KINDS: readonly Kind[] = [dual, quad, grid, outline, inline, chip, header, array];

/** The places of pads along an axis, each once, from the least. */
const placesOf = (pads: readonly Pad[], axis: 'x' | 'y'): number[] => [...new Set(pads.map((p) => mm(p[axis])))].sort((a, b) => a - b);

/** The least step between places along an axis; undefined where all stand at one. */
function stepOf(pads: readonly Pad[], axis: 'x' | 'y'): number | undefined {
  const places = placesOf(pads, axis);
  const steps = places.slice(1).map((at, i) => mm(at - places[i]!));
  return steps.length === 0 ? undefined : steps.reduce((least, step) => Math.min(least, step));
}
