import { useMemo } from 'react';
import { blockEdit, proposeShape, shapeEdit, suggestShapes, type ShapeProposal } from '../../../core/arrange';
import { nameOnDrawing, type Part, type Unit } from '../../../core/part';
import { drawShape, edgeInset, SHAPES, type ShapeName } from '../../../core/shapes';
import { useAct, useStore } from '../../store';
import { edited } from '../../store/part-slice';
import { selectPart } from '../../store/selectors';
import { Button } from '../../ui/button';
import { Card } from '../../ui/card';
import { Primitives } from '../../ui/primitives';
import type { Proposal } from './proposal-card';

interface Props {
  unit: Unit;
  onPropose: (proposal: Proposal) => void;
  onClose: () => void;
}

/** Body shapes for a unit: what its pins call for first, then all of them; each is a proposal before it is taken. */
export function ShapeCard({ unit, onPropose, onClose }: Props) {
  const act = useAct();
  const part = useStore(selectPart);
  const rules = useStore((s) => s.view.rules);
  const drawing = part.drawings.find((d) => d.id === unit.drawing);
  const offers = useMemo(() => offersFor(part, unit.id), [part, unit.id]);
  const propose = (found: ShapeProposal) =>
    onPropose({
      title: `${SHAPES[found.shape].title} for unit ${unit.label}`,
      edit: shapeEdit(part, unit.id, found, rules),
      changed: [...found.bound.map((b) => nameOnDrawing(b.pin)), ...found.left.map(nameOnDrawing)],
      shown: true,
      says: [
        ...found.doubts,
        ...(found.left.length > 0 ? [`It has no port for ${found.left.map(nameOnDrawing).join(', ')}; they stand at the left.`] : []),
      ],
    });
  return (
    <Card label="Body shapes" title="Body shape" aside={`unit ${unit.label}`} className="max-h-[min(560px,70vh)] overflow-y-auto">
      {offers.called.length > 0 ? <Shapes title="Its pins call for" offers={offers.called} onPick={propose} /> : null}
      <Shapes title="All that have room for its pins" offers={offers.fit} onPick={propose} />
      <p className="mt-2 text-[13px] text-muted">{offers.lack} others do not go with this unit’s pins.</p>
      <div className="mt-2 flex gap-1.5">
        {drawing?.body.shape === 'block' ? null : (
          <Button onClick={() => act(edited(blockEdit(part, unit.id, rules)))}>Back to the block</Button>
        )}
        <Button onClick={onClose}>Close</Button>
      </div>
    </Card>
  );
}

function offersFor(part: Part, unitId: string) {
  const called = suggestShapes(part, unitId);
  const names = Object.keys(SHAPES) as ShapeName[];
  const possible = names.flatMap((name) => proposeShape(part, unitId, name) ?? []);
  // A shape that leaves most of the pins over is none for them.
  const fit = possible.filter((p) => !called.some((c) => c.shape === p.shape) && p.left.length <= p.bound.length);
  return { called, fit, lack: names.length - called.length - fit.length };
}

function Shapes({ title, offers, onPick }: { title: string; offers: readonly ShapeProposal[]; onPick: (p: ShapeProposal) => void }) {
  return (
    <>
      <h3 className="mt-1 mb-1 text-[12px] text-muted">{title}</h3>
      <div className="grid grid-cols-3 gap-1.5">
        {offers.map((p) => (
          <button
            key={p.shape}
            type="button"
            title={`${SHAPES[p.shape].title}: ${SHAPES[p.shape].standard}`}
            onClick={() => onPick(p)}
            className="flex flex-col items-center rounded-md border border-line bg-paper p-1 text-[11.5px] leading-tight hover:border-green"
          >
            <ShapeThumbnail shape={p.shape} />
            <span className="line-clamp-2 text-center">{SHAPES[p.shape].title}</span>
          </button>
        ))}
      </div>
    </>
  );
}

/** A shape with stubs of the lines of those pins that it always has. */
function ShapeThumbnail({ shape }: { shape: ShapeName }) {
  const def = SHAPES[shape];
  const body = { shape, width: def.width, height: def.height, strip: 0 };
  const [w, h] = [def.width * 50, def.height * 50];
  const stubs = def.ports
    .filter((p) => !p.optional)
    .map((p) => {
      const inset = edgeInset(body, p.side, p.at);
      const [x, y] = { left: [-w, p.at * 100], right: [w, p.at * 100], top: [p.at * 100, h], base: [p.at * 100, -h] }[p.side] as [
        number,
        number,
      ];
      const [ox, oy] = { left: [-1, 0], right: [1, 0], top: [0, 1], base: [0, -1] }[p.side] as [number, number];
      return { kind: 'line' as const, x1: x + ox * 60, y1: y + oy * 60, x2: x - ox * inset, y2: y - oy * inset, weight: 'pin' as const };
    });
  return (
    <svg viewBox={`${-w - 70} ${-h - 70} ${2 * w + 140} ${2 * h + 140}`} className="drawing h-11 w-full" aria-hidden>
      <Primitives items={[...drawShape(body, []), ...stubs]} />
    </svg>
  );
}
