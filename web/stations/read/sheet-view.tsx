import { useEffect, useMemo, useState } from 'react';
import { cellRef, type Sheet } from '../../../core/intake';
import type { Pin } from '../../../core/part';
import { useAct, useStore } from '../../store';
import { selectSelection, selectTerminals } from '../../store/selectors';
import { selected } from '../../store/view-slice';
import { VirtualRows } from '../../ui/virtual-rows';
import { litBy } from './lit';

const ROW = 24;

/** A workbook's sheets as they are: the selected pins' cells are lit, and a cell leads to its pin. */
export function SheetView({ sheets, digest, asked }: { sheets: readonly Sheet[]; digest: string; asked: Pin | undefined }) {
  const act = useAct();
  const terminals = useStore(selectTerminals);
  const selection = useStore(selectSelection);
  const own = useMemo(() => terminals.filter((p) => p.origin?.source === undefined || p.origin.source === digest), [terminals, digest]);
  const focus = (asked ?? own.find((p) => p.id === selection.at(-1)))?.origin;
  const [chosen, setChosen] = useState<string>();
  const name = chosen ?? focus?.sheet ?? own.find((p) => p.origin?.sheet)?.origin?.sheet ?? sheets[0]?.name;
  const sheet = sheets.find((s) => s.name === name) ?? sheets[0];
  useEffect(() => {
    if (focus?.sheet) setChosen(focus.sheet);
  }, [focus?.sheet]);
  const pinsAt = useMemo(() => {
    const map = new Map<string, { pin: Pin; doubt: boolean }[]>();
    for (const pin of own)
      if (pin.origin?.sheet === sheet?.name)
        for (const [field, ref] of Object.entries(pin.origin?.cells ?? {}))
          if (typeof ref === 'string') map.set(ref, [...(map.get(ref) ?? []), { pin, doubt: pin.doubts.some((d) => d.field === field) }]);
    return map;
  }, [own, sheet]);
  const rows = useMemo(() => {
    const out = new Map<number, Map<number, string>>();
    for (const c of sheet?.cells ?? []) (out.get(c.row) ?? out.set(c.row, new Map()).get(c.row)!).set(c.col, c.text);
    return out;
  }, [sheet]);
  const height = sheet?.cells.reduce((n, c) => Math.max(n, c.row + 1), 1) ?? 1;
  const width = sheet?.cells.reduce((n, c) => Math.max(n, c.col + 1), 0) ?? 0;
  const widths = useMemo(() => {
    const most = Array.from({ length: width }, () => 60);
    // Titles stand alone in their row and run over the cells beside them.
    for (const c of sheet?.cells ?? [])
      if ((rows.get(c.row)?.size ?? 0) > 1) most[c.col] = Math.min(300, Math.max(most[c.col]!, c.text.length * 8.2 + 20));
    return most;
  }, [sheet, rows, width]);
  const row = focus?.sheet === sheet?.name ? Number(/\d+$/.exec(focus?.cell ?? '')?.[0]) : NaN;
  const lit = litBy(asked, selection);
  if (!sheet) return null;
  return (
    <div className="flex h-full flex-col px-4 pb-3">
      <div className="mb-2 flex flex-wrap gap-1" role="group" aria-label="Sheets">
        {sheets.map((s) => (
          <button
            key={s.name}
            type="button"
            aria-pressed={s.name === sheet.name}
            onClick={() => setChosen(s.name)}
            className={`rounded-md border px-2 py-0.5 text-[13px] ${s.name === sheet.name ? 'border-green bg-green-wash' : 'border-line bg-surface'}`}
          >
            {s.name}
          </button>
        ))}
      </div>
      <VirtualRows label="Source" wide count={height} height={ROW} focus={row > 0 ? row - 1 : undefined}>
        {(index) => (
          <div className="flex h-full border-b border-line text-[13px]">
            <span className="w-12 shrink-0 border-r border-line bg-sunken pr-2 text-right font-mono text-[12px] leading-6 text-muted">
              {index + 1}
            </span>
            {widths.map((w, col) => {
              const pins = pinsAt.get(cellRef(index, col)) ?? [];
              const isLit = pins.some(({ pin }) => lit(pin));
              const tone = isLit ? 'bg-green-wash outline-2 outline-green' : pins.some((p) => p.doubt) ? 'bg-amber-wash' : '';
              const text = rows.get(index)?.get(col) ?? '';
              // As in a workbook, a text runs on over the empty cells beside it.
              const runsOn = text !== '' && !rows.get(index)?.has(col + 1);
              return (
                <button
                  key={col}
                  type="button"
                  tabIndex={-1}
                  disabled={pins.length === 0}
                  title={text}
                  onClick={() => act(selected(pins.map((p) => p.pin.id)))}
                  style={{ width: w }}
                  className={`shrink-0 border-r border-line px-2 text-left leading-6 whitespace-nowrap ${runsOn ? 'overflow-visible' : 'overflow-hidden text-ellipsis'} ${tone}`}
                >
                  {text}
                </button>
              );
            })}
          </div>
        )}
      </VirtualRows>
    </div>
  );
}
