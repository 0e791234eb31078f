import { Box, Text } from '@chakra-ui/react';
import type { DailyHead } from '@/api/daily-head';
import { DataTable } from '../../kit/data-table';
import { Section } from '../../kit/section';
import { day } from '../../kit/time';

/** Hashes over all logs, day by day: what was recorded until then cannot be changed unseen. */
export function DailyHeads({ heads }: { heads: readonly DailyHead[] }) {
  return (
    <Box mt="6">
      <Section title="Logs, day by day">
        <Text mb="2" color="soft">
          One hash over the logs of all jobs, once a day. Write it down or send it somewhere else: whatever
          was recorded until then cannot be changed or removed without it showing. ./grim db check walks all
          logs.
        </Text>
        {heads.length === 0 ? (
          <Text>The first one comes with the next log entry.</Text>
        ) : (
          <DataTable
            columns={[
              { head: 'Day', cell: (h) => day(h.day), names: true },
              { head: 'Jobs', cell: (h) => h.jobs },
              { head: 'Log entries', cell: (h) => h.entries },
              {
                head: 'Hash',
                cell: (h) => (
                  <Text as="span" fontFamily="mono" fontSize="0.82rem" overflowWrap="anywhere">
                    {h.hash}
                  </Text>
                ),
              },
            ]}
            rows={heads}
            keyOf={(h) => h.day}
          />
        )}
      </Section>
    </Box>
  );
}
