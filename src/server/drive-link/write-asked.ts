// One write that a person asks for: in the log before it is sent, and what became of it after, by the server alone.
import { v7 } from 'uuid';
import { ratingOf, type Control, type Parameter } from '../../core/equipment/catalogue';
import {
  outdatesIdentification,
  parameterAt,
  shownAs,
  valueFault,
  type Rating,
} from '../../core/equipment/drive-words';
import { mayMove } from '../../core/fault-finding/trials';
import {
  makeNewEntry,
  newestVersion,
  type EntryKind,
  type NewEntry,
  type Payload,
  type Person,
} from '../../core/logbook';
import type { WriteOrder, Written } from '../../api/contract';
import { catalogue } from '../equipment/catalogue';
import { HttpError } from '../http/guard';
import { appendAll, appendEntries } from '../logbook/append';
import { jobNeeded, jobOrRefusal } from '../logbook/folded';
import { controlNeeded, LinkRefused } from './drives';
import { writeValue } from './write-value';

const made = <K extends EntryKind>(id: string, jobId: string, kind: K, payload: Payload<K>): NewEntry =>
  makeNewEntry({ v: newestVersion, id, jobId, at: new Date().toISOString() }, kind, payload);

/** What an entry takes. @throws Refused 422 naming the field, what was given and what is allowed */
function allowedEntry(control: Control, rating: Rating, { number, to }: WriteOrder): Parameter {
  const refuse = (path: string, why: string): never => {
    throw new HttpError(422, why, [{ path, allowed: why }]);
  };
  const parameter = parameterAt(control, number) ?? refuse('number', `This type has no parameter ${number}.`);
  const fault = valueFault(parameter, to, rating);
  if (fault !== null) return refuse(parameter.readOnly ? 'number' : 'to', fault);
  return parameter;
}

/** What a write puts back to the factory's: what it is said to, or all where it is the order to do so. */
function resetBy(parameter: Parameter): { resets?: 'all' | string[] } {
  if (parameter.concept === 'factory.reset') return { resets: 'all' };
  return parameter.resets === undefined ? {} : { resets: parameter.resets };
}

// Asked twice at the same time, one of them writes.
const underWay = new Set<string>();

/**
 * Writes one entry of the drive of a job. It is asked for in the log first; written only if the log takes that, and once for each id.
 * @throws Refused with the reason; `certain` says whether it is certain that nothing was written
 */
export async function writeAsked(order: WriteOrder, by: Person): Promise<Written> {
  const { id, jobId, target, number, from, to, reason, trial, restores } = order;
  const { state } = await jobOrRefusal(jobId);
  jobNeeded(state);
  const typeId = state.drive?.typeId ?? null;
  if (state.drive === null || typeId === null)
    throw new HttpError(409, 'This job has no drive of a known type: nothing was written.', [], true);
  const control = await controlNeeded(typeId);
  const parameter = allowedEntry(control, ratingOf(state.drive, await catalogue()), order);
  const sentBefore = new HttpError(
    409,
    'This write was requested before: see the log for its result.',
    [],
    false,
  );
  if (underWay.has(id)) throw sentBefore;
  underWay.add(id);
  try {
    const asked = made(id, jobId, 'drive.write-asked', {
      ...{ target, typeId, number, from, to, reason, trial },
      name: parameter.name,
      shownFrom: shownAs(parameter, from),
      shownTo: shownAs(parameter, to),
      mayMove: mayMove(parameter),
      runOpen: true,
      peopleClear: true,
      ...(restores === undefined ? {} : { restores }),
      ...(outdatesIdentification(parameter) ? { outdates: 'identification' as const } : {}),
      ...resetBy(parameter),
    });
    const appended = await appendEntries(jobId, [asked], by);
    if (appended?.kept[0]?.at !== asked.at) throw sentBefore;
    const counts = (await jobOrRefusal(jobId)).state.registers.writes.some((w) => w.id === id);
    if (!counts) throw new HttpError(409, 'The log refuses this: nothing was written.', [], true);
    return await carriedOut(order, typeId, by);
  } finally {
    underWay.delete(id);
  }
}

/** The write itself, and its outcome in the log. */
async function carriedOut(order: WriteOrder, typeId: string, by: Person): Promise<Written> {
  const { id, jobId } = order;
  const failed = async (why: string, certain: boolean): Promise<void> => {
    await appendAll(
      jobId,
      [made(v7(), jobId, 'drive.write-failed', { asked: id, why: why.slice(0, 1000), certain })],
      by,
    );
  };
  let written: Written;
  try {
    written = await writeValue({ ...order, typeId });
  } catch (error) {
    // What is no refusal broke somewhere on the way: nobody knows how far it came.
    const certain =
      error instanceof HttpError && !(error instanceof LinkRefused && error.code === 'uncertain');
    const why = error instanceof Error ? error.message : String(error);
    await failed(why, certain);
    throw new HttpError(error instanceof HttpError ? error.status : 502, why, [], certain);
  }
  await appendAll(jobId, [made(v7(), jobId, 'drive.write-done', { asked: id, found: written.found })], by);
  return written;
}
