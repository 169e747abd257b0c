import { Fragment, startTransition, useCallback, useEffect, useMemo, useState } from 'react';
import { ofAnother, particularsOf, titleOfDocument, type Particular } from '../../../core/draft';
import { takeProposal, terminalsIn, type Comparison } from '../../../core/intake';
import { sayProblem, type Problem } from '../../../core/part';
import { useCommands } from '../../commands/registry';
import { useAct, useStore } from '../../store';
import { broughtToJoin, largeIn, sayOthers, sorted, SOURCE_FILES, tooLarge } from '../../store/brought';
import { keepSource, type SourceFile } from '../../store/library';
import { useDraft } from '../../store/drafts';
import { edited } from '../../store/part-slice';
import { selectDoubts, selectNext, selectPart, selectSelection } from '../../store/selectors';
import { nextSet, packageChosen } from '../../store/view-slice';
import { Below } from '../../ui/below';
import { Button } from '../../ui/button';
import { counted } from '../../ui/counted';
import { Drop } from '../../ui/drop';
import { chooseFiles, readFileBytes } from '../../ui/files';
import { nextTask } from '../../ui/next-task';
import { say } from '../../ui/toasts';
import { usePastedTable } from '../../ui/use-pasted-table';
import { core } from '../../workers/core';
import { CompareView } from './compare-view';
import { DoubtCard } from './doubt-card';
import { DrawnName } from './drawn-name';
import { OfPart } from './of-part';
import { PageProposal } from './page-proposal';
import type { PagePlace } from './page-view';
import { PasteBox } from './paste-box';
import { Losses } from './losses';
import { Packages } from './packages';
import { ProposalView } from './proposal-view';
import { useReading, withRole, withTable, withTableRole } from './reading';
import { SourceView } from './source-view';
import { Tables } from './tables';
import { TerminalList } from './terminal-list';

/** A text longer than this is refused with its reason and not shown in the field. */
const MOST_SHOWN = 500_000;

