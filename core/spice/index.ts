export { DEVICES, type Device } from './device';
export { matchPins, type Matching, type MatchPin, type Pair } from './match';
export { bindingUnits, chosenModel, matchPinsOf, proposeTies, tieEdit, type TieProposal } from './part-models';
export { readModels, type ModelList, type ModelNode, type SpiceModel } from './read-models';
export { writeSpiceLibrary } from './write-library';
