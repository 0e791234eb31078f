import { Box } from '@chakra-ui/react';
import NextLink from 'next/link';
import { signatureBlocker, timeTextOf } from '@/core/logbook';
import { conclude } from '@/core/bench/static-diagnosis';
import type { DiagnosisState } from '../../panels/diagnosis/use-diagnosis';
import { FileLink } from '../../kit/file-link';
import { Primary, Secondary } from '../../kit/buttons';
import { Section } from '../../kit/section';
import { StateMark, type Mark } from '../../kit/state-mark';
import { dateTime } from '../../kit/time';
import type { StageProps } from '../../job-store/stage-props';
import { SignButton } from '../../panels/sign-button';
import { Text } from '../../kit/text';

const marks: Record<string, Mark> = {
  'not-shorted': 'sound',
  faulty: 'failed',
  doubtful: 'doubt',
  invalid: 'doubt',
};
const level: Record<string, string> = {
  'not-shorted': 'not shorted',
  faulty: 'faulty',
  doubtful: 'doubtful',
  invalid: 'no verdict',
};

/** Signing the static-test sheet and taking it along. */
export function StaticSheetPanel({
  jobId,
  store,
  person,
  diagnosis,
  goTo,
}: StageProps & { diagnosis: DiagnosisState }) {
  const { drive, readings, signed, questions, registers, traced } = store.state;
  const held = signatureBlocker(registers);
  const result = diagnosis.diagnosis;
  const said = drive === null || result === null ? null : conclude(result, drive.stage);
  const open = questions.filter((q) => q.answer === null);
  return (
    <>
      {readings.length === 0 || drive === null || said === null || result === null ? (
        <>
          <Text mb="3">{readings.length > 0 ? 'Diagnosing the readings…' : 'No valid reading yet.'}</Text>
          <Primary onClick={() => goTo('bench')}>To the bench test</Primary>
        </>
      ) : (
        <Section title={said.headline}>
          <Text mb="2">{said.detail}</Text>
          <Text mb="2">
            <StateMark mark={marks[result.verdict] ?? 'doubt'} label={null} /> Verdict level:{' '}
            <b>{level[result.verdict]}</b>. A diode test does not prove that gates switch or that the drive
            runs under load.
          </Text>
          {result.verdict !== 'not-shorted' && (
            <Text mb="2">First power-up stays locked until a test passes.</Text>
          )}
          {open.length > 0 && (
            <Text mb="2" color="doubt" fontWeight="500">
              {open.length} open {open.length === 1 ? 'question goes' : 'questions go'} on the sheet.
            </Text>
          )}
          {held !== null && (
            <Text mb="2" color="failed" fontWeight="500">
              {held}
            </Text>
          )}
          {signed === null ? (
            <SignButton
              person={person}
              waiting={store.unsent.size > 0}
              held={held !== null}
              sign={() =>
                store.record('sheet.signed', {
                  verdict: result.verdict,
                  headline: said.headline,
                  detail: said.detail,
                  seq: store.state.seq,
                })
              }
            />
          ) : (
            <Text>
              Signed by {signed.by.name}, {dateTime(timeTextOf(signed))}. A new reading removes the signature.
            </Text>
          )}
        </Section>
      )}
      {(readings.length > 0 || traced.length > 0) && (
        <Section title="Download">
          <Box display="flex" gap="2" flexWrap="wrap">
            <Secondary asChild>
              <NextLink href={`/jobs/${jobId}/sheet`} prefetch={false}>
                Open the sheet
              </NextLink>
            </Secondary>
            {[
              ['PDF, A4', 'sheet?form=pdf&paper=a4'],
              ['PDF, letter', 'sheet?form=pdf&paper=letter'],
              ['JSON', 'sheet?form=json'],
              ['CSV', 'sheet?form=csv'],
            ].map(([label, path]) => (
              <FileLink key={label} href={`/api/v1/jobs/${jobId}/${path}`}>
                {label}
              </FileLink>
            ))}
          </Box>
        </Section>
      )}
    </>
  );
}
