export { matchPins, type MatchPin } from './match';
export { bindingUnits, chosenModel, matchPinsOf, proposeTies, tieEdit, type TieProposal } from './part-models';
export { rolesOf } from './roles';
export { readModels, type ModelNode, type SpiceModel } from './read-models';
export { writeSpiceLibrary } from './write-library';
