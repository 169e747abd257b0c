import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { emptyPart, listed, sayProblem, type Part, type Problem } from '../../core/part';
import type { ArchivedSource } from '../../core/release';
import { useAct, useStore } from '../store';
import { bringSource, isSourceFile, tooLarge } from '../store/brought';
import { sayStorageError } from '../store/db';
import { addParts, comparedWithShelf, keepSource, type SourceFile } from '../store/library';
import type { Summary } from '../store/records';
import { counted } from '../ui/counted';
import { readFileBytes, readFileText } from '../ui/files';
import { say } from '../ui/toasts';
import { usePastedTable } from '../ui/use-pasted-table';
import { core } from '../workers/core';
import { FEW } from './names';

/** Parts that are added at a time; the Shelf shows each batch as it comes. */
const BATCH = 20;

/**
 * What comes to the Shelf by drop, paste or choice: a source starts a part, and parts are added. A part that is on the
 * Shelf as it is in the file is not added again; of one that is there otherwise, the older one can be removed.
 */
export function useArrivals(summaries: readonly Summary[], remove: (ids: string[]) => void) {
  const [adding, setAdding] = useState<{ done: number; of: number } | null>(null);
  const stopped = useRef(false);
  const act = useAct();
  const navigate = useNavigate();
  const rules = useStore((s) => s.view.rules);

  /** Starts a part for each source given, or one without; a single one is opened and read at once. */
  const start = async (...files: SourceFile[]) => {
    const names = new Set(summaries.map((s) => s.name));
    const fresh = Array.from({ length: summaries.length + Math.max(1, files.length) }, (_, i) => `NEW-${i + 1}`);
    const parts = fresh
      .filter((n) => !names.has(n))
      .slice(0, Math.max(1, files.length))
      .map(emptyPart);
    const ids = await addParts(parts, rules);
    files.forEach((file, i) => bringSource(ids[i]!, file));
    if (files.length > 1) act(say(`Started ${files.length} parts. Each reads its file when it is opened.`));
    else void navigate(`/part/${ids[0]}/read`);
  };

  const take = async (files: File[]) => {
    const sources = files.filter((f) => isSourceFile(f.name));
    const large = sources.map(tooLarge).find((why) => why !== undefined);
    if (large) return act(say(sayProblem(large), 'bad'));
    await takeParts(files.filter((f) => !sources.includes(f)));
    if (sources.length === 0) return;
    await start(...(await Promise.all(sources.map(async (f) => ({ name: f.name, bytes: await readFileBytes(f) })))));
  };

  usePastedTable(({ name, text }) => void start({ name, bytes: new TextEncoder().encode(text) }));

  const takeParts = async (files: File[]) => {
    const parts: Part[] = [];
    for (const file of files) {
      const read = /\.zip$/i.test(file.name)
        ? await core.readArchive(await readFileBytes(file), file.name)
        : /\.edi?f$/i.test(file.name)
          ? await core.readEdif(await readFileText(file), { file: file.name, stepMm: rules.stepMm })
          : await core.parsePart(await readFileText(file), file.name);
      if (!read.ok) act(say(read.problems.slice(0, 2).map(sayProblem).join(' '), 'bad'));
      else if ('parts' in read.value) {
        parts.push(...read.value.parts);
        const { problems, sources = [] } = read.value as { problems: Problem[]; sources?: ArchivedSource[] };
        for (const source of sources) await keepSource(source.name, source.bytes);
        const more = problems.length > 2 ? ` And ${problems.length - 2} more.` : '';
        if (problems.length > 0) act(say(`${problems.slice(0, 2).map(sayProblem).join(' ')}${more}`, 'bad'));
      } else parts.push(read.value);
    }
    if (parts.length > 0) await addToShelf(parts);
  };

  const addToShelf = async (parts: readonly Part[]) => {
    const { fresh, older } = await comparedWithShelf(parts);
    const added: string[] = [];
    stopped.current = false;
    try {
      for (let i = 0; i < fresh.length && !stopped.current; i += BATCH) {
        if (fresh.length > BATCH) setAdding({ done: i, of: fresh.length });
        const batch = fresh.slice(i, i + BATCH);
        await addParts(batch, rules);
        added.push(...batch.map((p) => p.name));
      }
    } catch (error) {
      act(say(sayStorageError(error), 'bad'));
    }
    setAdding(null);
    const twice = added.filter((name) => older.has(name));
    const ids = twice.flatMap((name) => older.get(name)!);
    const known = parts.length - fresh.length;
    act(
      say(
        [
          added.length > 0 ? `Added ${listed(added, FEW)}.` : 'Nothing to add.',
          known > 0 ? `${counted(known, 'part is', 'parts are')} on the Shelf already, the same in everything.` : '',
          twice.length > 0 ? `${listed(twice, FEW)} ${twice.length === 1 ? 'is' : 'are'} on the Shelf twice now, old and new.` : '',
          added.length < fresh.length ? `Stopped: ${fresh.length - added.length} of ${fresh.length} were not added.` : '',
        ]
          .filter(Boolean)
          .join(' '),
        'plain',
        ids.length > 0 ? { label: 'Remove the old', run: () => remove(ids) } : undefined,
      ),
    );
  };

  return { start, take, adding, stop: () => void (stopped.current = true) };
}
