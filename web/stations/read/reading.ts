import { startTransition, useCallback, useEffect, useRef, useState } from 'react';
import { haveSameColumns, type ColumnRole, type Proposal, type ReadOptions } from '../../../core/intake';
import type { Problem } from '../../../core/part';
import { bringSource, onBrought, putSourceAway, sourceFor, sourceFromBefore } from '../../store/brought';
import type { SourceFile } from '../../store/library';
import { SourceSession, type SourceInfo } from '../../workers/source-session';

type Changes = { [K in keyof ReadOptions]?: ReadOptions[K] | undefined };

export interface Reading {
  file: SourceFile | undefined;
  info: SourceInfo | undefined;
  session: SourceSession | undefined;
  proposal: Proposal | undefined;
  problems: Problem[];
  options: ReadOptions;
  /** Pages done and how many there are, while a long document is read; undefined when nothing goes on. */
  progress: { done: number; of: number } | undefined;
  bring(file: SourceFile | undefined): void;
  /** Changes what is taken of the source; undefined takes a choice back. */
  change(options: Changes): void;
  cancel(): void;
  fail(problem: Problem): void;
}

/** A source being read: it is opened once in a worker and read again whenever what is taken of it changes. */
export function useReading(id: string): Reading {
  const [file, setFile] = useState<SourceFile | undefined>(sourceFor(id)?.file);
  const [options, setOptions] = useState<ReadOptions>(sourceFor(id)?.options ?? {});
  const [info, setInfo] = useState<SourceInfo>();
  const [proposal, setProposal] = useState<Proposal>();
  const [problems, setProblems] = useState<Problem[]>([]);
  const [progress, setProgress] = useState<Reading['progress']>();
  const [session, setSession] = useState<SourceSession>();
  const wanted = useRef(0);

  const bring = useCallback(
    (next: SourceFile | undefined) => {
      if (next) bringSource(id, next);
      else putSourceAway(id);
      setOptions({});
      setProposal(undefined);
      setProblems([]);
      setInfo(undefined);
      setProgress(undefined);
      setFile(next);
    },
    [id],
  );

  // What was dropped beside the station comes the same way.
  useEffect(
    () =>
      onBrought(() => {
        const came = sourceFor(id)?.file;
        if (came) bring(came);
      }),
    [bring, id],
  );

  useEffect(() => {
    let left = false;
    void sourceFromBefore(id).then((before) => {
      if (left || !before) return;
      setOptions(before.options);
      setFile(before.file);
    });
    return () => {
      left = true;
    };
  }, [id]);

  useEffect(() => {
    if (!file) return;
    const own = new SourceSession();
    setProgress({ done: 0, of: 0 });
    void own.open(file.bytes, file.name).then((opened) => {
      if (!opened) return;
      if (opened.ok) {
        setInfo(opened.value);
        setSession(own);
      } else {
        setProblems(opened.problems);
        setProgress(undefined);
      }
    });
    return () => {
      own.close();
      setSession(undefined);
    };
  }, [file]);

  useEffect(() => {
    if (!session || !file) return;
    const ticket = ++wanted.current;
    setProgress((p) => p ?? { done: 0, of: 0 });
    const told = (done: number, of: number) => {
      if (ticket === wanted.current) setProgress({ done, of });
    };
    void session.read({ ...options, file: file.name }, told).then((read) => {
      if (!read || ticket !== wanted.current) return;
      // Drawing a long proposal gives way to the hand.
      startTransition(() => {
        setProgress(undefined);
        setProblems(read.ok ? read.value.problems : read.problems);
        // A change that leaves nothing to read keeps what is shown, with the reason above it.
        if (read.ok) setProposal(read.value);
      });
    });
  }, [session, file, options]);

  const change = useCallback(
    (more: Changes) =>
      setOptions((was) => {
        const next = Object.fromEntries(Object.entries({ ...was, ...more }).filter(([, v]) => v !== undefined)) as ReadOptions;
        if (file) bringSource(id, file, next);
        return next;
      }),
    [file, id],
  );
  return {
    file,
    info,
    session,
    proposal,
    problems,
    options,
    progress,
    bring,
    change,
    cancel: () => bring(undefined),
    fail: (problem) => setProblems([problem]),
  };
}

/** Roles with one column's changed. */
export const withRole = (proposal: Proposal, options: ReadOptions, column: number, role: ColumnRole): ColumnRole[] =>
  (options.roles ?? proposal.table!.columns.filter((c) => !c.elsewhere).map((c) => c.role)).map((r, i) => (i === column ? role : r));

/** A table more, or one less; roles that were chosen for the first hold as long as it is the first. */
export function withTable({ tables = [] }: Proposal, table: number, take: boolean): Changes {
  const was = tables.flatMap((t, i) => (t.taken ? [i] : []));
  const now = take ? [...was, table].sort((a, b) => a - b) : was.filter((i) => i !== table);
  return { tables: now, ...(now[0] === was[0] ? {} : { roles: undefined }) };
}

/** The same for a column of one of several tables: it holds for all tables with the same columns as the first. */
export function withTableRole(proposal: Proposal, options: ReadOptions, table: number, column: number, role: ColumnRole): Changes {
  const tables = proposal.tables ?? [];
  const first = tables.find((t) => t.taken)?.columns;
  const own = tables[table]?.columns;
  if (!own || !first || haveSameColumns(own, first)) return { roles: withRole(proposal, options, column, role) };
  return { tableRoles: { ...options.tableRoles, [table]: own.map((c, i) => (i === column ? role : c.role)) } };
}
