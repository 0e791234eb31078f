'use client';
import { Box } from '@chakra-ui/react';
import NextLink from 'next/link';
import type { BoardAnswer, BoardQuery } from '@/api/board';
import type { Person } from '@/core/logbook';
import { Primary, Secondary } from '../../kit/buttons';
import { TopBar } from '../../kit/top-bar';
import { useNow } from '../../kit/use-now';
import { BackupAge } from './backup-age';
import { BoardFilter, Pages } from './board-filter';
import { JobLine } from './job-line';
import { useFreshBoard } from './use-fresh-board';
import { Heading, Text } from '../../kit/text';

/** Nothing is looked for: every job is meant. */
const isUsual = ({ search, state, stage }: BoardQuery): boolean =>
  search === '' && state === 'open' && stage === null;

/** The jobs of the shop, a page at a time. */
export function Board({
  found: { jobs, total, page, pages },
  query,
  people,
  person,
  provenAt,
}: {
  found: BoardAnswer;
  query: BoardQuery;
  people: readonly Person[];
  person: Person;
  /** When a backup was last restored as a test; null: never; undefined: this server makes none. */
  provenAt?: string | null | undefined;
}) {
  const now = useNow(0, 15_000);
  useFreshBoard();
  return (
    <>
      <TopBar people={people} person={person} />
      <Box as="main" px={{ base: 3, md: 5 }} pb="8">
        <Box display="flex" alignItems="center" justifyContent="space-between" gap="4" mb="3" mt="1">
          <Heading as="h1" fontFamily="heading" fontWeight="600" fontSize="1.4rem" color="benchInk">
            Jobs
          </Heading>
          <Box display="flex" gap="3" flexWrap="wrap" justifyContent="end">
            <Secondary asChild bg="transparent" color="benchInk">
              <NextLink href="/begin">What is in front of you?</NextLink>
            </Secondary>
            <Primary asChild bg="card" color="ink">
              <NextLink href="/jobs/new">New job</NextLink>
            </Primary>
          </Box>
        </Box>
        <BoardFilter query={query} />
        {jobs.length === 0 ? (
          <Box bg="card" borderRadius="4px" p="8">
            <Text fontSize="1.1rem">
              {isUsual(query)
                ? 'No open jobs. Start with New job; it takes half a minute.'
                : query.state === 'loose'
                  ? 'No loose sheet matches. One is begun where nothing is typed on the first screen.'
                  : 'No job matches. Use fewer search words, or show all jobs at any stage.'}
            </Text>
          </Box>
        ) : (
          <Box display="grid" gap="3">
            {jobs.map((line) => (
              <JobLine key={line.jobId} line={line} now={now} />
            ))}
          </Box>
        )}
        <Pages query={query} total={total} page={page} pages={pages} />
        {provenAt !== undefined && <BackupAge provenAt={provenAt} now={now} />}
      </Box>
    </>
  );
}
