import { memo, useDeferredValue } from 'react';
import { alignEdit, canMirror, labelsFor } from '../../../core/arrange';
import type { Drawing, Label, Part, Unit } from '../../../core/part';
import { useAct, useStore } from '../../store';
import { edited } from '../../store/part-slice';
import { selectPart } from '../../store/selectors';
import { Button } from '../../ui/button';
import { Card } from '../../ui/card';
import { counted } from '../../ui/counted';
import { Choice, Field } from '../../ui/field';
import { NumberField } from '../../ui/number-field';
import { FamilyNote } from './family-note';
import type { HandWork } from './hand';

interface Props {
  unit: Unit;
  hand: HandWork;
  onDo: (what: 'shape' | 'reuse' | 'art') => void;
}

/** A unit's own things: title, size and shape of the body, what its pins show, the places of the texts. It comes after the stage. */
export function UnitCard({ unit, ...rest }: Props) {
  const part = useDeferredValue(useStore(selectPart));
  const shown = part.units.find((u) => u.id === unit.id);
  return shown ? <UnitWork unit={shown} part={part} {...rest} /> : null;
}

const UnitWork = memo(function UnitWork({ unit, part, hand, onDo }: Props & { part: Part }) {
  const act = useAct();
  const drawing = part.drawings.find((d) => d.id === unit.drawing);
  if (!drawing) return null;
  const sharers = part.units.filter((u) => u.drawing === drawing.id);
  const { width, height, strip, shape } = drawing.body;
  const resize = (next: { width?: number; height?: number }) => {
    const size = { width: next.width ?? width, height: next.height ?? height };
    act(edited({ kind: 'changeDrawing', drawing: drawing.id, body: size, labels: labelsFor(size.width, size.height) }));
  };
  const others = part.units.filter((u) => u.drawing !== drawing.id);
  const free = part.fields.filter((f) => !drawing.labels.some((l) => l.kind === 'field' && l.field === f.name));
  return (
    <Card
      label="Unit"
      title={`Unit ${unit.label}`}
      aside={
        sharers.length > 1 ? `one drawing for ${sharers.map((u) => u.label).join(', ')}` : counted(Object.keys(unit.binding).length, 'pin')
      }
      className="max-h-[68vh] overflow-y-auto"
    >
      <div className="grid grid-cols-2 gap-2">
        <Field
          wide
          label="Title"
          value={unit.title}
          onDone={(title) => act(edited({ kind: 'changeUnit', unit: unit.id, set: { title } }))}
        />
        <NumberField label="Width, steps" value={width} least={2} most={400} whole onNumber={(n) => resize({ width: n + (n % 2) })} />
        <NumberField label="Height, steps" value={height} least={2} most={400} whole onNumber={(n) => resize({ height: n + (n % 2) })} />
      </div>
      <FamilyNote unit={unit} drawing={drawing} />
      <Shows drawing={drawing} />
      <Texts drawing={drawing} free={free} />
      <div className="mt-2 flex flex-wrap items-center gap-1.5 text-[13px]">
        <Button onClick={() => onDo('shape')}>Body shape…</Button>
        <Button onClick={() => onDo('art')}>Artwork…</Button>
        <Button onClick={() => onDo('reuse')}>Take a drawing…</Button>
        <Button keyName="M" disabled={!canMirror(drawing)} onClick={() => hand.mirror(unit.id)}>
          Mirror
        </Button>
        {shape === 'block' ? (
          <Button
            aria-pressed={strip > 0}
            onClick={() => act(edited({ kind: 'changeDrawing', drawing: drawing.id, body: { strip: strip > 0 ? 0 : 1 } }))}
          >
            Title strip {strip > 0 ? 'shown' : 'hidden'}
          </Button>
        ) : null}
        {others.length > 0 ? (
          <Choice
            hideLabel
            label="Align to"
            value=""
            options={[{ value: '', label: 'as large as…' }, ...others.map((u) => ({ value: u.drawing, label: `unit ${u.label}` }))]}
            onChange={(id) => {
              const like = part.drawings.find((d) => d.id === id);
              if (like) act(edited(alignEdit(drawing, like)));
            }}
          />
        ) : null}
        <Button tone="bad" onClick={() => act(edited({ kind: 'removeUnit', unit: unit.id }))}>
          Remove unit
        </Button>
      </div>
    </Card>
  );
});

