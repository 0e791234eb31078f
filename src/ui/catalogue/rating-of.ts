import type { DriveType } from '@/core/catalogue';
import type { Rating } from '@/core/drive-words';
import type { Payload } from '@/core/logbook';

type Drive = Pick<Payload<'identify.drive'>, 'typeId' | 'type' | 'ratedAmps' | 'supply_V' | 'phases'>;

export const modelOf = (
  { typeId, type }: Drive,
  types: readonly DriveType[],
): DriveType['models'][number] | undefined =>
  types.find((t) => t.id === typeId)?.models.find((m) => m.type === type);

/** What limits and defaults of a drive are shares of. */
export function ratingOf(drive: Drive, types: readonly DriveType[]): Rating {
  const { ratedAmps, supply_V, phases } = drive;
  // Of a model that no catalogue knows: about what its amps carry.
  const carried_kW = (Math.sqrt(phases) * supply_V * ratedAmps * 0.8) / 1000;
  return { ratedAmps, supply_V, power_kW: modelOf(drive, types)?.power_kW ?? carried_kW };
}
