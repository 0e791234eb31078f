export { sets, type KeptSet } from './sets';
export { foundBefore, setRuns, type SetRun } from './runs';
