import type { ConceptId } from '../../equipment/concepts';
import { recordOf } from '../../numerics/arrays';

/** What a figure is a share of: percent of a drive's amps mean something else on another drive. */
const ofDriveAmps: readonly ConceptId[] = [
  'protect.overload-percent',
  'limit.current',
  'stop.dc-current',
  'brake.release-current',
];
/** Is it a percentage of the drive's rated current? */
export const isShareOfDrive = (concept: ConceptId): boolean => ofDriveAmps.includes(concept);

/** The same thing in amps on one type and in percent of the drive on another. */
const pairs: readonly [percent: ConceptId, amps: ConceptId][] = [
  ['protect.overload-percent', 'protect.overload-amps'],
  ['limit.current', 'limit.current-amps'],
];

/** The other form of a concept; undefined where it has one form only. */
export function otherForm(concept: ConceptId): ConceptId | undefined {
  for (const [percent, amps] of pairs) {
    if (concept === percent) return amps;
    if (concept === amps) return percent;
  }
  return undefined;
}

/** Protection is rounded down, never up; the rest to the nearest step. */
export const roundsDown = (concept: ConceptId): boolean =>
  concept.startsWith('protect.overload-') || concept === 'limit.current' || concept === 'limit.current-amps';

/** Times that count to a frequency. */
const rampTimes: readonly ConceptId[] = ['ramp.up', 'ramp.down', 'ramp.up-2', 'ramp.down-2'];
/** Is it a time that counts to a ramp's reference frequency? */
export const isRampTime = (concept: ConceptId): boolean => rampTimes.includes(concept);

const repeatAutotune = 'autotune results are never transferred: repeat autotune on the new unit';
/** What an autotune found of a motor: kept in its unit, never carried to another. */
const autotuneFinds = ['motor.stator-resistance', 'motor.no-load-current'] as const satisfies ConceptId[];
/** Did an autotune find it out of the motor that is connected? */
export const isAutotuneFind = (concept: ConceptId): boolean => autotuneFinds.some((c) => c === concept);

/** They belong to a motor, a unit or a moment, not to a set that is carried. */
const homeless: Partial<Record<ConceptId, string>> = {
  ...recordOf(autotuneFinds, () => repeatAutotune),
  'motor.ident-state': repeatAutotune,
  'motor.ident': 'command: give when needed',
  'lock.code': 'access code of the old type',
  'lock.parameters': 'lock after all values are written',
  'store.save': 'command: give after all values are written',
  'factory.reset': 'command: give before everything else, if needed',
  'clock.set': 'set the clock on the new unit',
};
/** Why a concept is not carried; undefined: it is. */
export const notCarried = (concept: ConceptId): string | undefined => homeless[concept];
