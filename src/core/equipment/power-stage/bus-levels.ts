/** Where a drive trips and switches its brake chopper, V at the DC bus. */
export interface BusLevels {
  /** DC bus overvoltage fault. */
  trip_V: number;
  /** The brake chopper switches on. */
  chopper_V: number;
  /** DC bus undervoltage fault. */
  under_V: number;
}

/** Voltage classes by the highest rated line volts (figures from memory; a type of the catalogue may have its own). */
const classes: readonly (BusLevels & { upTo_V: number })[] = [
  { upTo_V: 240, trip_V: 400, chopper_V: 380, under_V: 200 },
  { upTo_V: 500, trip_V: 800, chopper_V: 760, under_V: 360 },
  { upTo_V: 690, trip_V: 1150, chopper_V: 1080, under_V: 550 },
];

/** Above this there is no class, V. */
export const highestClass_V = 690;

/**
 * The levels of a drive: of its own type, otherwise of its voltage class. Never a factor of the supply that is measured.
 * @param rated_V line volts that the unit is made for
 * @param own what the type says of itself
 * @throws RangeError above 690 V, where there is no class
 */
export function busLevelsOf(rated_V: number, own?: BusLevels): BusLevels {
  if (own !== undefined) return own;
  const found = classes.find(({ upTo_V }) => rated_V <= upTo_V);
  if (found === undefined)
    throw new RangeError(`no voltage class for ${rated_V} V: the type must state its bus levels`);
  const { trip_V, chopper_V, under_V } = found;
  return { trip_V, chopper_V, under_V };
}

/** Volts that probes, meter and leads must stand at the bus of a unit, also in common mode: CAT III, never less than 1000 V. */
export const probeVolts = (rated_V: number): number =>
  Math.max(1000, rated_V <= highestClass_V ? busLevelsOf(rated_V).trip_V : 2 * rated_V);
