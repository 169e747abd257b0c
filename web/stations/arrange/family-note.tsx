import { useEffect, useState } from 'react';
import { familyOf, followEdit, isAlike, reuseSource, unitsOfFamily } from '../../../core/arrange';
import { applyEdit, type Drawing, type Part, type Unit } from '../../../core/part';
import { useAct, useStore } from '../../store';
import { db } from '../../store/db';
import { savePart } from '../../store/library';
import { edited } from '../../store/part-slice';
import { selectPart } from '../../store/selectors';
import { Button } from '../../ui/button';
import { say } from '../../ui/toasts';

interface Kin {
  id: string;
  revision: number;
  part: Part;
  unit: Unit;
  drawing: Drawing;
}

/** Where else this drawing is used; when it has changed here, whether it shall change there too. */
export function FamilyNote({ unit, drawing }: { unit: Unit; drawing: Drawing }) {
  const act = useAct();
  const part = useStore(selectPart);
  const rules = useStore((s) => s.view.rules);
  const own = useStore((s) => s.part.id);
  const [kin, setKin] = useState<Kin[]>([]);
  const family = familyOf({ part: part.name, unit: unit.label, drawing });
  useEffect(() => {
    let gone = false;
    void db.parts.toArray().then((all) => {
      if (gone) return;
      const found = all
        .filter((r) => r.id !== own)
        .flatMap((r) =>
          unitsOfFamily(r.part, family).map((u) => ({
            id: r.id,
            revision: r.revision,
            part: r.part,
            unit: u,
            drawing: r.part.drawings.find((d) => d.id === u.drawing)!,
          })),
        );
      setKin(found);
    });
    return () => {
      gone = true;
    };
  }, [family, own, part]);
  if (kin.length === 0) return null;
  const differing = kin.filter((k) => !isAlike(k.drawing, drawing));
  const everywhere = async () => {
    const source = reuseSource(part, unit.id)!;
    const left: string[] = [];
    for (const k of differing) {
      const edit = followEdit(k.part, k.unit.id, source, rules);
      const saved = edit ? await savePart(k.id, applyEdit(k.part, edit), rules, k.revision) : 'behind';
      if (saved === 'behind') left.push(`${k.part.name} ${k.unit.label}`);
    }
    const done = differing.length - left.length;
    setKin((was) => was.filter((k) => !differing.includes(k) || left.includes(`${k.part.name} ${k.unit.label}`)));
    if (left.length > 0)
      act(
        say(`Changed ${done}. Look at ${left.join(', ')} by hand: its pins do not all find their place, or it is open elsewhere.`, 'bad'),
      );
    else act(say(`Changed the drawing in ${differing.map((k) => `${k.part.name} ${k.unit.label}`).join(', ')} too.`));
  };
  return (
    <div className={`mt-2 rounded-md border p-2 text-[13px] ${differing.length > 0 ? 'border-amber-line' : 'border-line'}`}>
      <p>
        Also drawn so in <strong>{kin.map((k) => `${k.part.name} ${k.unit.label}`).join(', ')}</strong>.
        {differing.length > 0 ? ` It differs in ${differing.length} of them now. Change it here only, or everywhere?` : ''}
      </p>
      {differing.length > 0 ? (
        <div className="mt-1.5 flex gap-1.5">
          <Button onClick={() => act(edited({ kind: 'changeDrawing', drawing: drawing.id, family: `${part.name} ${unit.label} alone` }))}>
            Here only
          </Button>
          <Button tone="main" onClick={() => void everywhere()}>
            Everywhere
          </Button>
        </div>
      ) : null}
    </div>
  );
}
