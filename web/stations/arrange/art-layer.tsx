import { useEffect, useState, type PointerEvent } from 'react';
import type { Drawing, Stroke } from '../../../core/part';
import { drawStrokes } from '../../../core/shapes';
import { Primitives } from '../../ui/primitives';
import { bent, canBend, finished, MOST_POINTS, snapped, type Bend, type Tool } from './art';
import type { PlacedUnit } from './layout';

/** What is drawn with, and what becomes of it. */
export interface ArtWork {
  tool: Tool;
  bend: Bend;
  /** The stroke that is chosen, by its place in the drawing's list. */
  chosen: number | null;
  onChoose: (index: number | null) => void;
  onDraw: (stroke: Stroke) => void;
  onRemove: (index: number) => void;
}

interface Props extends ArtWork {
  placed: PlacedUnit;
  toSheet: (x: number, y: number) => { x: number; y: number };
}

/** Drawing by hand over a unit: a click sets a point, a double click or Enter ends the line, Escape takes it back. */
export function ArtLayer({ placed, tool, bend, chosen, onChoose, onDraw, onRemove, toSheet }: Props) {
  const [points, setPoints] = useState<[number, number][]>([]);
  const [cursor, setCursor] = useState<[number, number] | null>(null);
  useEffect(() => setPoints([]), [tool]);
  const at = (e: PointerEvent): [number, number] => {
    const { x, y } = toSheet(e.clientX, e.clientY);
    return snapped(x - placed.x, -(y - placed.y));
  };
  const end = (given: [number, number][]) => {
    const stroke = finished(tool, given);
    setPoints([]);
    if (stroke) onDraw(stroke);
  };
  useEffect(() => {
    const key = (e: KeyboardEvent) => {
      const isTyping = e.target instanceof HTMLInputElement || e.target instanceof HTMLSelectElement;
      if (!isTyping && chosen !== null && (e.key === 'Delete' || e.key === 'Backspace')) onRemove(chosen);
      else if (points.length === 0) return;
      else if (e.key === 'Enter') end(points);
      else if (e.key === 'Escape') setPoints([]);
      else return;
      e.preventDefault();
      e.stopPropagation();
    };
    window.addEventListener('keydown', key, true);
    return () => window.removeEventListener('keydown', key, true);
  });
  const onTo = (point: [number, number]) => bent(points.at(-1), point, canBend(tool) ? bend : 'free');
  const next = cursor ? onTo(cursor) : [];
  const preview = cursor ? finished(tool, [...points, ...next], true) : undefined;
  const [w, h] = [placed.halfWidth + 400, placed.halfHeight + 400];
  return (
    <g
      className="pointer-events-auto"
      transform={`translate(${placed.x} ${placed.y})`}
      onPointerDown={(e) => {
        e.stopPropagation();
        if (tool === 'select') return onChoose(null);
        const added = [...points, ...onTo(at(e))];
        if (tool === 'text' || added.length >= MOST_POINTS[tool]) end(added);
        else setPoints(added);
      }}
      onPointerMove={(e) => setCursor(at(e))}
      onPointerLeave={() => setCursor(null)}
      onDoubleClick={() => end(points)}
    >
      <rect
        x={-w}
        y={-h}
        width={2 * w}
        height={2 * h}
        fill="transparent"
        className={tool === 'select' ? '' : 'cursor-crosshair'}
        data-art
      />
      {tool === 'select'
        ? placed.drawing.strokes.map((s, i) => (
            <g
              key={i}
              className={`cursor-pointer ${i === chosen ? 'art-chosen' : 'art-pick'}`}
              onPointerDown={(e) => {
                e.stopPropagation();
                onChoose(i);
              }}
            >
              <Primitives items={drawStrokes({ strokes: [s] } as Drawing)} />
            </g>
          ))
        : null}
      {preview && points.length > 0 ? (
        <g className="art-preview" pointerEvents="none">
          <Primitives items={drawStrokes({ strokes: [preview] } as Drawing)} />
        </g>
      ) : null}
      {tool !== 'select' && cursor ? <circle cx={cursor[0]} cy={-cursor[1]} r={14} className="fill-green" pointerEvents="none" /> : null}
    </g>
  );
}
