import { fold } from '../../../core/logbook';
import { reportOf, type Beside, type Report } from '../../../core/job/report';
import { entriesAfter } from '../../logbook/jobs';
import { siteLimits } from '../../administration/settings';
import { loadStaticSheet } from '../static-sheet';
import { loadStartUpSheet } from '../start-up-sheet';
import { swapOfState } from '../replacement';

/** The start-up sheet where there is one. */
async function startUpBeside(jobId: string, begun: boolean): Promise<Beside['startUp']> {
  if (!begun) return null;
  const paper = await loadStartUpSheet(jobId).catch(() => null);
  return paper === null ? null : { rows: paper.rows, run: paper.run, motorTests: paper.motorTests };
}

/** The report as the job stands; null when there is no such job. */
export async function loadReport(jobId: string): Promise<Report | null> {
  const entries = await entriesAfter(jobId, 0);
  if (entries === null) return null;
  const state = fold(entries, { limits: await siteLimits() });
  const measured = state.readings.length > 0 || state.traced.length > 0 || state.asFound !== null;
  const [sheet, startUp, swap] = await Promise.all([
    measured ? loadStaticSheet(jobId) : null,
    startUpBeside(jobId, state.startUp.chosen !== null),
    swapOfState(state),
  ]);
  return reportOf(state, swap, { sheet, startUp });
}
