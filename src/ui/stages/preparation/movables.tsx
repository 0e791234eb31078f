import { Box, Text } from '@chakra-ui/react';
import type { Movable, NamedTask } from '@/core/replacement/stop-plan';

/** What would shorten the stop, if it can be so. */
export function Movables({
  movable,
  tasks,
}: {
  movable: readonly Movable[] | null;
  tasks: readonly NamedTask[];
}) {
  if (movable === null || movable.length === 0) return null;
  const name = (id: string): string => tasks.find((t) => t.id === id)?.name ?? id;
  return (
    <Box mt="2">
      <Text fontWeight="500">Could it be otherwise?</Text>
      <Box as="ul" listStyleType="none" aria-label="What would shorten the stop">
        {movable.map((m) => (
          <li key={m.id}>
            <Text as="span" fontFamily="mono">
              −{Number(m.saves_min.toFixed(1))} min
            </Text>{' '}
            {name(m.id)}:{' '}
            {m.why === 'standing'
              ? 'if the machine need not stand for it'
              : 'if it need not wait for the stop'}
          </li>
        ))}
      </Box>
      <Text fontSize="0.92rem" color="soft">
        What has hands in it is never offered.
      </Text>
    </Box>
  );
}
