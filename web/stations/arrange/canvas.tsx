import { useCallback, useDeferredValue, useEffect, useMemo, useRef, useState, type PointerEvent, type RefObject } from 'react';
import type { Part, Side } from '../../../core/part';
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
import { selected, unitChosen } from '../../store/view-slice';
import { counted } from '../../ui/counted';
import { ArtLayer, type ArtWork } from './art-layer';
import { idle, isFar, type Gesture } from './gestures/gesture';
import { Grips, labelBand, pulledBand } from './grips';
import { HandMarks, type Band } from './hand-marks';
import { onSheet, targetAt, type PlacedUnit, type Target } from './layout';
import { DrawingLayer, Layer } from './layer';
import { Minimap } from './minimap';
import { Halos } from './halos';
import { useSettling } from './settling';
import { UnitFrame, UnitView } from './unit-view';
import { DOTS_BEYOND, inView, type ViewControl } from './view';

interface Props {
  part: Part;
  units: PlacedUnit[];
  view: ViewControl;
  frame: RefObject<HTMLDivElement | null>;
  /** The layer of the grid's dots. */
  dots: RefObject<HTMLDivElement | null>;
  /** A proposal is being shown: look, do not touch. */
  still: boolean;
  /** Artwork is drawn in a unit. */
  art?: (ArtWork & { unit: string }) | undefined;
}

/** Below this scale texts are too small to read, and left out. */
const SMALL = 0.055;

