import { checkPart } from '../../core/checks';
import { draftFrom, nameOfSource } from '../../core/draft';
import { readEdif } from '../../core/formats';
import { canonicalPart, DEFAULT_RULES, safeParseRules, type HouseRules, type Part, type Problem } from '../../core/part';
import { sha256 } from '../../core/release';
import { readTextFile, stem, writeFile } from '../files';
import { print, tell, tellProblems } from '../output';
import { must } from '../refusal';
import { readSource } from '../source';

interface Options {
  output: string;
  package?: string;
  rules?: string;
  json: boolean;
}

export const readRules = (file: string | undefined): HouseRules =>
  file === undefined ? DEFAULT_RULES : must(safeParseRules(readTextFile(file), file));

/** `draft SOURCE -o PART`: reads, plans units, arranges and writes a part file. */
export async function draft(source: string, options: Options): Promise<void> {
  const rules = readRules(options.rules);
  if (/\.edi?f$/i.test(source)) return draftSymbol(source, options, rules);
  const asked = options.package === undefined ? {} : { package: options.package };
  const { proposal, kind, bytes } = must(await readSource(source, asked));
  const origin = { digest: sha256(bytes), name: source.split(/[\\/]/).pop()!, kind };
  const part = draftFrom(proposal, nameOfSource(stem(source), proposal), origin, rules);
  finish(part, proposal.problems, options, rules);
}

/** A symbol of an EDIF file is drawn already: it becomes a part as it is. */
function draftSymbol(source: string, options: Options, rules: HouseRules): void {
  const { parts, problems } = must(readEdif(readTextFile(source), { file: source, stepMm: rules.stepMm }));
  if (parts.length > 1) tell(`${source}: It has ${parts.length} symbols; ${parts[0]!.name} was taken.`);
  finish(parts[0]!, problems, options, rules);
}

function finish(part: Part, problems: readonly Problem[], options: Options, rules: HouseRules): void {
  const { findings } = checkPart(part, rules);
  const units = part.units.map((u) => ({ label: u.label, title: u.title, pins: Object.keys(u.binding).length }));
  const doubts = part.pins.reduce((n, p) => n + p.doubts.length, 0);
  writeFile(options.output, canonicalPart(part));
  if (!options.json) tellProblems(problems);
  print(options, { part: options.output, units, doubts, findings: findings.length }, () => [
    `${options.output}: ${part.pins.length} pins, ${doubts} doubts, ${findings.length} findings`,
    ...units.map((u) => `  ${u.label}  ${u.title}, ${u.pins} pins`),
  ]);
}
