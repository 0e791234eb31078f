import { reformingOf } from '@/core/equipment/supply';
import type { Payload } from '@/core/logbook';
import { useControl } from '../../drive-link/use-control';
import { Caution } from '../../kit/caution';

/** What a bank that was stored is given before full voltage, said before anything is switched on. */
export function Reforming({
  place,
  typeId,
}: {
  /** Null: nobody said how long it was stored. */
  place: Payload<'startup.place'> | null;
  typeId: string | null;
}) {
  const { control } = useControl(typeId);
  const steps = place === null ? [] : reformingOf(place.storedYears, control?.fitting.storage);
  return place !== null && steps.length === 0 ? null : (
    <Caution signal="CAUTION" title="Reform capacitors before full voltage.">
      {place === null
        ? 'Storage time not entered (Commissioning, supply and installation). After a year without power, reform the capacitor bank in stages first.'
        : steps.join(' ')}
    </Caution>
  );
}
