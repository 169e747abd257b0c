import { useEffect, useState } from 'react';
import { Link, Outlet, useNavigate, useParams } from 'react-router';
import { canonicalPart, type Part } from '../../core/part';
import { fileName } from '../../core/formats';
import { useCommands } from '../commands/registry';
import { useAct, useStore } from '../store';
import { saveNow } from '../store/autosave';
import { sayStorageError } from '../store/db';
import { copyPart, loadPart } from '../store/library';
import { closed, opened, redone, saveFailed, undone } from '../store/part-slice';
import { selectPart } from '../store/selectors';
import { selected, viewReset } from '../store/view-slice';
import { Button } from '../ui/button';
import { download } from '../ui/files';
import { nextTheme } from '../ui/theme';
import { say } from '../ui/toasts';
import { useFileDrops } from './file-drops';
import { Ledger } from './ledger';
import { claimPart } from './lock';
import { StatusLine } from './status-line';
import { STATIONS, TopBar } from './top-bar';

/** A part at work: the tail above, the ledger at the left, the station's stage, the status line below. */
export function PartFrame() {
  const { id } = useParams();
  const state = useOpenPart(id!);
  return (
    <>
      <FrameCommands id={id!} />
      {state === 'open' ? <OpenPart /> : state === 'opening' ? <p className="p-8 text-muted">Opening the part…</p> : <Missing />}
    </>
  );
}

/** The part's title and the commands of all stations: apart, so that what they follow draws nothing else again. */
function FrameCommands({ id }: { id: string }) {
  const navigate = useNavigate();
  const act = useAct();
  const name = useStore((s) => selectPart(s).name);
  const undoes = useStore((s) => s.part.past.at(-1)?.title);
  const redoes = useStore((s) => s.part.future[0]?.title);
  const readOnly = useStore((s) => s.part.readOnly);
  const rules = useStore((s) => s.view.rules);
  const withPart = (work: (part: Part) => void) => act((_, getState) => work(selectPart(getState())));

  const copy = async () => {
    await saveNow();
    const added = await copyPart(id, rules);
    if (!added) return;
    act(say(`This is ${added.name} now.`));
    await navigate(`/part/${added.id}/read`);
  };

  useEffect(() => {
    document.title = `${name} · Green Kite`;
    return () => {
      document.title = 'Green Kite';
    };
  }, [name]);

  useCommands([
    {
      id: 'undo',
      title: undoes === undefined ? 'Undo' : `Undo: ${undoes}`,
      key: 'Ctrl+Z',
      group: 'Everywhere',
      can: () => undoes !== undefined && !readOnly,
      run: () => act(undone()),
    },
    {
      id: 'redo',
      title: redoes === undefined ? 'Redo' : `Redo: ${redoes}`,
      key: 'Ctrl+Y or Ctrl+Shift+Z',
      group: 'Everywhere',
      can: () => redoes !== undefined && !readOnly,
      run: () => act(redone()),
    },
    { id: 'save', title: 'Save now', key: 'Ctrl+S', group: 'Everywhere', run: () => void saveNow() },
    { id: 'shelf', title: 'Back to the Shelf', key: 'Alt+0', group: 'Everywhere', run: () => void navigate('/') },
    {
      id: 'download',
      title: 'Download the part file',
      group: 'Everywhere',
      run: () => withPart((part) => download(`${fileName(part.name)}.kite.json`, canonicalPart(part), 'application/json')),
    },
    {
      id: 'copy',
      title: 'Copy the part as another',
      group: 'Everywhere',
      run: () => void copy().catch((error: unknown) => act(say(sayStorageError(error), 'bad'))),
    },
    { id: 'theme', title: 'Change the theme', group: 'Everywhere', run: () => void act(say(`Theme: ${nextTheme()}.`)) },
    {
      id: 'select-all',
      title: 'Select all pins',
      key: 'Ctrl+A',
      group: 'Everywhere',
      run: () => withPart((part) => act(selected(part.pins.map((p) => p.id)))),
    },
    { id: 'select-none', title: 'Select nothing', key: 'Esc', group: 'Everywhere', run: () => act(selected([])) },
    ...STATIONS.map((s, i) => ({
      id: `station ${s.path}`,
      title: `Go to ${s.title}`,
      key: `Alt+${i + 1}`,
      group: 'Stations',
      run: () => void navigate(`/part/${id}/${s.path}`),
    })),
  ]);

  return null;
}

function Missing() {
  return (
    <div className="p-8">
      <p className="mb-3">This part is not in this browser&rsquo;s Shelf.</p>
      <Link to="/" className="text-green underline">
        Go to the Shelf
      </Link>
    </div>
  );
}

function OpenPart() {
  useFileDrops();
  return (
    <div className="flex h-full flex-col">
      <TopBar />
      <Trouble />
      <div className="flex min-h-0 flex-1">
        <Ledger />
        <main className="relative min-w-0 flex-1 overflow-hidden" aria-label="Stage">
          <Outlet />
        </main>
      </div>
      <StatusLine />
    </div>
  );
}

/** Loads a part and claims it for this tab; a second tab may look and not write. */
function useOpenPart(id: string): 'opening' | 'open' | 'missing' {
  const act = useAct();
  const openId = useStore((s) => s.part.id);
  const [missing, setMissing] = useState(false);
  useEffect(() => {
    let gone = false;
    let release = () => {};
    void (async () => {
      try {
        const claim = await claimPart(id);
        release = claim.release;
        const record = await loadPart(id);
        if (gone) return release();
        if (!record) return setMissing(true);
        act(viewReset());
        act(opened({ id, part: record.part, revision: record.revision, readOnly: !claim.mine }));
      } catch (error) {
        act(saveFailed(sayStorageError(error)));
      }
    })();
    return () => {
      gone = true;
      void saveNow().finally(() => release());
      act(closed());
    };
  }, [act, id]);
  return missing ? 'missing' : openId === id ? 'open' : 'opening';
}

/** Says plainly what stands against saving, and offers the part as a file. */
function Trouble() {
  const { trouble, readOnly, part } = useStore((s) => s.part);
  if (trouble === null && !readOnly) return null;
  return (
    <div role="alert" className="flex items-center gap-3 border-b border-amber-line bg-amber-wash px-4 py-1.5">
      <span className="flex-1">{trouble ?? 'This part is open in another tab. Here you can look at it; changes are made there.'}</span>
      {readOnly ? <Button onClick={() => window.location.reload()}>Try again</Button> : null}
      <Button onClick={() => download(`${fileName(part.name)}.kite.json`, canonicalPart(part), 'application/json')}>
        Download the part
      </Button>
    </div>
  );
}
