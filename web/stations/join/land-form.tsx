import { useState } from 'react';
import { applyEdit, padsIn, sayProblem, type Edit, type Package } from '../../../core/part';
import { centred, familyFromName, generateLand, joinExposedPad, type Family } from '../../../core/lands';
import { useAct, useStore } from '../../store';
import { edited } from '../../store/part-slice';
import { selectPart } from '../../store/selectors';
import { packageChosen } from '../../store/view-slice';
import { Button } from '../../ui/button';
import { Card } from '../../ui/card';
import { Choice, Field } from '../../ui/field';
import { chooseFiles, readFileText } from '../../ui/files';
import { say } from '../../ui/toasts';
import { core } from '../../workers/core';

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
};

const KINDS = [
  { value: 'dual', label: 'two rows' },
  { value: 'quad', label: 'four sides' },
  { value: 'grid', label: 'ball grid' },
  { value: 'inline', label: 'one row' },
  { value: 'outline', label: 'small outline, 3, 5 or 6 leads' },
  { value: 'header', label: 'header, n x m' },
] as const;

const WORDS: Record<string, string> = {
  count: 'Leads',
  leads: 'Leads',
  pitch: 'Pitch',
  span: 'Span, pad centres',
  length: 'Pad length',
  width: 'Pad width',
  diameter: 'Pad diameter',
  rows: 'Rows',
  columns: 'Columns',
  without: 'Missing balls',
  drill: 'Drill',
};

