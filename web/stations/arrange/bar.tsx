import { memo, type RefObject } from 'react';
import { pinsNamed } from '../../../core/arrange';
import { useAct, useStore } from '../../store';
import { selectPins, selectUnits } from '../../store/selectors';
import { selected, unitChosen } from '../../store/view-slice';
import { Button } from '../../ui/button';
import { say } from '../../ui/toasts';
import { PLAN_WAYS, WAY_WORDS, type PlanWay } from './plan-ways';

export type Mode = 'draw' | 'board' | 'preview';

/** What stands in the drawing's place when asked for. */
const MODES: { to: Mode; key: string; label: string }[] = [
  { to: 'board', key: 'B', label: 'Board' },
  { to: 'preview', key: 'V', label: 'Preview' },
];

interface Props {
  /** For its height: what stands under it begins below. */
  box: RefObject<HTMLDivElement | null>;
  mode: Mode;
  onMode: (mode: Mode) => void;
  onPlan: (way: PlanWay) => void;
  onTidy: (() => void) | undefined;
  tidies: string | undefined;
  onUnit: (unitId: string) => void;
}

/** The units as chips, and what is done to them all: planning, tidying, the board, the preview, selecting by name. */
export function Bar({ box, mode, onMode, onPlan, onTidy, tidies, onUnit }: Props) {
  const act = useAct();
  const units = useStore(selectUnits);
  const chosen = useStore((s) => s.view.unit);
  const readOnly = useStore((s) => s.part.readOnly);
  const many = units.length > 6;
  return (
    <div
      ref={box}
      className={`pointer-events-none z-10 flex flex-col gap-1.5 px-4 py-2.5 ${mode === 'draw' ? 'absolute inset-x-0 top-0' : 'relative shrink-0'}`}
    >
      <div className={`flex gap-1.5 [&>*]:pointer-events-auto ${many ? 'flex-wrap' : ''}`}>
        {units.map((u) => (
          <button
            key={u.id}
            type="button"
            aria-pressed={u.id === chosen}
            title={u.title}
            onClick={() => {
              act(unitChosen(u.id));
              onUnit(u.id);
            }}
            style={many ? {} : { maxWidth: `min(14rem, calc(${100 / units.length}% - 6px))` }}
            className={`flex shrink-0 gap-1 rounded-md border bg-surface px-2.5 py-1 text-[13px] ${u.id === chosen ? 'border-green ring-2 ring-halo/60' : 'border-line'}`}
          >
            <strong>{u.label}</strong>
            {many ? null : <span className="truncate">{u.title}</span>}
            <span className="text-muted">{Object.keys(u.binding).length}</span>
          </button>
        ))}
      </div>
      <div className="flex flex-wrap items-center gap-1.5 [&>*]:pointer-events-auto">
        <span className="inline-flex">
          <Button
            keyName="P"
            tone={units.length === 0 ? 'main' : 'plain'}
            disabled={readOnly}
            onClick={() => onPlan('function')}
            className={units.length === 0 ? '' : 'rounded-r-none'}
          >
            Plan units
          </Button>
          {units.length > 0 ? (
            <select
              aria-label="Plan another way"
              value=""
              disabled={readOnly}
              onChange={(e) => e.target.value && onPlan(e.target.value as PlanWay)}
              className="w-6 rounded-r-md border border-l-0 border-line appearance-none bg-surface text-center text-[13px]"
            >
              <option value="">▾</option>
              {PLAN_WAYS.map((s) => (
                <option key={s} value={s}>
                  {WAY_WORDS[s]}
                </option>
              ))}
            </select>
          ) : null}
        </span>
        {units.length > 0 ? (
          <>
            {MODES.map(({ to, key, label }) => (
              <Button
                key={to}
                keyName={key}
                aria-pressed={mode === to}
                tone={mode === to ? 'main' : 'plain'}
                onClick={() => onMode(mode === to ? 'draw' : to)}
              >
                {label}
              </Button>
            ))}
          </>
        ) : null}
        {tidies !== undefined && mode === 'draw' ? (
          <Button keyName="T" disabled={readOnly} onClick={onTidy}>
            Tidy {tidies}
          </Button>
        ) : null}
        {mode === 'draw' ? <SelectNamed /> : null}
      </div>
    </div>
  );
}

/** Selects pins by their names. Apart, so that it is not drawn again with every pin that is moved. */
const SelectNamed = memo(function SelectNamed() {
  const act = useAct();
  const pins = useStore(selectPins);
  const choose = (pattern: string) => {
    const found = pinsNamed(pins, pattern);
    if (found.length === 0) act(say(`No pin is named ${pattern}.`, 'bad'));
    else act(selected(found.map((p) => p.id)));
  };
  return (
    <input
      id="select-named"
      aria-label="Select pins by name"
      placeholder="select D* …"
      title="Names with * and ?; several with a blank between"
      className="w-32 rounded-md border border-line bg-surface px-2 py-1 font-mono text-[13px]"
      onKeyDown={(e) => {
        if (e.key === 'Enter' && e.currentTarget.value.trim() !== '') choose(e.currentTarget.value);
        if (e.key === 'Escape') e.currentTarget.blur();
      }}
    />
  );
});
