import { isFlank, type Part, type Side } from '../../../core/part';
import { drawLabels, textBox } from '../../../core/shapes';
import type { Gesture } from './gestures/gesture';
import type { PlacedUnit } from './layout';

const EDGES: Side[] = ['left', 'right', 'top', 'base'];

/** What the chosen unit can be held by: the edges of its body and its texts. */
export function Grips({ part, placed, gesture }: { part: Part; placed: PlacedUnit; gesture: Gesture }) {
  const { drawing, unit, x, y } = placed;
  const [w, h] = [drawing.body.width * 50, drawing.body.height * 50];
  const shown = drawing.labels.flatMap((l, index) => (l.hidden ? [] : [index]));
  const texts = drawLabels(part, unit, drawing);
  const at = (edge: Side): [number, number] => ({ left: [-w, 0], right: [w, 0], top: [0, -h], base: [0, h] })[edge] as [number, number];
  return (
    <g transform={`translate(${x} ${y})`}>
      {texts.map((text, i) => {
        if (text.kind !== 'text' || text.text === '') return null;
        const box = textBox(text);
        const moved = gesture.state === 'labelling' && gesture.label === shown[i] ? gesture : { dx: 0, dy: 0 };
        return (
          <rect
            key={shown[i]}
            data-label={shown[i]}
            x={box.left - 12 + moved.dx}
            y={-box.top - 6 - moved.dy}
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
      {gesture.state === 'resizing' ? <Ghost placed={placed} edge={gesture.edge} by={gesture.by} /> : null}
    </g>
  );
}

/** Where the body's outline would be. */
function Ghost({ placed, edge, by }: { placed: PlacedUnit; edge: Side; by: number }) {
  const { width, height } = placed.drawing.body;
  const [w, h] = [width * 100, height * 100];
  const more = by * 100;
  const box = {
    x: -w / 2 - (edge === 'left' ? more : 0),
    y: -h / 2 - (edge === 'top' ? more : 0),
    width: Math.max(100, w + (isFlank(edge) ? more : 0)),
    height: Math.max(100, h + (isFlank(edge) ? 0 : more)),
  };
  return <rect {...box} className="fill-halo/25 stroke-green" strokeWidth={10} pointerEvents="none" />;
}
