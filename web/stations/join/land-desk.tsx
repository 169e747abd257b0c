import { useDeferredValue, useState } from 'react';
import type { Land, Package, Part } from '../../../core/part';
import { LandForm } from './land-form';
import { LandWork } from './land-work';
import type { ChosenPads } from './pad-hand';
import { useDatasheet } from './use-datasheet';

const NONE: readonly number[] = [];

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
  const [chosen, setChosen] = useState<ChosenPads>();
  return (
    <>
      <LandForm pkg={pkg} came={came} datasheet={datasheet} chosen={chosen ?? NONE} onChosen={setChosen} onLand={setLand} onDone={onDone} />
      <div className="min-h-0 flex-1">
        <LandWork part={part} pkg={pkg} land={drawn} datasheet={datasheet} chosen={chosen} onChosen={setChosen} />
      </div>
    </>
  );
}
