import type { ColumnRole } from '../../../core/intake';

export const ROLES: ColumnRole[] = ['number', 'name', 'type', 'description', 'group', 'alternates', 'rail', 'activeLow', 'ignore'];
export const ROLE_WORDS: Partial<Record<ColumnRole, string>> = { activeLow: 'active low', ignore: 'leave out' };
export const ROLE_TONES: Partial<Record<ColumnRole, string>> = {
  number: 'bg-green text-on-green',
  name: 'bg-slate text-surface',
  type: 'bg-amber text-surface',
  description: 'bg-muted text-surface',
};
/** A column's tint on the page, light enough to read through. */
export const ROLE_TINTS: Partial<Record<ColumnRole, string>> = {
  number: 'bg-green/10',
  name: 'bg-slate/10',
  type: 'bg-amber/10',
  description: 'bg-muted/8',
};

/** Short words for columns too narrow for the role's name. */
const SHORT: Partial<Record<ColumnRole, string>> = { number: 'no.', description: 'text', alternates: 'alt', activeLow: 'low', ignore: '–' };

interface Props {
  label: string;
  role: ColumnRole;
  onRole: (role: ColumnRole) => void;
  className?: string;
  /** Too narrow for the whole word. */
  narrow?: boolean;
}

/** The choice of a column's role, in the colour of the role that it has. */
export function RoleSelect({ label, role, onRole, className = '', narrow = false }: Props) {
  return (
    <div
      className={`relative w-full overflow-hidden rounded px-1.5 py-0.5 text-[12px] font-semibold whitespace-nowrap focus-within:outline-2 focus-within:outline-halo ${ROLE_TONES[role] ?? 'bg-sunken'} ${className}`}
    >
      <span aria-hidden="true">{narrow ? (SHORT[role] ?? role) : (ROLE_WORDS[role] ?? role)}</span>
      {narrow ? null : (
        <span aria-hidden="true" className="absolute right-1.5 text-[10px] leading-4 opacity-80">
          ▾
        </span>
      )}
      <select
        aria-label={label}
        title={ROLE_WORDS[role] ?? role}
        value={role}
        onChange={(e) => onRole(e.target.value as ColumnRole)}
        className="absolute inset-0 w-full cursor-pointer opacity-0"
      >
        {ROLES.map((r) => (
          <option key={r} value={r} className="bg-surface text-ink">
            {ROLE_WORDS[r] ?? r}
          </option>
        ))}
      </select>
    </div>
  );
}
