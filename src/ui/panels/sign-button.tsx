import type { Person } from '@/core/logbook';
import { Primary } from '../kit/buttons';

/** Signing with one's name: never an apprentice, never over entries that the server does not have yet. */
export function SignButton({
  person,
  waiting,
  held,
  sign,
}: {
  person: Person;
  waiting: boolean;
  /** Something stands against it; what, is said above. */
  held: boolean;
  sign: () => void;
}) {
  const apprentice = person.role === 'apprentice';
  return (
    <Primary disabled={apprentice || waiting || held} onClick={sign}>
      {apprentice ? 'A technician signs' : waiting ? 'Waiting for the server' : `Sign as ${person.name}`}
    </Primary>
  );
}
