import type { ChainFacts } from './facts';
import { carriers } from './facts';

const runs = ['run', 'run-forward', 'run-reverse', 'start-pulse', 'jog'] as const;

/**
 * Is run given from anywhere that is known, whether the unit follows it now or not?
 * @returns where, as a sentence; null where none is given
 */
export function runGiven({
  control,
  values,
  live,
}: Pick<ChainFacts, 'values' | 'live'> & {
  control: Pick<ChainFacts['control'], 'inputs' | 'parameters'>;
}): string | null {
  if (live.state === 'running' || live.state === 'stopping') return 'The drive is running.';
  const wire = carriers({ control, values, live }).find(
    (c) => runs.some((r) => r === c.carries) && c.on === true,
  );
  if (wire !== undefined) return `Run command present at ${wire.mark}.`;
  return live.serial?.['run'] === true ? 'Run command present on the serial link.' : null;
}

/** Is an input on that carries the enable? As a sentence; null where none is known to be. */
export function enableGiven(facts: Parameters<typeof runGiven>[0]): string | null {
  const wire = carriers(facts).find((c) => c.carries === 'enable' && c.on === true);
  return wire === undefined ? null : `Enable closed at ${wire.mark}.`;
}
