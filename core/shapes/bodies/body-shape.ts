import type { Port, Side } from '../../part';
import type { Primitive } from '../picture';

/** A place of a shape that a pin is bound to by its role. `at` is in grid steps at the shape's own size. */
export interface ShapePort {
  role: string;
  side: Side;
  at: number;
  /** The shape reads without it: the supplies of one amplifier of four. */
  optional?: true;
  /** Further pins of its name stand beside it: the four drains of a power transistor. */
  repeats?: true;
}

/** Half the width and height of the frame, in hundredths of a step. */
export interface Frame {
  w: number;
  h: number;
}

/**
 * A body shape with named ports. Shapes are parametric: they are drawn into whatever frame the drawing has, and say for
 * each side how far a pin's line goes on inside the frame before it meets the outline.
 */
export interface BodyDef {
  title: string;
  /** Where the standards have it. */
  standard: string;
  /** Reference letters that go with it (IEEE 315, clause 22; IEC 81346-2 leaves them to the house). */
  letters: string;
  /** The frame's own size in even steps. */
  width: number;
  height: number;
  ports: ShapePort[];
  /** Its outline is a box: pins that nothing is connected to can stand at its left. */
  box?: true;
  /** What is fed can be drawn so; the others are whole parts, and no pins that are left over beside supplies. */
  active?: true;
  /** Gates take any number of further inputs on the left. */
  manyInputs?: true;
  /** Pin names are shown; without it the shape itself says which pin is which. */
  names?: true;
  /** Words in a part's category, description or keywords that speak for it. */
  words: RegExp;
  /** Words that say that what it gives out is negated: a NAND is an AND with a negation. */
  inverted?: RegExp;
  /** Without such words its pins alone say too little. */
  needsWords?: true;
  draw(frame: Frame, ports: readonly Port[]): Primitive[];
  /** How far a pin's line goes on inside the frame, in hundredths, at a place (hundredths along the side). */
  edge?(side: Side, at: number, frame: Frame): number;
}
