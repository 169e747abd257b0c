import { useEffect, useMemo, useState } from 'react';
import { boundLabel, padsIn, sayBound, type Package, type Part } from '../../../core/part';
import { joinExposedPad, meetPads } from '../../../core/lands';
import { padSteps } from '../../../core/read-back';
import { bindingUnits, tieEdit } from '../../../core/spice';
import { useCommands } from '../../commands/registry';
import { useAct, useStore } from '../../store';
import { useDraft } from '../../store/drafts';
import { edited } from '../../store/part-slice';
import { selectNext, selectPackageId, selectPart, selectPinById, selectSelection } from '../../store/selectors';
import { nextSet, packageChosen, selected } from '../../store/view-slice';
import { Below } from '../../ui/below';
import { Button } from '../../ui/button';
import { Card, Empty } from '../../ui/card';
import { counted } from '../../ui/counted';
import { Choice } from '../../ui/field';
import { AsksCard } from './asks-card';
import { CompareCard } from './compare-card';
import { JoinByCard } from './join-by-card';
import { LandDesk } from './land-desk';
import { LooseCard, sameEnd, type LooseEnd } from './loose-card';
import { ModelForm } from './model-form';
import { useChosenModel, useProposal } from './model-in-view';
import { ReadBackView } from './read-back-view';
import { Threads } from './threads';
import { TrialCard } from './trial-card';
import { useCame } from './use-came';

type Opened = 'land' | 'model' | 'trial' | 'many' | 'compare' | 'read-back' | null;

/** More pins than can be followed by their threads at once. */
const MANY = 80;

