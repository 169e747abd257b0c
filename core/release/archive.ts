import { strFromU8, strToU8, unzipSync } from 'fflate';
import { canonicalPart, ok, problem, refuse, safeParsePart, type Part, type Problem, type Result } from '../part';
import { fileName } from '../formats/file-name';
import { packZip } from './bundle';

const LIMIT_MB = 200;

/** A library as an archive: one canonical part file each. Parts of one name get a count. */
export function packLibrary(parts: readonly Part[]): Uint8Array {
  const seen = new Map<string, number>();
  return packZip(
    parts.map((part) => {
      const name = fileName(part.name);
      const n = (seen.get(name) ?? 0) + 1;
      seen.set(name, n);
      return { path: `${name}${n > 1 ? `-${n}` : ''}.kite.json`, bytes: strToU8(canonicalPart(part)) };
    }),
  );
}

/**
 * Reads the part files of an archive. Refuses the whole of it when a path leads out of its folder or it would unpack to
 * too much; a part file that cannot be read is a problem of its own and the others are taken.
 */
export function readArchive(bytes: Uint8Array, file?: string): Result<{ parts: Part[]; problems: Problem[] }> {
  let total = 0;
  let bad: Problem | undefined;
  let entries: Record<string, Uint8Array>;
  try {
    entries = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        if (leadsOut(name)) bad ??= problem('archive-path', { path: name }, { file });
        total += originalSize;
        if (total > LIMIT_MB * 1e6) bad ??= problem('archive-large', { limit: LIMIT_MB }, { file });
        return bad === undefined && /\.kite\.json$/i.test(name);
      },
    });
  } catch {
    return refuse(problem('archive-broken', {}, { file }));
  }
  if (bad) return refuse(bad);
  const texts = Object.entries(entries);
  if (texts.length === 0) return refuse(problem('archive-empty', {}, { file }));
  const parts: Part[] = [];
  const problems: Problem[] = [];
  for (const [name, data] of texts) {
    const part = safeParsePart(strFromU8(data), file ? `${file}/${name}` : name);
    if (part.ok) parts.push(part.value);
    else problems.push(...part.problems);
  }
  return parts.length > 0 ? ok({ parts, problems }) : refuse(...problems);
}

/** Absolute paths, drive letters, backslashes and parent folders. */
const leadsOut = (path: string): boolean => /^([/\\]|[a-z]:)/i.test(path) || path.includes('\\') || path.split('/').includes('..');
