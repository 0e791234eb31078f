import type { Limits } from '../../../bench/make-safe';
import type { Stage } from '../../../equipment/power-stage';
import type { Person } from '../../entry';
import { holdsUntil, proofOf, type Proof, type SafetyState } from './proof';

/** Whether a lead or a hand may go to the drive: until when (ms), or why not. */
export type BenchLock = { open: true; until: number } | ClosedLock;

interface ClosedLock {
  open: false;
  why:
    | 'not-identified'
    | 'not-proven'
    | 'not-isolated'
    | 'above-limit'
    | 'lapsed'
    | 'other-person'
    | 'no-bank-terminal'
    | 'bridged';
  text: string;
}

const closed = (why: ClosedLock['why'], text: string): ClosedLock => ({ open: false, why, text });

interface Asked {
  person: Person;
  now: number;
}

/** Why the proof does not hold for this person now, whatever voltage it found; null: it holds. */
function notHeld(state: SafetyState, proof: Proof | null, { person, now }: Asked): ClosedLock | null {
  if (proof === null) return closed('not-identified', 'Read the drive nameplate first.');
  if (state.alive !== null)
    return closed(
      'not-isolated',
      `${state.alive.volts} V AC measured at ${state.alive.at}: a source is not isolated. Stop at any voltage, find it, isolate it, then confirm the sources again.`,
    );
  if (!proof.complete)
    return state.lapsed === null
      ? closed('not-proven', 'The drive is not proven dead yet.')
      : closed('lapsed', `Dead proof void: ${state.lapsed.detail}. Prove dead again.`);
  if (proof.by !== null && proof.by.id !== person.id)
    return closed(
      'other-person',
      `Proven dead by ${proof.by.name}. The person taking over must prove it again.`,
    );
  return now > holdsUntil(state)
    ? closed('lapsed', 'Dead proof void: half an hour without an entry. Prove dead again.')
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
  if (proof !== null && state.noBankTerminal)
    return closed(
      'no-bank-terminal',
      'No bank terminal accessible: treat as charged. Only removal with covers on, after the discharge time and the dead proof of lines and motor terminals. No bench test.',
    );
  if (state.bridgedAt !== null)
    return closed(
      'bridged',
      'A resistor bridges the capacitor bank and falsifies every reading. Remove it, measure the capacitor bank again (5 V or less), then test; refit it afterwards.',
    );
  if (proof !== null && proof.complete && state.alive === null && !proof.testAllowed)
    return closed(
      'above-limit',
      `${proof.highest_V} V measured; a diode test needs ${limits.test_V} V or less everywhere. This cannot be overridden: discharge, wait, measure again.`,
    );
  return notHeld(state, proof, { person, now }) ?? { open: true, until: holdsUntil(state) };
}

/**
 * May a hand go in now, by this person? The gate of everything that is done in the isolation. Where no lead reaches the bank it
 * opens with the proof of all that can be reached: for the removal, with covers on.
 */
export function handsLock(
  state: SafetyState,
  drive: { stage: Stage } | null,
  limits: Limits,
  person: Person,
  now: number,
): BenchLock {
  const proof = drive === null ? null : proofOf(state, drive.stage, limits);
  if (proof !== null && proof.complete && state.alive === null && !proof.handsAllowed)
    return closed(
      'above-limit',
      `${proof.highest_V} V measured; work inside needs ${limits.hands_V} V or less everywhere. Discharge, wait, measure again.`,
    );
  return notHeld(state, proof, { person, now }) ?? { open: true, until: holdsUntil(state) };
}
