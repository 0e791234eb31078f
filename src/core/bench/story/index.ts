// The likely chain behind a dead part and what else to inspect.
import type { NamedFault } from '../static-diagnosis';
import type { Consequence } from './consequences';

export { usualConsequences, type Consequence } from './consequences';

/** What a dead part usually means: the chain of cause, and what to look at. */
export interface StoryLine {
  id: string;
  chain: string;
  inspect: string[];
}

/** The leg or phase a position belongs to; parts without one count each for themselves. */
const legOf = (component: string): string => component.split('.').slice(0, 2).join('.');

/**
 * The lines of the table that these faults call up, the more particular first; a line that asks for two
 * legs replaces the one that asks for one of the same parts.
 */
export function storyOf(faults: readonly NamedFault[], table: readonly Consequence[]): StoryLine[] {
  const called = table.filter((line) => {
    const dead = faults.filter(
      (f) => line.modes.includes(f.mode) && line.parts.some((p) => f.component.startsWith(p)),
    );
    return new Set(dead.map((f) => legOf(f.component))).size >= line.atLeast;
  });
  const covered = (line: Consequence): boolean =>
    called.some((other) => other.atLeast > line.atLeast && line.parts.every((p) => other.parts.includes(p)));
  return called
    .filter((line) => !covered(line))
    .map(({ id, chain, inspect }) => ({ id, chain, inspect: [...inspect] }));
}
