import { startTransition, useCallback, useDeferredValue, useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { useLocation } from 'react-router';
import type { Pin } from '../../core/part';
import { useAct, useStore } from '../store';
import { edited } from '../store/part-slice';
import { selectDoubts, selectPackageId, selectPins, selectSelectedSet, selectSelection } from '../store/selectors';
import { groupFolded, selected } from '../store/view-slice';
import { Button } from '../ui/button';
import { counted } from '../ui/counted';
import { say } from '../ui/toasts';
import { LedgerBody } from './ledger-body';
import { cellEdits, cellText, COLUMNS, fitted, pasteEdit, shownIn, type ColumnId } from './ledger-columns';
import { LedgerCellEditor } from './ledger-editor';
import { Resizer } from './ledger-resizer';
import { ledgerRows, type Sort } from './ledger-rows';
import { useLedgerCommands } from './use-ledger-commands';

/** The table of pins, always in view: rows under groups, cells edited like a spreadsheet's. */
export function Ledger() {
  const act = useAct();
  const pins = useStore(selectPins);
  const packageId = useStore(selectPackageId);
  const selection = useStore(selectSelection);
  const selectedSet = useStore(selectSelectedSet);
  const doubts = useStore(selectDoubts);
  const chosenWidth = useStore((s) => s.view.ledgerWidth);
  const folded = useStore((s) => s.view.folded);
  const readOnly = useStore((s) => s.part.readOnly);
  const station = useLocation().pathname.split('/').pop() ?? 'read';
  const longest = useMemo(() => pins.reduce((most, p) => Math.max(most, p.name.length), 0), [pins]);
  // The window is asked here alone: that can cost a layout, and the ledger is drawn with every selection.
  const fit = useMemo(() => fitted(COLUMNS[station] ?? COLUMNS['read']!, longest, window.innerWidth), [station, longest]);
  const ledgerWidth = chosenWidth ?? fit.width;
  const columns = useMemo(() => shownIn(fit.columns, ledgerWidth), [fit, ledgerWidth]);
  const [filter, setFilter] = useState('');
  const [sort, setSort] = useState<Sort | null>(null);
  const [cursor, setCursor] = useState({ row: 0, column: 1 });
  const [editing, setEditing] = useState<{ pin: Pin; column: ColumnId; start: string } | null>(null);
  const [scroller, setScroller] = useState<HTMLDivElement | null>(null);
  const query = useDeferredValue(filter);
  const rows = useMemo(() => ledgerRows(pins, packageId, query, folded, sort), [pins, packageId, query, folded, sort]);

  // The ledger follows what is selected elsewhere.
  const focus = selection.at(-1);
  useEffect(() => {
    const row = rows.findIndex((r) => r.kind === 'pin' && r.pin.id === focus);
    if (row < 0) return;
    setCursor((c) => ({ ...c, row }));
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [focus]);

  const pinAt = (row: number): Pin | undefined => {
    const r = rows[row];
    return r?.kind === 'pin' ? r.pin : undefined;
  };

  const move = (by: number, extend: boolean) => {
    let row = cursor.row + by;
    while (rows[row]?.kind === 'group') row += Math.sign(by);
    const pin = pinAt(row);
    if (!pin) return;
    setCursor((c) => ({ ...c, row }));
    act(selected(extend ? [...selection.filter((id) => id !== pin.id), pin.id] : [pin.id]));
  };

  const range = (from: number, to: number): string[] =>
    rows.slice(Math.min(from, to), Math.max(from, to) + 1).flatMap((r) => (r.kind === 'pin' ? [r.pin.id] : []));

  const click = (row: number, column: number, e: { shiftKey: boolean; ctrlKey: boolean; metaKey: boolean }) => {
    // The rows that are shown come a little after those that there are.
    const pin = pinAt(row);
    if (!pin) return;
    const add = e.ctrlKey || e.metaKey;
    if (e.shiftKey) act(selected([...new Set([...selection, ...range(cursor.row, row)])]));
    else if (add) act(selected(selectedSet.has(pin.id) ? selection.filter((id) => id !== pin.id) : [...selection, pin.id]));
    else act(selected([pin.id]));
    setCursor({ row, column });
  };

  const open = (row: number, column: number, pin: Pin) => {
    setCursor({ row, column });
    const { id, editable } = columns[column]!;
    if (editable && !readOnly) setEditing({ pin, column: id, start: cellText(id, pin, packageId) });
  };
  const onClick = useSteady(click);
  const onOpen = useSteady(open);
  const onFold = useCallback((title: string) => act(groupFolded(title)), [act]);

  /** Puts texts into cells; what a cell does not take is said and left as it was. True where all of them were taken. */
  const put = (column: ColumnId, cells: { pin: Pin; text: string }[]): boolean => {
    const { edits, refused } = cellEdits(column, cells, packageId);
    if (refused.length > 0) act(say(refused[0]!, 'bad'));
    for (const edit of edits) act(edited(edit));
    return refused.length === 0;
  };

  const startEdit = (start?: string) => {
    const pin = pinAt(cursor.row);
    const column = columns[cursor.column];
    if (!pin || !column?.editable || readOnly) return;
    setEditing({ pin, column: column.id, start: start ?? cellText(column.id, pin, packageId) });
  };

  const done = (text: string, then: 'down' | 'right' | 'stay'): boolean => {
    const { pin, column } = editing!;
    const others = selectedSet.has(pin.id) && selection.length > 1 ? pins.filter((p) => selectedSet.has(p.id)) : [pin];
    // What is typed into one cell of a selection is typed into all of it, where that makes sense.
    const targets = column === 'number' || column === 'pads' || column === 'name' ? [pin] : others;
    const cells = text !== cellText(column, pin, packageId) || targets.length > 1 ? targets.map((p) => ({ pin: p, text })) : [];
    // What is refused stays in its field, to be put right there.
    if (cells.length > 0 && !put(column, cells) && then !== 'stay') return false;
    setEditing(null);
    scroller?.focus();
    if (then === 'down') move(1, false);
    if (then === 'right') setCursor((c) => ({ ...c, column: Math.min(columns.length - 1, c.column + 1) }));
    return true;
  };

  const paste = (text: string) => {
    const block = text
      .replace(/\r?\n$/, '')
      .split(/\r?\n/)
      .map((l) => l.split('\t'));
    const targets = rows
      .slice(cursor.row)
      .flatMap((r) => (r.kind === 'pin' ? [r.pin] : []))
      .slice(0, block.length);
    const { edit, refused } = pasteEdit(columns.slice(cursor.column), targets, block, packageId);
    if (edit) act(edited(edit));
    const over = block.length - targets.length;
    if (over > 0) act(say(`The ledger ends before ${counted(over, 'pasted line')}. Add pins for them, or paste the table in Read.`, 'bad'));
    if (refused.length > 0)
      act(
        say(`${refused[0]!}${refused.length > 1 ? ` And ${counted(refused.length - 1, 'more cell')} that cannot be taken.` : ''}`, 'bad'),
      );
  };

  const { addPin } = useLedgerCommands({ column: columns[cursor.column], rows, put, focusGrid: () => scroller?.focus() });

  const onKeyDown = (e: React.KeyboardEvent) => {
    if (editing || e.altKey) return;
    const plain = !e.ctrlKey && !e.metaKey;
    const steps: Record<string, () => void> = {
      ArrowDown: () => move(1, e.shiftKey),
      ArrowUp: () => move(-1, e.shiftKey),
      PageDown: () => move(20, false),
      PageUp: () => move(-20, false),
      ArrowRight: () => setCursor((c) => ({ ...c, column: Math.min(columns.length - 1, c.column + 1) })),
      ArrowLeft: () => setCursor((c) => ({ ...c, column: Math.max(0, c.column - 1) })),
      Enter: () => startEdit(),
      F2: () => startEdit(),
    };
    if (plain && steps[e.key]) steps[e.key]!();
    else if (!plain && e.key.toLowerCase() === 'a') act(selected(rows.flatMap((r) => (r.kind === 'pin' ? [r.pin.id] : []))));
    else if (plain && e.key.length === 1 && e.key !== ' ' && e.key !== '?') startEdit(e.key);
    else return;
    e.preventDefault();
    e.stopPropagation();
  };

  const groups = useMemo(() => new Set(pins.map((p) => p.group ?? '')).size, [pins]);
  const shown = useAfterStage(useMemo(() => ({ rows, selectedSet, cursor }), [rows, selectedSet, cursor]));
  const active = pinAt(cursor.row);
  return (
    <aside
      aria-label="Ledger"
      className="relative flex shrink-0 flex-col border-r border-line bg-surface contain-layout contain-size"
      style={{ width: ledgerWidth }}
    >
      <div className="flex h-[38px] shrink-0 items-center gap-2 px-3">
        <h2 className="font-bold">Ledger</h2>
        <span className="truncate text-[13px] text-muted">
          {counted(pins.length, 'pin')}
          {doubts.length > 0 ? `, ${doubts.length} in doubt` : ''}
          {groups > 1 ? `, ${groups} groups` : ''}
        </span>
        <label htmlFor="ledger-filter" className="sr-only">
          Filter the ledger
        </label>
        <input
          id="ledger-filter"
          type="search"
          value={filter}
          placeholder="filter"
          onChange={(e) => setFilter(e.target.value)}
          className="ml-auto w-28 min-w-0 rounded-md border border-line px-2 py-0.5 text-[13px]"
        />
      </div>
      <div
        ref={setScroller}
        role="grid"
        aria-label="Pins"
        aria-rowcount={rows.length + 1}
        aria-colcount={columns.length}
        aria-multiselectable="true"
        aria-activedescendant={active ? `pin-${active.id}` : undefined}
        tabIndex={0}
        onKeyDown={onKeyDown}
        onCopy={(e) => {
          const chosen = rows.flatMap((r) => (r.kind === 'pin' && selectedSet.has(r.pin.id) ? [r.pin] : []));
          e.clipboardData.setData('text/plain', chosen.map((p) => columns.map((c) => cellText(c.id, p, packageId)).join('\t')).join('\n'));
          e.preventDefault();
        }}
        onPaste={(e) => {
          if (editing || readOnly) return;
          e.preventDefault();
          paste(e.clipboardData.getData('text/plain'));
        }}
        className="min-h-0 flex-1 overflow-x-hidden overflow-y-auto select-none"
      >
        <div
          role="row"
          aria-rowindex={1}
          className="sticky top-0 z-10 flex h-[26px] items-center border-y border-line bg-surface text-[12px] text-muted"
        >
          {columns.map((c) => (
            <div
              key={c.id}
              role="columnheader"
              aria-sort={sort?.column === c.id ? (sort.down ? 'descending' : 'ascending') : 'none'}
              style={{ flex: `${c.grow} 1 0` }}
              className="min-w-0 px-2"
            >
              <button
                type="button"
                tabIndex={-1}
                className="w-full truncate text-left hover:text-ink"
                onClick={() =>
                  setSort((s) => (s?.column !== c.id ? { column: c.id, down: false } : s.down ? null : { column: c.id, down: true }))
                }
              >
                {c.title}
                {sort?.column === c.id ? (sort.down ? ' ↓' : ' ↑') : ''}
              </button>
            </div>
          ))}
        </div>
        <LedgerBody
          scroller={scroller}
          columns={columns}
          packageId={packageId}
          shown={shown}
          editor={
            editing && {
              pin: editing.pin.id,
              column: editing.column,
              element: (
                <LedgerCellEditor
                  column={editing.column}
                  start={editing.start}
                  onDone={done}
                  onCancel={() => {
                    setEditing(null);
                    scroller?.focus();
                  }}
                />
              ),
            }
          }
          onClick={onClick}
          onOpen={onOpen}
          onFold={onFold}
        />
      </div>
      {pins.length === 0 ? (
        <div className="shrink-0 grow-[20] p-4 text-[13px] text-muted">
          No pins yet. Paste or drop a pin table in Read, or <Button onClick={addPin}>add a pin</Button>
        </div>
      ) : rows.length === 0 ? (
        <p className="shrink-0 grow-[20] p-4 text-[13px] text-muted">No pin has “{filter}”.</p>
      ) : null}
      <Resizer width={ledgerWidth} />
    </aside>
  );
}

/** How long the rows wait for the stage, in ms: two frames, in which it shows what was done there. */
const STAGE_FIRST_MS = 34;

/** What the rows show: at once what is done in the ledger, and what is done elsewhere after it is seen there. */
function useAfterStage<T>(now: T): T {
  const [late, setLate] = useState(now);
  useEffect(() => {
    const here = document.activeElement?.closest('aside') != null;
    if (here) return startTransition(() => setLate(now));
    const timer = setTimeout(() => startTransition(() => setLate(now)), STAGE_FIRST_MS);
    return () => clearTimeout(timer);
  }, [now]);
  return late;
}

/** A handler that stays the same from one drawing to the next and does what the last one says, so that rows need not be drawn again. */
function useSteady<A extends unknown[]>(handler: (...args: A) => void): (...args: A) => void {
  const last = useRef(handler);
  useLayoutEffect(() => {
    last.current = handler;
  });
  return useCallback((...args: A) => last.current(...args), []);
}
