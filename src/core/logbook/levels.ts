import { moduleVerdict } from '../bench/module-test';
import type { JobState } from './job-state';
import type { StaticVerdict } from './verified';
import { begunModules, moduleQuestion } from './families/module-test/slice';
import { balancedOnLamps, leastLoadShare, runsUnderLoad } from './families/power/slice';

/** Four verdicts that are never merged: each says only what its own test can see. */
export interface ProofLevel {
  id: 'not-shorted' | 'gate-switches' | 'balanced-on-lamps' | 'runs-under-load';
  name: string;
  state: 'yes' | 'no' | 'doubt' | 'not signed' | 'not tested';
}

/** What the diode test says: as signed; before that a fault is one, and anything else waits for a name. */
function notShorted(signed: StaticVerdict | undefined, measured: StaticVerdict | null): ProofLevel['state'] {
  const verdict = signed ?? measured ?? 'invalid';
  if (verdict === 'invalid') return 'not tested';
  if (verdict === 'faulty') return 'no';
  if (signed === undefined) return 'not signed';
  return verdict === 'not-shorted' ? 'yes' : 'doubt';
}

/**
 * How far each level is proven. The first rests on what was signed; the third and fourth on tests under power.
 * @param measured what the readings say so far; null: nobody weighed them
 */
export function levelsOf(state: JobState, measured: StaticVerdict | null = null): ProofLevel[] {
  const modules = begunModules(state.modules).map((m) => moduleVerdict(moduleQuestion(m)).verdict);
  return [
    {
      id: 'not-shorted',
      name: 'Not shorted (diode test)',
      state: notShorted(state.signed?.payload.verdict, state.readings.length === 0 ? null : measured),
    },
    {
      id: 'gate-switches',
      name: 'Gates switch (lamp test)',
      state:
        modules.length === 0
          ? 'not tested'
          : modules.includes('replace')
            ? 'no'
            : modules.every((v) => v === 'switches')
              ? 'yes'
              : 'doubt',
    },
    { id: 'balanced-on-lamps', name: 'Balanced on lamps (powered test)', state: balancedOnLamps(state) },
    {
      id: 'runs-under-load',
      name: `Runs under load (motor at ${100 * leastLoadShare} % or more)`,
      state: runsUnderLoad(state),
    },
  ];
}
