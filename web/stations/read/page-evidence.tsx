import { useMemo, useState } from 'react';
import type { Box } from '../../../core/intake';
import type { Pin } from '../../../core/part';
import { useAct, useStore } from '../../store';
import { selectPart, selectSelection, selectTerminals } from '../../store/selectors';
import { selected } from '../../store/view-slice';
import type { SourceInfo, SourceSession } from '../../workers/source-session';
import { DoubtCard } from './doubt-card';
import { litBy } from './lit';
import { Boxed, CARD, cardLeft, PageView, type PagePlace } from './page-view';

/** The pages with the cell of every pin: a cell leads to its pin, the selected pins' cells are lit, a doubt is asked beside its cell. */
export function PageEvidence({
  session,
  info,
  digest,
  closeUp,
  asked,
  onPage,
}: {
  session: SourceSession;
  info: SourceInfo;
  digest: string;
  closeUp: boolean;
  asked: Pin | undefined;
  onPage: (page: number) => void;
}) {
  const act = useAct();
  const part = useStore(selectPart);
  const selection = useStore(selectSelection);
  const terminals = useStore(selectTerminals);
  const cells = useMemo(() => cellsByPage(terminals, digest), [terminals, digest]);
  const lit = litBy(asked, selection);
  const last = part.pins.find((p) => p.id === selection.at(-1));
  const sought = asked ?? last;
  const place = useMemo(() => sought && placeOf(sought, digest), [sought, digest]);
  // Until a pin is selected the table is in view, at the first cell that is asked about; once none is any more, the page stays where it was.
  const [before, setBefore] = useState<PagePlace | undefined>(() =>
    [...part.pins.filter((p) => p.doubts.length > 0), ...part.pins].map((p) => placeOf(p, digest)).find((p) => p !== undefined),
  );
  const focus = place ?? before;
  if (place && place !== before) setBefore(place);
  const doubtful = last !== undefined && last.doubts.length > 0;
  return (
    <PageView
      session={session}
      info={info}
      focus={focus}
      near={doubtful || closeUp}
      card={doubtful}
      onPage={onPage}
      overlay={(page, scale) => (
        <>
          {(cells.get(page) ?? []).map(({ pin, field, box, doubt }, i) => {
            const isLit = lit(pin);
            return (
              <Boxed key={i} box={box} scale={scale} grow={2} className={isLit ? 'z-10' : ''}>
                <button
                  type="button"
                  tabIndex={-1}
                  aria-label={`${field} of ${pin.name}`}
                  title={[pin.name, pin.because?.[field]].filter(Boolean).join(': ')}
                  onClick={() => act(selected([pin.id]))}
                  className={`block h-full w-full rounded-sm border-2 ${doubt ? 'border-amber-line bg-amber/15' : isLit ? 'border-green' : 'border-transparent hover:border-green/50'} ${isLit ? 'bg-green/20' : ''}`}
                />
              </Boxed>
            );
          })}
          {focus?.page === page && doubtful ? (
            <div
              className="absolute z-30"
              style={{
                width: CARD,
                left: cardLeft(focus.box[0], scale, info.pages[page - 1]?.width),
                top: underRow(focus.box, last.origin?.box) * scale + 8,
              }}
            >
              <DoubtCard />
            </div>
          ) : null}
        </>
      )}
    />
  );
}

/** Taller than this, in points, a row is no longer kept free: its card would stand far from its cell. */
const TALL = 120;

/** Where a card does not hide what it asks about: under the whole row, of which the words may be the reason. */
function underRow(cell: Box, row: Box | undefined): number {
  const end = cell[1] + cell[3];
  return row && row[1] + row[3] > end && row[1] + row[3] - end < TALL ? row[1] + row[3] : end;
}

interface CellAt {
  pin: Pin;
  field: string;
  box: Box;
  doubt: boolean;
}

/** The place of a pin's first doubt, or else of its row. */
function placeOf(pin: Pin, digest: string): PagePlace | undefined {
  const { origin } = pin;
  if (!origin?.page || (origin.source !== undefined && origin.source !== digest)) return undefined;
  const field = pin.doubts[0]?.field;
  const cell = field === undefined ? undefined : (origin.cells?.[field] ?? origin.cells?.['name']);
  const box = typeof cell === 'object' ? cell : origin.box;
  return box && { page: origin.page, box };
}

function cellsByPage(pins: readonly Pin[], digest: string): Map<number, CellAt[]> {
  const pages = new Map<number, CellAt[]>();
  for (const pin of pins) {
    const { origin } = pin;
    if (!origin?.page || (origin.source !== undefined && origin.source !== digest)) continue;
    const boxes = Object.entries(origin.cells ?? (origin.box ? { name: origin.box } : {}));
    const own = boxes.flatMap(([field, box]): CellAt[] =>
      typeof box === 'string'
        ? []
        : [{ pin, field, box, doubt: pin.doubts.some((d) => d.field === field || (d.field === 'activeLow' && field === 'name')) }],
    );
    pages.set(origin.page, [...(pages.get(origin.page) ?? []), ...own]);
  }
  return pages;
}
