import { ok, problem, refuse, type Result } from '../../part';
import type { Proposal, ReadOptions } from '../proposal';
import { readTables } from '../table/join-tables';
import { understandTable } from '../table/understand';
import { describedTable, type Described } from './described';
import { titleOver } from './chains';
import { choose, tablesOf } from './find-tables';
import { legendOfLeads } from './lead-legend';
import { leftBehind } from './left-behind';
import { coverOf } from './cover-texts';
import { textOf } from './lines';
import { listOnPages } from './listed';
import { drawnTable, hasDrawing } from './drawing';
import { besideMap, readMaps } from './maps';
import { onPaper, type DocumentPage } from './page';
import { prepare, worthReading, type Ready } from './ready';
import { legendLines, legendTables, surroundings, titleOf } from './surroundings';

export { pagesWorthRuling } from './candidates';
export { findOn, packagePages, pageText, type Hit } from './page-texts';
export type { DocumentPage, Rule, Run } from './page';

/** More pages than this are a collection of documents, not one. */
export const MOST_PAGES = 2000;
/** So many pages are looked at for the drawing of a package. */
const MOST_DRAWINGS = 40;
/** A small part says what its leads are at the beginning. */
const MOST_LEGENDS = 8;

/**
 * Reads a pin table from a document's pages. Pages whose rules were not fetched give only text. Refused, each with its
 * own reason: no text at all, no pin table, no such page; a page that is damaged is said whatever the others give.
 */
export function readPages(given: readonly DocumentPage[], options: ReadOptions = {}): Result<Proposal> {
  const damaged = given.filter((p) => p.isDamaged).map((p) => problem('page-damaged', { page: p.number }, { file: options.file }));
  if (damaged.length > 0 && damaged.length === given.length) return refuse(problem('pdf-broken', {}, { file: options.file }));
  const read = readWhole(given.map(onPaper), options);
  if (!read.ok) return damaged.length === 0 ? read : refuse(...read.problems, ...damaged);
  return ok({ ...read.value, cover: coverOf(given, options.file), problems: [...damaged, ...read.value.problems] });
}

function readWhole(pages: readonly DocumentPage[], options: ReadOptions): Result<Proposal> {
  const { file } = options;
  const letters = pages.reduce((n, p) => n + p.runs.reduce((m, r) => m + r.text.trim().length, 0), 0);
  if (letters < 8 * Math.min(pages.length, 4)) return refuse(problem('pdf-image', {}, { file }));
  const asked = options.region?.page ?? options.page;
  if (asked !== undefined && !pages.some((p) => p.number === asked))
    return refuse(problem('page-none', { page: asked, pages: pages.length }, { file }));
  const none = () => refuse(problem('pdf-none', { pages: pages.length }, { file, ...(asked === undefined ? {} : { page: asked }) }));

  const ready = prepare(worthReading(pages));
  const found = tablesOf(ready, options);
  const described = options.region ? undefined : readDescribed(ready, options);
  if (found.length === 0)
    return (
      described ??
      readMaps(ready, [], options) ??
      readDrawn(pages, ready, options) ??
      readLegend(pages, ready, options) ??
      readListed(ready, options) ??
      none()
    );
  const { chosen, choices } = choose(found, options);
  const legends = legendTables(ready);
  const read = readTables(
    chosen,
    ({ chain }) => ({ ...surroundings(ready, chain, found, legends), signals: () => besideMap(ready).signals }),
    options,
    (f) => found.indexOf(f),
    ({ chain }) => titleOver(chain[0]!),
  );
  if (!read) return none();
  // Where paragraphs describe many more terminals than the best table has, that table is of something else.
  if (described?.ok && !options.tables && described.value.terminals.length > (read.ok ? 1.3 * read.value.terminals.length : 0))
    return described;
  if (!read.ok) return read;
  const problems = [...read.value.problems, ...leftBehind(ready, chosen, read.value, file)];
  return ok({ ...read.value, problems, tables: choices, title: titleOf(ready) });
}

/** The leads that a legend on one of the first pages counts; undefined where there is none. */
function readLegend(pages: readonly DocumentPage[], ready: readonly Ready[], options: ReadOptions): Result<Proposal> | undefined {
  if (options.region) return undefined;
  const worth = pages.filter((p) => options.page === undefined || p.number === options.page).slice(0, MOST_LEGENDS);
  const first = madeReady(worth, ready);
  const found = legendOfLeads(first);
  return found && readFound(found, first, options);
}

/** Pages made ready; those that are already are taken as they are. */
function madeReady(pages: readonly DocumentPage[], ready: readonly Ready[]): Ready[] {
  const known = new Map(ready.map((r) => [r.page.number, r]));
  for (const r of prepare(pages.filter((p) => !known.has(p.number)))) known.set(r.page.number, r);
  return pages.map((p) => known.get(p.number)!);
}

/** The terminals that paragraphs describe; undefined where there are none. */
function readDescribed(ready: readonly Ready[], options: ReadOptions): Result<Proposal> | undefined {
  const described = describedTable(ready, options);
  return described && readFound(described, ready, options);
}

/** The terminals that lines list, each by itself; undefined where there are none. */
function readListed(ready: readonly Ready[], options: ReadOptions): Result<Proposal> | undefined {
  const listed = options.region ? undefined : listOnPages(ready, options.page);
  return listed && readFound(listed, ready, options);
}

/** What is no table, read as one. */
function readFound(described: Described, ready: readonly Ready[], options: ReadOptions): Result<Proposal> | undefined {
  const lines = ready.flatMap((r) => r.lines.map(textOf));
  const around = { titles: ready[0]!.lines.slice(0, 12).map(textOf), legend: [], notes: lines };
  const read = understandTable(described.table, around, [], options);
  return read.ok ? ok({ ...read.value, tables: [described.choice], title: titleOf(ready) }) : undefined;
}

/** The terminals of a package that is only drawn. A person has to hold the names against the drawing. */
function readDrawn(pages: readonly DocumentPage[], ready: readonly Ready[], options: ReadOptions): Result<Proposal> | undefined {
  const worth = pages.filter((p) => hasDrawing(p.runs.map((r) => r.text))).slice(0, MOST_DRAWINGS);
  const drawn = drawnTable(madeReady(worth, ready), options, besideMap(ready).signals);
  if (!drawn) return undefined;
  const page = drawn.choice.page!;
  const said = [
    problem('pinout-drawn', { found: drawn.choice.rows }, { file: options.file, page }),
    ...drawn.others.map((o) => problem('pinout-drawn-too', { leads: o.leads }, { file: options.file, page: o.page })),
  ];
  const read = understandTable(drawn.table, { titles: drawn.titles, legend: legendLines(ready), notes: [] }, said, options);
  return read.ok ? ok({ ...read.value, tables: [drawn.choice], title: titleOf(ready) }) : undefined;
}
