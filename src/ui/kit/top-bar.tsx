'use client';
import { Box, Flex, Text } from '@chakra-ui/react';
import { Moon, Sun } from 'lucide-react';
import NextLink from 'next/link';
import { useState, type ReactNode } from 'react';
import type { Person } from '@/core/logbook';
import { call } from '../api/call';

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
          maxWidth: 210,
        }}
      >
        {people.map((p) => (
          <option key={p.id} value={p.id} style={{ color: '#1A2326', background: '#F2EDE1' }}>
            {p.name}, {roleWords[p.role]}
          </option>
        ))}
      </select>
      {failed && <Text role="alert">Not changed: the server does not answer.</Text>}
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
      w="44px"
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

/** The strip of bench above the card. */
export function TopBar({
  people,
  person,
  children,
  clock,
}: {
  people: readonly Person[];
  /** Null where the database cannot say who works here. */
  person: Person | null;
  children?: ReactNode;
  clock?: ReactNode;
}) {
  return (
    <Flex
      as="header"
      className="no-print"
      align="center"
      gap={{ base: 3, md: 4 }}
      px={{ base: 3, md: 5 }}
      minH="52px"
      color="benchInk"
      fontFamily="heading"
      wrap="wrap"
    >
      <Text asChild fontSize="1.2rem" fontWeight="600" letterSpacing="0.02em" whiteSpace="nowrap">
        <NextLink href="/">Grim Spanner</NextLink>
      </Text>
      {children}
      <Box ml="auto" display="flex" alignItems="center" gap="3" fontSize="0.95rem">
        {clock}
        {person !== null && <PersonPicker people={people} current={person} />}
        <ThemeToggle />
      </Box>
    </Flex>
  );
}
