'use client';
import { Box, Flex } from '@chakra-ui/react';
import { Moon, Sun } from 'lucide-react';
import NextLink from 'next/link';
import { usePathname } from 'next/navigation';
import { useState, useSyncExternalStore, type ReactNode } from 'react';
import type { Person } from '@/core/logbook';
import { call } from '../api/call';
import { Help } from './help';
import { openJob, watchOpenJob } from './open-job';
import { Text } from './text';

const roleWords = { technician: 'technician', lead: 'shop lead', apprentice: 'apprentice' } as const;

/** Who works here. Choosing another one reloads, so that nothing of the last person stays open. */
function PersonPicker({ people, current }: { people: readonly Person[]; current: Person }) {
  const [failed, setFailed] = useState(false);
  const choose = async (id: string) => {
    const answer = await call('POST /api/v1/person', { body: { id } });
    if (answer.ok) window.location.reload();
    else setFailed(true);
  };
  return (
    <Box>
      <select
        aria-label="Who works here"
        value={current.id}
        onChange={(e) => void choose(e.target.value)}
        style={{
          background: 'transparent',
          color: 'inherit',
          border: '1px solid var(--chakra-colors-bench-soft)',
          borderRadius: 3,
          height: 36,
          padding: '0 6px',
          maxWidth: 'min(172px, 28vw)',
        }}
      >
        {people.map((p) => (
          <option key={p.id} value={p.id} style={{ color: '#1A2326', background: '#F2EDE1' }}>
            {p.name}, {roleWords[p.role]}
          </option>
        ))}
      </select>
      {failed && <Text role="alert">Not changed: server not reachable.</Text>}
    </Box>
  );
}

function ThemeToggle() {
  const flip = () => {
    const night = document.documentElement.classList.toggle('dark');
    document.cookie = `grim_theme=${night ? 'night' : 'day'}; path=/; max-age=31536000; samesite=strict`;
  };
  return (
    <Box
      asChild
      display="grid"
      placeItems="center"
      w={{ base: '36px', sm: '44px' }}
      h="44px"
      cursor="pointer"
      color="benchInk"
      css={{
        '& .by-night': { display: 'none' },
        '.dark & .by-night': { display: 'block' },
        '.dark & .by-day': { display: 'none' },
      }}
    >
      <button type="button" onClick={flip} aria-label="Change between day and night">
        <Moon className="by-day" size={20} aria-hidden />
        <Sun className="by-night" size={20} aria-hidden />
      </button>
    </Box>
  );
}

const pages = [
  { address: '/', name: 'Jobs' },
  { address: '/drive-types', name: 'Drive types' },
  { address: '/simulator', name: 'Simulator' },
  { address: '/administration', name: 'Administration' },
] as const;

function PageLink({ address, name, here }: { address: string; name: string; here: boolean }) {
  return (
    <Text
      asChild
      color={here ? 'benchInk' : 'benchSoft'}
      fontWeight={here ? 600 : 400}
      minH="44px"
      display="inline-flex"
      alignItems="center"
      whiteSpace="nowrap"
    >
      <NextLink href={address} aria-current={here ? 'page' : undefined} prefetch={false}>
        {name}
      </NextLink>
    </Text>
  );
}

/** The pages, and the job that was open last: in a row where there is room, else behind a word. */
function Pages({ inJob }: { inJob: boolean }) {
  const path = usePathname();
  const job = useSyncExternalStore(watchOpenJob, openJob, () => null);
  const isHere = (address: string) =>
    address === '/' ? path === '/' || path.startsWith('/jobs') : path.startsWith(address);
  const links = (
    <>
      {pages.map((page) => (
        <PageLink key={page.address} {...page} here={isHere(page.address)} />
      ))}
      {job !== null && !inJob && <PageLink address={job.address} name={`Back to ${job.name}`} here={false} />}
    </>
  );
  return (
    <>
      <Flex as="nav" aria-label="Pages" gap="4" display={{ base: 'none', lg: 'flex' }}>
        {links}
      </Flex>
      <Box as="details" display={{ base: 'block', lg: 'none' }} position="relative">
        <Text
          as="summary"
          minH="44px"
          display="inline-flex"
          alignItems="center"
          cursor="pointer"
          color="benchSoft"
          css={{ '&::-webkit-details-marker': { display: 'none' } }}
        >
          Pages ▾
        </Text>
        <Flex
          as="nav"
          aria-label="Pages, as a menu"
          direction="column"
          position="absolute"
          zIndex="10"
          bg="bench"
          border="1px solid"
          borderColor="benchSoft"
          borderRadius="3px"
          px="4"
          py="1"
        >
          {links}
        </Flex>
      </Box>
    </>
  );
}

/** The strip of bench above the card. */
export function TopBar({
  people,
  person,
  children,
  clock,
  inJob = false,
}: {
  people: readonly Person[];
  /** Null where the database cannot say who works here. */
  person: Person | null;
  children?: ReactNode;
  clock?: ReactNode;
  /** This is the page of a job, which is named in it. */
  inJob?: boolean;
}) {
  return (
    <Flex
      as="header"
      className="no-print"
      align="center"
      gap={{ base: 2, md: 4 }}
      px={{ base: '2.5', md: 5 }}
      minH="52px"
      color="benchInk"
      fontFamily="heading"
      wrap={{ base: 'wrap', sm: 'nowrap' }}
    >
      <Text
        asChild
        fontSize={{ base: '1.05rem', sm: '1.2rem' }}
        fontWeight="600"
        letterSpacing="0.02em"
        whiteSpace="nowrap"
        display={{ base: inJob ? 'none' : 'inline', sm: 'inline' }}
      >
        <NextLink href="/">Grim Spanner</NextLink>
      </Text>
      <Pages inJob={inJob} />
      {children}
      <Box
        ml="auto"
        display="flex"
        alignItems="center"
        gap={{ base: 0, sm: 2 }}
        fontSize="0.95rem"
        flexShrink="0"
      >
        {clock}
        {person !== null && <PersonPicker people={people} current={person} />}
        <Help />
        <ThemeToggle />
      </Box>
    </Flex>
  );
}
