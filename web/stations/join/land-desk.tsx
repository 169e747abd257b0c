import { useDeferredValue, useMemo, useState } from 'react';
import type { Land, Package, Part } from '../../../core/part';
import type { ChosenPads } from './chosen-pads';
import { LandForm } from './land-form';
import { LandWork } from './land-work';
import { useDatasheet } from './use-datasheet';

interface Props {
  part: Part;
  pkg: Package | undefined;
  /** A file of pads that was dropped at the station, to be read at once. */
  came: File | undefined;
  onDone: () => void;
}

/** Where a land is made: its form, how it will look, and the datasheet that its dimensions come from. */
export function LandDesk({ part, pkg, came, onDone }: Props) {
  const [land, setLand] = useState<Land>();
  // A large land is drawn while its fields already answer.
  const drawn = useDeferredValue(land);
  const datasheet = useDatasheet(part, pkg?.name ?? '');
  const [places, setPlaces] = useState<ChosenPads>();
  // A pad that was chosen may be gone by an undo.
  const count = pkg?.land.pads.length ?? 0;
  const chosen = useMemo(() => places?.filter((i) => i < count), [places, count]);
  return (
    <>
      <LandForm pkg={pkg} came={came} datasheet={datasheet} chosen={chosen} onChosen={setPlaces} onLand={setLand} onDone={onDone} />
      <div className="min-h-0 flex-1">
        <LandWork part={part} pkg={pkg} land={drawn} datasheet={datasheet} chosen={chosen} onChosen={setPlaces} />
      </div>
    </>
  );
}
