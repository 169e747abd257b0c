import { groupBy, carriesPower, goesOut, type Drawing, type Edit, type Pin, type Port, type Unit } from '../part';
import { findPairs } from '../intake';
import { freeSlots, heightFor, marksOf, moveToUnitEdit, scorePlan, slotsOf } from '../arrange';
import { shapeOf } from '../shapes';
import { crossedTexts, overlappingTexts } from './texts';
import { pinText, type Facts, type Rule } from './rule';

/** Each unit with its drawing; units of a missing drawing are refused when a part is read. */
const drawn = ({ part }: Facts): { unit: Unit; drawing: Drawing }[] => {
  const byId = new Map(part.drawings.map((d) => [d.id, d]));
  return part.units.flatMap((unit) => (byId.has(unit.drawing) ? [{ unit, drawing: byId.get(unit.drawing)! }] : []));
};

/** One unit per drawing, for rules about the drawing itself. */
const onceADrawing = (facts: Facts) => drawn(facts).filter((d, i, all) => all.findIndex((e) => e.drawing === d.drawing) === i);

const placeMend = (facts: Facts, pin: Pin): { label: string; edit: Edit }[] => {
  const first = drawn(facts)[0]?.unit;
  if (!first) return [];
  return [
    {
      label: `draw it in unit ${first.label}`,
      edit: moveToUnitEdit(facts.part, [pin.id], first.id, 'right', undefined, facts.rules.pinLength),
    },
  ];
};

const beyond = (drawing: Drawing, port: Port): boolean => !slotsOf(drawing, port.side).includes(port.at);

