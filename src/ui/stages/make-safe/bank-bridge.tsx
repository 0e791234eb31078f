import { Box } from '@chakra-ui/react';
import { Secondary } from '../../kit/buttons';
import { clockTime } from '../../kit/time';
import { Text } from '../../kit/text';

/** The resistor that keeps the capacitor bank empty between tests, and why it must be off for them. */
export function BankBridge({
  bridgedAt,
  disabled,
  keep,
}: {
  /** Null: none is fitted. */
  bridgedAt: number | null;
  disabled: boolean;
  keep: (fitted: boolean) => void;
}) {
  return (
    <Box as="section" aria-label="Bridge across the capacitor bank" mt="3">
      <Text mb="1" fontSize="0.95rem" color="soft">
        {bridgedAt === null
          ? 'A capacitor bank recovers voltage. For longer work, bridge it with a pulse-rated wirewound resistor; remove it before the bench test, confirm 5 V or less, and refit it afterwards.'
          : `Bridged since ${clockTime(bridgedAt)}: no bench test. After removal, measure the capacitor bank again.`}
      </Text>
      <Secondary disabled={disabled} onClick={() => keep(bridgedAt === null)}>
        {bridgedAt === null ? 'Resistor fitted across the capacitor bank' : 'Resistor removed'}
      </Secondary>
    </Box>
  );
}
