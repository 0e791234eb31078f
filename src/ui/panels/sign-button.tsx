import type { Person } from '@/core/logbook';
import { Primary } from '../kit/buttons';

/** Signing with one's name: never an apprentice, never over entries that the server does not have yet. */
export function SignButton({
  person,
  waiting,
  held,
  why = null,
  sign,
}: {
  person: Person;
  waiting: boolean;
  /** Something stands against it; what, is said above. */
  held: boolean;
  /** What is missing, where it is not said above. */
  why?: string | null;
  sign: () => void;
}) {
  const apprentice = person.role === 'apprentice';
  return (
    <Primary disabled={apprentice || waiting || held} waitsFor={why} onClick={sign}>
      {apprentice ? 'A technician signs' : waiting ? 'Waiting for the server' : `Sign as ${person.name}`}
    </Primary>
  );
}
