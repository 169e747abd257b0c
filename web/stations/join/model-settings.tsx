import { listed, type Model } from '../../../core/part';
import { useAct, useStore } from '../../store';
import { edited } from '../../store/part-slice';
import { Field } from '../../ui/field';
import { core } from '../../workers/core';
import { useAnswer } from '../../workers/use-answer';

const where = (lines: readonly number[]): string => `${lines.length === 1 ? 'line' : 'lines'} ${listed(lines, 4)}`;

/** What the chosen model can be set to for this part: its parameters, and the form that the export writes it in. */
export function ModelSettingsView({ model }: { model: Model }) {
  const act = useAct();
  const settings = useAnswer(() => core.modelSettings(model), [model]);
  const readOnly = useStore((s) => s.part.readOnly);
  const set = (next: Partial<Model>) => act(edited({ kind: 'setModel', model: { ...model, ...next } }));
  const setParam = (name: string, value: string) => {
    const { [name]: _before, ...others } = model.params ?? {};
    set({ params: value.trim() === '' ? others : { ...others, [name]: value.trim() } });
  };
  if (!settings?.chosen) return null;
  const { chosen, dialect, rewrites } = settings;
  return (
    <div className="mt-2 grid grid-cols-2 gap-4 text-[13px]">
      <section aria-label="Parameters">
        <h3 className="font-semibold">Parameters of {chosen.name}</h3>
        {chosen.kind !== 'subckt' || chosen.params.length === 0 ? (
          <p className="text-muted">It has none that can be set.</p>
        ) : (
          <div className="grid max-h-28 grid-cols-3 gap-2 overflow-y-auto">
            {chosen.params.map((p) => (
              <Field
                key={p.name}
                label={`${p.name}, else ${p.value}`}
                value={model.params?.[p.name] ?? ''}
                placeholder={p.value}
                disabled={readOnly}
                onDone={(text) => setParam(p.name, text)}
              />
            ))}
          </div>
        )}
      </section>
      <section aria-label="Dialect">
        <h3 className="font-semibold">{dialect.length === 0 ? 'Berkeley SPICE 3 reads it' : 'Not in Berkeley SPICE 3'}</h3>
        {dialect.length > 0 ? (
          <>
            <ul className="max-h-20 overflow-y-auto">
              {dialect.map((d) => (
                <li key={d.construct}>
                  {d.construct} <span className="text-muted">{where(d.lines)}</span>
                </li>
              ))}
            </ul>
            <label className="mt-1 flex items-center gap-2">
              <input
                type="checkbox"
                checked={model.berkeley ?? false}
                disabled={readOnly}
                onChange={(e) => {
                  const { berkeley: _before, ...rest } = model;
                  act(edited({ kind: 'setModel', model: e.target.checked ? { ...rest, berkeley: true } : rest }));
                }}
              />
              Rewrite on export what has an equal
              {model.berkeley ? <span className="text-muted">({rewrites} changes, each listed in the file)</span> : null}
            </label>
          </>
        ) : null}
      </section>
    </div>
  );
}
