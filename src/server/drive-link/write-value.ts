import type { Control } from '../../core/equipment/catalogue';
import { parameterAt, parameterFor, rawOf, registerOf, valueOf } from '../../core/equipment/drive-words';
import { runGiven } from '../../core/fault-finding/run-chain';
import { HttpError } from '../http/guard';
import { readState, turnLock } from './guarded-write';
import { rightDrive, type DriveClient } from './drive-client';
import { controlNeeded, driveClient } from './drives';
import { noRunOn } from '../parameter-sets/write-run';
import type { Written } from '../../api/contract';

export interface ValueOrder {
  target: string;
  typeId: string;
  number: string;
  /** What the drive had when the person decided. */
  from: number;
  to: number;
}

/** Opens the lock of an entry, and shuts it after the work. */
async function unlocked<T>(
  talk: DriveClient,
  control: Control,
  lock: number,
  work: () => Promise<T>,
): Promise<{ done: T; lockOpen: boolean }> {
  if (lock === 0) return { done: await work(), lockOpen: false };
  const shut = () =>
    turnLock(talk, control, 0).then(
      () => false,
      () => true,
    );
  await turnLock(talk, control, lock);
  try {
    const done = await work();
    return { done, lockOpen: await shut() };
  } catch (error) {
    await shut();
    throw error;
  }
}

/**
 * Writes one entry and reads it back; only at the drive that was identified, only where it still has what the
 * person saw, and never while run is given.
 * @throws Refused with the reason; LinkRefused 'uncertain' where nobody knows whether it arrived
 */
export async function writeValue({ target, typeId, number, from, to }: ValueOrder): Promise<Written> {
  const control = await controlNeeded(typeId);
  const parameter = parameterAt(control, number);
  if (parameter === undefined) throw new HttpError(422, `This type has no parameter ${number}.`);
  const talk = driveClient(target);
  await noRunOn(target);
  await rightDrive(talk, control);
  const { value: now, values, live } = await readState(talk, control, parameter);
  if (now === undefined)
    throw new HttpError(409, `${number} is not available: it may need an option or another parameter.`);
  if (rawOf(parameter, now) !== rawOf(parameter, from))
    throw new HttpError(
      409,
      `${number} is now ${now}, not ${from} as read: read out again. Nothing was written.`,
    );
  const given = runGiven({ control, values, live });
  if (given !== null) throw new HttpError(409, `${given} Nothing was written: remove the run command first.`);
  const { done: word, lockOpen } = await unlocked(talk, control, parameter.lock, () =>
    talk.write(registerOf(parameter), rawOf(parameter, to)),
  );
  return {
    found: valueOf(parameter, word),
    kept: parameterFor(control, 'store.save') === undefined,
    lockOpen,
  };
}
