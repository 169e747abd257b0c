export { markEdit, nodeSteps, padSteps, type ReadBackStep } from './read-back';
