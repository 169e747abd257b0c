export type { Family } from './family';
export { generateLand } from './generate';
export { joinExposedPad, meetPads } from './join-by-number';
export { ballsIn, rowLetters } from './numbering';
export { readPadsCsv } from './read-csv';
export { familyFromName } from './short-name';
