import { useEffect, useMemo, useState } from 'react';
import { nameOnDrawing, type Edit, type Model, type Package, type Part } from '../../../core/part';
import { markEdit, nodeSteps, padSteps, type ReadBackStep } from '../../../core/read-back';
import type { SpiceModel } from '../../../core/spice';
import { useCommands } from '../../commands/registry';
import { useAct, useStore } from '../../store';
import { edited } from '../../store/part-slice';
import { nextSet, selected } from '../../store/view-slice';
import { Button } from '../../ui/button';
import { PinName } from '../../ui/marks';
import { say } from '../../ui/toasts';
import { VirtualRows } from '../../ui/virtual-rows';
import { SourceView } from '../read/source-view';
import { LandView } from './land-view';

interface Props {
  part: Part;
  pkg: Package | undefined;
  model: Model | undefined;
  chosen: SpiceModel | undefined;
  /** The unit that the model is bound in. */
  binding: string | undefined;
  /** What is read back: the pads of the package, or the nodes of the model. */
  what: 'pads' | 'nodes';
  onWhat: (what: 'pads' | 'nodes') => void;
  onLeave: () => void;
}

const LINE = 20;

/**
 * Read-back: pad by pad around the package, or node by node, each in large type beside the source that it came from. One
 * key says that it is as printed, one that it is wrong; a wrong one becomes a doubt, or a loose node.
 */
export function ReadBackView({ part, pkg, model, chosen, binding, what, onWhat, onLeave }: Props) {
  const act = useAct();
  const readOnly = useStore((s) => s.part.readOnly);
  const steps = useMemo(
    () =>
      what === 'pads'
        ? pkg
          ? padSteps(part, pkg)
          : []
        : model && chosen && binding !== undefined
          ? nodeSteps(part, model, chosen, binding)
          : [],
    [what, part, pkg, model, chosen, binding],
  );
  const firstOpen = steps.findIndex((s) => s.state !== 'read');
  const [at, setAt] = useState<number | null>(null);
  const index = Math.min(at ?? Math.max(0, firstOpen), steps.length - 1);
  const step = steps[index];
  const done = steps.filter((s) => s.state === 'read').length;
  const lapsed = steps.filter((s) => s.state === 'lapsed').length;
  const of: Extract<Edit, { kind: 'markRead' }>['of'] | undefined =
    what === 'pads' ? pkg && { package: pkg.id } : model && binding !== undefined ? { model: model.id, unit: binding } : undefined;

  // The evidence and the drawing follow the selection.
  const pinIds = step?.pins.map((p) => p.id).join(' ') ?? '';
  useEffect(() => void act(selected(pinIds === '' ? [] : pinIds.split(' '))), [act, pinIds]);
  useEffect(() => {
    const next =
      done === steps.length ? 'All of it is read back. Esc leaves' : `${done} of ${steps.length} read back. Enter: as printed, X: wrong`;
    act(nextSet({ next, note: lapsed > 0 ? `${lapsed} changed after the read-back` : '' }));
  }, [act, done, lapsed, steps.length]);

  const go = (by: number) => setAt(Math.max(0, Math.min(steps.length - 1, index + by)));
  const asPrinted = () => {
    if (!of || !step) return;
    act(edited(markEdit(of, step)));
    const open = [...steps.keys()].map((k) => (index + 1 + k) % steps.length).find((k) => k !== index && steps[k]!.state !== 'read');
    setAt(open ?? index);
  };
  const wrong = () => {
    if (!of || !step) return;
    const edits = [markEdit(of, step, false), ...wrongEdits(step, what, model, binding)];
    act(edited({ kind: 'batch', title: `${step.place} is wrong`, edits }));
    act(
      say(
        what === 'pads'
          ? `Pad ${step.place} is in doubt now: mend it in Read or in the ledger.`
          : `Node ${step.place} is loose now: tie it again.`,
        'bad',
      ),
    );
    go(1);
  };
  const can = () => step !== undefined && !readOnly;
  useCommands([
    {
      id: 'as-printed',
      title: 'As printed',
      key: 'Enter',
      group: 'Read-back',
      can: () => can() && !(document.activeElement instanceof HTMLButtonElement),
      run: asPrinted,
    },
    { id: 'wrong', title: 'Wrong', key: 'X', group: 'Read-back', can, run: wrong },
    { id: 'read-next', title: 'Next', key: '→', group: 'Read-back', can: () => index < steps.length - 1, run: () => go(1) },
    { id: 'read-before', title: 'The one before', key: '←', group: 'Read-back', can: () => index > 0, run: () => go(-1) },
    { id: 'read-leave', title: 'Leave the read-back', key: 'Esc', group: 'Read-back', run: onLeave },
  ]);
  const settled = useMemo(() => new Set(steps.filter((s) => s.state === 'read').map((s) => s.place)), [steps]);
  return (
    <section aria-label="Read-back" className="flex h-full flex-col">
      <div className="flex shrink-0 items-center gap-2 px-4 pb-2">
        <Button aria-pressed={what === 'pads'} disabled={!pkg} onClick={() => (setAt(null), onWhat('pads'))}>
          Pads
        </Button>
        <Button aria-pressed={what === 'nodes'} disabled={!chosen} onClick={() => (setAt(null), onWhat('nodes'))}>
          Nodes
        </Button>
        <div
          role="progressbar"
          aria-label="Read back"
          aria-valuenow={done}
          aria-valuemin={0}
          aria-valuemax={steps.length}
          className="h-2 w-40 overflow-hidden rounded-full bg-line"
        >
          <div className="h-full bg-green" style={{ width: `${(100 * done) / Math.max(1, steps.length)}%` }} />
        </div>
        <span className="text-[13px]">
          {done} of {steps.length}
          {lapsed > 0 ? <span className="text-amber">, {lapsed} changed since</span> : null}
        </span>
        <span className="flex-1" />
        <Button keyName="Esc" onClick={onLeave}>
          Leave
        </Button>
      </div>
      {step ? (
        <div className="grid min-h-0 flex-1 grid-cols-[minmax(260px,0.85fr)_1fr] gap-4 px-4 pb-3">
          <div className="flex min-h-0 flex-col gap-3">
            <StepCard step={step} what={what} index={index} of={steps.length} onPrinted={asPrinted} onWrong={wrong} readOnly={readOnly} />
            <div className="min-h-0 flex-1">
              <LandView
                part={part}
                pkg={pkg}
                asked={what === 'pads' ? step.place : undefined}
                settled={what === 'pads' ? settled : undefined}
                onPad={(pad) => {
                  const to = what === 'pads' ? steps.findIndex((s) => s.place === pad) : -1;
                  if (to >= 0) setAt(to);
                }}
              />
            </div>
          </div>
          <div className="flex min-h-0 flex-col overflow-hidden rounded-md border border-line">
            {what === 'pads' ? (
              <SourceView closeUp asked={step.pins[0]} onPage={() => {}} />
            ) : (
              <ModelText source={model?.source ?? ''} lines={[chosen?.line, step.docLine]} />
            )}
          </div>
        </div>
      ) : (
        <p className="p-6 text-muted">
          There is nothing to read back yet: {what === 'pads' ? 'make the land first' : 'add a model first'}.
        </p>
      )}
    </section>
  );
}

