import { formatSignificant } from '@/core/numerics/figures';
import { notAbove } from '@/core/numerics/preferred-values';
import type { BrakeNeed } from '@/core/commissioning/ramp';
import { Text } from '../../kit/text';

/** What a brake resistor must bear, what is sold for it, and what the chopper allows. */
export function BrakeWords({
  brake,
  cycle_s,
  least_ohm,
  fitted_ohm,
}: {
  brake: BrakeNeed;
  cycle_s: number;
  /** The chopper's least; null: the type does not say. */
  least_ohm: number | null;
  /** The resistor that is fitted; null: none. */
  fitted_ohm: number | null;
}) {
  const { peak_W, average_W, energy_J, duty, most_ohm, lowering_W } = brake;
  const sold = most_ohm === null ? null : notAbove('E12', most_ohm);
  const tooSmall = least_ohm !== null && fitted_ohm !== null && fitted_ohm < least_ohm;
  const tooMuch = least_ohm !== null && most_ohm !== null && most_ohm < least_ohm;
  return (
    <>
      {tooSmall && (
        <Text color="failed" fontWeight="500">
          {fitted_ohm} Ω is below the minimum of the brake chopper, {least_ohm} Ω: the chopper would fail.
        </Text>
      )}
      {lowering_W !== null && (
        <Text fontWeight="500">
          Lowering feeds back {formatSignificant(lowering_W / 1000)} kW continuously: fit a brake resistor for
          it and a mechanical brake proven to close.
        </Text>
      )}
      {energy_J > 1 && most_ohm !== null && (
        <Text>
          A brake resistor must take {formatSignificant(peak_W / 1000)} kW at the peak and{' '}
          {formatSignificant(average_W)} W on average with one stop every {cycle_s} s,{' '}
          {(100 * duty).toFixed(0)} % of the time:{' '}
          {tooMuch
            ? `at most ${formatSignificant(most_ohm)} Ω, below the minimum of the chopper: lengthen the ramp, or use a larger drive`
            : `at most ${formatSignificant(most_ohm)} Ω${sold === null || (least_ohm !== null && sold < least_ohm) ? '' : `, standard value ${sold} Ω`}`}
          {least_ohm === null ? ', never below the minimum of the chopper' : `, never below ${least_ohm} Ω`}.
          Its thermal switch must open the line contactor.
        </Text>
      )}
    </>
  );
}
