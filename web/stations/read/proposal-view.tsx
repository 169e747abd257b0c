import { useVirtualizer } from '@tanstack/react-virtual';
import { useMemo, useRef } from 'react';
import { inFewWords, type Column, type ColumnRole, type Proposal, type Terminal } from '../../../core/intake';
import { PinName, TypeMark } from '../../ui/marks';
import { RoleSelect, ROLE_WORDS } from './roles';

type Row = NonNullable<Proposal['table']>['rows'][number];

interface Props {
  proposal: Proposal;
  /** What the person chose, before the table has followed. */
  roles: ColumnRole[] | undefined;
  onRole: (column: number, role: ColumnRole) => void;
  onRow: (line: number, take: boolean) => void;
}

const ROW = 25;
/** Pixels of the column that says what became of a row; it stays in view at the right. */
const READ_AS = 330;

/** Pixels of a source column: wide enough for its cells within reason, and for the choice of its role. */
const columnWidth = (column: Column, cells: string[], isMap: boolean): number => {
  const most = column.role === 'description' ? 230 : 170;
  // The choice of a role takes room over a column that has one.
  const least = isMap ? 40 : 98;
  return Math.min(most, Math.max(least, ...cells.map((c) => c.length * (isMap ? 8 : 7.4) + 18)));
};

/** The table as it was understood: what each column is, and beside each row what became of it. */
export function ProposalView({ proposal, roles, onRole, onRow }: Props) {
  const roleAt = (i: number, read: ColumnRole) => roles?.[i] ?? read;
  const table = proposal.table!;
  const whereOf = useMemo(() => placesOf(table.rows), [table.rows]);
  const { isMap = false } = table;
  const scroller = useRef<HTMLDivElement>(null);
  const byLine = useMemo(() => {
    const map = new Map<number, Terminal[]>();
    for (const t of proposal.terminals) map.set(t.row ?? 0, [...(map.get(t.row ?? 0) ?? []), t]);
    return map;
  }, [proposal]);

  const groupAt = useMemo(() => groupsOf(table.rows, byLine), [table.rows, byLine]);
  const list = useVirtualizer({
    count: table.rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 16,
  });
  const widths = useMemo(
    () =>
      table.columns.map((c, i) =>
        columnWidth(
          c,
          // The title of a group runs over the columns.
          table.rows.slice(0, 200).flatMap((r) => (titleOf(r, isMap) === undefined ? (r.cells[i] ?? '') : [])),
          isMap,
        ),
      ),
    [table, isMap],
  );
  const grid = `74px ${widths.map((w) => `${w}px`).join(' ')} minmax(${READ_AS}px, 1fr)`;
  return (
    <div className="flex h-full flex-col px-4 pb-3">
      {/* A table of many rows is scrolled by the keyboard too. */}
      {}
      <div
        ref={scroller}
        role="region"
        aria-label="Table as read"
        tabIndex={0}
        className="min-h-0 flex-1 overflow-auto rounded-lg border border-line bg-surface"
      >
        <div role="table" aria-rowcount={table.rows.length} style={{ minWidth: 'max-content' }}>
          <div
            role="row"
            className="sticky top-0 z-10 grid items-stretch border-b border-line bg-surface"
            style={{ gridTemplateColumns: grid }}
          >
            <div role="columnheader" className="px-2 py-1 text-[12px] text-muted">
              Where
            </div>
            {table.columns.map((c, i) => (
              <div key={i} role="columnheader" className="px-1 py-1">
                {isMap ? undefined : c.elsewhere ? (
                  <div className="px-1.5 py-0.5 text-[12px] font-semibold" title="A column of another table of the source">
                    {ROLE_WORDS[c.role] ?? c.role}
                  </div>
                ) : (
                  <RoleSelect label={`Role of column ${c.heading || i + 1}`} role={roleAt(i, c.role)} onRole={(role) => onRole(i, role)} />
                )}
                <div className="truncate px-1 text-[12px] text-muted">{c.heading || (isMap ? '' : '(no heading)')}</div>
              </div>
            ))}
            <div role="columnheader" className="sticky right-0 border-l border-line bg-surface px-3 py-1 text-[12px] text-muted">
              Read as
            </div>
          </div>
          <div className="relative" role="rowgroup" style={{ height: list.getTotalSize() }}>
            {list.getVirtualItems().map((item) => {
              const row = table.rows[item.index]!;
              const became = byLine.get(row.line) ?? [];
              const title = titleOf(row, isMap);
              return (
                <div
                  key={item.key}
                  role="row"
                  className={`absolute inset-x-0 grid items-center border-b border-line text-[13px] ${row.taken ? '' : 'bg-sunken text-muted'}`}
                  style={{ transform: `translateY(${item.start}px)`, height: ROW, gridTemplateColumns: grid }}
                >
                  <span role="cell" className="flex items-center gap-1.5 px-2 font-mono text-[12px] text-muted">
                    {isMap && row.heading ? (
                      <span className="w-[13px]" />
                    ) : (
                      <input
                        type="checkbox"
                        aria-label={`Take row ${whereOf(row)}`}
                        checked={row.taken}
                        onChange={() => onRow(row.line, !row.taken)}
                      />
                    )}
                    <span title={row.place?.sheet}>{whereOf(row)}</span>
                  </span>
                  {title === undefined ? (
                    table.columns.map((c, i) => (
                      <span
                        key={i}
                        role="cell"
                        title={row.cells[i]}
                        className={`truncate px-2 ${c.role === 'number' || c.role === 'name' ? 'font-mono' : ''} ${isMap ? 'font-mono' : c.role === 'ignore' ? 'opacity-50' : ''}`}
                      >
                        {row.cells[i]}
                      </span>
                    ))
                  ) : (
                    <span role="cell" className="truncate px-2" style={{ gridColumn: `span ${table.columns.length}` }}>
                      {title}
                    </span>
                  )}
                  <span
                    role="cell"
                    className={`sticky right-0 flex h-full items-center gap-2 truncate border-l border-line px-3 ${row.taken ? 'bg-surface' : 'bg-sunken'}`}
                  >
                    <Became
                      terminals={became}
                      packageName={proposal.package}
                      group={groupAt.get(row.line)}
                      none={isMap && row.heading ? 'columns' : row.taken ? '' : notTaken(row)}
                    />
                  </span>
                </div>
              );
            })}
          </div>
        </div>
      </div>
    </div>
  );
}

