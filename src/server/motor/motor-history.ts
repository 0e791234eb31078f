import { Op, literal } from 'sequelize';
import { fold, type JobState } from '../../core/logbook';
import { sameMotor, type InsulationThen, type KnownMotor } from '../../core/motor/motor-history';
import { db } from '../database/connection';
import { entriesAfter } from '../logbook/jobs';
import { siteLimits } from '../administration/settings';

/** So many jobs back are looked at. */
const mostJobs = 40;

const motorOf = ({ motor }: JobState, assetId: string): KnownMotor | null =>
  motor === null ? null : { plate: motor.plate, serial: motor.serial, assetId };

/** Jobs in which the motor may have been: on the same machine, or where somebody read its serial number. */
async function jobsWith(jobId: string, { serial, assetId }: KnownMotor) {
  const { Job, Entry } = db().models;
  const read =
    serial === undefined
      ? []
      : await Entry.findAll({
          where: { kind: 'identify.motor', [Op.and]: literal(`payload->>'serial' = :serial`) },
          replacements: { serial },
          attributes: ['jobId'],
        });
  return Job.findAll({
    where: { [Op.or]: [{ assetId }, { id: read.map((r) => r.jobId) }], id: { [Op.ne]: jobId } },
    order: [['createdAt', 'DESC']],
    limit: mostJobs,
  });
}

/** Insulation tests of this job's motor in other jobs; null when there is no such job. */
export async function earlierTests(jobId: string): Promise<InsulationThen[] | null> {
  const entries = await entriesAfter(jobId, 0);
  const job = await db().models.Job.findByPk(jobId);
  if (entries === null || job === null) return null;
  const context = { limits: await siteLimits() };
  const motor = motorOf(fold(entries, context), job.assetId);
  if (motor === null) return [];
  const found: InsulationThen[] = [];
  for (const other of await jobsWith(jobId, motor)) {
    const state = fold((await entriesAfter(other.id, 0)) ?? [], context);
    const there = motorOf(state, other.assetId);
    if (there === null || !sameMotor(motor, there)) continue;
    found.push(
      ...state.startUp.insulations.map(({ at, receivedAt, payload }) => ({
        jobId: other.id,
        at: receivedAt ?? at,
        of: payload.of,
        between: payload.between,
        test: payload,
      })),
    );
  }
  return found;
}
