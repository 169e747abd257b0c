import { freshId, type Pin } from '../../core/part';
import { useCommands } from '../commands/registry';
import { useAct, useStore } from '../store';
import { edited } from '../store/part-slice';
import { selectPackageId, selectPins, selectSelection } from '../store/selectors';
import { selected } from '../store/view-slice';
import { counted } from '../ui/counted';
import { say } from '../ui/toasts';
import { cellText, type ColumnId, type LedgerColumn } from './ledger-columns';
import type { LedgerRow } from './ledger-rows';

interface Given {
  /** The column of the cell in focus. */
  column: LedgerColumn | undefined;
  rows: LedgerRow[];
  put: (column: ColumnId, cells: { pin: Pin; text: string }[]) => boolean;
  focusGrid: () => void;
}

/** What can be done to the ledger from everywhere: filter, fill, add, remove, bundle, split. Gives what its buttons need. */
export function useLedgerCommands({ column, rows, put, focusGrid }: Given): { addPin: () => void } {
  const act = useAct();
  const pins = useStore(selectPins);
  const packageId = useStore(selectPackageId);
  const selection = useStore(selectSelection);
  const readOnly = useStore((s) => s.part.readOnly);
  const focus = selection.at(-1);

  const fillDown = () => {
    const chosen = rows.flatMap((r) => (r.kind === 'pin' && selection.includes(r.pin.id) ? [r.pin] : []));
    if (!column?.editable || chosen.length < 2) return;
    put(
      column.id,
      chosen.slice(1).map((pin) => ({ pin, text: cellText(column.id, chosen[0]!, packageId) })),
    );
  };

  const addPin = () => {
    const id = freshId('p', new Set(pins.map((p) => p.id)));
    const group = pins.find((p) => p.id === focus)?.group;
    act(
      edited({
        kind: 'addPins',
        pins: [{ id, name: '', type: 'unspecified', pads: {}, doubts: [], ...(group ? { group } : {}) }],
        ...(focus ? { after: focus } : {}),
      }),
    );
    act(selected([id]));
  };
  const removePins = () => {
    act(edited({ kind: 'removePins', pins: selection }));
    act(say(`Removed ${counted(selection.length, 'pin')}. Ctrl+Z brings them back.`));
    act(selected([]));
  };

  useCommands([
    {
      id: 'filter',
      title: 'Filter the ledger',
      key: 'Ctrl+F',
      group: 'Ledger',
      run: () => document.getElementById('ledger-filter')?.focus(),
    },
    { id: 'ledger', title: 'Go to the ledger', key: 'Alt+L', group: 'Ledger', run: () => focusGrid() },
    {
      id: 'fill-down',
      title: 'Fill the column down the selection',
      key: 'Ctrl+D',
      group: 'Ledger',
      can: () => selection.length > 1,
      run: fillDown,
    },
    { id: 'add-pin', title: 'Add a pin', key: 'Alt+A', group: 'Ledger', can: () => !readOnly, run: addPin },
    {
      id: 'remove-pins',
      title: 'Remove the selected pins',
      key: 'Alt+Del',
      group: 'Ledger',
      can: () => selection.length > 0 && !readOnly,
      run: removePins,
    },
    {
      id: 'bundle',
      title: 'Bundle the selected pins into one',
      group: 'Ledger',
      can: () => selection.length > 1 && !readOnly,
      run: () => {
        act(edited({ kind: 'bundlePins', pins: selection }));
        // The first of them is the bundle; the others are there no more.
        act(
          selected(
            pins
              .filter((p) => selection.includes(p.id))
              .slice(0, 1)
              .map((p) => p.id),
          ),
        );
      },
    },
    {
      id: 'split',
      title: 'Split the bundle',
      group: 'Ledger',
      can: () => selection.length === 1 && !readOnly,
      run: () => act(edited({ kind: 'splitPin', pin: selection[0]! })),
    },
  ]);
  return { addPin };
}
