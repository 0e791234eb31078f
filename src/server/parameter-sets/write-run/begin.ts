import { writeLineOf } from '../../../core/parameter-sets/write-run';
import { planWrites, type UnitSet } from '../../../core/parameter-sets/parameters';
import { newestVersion, type Person } from '../../../core/logbook';
import { HttpError } from '../../http/guard';
import { db } from '../../database/connection';
import { readAll } from '../../drive-link/drive-client';
import { controlNeeded, driveClient } from '../../drive-link/drives';
import { appendAll } from '../../logbook/append';
import { jobNeeded, jobOrRefusal } from '../../logbook/folded';
import { createRun, type JournalledRun } from './journal';
import * as z from 'zod';
import { valuesSchema } from '../../../core/equipment/drive-words/schema';

/** `id` is made by the page: asking twice begins one run. `setId` is the entry that carries the set. */
export interface RunOrder extends Pick<
  JournalledRun,
  'id' | 'jobId' | 'setId' | 'name' | 'target' | 'typeId' | 'rating'
> {
  /** The plan as the person saw it. */
  expects: readonly { number: string; from: number | null; to: number }[];
}

/** What an entry that carries a set has in any case. */
const setSchema = z.object({ typeId: z.string(), values: valuesSchema });

/** Values of a set of this job. @throws Refused where there is none */
async function valuesOf({ jobId, setId, typeId }: RunOrder): Promise<UnitSet['values']> {
  const row = await db().models.Entry.findOne({ where: { id: setId, jobId } });
  const set = setSchema.safeParse(row?.payload);
  if (!set.success || set.data.typeId !== typeId)
    throw new HttpError(409, 'The parameter set is not saved on the server yet, or is for another type.');
  return set.data.values;
}

/**
 * Makes the journal of a run: reads the drive, plans from what is in it, and refuses where that is not what the person saw.
 * @param talk how the drive is reached; through the link, unless told
 * @throws Refused, and as the link does
 */
export async function makeRun(order: RunOrder, by: Person, talk = driveClient(order.target)): Promise<void> {
  const { id, jobId, setId, name, target, typeId, rating, expects } = order;
  if ((await db().models.WriteRun.findByPk(id)) !== null) return;
  jobNeeded((await jobOrRefusal(jobId)).state);
  const control = await controlNeeded(typeId);
  const wanted = await valuesOf(order);
  const { values: found, serial = null } = await readAll(talk, control);
  const { steps } = planWrites({ typeId, control, rating, values: found }, wanted);
  const asSeen =
    steps.length === expects.length &&
    steps.every(({ number, from, to }, i) => {
      const seen = expects[i];
      return number === seen?.number && from === seen.from && to === seen.to;
    });
  if (!asSeen)
    throw new HttpError(409, 'The drive changed since the read-out: read out again. Nothing was written.');
  if (steps.length === 0) throw new HttpError(409, 'Nothing to write: the drive already has this set.');
  const begun = {
    run: id,
    set: setId,
    name,
    target,
    serial,
    values: steps.length,
    runOpen: true,
    enableOpen: true,
    peopleClear: true,
  } as const;
  const made = {
    v: newestVersion,
    id,
    jobId,
    at: new Date().toISOString(),
    kind: 'set.write-begun',
    payload: begun,
  } as const;
  const kept = await appendAll(jobId, [made], by, {
    also: (transaction) =>
      createRun(
        { id, jobId, setId, name, target, typeId, serial, rating, found, byId: by.id },
        steps.map(writeLineOf),
        transaction,
      ),
  });
  if (kept === null) throw new HttpError(404, 'No such job.');
}
