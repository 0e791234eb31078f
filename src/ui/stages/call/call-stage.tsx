'use client';
import { Box, Text } from '@chakra-ui/react';
import { useForm } from 'react-hook-form';
import type { DangerSign } from '@/core/logbook';
import { Primary } from '../../kit/buttons';
import { StageHead, FieldGrid, Section } from '../../kit/section';
import { Field } from '../../kit/field';
import { dateTime } from '../../kit/time';
import type { StageProps } from '../../job-store/stage-props';
import { keysOf } from '@/core/numerics/arrays';

const signWords: Record<DangerSign, string> = {
  bang: 'a bang',
  smell: 'a smell',
  'blown-fuse': 'a blown fuse',
  smoke: 'smoke',
};
const words = { yes: 'yes', no: 'no', 'not-sure': 'not sure' } as const;

interface Call {
  doing: string;
  display: string;
  changedLately: string;
  signs: Record<DangerSign, boolean>;
}

/** Taking the job: what it was doing, what it says, what changed lately. */
export function CallStage({ store, goTo }: StageProps) {
  const opened = store.state.opened?.payload;
  const call = store.state.call;
  const { register, handleSubmit } = useForm<Call>({
    defaultValues: {
      doing: call?.doing ?? '',
      display: call?.display ?? '',
      changedLately: call?.changedLately ?? '',
      signs: Object.fromEntries((call?.signs ?? []).map((s) => [s, true])),
    },
  });
  const keep = handleSubmit((form) => {
    const signs = keysOf(signWords).filter((s) => form.signs[s]);
    store.record('take.call', {
      doing: form.doing,
      display: form.display,
      changedLately: form.changedLately,
      signs,
    });
    goTo('identify');
  });
  return (
    <>
      <StageHead title="Take the job">Ask before going there. &ldquo;Not sure&rdquo; is an answer.</StageHead>
      {opened !== undefined && (
        <Section title={opened.complaint}>
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
      <form onSubmit={(e) => void keep(e)}>
        <FieldGrid min="260px">
          <Field label="What was it doing?" maxLength={200} {...register('doing')} />
          <Field label="What does the display say?" maxLength={200} {...register('display')} />
          <Field label="What changed lately?" maxLength={200} {...register('changedLately')} />
        </FieldGrid>
        <Box as="fieldset" mb="4">
          <Text as="legend" fontFamily="heading" fontWeight="500" mb="1">
            Was there
          </Text>
          <Box display="flex" flexWrap="wrap" gap="2">
            {keysOf(signWords).map((sign) => (
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
                <input type="checkbox" {...register(`signs.${sign}`)} /> {signWords[sign]}
              </Box>
            ))}
          </Box>
        </Box>
        <Primary type="submit">Keep and identify</Primary>
      </form>
    </>
  );
}
