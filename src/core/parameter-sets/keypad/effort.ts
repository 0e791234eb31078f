import type { Press } from './pad';

/**
 * What presses cost, in presses: a key held for a second counts twice; one that is held until a value comes up
 * counts four and a quarter for each tenth of a second, for it must be watched and let go in time.
 * Common practice, no source.
 */
export const heldEffort = 2;
/** What holding a key for some ticks costs, beside a press of 1. */
export const rampEffort = (ticks: number): number => 4 + ticks / 4;

/** What some presses cost together. */
export const effortOf = (presses: readonly Press[]): number =>
  presses.reduce(
    (sum, { held, ticks }) => sum + (ticks !== undefined ? rampEffort(ticks) : held ? heldEffort : 1),
    0,
  );
