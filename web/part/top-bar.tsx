import { memo, useEffect, useState } from 'react';
import { Popover } from 'radix-ui';
import { NavLink, useParams } from 'react-router';
import { useAct, useStore } from '../store';
import { redone, undone } from '../store/part-slice';
import { selectPart, selectState, selectTail } from '../store/selectors';
import { Button, Key } from '../ui/button';
import { Bow } from '../ui/marks';
import { ShelfLink } from '../ui/shelf-link';
import { onOpenParticulars, Particulars } from './particulars';

export const STATIONS = [
  { path: 'read', title: 'Read' },
  { path: 'arrange', title: 'Arrange' },
  { path: 'join', title: 'Join' },
  { path: 'prove', title: 'Prove' },
  { path: 'release', title: 'Release' },
] as const;

export function TopBar() {
  const { id } = useParams();
  const name = useStore((s) => selectPart(s).name);
  const state = useStore(selectState);
  return (
    <header className="flex h-14 shrink-0 items-center border-b border-line bg-surface px-3">
      <div className="flex min-w-0 flex-1 items-center gap-2">
        <ShelfLink />
        <PartName name={name} />
        <span className="shrink-0 rounded-full bg-sunken px-2 text-[12px] text-muted">{state}</span>
      </div>
      <Tail id={id!} />
      <div className="flex flex-1 items-center justify-end gap-1.5">
        <button
          type="button"
          onClick={() => window.dispatchEvent(new Event('kite:palette'))}
          className="flex items-center gap-4 rounded-md border border-line px-2.5 py-1 text-[13px] text-muted hover:border-green"
        >
          <span className="max-[1150px]:sr-only">Find or do…</span> <Key name="Ctrl+K" />
        </button>
        <History />
        <Saved />
      </div>
    </header>
  );
}

/** The part's name, which opens its particulars; a finding opens them at its field. */
function PartName({ name }: { name: string }) {
  const [open, setOpen] = useState(false);
  const [field, setField] = useState<string | null>(null);
  useEffect(
    () =>
      onOpenParticulars((wanted) => {
        setField(wanted);
        setOpen(true);
      }),
    [],
  );
  const atField = (e: Event) => {
    const input = field === null ? null : document.querySelector<HTMLElement>(`[aria-label="Particulars"] [name="${CSS.escape(field)}"]`);
    if (!input) return;
    e.preventDefault();
    input.focus();
  };
  const change = (isOpen: boolean) => {
    setOpen(isOpen);
    if (!isOpen) setField(null);
  };
  return (
    <Popover.Root open={open} onOpenChange={change}>
      <Popover.Trigger
        className="min-w-0 truncate rounded-md px-1.5 py-0.5 font-mono text-[16px] font-bold hover:bg-sunken"
        title="Name, maker and other particulars"
      >
        {name}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={6}
          aria-label="Particulars"
          onOpenAutoFocus={atField}
          className="z-50 max-h-[80vh] w-[420px] overflow-y-auto rounded-lg border border-line bg-surface p-4 shadow-card"
        >
          <Particulars />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** Five bows on a string: each is filled as far as its station is done, and leads there. */
const Tail = memo(function Tail({ id }: { id: string }) {
  const tail = useStore(selectTail);
  return (
    <nav aria-label="Stations" className="relative flex h-full shrink-0 items-stretch">
      <svg
        className="pointer-events-none absolute inset-x-0 top-0 h-6 w-full"
        viewBox="0 0 520 24"
        preserveAspectRatio="none"
        aria-hidden="true"
      >
        <path
          d="M0 12C40 4 70 4 104 12S170 22 208 14 270 8 312 14 380 18 416 10 480 6 520 12"
          fill="none"
          className="stroke-muted"
          strokeWidth="1"
          opacity="0.6"
        />
      </svg>
      {STATIONS.map((s) => {
        const { done, count, warn } = tail[s.path]!;
        return (
          <NavLink
            key={s.path}
            to={`/part/${id}/${s.path}`}
            className={({ isActive }) =>
              `relative flex w-[104px] flex-col items-center justify-start rounded-md pt-0.5 leading-[15px] hover:bg-sunken/70 ${isActive ? 'font-bold' : ''}`
            }
          >
            {({ isActive }) => (
              <>
                <span className="flex h-[23px] items-center">
                  <Bow done={done} active={isActive} />
                </span>
                <span className={isActive ? 'underline decoration-green decoration-2 underline-offset-2' : ''}>{s.title}</span>
                <span className={`text-[11.5px] font-normal ${warn ? 'text-amber' : 'text-muted'}`}>{count}</span>
              </>
            )}
          </NavLink>
        );
      })}
    </nav>
  );
});

function History() {
  const act = useAct();
  const undoes = useStore((s) => s.part.past.at(-1)?.title);
  const redoes = useStore((s) => s.part.future[0]?.title);
  const readOnly = useStore((s) => s.part.readOnly);
  const undoTitle = undoes === undefined ? 'Nothing to undo' : `Undo: ${undoes}`;
  const redoTitle = redoes === undefined ? 'Nothing to redo' : `Redo: ${redoes}`;
  return (
    <>
      <Button
        tone="quiet"
        aria-label={undoTitle}
        title={undoTitle}
        disabled={undoes === undefined || readOnly}
        onClick={() => act(undone())}
      >
        <Turn />
      </Button>
      <Button
        tone="quiet"
        aria-label={redoTitle}
        title={redoTitle}
        disabled={redoes === undefined || readOnly}
        onClick={() => act(redone())}
      >
        <span className="-scale-x-100">
          <Turn />
        </span>
      </Button>
    </>
  );
}

const Turn = () => (
  <svg width="16" height="16" viewBox="0 0 16 16" aria-hidden="true">
    <path
      d="M3 6H10A3.5 3.5 0 0 1 10 13H6M6 2.5 2.5 6 6 9.5"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.5"
      strokeLinecap="round"
      strokeLinejoin="round"
    />
  </svg>
);

function Saved() {
  const text = useStore(({ part: { part, saved, trouble, readOnly } }) =>
    readOnly ? 'looking only' : trouble !== null ? 'not saved' : part === saved ? 'saved' : 'saving…',
  );
  const trouble = useStore((s) => s.part.trouble !== null);
  return <span className={`w-20 text-right text-[13px] ${trouble ? 'text-brick' : 'text-muted'}`}>{text}</span>;
}
