export { familySchema, type Family, type FamilyKind } from './family';
export { generateLand } from './generate';
export { joinExposedPad, meetPads, type PadMeeting } from './join-by-number';
export { ballsIn, rowLetters } from './numbering';
export { readPadsCsv } from './read-csv';
export { familyFromName, type NamedFamily } from './short-name';
