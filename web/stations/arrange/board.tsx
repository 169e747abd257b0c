import { useMemo, useState, type DragEvent } from 'react';
import {
  groupPins,
  mergeUnits,
  movePins,
  pinsThatChange,
  reorderUnit,
  scorePlan,
  splitUnit,
  SPLITS,
  type PlanScore,
  type Split,
  type UnitDraft,
} from '../../../core/arrange';
import { nameOnDrawing, type Part, type Pin, type Unit } from '../../../core/part';
import { useAct, useStore } from '../../store';
import { edited } from '../../store/part-slice';
import { selectPart, selectSelectedSet, selectSelection } from '../../store/selectors';
import { selected } from '../../store/view-slice';
import { Button } from '../../ui/button';
import { counted } from '../../ui/counted';
import { Choice, Field } from '../../ui/field';
import { core } from '../../workers/core';

const SPLIT_WORDS: Record<Split, string> = {
  group: 'by its groups',
  rail: 'by rail',
  prefix: 'by first letters',
  side: 'by side',
  count: 'in two halves',
};

/** The plan as a board: a column a unit, its groups as cards that can be dragged, merged, split, renamed. */
export function Board() {
  const act = useAct();
  const part = useStore(selectPart);
  const rules = useStore((s) => s.view.rules);
  const selection = useStore(selectSelection);
  const readOnly = useStore((s) => s.part.readOnly);
  const score = useMemo(() => scorePlan(part, rules), [part, rules]);
  const [over, setOver] = useState<string | null>(null);

  const take = async (drafts: UnitDraft[]) => {
    const edit = await core.arrangeAs(part, drafts, rules);
    act(edited({ ...edit, placed: pinsThatChange(part, drafts) }));
  };
  const move = (pins: string[], unitId: string | undefined) => {
    if (pins.length > 0 && !readOnly) void take(movePins(part, pins, unitId));
  };
  const dropOn = (unitId: string | undefined) => ({
    onDragOver: (e: DragEvent) => {
      e.preventDefault();
      setOver(unitId ?? 'new');
    },
    onDragLeave: () => setOver(null),
    onDrop: (e: DragEvent) => {
      e.preventDefault();
      setOver(null);
      move(e.dataTransfer.getData('text/plain').split(' ').filter(Boolean), unitId);
    },
  });

  return (
    <div className="flex min-h-0 flex-1 flex-col pt-2" aria-label="Plan of the units" role="region">
      <ScoreLine score={score} units={part.units.length} />
      <div className="flex min-h-0 flex-1 gap-3 overflow-x-auto px-4 pb-4">
        {part.units.map((unit, i) => (
          <section
            key={unit.id}
            aria-label={`Unit ${unit.label}`}
            {...dropOn(unit.id)}
            className={`flex w-56 shrink-0 flex-col rounded-lg border bg-surface ${over === unit.id ? 'border-green ring-2 ring-halo' : 'border-line'}`}
          >
            <ColumnHead
              part={part}
              unit={unit}
              isTall={score.tall.some((t) => t.unit === unit.label)}
              onSplit={(by) => void take(splitUnit(part, unit.id, by, rules))}
              onMerge={(other) => void take(mergeUnits(part, [unit.id, other]))}
              onMove={(by) => {
                const edit = reorderUnit(part, unit.id, by);
                if (edit) act(edited(edit));
              }}
              first={i === 0}
              last={i === part.units.length - 1}
            />
            <Groups part={part} unit={unit} cut={score.cut.map((c) => c.group)} />
          </section>
        ))}
        <section
          aria-label="New unit"
          {...dropOn(undefined)}
          className={`flex w-40 shrink-0 flex-col items-center justify-center gap-3 rounded-lg border-2 border-dashed p-4 text-center text-[13px] text-muted ${over === 'new' ? 'border-green' : 'border-line'}`}
        >
          Drop a group here to give it a unit of its own.
          <Button disabled={selection.length === 0 || readOnly} onClick={() => move(selection, undefined)}>
            Of the selection
          </Button>
        </section>
      </div>
      {selection.length > 0 ? (
        <div className="flex items-center gap-3 border-t border-line bg-surface px-4 py-2 text-[13px]">
          <span>
            <strong>{selection.length}</strong> {selection.length === 1 ? 'pin' : 'pins'} selected
          </span>
          <Choice
            hideLabel
            label="Move the selection to"
            value=""
            options={[{ value: '', label: 'move to…' }, ...part.units.map((u) => ({ value: u.id, label: `unit ${u.label}, ${u.title}` }))]}
            onChange={(unit) => unit && move(selection, unit)}
            disabled={readOnly}
          />
        </div>
      ) : null}
    </div>
  );
}

/** The score, and what takes from it, by name. */
function ScoreLine({ score, units }: { score: PlanScore; units: number }) {
  const faults = [
    ...score.cut.map((c) => `${c.group} stands in ${c.units.join(', ')}`),
    ...score.rails.map((r) => `rail ${r.rail} stands in ${r.units.join(', ')}`),
    ...score.tall.map((t) => `unit ${t.unit} is ${t.height} steps tall`),
    ...score.lonely.map((l) => `unit ${l.unit} has ${l.pins === 1 ? 'one pin' : `${l.pins} pins`}`),
  ];
  return (
    <p aria-label="Score of the plan" aria-live="polite" className="flex items-baseline gap-3 px-4 pb-2 text-[13px]">
      <strong className={faults.length > 0 ? 'text-amber' : 'text-green'}>{score.points} of 100</strong>
      <span>{counted(units, 'unit')}</span>
      <span className="min-w-0 truncate" title={faults.join('; ')}>
        {faults.length === 0
          ? 'Nothing is cut, nothing too tall.'
          : `${faults.slice(0, 3).join('; ')}${faults.length > 3 ? `; and ${faults.length - 3} more` : ''}.`}
      </span>
    </p>
  );
}

