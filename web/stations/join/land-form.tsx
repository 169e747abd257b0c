import { useEffect, useMemo, useState } from 'react';
import { applyEdit, padsIn, sayProblem, UNNAMED_PACKAGE, type Edit, type Land, type Package } from '../../../core/part';
import { familyFromName, familyOf, generateLand, joinExposedPad, readLandName, writeLandName, type Family } from '../../../core/lands';
import { useAct, useStore } from '../../store';
import { PAD_FILES } from '../../store/brought';
import { useDraft } from '../../store/drafts';
import { edited } from '../../store/part-slice';
import { selectPart } from '../../store/selectors';
import { packageChosen } from '../../store/view-slice';
import { Button } from '../../ui/button';
import { Card } from '../../ui/card';
import { Choice } from '../../ui/field';
import { chooseFiles, readFileText } from '../../ui/files';
import { core } from '../../workers/core';
import type { ChosenPads } from './chosen-pads';
import { Arithmetic, FamilyFields } from './family-fields';
import { OutlineRows } from './outline-rows';
import { OtherLand } from './other-land';
import { PadHand } from './pad-hand';
import { PadsFile, type ReadPadsFile } from './pads-file';
import type { Datasheet } from './use-datasheet';

const STARTS: Record<Family['kind'], Family> = {
  dual: { kind: 'dual', count: 14, pitch: 1.27, span: 5.4, length: 1.55, width: 0.6, body: { w: 3.9, h: 8.65 } },
  quad: { kind: 'quad', count: 64, pitch: 0.5, span: 11.4, length: 1.5, width: 0.28, body: { w: 10, h: 10 } },
  grid: { kind: 'grid', rows: 8, columns: 8, pitch: 0.8, diameter: 0.4, body: { w: 7, h: 7 }, without: '' },
  inline: { kind: 'inline', count: 9, pitch: 2.54, length: 1.8, width: 1.6, drill: 0.9, body: { w: 23, h: 3 } },
  outline: { kind: 'outline', leads: 5, pitch: 0.95, span: 2.4, length: 1.1, width: 0.6, body: { w: 1.6, h: 2.9 } },
  header: {
    kind: 'header',
    rows: 2,
    columns: 5,
    pitch: 2.54,
    diameter: 1.7,
    drill: 1,
    body: { w: 12.7, h: 5.08 },
    numbering: 'zigzag',
  },
  chip: { kind: 'chip', span: 1.5, length: 0.8, width: 0.95, body: { w: 1.6, h: 0.8 } },
  array: { kind: 'array', rows: 2, columns: 4, pitch: 2.54, length: 1.6, width: 1, body: { w: 12, h: 6 }, numbering: 'rows' },
};

const KINDS = [
  { value: 'dual', label: 'two rows' },
  { value: 'quad', label: 'four sides' },
  { value: 'grid', label: 'ball grid' },
  { value: 'inline', label: 'one row' },
  { value: 'outline', label: 'small outline' },
  { value: 'header', label: 'header' },
  { value: 'chip', label: 'two terminals' },
  { value: 'array', label: 'free array' },
] as const;

const MODES = [
  { value: 'sizes', label: 'by dimensions in mm' },
  { value: 'hand', label: 'pads one by one' },
  { value: 'other', label: 'from another part' },
  { value: 'file', label: 'from a file…' },
] as const;

/** What stands in the form. */
interface Draft {
  mode: (typeof MODES)[number]['value'];
  name: string;
  family: Family;
  padsFile: ReadPadsFile | null;
}

/** The dimensions that a land has; where it has none of a family, those of its package's name, and its pads one by one. */
function startOf(pkg: Package | undefined): Draft {
  const name = pkg && pkg.name !== UNNAMED_PACKAGE ? pkg.name : '';
  const named = familyFromName(name);
  const hasPads = (pkg?.land.pads.length ?? 0) > 0;
  const own = hasPads ? familyOf(pkg!.land) : undefined;
  const family = own ?? (named.ok ? named.value.family : STARTS.dual);
  return { mode: hasPads && !own ? 'hand' : 'sizes', name, family, padsFile: null };
}

