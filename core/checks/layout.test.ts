import fc from 'fast-check';
import { arrangePart } from '../arrange';
import { applyEdit, DEFAULT_RULES, emptyPart, RULE_PRESETS, type ElectricalType, type HouseRules, type Part, type Pin } from '../part';
import { checkPart } from '.';

const LAID_OUT = ['names-overlap', 'texts-overlap', 'text-crossed', 'place-twice', 'place-outside', 'port-unbound', 'pin-undrawn'];
const faults = (part: Part, rules: HouseRules) =>
  checkPart(part, rules)
    .findings.filter((f) => LAID_OUT.includes(f.rule))
    .map((f) => f.message);

const TYPES: ElectricalType[] = [
  'input',
  'output',
  'bidirectional',
  'supply-in',
  'ground',
  'passive',
  'open-drain',
  'three-state',
  'no-connect',
];
const anyPin = fc.record({
  stem: fc.constantFrom('A', 'DATA_OUT_', 'nCS', 'VDD', 'VSS', 'TIM1_CH', 'X'),
  index: fc.nat(30),
  type: fc.constantFrom(...TYPES),
  group: fc.constantFrom(undefined, 'Bank 1', 'Serial port', 'Debug'),
  activeLow: fc.boolean(),
});
const anyRules = fc.record({
  pinLength: fc.integer({ min: 2, max: 5 }),
  pitch: fc.integer({ min: 1, max: 2 }),
  groupGap: fc.nat(2),
  maxPinsPerUnit: fc.integer({ min: 10, max: 70 }),
  maxHeight: fc.integer({ min: 20, max: 80 }),
  names: fc.constantFrom('inside', 'over'),
  order: fc.constantFrom('natural', 'number', 'datasheet', 'bank'),
  width: fc.constantFrom('names', 'third', 'same'),
  texts: fc.constantFrom('above', 'below', 'split'),
  supplies: fc.constantFrom('own', 'each', 'first', 'signals'),
  strip: fc.boolean(),
  top: fc.boolean(),
});

it('property: whatever the pinout and the house rules, no text runs over another, over a line, or beyond the body', () => {
  fc.assert(
    fc.property(fc.array(anyPin, { minLength: 1, maxLength: 90 }), anyRules, (list, { top, ...some }) => {
      const pins = list.map(({ stem, index, type, group, activeLow }, i): Pin => ({
        id: `p${i}`,
        name: `${stem}${index}`,
        type,
        pads: { p: [`A${i + 1}`] },
        doubts: [],
        ...(group ? { group } : {}),
        ...(activeLow ? { activeLow } : {}),
      }));
      const sides = top ? { ...DEFAULT_RULES.sides, supply: 'top', ground: 'base' } : DEFAULT_RULES.sides;
      const rules = { ...DEFAULT_RULES, ...some, sides } as HouseRules;
      const part: Part = { ...emptyPart('TF0001'), reference: 'U', pins, packages: [{ id: 'p', name: 'P', land: { pads: [] } }] };
      expect(faults(applyEdit(part, arrangePart(part, rules)), rules)).toEqual([]);
    }),
    { numRuns: 60 },
  );
});

it.each(RULE_PRESETS)('a part by the preset “$name” is read everywhere', ({ rules }) => {
  const pins = TYPES.flatMap((type, k) =>
    Array.from({ length: 4 }, (_, i): Pin => ({
      id: `${k}-${i}`,
      name: `${type.toUpperCase()}${i}`,
      type,
      pads: { p: [`${k * 4 + i}`] },
      doubts: [],
    })),
  );
  const part: Part = { ...emptyPart('TF0001'), reference: 'U', pins, packages: [{ id: 'p', name: 'P', land: { pads: [] } }] };
  expect(faults(applyEdit(part, arrangePart(part, rules)), rules)).toEqual([]);
});
