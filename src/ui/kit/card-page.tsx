import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import type { Person } from '@/core/logbook';
import { StageHead } from './section';
import { TopBar } from './top-bar';

/** A page of its own, outside any job: one card under the bar. */
export function CardPage({
  title,
  about,
  people,
  person,
  maxW,
  children,
}: {
  title: string;
  about: string;
  people: readonly Person[];
  person: Person | null;
  maxW?: string;
  children: ReactNode;
}) {
  return (
    <>
      <TopBar people={people} person={person} />
      <Box
        as="main"
        bg="card"
        borderRadius="4px"
        mx={{ base: 0, md: 5 }}
        mb="5"
        p={{ base: 4, md: 7 }}
        {...(maxW === undefined ? {} : { maxW })}
      >
        <StageHead title={title}>{about}</StageHead>
        {children}
      </Box>
    </>
  );
}
