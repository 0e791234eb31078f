import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { countOf, type SetRun } from '@/core/logbook';
import type { Ending, LeftOver, LineState, WriteLine } from '@/core/parameter-sets/write-run';
import { Secondary } from '../../../kit/buttons';
import { PlainTable } from '../../../kit/plain-table';
import { StateMark, type Mark } from '../../../kit/state-mark';
import { dateTime } from '../../../kit/time';
import { ConfirmRun } from './confirm-run';
import type { WriteRunView } from '@/api/contract';
import type { RunDeed } from '@/core/parameter-sets/write-run';
import { Cell, Text } from '../../../kit/text';

const marks: Readonly<Record<LineState, Mark>> = {
  waiting: 'unprobed',
  sent: 'doubt',
  taken: 'sound',
  refused: 'failed',
  otherwise: 'failed',
  'left-out': 'doubt',
};
const words: Readonly<Record<LineState, string>> = {
  waiting: 'waits',
  sent: 'sent, result not known',
  taken: 'taken',
  refused: 'refused',
  otherwise: 'drive changed the value',
  'left-out': 'left out',
};

const endingMarks: Readonly<Record<Ending, Mark>> = {
  'as planned': 'sound',
  'as found': 'unprobed',
  'in between': 'failed',
};

/** How far it is: a bar with its figures. */
function Progress({ lines }: { lines: readonly WriteLine[] }) {
  const taken = lines.filter((l) => l.state === 'taken' || l.state === 'left-out').length;
  return (
    <Box mb="3">
      <Text fontFamily="mono" fontSize="2rem" lineHeight="1.2">
        {taken}{' '}
        <Text as="span" fontSize="1.1rem">
          of {lines.length}
        </Text>
      </Text>
      <Box
        role="progressbar"
        aria-label="Values written"
        aria-valuemin={0}
        aria-valuemax={lines.length}
        aria-valuenow={taken}
        h="10px"
        border="1px solid"
        borderColor="ink"
      >
        <Box h="100%" bg="sound" width={`${(100 * taken) / Math.max(1, lines.length)}%`} />
      </Box>
    </Box>
  );
}

function Lines({ lines }: { lines: readonly WriteLine[] }) {
  return (
    <PlainTable heads={['Parameter', 'To', 'State']}>
      {lines.map((l, i) => (
        <tr key={`${i} ${l.number}`}>
          <Cell>
            {l.number} {l.name}
          </Cell>
          <Cell>{l.shownTo}</Cell>
          <Cell>
            <StateMark mark={marks[l.state]} label={null} /> {words[l.state]}
            {l.why === null ? '' : `: ${l.why}`}
          </Cell>
        </tr>
      ))}
    </PlainTable>
  );
}

/** A run that is not ended: how far it is, why it waits, and how it goes on. */
export function OpenRun({
  run,
  busy,
  act,
}: {
  run: WriteRunView;
  busy: boolean;
  act: (deed: RunDeed) => void;
}) {
  const inTheWay = run.lines.find((l) => l.state === 'refused' || l.state === 'otherwise');
  return (
    <Box as="section" aria-label="Run of writes">
      <Text role="status" fontWeight="500">
        {run.state === 'writing' ? `Writing “${run.name}”…` : `“${run.name}” is paused.`}
      </Text>
      <Progress lines={run.lines} />
      {run.state === 'writing' ? (
        <Secondary mb="3" disabled={busy} onClick={() => act('pause')}>
          Pause after this value
        </Secondary>
      ) : (
        <>
          <Text role="alert" color="doubt" fontWeight="500" mb="2">
            <StateMark mark="doubt" label={null} /> {run.why}
          </Text>
          <ConfirmRun
            key={run.why}
            what={inTheWay === undefined ? 'Continue' : `Try ${inTheWay.number} again`}
            busy={busy}
            go={() => act('go-on')}
          >
            <Text mb="2">Before continuing, the drive is identified and the last value is read.</Text>
          </ConfirmRun>
          <Box display="flex" gap="2" flexWrap="wrap" mb="4">
            {inTheWay !== undefined && (
              <Secondary disabled={busy} onClick={() => act('leave-out')}>
                Continue without {inTheWay.number}
              </Secondary>
            )}
            <Secondary disabled={busy} onClick={() => act('give-up')}>
              End and compare
            </Secondary>
          </Box>
        </>
      )}
      <Lines lines={run.lines} />
    </Box>
  );
}

