export { setupsOf } from './of-part';
export { joinDigest, joinedUnits, recordEdit, rejoinEdit, trialState } from './record';
export { runTrials, type Trial } from './run';
export type { Run, Setup, Simulate } from './setup';
