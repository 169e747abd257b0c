import { useDeferredValue, useEffect, useMemo, useRef, useState, type PointerEvent, type RefObject } from 'react';
import { connectPoint, type Part, type Pin, type Side } from '../../../core/part';
import { dropPorts, moveEdit, moveToUnitEdit, resizeEdit } from '../../../core/arrange';
import { useAct, useStore } from '../../store';
import { edited } from '../../store/part-slice';
import {
  selectFindingsByPin,
  selectNodes,
  selectPackageId,
  selectPadJoined,
  selectPinById,
  selectSelectedSet,
  selectSelection,
} from '../../store/selectors';
import { nextSet, selected, unitChosen } from '../../store/view-slice';
import { counted } from '../../ui/counted';
import { ArtLayer, type ArtWork } from './art-layer';
import { idle, isFar, type Gesture } from './gestures/gesture';
import { Grips } from './grips';
import { targetAt, type PlacedUnit, type Target } from './layout';
import { Minimap } from './minimap';
import { Halos } from './halos';
import { UnitLayer, UnitView } from './unit-view';
import { inView, type ViewControl } from './view';

interface Props {
  part: Part;
  units: PlacedUnit[];
  view: ViewControl;
  frame: RefObject<HTMLDivElement | null>;
  /** The layer that pan and zoom move. */
  sheet: RefObject<HTMLDivElement | null>;
  /** A proposal is being shown: look, do not touch. */
  still: boolean;
  /** Artwork is drawn in a unit. */
  art?: (ArtWork & { unit: string }) | undefined;
}

