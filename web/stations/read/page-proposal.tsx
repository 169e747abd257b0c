import { useMemo } from 'react';
import { unite, type Box, type Column, type ColumnRole, type Proposal, type TableChoice } from '../../../core/intake';
import type { SourceInfo, SourceSession } from '../../workers/source-session';
import { Boxed, PageView, type PagePlace } from './page-view';
import { RoleSelect, ROLE_TINTS } from './roles';

interface Props {
  session: SourceSession;
  info: SourceInfo;
  proposal: Proposal | undefined;
  drawing: boolean;
  /** A place that a person asked for. */
  place: PagePlace | undefined;
  /** A role chosen at a table, by its place among the tables. */
  onRole: (table: number, column: number, role: ColumnRole) => void;
  onTake: (table: number, take: boolean) => void;
  onOnly: (table: number) => void;
  onRow: (line: number, take: boolean) => void;
  onRegion: (place: PagePlace) => void;
  onPage: (page: number) => void;
}

/** The pages with what was understood: tables outlined, columns in the colour of their role, rows taken or left out. */
export function PageProposal({ session, info, proposal, drawing, place, onRole, onTake, onOnly, onRow, onRegion, onPage }: Props) {
  const tables = proposal?.tables ?? [];
  const taken = tables.filter((t) => t.taken).length;
  const rows = useMemo(() => rowsByPage(proposal), [proposal]);
  const start = tables.find((t) => t.taken)?.areas?.[0];
  const doubtful = useMemo(() => doubtsByPage(proposal), [proposal]);
  return (
    <PageView
      session={session}
      info={info}
      focus={place ?? (start && { page: start.page, box: [start.box[0], start.box[1], start.box[2], Math.min(60, start.box[3])] })}
      onRegion={drawing ? onRegion : undefined}
      onPage={onPage}
      overlay={(page, scale) => (
        <>
          {tables.map((table, index) =>
            table.areas
              ?.filter((a) => a.page === page)
              .map((area, part) =>
                table.taken ? (
                  <Taken
                    key={`${index} ${part}`}
                    area={area}
                    scale={scale}
                    columns={table.columns ?? []}
                    onRole={(i, r) => onRole(index, i, r)}
                    onLeave={taken > 1 ? () => onTake(index, false) : undefined}
                  />
                ) : (
                  <Left
                    key={`${index} ${part}`}
                    table={table}
                    area={area}
                    scale={scale}
                    onTake={() => onTake(index, true)}
                    onOnly={() => onOnly(index)}
                  />
                ),
              ),
          )}
          {(rows.get(page) ?? []).map(({ line, box, taken, heading, tip }) => (
            <Boxed key={line} box={box} scale={scale} grow={1} className="z-10">
              <button
                type="button"
                tabIndex={-1}
                title={tip}
                aria-label={`${taken ? 'Leave out' : 'Take'} the row ${tip}`}
                onClick={() => onRow(line, !taken)}
                className={`h-full w-full rounded-sm ${heading ? 'border-b-2 border-slate hover:bg-slate/10' : taken ? 'hover:bg-green/15' : 'bg-[repeating-linear-gradient(135deg,transparent_0_5px,rgb(0_0_0/0.09)_5px_7px)] hover:bg-green/10'}`}
              />
            </Boxed>
          ))}
          {place?.page === page ? (
            <Boxed box={place.box} scale={scale} grow={3} className="pointer-events-none rounded-sm border-2 border-green bg-green/15" />
          ) : null}
          {(doubtful.get(page) ?? []).map((box, i) => (
            <Boxed key={i} box={box} scale={scale} grow={2} className="pointer-events-none rounded-sm border-2 border-amber-line" />
          ))}
        </>
      )}
    />
  );
}

/** The table's outline: as wide as its columns, with room for its heading. */
const outlineOf = ({ box, columns }: Area): Box => {
  const all = unite([box, ...columns])!;
  return [all[0], box[1] - 2, all[2], box[3] + 4];
};

/** A button on the frame of a table. */
const ON_TABLE = 'z-20 rounded border border-line bg-surface px-2 text-[12px] text-ink shadow-card hover:border-green';

type Area = NonNullable<TableChoice['areas']>[number];

