import { useEffect, useMemo, useRef, useState } from 'react';
import { applyEdit, nameOnDrawing, type Edit } from '../../../core/part';
import {
  addUnit,
  closeUp,
  inDrawnOrder,
  moveEdit,
  nudge,
  openGap,
  placesChanged,
  reorder,
  sendToSide,
  type Move,
} from '../../../core/arrange';
import type { Drawing, Side } from '../../../core/part';
import { useCommands } from '../../commands/registry';
import { useAct, useStore } from '../../store';
import { edited } from '../../store/part-slice';
import { selectNext, selectPart, selectPlaces, selectSelection } from '../../store/selectors';
import { nextSet, selected, unitChosen } from '../../store/view-slice';
import { Button } from '../../ui/button';
import { Card, Empty } from '../../ui/card';
import { core } from '../../workers/core';
import { Canvas } from './canvas';
import { layoutUnits } from './layout';
import { SelectionCard } from './selection-card';
import { UnitCard } from './unit-card';
import { useView } from './view';

interface Proposal {
  title: string;
  edit: Edit;
  changed: string[];
  shown: boolean;
}

/** The width in pixels that a card takes at the right of the stage. */
const CARD = 300;

/** Arrange: all units on the grid; by hand, by key, or by a proposal that is shown before it is taken. */
export function ArrangeStation() {
  const act = useAct();
  const part = useStore(selectPart);
  const selection = useStore(selectSelection);
  const places = useStore(selectPlaces);
  const onward = useStore(selectNext);
  const rules = useStore((s) => s.view.rules);
  const readOnly = useStore((s) => s.part.readOnly);
  const chosen = useStore((s) => s.view.unit);
  const frame = useRef<HTMLDivElement>(null);
  const sheet = useRef<SVGGElement>(null);
  const view = useView(frame, sheet);
  const [proposal, setProposal] = useState<Proposal | null>(null);
  const shownPart = useMemo(() => (proposal?.shown ? applyEdit(part, proposal.edit) : part), [part, proposal]);
  const units = useMemo(() => layoutUnits(shownPart), [shownPart]);
  const chosenUnit = part.units.find((u) => u.id === chosen);
  const unit = chosenUnit ?? part.units[0];

  // Everything in view when the station opens, and when units come or go.
  const count = units.length;
  const { show } = view;
  useEffect(() => {
    show(units);
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [count, show]);
  // A proposal is about the part as it was; when the part changes under it, it goes.
  useEffect(() => setProposal(null), [part]);

  const undrawn = part.pins.filter((p) => !places.has(p.id));
  useEffect(() => {
    act(
      nextSet({
        next:
          part.pins.length > 0 && part.units.length === 0
            ? 'Next: plan the units. Press P'
            : undrawn.length > 0
              ? `Next: ${undrawn.length} ${undrawn.length === 1 ? 'pin is' : 'pins are'} not drawn`
              : part.pins.length > 0
                ? onward
                : '',
        note: '',
      }),
    );
  }, [act, part.pins.length, part.units.length, undrawn.length, onward]);

  const plan = async () => {
    const edit = await core.arrange(part, rules);
    if (part.units.length === 0) return void act(edited(edit));
    setProposal({ title: 'Planning anew', edit, changed: placesChanged(part, applyEdit(part, edit)), shown: false });
  };
  const tidy = async () => {
    if (!unit) return;
    const edit = await core.tidy(part, unit.id, rules);
    setProposal({
      title: `Tidying unit ${unit.label}`,
      edit,
      changed: placesChanged(part, applyEdit(part, edit)),
      shown: false,
    });
  };

  /** Does something to the selected ports of each drawing, as one step of undo. */
  const withPorts = (title: string, moves: (drawing: Drawing, ports: string[]) => Move[]) => {
    const edits = part.drawings.flatMap((drawing): Edit[] => {
      const own = part.units.filter((u) => u.drawing === drawing.id);
      const ports = [
        ...new Set(
          own.flatMap((u) =>
            Object.entries(u.binding)
              .filter(([, pin]) => selection.includes(pin))
              .map(([port]) => port),
          ),
        ),
      ];
      const wanted = ports.length > 0 ? moves(drawing, ports) : [];
      return wanted.length > 0 ? [moveEdit(drawing, wanted, title)] : [];
    });
    if (edits.length > 0) act(edited(edits.length === 1 ? edits[0]! : { kind: 'batch', title, edits }));
  };
  const orderBy = (names: 'natural' | 'reverse') =>
    withPorts('order pins', (drawing, ports) => {
      const pinOf = (port: string) => part.pins.find((p) => part.units.some((u) => u.drawing === drawing.id && u.binding[port] === p.id))!;
      if (names === 'natural') {
        const portOf = new Map(ports.map((port) => [pinOf(port), port]));
        return reorder(
          drawing,
          inDrawnOrder([...portOf.keys()]).map((pin) => portOf.get(pin)!),
        );
      }
      const at = (port: string) => drawing.ports.find((p) => p.id === port)!.at;
      return reorder(
        drawing,
        [...ports].sort((a, b) => at(a) - at(b)),
      );
    });
  const send = (side: Side) => withPorts(`send pins ${side}`, (d, ports) => sendToSide(d, ports, side));
  const step = (by: 1 | -1, sides: Side[]) =>
    withPorts('move pins', (d, ports) =>
      nudge(
        d,
        ports.filter((p) => sides.includes(d.ports.find((q) => q.id === p)!.side)),
        by,
      ),
    );
  const gap = () =>
    withPorts('open a gap', (d, ports) =>
      openGap(d, [...ports].sort((a, b) => d.ports.find((p) => p.id === b)!.at - d.ports.find((p) => p.id === a)!.at)[0]!),
    );
  const zoomTo = (ids: string[]) => {
    const wanted = units.filter((u) => Object.values(u.unit.binding).some((pin) => ids.includes(pin)));
    view.show(wanted.length > 0 ? wanted : units, CARD);
  };

  const can = () => selection.length > 0 && !readOnly && !proposal?.shown;
  const FLAT: Side[] = ['left', 'right'];
  const UPRIGHT: Side[] = ['top', 'base'];
  useCommands([
    {
      id: 'plan',
      title: 'Plan units',
      key: 'P',
      group: 'Arrange',
      can: () => part.pins.length > 0 && !readOnly,
      run: () => void plan(),
    },
    {
      id: 'tidy',
      title: `Tidy unit ${unit?.label ?? ''}`.trim(),
      key: 'T',
      group: 'Arrange',
      can: () => unit !== undefined && !readOnly,
      run: () => void tidy(),
    },
    {
      id: 'take-proposal',
      title: 'Take the proposal',
      key: 'Alt+Enter',
      group: 'Arrange',
      can: () => proposal !== null,
      run: () => {
        act(edited(proposal!.edit));
        setProposal(null);
      },
    },
    { id: 'up', title: 'Move pins up', key: '↑', group: 'Arrange', can, run: () => step(1, FLAT) },
    { id: 'down', title: 'Move pins down', key: '↓', group: 'Arrange', can, run: () => step(-1, FLAT) },
    { id: 'to-right', title: 'Move pins rightwards', key: '→', group: 'Arrange', can, run: () => step(1, UPRIGHT) },
    { id: 'to-left', title: 'Move pins leftwards', key: '←', group: 'Arrange', can, run: () => step(-1, UPRIGHT) },
    {
      id: 'send-left',
      title: 'Send pins to the left side',
      key: 'Shift+←',
      group: 'Arrange',
      can,
      run: () => send('left'),
    },
    {
      id: 'send-right',
      title: 'Send pins to the right side',
      key: 'Shift+→',
      group: 'Arrange',
      can,
      run: () => send('right'),
    },
    { id: 'send-top', title: 'Send pins to the top', key: 'Shift+↑', group: 'Arrange', can, run: () => send('top') },
    { id: 'send-base', title: 'Send pins to the base', key: 'Shift+↓', group: 'Arrange', can, run: () => send('base') },
    { id: 'natural', title: 'Order pins by name', key: 'O', group: 'Arrange', can, run: () => orderBy('natural') },
    { id: 'reverse', title: 'Reverse the order', key: 'Shift+O', group: 'Arrange', can, run: () => orderBy('reverse') },
    { id: 'gap', title: 'Open a gap before the pins', key: 'G', group: 'Arrange', can, run: gap },
    {
      id: 'close-up',
      title: 'Close up the pins',
      key: 'Shift+G',
      group: 'Arrange',
      can,
      run: () => withPorts('close up', closeUp),
    },
    {
      id: 'add-unit',
      title: 'Add an empty unit',
      key: 'U',
      group: 'Arrange',
      can: () => !readOnly,
      run: () => act(edited(addUnit(part, 'New unit'))),
    },
    { id: 'zoom-all', title: 'Show all units', key: 'Shift+Z', group: 'View', run: () => view.show(units) },
    {
      id: 'zoom-selection',
      title: 'Show the selection',
      key: 'Z',
      group: 'View',
      can: () => selection.length > 0,
      run: () => zoomTo(selection),
    },
    { id: 'zoom-in', title: 'Zoom in', key: '+', group: 'View', run: () => view.zoomBy(1.25) },
    { id: 'zoom-out', title: 'Zoom out', key: '-', group: 'View', run: () => view.zoomBy(0.8) },
  ]);

  if (part.pins.length === 0) return <Empty title="Nothing to arrange yet">Read a pin table first, or add pins in the ledger.</Empty>;
  return (
    <div className="relative h-full">
      <Canvas part={shownPart} units={units} view={view} frame={frame} sheet={sheet} still={proposal?.shown ?? false} />
      <div className="pointer-events-none absolute inset-x-0 top-0 flex flex-wrap gap-2 px-4 py-2.5 [&>*]:pointer-events-auto">
        {part.units.map((u) => (
          <button
            key={u.id}
            type="button"
            aria-pressed={u.id === chosen}
            onClick={() => {
              act(unitChosen(u.id));
              view.show(
                units.filter((p) => p.unit.id === u.id),
                CARD,
              );
            }}
            className={`max-w-56 truncate rounded-md border bg-surface px-2.5 py-1 text-[13px] ${u.id === chosen ? 'border-green ring-2 ring-halo/60' : 'border-line'}`}
          >
            <strong>{u.label}</strong> {part.units.length > 7 ? '' : u.title}{' '}
            <span className="text-muted">{Object.keys(u.binding).length}</span>
          </button>
        ))}
        <Button keyName="P" tone={part.units.length === 0 ? 'main' : 'plain'} disabled={readOnly} onClick={() => void plan()}>
          Plan units
        </Button>
        {unit ? (
          <Button keyName="T" disabled={readOnly} onClick={() => void tidy()}>
            Tidy {unit.label}
          </Button>
        ) : null}
      </div>
      {undrawn.length > 0 && part.units.length > 0 ? (
        <Card
          label="Not drawn"
          tone="doubt"
          title={`${undrawn.length} ${undrawn.length === 1 ? 'pin is' : 'pins are'} not drawn`}
          className="absolute top-14 right-4 max-w-64"
        >
          <p className="mb-2 truncate font-mono text-[13px]">{undrawn.map((p) => p.name).join(' ')}</p>
          <Button onClick={() => act(selected(undrawn.map((p) => p.id)))}>Select them</Button>
        </Card>
      ) : null}
      <div className="pointer-events-none absolute right-4 bottom-4 flex w-[272px] flex-col gap-3 [&>*]:pointer-events-auto">
        {selection.length > 0 && !proposal?.shown ? (
          <SelectionCard
            onSend={send}
            onNudge={(by) => step(by, ['left', 'right', 'top', 'base'])}
            onNatural={() => orderBy('natural')}
            onReverse={() => orderBy('reverse')}
            onGap={gap}
            onCloseUp={() => withPorts('close up', closeUp)}
          />
        ) : chosenUnit ? (
          <UnitCard unit={chosenUnit} key={chosenUnit.id} />
        ) : null}
        {proposal ? (
          <ProposalCard
            proposal={proposal}
            onTake={() => {
              act(edited(proposal.edit));
              setProposal(null);
            }}
            onShow={() => setProposal({ ...proposal, shown: !proposal.shown })}
            onLeave={() => setProposal(null)}
            names={part.pins.filter((p) => p.byHand?.includes('place')).map(nameOnDrawing)}
          />
        ) : null}
      </div>
    </div>
  );
}

/** What an automatic arrangement would change, to be taken or left. */
function ProposalCard({
  proposal,
  onTake,
  onShow,
  onLeave,
  names,
}: {
  proposal: Proposal;
  onTake: () => void;
  onShow: () => void;
  onLeave: () => void;
  names: string[];
}) {
  const { changed, title, shown } = proposal;
  const byHand = changed.filter((n) => names.includes(n)).length;
  return (
    <Card
      label="Proposal"
      title={
        changed.length === 0
          ? `${title} would change nothing`
          : `${title} would change ${changed.length} ${changed.length === 1 ? 'place' : 'places'}`
      }
    >
      <p className="mb-2 line-clamp-3 font-mono text-[13px]">{changed.slice(0, 24).join(', ')}</p>
      {changed.length > 0 ? (
        <p className="mb-2 text-[13px] text-muted">{byHand > 0 ? `${byHand} of them you placed by hand.` : 'Pins you placed stay.'}</p>
      ) : null}
      <div className="flex gap-1.5">
        {changed.length > 0 ? (
          <>
            <Button tone="main" keyName="Alt+Enter" onClick={onTake}>
              Take
            </Button>
            <Button onClick={onShow} aria-pressed={shown}>
              {shown ? 'Show before' : 'Show'}
            </Button>
          </>
        ) : null}
        <Button onClick={onLeave}>Leave</Button>
      </div>
    </Card>
  );
}
