import { lazy, Suspense, useEffect, useRef, useState } from 'react';
import { runTrials, setupsOf, type Trial } from '../../../core/spice';
import { useStore } from '../../store';
import { selectPart } from '../../store/selectors';
import { Button } from '../../ui/button';
import { Card } from '../../ui/card';
import { webEngine } from '../../workers/engine';

const CurveChart = lazy(() => import('./curve-chart'));

const TONES = { pass: 'text-green', fail: 'text-brick', inconclusive: 'text-amber' } as const;

/** Simulates the joined units on small benches, one after the other; what was tried belongs to the join as it was then. */
export function TrialCard({ onClose }: { onClose: () => void }) {
  const part = useStore(selectPart);
  const [trials, setTrials] = useState<Trial[]>([]);
  const [busy, setBusy] = useState<string | null>(null);
  const [shown, setShown] = useState(0);
  const engine = useRef<ReturnType<typeof webEngine>>(undefined);
  const stop = () => {
    engine.current?.cancel();
    engine.current = undefined;
  };
  useEffect(() => stop, []);
  // Another join is another trial.
  const joined = part.models;
  useEffect(() => setTrials([]), [joined]);
  const setups = setupsOf(part).filter((s) => s.joins.some((j) => j.pins.length > 0));

  const run = async () => {
    stop();
    const own = (engine.current = webEngine());
    setTrials([]);
    setShown(0);
    const all: Trial[] = [];
    for (const [i, setup] of setups.entries()) {
      setBusy(
        `${setup.unit === null ? part.name : `Unit ${setup.unit}`}, ${i + 1} of ${setups.length}${i === 0 ? '; the simulator is being loaded' : ''}`,
      );
      all.push(...(await runTrials(setup, own.simulate)));
      if (engine.current !== own) break;
      setTrials([...all]);
    }
    setBusy(null);
    if (engine.current === own) stop();
  };
  const trial = trials[shown];
  return (
    <Card label="Trial" title="Trial" aside="each joined unit on a small bench, simulated" className="mx-4 mb-2 shrink-0">
      <div className="flex gap-4">
        <div className="min-w-0 flex-1">
          {setups.length === 0 ? <p className="text-[13px] text-muted">No node is tied to a pin yet.</p> : null}
          <ul aria-label="Trials" className="flex max-h-52 flex-col gap-1 overflow-y-auto">
            {trials.map((t, i) => (
              <li key={`${t.unit} ${t.name}`}>
                <button
                  type="button"
                  aria-pressed={i === shown}
                  onClick={() => setShown(i)}
                  className={`w-full rounded-md border px-2 py-1 text-left text-[13px] ${i === shown ? 'border-green' : 'border-line'}`}
                >
                  <strong className={TONES[t.verdict]}>{t.verdict}</strong> {t.unit === null ? '' : `unit ${t.unit}, `}
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
