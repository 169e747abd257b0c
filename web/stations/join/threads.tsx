import { useLayoutEffect, useMemo, useRef, useState } from 'react';
import {
  anyNumber,
  boundLabel,
  nameOnDrawing,
  padsIn,
  pinsOnNode,
  sayBound,
  WHOLE_PART,
  type Model,
  type NodeTie,
  type Package,
  type Part,
  type Pin,
} from '../../../core/part';
import { addPadEdit } from '../../../core/lands';
import { canBeTied, pinsBound, tieByHand, type SpiceModel, type TieProposal } from '../../../core/spice';
import { useAct, useStore } from '../../store';
import { edited } from '../../store/part-slice';
import { selectPadJoined, selectSelectedSet, selectSelection } from '../../store/selectors';
import { selected } from '../../store/view-slice';
import { counted } from '../../ui/counted';
import { Field } from '../../ui/field';
import { PinName } from '../../ui/marks';
import { say } from '../../ui/toasts';
import { LandView } from './land-view';

interface Props {
  part: Part;
  pkg: Package | undefined;
  model: Model | undefined;
  chosen: SpiceModel | undefined;
  /** The unit id that the model is bound in, or `*` for the whole part. */
  binding: string | undefined;
  group: string | null;
  offers: TieProposal['ties'];
  /** The pad or the node whose loose thread is in hand. */
  askedPad?: string | undefined;
  askedNode?: string | undefined;
}

interface Thread {
  from: string;
  to: string;
  tone: 'tied' | 'offered';
}

