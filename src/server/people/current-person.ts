import { cookies } from 'next/headers';
import type { Person } from '../../core/logbook';
import { personChosen, personCookie } from './asking';

/** Who opens a page. Routes have their request: `personOf`. */
export const currentPerson = async (): Promise<Person> =>
  personChosen((await cookies()).get(personCookie)?.value ?? '');