/** The sheet: all units on the grid. */
export function Canvas({ part, units, view, frame, sheet, still, art }: Props) {
  const act = useAct();
  const selection = useStore(selectSelection);
  const selectedSet = useStore(selectSelectedSet);
  const packageId = useStore(selectPackageId);
  const padJoined = useStore(selectPadJoined);
  const nodes = useStore(selectNodes);
  const findings = useStore(selectFindingsByPin);
  const storedPins = useStore(selectPinById);
  const next = useStore((s) => s.view.next);
  const readOnly = useStore((s) => s.part.readOnly);
  const pins = useMemo(() => (still ? new Map(part.pins.map((p) => [p.id, p])) : storedPins), [still, part.pins, storedPins]);
  const joins = useMemo(() => ({ packageId, pads: padJoined, nodes, findings }), [packageId, padJoined, nodes, findings]);
  const { name, reference, fields, units: all } = part;
  const texts = useMemo(() => ({ name, reference, fields, units: all }), [name, reference, fields, all]);
  // What is drawn comes a little after what is known, in pieces between which the hand goes on.
  const drawn = useDeferredValue(useMemo(() => ({ units, texts, pins, joins }), [units, texts, pins, joins]));
  const [gesture, setGesture] = useState<Gesture>(idle);
  const [size, setSize] = useState({ width: 900, height: 700 });
  const space = useRef(false);
  const boxed = useRef<SVGRectElement>(null);
  const chosenUnit = useStore((s) => s.view.unit);
  const handled = still || readOnly || art ? undefined : units.find((u) => u.unit.id === chosenUnit);

  useEffect(() => {
    const observer = new ResizeObserver(([entry]) => setSize({ width: entry!.contentRect.width, height: entry!.contentRect.height }));
    if (frame.current) observer.observe(frame.current);
    return () => observer.disconnect();
  }, [frame]);
  useEffect(() => {
    const key = (e: KeyboardEvent) => {
      if (e.key === ' ' && e.target === document.body) e.preventDefault();
      if (e.key === ' ') space.current = e.type === 'keydown';
      if (e.key === 'Escape' && e.type === 'keydown') setGesture(idle);
    };
    window.addEventListener('keydown', key);
    window.addEventListener('keyup', key);
    return () => {
      window.removeEventListener('keydown', key);
      window.removeEventListener('keyup', key);
    };
  }, []);

  const onPointerDown = (e: PointerEvent<HTMLDivElement>) => {
    frame.current?.focus({ preventScroll: true });
    e.currentTarget.setPointerCapture(e.pointerId);
    if (e.button === 1 || space.current) return setGesture({ state: 'panning', x: e.clientX, y: e.clientY });
    if (e.button !== 0) return;
    const grip = (e.target as Element).closest<SVGGElement>('[data-edge], [data-label]');
    if (grip && handled) {
      const { edge, label } = grip.dataset;
      const from = { unit: handled.unit.id, x: e.clientX, y: e.clientY };
      if (edge) return setGesture({ state: 'resizing', edge: edge as Side, by: 0, ...from });
      return setGesture({ state: 'labelling', label: Number(label), dx: 0, dy: 0, ...from });
    }
    const port = (e.target as Element).closest<SVGGElement>('[data-port]');
    const unit = (e.target as Element).closest<SVGGElement>('[data-unit]')?.dataset['unit'];
    const pin = port?.dataset['pin'];
    const add = e.shiftKey || e.ctrlKey || e.metaKey;
    if (port && pin && unit) {
      if (add) act(selected(selectedSet.has(pin) ? selection.filter((id) => id !== pin) : [...selection, pin]));
      else if (!selectedSet.has(pin)) act(selected([pin]));
      act(unitChosen(unit));
      if (!still && !readOnly) setGesture({ state: 'pointing', pin, port: port.dataset['port']!, unit, x: e.clientX, y: e.clientY });
      return;
    }
    if (unit) act(unitChosen(unit));
    setGesture({ state: 'pressing', x: e.clientX, y: e.clientY, add, onUnit: unit !== undefined });
  };

  const onPointerMove = (e: PointerEvent<HTMLDivElement>) => {
    const at = view.toSheet(e.clientX, e.clientY);
    if (gesture.state !== 'dragging') view.tell(e.clientX, e.clientY);
    if (gesture.state === 'panning') {
      view.panBy(e.clientX - gesture.x, e.clientY - gesture.y);
      setGesture({ ...gesture, x: e.clientX, y: e.clientY });
    } else if (gesture.state === 'resizing') {
      const scale = view.live.current.scale * 100;
      const [dx, dy] = [(e.clientX - gesture.x) / scale, (e.clientY - gesture.y) / scale];
      const by = Math.round({ left: -dx, right: dx, top: -dy, base: dy }[gesture.edge] / 2) * 2;
      if (by !== gesture.by) setGesture({ ...gesture, by });
    } else if (gesture.state === 'labelling') {
      const scale = view.live.current.scale;
      const snap = (pixels: number) => Math.round(pixels / scale / 25) * 25;
      setGesture({ ...gesture, dx: snap(e.clientX - gesture.x), dy: -snap(e.clientY - gesture.y) });
    } else if (gesture.state === 'pointing' && isFar(gesture, e.clientX, e.clientY))
      setGesture({ state: 'dragging', pin: gesture.pin, port: gesture.port, unit: gesture.unit, target: undefined });
    else if (gesture.state === 'dragging') {
      const target = targetAt(units, at.x, at.y);
      if (
        target?.unit.unit.id !== gesture.target?.unit.unit.id ||
        target?.side !== gesture.target?.side ||
        target?.at !== gesture.target?.at
      )
        setGesture({ ...gesture, target });
    } else if (gesture.state === 'pressing' && isFar(gesture, e.clientX, e.clientY)) {
      const from = view.toSheet(gesture.x, gesture.y);
      setGesture({ state: 'boxing', x1: from.x, y1: from.y, add: gesture.add });
    } else if (gesture.state === 'boxing') stretch(boxed.current, gesture, at);
  };

  const onPointerUp = (e: PointerEvent<HTMLDivElement>) => {
    if (gesture.state === 'pressing' && !gesture.add) {
      act(selected([]));
      if (!gesture.onUnit) act(unitChosen(null));
    }
    if (gesture.state === 'boxing') {
      const to = view.toSheet(e.clientX, e.clientY);
      const inside = pinsInBox(units, { ...gesture, x2: to.x, y2: to.y });
      act(selected(gesture.add ? [...new Set([...selection, ...inside])] : inside));
    }
    if (gesture.state === 'dragging' && gesture.target) drop(gesture, gesture.target);
    if (gesture.state === 'resizing' && handled) {
      const edit = resizeEdit(handled.drawing, gesture.edge, gesture.by);
      if (edit) act(edited(edit));
    }
    if (gesture.state === 'labelling' && handled && (gesture.dx !== 0 || gesture.dy !== 0)) {
      const { label, dx, dy } = gesture;
      const labels = handled.drawing.labels.map((l, i) => (i === label ? { ...l, x: l.x + dx, y: l.y + dy } : l));
      act(edited({ kind: 'changeDrawing', drawing: handled.drawing.id, labels }));
    }
    setGesture(idle);
  };

  const drop = (g: Extract<Gesture, { state: 'dragging' }>, target: Target) => {
    const source = units.find((u) => u.unit.id === g.unit);
    if (!source) return;
    const portOf = new Map(Object.entries(source.unit.binding).map(([port, pin]) => [pin, port]));
    const moving = selection.filter((id) => portOf.has(id));
    if (target.unit.unit.id === g.unit) {
      const moves = dropPorts(
        source.drawing,
        moving.map((id) => portOf.get(id)!),
        g.port,
        target.side,
        target.at,
      );
      const held = source.drawing.ports.find((p) => p.id === g.port)!;
      if (held.side !== target.side || held.at !== target.at) act(edited(moveEdit(source.drawing, moves, 'move pins')));
    } else act(edited(moveToUnitEdit(part, moving.length > 0 ? moving : [g.pin], target.unit.unit.id, target.side, target.at, 2)));
  };

  const visible = useMemo(() => inView(drawn.units, view.settled, size.width, size.height), [drawn.units, view.settled, size]);
  const small = view.settled.scale < 0.055;
  const artUnit = art ? units.find((u) => u.unit.id === art.unit) : undefined;
  const { x, y, scale } = view.settled;
  const placedAt = `translate(${x} ${y}) scale(${scale})`;
  return (
    <div
      ref={frame}
      // The stage takes the focus, so that its keys are its own; its pins are reached in the ledger.

      tabIndex={0}
      role="group"
      aria-label={`Drawing of ${part.name}: ${counted(units.length, 'unit')}. ${next}`}
      className="absolute inset-0 touch-none overflow-hidden bg-paper outline-offset-[-2px] select-none"
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={onPointerUp}
      onPointerLeave={() => gesture.state === 'idle' && act(nextSet({ next, note: '' }))}
      onPointerCancel={() => setGesture(idle)}
      // The size and place of the dots follow the view, past React.
      style={{ backgroundImage: 'radial-gradient(circle, var(--dots) 1px, transparent 1.2px)' }}
    >
      <div ref={sheet} className="absolute inset-0 origin-top-left will-change-transform">
        {/* Apart from the units: what is selected changes often, and changes none of them. */}
        <svg className="pointer-events-none absolute inset-0 h-full w-full overflow-visible will-change-transform">
          <g className="drawing" transform={placedAt}>
            <Halos units={visible} selected={selectedSet} />
          </g>
        </svg>
        {/* Each unit is a layer of its own, of its own size: a pin that is moved has its unit drawn again, and no other. */}
        {visible.map((u) => (
          <UnitLayer key={u.unit.id} placed={u} view={view.settled}>
            <UnitView {...u} texts={drawn.texts} pins={drawn.pins} joins={drawn.joins} small={small} />
          </UnitLayer>
        ))}
        {/* A layer of its own: what moves with the hand is drawn without drawing the units again. */}
        <svg className="pointer-events-none absolute inset-0 h-full w-full overflow-visible will-change-transform">
          <g className="drawing" transform={placedAt}>
            {handled ? <Grips part={part} placed={handled} gesture={gesture} /> : null}
            {art && artUnit ? <ArtLayer placed={artUnit} {...art} toSheet={view.toSheet} /> : null}
            {gesture.state === 'boxing' ? <rect ref={boxed} className="fill-halo/25 stroke-green" strokeWidth={4} /> : null}
            {gesture.state === 'dragging' && gesture.target ? (
              <Landing target={gesture.target} pin={pins.get(gesture.pin)} count={selection.length} />
            ) : null}
          </g>
        </svg>
      </div>
      {/* While the hand moves something, the pointer is not looked for among the thousands of things under it. */}
      {gesture.state === 'idle' ? null : <div className={`absolute inset-0 ${gesture.state === 'dragging' ? 'cursor-grabbing' : ''}`} />}
      <div className="absolute bottom-4 left-4" onPointerDown={(e) => e.stopPropagation()}>
        <Minimap units={units} view={view} stage={size} />
      </div>
    </div>
  );
}

