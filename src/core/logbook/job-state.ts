import type { LogLine } from './log-line';
import type { EntryKind } from './payloads';
import { asFound } from './families/as-found/slice';
import { readings, setAside, signed } from './families/bench-test/slice';
import { seen } from './families/drive-state/slice';
import { causes, traced } from './families/fault-finding/slice';
import { look } from './families/inspection/slice';
import { call, opened } from './families/intake/slice';
import { modules } from './families/module-test/slice';
import { drive, motor } from './families/nameplates/slice';
import { notes, questions } from './families/notes/slice';
import { setRuns, sets } from './families/parameter-sets/slice';
import { power } from './families/power/slice';
import { registers } from './families/registers/slice';
import { swap } from './families/replacement/slice';
import { safety } from './families/safety/slice';
import { startUp } from './families/start-up/slice';

/** The parts of a job's state. Slices that follow an entry see it in this order. */
export const slices = [
  opened,
  call,
  drive,
  motor,
  asFound,
  look,
  safety,
  registers,
  readings,
  setAside,
  modules,
  signed,
  seen,
  sets,
  setRuns,
  swap,
  power,
  traced,
  causes,
  startUp,
  notes,
  questions,
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
