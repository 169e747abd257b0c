import { terminalsIn } from '../../core/intake';
import { print, problemJson, table, tellProblems } from '../output';
import { must, Refusal } from '../refusal';
import { readSource } from '../source';

interface Options {
  package?: string;
  sheet?: string;
  page?: string;
  json: boolean;
}

/** `intake FILE`: one record per package terminal. */
export async function intake(file: string, options: Options): Promise<void> {
  const page = options.page === undefined ? undefined : Number(options.page);
  if (page !== undefined && !(Number.isInteger(page) && page > 0)) throw new Refusal(`green-kite: "${options.page}" is no page number.`, 2);
  const { proposal } = must(
    await readSource(file, {
      ...(options.package === undefined ? {} : { package: options.package }),
      ...(options.sheet === undefined ? {} : { sheet: options.sheet }),
      ...(page === undefined ? {} : { page }),
    }),
  );
  const pins = terminalsIn(proposal).map((t) => ({
    number: t.numbers[proposal.package]!,
    name: t.name,
    ...(t.activeLow ? { activeLow: true } : {}),
    type: t.type,
    ...(t.description ? { description: t.description } : {}),
    ...(t.group && t.because['group'] === undefined ? { group: t.group } : {}),
    ...(t.group && t.because['group'] !== undefined ? { belongsTo: t.group } : {}),
    ...(t.rail ? { rail: t.rail } : {}),
    ...(t.origin ? { origin: t.origin } : {}),
    doubts: t.doubts,
  }));
  const document = {
    packages: proposal.packages,
    package: proposal.package,
    pins,
    ...(proposal.pairs.length > 0 ? { pairs: proposal.pairs } : {}),
    problems: proposal.problems.map(problemJson),
  };
  if (!options.json) tellProblems(proposal.problems);
  print(options, document, () =>
    table([['number', 'name', 'type', 'doubts'], ...pins.map((p) => [p.number, p.name, p.type, p.doubts.map((d) => d.field).join(' ')])]),
  );
}
