import { useEffect, useMemo, useState } from 'react';
import { packagesBeside, type Comparison, type Proposal, type RevisionChange } from '../../../core/intake';
import { sayProblem, type Part } from '../../../core/part';
import { useDraft } from '../../store/drafts';
import { PinName } from '../../ui/marks';
import { Button } from '../../ui/button';
import { counted } from '../../ui/counted';
import { core } from '../../workers/core';

interface Props {
  part: Part;
  proposal: Proposal;
  name: string;
  onDoubts: (comparison: Comparison) => void;
  onRevise: (chosen: ReadonlySet<string>) => void;
  onLeave: () => void;
}

const KIND_WORDS: Record<RevisionChange['kind'], string> = {
  added: 'added',
  removed: 'removed',
  renamed: 'renamed',
  retyped: 'retyped',
  moved: 'moved',
  level: 'active level',
  described: 'description',
};
const TONES: Partial<Record<RevisionChange['kind'], string>> = { added: 'bg-green-wash', removed: 'bg-brick-wash' };

interface Chosen {
  as: 'revision' | 'second';
  /** Changes that a person ticked or unticked. */
  turned: Record<string, boolean>;
}

/** Another source for the same part: taken as a new revision, change by change, or as a second witness that raises doubts. */
export function CompareView({ part, proposal, name, onDoubts, onRevise, onLeave }: Props) {
  // What a person chose stays while the pins change under it, and over a look at another station.
  const [{ as, turned }, setChosen, dropChosen] = useDraft<Chosen>(`comparison with ${name}`, () => ({ as: 'revision', turned: {} }));
  const [changes, setChanges] = useState<RevisionChange[]>();
  const [comparison, setComparison] = useState<Comparison>();
  useEffect(() => {
    let stale = false;
    void core.revisionOf(part, proposal).then((found) => !stale && setChanges(found));
    void core.compareWithSource(part, proposal, name).then((found) => !stale && setComparison(found));
    return () => {
      stale = true;
    };
  }, [part, proposal, name]);
  // What a person set by hand is not overwritten unless they ask for it.
  const chosen = useMemo(() => new Set((changes ?? []).filter((c) => turned[c.id] ?? !c.byHand).map((c) => c.id)), [changes, turned]);
  const beside = useMemo(() => packagesBeside(part, proposal), [part, proposal]);
  if (!changes || !comparison) return <p className="p-6 text-muted">Comparing…</p>;
  const toggle = (id: string) => setChosen({ as, turned: { ...turned, [id]: !chosen.has(id) } });
  const done = (end: () => void) => {
    dropChosen();
    end();
  };
  return (
    <div className="flex h-full flex-col px-4 pb-3">
      <div className="mb-2 flex items-center gap-2" role="radiogroup" aria-label="Take it as">
        {(['revision', 'second'] as const).map((kind) => (
          <label
            key={kind}
            className={`flex cursor-pointer items-center gap-1.5 rounded-md border px-2 py-1 ${as === kind ? 'border-green bg-green-wash' : 'border-line bg-surface'}`}
          >
            <input type="radio" name="compare-as" checked={as === kind} onChange={() => setChosen({ as: kind, turned })} />
            {kind === 'revision' ? 'a new revision' : 'a second source'}
          </label>
        ))}
        <span className="grow" />
        {as === 'revision' ? (
          <Button tone="main" disabled={chosen.size === 0} onClick={() => done(() => onRevise(chosen))}>
            Take {counted(chosen.size, 'change')}
          </Button>
        ) : (
          <Button tone="main" disabled={!comparison.edit} onClick={() => done(() => onDoubts(comparison))}>
            Raise {counted(comparison.disagreed, 'doubt')}
          </Button>
        )}
        <Button onClick={() => done(onLeave)}>Leave it</Button>
      </div>
      {beside.length > 0 ? (
        <p className="mb-2 text-[13px] text-amber">
          {name} also has {beside.join(', ')}, which this part has not: there nothing is compared.
        </p>
      ) : null}
      {as === 'revision' ? (
        <Changes changes={changes} chosen={chosen} onToggle={toggle} name={name} />
      ) : (
        <div className="rounded-lg border border-line bg-surface p-4">
          <p>
            {name} agrees with {comparison.agreed} of {comparison.agreed + comparison.disagreed} pins.
            {comparison.disagreed > 0 ? ' Each pin that it does not agree with gets a doubt that shows what both say.' : ''}
          </p>
          <ul className="mt-2 list-disc pl-5 text-[13px]">
            {comparison.problems.slice(0, 60).map((p, i) => (
              <li key={i}>{sayProblem(p)}</li>
            ))}
          </ul>
        </div>
      )}
    </div>
  );
}

function Changes({
  changes,
  chosen,
  onToggle,
  name,
}: {
  changes: RevisionChange[];
  chosen: ReadonlySet<string>;
  onToggle: (id: string) => void;
  name: string;
}) {
  if (changes.length === 0) return <p className="rounded-lg border border-line bg-surface p-4">{name} says the same of every pin.</p>;
  return (
    <div role="region" aria-label="Changes" tabIndex={0} className="min-h-0 flex-1 overflow-auto rounded-lg border border-line bg-surface">
      <table className="w-full border-collapse text-[13px]">
        <thead className="sticky top-0 z-10 bg-surface text-left text-[12px] text-muted">
          <tr className="border-b border-line">
            <th className="w-14 px-3 py-1.5 font-normal">Take</th>
            <th className="w-16 py-1.5 font-normal">No.</th>
            <th className="w-36 py-1.5 font-normal">Pin</th>
            <th className="w-28 py-1.5 font-normal">What</th>
            <th className="py-1.5 font-normal">Now</th>
            <th className="py-1.5 font-normal">In {name}</th>
          </tr>
        </thead>
        <tbody>
          {changes.map((c) => (
            <tr key={c.id} className={`border-b border-line align-top ${chosen.has(c.id) ? '' : 'text-muted'}`}>
              <td className="px-3 py-1">
                <input
                  type="checkbox"
                  aria-label={`Take: ${KIND_WORDS[c.kind]} ${c.name}`}
                  checked={chosen.has(c.id)}
                  onChange={() => onToggle(c.id)}
                />
              </td>
              <td className="py-1 font-mono">{c.number}</td>
              <td className="py-1">
                <PinName name={c.name} activeLow={false} />
              </td>
              <td className="py-1">
                <span className={`rounded px-1.5 ${TONES[c.kind] ?? 'bg-slate-wash'}`}>{KIND_WORDS[c.kind]}</span>
                {c.byHand ? <span className="ml-1 text-[12px] text-muted">set by hand</span> : null}
              </td>
              <td className="max-w-72 py-1 pr-3 font-mono">{c.from || '–'}</td>
              <td className="max-w-72 py-1 pr-3 font-mono">{c.to || '–'}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
