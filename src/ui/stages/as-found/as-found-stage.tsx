'use client';
import { Box, Text } from '@chakra-ui/react';
import * as z from 'zod';
import { alarmFamilies, type AlarmFamily } from '@/core/equipment/concepts';
import { mustStayDead } from '@/core/logbook';
import { Primary, Secondary } from '../../kit/buttons';
import { Caution } from '../../kit/caution';
import { StageHead, FieldGrid, Section } from '../../kit/section';
import { Field, Select } from '../../kit/field';
import { useTypedForm } from '../../kit/typed-form';
import { Photos } from '../../kit/photos';
import type { StageProps } from '../../job-store/stage-props';

const reasons = [
  'unsafe to energise',
  'display dead',
  'no access to the keypad',
  'history was cleared before',
];
const familyLabel = (family: AlarmFamily): string => (family === 'none' ? 'none' : family.replace(/-/g, ' '));

const noSlot = { code: '', when: '' };
const words = z.string().trim();
const foundSchema = z.object({
  active: words,
  family: z.enum(alarmFamilies),
  /** Empty ones are left out. */
  slots: z
    .array(z.object({ code: words, when: words }))
    .transform((slots) =>
      slots
        .filter(({ code }) => code !== '')
        .map(({ code, when }) => ({ code, ...(when === '' ? {} : { when }) })),
    ),
  selectors: words,
  photos: z.array(z.string()),
});

/** Freezing what the drive says before anything is reset. */
export function AsFoundStage({ store, goTo }: StageProps) {
  const known =
    store.state.asFound !== null && 'captured' in store.state.asFound ? store.state.asFound.captured : null;
  const { typed, text, pick, set, submit } = useTypedForm(foundSchema, {
    active: known?.active ?? store.state.call?.display ?? '',
    family: known?.family ?? 'none',
    slots: known?.slots.map(({ code, when = '' }) => ({ code, when })) ?? [noSlot],
    selectors: known?.selectors ?? '',
    photos: known?.photos ?? [],
  });
  const { slots, photos } = typed;
  const dead = mustStayDead(store.state);
  const keep = submit((found) => {
    store.record('as-found.captured', found);
    goTo('look');
  });
  return (
    <>
      <StageHead title="As found">Capture before clear: one long key press may wipe the history.</StageHead>
      {dead.length > 0 && (
        <Caution grave title="Do not restore mains to read it.">
          After {dead.join(', ')} the fault may still be there. Use an external 24 V control supply where the
          type has one, or write why it was not captured.
        </Caution>
      )}
      <form onSubmit={keep} noValidate>
        <FieldGrid>
          <Field
            label="Active alarm"
            hint="as displayed; empty if none"
            maxLength={200}
            {...text('active')}
          />
          <Select
            label="What kind is it?"
            {...pick('family')}
            options={alarmFamilies.map((f) => ({ value: f, label: familyLabel(f) }))}
          />
          <Field label="Selector and jumper positions" maxLength={200} {...text('selectors')} />
        </FieldGrid>
        <Section title="Fault slots, newest first">
          <Text color="soft" mb="2" fontSize="0.92rem">
            The newest may only be the consequence of an older one.
          </Text>
          {slots.map((_, i) => (
            <Box key={i} display="grid" gridTemplateColumns="1fr 1fr" gap="3" mb="2">
              <Field label={`Slot ${i + 1}, code`} maxLength={60} {...text(`slots.${i}.code`)} />
              <Field label="When" hint="if the clock was set" maxLength={60} {...text(`slots.${i}.when`)} />
            </Box>
          ))}
          {slots.length < 30 && (
            <Secondary onClick={() => set('slots', [...slots, noSlot])}>Another slot</Secondary>
          )}
        </Section>
        <Box mb="4">
          <Photos label="Display and selectors" photos={photos} onChange={(now) => set('photos', now)} />
        </Box>
        <Primary type="submit">Keep and look</Primary>
      </form>
      <Section title="Cannot be captured?">
        <Box display="flex" flexWrap="wrap" gap="2" mt="2">
          {reasons.map((reason) => (
            <Secondary
              key={reason}
              onClick={() => {
                store.record('as-found.impossible', { reason });
                goTo('look');
              }}
            >
              {reason}
            </Secondary>
          ))}
        </Box>
      </Section>
    </>
  );
}
