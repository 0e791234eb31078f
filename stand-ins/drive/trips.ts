// What makes the simulated drive trip, and how long it must last.
import type { AlarmFamily } from '@/core/equipment/concepts';
import { busLevelsOf } from '@/core/equipment/power-stage';
import type { Plant } from './plant';
import { figureOf, functionOn, simulatedPlace, setTo, type SimulatedUnit } from './view';

interface Suspicion {
  /** The first of these that the type has an alarm for. */
  families: AlarmFamily[];
  there: boolean;
  /** How long before it trips, s. */
  after_s: number;
}

/** Phase loss shows from this share of the rated current on (common practice, no source). */
const phaseShows = 0.3;

function suspicions(unit: SimulatedUnit, plant: Plant): Suspicion[] {
  const { machine, settings, state, output_Hz, reference_Hz } = unit;
  const { ratedAmps, supply_V } = settings.rating;
  const levels = busLevelsOf(supply_V);
  const running = state === 'running' || state === 'stopping';
  const acts = (concept: Parameters<typeof setTo>[1]) => (setTo(unit, concept) ?? 'trip') === 'trip';
  const slowing = state === 'stopping' || Math.abs(output_Hz) > Math.abs(reference_Hz) + 0.1;
  const speeding = !slowing && Math.abs(output_Hz) < Math.abs(reference_Hz) - 0.1;
  const encoder =
    setTo(unit, 'control.mode') === 'vector-encoder' || setTo(unit, 'feedback.encoder') === 'encoder';
  const source = setTo(unit, `place.${simulatedPlace(unit, plant)}-reference`);
  const lossOf = (input: 'AI1' | 'AI2') =>
    source === input && setTo(unit, `input.${input}-signal`) === '4-20mA' && plant[input] < 3.5;
  return [
    {
      families: ['desaturation', 'short-circuit'],
      there: running && plant.hidden.transistorShort,
      after_s: 0,
    },
    { families: ['ground'], there: running && plant.hidden.groundFault, after_s: 0 },
    {
      families: [
        slowing ? 'overcurrent-decelerating' : speeding ? 'overcurrent-accelerating' : 'overcurrent-steady',
        'overcurrent',
      ],
      there: running && machine.current_A > 2 * ratedAmps,
      after_s: 0.02,
    },
    {
      families: [running && slowing ? 'overvoltage-decelerating' : 'overvoltage-rest', 'overvoltage'],
      there: machine.busVolts > levels.trip_V,
      after_s: 0,
    },
    {
      families: ['undervoltage'],
      there: unit.bypassed && running && machine.busVolts < levels.under_V,
      after_s: 0,
    },
    {
      families: ['input-phase-loss'],
      there:
        plant.mains.lost !== null &&
        running &&
        machine.current_A > phaseShows * ratedAmps &&
        acts('protect.input-phase'),
      after_s: 1,
    },
    {
      families: ['output-phase-loss'],
      there:
        running &&
        Math.abs(output_Hz) > 2 &&
        (plant.motor.lost !== null || !plant.motor.connected) &&
        acts('protect.output-phase'),
      after_s: 1,
    },
    { families: ['overload'], there: machine.overload >= 1 && acts('protect.overload'), after_s: 0 },
    { families: ['over-temperature'], there: machine.heatsink_C > 85, after_s: 0 },
    { families: ['fan'], there: running && plant.hidden.fanStuck && unit.powered_s > 30, after_s: 20 },
    { families: ['charging'], there: !unit.bypassed && unit.powered_s > 5, after_s: 5 },
    {
      families: ['external'],
      there:
        (functionOn(unit, plant, 'external-trip') === true ||
          functionOn(unit, plant, 'external-trip-break') === false) &&
        acts('protect.external'),
      after_s: 0.05,
    },
    {
      families: ['encoder'],
      there: running && encoder && !plant.hidden.encoderFitted && acts('protect.encoder'),
      after_s: 0.3,
    },
    {
      families: ['communication'],
      there:
        setTo(unit, `place.${simulatedPlace(unit, plant)}-run`) === 'serial' &&
        !plant.serial.talks &&
        setTo(unit, 'protect.serial') === 'trip',
      after_s: figureOf(unit, 'protect.serial-time', 3),
    },
    {
      families: ['reference-loss'],
      there: (lossOf('AI1') || lossOf('AI2')) && setTo(unit, 'reference.loss') === 'trip',
      after_s: 0.5,
    },
  ];
}

/** How long each suspicion lasts now, and the alarm that this comes to. */
export function tripOf(
  unit: SimulatedUnit,
  plant: Plant,
  dt_s: number,
): { doubts: Record<string, number>; trip: string | null } {
  const doubts: Record<string, number> = {};
  let trip: string | null = null;
  for (const { families, there, after_s } of suspicions(unit, plant)) {
    const alarm = families
      .map((f) => unit.settings.control.alarms.find((a) => a.family === f))
      .find((a) => a !== undefined);
    if (!there || alarm === undefined) continue;
    const lasts = (unit.doubts[alarm.code] ?? 0) + dt_s;
    doubts[alarm.code] = lasts;
    if (lasts > after_s) trip ??= alarm.code;
  }
  return { doubts, trip };
}
