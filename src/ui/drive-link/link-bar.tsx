import { Box, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { Secondary } from '../kit/buttons';
import { Select } from '../kit/field';
import type { FoundDrive } from '@/api/contract';
import { call } from '../api/call';

/** Look who answers, take one, read it out, watch it live. */
export function LinkBar({
  typeId,
  target,
  take,
  reading,
  read,
  watching = false,
  watch,
  trouble,
}: {
  typeId: string;
  target: string | null;
  take: (target: string | null) => void;
  reading: boolean;
  read: () => void;
  watching?: boolean;
  /** Without it only whole read-outs are offered. */
  watch?: (on: boolean) => void;
  trouble: string | null;
}) {
  const [found, setFound] = useState<FoundDrive[] | null>(null);
  const [looking, setLooking] = useState(false);
  const [failed, setFailed] = useState<string | null>(null);
  const look = async () => {
    setLooking(true);
    setFailed(null);
    const answer = await call('GET /api/v1/drives', {});
    setLooking(false);
    if (!answer.ok) return setFailed('The server does not answer. Type what the display shows instead.');
    const { found: list } = answer.value;
    setFound(list);
    take(
      list.find((f) => f.typeIds.includes(typeId))?.target ??
        list.find((f) => f.identity !== null)?.target ??
        null,
    );
  };
  const silent = found?.filter((f) => f.trouble !== null) ?? [];
  const answering = found?.filter((f) => f.identity !== null) ?? [];
  const said = trouble ?? failed;
  return (
    <Box as="section" aria-label="Link to the drive" borderTop="1px solid" borderColor="line" pt="3" mb="4">
      <Box display="flex" gap="2" flexWrap="wrap" alignItems="end">
        <Secondary onClick={() => void look()} disabled={looking}>
          {looking ? 'Looking…' : 'Look for drives'}
        </Secondary>
        {answering.length > 0 && (
          <Box minW="260px">
            <Select
              label="Drive"
              value={target ?? ''}
              onChange={take}
              options={answering.map((f) => ({
                value: f.target,
                label: `${f.identity?.vendor} ${f.identity?.product} ${f.identity?.revision}, ${f.target}`,
              }))}
            />
          </Box>
        )}
        <Secondary onClick={read} disabled={target === null || reading}>
          {reading ? 'Reading…' : 'Read out'}
        </Secondary>
        {watch !== undefined && (
          <Secondary onClick={() => watch(!watching)} disabled={target === null} aria-pressed={watching}>
            {watching ? 'Watching live' : 'Watch live'}
          </Secondary>
        )}
      </Box>
      {/* One place for both: a link that comes and goes moves nothing from under a finger. */}
      <Box mt="2" minH={{ base: '3em', md: '1.5em' }}>
        {said === null ? (
          <Text fontSize="0.94rem" color="soft">
            {target === null && 'Look for drives before anything is read. '}
            Looking and reading: nothing is written, nothing is started.
          </Text>
        ) : (
          <Text role="alert" color="failed">
            {said}
          </Text>
        )}
      </Box>
      {found !== null && found.length === 0 && (
        <Text mt="2">No address is listed: the shop lead adds one in the settings.</Text>
      )}
      {silent.map((f) => (
        <Text key={f.target} mt="2" color="doubt">
          {f.trouble}
        </Text>
      ))}
    </Box>
  );
}
