import { useState } from 'react';
import { compareMaps } from '../../../core/lands';
import { nameOnDrawing } from '../../../core/part';
import { useAct, useStore } from '../../store';
import { selectPart } from '../../store/selectors';
import { selected } from '../../store/view-slice';
import { Button } from '../../ui/button';
import { Card } from '../../ui/card';
import { Choice } from '../../ui/field';

const SAYS = {
  same: 'the same',
  moved: 'another pad',
  'only-left': 'only in the first',
  'only-right': 'only in the second',
  nowhere: 'in neither',
  count: 'another count of pads',
};

/** The pad maps of two packages beside each other; what differs stands first. */
export function CompareCard({ left, onClose }: { left: string; onClose: () => void }) {
  const act = useAct();
  const part = useStore(selectPart);
  const others = part.packages.filter((p) => p.id !== left);
  const [chosen, setRight] = useState(others[0]?.id ?? '');
  const right = others.find((p) => p.id === chosen)?.id ?? others[0]?.id ?? '';
  const rows = compareMaps(part, left, right);
  const [all, setAll] = useState(false);
  const counts = Object.entries(SAYS).flatMap(([is, says]) => {
    const n = rows.filter((r) => r.is === is).length;
    return n > 0 ? [`${n} ${says}`] : [];
  });
  const lone = rows.filter((r) => r.is === 'only-left' || r.is === 'only-right' || r.is === 'count' || r.is === 'nowhere');
  const shown = all ? rows : lone;
  return (
    <Card
      label="Compare packages"
      title={`${part.packages.find((p) => p.id === left)?.name} beside`}
      aside={
        <Choice
          hideLabel
          label="Other package"
          value={right}
          options={others.map((p) => ({ value: p.id, label: p.name }))}
          onChange={setRight}
        />
      }
      className="mx-4 mb-2 shrink-0"
    >
      <p className="mb-1 text-[13px]">{counts.join(', ')}.</p>
      {shown.length === 0 ? <p className="text-[13px] text-muted">Every pin has as many pads in both.</p> : null}
      <div className="max-h-40 overflow-y-auto">
        <table className="w-full text-left text-[12.5px]">
          <tbody>
            {shown.slice(0, 600).map(({ pin, left: a, right: b, is }) => (
              <tr key={pin.id} className="border-b border-line last:border-b-0">
                <td className="py-px pr-3">
                  <button type="button" className="font-mono hover:underline" onClick={() => act(selected([pin.id]))}>
                    {nameOnDrawing(pin)}
                  </button>
                </td>
                <td className="pr-3 font-mono">{a.join(', ') || '—'}</td>
                <td className="pr-3 font-mono">{b.join(', ') || '—'}</td>
                <td className={is === 'same' || is === 'moved' ? 'text-muted' : 'text-amber'}>{SAYS[is]}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <div className="mt-2 flex gap-2">
        <Button aria-pressed={all} onClick={() => setAll(!all)}>
          {all ? 'Only what is missing or counted otherwise' : `All ${rows.length} pins`}
        </Button>
        <Button tone="quiet" onClick={onClose}>
          Close
        </Button>
      </div>
    </Card>
  );
}
