export { checkPart, RULES, severityOf, whereText, type CheckResult } from './check';
export { REFERENCE_LETTERS } from './identity';
export { FAMILIES, type FamilyId, type Finding } from './rule';
export { waiverEdit } from './waivers';
