import { useState } from 'react';
import { levelsOfDrive, modelOf, type Control, type DriveType } from '@/core/equipment/catalogue';
import { limitsOf, parameterFor, type Rating } from '@/core/equipment/drive-words';
import type { Payload } from '@/core/logbook';
import type { Plate } from '@/core/equipment/plate';
import type { RampCase, RampSample } from '@/core/commissioning/ramp';
import type { StartUpChoices } from '@/core/equipment/application';
import { Lanes, type Lane } from '../../kit/lanes';
import { numberFrom } from '../../kit/number-from';
import { Section } from '../../kit/section';
import type { JobStore } from '../../job-store/use-job';
import { useRamp } from '../../panels/use-ramp';
import { caseAsked, cycleSeconds, firstAsked, type RampAsked } from './ramp-asked';
import { inSeconds, RampFields, withinRange } from './ramp-fields';
import { RampVerdict } from './ramp-verdict';
import { Text } from '../../kit/text';

interface Point extends RampSample {
  at_s: number;
}
const lanes = (given: RampCase): Lane<Point>[] => [
  { id: 'rpm', name: 'Shaft', unit: 'rpm', of: (s) => s.rpm },
  {
    id: 'torque',
    name: 'Motor torque',
    unit: 'N·m',
    of: (s) => s.torque_Nm,
    limit: { value: given.drive.limit * given.motor.torque_Nm, name: 'current limit' },
  },
  { id: 'current', name: 'Current, of rated', unit: '%', of: (s) => 100 * s.current },
  { id: 'back', name: 'Regenerated energy', unit: 'kJ', of: (s) => s.back_J / 1000 },
  {
    id: 'bus',
    name: 'Bus',
    unit: 'V',
    of: (s) => s.busVolts,
    limit: { value: given.drive.tripVolts, name: 'trips' },
  },
];

/** A run-up and a stop, drawn before anything turns. */
export function Ramps({
  plate,
  rating,
  drive,
  catalogue,
  control,
  choices,
  store,
}: {
  plate: Plate;
  rating: Rating;
  drive: Payload<'identify.drive'>;
  catalogue: readonly DriveType[];
  control: Pick<Control, 'parameters'>;
  choices: StartUpChoices;
  store: JobStore;
}) {
  const { chosen, shortest } = store.state.startUp;
  const [asked, setAsked] = useState(() => firstAsked(choices, shortest?.inertia_kgm2 ?? null));
  const set = (change: Partial<RampAsked>) => setAsked((before) => ({ ...before, ...change }));
  const { up_s, down_s } = asked;
  const cycle_s = cycleSeconds(asked);
  const resistor = parameterFor(control, 'brake.resistance');
  const capacitance_uF = modelOf(drive, catalogue)?.capacitance_uF ?? 100 * rating.power_kW;
  const given = caseAsked(asked, {
    ...{ plate, rating, capacitance_uF, choices },
    levels: levelsOfDrive(drive, catalogue),
  });
  const { answer, failed } = useRamp(given, cycle_s);
  const points: Point[] = answer?.run.samples.map((s) => ({ ...s, at_s: s.t })) ?? [];
  const trip = answer?.run.trip ?? null;
  return (
    <Section title="Ramps">
      <RampFields asked={asked} braked={choices.brakeResistor} set={set} />
      {failed && (
        <Text role="alert" color="failed">
          The curves could not be calculated on this device.
        </Text>
      )}
      <RampVerdict
        given={given}
        answer={answer}
        cycle_s={cycle_s}
        least_ohm={resistor?.min === undefined ? null : limitsOf(resistor, rating).min}
        fitted_ohm={choices.brakeResistor ? numberFrom(asked.ohm) : null}
        keep={(judged) => store.record('startup.shortest', judged)}
        carry={(ramps) => {
          if (chosen !== null)
            store.record('startup.choices', { ...chosen, choices: { ...chosen.choices, ...ramps } });
        }}
      />
      {points.length > 0 && (
        <Lanes
          name="Ramp chart"
          samples={points}
          series={lanes(given)}
          marks={trip === null ? [] : [{ at_s: trip.t, name: 'trips' }]}
          handles={[
            {
              name: 'at speed',
              at_s: up_s,
              shown: inSeconds(up_s),
              move: (at) => set({ up_s: withinRange(at) }),
            },
            {
              name: 'stopped',
              at_s: up_s + given.ramp.hold_s + down_s,
              shown: inSeconds(down_s),
              move: (at) => set({ down_s: withinRange(at - up_s - given.ramp.hold_s) }),
            },
          ]}
        />
      )}
    </Section>
  );
}
