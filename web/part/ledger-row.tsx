import { memo, type CSSProperties, type ReactNode } from 'react';
import { padsIn, type Pin } from '../../core/part';
import { useStore } from '../store';
import { selectFindingsByPin, selectModels, selectNodes, selectPadJoined, selectPlaces } from '../store/selectors';
import { PinName, TypeMark } from '../ui/marks';
import { mayOverflow, type ColumnId, type ShownColumn } from './ledger-columns';
import type { LedgerRow } from './ledger-rows';

interface Place {
  /** Pixels from the first row's top edge. */
  top: number;
  height: number;
}

const placed = ({ top, height }: Place): CSSProperties => ({ top, height });

interface GroupProps extends Place {
  row: Extract<LedgerRow, { kind: 'group' }>;
  index: number;
  columns: number;
  onFold: (title: string) => void;
}

export const GroupRow = memo(function GroupRow({ row, top, height, index, columns, onFold }: GroupProps) {
  return (
    <div role="row" aria-rowindex={index + 2} style={placed({ top, height })} className="absolute inset-x-0">
      <div role="gridcell" aria-colspan={columns} className="h-full">
        <button
          type="button"
          tabIndex={-1}
          aria-expanded={!row.folded}
          onClick={() => onFold(row.title)}
          className="flex h-full w-full items-center gap-1.5 border-b border-line bg-sunken px-2 text-[13px]"
        >
          <span aria-hidden="true" className="w-3">
            {row.folded ? '▸' : '▾'}
          </span>
          <span className="truncate font-semibold">{row.title || 'No group'}</span>
          <span className="text-muted">{row.count}</span>
        </button>
      </div>
    </div>
  );
});

interface PinProps extends Place {
  pin: Pin;
  columns: ShownColumn[];
  packageId: string | undefined;
  index: number;
  selected: boolean;
  /** The column of the cell in focus, or -1. */
  cursor: number;
  onClick: (row: number, column: number, e: { shiftKey: boolean; ctrlKey: boolean; metaKey: boolean }) => void;
  onOpen: (row: number, column: number, pin: Pin) => void;
  editor: { column: ColumnId; element: ReactNode } | null;
}

/** A pin's row. It is drawn again only when something of its own changes: its handlers and places are the same from one time to the next. */
export const PinRow = memo(function PinRow(props: PinProps) {
  const { pin, columns, packageId, top, height, index, selected, cursor, onClick, onOpen, editor } = props;
  return (
    <div
      id={`pin-${pin.id}`}
      role="row"
      aria-rowindex={index + 2}
      aria-selected={selected}
      style={placed({ top, height })}
      className={`absolute inset-x-0 flex items-center border-b border-line text-[13px] contain-layout contain-size contain-style ${selected ? 'bg-green-wash' : ''}`}
    >
      {selected ? <span aria-hidden="true" className="absolute inset-y-0 left-0 w-[3px] bg-green" /> : null}
      {columns.map((c, i) => (
        // The grid itself takes the keys; a cell only takes the pointer.
        // eslint-disable-next-line jsx-a11y/click-events-have-key-events, jsx-a11y/interactive-supports-focus
        <div
          key={c.id}
          role="gridcell"
          aria-colindex={i + 1}
          style={{ flex: `${c.grow} 1 0` }}
          onClick={(e) => onClick(index, i, e)}
          onDoubleClick={() => onOpen(index, i, pin)}
          className={`flex h-full min-w-0 items-center px-2 ${cursor === i ? 'outline outline-1 -outline-offset-1 outline-green' : ''}`}
        >
          {editor?.column === c.id ? editor.element : <Cell column={c} pin={pin} packageId={packageId} />}
        </div>
      ))}
    </div>
  );
});

const doubtful = (pin: Pin, ...fields: string[]): string | undefined => pin.doubts.find((d) => fields.includes(d.field))?.reason;

