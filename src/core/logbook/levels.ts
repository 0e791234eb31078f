import { moduleVerdict } from '../bench/module-test';
import type { JobState } from './job-state';
import { begunModules, moduleQuestion } from './families/module-test/slice';
import { balancedOnLamps, leastLoadShare, runsUnderLoad } from './families/power/slice';

/** Four verdicts that are never merged: each says only what its own test can see. */
export interface ProofLevel {
  id: 'not-shorted' | 'gate-switches' | 'balanced-on-lamps' | 'runs-under-load';
  name: string;
  state: 'yes' | 'no' | 'doubt' | 'not tested';
}

/** How far each level is proven. The first rests on what was signed; the third and fourth on tests under power. */
export function levelsOf(state: JobState): ProofLevel[] {
  const signed = state.signed?.payload.verdict;
  const modules = begunModules(state.modules).map((m) => moduleVerdict(moduleQuestion(m)).verdict);
  return [
    {
      id: 'not-shorted',
      name: 'Not shorted (diode test)',
      state:
        signed === undefined || signed === 'invalid'
          ? 'not tested'
          : signed === 'not-shorted'
            ? 'yes'
            : signed === 'faulty'
              ? 'no'
              : 'doubt',
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
