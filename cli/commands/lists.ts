import { readPadsCsv } from '../../core/lands';
import { packageIn } from '../../core/intake';
import { readModels } from '../../core/spice';
import { readTextFile, stem } from '../files';
import { print, problemJson, table, tellProblems } from '../output';
import { must, Refusal } from '../refusal';

/** `pads FILE`: the pads of a CSV file in mm. */
export function pads(file: string, options: { json: boolean }): void {
  if (/\.(xml|cvg|ipc|356)$/i.test(file)) throw new Refusal(`${file}: Only CSV pads are read yet. Save the pads as CSV.`, 2);
  const list = must(readPadsCsv(readTextFile(file), file)).map(({ number, x, y, w, h, shape, drill }) => ({
    number,
    x,
    y,
    w,
    h,
    shape,
    ...(drill === undefined ? {} : { drill }),
  }));
  const name = packageIn(stem(file))?.name ?? stem(file);
  print(options, { packages: [{ name, pads: list }] }, () =>
    table([
      ['number', 'x', 'y', 'w', 'h', 'shape', 'drill'],
      ...list.map((p) => [p.number, ...[p.x, p.y, p.w, p.h].map(String), p.shape, String(p.drill ?? '')]),
    ]),
  );
}

/** `models FILE`: the models of a SPICE file with their nodes and what its comments say of them. */
export function models(file: string, options: { json: boolean }): void {
  const list = must(readModels(readTextFile(file), file));
  const document = {
    models: list.models.map((m) => ({
      name: m.name,
      kind: m.kind,
      device: m.device,
      nodes: m.nodes.map(({ name, doc }) => ({ name, doc })),
      params: m.params.map((p) => p.name),
      line: m.line,
      ...(m.inside.length > 0 ? { inside: m.inside } : {}),
    })),
    problems: list.problems.map(problemJson),
  };
  if (!options.json) tellProblems(list.problems);
  print(options, document, () =>
    list.models.flatMap((m) => [
      `${m.name}  ${m.kind}, ${m.device}, line ${m.line}`,
      ...m.nodes.map((n) => `  ${n.name}  ${n.doc}`.trimEnd()),
    ]),
  );
}
