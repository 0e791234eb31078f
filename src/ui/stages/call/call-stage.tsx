'use client';
import { Box } from '@chakra-ui/react';
import * as z from 'zod';
import type { DangerSign } from '@/core/logbook';
import { Primary } from '../../kit/buttons';
import { StageHead, FieldGrid, Section } from '../../kit/section';
import { Choice, Field, optionsOf } from '../../kit/field';
import { TickBox } from '../../kit/tick';
import { useTypedForm } from '../../kit/typed-form';
import { dateTime } from '../../kit/time';
import type { StageProps } from '../../job-store/stage-props';
import { profileNames, termsProfiles } from '@/core/terms';
import { useTerms } from '../../kit/terms';
import { keysOf, recordOf } from '@/core/numerics/arrays';
import { Text } from '../../kit/text';

const signWords: Record<DangerSign, string> = {
  bang: 'a bang',
  smell: 'a smell',
  'blown-fuse': 'a blown fuse',
  smoke: 'smoke',
};
const words = { yes: 'yes', no: 'no', 'not-sure': 'not sure' } as const;

const signs = keysOf(signWords);
const callSchema = z.object({
  doing: z.string(),
  display: z.string(),
  changedLately: z.string(),
  terms: z.enum(termsProfiles),
  signs: z.record(z.enum(signs), z.boolean()).transform((there) => signs.filter((sign) => there[sign])),
});

/** Taking the job: what it was doing, what it says, what changed lately. */
export function CallStage({ store, goTo }: StageProps) {
  const opened = store.state.opened?.payload;
  const call = store.state.call;
  const { profile } = useTerms();
  const { text, pick, tick, submit } = useTypedForm('call', callSchema, {
    doing: call?.doing ?? '',
    display: call?.display ?? '',
    changedLately: call?.changedLately ?? '',
    // Of a call that was taken before this was asked, documents stay as they were.
    terms: call === null ? profile : (call.terms ?? 'international'),
    signs: recordOf(signs, (sign) => call?.signs.includes(sign) ?? false),
  });
  const keep = submit((taken) => {
    store.record('take.call', taken);
    goTo('identify');
  });
  return (
    <>
      <StageHead title="Call">Ask on the phone. &ldquo;Not sure&rdquo; is allowed.</StageHead>
      {opened !== undefined && (
        <Section title={`“${opened.complaint}”`}>
          <Text>
            {opened.machine}, {opened.site}.{' '}
            {opened.stoppedAt === null ? 'Not stopped.' : `Stopped since ${dateTime(opened.stoppedAt)}.`}
          </Text>
          {opened.downstream !== undefined && <Text>Downstream: {opened.downstream}</Text>}
          <Text>
            People in danger: {words[opened.peopleInDanger]}. Load suspended: {words[opened.loadSuspended]}.
            Bypass: {words[opened.bypass]}.
          </Text>
        </Section>
      )}
      <form onSubmit={keep} noValidate>
        <FieldGrid min="260px">
          <Field label="What was the machine doing?" maxLength={200} {...text('doing')} />
          <Field label="What does the display show?" maxLength={200} {...text('display')} />
          <Field label="What was changed recently?" maxLength={200} {...text('changedLately')} />
        </FieldGrid>
        <Box as="fieldset" mb="4">
          <Text as="legend" fontFamily="heading" fontWeight="500" mb="1">
            Was there
          </Text>
          <Box display="flex" flexWrap="wrap" gap="2">
            {signs.map((sign) => (
              <Box
                key={sign}
                as="label"
                display="inline-flex"
                gap="2"
                alignItems="center"
                minH="48px"
                px="3"
                border="1px solid"
                borderColor="line"
                borderRadius="3px"
                cursor="pointer"
              >
                <TickBox {...tick(`signs.${sign}`)} /> {signWords[sign]}
              </Box>
            ))}
          </Box>
        </Box>
        <Box mb="4">
          <Choice
            label="Terms and units on this customer’s documents"
            options={optionsOf(profileNames)}
            {...pick('terms')}
          />
        </Box>
        <Primary type="submit">Save, go to Nameplates</Primary>
      </form>
    </>
  );
}
