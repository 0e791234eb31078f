import { Box, chakra } from '@chakra-ui/react';
import * as z from 'zod';
import { isDeadly, type TraceCause, type TraceTable } from '@/core/fault-finding/tracing';
import type { Payload } from '@/core/logbook';
import { Primary } from '../../kit/buttons';
import { Field, LongField, Select } from '../../kit/field';
import { filledText } from '../../kit/form-figures';
import { useTypedForm } from '../../kit/typed-form';
import { Text } from '../../kit/text';

const another = 'typed';

const schema = z
  .object({
    cause: z.string(),
    name: z.string().trim(),
    fix: z.string().trim(),
    how: filledText('Enter what was done, and since when the machine works.'),
    recreated: z.string().trim(),
    watch: z.string().trim(),
  })
  .superRefine(({ cause, name }, context) => {
    if (cause === another && name === '')
      context.addIssue({ code: 'custom', path: ['name'], message: 'Enter the cause.' });
  });

/** The cause, confirmed by fixing it and, where that is safe, by making it come back once. Any cause may be it, also one that is typed. */
export function ConfirmCause({
  table,
  causes,
  keep,
}: {
  table: TraceTable;
  /** Likeliest first. */
  causes: readonly TraceCause[];
  keep: (confirmed: Payload<'trace.confirmed'>) => void;
}) {
  const empty = { cause: causes[0]?.id ?? another, name: '', fix: '', how: '', recreated: '', watch: '' };
  const { typed, text, pick, submit } = useTypedForm(`cause of ${table.family}`, schema, empty);
  const known = causes.find((c) => c.id === typed.cause);
  return (
    <chakra.form
      noValidate
      maxW="560px"
      aria-label="Confirm a cause"
      onSubmit={submit(({ cause, name, fix, how, recreated, watch }) => {
        const chosen = causes.find((c) => c.id === cause);
        const remedy = chosen?.remedy ?? fix;
        keep({
          family: table.family,
          cause,
          name: chosen?.name ?? name,
          how,
          ...(remedy === '' ? {} : { remedy }),
          ...(recreated === '' || isDeadly(table.family) ? {} : { recreated }),
          ...(watch === '' ? {} : { watch }),
        });
      }, empty)}
    >
      <Text fontFamily="heading" fontWeight="600" fontSize="1.1rem" mb="2">
        Confirm the cause
      </Text>
      <Box display="grid" gap="3">
        <Select
          label="Cause"
          options={[
            ...causes.map(({ id, name }) => ({ value: id, label: name })),
            { value: another, label: 'another cause' },
          ]}
          {...pick('cause')}
        />
        {known === undefined ? (
          <>
            <Field label="Name of the cause" maxLength={200} {...text('name')} />
            <Field label="Fix" maxLength={300} {...text('fix')} />
          </>
        ) : (
          <Text>Fix: {known.remedy}</Text>
        )}
        <LongField label="What was done, and since when it works" maxLength={2000} {...text('how')} />
        {!isDeadly(table.family) && (
          <LongField
            label="Fault re-created: result"
            hint="Only where nobody can be hurt and nothing damaged; otherwise leave empty."
            maxLength={2000}
            {...text('recreated')}
          />
        )}
        <Field label="What to monitor afterwards" maxLength={200} {...text('watch')} />
      </Box>
      <Primary type="submit" mt="2">
        Save cause
      </Primary>
    </chakra.form>
  );
}
