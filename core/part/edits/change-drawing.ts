import type { Body, Label } from '../drawing';
import { replaceById, type EditRule } from './edit-rule';

/** Sets a drawing's body frame (even grid steps) or its text places (hundredths of a step). */
export interface ChangeDrawing {
  kind: 'changeDrawing';
  drawing: string;
  body?: Partial<Body>;
  labels?: Label[];
}

export const changeDrawing: EditRule<ChangeDrawing> = {
  apply: (part, { drawing, body, labels }) => ({
    ...part,
    drawings: replaceById(part.drawings, [drawing], (d) => ({
      ...d,
      body: { ...d.body, ...body },
      labels: labels ?? d.labels,
    })),
  }),
  describe: ({ body }) => (body ? 'change the body' : 'move texts'),
};
