import { useEffect, useState } from 'react';
import { sayProblem, type Problem, type Result } from '../../../core/part';
import { fromTitle } from '../../../core/draft';
import { takeProposal, terminalsIn, type ColumnRole, type Proposal } from '../../../core/intake';
import { useCommands } from '../../commands/registry';
import { useAct, useStore } from '../../store';
import { keepSource } from '../../store/library';
import { edited } from '../../store/part-slice';
import { selectDoubts, selectNext, selectPart } from '../../store/selectors';
import { nextSet, packageChosen } from '../../store/view-slice';
import { Button } from '../../ui/button';
import { Drop } from '../../ui/drop';
import { chooseFiles, readFileText } from '../../ui/files';
import { say } from '../../ui/toasts';
import { cancellable } from '../../workers/core';
import { DoubtCard } from './doubt-card';
import { PasteBox } from './paste-box';
import { ProposalView } from './proposal-view';
import { SourceView } from './source-view';

/** What was pasted or dropped, kept by part while the person looks at other stations. */
const drafts = new Map<string, { text: string; name: string }>();

/** Read: a source comes in as it is, is shown as it was understood, and is taken; then doubts are walked. */
export function ReadStation() {
  const act = useAct();
  const part = useStore(selectPart);
  const id = useStore((s) => s.part.id)!;
  const readOnly = useStore((s) => s.part.readOnly);
  const doubts = useStore(selectDoubts);
  const onward = useStore(selectNext);
  const [source, setSourceState] = useState(drafts.get(id));
  const [pasting, setPasting] = useState(false);
  const [roles, setRoles] = useState<ColumnRole[] | undefined>();
  const [packageName, setPackageName] = useState<string | undefined>();
  const [proposal, setProposal] = useState<Proposal | null>(null);
  const [problems, setProblems] = useState<Problem[]>([]);
  const [busy, setBusy] = useState<(() => void) | null>(null);

  const setSource = (next: { text: string; name: string } | undefined) => {
    if (next) drafts.set(id, next);
    else drafts.delete(id);
    setRoles(undefined);
    setPackageName(undefined);
    setProposal(null);
    setProblems([]);
    setSourceState(next);
  };

  useEffect(() => {
    if (!source) return;
    let stale = false;
    const { result, cancel } = cancellable<Result<Proposal>>((core) =>
      core.readText(source.text, {
        file: source.name,
        ...(roles ? { roles } : {}),
        ...(packageName === undefined ? {} : { package: packageName }),
      }),
    );
    setBusy(() => cancel);
    void result.then((read) => {
      if (stale) return;
      setBusy(null);
      if (read === 'cancelled') return setSource(undefined);
      setProblems(read.ok ? read.value.problems : read.problems);
      if (read.ok) setProposal(read.value);
      else if (!roles) setProposal(null);
    });
    return () => {
      stale = true;
      cancel();
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [source, roles, packageName]);

  const take = async () => {
    // What is shown must be what is taken: not while a changed column is still being followed.
    if (!proposal || !source || busy) return;
    const digest = await keepSource(source.name, source.text);
    const titled = fromTitle(part, source.text);
    const edits = [
      ...(titled.description !== part.description || titled.name !== part.name
        ? [{ kind: 'setFields' as const, set: { name: titled.name, description: titled.description } }]
        : []),
      takeProposal(part, proposal, { digest, name: source.name, kind: 'text' }),
    ];
    act(edited({ kind: 'batch', title: `take ${proposal.terminals.length} pins`, edits }));
    act(packageChosen(null));
    const open = proposal.terminals.reduce((n, t) => n + t.doubts.length, 0);
    act(say(`Took ${terminalsIn(proposal).length} terminals from ${source.name}${open > 0 ? `, ${open} in doubt` : ''}.`));
    setSource(undefined);
    setPasting(false);
  };

  const takeFiles = async ([file]: File[]) => {
    if (!file) return;
    if (file.size > 40_000_000)
      return setProblems([{ code: 'input-large', params: { size: Math.round(file.size / 1e6), limit: 4 }, at: { file: file.name } }]);
    setSource({ text: await readFileText(file), name: file.name });
  };
  const choose = () => void chooseFiles('.csv,.tsv,.txt,.md,text/*').then(takeFiles);

  useEffect(() => {
    const next = proposal
      ? 'Next: look it over and take it'
      : part.pins.length === 0
        ? 'Next: paste or drop a pin table'
        : doubts.length > 0
          ? `Next: ${doubts.length} ${doubts.length === 1 ? 'doubt' : 'doubts'}. Press N`
          : onward;
    act(nextSet({ next, note: proposal ? `${terminalsIn(proposal).length} terminals read` : '' }));
  }, [act, proposal, part.pins.length, doubts.length, onward]);

  useCommands([
    {
      id: 'take',
      title: 'Take the table as read',
      key: 'Alt+Enter',
      group: 'Read',
      can: () => proposal !== null && busy === null && !readOnly,
      run: () => void take(),
    },
    {
      id: 'paste',
      title: 'Paste a pin table',
      key: 'Alt+V',
      group: 'Read',
      can: () => !readOnly,
      run: () => {
        setSource(undefined);
        setPasting(true);
      },
    },
    { id: 'file', title: 'Read a pin table from a file…', group: 'Read', can: () => !readOnly, run: choose },
  ]);

  const empty = part.pins.length === 0 || pasting;
  return (
    <Drop label="Drop a pin table to read it" onFiles={(f) => void takeFiles(f)} className="flex h-full flex-col">
      <div className="flex shrink-0 items-center gap-2 px-4 py-2.5">
        {proposal && source ? (
          <>
            <span className="rounded-md border border-green bg-surface px-2.5 py-1">
              <strong>{source.name}</strong> <span className="text-muted">{terminalsIn(proposal).length} terminals</span>
            </span>
            <Button tone="main" keyName="Alt+Enter" disabled={readOnly || busy !== null} onClick={() => void take()}>
              Take {terminalsIn(proposal).length} terminals
            </Button>
            <Button onClick={() => setSource(undefined)}>Leave it</Button>
          </>
        ) : part.pins.length > 0 ? (
          <>
            <Button keyName="Alt+V" disabled={readOnly} onClick={() => setPasting(!pasting)}>
              {pasting ? 'Back to the source' : 'Paste a table'}
            </Button>
            <Button disabled={readOnly} onClick={choose}>
              Read a file…
            </Button>
          </>
        ) : null}
        {busy ? (
          <span className="flex items-center gap-2" role="status">
            <progress aria-label="Reading" className="w-28" /> Reading… <Button onClick={busy}>Cancel</Button>
          </span>
        ) : null}
      </div>
      <Problems problems={problems} />
      <div className="min-h-0 flex-1">
        {proposal ? (
          <ProposalView
            proposal={proposal}
            roles={roles}
            chosen={packageName}
            onRole={(i, role) => setRoles((was) => (was ?? proposal.table!.columns.map((c) => c.role)).map((r, k) => (k === i ? role : r)))}
            onPackage={setPackageName}
          />
        ) : empty ? (
          <PasteBox
            start={source?.text ?? ''}
            onText={(text) => setSource({ text, name: 'pasted text' })}
            onChoose={choose}
            disabled={readOnly}
          />
        ) : (
          <SourceView />
        )}
      </div>
      {!proposal && !pasting && doubts.length > 0 ? <DoubtCard /> : null}
    </Drop>
  );
}

function Problems({ problems }: { problems: Problem[] }) {
  if (problems.length === 0) return null;
  return (
    <div
      role="alert"
      className="mx-4 mb-2 max-h-32 shrink-0 overflow-y-auto rounded-md border border-amber-line bg-amber-wash px-3 py-1.5 text-[13px]"
    >
      <p className="font-semibold">{problems.length === 1 ? 'One thing to look at' : `${problems.length} things to look at`}</p>
      <ul>
        {problems.slice(0, 40).map((p, i) => (
          <li key={i}>{sayProblem(p)}</li>
        ))}
      </ul>
    </div>
  );
}
