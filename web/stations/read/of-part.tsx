import type { Particular } from '../../../core/draft';
import type { Said } from '../../../core/intake';

const FIELD: Record<Particular['field'], string> = {
  name: 'Name',
  description: 'Description',
  maker: 'Maker',
  datasheet: 'Datasheet',
  orderCodes: 'Order codes',
};

interface Props {
  offered: readonly Particular[];
  without: ReadonlySet<Particular['field']>;
  onTake: (field: Particular['field'], take: boolean) => void;
  /** Shows the place in the document; missing where its pages are not in view. */
  onShow: ((said: Said) => void) | undefined;
}

/** What the source says of the part itself, to be taken with its pins or left. */
export function OfPart({ offered, without, onTake, onShow }: Props) {
  if (offered.length === 0) return null;
  return (
    <div className="mb-2 flex shrink-0 flex-wrap items-center gap-2 px-4" role="group" aria-label="Of the part">
      <span className="text-muted">Of the part:</span>
      {offered.map(({ field, text, said }) => (
        <span
          key={field}
          className={`flex max-w-full min-w-0 items-center gap-1.5 rounded-md border px-2 py-0.5 ${without.has(field) ? 'border-line bg-surface text-muted' : 'border-green bg-green-wash'}`}
        >
          <label className="flex min-w-0 cursor-pointer items-center gap-1.5" title={`${FIELD[field]}: ${text}`}>
            <input type="checkbox" checked={!without.has(field)} onChange={(e) => onTake(field, e.target.checked)} />
            <span className="shrink-0 text-muted">{FIELD[field]}</span>
            <span className="max-w-80 truncate">{text}</span>
          </label>
          {said && onShow ? (
            <button
              type="button"
              className="shrink-0 text-[12px] text-muted underline hover:text-ink"
              aria-label={`Show the ${FIELD[field].toLowerCase()} on page ${said.page}`}
              onClick={() => onShow(said)}
            >
              page {said.page}
            </button>
          ) : null}
        </span>
      ))}
    </div>
  );
}
