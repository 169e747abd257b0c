import type { Label, Unit } from '../../../core/part';
import { labelsFor } from '../../../core/arrange';
import { useAct, useStore } from '../../store';
import { edited } from '../../store/part-slice';
import { selectPart } from '../../store/selectors';
import { Button } from '../../ui/button';
import { Card } from '../../ui/card';
import { Field } from '../../ui/field';

/** A unit's own things: title, label, size of the body, places of the texts. */
export function UnitCard({ unit }: { unit: Unit }) {
  const act = useAct();
  const part = useStore(selectPart);
  const drawing = part.drawings.find((d) => d.id === unit.drawing);
  if (!drawing) return null;
  const sharers = part.units.filter((u) => u.drawing === drawing.id);
  const { width, height, strip } = drawing.body;
  const resize = (next: { width?: number; height?: number }) => {
    const size = { width: next.width ?? width, height: next.height ?? height };
    act(edited({ kind: 'changeDrawing', drawing: drawing.id, body: size, labels: labelsFor(size.width, size.height) }));
  };
  const even = (text: string, least: number) => {
    const n = Number(text);
    return Number.isInteger(n) && n >= least && n <= 400 ? n + (n % 2) : undefined;
  };
  const texts = (where: 'above' | 'below') => {
    const y = height / 2 + 0.5;
    const labels: Label[] =
      where === 'above'
        ? labelsFor(width, height)
        : [
            { kind: 'reference', x: -width * 50, y: -y * 100, anchor: 'start', size: 64 },
            { kind: 'value', x: -width * 50, y: -(y + 0.9) * 100, anchor: 'start', size: 60 },
          ];
    act(edited({ kind: 'changeDrawing', drawing: drawing.id, labels }));
  };
  return (
    <Card
      label="Unit"
      title={`Unit ${unit.label}`}
      aside={sharers.length > 1 ? `one drawing for ${sharers.map((u) => u.label).join(', ')}` : `${Object.keys(unit.binding).length} pins`}
    >
      <div className="grid grid-cols-2 gap-2">
        <Field
          wide
          label="Title"
          value={unit.title}
          onDone={(title) => act(edited({ kind: 'changeUnit', unit: unit.id, set: { title } }))}
        />
        <Field
          label="Width, steps"
          value={String(width)}
          inputMode="numeric"
          onDone={(t) => even(t, 2) !== undefined && resize({ width: even(t, 2)! })}
        />
        <Field
          label="Height, steps"
          value={String(height)}
          inputMode="numeric"
          onDone={(t) => even(t, 2) !== undefined && resize({ height: even(t, 2)! })}
        />
      </div>
      <div className="mt-2 flex flex-wrap items-center gap-1.5 text-[13px]">
        <span className="text-muted">Texts</span>
        <Button onClick={() => texts('above')}>above</Button>
        <Button onClick={() => texts('below')}>below</Button>
        <span className="ml-2 text-muted">Title strip</span>
        <Button
          aria-pressed={strip > 0}
          onClick={() => act(edited({ kind: 'changeDrawing', drawing: drawing.id, body: { strip: strip > 0 ? 0 : 1 } }))}
        >
          {strip > 0 ? 'shown' : 'hidden'}
        </Button>
        <Button tone="bad" onClick={() => act(edited({ kind: 'removeUnit', unit: unit.id }))}>
          Remove unit
        </Button>
      </div>
    </Card>
  );
}
