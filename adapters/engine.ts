import type { Run } from '../core/spice';

/** The part of the engine that is used. */
interface Engine {
  start(): Promise<void>;
  setNetList(netlist: string): void;
  runSim(): Promise<{ dataType: string; data: { name: string; values: (number | { real: number })[] }[] }>;
  getError(): string[];
}

/**
 * Runs netlists one after the other on one engine. It keeps the results of the run before when one fails, so its list of
 * errors is read each time and handed on beside the vectors.
 */
export async function openEngine(make: () => Engine): Promise<(netlist: string) => Promise<Run>> {
  const engine = make();
  await engine.start();
  return async (netlist) => {
    engine.setNetList(netlist);
    const result = await engine.runSim();
    const errors = engine.getError().filter((line) => line.trim() !== '');
    const vectors = new Map(result.data.map((d) => [d.name.toLowerCase(), d.values.map((v) => (typeof v === 'number' ? v : v.real))]));
    return { vectors, errors };
  };
}
