import { haveSameColumns, type ColumnRole, type Proposal } from '../../../core/intake';
import { RoleSelect } from './roles';

interface Props {
  proposal: Proposal;
  onTake: (table: number, take: boolean) => void;
  /** A role chosen at a table, by its place among the tables; without it roles are chosen on the page. */
  onRole?: (table: number, column: number, role: ColumnRole) => void;
}

/** The tables that were found, where there are several: which of them are taken, and what the columns of each are. */
export function Tables({ proposal, onTake, onRole }: Props) {
  const tables = proposal.tables ?? [];
  const taken = tables.filter((t) => t.taken);
  const first = taken[0]?.columns ?? [];
  if (tables.length < 2) return null;
  const isOwn = (table: (typeof tables)[number]) => table.columns !== undefined && !haveSameColumns(table.columns, first);
  const hasChoice = tables.some((t) => !t.taken || isOwn(t));
  return (
    <details
      open={onRole !== undefined && hasChoice}
      aria-label="Tables of the source"
      className="mx-4 mb-2 shrink-0 rounded-lg border border-line bg-surface text-[13px]"
    >
      <summary className="cursor-pointer px-3 py-1">
        {taken.length} of {tables.length} tables taken
      </summary>
      <ul className="max-h-36 overflow-y-auto border-t border-line px-3 py-1">
        {tables.map((table, index) => (
          <li key={index} className="flex items-center gap-2 py-0.5">
            <label className={`flex w-72 shrink-0 items-center gap-2 ${table.taken ? '' : 'text-muted'}`}>
              <input
                type="checkbox"
                checked={table.taken}
                disabled={table.taken && taken.length === 1}
                onChange={() => onTake(index, !table.taken)}
              />
              <span className="min-w-0 truncate" title={table.title}>
                {table.title}
              </span>
              <span className="shrink-0 text-muted">{placeOf(table)}</span>
            </label>
            {/* Those of the first, and of such as have the same, stand over the list. */}
            {onRole && table.taken && isOwn(table)
              ? table.columns!.map((column, i) => (
                  <span key={i} hidden={column.heading === '' && column.role === 'ignore'} className="flex min-w-0 items-center gap-1.5">
                    <span className="max-w-20 truncate text-[12px] text-muted" title={column.heading}>
                      {column.heading}
                    </span>
                    <span className="w-24 shrink-0">
                      <RoleSelect
                        label={`Role of column ${column.heading || i + 1} of ${table.title}`}
                        role={column.role}
                        onRole={(role) => onRole(index, i, role)}
                      />
                    </span>
                  </span>
                ))
              : null}
          </li>
        ))}
      </ul>
    </details>
  );
}

/** Where a table stands and how long it is: `p.12, 48 rows`. */
const placeOf = ({ page, sheet, title, rows }: NonNullable<Proposal['tables']>[number]): string =>
  [page === undefined ? undefined : `p.${page}`, sheet === title ? undefined : sheet, `${rows} rows`]
    .filter((t) => t !== undefined)
    .join(', ');
