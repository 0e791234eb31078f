'use client';
import { Box } from '@chakra-ui/react';
import NextLink from 'next/link';
import { useState, type ReactNode } from 'react';
import * as z from 'zod';
import type { DailyHead } from '@/api/daily-head';
import type { Person } from '@/core/logbook';
import { greatestLimits, type Limits } from '@/core/bench/make-safe';
import type { Consequence } from '@/core/bench/story';
import { CardPage } from '../../kit/card-page';
import { positiveFigureOr } from '../../kit/form-figures';
import { useTypedForm } from '../../kit/typed-form';
import { Primary } from '../../kit/buttons';
import { Caution } from '../../kit/caution';
import { FieldGrid, Section } from '../../kit/section';
import { KeptNote } from '../../kit/kept-note';
import { Field } from '../../kit/field';
import { ArchiveIn } from './archive-in';
import { ConsequencesEditor } from './consequences-editor';
import { DailyHeads } from './daily-heads';
import { DrivesList } from './drives-list';
import { TermsChoice } from './terms-choice';
import { call } from '../../api/call';
import { Item, Text } from '../../kit/text';

const atMost = (limit_V: number) => {
  const problem = `Work inside up to ${greatestLimits.hands_V} V, diode test up to ${greatestLimits.test_V} V: lower is allowed, higher is not.`;
  return positiveFigureOr(problem).refine((volts) => volts <= limit_V, problem);
};
const limitsSchema = z.object({
  hands_V: atMost(greatestLimits.hands_V),
  test_V: atMost(greatestLimits.test_V),
});

const groups = [
  { id: 'terms', title: 'Terms and units' },
  { id: 'limits', title: 'Voltage limits' },
  { id: 'drives', title: 'Drives on the network' },
  { id: 'tables', title: 'Fault finding' },
  { id: 'imports', title: 'Import jobs' },
  { id: 'system', title: 'System' },
] as const;

function Contents() {
  return (
    <Box as="nav" aria-label="Contents" mb="4">
      <Box as="ul" listStyleType="none" position={{ lg: 'sticky' }} top="4">
        {groups.map(({ id, title }) => (
          <Item key={id}>
            <Text asChild display="inline-flex" minH="44px" alignItems="center">
              <a href={`#${id}`}>{title}</a>
            </Text>
          </Item>
        ))}
      </Box>
    </Box>
  );
}

/** What belongs together, where the contents lead. */
const Group = ({ id, children }: { id: (typeof groups)[number]['id']; children: ReactNode }) => (
  <Box id={id} maxW="820px" borderTop="1px solid" borderColor="line" pt="4" mb="6">
    {children}
  </Box>
);

/** What holds for every job of the site, in groups. */
export function AdministrationPage({
  limits,
  consequences,
  drives,
  seen,
  heads,
  people,
  person,
}: {
  limits: Limits;
  consequences: readonly Consequence[];
  drives: readonly string[];
  /** The versions that the page shows, for saving. */
  seen: { limits: string; consequences: string; drives: string };
  heads: readonly DailyHead[];
  people: readonly Person[];
  person: Person;
}) {
  const { refused, text, submit } = useTypedForm('limits', limitsSchema, {
    hands_V: String(limits.hands_V),
    test_V: String(limits.test_V),
  });
  const [kept, setKept] = useState<string | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [version, setVersion] = useState(seen.limits);
  const lead = person.role === 'lead';
  const save = async (next: Limits) => {
    setTrouble(null);
    const answer = await call('PUT /api/v1/settings', { query: { seen: version }, body: next });
    if (answer.ok) {
      setVersion(answer.value.version);
      setKept('Limits saved. They apply to every dead proof from now on.');
    } else setTrouble(`Not saved: ${answer.error}`);
  };
  return (
    <CardPage
      title="Administration"
      about="Your terms and units, and settings for every job of this site."
      people={people}
      person={person}
    >
      <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: '190px minmax(0, 1fr)' }} columnGap="8">
        <Contents />
        <Box>
          <Group id="terms">
            <TermsChoice person={person} />
          </Group>
          <Group id="limits">
            <Section title="Voltage limits">
              <Caution signal={null} title="Limits can only be lowered.">
                A site may set lower limits, e.g. for wet locations. Nobody can raise a limit above{' '}
                {greatestLimits.hands_V} V and {greatestLimits.test_V} V or override one in a job.
              </Caution>
              <form onSubmit={submit((next) => void save(next))} noValidate>
                <FieldGrid>
                  <Field label="Work inside" figure unit="V" disabled={!lead} {...text('hands_V')} />
                  <Field
                    label="Diode and resistance test"
                    figure
                    unit="V"
                    disabled={!lead}
                    {...text('test_V')}
                  />
                </FieldGrid>
                {trouble !== null && (
                  <Text role="alert" color="failed" fontWeight="500" mb="2">
                    {trouble}
                  </Text>
                )}
                {lead ? (
                  <Primary type="submit">Save limits</Primary>
                ) : (
                  <Text>Only the shop lead can change these.</Text>
                )}
              </form>
              <KeptNote text={kept} refused={refused || trouble !== null} />
            </Section>
          </Group>
          <Group id="drives">
            <DrivesList drives={drives} seen={seen.drives} lead={lead} />
          </Group>
          <Group id="tables">
            <Section title="Fault finding">
              <NextLink href="/administration/trace-tables">Trace tables</NextLink>: causes of each fault and
              what each check shows.
            </Section>
            <ConsequencesEditor table={consequences} seen={seen.consequences} lead={lead} />
          </Group>
          <Group id="imports">
            <ArchiveIn />
          </Group>
          <Group id="system">
            <Section title="System">
              <NextLink href="/administration/status">System status</NextLink>: database, drive link, disk,
              backups, versions.
            </Section>
            <DailyHeads heads={heads} />
          </Group>
        </Box>
      </Box>
    </CardPage>
  );
}
