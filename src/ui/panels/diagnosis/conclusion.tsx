import { Box } from '@chakra-ui/react';
import { positionsOf, type Stage } from '@/core/equipment/power-stage';
import { conclude, faultWords, type Candidate, type Diagnosis } from '@/core/bench/static-diagnosis';
import { Notice } from '../../kit/notice';
import { Disclosure } from '../../kit/why';
import type { DiagnosisState } from './use-diagnosis';
import { Said, Text } from '../../kit/text';

const tones = { sound: 'sound', doubt: 'doubt', failed: 'failed', waiting: 'slate' } as const;

const candidateWords = (c: Candidate, stage: Stage): string =>
  c.faults.length === 0 ? 'nothing shorted or open' : c.faults.map((f) => faultWords(f, stage)).join(' and ');

/** Suspects with their share, behind why? only: the sentence is what counts. */
function Suspects({
  diagnosis,
  stage,
  took_ms,
}: {
  diagnosis: Diagnosis;
  stage: Stage;
  took_ms: number | null;
}) {
  const listed = diagnosis.candidates.slice(0, 6).filter((c) => c.probability > 0.001);
  return (
    <Disclosure>
      <Text mb="1">
        Every fault that this power stage can have ({positionsOf(stage).length} positions) was calculated as a
        circuit and compared with your readings, with the diode drops fitted to this unit.
      </Text>
      <Box as="ul" listStyleType="none" display="grid" gap="1">
        {listed.map((c) => (
          <Box as="li" key={candidateWords(c, stage)}>
            <Box height="5px" bg="cardEdge" aria-hidden>
              <Box height="5px" bg="ink" width={`${(100 * c.probability).toFixed(1)}%`} />
            </Box>
            <Said>
              {(100 * c.probability).toFixed(1)} % {candidateWords(c, stage)}
            </Said>
            {c.equivalents !== undefined &&
              c.equivalents.length > 0 &&
              ` (or ${c.equivalents.length} others with the same readings so far)`}
          </Box>
        ))}
      </Box>
      {took_ms !== null && (
        <Text color="soft" mt="1">
          Calculated in {took_ms.toFixed(0)} ms on this device.
        </Text>
      )}
    </Disclosure>
  );
}

/** The conclusion in the margin, up to date with every reading. */
export function BenchConclusion({ stage, state }: { stage: Stage; state: DiagnosisState }) {
  const { diagnosis, busy, failed, took_ms } = state;
  if (failed)
    return (
      <Notice tone="doubt" headline="Diagnosis stopped.">
        Readings are still saved. Reload the page to diagnose them.
      </Notice>
    );
  if (diagnosis === null)
    return (
      <Notice tone="slate" headline={busy ? 'Preparing…' : 'Nothing measured yet.'}>
        {busy ? 'Calculating the faults of this power stage; a second or two.' : ''}
      </Notice>
    );
  const said = conclude(diagnosis, stage);
  const [again] = diagnosis.repeat;
  const repeatShown = again !== undefined && !said.headline.includes('measure again');
  return (
    <Box aria-live="polite">
      <Notice tone={tones[said.tone]} headline={said.headline}>
        {said.detail} <Suspects diagnosis={diagnosis} stage={stage} took_ms={took_ms} />
      </Notice>
      {repeatShown && (
        <Notice tone="doubt" headline={`${again.red} to ${again.black}: measure again.`}>
          It is {again.why}.
        </Notice>
      )}
    </Box>
  );
}
