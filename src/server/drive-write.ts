import * as z from 'zod';
import type { Control, Parameter } from '../core/catalogue';
import { parameterAt, liveOf, parameterFor, rawOf, valueOf, type Values } from '../core/drive-words';
import { runGiven } from '../core/run-chain';
import { Refused } from './border';
import { ask, controlNeeded, rightDrive, wordsSchema } from './drives';

export interface WriteOrder {
  target: string;
  typeId: string;
  number: string;
  /** What the drive had when the person decided. */
  from: number;
  to: number;
}

export interface Written {
  /** What the drive has now. */
  found: number;
  /** False where the type keeps edits only after an entry that saves. */
  kept: boolean;
  /** True where a lock was opened for it and could not be shut again. */
  lockOpen: boolean;
}

const wordSchema = z.object({ word: z.number() });

/** The entry, the input functions and the live values, just before writing. */
async function lookFirst(target: string, control: Control, parameter: Parameter) {
  const watched = control.parameters.filter(
    (p) => p.number === parameter.number || p.concept?.startsWith('input.DI') === true,
  );
  const registers = [...watched, ...control.modbus.live].map((x) => x.register);
  const { words } = await ask('/read', { target, registers }, wordsSchema);
  const byRegister = new Map(words);
  const values: Values = Object.fromEntries(
    watched.flatMap((p) => {
      const word = byRegister.get(p.register);
      return word === undefined ? [] : [[p.number, valueOf(p, word)]];
    }),
  );
  return { values, live: liveOf(control, (r) => byRegister.get(r)) };
}

/** Opens the lock of an entry with the code of the catalogue, and shuts it after the work. */
async function unlocked<T>(
  target: string,
  control: Control,
  lock: number,
  work: () => Promise<T>,
): Promise<{ done: T; lockOpen: boolean }> {
  const entry = parameterFor(control, 'lock.code');
  const code = control.locks.find((l) => l.level === lock)?.code;
  if (lock === 0 || entry === undefined || code === undefined) return { done: await work(), lockOpen: false };
  const turn = (value: number) =>
    ask('/write', { target, register: entry.register, word: rawOf(entry, value) }, wordSchema);
  const shut = () =>
    turn(0).then(
      () => false,
      () => true,
    );
  await turn(code);
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
export async function writeEntry({ target, typeId, number, from, to }: WriteOrder): Promise<Written> {
  const control = await controlNeeded(typeId);
  const parameter = parameterAt(control, number);
  if (parameter === undefined) throw new Refused(422, `This type has no entry ${number}.`);
  if (parameter.readOnly) throw new Refused(422, `${number} can be read only.`);
  if (parameter.choices !== undefined && !parameter.choices.some((c) => c.value === to))
    throw new Refused(422, `${number} has no choice ${to}.`);
  await rightDrive(target, control);
  const { values, live } = await lookFirst(target, control, parameter);
  const now = values[number];
  if (now === undefined)
    throw new Refused(409, `${number} is not there: it may need an option or another entry.`);
  if (rawOf(parameter, now) !== rawOf(parameter, from))
    throw new Refused(
      409,
      `${number} is ${now} now, not ${from} as it was read: read out again. Nothing was written.`,
    );
  const given = runGiven({ control, values, live });
  if (given !== null) throw new Refused(409, `${given} Nothing was written: take run away first.`);
  const {
    done: { word },
    lockOpen,
  } = await unlocked(target, control, parameter.lock, () =>
    ask('/write', { target, register: parameter.register, word: rawOf(parameter, to) }, wordSchema),
  );
  return {
    found: valueOf(parameter, word),
    kept: parameterFor(control, 'store.save') === undefined,
    lockOpen,
  };
}
