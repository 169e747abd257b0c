export { differenceOf, listedOf, listedOfPart, type Listed } from './difference';
export { reviseEdit, revisionOf, type RevisionChange } from './revision';
export { compareWithSource, type Comparison } from './second-source';
