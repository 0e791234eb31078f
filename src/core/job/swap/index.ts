// The swap of a job: what its units, sets and wires make of each other.
import { modelOf, ratingOf, type Control, type DriveType } from '../../equipment/catalogue';
import type { Values } from '../../equipment/drive-words';
import type { JobState, KeptSet, Payload } from '../../logbook';
import { factorySet, translate, type Translation, type UnitSet } from '../../parameter-sets/parameters';
import {
  fitCheck,
  nothingAsked,
  unitOfModel,
  type UnitRequirements,
  type FitCheck,
  type FitUnit,
} from '../../replacement/replacement';
import { wireMap, wireIssues, type WiredUnit, type WireMap, type WireIssue } from '../../replacement/wires';

type Units = Payload<'swap.units'>;
/** A unit by its plate. */
export type PlateUnit = Units['old'];

/** A type of the catalogue with its control.json. */
export interface KnownType {
  type: DriveType;
  control: Control;
}

/** The drive of a job as a unit by its plate. */
export const plateOf = (drive: Payload<'identify.drive'> & { ratedAmps: number }): PlateUnit => ({
  typeId: drive.typeId,
  maker: drive.maker,
  type: drive.type,
  ...(drive.serial === undefined || drive.serial === '' ? {} : { serial: drive.serial }),
  supply_V: drive.supply_V,
  phases: drive.phases,
  ratedAmps: drive.ratedAmps,
});

/** What comes out and what goes in: as it was said, or the drive of the job and nothing yet; null where its size is not known. */
export const unitsOf = ({ swap, drive }: Pick<JobState, 'swap' | 'drive'>): Units | null => {
  if (swap.units !== null) return swap.units;
  const amps = drive?.ratedAmps ?? null;
  return drive === null || amps === null ? null : { old: plateOf({ ...drive, ratedAmps: amps }), next: null };
};

/** Where the values of a unit come from. */
export interface ValuesFrom {
  from: 'set' | 'translated' | 'factory';
  /** Name of the set they are, or come from. */
  name: string | null;
}

const newestOf = (sets: readonly KeptSet[], typeId: string | null): KeptSet | undefined =>
  [...sets].reverse().find((s) => s.typeId === typeId);

interface Valued {
  set: UnitSet & { control: Control };
  /** What the kept set itself tells; null: none is kept. */
  kept: Values | null;
  from: ValuesFrom;
}

/** A unit with the newest set of its type, or as the factory makes it. */
function valued(unit: PlateUnit, known: KnownType, sets: readonly KeptSet[]): Valued {
  const rating = ratingOf(unit, [known.type]);
  const bare = { typeId: known.type.id, control: known.control, rating };
  const factory = factorySet(bare, '50Hz');
  const kept = newestOf(sets, unit.typeId);
  return kept === undefined
    ? { set: { ...bare, values: factory.values }, kept: null, from: { from: 'factory', name: null } }
    : {
        // A set from paper may be short of entries: what it does not tell is as the factory made it.
        set: { ...bare, values: { ...factory.values, ...kept.values } },
        kept: kept.values,
        from: { from: 'set', name: kept.name },
      };
}

/** The next unit with a set of its own type, else with the old unit's carried over to it. */
function nextValued(unit: PlateUnit, known: KnownType, old: Valued | null, sets: readonly KeptSet[]): Valued {
  const own = valued(unit, known, sets);
  if (own.from.from === 'set' || old === null || old.from.from === 'factory') return own;
  const { values } = translate(old.set, own.set);
  return { set: { ...own.set, values }, kept: null, from: { from: 'translated', name: old.from.name } };
}

/** The old unit's set on the new type, row by row; null where no set of the old one is kept. */
const carriedRows = (old: Valued | null, next: Valued | null): Translation | null =>
  old === null || next === null || old.kept === null
    ? null
    : translate({ ...old.set, values: old.kept }, next.set);

const wiredOf = ({ set }: Valued, known: KnownType): WiredUnit => ({
  type: known.type,
  control: known.control,
  rating: set.rating,
  values: set.values,
});

/** The replacement of a unit as a whole: both units with their values, fit and wires. */
export interface Swap {
  units: Units;
  old: { wired: WiredUnit; from: ValuesFrom } | null;
  next: { wired: WiredUnit; from: ValuesFrom } | null;
  /** Null where one of the types is not known. */
  map: WireMap | null;
  /** The old unit's set on the new type; null where there is none, or it is the same type. */
  carried: Translation | null;
  issues: WireIssue[];
  asked: UnitRequirements;
  /** Null before there is a next unit. */
  fit: FitCheck | null;
}

