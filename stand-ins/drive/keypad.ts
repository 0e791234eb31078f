// The keypad of the simulated drive: keys pressed one after the other, what is kept goes to its store.
import { keypadDisplay, padOf, pressed, type PadState, type Press } from '@/core/parameter-sets/keypad';
import { meaningOf, parameterAt } from '@/core/equipment/drive-words';
import type { Holder } from './memory';
import { isThere, writeSetting } from './settings';

const touches = (a: { cap: string; held: boolean } | undefined, b: Press): boolean =>
  a?.cap === b.cap && a.held === b.held;

/** One press; without a keypad that is known, or without power, it does nothing. */
export function pressKey(holder: Holder, press: Press): void {
  const { settings, state } = holder.unit;
  const pad = padOf(settings.control, settings.rating, (p) => isThere(settings, p));
  if (pad === null || state === 'off') return;
  const { run, stop } = pad.operation;
  if (touches(run, press) || touches(stop, press))
    holder.plant = { ...holder.plant, keypadRun: touches(run, press) };
  const { values, opened } = settings;
  const after = pressed(pad, holder.pad, press, {
    values,
    opened,
    allLocked: meaningOf(settings.control, values, 'lock.parameters') === 'locked',
  });
  holder.pad = after.state;
  if (after.writes === undefined) return;
  const p = parameterAt(settings.control, after.writes.number);
  if (p === undefined) return;
  const running = state === 'running' || state === 'stopping';
  const result = writeSetting(settings, p, after.writes.value, { running });
  if (typeof result !== 'string') holder.unit = { ...holder.unit, settings: result };
  else if (after.state.at === 'entry') holder.pad = { ...after.state, refused: true };
}

/** What the keypad is, and shows; null where the catalogue does not say. */
export function keypadOf({ unit, pad: state }: Holder) {
  const { settings } = unit;
  const pad = padOf(settings.control, settings.rating, (p) => isThere(settings, p));
  if (pad === null) return null;
  return {
    caps: pad.operation.caps,
    shows: unit.state === 'off' ? '' : keypadDisplay(pad, state),
    /** Digits right of the one that is edited; null: nothing is edited. */
    cursor: state.at === 'value' ? state.cursor : null,
    speedsUp: pad.operation.hold !== undefined,
  };
}

export const atHome: PadState = { at: 'home' };
