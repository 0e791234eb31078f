import { reportOf, type Beside, type Report } from '../../../core/job/report';
import type { LoadedJob } from '../../logbook/folded';
import { HttpError } from '../../http/border';
import { loadStaticSheet } from '../static-sheet';
import { loadStartUpSheet } from '../start-up-sheet';
import { swapOfState } from '../replacement';

/** The start-up sheet, or why there is none; null where none was begun. Trouble of our own stops the report. */
async function startUpBeside(job: LoadedJob): Promise<Beside['startUp']> {
  if (job.state.startUp.chosen === null) return null;
  try {
    const { rows, run, motorTests } = await loadStartUpSheet(job);
    return { rows, run, motorTests };
  } catch (error) {
    if (error instanceof HttpError) return { missing: error.message };
    throw error;
  }
}

/** The report as the job stands. */
export async function loadReport(job: LoadedJob): Promise<Report> {
  const { state } = job;
  const measured = state.readings.length > 0 || state.traced.length > 0 || state.asFound !== null;
  const [sheet, startUp, swap] = await Promise.all([
    measured ? loadStaticSheet(job) : null,
    startUpBeside(job),
    swapOfState(state),
  ]);
  return reportOf(state, swap, { sheet, startUp });
}
