import { Box } from '@chakra-ui/react';
import { faultsWords, type Diagnosis } from '@/core/bench/static-diagnosis';
import type { Stage } from '@/core/equipment/power-stage';
import { Choice } from '../../kit/field';
import { Disclosure } from '../../kit/why';
import type { PlanKind } from './bench-plan';
import { Text } from '../../kit/text';

const kinds: { value: PlanKind; label: string }[] = [
  { value: 'quick', label: 'quick' },
  { value: 'full', label: 'full' },
  { value: 'guided', label: 'guided' },
];

/** Which way through the readings. */
export function PlanChoice({ kind, choose }: { kind: PlanKind; choose: (kind: PlanKind) => void }) {
  return <Choice label="Plan" hideLabel options={kinds} value={kind} onChange={choose} />;
}

/** What the suggested probe would settle, and when probing is over. */
export function Guidance({
  diagnosis,
  stage,
  stale,
}: {
  diagnosis: Diagnosis;
  stage: Stage;
  stale: boolean;
}) {
  const [next] = diagnosis.next;
  if (diagnosis.enough !== null)
    return (
      <Text role="status" borderLeft="5px solid" borderColor="sound" bg="paper" px="3" py="2" mt="2">
        <b>No more readings needed.</b> {diagnosis.enough}
      </Text>
    );
  if (next === undefined) return null;
  const [one, other] = next.between;
  return (
    <Box fontSize="0.94rem" mt="1" opacity={stale ? 0.5 : 1} aria-live="polite">
      Distinguishes <b>{faultsWords(one, stage)}</b> from <b>{faultsWords(other, stage)}</b>.{' '}
      <Disclosure>
        Most useful next reading: {next.gainBits.toFixed(2)} bit in about {next.handling_s.toFixed(0)} s. Next
        best:{' '}
        {diagnosis.next
          .slice(1, 4)
          .map((n) => `${n.red} to ${n.black} (${n.gainBits.toFixed(2)} bit, ${n.handling_s.toFixed(0)} s)`)
          .join('; ') || 'none'}
        . The times are common practice, no source.
      </Disclosure>
    </Box>
  );
}
