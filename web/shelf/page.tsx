import { liveQuery } from 'dexie';
import { useEffect, useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { compareNatural, listed } from '../../core/part';
import { useCommands } from '../commands/registry';
import { useAct, useStore } from '../store';
import { namesWaiting, SOURCE_FILES } from '../store/brought';
import { db, sayStorageError } from '../store/db';
import { copyPart, loadDemo, removeParts, restoreParts, sayDemoError, sourcesOf } from '../store/library';
import type { Summary } from '../store/records';
import { Button, Key } from '../ui/button';
import { Empty } from '../ui/card';
import { counted } from '../ui/counted';
import { Drop } from '../ui/drop';
import { chooseFiles, download } from '../ui/files';
import { KiteMark } from '../ui/marks';
import { nextTheme } from '../ui/theme';
import { say } from '../ui/toasts';
import { core } from '../workers/core';
import { ShelfCard } from './card';
import { FEW, repeated } from './names';
import { ShelfGrid } from './shelf-grid';
import { useArrivals } from './use-arrivals';

/** What is taken in here: parts, and the sources that parts are started from. */
const ARRIVING = `.json,.zip,.edf,.edif,${SOURCE_FILES}`;

/** What the Shelf can be put in order by. */
const ORDERS = {
  name: { label: 'by name', compare: () => 0 },
  changed: { label: 'newest first', compare: (a: Summary, b: Summary) => b.updated - a.updated },
  open: {
    label: 'most open',
    compare: (a: Summary, b: Summary) => b.errors - a.errors || b.warnings - a.warnings || b.notes - a.notes,
  },
};
type ShelfOrder = keyof typeof ORDERS;

/** The library: every part with its state, search, start, import, export. */
export function ShelfPage() {
  const act = useAct();
  const navigate = useNavigate();
  const rules = useStore((s) => s.view.rules);
  const [summaries, setSummaries] = useState<Summary[] | null>(null);
  const [waiting, setWaiting] = useState<ReadonlyMap<string, string>>(new Map());
  const [query, setQuery] = useState('');
  const [order, setOrder] = useState<ShelfOrder>('name');
  const [picked, setPicked] = useState<ReadonlySet<string>>(new Set());

  // Follows the store by itself: what a part's own tab or another tab saves is shown at once.
  useEffect(() => {
    const watch = liveQuery(() => Promise.all([db.summaries.toArray(), namesWaiting()])).subscribe({
      next: ([list, names]) => {
        setSummaries(list);
        setWaiting(names);
      },
      error: (error) => {
        setSummaries([]);
        act(say(sayStorageError(error), 'bad'));
      },
    });
    return () => watch.unsubscribe();
  }, [act]);

  const shown = useMemo(() => {
    const words = query.toLowerCase().split(/\s+/).filter(Boolean);
    return (summaries ?? [])
      .filter((s) => words.every((w) => s.words.includes(w) || s.state.includes(w)))
      .sort((a, b) => ORDERS[order].compare(a, b) || compareNatural(a.name, b.name) || b.updated - a.updated);
  }, [summaries, query, order]);
  const twins = useMemo(() => repeated((summaries ?? []).map((s) => s.name)), [summaries]);

  const { start, take, adding, stop } = useArrivals(summaries ?? [], (ids) => void remove(ids));

  const exportParts = async (withSources: boolean) => {
    const ids = picked.size > 0 ? [...picked] : shown.map((s) => s.id);
    const records = (await db.parts.bulkGet(ids)).filter((r) => r !== undefined);
    if (records.length === 0) return;
    const own = records.map((r) => r.part);
    const sources = withSources ? await sourcesOf(own) : [];
    download('library.kite.zip', await core.packLibrary(own, sources), 'application/zip');
  };

  const remove = async (ids: string[]) => {
    const removed = await removeParts(ids);
    setPicked(new Set());
    const names = removed.records.map((r) => r.part.name);
    act(say(`Deleted ${listed(names, FEW)}.`, 'plain', { label: 'Undo', run: () => void restoreParts(removed) }));
  };

  const copy = async (id: string) => {
    try {
      const added = await copyPart(id, rules);
      if (added) act(say(`Added ${added.name}.`, 'plain', { label: 'Open it', run: () => void navigate(`/part/${added.id}/read`) }));
    } catch (error) {
      act(say(sayStorageError(error), 'bad'));
    }
  };

  const toggle = (id: string) => setPicked((was) => new Set(was.has(id) ? [...was].filter((p) => p !== id) : [...was, id]));

  useCommands([
    { id: 'start', title: 'Start a part', key: 'Alt+P', group: 'Shelf', run: () => void start() },
    {
      id: 'import',
      title: 'Import part files, EDIF symbols or an archive…',
      group: 'Shelf',
      run: () => void chooseFiles(ARRIVING, true).then(take),
    },
    { id: 'export', title: 'Export the parts shown as an archive', group: 'Shelf', run: () => void exportParts(false) },
    { id: 'export-sources', title: 'Export the parts shown with their sources', group: 'Shelf', run: () => void exportParts(true) },
    {
      id: 'search',
      title: 'Search the Shelf',
      key: '/',
      group: 'Shelf',
      run: () => document.getElementById('shelf-search')?.focus(),
    },
    {
      id: 'all',
      title: 'Select all the parts shown',
      key: 'Ctrl+A',
      group: 'Shelf',
      run: () => setPicked(new Set(shown.map((s) => s.id))),
    },
    { id: 'none', title: 'Select no part', key: 'Esc', group: 'Shelf', can: () => picked.size > 0, run: () => setPicked(new Set()) },
    ...(Object.keys(ORDERS) as ShelfOrder[]).map((o) => ({
      id: `order ${o}`,
      title: `Order the Shelf ${ORDERS[o].label}`,
      group: 'Shelf',
      run: () => setOrder(o),
    })),
    { id: 'rules', title: 'House rules', group: 'Shelf', run: () => void navigate('/rules') },
    { id: 'theme', title: 'Change the theme', group: 'Shelf', run: () => void act(say(`Theme: ${nextTheme()}.`)) },
    ...(summaries ?? []).map((s) => ({
      id: `open ${s.id}`,
      title: `Open ${s.name}`,
      group: 'Parts',
      run: () => void navigate(`/part/${s.id}/read`),
    })),
  ]);

  return (
    <Drop
      label="Drop a datasheet to start a part, or part files, EDIF symbols and archives to add them"
      onFiles={(f) => void take(f)}
      className="flex h-full flex-col"
    >
      <header className="flex h-14 shrink-0 items-center gap-3 border-b border-line bg-surface px-4 whitespace-nowrap">
        <KiteMark />
        <h1 className="text-base font-bold">Shelf</h1>
        <span className="text-muted">{summaries === null ? '' : counted(summaries.length, 'part')}</span>
        {adding ? (
          <span className="flex items-center gap-2 text-muted">
            adding {adding.done} of {adding.of}
            <Button onClick={stop}>Stop</Button>
          </span>
        ) : null}
        <label htmlFor="shelf-search" className="sr-only">
          Search parts
        </label>
        <input
          id="shelf-search"
          type="search"
          value={query}
          onChange={(e) => setQuery(e.target.value)}
          placeholder="Search names, words, pins"
          className="min-w-24 max-w-80 flex-1 rounded-md border border-line px-3 py-1"
        />
        <select
          aria-label="Order of the parts"
          value={order}
          onChange={(e) => setOrder(e.target.value as ShelfOrder)}
          className="shrink-0 rounded-md border border-line bg-surface px-1.5 py-1 text-[13px]"
        >
          {(Object.keys(ORDERS) as ShelfOrder[]).map((o) => (
            <option key={o} value={o}>
              {ORDERS[o].label}
            </option>
          ))}
        </select>
        <div className="ml-auto flex shrink-0 items-center gap-2">
          <Button tone="main" keyName="Alt+P" onClick={() => void start()}>
            Start a part
          </Button>
          <Button onClick={() => void chooseFiles(ARRIVING, true).then(take)}>Import…</Button>
          <Button onClick={() => void exportParts(false)}>{picked.size > 0 ? `Export ${picked.size}` : 'Export all'}</Button>
          <Button onClick={() => void exportParts(true)}>With sources</Button>
          {picked.size > 0 ? (
            <Button tone="bad" onClick={() => void remove([...picked])}>
              Delete {picked.size}
            </Button>
          ) : null}
          <Link to="/rules" className="rounded-md px-2 py-1 text-[13px] hover:bg-sunken">
            House rules
          </Link>
          <Button tone="quiet" onClick={() => window.dispatchEvent(new Event('kite:palette'))}>
            Find or do{' '}
            <span className="max-[1100px]:hidden">
              <Key name="Ctrl+K" />
            </span>
          </Button>
        </div>
      </header>
      <ShelfGrid
        items={shown}
        instead={
          summaries === null ? null : (
            <Empty title={query ? `No part has “${query}”` : 'The Shelf is empty'}>
              {query
                ? 'Names, makers, descriptions, keywords, pin names and states are searched.'
                : 'Drop a datasheet here or paste a pin table, and a part is started from it. Part files and archives come in the same way.'}
              {query ? null : (
                <p className="mt-4">
                  <Button onClick={() => void loadDemo(rules).catch((error: unknown) => act(say(sayDemoError(error), 'bad')))}>
                    Bring the demo library
                  </Button>
                </p>
              )}
            </Empty>
          )
        }
      >
        {(s) => (
          <ShelfCard
            key={s.id}
            summary={s}
            waiting={waiting.get(s.id)}
            twin={twins.has(s.name)}
            picked={picked.has(s.id)}
            onPick={() => toggle(s.id)}
            onCopy={() => void copy(s.id)}
            onDelete={() => void remove([s.id])}
          />
        )}
      </ShelfGrid>
    </Drop>
  );
}
