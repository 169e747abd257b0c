import { unitSvg } from '../formats';
import { landSvg } from '../lands';
import { padSteps } from '../read-back';
import {
  compareTerminals,
  padOwners,
  terminalsAt,
  padsIn,
  pinsOnNode,
  placesOf,
  plural,
  sayBound,
  type Model,
  type NodeTie,
  type Origin,
  type Package,
  type Part,
  type Pin,
} from '../part';
import { chosenModel, joinedUnits, trialState } from '../spice';
import { el, picture, table, type Markup } from './html';

const nameOf = (pin: Pin): Markup => el('span', pin.activeLow ? { class: 'low' } : {}, pin.name);
const names = (pins: readonly Pin[]): (Markup | string)[] => pins.flatMap((p, i) => (i === 0 ? [nameOf(p)] : [', ', nameOf(p)]));
const tick = (): Markup => el('span', { class: 'tick' });

/** Where a pin was read: the page, the line, or the sheet's cell. */
function saidAt(origin: Origin | undefined): string {
  if (!origin) return 'typed';
  const { page, sheet, cell, line } = origin;
  return [page && `page ${page}`, sheet, cell, line && `line ${line}`].filter(Boolean).join(', ');
}

function remarks(pin: Pin): (Markup | string)[] {
  const because = pin.because?.['type'];
  const byHand = (pin.byHand ?? []).filter((f) => f !== 'place' && f !== 'unit');
  return [
    ...pin.doubts.map((d) => el('p', { class: 'open' }, `${d.field} in doubt: ${d.reason}`)),
    byHand.length > 0 ? el('p', {}, `Set by hand: ${byHand.join(', ')}.`) : '',
    because ? el('p', { class: 'quiet' }, `Type from ${because}.`) : '',
    pin.alternates && pin.alternates.length > 0 ? el('p', { class: 'quiet' }, `Also ${pin.alternates.join(', ')}.`) : '',
  ];
}

/** Every terminal of a package in the order of its numbers, with a box to tick beside the datasheet. */
export function pinSection(part: Part, pkg: Package | undefined): (Markup | undefined)[] {
  const places = placesOf(part);
  const rows = (pkg ? terminalsAt(part.pins, pkg.id) : part.pins.map((pin) => ({ pad: '', terminal: pin })))
    .map(({ pad, terminal }) => ({ number: pad, pin: terminal }))
    .sort((a, b) => compareTerminals(a.number, b.number));
  return [
    el('h2', {}, pkg ? `Pins in ${pkg.name} (${plural(rows.length, 'terminal')})` : `Pins (${rows.length})`),
    table(
      ['', 'Number', 'Name', 'Type', 'Unit', 'Description', 'Read at', 'Remarks'],
      rows.map(({ number, pin }) => [
        tick(),
        number,
        nameOf(pin),
        pin.type,
        (places.get(pin.id) ?? []).map((p) => `${p.unit.label} ${p.port.side}`).join(', ') || el('span', { class: 'open' }, 'not drawn'),
        pin.description,
        saidAt(pin.origin),
        remarks(pin),
      ]),
    ),
  ];
}

/** The pins that a package does not bond out, so that nobody looks for them. */
export function absentSection(part: Part, pkg: Package): Markup | undefined {
  const absent = part.pins.filter((p) => padsIn(p, pkg.id).length === 0);
  return absent.length === 0 ? undefined : el('p', {}, `Not bonded out in ${pkg.name}: `, names(absent), '.');
}

/** The land as a picture, and its pads as they are walked when they are read back. */
export function landSection(part: Part, pkg: Package): (Markup | undefined)[] {
  if (pkg.land.pads.length === 0) return [el('p', { class: 'open' }, `${pkg.name} has no land.`)];
  const steps = padSteps(part, pkg);
  const owners = padOwners(part, pkg.id);
  const loose = steps.filter((s) => (owners.get(s.place) ?? []).length === 0).map((s) => s.place);
  const count = (state: string) => steps.filter((s) => s.state === state).length;
  return [
    el('h3', {}, `Land of ${pkg.name} (${plural(pkg.land.pads.length, 'pad')})`),
    el('figure', {}, picture(landSvg(part, pkg), `Land of ${pkg.name} from the top`)),
    el('p', {}, `Read back: ${count('read')} of ${steps.length}${count('lapsed') > 0 ? `, ${count('lapsed')} lapsed` : ''}.`),
    loose.length > 0 ? el('p', { class: 'open' }, `Pads without a pin: ${loose.join(', ')}.`) : undefined,
  ];
}

export const drawingSection = (part: Part): (Markup | undefined)[] => [
  el('h2', {}, `Drawings (${plural(part.units.length, 'unit')})`),
  ...part.units.map((unit) =>
    el(
      'figure',
      {},
      el('figcaption', {}, `Unit ${unit.label}${unit.title ? `: ${unit.title}` : ''}`),
      picture(unitSvg(part, unit), `Unit ${unit.label} of ${part.name}`),
    ),
  ),
];

/** A model's nodes in their order with what the file says of each, what it is tied to, and what the trials gave. */
export function modelSection(part: Part, model: Model): (Markup | undefined)[] {
  const chosen = chosenModel(model);
  const byId = new Map(part.pins.map((p) => [p.id, p]));
  const tied = (tie: NodeTie | undefined) => {
    if (!tie) return el('span', { class: 'open' }, 'not tied');
    return 'to' in tie ? (tie.to === 'rail' ? `rail ${tie.rail}` : tie.to) : names(pinsOnNode(tie).flatMap((id) => byId.get(id) ?? []));
  };
  const units = joinedUnits(part, model);
  return [
    el('h2', {}, `SPICE model ${model.chosen}`),
    el('p', {}, `From ${model.fileName}.`),
    ...units.flatMap((unit) => [
      el('h3', {}, `Nodes, ${sayBound(unit.label) || 'whole part'}`),
      table(
        ['', 'Node', 'The file says', 'Tied to'],
        (chosen?.nodes ?? []).map((n) => [
          tick(),
          n.name,
          n.doc === '' ? '' : `${n.doc} (line ${n.docLine})`,
          tied(model.ties[unit.id]?.[n.name]),
        ]),
      ),
      el('p', trialState(part, model, unit) === 'pass' ? {} : { class: 'open' }, `Trial: ${trialState(part, model, unit)}.`),
      ...(model.trials ?? [])
        .filter((t) => t.unit === unit.label)
        .map((t) => el('p', { class: 'quiet' }, `${t.bench}: ${t.verdict}. ${t.reason}`)),
    ]),
  ];
}
