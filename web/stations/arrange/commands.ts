import { addUnit, canMirror } from '../../../core/arrange';
import type { Side, Unit } from '../../../core/part';
import { useCommands } from '../../commands/registry';
import { useAct, useStore } from '../../store';
import { edited } from '../../store/part-slice';
import { selectPart, selectPinById, selectPlaces, selectSelection } from '../../store/selectors';
import { selected } from '../../store/view-slice';
import type { HandWork } from './hand';
import type { ViewControl } from './view';
import type { PlacedUnit } from './layout';
import { PLAN_WAYS, WAY_WORDS, type PlanWay } from './plan-ways';

/** What is done to a unit beside its own card. */
export type UnitWork = 'shape' | 'reuse' | 'art';

interface Doing {
  hand: HandWork;
  unit: Unit | undefined;
  view: ViewControl;
  units: readonly PlacedUnit[];
  /** A proposal is shown, which is to be looked at only. */
  still: boolean;
  hasProposal: boolean;
  takeProposal: () => void;
  plan: (way: PlanWay) => void;
  tidy: () => void;
  toggle: (mode: 'board' | 'preview') => void;
  zoomTo: (ids: string[]) => void;
  /** Opens the card of the unit in view, or one for something that is done to it. */
  begin: (what: UnitWork | null) => void;
}

const UNIT_WORK: readonly [UnitWork | null, (label: string) => string][] = [
  ['shape', (label) => `Body shape of unit ${label}…`],
  ['art', (label) => `Artwork of unit ${label}…`],
  ['reuse', (label) => `Take a drawing for unit ${label}…`],
  [null, (label) => `Title, size and texts of unit ${label}…`],
];

const FLAT: Side[] = ['left', 'right'];
const UPRIGHT: Side[] = ['top', 'base'];

