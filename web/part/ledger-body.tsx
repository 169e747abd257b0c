import { useVirtualizer, type Virtualizer } from '@tanstack/react-virtual';
import { memo, useEffect, useLayoutEffect, useReducer, useRef, type ReactNode } from 'react';
import type { Pin } from '../../core/part';
import type { ColumnId, ShownColumn } from './ledger-columns';
import { GroupRow, PinRow } from './ledger-row';
import type { LedgerRow } from './ledger-rows';
import { fillSlots, type Slots } from './row-slots';

/** Height of a row, in pixels. */
const ROW = 24;
/** Height of the heads above the rows, which stay in view over them, in pixels. */
const HEADS = 26;
/** Rows kept ready above and below those in view. */
const READY = 6;

interface Props {
  scroller: HTMLDivElement | null;
  columns: ShownColumn[];
  packageId: string | undefined;
  shown: { rows: LedgerRow[]; selectedSet: ReadonlySet<string>; cursor: { row: number; column: number } };
  /** What stands in the cell that is being written in. */
  editor: { pin: string; column: ColumnId; element: ReactNode } | null;
  onClick: (row: number, column: number, e: { shiftKey: boolean; ctrlKey: boolean; metaKey: boolean }) => void;
  onOpen: (row: number, column: number, pin: Pin) => void;
  onFold: (title: string) => void;
}

/** The ledger's rows, of which only those in view are drawn. The row of the cursor is brought into view when it changes. */
export const LedgerBody = memo(function LedgerBody({ scroller, columns, packageId, shown, editor, onClick, onOpen, onFold }: Props) {
  const { rows, selectedSet, cursor } = shown;
  const list = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller,
    estimateSize: () => ROW,
    overscan: READY,
    useFlushSync: false,
  });
  useBroughtIntoView(list, cursor.row);
  const items = list.getVirtualItems();
  // The same while the list is scrolled, whatever its ends leave out.
  const count = 8 * Math.ceil((Math.ceil((list.scrollRect?.height ?? 0) / ROW) + 1 + 2 * READY) / 8);
  const held = useSlots(
    items.map((item) => item.index),
    Math.max(count, items.length),
    cursor.row,
  );
  return (
    <div className="relative" role="rowgroup" style={{ height: list.getTotalSize() }}>
      {[...held].map(([slot, index]) => {
        const row = rows[index];
        if (!row) return null;
        const place = { top: index * ROW, height: ROW, index };
        return row.kind === 'group' ? (
          <GroupRow key={slot} {...place} row={row} columns={columns.length} onFold={onFold} />
        ) : (
          <PinRow
            key={slot}
            {...place}
            pin={row.pin}
            columns={columns}
            packageId={packageId}
            selected={selectedSet.has(row.pin.id)}
            cursor={cursor.row === index ? cursor.column : -1}
            onClick={onClick}
            onOpen={onOpen}
            editor={editor?.pin === row.pin.id ? editor : null}
          />
        );
      })}
    </div>
  );
});

/**
 * Scrolls to a row when it becomes another and is out of view. All rows are of one height, so that nothing need be asked of
 * the page, which would have to lay itself out to answer.
 */
function useBroughtIntoView(list: Virtualizer<HTMLDivElement, Element>, row: number): void {
  useEffect(() => {
    if (row <= 0 || !list.scrollElement) return;
    const [top, room] = [list.scrollOffset ?? 0, (list.scrollRect?.height ?? 0) - HEADS];
    if (row * ROW < top) list.scrollElement.scrollTop = row * ROW;
    else if ((row + 1) * ROW > top + room) list.scrollElement.scrollTop = (row + 1) * ROW - room;
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [row]);
}

/** The row that each slot holds, filled over as many frames as it takes. */
function useSlots(wanted: readonly number[], count: number, focus: number): Slots {
  const shown = useRef<{ slots: Slots; count: number }>({ slots: new Map(), count });
  const [, nextFrame] = useReducer((n: number) => n + 1, 0);
  const { slots, done } = fillSlots(shown.current.count === count ? shown.current.slots : new Map(), wanted, count, focus);
  useLayoutEffect(() => {
    shown.current = { slots, count };
  });
  useEffect(() => {
    if (done) return;
    const frame = requestAnimationFrame(nextFrame);
    return () => cancelAnimationFrame(frame);
  });
  return slots;
}
