import { wrap, type Remote } from 'comlink';
import type { CoreApi } from './core-worker';

const start = () => new Worker(new URL('./core-worker.ts', import.meta.url), { type: 'module' });

/** The core in its worker. */
export const core: Remote<CoreApi> = wrap<CoreApi>(start());

/** Work that a person can stop: it has a worker of its own, which `cancel` ends at once. */
export function cancellable<T>(work: (api: Remote<CoreApi>) => Promise<T>): {
  result: Promise<T | 'cancelled'>;
  cancel: () => void;
} {
  const worker = start();
  let cancel = () => {};
  const cancelled = new Promise<'cancelled'>((resolve) => {
    cancel = () => resolve('cancelled');
  });
  const result = Promise.race([work(wrap<CoreApi>(worker)), cancelled]).finally(() => worker.terminate());
  return { result, cancel };
}
