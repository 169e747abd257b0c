import type { Body, BodyShape, Port, Side } from '../../part';
import type { Primitive } from '../picture';
import { AMPLIFIERS } from './amplifiers';
import type { BodyDef } from './body-shape';
import { CONTACT_SHAPES } from './contacts';
import { COUPLERS } from './couplers';
import { DIODES } from './diodes';
import { GATES } from './gates';
import { LOAD_SHAPES } from './loads';
import { PASSIVE_SHAPES } from './passives';
import { REGULATORS } from './regulator';
import { TRANSISTORS } from './transistors';

export type ShapeName = Exclude<BodyShape, 'block' | 'none'>;

/** All body shapes but the block and the empty frame. */
export const SHAPES: Record<ShapeName, BodyDef> = {
  ...AMPLIFIERS,
  ...REGULATORS,
  ...GATES,
  ...TRANSISTORS,
  ...DIODES,
  ...COUPLERS,
  ...PASSIVE_SHAPES,
  ...CONTACT_SHAPES,
  ...LOAD_SHAPES,
};

export const shapeOf = (body: Body): BodyDef | undefined => SHAPES[body.shape as ShapeName];

const frameOf = (body: Body) => ({ w: body.width * 50, h: body.height * 50 });

/** A shape as drawn in a body's frame; nothing for a block or an empty frame. */
export const drawShape = (body: Body, ports: readonly Port[]): Primitive[] => shapeOf(body)?.draw(frameOf(body), ports) ?? [];

/** How far a pin's line goes on inside the frame until it meets the outline, in hundredths of a step. */
export const edgeInset = (body: Body, side: Side, at: number): number => shapeOf(body)?.edge?.(side, at * 100, frameOf(body)) ?? 0;

export type { BodyDef, ShapePort } from './body-shape';
