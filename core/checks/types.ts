import { drives, listed, netName, terminalsOf, type ElectricalType, type Part, type Pin } from '../part';
import { findPairs } from '../intake';
import { pinText, setType, type RawFinding, type Rule } from './rule';

const SUPPLY_NAME = /^[ADPI]?V(CC|DD|BAT)[A-Z0-9_]*$|^(AVDD|DVDD|IOVDD|PVDD|AVCC|DVCC|VBAT|VPWR)\d*$/i;
const GROUND_NAME = /^([ADPSR]|RF)?_?GND\d*$|^[ADP]?VSS\d*$|^GROUND$/i;
const NC_NAME = /^N\.?\/?C\.?\d*$/i;

/** The contact of a switch that is closed at rest is called NC too, beside its NO. */
const isBreakContact = ({ name, description }: Pin, { pins }: Part): boolean =>
  /\bnormally[- ]closed\b|\bbreak contact\b/i.test(description ?? '') ||
  pins.some((p) => p.name.toUpperCase() === name.toUpperCase().replace('NC', 'NO'));
const LOW_NAME = /^[/!~\\]\w|\w#$|^n(RESET|CS|IRQ|INT|OE|WE|FAULT)\b|(RESET|CS|OE|WE|INT|IRQ|FAULT)_N$/;

const is = (pin: Pin, ...types: ElectricalType[]): boolean => types.includes(pin.type);

/** A drawn pin whose pads are one net: any but a bus. */
const isOneNet = (pin: Pin): boolean => pin.bits === undefined;
const isDriver = (pin: Pin): boolean => drives(pin.type) && pin.type !== 'supply-out';
const hasOwn = (pin: Pin, field: 'name' | 'type'): boolean => pin.members?.some((m) => m[field] !== undefined) ?? false;

function ofBundle(pin: Pin, said: (terminal: Pin) => string, what: string): RawFinding {
  const list = listed([...new Set(terminalsOf(pin).map(said))], 6);
  return {
    where: { pin: pin.id },
    message: `${pinText(pin)} joins terminals ${what}: ${list}.`,
    mends: [{ label: 'split it', edit: { kind: 'splitPin', pin: pin.id } }],
  };
}

