import type { Part } from '../part';
import { el, page, table, type Markup } from './html';
import { absentSection, drawingSection, landSection, modelSection, pinSection } from './sections';

/** What a report is of: a release, or the draft that a part is. */
export interface Edition {
  version: string;
  note: string;
  digest: string;
}

/**
 * The datasheet-check report: one HTML file to lay beside the datasheet and tick. It has every terminal with its type,
 * place and origin, what is in doubt or was set by hand, the lands, the nodes of the models with their trials, the
 * drawings and the waivers. It depends on nothing but the part and the edition, so that a release always has the same.
 */
export function writeReport(part: Part, { version, note, digest }: Edition): string {
  const doubts = part.pins.reduce((n, p) => n + p.doubts.length, 0);
  const known = (name: string, value: string | undefined) => (value ? [[name, value]] : []);
  const head: (Markup | undefined)[] = [
    el('h1', {}, `${part.name} ${version}`),
    el('p', {}, part.description),
    note ? el('p', {}, note) : undefined,
    table(
      ['Particular', 'Value'],
      [
        ...known('Maker', part.maker),
        ...known('House part number', part.houseNumber),
        ...known('Order codes', part.orderCodes.join(', ')),
        ...known('Category', part.category),
        ...known('Reference letters', part.reference),
        ...known('Datasheet', part.datasheet && [part.datasheet.title, part.datasheet.revision].filter(Boolean).join(', ')),
        ...part.fields.flatMap((f) => known(f.name, f.value)),
        ...known('Sources', part.sources.map((s) => s.name).join(', ')),
        ['Pins', `${part.pins.length}, ${doubts === 0 ? 'none' : String(doubts)} in doubt`],
        ['Digest', digest],
      ],
    ),
  ];
  const packages = part.packages.length > 0 ? part.packages : [undefined];
  return page(`${part.name} ${version}: datasheet check`, [
    ...head,
    ...packages.flatMap((pkg) => [...pinSection(part, pkg), ...(pkg ? [absentSection(part, pkg), ...landSection(part, pkg)] : [])]),
    ...part.models.flatMap((m) => modelSection(part, m)),
    ...(part.waivers.length > 0 ? [el('h2', {}, 'Waived findings')] : []),
    table(
      ['Rule', 'Finding', 'Reason'],
      part.waivers.map((w) => [w.rule, w.finding, w.reason]),
    ),
    ...drawingSection(part),
  ]);
}
