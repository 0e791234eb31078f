'use client';
import { Box } from '@chakra-ui/react';
import * as z from 'zod';
import { alarmFamilies, type AlarmFamily } from '@/core/equipment/concepts';
import type { Payload } from '@/core/logbook';
import { Primary, Secondary } from '../../kit/buttons';
import { FieldGrid, Section } from '../../kit/section';
import { Field, Select } from '../../kit/field';
import { useTypedForm } from '../../kit/typed-form';
import { Photos } from '../../kit/photos';
import { Text } from '../../kit/text';

type Captured = Payload<'as-found.captured'>;

/** A family of alarms as people say it. */
export const familyLabel = (family: AlarmFamily): string =>
  family === 'none' ? 'none' : family.replace(/-/g, ' ');

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

/** What the drive shows before anything is reset. */
export function AsFoundForm({
  known,
  display,
  action,
  onSave,
}: {
  /** What is recorded and is to be corrected. */
  known: Captured | null;
  /** What the caller said that the display shows. */
  display: string;
  action: string;
  onSave: (found: Captured) => void;
}) {
  const { typed, text, pick, set, submit } = useTypedForm(
    known === null ? 'as found' : 'as found, corrected',
    foundSchema,
    {
      active: known?.active ?? display,
      family: known?.family ?? 'none',
      slots: known?.slots.map(({ code, when = '' }) => ({ code, when })) ?? [noSlot],
      selectors: known?.selectors ?? '',
      photos: known?.photos ?? [],
    },
  );
  const { slots, photos } = typed;
  return (
    <form onSubmit={submit(onSave)} noValidate>
      <FieldGrid>
        <Field label="Active fault" hint="As displayed; empty if none" maxLength={200} {...text('active')} />
        <Select
          label="Fault family"
          {...pick('family')}
          options={alarmFamilies.map((f) => ({ value: f, label: familyLabel(f) }))}
        />
        <Field label="Selector and jumper positions" maxLength={200} {...text('selectors')} />
      </FieldGrid>
      <Section title="Fault log, newest first">
        <Text color="soft" mb="2" fontSize="0.92rem">
          The newest entry may be a consequence of an older one.
        </Text>
        {slots.map((_, i) => (
          <Box key={i} display="grid" gridTemplateColumns="1fr 1fr" gap="3" mb="2">
            <Field label={`Log entry ${i + 1}, code`} maxLength={60} {...text(`slots.${i}.code`)} />
            <Field label="When" hint="If the clock was set" maxLength={60} {...text(`slots.${i}.when`)} />
          </Box>
        ))}
        {slots.length < 30 && (
          <Secondary onClick={() => set('slots', [...slots, noSlot])}>Add log entry</Secondary>
        )}
      </Section>
      <Box mb="4">
        <Photos label="Display and selectors" photos={photos} onChange={(now) => set('photos', now)} />
      </Box>
      <Primary type="submit">{action}</Primary>
    </form>
  );
}
