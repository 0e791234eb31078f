// A job is a logbook: appended entries, and the pure fold from them to the state of the job.
export type { Entry, EntryOf, Person, Role } from './entry';
export { inOrder, timeOf } from './entry';
export type { EntryKind, Payload } from './kinds';
export type { DangerSign, LookItem } from './vocabulary';
export {
  dangerSigns,
  lookItems,
  loopGuards,
  neverJumpered,
  valueReasons,
  type LoopGuard,
  type ValueReason,
} from './vocabulary';
export type { FoldContext, JobState, KeptReading, LogLine, JobQuestion } from './fold';
export type { SeenDrive } from './seen';
export type { KeptSet } from './sets';
export { emptyJob, extend, fold, mustStayDead, sourcesMet } from './fold';
export type { BenchLock, ProofReading, Proof, SafetyState } from './safety';
export { benchLock, handsLock, holdsUntil, missingSteps, proofOf, waitOver } from './safety';
export type { JobSummary, StageId, StageLine } from './stages';
export { currentStage, stageIds, stageLines, stageNames, summarise } from './stages';
export { moduleQuestion, type TestedModule } from './modules';
export {
  signatureBlocker,
  openJumpers,
  openTrials,
  type DriveWrite,
  type Registers,
  type TemporaryJumper,
} from './registers';
export { earthFor_s, motorAgainst, type StartUpState } from './start-up';
export { foundBefore, type SetRun } from './set-runs';
export { openIssues } from './standing';
export { powerLock, runsUnderLoad, type PowerState } from './power';
export type { SwapState, TaskProgress } from './swap';
export type { OpenIssue } from './matter';
export { levelsOf, type ProofLevel } from './levels';
export { countOf } from './count';
