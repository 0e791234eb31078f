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
    <Caution title="Reforming comes before full voltage.">
      {place === null
        ? 'How long the unit was stored is not said (Settings, supply and place). After a year without power its bank is reformed in stages first.'
        : steps.join(' ')}
    </Caution>
  );
}
