'use client';
import { Text } from '@chakra-ui/react';
import NextLink from 'next/link';
import { useState } from 'react';
import type { Person } from '@/core/logbook';
import { greatestLimits, type Limits } from '@/core/bench/make-safe';
import type { Consequence } from '@/core/bench/story';
import { CardPage } from '../../kit/card-page';
import { numberFrom } from '../../kit/number-from';
import { Primary } from '../../kit/buttons';
import { Caution } from '../../kit/caution';
import { FieldGrid, KeptNote } from '../../kit/section';
import { NumberField } from '../../kit/field';
import { ArchiveIn } from './archive-in';
import { ConsequencesEditor } from './consequences-editor';
import { DrivesList } from './drives-list';
import { call } from '../../api/call';

/** The site's limits for hands and for the diode test. */
export function AdministrationPage({
  limits,
  consequences,
  drives,
  people,
  person,
}: {
  limits: Limits;
  consequences: readonly Consequence[];
  drives: readonly string[];
  people: readonly Person[];
  person: Person;
}) {
  const [hands, setHands] = useState(String(limits.hands_V));
  const [test, setTest] = useState(String(limits.test_V));
  const [kept, setKept] = useState<string | null>(null);
  const [trouble, setTrouble] = useState<string | undefined>();
  const lead = person.role === 'lead';
  const save = async () => {
    const next = { hands_V: numberFrom(hands) ?? 0, test_V: numberFrom(test) ?? 0 };
    if (
      next.hands_V <= 0 ||
      next.hands_V > greatestLimits.hands_V ||
      next.test_V <= 0 ||
      next.test_V > greatestLimits.test_V
    )
      return setTrouble(
        `Hands up to ${greatestLimits.hands_V} V, diode test up to ${greatestLimits.test_V} V: lower is allowed, higher is not.`,
      );
    setTrouble(undefined);
    const answer = await call('PUT /api/v1/settings', { body: next });
    if (answer.ok) setKept('Limits kept. They hold for every proof from now on.');
    else setTrouble('Not kept: the server does not answer or refuses. Try again.');
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
      <FieldGrid>
        <NumberField label="Hands" unit="V" text={hands} set={setHands} disabled={!lead} />
        <NumberField
          label="Diode and ohms test"
          unit="V"
          text={test}
          set={setTest}
          disabled={!lead}
          error={trouble}
        />
      </FieldGrid>
      {lead ? (
        <Primary onClick={() => void save()}>Keep limits</Primary>
      ) : (
        <Text>The shop lead sets these.</Text>
      )}
      <KeptNote text={kept} />
      <ArchiveIn />
      <DrivesList drives={drives} lead={lead} />
      <Text mt="6">
        <NextLink href="/settings/traces">Trace tables</NextLink>: causes of each alarm and what each check
        tells of them.
      </Text>
      <ConsequencesEditor table={consequences} lead={lead} />
    </CardPage>
  );
}
