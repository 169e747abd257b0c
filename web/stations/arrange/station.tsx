import { useEffect, useMemo, useRef, useState } from 'react';
import { placesChanged, scorePlan } from '../../../core/arrange';
import { applyEdit, nameOnDrawing, type Edit } from '../../../core/part';
import { useAct, useStore } from '../../store';
import { useDraft } from '../../store/drafts';
import { edited } from '../../store/part-slice';
import { selectNext, selectPart, selectPlaces, selectSelection } from '../../store/selectors';
import { nextSet, selected, unitChosen } from '../../store/view-slice';
import { Button } from '../../ui/button';
import { Card, Empty } from '../../ui/card';
import { core } from '../../workers/core';
import type { Bend, Tool } from './art';
import { ArtCard } from './art-card';
import { Bar, type Mode } from './bar';
import { Board } from './board';
import { Canvas } from './canvas';
import { useArrangeCommands, type UnitWork } from './commands';
import { useHandWork } from './hand';
import { layoutUnits } from './layout';
import { Preview } from './preview';
import type { PlanWay } from './plan-ways';
import { ProposalCard, type Proposal } from './proposal-card';
import { ReuseCard } from './reuse-card';
import { SelectionCard } from './selection-card';
import { ShapeCard } from './shape-card';
import { UnitCard } from './unit-card';
import { CARD, useView } from './view';

