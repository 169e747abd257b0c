import { join } from 'node:path';
import { fileName, unitSvg, writeEdif, writePinCsv } from '../../core/formats';
import { writeIpc2581 } from '../../core/lands';
import { frozenPartSchema, safeParsePart, type Part } from '../../core/part';
import { bundleZip, latestRelease, makeRelease, partDigest } from '../../core/release';
import { canonicalPart } from '../../core/part';
import { writeReport } from '../../core/report';
import { writeSpiceLibrary } from '../../core/spice';
import { readTextFile, writeFile } from '../files';
import { print } from '../output';
import { must, Refusal, refusalOf } from '../refusal';
import { readRules } from './draft';

type Written = { path: string; sha256: string }[];
const TARGETS = ['edif', 'svg', 'csv', 'spice', 'ipc2581', 'report', 'bundle'];

/** `export PART --to FORMAT -o PATH`. An SVG of several units gets one file a unit beside PATH. */
export function exportPart(file: string, options: { to: string; output: string; json: boolean }): void {
  if (!TARGETS.includes(options.to)) throw new Refusal(`--to ${options.to}: ${TARGETS.join(', ')} are known.`, 2);
  const part = must(safeParsePart(readTextFile(file), file));
  const written = writeAs(part, options.to, options.output, file);
  print(options, { written }, () => written.map((w) => `${w.path}  ${w.sha256}`));
}

function writeAs(part: Part, to: string, path: string, file: string): Written {
  switch (to) {
    case 'csv':
      return [writeFile(path, writePinCsv(part))];
    case 'edif':
      if (part.units.length === 0) throw new Refusal(`${file}: The part has no units to draw. Arrange it first.`);
      return [writeFile(path, writeEdif(part))];
    case 'ipc2581':
      if (part.packages.every((p) => p.land.pads.length === 0)) throw new Refusal(`${file}: No package has pads. Make its land first.`);
      return [writeFile(path, writeIpc2581(part.name, part.packages))];
    case 'svg':
      return writeSvgs(part, path, file);
    case 'spice': {
      const library = writeSpiceLibrary(part);
      if (library === '') throw new Refusal(`${file}: No model is joined, so there is no SPICE library to write. Join a model first.`);
      return [writeFile(path, library)];
    }
    case 'report':
      return [writeFile(path, writeReport(part, draftOf(part)))];
    default:
      // The latest release as it was; a part without one is bundled as the draft that it is.
      return [writeFile(path, bundleZip(latestRelease(part) ?? { ...draftOf(part), frozen: frozenPartSchema.parse(part) }))];
  }
}

/** The part as it is now, which may be ahead of its latest release. */
const draftOf = (part: Part) => ({ version: 'draft', note: '', digest: partDigest(part) });

function writeSvgs(part: Part, path: string, file: string): Written {
  const [only] = part.units;
  if (!only) throw new Refusal(`${file}: The part has no units to draw. Arrange it first.`);
  if (part.units.length === 1) return [writeFile(path, unitSvg(part, only))];
  const base = path.replace(/\.svg$/i, '');
  return part.units.map((unit) => writeFile(`${base}-${unit.label}.svg`, unitSvg(part, unit)));
}

/** `release PART --version V --note TEXT -o FOLDER`: the bundle, and the part file with the release recorded in it. */
export function release(file: string, options: { version: string; note: string; output: string; rules?: string; json: boolean }): void {
  const part = must(safeParsePart(readTextFile(file), file));
  const today = new Date().toISOString().slice(0, 10);
  const made = makeRelease(part, options.version, options.note, today, readRules(options.rules));
  if (!made.ok) throw refusalOf(made.problems, file);
  const name = fileName(part.name);
  const released: Part = { ...part, releases: [...part.releases, made.value] };
  const written = [
    writeFile(join(options.output, `${name}-${options.version}.zip`), bundleZip(made.value)),
    writeFile(join(options.output, `${name}.kite.json`), canonicalPart(released)),
  ];
  print(options, { version: made.value.version, digest: made.value.digest, written }, () => [
    `${part.name} ${made.value.version}  ${made.value.digest}`,
    ...written.map((w) => `  ${w.path}`),
  ]);
}
