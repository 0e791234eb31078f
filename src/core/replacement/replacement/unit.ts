import type { MotorCable } from '../../equipment/cable';
import type { Control, DriveModel, DriveType } from '../../equipment/catalogue';

/** A unit as the fit check knows it: its plate, and of its type what the catalogue says. */
export interface FitUnit {
  maker: string;
  type: string;
  /** Null: nobody knows it. */
  supply_V: number | null;
  phases: 1 | 3;
  ratedAmps: number;
  power_kW: number | null;
  discontinued: boolean;
  /** It has a brake transistor. */
  brake: boolean;
  firmware: string | null;
  /** Null: of an unknown type. */
  control: FitControl | null;
}

/** What of control.json the fit check reads. */
export type FitControl = Pick<
  Control,
  | 'inputs'
  | 'analogInputs'
  | 'analogOutput'
  | 'relays'
  | 'safeStop'
  | 'options'
  | 'supply'
  | 'fitting'
  | 'mounting'
>;

/** A frame size of a type with its dimensions. */
export type Size = Control['fitting']['sizes'][number];

/** The frame size of a unit; null where the catalogue does not say. */
export const sizeOf = (unit: FitUnit): Size | null =>
  unit.control?.fitting.sizes.find((s) => s.types.includes(unit.type)) ?? null;

/** A model of the catalogue as a unit; amps and serial number as its plate says. */
export const unitOfModel = (type: DriveType, model: DriveModel, control: FitControl | null): FitUnit => ({
  maker: type.maker,
  type: model.type,
  supply_V: type.supply_V,
  phases: type.phases,
  ratedAmps: model.ratedAmps,
  power_kW: model.power_kW,
  discontinued: type.discontinued,
  brake: type.stage.brake,
  firmware: null,
  control,
});

/** What the machine and its place ask of a unit; null: not said. */
export interface UnitRequirements {
  supply: { volts: number | null; phases: 1 | 3; earthing: 'star-earthed' | 'isolated' | 'corner-earthed' };
  motorAmps: number | null;
  duty: 'normal' | 'heavy' | null;
  ambient_C: number | null;
  altitude_m: number | null;
  carrier_kHz: number | null;
  sideBySide: boolean;
  brakeResistor_ohm: number | null;
  /** Does the load drive the motor, so that a chopper is needed? */
  brakes: boolean | null;
  feedback: boolean | null;
  /** The network it is on; null: none. */
  network: { name: string; answers: Readonly<Record<string, string>> } | null;
  /** Terminals that have a wire. */
  wired: { digital: number; analog: number; analogOut: number; relays: number; safe: boolean } | null;
  /** Room in the cabinet, with the clearance. */
  room_mm: { width: number | null; height: number | null; depth: number | null };
  /** Where the cables come from. */
  cablesFrom: 'below' | 'above' | null;
  protection: string | null;
  /** To the motor; null: not known. Absent: nobody asks. */
  cable?: Pick<MotorCable, 'length_m' | 'winding' | 'filter'> | null | undefined;
  /** What the supply can drive into a short circuit at the drive, kA; null: not known. Absent: nobody asks. */
  shortCircuit_kA?: number | null | undefined;
  /** What the place asks of emissions (IEC 61800-3); null: not known. Absent: nobody asks. */
  emc?: EmcCategory | null | undefined;
}

/** Categories of emission, the strictest first (IEC 61800-3, from memory). */
export const emcCategories = ['C1', 'C2', 'C3', 'C4'] as const;
/** A category of emission. */
export type EmcCategory = (typeof emcCategories)[number];

/** Nothing is said but the supply. */
export const nothingAsked: Omit<UnitRequirements, 'supply'> = {
  motorAmps: null,
  duty: null,
  ambient_C: null,
  altitude_m: null,
  carrier_kHz: null,
  sideBySide: false,
  brakeResistor_ohm: null,
  brakes: null,
  feedback: null,
  network: null,
  wired: null,
  room_mm: { width: null, height: null, depth: null },
  cablesFrom: null,
  protection: null,
};