function Taken({
  area,
  scale,
  columns,
  onRole,
  onLeave,
}: {
  area: Area;
  scale: number;
  columns: readonly Column[];
  onRole: (i: number, role: ColumnRole) => void;
  /** Missing where it is the only one. */
  onLeave: (() => void) | undefined;
}) {
  // A table set in several columns side by side has the same columns in each of them.
  const placeOf = (i: number) => i % columns.length;
  const roleAt = (i: number) => columns[placeOf(i)]?.role ?? 'ignore';
  return (
    <>
      <Boxed box={outlineOf(area)} scale={scale} grow={1} className="pointer-events-none border-2 border-green" />
      {onLeave ? (
        <Boxed box={outlineOf(area)} scale={scale} grow={1} className="pointer-events-none">
          <button type="button" onClick={onLeave} className={`pointer-events-auto absolute top-full right-2 mt-0.5 ${ON_TABLE}`}>
            Leave this table out
          </button>
        </Boxed>
      ) : null}
      {area.columns.map((box, i) => (
        <div key={i}>
          <Boxed
            box={box}
            scale={scale}
            className={`pointer-events-none ${ROLE_TINTS[roleAt(i)] ?? 'bg-[repeating-linear-gradient(135deg,transparent_0_6px,rgb(0_0_0/0.05)_6px_8px)]'}`}
          />
          <Boxed box={[box[0], box[1] - 2 - 19 / scale, box[2], 18 / scale]} scale={scale} className="z-20 px-px">
            <RoleSelect
              label={`Role of column ${columns[placeOf(i)]?.heading || i + 1}`}
              role={roleAt(i)}
              onRole={(role) => onRole(placeOf(i), role)}
              className="h-full !py-0 leading-[17px]"
              narrow={box[2] * scale < 76}
            />
          </Boxed>
        </div>
      ))}
    </>
  );
}

interface LeftProps {
  table: TableChoice;
  area: Area;
  scale: number;
  /** Taken beside the others, or instead of them. */
  onTake: () => void;
  onOnly: () => void;
}

/** A table that looks like a pinout and is not taken. */
function Left({ table, area, scale, onTake, onOnly }: LeftProps) {
  return (
    <Boxed box={area.box} scale={scale} grow={3} className="border-2 border-dashed border-slate">
      <div className="absolute right-2 bottom-full mb-0.5 flex gap-1.5">
        <button type="button" onClick={onTake} className={ON_TABLE}>
          Take this table, {table.rows} rows
        </button>
        <button type="button" onClick={onOnly} className={ON_TABLE}>
          Only this one
        </button>
      </div>
    </Boxed>
  );
}

interface RowBox {
  line: number;
  box: Box;
  taken: boolean;
  /** The heading of a group: neither a terminal nor left out. */
  heading: boolean;
  tip: string;
}

function rowsByPage(proposal: Proposal | undefined): Map<number, RowBox[]> {
  const pages = new Map<number, RowBox[]>();
  for (const row of proposal?.table?.rows ?? []) {
    const boxes = (row.place?.boxes ?? []).filter((b) => b !== undefined);
    // The labels over a map's columns are no row to take or to leave.
    const isEdge = row.heading === true && proposal?.table?.isMap === true;
    if (row.place?.page === undefined || boxes.length === 0 || isEdge) continue;
    const tip = row.cells
      .filter((c) => c !== '')
      .join(' | ')
      .slice(0, 120);
    pages.set(row.place.page, [
      ...(pages.get(row.place.page) ?? []),
      { line: row.line, box: unite(boxes)!, taken: row.taken, heading: row.heading ?? false, tip },
    ]);
  }
  return pages;
}

function doubtsByPage(proposal: Proposal | undefined): Map<number, Box[]> {
  const pages = new Map<number, Box[]>();
  for (const t of proposal?.terminals ?? [])
    for (const doubt of t.doubts) {
      const cell = t.origin?.cells?.[doubt.field] ?? t.origin?.box;
      if (t.origin?.page !== undefined && cell && typeof cell !== 'string')
        pages.set(t.origin.page, [...(pages.get(t.origin.page) ?? []), cell]);
    }
  return pages;
}