interface Props {
  pkg: Package | undefined;
  /** A file of pads that was dropped at the station, to be read at once. */
  came: File | undefined;
  /** The datasheet that may give the dimensions. */
  datasheet: Datasheet | undefined;
  chosen: ChosenPads;
  onChosen: (chosen: ChosenPads) => void;
  /** Told of the land that the form would make, or that it makes none. */
  onLand: (land: Land | undefined) => void;
  onDone: () => void;
}

/** Makes a land: by its short name, or by the datasheet's dimensions in mm; shows at once what is impossible and why. */
export function LandForm({ pkg, came, datasheet, chosen, onChosen, onLand, onDone }: Props) {
  const act = useAct();
  const part = useStore(selectPart);
  const readOnly = useStore((s) => s.part.readOnly);
  const [draft, setDraft, dropDraft] = useDraft<Draft>(`land of ${pkg?.id ?? ''}`, () => startOf(pkg));
  const { mode, name, family, padsFile } = draft;
  const change = (part: Partial<Draft>) => setDraft({ ...draft, ...part });
  const [message, setMessage] = useState<string | null>(null);
  const made = useMemo(() => generateLand(family), [family]);
  const offered = mode === 'sizes' && made.ok ? made.value : undefined;
  useEffect(() => onLand(offered), [onLand, offered]);

  const byName = (text: string) => {
    const read = familyFromName(text);
    change({ name: text, ...(read.ok ? { family: read.value.family } : {}) });
    setMessage(text.trim() === '' || read.ok ? null : sayProblem(read.problems[0]!));
  };
  const put = (id: string, next: Package, added: boolean) => {
    const set: Edit = { kind: 'setPackage', package: next };
    const known = new Set(next.land.pads.map((p) => p.number));
    // Another package of the same pinout starts with the numbers of the one in view, to be compared and changed.
    const numbered = added && pkg ? part.pins.map((p) => ({ pin: p.id, pads: padsIn(p, pkg.id).filter((n) => known.has(n)) })) : [];
    const edits: Edit[] = [set, { kind: 'joinPads', package: id, joins: numbered.filter((j) => j.pads.length > 0) }];
    const exposed = joinExposedPad(edits.reduce(applyEdit, part), id);
    act(edited({ kind: 'batch', title: `land of ${next.name}`, edits: exposed ? [...edits, exposed] : edits }));
    act(packageChosen(id));
    dropDraft();
    onDone();
  };
  const take = (asNew: boolean) => {
    if (!made.ok) return;
    const title = name.trim() || (pkg?.name ?? 'package');
    const fresh = asNew || !pkg;
    if (fresh && part.packages.some((p) => p.id === title))
      return setMessage(`There is a package ${title} already. Give this one another name.`);
    put(fresh ? title : pkg.id, { ...(fresh ? {} : pkg), id: fresh ? title : pkg.id, name: title, land: made.value }, fresh);
  };
  const fromFile = async (file: File | undefined) => {
    if (!file) return;
    const read = await core.readPads(await readFileText(file), file.name.replace(/\.\w+$/, ''), file.name);
    if (!read.ok) return setMessage(read.problems.slice(0, 2).map(sayProblem).join(' '));
    setMessage(null);
    change({ mode: 'file', padsFile: { name: file.name, lands: read.value.packages, problems: read.value.problems } });
  };
  const chooseFile = () => void chooseFiles(PAD_FILES).then(([file]) => fromFile(file));
  useEffect(() => {
    void fromFile(came);
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [came]);
  const leave = () => {
    dropDraft();
    onDone();
  };
  const standard = writeLandName(family);
  const isNominal = readLandName(name)?.assumed;
  const handed = (land: Land, title: string) =>
    pkg && act(edited({ kind: 'batch', title, edits: [{ kind: 'setPackage', package: { ...pkg, land } }] }));
  return (
    <Card
      label="Land"
      title="Land"
      aside={
        <span role="group" aria-label="How the land is made" className="inline-flex gap-1">
          {MODES.filter((m) => m.value !== 'hand' || pkg).map((m) => (
            <button
              key={m.value}
              type="button"
              aria-pressed={mode === m.value}
              onClick={() => (m.value === 'file' ? chooseFile() : change({ mode: m.value }))}
              className={`rounded px-1.5 text-[12.5px] ${mode === m.value ? 'bg-green-wash font-semibold text-ink' : 'hover:bg-sunken'}`}
            >
              {m.label}
            </button>
          ))}
        </span>
      }
      className="mx-4 mb-2 max-h-[58%] shrink-0 overflow-y-auto"
    >
      {mode === 'hand' && pkg ? (
        <PadHand key={pkg.id} land={pkg.land} chosen={chosen} onChosen={onChosen} onLand={handed} disabled={readOnly} />
      ) : null}
      {mode === 'other' ? (
        <OtherLand
          disabled={readOnly}
          onTake={(from) => {
            const title = pkg?.name ?? from.name;
            put(pkg?.id ?? from.name, { ...pkg, id: pkg?.id ?? from.name, name: title, land: from.land }, !pkg);
          }}
        />
      ) : null}
      {mode === 'file' && padsFile ? (
        <PadsFile
          key={padsFile.name}
          file={padsFile}
          part={part}
          pkg={pkg}
          disabled={readOnly}
          onTake={(land, title, asNew) =>
            asNew || !pkg ? put(title, { id: title, name: title, land }, true) : put(pkg.id, { ...pkg, land }, false)
          }
          onLeave={leave}
        />
      ) : null}
      {mode === 'sizes' ? (
        <>
          <div className="grid grid-cols-6 items-start gap-2 xl:grid-cols-8">
            <div className="col-span-2">
              <label htmlFor="land-name" className="mb-0.5 block text-[12px] text-muted">
                Package, or IPC-7351 name
              </label>
              <input
                id="land-name"
                value={name}
                placeholder="SO-14, BGA-484, SOIC127P600X175-8…"
                onChange={(e) => byName(e.target.value)}
                onKeyDown={(e) => e.key === 'Enter' && take(false)}
                className="w-full rounded-md border border-line px-2 py-1 font-mono text-[13px]"
              />
            </div>
            <div>
              <Choice
                label="Family"
                value={family.kind}
                options={KINDS}
                onChange={(k) => change({ family: STARTS[k as Family['kind']] })}
              />
            </div>
            <FamilyFields family={family} onChange={(next) => change({ family: next })} />
          </div>
          <Arithmetic family={family} />
          {datasheet ? (
            <OutlineRows
              datasheet={datasheet}
              family={family}
              isNamed={familyFromName(name).ok || (pkg?.land.pads.length ?? 0) > 0}
              disabled={readOnly}
              onFill={(next, said) => change({ family: next, ...(said === undefined ? {} : { name: said }) })}
            />
          ) : null}
          {isNominal ? (
            <p className="mt-1 text-[12.5px] text-amber">The name does not say: {isNominal.join(', ')}. Compare them with the datasheet.</p>
          ) : null}
        </>
      ) : null}
      {(message ?? (made.ok ? null : sayProblem(made.problems[0]!))) ? (
        <p role="alert" className="mt-2 text-[13px] text-brick">
          {message ?? (made.ok ? '' : sayProblem(made.problems[0]!))}
        </p>
      ) : null}
      <div className="mt-2 flex flex-wrap items-center gap-2">
        {mode === 'sizes' ? (
          <>
            <Button tone="main" disabled={!made.ok} onClick={() => take(false)}>
              {pkg ? `Use for ${pkg.name}` : 'Add the package'}
            </Button>
            {pkg ? (
              <Button disabled={!made.ok || name.trim() === ''} onClick={() => take(true)}>
                Add as another package
              </Button>
            ) : null}
          </>
        ) : null}
        {mode === 'file' ? null : (
          <Button tone="quiet" onClick={leave}>
            Close
          </Button>
        )}
        {mode === 'sizes' ? (
          <span className="text-[13px] text-muted">
            {made.ok ? `${made.value.pads.length} pads; first at ${made.value.pads[0]!.x}, ${made.value.pads[0]!.y}` : ''}
            {standard ? `; IPC-7351: ${standard}` : ''}
          </span>
        ) : null}
      </div>
    </Card>
  );
}
