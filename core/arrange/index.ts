export { addUnit, arrangePart, placesChanged, tidyUnit } from './arrange';
export { closeUp, dropPorts, moveEdit, moveToUnitEdit, openGap } from './drop';
export { findChannels } from './channels';
export { groupPins, inDrawnOrder } from './groups';
export { labelsFor } from './draw';
export { marksOf } from './place';
export { freeSlots, heightFor, nudge, reorder, sendToSide, slotsOf, unitsWithPin, type Move } from './slots';
