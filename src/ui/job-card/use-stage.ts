import { usePathname } from 'next/navigation';
import { useCallback, useEffect } from 'react';
import { stageAddress, stageIds, stageNames, type StageId } from '@/core/logbook';

/**
 * The stage of the address. Another one is gone to without asking the server: the browser's history has it, so that Back and
 * a reload come to it.
 * @param due shown where the address names none
 */
export function useStage(jobId: string, due: StageId): { open: StageId; goTo: (stage: StageId) => void } {
  const path = usePathname();
  const open = stageIds.find((id) => path === `/jobs/${jobId}/${stageAddress(id)}`) ?? due;
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
