import { useEffect } from 'react';
import { useNavigate } from 'react-router';
import { emptyPart, sayProblem, type Part, type Problem } from '../../core/part';
import type { ArchivedSource } from '../../core/release';
import { useAct, useStore } from '../store';
import { bringSource, isSourceFile, tooLarge } from '../store/brought';
import { addParts, keepSource, type SourceFile } from '../store/library';
import type { Summary } from '../store/records';
import { pastedTable, readFileBytes, readFileText } from '../ui/files';
import { say } from '../ui/toasts';
import { core } from '../workers/core';

/** What comes to the Shelf by drop, paste or choice: a source starts a part, and parts are added. */
export function useArrivals(summaries: readonly Summary[]) {
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

  useEffect(() => {
    const onPaste = (e: ClipboardEvent) => {
      const pasted = e.target instanceof HTMLInputElement || !e.clipboardData ? undefined : pastedTable(e.clipboardData);
      if (!pasted) return;
      e.preventDefault();
      void start({ name: pasted.name, bytes: new TextEncoder().encode(pasted.text) });
    };
    window.addEventListener('paste', onPaste);
    return () => window.removeEventListener('paste', onPaste);
  });

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
    if (parts.length === 0) return;
    await addParts(parts, rules);
    act(
      say(
        `Added ${parts
          .map((p) => p.name)
          .slice(0, 4)
          .join(', ')}${parts.length > 4 ? ' and more' : ''}.`,
      ),
    );
  };

  return { start, take };
}
