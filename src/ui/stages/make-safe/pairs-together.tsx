import { Box } from '@chakra-ui/react';
import { quantities, together_V, type Quantity } from '@/core/bench/make-safe';
import type { Stage } from '@/core/equipment/power-stage';
import { countOf, missingSteps, type SafetyState } from '@/core/logbook';
import { Secondary } from '../../kit/buttons';

/** The fast way: pairs that were measured one by one and were all below a volt. The bus is typed reading by reading. */
export function PairsTogether({
  stage,
  safety,
  disabled,
  keep,
}: {
  stage: Stage;
  safety: SafetyState;
  disabled: boolean;
  keep: (quantity: Quantity, points: string[]) => void;
}) {
  const left = missingSteps(safety, stage).filter((step) => !step.point.alone);
  return (
    <Box display="flex" gap="2" flexWrap="wrap" mb="3">
      {quantities.map((quantity) => {
        const points = left.filter((step) => step.quantity === quantity).map((step) => step.point.id);
        return (
          points.length > 0 && (
            <Secondary key={quantity} disabled={disabled} onClick={() => keep(quantity, points)}>
              {`${countOf(points.length, 'pair')} on ${quantity.toUpperCase()}: each measured, all below ${together_V} V`}
            </Secondary>
          )
        );
      })}
    </Box>
  );
}
