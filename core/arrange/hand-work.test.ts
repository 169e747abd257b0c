import fc from 'fast-check';
import { applyEdit, DEFAULT_RULES, emptyPart, type Drawing, type Part, type Pin, type Side } from '../part';
import { arrangePart, closeUp, dropPorts, moveEdit, moveToUnitEdit, nudge, openGap, reorder, sendToSide, slotsOf, type Move } from '.';

const SIDES: Side[] = ['left', 'right', 'top', 'base'];

const drawn = (count: number): Part => {
  const pins = Array.from({ length: count }, (_, i): Pin => ({
    id: `p${i}`,
    name: `S${i}`,
    group: `Bank ${Math.floor(i / 10)}`,
    type: i % 3 === 0 ? 'output' : 'input',
    pads: {},
    doubts: [],
  }));
  const part = { ...emptyPart('TF0001'), pins };
  return applyEdit(part, arrangePart(part, { ...DEFAULT_RULES, maxPinsPerUnit: 12 }));
};

/** Each kind of hand work, with what it needs chosen by numbers. */
function work(d: Drawing, kind: number, ports: string[], a: number, b: number): Move[] {
  const one = ports[0]!;
  switch (kind) {
    case 0:
      return nudge(d, ports, a % 2 ? 1 : -1);
    case 1:
      return sendToSide(d, ports, SIDES[a % 4]!);
    case 2:
      return dropPorts(d, ports, one, SIDES[a % 4]!, (b % 9) - 4);
    case 3:
      return openGap(d, one);
    case 4:
      return closeUp(d, ports);
    default:
      return reorder(d, [...ports].reverse());
  }
}

const step = fc.tuple(fc.nat(5), fc.nat(99), fc.nat(99), fc.array(fc.nat(99), { minLength: 1, maxLength: 5 }));

it('property: whatever is done by hand, no two pins stand at one place, none is lost, and flanks hold their pins', () => {
  fc.assert(
    fc.property(fc.integer({ min: 2, max: 30 }), fc.array(step, { maxLength: 15 }), (count, steps) => {
      let part = drawn(count);
      for (const [kind, a, b, chosen] of steps) {
        const d = part.drawings[a % part.drawings.length]!;
        if (d.ports.length === 0) continue;
        const ports = [...new Set(chosen.map((c) => d.ports[c % d.ports.length]!.id))];
        const moves = work(d, kind, ports, a, b);
        if (moves.length > 0) part = applyEdit(part, moveEdit(d, moves, 'work'));
        if (b % 5 === 0) {
          const pin = part.pins[chosen[0]! % part.pins.length]!.id;
          part = applyEdit(part, moveToUnitEdit(part, [pin], part.units[b % part.units.length]!.id, SIDES[a % 2]!, undefined, 2));
        }
      }
      expect(part.units.flatMap((u) => Object.values(u.binding)).sort()).toEqual(part.pins.map((p) => p.id).sort());
      for (const d of part.drawings) {
        expect(new Set(d.ports.map((p) => `${p.side} ${p.at}`)).size).toBe(d.ports.length);
        for (const p of d.ports) if (p.side === 'left' || p.side === 'right') expect(slotsOf(d, p.side)).toContain(p.at);
      }
    }),
    { numRuns: 200 },
  );
});

it('marks a pin that is put into another unit as placed there, and none that makes room for it', () => {
  const part = drawn(30);
  const [from, unit] = [part.units[0]!, part.units[1]!];
  const pin = Object.values(from.binding)[0]!;
  const { side, at } = part.drawings.find((d) => d.id === unit.drawing)!.ports[0]!;
  const moved = (place: number | undefined) => applyEdit(part, moveToUnitEdit(part, [pin], unit.id, side, place, 2));
  const byHand = (after: Part) => after.pins.flatMap((p) => (p.byHand ? [[p.id, ...p.byHand]] : []));
  expect(byHand(moved(at))).toEqual([[pin, 'unit', 'place']]);
  expect(byHand(moved(undefined))).toEqual([[pin, 'unit']]);
  const again = applyEdit(moved(at), arrangePart(moved(at), { ...DEFAULT_RULES, maxPinsPerUnit: 12 }));
  expect(again.units.filter((u) => Object.values(u.binding).includes(pin)).map((u) => u.id)).toEqual([unit.id]);
});
