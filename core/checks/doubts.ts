import { pinText, type Rule } from './rule';

export const doubtRules: Rule[] = [
  {
    id: 'doubt-open',
    family: 'doubts',
    severity: 'error',
    title: 'A doubt is open',
    why: 'The program could not be sure of it; only a person with the datasheet can.',
    find: ({ part }) =>
      part.pins.flatMap((p) =>
        p.doubts.map((d) => ({
          where: { pin: p.id, field: d.field },
          message: `The ${d.field === 'activeLow' ? 'active-low flag' : d.field} of ${pinText(p)} is in doubt. ${d.reason}`,
          mends: [
            { label: 'confirm it', edit: { kind: 'settleDoubt' as const, pin: p.id, field: d.field } },
            ...(d.candidates ?? [])
              .filter((c) => c !== p[d.field as 'name' | 'type'])
              .slice(0, 3)
              .map((value) => ({
                label: `take ${value}`,
                edit: { kind: 'settleDoubt' as const, pin: p.id, field: d.field, value },
              })),
          ],
        })),
      ),
  },
];
