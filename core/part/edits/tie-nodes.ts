import type { NodeTie } from '../model';
import { plural, replaceById, type EditRule } from './edit-rule';

/** Ties a model's nodes for one unit; `null` unties. */
export interface TieNodes {
  kind: 'tieNodes';
  model: string;
  ties: { unit: string; node: string; tie: NodeTie | null }[];
}

export const tieNodes: EditRule<TieNodes> = {
  apply: (part, { model, ties }) => ({
    ...part,
    models: replaceById(part.models, [model], (m) => {
      const next = { ...m.ties };
      for (const { unit, node, tie } of ties) {
        const { [node]: _before, ...others } = next[unit] ?? {};
        next[unit] = tie === null ? others : { ...others, [node]: tie };
        // Where nothing is tied any more, nothing is called.
        if (Object.keys(next[unit]).length === 0) delete next[unit];
      }
      return { ...m, ties: next };
    }),
  }),
  describe: ({ ties }) => `tie ${plural(ties.length, 'node')}`,
};
