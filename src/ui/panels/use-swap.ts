import { useMemo } from 'react';
import type { Control, DriveType } from '@/core/equipment/catalogue';
import type { JobState } from '@/core/logbook';
import { swapOf, unitsOf, type KnownType, type Swap } from '@/core/job/swap';
import { useControl } from '../drive-link/use-control';

export interface SwapNow {
  /** Null before the drive was identified. */
  swap: Swap | null;
  old: KnownType | null;
  next: KnownType | null;
  /** What the catalogue knows of both is still on its way. */
  loading: boolean;
  /** Why something is not known. */
  trouble: string | null;
}

/** The swap of a job with what the catalogue says of both types. */
export function useSwap(state: JobState, catalogue: readonly DriveType[]): SwapNow {
  const units = unitsOf(state);
  const oldId = units?.old.typeId ?? null;
  const nextId = units?.next?.typeId ?? null;
  const { control: oldControl, trouble: oldTrouble } = useControl(oldId);
  const { control: nextControl, trouble: nextTrouble } = useControl(nextId);
  const [old, next] = useMemo(() => {
    const known = (id: string | null, control: Control | null): KnownType | null => {
      const type = catalogue.find((t) => t.id === id);
      return type === undefined || control === null ? null : { type, control };
    };
    return [known(oldId, oldControl), known(nextId, nextControl)];
  }, [catalogue, oldId, nextId, oldControl, nextControl]);
  const swap = useMemo(
    () => swapOf(state, (id) => (id === old?.type.id ? old : id === next?.type.id ? next : null)),
    [state, old, next],
  );
  const waits = (id: string | null, control: Control | null, trouble: string | null): boolean =>
    id !== null && control === null && trouble === null;
  return {
    swap,
    old,
    next,
    loading: waits(oldId, oldControl, oldTrouble) || waits(nextId, nextControl, nextTrouble),
    trouble: (oldId === null ? null : oldTrouble) ?? (nextId === null ? null : nextTrouble),
  };
}