/** Join: the package's pads, the pins, and the model's nodes, tied by threads. */
export function JoinStation() {
  const act = useAct();
  const part = useStore(selectPart);
  const packageId = useStore(selectPackageId);
  const pins = useStore(selectPinById);
  const onward = useStore(selectNext);
  const selection = useStore(selectSelection);
  const readOnly = useStore((s) => s.part.readOnly);
  const [open, setOpen] = useDraft<Opened>('join', () => null);
  const { came, done } = useCame((kind) => setOpen(kind === 'model' ? 'model' : 'land'));
  const close = () => {
    setOpen(null);
    done();
  };
  const focused = pins.get(selection.at(-1) ?? '');
  const [groupChosen, setGroup] = useDraft<string | null | undefined>('group in view', () => undefined);
  // A large part is looked at group by group: the one of the pin in focus, until another is chosen.
  const group = groupChosen !== undefined ? groupChosen : part.pins.length > MANY ? (focused?.group ?? part.pins[0]?.group ?? null) : null;
  const pkg = part.packages.find((p) => p.id === packageId);
  const [modelId, setModelId] = useDraft<string | null>('model in view', () => null);
  const model = part.models.find((m) => m.id === modelId) ?? part.models[0];
  const chosen = useChosenModel(model);
  const bindings = useMemo(() => (model && chosen ? bindingUnits(part, chosen.nodes.length, model) : []), [part, model, chosen]);
  const [walked, setWalked] = useState<'pads' | 'nodes'>('pads');
  const [unitKey, setUnitKey] = useDraft<string | null>('unit in view', () => null);
  const binding = bindings.find((b) => b === unitKey) ?? bindings[0];

  const met = useMemo(() => (packageId === undefined ? undefined : meetPads(part, packageId)), [part, packageId]);
  const proposal = useProposal(part, model);
  const offers = useMemo(
    () => (proposal?.ties ?? []).filter((o) => bindings.includes(o.unit) && model?.ties[o.unit]?.[o.node] === undefined),
    [proposal, model, bindings],
  );
  const exposed = packageId === undefined ? undefined : joinExposedPad(part, packageId);
  // A node that an instance may leave out, and does, waits for nobody.
  const slots = useMemo(
    () =>
      bindings.flatMap((unit) =>
        (chosen?.nodes ?? []).flatMap(({ name, otherwise }) => {
          const isTied = model?.ties[unit]?.[name] !== undefined;
          return isTied || otherwise === undefined ? [{ unit, node: name, isTied }] : [];
        }),
      ),
    [model, chosen, bindings],
  );
  const looseNodes = slots.flatMap(({ unit, node, isTied }): LooseEnd[] => (isTied ? [] : [{ kind: 'node', unit, node }]));
  const untied = looseNodes.length;
  const loose = [
    ...new Set([
      ...(met?.numbersWithoutPad.map((l) => l.pin) ?? []),
      ...part.pins.filter((p) => padsIn(p, packageId).length === 0).map((p) => p.id),
    ]),
  ];
  const padsWithoutPin = met?.padsWithoutPin ?? [];
  // Each step has a digest: not to be made again for every selection.
  const readCount = useMemo(() => (pkg ? readOf(part, pkg) : ''), [part, pkg]);
  const hasLand = (pkg?.land.pads.length ?? 0) > 0;
  const ends: LooseEnd[] = [
    ...(hasLand ? loose.map((id): LooseEnd => ({ kind: 'pin', id })) : []),
    ...padsWithoutPin.map((pad): LooseEnd => ({ kind: 'pad', pad })),
    ...looseNodes,
  ];
  const [asked, setAsked] = useState<LooseEnd | null>(null);
  // A pin that is selected asks for itself; an end that was tied meanwhile asks no more.
  const endOfFocus = ends.find((e) => e.kind === 'pin' && e.id === selection.at(-1));
  const end = ends.find((e) => sameEnd(asked, e)) ?? endOfFocus;

  useEffect(() => {
    // The read-back says for itself what is next.
    if (open === 'read-back') return;
    const threads = (hasLand ? loose.length : 0) + padsWithoutPin.length;
    const next =
      !pkg || pkg.land.pads.length === 0
        ? 'Next: make the land'
        : threads > 0
          ? `Next: ${threads} loose ${threads === 1 ? 'thread' : 'threads'}. Press N`
          : offers.length > 0
            ? `Next: ${offers.length} suggested ${offers.length === 1 ? 'tie' : 'ties'} to look at`
            : untied > 0
              ? `Next: ${untied} ${untied === 1 ? 'node is' : 'nodes are'} not tied. Press N`
              : onward;
    const note = pkg
      ? `${(pkg.land.pads.length - (met?.padsWithoutPin.length ?? 0)).toString()} of ${pkg.land.pads.length} pads joined${chosen ? `, ${slots.length - untied} of ${slots.length} nodes tied` : ''}`
      : '';
    act(nextSet({ next, note }));
  }, [act, pkg, met, hasLand, loose.length, padsWithoutPin.length, offers.length, untied, chosen, slots.length, onward, open]);

  const nextLoose = () => {
    const at = end ? ends.findIndex((e) => sameEnd(end, e)) : -1;
    const next = ends[(at + 1) % ends.length];
    setAsked(next ?? null);
    if (next?.kind === 'pin') act(selected([next.id]));
    if (next?.kind === 'node') setUnitKey(next.unit);
  };
  const toggle = (what: Opened) => setOpen(open === what ? null : what);
  const takeOffers = () => model && offers.length > 0 && act(edited(tieEdit(model, offers)));

  useCommands([
    {
      id: 'next-loose',
      title: 'Next loose thread',
      key: 'N or Alt+N',
      group: 'Join',
      can: () => ends.length > 0 && open !== 'read-back',
      run: nextLoose,
    },
    {
      id: 'take-ties',
      title: 'Take all suggested ties',
      key: 'Alt+Enter',
      group: 'Join',
      can: () => offers.length > 0 && !readOnly,
      run: () => void takeOffers(),
    },
    {
      id: 'land',
      title: 'Make or change the land',
      key: 'L',
      group: 'Join',
      can: () => !readOnly,
      run: () => toggle('land'),
    },
    {
      id: 'model',
      title: 'Add or change the SPICE model',
      key: 'M',
      group: 'Join',
      can: () => !readOnly,
      run: () => toggle('model'),
    },
    {
      id: 'trial',
      title: 'Trial of the joined model',
      key: 'T',
      group: 'Join',
      can: () => model !== undefined,
      run: () => toggle('trial'),
    },
    {
      id: 'many',
      title: 'Join many pads: by number, order or list',
      key: 'J',
      group: 'Join',
      can: () => hasLand && !readOnly,
      run: () => toggle('many'),
    },
    {
      id: 'compare',
      title: 'Compare the packages',
      group: 'Join',
      can: () => part.packages.length > 1,
      run: () => toggle('compare'),
    },
    {
      id: 'read-back',
      title: 'Read back, pad by pad or node by node',
      key: 'B',
      group: 'Join',
      can: () => hasLand || chosen !== undefined,
      run: () => toggle('read-back'),
    },
    {
      id: 'exposed',
      title: 'Join the exposed pad',
      group: 'Join',
      can: () => exposed !== undefined && !readOnly,
      run: () => exposed && act(edited(exposed)),
    },
  ]);

  if (part.pins.length === 0)
    return (
      <Empty title="Nothing to join yet">Read a pin table first. Its numbers are joined to the pads as soon as there is a land.</Empty>
    );
  const groups = [...new Set(part.pins.map((p) => p.group ?? ''))];
  return (
    <div className="flex h-full flex-col">
      <div className="flex shrink-0 flex-wrap items-center gap-2 px-4 py-2.5">
        {part.packages.map((p) => (
          <button
            key={p.id}
            type="button"
            aria-pressed={p.id === packageId}
            onClick={() => act(packageChosen(p.id))}
            className={`rounded-md border bg-surface px-2.5 py-1 text-[13px] ${p.id === packageId ? 'border-green ring-2 ring-halo/60' : 'border-line'}`}
          >
            <strong>{p.name}</strong>{' '}
            <span className="text-muted">{p.land.pads.length === 0 ? 'no land' : counted(p.land.pads.length, 'pad')}</span>
          </button>
        ))}
        <Button keyName="L" aria-expanded={open === 'land'} disabled={readOnly} onClick={() => toggle('land')}>
          {pkg && pkg.land.pads.length > 0 ? 'Change the land' : 'Make the land'}
        </Button>
        <Button keyName="M" aria-expanded={open === 'model'} disabled={readOnly} onClick={() => toggle('model')}>
          {model ? `Model ${model.chosen}` : 'Add a SPICE model'}
        </Button>
        {model && part.models.length > 1 ? (
          <Choice
            hideLabel
            label="Model in view"
            value={model.id}
            options={part.models.map((m) => ({ value: m.id, label: m.chosen }))}
            onChange={setModelId}
          />
        ) : null}
        {model ? (
          <Button keyName="T" aria-expanded={open === 'trial'} onClick={() => toggle('trial')}>
            Trial
          </Button>
        ) : null}
        {hasLand ? (
          <Button keyName="J" aria-expanded={open === 'many'} disabled={readOnly} onClick={() => toggle('many')}>
            Join many
          </Button>
        ) : null}
        {part.packages.length > 1 ? (
          <Button aria-expanded={open === 'compare'} onClick={() => toggle('compare')}>
            Compare
          </Button>
        ) : null}
        {hasLand || chosen ? (
          <Button keyName="B" aria-pressed={open === 'read-back'} onClick={() => toggle('read-back')}>
            Read back {pkg && hasLand ? <span className="text-muted">{readCount}</span> : null}
          </Button>
        ) : null}
        {groups.length > 1 && open !== 'read-back' ? (
          <Choice
            hideLabel
            label="Group in view"
            value={group ?? '*'}
            options={[{ value: '*', label: 'all groups' }, ...groups.map((g) => ({ value: g, label: g || 'no group' }))]}
            onChange={(g) => setGroup(g === '*' ? null : g)}
          />
        ) : null}
        {bindings.length > 1 ? (
          <Choice
            hideLabel
            label="Unit of the model"
            value={binding ?? ''}
            options={bindings.map((b) => ({
              value: b,
              label: sayBound(boundLabel(part, b)),
            }))}
            onChange={setUnitKey}
          />
        ) : null}
      </div>
      {open === 'land' ? (
        <LandDesk key={packageId ?? ''} part={part} pkg={pkg} came={came?.kind === 'pads' ? came.file : undefined} onDone={close} />
      ) : null}
      {open === 'model' ? (
        <ModelForm
          key={model?.id ?? ''}
          current={model}
          came={came?.kind === 'model' ? came.file : undefined}
          onInView={setModelId}
          onDone={close}
        />
      ) : null}
      {open === 'many' && pkg ? <JoinByCard key={pkg.id} pkg={pkg} onClose={() => setOpen(null)} /> : null}
      {open === 'compare' && packageId !== undefined && part.packages.length > 1 ? (
        <CompareCard left={packageId} onClose={() => setOpen(null)} />
      ) : null}
      {open === 'trial' && model ? <TrialCard onClose={() => setOpen(null)} /> : null}
      {open === 'read-back' ? (
        <div className="min-h-0 flex-1">
          <ReadBackView
            key={`${packageId} ${model?.id} ${binding} ${walked}`}
            part={part}
            pkg={hasLand ? pkg : undefined}
            model={model}
            chosen={chosen}
            binding={binding}
            what={walked}
            onWhat={setWalked}
            onLeave={() => setOpen(null)}
          />
        </div>
      ) : open === 'land' ? null : (
        <>
          <div className="relative min-h-0 flex-1">
            <Threads
              part={part}
              pkg={pkg}
              model={model}
              chosen={chosen}
              binding={binding}
              group={group}
              offers={offers.filter((o) => o.unit === binding)}
              askedPad={end?.kind === 'pad' ? end.pad : undefined}
              askedNode={end?.kind === 'node' && end.unit === binding ? end.node : undefined}
            />
          </div>
          <Below className="flex shrink-0 flex-wrap gap-3 px-4 pb-3">
            {exposed && pkg ? (
              <Card label="Exposed pad" tone="doubt" title="The exposed pad has a loose thread">
                <p className="mb-2 text-[13px]">
                  The pinout calls it EP; one pad of {pkg.name} is left, {met?.padsWithoutPin[0]}.
                </p>
                <Button tone="main" disabled={readOnly} onClick={() => act(edited(exposed))}>
                  Join them
                </Button>
              </Card>
            ) : null}
            {end ? (
              <LooseCard
                part={part}
                pkg={pkg}
                model={model}
                end={end}
                count={ends.length}
                padsWithoutPin={padsWithoutPin}
                loosePins={loose}
                onNext={nextLoose}
              />
            ) : padsWithoutPin.length > 0 ? (
              <Card
                label="Pads without a pin"
                tone="doubt"
                title={`${padsWithoutPin.length} ${padsWithoutPin.length === 1 ? 'pad has' : 'pads have'} no pin`}
              >
                <Button keyName="N" onClick={nextLoose}>
                  Walk through them
                </Button>
              </Card>
            ) : null}
            {model && offers.length > 0 ? (
              <Card
                label="Suggested ties"
                tone="doubt"
                title={`${offers.length} suggested ${offers.length === 1 ? 'tie' : 'ties'}`}
                className="max-w-xl"
              >
                <ul className="mb-2 max-h-25 overflow-y-auto text-[13px] leading-5">
                  {offers.map((o) => (
                    <li key={`${o.unit} ${o.node}`}>
                      {bindings.length > 1 ? <span className="text-muted">{sayBound(boundLabel(part, o.unit))}: </span> : null}
                      <span className="font-mono">
                        {'pin' in o.tie ? pins.get(o.tie.pin)?.name : ''} → {o.node}
                      </span>{' '}
                      <span className="text-muted">
                        {o.because}, {Math.round(o.confidence * 100)} %
                      </span>
                    </li>
                  ))}
                </ul>
                <Button tone="main" keyName="Alt+Enter" disabled={readOnly} onClick={takeOffers}>
                  Take {offers.length === 1 ? 'it' : 'all'}
                </Button>
              </Card>
            ) : null}
            {proposal && proposal.matching.asks.length > 0 && untied > 0 ? <AsksCard part={part} asks={proposal.matching.asks} /> : null}
          </Below>
        </>
      )}
    </div>
  );
}

/** "11/20" once the read-back of a package was begun. */
function readOf(part: Part, pkg: Package): string {
  if (pkg.readBack === undefined) return '';
  const steps = padSteps(part, pkg);
  return `${steps.filter((s) => s.state === 'read').length}/${steps.length}`;
}
