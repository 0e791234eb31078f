// Parameter sets: what they mean, whatever the type.
export { factorySet, fittedWith, regionOf, type Unit, type UnitSet } from './set';
export {
  outcomes,
  roundTrip,
  translate,
  type Choices,
  type Outcome,
  type RoundTrip,
  type TranslatedRow,
  type Translation,
} from './translate';
export { diffSets, threeWay, type Difference, type Fate, type ThreeWay } from './diff';
export { auditRules, auditSet, type Audit, type AuditFinding } from './audit';
export type { Around, AuditRule, Severity } from './rules/rule';
export { afterWriting, groups, planWrites, type Group, type PlanStep, type WritePlan } from './plan';
export { findEntries, type FoundEntry } from './find';
