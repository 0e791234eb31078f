import { Box } from '@chakra-ui/react';
import { heldFor, pressRuns, type Press } from '@/core/parameter-sets/keypad';

/** Presses as the caps of their keys, one after the other. */
export function KeyCaps({ presses }: { presses: readonly Press[] }) {
  return (
    <Box as="span" display="inline-flex" flexWrap="wrap" gap="1" alignItems="center">
      {pressRuns(presses).map(({ press: { cap, held, ticks }, times }, i) => (
        <Box as="span" key={i} display="inline-flex" alignItems="center" gap="0.5">
          {held && (
            <Box as="span" fontSize="0.85rem">
              hold
            </Box>
          )}
          <Box
            as="kbd"
            fontFamily="heading"
            fontWeight="600"
            fontSize="0.92rem"
            lineHeight="1.5"
            minW="28px"
            textAlign="center"
            px="1.5"
            border="1.5px solid"
            borderBottomWidth="3px"
            borderColor="ink"
            borderRadius="4px"
            bg="card"
          >
            {cap}
          </Box>
          {times > 1 && (
            <Box as="span" fontFamily="mono" fontSize="0.9rem">
              ×{times}
            </Box>
          )}
          {ticks !== undefined && (
            <Box as="span" fontSize="0.85rem">
              {heldFor(ticks)}
            </Box>
          )}
        </Box>
      ))}
    </Box>
  );
}
