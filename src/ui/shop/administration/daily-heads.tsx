import { Box } from '@chakra-ui/react';
import type { DailyHead } from '@/api/daily-head';
import { DataTable } from '../../kit/data-table';
import { Section } from '../../kit/section';
import { day } from '../../kit/time';
import { Text } from '../../kit/text';

/** Hashes over all logs, day by day: what was recorded until then cannot be changed unseen. */
export function DailyHeads({ heads }: { heads: readonly DailyHead[] }) {
  return (
    <Box mt="6">
      <Section title="Daily log hashes">
        <Text mb="2" color="soft">
          One hash over the logs of all jobs, once a day. Store it elsewhere: any later change or deletion of
          what was recorded until then can be detected. ./grim db check checks all logs.
        </Text>
        {heads.length === 0 ? (
          <Text>The first hash is made with the next log entry.</Text>
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
