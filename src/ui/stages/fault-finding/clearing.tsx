import { Box, Text } from '@chakra-ui/react';
import type { Control } from '@/core/equipment/catalogue';
import type { Slot } from '@/core/equipment/drive-words';
import { newestBurst } from '@/core/fault-finding/tracing';
import { Secondary } from '../../kit/buttons';
import { PlainTable } from '../../kit/plain-table';

type Alarm = Control['alarms'][number];

const clock = ({ clock_min, runHours }: Slot): string =>
  clock_min === 0
    ? `run hour ${runHours}`
    : new Date(clock_min * 60_000).toISOString().slice(0, 16).replace('T', ' ');

/** What the drive wrote down, in order; the newest may be only the consequence. */
export function FaultHistory({ control, history }: { control: Control; history: readonly Slot[] }) {
  const burst = newestBurst(history);
  if (burst === null) return null;
  const nameOf = (code: string): string => control.alarms.find((a) => a.code === code)?.name ?? '';
  return (
    <Box as="section" aria-label="Fault history" mb="4">
      <Text fontFamily="heading" fontWeight="600" fontSize="1.15rem">
        Fault history
      </Text>
      {burst.followed.length > 0 && (
        <Text mb="1">
          <b>{burst.first.code} came first</b>, {burst.followed.map((s) => s.code).join(', ')} within minutes
          after it: trace {burst.first.code}, the rest may be its consequence.
        </Text>
      )}
      <PlainTable heads={['Slot', 'Alarm', 'When']}>
        {history.map((slot, i) => (
          // The same alarm may stand in several slots: its place is its name.
          <tr key={`${i} ${slot.code}`}>
            <td>{i + 1}</td>
            <td>
              <b>{slot.code}</b> {nameOf(slot.code)}
            </td>
            <td>{clock(slot)}</td>
          </tr>
        ))}
      </PlainTable>
    </Box>
  );
}

const howTo: Readonly<Record<Alarm['reset'], string>> = {
  reset: 'Reset it once its cause is gone: by the reset input, or by the stop or reset key.',
  'power-off':
    'It cannot be reset with power on: isolate, wait as the rating label says, find the cause, then power up.',
  'by-itself': 'It goes by itself once its cause is gone.',
};

/** How an alarm is put back; shown only when what the drive wrote down is safe, and never before a dead measurement where one is due. */
export function Clearing({
  alarm,
  captured,
  deadNeeded,
  goToAsFound,
}: {
  alarm: Alarm;
  /** The fault history was read out or written down in this job. */
  captured: boolean;
  /** Bench test and insulation test are due and have not passed. */
  deadNeeded: boolean;
  goToAsFound: () => void;
}) {
  return (
    <Box as="section" aria-label="Clearing the alarm" mb="4">
      <Text fontFamily="heading" fontWeight="600" fontSize="1.15rem">
        Clearing {alarm.code}
      </Text>
      {!captured ? (
        <>
          <Text mb="2">
            First keep the fault history: a reset may empty it. Read out over the link, or write it down off
            the display.
          </Text>
          <Secondary onClick={goToAsFound}>Write it down at As found</Secondary>
        </>
      ) : deadNeeded ? (
        <Text>Not yet: first the bench test says not shorted and the insulation test passed.</Text>
      ) : (
        <Text>
          {howTo[alarm.reset]} Run input open and people clear before it: with run still given it may start.
        </Text>
      )}
    </Box>
  );
}
