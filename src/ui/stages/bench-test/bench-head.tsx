import type { MarkedTerminal } from '@/core/equipment/power-stage';
import type { BenchLock, KeptReading, SafetyState, StageId } from '@/core/logbook';
import { Secondary } from '../../kit/buttons';
import { Caution } from '../../kit/caution';
import { StageHead } from '../../kit/section';
import { clockTime } from '../../kit/time';
import { isPlainMark, leadWords, stepTitle } from './bench-plan';
import type { GuidedSteps } from './use-steps';

function title({ step, guided, stale }: GuidedSteps): string {
  if (step !== null) return stepTitle(step);
  if (!guided) return 'All planned readings taken';
  return stale ? 'Choosing next test…' : 'No more readings needed';
}

/** What is measured now and where the leads go. */
export function BenchHead({
  steps,
  last,
  strip,
}: {
  steps: GuidedSteps;
  last: KeptReading | undefined;
  strip: readonly MarkedTerminal[];
}) {
  const { step, guided, index, plan, purpose } = steps;
  return (
    <StageHead title={title(steps)}>
      {step === null ? (
        'Tap a cell to measure again, two terminals for your own test, choose another plan, or go to the sheet.'
      ) : (
        <>
          {leadWords(step, last ?? null, strip).map((l) => (
            <span key={l.lead}>
              {l.lead} {l.verb} <strong style={{ color: 'var(--chakra-colors-ink)' }}>{l.mark}</strong>
              {isPlainMark(l.mark, l.terminal) ? '' : ` (${l.terminal.replace('DC-', 'DC−')})`}.{' '}
            </span>
          ))}
          {!guided && index >= 0 && `Reading ${index + 1} of ${plan.length}.`}{' '}
          {purpose === 'repeat' && 'Measuring again: both values are saved.'}
          {purpose === 'correct' && 'Correcting a mistyped reading: the first stays in the log.'}
        </>
      )}
    </StageHead>
  );
}

/** The dead proof the test stands on, or why the bench is locked. */
export function ProofNotice({
  lock,
  safety,
  goTo,
}: {
  lock: BenchLock;
  safety: SafetyState;
  goTo: (stage: StageId) => void;
}) {
  return lock.open ? (
    <Caution title={`Bus proven dead at ${clockTime(safety.meterAfter?.at ?? safety.lastAt)}:`}>
      {safety.figures['bank dc']?.volts ?? 0} V, again {safety.figures['bank-again dc']?.volts ?? 0} V. Holds
      until {clockTime(lock.until)} if nothing is entered, or until another person takes over. Motor, line and
      brake resistor leads off.
    </Caution>
  ) : (
    <Caution grave signal={null} title="Locked.">
      {lock.text}{' '}
      <Secondary minH="44px" onClick={() => goTo('make-safe')}>
        Make safe
      </Secondary>
    </Caution>
  );
}