/** Package, pins and nodes in three columns; threads of the selected pins are strong, the others faint. */
export function Threads({ part, pkg, model, chosen, binding, group, offers, askedPad, askedNode }: Props) {
  const act = useAct();
  const selection = useStore(selectSelection);
  const selectedSet = useStore(selectSelectedSet);
  const padJoined = useStore(selectPadJoined);
  const readOnly = useStore((s) => s.part.readOnly);
  const ties = useMemo(() => (binding === undefined ? {} : (model?.ties[binding] ?? {})), [model, binding]);
  const shown = useMemo(() => pinsShown(part, binding, group, model !== undefined), [part, binding, group, model]);
  const threads = useMemo((): Thread[] => {
    const ids = new Set(shown.map((p) => p.id));
    return [
      ...shown.flatMap((p) =>
        padJoined.has(p.id)
          ? padsIn(p, pkg?.id)
              .slice(0, 8)
              .map((pad): Thread => ({ from: `pad ${pad}`, to: `pin ${p.id}`, tone: 'tied' }))
          : [],
      ),
      ...Object.entries(ties).flatMap(([node, tie]) =>
        pinsOnNode(tie)
          .filter((id) => ids.has(id))
          .map((id): Thread => ({ from: `pin ${id}`, to: `node ${node}`, tone: 'tied' })),
      ),
      ...offers.flatMap((o) => ('pin' in o.tie ? [{ from: `pin ${o.tie.pin}`, to: `node ${o.node}`, tone: 'offered' as const }] : [])),
    ];
  }, [shown, padJoined, pkg, ties, offers]);

  const inView = useMemo(() => (group === null ? undefined : new Set(shown.flatMap((p) => padsIn(p, pkg?.id)))), [group, shown, pkg]);
  const frame = useRef<HTMLDivElement>(null);
  const paths = useThreadPaths(frame, threads, `${shown.length} ${selection.join()}`);
  const tie = (node: string, to: NodeTie | null) =>
    model && binding !== undefined && act(edited({ kind: 'tieNodes', model: model.id, ties: [{ unit: binding, node, tie: to }] }));
  const tiePin = (node: string, to: Pin) => tie(node, tieByHand(pinsBound(part, binding), ties, node, to));
  const pin = part.pins.find((p) => p.id === selection.at(-1));
  const joinPad = (pad: string) => {
    if (!pkg) return;
    const owner = part.pins.filter((p) => padsIn(p, pkg.id).includes(pad));
    if (owner.length > 0) return void act(selected(owner.map((p) => p.id)));
    if (!pin || readOnly) return;
    const edit = addPadEdit(pin, pkg, pad);
    act(edited(edit));
    const { pads } = edit.joins[0]!;
    if (pads.length > 1) act(say(`${pin.name} has ${counted(pads.length, 'pad')} now: ${pads.join(', ')}.`));
  };

  return (
    <div
      ref={frame}
      className={`relative grid h-full gap-x-8 overflow-hidden px-4 xl:gap-x-14 ${chosen ? 'grid-cols-[minmax(170px,1.25fr)_minmax(104px,150px)_minmax(140px,0.9fr)] 2xl:grid-cols-[1fr_150px_380px]' : 'grid-cols-[minmax(170px,1fr)_minmax(104px,150px)_140px]'}`}
    >
      <svg className="pointer-events-none absolute inset-0 h-full w-full" aria-hidden="true">
        {paths.map(({ thread, d }) => {
          const strong = [...selectedSet].some((id) => thread.from === `pin ${id}` || thread.to === `pin ${id}`);
          return (
            <path
              key={`${thread.from} ${thread.to}`}
              d={d}
              fill="none"
              className={thread.tone === 'offered' ? 'stroke-amber-line' : 'stroke-green'}
              strokeWidth={strong ? 2.4 : 1.2}
              strokeDasharray={thread.tone === 'offered' ? '5 4' : undefined}
              opacity={strong || thread.tone === 'offered' ? 1 : selectedSet.size > 0 ? 0.22 : 0.5}
            />
          );
        })}
      </svg>
      <section aria-label="Package" className="min-h-0">
        <LandView part={part} pkg={pkg} onPad={joinPad} asked={askedPad} inView={inView} />
      </section>
      <Column title={group === null ? 'Pins' : group || 'No group'} label="Pins in view">
        {shown.map((p) => (
          <PinPill key={p.id} pin={p} selected={selectedSet.has(p.id)} loose={!padJoined.has(p.id)} onClick={() => act(selected([p.id]))} />
        ))}
      </Column>
      <Column
        title={
          chosen ? `Model ${chosen.name}${binding && binding !== WHOLE_PART ? `, ${sayBound(boundLabel(part, binding))}` : ''}` : 'Model'
        }
        label="Model nodes"
      >
        {chosen ? (
          chosen.nodes.map((node, i) => {
            const to = ties[node.name];
            const tied = pinsOnNode(to).flatMap((id) => part.pins.find((p) => p.id === id) ?? []);
            const offered = offers.find((o) => o.node === node.name);
            return (
              <div
                key={node.name}
                data-end={`node ${node.name}`}
                className={`rounded-md border bg-surface px-2 py-1 ${tied.some((p) => selectedSet.has(p.id)) ? 'border-green ring-2 ring-halo/70' : offered || node.name === askedNode ? 'border-amber-line ring-2 ring-amber-line/40' : 'border-line'}`}
              >
                <button
                  type="button"
                  className="block w-full text-left"
                  onClick={() =>
                    tied.length > 0 ? act(selected(tied.map((p) => p.id))) : pin && !pin.bits && !readOnly && tiePin(node.name, pin)
                  }
                >
                  <span className="font-mono text-[13px] font-bold">
                    {/* Its place in the call, where its name is not just that. */}
                    {node.name === String(i + 1) ? null : <span className="font-normal text-muted">{i + 1} </span>}
                    {node.name}
                  </span>
                  <span className="block text-[12px] text-muted">
                    {node.doc || 'no comment names it'}
                    {node.otherwise === undefined ? '' : `; may be left out, then ${node.otherwise}`}
                  </span>
                </button>
                <NodeTieRow
                  tie={to}
                  tied={tied}
                  part={part}
                  onTie={(t) => tie(node.name, t)}
                  onPin={(p) => tiePin(node.name, p)}
                  taken={ties}
                  mayBeLeft={node.otherwise !== undefined}
                />
              </div>
            );
          })
        ) : (
          <p className="text-[13px] text-muted">No model yet. Drop a SPICE file here, or paste it with M.</p>
        )}
      </Column>
    </div>
  );
}

function Column({ title, label, children }: { title: string; label: string; children: React.ReactNode }) {
  return (
    <section aria-label={label} className="flex min-h-0 flex-col">
      <h2 className="mb-1 truncate text-[13px] font-semibold">{title}</h2>
      {}
      <div
        data-scroll
        tabIndex={0}
        role="group"
        aria-label={label}
        className="flex min-h-0 flex-1 flex-col gap-1 overflow-y-auto pr-1 pb-2"
      >
        {children}
      </div>
    </section>
  );
}

function PinPill({ pin, selected: on, loose, onClick }: { pin: Pin; selected: boolean; loose: boolean; onClick: () => void }) {
  return (
    <button
      type="button"
      data-end={`pin ${pin.id}`}
      aria-pressed={on}
      title={pin.description}
      onClick={onClick}
      className={`shrink-0 truncate rounded-full border bg-surface px-3 pt-px text-[13px] leading-[22px] ${on ? 'border-green bg-green-wash ring-2 ring-halo/70' : loose ? 'border-dashed border-amber-line' : 'border-line'}`}
    >
      <PinName name={nameOnDrawing(pin)} activeLow={!!pin.activeLow} />
      {loose ? <span className="sr-only"> loose</span> : null}
    </button>
  );
}

