import { usePathname } from 'next/navigation';
import { useCallback, useEffect } from 'react';
import { currentStage, stageAddress, stageNames, type StageId, type StageLine } from '@/core/logbook';

/**
 * The stage of the address. Another one is gone to without asking the server: the browser's history has it, so that Back and
 * a reload come to it.
 * @param lines the stages that there are; where the address names none of them, the one that is due is shown
 */
export function useStage(
  jobId: string,
  lines: readonly StageLine[],
): { open: StageId; goTo: (stage: StageId) => void } {
  const path = usePathname();
  const open =
    lines.find(({ id }) => path === `/jobs/${jobId}/${stageAddress(id)}`)?.id ?? currentStage(lines);
  useEffect(() => {
    document.title = `${stageNames[open]} · Grim Spanner`;
  }, [open]);
  const goTo = useCallback(
    (stage: StageId) => {
      window.history.pushState(null, '', `/jobs/${jobId}/${stageAddress(stage)}`);
      window.scrollTo({ top: 0 });
    },
    [jobId],
  );
  return { open, goTo };
}
