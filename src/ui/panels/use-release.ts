import { useMemo } from 'react';
import { ratingOf, type DriveType } from '@/core/equipment/catalogue';
import { releaseOf, type Release } from '@/core/job/release';
import type { JobState } from '@/core/logbook';
import { useControl } from '../drive-link/use-control';

/** What stands against the start-up of a job; null before a sheet was begun, or while its type is on its way. */
export function useRelease(state: JobState, catalogue: readonly DriveType[]): Release | null {
  const { drive } = state;
  const { control } = useControl(drive?.typeId ?? null);
  return useMemo(
    () => (drive === null || control === null ? null : releaseOf(state, control, ratingOf(drive, catalogue))),
    [state, drive, control, catalogue],
  );
}
