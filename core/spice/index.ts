export { matchPins, type Matching, type MatchPin } from './match';
export {
  bindingUnits,
  chosenModel,
  findModels,
  matchPinsOf,
  modelSettings,
  proposeTies,
  tieEdit,
  type FoundModels,
  type TieProposal,
} from './part-models';
export { newVersionOf } from './new-version';
export { canBeTied, pinsBound, tieByHand } from './tie-by-hand';
export { dialectProblems } from './dialect';
export { rolesOf, withoutChannel } from './roles';
export type { Construct } from './dialect';
export { readModels, type ModelNode, type SpiceModel } from './read-models';
export { rewriteForBerkeley } from './rewrite';
export {
  joinedUnits,
  recordEdit,
  rejoinEdit,
  runTrials,
  setupsOf,
  trialStanding,
  trialState,
  type Standing,
  type Run,
  type Setup,
  type Simulate,
  type Trial,
} from './trial';
export { definedNames } from './defined-names';
export { writeSpiceLibrary } from './write-library';
