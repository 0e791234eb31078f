// Writing a set to a drive: the journal that outlives cable, server and page.
export { makeRun, type RunOrder } from './begin';
export { noRunOn, runById, runsOfJob, type JournalledRun } from './journal';
export { goOn, mayBegin, type Journal, type Stopped } from './runner';
export { runsWith, type Runs } from './runs';
export { orderRun } from './order';
