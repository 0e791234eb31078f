'use client';
import { useState } from 'react';
import type { Person } from '@/core/logbook';
import { profileNames, type TermsProfile } from '@/core/terms';
import { call } from '../../api/call';
import { Choice, optionsOf } from '../../kit/field';
import { Section } from '../../kit/section';
import { useTerms } from '../../kit/terms';
import { Text } from '../../kit/text';

/** Which terms and units the pages of this person are in. The page is loaded again with them. */
export function TermsChoice({ person }: { person: Person }) {
  const { profile } = useTerms();
  const [trouble, setTrouble] = useState<string | null>(null);
  const choose = async (terms: TermsProfile) => {
    setTrouble(null);
    const answer = await call('PUT /api/v1/person/terms', { body: { terms } });
    if (answer.ok) window.location.reload();
    else setTrouble(`Not changed: ${answer.error}`);
  };
  return (
    <Section title="Terms and units">
      <Text mb="2">
        For {person.name} only. Values are stored in SI units; documents use what the customer asked for on
        the Call page of the job.
      </Text>
      <Choice
        label="Terms and units of your pages"
        options={optionsOf(profileNames)}
        value={profile}
        onChange={(terms) => void choose(terms)}
      />
      {trouble !== null && (
        <Text role="alert" color="failed" mt="2">
          {trouble}
        </Text>
      )}
    </Section>
  );
}
