import { useEffect, useRef } from 'react';
import type { KeptReading } from '@/core/logbook';
import { probeKey } from '@/core/equipment/power-stage';
import type { ReadingJudgement } from '@/core/bench/static-diagnosis';
import { play } from './sounds';

/** A reading older than this when the page opens was heard before, ms. */
const old_ms = 5000;

/** The sound follows the judgement of the newest reading, not the keystroke. */
export function useJudgementSound(
  last: KeptReading | undefined,
  judgements: readonly ReadingJudgement[],
  quiet: boolean,
): void {
  const sounded = useRef<string | null>(null);
  const state =
    last === undefined ? undefined : judgements.find((j) => probeKey(j) === probeKey(last))?.state;
  useEffect(() => {
    if (last === undefined || state === undefined || sounded.current === last.entryId) return;
    const heardBefore = sounded.current === null && Date.now() - last.at > old_ms;
    sounded.current = last.entryId;
    if (!heardBefore && !quiet) play(state);
  }, [state, last, quiet]);
}
