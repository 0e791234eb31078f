import { Box } from '@chakra-ui/react';
import { sourceKinds, type EnergySource } from '@/core/bench/make-safe';
import { Primary } from '../../kit/buttons';
import { Text } from '../../kit/text';

/** What is said of every source by a unit on which no lead is left. */
export const nothingFeeds: EnergySource[] = sourceKinds.map((kind) => ({ kind, state: 'absent' }));

/** A unit on the bench with no lead on any terminal: one statement for all sources. Its bank may be charged all the same. */
export function BareUnit({ disabled, keep }: { disabled: boolean; keep: () => void }) {
  return (
    <Box borderLeft="4px solid" borderColor="line" pl="3" mb="5">
      <Text mb="2">
        On the bench with nothing connected: no lead on lines, DC bus, motor, brake, control or relay
        terminals, and no plug in. The bank may still be charged; the wait begins now.
      </Text>
      <Primary disabled={disabled} onClick={keep}>
        On the bench: no lead on any terminal
      </Primary>
    </Box>
  );
}
