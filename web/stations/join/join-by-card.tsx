import { useMemo, useState } from 'react';
import { joinByList, joinByName, joinByNumber, joinByOrder, joinEdit, meetPads, walkPads } from '../../../core/lands';
import { nameOnDrawing, padsIn, type Package } from '../../../core/part';
import { useAct, useStore } from '../../store';
import { useDraft } from '../../store/drafts';
import { edited } from '../../store/part-slice';
import { selectPart, selectPinById, selectSelection } from '../../store/selectors';
import { Button } from '../../ui/button';
import { Card } from '../../ui/card';
import { counted } from '../../ui/counted';
import { Choice } from '../../ui/field';

type How = 'number' | 'name' | 'order' | 'list';

/** Joins many pads at once, by number, by name, by order or by a pasted list; what would be joined is shown before it is taken. */
export function JoinByCard({ pkg, onClose }: { pkg: Package; onClose: () => void }) {
  const act = useAct();
  const part = useStore(selectPart);
  const pins = useStore(selectPinById);
  const selection = useStore(selectSelection);
  const readOnly = useStore((s) => s.part.readOnly);
  const others = part.packages.filter((p) => p.id !== pkg.id);
  const [text, setText, dropText] = useDraft(`joins of ${pkg.id}`, () => '');
  const [how, setHow] = useState<How>(others.length > 0 && text === '' ? 'number' : 'list');
  const [from, setFrom] = useState(others[0]?.id ?? '');
  const free = useMemo(() => new Set(meetPads(part, pkg.id).padsWithoutPin), [part, pkg.id]);
  const starts = useMemo(() => walkPads(pkg.land.pads).filter((n) => free.has(n)), [pkg, free]);
  const [start, setStart] = useState('');
  const [direction, setDirection] = useState<1 | -1>(1);
  const loose = part.pins.filter((p) => padsIn(p, pkg.id).length === 0).map((p) => p.id);
  const chosen = selection.length > 1 ? selection : loose;
  const join =
    how === 'number'
      ? joinByNumber(part, pkg.id, from)
      : how === 'name'
        ? joinByName(part, pkg.id)
        : how === 'order'
          ? joinByOrder(part, pkg.id, chosen, start || (starts[0] ?? ''), direction)
          : joinByList(part, pkg.id, text);
  return (
    <Card
      label="Join many pads"
      title={`Join many pads of ${pkg.name}`}
      aside="nothing is joined before you take it"
      className="mx-4 mb-2 shrink-0"
    >
      <div className="grid grid-cols-[300px_1fr] gap-4">
        <div className="flex flex-col gap-2">
          <Choice
            label="Join"
            value={how}
            options={[
              ...(others.length > 0 ? [{ value: 'number', label: 'by the numbers of another package' }] : []),
              { value: 'name', label: 'by name, where pads have names' },
              { value: 'order', label: 'by order, around the package' },
              { value: 'list', label: 'by a list of pads and names' },
            ]}
            onChange={(v) => setHow(v as How)}
          />
          {how === 'number' ? (
            <Choice label="Numbers of" value={from} options={others.map((p) => ({ value: p.id, label: p.name }))} onChange={setFrom} />
          ) : null}
          {how === 'order' ? (
            <>
              <p className="text-[12.5px] text-muted">
                {selection.length > 1
                  ? `The ${selection.length} selected pins, in the order they were selected.`
                  : `All ${loose.length} pins without a pad, in the ledger's order; or select some.`}
              </p>
              <div className="grid grid-cols-2 gap-2">
                <Choice
                  label="From pad"
                  value={start || (starts[0] ?? '')}
                  options={starts.map((n) => ({ value: n, label: n }))}
                  onChange={setStart}
                />
                <Choice
                  label="Going"
                  value={String(direction)}
                  options={[
                    { value: '1', label: 'onwards' },
                    { value: '-1', label: 'backwards' },
                  ]}
                  onChange={(d) => setDirection(d === '1' ? 1 : -1)}
                />
              </div>
            </>
          ) : null}
          {how === 'list' ? (
            <div>
              <label htmlFor="pad-list" className="mb-0.5 block text-[12px] text-muted">
                Two columns: pad and name, in either order
              </label>
              <textarea
                id="pad-list"
                spellCheck={false}
                value={text}
                placeholder={'1  VDD\n2  IN+'}
                onChange={(e) => setText(e.target.value)}
                className="h-24 w-full resize-none rounded-md border border-line p-2 font-mono text-[12px]"
              />
            </div>
          ) : null}
        </div>
        <div>
          <h3 className="text-[13px] font-semibold">
            {join.joins.length === 0 ? 'Nothing to join yet' : counted(join.joins.length, 'join')}
          </h3>
          <ul aria-label="Joins to take" className="max-h-32 columns-2 overflow-y-auto font-mono text-[12.5px] xl:columns-3">
            {join.joins.map((j) => (
              <li key={j.pin}>
                {pins.get(j.pin) ? nameOnDrawing(pins.get(j.pin)!) : ''} → {j.pads.join(', ')}
              </li>
            ))}
          </ul>
          {join.left.length > 0 ? (
            <ul aria-label="Not joined" className="mt-1 max-h-16 overflow-y-auto text-[12.5px] text-amber">
              {join.left.map((l) => (
                <li key={l}>{l}</li>
              ))}
            </ul>
          ) : null}
        </div>
      </div>
      <div className="mt-2 flex gap-2">
        <Button
          tone="main"
          disabled={readOnly || join.joins.length === 0}
          onClick={() => {
            act(edited(joinEdit(pkg.id, join)));
            dropText();
            onClose();
          }}
        >
          Take {join.joins.length === 1 ? 'it' : `all ${join.joins.length}`}
        </Button>
        <Button tone="quiet" onClick={onClose}>
          Close
        </Button>
      </div>
    </Card>
  );
}