/** What a node is tied to, and the choices: only pins that no other node has. */
function NodeTieRow({
  tie,
  tied,
  part,
  onTie,
  onPin,
  taken,
  mayBeLeft,
}: {
  tie: NodeTie | undefined;
  tied: Pin[];
  part: Part;
  onTie: (tie: NodeTie | null) => void;
  onPin: (pin: Pin) => void;
  taken: Record<string, NodeTie>;
  /** An instance may leave the node out. */
  mayBeLeft: boolean;
}) {
  const readOnly = useStore((s) => s.part.readOnly);
  const used = new Set(Object.values(taken).flatMap(pinsOnNode));
  const value = tie === undefined ? '' : 'pin' in tie ? tie.pin : tie.to;
  const free = part.pins.filter((p) => p.id === value || (!used.has(p.id) && canBeTied(p)));
  const isRail = tie !== undefined && 'to' in tie && tie.to === 'rail';
  return (
    <>
      <select
        aria-label="Tied to"
        disabled={readOnly}
        value={value}
        onChange={({ target: { value: to } }) => {
          const chosen = free.find((p) => p.id === to);
          if (chosen) onPin(chosen);
          else onTie(to === '' ? null : to === 'rail' ? { to, rail: 'VBIAS' } : { to: to as 'ground' | 'open' });
        }}
        className={`mt-0.5 w-full rounded border px-1 py-px font-mono text-[12px] ${tie === undefined && !mayBeLeft ? 'border-amber-line' : 'border-line'}`}
      >
        <option value="">{mayBeLeft ? 'left out' : 'not tied'}</option>
        {free.map((p) => (
          <option key={p.id} value={p.id}>
            {p.name}
            {p.id === value && tied.length > 1
              ? ` and ${tied.length - 1} more`
              : free.some((q) => q !== p && q.name === p.name)
                ? ` ${anyNumber(p)}`
                : ''}
          </option>
        ))}
        <option value="ground">ground</option>
        <option value="open">open, 1 Gohm</option>
        <option value="rail">a named rail</option>
      </select>
      {isRail ? (
        <Field
          label="Rail"
          value={tie.rail}
          disabled={readOnly}
          onDone={(rail) => rail.trim() !== '' && onTie({ to: 'rail', rail: rail.trim() })}
        />
      ) : null}
    </>
  );
}

/** The pins in view: a group's, or those that the unit of the model has; supplies belong to every unit. */
function pinsShown(part: Part, binding: string | undefined, group: string | null, hasModel: boolean): Pin[] {
  if (group !== null) return part.pins.filter((p) => (p.group ?? '') === group);
  return !hasModel || binding === undefined || binding === WHOLE_PART ? part.pins.slice(0, 80) : pinsBound(part, binding);
}

/** Measures where threads end and draws them; again when something scrolls or changes its size. */
function useThreadPaths(
  frame: React.RefObject<HTMLDivElement | null>,
  threads: Thread[],
  version: string,
): { thread: Thread; d: string }[] {
  const [paths, setPaths] = useState<{ thread: Thread; d: string }[]>([]);
  useLayoutEffect(() => {
    const el = frame.current;
    if (!el) return;
    const measure = () => {
      const base = el.getBoundingClientRect();
      const ends = new Map<string, DOMRect>();
      for (const end of el.querySelectorAll<HTMLElement | SVGElement>('[data-end]')) {
        const box = end.getBoundingClientRect();
        const clip = end.closest('[data-scroll]')?.getBoundingClientRect();
        // An end that is scrolled out of its column has no thread, rather than one that ends nowhere.
        if (!clip || (box.bottom > clip.top && box.top < clip.bottom)) ends.set(end.dataset['end']!, box);
      }
      setPaths(
        threads.flatMap((thread) => {
          const [a, b] = [ends.get(thread.from), ends.get(thread.to)];
          if (!a || !b) return [];
          const fromPad = thread.from.startsWith('pad ');
          const [x1, y1] = [fromPad ? a.left + a.width / 2 - base.left : a.right - base.left, a.top + a.height / 2 - base.top];
          const [x2, y2] = [b.left - base.left, b.top + b.height / 2 - base.top];
          const pull = Math.max(24, (x2 - x1) * 0.45);
          return [
            {
              thread,
              d: `M${x1.toFixed(1)} ${y1.toFixed(1)}C${(x1 + pull).toFixed(1)} ${y1.toFixed(1)} ${(x2 - pull).toFixed(1)} ${y2.toFixed(1)} ${x2.toFixed(1)} ${y2.toFixed(1)}`,
            },
          ];
        }),
      );
    };
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(el);
    el.addEventListener('scroll', measure, true);
    return () => {
      observer.disconnect();
      el.removeEventListener('scroll', measure, true);
    };
  }, [frame, threads, version]);
  return paths;
}
