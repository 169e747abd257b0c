import { boundLabel, listed, sayBound } from '../part';
import { nodeSteps, padSteps, type ReadBackStep } from '../read-back';
import { bindingUnits } from '../spice';
import type { Facts, RawFinding, Rule, Where } from './rule';

interface Walk {
  where: Where;
  /** "pads of SO-14", "nodes of AMP in unit A". */
  what: string;
  steps: ReadBackStep[];
}

/** Every walk that a read-back has: each package with a land, each model in each unit that it is bound in. */
function walks({ part, chosen }: Facts): Walk[] {
  return [
    ...part.packages
      .filter((pkg) => pkg.land.pads.length > 0)
      .map((pkg) => ({ where: { package: pkg.id }, what: `pads of ${pkg.name}`, steps: padSteps(part, pkg) })),
    ...part.models.flatMap((model) => {
      const spice = chosen.get(model.id);
      if (!spice) return [];
      return bindingUnits(part, spice.nodes.length, model).map((unit) => {
        const place = sayBound(boundLabel(part, unit));
        const where = { model: model.id, ...(place === '' ? {} : { unit }) };
        return {
          where,
          what: `nodes of ${model.chosen}${place === '' ? '' : ` in ${place}`}`,
          steps: nodeSteps(part, model, spice, unit),
        };
      });
    }),
  ];
}

const count = ({ steps }: Walk, state: ReadBackStep['state']): number => steps.filter((s) => s.state === state).length;

function unfinished(facts: Facts): RawFinding[] {
  // Nobody is asked for a read-back that the house rules do not want and nobody has begun.
  const isWanted = facts.rules.severities['read-back-missing'] !== undefined;
  return walks(facts)
    .filter((walk) => count(walk, 'open') > 0 && (isWanted || count(walk, 'open') < walk.steps.length))
    .map((walk) => ({
      where: walk.where,
      message: `${walk.steps.length - count(walk, 'open')} of ${walk.steps.length} ${walk.what} are read back.`,
    }));
}

export const readBackRules: Rule[] = [
  {
    id: 'read-back-missing',
    family: 'read-backs',
    severity: 'note',
    title: 'A read-back is not finished',
    why: 'Begun and left, it is taken for done. House rules that set a severity for this want one of every part.',
    find: unfinished,
  },
  {
    id: 'read-back-lapsed',
    family: 'read-backs',
    severity: 'warning',
    title: 'What was read back has changed since',
    why: 'The person who compared it saw something else.',
    find: (facts) =>
      walks(facts)
        .filter((walk) => count(walk, 'lapsed') > 0)
        .map((walk) => {
          const lapsed = walk.steps.filter((s) => s.state === 'lapsed').map((s) => s.place);
          return { where: walk.where, message: `Of the ${walk.what}, ${listed(lapsed, 6)} changed after the read-back.` };
        }),
  },
];
