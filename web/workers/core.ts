import { wrap, type Remote } from 'comlink';
import type { CoreApi } from './core-worker';

/** The core in its worker. */
export const core: Remote<CoreApi> = wrap<CoreApi>(new Worker(new URL('./core-worker.ts', import.meta.url), { type: 'module' }));
