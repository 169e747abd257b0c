import { emptyPart, ok, problem, refuse, unitLabel, type Part, type Problem, type Result } from '../../part';
import { atomOf, formIn, formsIn, isForm, readForms, type Form } from './form';
import { readForeignView, unitOf, type Reading } from './foreign-view';
import { isOwnView, readOwnView, type ReadView } from './own-view';
import { linesOf, nameOf, propertiesOf } from './properties';

/** The symbols of a file, one part a cell, with what was left out or moved. */
export interface EdifSymbols {
  parts: Part[];
  problems: Problem[];
}

/**
 * Reads the schematic symbols of an EDIF 2 0 0 file (EIA-548-1988). What `writeEdif` wrote comes back as it was; of other
 * files, what has no place in a part is listed with its line. `stepMm` is the grid step that the house draws on.
 */
export function readEdif(text: string, options: { file?: string; stepMm?: number } = {}): Result<EdifSymbols> {
  const { file, stepMm = 2.54 } = options;
  const root = readForms(text, file);
  if (!root.ok) return root;
  const problems: Problem[] = [];
  const version = formIn(root.value, 'edifversion')?.items.map((i) => ('atom' in i ? i.atom : ''));
  if (version && version[0] !== '2')
    return refuse(problem('edif-syntax', { expected: `(edifVersion 2 0 0), found ${version.join(' ')}` }, { file, line: root.value.line }));
  const libraries = [...formsIn(root.value, 'library'), ...formsIn(root.value, 'external')];
  const parts = libraries.flatMap((library) => {
    const reading: Reading = { unitMm: unitOf(library), stepMm, packageId: 'p1', file, problems };
    return formsIn(library, 'cell').flatMap((cell) => partOf(cell, reading) ?? []);
  });
  return parts.length > 0 ? ok({ parts, problems }) : refuse(problem('edif-none', {}, { file }));
}

/** A cell with its schematic views as units; undefined where none has a symbol. */
function partOf(cell: Form, reading: Reading): Part | undefined {
  const symbols = formsIn(cell, 'view').filter(
    (view) => (atomOf(formIn(view, 'viewtype')) ?? '').toUpperCase() === 'SCHEMATIC' && formIn(formIn(view, 'interface'), 'symbol'),
  );
  const about = propertiesOf(cell);
  const packages = [...about].filter(([name]) => /^PACKAGE_\d+$/.test(name)).map(([, text]) => text.split('\n'));
  const views = symbols.flatMap((view, i): ReadView[] => {
    const read = isOwnView(view) ? readOwnView(view, packages[0]?.[0]) : readForeignView(view, i, reading);
    listUnread(view, reading);
    if (!read) reading.problems.push(problem('edif-construct', { keyword: 'view' }, { file: reading.file, line: view.line }));
    return read ? [read] : [];
  });
  if (views.length === 0) return undefined;
  for (const [name, text] of about)
    if (name.startsWith('UNDRAWN_')) reading.problems.push(problem('edif-undrawn', { pin: text }, { file: reading.file, line: cell.line }));
  const own = packages.map(([id = '', name = '']) => ({ id, name, land: { pads: [] } }));
  const name = nameOf(cell.items[0])?.name.trim() ?? '';
  return {
    ...emptyPart(name === '' ? 'Symbol' : name),
    ...fieldsOf(about),
    pins: pinsOf(views),
    units: views.map((v, i) => ({ ...v.unit, label: labelFor(views, i) })),
    drawings: views.map((v) => v.drawing).filter((d, i, all) => all.findIndex((e) => e.id === d.id) === i),
    packages: own.length > 0 ? own : [{ id: reading.packageId, name: 'package', land: { pads: [] } }],
  } as Part;
}

/** Labels are kept where they are all different. */
const labelFor = (views: readonly ReadView[], i: number): string =>
  new Set(views.map((v) => v.unit.label)).size === views.length ? views[i]!.unit.label : unitLabel(i);

/** The pins of all views, each once, in the order that the file gives them. */
function pinsOf(views: readonly ReadView[]): Part['pins'] {
  const byId = new Map(views.flatMap((v) => v.pins).map((p) => [p.pin.id, p]));
  return [...byId.values()].sort((a, b) => a.index - b.index).map((p) => p.pin);
}

function fieldsOf(about: ReadonlyMap<string, string>): Partial<Part> {
  const text = (name: string, key: string) => (about.has(name) ? { [key]: about.get(name) } : {});
  const fields = [...about]
    .filter(([name]) => name.startsWith('FIELD_'))
    .map(([, value]) => {
      const [field = '', drawn = '', ...rest] = value.split('\n');
      return { name: field, value: rest.join('\n'), ...(drawn === '' ? {} : { drawn: drawn === 'true' }) };
    });
  return {
    ...text('DESCRIPTION', 'description'),
    ...text('MAKER', 'maker'),
    ...text('CATEGORY', 'category'),
    ...text('REFERENCE', 'reference'),
    ...text('BASE_NAME', 'baseName'),
    ...text('HOUSE_NUMBER', 'houseNumber'),
    orderCodes: linesOf(about, 'ORDER_CODES') ?? [],
    keywords: linesOf(about, 'KEYWORDS') ?? [],
    fields: fields.filter((f) => f.name !== ''),
  };
}

/** What an interface holds beside ports and symbol: bundles, joined ports, parameters. */
function listUnread(view: Form, { problems, file }: Reading): void {
  for (const item of formIn(view, 'interface')?.items ?? [])
    if (isForm(item) && !['port', 'symbol', 'designator', 'property', 'comment', 'userdata'].includes(item.keyword))
      problems.push(problem('edif-construct', { keyword: item.keyword }, { file, line: item.line }));
  if (formIn(view, 'contents'))
    problems.push(problem('edif-construct', { keyword: 'contents' }, { file, line: formIn(view, 'contents')!.line }));
}
