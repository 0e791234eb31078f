import { cookies } from 'next/headers';
import type { Person } from '../../core/logbook';
import type { TermsProfile } from '../../core/terms';
import { personChosen, personCookie } from './asking';
import { termsOf } from './people';

/** Who opens a page. Routes have their request: `personOf`. */
export const currentPerson = async (): Promise<Person> =>
  personChosen((await cookies()).get(personCookie)?.value ?? '');

/** The terms and units of whoever opens a page; the usual ones where the database cannot say: a page must come even then. */
export async function currentTerms(): Promise<TermsProfile> {
  const chosen = (await cookies()).get(personCookie)?.value ?? '';
  try {
    return await termsOf((await personChosen(chosen)).id);
  } catch {
    return 'international';
  }
}
