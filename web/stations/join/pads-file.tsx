import { useMemo, useState } from 'react';
import { centred, landChange } from '../../../core/lands';
import { sayProblem, type Land, type Package, type Part, type Problem } from '../../../core/part';
import { Button } from '../../ui/button';
import { counted } from '../../ui/counted';
import { Choice } from '../../ui/field';
import { LandView } from './land-view';
import { sayChange } from './say-change';

/** What was read from a file of pads: its lands, and what was wrong in it. */
export interface ReadPadsFile {
  name: string;
  lands: { name: string; land: Land }[];
  problems: Problem[];
}

interface Props {
  file: ReadPadsFile;
  part: Part;
  pkg: Package | undefined;
  disabled: boolean;
  /** Puts the land into the package in view, or as a package of its own. */
  onTake: (land: Land, name: string, asNew: boolean) => void;
  onLeave: () => void;
}

/** Pads of a board netlist stand far from the middle of their part, in mm. */
const FAR_MM = 60;

const plain = (text: string): string => text.toLowerCase().replace(/[^a-z0-9]/g, '');

/** The lands of a file before one is taken: how it looks, what it changes, and which pads and pins would stay loose. */
export function PadsFile({ file, part, pkg, disabled, onTake, onLeave }: Props) {
  const like = file.lands.findIndex((l) => plain(l.name) === plain(pkg?.name ?? ''));
  const [at, setAt] = useState(String(Math.max(0, like)));
  const chosen = file.lands[Number(at)] ?? file.lands[0]!;
  const land = useMemo((): Land => {
    const isFar = chosen.land.pads.every((p) => Math.hypot(p.x, p.y) > FAR_MM);
    return isFar ? { ...chosen.land, pads: centred(chosen.land.pads) } : chosen.land;
  }, [chosen]);
  const id = pkg?.id ?? chosen.name;
  const change = useMemo(() => landChange(part, id, land), [part, id, land]);
  const isKnown = part.packages.some((p) => p.id === chosen.name || p.name === chosen.name);
  return (
    <div className="grid grid-cols-[280px_1fr] gap-4">
      <div className="h-56 rounded-md border border-line">
        <LandView part={part} pkg={{ ...pkg, id, name: chosen.name, land }} onPad={() => undefined} />
      </div>
      <div className="flex min-w-0 flex-col gap-2">
        {file.lands.length > 1 ? (
          <Choice
            label={`${file.name} has ${counted(file.lands.length, 'land')}`}
            value={at}
            options={file.lands.map((l, i) => ({ value: String(i), label: `${l.name}, ${counted(l.land.pads.length, 'pad')}` }))}
            onChange={setAt}
          />
        ) : (
          <p className="text-[13px]">
            <strong>{chosen.name}</strong> from {file.name}, {counted(land.pads.length, 'pad')}
          </p>
        )}
        <ul aria-label="What it changes" className="text-[13px]">
          {sayChange(change, pkg).map((line) => (
            <li key={line}>{line}</li>
          ))}
          {file.problems.slice(0, 4).map((p, i) => (
            <li key={i} className="text-brick">
              {sayProblem(p)}
            </li>
          ))}
          {file.problems.length > 4 ? <li className="text-brick">And {file.problems.length - 4} more.</li> : null}
        </ul>
        <div className="mt-auto flex flex-wrap gap-2">
          <Button tone="main" disabled={disabled} onClick={() => onTake(land, pkg?.name ?? chosen.name, false)}>
            {pkg ? `Use for ${pkg.name}` : 'Add the package'}
          </Button>
          {pkg && !isKnown ? (
            <Button disabled={disabled} onClick={() => onTake(land, chosen.name, true)}>
              Add {chosen.name} as another package
            </Button>
          ) : null}
          <Button tone="quiet" onClick={onLeave}>
            Leave it
          </Button>
        </div>
      </div>
    </div>
  );
}
