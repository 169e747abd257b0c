import type { Side } from '../../../../core/part';
import type { Band } from '../hand-marks';
import type { PlacedUnit, Target } from '../layout';

/**
 * What the pointer is doing on the sheet, as named states. A press becomes a drag or a box only after a few pixels, so
 * that a click with an unsteady hand stays a click.
 */
export type Gesture =
  | { state: 'idle' }
  | { state: 'pointing'; pin: string; port: string; unit: string; x: number; y: number }
  | { state: 'dragging'; pin: string; port: string; unit: string; target: Target | undefined }
  | { state: 'pressing'; x: number; y: number; add: boolean; onUnit: boolean }
  | { state: 'boxing'; x1: number; y1: number; add: boolean }
  /** A body's edge is pulled; `by` is how far, in grid steps, outwards positive. */
  | { state: 'resizing'; placed: PlacedUnit; edge: Side; x: number; y: number; by: number }
  /** A text of a drawing is moved from its box; `dx` and `dy` are hundredths of a step, y upwards. */
  | { state: 'labelling'; placed: PlacedUnit; label: number; box: Band; x: number; y: number; dx: number; dy: number }
  | { state: 'panning'; x: number; y: number };

export const idle: Gesture = { state: 'idle' };

const FAR = 4;
export const isFar = (g: { x: number; y: number }, x: number, y: number): boolean => Math.hypot(x - g.x, y - g.y) > FAR;
