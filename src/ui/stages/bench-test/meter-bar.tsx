import { Box } from '@chakra-ui/react';
import { mayConfirmOpen, type Listening, type MeterProblem } from '@/core/bench/meter-stream';
import { KeyButton } from '../../kit/buttons';
import type { MeterState } from './use-meter';
import { Text } from '../../kit/text';

const troubleWords: Readonly<Record<MeterProblem, string>> = {
  silent: 'No data from the meter: check cable and battery. Enter readings by hand.',
  garbage: 'Unreadable data from the meter: wrong meter or wrong range. Enter readings by hand.',
  burst: 'Readings were delayed and were discarded. Lift the leads, then touch again.',
};

const stateWords: Readonly<Record<Listening['state'], string>> = {
  open: 'open: touch both terminals; OL is saved only with space or the pedal',
  settling: 'settling…',
  climbing: 'climbing: the capacitor bank charges, hold until OL',
  counted: 'saved: lift the leads',
};

/** What the meter sends and what becomes of it. */
export function MeterBar({
  meter,
  ready,
  confirmOpen,
}: {
  meter: MeterState | null;
  /** A step is open for a figure. */
  ready: boolean;
  confirmOpen: () => void;
}) {
  const trouble =
    meter === null
      ? null
      : meter.gone
        ? 'No meter on the data port. Enter readings by hand; the connection is retried automatically.'
        : meter.now.trouble === null
          ? null
          : troubleWords[meter.now.trouble];
  return (
    <Box
      role="group"
      aria-label="Meter"
      display="flex"
      gap="4"
      alignItems="center"
      flexWrap="wrap"
      borderLeft="5px solid"
      borderColor={trouble === null ? 'sound' : 'doubt'}
      bg="paper"
      px="3"
      py="1.5"
      mt="2"
    >
      <Text fontFamily="mono" fontSize="2rem" fontWeight="500" minW="5ch">
        {meter === null || meter.gone ? '–' : meter.shows === null ? 'OL' : meter.shows.toFixed(3)}
      </Text>
      <Text flex="1" role={trouble === null ? undefined : 'alert'}>
        {trouble ??
          (meter === null ? 'Listening…' : ready ? stateWords[meter.now.state] : 'No reading expected')}
        {meter?.now.batteryLow === true && ' Meter battery low: replace it, readings drift.'}
      </Text>
      <KeyButton
        keyName="space"
        onClick={confirmOpen}
        disabled={!ready || meter === null || meter.gone || !mayConfirmOpen(meter.now)}
      >
        Confirm OL
      </KeyButton>
    </Box>
  );
}
