import { useVirtualizer } from '@tanstack/react-virtual';
import { memo, useEffect, type ReactNode } from 'react';
import type { Pin } from '../../core/part';
import type { ColumnId, LedgerColumn } from './ledger-columns';
import { GroupRow, PinRow } from './ledger-row';
import type { LedgerRow } from './ledger-rows';

/** Height of a row, in pixels. */
const ROW = 24;
/** Height of the heads above the rows, which stay in view over them, in pixels. */
const HEADS = 26;
/** Rows kept ready above and below those in view. */
const READY = 6;

interface Props {
  scroller: HTMLDivElement | null;
  columns: LedgerColumn[];
  shown: { rows: LedgerRow[]; selectedSet: ReadonlySet<string>; cursor: { row: number; column: number } };
  /** What stands in the cell that is being written in. */
  editor: { pin: string; column: ColumnId; element: ReactNode } | null;
  onClick: (row: number, column: number, e: { shiftKey: boolean; ctrlKey: boolean; metaKey: boolean }) => void;
  onOpen: (row: number, column: number, pin: Pin) => void;
  onFold: (title: string) => void;
}

/** The ledger's rows, of which only those in view are drawn. The row of the cursor is brought into view when it changes. */
export const LedgerBody = memo(function LedgerBody({ scroller, columns, shown, editor, onClick, onOpen, onFold }: Props) {
  const { rows, selectedSet, cursor } = shown;
  const list = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller,
    estimateSize: () => ROW,
    overscan: READY,
    scrollPaddingEnd: HEADS,
  });
  useEffect(() => {
    if (cursor.row > 0) list.scrollToIndex(cursor.row, { align: 'auto' });
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [cursor.row]);
  const items = list.getVirtualItems();
  // A row that leaves the view is written anew for one that comes into it: cheaper than making another.
  const slots = 64 * Math.ceil(items.length / 64);
  return (
    <div className="relative" role="rowgroup" style={{ height: list.getTotalSize() }}>
      {items.map((item) => {
        const row = rows[item.index]!;
        const place = { top: item.start, height: ROW, index: item.index };
        return row.kind === 'group' ? (
          <GroupRow key={item.index % slots} {...place} row={row} columns={columns.length} onFold={onFold} />
        ) : (
          <PinRow
            key={item.index % slots}
            {...place}
            pin={row.pin}
            columns={columns}
            selected={selectedSet.has(row.pin.id)}
            cursor={cursor.row === item.index ? cursor.column : -1}
            onClick={onClick}
            onOpen={onOpen}
            editor={editor?.pin === row.pin.id ? editor : null}
          />
        );
      })}
    </div>
  );
});
