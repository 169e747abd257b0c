export { markEdit, nodeSteps, padSteps, type ReadBackStep } from './read-back';
export { isGrid, walkPads } from './walk';