/** Terminals that the list has wires for; null before there is one. */
function wiredCounts({ wires }: JobState['swap']): UnitRequirements['wired'] {
  if (wires.length === 0) return null;
  const count = (test: (role: string) => boolean): number =>
    new Set(
      wires
        .filter((w) => test(w.role))
        .map((w) => `${w.from ?? w.id} ${w.role.startsWith('relay:') ? '' : w.role}`),
    ).size;
  const relays = new Set(wires.flatMap((w) => (w.role.startsWith('relay:') ? [w.role.split(':')[1]] : [])));
  return {
    digital: count((r) => r.startsWith('in:')),
    analog: count((r) => r.startsWith('reference-')),
    analogOut: count((r) => r === 'analog-out') > 0 ? 1 : 0,
    relays: relays.size,
    safe: wires.some((w) => w.role === 'safe-1' || w.role === 'safe-2'),
  };
}

/** What machine and place ask: as it was said, with what the job knows already. */
export function askedOf(state: JobState): UnitRequirements {
  const { startUp, motor, swap, drive } = state;
  const place = startUp.place;
  const brakeWired = swap.wires.some((w) => w.role === 'power:BR');
  const said: UnitRequirements = swap.asked ?? {
    supply: {
      volts: startUp.chosen?.supply.volts ?? drive?.supply_V ?? null,
      phases: place?.phases ?? drive?.phases ?? 3,
      earthing: place?.earthing ?? 'star-earthed',
    },
    ...nothingAsked,
    motorAmps: motor?.plate.amps ?? null,
    ambient_C: place?.ambient_C ?? null,
    altitude_m: place?.altitude_m ?? null,
    carrier_kHz: place?.carrier_kHz ?? null,
    sideBySide: place?.sideBySide ?? false,
  };
  return {
    ...said,
    brakes: said.brakes ?? (brakeWired ? true : null),
    wired: wiredCounts(swap) ?? said.wired,
    // What a job knows nothing of is asked, not passed over.
    cable: said.cable ?? startUp.place?.cable ?? null,
    shortCircuit_kA: said.shortCircuit_kA ?? null,
    emc: said.emc ?? null,
  };
}

/** A unit for the fit check: from the catalogue where it is there, else its plate alone. */
export function fitUnitOf(unit: PlateUnit, known: KnownType | null): FitUnit {
  const model = known === null ? undefined : modelOf(unit, [known.type]);
  const plate = {
    maker: unit.maker,
    type: unit.type,
    supply_V: unit.supply_V,
    phases: unit.phases,
    ratedAmps: unit.ratedAmps,
    firmware: unit.firmware ?? null,
  };
  return known === null || model === undefined
    ? {
        ...plate,
        power_kW: null,
        discontinued: known?.type.discontinued ?? false,
        brake: known?.type.stage.brake ?? false,
        control: known?.control ?? null,
      }
    : { ...unitOfModel(known.type, model, known.control), ...plate };
}

/**
 * The swap of a job.
 * @param known what the catalogue says of a type id; null: nothing
 * @returns null before the drive was identified
 */
export function swapOf(state: JobState, known: (typeId: string) => KnownType | null): Swap | null {
  const units = unitsOf(state);
  if (units === null) return null;
  const typeOf = (unit: PlateUnit | null): KnownType | null =>
    unit === null || unit.typeId === null ? null : known(unit.typeId);
  const [oldType, nextType] = [typeOf(units.old), typeOf(units.next)];
  const old = oldType === null ? null : valued(units.old, oldType, state.sets);
  const next =
    nextType === null || units.next === null ? null : nextValued(units.next, nextType, old, state.sets);
  const oldWired = old === null || oldType === null ? null : wiredOf(old, oldType);
  const nextWired = next === null || nextType === null ? null : wiredOf(next, nextType);
  const map =
    oldWired === null || nextWired === null
      ? null
      : wireMap(state.swap.wires, oldWired, nextWired, state.swap.selectors);
  const asked = askedOf(state);
  return {
    units,
    old: oldWired === null || old === null ? null : { wired: oldWired, from: old.from },
    next: nextWired === null || next === null ? null : { wired: nextWired, from: next.from },
    map,
    carried: oldType?.type.id === nextType?.type.id ? null : carriedRows(old, next),
    issues: wireIssues(state.swap.wires, map?.fates ?? []),
    asked,
    fit:
      units.next === null
        ? null
        : fitCheck(fitUnitOf(units.old, oldType), fitUnitOf(units.next, nextType), asked),
  };
}
