import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { inertiaOf, type RampAnswer, type RampCase } from '@/core/commissioning/ramp';
import type { Payload } from '@/core/logbook';
import { formatSignificant } from '@/core/numerics/figures';
import { Secondary } from '../../kit/buttons';
import { KeptNote } from '../../kit/kept-note';
import { Disclosure } from '../../kit/why';
import { BrakeWords } from './brake-words';
import { Text } from '../../kit/text';

const shortest = (s: { seconds: number | null } | undefined): string =>
  s === undefined ? '…' : s.seconds === null ? 'no ramp is long enough' : `${formatSignificant(s.seconds)} s`;

/** To a tenth of a second, never below the shortest; null: none is long enough. */
function rampsOf({ shortestUp, shortestDown }: RampAnswer): { up_s: number; down_s: number } | null {
  const [up, down] = [shortestUp.seconds, shortestDown.seconds];
  const tenth = (seconds: number): number => Math.max(0.1, Math.ceil(10 * seconds - 1e-9) / 10);
  return up === null || down === null ? null : { up_s: tenth(up), down_s: tenth(down) };
}

/** The judgement as it is kept, with what was taken to turn. */
const judged = (given: RampCase, { shortestUp, shortestDown }: RampAnswer): Payload<'startup.shortest'> => ({
  up_s: shortestUp.seconds,
  down_s: shortestDown.seconds,
  inertia_kgm2: Number(formatSignificant(inertiaOf(given))),
});

/** What the curves come to, in words: the trip, the shortest safe ramps, the brake. */
export function RampVerdict({
  given,
  answer,
  cycle_s,
  least_ohm,
  fitted_ohm,
  keep,
  carry,
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
  /** Carries ramps to the sheet. */
  carry: (ramps: { up_s: number; down_s: number }) => void;
}) {
  const [kept, setKept] = useState<string | null>(null);
  const trip = answer?.run.trip ?? null;
  const ramps = answer === null ? null : rampsOf(answer);
  return (
    <Box role="status" my="2">
      <Text fontFamily="heading" fontWeight="600" fontSize="1.3rem">
        {answer === null
          ? 'Computing…'
          : trip === null
            ? 'Ramps up and down without a trip.'
            : `Trips on ${trip.why} after ${formatSignificant(trip.t)} s while ${trip.while === 'up' ? 'accelerating' : 'decelerating'}.`}
      </Text>
      <Text>
        Shortest safe ramp up {shortest(answer?.shortestUp)}, ramp down {shortest(answer?.shortestDown)}.
      </Text>
      {answer !== null && (
        <Box display="flex" gap="3" flexWrap="wrap" my="2">
          <Secondary
            waitsFor={ramps === null ? 'No ramp is long enough.' : null}
            onClick={() => {
              if (ramps === null) return;
              keep(judged(given, answer));
              carry(ramps);
              setKept(
                'Saved and on the start-up sheet: parameter sets of this job are audited against these ramps.',
              );
            }}
          >
            {ramps === null ? 'To the sheet' : `To the sheet: ${ramps.up_s} s up, ${ramps.down_s} s down`}
          </Secondary>
          <Secondary
            onClick={() => {
              keep(judged(given, answer));
              setKept('Saved: parameter sets of this job are audited against these ramps.');
            }}
          >
            Save for the audit
          </Secondary>
        </Box>
      )}
      <KeptNote text={kept} />
      {answer !== null && (
        <BrakeWords brake={answer.brake} cycle_s={cycle_s} least_ohm={least_ohm} fitted_ohm={fitted_ohm} />
      )}
      {answer !== null && (
        <Disclosure>
          {answer.shortestUp.sum}. {answer.shortestDown.sum}. {answer.brake.sum}. Inertia{' '}
          {formatSignificant(inertiaOf(given))} kg·m²; {formatSignificant(answer.turning_J)} J at full speed.
          Trip at {formatSignificant(given.drive.tripVolts)} V
          {given.drive.chopper === undefined
            ? ''
            : `, chopper at ${formatSignificant(given.drive.chopper.above_V)} V`}
          : by voltage class (from memory) or drive type.
        </Disclosure>
      )}
    </Box>
  );
}