/** The sheet: all units on the grid. */
export function Canvas({ part, units, view, frame, dots, still, art }: Props) {
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
  // What the hand does is kept past React, which only learns of its kind: on the way nothing is made anew.
  const gesture = useRef<Gesture>(idle);
  const [doing, setDoing] = useState(idle.state);
  const marks = useRef<HandMarks>(null);
  const go = useCallback((to: Gesture) => {
    gesture.current = to;
    if (to.state === 'idle') marks.current?.clear();
    setDoing(to.state);
  }, []);
  const [size, setSize] = useState({ width: 900, height: 700 });
  const space = useRef(false);
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
      if (e.key === 'Escape' && e.type === 'keydown') go(idle);
    };
    window.addEventListener('keydown', key);
    window.addEventListener('keyup', key);
    return () => {
      window.removeEventListener('keydown', key);
      window.removeEventListener('keyup', key);
    };
  }, [go]);

  const onPointerDown = (e: PointerEvent<HTMLDivElement>) => {
    frame.current?.focus({ preventScroll: true });
    e.currentTarget.setPointerCapture(e.pointerId);
    const from = { x: e.clientX, y: e.clientY };
    if (e.button === 1 || space.current) return go({ state: 'panning', ...from });
    if (e.button !== 0) return;
    const grip = (e.target as Element).closest<SVGGElement>('[data-edge], [data-label]');
    if (grip && handled) {
      const { edge, label } = grip.dataset;
      if (edge) return go({ state: 'resizing', placed: handled, edge: edge as Side, by: 0, ...from });
      const box = labelBand(part, handled, Number(label));
      if (box) return go({ state: 'labelling', placed: handled, label: Number(label), box, dx: 0, dy: 0, ...from });
    }
    const port = (e.target as Element).closest<SVGGElement>('[data-port]');
    const unit = (e.target as Element).closest<SVGGElement>('[data-unit]')?.dataset['unit'];
    const pin = port?.dataset['pin'];
    const add = e.shiftKey || e.ctrlKey || e.metaKey;
    if (port && pin && unit) {
      if (add) act(selected(selectedSet.has(pin) ? selection.filter((id) => id !== pin) : [...selection, pin]));
      else if (!selectedSet.has(pin)) act(selected([pin]));
      act(unitChosen(unit));
      if (!still && !readOnly) go({ state: 'pointing', pin, port: port.dataset['port']!, unit, ...from });
      return;
    }
    if (unit) act(unitChosen(unit));
    go({ state: 'pressing', add, onUnit: unit !== undefined, ...from });
  };

  const onPointerMove = (e: PointerEvent<HTMLDivElement>) => {
    const now = gesture.current;
    // On the way its mark says where the hand is.
    if (now.state === 'idle' || now.state === 'panning') view.tell(e.clientX, e.clientY);
    if (now.state === 'panning') {
      view.panBy(e.clientX - now.x, e.clientY - now.y);
      go({ ...now, x: e.clientX, y: e.clientY });
    } else if (now.state === 'resizing') {
      const scale = view.live.current.scale * 100;
      const [dx, dy] = [(e.clientX - now.x) / scale, (e.clientY - now.y) / scale];
      const by = Math.round({ left: -dx, right: dx, top: -dy, base: dy }[now.edge] / 2) * 2;
      go({ ...now, by });
      marks.current?.band(pulledBand(now.placed, now.edge, by));
    } else if (now.state === 'labelling') {
      const scale = view.live.current.scale;
      const snap = (pixels: number) => Math.round(pixels / scale / 25) * 25;
      const [dx, dy] = [snap(e.clientX - now.x), -snap(e.clientY - now.y)];
      go({ ...now, dx, dy });
      const { x1, y1, x2, y2 } = now.box;
      marks.current?.band({ x1: x1 + dx, x2: x2 + dx, y1: y1 - dy, y2: y2 - dy });
    } else if (now.state === 'pointing' && isFar(now, e.clientX, e.clientY))
      go({ state: 'dragging', pin: now.pin, port: now.port, unit: now.unit, target: undefined });
    else if (now.state === 'dragging') {
      const at = view.toSheet(e.clientX, e.clientY);
      const target = targetAt(units, at.x, at.y);
      go({ ...now, target });
      if (target) land(now.pin, target);
      else marks.current?.clear();
    } else if (now.state === 'pressing' && isFar(now, e.clientX, e.clientY)) {
      const from = view.toSheet(now.x, now.y);
      go({ state: 'boxing', x1: from.x, y1: from.y, add: now.add });
    } else if (now.state === 'boxing') {
      const to = view.toSheet(e.clientX, e.clientY);
      marks.current?.band({ ...now, x2: to.x, y2: to.y });
    }
  };

  /** Shows where a dragged pin will land. */
  const land = (id: string, { unit, side, at }: Target) => {
    const { x, y } = onSheet(unit, { id: '', side, at, length: 2 });
    const more = selection.length > 1 ? ` and ${selection.length - 1} more` : '';
    const says = `${pins.get(id)?.name ?? ''}${more}: ${unit.unit.label}, ${side}`;
    marks.current?.landing(x, y, says);
  };

  const onPointerUp = (e: PointerEvent<HTMLDivElement>) => {
    const now = gesture.current;
    go(idle);
    if (now.state === 'pressing' && !now.add) {
      act(selected([]));
      if (!now.onUnit) act(unitChosen(null));
    } else if (now.state === 'boxing') {
      const to = view.toSheet(e.clientX, e.clientY);
      const inside = pinsInBox(units, { ...now, x2: to.x, y2: to.y });
      act(selected(now.add ? [...new Set([...selection, ...inside])] : inside));
    } else if (now.state === 'dragging' && now.target) drop(now, now.target);
    else if (now.state === 'resizing') {
      const edit = resizeEdit(now.placed.drawing, now.edge, now.by);
      if (edit) act(edited(edit));
    } else if (now.state === 'labelling' && (now.dx !== 0 || now.dy !== 0)) {
      const { label, dx, dy, placed } = now;
      const labels = placed.drawing.labels.map((l, i) => (i === label ? { ...l, x: l.x + dx, y: l.y + dy } : l));
      act(edited({ kind: 'changeDrawing', drawing: placed.drawing.id, labels }));
    }
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

  const { hold, settled } = view;
  const visible = useMemo(() => inView(drawn.units, settled, size.width, size.height), [drawn.units, settled, size]);
  const settling = useSettling(visible, settled, size);
  const artUnit = art ? units.find((u) => u.unit.id === art.unit) : undefined;
  return (
    <div
      ref={frame}
      // The stage takes the focus, so that its keys are its own; its pins are reached in the ledger.

      tabIndex={0}
      role="group"
      aria-label={`Drawing of ${part.name}: ${counted(units.length, 'unit')}. ${next}`}
      className="group absolute inset-0 touch-none overflow-clip bg-paper outline-none select-none"
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={onPointerUp}
      onPointerLeave={() => doing === 'idle' && view.tellNothing()}
      onPointerCancel={() => go(idle)}
    >
      <div
        ref={dots}
        className="pointer-events-none absolute right-0 bottom-0 will-change-transform"
        // Their size and place follow the view, past React.
        style={{ left: -DOTS_BEYOND, top: -DOTS_BEYOND, backgroundImage: 'radial-gradient(circle, var(--dots) 1px, transparent 1.2px)' }}
      />
      {/* Apart from the units: what is selected changes often, and changes none of them. */}
      <DrawingLayer hold={hold} drawn={settled}>
        <Halos units={visible} selected={selectedSet} />
      </DrawingLayer>
      {/* Each unit is a layer of its own, of its own size: a pin that is moved has its unit drawn again, and no other. */}
      {visible.map((u) => {
        const as = settling.get(u.unit.id);
        if (!as) return null;
        return (
          <Layer key={u.unit.id} hold={hold} drawn={as}>
            <UnitFrame placed={u} view={as}>
              <UnitView {...u} texts={drawn.texts} pins={drawn.pins} joins={drawn.joins} small={as.scale < SMALL} />
            </UnitFrame>
          </Layer>
        );
      })}
      {/* A layer of its own: what the chosen unit is held by comes and goes without drawing the units again. */}
      <DrawingLayer hold={hold} drawn={settled}>
        {handled ? <Grips part={part} placed={handled} /> : null}
        {art && artUnit ? <ArtLayer placed={artUnit} {...art} toSheet={view.toSheet} /> : null}
      </DrawingLayer>
      <Layer hold={hold} drawn={settled}>
        <HandMarks ref={marks} view={settled} stage={size} />
      </Layer>
      {/* While the hand moves something, the pointer is not looked for among the thousands of things under it. */}
      {doing === 'idle' ? null : <div className={`absolute inset-0 ${doing === 'dragging' ? 'cursor-grabbing' : ''}`} />}
      {/* Apart: an outline goes round all that is in its element, and with each move of the hand's marks that would be drawn again. */}
      <div className="pointer-events-none absolute inset-0 -outline-offset-2 outline-green group-focus-visible:outline-2" />
      <div className="absolute bottom-4 left-4" onPointerDown={(e) => e.stopPropagation()}>
        <Minimap units={units} view={view} stage={size} />
      </div>
    </div>
  );
}

function pinsInBox(units: readonly PlacedUnit[], box: Band): string[] {
  const [left, right] = [Math.min(box.x1, box.x2), Math.max(box.x1, box.x2)];
  const [top, base] = [Math.min(box.y1, box.y2), Math.max(box.y1, box.y2)];
  const ids = units.flatMap((u) =>
    u.drawing.ports.flatMap((port) => {
      const { x, y } = onSheet(u, port);
      const pin = u.unit.binding[port.id];
      return pin !== undefined && x >= left && x <= right && y >= top && y <= base ? [pin] : [];
    }),
  );
  return [...new Set(ids)];
}
