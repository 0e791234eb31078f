import type { LogLine } from './log-line';
import type { EntryKind } from './payloads';
import { asFoundSlice } from './families/as-found/slice';
import { readingsSlice, setAsideSlice, signedSlice } from './families/bench-test/slice';
import { seenSlice } from './families/drive-state/slice';
import { causesSlice, tracedSlice } from './families/fault-finding/slice';
import { lookSlice } from './families/inspection/slice';
import { callSlice, openedSlice } from './families/intake/slice';
import { movedSlice } from './families/loose-sheet/slice';
import { modulesSlice } from './families/module-test/slice';
import { driveSlice, motorSlice } from './families/nameplates/slice';
import { notesSlice, questionsSlice } from './families/notes/slice';
import { setRuns, sets } from './families/parameter-sets/slice';
import { powerSlice } from './families/power/slice';
import { registersSlice } from './families/registers/slice';
import { swapSlice } from './families/replacement/slice';
import { safetySlice } from './families/safety/slice';
import { startUpSlice } from './families/start-up/slice';

/** The parts of a job's state. Slices that follow an entry see it in this order. */
export const slices = [
  openedSlice,
  movedSlice,
  callSlice,
  driveSlice,
  motorSlice,
  asFoundSlice,
  lookSlice,
  safetySlice,
  registersSlice,
  readingsSlice,
  setAsideSlice,
  modulesSlice,
  signedSlice,
  seenSlice,
  sets,
  setRuns,
  swapSlice,
  powerSlice,
  tracedSlice,
  causesSlice,
  startUpSlice,
  notesSlice,
  questionsSlice,
] as const;

type SliceOfList = (typeof slices)[number];

/** A job as its entries tell it: each slice under its key, the log, and how far the server has numbered it. */
export type JobState = { [S in SliceOfList as S['key']]: S['init'] } & {
  log: readonly LogLine[];
  /** The newest entry that the server has numbered. */
  seq: number;
};

type OwnedKind = SliceOfList['kinds'][number];
// Does not compile while a kind of entry has no slice that judges it.
const everyKindIsOwned: Exclude<EntryKind, OwnedKind> extends never ? true : never = true;
void everyKindIsOwned;
