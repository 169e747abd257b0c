import { groupBy } from '../../part';
import { narrow } from '../text/narrow';
import type { Box } from '../table/box';
import { raise, RAISED } from '../table/raised';
import type { DocumentPage, Rule, Run } from './page';

/** A word on a page: characters with no gap between them. */
export interface Word {
  text: string;
  x0: number;
  x1: number;
  /** The baseline. */
  base: number;
  size: number;
  /** Set sideways: its box is given by `x0`, `x1`, `top` and `base`. */
  sideways?: boolean;
  top: number;
  /** Its place within a longer run is an estimate. */
  estimated?: boolean;
  /** It begins a run, so that its left end is no estimate. */
  first?: boolean;
  /** Set in a face whose characters are all equally wide: its blanks are wider than those of others. */
  mono?: boolean;
  /** The face of the run that it began in. */
  face?: string;
}

/** A name as circuits have it: capitals and figures, at most its last letter a small one. `Channel` and `In` are none. */
export const looksLikeName = (text: string): boolean => /^[/~!]?[A-Z]\u0305?(?:[A-Z0-9_+/#*\u0305–-]+[a-z]?)?$/.test(text);

/** A name of two characters at least: a single letter is as often one of a sentence. */
export const isLongName = (text: string): boolean => text.length > 1 && looksLikeName(text);

/** Characters nearer than this, in font sizes, belong to one word. pdf.js puts blanks into wider gaps itself. */
const JOIN = 0.13;
/** Smaller than this share of its neighbour, a word is a superscript or subscript. */
const SMALL = 0.86;

/** The words that are set sideways, column by column, each from the bottom to the top. */
export const turnedIn = (words: readonly Word[]): Word[] => words.filter((w) => w.sideways).sort((a, b) => a.x0 - b.x0 || b.base - a.base);

export const boxOf = (w: Word): Box => [w.x0, w.top, w.x1 - w.x0, w.base + w.size * 0.22 - w.top];

/**
 * The words of an upright page: runs are cut at blanks, pieces without a gap are joined, raised small characters become
 * superscript characters of the word before them, lowered ones become plain characters of it.
 */
export function wordsAndRules(page: DocumentPage): { words: Word[]; rules: Rule[] } {
  const { words, drawn } = readWords(page);
  return {
    words,
    rules: takeOverbars(
      words,
      (page.rules ?? []).filter((r) => !drawn.has(r)),
    ),
  };
}

function readWords(page: DocumentPage): { words: Word[]; drawn: Set<Rule> } {
  const isMono = isTypewritten(page.runs);
  const pieces = page.runs.flatMap((run) => cut(run, isMono));
  const upright = pieces.filter((p) => !p.sideways);
  const drawn = underscores(upright, page.rules ?? []);
  const flat = joinSpaced(joinPieces(onOneBase([...upright, ...drawn.map((d) => d.word)])));
  return { words: [...attachSmall(flat), ...pieces.filter((p) => p.sideways)], drawn: new Set(drawn.map((d) => d.rule)) };
}

/** Relative widths of characters in common text faces, for places within a run. */
export const widthOf = (c: string): number =>
  c === ' ' || /[ijl.,:;'|!ftI()[\]/\\-]/.test(c) ? 0.31 : /[mwMW@%]/.test(c) ? 0.86 : /[A-Z0-9+=#&]/.test(c) ? 0.63 : 0.53;

/** Characters of 0.6 times the size each, as typewriter faces have them. A short word can have that width by chance, a page cannot. */
function isTypewritten(runs: readonly Run[]): boolean {
  const told = runs.filter((r) => r.turns === 0 && r.text.trim().length >= 2);
  const alike = told.filter((r) => Math.abs(r.width / (r.text.length * r.size) - 0.6) < 0.006);
  return told.length > 0 && alike.length >= 0.8 * told.length;
}

function cut(run: Run, isMono: boolean): Word[] {
  const text = narrow(run.text).replace(/[\u00a0\u2000-\u200a\u202f\t]/g, ' ');
  if (run.turns !== 0) return sideways(run, text);
  const mono = isMono ? { mono: true } : {};
  if (!text.includes(' ')) return text === '' ? [] : [{ ...wordAt(run, text, run.x, run.x + run.width), ...mono }];
  const widths = [...text].map(isMono ? () => 1 : widthOf);
  const total = widths.reduce((a, b) => a + b, 0) || 1;
  const words: Word[] = [];
  let from = 0;
  let at = 0;
  let current = '';
  const end = (to: number) => {
    if (current !== '')
      words.push({
        ...wordAt(run, current, run.x + (run.width * from) / total, run.x + (run.width * to) / total),
        estimated: true,
        ...(from === 0 ? { first: true } : {}),
        ...mono,
      });
    current = '';
  };
  [...text].forEach((c, i) => {
    if (c === ' ') end(at);
    else {
      if (current === '') from = at;
      current += c;
    }
    at += widths[i]!;
  });
  end(at);
  return words;
}

const wordAt = (run: Run, text: string, x0: number, x1: number): Word => ({
  text,
  x0,
  x1,
  base: run.y,
  size: run.size,
  top: run.y - run.size * 0.78,
  ...(run.face === undefined ? {} : { face: run.face }),
});

/** Sideways text is kept whole: it stands in headings, over narrow columns. */
function sideways(run: Run, text: string): Word[] {
  if (run.turns === 2 || text.trim() === '' || text.length > 40) return [];
  const up = run.turns === 3;
  const x0 = up ? run.x - run.size * 0.78 : run.x - run.size * 0.22;
  const top = up ? run.y - run.width : run.y;
  return [{ text: text.trim(), x0, x1: x0 + run.size, base: top + run.width, size: run.size, top, sideways: true }];
}

/** Underscores that are drawn as short lines on the baseline, right behind a character, as some typesetters do. */
function underscores(pieces: readonly Word[], rules: readonly Rule[]): { word: Word; rule: Rule }[] {
  return rules.flatMap((rule) => {
    const width = rule.x2 - rule.x1;
    if (rule.y1 !== rule.y2 || width < 1.5 || width > 8) return [];
    const near = pieces.find((p) => {
      const drop = rule.y1 - p.base;
      return (
        width > 0.18 * p.size &&
        width < 0.75 * p.size &&
        drop > -0.06 * p.size &&
        drop < 0.32 * p.size &&
        Math.abs(p.x1 - rule.x1) < 0.3 * p.size
      );
    });
    return near ? [{ rule, word: { text: '_', x0: near.x1, x1: rule.x2, base: near.base, size: near.size, top: near.top } }] : [];
  });
}

/** A sign of its own run, as it comes where another face has to lend it. */
const SIGN = /^[-+−–±#*/~×°µΩ]$/;

/** Signs that another face lends may stand a little off the line; one that touches a word before it is on that word's baseline. */
function onOneBase(pieces: readonly Word[]): Word[] {
  return pieces.map((sign) => {
    if (!SIGN.test(sign.text)) return sign;
    const before = pieces.find((p) => {
      const off = Math.abs(p.base - sign.base);
      const isOff = off >= 0.12 * sign.size && off < 0.34 * sign.size;
      return isOff && Math.abs(p.x1 - sign.x0) < 0.1 * sign.size && Math.abs(p.size - sign.size) < 0.1 * sign.size;
    });
    return before ? { ...sign, base: before.base, top: before.top } : sign;
  });
}

/** Joins pieces on one baseline that touch. */
function joinPieces(pieces: Word[]): Word[] {
  const sorted = [...pieces].sort((a, b) => a.base - b.base || a.x0 - b.x0);
  const words: Word[] = [];
  for (let i = 0; i < sorted.length;) {
    const base = sorted[i]!.base;
    let k = i + 1;
    while (k < sorted.length && sorted[k]!.base - base < 0.12 * sorted[i]!.size) k++;
    const line = sorted.slice(i, k).sort((a, b) => a.x0 - b.x0);
    for (const piece of line) {
      const last = words.at(-1);
      const gap = last ? piece.x0 - last.x1 : Infinity;
      const isNear =
        last !== undefined && Math.abs(last.base - piece.base) < 0.12 * piece.size && Math.abs(last.size - piece.size) < 0.1 * piece.size;
      if (isNear && piece.text === last.text && Math.abs(piece.x0 - last.x0) < 0.08 * piece.size) continue; // bold, drawn twice
      // Beside a drawn underscore the places of neighbours are estimates.
      const most = last?.text.endsWith('_') ? 0.3 : JOIN;
      if (isNear && gap < most * piece.size && gap > -0.35 * piece.size) {
        last.text += piece.text;
        last.x1 = Math.max(last.x1, piece.x1);
      } else words.push({ ...piece });
    }
    i = k;
  }
  return words;
}

/** Letters so far apart, in font sizes, are a word that is set spaced; where they differ by more, one is a word's end. */
const SPACED = { most: 0.75, even: 0.12, letters: 3 };

const LETTER = /^\p{L}$/u;
const isLetter = (w: Word): boolean => !w.estimated && LETTER.test(w.text);

/** The words of a page whose letters are set apart. */
export function spacedWords(runs: readonly Run[]): string[] {
  // Every page of a long document is asked, and hardly any has such words.
  if (runs.filter((r) => r.text.length === 1 && LETTER.test(r.text)).length < SPACED.letters) return [];
  const given = runs.filter((r) => r.text.trim() !== '').map((r) => wordAt(r, r.text, r.x, r.x + r.width));
  const own = new Set(given.map((w) => w.text));
  return joinSpaced(given).flatMap((w) => (own.has(w.text) ? [] : [w.text]));
}

/** Joins words that are set with their letters apart, `N A M E`: single letters, each drawn by itself, with gaps of one width. */
function joinSpaced(words: readonly Word[]): readonly Word[] {
  if (words.filter(isLetter).length < SPACED.letters) return words;
  const out: Word[] = [];
  for (let i = 0; i < words.length;) {
    const first = words[i]!;
    let end = i + 1;
    const gapAt = (k: number) => words[k]!.x0 - words[k - 1]!.x1;
    const goesOn = (k: number) =>
      words[k] !== undefined &&
      isLetter(words[k]) &&
      Math.abs(words[k].base - first.base) < 0.12 * first.size &&
      gapAt(k) >= JOIN * first.size &&
      gapAt(k) < SPACED.most * first.size &&
      (k === i + 1 || Math.abs(gapAt(k) - gapAt(i + 1)) < SPACED.even * first.size);
    if (isLetter(first)) while (goesOn(end)) end++;
    const of = end - i < SPACED.letters ? [first] : words.slice(i, end);
    out.push(
      of.length === 1
        ? first
        : { ...first, text: of.map((w) => w.text).join(''), x1: of.at(-1)!.x1, size: Math.max(...of.map((w) => w.size)) },
    );
    i += of.length;
  }
  return out;
}

/** A small raised asterisk is a note's mark; one of full size may be a name's own. */
const NOTE_MARKS = { ...RAISED, '*': '﹡', ',': '⁾', a: 'ᵃ', b: 'ᵇ', c: 'ᶜ', d: 'ᵈ', e: 'ᵉ', f: 'ᶠ' };

/** Small words beside a larger one: raised ones are notes on it, lowered ones belong to its name. */
function attachSmall(words: readonly Word[]): Word[] {
  const taken = new Set<Word>();
  const byX = [...words].sort((a, b) => a.x0 - b.x0);
  const firstNear = byHeight(byX);
  for (const small of byX) {
    const host = small.text.length > 12 ? undefined : firstNear(small, (w) => !taken.has(w) && isBeside(small, w));
    if (!host) continue;
    const lift = host.base - small.base;
    const raised = lift > 0.12 * host.size;
    host.text += raised ? raise(small.text, NOTE_MARKS) : small.text;
    host.x1 = small.x1;
    taken.add(small);
  }
  return words.filter((w) => !taken.has(w));
}

/** Finds the first word that fits of the taller ones whose baselines are near a small one's: a page may have 20,000 words. */
function byHeight(words: readonly Word[]): (small: Word, fits: (w: Word) => boolean) => Word | undefined {
  const tall = Math.max(1, ...words.map((w) => w.size));
  const bandOf = (w: Word) => Math.floor(w.base / tall);
  const bands = groupBy([...words.keys()], (i) => bandOf(words[i]!));
  const tallest = new Map([...bands].map(([band, of]) => [band, of.reduce((most, i) => Math.max(most, words[i]!.size), 0)]));
  return (small, fits) => {
    const band = bandOf(small);
    // Most words are as tall as all around them, and small beside none.
    const near = [band - 1, band, band + 1].filter((b) => (tallest.get(b) ?? 0) > small.size);
    const found = near.flatMap((b) => bands.get(b)!.find((i) => fits(words[i]!)) ?? []);
    return found.length === 0 ? undefined : words[Math.min(...found)];
  };
}

function isBeside(small: Word, w: Word): boolean {
  const gap = small.x0 - w.x1;
  const lift = w.base - small.base;
  if (w === small || gap <= -0.3 * w.size || gap >= 0.22 * w.size) return false;
  // A figure right behind a word and well above its line is a note in any size.
  if (/^\d$/.test(small.text) && small.size < w.size && gap < 0.1 * w.size && lift > 0.35 * w.size) return lift < 0.75 * w.size;
  return small.size <= SMALL * w.size && lift > -0.55 * w.size && lift < 0.75 * w.size;
}

/** How far from the text, in font sizes, an overbar may stand or end. */
const REACH = 0.35;

/**
 * Lines drawn over words are overbars: the characters under them get a combining overline (U+0305). Such a line stands
 * alone, over its word and not over a cell; the lines that are left are given back.
 */
function takeOverbars(words: readonly Word[], rules: readonly Rule[]): Rule[] {
  const uprights = rules.filter((r) => r.x1 === r.x2 || r.x2 - r.x1 < 0.5);
  return rules.filter((rule) => {
    const width = rule.x2 - rule.x1;
    if (rule.y1 !== rule.y2 || width > 160 || width < 2) return true;
    const touches = (r: Rule) =>
      Math.min(Math.abs(r.x1 - rule.x1), Math.abs(r.x1 - rule.x2)) < 1.2 && r.y1 - 1.2 <= rule.y1 && r.y2 + 1.2 >= rule.y1;
    if (uprights.some(touches)) return true;
    const goesOn = (r: Rule) =>
      r !== rule && Math.abs(r.y1 - rule.y1) < 0.4 && r.y1 === r.y2 && (Math.abs(r.x1 - rule.x2) < 1 || Math.abs(r.x2 - rule.x1) < 1);
    if (rules.some(goesOn)) return true;
    const word = words.find((w) => !w.sideways && liesOver(rule, w));
    if (!word) return true;
    bar(word, rule);
    return false;
  });
}

function liesOver(rule: Rule, w: Word): boolean {
  const above = w.base - rule.y1;
  if (above < 0.55 * w.size || above > 1.3 * w.size) return false;
  const reach = REACH * w.size;
  return rule.x1 >= w.x0 - reach && rule.x2 <= w.x1 + reach && Math.min(rule.x2, w.x1) - Math.max(rule.x1, w.x0) > 0.3 * w.size;
}

function bar(word: Word, rule: Rule): void {
  const characters = [...word.text];
  const widths = characters.map((c) => (/[⁰¹²³⁴-⁹⁽⁾ᵃ-ᶠ﹡]/.test(c) ? 0.35 : widthOf(c)));
  const total = widths.reduce((a, b) => a + b, 0);
  let at = word.x0;
  word.text = characters
    .map((c, i) => {
      const wide = ((word.x1 - word.x0) * widths[i]!) / total;
      const middle = at + wide / 2;
      at += wide;
      const isNote = /[⁰¹²³⁴-⁹⁽⁾ᵃ-ᶠ﹡]/.test(c);
      return !isNote && middle > rule.x1 && middle < rule.x2 ? `${c}\u0305` : c;
    })
    .join('');
}
