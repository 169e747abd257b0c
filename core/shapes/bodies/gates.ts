import { isFlank, type Side } from '../../part';
import type { BodyDef, Frame, ShapePort } from './body-shape';
import { arcPoints } from '../arc';
import { box, path, sign, type Point } from './pen';
import type { Primitive } from '../picture';

const TWO_INPUTS: ShapePort[] = [
  { role: 'input', side: 'left', at: 1 },
  { role: 'input', side: 'left', at: -1 },
  { role: 'output', side: 'right', at: 0 },
  { role: 'supply+', side: 'top', at: 0, optional: true },
  { role: 'ground', side: 'base', at: 0, optional: true },
];
// `Buffer and gate driver` has no AND gate, and an exclusive OR is no OR.
const AND = /\bnand\b|\band[- ]gates?\b(?!\s*driv)/i;
const OR = /\bnor\b|(?<!exclusive[- ])\bor[- ]gates?\b(?!\s*driv)/i;
const NAND = /\bnand\b/i;
const NOR = /\bnor\b/i;
const XNOR = /\bxnor\b|exclusive[- ]nor/i;
export const INVERTER = /(?<!\bnon[- ]?)\binvert(er|ing)s?\b/i;

const gate = { letters: 'U', active: true, width: 4, height: 4, ports: TWO_INPUTS, manyInputs: true } as const;

const outline = (points: Point[]): Primitive => ({ kind: 'polygon', points, weight: 'body', filled: true });

/** The hollow back of an OR gate: how far it is hollowed out at a height. */
const hollow = (at: number, h: number): number => h * 0.32 * (1 - (at / h) ** 2);
const back = (x: number, h: number, turns = 12): Point[] =>
  Array.from({ length: turns + 1 }, (_, i): Point => {
    const y = h - (2 * h * i) / turns;
    return [x + hollow(y, h), y];
  });

const orUpper = ({ w, h }: Frame, from = -w): Point[] =>
  arcPoints([
    [from, h],
    [w * 0.28, h * 0.66],
    [w, 0],
  ]);

function orOutline(frame: Frame, from = -frame.w): Primitive {
  const { h } = frame;
  const upper = orUpper(frame, from);
  const lower = upper.map(([x, y]): Point => [x, -y]).reverse();
  return outline([...upper, ...lower, ...back(from, h).reverse().slice(1, -1)]);
}

/** On top and base a supply's line goes on to the flank. */
function orEdge(side: Side, at: number, frame: Frame): number {
  if (isFlank(side)) return side === 'left' ? hollow(at, frame.h) : 0;
  const next = orUpper(frame).find(([x]) => x >= at);
  return next ? frame.h - next[1] : 0;
}
const labelled = (text: string) => (frame: Frame) => [box(-frame.w, frame.h, frame.w, -frame.h), sign(0, frame.h - 60, text, 72)];
const BLOCK = 'IEC 60617-12 and IEEE 91, rectangular outline';
const SHAPE = 'IEEE 91a, distinctive shape';

export const GATES = {
  and: {
    ...gate,
    title: 'AND gate',
    standard: SHAPE,
    words: AND,
    inverted: NAND,
    needsWords: true,
    draw: ({ w, h }) => {
      const round = Math.min(w * 2 - 40, h);
      const arc = arcPoints([
        [w - round, h],
        [w, 0],
        [w - round, -h],
      ]);
      return [outline([[-w, h], ...arc, [-w, -h]])];
    },
  },
  or: {
    ...gate,
    title: 'OR gate',
    standard: SHAPE,
    words: OR,
    inverted: NOR,
    needsWords: true,
    draw: (frame) => [orOutline(frame)],
    edge: orEdge,
  },
  xor: {
    ...gate,
    title: 'Exclusive OR gate',
    standard: SHAPE,
    words: /\bxn?or\b|exclusive[- ]n?or/i,
    inverted: XNOR,
    needsWords: true,
    draw: (frame) => [orOutline(frame, -frame.w + 44), path(...back(-frame.w, frame.h))],
    edge: orEdge,
  },
  'buffer-block': {
    ...gate,
    ports: [
      { role: 'input', side: 'left', at: 0 },
      { role: 'output', side: 'right', at: 0 },
    ],
    title: 'Buffer, rectangular',
    standard: BLOCK,
    words: /buffer|inverter/i,
    inverted: INVERTER,
    needsWords: true,
    draw: labelled('1'),
  },
  'and-block': {
    ...gate,
    title: 'AND gate, rectangular',
    standard: BLOCK,
    words: AND,
    inverted: NAND,
    needsWords: true,
    draw: labelled('&'),
  },
  'or-block': {
    ...gate,
    title: 'OR gate, rectangular',
    standard: BLOCK,
    words: OR,
    inverted: NOR,
    needsWords: true,
    draw: labelled('≥1'),
  },
  'xor-block': {
    ...gate,
    title: 'Exclusive OR gate, rectangular',
    standard: BLOCK,
    words: /\bxn?or\b|exclusive[- ]n?or/i,
    inverted: XNOR,
    needsWords: true,
    draw: labelled('=1'),
  },
} satisfies Record<string, BodyDef>;
