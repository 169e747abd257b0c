import { listed, problem, type Problem } from '../part';
import type { Card } from './cards';

/** A kind of construct that Berkeley SPICE 3 does not have, with every line that has it. */
export interface Construct {
  construct: string;
  lines: number[];
  /** True where the export can say it in the Berkeley form. */
  canRewrite: boolean;
}

/**
 * What Berkeley SPICE 3 does not have. The measure is the 3f5 user's manual: its control lines (chapter 2 and 4), its
 * elements (chapter 3), its model types, and the functions of a B source (3.2.2.6). A user who sees the list knows
 * which simulators may not read the file; simulators of today read most of it.
 */
interface Rule {
  /** Its name, or what names it by the card at hand. */
  construct: string | ((card: Card, word: string) => string);
  test: (card: Card, word: string) => boolean;
  canRewrite?: boolean;
}

const CONTROL = new Set('.subckt .ends .include .options .option .nodeset .ic .ac .dc .disto .noise .op .pz .sens .tf .tran .save .print .plot .four .model .end .width .title'.split(' ')); // prettier-ignore
const ELEMENTS = /^[rclkswviegfhbtoudqjzmx]/;
const MODEL_TYPES = new Set('r c urc ltra sw csw d npn pnp njf pjf nmos pmos nmf pmf'.split(' '));
const FUNCTIONS = new Set('abs acos acosh asin asinh atan atanh cos cosh exp ln log sin sinh sqrt tan u uramp v i'.split(' '));

