import { useEffect, useMemo, useRef, useState } from 'react';
import { alikeTo, ELECTRICAL_TYPES, listed, padsIn, stemOf, type Doubt, type Pin } from '../../../core/part';
import { useCommands } from '../../commands/registry';
import { noType, typeFromText } from '../../part/ledger-columns';
import { useAct, useStore } from '../../store';
import { edited } from '../../store/part-slice';
import { selectDoubts, selectPackageId, selectSelection } from '../../store/selectors';
import { selected } from '../../store/view-slice';
import { Button, Key } from '../../ui/button';
import { Card } from '../../ui/card';
import { say } from '../../ui/toasts';

const FIELD_WORDS: Record<Doubt['field'], string> = {
  number: 'number',
  name: 'name',
  type: 'type',
  activeLow: 'active level',
  description: 'description',
  group: 'group',
};

const valueOf = (pin: Pin, field: Doubt['field'], number: string): string =>
  field === 'activeLow'
    ? pin.activeLow
      ? 'active low'
      : 'active high'
    : field === 'number'
      ? number
      : ((pin[field] as string | undefined) ?? '');

/** One doubt at a time: the reason, what stands, the other candidates, one key each. */
export function DoubtCard() {
  const act = useAct();
  const doubts = useStore(selectDoubts);
  const selection = useStore(selectSelection);
  const packageId = useStore(selectPackageId);
  const [index, setIndex] = useState(0);
  const typed = useRef<HTMLInputElement>(null);
  const own = doubts.findIndex((d) => d.pin.id === selection.at(-1));
  const at = own >= 0 && doubts[index]?.pin.id !== selection.at(-1) ? own : Math.min(index, doubts.length - 1);
  const current = doubts[at];
  const [together, setTogether] = useState(false);
  const alike = useMemo(() => (current ? alikeTo(current, doubts) : []), [current, doubts]);

  const go = (to: number) => {
    const next = ((to % doubts.length) + doubts.length) % doubts.length;
    setIndex(next);
    const d = doubts[next];
    if (d) act(selected([d.pin.id]));
  };
  const settle = (value?: string) => {
    if (!current) return;
    const { pin } = current;
    const answered = together ? alike : [current];
    const to = { ...(value === undefined ? {} : { value }), ...(packageId === undefined ? {} : { package: packageId }) };
    const edits = answered.map((d) => ({ kind: 'settleDoubt' as const, pin: d.pin.id, field: d.doubt.field, ...to }));
    act(edited(edits.length === 1 ? edits[0]! : { kind: 'batch', title: `settle ${edits.length} doubts of ${stemOf(pin.name)}`, edits }));
    const gone = new Set(answered);
    const rest = doubts.filter((d) => !gone.has(d));
    const before = doubts.slice(0, at).filter((d) => !gone.has(d)).length;
    const next = rest[Math.min(before, rest.length - 1)];
    setIndex(Math.min(before, Math.max(0, rest.length - 1)));
    act(selected(next ? [next.pin.id] : [pin.id]));
  };
  const stands = current ? valueOf(current.pin, current.doubt.field, padsIn(current.pin, packageId).join(', ')) : '';
  const choices = current ? [stands, ...(current.doubt.candidates ?? []).filter((c) => c !== stands)].slice(0, 6) : [];

  useCommands([
    {
      id: 'next-doubt',
      title: 'Next doubt',
      key: 'N or Alt+N',
      group: 'Doubts',
      can: () => doubts.length > 0,
      run: () => go(own >= 0 || selection.length === 0 ? (selection.length === 0 ? at : at + 1) : at),
    },
    {
      id: 'previous-doubt',
      title: 'Previous doubt',
      key: 'Shift+N',
      group: 'Doubts',
      can: () => doubts.length > 0,
      run: () => go(at - 1),
    },
    ...choices.map((c, i) => ({
      id: `choose-${i}`,
      title: i === 0 ? `Keep ${c}` : `Take ${c}`,
      key: String(i + 1),
      group: 'Doubts',
      can: () => current !== undefined,
      run: () => settle(i === 0 ? undefined : c),
    })),
    {
      id: 'doubts-alike',
      title: together ? 'Answer one doubt at a time' : 'Answer doubts of one bus together',
      key: 'A',
      group: 'Doubts',
      can: () => doubts.length > 0,
      run: () => setTogether(!together),
    },
    {
      id: 'type-doubt',
      title: 'Type another value',
      key: '0',
      group: 'Doubts',
      can: () => current !== undefined,
      run: () => typed.current?.focus(),
    },
  ]);
  useEffect(() => setIndex((i) => Math.min(i, Math.max(0, doubts.length - 1))), [doubts.length]);
  if (!current) return null;
  const { pin, doubt } = current;
  return (
    <Card
      label="Doubt"
      tone="doubt"
      title={
        <>
          Doubt {at + 1} of {doubts.length}: {FIELD_WORDS[doubt.field]} of <span className="font-mono">{pin.name || '(no name)'}</span>
        </>
      }
      aside={`terminal ${padsIn(pin, packageId).join(', ') || '–'}`}
    >
      <p className="mb-2 text-[13px]">{doubt.reason}</p>
      <div className="flex flex-wrap items-center gap-1.5">
        {choices.map((c, i) => (
          <Button key={c} tone={i === 0 ? 'main' : 'plain'} keyName={String(i + 1)} onClick={() => settle(i === 0 ? undefined : c)}>
            {i === 0 ? `keep ${c || 'empty'}` : c}
          </Button>
        ))}
        <label htmlFor="doubt-typed" className="sr-only">
          Another value
        </label>
        <input
          id="doubt-typed"
          ref={typed}
          key={`${pin.id} ${doubt.field}`}
          list={doubt.field === 'type' ? 'doubt-types' : undefined}
          placeholder="or type it (0)"
          className="w-36 rounded-md border border-line px-2 py-0.5 text-[13px]"
          onKeyDown={(e) => {
            if (e.key === 'Escape') e.currentTarget.blur();
            if (e.key !== 'Enter') return;
            const text = e.currentTarget.value.trim();
            if (text === '') return e.currentTarget.blur();
            const value = doubt.field === 'type' ? typeFromText(text) : text;
            // What is no answer stays in the field, to be put right.
            if (value === undefined) return void act(say(noType(text), 'bad'));
            settle(value);
            e.currentTarget.blur();
          }}
        />
        <datalist id="doubt-types">
          {ELECTRICAL_TYPES.map((t) => (
            <option key={t} value={t} />
          ))}
        </datalist>
        <Button tone="quiet" keyName="N" onClick={() => go(at + 1)}>
          Next
        </Button>
      </div>
      {alike.length > 1 ? (
        <label
          className="mt-2 flex cursor-pointer items-center gap-1.5 text-[13px]"
          title={listed(
            alike.map((d) => d.pin.name),
            40,
          )}
        >
          <input type="checkbox" checked={together} onChange={() => setTogether(!together)} />
          <span>
            and {alike.length - 1} more of <span className="font-mono">{stemOf(pin.name)}</span> with the same doubt
          </span>
          <Key name="A" />
        </label>
      ) : null}
    </Card>
  );
}
