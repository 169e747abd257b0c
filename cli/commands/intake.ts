import { readText, terminalsIn } from '../../core/intake';
import { readTextFile } from '../files';
import { print, problemJson, table, tellProblems } from '../output';
import { must } from '../refusal';

interface Options {
  package?: string;
  json: boolean;
}

/** `intake FILE`: one record per package terminal. */
export function intake(file: string, options: Options): void {
  const proposal = must(readText(readTextFile(file), { file, ...(options.package === undefined ? {} : { package: options.package }) }));
  const pins = terminalsIn(proposal).map((t) => ({
    number: t.numbers[proposal.package]!,
    name: t.name,
    ...(t.activeLow ? { activeLow: true } : {}),
    type: t.type,
    ...(t.description ? { description: t.description } : {}),
    ...(t.group ? { group: t.group } : {}),
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
