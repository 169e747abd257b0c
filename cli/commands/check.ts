import { checkPart, whereText } from '../../core/checks';
import { safeParsePart } from '../../core/part';
import { readArchive } from '../../core/release';
import { partFiles, readBytes, readTextFile } from '../files';
import { print, tellProblems } from '../output';
import { must } from '../refusal';
import { readRules } from './draft';

/** `check FILE…`: all findings; exit 1 when an error is open. */
export function check(paths: string[], options: { json: boolean; rules?: string }): void {
  const rules = readRules(options.rules);
  const parts = partFiles(paths).flatMap((file) => {
    if (!/\.zip$/i.test(file)) return [must(safeParsePart(readTextFile(file), file))];
    const archive = must(readArchive(readBytes(file), file));
    tellProblems(archive.problems);
    return archive.parts;
  });
  const results = parts.map((part) => ({ part, ...checkPart(part, rules) }));
  const findings = results.flatMap(({ part, findings: found }) =>
    found.map((f) => ({
      part: part.name,
      rule: f.rule,
      severity: f.severity,
      where: whereText(part, f.where),
      message: f.message,
    })),
  );
  const waived = results.reduce((n, r) => n + r.waived.length, 0);
  print(options, { findings, waived, parts: parts.length }, () => [
    ...findings.map((f) => `${f.part}: ${f.severity}: ${f.message} [${f.rule}]`),
    `${parts.length} parts, ${findings.length} findings, ${waived} waived`,
  ]);
  if (findings.some((f) => f.severity === 'error')) process.exitCode = 1;
}
