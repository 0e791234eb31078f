import { Box, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { inertiaOf, type RampAnswer, type RampCase } from '@/core/commissioning/ramp';
import type { Payload } from '@/core/logbook';
import { formatSignificant } from '@/core/numerics/figures';
import { Secondary } from '../../kit/buttons';
import { KeptNote } from '../../kit/section';
import { Disclosure } from '../../kit/why';
import { BrakeWords } from './brake-words';

const shortest = (s: { seconds: number | null } | undefined): string =>
  s === undefined ? '…' : s.seconds === null ? 'none is long enough' : `${formatSignificant(s.seconds)} s`;

/** What the curves come to, in words: the trip, the shortest safe ramps, the brake. */
export function RampVerdict({
  given,
  answer,
  cycle_s,
  least_ohm,
  fitted_ohm,
  keep,
}: {
  given: RampCase;
  /** Null while it is computed. */
  answer: RampAnswer | null;
  cycle_s: number;
  /** Least resistance the drive takes; null when its maker gave none. */
  least_ohm: number | null;
  fitted_ohm: number | null;
  /** Keeps the shortest safe ramps for the audit of sets. */
  keep: (shortest: Payload<'startup.shortest'>) => void;
}) {
  const [kept, setKept] = useState(false);
  const trip = answer?.run.trip ?? null;
  return (
    <Box role="status" my="2">
      <Text fontFamily="heading" fontWeight="600" fontSize="1.3rem">
        {answer === null
          ? 'Computing…'
          : trip === null
            ? 'It comes up and stops without a trip.'
            : `It trips on ${trip.why} after ${formatSignificant(trip.t)} s, ${trip.while === 'up' ? 'accelerating' : 'decelerating'}.`}
      </Text>
      <Text>
        Shortest safe acceleration {shortest(answer?.shortestUp)}, deceleration{' '}
        {shortest(answer?.shortestDown)}.
      </Text>
      {answer !== null && (
        <Secondary
          my="2"
          onClick={() => {
            keep({ up_s: answer.shortestUp.seconds, down_s: answer.shortestDown.seconds });
            setKept(true);
          }}
        >
          Keep these for the audit
        </Secondary>
      )}
      <KeptNote text={kept ? 'Kept: sets of this job are judged by them.' : null} />
      {answer !== null && (
        <BrakeWords brake={answer.brake} cycle_s={cycle_s} least_ohm={least_ohm} fitted_ohm={fitted_ohm} />
      )}
      {answer !== null && (
        <Disclosure>
          {answer.shortestUp.sum}. {answer.shortestDown.sum}. {answer.brake.sum}. Inertia{' '}
          {formatSignificant(inertiaOf(given))} kg·m²; {formatSignificant(answer.turning_J)} J turn at full
          speed. Trip at {formatSignificant(given.drive.tripVolts)} V
          {given.drive.chopper === undefined
            ? ''
            : `, chopper at ${formatSignificant(given.drive.chopper.above_V)} V`}
          : by the voltage class of the unit (from memory), or by its type.
        </Disclosure>
      )}
    </Box>
  );
}
