import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef, useState, type ReactNode } from 'react';

/** The least width of a card, the room between cards and the height of a card, in pixels. */
const [WIDTH, GAP, HEIGHT] = [270, 16, 217];

interface Props<T> {
  items: readonly T[];
  children: (item: T) => ReactNode;
  /** What stands instead where there is nothing to show. */
  instead: ReactNode;
}

/** Cards in as many columns as there is room for; of a large library only the rows in view are drawn. */
export function ShelfGrid<T>({ items, children, instead }: Props<T>) {
  const scroller = useRef<HTMLElement>(null);
  const list = useRef<HTMLUListElement>(null);
  const [columns, setColumns] = useState(4);
  useEffect(() => {
    const el = list.current!;
    const watch = new ResizeObserver(() => setColumns(Math.max(1, Math.floor((el.clientWidth + GAP) / (WIDTH + GAP)))));
    watch.observe(el);
    return () => watch.disconnect();
  }, []);
  const rows = useVirtualizer({
    count: Math.ceil(items.length / columns),
    getScrollElement: () => scroller.current,
    estimateSize: () => HEIGHT,
    gap: GAP,
    overscan: 2,
  });
  const drawn = rows.getVirtualItems();
  return (
    <main ref={scroller} className="min-h-0 flex-1 overflow-y-auto p-5">
      {items.length === 0 ? instead : null}
      <ul
        ref={list}
        className="grid content-start gap-4"
        style={{
          height: rows.getTotalSize(),
          paddingTop: drawn[0]?.start ?? 0,
          gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))`,
          gridAutoRows: HEIGHT,
        }}
      >
        {drawn.length === 0 ? null : items.slice(drawn[0]!.index * columns, (drawn.at(-1)!.index + 1) * columns).map(children)}
      </ul>
    </main>
  );
}
