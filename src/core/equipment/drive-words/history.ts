import type { Control } from '../catalogue';
import { busOf } from './bus';

/** One entry of the fault history, newest first. */
export interface Slot {
  code: string;
  /** Run hours when it happened. */
  runHours: number;
  /** Minutes since 1970 where the clock was set; 0 where it never was. */
  clock_min: number;
}

const wordsPerSlot = 4;

/** Every register of the history, in order. */
export function historyRegisters(control: Control): number[] {
  const { history } = busOf(control);
  return Array.from({ length: history.slots * wordsPerSlot }, (_, i) => history.register + i);
}

/** The history from the words of its registers. */
export const slotsOf = (control: Control, block: readonly number[]): Slot[] =>
  Array.from({ length: busOf(control).history.slots }, (_, i) =>
    block.slice(i * wordsPerSlot, (i + 1) * wordsPerSlot),
  ).flatMap(([value = 0, runHours = 0, high = 0, low = 0]) =>
    value === 0
      ? []
      : [
          {
            code: control.alarms.find((a) => a.value === value)?.code ?? `${value}`,
            runHours,
            clock_min: high * 0x10000 + low,
          },
        ],
  );

/** The other way: the block of registers that holds a history. */
export const wordsOfSlots = (control: Control, slots: readonly Slot[]): number[] =>
  Array.from({ length: busOf(control).history.slots }, (_, i) => slots[i]).flatMap((slot) =>
    slot === undefined
      ? [0, 0, 0, 0]
      : [
          control.alarms.find((a) => a.code === slot.code)?.value ?? 0,
          slot.runHours & 0xffff,
          Math.floor(slot.clock_min / 0x10000) & 0xffff,
          slot.clock_min & 0xffff,
        ],
  );
