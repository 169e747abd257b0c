export type { Family } from './family';
export { generateLand } from './generate';
export { joinExposedPad, meetPads } from './join-by-number';
export { ballsIn, rowLetters } from './numbering';
export { centred } from './ipc-d-356';
export { writeIpc2581 } from './ipc-2581';
export { readPads } from './read-pads';
export { familyFromName } from './short-name';
