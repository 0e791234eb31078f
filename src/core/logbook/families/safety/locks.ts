import type { Limits } from '../../../bench/make-safe';
import type { Stage } from '../../../equipment/power-stage';
import type { Person } from '../../entry';
import { holdsUntil, proofOf, type Proof, type SafetyState } from './proof';

/** Whether a lead or a hand may go to the drive: until when (ms), or why not. */
export type BenchLock =
  | { open: true; until: number }
  | {
      open: false;
      why: 'not-identified' | 'not-proven' | 'above-limit' | 'lapsed' | 'other-person' | 'no-bank-terminal';
      text: string;
    };

/** Why the proof does not hold for this person now, whatever it found; null: it holds. */
function notHeld(
  state: SafetyState,
  drive: { stage: Stage } | null,
  proof: Proof | null,
  { person, now, covered }: { person: Person; now: number; covered: string },
): Extract<BenchLock, { open: false }> | null {
  const shut = (why: Extract<BenchLock, { open: false }>['why'], text: string) => ({
    open: false as const,
    why,
    text,
  });
  if (drive === null || proof === null) return shut('not-identified', 'Identify the drive first.');
  if (state.noBankTerminal)
    return shut('no-bank-terminal', `No bank terminal within reach: treat as charged. ${covered}`);
  if (!proof.complete)
    return state.lapsed === null
      ? shut('not-proven', 'The drive is not proven dead yet.')
      : shut('lapsed', `Proof lapsed: ${state.lapsed.detail}. Prove dead again.`);
  if (proof.by !== null && proof.by.id !== person.id)
    return shut('other-person', `Proven dead by ${proof.by.name}. Whoever takes over proves it again.`);
  return now > holdsUntil(state)
    ? shut('lapsed', 'Proof lapsed: half an hour without an entry. Prove dead again.')
    : null;
}

/** May a diode-test lead touch the drive now, by this person? The one gate of the bench. */
export function benchLock(
  state: SafetyState,
  drive: { stage: Stage } | null,
  limits: Limits,
  person: Person,
  now: number,
): BenchLock {
  const proof = drive === null ? null : proofOf(state, drive.stage, limits);
  const held = notHeld(state, drive, proof, {
    person,
    now,
    covered: 'Only removal with covers on, after the label’s wait. No bench test.',
  });
  if (proof !== null && proof.complete && !state.noBankTerminal && !proof.testAllowed)
    return {
      open: false,
      why: 'above-limit',
      text: `${proof.highest_V} V measured; a diode test needs ${limits.test_V} V or less everywhere. Nobody can override this: discharge, wait, measure again.`,
    };
  return held ?? { open: true, until: holdsUntil(state) };
}

/** May a hand go in now, by this person? The gate of everything that is done in the isolation. */
export function handsLock(
  state: SafetyState,
  drive: { stage: Stage } | null,
  limits: Limits,
  person: Person,
  now: number,
): BenchLock {
  // With covers on after the label's wait a unit may come out although its bank cannot be reached.
  if (drive !== null && state.noBankTerminal && state.locked !== null)
    return { open: true, until: holdsUntil(state) };
  const proof = drive === null ? null : proofOf(state, drive.stage, limits);
  const held = notHeld(state, drive, proof, {
    person,
    now,
    covered: 'Isolate, lock and wait the label’s time first.',
  });
  if (proof !== null && proof.complete && !proof.handsAllowed)
    return {
      open: false,
      why: 'above-limit',
      text: `${proof.highest_V} V measured; hands need ${limits.hands_V} V or less everywhere. Discharge, wait, measure again.`,
    };
  return held ?? { open: true, until: holdsUntil(state) };
}
