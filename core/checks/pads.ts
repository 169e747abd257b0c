import { packageIn } from '../intake';
import { familyFromName, generateLand, joinExposedPad, meetPads } from '../lands';
import { groupBy, type Package, type Pad, type Part } from '../part';
import { pinText, type Mend, type Rule } from './rule';

const landMend = (pkg: Package): Mend[] => {
  const named = familyFromName(pkg.name);
  const land = named.ok ? generateLand(named.value.family) : undefined;
  return land?.ok
    ? [
        {
          label: `make the nominal land of ${pkg.name}`,
          edit: { kind: 'setPackage', package: { ...pkg, land: land.value } },
        },
      ]
    : [];
};

const exposedMend = (part: Part, packageId: string): Mend[] => {
  const edit = joinExposedPad(part, packageId);
  return edit ? [{ label: 'join the exposed pad', edit }] : [];
};

/** True where two pads touch; boxes are enough, since rounded pads touch no sooner. */
const touch = (a: Pad, b: Pad): boolean => Math.abs(a.x - b.x) < (a.w + b.w) / 2 && Math.abs(a.y - b.y) < (a.h + b.h) / 2;

/** Pads sorted by x, each compared with those that can still reach it: quick for a thousand balls. */
function touchingPads(pads: readonly Pad[]): [Pad, Pad][] {
  const sorted = [...pads].sort((a, b) => a.x - a.w / 2 - (b.x - b.w / 2));
  const found: [Pad, Pad][] = [];
  sorted.forEach((a, i) => {
    for (let k = i + 1; k < sorted.length && sorted[k]!.x - sorted[k]!.w / 2 < a.x + a.w / 2; k++)
      if (a.number !== sorted[k]!.number && touch(a, sorted[k]!)) found.push([a, sorted[k]!]);
  });
  return found;
}

export const padRules: Rule[] = [
  {
    id: 'no-package',
    family: 'pads',
    severity: 'error',
    title: 'The part has no package',
    why: 'Without a footprint nothing can be placed on a board.',
    find: ({ part }) => (part.packages.length > 0 ? [] : [{ where: {}, message: 'The part has no package.' }]),
  },
  {
    id: 'land-missing',
    family: 'pads',
    severity: 'error',
    title: 'A package has no land',
    why: 'The numbers of the pins are then compared with nothing.',
    find: ({ part }) =>
      part.packages
        .filter((p) => p.land.pads.length === 0)
        .map((p) => ({ where: { package: p.id }, message: `Package ${p.name} has no pads yet.`, mends: landMend(p) })),
  },
  {
    id: 'pad-without-pin',
    family: 'pads',
    severity: 'error',
    title: 'A pad has no pin',
    why: 'It stays open on the board, whatever the datasheet wants there.',
    find: ({ part }) =>
      part.packages.flatMap((pkg) => {
        const { padsWithoutPin } = meetPads(part, pkg.id);
        return padsWithoutPin.map((pad) => ({
          where: { package: pkg.id, pad },
          message: `Pad ${pad} of ${pkg.name} has no pin.`,
          mends: exposedMend(part, pkg.id),
        }));
      }),
  },
  {
    id: 'number-without-pad',
    family: 'pads',
    severity: 'error',
    title: 'A pin has a number that the land has not',
    why: 'The netlist would name a pad that does not exist.',
    find: ({ part, pinById }) =>
      part.packages
        .filter((pkg) => pkg.land.pads.length > 0)
        .flatMap((pkg) =>
          meetPads(part, pkg.id).numbersWithoutPad.map(({ pin, number }) => ({
            where: { pin, package: pkg.id, pad: number },
            message: `${pinText(pinById.get(pin)!, pkg.id)}: ${pkg.name} has no pad ${number}.`,
            mends: exposedMend(part, pkg.id),
          })),
        ),
  },
  {
    id: 'pad-count',
    family: 'pads',
    severity: 'warning',
    title: "The land's pads do not fit the package's name",
    why: 'A 14-lead package with 16 pads is another package.',
    find: ({ part }) =>
      part.packages.flatMap((pkg) => {
        const expected = packageIn(pkg.name)?.count;
        const found = new Set(pkg.land.pads.filter((p) => !p.mechanical).map((p) => p.number)).size;
        // The exposed pad is not counted in a package's name.
        if (expected === undefined || found === 0 || found === expected || found === expected + 1) return [];
        return [{ where: { package: pkg.id }, message: `${pkg.name} should have ${expected} pads; its land has ${found}.` }];
      }),
  },
  {
    id: 'pads-touch',
    family: 'pads',
    severity: 'error',
    title: 'Two pads of different numbers touch',
    why: 'They short on the board.',
    find: ({ part }) =>
      part.packages.flatMap((pkg) =>
        touchingPads(pkg.land.pads)
          .slice(0, 10)
          .map(([a, b]) => ({
            where: { package: pkg.id, pad: b.number },
            message: `Pads ${a.number} and ${b.number} of ${pkg.name} touch.`,
          })),
      ),
  },
  {
    id: 'pad-number-twice',
    family: 'pads',
    severity: 'note',
    title: 'Several pads have one number',
    why: 'They are one net; make sure that this is meant.',
    find: ({ part }) =>
      part.packages.flatMap((pkg) =>
        [...groupBy(pkg.land.pads, (p) => p.number)]
          .filter(([, same]) => same.length > 1)
          .map(([number, same]) => ({
            where: { package: pkg.id, pad: number },
            message: `${same.length} pads of ${pkg.name} have the number ${number}.`,
          })),
      ),
  },
  {
    id: 'pad-unnumbered',
    family: 'pads',
    severity: 'warning',
    title: 'A pad has no number',
    why: 'No pin can be joined to it.',
    find: ({ part }) =>
      part.packages.flatMap((pkg) =>
        pkg.land.pads.some((p) => p.number.trim() === '' && !p.mechanical)
          ? [{ where: { package: pkg.id }, message: `${pkg.name} has a pad without a number.` }]
          : [],
      ),
  },
];
