import { memo, useMemo } from 'react';
import { landChange } from '../../../core/lands';
import { padOwners, type Land, type Package, type Part } from '../../../core/part';
import { useAct } from '../../store';
import { selected } from '../../store/view-slice';
import { toggled, type ChosenPads } from './chosen-pads';
import { DatasheetView } from './datasheet';
import { LandView } from './land-view';
import { sayChange } from './say-change';
import type { Datasheet } from './use-datasheet';

interface Props {
  part: Part;
  pkg: Package | undefined;
  /** The land that the form would make; undefined where it makes none. */
  land: Land | undefined;
  datasheet: Datasheet | undefined;
  chosen: ChosenPads;
  onChosen: (chosen: ChosenPads) => void;
}

/** What a land is made by: how it will look and what it changes, beside the datasheet where the part has one. */
export const LandWork = memo(function LandWork({ part, pkg, land, datasheet, chosen, onChosen }: Props) {
  const act = useAct();
  const id = pkg?.id ?? '';
  const drawn = land ? { id, name: id, ...pkg, land } : pkg;
  const change = useMemo(() => land && landChange(part, id, land), [part, id, land]);
  /** Lights the pad's pins; while pads are changed by hand it chooses the pad, or with Shift or Ctrl one more. */
  const onPad = (number: string, more: boolean) => {
    const pads = pkg?.land.pads ?? [];
    const at = pads.flatMap((p, i) => (p.number === number ? [i] : []));
    const all = chosen && more ? toggled(chosen, at) : at;
    if (chosen) onChosen(all);
    const owners = padOwners(part, id);
    const numbers = chosen ? all.map((i) => pads[i]!.number) : [number];
    act(selected([...new Set(numbers.flatMap((n) => (owners.get(n) ?? []).map((p) => p.id)))]));
  };
  return (
    <div className={`grid h-full gap-4 px-4 pb-3 ${datasheet ? 'grid-cols-[minmax(200px,1fr)_1.35fr]' : ''}`}>
      <section aria-label={land ? 'Land as it will be' : 'Land as it is'} className="flex min-h-0 flex-col">
        <div className="min-h-0 flex-1">
          <LandView part={part} pkg={drawn} onPad={onPad} ringed={chosen} />
        </div>
        {change ? (
          <ul aria-label="What it changes" className="max-h-16 shrink-0 overflow-y-auto text-[12.5px] text-muted">
            {sayChange(change, pkg).map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        ) : null}
      </section>
      {datasheet ? <DatasheetView datasheet={datasheet} /> : null}
    </div>
  );
});
