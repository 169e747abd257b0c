import { canonicalPart, copyOf, type HouseRules, type Part } from '../../core/part';
import { core } from '../workers/core';
import { summarizeOpenPart } from '../workers/open-part';
import { db, sayStorageError, type WaitingSource } from './db';
import type { PartRecord, Summary } from './records';

/** Saves the part that is open and what the Shelf shows of it. Refuses to overwrite what another tab saved since. */
export async function savePart(id: string, part: Part, rules: HouseRules, revision: number): Promise<number | 'behind'> {
  const summary = await summarizeOpenPart(id, part, rules, Date.now());
  return db.transaction('rw', db.parts, db.summaries, async () => {
    const stored = await db.parts.get(id);
    if (stored && stored.revision !== revision) return 'behind';
    await db.parts.put({ id, part, revision: revision + 1 });
    await db.summaries.put(summary);
    return revision + 1;
  });
}

export const loadPart = (id: string): Promise<PartRecord | undefined> => db.parts.get(id);

/** Parts with what the Shelf shows of them. */
export interface Recorded {
  records: PartRecord[];
  summaries: Summary[];
  /** The sources that wait for them. */
  waiting: WaitingSource[];
}

/** Adds parts with new ids; gives the ids in their order. */
export async function addParts(parts: readonly Part[], rules: HouseRules): Promise<string[]> {
  const recorded = await record(parts, rules);
  await restoreParts(recorded);
  return recorded.records.map((r) => r.id);
}

/**
 * Of parts that come in: those that are not on the Shelf as they are, and the ids of other parts there that have the name
 * of one of them.
 */
export async function comparedWithShelf(parts: readonly Part[]): Promise<{ fresh: Part[]; older: ReadonlyMap<string, string[]> }> {
  const fresh: Part[] = [];
  const older = new Map<string, string[]>();
  for (const part of parts) {
    const ids = await db.summaries.where('name').equals(part.name).primaryKeys();
    const there = ids.length === 0 ? [] : (await db.parts.bulkGet(ids)).filter((r) => r !== undefined);
    const written = there.length === 0 ? '' : canonicalPart(part);
    if (there.some((r) => canonicalPart(r.part) === written)) continue;
    fresh.push(part);
    if (there.length > 0) older.set(part.name, ids);
  }
  return { fresh, older };
}

async function record(parts: readonly Part[], rules: HouseRules): Promise<Recorded> {
  const records = parts.map((part) => ({ id: crypto.randomUUID(), part, revision: 1 }));
  const summaries: Summary[] = [];
  for (const [i, { id, part }] of records.entries()) summaries.push(await core.summarize(id, part, rules, Date.now() + i));
  return { records, summaries, waiting: [] };
}

/** Adds a copy of a part as it is saved; gives the copy's id and name. */
export async function copyPart(id: string, rules: HouseRules): Promise<{ id: string; name: string } | undefined> {
  const record = await loadPart(id);
  if (!record) return undefined;
  const names = await db.summaries.orderBy('name').keys();
  const copy = copyOf(record.part, new Set(names.map(String)));
  const [added] = await addParts([copy], rules);
  return { id: added!, name: copy.name };
}

/** Removes parts and gives back what it takes to bring them again. */
export const removeParts = (ids: string[]): Promise<Recorded> =>
  db.transaction('rw', db.parts, db.summaries, db.waiting, async () => {
    const records = (await db.parts.bulkGet(ids)).filter((r) => r !== undefined);
    const summaries = (await db.summaries.bulkGet(ids)).filter((s) => s !== undefined);
    const waiting = (await db.waiting.bulkGet(ids)).filter((w) => w !== undefined);
    await db.parts.bulkDelete(ids);
    await db.summaries.bulkDelete(ids);
    await db.waiting.bulkDelete(ids);
    return { records, summaries, waiting };
  });

export const restoreParts = ({ records, summaries, waiting }: Recorded): Promise<void> =>
  db.transaction('rw', db.parts, db.summaries, db.waiting, async () => {
    await db.parts.bulkPut(records);
    await db.summaries.bulkPut(summaries);
    await db.waiting.bulkPut(waiting);
  });

const demoFiles = import.meta.glob<string>('../../demo/library/*.kite.json', { query: '?raw', import: 'default' });
const demoSources = import.meta.glob<string>('../../demo/sources/*.{txt,csv,pdf,xlsx,bsd,ibs}', { query: '?url', import: 'default' });

/** On the first visit: the demo library. */
export async function loadDemoOnce(rules: HouseRules): Promise<void> {
  if (!(await db.settings.get('demo'))) await loadDemo(rules, 'once');
}

/** The demo library, with the sources that its evidence points to: whole or, when the page is left meanwhile, not at all. */
export async function loadDemo(rules: HouseRules, when: 'once' | 'again' = 'again'): Promise<void> {
  const texts = await Promise.all(Object.values(demoFiles).map((load) => load()));
  const parts = await Promise.all(texts.map((text) => core.parsePart(text)));
  const recorded = await record(
    parts.flatMap((p) => (p.ok ? [p.value] : [])),
    rules,
  );
  const sources = await Promise.all(
    Object.entries(demoSources).map(async ([path, load]) => {
      const bytes = new Uint8Array(await (await fetch(await load())).arrayBuffer());
      return { digest: await core.digest(bytes), name: path.split('/').pop()!, bytes };
    }),
  );
  await db.transaction('rw', [db.parts, db.summaries, db.waiting, db.sources, db.settings], async () => {
    // Another tab may have brought it while this one was at work.
    if (when === 'once' && (await db.settings.get('demo'))) return;
    await restoreParts(recorded);
    await db.sources.bulkPut(sources);
    await db.settings.put({ key: 'demo', value: true });
  });
}

/** Why the demo library did not come. */
export const sayDemoError = (error: unknown): string =>
  error instanceof TypeError ? 'The server did not give the demo library. Reload the page to try again.' : sayStorageError(error);

/** Keeps a source by its digest, so that evidence can be shown again. */
export async function keepSource(name: string, bytes: Uint8Array): Promise<string> {
  const digest = await core.digest(bytes);
  await db.sources.put({ digest, name, bytes });
  return digest;
}

export interface SourceFile {
  name: string;
  bytes: Uint8Array;
}

/** A kept source; undefined where this browser does not have it. */
export async function loadSource(digest: string): Promise<SourceFile | undefined> {
  const kept = await db.sources.get(digest);
  return kept && { name: kept.name, bytes: kept.bytes ?? new TextEncoder().encode(kept.text ?? '') };
}

/** The sources that parts were read from, as far as this browser has them. */
export async function sourcesOf(parts: readonly Part[]): Promise<{ digest: string; name: string; bytes: Uint8Array }[]> {
  const digests = [...new Set(parts.flatMap((p) => p.sources.map((s) => s.digest)))];
  const found = await Promise.all(digests.map(async (digest) => ({ digest, file: await loadSource(digest) })));
  return found.flatMap(({ digest, file }) => (file ? [{ digest, ...file }] : []));
}
