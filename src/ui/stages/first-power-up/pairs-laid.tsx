'use client';
import { useMemo } from 'react';
import {
  outputPairs,
  pairsCompared,
  shapeOverTime,
  type PairShape,
} from '@/core/power-up/waveform-diagnosis';
import { StateMark } from '../../kit/state-mark';
import { WaveChart, type Curve } from './wave-chart';
import { Text } from '../../kit/text';

const styles = { vuv: 'now', vvw: 'sound', vwu: 'measured' } as const satisfies Record<
  PairShape['role'],
  Curve['style']
>;
const words = { now: 'U to V (solid)', sound: 'V to W (dashed)', measured: 'W to U (dotted)' };

/** The pairs of outputs captured so far, one period of each laid over the others, and which of them is unlike the rest. */
export function PairsLaid({ shapes }: { shapes: readonly PairShape[] }) {
  const lanes = useMemo(
    () => [
      {
        id: 'pairs',
        name: 'One period of each pair, pulses averaged',
        unit: 'V',
        curves: shapes.map((shape): Curve => {
          const name = outputPairs.find((p) => p.role === shape.role)?.name ?? shape.role;
          return { name, style: styles[shape.role], ...shapeOverTime(shape) };
        }),
      },
    ],
    [shapes],
  );
  if (shapes.length === 0) return null;
  const missing = outputPairs.filter((p) => !shapes.some((s) => s.role === p.role));
  const compared = pairsCompared(shapes);
  return (
    <>
      <WaveChart name="Pairs of outputs over each other" lanes={lanes} words={words} />
      <Text role="status" mb="3">
        <StateMark
          mark={compared !== null ? 'failed' : missing.length > 0 ? 'unprobed' : 'sound'}
          label={null}
        />{' '}
        {compared?.text ??
          (missing.length > 0
            ? `Capture ${missing.map((p) => p.name).join(' and ')} at the same output frequency to compare.`
            : 'The three pairs are equal.')}
      </Text>
    </>
  );
}
