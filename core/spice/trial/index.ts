export { setupsOf } from './of-part';
export { joinedUnits, recordEdit, rejoinEdit, trialStanding, trialState, type Standing } from './record';
export { runTrials, type Trial } from './run';
export type { Run, Setup, Simulate } from './setup';
