// Causes that may be behind many faults: weather, dust, animals, ageing.
import type { AlarmFamily } from '../../../equipment/concepts';
import type { TraceCause, TraceTable, UnreportedProblem } from '../table';
import { cause, check } from './build';

type Family = AlarmFamily | UnreportedProblem;

interface CommonCause {
  cause: TraceCause;
  /** Where it is likely enough to be named. */
  families: readonly Family[];
}

/** Weights are parts of about a hundred, small beside the usual causes (common practice, no source). */
const commonCauses: readonly CommonCause[] = [
  {
    cause: cause('surge-arrester', 'a surge arrester has failed', 3, 40, 'Replace it; check its indicator window or resistance.'),
    families: ['input-phase-loss', 'overvoltage', 'dead-display', 'undervoltage'],
  },
  {
    cause: cause('lightning', 'lightning, or a surge from the supply', 3, 90, 'Replace surge arresters; then check for further damage: supply, rectifier, inputs.'),
    families: ['overvoltage', 'desaturation', 'short-circuit', 'charging', 'memory', 'gate-supply', 'dead-display', 'communication', 'protection-trips'],
  },
  {
    cause: cause('capacitor-switching', 'power-factor capacitors are switched on the same supply', 3, 70, 'Line choke, or delayed capacitor switching; ask the supplier for the switching times.'),
    families: ['overvoltage', 'overvoltage-decelerating', 'intermittent'],
  },
  {
    cause: cause('condensation', 'condensation in the unit, the cable or the motor', 4, 60, 'Dry it, then test; fit a heater or move the unit.'),
    families: ['ground', 'desaturation', 'short-circuit', 'protection-trips', 'gate-supply', 'control-rail', 'sto-mismatch', 'intermittent', 'dead-display', 'encoder'],
  },
  {
    cause: cause('conductive-dust', 'conductive dust on a board or between terminals', 3, 60, 'Dead: clean and dry, then static test; check filter and enclosure.'),
    families: ['ground', 'short-circuit', 'protection-trips', 'current-sensor', 'brake-chopper', 'over-temperature', 'stall', 'fan'],
  },
  {
    cause: cause('rodents', 'rodent damage to a wire', 2, 60, 'Replace the wire; close the opening.'),
    families: ['external', 'encoder', 'communication', 'reference-loss', 'output-phase-loss', 'protection-trips', 'intermittent', 'sto-mismatch'],
  },
  {
    cause: cause('fretting', 'fretting contact, worn by vibration', 3, 40, 'Dead: clean or replace the plug; fit strain relief.'),
    families: ['communication', 'encoder', 'keypad', 'reference-loss', 'temperature-sensor', 'external', 'current-sensor', 'no-motion', 'overcurrent-steady', 'thermistor'],
  },
  {
    cause: cause('solder', 'cracked solder joint', 3, 120, 'Repair it on the bench, or replace the unit.'),
    families: ['keypad', 'memory', 'temperature-sensor', 'gate-supply', 'current-sensor', 'intermittent', 'fan', 'control-rail', 'autotune', 'other'],
  },
  {
    cause: cause('capacitor-wear', 'dried-out capacitors', 4, 140, 'Measure capacitance and ripple; replace the capacitors or the unit.'),
    families: ['charging', 'dead-display', 'control-rail', 'gate-supply', 'overvoltage-rest', 'hunting', 'other', 'overload'],
  },
];

const bySight = ['surge-arrester', 'condensation', 'conductive-dust', 'rodents', 'fretting', 'solder'];
const byMoment = ['lightning', 'capacitor-switching', 'condensation'];

/** The chances of those of a table's causes that a check shows; null: it shows none of them. */
const chancesOf = (causes: readonly TraceCause[], ids: readonly string[], chance: number) => {
  const shown = causes.filter(({ id }) => ids.includes(id));
  return shown.length === 0 ? null : Object.fromEntries(shown.map(({ id }) => [id, chance]));
};

/** A table with the common causes that belong to its family, and the checks that show them. */
export function withCommonCauses(table: TraceTable): TraceTable {
  const added = commonCauses.filter((c) => c.families.includes(table.family)).map((c) => c.cause);
  const seen = chancesOf(added, bySight, 0.85);
  const timed = chancesOf(added, byMoment, 0.85);
  return {
    ...table,
    causes: [...table.causes, ...added],
    checks: [
      ...table.checks,
      ...(seen === null
        ? []
        : [check('inside', 'Dead: inspect inside with a lamp: moisture, dust, rodent damage, dull contacts, cracked joints, blown arrester?', 6, 'dead', ['something found', 'clean and dry'], seen, 0.05)]),
      ...(timed === null
        ? []
        : [check('weather', 'Ask: after a storm, on damp mornings, or when the supply switches capacitors?', 1, 'none', ['yes', 'no'], timed, 0.06)]),
    ],
  };
}
