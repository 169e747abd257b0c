import { useEffect, useRef, useState } from 'react';
import type { Hit } from '../../../core/intake';
import { useCommands } from '../../commands/registry';
import type { SourceSession } from '../../workers/source-session';
import { Button } from '../../ui/button';

/** So many places are found at most; how long typing must rest before they are looked for, in ms. */
const [MOST, REST_MS] = [500, 250];

interface Props {
  session: SourceSession;
  page: number;
  of: number;
  /** Pages worth looking at, with what they are. */
  offered?: { what: string; pages: readonly number[] } | undefined;
  onGo: (hit: Hit | undefined) => void;
  onZoom: (factor: number) => void;
}

/** Over the pages: which one is in view, words or a page number to find, and the zoom. */
export function PageBar({ session, page, of, offered, onGo, onZoom }: Props) {
  const field = useRef<HTMLInputElement>(null);
  const [words, setWords] = useState('');
  const [hits, setHits] = useState<Hit[]>();
  const [at, setAt] = useState(0);
  useEffect(() => {
    if (words.trim() === '') {
      setHits(undefined);
      return onGo(undefined);
    }
    let isStale = false;
    const timer = setTimeout(() => void found(), REST_MS);
    const found = async () => {
      const number = /^\s*\d+\s*$/.test(words) ? Number(words) : 0;
      const next = number >= 1 && number <= of ? [{ page: number }] : await session.find(words, MOST);
      if (isStale || !next) return;
      setHits(next);
      setAt(0);
      onGo(next[0]);
    };
    return () => {
      isStale = true;
      clearTimeout(timer);
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [words, session, of]);
  const step = (by: number) => {
    if (!hits || hits.length === 0) return;
    const next = (at + by + hits.length) % hits.length;
    setAt(next);
    onGo({ ...hits[next]! });
  };
  useCommands([{ id: 'find-page', title: 'Find in the pages', key: 'F', group: 'Page', run: () => field.current?.select() }]);
  return (
    <div className="flex shrink-0 items-center gap-1.5 border-b border-line bg-surface px-3 py-0.5 text-[12.5px]">
      <span className="shrink-0 text-muted">
        page {page} of {of}
      </span>
      <input
        ref={field}
        type="search"
        aria-label="Find in the pages"
        placeholder="words, or a page (F)"
        value={words}
        onChange={(e) => setWords(e.target.value)}
        onKeyDown={(e) => {
          if (e.key === 'Enter') step(e.shiftKey ? -1 : 1);
          if (e.key === 'Escape') setWords('');
        }}
        className="w-40 min-w-16 rounded-md border border-line px-2 py-px"
      />
      <span aria-live="polite" className="truncate text-muted">
        {words.trim() === '' ? '' : hits === undefined ? 'looking…' : hits.length === 0 ? 'on no page' : `${at + 1} of ${hits.length}`}
      </span>
      {hits && hits.length > 1 ? (
        <>
          <Button tone="quiet" className="!px-1.5" aria-label="The place before" onClick={() => step(-1)}>
            ↑
          </Button>
          <Button tone="quiet" className="!px-1.5" aria-label="The next place" keyName="Enter" onClick={() => step(1)}>
            ↓
          </Button>
        </>
      ) : null}
      {words === '' && offered && offered.pages.length > 0 ? <span className="truncate text-muted">{offered.what}</span> : null}
      {words === '' && offered
        ? offered.pages.map((n) => (
            <Button key={n} tone="quiet" className="!px-1.5" aria-label={`Page ${n}`} onClick={() => onGo({ page: n })}>
              {n}
            </Button>
          ))
        : null}
      <span className="ml-auto flex shrink-0">
        <Button tone="quiet" className="!px-2" aria-label="Show the page larger" onClick={() => onZoom(1.2)}>
          +
        </Button>
        <Button tone="quiet" className="!px-2" aria-label="Show the page smaller" onClick={() => onZoom(1 / 1.2)}>
          −
        </Button>
      </span>
    </div>
  );
}
