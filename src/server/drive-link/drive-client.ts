import type { Control } from '../../core/equipment/catalogue';
import {
  busOf,
  historyRegisters,
  liveOf,
  onBus,
  slotsOf,
  textOfWords,
  valueOf,
} from '../../core/equipment/drive-words';
import { HttpError } from '../http/guard';
import type { DriveIdentity, ReadOut } from '../../api/contract';

/** One drive that can be asked and told, wherever its connection is. */
export interface DriveClient {
  target: string;
  identify: () => Promise<DriveIdentity>;
  /** Registers that the drive does not have are left out. */
  read: (registers: readonly number[]) => Promise<readonly (readonly [register: number, word: number])[]>;
  /** Writes one register and reads it back. */
  write: (register: number, word: number) => Promise<number>;
}

export const isOf = (identity: DriveIdentity, control: Control | null): boolean =>
  control !== null &&
  control.modbus !== null &&
  identity.vendor === control.modbus.identification.vendor &&
  identity.product === control.modbus.identification.product;

/** Who answers, where it is the type that was identified. @throws Refused where it is another */
export async function rightDrive(talk: DriveClient, control: Control): Promise<DriveIdentity> {
  const identity = await talk.identify();
  if (isOf(identity, control)) return identity;
  const { vendor, product } = busOf(control).identification;
  throw new HttpError(
    409,
    `Another drive answers at ${talk.target}: ${identity.vendor} ${identity.product}, where ${vendor} ${product} was identified. Nothing was read or written.`,
  );
}

function serialRegisters(control: Control): number[] {
  const { serialNumber } = busOf(control);
  return serialNumber === undefined
    ? []
    : Array.from({ length: serialNumber.words }, (_, i) => serialNumber.register + i);
}

/** The serial number of the unit that answers; null where its type does not say it. */
export async function serialOf(talk: DriveClient, control: Control): Promise<string | null> {
  const registers = serialRegisters(control);
  if (registers.length === 0) return null;
  const words = new Map(await talk.read(registers));
  return textOfWords(registers.map((r) => words.get(r) ?? 0x2020)) || null;
}

/**
 * Everything the drive has: entries, live values, fault history.
 * @throws Refused where another type answers than the one identified, or the link fails
 */
export async function readAll(talk: DriveClient, control: Control): Promise<ReadOut> {
  const identity = await rightDrive(talk, control);
  const slots = historyRegisters(control);
  const serials = serialRegisters(control);
  const parameters = onBus(control.parameters);
  const registers = [...parameters, ...busOf(control).live].map((x) => x.register);
  const byRegister = new Map(await talk.read([...registers, ...slots, ...serials]));
  const serial = textOfWords(serials.map((r) => byRegister.get(r) ?? 0x2020));
  return {
    identity,
    ...(serial === '' ? {} : { serial }),
    values: Object.fromEntries(
      parameters.flatMap((p) => {
        const word = byRegister.get(p.register);
        return word === undefined || p.concept === 'lock.code' ? [] : [[p.number, valueOf(p, word)]];
      }),
    ),
    live: liveOf(control, (r) => byRegister.get(r)),
    history: slotsOf(
      control,
      slots.map((r) => byRegister.get(r) ?? 0),
    ),
  };
}
