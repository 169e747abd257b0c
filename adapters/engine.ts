import type { Run } from '../core/spice';

/** The part of the engine that is used. */
interface Engine {
  start(): Promise<void>;
  setNetList(netlist: string): void;
  runSim(): Promise<{ data: { name: string; values: (number | { real: number })[] }[] }>;
  getError(): string[];
}

/** Some errors end the engine itself; it takes no further netlist then. */
const isDead = (engine: Engine): boolean => engine.getError().some((line) => /fatal error in ngspice/i.test(line));

/**
 * Resolves when the engine waits for its next run or has ended, looked at every few ms. A run that leaves no results
 * never resolves by itself.
 */
const stopped = (engine: Engine, every = 5): Promise<void> =>
  new Promise((resolve) => {
    const look = () => (Reflect.get(engine, 'continuePromiseResolve') || isDead(engine) ? resolve() : setTimeout(look, every));
    setTimeout(look, every);
  });

/**
 * Runs netlists one after the other on one engine. It keeps the results of the run before when one fails, so its list of
 * errors is read each time and handed on beside the vectors.
 */
export async function openEngine(make: () => Engine): Promise<(netlist: string) => Promise<Run>> {
  let engine = make();
  await engine.start();
  return async (netlist) => {
    if (isDead(engine)) {
      engine = make();
      await engine.start();
    }
    engine.setNetList(netlist);
    const result = await Promise.race([engine.runSim(), stopped(engine).then(() => ({ data: [] }))]);
    const errors = engine.getError().filter((line) => line.trim() !== '');
    const vectors = new Map(result.data.map((d) => [d.name.toLowerCase(), d.values.map((v) => (typeof v === 'number' ? v : v.real))]));
    return { vectors, errors };
  };
}
