import type { Candidate, Condition, Diagnosis, NextProbe } from './diagnosis';
import { asserted } from './conditions';

/** One explanation with this share is taken for the decision. */
const decided = 0.97;
/** Where no probe tells more than this, none can turn the decision, bits. */
const idle_bits = 0.02;

/** Why further probing would not change the decision; null while it may. */
export function enoughProbing({
  verdict,
  candidates,
  missing,
  repeat,
  next,
  conditions,
}: {
  verdict: Diagnosis['verdict'];
  candidates: readonly Candidate[];
  missing: number;
  repeat: readonly unknown[];
  next: readonly NextProbe[];
  conditions: readonly Condition[];
}): string | null {
  const [best] = candidates;
  if (best === undefined) return null;
  const trap = conditions.find((c) => c.probability >= asserted);
  if (trap !== undefined && trap.probability > sureTrap) return `First correct this: ${trap.advice}`;
  if (repeat.length > 0) return null;
  const most = Math.max(0, ...next.map((n) => n.gainBits));
  if (verdict === 'not-shorted' && missing === 0 && most < idle_bits)
    return 'Every device was seen to conduct and to block as far as a meter can show; another reading is unlikely to change the result.';
  if (verdict !== 'faulty') return next.length === 0 ? 'No further reading adds information.' : null;
  if (best.probability >= decided && most < idle_bits)
    return `${(100 * best.probability).toFixed(0)} % for one explanation, and no further reading adds more than ${most.toFixed(2)} bit: the result is final.`;
  return next.length === 0 ? 'No further reading can tell these apart: disconnect or remove a part.' : null;
}

const sureTrap = 0.9;
