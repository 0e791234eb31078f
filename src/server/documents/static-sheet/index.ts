// The static-test sheet of a job: gathered.
import type { JobState } from '../../../core/logbook';
import { commonMeter } from '../../../core/equipment/power-stage';
import type { Diagnosis } from '../../../core/bench/static-diagnosis';
import { sheetOf, type Sheet } from '../../../core/job/static-sheet';
import { HttpError } from '../../http/guard';
import { calc } from '../../verbs/calc-pool';
import type { LoadedJob } from '../../logbook/folded';
import { siteLimits } from '../../administration/settings';

/** So many are remembered: every paper and signature of a job asks for the same one. */
const mostRemembered = 200;
const remembered = new Map<string, Promise<Diagnosis>>();

async function weigh(request: string): Promise<Diagnosis> {
  const { status, body } = await calc('static-diagnose', request);
  if (status === 503) throw new HttpError(503, 'The server is busy: try again in a moment.');
  if (status !== 200) throw new Error(`static-diagnose: ${JSON.stringify(body)}`);
  // The verb's answer is a Diagnosis; it only leaves out where the tables stood.
  return { familyShift_V: {}, ...body } as unknown as Diagnosis;
}

/** Weighs a job's readings in the computing worker, once for the same readings; the same verb as everywhere. @throws HttpError 503 */
export function diagnosed(state: JobState): Promise<Diagnosis> {
  // What is only assumed of a stage goes along as its value: the verb knows a stage, not who stated it.
  const { assumed: _, ...stage } = state.drive?.stage ?? {};
  const request = JSON.stringify({
    stage,
    meter: commonMeter,
    readings: state.readings.map(({ red, black, value }) => ({ red, black, value })),
  });
  const known = remembered.get(request);
  if (known !== undefined) return known;
  const weighed = weigh(request);
  remembered.set(request, weighed);
  const [oldest] = remembered.keys();
  if (remembered.size > mostRemembered && oldest !== undefined) remembered.delete(oldest);
  weighed.catch(() => remembered.delete(request));
  return weighed;
}

/** The sheet as it stands. */
export async function loadStaticSheet({ state }: LoadedJob): Promise<Sheet> {
  return sheetOf(state, await diagnosed(state), await siteLimits());
}
