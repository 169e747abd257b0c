import fc from 'fast-check';
import {
  alignEdit,
  arrangeAs,
  arrangePart,
  blockEdit,
  busName,
  mergeUnits,
  mirror,
  moveEdit,
  movePins,
  moveToUnitEdit,
  nudge,
  proposeReuse,
  resizeEdit,
  restylePart,
  reuseEdit,
  reuseSource,
  scorePlan,
  shapeEdit,
  SPLITS,
  splitUnit,
  STRATEGIES,
  suggestShapes,
  tidyUnit,
} from '../arrange';
import { checkPart } from '../checks';
import { readEdif, unitSvg, writeEdif, writePinCsv } from '../formats';
import { compareWithSource, differenceOf, listedOf, listedOfPart, reviseEdit, revisionOf, takeProposal, type Proposal } from '../intake';
import { joinByOrder, joinEdit, joinExposedPad } from '../lands';
import {
  applyEdit,
  canonicalPart,
  DEFAULT_RULES,
  inverseOf,
  padOwners,
  parsePart,
  partSchema,
  SIDES,
  terminalsAt,
  type Edit,
  type Part,
} from '../part';
import { padSteps } from '../read-back';
import { writeReport } from '../report';
import { chosenModel, proposeTies, tieEdit, writeSpiceLibrary } from '../spice';
import { good, provenPart, read } from './samples';

/**
 * A part in two packages with a bus, a pair, channels, several grounds and an exposed pad; and revisions of it. What a person
 * does to it in any order must leave a part that can be kept, checked, drawn, exported and undone.
 */
const rows = (change: (row: string, i: number) => string = (r) => r): Proposal => {
  const table = [
    ...Array.from({ length: 4 }, (_, i) => `${i + 1},A${i + 1},D${i},I/O,Data bit ${i}`),
    '5,B1,IN1+,I,Input 1',
    '6,B2,IN1-,I,Input 1 inverting',
    '7,B3,OUT1,O,Output 1',
    '8,B4,IN2+,I,Input 2',
    '9,C1,IN2-,I,Input 2 inverting',
    '10,C2,OUT2,O,Output 2',
    '11,C3,VDD,P,Supply',
    '12,C4,VSS,G,Ground',
    '13,D1,VSS,G,Ground',
    '14,D2,VSSA,G,Analog ground',
    '15,D3,RESET#,I,Reset',
    '16,-,NC,NC,No connection',
    'EP,-,EP,G,Exposed pad',
  ];
  return read(`TF0009 mixer\nSO-16-EP,BGA-16,Name,Type,Description\n${table.map(change).join('\n')}\n`);
};
const OLD = rows();
const REVISIONS = [
  OLD,
  rows((r) => r.replace(',D2,I/O', ',DX,O')),
  rows((r) => r.replace('12,C4,VSS', '12,C4,GND').replace('13,D1,VSS', '13,D1,GND')),
  rows((r, i) => (i === 3 ? '5,A4,D3,I/O,Data bit 3' : i === 4 ? '4,B1,IN1+,I,Input 1' : r)),
  rows((r, i) => (i === 12 ? '13,-,SYNC,I,Synchronisation' : r)),
];
const MODEL = '* in+ in- out vdd vss\n.subckt HALF inp inn out vdd vss\nR1 inp inn 1k\nR2 out vss 1k\nR3 vdd vss 1k\n.ends\n';

const start = ((): Part => {
  const empty = { ...provenPart(), pins: [], units: [], drawings: [], packages: [] };
  const taken = applyEdit(empty, takeProposal(empty, OLD));
  return applyEdit(taken, arrangePart(taken, DEFAULT_RULES));
})();

type Work = (part: Part, a: number, b: number) => Edit | undefined;
const at = <T>(list: readonly T[], n: number): T | undefined => list[n % Math.max(1, list.length)];
const some = (part: Part, a: number, b: number): string[] => [...new Set([a, b, a + b].map((n) => at(part.pins, n)!.id))];
const drawingAt = (part: Part, n: number) => part.drawings.find((d) => d.id === at(part.units, n)?.drawing);
const withDrawing = (part: Part, n: number, work: (d: Part['drawings'][number]) => Edit | undefined): Edit | undefined => {
  const drawing = drawingAt(part, n);
  return drawing && drawing.ports.length > 0 ? work(drawing) : undefined;
};

