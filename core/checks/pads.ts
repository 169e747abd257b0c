import { packageIn } from '../intake';
import { familyFromName, generateLand, joinExposedPad, meetPads, withPads } from '../lands';
import { carriesPower, groupBy, padsIn, UNNAMED_PACKAGE, type Package, type Pad, type Part } from '../part';
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

/** The one pad at the middle that is larger than all others. */
function exposedPad(pkg: Package): Pad | undefined {
  const [first] = [...pkg.land.pads].sort((a, b) => b.w * b.h - a.w * a.h);
  const isMiddle = first !== undefined && Math.hypot(first.x, first.y) < 0.1 * Math.min(first.w, first.h);
  return isMiddle && pkg.land.pads.length > 2 && pkg.land.pads.every((p) => p === first || p.w * p.h * 2 < first.w * first.h)
    ? first
    : undefined;
}

/** True where pads numbered 1, 2, 3, … go around the middle clockwise; two rows or four sides have a sense, rows alone none. */
function countsClockwise(pads: readonly Pad[]): boolean {
  const ring = pads.filter((p) => /^\d+$/.test(p.number) && Math.hypot(p.x, p.y) > 0.2).sort((a, b) => Number(a.number) - Number(b.number));
  if (ring.length < 5) return false;
  // Twice the area of the polygon through the pads: negative where it is followed clockwise (y upwards).
  const area = ring.reduce((sum, p, i) => sum + p.x * ring[(i + 1) % ring.length]!.y - ring[(i + 1) % ring.length]!.x * p.y, 0);
  const turns = ring.filter((p, i) => p.x * ring[(i + 1) % ring.length]!.y < ring[(i + 1) % ring.length]!.x * p.y).length;
  return area < 0 && turns > ring.length * 0.8;
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
        .map((p) => ({
          where: { package: p.id },
          message: `${p.name === UNNAMED_PACKAGE ? 'The package' : `Package ${p.name}`} has no pads yet.`,
          mends: landMend(p),
        })),
  },
  {
    id: 'pad-without-pin',
    family: 'pads',
    severity: 'error',
    title: 'A pad has no pin',
    why: 'It stays open on the board, whatever the datasheet wants there.',
    find: ({ part }) =>
      part.packages.flatMap((pkg) => {
        const exposed = exposedPad(pkg)?.number;
        const { padsWithoutPin } = meetPads(part, pkg.id);
        return padsWithoutPin
          .filter((pad) => pad !== exposed)
          .map((pad) => ({
            where: { package: pkg.id, pad },
            message: `Pad ${pad} of ${pkg.name} has no pin.`,
            mends: exposedMend(part, pkg.id),
          }));
      }),
  },
  {
    id: 'exposed-pad-open',
    family: 'pads',
    severity: 'error',
    title: 'The exposed pad has no pin',
    why: 'It carries the heat and mostly the ground; left out of the symbol, nobody will connect it.',
    find: ({ part }) =>
      part.packages.flatMap((pkg) => {
        const pad = exposedPad(pkg)?.number;
        return pad === undefined || !meetPads(part, pkg.id).padsWithoutPin.includes(pad)
          ? []
          : [
              {
                where: { package: pkg.id, pad },
                message: `The exposed pad ${pad} of ${pkg.name} has no pin.`,
                mends: exposedMend(part, pkg.id),
              },
            ];
      }),
  },
  {
    id: 'rail-partly-joined',
    family: 'pads',
    severity: 'warning',
    title: 'Some pins of a rail have no pad in a package',
    why: 'A rail that is only partly on the board heats up where it is thin, or is not bonded out there: say which.',
    find: ({ part }) =>
      part.packages
        .filter((pkg) => pkg.land.pads.length > 0)
        .flatMap((pkg) =>
          [
            ...groupBy(
              part.pins.filter((p) => carriesPower(p.type)),
              (p) => p.name,
            ),
          ]
            .map(([name, pins]) => ({ name, pins, open: pins.filter((p) => padsIn(p, pkg.id).length === 0) }))
            .filter(({ pins, open }) => open.length > 0 && open.length < pins.length)
            .map(({ name, pins, open }) => ({
              where: { pin: open[0]!.id, package: pkg.id },
              message: `${open.length} of ${pins.length} pins of ${name} have no pad in ${pkg.name}.`,
            })),
        ),
  },
  {
    id: 'numbering-mirrored',
    family: 'pads',
    severity: 'error',
    title: 'The pads are counted clockwise',
    why: 'Seen from the top they are counted counter-clockwise (IEC 60191, JEDEC 95); a drawing of the bottom was copied.',
    find: ({ part }) =>
      part.packages
        .filter((pkg) => packageIn(pkg.name) !== undefined && countsClockwise(pkg.land.pads))
        .map((pkg) => ({
          where: { package: pkg.id },
          message: `The pads of ${pkg.name} are counted clockwise as seen from the top.`,
          mends: [
            {
              label: 'mirror the land',
              edit: {
                kind: 'setPackage' as const,
                package: {
                  ...pkg,
                  land: withPads(
                    pkg.land,
                    pkg.land.pads.map((p) => ({ ...p, x: -p.x + 0 })),
                  ),
                },
              },
            },
          ],
        })),
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
