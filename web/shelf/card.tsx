import { Link } from 'react-router';
import { boundsOf } from '../../core/shapes';
import type { Summary } from '../store/records';
import { Button } from '../ui/button';
import { counted } from '../ui/counted';
import { Primitives } from '../ui/primitives';

interface Props {
  summary: Summary;
  /** The file that waits to be read for it, by name. */
  waiting: string | undefined;
  /** True where another part has the same name: then the time of the last change tells them apart. */
  twin: boolean;
  picked: boolean;
  onPick: () => void;
  onCopy: () => void;
  onDelete: () => void;
}

/** One part on the Shelf: its drawing in small, what it is, and what is still open. */
export function ShelfCard({ summary: s, waiting, twin, picked, onPick, onCopy, onDelete }: Props) {
  const open = s.errors + s.warnings;
  return (
    <li
      className={`group relative flex flex-col rounded-lg border bg-surface hover:border-green ${picked ? 'border-green ring-2 ring-halo' : 'border-line'}`}
    >
      <Link to={`/part/${s.id}/${s.pins === 0 ? 'read' : 'arrange'}`} className="flex flex-1 flex-col rounded-lg">
        <Thumbnail summary={s} />
        <span className="flex flex-1 flex-col gap-0.5 border-t border-line p-3">
          <span className="flex items-baseline justify-between gap-2">
            <strong className="font-mono text-[15px]">{s.name}</strong>
            <State state={s.state} />
          </span>
          <span className="min-h-5 truncate text-[13px]">
            {s.description || (waiting ? `${waiting}, to be read` : 'No description yet')}
          </span>
          <span className="flex justify-between text-[12px] text-muted">
            <span>
              {counted(s.pins, 'pin')}, {counted(s.units, 'unit')}
              {twin ? `, of ${timeOf(s.updated)}` : ''}
            </span>
            <span className={s.errors > 0 ? 'text-brick' : s.warnings > 0 ? 'text-amber' : ''}>
              {open === 0 ? 'nothing open' : counted(open, 'finding')}
            </span>
          </span>
        </span>
      </Link>
      <div
        className={`absolute top-2 right-2 flex gap-1 group-focus-within:opacity-100 group-hover:opacity-100 ${picked ? '' : 'opacity-0'}`}
      >
        <Button aria-pressed={picked} aria-label={`Select ${s.name}`} onClick={onPick}>
          {picked ? 'Selected' : 'Select'}
        </Button>
        <Button aria-label={`Copy ${s.name}`} onClick={onCopy}>
          Copy
        </Button>
        <Button tone="bad" aria-label={`Delete ${s.name}`} onClick={onDelete}>
          Delete
        </Button>
      </div>
    </li>
  );
}

/** The time of a change as `2026-11-30 15:39`, by the clock of this machine. */
function timeOf(updated: number): string {
  const here = new Date(updated - new Date(updated).getTimezoneOffset() * 60_000);
  return here.toISOString().slice(0, 16).replace('T', ' ');
}

function State({ state }: { state: string }) {
  const tone = state === 'draft' ? 'bg-sunken text-muted' : state === 'proven' ? 'bg-green-wash' : 'bg-green text-on-green';
  return <span className={`rounded-full px-2 text-[12px] ${tone}`}>{state}</span>;
}

function Thumbnail({ summary: s }: { summary: Summary }) {
  if (s.drawing.length === 0) return <span className="grid h-32 place-items-center text-[13px] text-muted">Not drawn yet</span>;
  const box = boundsOf(s.drawing);
  const margin = 60;
  const view = [box.left - margin, -box.top - margin, box.right - box.left + 2 * margin, box.top - box.base + 2 * margin];
  return (
    <svg viewBox={view.join(' ')} className="drawing thumbnail h-32 w-full p-2" role="img" aria-label={`First unit of ${s.name}`}>
      <Primitives items={s.drawing} />
    </svg>
  );
}