/** The title of a group, which is all that its row has; the headings of a ball map stand over its columns. */
function titleOf({ heading, cells }: Row, isMap: boolean): string | undefined {
  const [title, ...more] = heading && !isMap ? cells.filter((c) => c !== '') : [];
  return more.length === 0 ? title : undefined;
}

/** The printed group that begins at a row, by its line, where no title in a row of its own says it. */
function groupsOf(rows: readonly Row[], byLine: ReadonlyMap<number, readonly Terminal[]>): ReadonlyMap<number, string> {
  const groups = new Map<number, string>();
  let last: string | undefined;
  let isTitled = false;
  for (const { line, heading } of rows) {
    const [first] = byLine.get(line) ?? [];
    if (first) {
      // What names and words suggest is no group of the source.
      const group = first.because['group'] === undefined ? first.group : undefined;
      if (group !== undefined && group !== last && !isTitled) groups.set(line, group);
      last = group;
    }
    isTitled = heading === true;
  }
  return groups;
}

/** What a row is that became no terminal. */
const notTaken = ({ heading, goesOn }: Row): string =>
  heading ? 'heading of a group' : goesOn ? 'goes on with the row above' : 'left out, or a note';

/** A row's line, its page, or its row on the sheet; before that, where rows are of several sheets or tables, which one it is of. */
function placesOf(rows: readonly Row[]): (row: Row) => string {
  const sheets = [...new Set(rows.flatMap((r) => r.place?.sheet ?? []))];
  return ({ place, line }) => {
    if (place?.page !== undefined) return `p.${place.page}`;
    const row = /\d+$/.exec(place?.refs?.find((r) => r !== undefined) ?? '')?.[0] ?? String(line);
    return sheets.length > 1 && place?.sheet !== undefined ? `${sheets.indexOf(place.sheet) + 1}: ${row}` : row;
  };
}

interface BecameProps {
  terminals: Terminal[];
  packageName: string;
  /** The group that begins here. */
  group: string | undefined;
  none: string;
}

/** What a row became: its terminals with the type, or why there is none. */
function Became({ terminals, packageName, group, none }: BecameProps) {
  const [first] = terminals;
  if (!first) return <span className="text-[12px] text-muted">{none}</span>;
  const last = terminals.at(-1)!;
  const doubts = terminals.flatMap((t) => t.doubts);
  const isOfOneType = terminals.every((t) => t.type === first.type);
  const numberOf = (t: Terminal) => t.numbers[packageName] ?? '–';
  // What stands in its name is seen there.
  const functions = terminals.length > 1 ? [] : (first.alternates ?? []).filter((name) => !first.name.includes(name));
  return (
    <>
      <span className="shrink-0 font-mono text-muted" title={terminals.map(numberOf).join(', ')}>
        {terminals.length < 4 ? terminals.map(numberOf).join(', ') : `${numberOf(first)} … ${numberOf(last)}`}
      </span>
      <span className="max-w-36 shrink-0 truncate">
        <PinName
          name={first.name === last.name ? first.name : `${first.name} … ${last.name}`}
          activeLow={first.name === last.name && !!first.activeLow}
        />
      </span>
      {functions.length > 0 && (
        <span className="shrink-0 text-[12px] text-muted" title={`and ${functions.join(', ')}`}>
          +{functions.length}
        </span>
      )}
      {isOfOneType && (
        <span className="flex shrink-0 items-center gap-1">
          <TypeMark type={first.type} /> {first.type}
        </span>
      )}
      {doubts.length > 0 ? (
        <>
          <span className="shrink-0 border-b-2 border-amber-line bg-amber-wash px-1 text-[12px]" title={doubts[0]!.reason}>
            {doubts.length === 1 ? 'in doubt' : `${doubts.length} doubts`}
          </span>
          <span className="truncate text-[12px] text-muted" title={doubts[0]!.reason}>
            {inFewWords(doubts[0]!.reason)}
          </span>
        </>
      ) : (
        isOfOneType && (
          <span className="truncate text-[12px] text-muted" title={first.because['type']}>
            {first.because['type']}
          </span>
        )
      )}
      {group === undefined ? null : (
        <span className="ml-auto max-w-28 shrink-0 truncate rounded bg-sunken px-1.5 text-[12px]" title={`Here begins the group ${group}`}>
          {group}
        </span>
      )}
    </>
  );
}
