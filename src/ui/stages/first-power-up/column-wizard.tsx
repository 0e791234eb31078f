import { Box, Text } from '@chakra-ui/react';
import { useState } from 'react';
import {
  channelRoles,
  channelRoleWords,
  unitOfRole,
  type ChannelRole,
  type Layout,
} from '@/core/power-up/capture';
import type { ColumnsSeen } from '@/workers/waveform.worker';
import { Primary } from '../../kit/buttons';
import { FieldGrid } from '../../kit/section';
import { NumberField, optionsOf, Select } from '../../kit/field';
import { figureFrom, numberFrom } from '../../kit/number-from';
import { PlainTable } from '../../kit/plain-table';

type Use = ChannelRole | 'time' | 'ignore';

interface Row {
  use: Use;
  scale: string;
}

const uses = [
  { value: 'ignore' as const, label: 'not used' },
  { value: 'time' as const, label: 'the time' },
  ...channelRoles.map((r) => ({ value: r, label: channelRoleWords[r] })),
];

const firstRows = ({ names, layout }: ColumnsSeen): Row[] =>
  names.map((_, column) => {
    const channel = layout.channels.find((c) => c.column === column);
    const own = layout.channels.some((c) => c.time === column);
    return {
      use: column === layout.time || own ? 'time' : (channel?.role ?? 'ignore'),
      scale: String(channel?.scale ?? 1),
    };
  });

/** What was said of the columns, as a layout; a time column counts for those after it. */
function layoutOf(rows: readonly Row[], timeUnit: Layout['timeUnit'], step: string): Layout {
  const times = rows.flatMap((r, k) => (r.use === 'time' ? [k] : []));
  const [main = null] = times;
  return {
    time: main,
    timeUnit,
    step_s: (numberFrom(step) ?? 0) * 1e-6 || null,
    channels: rows.flatMap(({ use, scale }, column) => {
      if (use === 'time' || use === 'ignore') return [];
      const own = times.filter((t) => t < column && t !== main).pop();
      return [
        { column, role: use, scale: figureFrom(scale) ?? 1, ...(own === undefined ? {} : { time: own }) },
      ];
    }),
  };
}

/** Which column of a file is what, with its first rows to look at. */
export function ColumnWizard({ seen, take }: { seen: ColumnsSeen; take: (layout: Layout) => void }) {
  const [rows, setRows] = useState(() => firstRows(seen));
  const [timeUnit, setTimeUnit] = useState<Layout['timeUnit']>(seen.layout.timeUnit);
  const [step, setStep] = useState('');
  const put = (k: number, change: Partial<Row>) =>
    setRows((all) => all.map((r, i) => (i === k ? { ...r, ...change } : r)));
  const noTime = rows.every((r) => r.use !== 'time');
  const ready =
    rows.some((r) => r.use !== 'time' && r.use !== 'ignore') && (!noTime || numberFrom(step) !== null);
  return (
    <Box border="1px solid" borderColor="line" p="3" mb="4">
      <Text fontFamily="heading" fontWeight="600" mb="2">
        {seen.count} samples in {seen.names.length} columns: what is each?
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
          <Select
            label={`“${name}” is`}
            value={rows[k]?.use ?? 'ignore'}
            onChange={(use) => put(k, { use })}
            options={uses}
          />
          {rows[k]?.use !== 'time' && rows[k]?.use !== 'ignore' && (
            <NumberField
              label="One of it is"
              unit={unitOfRole(rows[k]?.use ?? 'other')}
              text={rows[k]?.scale ?? '1'}
              set={(scale) => put(k, { scale })}
            />
          )}
        </Box>
      ))}
      <FieldGrid>
        {noTime ? (
          <NumberField label="From one sample to the next" unit="µs" text={step} set={setStep} />
        ) : (
          <Select
            label="The time is in"
            value={timeUnit}
            onChange={setTimeUnit}
            options={optionsOf({ s: 'seconds', ms: 'milliseconds', us: 'microseconds' })}
          />
        )}
      </FieldGrid>
      <Primary disabled={!ready} onClick={() => take(layoutOf(rows, timeUnit, step))}>
        Use these columns
      </Primary>
      <PlainTable heads={[...seen.names]}>
        {seen.rows.map((r, i) => (
          <tr key={i}>
            {r.map((v, c) => (
              <td key={c}>{Number.isFinite(v) ? v : '—'}</td>
            ))}
          </tr>
        ))}
      </PlainTable>
    </Box>
  );
}