/** Makes a land: by its short name, or by the datasheet's dimensions in mm; shows at once what is impossible and why. */
export function LandForm({ pkg, onDone }: { pkg: Package | undefined; onDone: () => void }) {
  const act = useAct();
  const part = useStore(selectPart);
  const [name, setName] = useState(pkg && pkg.name !== 'package' ? pkg.name : '');
  const start = familyFromName(name);
  const [family, setFamily] = useState<Family>(start.ok ? start.value.family : STARTS.dual);
  const [message, setMessage] = useState<string | null>(null);
  const made = generateLand(family);

  const byName = (text: string) => {
    setName(text);
    const read = familyFromName(text);
    if (read.ok) setFamily(read.value.family);
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
    onDone();
  };
  const take = (asNew: boolean) => {
    if (!made.ok) return;
    const title = name.trim() || (pkg?.name ?? 'package');
    const fresh = asNew || !pkg;
    if (fresh && part.packages.some((p) => p.id === title))
      return setMessage(`There is a package ${title} already. Give this one another name.`);
    put(fresh ? title : pkg.id, { id: fresh ? title : pkg.id, name: title, land: made.value }, fresh);
  };
  const fromFile = async () => {
    const [file] = await chooseFiles('.csv,.txt,.tsv,.xml,.cvg,.ipc,.356');
    if (!file) return;
    const wanted = name.trim() || (pkg?.name ?? file.name.replace(/\.\w+$/, ''));
    const read = await core.readPads(await readFileText(file), wanted, file.name);
    if (!read.ok) return setMessage(read.problems.slice(0, 2).map(sayProblem).join(' '));
    const { packages, problems } = read.value;
    const plain = (text: string) => text.toLowerCase().replace(/[^a-z0-9]/g, '');
    const chosen = packages.length === 1 ? packages[0]! : packages.find((p) => plain(p.name) === plain(wanted));
    if (!chosen)
      return setMessage(
        `It has ${packages
          .slice(0, 12)
          .map((p) => p.name)
          .join(', ')}. Type the name of one above, and choose the file again.`,
      );
    // Pads of a board netlist stand far from the middle of their part.
    const isFar = chosen.land.pads.every((p) => Math.hypot(p.x, p.y) > 60);
    const land = isFar ? { ...chosen.land, pads: centred(chosen.land.pads) } : chosen.land;
    put(pkg?.id ?? wanted, { id: pkg?.id ?? wanted, name: wanted, land }, !pkg);
    if (problems.length > 0) act(say(problems.slice(0, 2).map(sayProblem).join(' '), 'bad'));
  };
  const setNumber = (key: string, text: string) =>
    setFamily({ ...family, [key]: key === 'without' ? text : Number(text.replace(',', '.')) } as Family);
  const numbers = Object.entries(family).filter(([key]) => key in WORDS);
  return (
    <Card label="Land" title="Land" aside="dimensions in mm, as the datasheet gives them" className="mx-4 mb-2 shrink-0">
      <div className="grid grid-cols-6 items-end gap-2">
        <div className="col-span-2">
          <label htmlFor="land-name" className="mb-0.5 block text-[12px] text-muted">
            Package, by short name
          </label>
          <input
            id="land-name"
            value={name}
            placeholder="SO-14, LQFP-64, BGA-484, HDR-2x5…"
            onChange={(e) => byName(e.target.value)}
            onKeyDown={(e) => e.key === 'Enter' && take(false)}
            className="w-full rounded-md border border-line px-2 py-1 font-mono text-[13px]"
          />
        </div>
        <div className="col-span-2">
          <Choice label="Family" value={family.kind} options={KINDS} onChange={(k) => setFamily(STARTS[k as Family['kind']])} />
        </div>
        {numbers.map(([key, value]) => (
          <Field
            key={`${family.kind} ${key}`}
            label={WORDS[key]!}
            value={String(value ?? '')}
            onDone={(t) => setNumber(key, t)}
            inputMode={key === 'without' ? 'text' : 'decimal'}
          />
        ))}
        <Field
          label="Body width"
          value={String(family.body.w)}
          inputMode="decimal"
          onDone={(t) => setFamily({ ...family, body: { ...family.body, w: Number(t) } })}
        />
        <Field
          label="Body height"
          value={String(family.body.h)}
          inputMode="decimal"
          onDone={(t) => setFamily({ ...family, body: { ...family.body, h: Number(t) } })}
        />
        {family.kind === 'header' ? (
          <Choice
            label="Numbering"
            value={family.numbering}
            options={[
              { value: 'zigzag', label: 'zig-zag, odd and even' },
              { value: 'rows', label: 'row by row' },
              { value: 'around', label: 'around' },
            ]}
            onChange={(n) => setFamily({ ...family, numbering: n as 'zigzag' })}
          />
        ) : null}
        {family.kind === 'dual' || family.kind === 'quad' ? (
          <Field
            label="Exposed pad, w x h"
            value={family.exposed ? `${family.exposed.w} x ${family.exposed.h}` : ''}
            placeholder="none"
            onDone={(t) => setFamily(withExposed(family, t))}
          />
        ) : null}
      </div>
      {(message ?? (made.ok ? null : sayProblem(made.problems[0]!))) ? (
        <p role="alert" className="mt-2 text-[13px] text-brick">
          {message ?? (made.ok ? '' : sayProblem(made.problems[0]!))}
        </p>
      ) : null}
      <div className="mt-2 flex items-center gap-2">
        <Button tone="main" disabled={!made.ok} onClick={() => take(false)}>
          {pkg ? `Use for ${pkg.name}` : 'Add the package'}
        </Button>
        {pkg ? (
          <Button disabled={!made.ok || name.trim() === ''} onClick={() => take(true)}>
            Add as another package
          </Button>
        ) : null}
        <Button onClick={() => void fromFile()}>Read pads from CSV…</Button>
        <Button tone="quiet" onClick={onDone}>
          Close
        </Button>
        <span className="text-[13px] text-muted">
          {made.ok ? `${made.value.pads.length} pads; first at ${made.value.pads[0]!.x}, ${made.value.pads[0]!.y}` : ''}
        </span>
      </div>
    </Card>
  );
}

function withExposed(family: Extract<Family, { kind: 'dual' | 'quad' }>, text: string): Family {
  const match = /^\s*([\d.,]+)\s*[x×*]\s*([\d.,]+)\s*$/.exec(text);
  const { exposed: _before, ...rest } = family;
  return match ? { ...rest, exposed: { w: Number(match[1]!.replace(',', '.')), h: Number(match[2]!.replace(',', '.')) } } : rest;
}
