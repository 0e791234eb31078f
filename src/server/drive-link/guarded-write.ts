// What a careful hand does around every write: look first, open the lock, shut it again.
import type { Control, Parameter } from '../../core/equipment/catalogue';
import {
  busOf,
  liveOf,
  onBus,
  parameterFor,
  rawOf,
  registerOf,
  valueOf,
  type Live,
  type Values,
} from '../../core/equipment/drive-words';
import type { DriveClient } from './drive-client';

export interface DriveState {
  value: number | undefined;
  values: Values;
  live: Live;
}

/** An entry, the functions of the inputs, and the live values, as they are now. */
export async function readState(
  talk: DriveClient,
  control: Control,
  parameter?: Parameter,
): Promise<DriveState> {
  const watched = onBus(control.parameters).filter(
    (p) => p.number === parameter?.number || p.concept?.startsWith('input.DI') === true,
  );
  const words = new Map(await talk.read([...watched, ...busOf(control).live].map((x) => x.register)));
  const values: Values = Object.fromEntries(
    watched.flatMap((p) => {
      const word = words.get(p.register);
      return word === undefined ? [] : [[p.number, valueOf(p, word)]];
    }),
  );
  return {
    value: parameter === undefined ? undefined : values[parameter.number],
    values,
    live: liveOf(control, (r) => words.get(r)),
  };
}

/** Opens the entries of a level with its code; 0: takes the code out again. A type without codes has nothing to open. */
export async function turnLock(talk: DriveClient, control: Control, level: number): Promise<void> {
  const entry = parameterFor(control, 'lock.code');
  if (entry === undefined) return;
  const locks = control.locks.filter((l) => l.level >= level).sort((a, b) => a.level - b.level);
  const code = level === 0 ? 0 : locks[0]?.code;
  if (code !== undefined) await talk.write(registerOf(entry), rawOf(entry, code));
}