const WORK: Record<string, Work> = {
  bundle: (part, a, b) => (some(part, a, b).length > 1 ? { kind: 'bundlePins', pins: some(part, a, b) } : undefined),
  bus: (part) => {
    const bus = busName(part.pins.filter((p) => /^D\d$/.test(p.name) && !p.bits));
    return bus && { kind: 'bundlePins', pins: bus.pins.map((p) => p.id), bus: { name: bus.name } };
  },
  split: (part, a) => ({ kind: 'splitPin', pin: at(part.pins, a)!.id }),
  plan: (part, a) => arrangePart(part, DEFAULT_RULES, at(STRATEGIES, a)),
  tidy: (part, a) => (part.units.length > 0 ? tidyUnit(part, at(part.units, a)!.id, DEFAULT_RULES) : undefined),
  restyle: (part) => restylePart(part, { ...DEFAULT_RULES, pinLength: 3 }),
  move: (part, a, b) => withDrawing(part, a, (d) => moveEdit(d, nudge(d, [at(d.ports, b)!.id], a % 2 ? 1 : -1), 'x')),
  mirror: (part, a) => withDrawing(part, a, (d) => moveEdit(d, mirror(d), 'x')),
  resize: (part, a, b) => withDrawing(part, a, (d) => resizeEdit(d, at(SIDES, b)!, (b % 5) * 2 - 4)),
  align: (part, a, b) => withDrawing(part, a, (d) => withDrawing(part, b, (like) => alignEdit(d, like))),
  'to unit': (part, a, b) =>
    part.units.length > 0
      ? moveToUnitEdit(part, some(part, a, b), at(part.units, b)!.id, at(SIDES, a)!, b % 3 ? undefined : 0, 2)
      : undefined,
  'to a new unit': (part, a, b) =>
    arrangeAs(part, movePins(part, some(part, a, b), a % 2 ? undefined : at(part.units, b)?.id), DEFAULT_RULES),
  'split unit': (part, a, b) =>
    part.units.length > 0
      ? arrangeAs(part, splitUnit(part, at(part.units, a)!.id, at(SPLITS, b)!, DEFAULT_RULES), DEFAULT_RULES)
      : undefined,
  merge: (part, a, b) =>
    part.units.length > 1 ? arrangeAs(part, mergeUnits(part, [at(part.units, a)!.id, at(part.units, b)!.id]), DEFAULT_RULES) : undefined,
  'remove unit': (part, a) => (part.units.length > 0 ? { kind: 'removeUnit', unit: at(part.units, a)!.id } : undefined),
  shape: (part, a) => {
    const unit = at(part.units, a);
    const proposal = unit && suggestShapes(part, unit.id)[0];
    return unit && proposal && shapeEdit(part, unit.id, proposal, DEFAULT_RULES);
  },
  block: (part, a) => (part.units.length > 0 ? blockEdit(part, at(part.units, a)!.id, DEFAULT_RULES) : undefined),
  reuse: (part, a, b) => {
    const [unit, from] = [at(part.units, a), at(part.units, b)];
    const source = from && reuseSource(part, from.id);
    return unit && source && unit !== from ? reuseEdit(part, unit.id, proposeReuse(part, unit.id, source), DEFAULT_RULES) : undefined;
  },
  // A number that another pin has is an error that checks find; there nobody can tell what a revision says of either.
  number: (part, a, b) => {
    const pkg = at(part.packages, b);
    const free = ['18', '19', 'EP', '3', '7'].find((n) => pkg && !padOwners(part, pkg.id).has(n));
    return pkg && free
      ? { kind: 'joinPads', package: pkg.id, joins: [{ pin: at(part.pins, a)!.id, pads: [free] }], byHand: true }
      : undefined;
  },
  order: (part, a) => part.packages[0] && joinEdit(part.packages[0].id, joinByOrder(part, part.packages[0].id, some(part, a, 3), '1', 1)),
  exposed: (part) => part.packages[0] && joinExposedPad(part, part.packages[0].id),
  'remove package': (part, a) => (part.packages.length > 1 ? { kind: 'removePackage', package: at(part.packages, a)!.id } : undefined),
  'remove pins': (part, a) => (part.pins.length > 4 ? { kind: 'removePins', pins: [at(part.pins, a)!.id] } : undefined),
  type: (part, a) => ({
    kind: 'changePins',
    byHand: true,
    changes: [{ id: at(part.pins, a)!.id, set: { type: 'passive', group: 'Mine' } }],
  }),
  rename: (part, a) => ({ kind: 'changePins', byHand: true, changes: [{ id: at(part.pins, a)!.id, set: { name: 'NEW' } }] }),
  take: (part, a) => takeProposal(part, at(REVISIONS, a)!),
  revise: (part, a, b) => {
    const found = revisionOf(part, at(REVISIONS, a)!);
    return reviseEdit(part, at(REVISIONS, a)!, new Set(found.filter((_, i) => (b >> (i % 8)) % 2 === 0).map((c) => c.id)));
  },
  compare: (part, a) => compareWithSource(part, at(REVISIONS, a)!, 'other.csv').edit,
  model: () => ({ kind: 'setModel', model: { id: 'm1', fileName: 'half.lib', source: MODEL, chosen: 'HALF', ties: {} } }),
  ties: (part) => {
    const model = part.models[0];
    return model && tieEdit(model, proposeTies(part, model, chosenModel(model)!).ties);
  },
};
const KINDS = Object.keys(WORK);

