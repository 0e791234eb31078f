import { formatSignificant } from '../../numerics/figures';

/** The gate drives of the six transistors, before a module sees the bus. In order U, V, W upper, then U, V, W lower. */
export interface GateCheck {
  /** Gate to emitter, Ω; null: not measured. */
  ohms: readonly (number | null)[];
  /** Driver supplies, positive rail, V; null: not measured. */
  supplies: readonly (number | null)[];
  /** Negative rail, V; null for a rail: not measured; null for all: the drivers have one rail. Absent in records of before. */
  minus?: readonly (number | null)[] | null | undefined;
  /** Were its pulses seen, alike the others? */
  pulses: readonly ('yes' | 'no' | 'not-seen')[];
}

/** The six gate drives, in the order in which they are compared. */
export const gateNames = ['U upper', 'V upper', 'W upper', 'U lower', 'V lower', 'W lower'] as const;

/** Whether the gate drives are alike, and what is not. */
export interface GateVerdict {
  verdict: 'alike' | 'unlike' | 'not-complete';
  findings: readonly string[];
}

/** Off the middle one by more than this is unlike (common practice, no source). */
const ohmShare = 0.15;
const supplyShare = 0.1;

function unlike(values: readonly (number | null)[], share: number, what: string, unit: string): string[] {
  const known = values.flatMap((v) => (v === null ? [] : [v])).sort((a, b) => a - b);
  const middle = known[Math.floor(known.length / 2)];
  if (middle === undefined || known.length < 3) return [];
  return values.flatMap((v, k) =>
    v !== null && Math.abs(v - middle) > share * middle
      ? [
          `${gateNames[k] ?? k}: ${what} ${formatSignificant(v)} ${unit}, the others about ${formatSignificant(middle)} ${unit}`,
        ]
      : [],
  );
}

/** Are the six gate drives alike? Each figure is compared with the others of its kind (common practice, no source). */
export function judgeGates({ ohms, supplies, minus, pulses }: GateCheck): GateVerdict {
  const findings = [
    ...unlike(ohms, ohmShare, 'gate to emitter', 'Ω'),
    ...unlike(supplies, supplyShare, 'driver supply', 'V'),
    ...unlike(
      (minus ?? []).map((v) => (v === null ? null : Math.abs(v))),
      supplyShare,
      'negative rail',
      'V',
    ),
    ...pulses.flatMap((p, k) => (p === 'no' ? [`${gateNames[k] ?? k}: pulses missing or different`] : [])),
  ];
  // Before the rails were asked for, ohms and pulses were all there was.
  const rails = minus === undefined || [...supplies, ...(minus ?? [])].every((v) => v !== null);
  const complete = rails && ohms.every((o) => o !== null) && pulses.every((p) => p !== 'not-seen');
  return {
    verdict: findings.length > 0 ? 'unlike' : complete ? 'alike' : 'not-complete',
    findings,
  };
}
