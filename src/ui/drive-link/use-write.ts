import { isCommand, shownAs } from '@/core/equipment/drive-words';
import { useState } from 'react';
import { v7 } from 'uuid';
import type { Parameter } from '@/core/equipment/catalogue';
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
 * Writes one entry of the drive. The server keeps in the log what is asked for before it is sent, and what became of it after:
 * whatever breaks in between, the log says that it was tried.
 */
export function useWrite(store: JobStore, target: string | null, say: (note: string | null) => void) {
  const [writing, setWriting] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);

  const write = async ({ parameter, from, to, reason, trial, restores }: WriteWish): Promise<boolean> => {
    if (target === null) return false;
    setWriting(true);
    setTrouble(null);
    say(null);
    const { number, name } = parameter;
    try {
      const answer = await call('POST /api/v1/drives/write', {
        body: {
          ...{ id: v7(), jobId: store.jobId, target, number, from, to, reason, trial, confirmed: true },
          ...(restores === undefined ? {} : { restores }),
        },
      });
      // What the log says of it is to be on the page when this is over.
      await store.catchUp();
      if (!answer.ok) {
        setTrouble(answer.status === 0 ? unknown : answer.error);
        return false;
      }
      const { found, kept, lockOpen } = answer.value;
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
