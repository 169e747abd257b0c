import { useAct, useStore } from '../../store';
import { edited } from '../../store/part-slice';
import { selectPinById, selectSelection } from '../../store/selectors';

/** For a pin with alternate functions: which of its names a drawing shows. The printed name stays the pin's name. */
export function DrawnName() {
  const act = useAct();
  const pins = useStore(selectPinById);
  const selection = useStore(selectSelection);
  const readOnly = useStore((s) => s.part.readOnly);
  const pin = selection.length === 1 ? pins.get(selection[0]!) : undefined;
  if (!pin?.alternates?.length) return null;
  const choices = [...new Set([pin.name.split('/')[0]!, ...pin.alternates])].filter((n) => n !== pin.name && n !== '');
  return (
    <label className="flex items-center gap-1.5 text-[13px]">
      <span className="text-muted">drawn as</span>
      <select
        value={pin.drawnName ?? ''}
        disabled={readOnly}
        onChange={(e) =>
          act(
            edited({
              kind: 'changePins',
              changes: [
                e.target.value === '' ? { id: pin.id, set: {}, unset: ['drawnName'] } : { id: pin.id, set: { drawnName: e.target.value } },
              ],
            }),
          )
        }
        className="max-w-56 rounded-md border border-line bg-surface px-1.5 py-1 font-mono text-[12px]"
      >
        <option value="">{pin.name}</option>
        {choices.map((n) => (
          <option key={n} value={n}>
            {n}
          </option>
        ))}
      </select>
    </label>
  );
}
