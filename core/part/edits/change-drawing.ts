import type { Body, Drawing, Label, Stroke } from '../drawing';
import { replaceById, type EditRule } from './edit-rule';

/**
 * Sets a drawing's body frame (even grid steps), its text places and artwork (hundredths of a step), and what its pins
 * show. An empty `hide` shows everything, `inside` puts names back into the body.
 */
export interface ChangeDrawing {
  kind: 'changeDrawing';
  drawing: string;
  body?: Partial<Body>;
  labels?: Label[];
  strokes?: Stroke[];
  hide?: ('name' | 'number')[];
  names?: 'inside' | 'over';
  /** Null where it goes its own way from here on. */
  family?: string | null;
}

export const changeDrawing: EditRule<ChangeDrawing> = {
  apply: (part, { drawing, body, labels, strokes, hide, names, family }) => ({
    ...part,
    drawings: replaceById(part.drawings, [drawing], (d): Drawing => {
      const { hide: hidden = [], names: placed = 'inside', family: kin, ...rest } = d;
      const nowKin = family === undefined ? kin : family;
      const [nowHidden, nowPlaced] = [hide ?? hidden, names ?? placed];
      return {
        ...rest,
        body: { ...d.body, ...body },
        ...(nowHidden.length > 0 ? { hide: nowHidden } : {}),
        ...(nowPlaced === 'over' ? { names: nowPlaced } : {}),
        ...(nowKin ? { family: nowKin } : {}),
        labels: labels ?? d.labels,
        strokes: strokes ?? d.strokes,
      };
    }),
  }),
  describe: ({ body, strokes, labels, hide, names }) =>
    strokes
      ? 'change the artwork'
      : body
        ? 'change the body'
        : labels
          ? 'move texts'
          : hide || names
            ? 'change what pins show'
            : 'change the drawing',
};