export const typeRules: Rule[] = [
  {
    id: 'type-unspecified',
    family: 'types',
    severity: 'error',
    title: 'A pin has no electrical type',
    why: 'Wiring checks are blind at this pin: an output on an output passes unseen.',
    find: ({ part }) =>
      part.pins
        .filter((p) => p.type === 'unspecified')
        .map((p) => ({
          where: { pin: p.id },
          message: `${pinText(p)} has no electrical type.`,
          mends: (['input', 'output', 'bidirectional', 'passive'] as const).map((t) => setType([p], t)),
        })),
  },
  {
    id: 'supply-name-type',
    family: 'types',
    severity: 'error',
    title: 'A supply name stands with a signal type',
    why: 'A supply that is no supply is not powered by the power check, and nobody notices until the board.',
    find: ({ part }) =>
      part.pins
        .filter((p) => SUPPLY_NAME.test(p.name) && !is(p, 'supply-in', 'supply-out', 'unspecified', 'ground'))
        .map((p) => ({
          where: { pin: p.id },
          message: `${pinText(p)} is named like a supply and typed ${p.type}.`,
          mends: [setType([p], 'supply-in'), setType([p], 'supply-out')],
        })),
  },
  {
    id: 'ground-name-type',
    family: 'types',
    severity: 'error',
    title: 'A ground name stands with another type',
    why: 'Grounds are checked as grounds only when they are typed so.',
    find: ({ part }) =>
      part.pins
        .filter((p) => GROUND_NAME.test(p.name) && !is(p, 'ground', 'unspecified') && !(is(p, 'supply-in') && /VSS/i.test(p.name)))
        .map((p) => ({
          where: { pin: p.id },
          message: `${pinText(p)} is named like a ground and typed ${p.type}.`,
          mends: [setType([p], 'ground')],
        })),
  },
  {
    id: 'no-connect-name',
    family: 'types',
    severity: 'warning',
    title: 'NC stands with another type',
    why: 'NC is not connected inside or reserved; any other type invites a wire.',
    find: ({ part }) =>
      part.pins
        .filter((p) => NC_NAME.test(p.name) && !is(p, 'no-connect', 'reserved', 'unspecified') && !isBreakContact(p, part))
        .map((p) => ({
          where: { pin: p.id },
          message: `${pinText(p)} is typed ${p.type}.`,
          mends: [setType([p], 'no-connect'), setType([p], 'reserved')],
        })),
  },
  {
    id: 'active-low-name',
    family: 'types',
    severity: 'warning',
    title: 'The active-low flag and the name disagree',
    why: 'A designer drives the pin the way the symbol shows it.',
    find: ({ part }) =>
      part.pins
        .filter((p) => !p.activeLow && LOW_NAME.test(p.name) && !p.byHand?.includes('activeLow'))
        .map((p) => ({
          where: { pin: p.id },
          message: `${pinText(p)} is named active low and not flagged so.`,
          mends: [
            {
              label: 'flag it active low',
              edit: { kind: 'changePins', changes: [{ id: p.id, set: { activeLow: true } }], byHand: true },
            },
          ],
        })),
  },
  {
    id: 'active-low-power',
    family: 'types',
    severity: 'warning',
    title: 'A supply or ground is flagged active low',
    why: 'Power has no active level.',
    find: ({ part }) =>
      part.pins
        .filter((p) => p.activeLow && is(p, 'supply-in', 'supply-out', 'ground', 'no-connect'))
        .map((p) => ({
          where: { pin: p.id },
          message: `${pinText(p)} is typed ${p.type} and flagged active low.`,
          mends: [
            {
              label: 'take the flag off',
              edit: { kind: 'changePins', changes: [{ id: p.id, set: { activeLow: false } }], byHand: true },
            },
          ],
        })),
  },
  {
    id: 'output-bundled',
    family: 'types',
    severity: 'error',
    title: 'A bundle joins driving outputs',
    why: 'Pads of one drawn pin are one net: outputs in it drive against each other.',
    find: ({ part }) =>
      part.pins.filter(isOneNet).flatMap((p) =>
        Object.entries(p.pads)
          .filter(([, pads]) => isDriver(p) && pads.length > 1)
          .slice(0, 1)
          .map(([pkg]) => ({
            where: { pin: p.id, package: pkg },
            message: `${pinText(p, pkg)} joins ${p.pads[pkg]!.length} outputs in one bundle.`,
            mends: [{ label: 'split it', edit: { kind: 'splitPin' as const, pin: p.id } }],
          })),
      ),
  },
  {
    id: 'bundle-types',
    family: 'types',
    severity: 'error',
    title: 'A bundle joins terminals of different types',
    why: 'Pads of one drawn pin are one net: what the datasheet keeps apart is shorted on the board.',
    find: ({ part }) =>
      part.pins.filter((p) => isOneNet(p) && hasOwn(p, 'type')).map((p) => ofBundle(p, (t) => `${t.name} ${t.type}`, 'of different types')),
  },
  {
    id: 'bundle-names',
    family: 'types',
    severity: 'warning',
    title: 'A bundle joins terminals of different names',
    why: 'Grounds and supplies that the datasheet names apart are often to be kept apart on the board too.',
    find: ({ part }) =>
      part.pins
        // Of what is an error already nothing more is said.
        .filter((p) => isOneNet(p) && hasOwn(p, 'name') && !hasOwn(p, 'type') && !isDriver(p))
        .filter((p) => new Set(terminalsOf(p).map((t) => netName(t).toUpperCase())).size > 1)
        .map((p) => ofBundle(p, (t) => t.name, 'that the datasheet names apart')),
  },
  {
    id: 'no-ground',
    family: 'types',
    severity: 'warning',
    title: 'There is a supply and no ground',
    why: 'The current has no way back; a pin is probably mistyped.',
    find: ({ part }) => {
      const supplies = part.pins.filter((p) => p.type === 'supply-in');
      if (
        supplies.length === 0 ||
        part.pins.some((p) => p.type === 'ground') ||
        supplies.some((p) => /^V(EE|-|−|S-|S−|SS)|^-V/i.test(p.name))
      )
        return [];
      return [{ where: { pin: supplies[0]!.id }, message: `${pinText(supplies[0]!)} is a supply, and no pin is a ground.` }];
    },
  },
  {
    id: 'no-supply',
    family: 'types',
    severity: 'note',
    title: 'There is a ground and no supply',
    why: 'An active part needs one; a pin is probably mistyped.',
    find: ({ part }) => {
      const ground = part.pins.find((p) => p.type === 'ground');
      const active = part.pins.some((p) => is(p, 'output', 'three-state', 'input'));
      if (!ground || !active || part.pins.some((p) => is(p, 'supply-in', 'supply-out'))) return [];
      return [{ where: { pin: ground.id }, message: `${pinText(ground)} is a ground, and no pin is a supply.` }];
    },
  },
  {
    id: 'pair-types',
    family: 'types',
    severity: 'warning',
    title: 'The halves of a pair have different types',
    why: 'Both halves of a differential pair go the same way.',
    find: ({ part }) => {
      return findPairs(part.pins).flatMap(([p, n]) => {
        const power = is(p, 'supply-in', 'ground', 'supply-out') || is(n, 'supply-in', 'ground', 'supply-out');
        if (p.type === n.type || power) return [];
        return [
          {
            where: { pin: n.id },
            message: `${p.name} is ${p.type} and ${n.name} is ${n.type}.`,
            mends: [setType([p, n], p.type), setType([p, n], n.type)].map((m, i) => ({
              ...m,
              label: `make both ${i === 0 ? p.type : n.type}`,
            })),
          },
        ];
      });
    },
  },
];
