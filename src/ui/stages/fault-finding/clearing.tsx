import { Box } from '@chakra-ui/react';
import type { Control } from '@/core/equipment/catalogue';
import type { Slot } from '@/core/equipment/drive-words';
import { newestBurst } from '@/core/fault-finding/tracing';
import { Secondary } from '../../kit/buttons';
import { PlainTable } from '../../kit/plain-table';
import { Cell, Text } from '../../kit/text';

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
    <Box as="section" aria-label="Fault log" mb="4">
      <Text fontFamily="heading" fontWeight="600" fontSize="1.15rem">
        Fault log
      </Text>
      {burst.followed.length > 0 && (
        <Text mb="1">
          <b>{burst.first.code} came first</b>, {burst.followed.map((s) => s.code).join(', ')} within minutes:
          trace {burst.first.code}; the others may be consequences.
        </Text>
      )}
      <PlainTable heads={['Log entry', 'Fault', 'When']}>
        {history.map((slot, i) => (
          // The same alarm may stand in several slots: its place is its name.
          <tr key={`${i} ${slot.code}`}>
            <Cell>{i + 1}</Cell>
            <Cell>
              <b>{slot.code}</b> {nameOf(slot.code)}
            </Cell>
            <Cell>{clock(slot)}</Cell>
          </tr>
        ))}
      </PlainTable>
    </Box>
  );
}

const howTo: Readonly<Record<Alarm['reset'], string>> = {
  reset: 'Reset after the cause is removed: by the reset input, or by the stop or reset key.',
  'power-off':
    'This fault cannot be reset with power on: isolate, wait the discharge time, remove the cause, then power up.',
  'by-itself': 'This fault clears automatically when the cause is gone.',
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
    <Box as="section" aria-label="Resetting the fault" mb="4">
      <Text fontFamily="heading" fontWeight="600" fontSize="1.15rem">
        Clearing {alarm.code}
      </Text>
      {!captured ? (
        <>
          <Text mb="2">
            Save the fault log first: a reset may erase it. Read out over the link, or copy it from the
            display.
          </Text>
          <Secondary onClick={goToAsFound}>Record under As found</Secondary>
        </>
      ) : deadNeeded ? (
        <Text>Not yet: the bench test must be not shorted and the insulation test passed first.</Text>
      ) : (
        <Text>
          {howTo[alarm.reset]} Run input open and people clear first: with a run command active the machine
          may start.
        </Text>
      )}
    </Box>
  );
}
