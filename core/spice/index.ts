export { matchPins, type MatchPin } from './match';
export { bindingUnits, chosenModel, matchPinsOf, proposeTies, tieEdit, type TieProposal } from './part-models';
export { rolesOf, withoutChannel } from './roles';
export { readModels, type ModelNode, type SpiceModel } from './read-models';
export { runTrials, setupsOf, type Run, type Setup, type Simulate, type Trial } from './trial';
export { writeSpiceLibrary } from './write-library';
