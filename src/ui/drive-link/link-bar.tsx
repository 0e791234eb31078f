import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { Secondary } from '../kit/buttons';
import { Select } from '../kit/field';
import type { FoundDrive } from '@/api/contract';
import { call } from '../api/call';
import { Text } from '../kit/text';

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
    if (!answer.ok) return setFailed('Server not reachable. Enter what the display shows instead.');
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
    <Box as="section" aria-label="Drive link" mb="3">
      <Box display="flex" gap="2" flexWrap="wrap" alignItems="end">
        <Secondary onClick={() => void look()} disabled={looking}>
          {looking ? 'Searching…' : 'Search for drives'}
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
        {/* One place for both: a link that comes and goes moves nothing from under a finger. */}
        <Box flex="1 1 220px" minH={{ base: '3em', md: '48px' }} display="flex" alignItems="center">
          {said === null ? (
            <Text fontSize="0.94rem" color="soft">
              {target === null && 'Search for drives first. '}
              Reads only: nothing is written or started.
            </Text>
          ) : (
            <Text role="alert" color="failed">
              {said}
            </Text>
          )}
        </Box>
      </Box>
      {found !== null && found.length === 0 && (
        <Text mt="2">No address is listed. The shop lead adds addresses in Administration.</Text>
      )}
      {silent.map((f) => (
        <Text key={f.target} mt="2" color="doubt">
          {f.trouble}
        </Text>
      ))}
    </Box>
  );
}
