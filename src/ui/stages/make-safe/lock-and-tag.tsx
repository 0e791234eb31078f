'use client';
import { chakra } from '@chakra-ui/react';
import * as z from 'zod';
import type { Payload } from '@/core/logbook';
import { Primary } from '../../kit/buttons';
import { Field } from '../../kit/field';
import { filledText, unread } from '../../kit/form-figures';
import { FieldGrid } from '../../kit/section';
import { localMinute } from '../../kit/time';
import { useTypedForm } from '../../kit/typed-form';

/** What a field of date and time may be ahead of the server's clock, ms: it knows minutes only. */
const minute_ms = 60_000;

const lockSchema = (now: number) =>
  z.object({
    isolatedAt: z.string().transform((text, context): number => {
      if (text === '') return now;
      const at = Date.parse(text);
      if (Number.isNaN(at)) return unread(context, 'Date and time, local time.');
      return at > now + minute_ms ? unread(context, 'This is in the future.') : at;
    }),
    tag: filledText('Enter lock and tag'),
  });

const empty = { isolatedAt: '', tag: '' };

/** Since when it is isolated, and the lock on it. */
export function LockAndTag({
  now,
  disabled,
  keep,
}: {
  /** By the server's clock, ms; 0 before it is known. */
  now: number;
  disabled: boolean;
  keep: (what: Payload<'safety.locked'>) => void;
}) {
  const { text, submit } = useTypedForm('lock and tag', lockSchema(now), empty);
  return (
    <chakra.form
      noValidate
      onSubmit={submit(({ isolatedAt, tag }) =>
        keep({ isolatedAt: new Date(Math.min(isolatedAt, now)).toISOString(), tag }),
      )}
    >
      <FieldGrid>
        <Field
          label="Isolated since"
          type="datetime-local"
          hint="Empty: now"
          max={now === 0 ? undefined : localMinute(now)}
          disabled={disabled}
          {...text('isolatedAt')}
        />
        <Field
          label="Lock and tag"
          placeholder="padlock 7, tag I. T."
          disabled={disabled}
          maxLength={200}
          {...text('tag')}
        />
      </FieldGrid>
      <Primary type="submit" disabled={disabled}>
        Save: locked and tagged
      </Primary>
    </chakra.form>
  );
}
