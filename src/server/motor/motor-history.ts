import { Op, literal } from 'sequelize';
import { timeTextOf, type JobState } from '../../core/logbook';
import { sameMotor, type InsulationThen, type KnownMotor } from '../../core/motor/motor-history';
import { db } from '../database/connection';
import { loadJob, type LoadedJob } from '../logbook/folded';

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
          limit: 1000,
          raw: true,
        });
  return Job.findAll({
    where: { [Op.or]: [{ assetId }, { id: read.map((r) => r.jobId) }], id: { [Op.ne]: jobId } },
    order: [['createdAt', 'DESC']],
    attributes: ['id'],
    limit: mostJobs,
    raw: true,
  });
}

/** Insulation tests of this job's motor in other jobs. */
export async function earlierTests({ jobId, assetId, state }: LoadedJob): Promise<InsulationThen[]> {
  const motor = motorOf(state, assetId);
  if (motor === null) return [];
  const found: InsulationThen[] = [];
  for (const other of await jobsWith(jobId, motor)) {
    const then = await loadJob(other.id);
    const there = then === null ? null : motorOf(then.state, then.assetId);
    // The tests of a loose sheet that was attached are in its job.
    if (then === null || then.state.moved !== null || there === null || !sameMotor(motor, there)) continue;
    found.push(
      ...then.state.startUp.insulations.map((entry) => ({
        jobId: other.id,
        at: timeTextOf(entry),
        of: entry.payload.of,
        between: entry.payload.between,
        test: entry.payload,
      })),
    );
  }
  return found;
}
