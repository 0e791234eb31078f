import type * as z from 'zod';
import { asFoundKinds } from './families/as-found/schema';
import { benchTestKinds } from './families/bench-test/schema';
import { driveStateKinds } from './families/drive-state/schema';
import { faultFindingKinds } from './families/fault-finding/schema';
import { inspectionKinds } from './families/inspection/schema';
import { intakeKinds } from './families/intake/schema';
import { looseSheetKinds } from './families/loose-sheet/schema';
import { moduleTestKinds } from './families/module-test/schema';
import { nameplateKinds } from './families/nameplates/schema';
import { noteKinds } from './families/notes/schema';
import { setKinds } from './families/parameter-sets/schema';
import { powerKinds } from './families/power/schema';
import { registerKinds } from './families/registers/schema';
import { replacementKinds } from './families/replacement/schema';
import { safetyKinds } from './families/safety/schema';
import { startUpKinds } from './families/start-up/schema';

/** What each kind of entry carries: the schemas of all families. */
export const payloads = {
  ...intakeKinds,
  ...looseSheetKinds,
  ...nameplateKinds,
  ...asFoundKinds,
  ...inspectionKinds,
  ...safetyKinds,
  ...benchTestKinds,
  ...moduleTestKinds,
  ...driveStateKinds,
  ...faultFindingKinds,
  ...registerKinds,
  ...startUpKinds,
  ...setKinds,
  ...powerKinds,
  ...replacementKinds,
  ...noteKinds,
} as const;

/** The kind of an entry: its family and what happened, e.g. `static.reading`. */
export type EntryKind = keyof typeof payloads;
/** What an entry of a kind carries, as its schema gives it. */
export type Payload<K extends EntryKind> = z.output<(typeof payloads)[K]>;
