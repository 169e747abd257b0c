export { checkPart, RULES, whereText, type CheckResult } from './check';
export { REFERENCE_LETTERS } from './identity';
export { FAMILIES, type Finding, type Mend, type Rule, type Where } from './rule';
export { waiverEdit } from './waivers';
