// The static-test sheet of a job: gathered, and as PDF.
import type { JobState } from '../../../core/logbook';
import { commonMeter } from '../../../core/equipment/power-stage';
import type { Diagnosis } from '../../../core/bench/static-diagnosis';
import { sheetOf, type Sheet } from '../../../core/job/static-sheet';
import { calc } from '../../verbs/calc-pool';
import type { LoadedJob } from '../../logbook/folded';
import { siteLimits } from '../../administration/settings';

export { sheetPdf } from './pdf';

/** Weighs a job's readings in the computing worker; the same verb as everywhere. */
export async function diagnosed(state: JobState): Promise<Diagnosis> {
  const request = {
    stage: state.drive?.stage ?? {},
    meter: commonMeter,
    readings: state.readings.map(({ red, black, value }) => ({ red, black, value })),
  };
  const answer = await calc('static-diagnose', JSON.stringify(request));
  if (answer.status !== 200) throw new Error(`static-diagnose: ${JSON.stringify(answer.body)}`);
  // The verb's answer is a Diagnosis; it only leaves out where the tables stood.
  return { familyShift_V: {}, ...answer.body } as unknown as Diagnosis;
}

/** The sheet as it stands. */
export async function loadStaticSheet({ state }: LoadedJob): Promise<Sheet> {
  return sheetOf(state, await diagnosed(state), await siteLimits());
}
