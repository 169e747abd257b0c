import { checkPart } from '../checks';
import {
  DEFAULT_RULES,
  frozenPartSchema,
  ok,
  problem,
  refuse,
  type HouseRules,
  type Part,
  type Problem,
  type Release,
  type Result,
} from '../part';
import { partDigest } from './digest';
import { isVersion } from './version';

/** What stops a release now; empty where nothing does. */
export function releaseStops(part: Part, rules: HouseRules = DEFAULT_RULES): Problem[] {
  const errors = checkPart(part, rules).findings.filter((f) => f.severity === 'error');
  const doubts = part.pins.reduce((n, p) => n + p.doubts.length, 0);
  return [
    ...(errors.length > 0 ? [problem('release-blocked', { count: errors.length })] : []),
    ...(doubts > 0 ? [problem('release-doubts', { count: doubts })] : []),
  ];
}

/** Freezes a part under a version. `date` is an ISO 8601 calendar date. Refuses while an error or a doubt is open. */
export function makeRelease(part: Part, version: string, note: string, date: string, rules: HouseRules = DEFAULT_RULES): Result<Release> {
  const problems = [
    ...(isVersion(version) ? [] : [problem('release-version', { version })]),
    ...(part.releases.some((r) => r.version === version) ? [problem('release-taken', { version })] : []),
    ...(note.trim() === '' ? [problem('release-note')] : []),
    ...releaseStops(part, rules),
  ];
  if (problems.length > 0) return refuse(...problems);
  const frozen = frozenPartSchema.parse(part);
  return ok({ version, note: note.trim(), date, digest: partDigest(frozen), frozen });
}
