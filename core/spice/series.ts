import { groupBy } from '../part';
import { capitalsOf, keyOf } from './roles';

/** Fewer than this are no series. */
const SERIES = 3;

interface Series {
  stem: string;
  /** Counted by letters, and not by figures. */
  letters: boolean;
  names: string[];
}

/** QA to QH are Q0 to Q7: a series of letters is the one of figures of its stem, in their order. A, B, C and D beside it are D0 to D3. */
export function bySeries(pins: readonly { name: string }[], nodes: readonly { name: string }[]): [string, string][] {
  const [own, there] = [seriesIn(pins), seriesIn(nodes)];
  const together = (stem: string, other: string): [string, string][] =>
    own.flatMap((a) => {
      const b = there.find((x) => x.stem === other && x.letters !== a.letters && x.names.length === a.names.length);
      return a.stem === stem && b ? a.names.map((name, i): [string, string] => [name, b.names[i]!]) : [];
    });
  const same = [...new Set(own.map((a) => a.stem))].flatMap((stem) => together(stem, stem));
  const lettered = same.length === 0 ? [] : [...same, ...together('D', ''), ...together('', 'D')];
  return [...lettered, ...ofData(own, there), ...ofOnlyOne(own, there), ...ofHalves(pins, nodes)];
}

/** What series of inputs and of outputs are called by. */
const [GOES_IN, GOES_OUT] = [/^[ABDEIPS]$/, /^[OQYZ]$/];

/** X0 to X7 are Y0 to Y7 where each side has one series that the other has not, of the same figures, and their letters say nothing else. */
function ofOnlyOne(own: readonly Series[], there: readonly Series[]): [string, string][] {
  const figuresOf = (list: readonly Series[]) => list.filter((s) => !s.letters);
  const without = (list: readonly Series[], others: readonly Series[]) =>
    figuresOf(list).filter((s) => !figuresOf(others).some((o) => o.stem === s.stem));
  const [[a, ...more], [b, ...others]] = [without(own, there), without(there, own)];
  if (!a || !b || more.length > 0 || others.length > 0 || a.names.length !== b.names.length) return [];
  const isOther =
    [a, b].some(({ stem }) => stem.length > 1) ||
    (GOES_IN.test(a.stem) ? GOES_OUT.test(b.stem) : GOES_OUT.test(a.stem) && GOES_IN.test(b.stem));
  const figure = (name: string) => /\d+$/.exec(name)![0];
  return isOther || figure(a.names[0]!) !== figure(b.names[0]!) ? [] : a.names.map((name, i): [string, string] => [name, b.names[i]!]);
}

/** GA and SB of two transistors are G1 and S2, where each of a half's terminals is called so in both. */
function ofHalves(pins: readonly { name: string }[], nodes: readonly { name: string }[]): [string, string][] {
  const there = capitalsOf(nodes);
  const own = new Set(pins.map(keyOf));
  const stems = [...own].flatMap((name) => /^([BCEDGSAK])A$/.exec(name)?.[1] ?? []).filter((stem) => own.has(`${stem}B`));
  const isSo = (stem: string) => there.has(`${stem}1`) && there.has(`${stem}2`) && !there.has(`${stem}A`) && !there.has(`${stem}B`);
  return stems.length > 1 && stems.every(isSo)
    ? stems.flatMap((stem): [string, string][] => [[`${stem}A`, `${stem}1`], [`${stem}B`, `${stem}2`]]) // prettier-ignore
    : [];
}

/** SW1 and SW2 are SWA and SWB where two names at least are counted so, and the model has no figures for them. */
export function byLetters(pins: readonly { name: string }[], there: ReadonlySet<string>): [string, string][] {
  const own = new Set(pins.map(keyOf));
  // A supply's figure may be that of a side, and a node's letter that of a channel.
  const stems = [...own].flatMap((name) => /^(?!V|.?GND)(.*[A-Z])1$/.exec(name)?.[1] ?? []);
  const isSo = (stem: string, figure: string, letter: string) =>
    own.has(stem + figure) && there.has(stem + letter) && !there.has(stem + figure) && !own.has(stem + letter);
  const lettered = stems.filter((stem) => isSo(stem, '1', 'A') && isSo(stem, '2', 'B'));
  const told = lettered.flatMap((stem) => [...'ABCD'].map((letter, i): [string, string] => [`${stem}${i + 1}`, stem + letter]));
  return lettered.length > 1 ? told.filter(([name, node]) => own.has(name) && there.has(node)) : [];
}

/** What data are called by: DB7 to DB0 are D7 to D0 where each side has one such series, of the same figures. */
const DATA = /^(D|DB|DQ|DATA|BIT)$/;

function ofData(own: readonly Series[], there: readonly Series[]): [string, string][] {
  const ofBoth = [own, there].map((list) => list.filter((s) => !s.letters && DATA.test(s.stem)));
  const [[a], [b]] = ofBoth as [Series[], Series[]];
  if (!a || !b || ofBoth.some((list) => list.length > 1) || a.stem === b.stem || a.names.length !== b.names.length) return [];
  const figure = (name: string) => /\d+$/.exec(name)![0];
  return figure(a.names[0]!) === figure(b.names[0]!) ? a.names.map((name, i): [string, string] => [name, b.names[i]!]) : [];
}

/** Names that count up from A, from 0 or from 1, by their stems. */
function seriesIn(list: readonly { name: string }[], least = SERIES): Series[] {
  const names = [...new Set(list.map(keyOf))];
  const counted = (form: RegExp, letters: boolean): Series[] => {
    const found = names.flatMap((name) => {
      const [, stem, index] = form.exec(name) ?? [];
      return stem === undefined || index === undefined ? [] : [{ name, stem, at: letters ? index.charCodeAt(0) - 65 : Number(index) }];
    });
    return [...groupBy(found, (f) => f.stem)].flatMap(([stem, of]) => {
      const sorted = [...of].sort((a, b) => a.at - b.at);
      const isRun = sorted[0]!.at <= (letters ? 0 : 1) && sorted.every((f, i) => f.at === sorted[0]!.at + i);
      return isRun && sorted.length >= least ? [{ stem, letters, names: sorted.map((f) => f.name) }] : [];
    });
  };
  return [...counted(/^(.*?)([A-H])$/, true), ...counted(/^(.*\D)(\d{1,2})$/, false)];
}

/**
 * Pins that count from 0 where the nodes count from 1, or the other way round, by the names that they have there: A0 to A3
 * are A1 to A4. Undefined for those of which there are not as many: whether A1 is A1 or A2 a person says.
 */
export function countedOtherwise(
  pins: readonly { name: string }[],
  nodes: readonly { name: string }[],
): ReadonlyMap<string, string | undefined> {
  const [own, there] = [seriesIn(pins, 2), seriesIn(nodes, 2)].map((list) => list.filter((s) => !s.letters)) as [Series[], Series[]];
  return new Map(
    own.flatMap((a) => {
      const b = there.find((x) => x.stem === a.stem && x.names[0] !== a.names[0]);
      return b ? a.names.map((name, i) => [name, a.names.length === b.names.length ? b.names[i]! : undefined] as const) : [];
    }),
  );
}
