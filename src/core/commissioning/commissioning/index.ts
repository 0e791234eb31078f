// The commissioning run.
import { figuresAgainst, type FigureTaken } from './figures';
import type { CommissioningStep } from './steps';

export { sequence, commissioningSteps, type RunOf, type CommissioningStep, type Watch } from './steps';
export { figuresAgainst, figureWords, type FigureTaken, type StepFigure } from './figures';
export { analogPoint, bitWatch, cycleDifferences, displayReady, noBits, type BitsSeen } from './evidence';

/** How one step of the run was settled. */
export interface StepResult {
  step: string;
  outcome: 'ok' | 'not-ok' | 'not-there';
  /** Parts that were seen. */
  seen: readonly string[];
  /** Who answers for it, by name. */
  qualified?: string | undefined;
  /** Over the link, or by a person. */
  seenBy?: 'link' | 'hand' | undefined;
  figures?: readonly FigureTaken[] | undefined;
}

/** Nothing of this can be absent: there is always an earth, a supply, a direction. */
export const isAlwaysThere = ({ group }: CommissioningStep): boolean =>
  group === 'before power' || group === 'direction';

/**
 * A step with parts counts only with each of them seen, one with readings only where they pass, a safety step only with a named
 * person; the others by their outcome.
 */
export function isStepSettled(step: CommissioningStep, result: StepResult | undefined): boolean {
  if (result === undefined || result.outcome === 'not-ok') return false;
  if (step.qualified === true && result.qualified === undefined) return false;
  if (result.outcome === 'not-there') return !isAlwaysThere(step);
  const linked = step.watch !== undefined && result.seenBy === 'link';
  const against = linked ? [] : figuresAgainst(step.figures ?? [], result.figures ?? []);
  return against.length === 0 && (step.parts ?? []).every((part) => result.seen.includes(part));
}

/** What must be settled before a step can be, and is not. */
export function waitsFor(
  step: CommissioningStep,
  steps: readonly CommissioningStep[],
  results: readonly StepResult[],
): CommissioningStep[] {
  const open = new Set(runState(steps, results).open.map((s) => s.id));
  return steps.filter((s) => step.after?.includes(s.id) === true && open.has(s.id));
}

/** How far the run is. */
export interface CommissioningState {
  /** The first step that is not settled. */
  next: CommissioningStep | null;
  open: CommissioningStep[];
  failed: CommissioningStep[];
}

/** How far a run is. @param results the newest of each step counts */
export function runState(
  steps: readonly CommissioningStep[],
  results: readonly StepResult[],
): CommissioningState {
  const newest = new Map(results.map((r) => [r.step, r]));
  const open = steps.filter((s) => !isStepSettled(s, newest.get(s.id)));
  return {
    next: open[0] ?? null,
    open,
    failed: open.filter((s) => newest.get(s.id)?.outcome === 'not-ok'),
  };
}

/** How a wrong direction is put right. */
export interface Cure {
  how: string;
  steps: string[];
  /** What must not be done, and why. */
  never: string;
}

/** @param wrong which of them turns the wrong way, both seen before coupling */
export function directionCure(wrong: { drive: boolean; bypass: boolean | null }): Cure | null {
  const never =
    'Never swap at the drive input: phase sequence has no effect there, and a bypass would reverse.';
  const dead = ['Stop, isolate, wait the discharge time, prove dead.'];
  const after = ['Mark the cores, refit covers, and check the direction again.'];
  const made = (how: string, swap: string): Cure => ({ how, steps: [...dead, swap, ...after], never });
  if (!wrong.drive && wrong.bypass !== true) return null;
  if (wrong.bypass === null)
    return made(
      'Swap two motor leads, or invert the direction parameter and label the unit.',
      'Swap two of U, V, W at the output of the drive.',
    );
  if (wrong.drive && wrong.bypass)
    return made(
      'Both directions wrong: swap two leads at the motor.',
      'Swap two leads in the motor terminal box.',
    );
  return wrong.drive
    ? made(
        'Only the drive direction is wrong: swap between drive and junction.',
        'Swap two leads between drive and junction.',
      )
    : made('Only the bypass direction is wrong: swap at its supply.', 'Swap two leads at the bypass supply.');
}

/** Is a motor’s current at some speed what one expects? (common practice, no source) */
export function currentPlausible(
  amps: number,
  plate_A: number,
): { verdict: 'ok' | 'doubt' | 'wrong'; why: string } {
  const share = amps / plate_A;
  const percent = `${(100 * share).toFixed(0)} % of rated`;
  if (share > 1.05)
    return { verdict: 'wrong', why: `${percent}: above rated. Stop, check load and parameters.` };
  if (share < 0.15)
    return {
      verdict: 'doubt',
      why: `${percent}: below no-load current. Check motor connection and motor parameters.`,
    };
  return { verdict: 'ok', why: percent };
}
