import { listedLeads } from '../table/lead-list';
import type { GridRow } from '../table/grid';
import { tenths, unite } from '../table/box';
import type { FoundTable } from '../table/found-table';
import type { Described } from './described';
import { segmentsOf } from './lines';
import type { Ready } from './ready';
import { boxOf } from './words';

/** A stretch of a line that nothing stands close to: a legend has its drawing beside it. */
const APART = 1.5;

/** The leads of a small part that a legend beside its drawing counts, `1: Anode`, as a table; undefined where there is none. */
export function legendOfLeads(ready: readonly Ready[]): Described | undefined {
  for (const { page, lines, back } of ready) {
    const segments = lines.flatMap((line) => segmentsOf(line, APART));
    const leads = listedLeads(segments.map((s) => s.text));
    if (!leads) continue;
    const boxes = leads.map(({ at }) => tenths(back(unite(segments[at]!.words.map(boxOf))!)));
    const columns: FoundTable['columns'] = [
      { role: 'number', heading: 'Pin', packageName: '' },
      { role: 'name', heading: 'Name', packageName: '' },
    ];
    const rows = leads.map(({ number, name }, i): GridRow => ({
      line: i + 1,
      cells: [number, name],
      place: { page: page.number, boxes: [boxes[i], boxes[i]] },
    }));
    return {
      table: { columns, rows, around: [], headerLine: undefined },
      choice: {
        title: 'Legend of leads',
        page: page.number,
        rows: rows.length,
        taken: true,
        columns,
        areas: [{ page: page.number, box: tenths(unite(boxes)!), columns: [] }],
      },
    };
  }
  return undefined;
}