function Cell({ column: { id, room }, pin, packageId }: { column: ShownColumn; pin: Pin; packageId: string | undefined }) {
  switch (id) {
    case 'number': {
      const pads = padsIn(pin, packageId);
      const text = numbersText(pads);
      return (
        <Doubted reason={doubtful(pin, 'number')} title={pads.join(', ')} cut={mayOverflow(text, room, 'even')}>
          <span className="font-mono text-muted">{text}</span>
        </Doubted>
      );
    }
    case 'name':
      return (
        <Doubted reason={doubtful(pin, 'name', 'activeLow')} cut={mayOverflow(pin.name || '(no name)', room, 'even')}>
          <PinName name={pin.name} activeLow={!!pin.activeLow} />
        </Doubted>
      );
    case 'type': {
      const cut = mayOverflow(pin.type, room - MARK, 'word');
      return (
        <Doubted reason={doubtful(pin, 'type')} title={pin.because?.['type']} cut={cut}>
          {/* What is flexible would be cut off without an ellipsis. */}
          <span className={cut ? '[&>svg]:mr-1 [&>svg]:align-[-2px]' : 'flex items-center gap-1'}>
            <TypeMark type={pin.type} />
            {pin.type}
          </span>
        </Doubted>
      );
    }
    case 'unit':
      return <DrawnCell pin={pin} room={room} />;
    case 'pads':
      return <PadsCell pin={pin} pads={padsIn(pin, packageId)} room={room} />;
    case 'node':
      return <NodeCell pin={pin} room={room} />;
    case 'findings':
      return <FindingsCell pin={pin} />;
    case 'group':
      return <Line text={pin.group ?? ''} room={room} />;
    default:
      return (
        <span className="truncate" title={pin.description}>
          {pin.description ?? ''}
        </span>
      );
  }
}

/** What the mark of a type takes beside its word, in pixels. */
const MARK = 18;

/** The class of a text that may or may not be cut off. */
const lineClass = (cut: boolean): string => (cut ? 'truncate' : 'whitespace-nowrap');

/** A text in one line. */
function Line({ text, room, even = false, className = '' }: { text: string; room: number; even?: boolean; className?: string }) {
  const cut = mayOverflow(text, room, even ? 'even' : 'any');
  return <span className={`${lineClass(cut)} ${even ? 'font-mono' : ''} ${className}`}>{text}</span>;
}

interface DoubtedProps {
  reason: string | undefined;
  title?: string | undefined;
  cut: boolean;
  children: ReactNode;
}

/** The room above a name is for its overbar, which a cut-off box would take away. A doubtful cell is underlined and marked, never only coloured. */
function Doubted({ reason, title, cut, children }: DoubtedProps) {
  return (
    <span
      title={reason ?? title}
      className={`-mt-1 pt-1 ${lineClass(cut)} ${reason === undefined ? '' : '-mb-0.5 border-b-2 border-amber-line bg-amber-wash px-0.5'}`}
    >
      {children}
      {reason === undefined ? null : <span className="sr-only"> in doubt</span>}
    </span>
  );
}

/** The longest text that a narrow column of numbers has room for. */
const NARROW = 5;

/** The numbers of a terminal, or how many there are: of a bundle with the first one where both have room. */
function numbersText(pads: readonly string[]): string {
  if (pads.length <= 2) return pads.join(',');
  const text = `${pads[0]} ×${pads.length}`;
  return text.length > NARROW ? `×${pads.length}` : text;
}

function DrawnCell({ pin, room }: { pin: Pin; room: number }) {
  // The words, so that a move along a side draws no row again.
  const where = useStore((s) =>
    selectPlaces(s)
      .get(pin.id)
      ?.map((p) => `${p.unit.label} ${p.port.side}`)
      .join(', '),
  );
  return where === undefined ? <span className="text-amber">not drawn</span> : <Line text={where} room={room} />;
}

function PadsCell({ pin, pads, room }: { pin: Pin; pads: readonly string[]; room: number }) {
  const joined = useStore((s) => selectPadJoined(s).has(pin.id));
  if (pads.length === 0) return <span className="text-amber">none</span>;
  return <Line text={joined ? pads.join(',') : `${pads.join(',')} loose`} room={room} even className={joined ? '' : 'text-amber'} />;
}

function NodeCell({ pin, room }: { pin: Pin; room: number }) {
  const node = useStore((s) => selectNodes(s).get(pin.id));
  const hasModel = useStore((s) => selectModels(s).length > 0);
  if (node !== undefined) return <Line text={node} room={room} even />;
  return <Line text={hasModel ? 'not in model' : '–'} room={room} className="text-muted" />;
}

function FindingsCell({ pin }: { pin: Pin }) {
  const count = useStore((s) => selectFindingsByPin(s).get(pin.id) ?? 0);
  return count === 0 ? <span className="text-muted">–</span> : <span className="font-semibold text-brick">{count}</span>;
}
