import { cookies } from 'next/headers';
import { cache } from 'react';
import type { Person } from '../../core/logbook';
import type { TermsProfile } from '../../core/terms';
import { personChosen, personCookie } from './asking';
import { termsOf } from './people';

/** Who opens a page, looked up once for all parts of it. Routes have their request: `personOf`. */
export const currentPerson = cache(async (): Promise<Person> =>
  personChosen((await cookies()).get(personCookie)?.value ?? ''),
);

/** The terms and units of whoever opens a page; the usual ones where the database cannot say: a page must come even then. */
export async function currentTerms(): Promise<TermsProfile> {
  try {
    return await termsOf((await currentPerson()).id);
  } catch {
    return 'international';
  }
}