/** Draws the box past React: it follows the hand, and nothing else depends on it until the hand lets go. */
function stretch(box: SVGRectElement | null, from: { x1: number; y1: number }, to: { x: number; y: number }): void {
  box?.setAttribute('x', String(Math.min(from.x1, to.x)));
  box?.setAttribute('y', String(Math.min(from.y1, to.y)));
  box?.setAttribute('width', String(Math.abs(to.x - from.x1)));
  box?.setAttribute('height', String(Math.abs(to.y - from.y1)));
}

/** Shows where a dragged pin will land. */
function Landing({ target, pin, count }: { target: Target; pin: Pin | undefined; count: number }) {
  const { unit, side, at } = target;
  const point = connectPoint(unit.drawing.body, { id: '', side, at, length: 2 });
  const [x, y] = [unit.x + point.x * 100, unit.y - point.y * 100];
  return (
    <g pointerEvents="none">
      <circle cx={x} cy={y} r={46} className="fill-halo/70 stroke-green" strokeWidth={8} />
      <text x={x} y={y - 80} fontSize={60} textAnchor="middle" fontWeight={700}>
        {pin?.name}
        {count > 1 ? ` and ${count - 1} more` : ''}: {unit.unit.label} {side} {at}
      </text>
    </g>
  );
}

function pinsInBox(units: readonly PlacedUnit[], box: { x1: number; y1: number; x2: number; y2: number }): string[] {
  const [left, right] = [Math.min(box.x1, box.x2), Math.max(box.x1, box.x2)];
  const [top, base] = [Math.min(box.y1, box.y2), Math.max(box.y1, box.y2)];
  const ids = units.flatMap((u) =>
    u.drawing.ports.flatMap((port) => {
      const p = connectPoint(u.drawing.body, port);
      const [x, y] = [u.x + p.x * 100, u.y - p.y * 100];
      const pin = u.unit.binding[port.id];
      return pin !== undefined && x >= left && x <= right && y >= top && y <= base ? [pin] : [];
    }),
  );
  return [...new Set(ids)];
}
