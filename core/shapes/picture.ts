/**
 * What a drawing is made of, in hundredths of a grid step, y upwards. Screen, SVG and every other output draw the same
 * pictures, so that what is released is what was looked at.
 */
export type Primitive =
  | { kind: 'line'; x1: number; y1: number; x2: number; y2: number; weight: Weight }
  | { kind: 'polyline'; points: [number, number][]; weight: Weight }
  /** Filled with paper, or, where `solid`, with ink. */
  | { kind: 'polygon'; points: [number, number][]; weight: Weight; filled?: boolean; solid?: boolean }
  | { kind: 'circle'; x: number; y: number; r: number; weight: Weight; filled?: boolean }
  | TextPrimitive;

export interface TextPrimitive {
  kind: 'text';
  x: number;
  y: number;
  text: string;
  /** Height of the em, in hundredths of a step. */
  size: number;
  anchor: 'start' | 'middle' | 'end';
  /** Turned counter-clockwise by 90 degrees, for pins at the top and base. */
  upright?: boolean;
  overbar?: boolean;
  role: 'name' | 'number' | 'title' | 'reference' | 'value' | 'field' | 'mark';
}

export type Weight = 'body' | 'pin' | 'mark' | 'rule' | 'bus';

/** Hundredths of a step in a step. */
export const STEP = 100;
export const NAME_SIZE = 64;
export const NUMBER_SIZE = 50;
/** From the body's edge to where a name starts. */
export const NAME_INSET = 36;
/** What a mark inside the body takes from the edge. */
export const MARK_WIDTH = 58;
