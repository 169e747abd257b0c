import { readPads } from '../../core/lands';
import { packageIn } from '../../core/intake';
import { dialectProblems, readModels, type SpiceModel } from '../../core/spice';
import { readTextFile, stem } from '../files';
import { print, problemJson, table, tellProblems } from '../output';
import { must } from '../refusal';

/** `pads FILE`: the packages of an IPC-2581, IPC-D-356A or CSV file with their pads in mm. */
export function pads(file: string, options: { json: boolean }): void {
  const name = packageIn(stem(file))?.name ?? stem(file);
  const { packages, problems } = must(readPads(readTextFile(file), name, file));
  const document = packages.map((p) => ({
    name: p.name,
    pads: p.land.pads.map(({ number, x, y, w, h, shape, drill }) => ({
      number,
      x,
      y,
      w,
      h,
      shape,
      ...(drill === undefined ? {} : { drill }),
    })),
  }));
  tellProblems(problems);
  print(options, { packages: document }, () =>
    document.flatMap((p) => [
      `${p.name}  ${p.pads.length} pads`,
      ...table([
        ['number', 'x', 'y', 'w', 'h', 'shape', 'drill'],
        ...p.pads.map((pad) => [pad.number, ...[pad.x, pad.y, pad.w, pad.h].map(String), pad.shape, String(pad.drill ?? '')]),
      ]),
    ]),
  );
}

/** The nodes of a model that an instance may leave out, where it has any. */
function optionalOf({ nodes }: SpiceModel): { optional?: string[] } {
  const optional = nodes.filter((n) => n.otherwise !== undefined).map((n) => n.name);
  return optional.length > 0 ? { optional } : {};
}

/** `models FILE`: the models of a SPICE file with their nodes and what its comments say of them. */
export function models(file: string, options: { json: boolean }): void {
  const list = must(readModels(readTextFile(file), file));
  const problems = [...list.problems, ...dialectProblems(list.dialect, file)];
  const document = {
    models: list.models.map((m) => ({
      name: m.name,
      kind: m.kind,
      device: m.device,
      nodes: m.nodes.map(({ name, doc }) => ({ name, doc })),
      params: m.params.map((p) => p.name),
      line: m.line,
      ...optionalOf(m),
      ...(m.inside.length > 0 ? { inside: m.inside } : {}),
      ...(m.section === undefined ? {} : { section: m.section }),
      ...(m.sealed ? { sealed: true } : {}),
    })),
    problems: problems.map(problemJson),
    dialect: list.dialect,
  };
  if (!options.json) tellProblems(problems);
  print(options, document, () =>
    list.models.flatMap((m) => [
      `${m.name}  ${m.kind}, ${m.device}, line ${m.line}`,
      ...m.nodes.map((n) => `  ${n.name}  ${n.doc}`.trimEnd()),
    ]),
  );
}
