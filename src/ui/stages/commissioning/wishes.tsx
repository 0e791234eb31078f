import { useState } from 'react';
import { ConfirmWrite } from '../../drive-link/confirm-write';
import type { WriteWish } from '../../drive-link/use-write';

export interface Wishes {
  wishes: readonly WriteWish[];
  ask: (wishes: readonly WriteWish[]) => void;
  go: () => void;
  /** How often the drive did not take one: each time both questions are asked again. */
  refusals: number;
}

/** Values that are to be written, until they are confirmed and taken. */
export function useWishes(write: (wish: WriteWish) => Promise<boolean>): Wishes {
  const [wishes, ask] = useState<readonly WriteWish[]>([]);
  const [refusals, setRefusals] = useState(0);
  /** One after the other; the first that is not taken stops it. */
  const writeAll = async ([first, ...others]: readonly WriteWish[]): Promise<void> => {
    if (first === undefined) return ask([]);
    if (!(await write(first))) {
      ask([first, ...others]);
      return setRefusals((n) => n + 1);
    }
    await writeAll(others);
  };
  return { wishes, ask, go: () => void writeAll(wishes), refusals };
}

/** The question before they are written; nothing where none is. */
export function AskToWrite({ wishes, ask, go, refusals, writing }: Wishes & { writing: boolean }) {
  return wishes.length === 0 ? null : (
    <ConfirmWrite
      key={`${wishes.map((w) => `${w.parameter.number} ${w.to}`).join()} ${refusals}`}
      wishes={wishes}
      writing={writing}
      cancel={() => ask([])}
      go={go}
    />
  );
}
