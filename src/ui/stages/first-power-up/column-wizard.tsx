import { Box, chakra } from '@chakra-ui/react';
import * as z from 'zod';
import { channelRoles, channelRoleWords, unitOfRole, type Layout } from '@/core/power-up/capture';
import type { ColumnsSeen } from '@/workers/waveform.worker';
import { Primary } from '../../kit/buttons';
import { FieldGrid } from '../../kit/section';
import { Field, optionsOf, Select } from '../../kit/field';
import { figureFrom, numberFrom } from '../../kit/number-from';
import { useTypedForm } from '../../kit/typed-form';
import { PlainTable } from '../../kit/plain-table';
import { Cell, Text } from '../../kit/text';

const uses = [
  { value: 'ignore' as const, label: 'not used' },
  { value: 'time' as const, label: 'the time' },
  ...channelRoles.map((r) => ({ value: r, label: channelRoleWords[r] })),
];

const columnsSchema = z
  .object({
    rows: z.array(z.object({ use: z.enum(['ignore', 'time', ...channelRoles]), scale: z.string() })),
    timeUnit: z.enum(['s', 'ms', 'us']),
    step_us: z.string(),
  })
  .transform(({ rows, timeUnit, step_us }, context): Layout => {
    const times = rows.flatMap((r, k) => (r.use === 'time' ? [k] : []));
    const [main = null] = times;
    const step = numberFrom(step_us);
    const issue = (message: string, ...path: string[]) => context.addIssue({ code: 'custom', message, path });
    if (main === null && step === null) issue('A value above zero', 'step_us');
    const channels = rows.flatMap(({ use, scale }, column) => {
      if (use === 'time' || use === 'ignore') return [];
      const time = times.filter((t) => t < column && t !== main).pop();
      return [{ column, role: use, scale: figureFrom(scale) ?? 1, ...(time === undefined ? {} : { time }) }];
    });
    if (channels.length === 0) issue('No column is used', 'rows');
    return { time: main, timeUnit, step_s: (step ?? 0) * 1e-6 || null, channels };
  });
type ColumnsTyped = z.input<typeof columnsSchema>;

/** The columns as a guess has them; a time column counts for those after it. */
const guessed = ({ names, layout }: ColumnsSeen): ColumnsTyped => ({
  rows: names.map((_, column) => {
    const channel = layout.channels.find((c) => c.column === column);
    const own = layout.channels.some((c) => c.time === column);
    return {
      use: column === layout.time || own ? 'time' : (channel?.role ?? 'ignore'),
      scale: String(channel?.scale ?? 1),
    };
  }),
  timeUnit: layout.timeUnit,
  step_us: '',
});

/** Which column of a file is what, with its first rows to look at. */
export function ColumnWizard({ seen, take }: { seen: ColumnsSeen; take: (layout: Layout) => void }) {
  const { typed, text, pick, submit } = useTypedForm('columns of a capture', columnsSchema, guessed(seen));
  const { rows } = typed;
  const noTime = rows.every((r) => r.use !== 'time');
  return (
    <chakra.form border="1px solid" borderColor="line" p="3" mb="4" onSubmit={submit(take)} noValidate>
      <Text fontFamily="heading" fontWeight="600" mb="2">
        {seen.count} samples in {seen.names.length} columns: assign each
      </Text>
      {seen.names.map((name, k) => (
        <Box
          key={k}
          display="grid"
          gridTemplateColumns={{ base: '1fr', md: '1fr 1fr 1fr' }}
          gap="3"
          mb="3"
          alignItems="end"
        >
          <Box>
            <Text fontWeight="600">{name}</Text>
            <Text fontFamily="mono" fontSize="0.9rem" color="soft">
              {seen.rows.map((r) => String(Number((r[k] ?? NaN).toPrecision(4)))).join('  ')} …
            </Text>
          </Box>
          <Select label={`“${name}” is`} {...pick(`rows.${k}.use`)} options={uses} />
          {rows[k]?.use !== 'time' && rows[k]?.use !== 'ignore' && (
            <Field
              label="One unit is"
              figure
              unit={unitOfRole(rows[k]?.use ?? 'other')}
              {...text(`rows.${k}.scale`)}
            />
          )}
        </Box>
      ))}
      <FieldGrid>
        {noTime ? (
          <Field label="Sample interval" figure unit="µs" {...text('step_us')} />
        ) : (
          <Select
            label="Time unit"
            {...pick('timeUnit')}
            options={optionsOf({ s: 'seconds', ms: 'milliseconds', us: 'microseconds' })}
          />
        )}
      </FieldGrid>
      <Primary type="submit">Use these columns</Primary>
      <PlainTable heads={[...seen.names]}>
        {seen.rows.map((r, i) => (
          <tr key={i}>
            {r.map((v, c) => (
              <Cell key={c}>{Number.isFinite(v) ? v : '—'}</Cell>
            ))}
          </tr>
        ))}
      </PlainTable>
    </chakra.form>
  );
}