/** Everything that Arrange can do by key or from the palette. */
export function useArrangeCommands({
  hand,
  unit,
  view,
  units,
  still,
  hasProposal,
  takeProposal,
  plan,
  tidy,
  toggle,
  zoomTo,
  begin,
}: Doing): void {
  const act = useAct();
  const part = useStore(selectPart);
  const selection = useStore(selectSelection);
  const places = useStore(selectPlaces);
  const byId = useStore(selectPinById);
  const readOnly = useStore((s) => s.part.readOnly);
  const can = () => selection.length > 0 && !readOnly && !still;
  const arrange = { group: 'Arrange' } as const;
  const first = byId.get(selection[0] ?? '');
  const choose = (test: (pin: (typeof part.pins)[number]) => boolean) => act(selected(part.pins.filter(test).map((p) => p.id)));
  const sidesOf = (id: string) => (places.get(id) ?? []).map((p) => `${p.unit.id} ${p.port.side}`);
  const sides = new Set(selection.flatMap(sidesOf));
  useCommands([
    { ...arrange, id: 'plan', title: 'Plan units', key: 'P', can: () => part.pins.length > 0 && !readOnly, run: () => plan('function') },
    {
      ...arrange,
      id: 'tidy',
      title: `Tidy unit ${unit?.label ?? ''}`.trim(),
      key: 'T',
      can: () => unit !== undefined && !readOnly,
      run: tidy,
    },
    ...PLAN_WAYS.filter((way) => way !== 'function').map((way) => ({
      ...arrange,
      id: way,
      title: `Plan ${WAY_WORDS[way]}`,
      can: () => part.units.length > 0 && !readOnly,
      run: () => plan(way),
    })),
    { ...arrange, id: 'board', title: 'The plan as a board', key: 'B', can: () => part.units.length > 0, run: () => toggle('board') },
    {
      ...arrange,
      id: 'preview',
      title: 'Preview in a schematic',
      key: 'V',
      can: () => part.units.length > 0,
      run: () => toggle('preview'),
    },
    { ...arrange, id: 'take-proposal', title: 'Take the proposal', key: 'Alt+Enter', can: () => hasProposal, run: takeProposal },
    { ...arrange, id: 'up', title: 'Move pins up', key: '↑', can, run: () => hand.step(1, FLAT) },
    { ...arrange, id: 'down', title: 'Move pins down', key: '↓', can, run: () => hand.step(-1, FLAT) },
    { ...arrange, id: 'to-right', title: 'Move pins rightwards', key: '→', can, run: () => hand.step(1, UPRIGHT) },
    { ...arrange, id: 'to-left', title: 'Move pins leftwards', key: '←', can, run: () => hand.step(-1, UPRIGHT) },
    { ...arrange, id: 'send-left', title: 'Send pins to the left side', key: 'Shift+←', can, run: () => hand.send('left') },
    { ...arrange, id: 'send-right', title: 'Send pins to the right side', key: 'Shift+→', can, run: () => hand.send('right') },
    { ...arrange, id: 'send-top', title: 'Send pins to the top', key: 'Shift+↑', can, run: () => hand.send('top') },
    { ...arrange, id: 'send-base', title: 'Send pins to the base', key: 'Shift+↓', can, run: () => hand.send('base') },
    { ...arrange, id: 'natural', title: 'Order pins by name', key: 'O', can, run: hand.byName },
    { ...arrange, id: 'by-number', title: 'Order pins by number', can, run: () => hand.sort('number') },
    { ...arrange, id: 'by-type', title: 'Order pins by type', can, run: () => hand.sort('type') },
    { ...arrange, id: 'by-group', title: 'Order pins by group', can, run: () => hand.sort('group') },
    { ...arrange, id: 'reverse', title: 'Reverse the order', key: 'Shift+O', can, run: hand.reverse },
    { ...arrange, id: 'gap', title: 'Open a gap before the pins', key: 'G', can, run: hand.gap },
    { ...arrange, id: 'close-up', title: 'Close up the pins', key: 'Shift+G', can, run: hand.closeUp },
    {
      ...arrange,
      id: 'distribute',
      title: 'Spread the pins evenly',
      key: 'D',
      can: () => can() && selection.length > 2,
      run: hand.distribute,
    },
    { ...arrange, id: 'swap', title: 'Swap two pins', key: 'X', can: () => can() && selection.length === 2, run: hand.swap },
    {
      ...arrange,
      id: 'mirror',
      title: `Mirror unit ${unit?.label ?? ''}`.trim(),
      key: 'M',
      can: () => !readOnly && !still && part.drawings.some((d) => d.id === unit?.drawing && canMirror(d)),
      run: () => hand.mirror(unit!.id),
    },
    ...UNIT_WORK.map(([what, title]) => ({
      ...arrange,
      id: `unit-${what ?? 'own'}`,
      title: title(unit?.label ?? ''),
      can: () => unit !== undefined && !readOnly && !still,
      run: () => begin(what),
    })),
    {
      ...arrange,
      id: 'add-unit',
      title: 'Add an empty unit',
      key: 'U',
      can: () => !readOnly,
      run: () => act(edited(addUnit(part, 'New unit'))),
    },
    {
      group: 'Select',
      id: 'same-type',
      title: 'Select all of this type',
      can: () => !!first,
      run: () => choose((p) => p.type === first!.type),
    },
    {
      group: 'Select',
      id: 'same-group',
      title: 'Select all of this group',
      can: () => !!first,
      run: () => choose((p) => p.group === first!.group),
    },
    {
      group: 'Select',
      id: 'same-side',
      title: 'Select all of this side',
      can: () => !!first,
      run: () => choose((p) => sidesOf(p.id).some((s) => sides.has(s))),
    },
    {
      group: 'Select',
      id: 'select-unit',
      title: `Select all of unit ${unit?.label ?? ''}`.trim(),
      can: () => unit !== undefined,
      run: () => act(selected([...new Set(Object.values(unit!.binding))])),
    },
    {
      group: 'Select',
      id: 'select-named',
      title: 'Select by name…',
      key: 'S',
      run: () => document.getElementById('select-named')?.focus(),
    },
    { id: 'zoom-all', title: 'Show all units', key: 'Shift+Z', group: 'View', run: () => view.show(units) },
    {
      id: 'zoom-selection',
      title: 'Show the selection',
      key: 'Z',
      group: 'View',
      can: () => selection.length > 0,
      run: () => zoomTo(selection),
    },
    { id: 'zoom-in', title: 'Zoom in', key: '+', group: 'View', run: () => view.zoomBy(1.25) },
    { id: 'zoom-out', title: 'Zoom out', key: '-', group: 'View', run: () => view.zoomBy(0.8) },
  ]);
}
