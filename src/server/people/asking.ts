import type { Person } from '../../core/logbook';
import { people, personById } from './people';

/** Where a browser keeps who is at the tablet. */
export const personCookie = 'grim_person';

const uuid = /^[0-9a-f-]{36}$/;

/**
 * Who acts, by what the cookie says. The one gate every action goes through: until sign-in comes, the person chosen in the
 * header; a first visit is the first technician of the list.
 */
export async function personChosen(chosen: string): Promise<Person> {
  const person = uuid.test(chosen) ? await personById(chosen) : null;
  if (person !== null) return person;
  const everybody = await people();
  const first = everybody.find((p) => p.role === 'technician') ?? everybody[0];
  if (first === undefined) throw new Error('No people in the database: run ./grim db reset');
  return first;
}

const cookieIn = ({ headers }: Request): string => {
  const begin = `${personCookie}=`;
  const pairs = (headers.get('cookie') ?? '').split(';').map((pair) => pair.trim());
  return pairs.find((pair) => pair.startsWith(begin))?.slice(begin.length) ?? '';
};

/** Who asks. */
export const personOf = (request: Request): Promise<Person> => personChosen(cookieIn(request));
