import { useRef, useState } from 'react';
import { ELECTRICAL_TYPES } from '../../core/part';
import type { ColumnId } from './ledger-columns';

interface Props {
  column: ColumnId;
  start: string;
  /** False where the text is refused, which then stays to be put right. */
  onDone: (text: string, then: 'down' | 'right' | 'stay') => boolean;
  onCancel: () => void;
}

/** The field over a cell while it is edited. Enter goes down, Tab goes right, Escape leaves it as it was. */
export function LedgerCellEditor({ column, start, onDone, onCancel }: Props) {
  const [text, setText] = useState(start);
  const over = useRef(false);
  const finish = (then: 'down' | 'right' | 'stay') => {
    if (over.current) return;
    over.current = true;
    over.current = onDone(text, then);
  };
  return (
    <>
      <input
        aria-label={`Edit ${column}`}
        // The field takes the place of the cell that had the focus.
        // eslint-disable-next-line jsx-a11y/no-autofocus
        autoFocus
        value={text}
        list={column === 'type' ? 'types' : undefined}
        onChange={(e) => setText(e.target.value)}
        onBlur={() => finish('stay')}
        onClick={(e) => e.stopPropagation()}
        onKeyDown={(e) => {
          e.stopPropagation();
          if (e.key === 'Enter') finish('down');
          if (e.key === 'Tab') {
            e.preventDefault();
            finish('right');
          }
          if (e.key === 'Escape') {
            over.current = true;
            onCancel();
          }
        }}
        className="h-full w-full min-w-0 bg-surface px-0.5 font-mono outline-2 outline-green"
      />
      {column === 'type' ? (
        <datalist id="types">
          {ELECTRICAL_TYPES.map((t) => (
            <option key={t} value={t} />
          ))}
        </datalist>
      ) : null}
    </>
  );
}
