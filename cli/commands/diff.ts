import { decodeText, differenceOf, listedOf, listedOfPart, type Listed } from '../../core/intake';
import { safeParsePart } from '../../core/part';
import { readBytes } from '../files';
import { print } from '../output';
import { must } from '../refusal';
import { readSource } from '../source';

interface Options {
  package?: string;
  json: boolean;
}

/** `diff OLD NEW`: what differs between two sources or two part files, in one package. */
export async function diff(old: string, fresh: string, options: Options): Promise<void> {
  const [before, after] = [await listed(old, options), await listed(fresh, options)];
  const found = differenceOf(before, after);
  print(options, found, () => [
    ...found.added.map((n) => `added     ${n}  ${after.find((t) => t.number === n)!.name}`),
    ...found.removed.map((n) => `removed   ${n}  ${before.find((t) => t.number === n)!.name}`),
    ...found.moved.map((m) => `moved     ${m.name}  ${m.from} to ${m.to}`),
    ...found.renamed.map((c) => `renamed   ${c.number}  ${c.from} to ${c.to}`),
    ...found.retyped.map((c) => `retyped   ${c.number}  ${c.from} to ${c.to}`),
    ...found.levels.map((c) => `level     ${c.number}  ${c.from} to ${c.to}`),
  ]);
}

async function listed(path: string, { package: name }: Options): Promise<Listed[]> {
  const bytes = readBytes(path);
  if (/^\s*\{/.test(decodeText(bytes.subarray(0, 4096)))) return listedOfPart(must(safeParsePart(decodeText(bytes), path)), name);
  return listedOf(must(await readSource(path, name === undefined ? {} : { package: name })).proposal);
}
