import { groupBy, remember, type Doubt, type ElectricalType } from '../../part';
import { giveType, isTypeAsked, type Terminal } from '../proposal';

/** What can stand in any row of names says nothing of its siblings. */
const APART: ReadonlySet<ElectricalType> = new Set(['ground', 'no-connect', 'reserved', 'unspecified']);
/** So much of a group has to be of one type for the others to be the odd ones. */
const MOST = 0.6;

/** Rails are told apart by their last letter, VDDA is no channel of VDDD, and by their voltage. */
const RAIL = /^[A-Z]{0,2}V(DD|CC|SS|EE)/;
const OF_VOLTAGE = /^[A-Z]{0,2}V(DD|CC)_?\d+(V\d*|P\d+)/;

/** One key for `AISEN` and `BISEN`, `IN1` and `IN2`, `OUT A` and `OUT B`; undefined where nothing in a name counts. */
function familyOf(name: string): string | undefined {
  const family = name
    .toUpperCase()
    .replace(/\d+/g, '#')
    .replace(/^[A-D](?=[A-Z]{3})/, '@')
    .replace(/([A-Z#]{2}[ _]?)[A-DU-W]$/, (end, before: string) => (RAIL.test(name) ? end : `${before}@`));
  return !OF_VOLTAGE.test(name) && /[#@]/.test(family) && /[A-Z]/.test(family) ? family : undefined;
}

/** The cell of the type column that a conclusion rests on. */
const cellIn = remember((because: string): string => /(?:type column|code) “?([^”=]+)/.exec(because)?.[1]?.trim() ?? '');

/**
 * Terminals whose names differ by a figure or a channel's letter only, and of which the type column says the same, are of one
 * type: where the words of one gave it another, it is asked.
 */
export function doubtUnlikeSiblings(terminals: readonly Terminal[]): void {
  const sure = terminals.filter((t) => !APART.has(t.type) && !isTypeAsked(t));
  // By the cell first: where all of them are of one type, as mostly, no name need be looked at.
  for (const alike of groupBy(sure, (t) => cellIn(t.because['type'] ?? '')).values()) {
    if (isOfOneType(alike)) continue;
    for (const family of groupBy(alike, (t) => familyOf(t.name)).values()) if (!isOfOneType(family)) doubtTheOdd(family);
  }
  doubtTheLike(terminals);
}

const isOfOneType = (terminals: readonly Terminal[]): boolean => terminals.every((t) => t.type === terminals[0]!.type);

/** The code that a conclusion rests on, where no legend says what it is. */
const codeIn = remember((because: string): string => /^type column “([^”]+)”/.exec(because)?.[1]?.trim() ?? '');

/** What is said of signals in both directions. */
const BOTH_WAYS = /^(?:GP)?IO|^P[A-K]?\d|^A?DQ?\d|^SDA|\bports?\b|\bdata\b|\bbidirectional\b|\bI\/O/i;

/** `B` beside `I/O` is asked: where one stands for both directions already, the other may be of a boot pin, or of a bias. */
export function doubtSecondCode(terminals: readonly Terminal[]): void {
  const both = terminals.filter((t) => t.type === 'bidirectional');
  const codes = new Set(both.map((t) => codeIn(t.because['type'] ?? '')));
  const usual = [...codes].find((code) => /^I\/?O$/i.test(code));
  if (usual === undefined || !codes.has('B')) return;
  const reason = `The code “B” stands beside “${usual}”, which says both directions already.`;
  for (const t of both)
    if (codeIn(t.because['type'] ?? '') === 'B' && !isTypeAsked(t) && !BOTH_WAYS.test(`${t.name} ${t.description ?? ''}`))
      t.doubts = [...t.doubts, { field: 'type', reason, candidates: ['bidirectional', 'input', 'passive'] }];
}

/** Outputs of which a like one is asked for its open drain are asked with it. */
function doubtTheLike(terminals: readonly Terminal[]): void {
  const isDrainAsked = (t: Terminal) => t.doubts.some((d) => d.field === 'type' && d.candidates?.[1] === 'open-drain');
  const outputs = terminals.filter((t) => t.type === 'output');
  if (!outputs.some(isDrainAsked)) return;
  for (const family of groupBy(outputs, (t) => familyOf(t.name)).values()) {
    const asked = family.find(isDrainAsked);
    if (!asked) continue;
    const reason = `Taken for output, but its like ${asked.name} may be an open drain.`;
    for (const t of family)
      if (!isTypeAsked(t)) t.doubts = [...t.doubts, { field: 'type', reason, candidates: ['output', 'open-drain', 'passive'] }];
  }
}

/** Asks those that are not of the type that most are of; all where there is none. */
function doubtTheOdd(terminals: readonly Terminal[]): void {
  const isMost = ({ type }: Terminal) => terminals.filter((t) => t.type === type).length > MOST * terminals.length;
  for (const t of terminals.filter((t) => !isMost(t))) {
    const other = terminals.find((o) => o.type !== t.type)!;
    t.doubts = [...t.doubts, unlike(t, other)];
  }
}

const unlike = (t: Terminal, other: Terminal): Doubt => ({
  field: 'type',
  reason: `Taken for ${t.type}, but its like ${other.name} is ${other.type}.`,
  candidates: [...new Set([t.type, other.type, 'passive' as const])],
});

/** Of siblings that are all asked, those that nothing is known of are taken for what another is. */
export function suggestBySiblings(terminals: readonly Terminal[]): void {
  if (!terminals.some((t) => t.type === 'unspecified')) return;
  for (const [family, likes] of groupBy(terminals.filter(isTypeAsked), (t) => familyOf(t.name))) {
    const known = likes.filter((t) => t.type !== 'unspecified');
    const [first] = known;
    if (family === undefined || !first || !isOfOneType(known)) continue;
    const { name, type } = first;
    const reason = `Taken for ${type}, as its like ${name} is; nothing says it.`;
    for (const t of likes) if (t.type === 'unspecified') giveType(t, type, `its like ${name}`, reason);
  }
}
