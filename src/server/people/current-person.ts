import { cookies } from 'next/headers';
import type { Person } from '../../core/logbook';
import { people, personById } from './people';

export const personCookie = 'grim_person';
const uuid = /^[0-9a-f-]{36}$/;

/**
 * Who acts. The one gate every action goes through: until sign-in comes, the person chosen in the
 * header; a first visit is the first technician of the list.
 */
export async function currentPerson(): Promise<Person> {
  const chosen = (await cookies()).get(personCookie)?.value ?? '';
  const person = uuid.test(chosen) ? await personById(chosen) : null;
  if (person !== null) return person;
  const everybody = await people();
  const first = everybody.find((p) => p.role === 'technician') ?? everybody[0];
  if (first === undefined) throw new Error('There are no people in the database: run ./grim db reset');
  return first;
}
