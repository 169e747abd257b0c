import { createSelector } from '@reduxjs/toolkit';
import { memo, useDeferredValue, useMemo, useState } from 'react';
import { SIDES, ELECTRICAL_TYPES, MARKS, type Edit, type ElectricalType, type Mark, type PinPlace, type Port } from '../../../core/part';
import { busName, moveToUnitEdit, SORTS, type Sort } from '../../../core/arrange';
import { useAct, useStore } from '../../store';
import { edited } from '../../store/part-slice';
import { selected } from '../../store/view-slice';
import { selectPart, selectPinById, selectPlaces, selectSelection } from '../../store/selectors';
import { Button } from '../../ui/button';
import { Card } from '../../ui/card';
import { Choice, Field } from '../../ui/field';
import { PinName } from '../../ui/marks';
import type { HandWork } from './hand';

const selectShown = createSelector([selectPart, selectPinById, selectPlaces, selectSelection], (part, byId, places, selection) => ({
  part,
  byId,
  places,
  selection,
}));

/**
 * What can be done to the selected pins: the same for one and for a hundred. It comes after the stage, whose gestures it only
 * follows; and it stays made while nothing is selected, since showing it costs a frame less than making it.
 */
export function SelectionCard({ hand, hidden }: { hand: HandWork; hidden: boolean }) {
  const now = useStore(selectShown);
  const [last, setLast] = useState(now);
  if (last !== now && now.selection.length > 0) setLast(now);
  const shown = useDeferredValue(useMemo(() => ({ ...last, hidden }), [last, hidden]));
  return <SelectionWork hand={hand} shown={shown} />;
}

type Shown = ReturnType<typeof selectShown> & { hidden: boolean };

const SelectionWork = memo(function SelectionWork({ hand, shown }: { hand: HandWork; shown: Shown }) {
  const act = useAct();
  const { part, byId, places, selection, hidden } = shown;
  const rules = useStore((s) => s.view.rules);
  const pins = selection.flatMap((id) => byId.get(id) ?? []);
  const first = pins[0] ?? part.pins[0];
  if (!first) return null;
  const drawn = pins.flatMap((p) => places.get(p.id) ?? []);
  const sides = new Set(drawn.map((q) => q.port.side));
  const units = new Set(drawn.map((q) => q.unit.id));
  const types = new Set(pins.map((p) => p.type));
  const groups = new Set(pins.map((p) => p.group ?? ''));
  const ports = portsOf(drawn);
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
  const eachPort = (title: string, set: (port: (typeof ports)[number]) => Extract<Edit, { kind: 'changePorts' }>['set']) => {
    const edits: Edit[] = ports.map((p) => ({ kind: 'changePorts', drawing: p.drawing, ports: [p.id], set: set(p) }));
    if (edits.length > 0) act(edited({ kind: 'batch', title, edits }));
  };
  const toHide = (what: 'name' | 'number', hidden: boolean) =>
    eachPort(`${hidden ? 'hide' : 'show'} ${what}s`, (p) => {
      const others = (p.hide ?? []).filter((h) => h !== what);
      return { hide: hidden ? [...others, what] : others };
    });
  const turn = () => {
    const turned = !ports.some((p) => p.turned);
    eachPort('turn names', () => ({ turned }));
  };
  const bus = pins.every((p) => !p.bits) ? busName(pins) : undefined;
  return (
    <Card
      label="Selection"
      className={hidden ? 'invisible absolute right-0 bottom-0' : ''}

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
              onClick={() => hand.send(side)}
            >
              {side}
            </Button>
          ))}
        </div>
        <span className="text-muted">Order</span>
        <div className="flex flex-wrap gap-1">
          <Button onClick={() => hand.step(1, SIDES)} aria-label="Move up">
            up
          </Button>
          <Button onClick={() => hand.step(-1, SIDES)} aria-label="Move down">
            down
          </Button>
          {pins.length > 1 ? (
            <Choice
              hideLabel
              label="Sort"
              value=""
              options={[
                { value: '', label: 'sort…' },
                ...SORTS.map((s) => ({ value: s, label: `by ${s}` })),
                { value: 'reverse', label: 'reversed' },
              ]}
              onChange={(by) => (by === 'reverse' ? hand.reverse() : by === 'name' ? hand.byName() : by && hand.sort(by as Sort))}
            />
          ) : null}
          {pins.length === 2 ? <Button onClick={hand.swap}>swap</Button> : null}
        </div>
        <span className="text-muted">Room</span>
        <div className="flex flex-wrap gap-1">
          <Button onClick={hand.gap}>gap before</Button>
          <Button onClick={hand.closeUp}>close up</Button>
          {pins.length > 2 ? <Button onClick={hand.distribute}>spread</Button> : null}
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
        <div className="grid grid-cols-[3fr_2fr] gap-1">
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
        <span className="text-muted">Text</span>
        <div className="flex flex-wrap gap-1">
          {(['name', 'number'] as const).map((what) => {
            const shown = ports.some((p) => !p.hide?.includes(what));
            return (
              <Button key={what} aria-pressed={shown} tone={shown ? 'main' : 'plain'} onClick={() => toHide(what, shown)}>
                {what}
              </Button>
            );
          })}
          <Button aria-pressed={ports.some((p) => p.turned)} onClick={turn}>
            turn
          </Button>
          {bus ? (
            <Button
              onClick={() => {
                act(edited({ kind: 'bundlePins', pins: bus.pins.map((p) => p.id), bus: { name: bus.name } }));
                act(selected([bus.pins[0]!.id]));
              }}
            >
              one bus pin
            </Button>
          ) : null}
          {first.bits && pins.length === 1 ? (
            <Button onClick={() => act(edited({ kind: 'splitPin', pin: first.id }))}>split the bus</Button>
          ) : null}
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
});

/** The ports of the places, each with its drawing, once where units share one. */
function portsOf(places: readonly PinPlace[]): (Port & { drawing: string })[] {
  const ports = new Map(places.map(({ unit, port }) => [`${unit.drawing} ${port.id}`, { ...port, drawing: unit.drawing }]));
  return [...ports.values()];
}
