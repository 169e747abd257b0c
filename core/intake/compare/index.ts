export { differenceOf, listedOf, listedOfPart, type Listed } from './difference';
export { packagesBeside } from './match-terminals';
export { reviseEdit } from './revise';
export { revisionOf, type RevisionChange } from './revision';
export { compareWithSource, type Comparison } from './second-source';
