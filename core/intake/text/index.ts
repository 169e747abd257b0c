import { ok, problem, refuse, type Result } from '../../part';
import type { Proposal, ReadOptions } from '../proposal';
import { readBallMaps } from '../table/ball-map';
import { inOrder, readOffered } from '../table/choices';
import { findLists } from '../table/find-list';
import type { Grid } from '../table/grid';
import { listedLeads } from '../table/lead-list';
import { readSignalLists } from '../table/signal-list';
import { readLegend } from '../understand/legend';
import { cleanText } from './clean';
import { alignedGrid, toGrid } from './layout';
import { countedGrid, paragraphsAsLines } from './counted';
import { drawnGrid, lineGrid, severalGrid } from './drawn';
import { gridOfList, isListOfPins, listedGrid, stackedGrid } from './listed';
import { recordsGrid } from './records';

/**
 * Reads a pin table from text: comma, semicolon or tab separated, between bars, or aligned with blanks.
 * Refuses what is no text, is too large, or holds no pin table; what is wrong in single rows is a problem of the proposal.
 */
export function readText(text: string, options: ReadOptions = {}): Result<Proposal> {
  const clean = cleanText(text, options.file);
  if (!clean.ok) return clean;
  const { lines, problems } = clean.value;
  const read = (grid: Grid): Result<Proposal> | undefined => {
    const found = findLists(grid);
    const [best] = found;
    if (!best) return readBallMaps([{ grid, titles: grid.rows.slice(0, 12).map((r) => r.cells.join(' ')) }], problems, options, { signals: readSignalLists([grid]), legend: readLegend(lines) }); // prettier-ignore
    const around = best.table.around.map((r) => lines[r.line - 1] ?? r.cells.join(' '));
    const titles = around.slice(0, 12).concat(around.slice(-4));
    const got = readOffered(inOrder(found), () => ({ titles, legend: around, notes: lines }), options);
    const title = lines.find((l) => l.trim() !== '') ?? '';
    return got.ok ? ok({ ...got.value, problems: [...problems, ...got.value.problems], title }) : got;
  };
  const readListed = () => {
    const grid = listedGrid(lines) ?? stackedGrid(lines) ?? lineGrid(lines);
    return grid && read(grid);
  };
  const readCounted = () => {
    const joined = paragraphsAsLines(lines);
    const grid = countedGrid(lines) ?? listedGrid(joined) ?? countedGrid(joined);
    return grid && read(grid);
  };
  const readLeads = () => {
    const leads = listedLeads(lines);
    return leads && read(gridOfList(leads.map((l) => ({ line: l.at + 1, cells: [l.number, l.name, ''] }))));
  };
  const readCells = () => {
    const even = toGrid(lines, problems, options.file);
    // A comma in every description can look like a delimiter: where the cells give no table, the blanks may.
    const other = () => (even.layout === 'aligned' ? undefined : read(alignedGrid(lines)));
    // Tables of different widths below each other have no delimiter evenly.
    const uneven = () => (even.layout === 'aligned' ? read(toGrid(lines, problems, options.file, 0.2)) : undefined);
    return read(even) ?? other() ?? readListed() ?? uneven();
  };
  const whole = drawnGrid(lines) ?? severalGrid(lines) ?? recordsGrid(lines);
  return (
    (whole && read(whole)) ??
    (isListOfPins(lines) ? (readListed() ?? readCounted()) : undefined) ??
    readCells() ??
    readCounted() ??
    readLeads() ??
    refuse(problem('table-none', {}, { file: options.file }))
  );
}
