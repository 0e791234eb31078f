import { roundSignificant } from '../../numerics/figures';
import { unbalanceOf } from '../../numerics/unbalance';

/** Resistance of the three pairs, Ω, and the temperatures. */
export interface WindingTest {
  ohms: { uv: number; vw: number; wu: number };
  temperature_C: number;
  reference_C: number;
  material?: 'copper' | 'aluminium' | undefined;
}

/** Resistances at the reference temperature, and whether they are alike. */
export interface WindingResult {
  corrected: { uv: number; vw: number; wu: number };
  mean: number;
  unbalance_percent: number;
  verdict: 'pass' | 'fail' | 'doubtful';
  sum: string;
}

/** Temperature at which a straight line through the resistance of the metal meets zero, °C (IEC 60034-1: 235 is its rounding; 234.5 for copper and 225 for aluminium from memory of IEEE 112). */
const zeroAt_C = { copper: 234.5, aluminium: 225 } as const;

/** Alike within this much passes, beyond the second fails, % (common practice, no source). */
const alike_percent = 2;
const apart_percent = 5;

/** R₂ = R₁ · (k + T₂) ÷ (k + T₁). */
export function winding({
  ohms,
  temperature_C,
  reference_C,
  material = 'copper',
}: WindingTest): WindingResult {
  const k = zeroAt_C[material];
  const factor = (k + reference_C) / (k + temperature_C);
  const exact = [ohms.uv * factor, ohms.vw * factor, ohms.wu * factor] as const;
  const [uv, vw, wu] = exact.map((ohm) => roundSignificant(ohm, 5)) as [number, number, number];
  const { mean, unbalance_percent } = unbalanceOf(exact);
  return {
    corrected: { uv, vw, wu },
    mean,
    unbalance_percent,
    verdict:
      unbalance_percent <= alike_percent ? 'pass' : unbalance_percent <= apart_percent ? 'doubtful' : 'fail',
    sum: `× (${k} + ${reference_C}) ÷ (${k} + ${temperature_C}) = × ${factor.toFixed(4)}`,
  };
}
