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
  'The server did not answer: the drive may or may not have accepted the value. Read the parameter before you go on.';

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
          ? `${number} ${name}: write sent, ${shownAs(parameter, to)}.`
          : took
            ? [
                `${number} ${name} is ${shownAs(parameter, found)}, read back.`,
                ...(!kept
                  ? ['The change is lost at power-off: this type saves changes only on command.']
                  : []),
                ...(parameter.resets === undefined ? [] : ['It reset other parameters: read out again.']),
                ...(lockOpen ? ['Could not re-lock the parameter: lock it by hand.'] : []),
              ].join(' ')
            : `Written, but ${number} reads ${shownAs(parameter, found)}: the drive changed the value.`,
      );
      return took;
    } finally {
      setWriting(false);
    }
  };
  return { writing, trouble, write };
}
