import { plural, replaceById, type EditRule } from './edit-rule';

/** Marks pads of a package, or nodes of a model in one unit, as read back at a digest; `null` takes the mark away. */
export interface MarkRead {
  kind: 'markRead';
  of: { package: string } | { model: string; unit: string };
  marks: { place: string; digest: string | null }[];
}

type Marks = Record<string, string>;

function marked(before: Marks | undefined, marks: MarkRead['marks']): Marks {
  const next = new Map(Object.entries(before ?? {}));
  for (const { place, digest } of marks)
    if (digest === null) next.delete(place);
    else next.set(place, digest);
  return Object.fromEntries(next);
}

export const markRead: EditRule<MarkRead> = {
  apply: (part, { of, marks }) =>
    'package' in of
      ? { ...part, packages: replaceById(part.packages, [of.package], (p) => ({ ...p, readBack: marked(p.readBack, marks) })) }
      : {
          ...part,
          models: replaceById(part.models, [of.model], (m) => ({
            ...m,
            readBack: { ...m.readBack, [of.unit]: marked(m.readBack?.[of.unit], marks) },
          })),
        },
  describe: ({ of, marks }) =>
    `${marks.every((m) => m.digest === null) ? 'take back' : 'read back'} ${plural(marks.length, 'package' in of ? 'pad' : 'node')}`,
};
