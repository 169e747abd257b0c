import { wrap } from 'comlink';
import type { Run, Simulate } from '../../core/spice';
import type { EngineApi } from './engine-worker';

/** The longest that one run may take, the loading of the engine at the first one included, in ms. */
const LIMIT = 60_000;

/** A simulator in a worker of its own: cancelling, or a run over its time, ends the worker. */
export function webEngine(): { simulate: Simulate; cancel: () => void } {
  const worker = new Worker(new URL('./engine-worker.ts', import.meta.url), { type: 'module' });
  const api = wrap<EngineApi>(worker);
  let stop: (why: string) => void = () => {};
  let isOver = false;
  const ended = (why: string): Run => ({ vectors: new Map(), errors: [`aborted: ${why}`] });
  const cancel = () => {
    isOver = true;
    worker.terminate();
    stop('it was cancelled');
  };
  const simulate: Simulate = (netlist) => {
    if (isOver) return Promise.resolve(ended('it was cancelled'));
    return new Promise<Run>((resolve) => {
      const timer = setTimeout(() => {
        isOver = true;
        worker.terminate();
        resolve(ended(`it took over ${LIMIT / 1000} s`));
      }, LIMIT);
      const done = (run: Run) => {
        clearTimeout(timer);
        resolve(run);
      };
      stop = (why) => done(ended(why));
      void api.run(netlist).then(done, (e: Error) => done(ended(e.message)));
    });
  };
  return { simulate, cancel };
}
