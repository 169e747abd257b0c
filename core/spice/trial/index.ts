export { setupsOf } from './of-part';
export { runTrials, type Trial } from './run';
export type { Run, Setup, Simulate } from './setup';