interface HeadProps {
  part: Part;
  unit: Unit;
  isTall: boolean;
  first: boolean;
  last: boolean;
  onSplit: (by: Split) => void;
  onMerge: (other: string) => void;
  onMove: (by: 1 | -1) => void;
}

function ColumnHead({ part, unit, isTall, first, last, onSplit, onMerge, onMove }: HeadProps) {
  const act = useAct();
  const drawing = part.drawings.find((d) => d.id === unit.drawing);
  const pins = Object.keys(unit.binding).length;
  return (
    <header className="border-b border-line p-2.5">
      <div className="flex items-baseline gap-2 text-[13px] whitespace-nowrap">
        <strong className="text-base">{unit.label}</strong>
        <span>{counted(pins, 'pin')}</span>
        <span className={isTall ? 'font-semibold text-brick' : 'text-muted'}>{drawing?.body.height ?? 0} tall</span>
        <span className="ml-auto flex gap-1">
          <Button
            tone="quiet"
            aria-label={`Unit ${unit.label} one place earlier`}
            disabled={first}
            onClick={() => onMove(-1)}
            className="px-1.5"
          >
            ‹
          </Button>
          <Button
            tone="quiet"
            aria-label={`Unit ${unit.label} one place later`}
            disabled={last}
            onClick={() => onMove(1)}
            className="px-1.5"
          >
            ›
          </Button>
        </span>
      </div>
      <Field
        label=""
        aria-label={`Title of unit ${unit.label}`}
        value={unit.title}
        onDone={(title) => act(edited({ kind: 'changeUnit', unit: unit.id, set: { title } }))}
      />
      <div className="mt-1.5 grid grid-cols-2 gap-1.5">
        <Choice
          hideLabel
          label={`Split unit ${unit.label}`}
          value=""
          options={[{ value: '', label: 'split…' }, ...SPLITS.map((s) => ({ value: s, label: SPLIT_WORDS[s] }))]}
          onChange={(by) => by && onSplit(by as Split)}
        />
        <Choice
          hideLabel
          label={`Merge unit ${unit.label} with`}
          value=""
          options={[
            { value: '', label: 'merge…' },
            ...part.units.filter((u) => u.id !== unit.id).map((u) => ({ value: u.id, label: `${u.label}, ${u.title}` })),
          ]}
          onChange={(other) => other && onMerge(other)}
        />
      </div>
    </header>
  );
}

/** A unit's groups as cards; a card can be opened to its pins, and both can be dragged. */
function Groups({ part, unit, cut }: { part: Part; unit: Unit; cut: readonly string[] }) {
  const [open, setOpen] = useState<ReadonlySet<string>>(new Set());
  const groups = useMemo(() => {
    const bound = new Set(Object.values(unit.binding));
    return groupPins(part.pins.filter((p) => bound.has(p.id)));
  }, [part.pins, unit.binding]);
  const toggle = (title: string) => setOpen((was) => new Set(was.has(title) ? [...was].filter((t) => t !== title) : [...was, title]));
  return (
    <ul className="flex min-h-0 flex-1 flex-col gap-1.5 overflow-y-auto p-2">
      {groups.map((g) => (
        <li key={g.title} className="rounded-md border border-line bg-paper">
          <div className="flex items-center">
            <Handle pins={g.pins} className="flex-1 font-semibold">
              <span className={`min-w-0 truncate ${cut.includes(g.title) ? 'text-amber underline decoration-2 underline-offset-2' : ''}`}>
                {g.title}
              </span>
              <span className="ml-auto pl-2 font-normal text-muted">{g.pins.length}</span>
            </Handle>
            <Button
              tone="quiet"
              className="px-1.5"
              aria-label={`${open.has(g.title) ? 'Close' : 'Open'} ${g.title}`}
              aria-expanded={open.has(g.title)}
              onClick={() => toggle(g.title)}
            >
              {open.has(g.title) ? '▴' : '▾'}
            </Button>
          </div>
          {open.has(g.title) ? (
            <div className="flex flex-wrap gap-1 border-t border-line p-1.5">
              {g.pins.map((p) => (
                <Handle key={p.id} pins={[p]} className="rounded border border-line bg-surface px-1 font-mono text-[12px]">
                  {nameOnDrawing(p)}
                </Handle>
              ))}
            </div>
          ) : null}
        </li>
      ))}
    </ul>
  );
}

/** Something of pins that can be selected by a click and dragged to another unit; a selection goes along. */
function Handle({ pins, className, children }: { pins: readonly Pin[]; className: string; children: React.ReactNode }) {
  const act = useAct();
  const selection = useStore(selectSelection);
  const chosen = useStore(selectSelectedSet);
  const ids = pins.map((p) => p.id);
  const isChosen = ids.every((id) => chosen.has(id));
  return (
    <button
      type="button"
      draggable
      aria-pressed={isChosen}
      onDragStart={(e) => {
        e.dataTransfer.effectAllowed = 'move';
        e.dataTransfer.setData('text/plain', (isChosen ? selection : ids).join(' '));
      }}
      onClick={(e) => {
        const others = selection.filter((id) => !ids.includes(id));
        if (e.shiftKey || e.ctrlKey || e.metaKey) act(selected(isChosen ? others : [...others, ...ids]));
        else act(selected(isChosen && others.length === 0 ? [] : ids));
      }}
      className={`flex min-h-7 cursor-grab items-center px-2 text-left text-[13px] ${isChosen ? 'bg-halo/50' : ''} ${className}`}
    >
      {children}
    </button>
  );
}