function Differences({ ending, leftOver }: { ending: Ending; leftOver: readonly LeftOver[] }) {
  const open = leftOver.filter((l) => l.why === null).length;
  return (
    <>
      <Text fontWeight="500">
        <StateMark mark={endingMarks[ending]} label={null} /> The drive is {ending}.{' '}
        {leftOver.length === 0
          ? 'No differences.'
          : `${countOf(leftOver.length, 'difference')}, ${open === 0 ? 'each explained' : `${open} not explained`}.`}
      </Text>
      {leftOver.length > 0 && (
        <PlainTable heads={['Parameter', 'Planned', 'In the drive', 'Why']}>
          {leftOver.map((l) => (
            <tr key={l.number}>
              <Cell>
                {l.number} {l.name}
              </Cell>
              <Cell>{l.planned}</Cell>
              <Cell>{l.left}</Cell>
              <Cell>{l.why ?? 'not explained'}</Cell>
            </tr>
          ))}
        </PlainTable>
      )}
    </>
  );
}

/** A run that has ended: what the drive had then, and whenever it was compared again. */
export function EndedRun({
  run,
  busy,
  act,
  answers,
  back,
}: {
  run: SetRun;
  busy: boolean;
  act: (deed: RunDeed) => void;
  /** Does the drive still answer? Null: nobody knows. */
  answers: () => Promise<boolean | null>;
  /** Plans the way back to what was in the drive before; null: that was not kept in this job. */
  back: (() => void) | null;
}) {
  const [off, setOff] = useState(false);
  const [still, setStill] = useState(false);
  if (run.end === null) return null;
  const isOff = async () => {
    const there = await answers();
    setStill(there === true);
    setOff(there !== true);
  };
  const after = run.verified.filter((v) => v.afterPower);
  return (
    <Box as="section" aria-label="Outcome" borderTop="2px solid" borderColor="ink" pt="3" mt="4">
      <Text fontFamily="heading" fontWeight="600" fontSize="1.15rem">
        “{run.name}”, {dateTime(run.end.at)}, {run.by.name}
      </Text>
      <Text color="soft">
        {run.target}
        {run.serial === null ? '' : `, serial number ${run.serial}`}, {countOf(run.end.taken, 'value')}{' '}
        written and read back.
      </Text>
      <Differences {...run.end} />
      {run.verified.map((v) => (
        <Box key={v.at} mt="2">
          <Text color="soft">
            Compared again{v.afterPower ? ' after a power cycle' : ''}, {dateTime(v.at)}
          </Text>
          <Differences {...v} />
        </Box>
      ))}
      {after.length === 0 && (
        <Text mt="3" color="doubt" fontWeight="500">
          Only a power cycle shows whether the values were saved: switch off, wait until the display is dark,
          switch on.
        </Text>
      )}
      {still && (
        <Text role="alert" color="failed" fontWeight="500" mt="2">
          The drive still answers over the link: its electronics are powered. Wait until the display is dark.
          A dark display does not prove that the capacitor bank is discharged.
        </Text>
      )}
      <Box display="flex" gap="2" flexWrap="wrap" mt="2" alignItems="center">
        {off ? (
          <Secondary
            disabled={busy}
            onClick={() => {
              setOff(false);
              act('verify-after-power');
            }}
          >
            Power is back: compare all
          </Secondary>
        ) : (
          <Secondary disabled={busy} onClick={() => void isOff()}>
            The power is off now
          </Secondary>
        )}
        <Secondary disabled={busy} onClick={() => act('verify')}>
          Compare again
        </Secondary>
        {back !== null && (
          <Secondary disabled={busy} onClick={back}>
            Plan return to as found
          </Secondary>
        )}
      </Box>
    </Box>
  );
}
