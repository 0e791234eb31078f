import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import * as z from 'zod';
import { controlSchema, driveTypeSchema } from '@/core/equipment/catalogue/schema';
import { meaningOf } from '@/core/equipment/drive-words';
import { atHome } from './keypad';
import type { Holder } from './memory';
import { plantInOrder } from './plant';
import { factorySettings } from './settings';
import { newUnit } from './unit';
import { inputConcept } from '@/core/equipment/concepts';

/** Both files of a type. */
export const filesSchema = z.strictObject({ type: driveTypeSchema, control: controlSchema });

const read = async (...path: string[]): Promise<unknown> =>
  JSON.parse(await readFile(join(process.cwd(), 'catalogue', ...path), 'utf8'));

/** Contacts that are closed while all is well. */
const restClosed: readonly (string | number | undefined)[] = [
  'enable',
  'interlock',
  'coast-break',
  'stop-break',
  'external-trip-break',
  'fast-stop-break',
];

/** A drive out of its box, on a plant in order that stands still. */
export async function boxed({
  type: typeId,
  model,
  fitted,
  serial,
  files,
}: {
  type: string;
  model: string;
  fitted: readonly string[];
  serial?: string | undefined;
  /** Both files of a type that does not ship. */
  files?: z.output<typeof filesSchema> | undefined;
}): Promise<Holder> {
  const { type, control } = files ?? {
    type: driveTypeSchema.parse(await read(typeId, 'type.json')),
    control: controlSchema.parse(await read(typeId, 'control.json')),
  };
  if (control.modbus === null)
    throw new Error(
      `${type.maker} ${type.range} has no registers yet: enter Modbus and the registers of its parameters, then it can be simulated.`,
    );
  const rated = type.models.find((m) => m.type === model);
  if (rated === undefined)
    throw new Error(
      `${type.maker} ${type.range} has no model ${model}: ${type.models.map((m) => m.type).join(', ')}`,
    );
  const { ratedAmps, power_kW } = rated;
  const { supply_V } = type;
  const settings = factorySettings(control, { ratedAmps, power_kW, supply_V }, { fitted });
  const plant = plantInOrder({ supply_V, motor: { ratedAmps, power_kW } });
  const contacts = Object.fromEntries(
    control.inputs.map(({ id }) => [
      id,
      restClosed.includes(meaningOf(control, settings.values, inputConcept(id))),
    ]),
  );
  const bank = {
    capacitance_F: rated.capacitance_uF * 1e-6,
    bleeder_ohm: rated.bleederOhm,
    precharge_ohm: type.stage.prechargeOhm,
  };
  return {
    box: { type: typeId, model, serial: serial ?? `${model.replace(/[^A-Z0-9]/gi, '')}-0001` },
    pad: atHome,
    plant: { ...plant, contacts },
    unit: newUnit(settings, bank, plant.ambient_C),
  };
}