export const unitRules: Rule[] = [
  {
    id: 'pin-undrawn',
    family: 'units',
    severity: 'error',
    title: 'A pin is in no unit',
    why: 'It cannot be wired, so its pad stays open on the board.',
    find: (facts) => {
      const { pins, units } = facts.part;
      // Before any unit is planned, one finding says as much as one for each of 484 pins.
      if (units.length === 0 && pins.length > 1)
        return [{ where: {}, message: `None of its ${pins.length} pins is drawn: no unit is planned yet.` }];
      return pins
        .filter((p) => !facts.placesOf.has(p.id))
        .map((p) => ({
          where: { pin: p.id },
          message: `${pinText(p)} is drawn in no unit.`,
          mends: placeMend(facts, p),
        }));
    },
  },
  {
    id: 'pin-drawn-twice',
    family: 'units',
    severity: 'error',
    title: 'A pin is drawn more than once and is not shared',
    why: 'Two places for one terminal let two nets meet in it.',
    find: ({ placesOf, pinById }) =>
      [...placesOf]
        .filter(
          ([id, places]) => places.length > 1 && !(pinById.get(id)?.shared && new Set(places.map((p) => p.unit.id)).size === places.length),
        )
        .flatMap(([id, places]) => {
          const pin = pinById.get(id);
          if (!pin) return [];
          const share = carriesPower(pin.type)
            ? [
                {
                  label: 'mark it shared',
                  edit: { kind: 'changePins' as const, changes: [{ id, set: { shared: true } }] },
                },
              ]
            : [];
          return [
            {
              where: { pin: id, unit: places[1]!.unit.id },
              message: `${pinText(pin)} is drawn in ${places.map((p) => p.unit.label).join(' and ')}.`,
              mends: share,
            },
          ];
        }),
  },
  {
    id: 'shared-signal',
    family: 'units',
    severity: 'warning',
    title: 'A signal pin is marked shared',
    why: 'Only supplies may stand in several units.',
    find: ({ part }) =>
      part.pins
        .filter((p) => p.shared && !carriesPower(p.type))
        .map((p) => ({
          where: { pin: p.id },
          message: `${pinText(p)} is typed ${p.type} and marked shared.`,
          mends: [
            {
              label: 'not shared',
              edit: { kind: 'changePins' as const, changes: [{ id: p.id, set: {}, unset: ['shared' as const] }] },
            },
          ],
        })),
  },
  {
    id: 'port-unbound',
    family: 'units',
    severity: 'error',
    title: 'A drawn pin stands for nothing',
    why: 'A designer can wire it, and no terminal of the part is behind it.',
    find: (facts) =>
      drawn(facts).flatMap(({ unit, drawing }) =>
        drawing.ports
          .filter((p) => unit.binding[p.id] === undefined)
          .map((p) => ({
            where: { unit: unit.id },
            message: `Unit ${unit.label} draws a pin at ${p.side} ${p.at} that no pin of the part is bound to.`,
          })),
      ),
  },
  {
    id: 'place-twice',
    family: 'units',
    severity: 'error',
    title: 'Two pins stand at one place',
    why: 'Their connect points fall together and short.',
    find: (facts) =>
      onceADrawing(facts).flatMap(({ unit, drawing }) =>
        [...groupBy(drawing.ports, (p) => `${p.side} ${p.at}`)]
          .filter(([, same]) => same.length > 1)
          .map(([, same]) => {
            const [first, second] = same.map((p) => facts.pinById.get(unit.binding[p.id] ?? ''));
            const at = freeSlots(drawing, same[1]!.side, 1)[0]!;
            return {
              where: { unit: unit.id, ...(second ? { pin: second.id } : {}) },
              message: `${first?.name ?? 'A pin'} and ${second?.name ?? 'another'} stand at one place in unit ${unit.label}.`,
              mends: slotsOf(drawing, same[1]!.side).includes(at)
                ? [
                    {
                      label: 'move one to a free place',
                      edit: {
                        kind: 'movePorts' as const,
                        drawing: drawing.id,
                        moves: [{ port: same[1]!.id, side: same[1]!.side, at }],
                      },
                    },
                  ]
                : [],
            };
          }),
      ),
  },
  {
    id: 'place-outside',
    family: 'units',
    severity: 'error',
    title: 'A pin stands beyond the body',
    why: 'It looks loose and its name is drawn over others.',
    find: (facts) =>
      onceADrawing(facts).flatMap(({ unit, drawing }) =>
        drawing.body.shape === 'none'
          ? []
          : drawing.ports
              .filter((p) => beyond(drawing, p))
              .map((p) => {
                const pin = facts.pinById.get(unit.binding[p.id] ?? '');
                const height = heightFor(drawing);
                const grow =
                  height > drawing.body.height
                    ? [
                        {
                          label: 'make the body taller',
                          edit: { kind: 'changeDrawing' as const, drawing: drawing.id, body: { height } },
                        },
                      ]
                    : [];
                return {
                  where: { unit: unit.id, ...(pin ? { pin: pin.id } : {}) },
                  message: `${pin?.name ?? 'A pin'} stands beyond the body of unit ${unit.label}.`,
                  mends: grow,
                };
              }),
      ),
  },
  {
    id: 'unit-empty',
    family: 'units',
    severity: 'warning',
    title: 'A unit has no pins',
    why: 'It would be placed for nothing.',
    find: ({ part }) =>
      part.units
        .filter((u) => Object.keys(u.binding).length === 0)
        .map((u) => ({
          where: { unit: u.id },
          message: `Unit ${u.label} has no pins.`,
          mends: [{ label: 'remove it', edit: { kind: 'removeUnit', unit: u.id } }],
        })),
  },
  {
    id: 'unit-label-twice',
    family: 'units',
    severity: 'error',
    title: 'Two units have one label',
    why: 'U1A would be two things.',
    find: ({ part }) =>
      [...groupBy(part.units, (u) => u.label)]
        .filter(([, same]) => same.length > 1)
        .map(([label, same]) => ({
          where: { unit: same[1]!.id },
          message: `${same.length} units have the label ${label}.`,
        })),
  },
  {
    id: 'units-unequal',
    family: 'units',
    severity: 'error',
    title: 'Equal units are bound unequally',
    why: 'A designer swaps equal units freely; one that differs inside turns the swap into a fault.',
    find: (facts) =>
      [...groupBy(drawn(facts), (d) => d.drawing.id)].flatMap(([, same]) =>
        same[0]!.drawing.ports.flatMap((port) => {
          const pins = same.map((s) => facts.pinById.get(s.unit.binding[port.id] ?? ''));
          const odd = pins.findIndex((p) => p && pins[0] && (p.type !== pins[0].type || !!p.activeLow !== !!pins[0].activeLow));
          if (odd < 0) return [];
          return [
            {
              where: { unit: same[odd]!.unit.id, pin: pins[odd]!.id },
              message: `${pinText(pins[odd]!)} in unit ${same[odd]!.unit.label} is ${pins[odd]!.type}${pins[odd]!.activeLow ? ', active low' : ''}; at the same place unit ${same[0]!.unit.label} has ${pinText(pins[0]!)}, ${pins[0]!.type}${pins[0]!.activeLow ? ', active low' : ''}.`,
            },
          ];
        }),
      ),
  },
  {
    id: 'names-overlap',
    family: 'units',
    severity: 'warning',
    title: 'Names overlap in a drawing',
    why: 'What cannot be read is read wrongly.',
    find: (facts) => drawn(facts).flatMap(({ unit, drawing }) => overlappingTexts(facts, unit, drawing, true)),
  },
  {
    id: 'texts-overlap',
    family: 'units',
    severity: 'warning',
    title: 'Texts overlap in a drawing',
    why: 'A number under a name, or a value over a title, is read wrongly.',
    find: (facts) => drawn(facts).flatMap(({ unit, drawing }) => overlappingTexts(facts, unit, drawing, false)),
  },
  {
    id: 'text-crossed',
    family: 'units',
    severity: 'warning',
    title: 'A line runs through a text',
    why: 'Artwork over a name hides a letter of it.',
    find: (facts) => drawn(facts).flatMap(({ unit, drawing }) => crossedTexts(facts, unit, drawing)),
  },
  {
    id: 'unit-tall',
    family: 'units',
    severity: 'warning',
    title: 'A unit is taller than the house allows',
    why: 'It does not fit the sheet that it is drawn for.',
    find: (facts) =>
      onceADrawing(facts)
        .filter(({ drawing }) => drawing.body.height > facts.rules.maxHeight)
        .map(({ unit, drawing }) => ({
          where: { unit: unit.id },
          message: `Unit ${unit.label} is ${drawing.body.height} steps tall; the house rules allow ${facts.rules.maxHeight}.`,
        })),
  },
  {
    id: 'group-cut',
    family: 'units',
    severity: 'note',
    title: 'A group stands in several units',
    why: 'A designer looks for one interface on two sheets.',
    find: ({ part, rules }) =>
      scorePlan(part, rules).cut.map(({ group, units }) => ({
        where: { field: group },
        message: `${group} stands in the units ${units.join(' and ')}.`,
      })),
  },
  {
    id: 'mark-type',
    family: 'units',
    severity: 'warning',
    title: 'A pin mark and the pin disagree',
    why: 'The symbol would say another thing than the netlist checks.',
    find: (facts) =>
      drawn(facts).flatMap(({ unit, drawing }) =>
        drawing.ports.flatMap((port) => {
          const pin = facts.pinById.get(unit.binding[port.id] ?? '');
          if (!pin) return [];
          const marks = port.marks ?? [];
          const negated = marks.includes('negation') || marks.includes('polarity');
          const driven = (['open-drain', 'open-source', 'three-state'] as const).find((m) => marks.includes(m) !== (pin.type === m));
          // The output of a NAND is negated, and no level.
          const isOfGate = negated && goesOut(pin.type) && !!shapeOf(drawing.body)?.inverted;
          const isOdd = negated !== !!pin.activeLow && !isOfGate;
          if (!isOdd && driven === undefined) return [];
          const said = isOdd
            ? `is ${pin.activeLow ? '' : 'not '}active low and ${negated ? 'has' : 'lacks'} the mark of it`
            : `is ${pin.type} and its mark says otherwise`;
          const wanted = marksOf(pin);
          return [
            {
              where: { pin: pin.id, unit: unit.id },
              message: `${pinText(pin)} ${said}.`,
              mends: [
                {
                  label: 'set the marks by the pin',
                  edit: { kind: 'changePorts' as const, drawing: drawing.id, ports: [port.id], set: { marks: wanted } },
                },
              ],
            },
          ];
        }),
      ),
  },
  {
    id: 'pair-apart',
    family: 'units',
    severity: 'warning',
    title: 'The halves of a pair stand in different units',
    why: 'Pairs are routed together and should be wired together.',
    find: (facts) => {
      return findPairs(facts.part.pins).flatMap(([p, n]) => {
        const [u, v] = [p, n].map((x) => facts.placesOf.get(x.id)?.[0]?.unit);
        return !u || !v || u === v || carriesPower(p.type)
          ? []
          : [{ where: { pin: n.id, unit: v.id }, message: `${p.name} is in unit ${u.label} and ${n.name} in unit ${v.label}.` }];
      });
    },
  },
];
