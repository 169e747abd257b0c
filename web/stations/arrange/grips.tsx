import { isFlank, type Drawing, type Part, type Side } from '../../../core/part';
import { drawLabels, textBox } from '../../../core/shapes';
import type { Band } from './hand-marks';
import type { PlacedUnit } from './layout';

const EDGES: Side[] = ['left', 'right', 'top', 'base'];

/** What the chosen unit can be held by: the edges of its body and its texts. */
export function Grips({ part, placed }: { part: Part; placed: PlacedUnit }) {
  const { drawing, unit, x, y } = placed;
  const [w, h] = [drawing.body.width * 50, drawing.body.height * 50];
  const shown = shownLabels(drawing);
  const texts = drawLabels(part, unit, drawing);
  const at = (edge: Side): [number, number] => ({ left: [-w, 0], right: [w, 0], top: [0, -h], base: [0, h] })[edge] as [number, number];
  return (
    <g transform={`translate(${x} ${y})`}>
      {texts.map((text, i) => {
        if (text.kind !== 'text' || text.text === '') return null;
        const box = textBox(text);
        return (
          <rect
            key={shown[i]}
            data-label={shown[i]}
            x={box.left - 12}
            y={-box.top - 6}
            width={box.right - box.left + 24}
            height={box.top - box.base + 12}
            className="label-grip pointer-events-auto cursor-move"
          />
        );
      })}
      {EDGES.map((edge) => {
        const [cx, cy] = at(edge);
        return (
          <rect
            key={edge}
            data-edge={edge}
            x={cx - (isFlank(edge) ? 16 : 70)}
            y={cy - (isFlank(edge) ? 70 : 16)}
            width={isFlank(edge) ? 32 : 140}
            height={isFlank(edge) ? 140 : 32}
            rx={16}
            className={`edge-grip pointer-events-auto ${isFlank(edge) ? 'cursor-ew-resize' : 'cursor-ns-resize'}`}
          />
        );
      })}
    </g>
  );
}

/** Where the body would be with an edge pulled outwards by grid steps; it keeps a step at least. */
export function pulledBand({ drawing, x, y }: PlacedUnit, edge: Side, by: number): Band {
  const [w, h] = [drawing.body.width * 50, drawing.body.height * 50];
  const more = Math.max(by * 100, 100 - 2 * (isFlank(edge) ? w : h));
  return {
    x1: x - w - (edge === 'left' ? more : 0),
    y1: y - h - (edge === 'top' ? more : 0),
    x2: x + w + (edge === 'right' ? more : 0),
    y2: y + h + (edge === 'base' ? more : 0),
  };
}

/** Where a text of a unit stands. */
export function labelBand(part: Part, { unit, drawing, x, y }: PlacedUnit, label: number): Band | undefined {
  const text = drawLabels(part, unit, drawing)[shownLabels(drawing).indexOf(label)];
  if (text?.kind !== 'text') return undefined;
  const { left, right, top, base } = textBox(text);
  return { x1: x + left, x2: x + right, y1: y - top, y2: y - base };
}

/** The places in the drawing's list of the labels that are drawn, in the order in which they are. */
const shownLabels = (drawing: Drawing): number[] => drawing.labels.flatMap((l, index) => (l.hidden ? [] : [index]));
