import { lazy, Suspense, useEffect, useRef, useState } from 'react';
import { sayBound } from '../../../core/part';
import { joinedUnits, rejoinEdit, runTrials, type Standing, type Trial } from '../../../core/spice';
import { useAct, useStore } from '../../store';
import { edited } from '../../store/part-slice';
import { selectPart } from '../../store/selectors';
import { Button } from '../../ui/button';
import { Card } from '../../ui/card';
import { core } from '../../workers/core';
import { useAnswer } from '../../workers/use-answer';
import { webEngine } from '../../workers/engine';

const CurveChart = lazy(() => import('./curve-chart'));

const TONES = { pass: 'text-green', fail: 'text-brick', inconclusive: 'text-amber' } as const;

/** Simulates the joined units on small benches, one after the other; what was tried belongs to the join as it was then. */
export function TrialCard({ onClose }: { onClose: () => void }) {
  const act = useAct();
  const part = useStore(selectPart);
  const readOnly = useStore((s) => s.part.readOnly);
  const [trials, setTrials] = useState<Trial[]>([]);
  const [busy, setBusy] = useState<string | null>(null);
  const [shown, setShown] = useState(0);
  const engine = useRef<ReturnType<typeof webEngine>>(undefined);
  const stop = () => {
    engine.current?.cancel();
    engine.current = undefined;
  };
  useEffect(() => stop, []);
  const standing = useStanding();
  const setups = standing?.setups ?? [];
  // Another join is another trial; that a trial was kept changes no join.
  const joined = standing?.digest;
  useEffect(() => setTrials([]), [joined]);

  const run = async () => {
    stop();
    const own = (engine.current = webEngine());
    setTrials([]);
    setShown(0);
    const all: Trial[] = [];
    for (const [i, setup] of setups.entries()) {
      setBusy(
        `${setup.unit === null ? part.name : capital(sayBound(setup.unit))}, ${i + 1} of ${setups.length}${i === 0 ? '; the simulator is being loaded' : ''}`,
      );
      all.push(...(await runTrials(setup, own.simulate)));
      if (engine.current !== own) break;
      setTrials([...all]);
    }
    setBusy(null);
    if (engine.current !== own) return;
    stop();
    // What was tried is kept with the part, at the digest of this join.
    if (!readOnly) for (const edit of await core.trialEdits(part, all)) act(edited(edit));
  };
  const trial = trials[shown];
  const model = part.models.find(
    (m) => trial && (trial.modelId ?? m.id) === m.id && joinedUnits(part, m).some((u) => u.label === (trial.unit ?? '')),
  );
  const rejoin = trial?.rejoin && model ? rejoinEdit(part, model, trial.unit ?? '', trial.rejoin) : undefined;
  return (
    <Card label="Trial" title="Trial" aside="each joined unit on a small bench, simulated" className="mx-4 mb-2 shrink-0">
      <div className="flex gap-4">
        <div className="min-w-0 flex-1">
          {standing && setups.length === 0 ? <p className="text-[13px] text-muted">No node is tied to a pin yet.</p> : null}
          {trials.length === 0 && !busy ? <KeptTrials kept={standing?.kept ?? []} /> : null}
          <ul aria-label="Trials" className="flex max-h-52 flex-col gap-1 overflow-y-auto">
            {trials.map((t, i) => (
              <li key={`${t.modelId} ${t.unit} ${t.name}`}>
                <button
                  type="button"
                  aria-pressed={i === shown}
                  onClick={() => setShown(i)}
                  className={`w-full rounded-md border px-2 py-1 text-left text-[13px] ${i === shown ? 'border-green' : 'border-line'}`}
                >
                  <strong className={TONES[t.verdict]}>{t.verdict}</strong> {t.unit === null ? '' : `${sayBound(t.unit)}, `}
                  {t.name}: {t.reason}
                </button>
              </li>
            ))}
          </ul>
          {busy ? (
            <p aria-live="polite" className="mt-1 text-[13px] text-muted">
              {busy}…
            </p>
          ) : null}
          <div className="mt-2 flex gap-1.5">
            {busy ? (
              <Button
                onClick={() => {
                  stop();
                  setBusy(null);
                }}
              >
                Cancel
              </Button>
            ) : (
              <Button tone="main" disabled={setups.length === 0} onClick={() => void run()}>
                {trials.length > 0 ? 'Try again' : 'Run the trial'}
              </Button>
            )}
            {rejoin && trial?.rejoin && !busy ? (
              <Button disabled={readOnly} onClick={() => act(edited(rejoin))}>
                Exchange {trial.rejoin.join(' and ')}
              </Button>
            ) : null}
            <Button onClick={onClose}>Close</Button>
          </div>
        </div>
        {trial?.curve ? (
          <Suspense fallback={<p className="w-[420px] text-[13px] text-muted">The curve is being drawn…</p>}>
            <CurveChart curve={trial.curve} />
          </Suspense>
        ) : null}
      </div>
    </Card>
  );
}

const STATE_WORDS = {
  missing: 'not tried yet',
  older: 'tried before the join changed',
  fail: 'failed',
  inconclusive: 'showed nothing',
  pass: 'passed',
};

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** What the part keeps of its last trial, unit by unit. */
function KeptTrials({ kept }: { kept: Standing['kept'] }) {
  return (
    <ul aria-label="Last trial" className="mb-1 max-h-40 overflow-y-auto text-[13px]">
      {kept.map(({ model, unit, state, records }) => (
        <li key={`${model} ${unit}`}>
          <strong className={state === 'pass' ? TONES.pass : state === 'fail' || state === 'older' ? TONES.fail : TONES.inconclusive}>
            {new Set(kept.map((k) => k.model)).size > 1 ? `${model}, ` : ''}
            {unit === '' ? 'The part' : capital(sayBound(unit))}: {STATE_WORDS[state]}
          </strong>{' '}
          <span className="text-muted">{records.map((r) => `${r.bench}: ${r.reason}`).join(' ')}</span>
        </li>
      ))}
    </ul>
  );
}

/** What there is to try and what is kept, found in the worker: sources of models can be long. */
function useStanding(): Standing | undefined {
  const part = useStore(selectPart);
  const { models, pins, units } = part;
  // Nothing else of the part is in a trial.
  return useAnswer(() => core.trialStanding(part), [models, pins, units]);
}
