import { wrap } from 'comlink';
import type { Run, Simulate } from '../../core/spice';
import type { EngineApi } from './engine-worker';

/** The longest that one run may take, the loading of the engine at the first one included, in ms. */
const LIMIT = 60_000;
/** What an engine may take to start, in ms. */
const LOADING = 10_000;

/** A simulator in a worker of its own, started at the first run; a run over its time, or cancelling, ends the worker. */
export function webEngine(): { simulate: Simulate; cancel: () => void } {
  let worker: Worker | undefined;
  let stop: (why: string) => void = () => {};
  let isOver = false;
  const ended = (why: string): Run => ({ vectors: new Map(), errors: [`aborted: ${why}`] });
  const close = () => {
    worker?.terminate();
    worker = undefined;
  };
  const cancel = () => {
    isOver = true;
    close();
    stop('it was cancelled');
  };
  const simulate: Simulate = (netlist, mostMs = LIMIT) => {
    if (isOver) return Promise.resolve(ended('it was cancelled'));
    const limit = Math.min(LIMIT, mostMs + (worker ? 0 : LOADING));
    worker ??= new Worker(new URL('./engine-worker.ts', import.meta.url), { type: 'module' });
    const api = wrap<EngineApi>(worker);
    return new Promise<Run>((resolve) => {
      const done = (run: Run) => {
        clearTimeout(timer);
        resolve(run);
      };
      stop = (why) => done(ended(why));
      const timer = setTimeout(() => {
        close();
        stop(`it took over ${limit / 1000} s`);
      }, limit);
      void api.run(netlist).then(done, (e: Error) => done(ended(e.message)));
    });
  };
  return { simulate, cancel };
}
