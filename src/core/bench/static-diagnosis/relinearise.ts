import type { Probe } from '../../equipment/power-stage';
import { fit, type HypothesisFit } from './fit';
import { column, networkWith } from './faultable-network';
import type { DiagnosisProblem } from './problem';
import { effect, follows, solve } from './solve';
import type { Hypothesis, Solution } from './tables';
import { byteAt, item, numberAt, valueAt } from '../../numerics/arrays';

// Taken once: looking a global up at every use costs more than the function itself.
const { abs, exp, max } = Math;

const rounds = 3;
/** A reading through this many junctions or fewer has no parallel ways: its line is straight. */
const straightColumns = 4;
/** Where the tables stand this near to the fit they need not be solved again, V. */
const near_V = 0.004;
const settled_V = 0.0015;

const probeOf = (problem: DiagnosisProblem, h: Hypothesis, i: number): Probe => {
  const { red, black } = item(problem.tables.probes, numberAt(problem.rows, i));
  return h.twin === null ? { red, black } : { red: black, black: red };
};

/**
 * Solves the readings of one fit again at its own unknowns (Gauss and Newton) where they are far from
 * those the tables were made for, and fits again, until nothing moves.
 */
export function relinearised(problem: DiagnosisProblem, start: HypothesisFit): HypothesisFit {
  const { tables, observations, expectation } = problem;
  const h = start.hypothesis;
  const actual = h.twin ?? h;
  const faultable = item(tables.faultableNetworks, actual.circumstance);
  let best = start;
  let around = start.unknowns;
  for (let round = 0; round < rounds; round += 1) {
    const network = networkWith(faultable, actual.faults, around);
    let moved = 0;
    const solutions = best.solutions.map((solved, i): Solution => {
      const first = item(start.solutions, i);
      if (first.columns.length === 0) return solved;
      if (!follows(first, h.open) && (first.columns.length <= straightColumns || isNear(first, around, null)))
        return solved;
      const known = tables.relinearised.get(first.id);
      if (known !== undefined && isNear(known.solution, around, known.around)) return known.solution;
      const again = solve(
        { network, meter: tables.meter },
        faultable,
        sized(actual, around),
        probeOf(problem, h, i),
      );
      if (again.columns.length === 0) return solved;
      // The straight line through the new point, written as if it started at the tables' point.
      const volts = again.volts - effect(again, around);
      moved = max(moved, abs(again.volts - (solved.volts + effect(solved, around))));
      // Where the line starts says nothing of overload; where it leads does.
      const line = { ...again, volts, overload: false };
      tables.relinearised.set(first.id, { solution: line, around });
      return line;
    });
    if (moved < settled_V) return best;
    const next = fit(h, observations, solutions, {
      expectation,
      ceiling: problem.ceiling,
      near: best,
    });
    around = next.unknowns;
    best = next;
  }
  return best;
}

/** Would the answer move but little from where it was solved (null: at the tables' own point)? */
function isNear({ columns, values }: Solution, now: Float64Array, then: Float64Array | null): boolean {
  let moved = 0;
  for (let e = 0; e < columns.length; e += 1) {
    const c = byteAt(columns, e);
    moved += abs(valueAt(values, e) * (valueAt(now, c) - (then === null ? 0 : valueAt(then, c))));
  }
  return moved < near_V;
}

/** The faults at their fitted sizes. */
const sized = (h: Hypothesis, unknowns: Float64Array): Hypothesis['faults'] =>
  h.faults.map((f) =>
    f.mode === 'leaky'
      ? { ...f, ohm: (f.ohm ?? 1000) * exp(valueAt(unknowns, column.leak(f.component))) }
      : f,
  );
