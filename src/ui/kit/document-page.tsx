'use client';
import { Box } from '@chakra-ui/react';
import NextLink from 'next/link';
import type { ReactNode } from 'react';
import type { Person } from '@/core/logbook';
import type { TermsProfile } from '@/core/terms';
import { FileLink } from './file-link';
import { Secondary } from './buttons';
import { TopBar } from './top-bar';
import { TermsProvider } from './terms';
import { Heading, Said, Text } from './text';

/** A headed part of a paper. */
export function DocumentPart({
  title,
  level = 'h2',
  children,
}: {
  title: string;
  level?: 'h2' | 'h3';
  children: ReactNode;
}) {
  return (
    <Box as="section" mt="6">
      <Heading
        as={level}
        fontFamily="heading"
        fontWeight="600"
        fontSize="1.2rem"
        borderBottom="1px solid"
        borderColor="ink"
        mb="2"
        pb="1"
      >
        {title}
      </Heading>
      {children}
    </Box>
  );
}

/** Both sizes of a paper, the customer's first. */
const pdfsOf = (paper: string, terms: TermsProfile): [label: string, path: string][] => {
  const a4: [string, string] = ['PDF, A4', `${paper}?form=pdf&paper=a4`];
  const letter: [string, string] = ['PDF, letter', `${paper}?form=pdf&paper=letter`];
  return terms === 'us' ? [letter, a4] : [a4, letter];
};

/** A paper of a job as a page: its title, what may be taken along, what it is about; it prints as it stands. */
export function DocumentPage({
  jobId,
  title,
  paper,
  links = [],
  identity,
  terms,
  people,
  person,
  children,
}: {
  jobId: string;
  title: string;
  /** Its path below the job's address. */
  paper: string;
  /** What else may be taken along: labels and paths. */
  links?: readonly (readonly [label: string, path: string])[];
  identity: readonly (readonly [label: string, value: string])[];
  /** The customer's, whoever reads it. */
  terms: TermsProfile;
  people: readonly Person[];
  person: Person;
  children: ReactNode;
}) {
  return (
    <>
      <TopBar inJob people={people} person={person}>
        <Secondary asChild color="benchInk" minH="44px" _hover={{ opacity: 0.8 }}>
          <NextLink href={`/jobs/${jobId}/hand-over`}>Back to the job</NextLink>
        </Secondary>
      </TopBar>
      <TermsProvider value={terms}>
        <Box
          as="main"
          bg="card"
          borderRadius="4px"
          mx={{ base: 0, md: 'auto' }}
          mb="6"
          p={{ base: 4, md: 10 }}
          maxW="940px"
        >
          <Box display="flex" justifyContent="space-between" gap="4" flexWrap="wrap" mb="4">
            <Heading as="h1" fontFamily="heading" fontWeight="600" fontSize="1.8rem">
              {title}
            </Heading>
            <Box display="flex" gap="2" className="no-print" flexWrap="wrap">
              {[...pdfsOf(paper, terms), ...links].map(([label, path]) => (
                <FileLink key={label} href={`/api/v1/jobs/${jobId}/${path}`}>
                  {label}
                </FileLink>
              ))}
            </Box>
          </Box>
          <Box
            as="dl"
            display="grid"
            gridTemplateColumns={{ base: '1fr', sm: '170px 1fr' }}
            columnGap="4"
            rowGap="0.5"
          >
            {identity.map(([label, value]) => (
              <Box key={label} display="contents">
                <Text as="dt" color="soft">
                  {label}
                </Text>
                <dd>
                  <Said>{value}</Said>
                </dd>
              </Box>
            ))}
          </Box>
          {children}
        </Box>
      </TermsProvider>
    </>
  );
}
