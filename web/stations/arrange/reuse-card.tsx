import { useEffect, useState } from 'react';
import { proposeReuse, reuseEdit, reuseSource } from '../../../core/arrange';
import { nameOnDrawing, type Part, type Unit } from '../../../core/part';
import { useStore } from '../../store';
import { db } from '../../store/db';
import { selectPart } from '../../store/selectors';
import { Button } from '../../ui/button';
import { Card } from '../../ui/card';
import { Choice } from '../../ui/field';
import type { Proposal } from './proposal-card';

interface Props {
  unit: Unit;
  onPropose: (proposal: Proposal) => void;
  onClose: () => void;
}

/** Takes the drawing of another part's unit: its ports find this unit's pins, as a proposal with what is doubtful. */
export function ReuseCard({ unit, onPropose, onClose }: Props) {
  const part = useStore(selectPart);
  const rules = useStore((s) => s.view.rules);
  const own = useStore((s) => s.part.id);
  const [others, setOthers] = useState<{ id: string; part: Part }[]>([]);
  const [from, setFrom] = useState('');
  useEffect(() => {
    void db.parts
      .toArray()
      .then((all) =>
        setOthers(all.filter((r) => r.id !== own && r.part.units.length > 0).sort((a, b) => (a.part.name < b.part.name ? -1 : 1))),
      );
  }, [own]);
  const [id = '', unitId = ''] = from.split(' ');
  const chosen = others.find((o) => o.id === id);
  const source = chosen ? reuseSource(chosen.part, unitId) : undefined;
  const found = source ? proposeReuse(part, unit.id, source) : undefined;
  return (
    <Card label="Take a drawing" title="Take a drawing" aside={`for unit ${unit.label}`}>
      <Choice
        label="Unit of another part"
        value={from}
        options={[
          { value: '', label: others.length === 0 ? 'no other part has units' : 'choose…' },
          ...others.flatMap((o) =>
            o.part.units.map((u) => ({
              value: `${o.id} ${u.id}`,
              label: `${o.part.name} ${o.part.units.length > 1 ? `${u.label}, ${u.title}` : ''}`.trim(),
            })),
          ),
        ]}
        onChange={setFrom}
      />
      {found ? (
        <div className="mt-2 text-[13px]">
          <p>
            <strong>{found.bound.length}</strong> of {found.source.drawing.ports.length} ports find their pin.
          </p>
          <ul className="my-1 max-h-32 overflow-y-auto font-mono text-[12px]">
            {found.bound.map((b) => (
              <li key={b.port.id}>
                {nameOnDrawing(found.source.pins.get(b.port.id)!)} → {nameOnDrawing(b.pin)}{' '}
                <span className="font-sans text-muted">by {b.by}</span>
              </li>
            ))}
          </ul>
          {found.ports.length > 0 ? <p className="text-muted">{found.ports.length} ports without a pin would go.</p> : null}
          {found.pins.length > 0 ? (
            <p className="text-muted">{found.pins.map(nameOnDrawing).join(', ')} would stand at the right.</p>
          ) : null}
        </div>
      ) : null}
      <div className="mt-2 flex gap-1.5">
        <Button
          tone="main"
          disabled={!found || found.bound.length === 0}
          onClick={() => {
            const edit = reuseEdit(part, unit.id, found!, rules);
            const changed = [...found!.bound.map((b) => b.pin), ...found!.pins].map(nameOnDrawing);
            onPropose({
              title: `The drawing of ${found!.source.part} ${found!.source.unit}`,
              edit,
              changed,
              shown: true,
              says: found!.doubts,
            });
          }}
        >
          Propose it
        </Button>
        <Button onClick={onClose}>Close</Button>
      </div>
    </Card>
  );
}
