import { Box } from '@chakra-ui/react';
import type { Movable, NamedTask } from '@/core/replacement/stop-plan';
import { Item, Text } from '../../kit/text';

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
      <Text fontWeight="500">Could this change?</Text>
      <Box as="ul" listStyleType="none" aria-label="What would shorten the outage">
        {movable.map((m) => (
          <Item key={m.id}>
            <Text as="span" fontFamily="mono">
              −{Number(m.saves_min.toFixed(1))} min
            </Text>{' '}
            {name(m.id)}:{' '}
            {m.why === 'standing'
              ? 'if it can be done while the machine runs'
              : 'if it can be done outside the outage'}
          </Item>
        ))}
      </Box>
      <Text fontSize="0.92rem" color="soft">
        Work inside the drive is never offered.
      </Text>
    </Box>
  );
}