const done = (part: Part, edit: Edit | undefined): Part => {
  if (!edit) return part;
  const next = applyEdit(part, edit);
  expect(applyEdit(next, inverseOf(part, next))).toEqual(part);
  return next;
};

it('property: whatever is done in whatever order, the part is whole, and can be undone, kept, checked, compared and exported', () => {
  fc.assert(
    fc.property(fc.array(fc.tuple(fc.constantFrom(...KINDS), fc.nat(999), fc.nat(999)), { minLength: 1, maxLength: 14 }), (steps) => {
      let part = start;
      for (const [kind, a, b] of steps) {
        part = done(part, WORK[kind]!(part, a, b));
        // Every binding leads from a port that is there to a pin that is there, and no port stands where another does.
        const pins = new Set(part.pins.map((p) => p.id));
        for (const unit of part.units) {
          const drawing = part.drawings.find((d) => d.id === unit.drawing)!;
          const ports = new Set(drawing.ports.map((p) => p.id));
          for (const [port, pin] of Object.entries(unit.binding))
            expect([kind, ports.has(port), pins.has(pin)]).toEqual([kind, true, true]);
          expect(new Set(drawing.ports.map((p) => `${p.side} ${p.at}`)).size).toBe(drawing.ports.length);
        }
      }
      const kept = parsePart(canonicalPart(part));
      expect(canonicalPart(kept)).toBe(canonicalPart(part));
      expect(partSchema.safeParse(part).success).toBe(true);
      checkPart(part);
      scorePlan(part, DEFAULT_RULES);
      writeReport(part, { version: '1.0.0', note: '', digest: '' });
      const names = part.packages.flatMap((p) => terminalsAt(part.pins, p.id).map(({ pad, terminal }) => `${pad},${terminal.name}`));
      for (const name of names) expect(writePinCsv(part)).toContain(name.split(',')[1]!);
      for (const pkg of part.packages) padSteps(part, pkg);
      for (const unit of part.units) expect(unitSvg(part, unit)).toContain('<svg');
      writeSpiceLibrary(part);
      // A symbol library has the pins that are drawn, and counts them.
      const drawn = new Set(part.units.flatMap((u) => Object.values(u.binding)));
      if (part.pins.every((p) => drawn.has(p.id))) {
        const text = writeEdif(part);
        expect(writeEdif(good(readEdif(text)).parts[0]!)).toBe(text);
      }
      for (const fresh of REVISIONS) {
        const found = revisionOf(part, fresh);
        const taken = applyEdit(part, reviseEdit(part, fresh, new Set(found.map((c) => c.id))));
        expect([steps, revisionOf(taken, fresh)]).toEqual([steps, []]);
        const first = taken.packages.find((p) => p.name === fresh.package);
        if (first)
          expect(differenceOf(listedOfPart(taken, first.name), listedOf(fresh))).toMatchObject({
            added: [],
            removed: [],
            renamed: [],
            retyped: [],
          });
      }
    }),
    { numRuns: 40 },
  );
});
