import { useEffect, useState } from 'react';
import { changePads, mirrorPads, nextNumber, removePads, repeatPads, withPads } from '../../../core/lands';
import type { Land, Pad } from '../../../core/part';
import { Button } from '../../ui/button';
import { Choice, Field } from '../../ui/field';
import { NumberField } from '../../ui/number-field';
import { VirtualRows } from '../../ui/virtual-rows';
import { toggled, type ChosenPads } from './chosen-pads';

const NUMBERS = ['x', 'y', 'w', 'h', 'drill', 'slot'] as const;
const isOptional = (key: (typeof NUMBERS)[number]): boolean => key === 'drill' || key === 'slot';
const NEW: Pad = { number: '1', x: 0, y: 0, w: 1, h: 1, shape: 'roundrect' };

interface Props {
  land: Land;
  chosen: ChosenPads;
  onChosen: (chosen: ChosenPads) => void;
  onLand: (land: Land, title: string) => void;
  disabled: boolean;
}

/** Pads one by one, by numbers in mm: changed, added, copied in a row, mirrored, removed; several at once. */
export function PadHand({ land, chosen: at = [], onChosen, onLand, disabled }: Props) {
  // The pads in the drawing can be chosen while their list is open.
  useEffect(() => {
    onChosen([0]);
    return () => onChosen(undefined);
  }, [onChosen]);
  const [repeat, setRepeat] = useState({ count: 1, dx: 1.27, dy: 0, step: 1 });
  const pads = at.map((i) => land.pads[i]!);
  const first = pads[0];
  /** The value that all chosen pads have, or nothing where they differ. */
  const shared = <K extends keyof Pad>(key: K): Pad[K] | undefined =>
    first && pads.every((p) => p[key] === first[key]) ? first[key] : undefined;
  const set = (key: keyof Pad, value: unknown) =>
    onLand(changePads(land, at, { [key]: value } as Partial<Pad>), `change ${at.length} pads`);
  const choose = (index: number, more: boolean) => onChosen(more ? toggled(at, [index]) : [index]);
  const add = () => {
    const last = land.pads.at(-1);
    onLand(withPads(land, [...land.pads, last ? { ...last, number: nextNumber(last.number), x: last.x + last.w * 2 } : NEW]), 'add a pad');
    onChosen([land.pads.length]);
  };
  return (
    <div className="grid grid-cols-[210px_1fr] gap-4">
      <VirtualRows
        label="Pads of the land"
        count={land.pads.length}
        height={24}
        focus={at.at(-1)}
        className="h-40 rounded-md border border-line"
      >
        {(i) => {
          const pad = land.pads[i]!;
          return (
            <button
              type="button"
              aria-pressed={at.includes(i)}
              onClick={(e) => choose(i, e.shiftKey || e.ctrlKey || e.metaKey)}
              className={`flex h-full w-full items-center gap-2 px-2 text-left font-mono text-[12px] ${at.includes(i) ? 'bg-green-wash' : 'hover:bg-sunken'}`}
            >
              <strong className="w-10 truncate">{pad.number}</strong>
              <span className="truncate text-muted">
                {pad.x}, {pad.y}
              </span>
            </button>
          );
        }}
      </VirtualRows>
      <div>
        <div className="grid grid-cols-5 gap-2">
          <Field
            label="Number"
            value={shared('number') ?? ''}
            disabled={disabled || at.length !== 1}
            onDone={(t) => set('number', t.trim())}
          />
          {NUMBERS.map((key) => (
            <NumberField
              key={key}
              label={{ x: 'x', y: 'y', w: 'Width', h: 'Height', drill: 'Drill', slot: 'Slot length' }[key]}
              value={shared(key)}
              placeholder={isOptional(key) ? 'none' : 'differ'}
              least={key === 'x' || key === 'y' ? undefined : 0.001}
              disabled={disabled || at.length === 0}
              onNumber={(n) => set(key, n)}
              onNone={isOptional(key) ? () => set(key, undefined) : undefined}
            />
          ))}
          <Choice
            label="Shape"
            value={first?.shape ?? 'rect'}
            disabled={disabled || at.length === 0}
            options={['rect', 'roundrect', 'oval', 'circle'].map((s) => ({ value: s, label: s }))}
            onChange={(s) => set('shape', s)}
          />
          <Choice
            label="It is"
            value={first?.mechanical ? 'mechanical' : 'signal'}
            disabled={disabled || at.length === 0}
            options={[
              { value: 'signal', label: 'joined to a pin' },
              { value: 'mechanical', label: 'mechanical' },
            ]}
            onChange={(v) => set('mechanical', v === 'mechanical' ? true : undefined)}
          />
        </div>
        <div className="mt-2 flex flex-wrap gap-2">
          <Button disabled={disabled} onClick={add}>
            Add a pad
          </Button>
          <Button disabled={disabled || at.length === 0} onClick={() => onLand(mirrorPads(land, at, 'x'), 'mirror pads')}>
            Mirror to the other side
          </Button>
          <Button
            tone="bad"
            disabled={disabled || at.length === 0}
            onClick={() => {
              onLand(removePads(land, at), `remove ${at.length} pads`);
              onChosen([]);
            }}
          >
            Remove {at.length > 1 ? at.length : ''}
          </Button>
        </div>
        {/* Apart from the buttons, so that a refusal has room under its field. */}
        <div className="mt-2 flex flex-wrap items-start gap-2">
          {(['count', 'dx', 'dy', 'step'] as const).map((key) => (
            <div key={key} className="w-28">
              <NumberField
                label={{ count: 'Copies', dx: 'each x', dy: 'each y', step: 'number +' }[key]}
                value={repeat[key]}
                {...(key === 'count' ? { least: 1, most: 500, whole: true } : { whole: key === 'step' })}
                onNumber={(n) => setRepeat({ ...repeat, [key]: n })}
              />
            </div>
          ))}
          <Button
            className="mt-5"
            disabled={disabled || at.length === 0}
            onClick={() => onLand(repeatPads(land, at, repeat), 'copy pads in a row')}
          >
            Copy in a row
          </Button>
        </div>
      </div>
    </div>
  );
}
