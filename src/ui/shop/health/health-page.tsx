'use client';
import { Box } from '@chakra-ui/react';
import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import type { Health, HealthPart } from '@/api/health';
import type { Person } from '@/core/logbook';
import { CardPage } from '../../kit/card-page';
import { Section } from '../../kit/section';
import { StateMark, type Mark } from '../../kit/state-mark';
import { clockTime } from '../../kit/time';
import { Text } from '../../kit/text';

const marks: Record<HealthPart['state'], { mark: Mark; word: string }> = {
  ok: { mark: 'sound', word: 'OK' },
  watch: { mark: 'doubt', word: 'Needs attention' },
  failed: { mark: 'failed', word: 'Failed' },
};

/** How often the page looks again, ms. */
const again_ms = 10_000;

function Part({ part: { id, name, state, facts, advice } }: { part: HealthPart }) {
  const { mark, word } = marks[state];
  return (
    <Box
      as="section"
      aria-labelledby={`part-${id}`}
      borderTop="1px solid"
      borderColor="line"
      py="3"
      display="grid"
      gridTemplateColumns={{ base: '1fr', md: '260px 1fr' }}
      gap={{ base: 1, md: 5 }}
    >
      <Box>
        <Text as="h2" id={`part-${id}`} fontFamily="heading" fontWeight="600" fontSize="1.15rem">
          {name}
        </Text>
        <Text display="flex" alignItems="center" gap="2" fontWeight="500">
          <StateMark mark={mark} label={null} /> {word}
        </Text>
      </Box>
      <Box>
        {facts.map((fact) => (
          <Text key={fact}>{fact}</Text>
        ))}
        {advice !== null && (
          <Text mt="1" fontWeight="500">
            {advice}
          </Text>
        )}
      </Box>
    </Box>
  );
}

/** How the server is, and what to do about it. */
export function HealthPage({
  health: { ok, at, parts, versions },
  people,
  person,
}: {
  health: Health;
  people: readonly Person[];
  person: Person | null;
}) {
  const router = useRouter();
  useEffect(() => {
    const timer = setInterval(() => router.refresh(), again_ms);
    return () => clearInterval(timer);
  }, [router]);
  const open = parts.filter((p) => p.state !== 'ok');
  return (
    <CardPage
      title="System status"
      about={
        ok && open.length === 0
          ? 'All parts of the server work.'
          : `Needs attention: ${open.map((p) => p.name.toLowerCase()).join(', ')}.`
      }
      people={people}
      person={person}
      maxW="980px"
    >
      <Text role="status" color="soft" mb="3" suppressHydrationWarning>
        As of {clockTime(at)}; refreshed every {again_ms / 1000} s.
      </Text>
      {parts.map((part) => (
        <Part key={part.id} part={part} />
      ))}
      <Box mt="6">
        <Section title="Versions">
          {versions.map(({ name, version }) => (
            <Text key={name}>
              {name} {version}
            </Text>
          ))}
        </Section>
      </Box>
    </CardPage>
  );
}
