import { addPadEdit } from '../../../core/lands';
import { firstPadOrId, pinsOnNode, type Edit, type Model, type NodeTie, type Package, type Part, type Pin } from '../../../core/part';
import { canBeTied, pinsBound, tieByHand } from '../../../core/spice';
import { useAct, useStore } from '../../store';
import { edited } from '../../store/part-slice';
import { selectPinById } from '../../store/selectors';
import { Button } from '../../ui/button';
import { Card } from '../../ui/card';

/** An end that nothing is tied to: a pin without a pad, a pad without a pin, a node without a pin. */
export type LooseEnd = { kind: 'pin'; id: string } | { kind: 'pad'; pad: string } | { kind: 'node'; unit: string; node: string };

export const sameEnd = (a: LooseEnd | null, b: LooseEnd): boolean => JSON.stringify(a) === JSON.stringify(b);

interface Props {
  part: Part;
  pkg: Package | undefined;
  model: Model | undefined;
  end: LooseEnd;
  count: number;
  padsWithoutPin: readonly string[];
  loosePins: readonly string[];
  onNext: () => void;
}

/** The loose thread in hand, with the ends that are still free for it; what is taken is not offered. */
export function LooseCard({ part, pkg, model, end, count, padsWithoutPin, loosePins, onNext }: Props) {
  const act = useAct();
  const pins = useStore(selectPinById);
  const readOnly = useStore((s) => s.part.readOnly);
  const take = (edit: Edit) => {
    act(edited(edit));
    onNext();
  };
  /** A name, and where several pins have it the number that tells this one from them. */
  const told = (pin: Pin): string => {
    const isOne = part.pins.every((p) => p === pin || p.name !== pin.name);
    return isOne ? pin.name : `${pin.name} ${firstPadOrId(pin, pkg?.id)}`;
  };
  const tie = (to: NodeTie): Edit => {
    const { unit, node } = end as Extract<LooseEnd, { kind: 'node' }>;
    return { kind: 'tieNodes', model: model!.id, ties: [{ unit, node, tie: to }] };
  };
  const shell = (title: string, says: string, choices: { label: string; edit: Edit }[], more?: React.ReactNode) => (
    <Card label="Loose thread" tone="doubt" title={title} aside={count > 1 ? `${count} threads are loose` : ''} className="max-w-2xl">
      <p className="mb-2 text-[13px]">{says}</p>
      <div className="flex max-h-24 flex-wrap gap-1 overflow-y-auto">
        {choices.slice(0, 80).map(({ label, edit }) => (
          <Button key={label} disabled={readOnly} className="font-mono" onClick={() => take(edit)}>
            {label}
          </Button>
        ))}
        {more}
      </div>
      {count > 1 ? (
        <Button className="mt-2" keyName="N" onClick={onNext}>
          Next
        </Button>
      ) : null}
    </Card>
  );

  if (end.kind === 'pin') {
    const pin = pins.get(end.id);
    if (!pin || !pkg) return null;
    const choices = padsWithoutPin.map((pad) => ({ label: pad, edit: addPadEdit(pin, pkg, pad) }));
    const says =
      choices.length > 0 ? 'Choose its pad here or in the drawing:' : 'No pad is free. Give it a number in the ledger, or add a pad.';
    return shell(`${pin.name} has a loose thread`, says, choices);
  }
  if (end.kind === 'pad') {
    const choices = loosePins.flatMap((id) => {
      const pin = pins.get(id);
      return pin && pkg ? [{ label: told(pin), edit: addPadEdit(pin, pkg, end.pad) }] : [];
    });
    const says =
      choices.length > 0
        ? 'Choose its pin; each of these has no pad yet:'
        : 'Every pin has its pad. Add it to a pin in the ledger, or make it mechanical.';
    return shell(`Pad ${end.pad} has no pin`, says, choices);
  }
  const used = new Set(Object.values(model?.ties[end.unit] ?? {}).flatMap(pinsOnNode));
  const free = pinsBound(part, end.unit).filter((p) => !used.has(p.id) && canBeTied(p));
  return shell(
    `Node ${end.node} has no pin`,
    'Choose its pin, or say what it stands on in the simulation:',
    free.map((p) => ({ label: told(p), edit: tie(tieByHand(free, model?.ties[end.unit] ?? {}, end.node, p)) })),
    <>
      <Button disabled={readOnly} onClick={() => take(tie({ to: 'ground' }))}>
        ground
      </Button>
      <Button disabled={readOnly} onClick={() => take(tie({ to: 'open' }))}>
        open, 1 Gohm
      </Button>
    </>,
  );
}
