export { differenceOf, listedOf, listedOfPart, type Listed } from './difference';
export { packagesBeside } from './match-terminals';
export { reviseEdit, revisionOf, type RevisionChange } from './revision';
export { compareWithSource, type Comparison } from './second-source';
