import { probeKey, type Probe, type Stage } from '../../equipment/power-stage';
import type { NamedFault, NextProbe } from './diagnosis';
import { model } from './model';
import { namesOf, type CandidateGroup } from './candidates';
import type { DiagnosisProblem } from './problem';
import { effect, rowOf, solution } from './solve';
import type { Hypothesis, Tables } from './tables';
import { item } from '../../numerics/arrays';

// Taken once: looking a global up at every use costs more than the function itself.
const { exp, log2, min, round } = Math;

/** Seconds of handling (common practice, no source). */
const handling = { touch: 2, leadMoved: 2, fillPerMillifarad: 2.5, longestFill: 30 } as const;

/**
 * What a reading costs: moving one lead is cheaper than two, and where a sound unit blocks, the bank
 * has to be filled through the meter first.
 * @param last where the leads are now
 * @param filled the bank was filled to overload already
 */
function handlingSeconds(
  stage: Stage,
  probe: Probe,
  { last, blocks, filled }: { last: Probe | null; blocks: boolean; filled: boolean },
): number {
  const moved = last === null ? 2 : Number(last.red !== probe.red) + Number(last.black !== probe.black);
  const fill = min((stage.capacitance_uF / 1000) * handling.fillPerMillifarad, handling.longestFill);
  return handling.touch + moved * handling.leadMoved + (blocks && !filled ? fill : 0);
}

const entropy = (weights: Iterable<number>): number => {
  let sum = 0;
  for (const w of weights) if (w > 0) sum -= w * log2(w);
  return sum;
};

const faultsOf = (h: Hypothesis | undefined): NamedFault[] => (h === undefined ? [] : namesOf(h));

/** What tells no more than this is not worth a probe, bits. */
const worthless = 0.01;
const mostWeighed = 120;
const worthWeighing = 1e-4;

interface Answers {
  /** What each explanation expects, in bins; with its share. */
  bins: Map<string, number>;
  /** The likeliest explanation of each bin. */
  likeliest: Map<string, Hypothesis>;
}

/**
 * Which probe tells most per second of handling. The reading each explanation expects (its own fitted
 * drops applied) is put into bins; the information of a probe is the entropy of the bins.
 */
export function nextProbes(
  problem: Pick<DiagnosisProblem, 'tables' | 'observations'>,
  likely: readonly Explanation[],
  last: Probe | null,
): NextProbe[] {
  const { tables, observations } = problem;
  const taken = new Set(observations.map((o) => o.key));
  const filled = observations.some((o) => o.key === 'DC+>DC-' && o.state === 'OL');
  const total = likely.reduce((sum, l) => sum + l.share, 0);
  const bin_V = 4 * model.reading_V + model.device_V;
  const sound = tables.all[0];
  if (sound === undefined) return [];
  return tables.probes
    .slice()
    .flatMap((probe): NextProbe[] => {
      if (taken.has(probeKey(probe))) return [];
      const row = rowOf(tables, probe);
      const { bins, likeliest } = likely.reduce<Answers>(
        (answers, { hypothesis, unknowns, share }) => {
          const solved = solution(tables, hypothesis, row);
          const key = solved.overload
            ? 'OL'
            : String(round((solved.volts + effect(solved, unknowns)) / bin_V));
          answers.bins.set(key, (answers.bins.get(key) ?? 0) + share / total);
          if (!answers.likeliest.has(key)) answers.likeliest.set(key, hypothesis);
          return answers;
        },
        { bins: new Map(), likeliest: new Map() },
      );
      const gainBits = entropy(bins.values());
      const [one, other] = [...bins].sort((a, b) => b[1] - a[1]);
      if (gainBits < worthless || one === undefined || other === undefined) return [];
      const blocks = solution(tables, sound, row).overload;
      return [
        {
          red: probe.red,
          black: probe.black,
          gainBits,
          handling_s: handlingSeconds(tables.stage, probe, { last, blocks, filled }),
          between: [faultsOf(likeliest.get(one[0])), faultsOf(likeliest.get(other[0]))],
        },
      ];
    })
    .sort((a, b) => b.gainBits / b.handling_s - a.gainBits / a.handling_s)
    .slice(0, 10);
}

/** A hypothesis with its share and the unknowns it was fitted with. */
export interface Explanation {
  hypothesis: Hypothesis;
  unknowns: Float64Array;
  share: number;
}

/** The likeliest explanations after some readings. */
export const explanationsOf = (groups: readonly CandidateGroup[]): Explanation[] =>
  groups
    .flatMap((group) =>
      group.weighed.flatMap(({ fit, members }) =>
        members
          .filter((m) => m.probability > worthWeighing)
          .map(({ hypothesis, probability }) => ({ hypothesis, unknowns: fit.unknowns, share: probability })),
      ),
    )
    .sort((a, b) => b.share - a.share)
    .slice(0, mostWeighed);

/** Before any reading: sound and single faults by how often they occur. */
export const explanationsBefore = (tables: Tables, unknowns: Float64Array): Explanation[] =>
  tables.singles.map((number) => {
    const hypothesis = item(tables.all, number);
    return { hypothesis, unknowns, share: exp(hypothesis.logPrior) };
  });
