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
  /** What the part is called, and the number of the other part that the document is of. */
  mistaken: { part: string; document: string } | undefined;
  offered: readonly Particular[];
  without: ReadonlySet<Particular['field']>;
  onTake: (field: Particular['field'], take: boolean) => void;
  /** Shows the place in the document; missing where its pages are not in view. */
  onShow: ((said: Said) => void) | undefined;
}

/** What the source says of the part itself, to be taken with its pins or left. */
export function OfPart({ mistaken, offered, without, onTake, onShow }: Props) {
  if (offered.length === 0 && !mistaken) return null;
  return (
    <div className="mb-2 flex shrink-0 flex-wrap items-center gap-2 px-4" role="group" aria-label="Of the part">
      {mistaken ? (
        <p role="note" className="w-full rounded-md border border-amber-line bg-amber-wash px-3 py-1 text-[13px]">
          By its title the document is of {mistaken.document}, and this part is called {mistaken.part}.
        </p>
      ) : null}
      {offered.length > 0 ? <span className="text-muted">Of the part:</span> : null}
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
