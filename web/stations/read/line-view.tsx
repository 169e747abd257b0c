import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useMemo, useRef } from 'react';
import { useAct, useStore } from '../../store';
import { selectPart, selectPinById, selectSelection } from '../../store/selectors';
import { selected } from '../../store/view-slice';

const ROW = 22;

/** The source as it came, line by line; the lines of the selected pins are lit, and a line leads to its pins. */
export function LineView({ text, name, digest }: { text: string; name: string; digest: string }) {
  const act = useAct();
  const part = useStore(selectPart);
  const pins = useStore(selectPinById);
  const selection = useStore(selectSelection);
  const lines = useMemo(() => text.split(/\r\n?|\n/), [text]);
  const pinsOfLine = useMemo(() => {
    const map = new Map<number, string[]>();
    for (const p of part.pins)
      if (p.origin?.line && p.origin.source === digest) map.set(p.origin.line, [...(map.get(p.origin.line) ?? []), p.id]);
    return map;
  }, [part.pins, digest]);
  const lit = new Set(selection.flatMap((id) => pins.get(id)?.origin?.line ?? []));
  const scroller = useRef<HTMLDivElement>(null);
  const list = useVirtualizer({ count: lines.length, getScrollElement: () => scroller.current, estimateSize: () => ROW, overscan: 20 });
  const focusLine = pins.get(selection.at(-1) ?? '')?.origin?.line;
  useEffect(() => {
    if (focusLine !== undefined) list.scrollToIndex(focusLine - 1, { align: 'auto' });
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [focusLine]);
  return (
    <div className="flex h-full flex-col px-4 pb-3">
      <p className="mb-1 text-[13px] text-muted">
        <strong className="text-ink">{name}</strong>, {lines.length} lines. Choose a line or a pin to see where it came from.
      </p>
      <div
        ref={scroller}
        role="region"
        aria-label="Source"
        tabIndex={0}
        className="min-h-0 flex-1 overflow-auto rounded-lg border border-line bg-surface py-2"
      >
        <div className="relative min-w-max" style={{ height: list.getTotalSize() }}>
          {list.getVirtualItems().map((item) => {
            const line = item.index + 1;
            const own = pinsOfLine.get(line);
            const isLit = lit.has(line);
            const doubtful = own?.some((id) => (pins.get(id)?.doubts.length ?? 0) > 0);
            return (
              <button
                key={item.key}
                type="button"
                tabIndex={-1}
                disabled={!own}
                onClick={() => own && act(selected(own))}
                style={{ transform: `translateY(${item.start}px)`, height: ROW }}
                className={`absolute inset-x-0 flex items-center text-left font-mono text-[13px] whitespace-pre ${isLit ? 'bg-green-wash' : doubtful ? 'bg-amber-wash' : own ? 'hover:bg-sunken' : 'text-muted'}`}
              >
                <span className="w-14 shrink-0 border-r border-line pr-2 text-right text-[12px] text-muted">{line}</span>
                <span className="px-3">{lines[item.index]}</span>
              </button>
            );
          })}
        </div>
      </div>
    </div>
  );
}
