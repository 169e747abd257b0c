import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef, type ReactNode } from 'react';

interface Props {
  label: string;
  count: number;
  /** Height of each row, in pixels. */
  height: number;
  /** The row to bring into view; a new one is scrolled to. */
  focus?: number | undefined;
  /** Rows may be wider than the list, which then scrolls sideways too. */
  wide?: boolean;
  className?: string;
  children: (index: number) => ReactNode;
}

/** A scrolled list of rows of one height; only those in view are drawn. The keyboard scrolls it too. */
export function VirtualRows({ label, count, height, focus, wide = false, className = '', children }: Props) {
  const scroller = useRef<HTMLDivElement>(null);
  const list = useVirtualizer({ count, getScrollElement: () => scroller.current, estimateSize: () => height, overscan: 16 });
  useEffect(() => {
    if (focus !== undefined) list.scrollToIndex(focus, { align: 'auto' });
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [focus]);
  return (
    <div
      ref={scroller}
      role="region"
      aria-label={label}
      tabIndex={0}
      className={`min-h-0 flex-1 overflow-auto rounded-lg border border-line bg-surface ${className}`}
    >
      <div className={`relative ${wide ? 'min-w-max' : ''}`} style={{ height: list.getTotalSize() }}>
        {list.getVirtualItems().map((item) => (
          <div key={item.key} className="absolute inset-x-0" style={{ transform: `translateY(${item.start}px)`, height }}>
            {children(item.index)}
          </div>
        ))}
      </div>
    </div>
  );
}