/** What the pins of the drawing show, all of them at once. */
function Shows({ drawing }: { drawing: Drawing }) {
  const act = useAct();
  const hide = drawing.hide ?? [];
  const toggle = (what: 'name' | 'number') =>
    act(
      edited({ kind: 'changeDrawing', drawing: drawing.id, hide: hide.includes(what) ? hide.filter((h) => h !== what) : [...hide, what] }),
    );
  return (
    <div className="mt-2 flex flex-wrap items-center gap-1.5 text-[13px]">
      <span className="text-muted">Pins show</span>
      {(['name', 'number'] as const).map((what) => (
        <Button key={what} aria-pressed={!hide.includes(what)} tone={hide.includes(what) ? 'plain' : 'main'} onClick={() => toggle(what)}>
          {what}s
        </Button>
      ))}
      <Button
        aria-pressed={drawing.names === 'over'}
        onClick={() => act(edited({ kind: 'changeDrawing', drawing: drawing.id, names: drawing.names === 'over' ? 'inside' : 'over' }))}
      >
        names {drawing.names === 'over' ? 'over the pins' : 'inside'}
      </Button>
    </div>
  );
}

/** Heights of texts, in hundredths of a step. */
const SIZES = [40, 50, 64, 80, 100, 140];

/** Reference, value and fields: where they stand, and whether they are shown. They are dragged on the stage. */
function Texts({ drawing, free }: { drawing: Drawing; free: Part['fields'] }) {
  const act = useAct();
  const put = (labels: Label[]) => act(edited({ kind: 'changeDrawing', drawing: drawing.id, labels }));
  const { width, height } = drawing.body;
  const fields = drawing.labels.filter((l) => l.kind === 'field');
  const place = (texts: 'above' | 'below' | 'split') => put([...labelsFor(width, height, undefined, texts), ...fields]);
  const toggle = (index: number) =>
    put(
      drawing.labels.map((l, i) => {
        const { hidden, ...rest } = l;
        return i !== index ? l : hidden ? rest : { ...rest, hidden: true };
      }),
    );
  return (
    <div className="mt-2 flex flex-wrap items-center gap-1.5 text-[13px]">
      <span className="text-muted">Texts</span>
      {(['above', 'below', 'split'] as const).map((t) => (
        <Button key={t} onClick={() => place(t)}>
          {t}
        </Button>
      ))}
      {drawing.labels.map((l, i) => (
        <Button key={`${l.kind} ${l.field ?? ''}`} aria-pressed={!l.hidden} tone={l.hidden ? 'plain' : 'main'} onClick={() => toggle(i)}>
          {l.field ?? l.kind}
        </Button>
      ))}
      <Choice
        hideLabel
        label="Size of the texts"
        value={new Set(drawing.labels.map((l) => l.size)).size === 1 ? String(drawing.labels[0]?.size ?? '') : ''}
        options={[{ value: '', label: 'size…' }, ...SIZES.map((n) => ({ value: String(n), label: `${n / 100} steps` }))]}
        onChange={(n) => n && put(drawing.labels.map((l) => ({ ...l, size: Number(n) })))}
      />
      {free.length > 0 ? (
        <Choice
          hideLabel
          label="Add a field"
          value=""
          options={[{ value: '', label: 'add a field…' }, ...free.map((f) => ({ value: f.name, label: f.name }))]}
          onChange={(field) =>
            field &&
            put([
              ...drawing.labels,
              { kind: 'field', field, x: -width * 50, y: -height * 50 - 50 - 90 * fields.length, anchor: 'start', size: 56 },
            ])
          }
        />
      ) : null}
    </div>
  );
}
