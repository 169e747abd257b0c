import { applyEdit, isFlank, nameOnDrawing, type Drawing, type Edit, type HouseRules, type Part, type Side } from '../part';
import { SHAPES, type ShapeName } from '../shapes';
import { labelsFor } from './draw';
import { suggestShapes, type ShapeProposal } from './propose-shape';
import { isWiper } from './shape-roles';
import { tidyUnit } from './tidy';

/** Shapes that one style has and the other does not. */
const OF_STYLE: Record<'distinctive' | 'rectangular', readonly ShapeName[]> = {
  distinctive: ['and', 'or', 'xor', 'buffer', 'resistor-zigzag'],
  rectangular: ['and-block', 'or-block', 'xor-block', 'buffer-block', 'resistor'],
};
/** So sure, and without a doubt, a shape is taken without a question. */
const SURE = 0.9;

/** The shape that a planned unit is drawn as, of those that the house has; undefined where it stays a block. */
function sureShape(part: Part, unitId: string, without: readonly ShapeName[]): ShapeProposal | undefined {
  const [best] = suggestShapes(part, unitId).filter((p) => !without.includes(p.shape));
  if (!best) return undefined;
  // A potentiometer with a wiper of its own is one beside supplies too: they feed what moves it.
  const isFed = SHAPES[best.shape].active || (best.shape === 'potentiometer' && best.bound.some((b) => isWiper(b.pin)));
  const isWhole = isFed || part.pins.every((p) => p.type !== 'supply-in' && p.type !== 'supply-out');
  const isOne = best.shape !== 'contacts' || best.bound.every((b) => b.pin.type === 'passive');
  return isWhole && isOne && best.confidence >= SURE && best.doubts.length === 0 ? best : undefined;
}

const isEqualEdit = (a: Edit | undefined, b: Edit): boolean =>
  a?.kind === 'batch' && b.kind === 'batch' && JSON.stringify(a.edits) === JSON.stringify(b.edits);

/** Units and drawings, those drawn as the shapes that their pins call for without a doubt. */
export function drawnAsShapes<T extends Pick<Part, 'units' | 'drawings'>>(part: Part, made: T, rules: HouseRules): T {
  if (rules.bodies === 'blocks') return made;
  const without = OF_STYLE[rules.bodies === 'distinctive' ? 'rectangular' : 'distinctive'];
  let drawn: Part = { ...part, units: made.units, drawings: made.drawings };
  for (const { id } of made.drawings) {
    // All that share a drawing have to call for the same.
    const edits = made.units
      .filter((u) => u.drawing === id)
      .map((u) => {
        const shape = sureShape(drawn, u.id, without);
        return shape && shapeEdit(drawn, u.id, shape, rules);
      });
    const [first] = edits;
    if (first && edits.every((e) => isEqualEdit(e, first))) drawn = applyEdit(drawn, first);
  }
  return { ...made, units: drawn.units, drawings: drawn.drawings };
}

/**
 * The edit that gives a unit's drawing a shape: the frame at the shape's size, the ports at its places, pins that it has
 * no port for on the free places of the left side. All units that share the drawing change with it.
 */
export function shapeEdit(part: Part, unitId: string, proposal: ShapeProposal, rules: HouseRules): Edit {
  const unit = part.units.find((u) => u.id === unitId)!;
  const drawing = part.drawings.find((d) => d.id === unit.drawing)!;
  const def = SHAPES[proposal.shape];
  const portOf = new Map(Object.entries(unit.binding).map(([port, pin]) => [pin, port]));
  const placed = proposal.bound.map(({ port, pin }) => ({ port: portOf.get(pin.id)!, side: port.side, at: port.at }));
  const used = new Set(placed.filter((p) => p.side === 'left').map((p) => p.at));
  let at = def.height / 2 - 1;
  const others = proposal.left.map((pin) => {
    while (used.has(at)) at--;
    used.add(at);
    return { port: portOf.get(pin.id)!, side: 'left' as const, at };
  });
  const moves = [...placed, ...others];
  const reach = Math.max(0, ...moves.filter((m) => isFlank(m.side)).map((m) => Math.abs(m.at) * 2 + 2));
  const height = Math.max(def.height, reach + (reach % 2));
  const names = proposal.shape === 'contacts' ? widthForNames(proposal) : 0;
  const across = Math.max(0, ...moves.filter((m) => !isFlank(m.side)).map((m) => Math.abs(m.at) * 2 + 2));
  const width = Math.max(def.width, names + (names % 2), across);
  const body: Drawing['body'] = { shape: proposal.shape, width, height, strip: 0 };
  const reaches = (side: Side) => (moves.some((m) => m.side === side) ? rules.pinLength + 1 : 0);
  const labels = labelsFor(width, height, { top: reaches('top'), base: reaches('base') }, rules.texts);
  return {
    kind: 'batch',
    title: `draw unit ${unit.label} as ${def.title}`,
    edits: [
      { kind: 'changeDrawing', drawing: drawing.id, body, labels },
      { kind: 'movePorts', drawing: drawing.id, moves },
      ...(proposal.inverted ? negateOutputs(drawing, proposal, portOf) : []),
    ],
  };
}

/** The negation of IEC 60617-12 at the outputs of a shape; other marks stay. */
function negateOutputs(drawing: Drawing, { bound }: ShapeProposal, portOf: ReadonlyMap<string, string>): Edit[] {
  return bound.flatMap(({ port, pin }): Edit[] => {
    const drawn = drawing.ports.find((p) => p.id === portOf.get(pin.id))!;
    const marks = drawn.marks ?? [];
    if (port.role !== 'output' || marks.includes('negation') || marks.includes('polarity')) return [];
    return [{ kind: 'changePorts', drawing: drawing.id, ports: [drawn.id], set: { marks: ['negation', ...marks] } }];
  });
}

const widthForNames = ({ bound }: ShapeProposal): number => {
  const longest = (side: Side) => Math.max(0, ...bound.filter((b) => b.port.side === side).map((b) => nameOnDrawing(b.pin).length));
  return Math.ceil((longest('left') + longest('right')) * 0.405 + 1.8);
};

/** The edit that gives a unit the block again, its pins placed by the house rules. */
export function blockEdit(part: Part, unitId: string, rules: HouseRules): Edit {
  const unit = part.units.find((u) => u.id === unitId)!;
  const strip = rules.strip ? 1 : 0;
  const change: Edit = { kind: 'changeDrawing', drawing: unit.drawing, body: { shape: 'block', strip }, strokes: [] };
  const bound = new Set(part.units.filter((u) => u.drawing === unit.drawing).flatMap((u) => Object.values(u.binding)));
  const free = part.pins.map((p) => (bound.has(p.id) && p.byHand ? { ...p, byHand: p.byHand.filter((f) => f !== 'place') } : p));
  const tidy = tidyUnit({ ...applyEdit(part, change), pins: free }, unitId, rules);
  return { kind: 'batch', title: `draw unit ${unit.label} as a block`, edits: [change, tidy] };
}
