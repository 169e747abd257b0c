import { useMemo, useState } from 'react';
import { pagesWith } from '../../../core/intake';
import { useAllCommands } from '../../commands/registry';
import { Button } from '../../ui/button';
import { Empty } from '../../ui/card';
import { PageView } from '../read/page-view';
import type { Datasheet } from './use-datasheet';

/** So many pages are offered of those that were found. */
const MOST = 8;
/** A place so far down a page, in points, that the page is shown from its head. */
const HEAD = 130;

/** The datasheet beside the land: its pages, opened where they give the package's dimensions, with words to find. */
export function DatasheetView({ datasheet: { opened, texts, drawings } }: { datasheet: Datasheet }) {
  const [words, setWords] = useState('');
  const [chosen, setChosen] = useState<number>();
  const [shown, setShown] = useState(1);
  const commands = useAllCommands();
  const zoom = (id: string) => commands.find((c) => c.id === id)?.run();
  const found = useMemo(() => (words.trim() === '' ? undefined : pagesWith(texts ?? [], words)), [texts, words]);
  const offered = (found ?? [...drawings].sort((a, b) => a - b)).slice(0, MOST);
  const page = chosen ?? found?.[0] ?? drawings[0];
  if (opened.state === 'fetching') return <p className="p-3 text-muted">Fetching the datasheet…</p>;
  if (opened.state === 'absent') return <Empty title="The datasheet is not in this browser">Read it again in Read to see it here.</Empty>;
  if (opened.state === 'refused') return <Empty title="The datasheet cannot be shown">{opened.why}</Empty>;
  return (
    <section aria-label="Datasheet" className="flex h-full min-h-0 flex-col overflow-hidden rounded-md border border-line">
      <div className="flex shrink-0 flex-wrap items-center gap-1.5 border-b border-line bg-surface px-2 py-1 text-[12.5px]">
        <span className="text-muted">
          page {shown} of {opened.info.pages.length}
        </span>
        <input
          type="search"
          aria-label="Find in the datasheet"
          placeholder={texts ? 'find words' : 'reading it…'}
          value={words}
          onChange={(e) => {
            setWords(e.target.value);
            setChosen(undefined);
          }}
          className="w-32 rounded-md border border-line px-2 py-px"
        />
        <span className="text-muted">
          {found
            ? found.length === 0
              ? 'on no page'
              : 'found on'
            : drawings.length > 0
              ? 'dimensions on'
              : texts
                ? 'no page gives dimensions'
                : ''}
        </span>
        {offered.map((n) => (
          <Button key={n} tone="quiet" className="!px-1.5" aria-label={`Page ${n}`} aria-pressed={n === page} onClick={() => setChosen(n)}>
            {n}
          </Button>
        ))}
        {found && found.length > MOST ? <span className="text-muted">and {found.length - MOST} more</span> : null}
        <span className="ml-auto flex">
          <Button tone="quiet" className="!px-2" aria-label="Show the page larger" onClick={() => zoom('page-larger')}>
            +
          </Button>
          <Button tone="quiet" className="!px-2" aria-label="Show the page smaller" onClick={() => zoom('page-smaller')}>
            −
          </Button>
        </span>
      </div>
      <PageView
        session={opened.session}
        info={opened.info}
        focus={page === undefined ? undefined : { page, box: [0, HEAD, 1, 1] }}
        overlay={() => null}
        onPage={setShown}
      />
    </section>
  );
}
