import { isFlank, type Body, type BodyShape, type Port, type Side } from '../../part';
import type { Primitive } from '../picture';
import { AMPLIFIERS } from './amplifiers';
import type { BodyDef, ShapePort } from './body-shape';
import { CONTACT_SHAPES } from './contacts';
import { COUPLERS } from './couplers';
import { DIODES } from './diodes';
import { GATES } from './gates';
import { LOAD_SHAPES } from './loads';
import { joint } from './pen';
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
export function drawShape(body: Body, ports: readonly Port[]): Primitive[] {
  const shape = shapeOf(body);
  return shape ? [...shape.draw(frameOf(body), ports), ...joinedAtFlanks(shape, body, ports)] : [];
}

/** How far a pin's line goes on inside the frame until it meets the outline, in hundredths of a step. */
export function edgeInset(body: Body, side: Side, at: number): number {
  const shape = shapeOf(body);
  const end = shape && isFlank(side) ? loneEnd(shape, side) : undefined;
  return end && end.at !== at ? 0 : (shape?.edge?.(side, at * 100, frameOf(body)) ?? 0);
}

/** The one end that a shape has at a flank, where further pins of it can stand beside. */
function loneEnd({ ports }: BodyDef, side: Side): ShapePort | undefined {
  const [end, ...more] = ports.filter((p) => p.side === side);
  return end?.repeats && more.length === 0 ? end : undefined;
}

/** Pins of one end above each other are joined at the frame's edge: the two pads of an inductor, the tab of a rectifier. */
function joinedAtFlanks(shape: BodyDef, body: Body, ports: readonly Port[]): Primitive[] {
  return (['left', 'right'] as const).flatMap((side) => {
    const end = loneEnd(shape, side);
    const own = ports.filter((p) => p.side === side).map((p) => p.at);
    if (!end || own.every((at) => at === end.at)) return [];
    return [
      joint(
        side,
        frameOf(body),
        [end.at, ...own].map((at) => at * 100),
      ),
    ];
  });
}

export type { BodyDef, ShapePort } from './body-shape';
