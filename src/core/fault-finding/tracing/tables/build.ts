import type { TraceCause, Check, Hazard, ReadRule, TraceTable } from '../table';

/**
 * A cause of a table.
 * @param weight how often it is this one;
 * @param remedy_min minutes to try the remedy
 */
export const cause = (
  id: string,
  name: string,
  weight: number,
  remedy_min: number,
  remedy: string,
): TraceCause => ({ id, name, weight, remedy, cure_min: remedy_min });

/** A check with two outcomes: `given` is the chance of the first under a cause, `otherwise` under all others. */
export function check(
  id: string,
  what: string,
  minutes: number,
  hazard: Hazard,
  words: readonly [yes: string, no: string],
  given: Readonly<Record<string, number>>,
  otherwise: number,
  more: { tool?: string; read?: readonly ReadRule[] } = {},
): Check {
  const rest = Object.fromEntries(Object.entries(given).map(([name, p]) => [name, 1 - p]));
  return {
    id,
    what,
    minutes,
    hazard,
    ...more,
    outcomes: [
      { id: 'yes', words: words[0], given, otherwise },
      { id: 'no', words: words[1], given: rest, otherwise: 1 - otherwise },
    ],
  };
}

/** Common practice, no source: weights and chances are what workshops would say, not counted. */
export const table = (
  family: TraceTable['family'],
  causes: readonly TraceCause[],
  checks: readonly Check[],
  { deadFirst = false } = {},
): TraceTable => ({ family, provenance: 'common practice, no source', deadFirst, causes, checks });