const wordOfModel = (card: Card): string => (/^\.model\s+\S+\s+(?:ako:\s*\S+\s+)?([a-z]\w*)/i.exec(card.text)?.[1] ?? '').toLowerCase();
const isExpression = (card: Card): boolean => /^b/i.test(card.text) || /[{']/.test(card.text);
/** The first function in a card's expressions that a B source does not have. */
const foreignFunction = (card: Card): string | undefined => {
  const expressions = /^b/i.test(card.text) ? card.text.replace(/^[^=]*=/, '') : (card.text.match(/\{[^}]*\}|'[^']*'/g) ?? []).join(' ');
  return [...expressions.matchAll(/\b([a-z_]\w*)\s*\(/gi)].map((m) => m[1]!.toLowerCase()).find((f) => !FUNCTIONS.has(f));
};

const RULES: Rule[] = [
  { construct: '.macro and .eom', test: (_, w) => w === '.macro' || w === '.eom', canRewrite: true },
  { construct: (_, w) => w, test: (_, w) => w.startsWith('.') && !CONTROL.has(w) && !/^\.(macro|eom|control|endc)$/.test(w) },
  { construct: 'PARAMS:', test: ({ text }) => /\bparams\s*:/i.test(text), canRewrite: true },
  { construct: 'OPTIONAL: nodes', test: ({ text }) => /\boptional\s*:/i.test(text) },
  { construct: 'TEXT: parameters', test: ({ text }) => /\btext\s*:/i.test(text) },
  {
    construct: 'parameters of a subcircuit',
    test: ({ text }, w) => (w === '.subckt' || w.startsWith('x')) && text.includes('=') && !/\b(params|optional|text)\s*:/i.test(text),
    canRewrite: true,
  },
  { construct: 'an expression in braces', test: ({ text }) => text.includes('{'), canRewrite: true },
  { construct: 'an expression in quotes', test: ({ text }, w) => text.includes("'") && !/^\.(inc|include|lib)$/.test(w), canRewrite: true },
  { construct: 'a comment with ; or $', test: (c) => c.raw.some((r) => r.comment !== ''), canRewrite: true },
  { construct: 'AKO: models', test: ({ text }, w) => w === '.model' && /\bako:/i.test(text), canRewrite: true },
  {
    construct: (c) => `model type ${wordOfModel(c).toUpperCase()}`,
    test: (c, w) => w === '.model' && wordOfModel(c) !== '' && !MODEL_TYPES.has(wordOfModel(c)) && !/^[vi]switch$/.test(wordOfModel(c)),
  },
  { construct: 'VSWITCH and ISWITCH models', test: (c, w) => w === '.model' && /^[vi]switch$/.test(wordOfModel(c)), canRewrite: true },
  { construct: 'DEV and LOT tolerances', test: ({ text }, w) => w === '.model' && /\b(dev|lot)\s*=?\s*\d/i.test(text) },
  { construct: (_, w) => `element letter ${w[0]!.toUpperCase()}`, test: (_, w) => /^[a-z]/.test(w) && !ELEMENTS.test(w) },
  { construct: 'digital primitives', test: ({ text }, w) => w.startsWith('u') && !/\bl\s*=/i.test(text) },
  { construct: 'VALUE= sources', test: ({ text }, w) => /^[eg]/.test(w) && /\b(value|vol|cur)\s*=?\s*[{'=]/i.test(text), canRewrite: true },
  { construct: 'TABLE sources', test: ({ text }, w) => /^[eg]/.test(w) && /\btable\b/i.test(text) },
  { construct: 'LAPLACE and FREQ sources', test: ({ text }, w) => /^[eg]/.test(w) && /\b(laplace|freq|chebyshev)\b/i.test(text) },
  { construct: 'POLY sources, which are of SPICE 2', test: ({ text }, w) => /^[efgh]/.test(w) && /\bpoly\s*\(/i.test(text) },
  {
    construct: (c) =>
      foreignFunction(c) === undefined ? 'a condition or a logical operator' : `function ${foreignFunction(c)!.toUpperCase()}()`,
    test: (c) => isExpression(c) && (/[?&|<>~]|!=|==/.test(c.text) || foreignFunction(c) !== undefined),
  },
  {
    construct: 'the power sign **',
    test: (c) => isExpression(c) && c.text.includes('**'),
    canRewrite: true,
  },
  { construct: 'a substrate node in brackets', test: ({ text }, w) => w.startsWith('q') && /\[\w+\]/.test(text) },
  { construct: 'TC= on an element', test: ({ text }, w) => /^[rcl]/.test(w) && /\btc[12]?\s*=/i.test(text) },
  {
    construct: 'parasitics on an element (RSER=, …)',
    test: ({ text }, w) => /^[rclvi]/.test(w) && /\b(rser|lser|rpar|cpar|noiseless)\b/i.test(text),
  },
  { construct: 'a multiplier (M=)', test: ({ text }, w) => /^[rclqdjmx]/.test(w) && /\sm\s*=/i.test(text) },
];

/** Signs without which none of the rules on a card's text can hold; they keep a large library quick. */
const SUSPECT = /[{}'=:?&|<>~[;$]|\*\*|poly|table|laplace|freq|value|noiseless|\bdev\b|\blot\b/i;

/** The kinds of construct that the Berkeley form does not have, each with the lines that have it. */
export function constructsOf(cards: readonly Card[]): Construct[] {
  const found = new Map<string, { lines: number[]; canRewrite: boolean }>();
  for (const card of cards) {
    const word = /^\.?\S+/.exec(card.text)![0].toLowerCase();
    const isPlain = !SUSPECT.test(card.text) && card.raw.every((r) => r.comment === '');
    if (isPlain && (word.startsWith('.') ? CONTROL.has(word) && word !== '.model' : ELEMENTS.test(word) && !word.startsWith('u'))) continue;
    for (const rule of RULES)
      if (rule.test(card, word)) {
        const name = typeof rule.construct === 'string' ? rule.construct : rule.construct(card, word);
        const before = found.get(name);
        if (before) before.lines.push(card.line);
        else found.set(name, { lines: [card.line], canRewrite: rule.canRewrite ?? false });
      }
  }
  return [...found].map(([construct, rest]) => ({ construct, ...rest })).sort((a, b) => a.lines[0]! - b.lines[0]!);
}

/** What a list of constructs says to a person: one problem a kind, at its first line. */
export const dialectProblems = (constructs: readonly Construct[], file?: string): Problem[] =>
  constructs.map(({ construct, lines, canRewrite }) =>
    problem(
      'spice-dialect',
      {
        construct: construct[0]!.toUpperCase() + construct.slice(1),
        where: `${lines.length === 1 ? 'line' : 'lines'} ${listed(lines, 6)}`,
        what: canRewrite ? 'the export can rewrite it where its values are constants' : 'some simulators will not read it',
      },
      { file, line: lines[0]! },
    ),
  );
