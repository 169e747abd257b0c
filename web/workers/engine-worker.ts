import { expose } from 'comlink';
import { openEngine } from '../../adapters/engine';

let simulate: ReturnType<typeof openEngine> | undefined;

/** The simulator, loaded when the first netlist comes. */
const api = {
  run: async (netlist: string) => {
    simulate ??= import('eecircuit-engine').then(({ Simulation }) => openEngine(() => new Simulation()));
    return (await simulate)(netlist);
  },
};

export type EngineApi = typeof api;
expose(api);
