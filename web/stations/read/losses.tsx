import { useMemo } from 'react';
import { lostByTaking, type Proposal } from '../../../core/intake';
import { listed, type Part } from '../../../core/part';
import { Button } from '../../ui/button';
import { counted } from '../../ui/counted';

/** Pins that are named before the rest is counted. */
const MOST_NAMED = 6;

/** What the part would lose if a source took the place of its pins, and the way to take changes one by one instead. */
export function Losses({ part, proposal, onCompare }: { part: Part; proposal: Proposal; onCompare: () => void }) {
  const gone = useMemo(() => lostByTaking(part, proposal), [part, proposal]);
  const names = listed(
    gone.map((p) => p.name || '(no name)'),
    MOST_NAMED,
  );
  return (
    <div
      role="note"
      aria-label="What taking it changes"
      className={`mx-4 mb-2 flex items-center gap-3 rounded-lg border px-3 py-1.5 text-[13px] ${gone.length > 0 ? 'border-amber-line bg-amber-wash' : 'border-line bg-surface'}`}
    >
      <p className="min-w-0 flex-1">
        Taken as a whole it replaces the {counted(part.pins.length, 'pin')} of {part.name}.{' '}
        {gone.length > 0 ? `${counted(gone.length, 'pin')} of the part would go: ${names}.` : ''}
      </p>
      <Button onClick={onCompare}>Compare instead</Button>
    </div>
  );
}
