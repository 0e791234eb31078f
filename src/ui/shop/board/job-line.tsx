import { Box } from '@chakra-ui/react';
import NextLink from 'next/link';
import type { BoardLine } from '@/api/board';
import { countOf, stageNames, type JobSummary } from '@/core/logbook';
import { StateMark, type Mark } from '../../kit/state-mark';
import { day, span } from '../../kit/time';
import { Heading, Text } from '../../kit/text';
import { AsTyped } from '../../kit/terms';

const marks: Record<string, Mark> = {
  'not-shorted': 'sound',
  faulty: 'failed',
  started: 'sound',
  'handed-over': 'sound',
};

/** The stop's clock: how long, how much is left, and the same as a bar with its word. */
function StopClock({ line, now }: { line: BoardLine; now: number }) {
  if (line.conclusion !== null)
    return (
      <Text color="soft">{line.conclusion.verdict === 'handed-over' ? 'handed over' : 'sheet signed'}</Text>
    );
  if (line.stoppedAt === null) return <Text color="soft">{line.loose ? 'loose sheet' : 'running'}</Text>;
  const stopped_min = now === 0 ? 0 : (now - Date.parse(line.stoppedAt)) / 60_000;
  const allowed = line.downtimeAllowed_min;
  if (allowed === null)
    return (
      <Text fontFamily="mono" suppressHydrationWarning>
        {now === 0 ? '' : `stopped ${span(stopped_min)}`}
      </Text>
    );
  const left = allowed - stopped_min;
  const word = left < 0 ? `over by ${span(-left)}` : `${span(left)} left`;
  const tone = left < 0 ? 'failed' : left < allowed * 0.3 ? 'doubt' : 'sound';
  return (
    <Box suppressHydrationWarning>
      <Text fontFamily="mono" fontSize="1.5rem" lineHeight="1.1" color={tone}>
        {now === 0 ? '' : word}
      </Text>
      <Box height="6px" bg="cardEdge" my="1" aria-hidden>
        <Box
          height="6px"
          bg={tone}
          width={`${Math.min(100, (100 * stopped_min) / Math.max(allowed, 1)).toFixed(0)}%`}
        />
      </Box>
      <Text fontSize="0.85rem" color="soft" fontFamily="mono">
        {now === 0 ? '' : `stopped ${span(stopped_min)} of ${span(allowed)}`}
      </Text>
    </Box>
  );
}

/** It runs with something open: until when, and whether that day is over. */
function MayRun({ mayRun, now }: { mayRun: NonNullable<JobSummary['mayRun']>; now: number }) {
  const over = now !== 0 && Date.parse(`${mayRun.until}T23:59:59`) < now;
  return (
    <Text fontSize="0.93rem" color={over ? 'failed' : 'doubt'} fontWeight="500" suppressHydrationWarning>
      <StateMark mark={over ? 'failed' : 'doubt'} label={null} />{' '}
      {over ? 'overdue: released with' : 'released with'} {countOf(mayRun.open, 'open issue')} until{' '}
      {day(mayRun.until)}
    </Text>
  );
}

/** A job on the board. */
export function JobLine({ line, now }: { line: BoardLine; now: number }) {
  return (
    <Box
      asChild
      display="grid"
      gridTemplateColumns={{ base: '1fr', sm: '1fr 1fr', lg: '1.15fr 1.5fr 1.2fr 210px' }}
      columnGap="6"
      rowGap="2"
      alignItems="start"
      bg="card"
      borderRadius="4px"
      pl="12"
      pr="5"
      py="4"
      position="relative"
      _hover={{ bg: 'paper' }}
    >
      <NextLink href={`/jobs/${line.jobId}`} prefetch={false}>
        <svg
          width="34"
          height="34"
          viewBox="0 0 34 34"
          aria-hidden
          style={{ position: 'absolute', left: 0, top: 16 }}
        >
          <path d="M0 4 L22 8 A9 9 0 0 1 22 26 L0 30 Z" fill="var(--chakra-colors-bench)" />
        </svg>
        <Box>
          <Heading as="h2" fontFamily="heading" fontWeight="600" fontSize="1.35rem" lineHeight="1.15">
            {line.machine}
          </Heading>
          <Text color="soft">{line.site}</Text>
          <Text>
            {line.drive ?? 'drive not identified'}
            {line.serial !== null && line.serial !== '' && (
              <Text as="span" color="soft">
                {' '}
                · {line.serial}
              </Text>
            )}
          </Text>
        </Box>
        <Box>
          <AsTyped>
            <Text fontWeight="500">{line.complaint}</Text>
          </AsTyped>
          {line.downstream !== null && line.downstream !== '' && (
            <Text color="soft" fontSize="0.93rem">
              Downstream: {line.downstream}
            </Text>
          )}
          {line.stayDead && line.conclusion === null && (
            <Text color="failed" fontWeight="500" fontSize="0.93rem">
              <StateMark mark="failed" label={null} /> do not restore mains
            </Text>
          )}
        </Box>
        <Box>
          {line.conclusion === null ? (
            <>
              <Text fontFamily="heading" fontWeight="600">
                {stageNames[line.stage]}
              </Text>
              {line.next !== '' && (
                <Text color="soft" fontSize="0.93rem">
                  next: {line.next}
                </Text>
              )}
            </>
          ) : (
            <Text fontWeight="500">
              <StateMark mark={marks[line.conclusion.verdict] ?? 'doubt'} label={null} />{' '}
              {line.conclusion.headline}
            </Text>
          )}
          {line.mayRun !== undefined && <MayRun mayRun={line.mayRun} now={now} />}
          {line.noBackup === true && (
            <Text fontSize="0.93rem" color="soft">
              <StateMark mark="unprobed" label={null} /> no parameter backup
            </Text>
          )}
          {line.openQuestions > 0 && (
            <Text fontSize="0.93rem" color="doubt" fontWeight="500">
              <StateMark mark="doubt" label={null} /> {countOf(line.openQuestions, 'open question')}
            </Text>
          )}
        </Box>
        <StopClock line={line} now={now} />
      </NextLink>
    </Box>
  );
}
