// A job is a logbook: appended entries, and the pure fold from them to the state of the job.
export type { Entry, EntryOf, Envelope, NewEntry, Person, Role } from './entry';
export { inOrder, keptEntry, withoutServerParts, makeEntry, makeNewEntry, timeOf, timeTextOf } from './entry';
export type { EntryKind, Payload } from './payloads';
export type { LogLine } from './log-line';
export type { JobState } from './job-state';
export { emptyJob, extend, fold, type FoldContext } from './fold';
export { logHeadWords } from './log-head';
export { mayCorrect } from './corrections';
export { standingEntry } from './standing-entry';
export { mustStayDead, sourcesMet } from './signs';
export { deadlyTraced, isReleased } from './families/fault-finding/slice';
export { entryWords } from './words';
export { againstAgreement } from './agreement';
export type { StaticVerdict, Verified } from './verified';
export { isSignature } from './signatures';
export { newestVersion } from './version';
export { isFormerEntry } from './former-entries';
export { isRecordedByServer } from './recorded-by-server';
export type { OpenIssue } from './open-issue';
export { openIssues } from './open-issues';
export type { StageId, StageLine } from './stages';
export { currentStage, stageAddress, stageIds, stageLines, stageNames, stageOfAddress } from './stages';
export type { JobSummary } from './summary';
export { summarise } from './summary';
export { levelsOf, type ProofLevel } from './levels';
export { isLooseKind } from './families/loose-sheet/slice';
export { isLoose, termsOfDocuments } from './families/intake/slice';
export { countOf } from './count';
export { dangerSigns, type DangerSign } from './families/intake/vocabulary';
export { lookItems, lookWords, type LookItem } from './families/inspection/vocabulary';
export { unlabelledDrive } from './families/nameplates/unlabelled';
export { loopGuards, neverJumpered, type LoopGuard } from './families/registers/vocabulary';
export { valueReasons, type ValueReason } from './families/start-up/vocabulary';
export type { MeterReading, ProofReading, Proof, SafetyState } from './families/safety/proof';
export { holdsUntil, missingSteps, proofOf, stepsOf, waitOver } from './families/safety/proof';
export { benchLock, handsLock, type BenchLock } from './families/safety/locks';
export type { KeptReading } from './families/bench-test/slice';
export type { JobQuestion } from './families/notes/slice';
export type { SeenDrive } from './families/drive-state/slice';
export { foundBefore, type KeptSet, type SetRun } from './families/parameter-sets/slice';
export { moduleQuestion, type TestedModule } from './families/module-test/slice';
export {
  openJumpers,
  openTrials,
  signatureBlocker,
  type DriveWrite,
  type Registers,
  type TemporaryJumper,
} from './families/registers/slice';
export { earthFor_s, motorBlockers, type StartUpState } from './families/start-up/slice';
export { balancedOnLamps, powerLock, runsUnderLoad, type PowerState } from './families/power/slice';
export { taskHeld, tickHeld, unitOutHeld, type Hands } from './families/replacement/gates';
export type { SwapState, TaskProgress } from './families/replacement/state';