/** A wrong pad puts its pins in doubt, which stops a release; a wrong node is untied. */
function wrongEdits(step: ReadBackStep, what: 'pads' | 'nodes', model: Model | undefined, unit: string | undefined): Edit[] {
  if (what === 'nodes')
    return model && unit !== undefined ? [{ kind: 'tieNodes', model: model.id, ties: [{ unit, node: step.place, tie: null }] }] : [];
  const doubt = { field: 'number' as const, reason: `Read back, pad ${step.place} is not as the datasheet prints it.` };
  const changes = step.pins
    .filter((p) => !p.doubts.some((d) => d.reason === doubt.reason))
    .map((p) => ({ id: p.id, set: { doubts: [...p.doubts, doubt] } }));
  return changes.length > 0 ? [{ kind: 'changePins', changes }] : [];
}

function StepCard({
  step,
  what,
  index,
  of,
  onPrinted,
  onWrong,
  readOnly,
}: {
  step: ReadBackStep;
  what: 'pads' | 'nodes';
  index: number;
  of: number;
  onPrinted: () => void;
  onWrong: () => void;
  readOnly: boolean;
}) {
  const state = { open: '', read: 'read back', lapsed: 'changed after it was read back' }[step.state];
  return (
    <div className="shrink-0 rounded-lg border border-green bg-surface p-4 shadow-card">
      <p className="text-[12.5px] text-muted">
        {what === 'pads' ? 'Pad' : 'Node'} {index + 1} of {of}
        {state ? <strong className={step.state === 'lapsed' ? 'text-amber' : 'text-green'}> · {state}</strong> : null}
      </p>
      <div aria-live="polite" className="my-1 flex items-baseline gap-5">
        <span data-testid="read-place" className="font-mono text-[40px] leading-tight font-bold">
          {step.place}
        </span>
        <span data-testid="read-name" className="min-w-0 font-mono text-[30px] leading-tight break-words">
          {step.pins.length > 0 ? (
            step.pins.map((p, i) => (
              <span key={p.id}>
                {i > 0 ? ', ' : ''}
                <PinName name={nameOnDrawing(p)} activeLow={!!p.activeLow} />
              </span>
            ))
          ) : (
            <span className="text-[20px] text-amber">{step.to ?? 'no pin'}</span>
          )}
        </span>
      </div>
      {step.doc ? <p className="mb-1 text-[13px]">“{step.doc}”</p> : null}
      {step.pins[0]?.description && what === 'pads' ? (
        <p className="mb-1 truncate text-[13px] text-muted">{step.pins[0].description}</p>
      ) : null}
      <div className="mt-2 flex gap-2">
        <Button tone="main" keyName="Enter" disabled={readOnly} onClick={onPrinted}>
          As printed
        </Button>
        <Button tone="bad" keyName="X" disabled={readOnly} onClick={onWrong}>
          Wrong
        </Button>
      </div>
    </div>
  );
}

/** The model's text, with the header and the comment of the node in hand lit. */
function ModelText({ source, lines: lit }: { source: string; lines: (number | undefined)[] }) {
  const lines = useMemo(() => source.split(/\r\n?|\n/), [source]);
  const marked = new Set(lit);
  const focus = lit[1] ?? lit[0];
  return (
    <VirtualRows
      label="Model text"
      wide
      count={lines.length}
      height={LINE}
      focus={focus === undefined ? undefined : focus - 1}
      className="h-full py-2"
    >
      {(i) => (
        <div
          className={`flex h-full items-center font-mono text-[12.5px] whitespace-pre ${marked.has(i + 1) ? 'bg-green-wash font-bold' : ''}`}
        >
          <span className="w-12 shrink-0 border-r border-line pr-2 text-right text-[11px] font-normal text-muted">{i + 1}</span>
          <span className="px-3">{lines[i]}</span>
        </div>
      )}
    </VirtualRows>
  );
}
