import type { Part, Pin } from '../part';
import { compareTerminals, groupBy } from '../part';
import { pinText, type RawFinding, type Rule } from './rule';

/** Letters and digits that are read for each other. */
const lookalike = (name: string): string =>
  name.toUpperCase().replace(/O/g, '0').replace(/[IL]/g, '1').replace(/B/g, '8').replace(/S/g, '5');

function gapsIn(part: Part, packageId: string): RawFinding[] {
  const numbers = [...new Set(part.pins.flatMap((p) => p.pads[packageId] ?? []))]
    .filter((n) => /^\d+$/.test(n))
    .sort(compareTerminals)
    .map(Number);
  if (numbers.length < 3) return [];
  return [0, ...numbers].flatMap((from, i, all) => {
    const to = all[i + 1];
    if (to === undefined || to - from < 2 || to - from > 200) return [];
    const missing = to - from === 2 ? `${from + 1}` : `${from + 1} to ${to - 1}`;
    return [{ where: { package: packageId, pad: String(from + 1) }, message: `No pin has the number ${missing}.` }];
  });
}

export const pinRules: Rule[] = [
  {
    id: 'no-pins',
    family: 'pins',
    severity: 'error',
    title: 'The part has no pins',
    why: 'There is nothing to release yet.',
    find: ({ part }) => (part.pins.length > 0 ? [] : [{ where: {}, message: 'The part has no pins.' }]),
  },
  {
    id: 'number-twice',
    family: 'pins',
    severity: 'error',
    title: 'A number stands twice',
    why: 'Two pins on one pad short two signals on the board.',
    find: ({ part }) =>
      part.packages.flatMap(({ id, name }) => {
        const owners = part.pins.flatMap((pin) => (pin.pads[id] ?? []).map((pad) => ({ pin, pad })));
        return [...groupBy(owners, (o) => o.pad)]
          .filter(([, same]) => same.length > 1)
          .map(([pad, same]) => ({
            where: { pin: same[1]!.pin.id, package: id, pad },
            message: `Number ${pad} of ${name} stands ${same.length} times: ${[...new Set(same.map((s) => s.pin.name))].join(', ')}.`,
          }));
      }),
  },
  {
    id: 'number-gap',
    family: 'pins',
    severity: 'warning',
    title: 'A number is missing in the sequence',
    why: 'A row of the table was probably not read.',
    find: ({ part }) => part.packages.flatMap((p) => gapsIn(part, p.id)),
  },
  {
    id: 'name-missing',
    family: 'pins',
    severity: 'error',
    title: 'A pin has no name',
    why: 'Nobody can wire what has no name.',
    find: ({ part }) =>
      part.pins
        .filter((p) => p.name.trim() === '')
        .map((p) => ({
          where: { pin: p.id },
          message: `The pin with number ${Object.values(p.pads)[0]?.[0] ?? '?'} has no name.`,
        })),
  },
  {
    id: 'name-form',
    family: 'pins',
    severity: 'warning',
    title: 'A pin name holds what names should not',
    why: 'Blanks, brackets of markup and control characters break netlists and exports.',
    find: ({ part }) =>
      part.pins

        .filter((p) => /[\s<>&"'\\\u0000-\u001f]/.test(p.name))
        .map((p) => ({
          where: { pin: p.id },
          message: `The name “${p.name}” holds blanks or characters that netlists do not take.`,
        })),
  },
  {
    id: 'name-lookalike',
    family: 'pins',
    severity: 'warning',
    title: 'Two names differ only by letters that look alike',
    why: 'IO0 and I00 are one typing slip apart, and the board shows it.',
    find: ({ part }) =>
      [...groupBy([...new Set(part.pins.map((p) => p.name))], (n) => (/[A-Z]/i.test(n) ? lookalike(n) : undefined))]
        .filter(([, names]) => names.length > 1)
        .filter(([, names]) => new Set(names.map((n) => n.toUpperCase())).size > 1)
        .map(([, names]) => ({
          where: { pin: part.pins.find((p) => p.name === names[1])!.id },
          message: `${names.join(' and ')} look alike. Is one of them a slip?`,
        })),
  },
  {
    id: 'name-types',
    family: 'pins',
    severity: 'warning',
    title: 'Pins of one name have different types',
    why: 'Pins of one name are one signal, so one of the types is wrong.',
    find: ({ part }) =>
      [...groupBy(part.pins, (p) => p.name || undefined)]
        .filter(([, same]) => new Set(same.map((p) => p.type)).size > 1)
        .map(([name, same]) => ({
          where: { pin: same[1]!.id },
          message: `${name} stands as ${[...new Set(same.map((p) => p.type))].join(' and as ')}.`,
          mends: typeMends(same),
        })),
  },
  {
    id: 'pin-without-pad',
    family: 'pins',
    severity: 'error',
    title: 'A pin has no number in any package',
    why: 'It can be wired in the schematic and will be connected to nothing.',
    find: ({ part }) =>
      part.pins
        .filter((p) => Object.values(p.pads).every((pads) => pads.length === 0))
        .map((p) => ({ where: { pin: p.id }, message: `${pinText(p)} has no number in any package.` })),
  },
  {
    id: 'alternate-twice',
    family: 'pins',
    severity: 'note',
    title: 'A pin names one function twice',
    why: 'A printed name and its alternates should all differ.',
    find: ({ part }) =>
      part.pins
        .filter((p) => new Set(p.alternates).size < (p.alternates?.length ?? 0))
        .map((p) => ({
          where: { pin: p.id },
          message: `${pinText(p)} names an alternate function twice.`,
          mends: [
            {
              label: 'keep one',
              edit: { kind: 'changePins', changes: [{ id: p.id, set: { alternates: [...new Set(p.alternates)] } }] },
            },
          ],
        })),
  },
];

const typeMends = (same: Pin[]) =>
  [...new Set(same.map((p) => p.type))].map((type) => ({
    label: `make all ${type}`,
    edit: { kind: 'changePins' as const, changes: same.map((p) => ({ id: p.id, set: { type } })), byHand: true },
  }));
