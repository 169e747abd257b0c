import { strFromU8, strToU8, unzipSync } from 'fflate';
import { canonicalPart, ok, problem, refuse, safeParsePart, type Part, type Problem, type Result } from '../part';
import { fileName } from '../formats/file-name';
import { packZip } from './bundle';
import { sha256 } from './digest';

const LIMIT_MB = 200;

/** A source that parts were read from, by the digest that the parts name it by. */
export interface ArchivedSource {
  digest: string;
  name: string;
  bytes: Uint8Array;
}

const SOURCES = 'sources';

/** A library as an archive: one canonical part file each, and the sources if they are given. Parts of one name get a count. */
export function packLibrary(parts: readonly Part[], sources: readonly ArchivedSource[] = []): Uint8Array {
  const seen = new Map<string, number>();
  return packZip([
    ...parts.map((part) => {
      const name = fileName(part.name);
      const n = (seen.get(name) ?? 0) + 1;
      seen.set(name, n);
      return { path: `${name}${n > 1 ? `-${n}` : ''}.kite.json`, bytes: strToU8(canonicalPart(part)) };
    }),
    ...sources.map(({ digest, name, bytes }) => ({ path: `${SOURCES}/${digest}/${fileName(name)}`, bytes })),
  ]);
}

/**
 * Reads the part files of an archive and the sources in it whose bytes are what their digest says. Refuses the whole of it when a path leads out of its folder or it would unpack to
 * too much; a part file that cannot be read is a problem of its own and the others are taken.
 */
export function readArchive(bytes: Uint8Array, file?: string): Result<{ parts: Part[]; sources: ArchivedSource[]; problems: Problem[] }> {
  let total = 0;
  let bad: Problem | undefined;
  let entries: Record<string, Uint8Array>;
  try {
    entries = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        if (leadsOut(name)) bad ??= problem('archive-path', { path: name }, { file });
        total += originalSize;
        if (total > LIMIT_MB * 1e6) bad ??= problem('archive-large', { limit: LIMIT_MB }, { file });
        return bad === undefined && (isPart(name) || isSource(name) !== null);
      },
    });
  } catch {
    return refuse(problem('archive-broken', {}, { file }));
  }
  if (bad) return refuse(bad);
  const texts = Object.entries(entries).filter(([name]) => isPart(name));
  if (texts.length === 0) return refuse(problem('archive-empty', {}, { file }));
  const parts: Part[] = [];
  const problems: Problem[] = [];
  for (const [name, data] of texts) {
    const part = safeParsePart(strFromU8(data), file ? `${file}/${name}` : name);
    if (part.ok) parts.push(part.value);
    else problems.push(...part.problems);
  }
  const sources = Object.entries(entries).flatMap(([path, data]): ArchivedSource[] => {
    const [, digest = '', name = ''] = isSource(path) ?? [];
    if (digest === '') return [];
    if (sha256(data) === digest) return [{ digest, name, bytes: data }];
    problems.push(problem('archive-source', { name }, { file }));
    return [];
  });
  return parts.length > 0 ? ok({ parts, sources, problems }) : refuse(...problems);
}

const isPart = (path: string): boolean => /\.kite\.json$/i.test(path) && !path.startsWith(`${SOURCES}/`);
const isSource = (path: string) => /^sources\/([0-9a-f]{64})\/([^/]+)$/.exec(path);

/** Absolute paths, drive letters, backslashes and parent folders. */
const leadsOut = (path: string): boolean => /^([/\\]|[a-z]:)/i.test(path) || path.includes('\\') || path.split('/').includes('..');
