import { useMemo } from 'react';
import {
  closeUp,
  distribute,
  inDrawnOrder,
  mirror,
  moveEdit,
  nudge,
  openGap,
  reorder,
  sendToSide,
  sortPorts,
  swapPorts,
  type Move,
  type Sort,
} from '../../../core/arrange';
import { compareNatural, compareTerminals, type Drawing, type Edit, type Part, type Side } from '../../../core/part';
import { useAct, type AppDispatch } from '../../store';
import { edited } from '../../store/part-slice';
import { selectPart, selectSelection } from '../../store/selectors';

export interface HandWork {
  send: (side: Side) => void;
  step: (by: 1 | -1, sides: readonly Side[]) => void;
  byName: () => void;
  reverse: () => void;
  sort: (by: Sort) => void;
  gap: () => void;
  closeUp: () => void;
  distribute: () => void;
  swap: () => void;
  mirror: (unitId: string) => void;
}

/** The selected ports of a drawing, whatever unit they were selected in. */
function portsOf(part: Part, drawing: Drawing, selection: readonly string[]): string[] {
  const chosen = new Set(selection);
  const own = part.units.filter((u) => u.drawing === drawing.id);
  return [...new Set(own.flatMap((u) => Object.entries(u.binding).flatMap(([port, pin]) => (chosen.has(pin) ? [port] : []))))];
}

/**
 * What hands do with the selected pins: each is one step of undo, whatever number of drawings it touches. The part and the
 * selection are those of the moment, so that what offers the work need not be drawn again for them.
 */
export function useHandWork(): HandWork {
  const act = useAct();
  return useMemo(() => handWork(act), [act]);
}

function handWork(act: AppDispatch): HandWork {
  const withPart = (work: (part: Part, selection: readonly string[]) => Edit | undefined) =>
    act((dispatch, getState) => {
      const edit = work(selectPart(getState()), selectSelection(getState()));
      if (edit) dispatch(edited(edit));
    });
  const withPorts = (title: string, moves: (drawing: Drawing, ports: string[], part: Part) => Move[]) =>
    withPart((part, selection) => {
      const edits = part.drawings.flatMap((drawing): Edit[] => {
        const ports = portsOf(part, drawing, selection);
        const wanted = ports.length > 0 ? moves(drawing, ports, part) : [];
        return wanted.length > 0 ? [moveEdit(drawing, wanted, title)] : [];
      });
      return edits.length < 2 ? edits[0] : { kind: 'batch', title, edits };
    });
  const at = (drawing: Drawing, port: string) => drawing.ports.find((p) => p.id === port)!.at;
  return {
    send: (side) => withPorts(`send pins ${side}`, (d, ports) => sendToSide(d, ports, side)),
    step: (by, sides) =>
      withPorts('move pins', (d, ports) =>
        nudge(
          d,
          ports.filter((p) => sides.includes(d.ports.find((q) => q.id === p)!.side)),
          by,
        ),
      ),
    byName: () =>
      withPorts('order pins', (d, ports, part) => {
        const unit = part.units.find((u) => u.drawing === d.id)!;
        const portOf = new Map(ports.map((port) => [part.pins.find((p) => p.id === unit.binding[port])!, port]));
        return reorder(
          d,
          inDrawnOrder([...portOf.keys()]).map((pin) => portOf.get(pin)!),
        );
      }),
    reverse: () =>
      withPorts('reverse pins', (d, ports) =>
        reorder(
          d,
          [...ports].sort((a, b) => at(d, a) - at(d, b)),
        ),
      ),
    sort: (by) =>
      withPorts('sort pins', (d, ports, part) => sortPorts(part, d, ports, by, by === 'number' ? compareTerminals : compareNatural)),
    gap: () => withPorts('open a gap', (d, ports) => openGap(d, [...ports].sort((a, b) => at(d, b) - at(d, a))[0]!)),
    closeUp: () => withPorts('close up', closeUp),
    distribute: () => withPorts('spread pins', distribute),
    swap: () => withPorts('swap two pins', swapPorts),
    mirror: (unitId) =>
      withPart((part) => {
        const drawing = part.drawings.find((d) => d.id === part.units.find((u) => u.id === unitId)?.drawing);
        return drawing && { kind: 'movePorts', drawing: drawing.id, moves: mirror(drawing) };
      }),
  };
}
