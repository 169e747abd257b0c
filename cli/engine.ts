import { Worker } from 'node:worker_threads';
import type { Run, Simulate } from '../core/spice';

/** The longest that one run may take, in ms. */
const LIMIT = 12_000;
/** What an engine may take to start, in ms. */
const LOADING = 4_000;

/** The engine writes what it likes to the console; the results go by message only. */
const WORKER = `
import { parentPort, workerData } from 'node:worker_threads';
console.log = console.warn = console.error = console.info = () => {};
process.stdout.write = process.stderr.write = () => true;
const { Simulation } = await import(workerData);
const engine = new Simulation();
await engine.start();
parentPort.on('message', async (netlist) => {
  try {
    engine.setNetList(netlist);
    // A run that leaves no results never resolves: the engine then waits for its next one, or has ended itself.
    const isFatal = () => engine.getError().some((l) => /fatal error in ngspice/i.test(l));
    const ended = new Promise((resolve) => {
      const look = () => (engine.continuePromiseResolve || isFatal() ? resolve({ data: [] }) : setTimeout(look, 5));
      setTimeout(look, 5);
    });
    const result = await Promise.race([engine.runSim(), ended]);
    const vectors = result.data.map((d) => [d.name.toLowerCase(), d.values.map((v) => (typeof v === 'number' ? v : v.real))]);
    parentPort.postMessage({ vectors, errors: engine.getError().filter((l) => l.trim() !== ''), isFatal: isFatal() });
  } catch (e) {
    parentPort.postMessage({ vectors: [], errors: ['error: ' + e.message] });
  }
});
`;

/** A simulator in a thread of its own, started at the first run and ended by `close`; a run over its time ends the thread. */
export function nodeEngine(): { simulate: Simulate; close: () => void } {
  let worker: Worker | undefined;
  const close = () => {
    void worker?.terminate();
    worker = undefined;
  };
  const simulate: Simulate = (netlist, mostMs = LIMIT) =>
    new Promise<Run>((resolve) => {
      const limit = Math.min(LIMIT, mostMs + (worker ? 0 : LOADING));
      const path = import.meta.resolve('eecircuit-engine');
      worker ??= new Worker(new URL(`data:text/javascript,${encodeURIComponent(WORKER)}`), {
        workerData: path,
        stdout: true,
        stderr: true,
      });
      const own = worker;
      const done = (run: Run) => {
        clearTimeout(timer);
        own.removeAllListeners('message');
        own.removeAllListeners('error');
        resolve(run);
      };
      const broken = (why: string) => {
        if (worker === own) close();
        done({ vectors: new Map(), errors: [`aborted: ${why}`] });
      };
      const timer = setTimeout(() => broken(`it took over ${limit / 1000} s`), limit);
      own.once('message', ({ vectors, errors, isFatal }: { vectors: [string, number[]][]; errors: string[]; isFatal?: boolean }) => {
        if (isFatal) close();
        done({ vectors: new Map(vectors), errors });
      });
      own.once('error', (e: Error) => broken(e.message));
      own.postMessage(netlist);
    });
  return { simulate, close };
}