/** Read: a source comes in as it is, is shown as it was understood, and is taken; then doubts are walked. */
export function ReadStation() {
  const act = useAct();
  const part = useStore(selectPart);
  const id = useStore((s) => s.part.id)!;
  const readOnly = useStore((s) => s.part.readOnly);
  const doubts = useStore(selectDoubts);
  const selection = useStore(selectSelection);
  const onward = useStore(selectNext);
  const reading = useReading(id);
  const { file, info, session, proposal, options } = reading;
  const [pasting, setPasting] = useState(false);
  const [comparing, setComparing] = useDraft('comparing', () => false);
  const [drawing, setDrawing] = useState(false);
  const [asRows, setAsRows] = useState(false);
  const [page, setPage] = useState({ page: 0, of: 0 });
  const [without, setWithout] = useState<ReadonlySet<Particular['field']>>(new Set());
  const [place, setPlace] = useState<PagePlace>();
  const busy = reading.progress !== undefined;
  const isPdf = info?.kind === 'pdf';

  const bring = (next: SourceFile | undefined, compare = false) => {
    setComparing(compare && next !== undefined);
    setDrawing(false);
    setAsRows(false);
    setWithout(new Set());
    setPlace(undefined);
    reading.bring(next);
  };
  const keep = async (own: SourceFile) => ({ digest: await keepSource(own.name, own.bytes), name: own.name, kind: info?.kind ?? 'text' });

  const take = async () => {
    // What is shown must be what is taken: not while a changed column is still being followed.
    if (!proposal || !file || busy || comparing) return;
    const source = await keep(file);
    // Storing, taking and putting the source away are three tasks: none of them holds the screen up.
    await nextTask();
    const said = particularsOf(part, proposal, source).filter((p) => !without.has(p.field));
    const edits = [...said.map(({ set }) => ({ kind: 'setFields' as const, set })), takeProposal(part, proposal, source)];
    act(edited({ kind: 'batch', title: `take ${counted(proposal.terminals.length, 'pin')}`, edits }));
    act(packageChosen(null));
    const open = proposal.terminals.reduce((n, t) => n + t.doubts.length, 0);
    act(say(`Took ${counted(terminalsIn(proposal).length, 'terminal')} from ${file.name}${open > 0 ? `, ${open} in doubt` : ''}.`));
    startTransition(() => {
      bring(undefined);
      setPasting(false);
    });
  };
  const revise = async (chosen: ReadonlySet<string>) => {
    if (!proposal || !file) return;
    const source = await keep(file);
    const edit = await core.reviseEdit(part, proposal, chosen, source);
    // Its changes make a document the part's datasheet.
    const title = isPdf ? titleOfDocument(proposal.cover, source) : undefined;
    const datasheet = title === undefined ? [] : [{ kind: 'setFields' as const, set: { datasheet: { title, source: source.digest } } }];
    act(edited({ kind: 'batch', title: `take ${chosen.size} changes of ${file.name}`, edits: [edit, ...datasheet] }));
    act(say(`Took ${counted(chosen.size, 'change')} from ${file.name}${title === undefined ? '' : `; the datasheet is now “${title}”`}.`));
    bring(undefined);
  };
  const raise = async ({ edit, disagreed }: Comparison) => {
    if (!edit || !file) return;
    await keep(file);
    act(edited({ kind: 'batch', title: `compare with ${file.name}`, edits: [edit] }));
    act(say(`${file.name} raised ${counted(disagreed, 'doubt')}.`));
    bring(undefined);
  };

  const takeFiles = async (files: File[], compare = false) => {
    const came = sorted(files, false);
    const chosen = came.source ?? files[0];
    if (!chosen) return;
    const large = largeIn(came) ?? tooLarge(chosen);
    if (large) return reading.fail(large);
    // Into a part that is only looked at nothing is taken, and nothing waits for it.
    if (came.source && !readOnly) {
      if (came.toJoin) broughtToJoin.set(id, came.toJoin);
      const others = sayOthers(came, false);
      if (others) act(say(others));
    }
    bring({ name: chosen.name, bytes: await readFileBytes(chosen) }, compare);
  };
  const choose = (compare = false) => void chooseFiles(SOURCE_FILES).then((files) => takeFiles(files, compare));
  const takeText = (text: string, name = 'pasted text') => bring({ name, bytes: new TextEncoder().encode(text) });

  usePastedTable(({ text, name }) => !readOnly && takeText(text, name));

  const terminals = proposal ? terminalsIn(proposal) : [];
  const another = useMemo(() => proposal && ofAnother(part, proposal), [part, proposal]);
  // What is offered does not hang on the digest, which is known when it is taken.
  const offered = useMemo(
    () =>
      proposal && file && !comparing ? particularsOf(part, proposal, { digest: '', name: file.name, kind: info?.kind ?? 'text' }) : [],
    [part, proposal, file, comparing, info?.kind],
  );
  const open = terminals.reduce((n, t) => n + (t.doubts.length > 0 ? 1 : 0), 0);
  useEffect(() => {
    const next =
      comparing && proposal
        ? 'Next: choose the changes to take'
        : proposal
          ? 'Next: look it over and take it'
          : part.pins.length === 0
            ? isPdf && !busy
              ? 'Next: find the table and draw a box around it'
              : 'Next: paste or drop a pin table'
            : doubts.length > 0
              ? `Next: ${counted(doubts.length, 'doubt')}. Press N`
              : onward;
    const read = proposal ? `${counted(terminals.length, 'terminal')} read${open > 0 ? `, ${open} in doubt` : ''}` : '';
    act(nextSet({ next, note: [page.of > 0 ? `page ${page.page} of ${page.of}` : '', read].filter(Boolean).join(' · ') }));
  }, [act, proposal, comparing, isPdf, busy, terminals.length, open, part.pins.length, doubts.length, onward, page]);
  const told = useCallback(
    (number: number, of: number) => setPage((was) => (was.page === number && was.of === of ? was : { page: number, of })),
    [],
  );
  const toldHere = useCallback((number: number) => told(number, info?.pages.length ?? 0), [told, info]);

  useCommands([
    {
      id: 'take',
      title: 'Take the table as read',
      key: 'Alt+Enter',
      group: 'Read',
      can: () => proposal !== undefined && !comparing && !busy && !readOnly,
      run: () => void take(),
    },
    {
      id: 'paste',
      title: 'Paste a pin table',
      key: 'Alt+V',
      group: 'Read',
      can: () => !readOnly,
      run: () => {
        bring(undefined);
        setPasting(true);
      },
    },
    { id: 'file', title: 'Read a source from a file…', group: 'Read', can: () => !readOnly, run: () => choose() },
    {
      id: 'compare',
      title: 'Compare with another source or revision…',
      group: 'Read',
      can: () => !readOnly && part.pins.length > 0,
      run: () => choose(true),
    },
    {
      id: 'region',
      title: 'Draw a box around the table',
      key: 'Alt+B',
      group: 'Read',
      can: () => isPdf && !comparing,
      run: () => setDrawing(!drawing),
    },
    {
      id: 'rows',
      title: 'Show the rows as read',
      key: 'Alt+R',
      group: 'Read',
      can: () => isPdf && proposal !== undefined,
      run: () => setAsRows(!asRows),
    },
  ]);

  const empty = part.pins.length === 0 || pasting;
  const onPages = isPdf && session !== undefined && info !== undefined && !asRows;
  const isReading = file !== undefined && (proposal !== undefined || busy || isPdf);
  // A doubt on a page is asked beside its cell; elsewhere it stands below.
  const kind = part.sources.find((s) => s.digest === part.pins.find((p) => p.id === selection.at(-1))?.origin?.source)?.kind;
  const askedOnPage = kind === 'pdf' && doubts.some((d) => d.pin.id === selection.at(-1));
  const setRow = (line: number, takeIt: boolean) =>
    reading.change({
      without: [...(options.without ?? []).filter((l) => l !== line), ...(takeIt ? [] : [line])],
      including: [...(options.including ?? []).filter((l) => l !== line), ...(takeIt ? [line] : [])],
    });
  return (
    <Drop label="Drop a datasheet or a pin table to read it" onFiles={(f) => void takeFiles(f)} className="flex h-full flex-col">
      <div className="flex shrink-0 flex-wrap items-center gap-2 px-4 py-2.5">
        {/* Each with a key: a button that was pressed must not become another one that has its place, and its focus. */}
        {isReading && file ? (
          <Fragment key="reading">
            <span className="rounded-md border border-green bg-surface px-2.5 py-1">
              <SourceName name={file.name} />
              {proposal ? <span className="text-muted"> {counted(terminals.length, 'terminal')}</span> : null}
            </span>
            {isPdf && proposal && !comparing ? (
              <Button keyName="Alt+R" onClick={() => setAsRows(!asRows)}>
                {asRows ? 'Pages' : 'Rows'}
              </Button>
            ) : null}
            {isPdf && !comparing ? (
              <Button keyName="Alt+B" tone={drawing ? 'main' : 'plain'} onClick={() => setDrawing(!drawing)}>
                {drawing ? 'Draw around it…' : 'Draw a box'}
              </Button>
            ) : null}
            {proposal && !comparing ? (
              <Button tone="main" keyName="Alt+Enter" disabled={readOnly || busy} onClick={() => void take()}>
                Take {counted(terminals.length, 'terminal')}
              </Button>
            ) : null}
            {comparing ? null : <Button onClick={() => bring(undefined)}>Leave it</Button>}
          </Fragment>
        ) : part.pins.length > 0 ? (
          <Fragment key="read">
            {part.sources.at(-1) && !pasting ? (
              <span className="rounded-md border border-green bg-surface px-2.5 py-1">
                <SourceName name={part.sources.at(-1)!.name} />
              </span>
            ) : null}
            <Button keyName="Alt+V" disabled={readOnly} onClick={() => setPasting(!pasting)}>
              {pasting ? 'Back to the source' : 'Paste a table'}
            </Button>
            <Button disabled={readOnly} onClick={() => choose()}>
              Read a file…
            </Button>
            <Button disabled={readOnly} onClick={() => choose(true)}>
              Compare with…
            </Button>
            {pasting ? null : <DrawnName />}
          </Fragment>
        ) : null}
        {reading.progress ? (
          <span className="flex items-center gap-2" role="status">
            <progress
              aria-label="Reading"
              className="w-28"
              {...(reading.progress.of > 0 ? { value: reading.progress.done, max: reading.progress.of } : {})}
            />
            {reading.progress.of > 0 ? `Page ${reading.progress.done} of ${reading.progress.of}` : 'Reading…'}{' '}
            <Button onClick={reading.cancel}>Cancel</Button>
          </span>
        ) : null}
      </div>
      <Problems problems={reading.problems} />
      {proposal && isReading && !comparing && part.pins.length > 0 ? (
        <Losses part={part} proposal={proposal} onCompare={() => setComparing(true)} />
      ) : null}
      {isReading ? (
        <OfPart
          mistaken={another === undefined ? undefined : { part: part.name, document: another }}
          offered={offered}
          without={without}
          onTake={(field, take) => setWithout(new Set(take ? [...without].filter((f) => f !== field) : [...without, field]))}
          onShow={
            onPages ? ({ page, box }) => page && box && setPlace((last) => ({ page, box, times: (last?.times ?? 0) + 1 })) : undefined
          }
        />
      ) : null}
      {proposal && proposal.packages.length > 1 && isReading ? <Packages reading={reading} /> : null}
      {proposal && isReading && !comparing ? (
        <Tables
          proposal={proposal}
          onTake={(table, take) => reading.change(withTable(proposal, table, take))}
          {...(onPages ? {} : { onRole: (table, i, role) => reading.change(withTableRole(proposal, options, table, i, role)) })}
        />
      ) : null}
      <div className="flex min-h-0 flex-1 flex-col">
        {comparing && proposal && file ? (
          <CompareView
            part={part}
            proposal={proposal}
            name={file.name}
            onRevise={(c) => void revise(c)}
            onDoubts={(c) => void raise(c)}
            onLeave={() => bring(undefined)}
          />
        ) : onPages && isReading ? (
          <PageProposal
            session={session}
            info={info}
            proposal={proposal}
            drawing={drawing}
            place={place}
            onPage={toldHere}
            onRole={(table, i, role) => proposal && reading.change(withTableRole(proposal, options, table, i, role))}
            onTake={(table, take) => proposal && reading.change(withTable(proposal, table, take))}
            onOnly={(table) => reading.change({ tables: [table], roles: undefined })}
            onRow={setRow}
            onRegion={(region) => {
              setDrawing(false);
              reading.change({ region, roles: undefined, tableRoles: undefined, tables: undefined });
            }}
          />
        ) : proposal?.table && isReading ? (
          <ProposalView
            proposal={proposal}
            roles={options.roles}
            onRow={setRow}
            onRole={(i, role) => reading.change({ roles: withRole(proposal, options, i, role) })}
          />
        ) : proposal && isReading ? (
          <TerminalList proposal={proposal} />
        ) : empty ? (
          <PasteBox
            key={info?.text}
            start={(info?.text?.length ?? 0) > MOST_SHOWN ? '' : (info?.text ?? '')}
            onText={takeText}
            onChoose={() => choose()}
            disabled={readOnly}
          />
        ) : (
          <SourceView onPage={told} />
        )}
      </div>
      {!file && !pasting && doubts.length > 0 && !askedOnPage ? (
        <Below className="shrink-0 px-4 py-3">
          <DoubtCard />
        </Below>
      ) : null}
    </Drop>
  );
}

function Problems({ problems }: { problems: Problem[] }) {
  if (problems.length === 0) return null;
  return (
    <div
      role="alert"
      className="mx-4 mb-2 max-h-[88px] shrink-0 overflow-y-auto rounded-md border border-amber-line bg-amber-wash px-3 py-1.5 text-[13px] leading-5"
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

const SourceName = ({ name }: { name: string }) => (
  <strong className="inline-block max-w-[260px] truncate align-bottom" title={name}>
    {name}
  </strong>
);
