'use client';
import { Text } from '@chakra-ui/react';
import NextLink from 'next/link';
import { useState } from 'react';
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
import { FieldGrid } from '../../kit/section';
import { KeptNote } from '../../kit/kept-note';
import { Field } from '../../kit/field';
import { ArchiveIn } from './archive-in';
import { ConsequencesEditor } from './consequences-editor';
import { DailyHeads } from './daily-heads';
import { DrivesList } from './drives-list';
import { call } from '../../api/call';

const atMost = (limit_V: number) => {
  const problem = `Hands up to ${greatestLimits.hands_V} V, diode test up to ${greatestLimits.test_V} V: lower is allowed, higher is not.`;
  return positiveFigureOr(problem).refine((volts) => volts <= limit_V, problem);
};
const limitsSchema = z.object({
  hands_V: atMost(greatestLimits.hands_V),
  test_V: atMost(greatestLimits.test_V),
});

/** The site's limits for hands and for the diode test. */
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
      setKept('Limits kept. They hold for every proof from now on.');
    } else setTrouble(`Not kept: ${answer.error}`);
  };
  return (
    <CardPage
      title="Site settings"
      about="What holds for every job of this site."
      people={people}
      person={person}
      maxW="800px"
    >
      <Caution title="Only downwards.">
        A site may set less, wet places do. Nobody can raise a limit above {greatestLimits.hands_V} V and{' '}
        {greatestLimits.test_V} V, and nobody can override one on a job.
      </Caution>
      <form onSubmit={submit((next) => void save(next))} noValidate>
        <FieldGrid>
          <Field label="Hands" figure unit="V" disabled={!lead} {...text('hands_V')} />
          <Field label="Diode and ohms test" figure unit="V" disabled={!lead} {...text('test_V')} />
        </FieldGrid>
        {trouble !== null && (
          <Text role="alert" color="failed" fontWeight="500" mb="2">
            {trouble}
          </Text>
        )}
        {lead ? <Primary type="submit">Keep limits</Primary> : <Text>The shop lead sets these.</Text>}
      </form>
      <KeptNote text={kept} refused={refused || trouble !== null} />
      <ArchiveIn />
      <DrivesList drives={drives} seen={seen.drives} lead={lead} />
      <Text mt="6">
        <NextLink href="/settings/traces">Trace tables</NextLink>: causes of each alarm and what each check
        tells of them.
      </Text>
      <Text mt="2">
        <NextLink href="/health">System status</NextLink>: database, link to drives, disk, backups, versions.
      </Text>
      <DailyHeads heads={heads} />
      <ConsequencesEditor table={consequences} seen={seen.consequences} lead={lead} />
    </CardPage>
  );
}
