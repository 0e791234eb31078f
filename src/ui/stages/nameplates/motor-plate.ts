import * as z from 'zod';
import { keysOf } from '@/core/numerics/arrays';
import { plateSums, type Plate } from '@/core/equipment/plate';
import type { Payload } from '@/core/logbook';
import { orNone, positiveFigureOr } from '../../kit/form-figures';
import { supplyFrequencies_Hz, type TermsProfile } from '@/core/terms';

type Motor = Payload<'identify.motor'>;

const needed = positiveFigureOr('Required, above zero');
const optional = orNone(positiveFigureOr('A number, e.g. 14.8'));
const optionalFigures = {
  cosPhi: optional,
  serviceFactor: optional,
  poles: optional,
  volts2: optional,
  amps2: optional,
};

/** The plate as it is typed, and what is read of it. */
export const motorPlateSchema = z
  .object({
    power: needed,
    unit: z.enum(['kW', 'hp']),
    volts: needed,
    amps: needed,
    hz: needed,
    rpm: needed,
    ...optionalFigures,
    connection: z.enum(['star', 'delta']),
    insulationClass: z.string().trim(),
    serial: z.string().trim(),
    photos: z.array(z.string()),
    /** Read again: the plate says so, though it cannot be. */
    asWritten: z.boolean(),
  })
  .transform(
    ({ power, unit, volts2, amps2, connection, insulationClass, serial, photos, asWritten, ...read }) => {
      const { cosPhi, serviceFactor, poles, ...rated } = read;
      const plate: Plate = {
        ...rated,
        power: { value: power, unit },
        ...(cosPhi === null ? {} : { cosPhi }),
        ...(serviceFactor === null ? {} : { serviceFactor }),
        ...(poles === null ? {} : { poles }),
        ...(volts2 === null || amps2 === null
          ? {}
          : {
              alternatives: [
                { connection: connection === 'star' ? 'delta' : 'star', volts: volts2, amps: amps2 },
              ],
            }),
      };
      return { plate, connection, photos, insulationClass, serial, asWritten };
    },
  );
export type PlateTyped = z.input<typeof motorPlateSchema>;

const figure = (x: number | undefined): string => (x === undefined ? '' : String(x));

/** What the form shows of a plate kept earlier; for none, what is usual where these terms are. */
export function plateTypedOf(motor: Motor | null, terms: TermsProfile): PlateTyped {
  const plate = motor?.plate;
  const other = plate?.alternatives?.[0];
  return {
    power: figure(plate?.power.value),
    unit: plate?.power.unit ?? (terms === 'us' ? 'hp' : 'kW'),
    volts: figure(plate?.volts),
    amps: figure(plate?.amps),
    hz: figure(plate?.hz ?? supplyFrequencies_Hz[terms][0]),
    rpm: figure(plate?.rpm),
    cosPhi: figure(plate?.cosPhi),
    serviceFactor: figure(plate?.serviceFactor),
    poles: figure(plate?.poles),
    volts2: figure(other?.volts),
    amps2: figure(other?.amps),
    connection: motor?.connection ?? 'star',
    insulationClass: motor?.insulationClass ?? '',
    serial: motor?.serial ?? '',
    photos: motor?.photos ?? [],
    asWritten: plate?.asWritten ?? false,
  };
}

/** The plate as far as it can be read while it is typed; null until the figures that matter are there. */
export function plateSoFar(typed: PlateTyped): Plate | null {
  const unread = keysOf(optionalFigures)
    .filter((name) => !optionalFigures[name].safeParse(typed[name]).success)
    .map((name) => [name, ''] as const);
  return motorPlateSchema.safeParse({ ...typed, ...Object.fromEntries(unread) }).data?.plate ?? null;
}

/** Its figures cannot be true together. */
export const isWrong = (plate: Plate): boolean =>
  plateSums(plate).findings.some((f) => f.severity === 'wrong');

/** What was read as an entry. */
export const motorEntryOf = ({
  plate,
  connection,
  photos,
  insulationClass,
  serial,
  asWritten,
}: z.output<typeof motorPlateSchema>): Motor => ({
  plate: isWrong(plate) ? { ...plate, asWritten } : plate,
  connection,
  photos,
  ...(serial === '' ? {} : { serial }),
  ...(insulationClass === '' ? {} : { insulationClass }),
});
