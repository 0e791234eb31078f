import { Box } from '@chakra-ui/react';
import type { StageId } from '@/core/logbook';
import { trapHeadlines, type ConditionCode, type Diagnosis } from '@/core/bench/static-diagnosis';
import { Secondary } from '../../kit/buttons';
import { Disclosure } from '../../kit/why';
import { Said, Text } from '../../kit/text';

const stageTraps = new Set<ConditionCode>(['thyristor-front-end', 'wrong-stage']);
const noRetake = new Set<ConditionCode>([...stageTraps, 'hot-unit', 'entry-slip']);

/** A trap that the figures betray, with what to do and a way to take the readings again. */
export function TrapNotice({
  diagnosis,
  retake,
  editStage,
  goTo,
}: {
  diagnosis: Diagnosis;
  retake: (reason: string) => void;
  editStage: () => void;
  goTo: (stage: StageId) => void;
}) {
  const [trap] = diagnosis.conditions;
  if (trap === undefined) return null;
  const name = trapHeadlines[trap.code];
  return (
    <Box
      role="alert"
      borderLeft="5px solid"
      borderColor="doubt"
      bg="doubtWash"
      color="ink"
      px="3"
      py="2"
      mb="3"
      aria-label={`Trap: ${name}`}
    >
      <Text>
        <b>
          <Said>{name}</Said>
        </b>{' '}
        {trap.advice}
      </Text>
      <Box display="flex" gap="2" flexWrap="wrap" mt="1.5" alignItems="center">
        {stageTraps.has(trap.code) && <Secondary onClick={editStage}>Change the stage</Secondary>}
        {trap.code === 'bus-not-discharged' && (
          <Secondary onClick={() => goTo('make-safe')}>Prove dead again</Secondary>
        )}
        {!noRetake.has(trap.code) && (
          <Secondary onClick={() => retake(name)}>Set readings aside, measure again</Secondary>
        )}
        <Disclosure>
          With this condition, the circuit explains the readings {(100 * trap.probability).toFixed(0)} %
          likely; otherwise the unit itself is the cause. Readings set aside stay in the log.
        </Disclosure>
      </Box>
    </Box>
  );
}
