import type { Drawing, Stroke, Unit } from '../../../core/part';
import { useAct } from '../../store';
import { edited } from '../../store/part-slice';
import { Button } from '../../ui/button';
import { Card } from '../../ui/card';
import { counted } from '../../ui/counted';
import { Choice, Field } from '../../ui/field';
import { NumberField } from '../../ui/number-field';
import { BENDS, canBend, pointsText, readPoints, TOOLS, type Bend, type Tool } from './art';

interface Props {
  unit: Unit;
  drawing: Drawing;
  tool: Tool;
  bend: Bend;
  chosen: number | null;
  onTool: (tool: Tool) => void;
  onBend: (bend: Bend) => void;
  onRemove: (index: number) => void;
  onClose: () => void;
}

/** Tools for free artwork, and the numbers of the stroke that is chosen. */
export function ArtCard({ unit, drawing, tool, bend, chosen, onTool, onBend, onRemove, onClose }: Props) {
  const act = useAct();
  const put = (strokes: Stroke[]) => act(edited({ kind: 'changeDrawing', drawing: drawing.id, strokes }));
  const stroke = chosen === null ? undefined : drawing.strokes[chosen];
  const set = (change: Partial<Stroke>) => put(drawing.strokes.map((s, i) => (i === chosen ? { ...s, ...change } : s)));
  return (
    <Card label="Artwork" title="Artwork" aside={`unit ${unit.label}, ${counted(drawing.strokes.length, 'stroke')}`}>
      <div className="flex flex-wrap gap-1">
        {TOOLS.map((t) => (
          <Button key={t} tone={t === tool ? 'main' : 'plain'} aria-pressed={t === tool} onClick={() => onTool(t)}>
            {t}
          </Button>
        ))}
      </div>
      {canBend(tool) ? (
        <div className="mt-2">
          <Choice label="Bends" value={bend} options={BENDS.map((b) => ({ value: b, label: b }))} onChange={(b) => onBend(b as Bend)} />
        </div>
      ) : null}
      {stroke && chosen !== null ? (
        <div className="mt-2 flex flex-col gap-1.5">
          <Field
            label={`Points of the ${stroke.kind}, x,y in steps`}
            value={pointsText(stroke)}
            wrong={(text) =>
              readPoints(text)?.length === stroke.points.length
                ? undefined
                : stroke.points.length === 1
                  ? 'Give a point such as 1.5,-0.2.'
                  : `Give ${stroke.points.length} points such as 0,0 1.5,-0.2.`
            }
            onDone={(text) => set({ points: readPoints(text)! })}
          />
          {stroke.kind === 'circle' ? (
            <NumberField
              label="Radius, steps"
              value={(stroke.radius ?? 100) / 100}
              least={0.1}
              most={200}
              onNumber={(n) => set({ radius: Math.round(n * 100) })}
            />
          ) : null}
          {stroke.kind === 'text' ? (
            <>
              <Field label="Text" value={stroke.text ?? ''} onDone={(text) => text.trim() !== '' && set({ text })} />
              <NumberField
                label="Size, steps"
                value={(stroke.size ?? 64) / 100}
                least={0.2}
                most={4}
                onNumber={(n) => set({ size: Math.round(n * 100) })}
              />
            </>
          ) : null}
          <div className="flex gap-1.5">
            {['polygon', 'rectangle', 'circle'].includes(stroke.kind) ? (
              <Button aria-pressed={stroke.filled ?? false} onClick={() => set({ filled: !stroke.filled })}>
                {stroke.filled ? 'filled' : 'open'}
              </Button>
            ) : null}
            <Button tone="bad" keyName="Del" onClick={() => onRemove(chosen)}>
              Remove
            </Button>
          </div>
        </div>
      ) : (
        <p className="mt-2 text-[13px] text-muted">
          {tool === 'select' ? 'Click a stroke to change it.' : 'Click sets a point, Enter or a double click ends, Esc takes back.'}
        </p>
      )}
      <div className="mt-2 flex flex-wrap gap-1.5">
        {drawing.body.shape === 'none' ? null : (
          <Button onClick={() => act(edited({ kind: 'changeDrawing', drawing: drawing.id, body: { shape: 'none', strip: 0 } }))}>
            Without the body’s outline
          </Button>
        )}
        <Button onClick={onClose}>Done</Button>
      </div>
    </Card>
  );
}
