// Parameter sets: what they mean, whatever the type.
export { factorySet, fittedWith, regionOf, type RatedUnit, type UnitSet } from './set';
export {
  translationOutcomes,
  roundTrip,
  translate,
  type TranslationChoices,
  type TranslationOutcome,
  type RoundTrip,
  type TranslatedRow,
  type Translation,
} from './translate';
export { diffSets, threeWay, type ParameterDifference, type PlannedOutcome, type ThreeWay } from './diff';
export { auditRules, auditSet, type Audit, type AuditFinding } from './audit';
export type { AuditContext, AuditRule, AuditSeverity } from './rules/rule';
export {
  afterWriting,
  groups,
  planWrites,
  writeOrder,
  type WriteGroup,
  type PlanStep,
  type WritePlan,
} from './plan';
export { findEntries, type FoundEntry } from './find';
