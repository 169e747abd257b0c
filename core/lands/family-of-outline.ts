import type { Family } from './family';
import { gullWings, NO_LEADS, padsOfLeads } from './fillets';
import { betweenCentres } from './generate';
import { nominal, type Dimension, type Letter, type Outline } from './outline-table';
import { hundredthsOfMm as round } from './round-mm';

/** A dimension that was taken from the datasheet, in mm, with the line that gives it. */
interface Taken {
  what: string;
  mm: number;
  line: string;
}

export interface OutlineFamily {
  family: Family;
  taken: Taken[];
  /** What is not given and stays as it was, what is taken by rule, and what does not fit together. */
  doubts: string[];
}

/** What a pad is of its ball's width. */
const BALL_SHARE = 0.8;

/** No package has its leads nearer, in mm: such a pitch is one in inches. */
const LEAST_PITCH = 0.25;

/** Takes dimensions of an outline and keeps what was taken, and what is missing, in words. */
class Taker {
  readonly taken: Taken[] = [];
  readonly doubts: string[] = [];
  constructor(private readonly outline: Outline) {}

  /** The dimension of the first letter that is given; `most` takes its upper limit. Says that it is missing where `need` is set. */
  take(what: string, letters: readonly Letter[], { most = false, need = true } = {}): number | undefined {
    const dimension = letters.map((l) => this.outline[l]).find((d) => d !== undefined);
    if (!dimension) {
      if (need) this.doubts.push(`The ${what} is not given.`);
      return undefined;
    }
    const mm = most ? mostOf(dimension) : nominal(dimension);
    this.taken.push({ what, mm, line: dimension.line });
    return mm;
  }
}

const mostOf = (dimension: Dimension): number => dimension.max ?? nominal(dimension);

/**
 * A land for the outline that a datasheet gives: `start` says the family, and what the outline leaves open. Gull wings get
 * pads beyond their feet, leads without feet beyond the body, at the nominal density level of IPC-7351B; a ball's pad is
 * 0.8 of the ball. All in mm. Undefined where the outline has no pitch, or the family is none that has an outline.
 */
export function familyOfOutline(outline: Outline, start: Family): OutlineFamily | undefined {
  const from = new Taker(outline);
  const { doubts, taken } = from;
  if (start.kind !== 'dual' && start.kind !== 'quad' && start.kind !== 'outline' && start.kind !== 'grid') return undefined;
  const pitch = from.take('pitch', ['e'], { need: false });
  if (pitch === undefined) return undefined;
  if (pitch < LEAST_PITCH) doubts.push(`A pitch of ${pitch} mm: the table may be in inches.`);
  const heightMm = from.take('height', ['A'], { most: true }) ?? start.heightMm;
  // On four sides D goes over the leads like E, wherever the body has letters of its own.
  // Of balls D1 and E1 are the way between the outer ones.
  const isGrid = start.kind === 'grid';
  const h = from.take('body length', isGrid ? ['D'] : start.kind === 'quad' && outline.E1 ? ['D1'] : ['D1', 'D']);
  const w = from.take('body width', isGrid ? ['E'] : ['E1', 'E']);
  const common = { pitch, body: { w: w ?? start.body.w, h: h ?? start.body.h }, ...(heightMm === undefined ? {} : { heightMm }) };
  if (start.kind === 'grid') {
    const ball = from.take('ball', ['b']);
    if (ball !== undefined) doubts.push(`A pad is taken as ${BALL_SHARE} of its ball.`);
    return { family: { ...start, ...common, ...(ball === undefined ? {} : { diameter: round(ball * BALL_SHARE) }) }, taken, doubts };
  }
  const family = { ...(betweenCentres(start) as typeof start), ...common };
  Object.assign(family, leadsOf(from, outline, family, start.body.w));
  if (family.kind !== 'outline') {
    const across = from.take('exposed pad across', ['E2'], { need: family.exposed !== undefined });
    const along = from.take('exposed pad along', ['D2'], { need: family.exposed !== undefined });
    if (across !== undefined && along !== undefined) family.exposed = { ...family.exposed, w: across, h: along };
  }
  const count = family.kind === 'outline' ? family.leads : family.count;
  const inRow = family.kind === 'quad' ? count / 4 : Math.ceil(count / 2);
  if (outline.N && nominal(outline.N) !== count) doubts.push(`The outline is of ${nominal(outline.N)} leads.`);
  if ((inRow - 1) * pitch > family.body.h)
    doubts.push(`${inRow} leads at ${pitch} are longer than the body's ${family.body.h}: D and E may be meant the other way round.`);
  return { family, taken, doubts };
}

type Leads = Extract<Family, { kind: 'dual' | 'quad' | 'outline' }>;

/** The pads of leads: those of gull wings where the family has its pads beyond its body, else of leads without feet. */
function leadsOf(from: Taker, outline: Outline, family: Leads, bodyBefore: number): Pick<Leads, 'span' | 'length' | 'width'> {
  const isWing = family.span > bodyBefore;
  const fillets = isWing ? gullWings(family.pitch) : NO_LEADS;
  const ends = isWing ? from.take('span over the leads', outline.E1 ? ['E'] : ['H']) : family.body.w;
  if (isWing && !outline.E1 && !outline.H && outline.E) from.doubts.push('E is taken as the body; it may go over the leads.');
  const foot = from.take('length of a foot', ['L']) ?? family.length - fillets.toe - fillets.heel;
  const lead = from.take('width of a lead', ['b'], { most: true });
  return {
    ...(ends === undefined ? { span: family.span, length: family.length } : padsOfLeads(ends, foot, fillets)),
    width: lead === undefined ? family.width : round(lead + 2 * fillets.side),
  };
}
