import { isCommand, shownAs } from '@/core/equipment/drive-words';
import { useState } from 'react';
import type { Parameter } from '@/core/equipment/catalogue';
import type { Payload } from '@/core/logbook';
import { mayMove } from '@/core/fault-finding/trials';
import type { JobStore } from '../job-store/use-job';
import { call } from '../api/call';

export interface WriteWish {
  parameter: Parameter;
  from: number;
  to: number;
  reason: string;
  trial: boolean;
  restores?: string;
}

const unknown =
  'The server did not answer: whether the drive took the value is not known. Read the entry before anything else.';

/**
 * Writes one entry of the drive. What is asked for is in the log before it is sent, and what became of it after:
 * whatever breaks in between, the log says that it was tried.
 */
export function useWrite(
  store: JobStore,
  target: string | null,
  typeId: string | null,
  say: (note: string | null) => void,
) {
  const [writing, setWriting] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);

  const write = async ({ parameter, from, to, reason, trial, restores }: WriteWish): Promise<boolean> => {
    if (target === null || typeId === null) return false;
    setWriting(true);
    setTrouble(null);
    say(null);
    const { number, name } = parameter;
    const asked: Payload<'drive.write-asked'> = {
      target,
      typeId,
      number,
      name,
      from,
      to,
      shownFrom: shownAs(parameter, from),
      shownTo: shownAs(parameter, to),
      reason,
      trial,
      mayMove: mayMove(parameter),
      runOpen: true,
      peopleClear: true,
      ...(restores === undefined ? {} : { restores }),
    };
    const id = store.record('drive.write-asked', asked);
    const failed = (why: string, certain: boolean): boolean => {
      store.record('drive.write-failed', { asked: id, why, certain });
      setTrouble(why);
      return false;
    };
    try {
      const answer = await call('POST /api/v1/drives/write', {
        body: { target, typeId, number, from, to, confirmed: true },
      });
      if (!answer.ok) return failed(answer.status === 0 ? unknown : answer.error, answer.certain === true);
      const { found, kept, lockOpen } = answer.value;
      store.record('drive.write-done', { asked: id, found });
      const command = isCommand(parameter);
      const took = command || Math.abs(found - to) < parameter.scale / 2;
      say(
        command
          ? `${number} ${name} was told: ${shownAs(parameter, to)}.`
          : took
            ? [
                `${number} ${name} is ${shownAs(parameter, found)}, read back.`,
                ...(!kept ? ['It lasts until power off: this type keeps edits only when told to.'] : []),
                ...(parameter.resets === undefined ? [] : ['It put other entries back: read out again.']),
                ...(lockOpen ? ['Its lock could not be shut again: shut it by hand.'] : []),
              ].join(' ')
            : `Written, but ${number} reads ${shownAs(parameter, found)}: the drive did not take it is.`,
      );
      return took;
    } finally {
      setWriting(false);
    }
  };
  return { writing, trouble, write };
}