/** Arrange: all units on the grid; by hand, by key, or by a proposal that is shown before it is taken. */
export function ArrangeStation() {
  const act = useAct();
  const part = useStore(selectPart);
  const selection = useStore(selectSelection);
  const places = useStore(selectPlaces);
  const onward = useStore(selectNext);
  const rules = useStore((s) => s.view.rules);
  const chosen = useStore((s) => s.view.unit);
  const frame = useRef<HTMLDivElement>(null);
  const bar = useRef<HTMLDivElement>(null);
  const dots = useRef<HTMLDivElement>(null);
  const view = useView(frame, dots, bar);
  const hand = useHandWork();
  const [mode, setMode] = useDraft<Mode>('arrange', () => 'draw');
  const [begun, setBegun] = useState<{ what: UnitWork; unit: string } | null>(null);
  const [art, setArt] = useState<{ tool: Tool; bend: Bend; chosen: number | null }>({ tool: 'select', bend: 'free', chosen: null });
  const [proposal, setProposal] = useState<Proposal | null>(null);
  const shownPart = useMemo(() => (proposal?.shown ? applyEdit(part, proposal.edit) : part), [part, proposal]);
  const units = useMemo(() => layoutUnits(shownPart), [shownPart]);
  const chosenUnit = part.units.find((u) => u.id === chosen);
  const chosenDrawing = part.drawings.find((d) => d.id === chosenUnit?.drawing);
  const unit = chosenUnit ?? places.get(selection[0] ?? '')?.[0]?.unit ?? part.units[0];
  // What was begun with a unit ends when another is chosen.
  const doing = begun && begun.unit === chosen ? begun.what : null;
  const done = () => setBegun(null);
  const begin = (what: UnitWork | null) => {
    if (!unit) return;
    act(unitChosen(unit.id));
    act(selected([]));
    setMode('draw');
    setBegun(what && { what, unit: unit.id });
  };

  // Everything in view when the station opens, and when units come or go.
  const count = units.length;
  const { show } = view;
  useEffect(() => {
    show(units);
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [count, show, mode]);
  // A proposal is about the part as it was; when the part changes under it, it goes.
  useEffect(() => setProposal(null), [part]);

  const undrawn = part.pins.filter((p) => !places.has(p.id));
  useEffect(() => {
    const undrawnNow = `Next: ${undrawn.length} ${undrawn.length === 1 ? 'pin is' : 'pins are'} not drawn`;
    const unplanned = part.pins.length > 0 && part.units.length === 0;
    const next = unplanned ? 'Next: plan the units. Press P' : undrawn.length > 0 ? undrawnNow : part.pins.length > 0 ? onward : '';
    act(nextSet({ next, note: '' }));
  }, [act, part.pins.length, part.units.length, undrawn.length, onward]);

  const propose = (title: string, edit: Edit) => {
    const after = applyEdit(part, edit);
    const [was, is] = [scorePlan(part, rules).points, scorePlan(after, rules).points];
    const says = was === is || part.units.length === 0 ? [] : [`The plan’s score goes from ${was} to ${is}.`];
    setProposal({ title, edit, changed: placesChanged(part, after), shown: false, says });
  };
  const plan = async (way: PlanWay) => {
    if (way === 'restyle') return propose('The house rules', await core.restyle(part, rules));
    const edit = await (way === 'afresh'
      ? core.arrange({ ...part, units: [], drawings: [] }, rules, 'function')
      : core.arrange(part, rules, way));
    if (part.units.length === 0) act(edited(edit));
    else propose('Planning anew', edit);
  };
  const tidy = async () => unit && propose(`Tidying unit ${unit.label}`, await core.tidy(part, unit.id, rules));
  const take = () => {
    if (!proposal) return;
    act(edited(proposal.edit));
    setProposal(null);
    done();
  };
  const zoomTo = (ids: string[]) => {
    const wanted = units.filter((u) => Object.values(u.unit.binding).some((pin) => ids.includes(pin)));
    view.show(wanted.length > 0 ? wanted : units, CARD);
  };
  const removeStroke = (index: number) => {
    if (!chosenDrawing) return;
    act(edited({ kind: 'changeDrawing', drawing: chosenDrawing.id, strokes: chosenDrawing.strokes.filter((_, i) => i !== index) }));
    setArt({ ...art, chosen: null });
  };
  useArrangeCommands({
    hand,
    unit,
    view,
    units,
    still: proposal?.shown ?? false,
    hasProposal: proposal !== null,
    takeProposal: take,
    plan: (way) => void plan(way),
    tidy: () => void tidy(),
    toggle: (to) => setMode(mode === to ? 'draw' : to),
    zoomTo,
    begin,
  });

  if (part.pins.length === 0) return <Empty title="Nothing to arrange yet">Read a pin table first, or add pins in the ledger.</Empty>;
  const inArt = doing === 'art' && chosenUnit && chosenDrawing;
  return (
    <div className={`relative h-full ${mode === 'draw' ? '' : 'flex flex-col bg-sunken'}`}>
      {/* It stays mounted: the view and its wheel are bound to it. */}
      <div className={mode === 'draw' ? 'contents' : 'hidden'}>
        <Canvas
          part={shownPart}
          units={units}
          view={view}
          frame={frame}
          dots={dots}
          still={proposal?.shown ?? false}
          art={
            inArt
              ? {
                  unit: chosenUnit.id,
                  ...art,
                  onChoose: (index) => setArt({ ...art, chosen: index }),
                  onRemove: removeStroke,
                  onDraw: (stroke) => {
                    act(edited({ kind: 'changeDrawing', drawing: chosenDrawing.id, strokes: [...chosenDrawing.strokes, stroke] }));
                    // A text is put first and written after.
                    if (stroke.kind === 'text') setArt({ ...art, tool: 'select', chosen: chosenDrawing.strokes.length });
                  },
                }
              : undefined
          }
        />
      </div>
      {units.length === 0 && mode === 'draw' ? (
        <div className="pointer-events-none absolute inset-x-0 top-24 mx-auto w-fit rounded-lg bg-paper">
          <Empty title="No units yet">Plan them with P: by what belongs together, each pin on the side that the house rules give it.</Empty>
        </div>
      ) : null}
      <Bar
        box={bar}
        mode={mode}
        onMode={setMode}
        onPlan={(s) => void plan(s)}
        onTidy={() => void tidy()}
        tidies={unit?.label}
        onUnit={(id) =>
          view.show(
            units.filter((p) => p.unit.id === id),
            CARD,
          )
        }
      />
      {mode === 'board' ? <Board /> : null}
      {mode === 'preview' ? <Preview /> : null}
      {undrawn.length > 0 && part.units.length > 0 && mode === 'draw' ? (
        <Card
          label="Not drawn"
          tone="doubt"
          title={`${undrawn.length} ${undrawn.length === 1 ? 'pin is' : 'pins are'} not drawn`}
          className="absolute top-24 right-4 max-w-64"
        >
          <p className="mb-2 truncate font-mono text-[13px]">{undrawn.map((p) => p.name).join(' ')}</p>
          <Button onClick={() => act(selected(undrawn.map((p) => p.id)))}>Select them</Button>
        </Card>
      ) : null}
      {/* Of a size of its own, whatever the cards are: where they change, nothing else is laid out anew. */}
      <div className="pointer-events-none absolute top-0 right-4 bottom-4 z-10 flex w-[272px] flex-col justify-end gap-3 contain-layout contain-size [&>*]:pointer-events-auto">
        {mode !== 'draw' || proposal?.shown ? null : inArt ? (
          <ArtCard
            unit={chosenUnit}
            drawing={chosenDrawing}
            {...art}
            onTool={(tool) => setArt({ ...art, tool, chosen: null })}
            onBend={(bend) => setArt({ ...art, bend })}
            onRemove={removeStroke}
            onClose={done}
          />
        ) : doing === 'shape' && chosenUnit ? (
          <ShapeCard unit={chosenUnit} onPropose={setProposal} onClose={done} />
        ) : doing === 'reuse' && chosenUnit ? (
          <ReuseCard unit={chosenUnit} onPropose={setProposal} onClose={done} />
        ) : chosenUnit && selection.length === 0 ? (
          <UnitCard unit={chosenUnit} key={chosenUnit.id} hand={hand} onDo={begin} />
        ) : null}
        <SelectionCard
          hand={hand}
          hidden={mode !== 'draw' || !!proposal?.shown || selection.length === 0 || (doing !== null && !!chosenUnit)}
        />
        {proposal ? (
          <ProposalCard
            proposal={proposal}
            onTake={take}
            onShow={() => setProposal({ ...proposal, shown: !proposal.shown })}
            onLeave={() => setProposal(null)}
            names={part.pins.filter((p) => p.byHand?.includes('place')).map(nameOnDrawing)}
          />
        ) : null}
      </div>
    </div>
  );
}
