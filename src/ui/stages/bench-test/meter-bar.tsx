import { Box, Text } from '@chakra-ui/react';
import { mayConfirmOpen, type Listening, type MeterProblem } from '@/core/bench/meter-stream';
import { KeyButton } from '../../kit/buttons';
import type { MeterState } from './use-meter';

const troubleWords: Readonly<Record<MeterProblem, string>> = {
  silent: 'The meter has gone silent: look at cable and battery. By hand it goes on as always.',
  garbage: 'The meter sends what cannot be read: wrong meter or wrong range. By hand it goes on as always.',
  burst:
    'Readings came all at once, held up on the way: none of them counts. Lift the leads, then touch again.',
};

const stateWords: Readonly<Record<Listening['state'], string>> = {
  open: 'open: touch the two screws; overload only counts with space or the pedal',
  settling: 'settling…',
  climbing: 'climbing: the bank fills, hold on until it is open',
  counted: 'kept: lift the leads',
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
        ? 'No meter on the data port. By hand it goes on as always; it is tried again by itself.'
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
          (meter === null
            ? 'Listening…'
            : ready
              ? stateWords[meter.now.state]
              : 'no probe is asked for: nothing counts now')}
        {meter?.now.batteryLow === true && ' Its battery is low: change it, the figures drift.'}
      </Text>
      <KeyButton
        keyName="space"
        onClick={confirmOpen}
        disabled={!ready || meter === null || meter.gone || !mayConfirmOpen(meter.now)}
      >
        overload it is
      </KeyButton>
    </Box>
  );
}
