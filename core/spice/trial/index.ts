export { setupsOf } from './of-part';
export { joinedUnits, recordEdit, trialState } from './record';
export { runTrials, type Trial } from './run';
export type { Run, Setup, Simulate } from './setup';
