import { useMemo, useState } from 'react';
import type { Part } from '../../../core/part';
import { boundsOf, drawUnit, type Primitive } from '../../../core/shapes';
import { useStore } from '../../store';
import { selectPackageId, selectPart } from '../../store/selectors';
import { Button } from '../../ui/button';
import { counted } from '../../ui/counted';
import { Choice } from '../../ui/field';
import { Primitives } from '../../ui/primitives';

/** ISO 216 sheets lying down, in mm, with the margin that a frame takes. */
const SHEETS = { A4: { w: 297, h: 210 }, A3: { w: 420, h: 297 } } as const;
type SheetName = keyof typeof SHEETS;
const MARGIN = 15;

interface Laid {
  label: string;
  items: Primitive[];
  /** Size and place on the sheet, in mm. */
  x: number;
  y: number;
  w: number;
  h: number;
  left: number;
  top: number;
}

/** Units in rows on as many sheets as they need. */
function layOut(part: Part, packageId: string | undefined, sheet: SheetName, stepMm: number, sample: string): Laid[][] {
  const room = { w: SHEETS[sheet].w - 2 * MARGIN, h: SHEETS[sheet].h - 2 * MARGIN };
  const pages: Laid[][] = [[]];
  let [x, y, row] = [0, 0, 0];
  for (const unit of part.units) {
    const items = drawUnit(part, unit, packageId).map((p) =>
      p.kind === 'text' && p.role === 'reference' ? { ...p, text: `${sample}${part.units.length > 1 ? unit.label : ''}` } : p,
    );
    const box = boundsOf(items);
    const mm = (hundredths: number) => (hundredths / 100) * stepMm;
    const [w, h] = [mm(box.right - box.left), mm(box.top - box.base)];
    if (x > 0 && x + w > room.w) [x, y, row] = [0, y + row + 8, 0];
    if (y > 0 && y + h > room.h) {
      pages.push([]);
      [x, y, row] = [0, 0, 0];
    }
    pages.at(-1)!.push({ label: unit.label, items, x, y, w, h, left: box.left, top: box.top });
    x += w + 10;
    row = Math.max(row, h);
  }
  return pages;
}

/** The units as they will look in a schematic: a sample reference, black on white, at the size that a printer gives them. */
export function Preview() {
  const part = useStore(selectPart);
  const packageId = useStore(selectPackageId);
  const { stepMm } = useStore((s) => s.view.rules);
  const [sheet, setSheet] = useState<SheetName>('A4');
  const [isActual, setActual] = useState(false);
  const sample = `${part.reference || 'U'}1`;
  const pages = useMemo(() => layOut(part, packageId, sheet, stepMm, sample), [part, packageId, sheet, stepMm, sample]);
  const { w, h } = SHEETS[sheet];
  const beyond = pages.flat().filter((u) => u.h > h - 2 * MARGIN || u.w > w - 2 * MARGIN);
  return (
    <div className="flex min-h-0 flex-1 flex-col pt-2" role="region" aria-label="Preview in a schematic">
      <div className="flex flex-wrap items-center gap-3 px-4 pb-2 text-[13px]">
        <Choice
          hideLabel
          label="Sheet"
          value={sheet}
          options={[
            { value: 'A4', label: 'A4, lying' },
            { value: 'A3', label: 'A3, lying' },
          ]}
          onChange={(s) => setSheet(s as SheetName)}
        />
        <Button aria-pressed={isActual} onClick={() => setActual(!isActual)}>
          {isActual ? 'Fit the sheet' : 'Print size'}
        </Button>
        <span className="text-muted">
          one step is {stepMm} mm; {counted(pages.length, 'sheet')}
        </span>
        {beyond.length > 0 ? (
          <span className="font-semibold text-brick">
            {beyond.length === 1 ? `Unit ${beyond[0]!.label} is` : `Units ${beyond.map((u) => u.label).join(', ')} are`} larger than the
            sheet.
          </span>
        ) : null}
      </div>
      <div className="flex min-h-0 flex-1 flex-col items-center gap-4 overflow-auto px-4 pb-4">
        {pages.map((units, i) => (
          <svg
            key={i}
            role="img"
            aria-label={`Sheet ${i + 1}: ${units.map((u) => `unit ${u.label}`).join(', ')}`}
            viewBox={`0 0 ${w} ${h}`}
            style={
              isActual
                ? { width: `${w}mm`, height: `${h}mm`, flexShrink: 0 }
                : { maxWidth: '100%', maxHeight: pages.length > 1 ? '88%' : '100%', flexShrink: 0 }
            }
            className="print-sheet shadow-card"
          >
            <rect width={w} height={h} className="sheet" />
            <rect x={MARGIN - 5} y={MARGIN - 5} width={w - 2 * MARGIN + 10} height={h - 2 * MARGIN + 10} className="frame" />
            {units.map((u) => (
              <g
                key={u.label}
                className="drawing"
                transform={`translate(${MARGIN + u.x} ${MARGIN + u.y}) scale(${stepMm / 100}) translate(${-u.left} ${u.top})`}
              >
                <Primitives items={u.items} />
              </g>
            ))}
          </svg>
        ))}
      </div>
    </div>
  );
}
