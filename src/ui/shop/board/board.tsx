'use client';
import { Box, Heading, Text } from '@chakra-ui/react';
import NextLink from 'next/link';
import { countOf, stageNames, type JobSummary, type Person } from '@/core/logbook';
import { Primary } from '../../kit/buttons';
import { StateMark, type Mark } from '../../kit/state-mark';
import { day, span } from '../../kit/time';
import { TopBar } from '../../kit/top-bar';
import { useNow } from '../../kit/use-now';

export type JobLine = JobSummary & { jobId: string };

const marks: Record<string, Mark> = { 'not-shorted': 'sound', faulty: 'failed', started: 'sound' };

/** The stop's clock: how long, how much is left, and the same as a bar with its word. */
function StopClock({ line, now }: { line: JobLine; now: number }) {
  if (line.conclusion !== null) return <Text color="soft">sheet signed</Text>;
  if (line.stoppedAt === null) return <Text color="soft">running</Text>;
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
      <StateMark mark={over ? 'failed' : 'doubt'} label={null} /> {over ? 'overdue: ran with' : 'runs with'}{' '}
      {countOf(mayRun.open, 'open matter')} until {day(mayRun.until)}
    </Text>
  );
}

function JobLine({ line, now }: { line: JobLine; now: number }) {
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
          <Text fontWeight="500">{line.complaint}</Text>
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
              <StateMark mark="unprobed" label={null} /> no backup of its values
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

/** The jobs of the day, the tightest clock first. */
export function Board({
  jobs,
  people,
  person,
}: {
  jobs: readonly JobLine[];
  people: readonly Person[];
  person: Person;
}) {
  const now = useNow(0, 15_000);
  return (
    <>
      <TopBar people={people} person={person}>
        <Text asChild color="benchSoft" minH="44px" display="inline-flex" alignItems="center">
          <NextLink href="/settings">Settings</NextLink>
        </Text>
        <Text asChild color="benchSoft" minH="44px" display="inline-flex" alignItems="center">
          <NextLink href="/catalogue">Drive types</NextLink>
        </Text>
        <Text asChild color="benchSoft" minH="44px" display="inline-flex" alignItems="center">
          <NextLink href="/rig">Rig</NextLink>
        </Text>
      </TopBar>
      <Box as="main" px={{ base: 3, md: 5 }} pb="8">
        <Box display="flex" alignItems="center" justifyContent="space-between" gap="4" mb="3" mt="1">
          <Heading as="h1" fontFamily="heading" fontWeight="600" fontSize="1.4rem" color="benchInk">
            Jobs
          </Heading>
          <Primary asChild bg="card" color="ink">
            <NextLink href="/jobs/new">New job</NextLink>
          </Primary>
        </Box>
        {jobs.length === 0 ? (
          <Box bg="card" borderRadius="4px" p="8">
            <Text fontSize="1.1rem">
              No job is open. A machine has stopped? Start with New job; it takes half a minute.
            </Text>
          </Box>
        ) : (
          <Box display="grid" gap="3">
            {jobs.map((line) => (
              <JobLine key={line.jobId} line={line} now={now} />
            ))}
          </Box>
        )}
      </Box>
    </>
  );
}
