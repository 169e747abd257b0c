import { SIDES, ELECTRICAL_TYPES, MARKS, type Edit, type ElectricalType, type Mark, type Side } from '../../../core/part';
import { moveToUnitEdit } from '../../../core/arrange';
import { useAct, useStore } from '../../store';
import { edited } from '../../store/part-slice';
import { selectPart, selectPinById, selectPlaces, selectSelection } from '../../store/selectors';
import { Button } from '../../ui/button';
import { Card } from '../../ui/card';
import { Choice, Field } from '../../ui/field';
import { PinName } from '../../ui/marks';

interface Props {
  onSend: (side: Side) => void;
  onNudge: (by: 1 | -1) => void;
  onNatural: () => void;
  onReverse: () => void;
  onGap: () => void;
  onCloseUp: () => void;
}

/** What can be done to the selected pins: the same for one and for a hundred. */
export function SelectionCard({ onSend, onNudge, onNatural, onReverse, onGap, onCloseUp }: Props) {
  const act = useAct();
  const part = useStore(selectPart);
  const byId = useStore(selectPinById);
  const places = useStore(selectPlaces);
  const selection = useStore(selectSelection);
  const rules = useStore((s) => s.view.rules);
  const pins = selection.flatMap((id) => byId.get(id) ?? []);
  const [first] = pins;
  if (!first) return null;
  const sides = new Set(pins.flatMap((p) => places.get(p.id)?.map((q) => q.port.side) ?? []));
  const units = new Set(pins.flatMap((p) => places.get(p.id)?.map((q) => q.unit.id) ?? []));
  const types = new Set(pins.map((p) => p.type));
  const groups = new Set(pins.map((p) => p.group ?? ''));
  const ports = portsOf(part, selection);
  const marks = new Set(ports.flatMap((p) => p.marks ?? []));
  const set = (change: { type?: ElectricalType; group?: string }) =>
    act(edited({ kind: 'changePins', byHand: true, changes: pins.map((p) => ({ id: p.id, set: change })) }));
  const toMarks = (mark: Mark) => {
    const has = marks.has(mark);
    const edits: Edit[] = ports.map((p) => ({
      kind: 'changePorts',
      drawing: p.drawing,
      ports: [p.id],
      set: { marks: has ? (p.marks ?? []).filter((m) => m !== mark) : [...new Set([...(p.marks ?? []), mark])] },
    }));
    if (edits.length > 0) act(edited({ kind: 'batch', title: `${has ? 'take off' : 'set'} ${mark}`, edits }));
  };
  return (
    <Card
      label="Selection"

      title={
        <span className="max-w-full truncate">
          {pins.slice(0, 4).map((p) => (
            <span key={p.id} className="mr-2">
              <PinName name={p.name} activeLow={!!p.activeLow} />
            </span>
          ))}
        </span>
      }
      aside={pins.length > 1 ? `${pins.length} pins` : first.because?.['type']}
    >
      <div className="grid grid-cols-[40px_1fr] items-center gap-y-1.5 text-[13px]">
        <span className="text-muted">Side</span>
        <div className="flex flex-wrap gap-1">
          {SIDES.map((side) => (
            <Button
              key={side}
              tone={sides.size === 1 && sides.has(side) ? 'main' : 'plain'}
              aria-pressed={sides.has(side)}
              onClick={() => onSend(side)}
            >
              {side}
            </Button>
          ))}
        </div>
        <span className="text-muted">Order</span>
        <div className="flex flex-wrap gap-1">
          <Button onClick={() => onNudge(1)} aria-label="Move up">
            up
          </Button>
          <Button onClick={() => onNudge(-1)} aria-label="Move down">
            down
          </Button>
          <Button onClick={onNatural}>by name</Button>
          <Button onClick={onReverse}>reverse</Button>
        </div>
        <span className="text-muted">Room</span>
        <div className="flex flex-wrap gap-1">
          <Button onClick={onGap}>gap before</Button>
          <Button onClick={onCloseUp}>close up</Button>
          {part.units.length > 1 ? (
            <Choice
              hideLabel
              label="Unit"
              value={units.size === 1 ? [...units][0]! : ''}
              options={[
                { value: '', label: units.size > 1 ? 'several units' : 'to unit…' },
                ...part.units.map((u) => ({ value: u.id, label: `unit ${u.label}` })),
              ]}
              onChange={(unit) => unit && act(edited(moveToUnitEdit(part, selection, unit, 'right', undefined, rules.pinLength)))}
            />
          ) : null}
        </div>
        <span className="text-muted">Type</span>
        <div className="flex flex-wrap gap-1">
          <Choice
            hideLabel
            label="Type"
            value={types.size === 1 ? first.type : ''}
            options={[
              ...(types.size > 1 ? [{ value: '', label: 'several types' }] : []),
              ...ELECTRICAL_TYPES.map((t) => ({ value: t, label: t })),
            ]}
            onChange={(t) => t && set({ type: t as ElectricalType })}
          />
          <Choice
            hideLabel
            label="Mark"
            value=""
            options={[{ value: '', label: 'marks…' }, ...MARKS.map((m) => ({ value: m, label: `${marks.has(m) ? '✓ ' : ''}${m}` }))]}
            onChange={(m) => m && toMarks(m as Mark)}
          />
        </div>
        <span className="text-muted">Group</span>
        <div>
          <Field
            label=""
            aria-label="Group"
            value={groups.size === 1 ? (first.group ?? '') : ''}
            placeholder={groups.size > 1 ? 'several groups' : 'no group'}
            onDone={(group) => set({ group })}
          />
        </div>
      </div>
    </Card>
  );
}

function portsOf(part: ReturnType<typeof selectPart>, selection: string[]) {
  const ids = new Set(selection);
  return part.drawings.flatMap((d) => {
    const own = new Set(
      part.units
        .filter((u) => u.drawing === d.id)
        .flatMap((u) =>
          Object.entries(u.binding)
            .filter(([, pin]) => ids.has(pin))
            .map(([port]) => port),
        ),
    );
    return d.ports.filter((p) => own.has(p.id)).map((p) => ({ ...p, drawing: d.id }));
  });
}
