import { decodeText, differenceOf, listedOf, listedOfPart, plainPackage, type Listed } from '../../core/intake';
import { safeParsePart } from '../../core/part';
import { readBytes } from '../files';
import { print, tell } from '../output';
import { must } from '../refusal';
import { readSource } from '../source';

interface Options {
  package?: string;
  json: boolean;
}

/** What a file lists in each package that it has. */
interface Lists {
  packages: string[];
  /** The package in view: the one asked for, or the file's first. */
  first: string;
  of: (packageName: string) => Listed[];
}

/** `diff OLD NEW`: what differs between two sources or two part files, in one package: where none is asked for, the old one's first. */
export async function diff(old: string, fresh: string, options: Options): Promise<void> {
  const [was, is] = [await lists(old, options), await lists(fresh, options)];
  const same = (of: Lists, name: string) => of.packages.find((p) => plainPackage(p) === plainPackage(name));
  const after = is.of(options.package === undefined ? (same(is, was.first) ?? is.first) : is.first);
  const before = was.of(was.first);
  const others = was.packages.filter((name) => name !== was.first && same(is, name) !== undefined);
  if (others.length > 0) tell(`Compared in ${was.first} only. For the others: ${others.map((name) => `--package ${name}`).join(', ')}.`);
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

async function lists(path: string, { package: asked }: Options): Promise<Lists> {
  const bytes = readBytes(path);
  if (/^\s*\{/.test(decodeText(bytes.subarray(0, 4096)))) {
    const part = must(safeParsePart(decodeText(bytes), path));
    const packages = part.packages.map((p) => p.name);
    const first = packages.find((name) => name === asked) ?? packages[0] ?? '';
    return { packages, first, of: (name) => listedOfPart(part, name) };
  }
  const { proposal } = must(await readSource(path, asked === undefined ? {} : { package: asked }));
  return { packages: proposal.packages.map((p) => p.name), first: proposal.package, of: (name) => listedOf(proposal, name) };
}
