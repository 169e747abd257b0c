import { readFileSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { checkPart, waiverEdit } from '../core/checks';
import { nodeEngine } from '../cli/engine';
import { readSource } from '../cli/source';
import { draftFrom } from '../core/draft';
import { applyEdit, canonicalPart, sayProblem, type Part } from '../core/part';
import { makeRelease, sha256 } from '../core/release';
import { recordEdit, runTrials, setupsOf, type Trial } from '../core/spice';
import { DEMO, joinModel, type DemoPart } from './hand-edits';

/** A demo part: drafted from its source by the program, then what was done by hand. */
export async function makeDemoPart(name: string, demo: DemoPart, sources: string): Promise<Part> {
  const read = (file: string) => readFileSync(resolve(sources, file), 'utf8');
  const source = await readSource(resolve(sources, demo.source), {});
  if (!source.ok) throw new Error(source.problems.map(sayProblem).join(' '));
  const { proposal, kind, bytes } = source.value;
  const drafted = draftFrom(proposal, name, { digest: sha256(bytes), name: demo.source, kind });
  let part = demo.steps.reduce((p, step) => applyEdit(p, step(p)), drafted);
  if (demo.model) {
    const file = `${name.replace('-X', '')}.lib`;
    part = await tried(joinModel(part, file, read(file), demo.model, demo.berkeley));
  }
  for (const { rule, reason } of demo.waive ?? [])
    for (const finding of checkPart(part).findings.filter((f) => f.rule === rule))
      part = applyEdit(part, waiverEdit(part, finding, reason));
  if (!demo.release) return part;
  const made = makeRelease(part, demo.release.version, demo.release.note, demo.release.date);
  if (!made.ok) throw new Error(`${name}: ${made.problems.map(sayProblem).join(' ')}`);
  return applyEdit(part, { kind: 'addRelease', release: made.value });
}

/** The part with what the trial of its joined model gives. */
async function tried(part: Part): Promise<Part> {
  const engine = nodeEngine();
  const trials: Trial[] = [];
  for (const setup of setupsOf(part)) trials.push(...(await runTrials(setup, engine.simulate)));
  engine.close();
  return part.models.reduce((p, model) => applyEdit(p, recordEdit(p, model, trials)), part);
}

export async function makeLibrary(folder: string): Promise<void> {
  for (const [name, demo] of Object.entries(DEMO)) {
    const part = await makeDemoPart(name, demo, resolve(folder, 'sources'));
    writeFileSync(resolve(folder, 'library', `${part.name}.kite.json`), canonicalPart(part));
    const { findings } = checkPart(part);
    console.log(`${part.name}: ${part.pins.length} pins, ${part.units.length} units, ${findings.length} findings`);
  }
}

const folder = process.argv[2];
if (folder !== undefined && process.argv[1]?.endsWith('make-library.mjs')) void makeLibrary(folder);
