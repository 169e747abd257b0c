import { useMemo } from 'react';
import type { Pin } from '../../../core/part';
import { useAct, useStore } from '../../store';
import { selectPinById, selectSelection, selectTerminals } from '../../store/selectors';
import { selected } from '../../store/view-slice';
import { counted } from '../../ui/counted';
import { VirtualRows } from '../../ui/virtual-rows';
import { litBy } from './lit';

const ROW = 22;

/** The source as it came, line by line; the lines of the selected pins are lit, and a line leads to its pins. */
export function LineView({ text, name, digest, asked }: { text: string; name: string; digest: string; asked: Pin | undefined }) {
  const act = useAct();
  const terminals = useStore(selectTerminals);
  const pins = useStore(selectPinById);
  const selection = useStore(selectSelection);
  const lines = useMemo(() => text.split(/\r\n?|\n/), [text]);
  const pinsOfLine = useMemo(() => {
    const map = new Map<number, string[]>();
    for (const p of terminals)
      if (p.origin?.line && p.origin.source === digest) map.set(p.origin.line, [...(map.get(p.origin.line) ?? []), p.id]);
    return map;
  }, [terminals, digest]);
  const lit = new Set(terminals.filter(litBy(asked, selection)).flatMap((p) => p.origin?.line ?? []));
  const focusLine = (asked ?? terminals.find((p) => p.id === selection.at(-1)))?.origin?.line;
  return (
    <div className="flex h-full flex-col px-4 pb-3">
      <p className="mb-1 text-[13px] text-muted">
        <strong className="text-ink">{name}</strong>, {counted(lines.length, 'line')}. Choose a line or a pin to see where it came from.
      </p>
      <VirtualRows
        label="Source"
        wide
        count={lines.length}
        height={ROW}
        focus={focusLine === undefined ? undefined : focusLine - 1}
        className="py-2"
      >
        {(index) => {
          const own = pinsOfLine.get(index + 1);
          const doubtful = own?.some((id) => (pins.get(id)?.doubts.length ?? 0) > 0);
          const tone = lit.has(index + 1) ? 'bg-green-wash' : doubtful ? 'bg-amber-wash' : own ? 'hover:bg-sunken' : 'text-muted';
          return (
            <button
              type="button"
              tabIndex={-1}
              disabled={!own}
              onClick={() => own && act(selected(own))}
              className={`flex h-full w-full items-center text-left font-mono text-[13px] whitespace-pre ${tone}`}
            >
              <span className="w-14 shrink-0 border-r border-line pr-2 text-right text-[12px] text-muted">{index + 1}</span>
              <span className="px-3">{lines[index]}</span>
            </button>
          );
        }}
      </VirtualRows>
    </div>
  );
}
