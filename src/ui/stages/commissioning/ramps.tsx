import { Box, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { modelOf, type Control, type DriveType } from '@/core/equipment/catalogue';
import { limitsOf, parameterFor, type Rating } from '@/core/equipment/drive-words';
import type { Payload } from '@/core/logbook';
import { formatSignificant } from '@/core/numerics/figures';
import type { Plate } from '@/core/equipment/plate';
import {
  chopShare,
  inertiaOf,
  machineCase,
  tripShare,
  type InertiaKnown,
  type LoadCurve,
  type RampCase,
  type RampSample,
} from '@/core/commissioning/ramp';
import type { StartUpChoices, LoadKind } from '@/core/equipment/application';
import { Secondary } from '../../kit/buttons';
import { FieldGrid, KeptNote, Section } from '../../kit/section';
import { Choice, NumberField, Select } from '../../kit/field';
import { Lanes, type Lane } from '../../kit/lanes';
import { figureFrom, numberFrom } from '../../kit/number-from';
import { Slider } from '../../kit/slider';
import { Disclosure } from '../../kit/why';
import { BrakeWords } from './brake-words';
import { useRamp } from '../../panels/use-ramp';

const curveOf = (load: LoadKind): LoadCurve =>
  load === 'fan-or-pump' ? 'square' : load === 'hoist' || load === 'winch' ? 'hoisting' : 'constant';

/** Inertia of the machine in multiples of the motor's, by kind (common practice, no source). */
const classOf: Readonly<Record<LoadKind, number>> = {
  'fan-or-pump': 3,
  conveyor: 4,
  'piston-pump': 1,
  hoist: 1,
  winch: 2,
  other: 2,
};

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
  { id: 'current', name: 'Current, of the plate', unit: '%', of: (s) => 100 * s.current },
  { id: 'back', name: 'Energy given back', unit: 'kJ', of: (s) => s.back_J / 1000 },
  {
    id: 'bus',
    name: 'Bus',
    unit: 'V',
    of: (s) => s.busVolts,
    limit: { value: given.drive.tripVolts, name: 'trips' },
  },
];

const asIfEmpty = 'drawn as if nothing were typed';
/** Why a figure cannot be taken; undefined: it can, or nothing was typed. */
const wrong = (text: string): string | undefined =>
  text.trim() === '' || numberFrom(text) !== null ? undefined : `A figure above zero; ${asIfEmpty}`;
/** The same for a share of something: zero is one, and the whole may be the most. */
const wrongShare = (text: string, most_percent: number): string | undefined => {
  const value = figureFrom(text);
  return text.trim() === '' || (value !== null && value >= 0 && value <= most_percent)
    ? undefined
    : `From 0 to ${most_percent} %; ${asIfEmpty}`;
};
const share = (text: string, most_percent: number): number =>
  wrongShare(text, most_percent) === undefined ? (figureFrom(text) ?? 0) / 100 : 0;
const mostLoad_percent = 300;

const range_s = { min: 0.2, max: 40 };
const within = (seconds: number): number =>
  Number(Math.min(range_s.max, Math.max(range_s.min, seconds)).toFixed(1));
const inSeconds = (value: number): string => `${value.toFixed(1)} s`;

/** As long as no figure was typed, the kind of machine says how much turns. */
const inertiaKnown = (
  by: 'class' | 'figure' | 'coast',
  kgm2: number | null,
  seconds: number | null,
  load: LoadKind,
): InertiaKnown =>
  by === 'figure' && kgm2 !== null
    ? { as: 'figure', kgm2 }
    : by === 'coast' && seconds !== null
      ? { as: 'coast-down', seconds }
      : { as: 'multiple', ofMotor: classOf[load] };

/** A run-up and a stop, drawn before anything turns. */
export function Ramps({
  plate,
  rating,
  drive,
  catalogue,
  control,
  choices,
  keep,
}: {
  plate: Plate;
  rating: Rating;
  drive: Payload<'identify.drive'>;
  catalogue: readonly DriveType[];
  control: Pick<Control, 'parameters'>;
  choices: StartUpChoices;
  /** Keeps the shortest safe ramps for the audit of sets. */
  keep: (shortest: Payload<'startup.shortest'>) => void;
}) {
  const [kept, setKept] = useState<string | null>(null);
  const [up, setUp] = useState(choices.up_s ?? 6);
  const [down, setDown] = useState(choices.down_s ?? 8);
  const [curve, setCurve] = useState<LoadCurve>(curveOf(choices.load));
  const [load, setLoad] = useState('60');
  const [known, setKnown] = useState<'class' | 'figure' | 'coast'>('class');
  const [inertia, setInertia] = useState('');
  const [coast, setCoast] = useState('');
  const [ohm, setOhm] = useState('60');
  const [rounding, setRounding] = useState('0');
  const [cycle, setCycle] = useState('60');
  const [way, setWay] = useState<'up' | 'down'>('up');
  const cycle_s = numberFrom(cycle) ?? 60;
  const resistor = parameterFor(control, 'brake.resistance');
  const least_ohm = resistor === undefined ? null : limitsOf(resistor, rating).min;
  const lowered = curve === 'hoisting' && way === 'down';
  const given = machineCase({
    plate,
    supply_V: rating.supply_V,
    capacitance_F: (modelOf(drive, catalogue)?.capacitance_uF ?? 100 * rating.power_kW) * 1e-6,
    curve,
    loadShare: (lowered ? -1 : 1) * share(load, mostLoad_percent),
    inertia: inertiaKnown(known, numberFrom(inertia), numberFrom(coast), choices.load),
    limit: choices.load === 'fan-or-pump' ? 1.1 : 1.5,
    brake_ohm: choices.brakeResistor ? (numberFrom(ohm) ?? 60) : null,
    up_s: up,
    down_s: down,
    rounding: share(rounding, 100),
  });
  const { answer, failed } = useRamp(given, cycle_s);
  const points: Point[] = answer?.run.samples.map((s) => ({ ...s, at_s: s.t })) ?? [];
  const trip = answer?.run.trip ?? null;
  const shortest = (s: { seconds: number | null } | undefined): string =>
    s === undefined ? '…' : s.seconds === null ? 'none is long enough' : `${formatSignificant(s.seconds)} s`;
  return (
    <Section title="Ramps">
      <FieldGrid>
        <Select
          label="Load torque"
          value={curve}
          onChange={setCurve}
          options={[
            { value: 'constant', label: 'the same at any speed' },
            { value: 'linear', label: 'grows with speed' },
            { value: 'square', label: 'grows with its square' },
            { value: 'hoisting', label: 'a load that hangs' },
          ]}
        />
        <NumberField
          label="At full speed, of the plate"
          unit="%"
          text={load}
          error={wrongShare(load, mostLoad_percent)}
          set={setLoad}
        />
        <NumberField
          label="S-rounding"
          unit="%"
          text={rounding}
          error={wrongShare(rounding, 100)}
          set={setRounding}
        />
        <NumberField label="A stop every" unit="s" text={cycle} error={wrong(cycle)} set={setCycle} />
        {choices.brakeResistor && (
          <NumberField label="Brake resistor" unit="Ω" text={ohm} error={wrong(ohm)} set={setOhm} />
        )}
      </FieldGrid>
      {curve === 'hoisting' && (
        <Choice
          label="Drawn while it is"
          value={way}
          onChange={setWay}
          options={[
            { value: 'up', label: 'lifted' },
            { value: 'down', label: 'lowered' },
          ]}
        />
      )}
      <Box height="3" />
      <Choice
        label="Inertia"
        value={known}
        onChange={setKnown}
        options={[
          { value: 'class', label: 'by kind of machine' },
          { value: 'figure', label: 'known' },
          { value: 'coast', label: 'from a coast-down' },
        ]}
      />
      <FieldGrid>
        {known === 'figure' && (
          <NumberField
            label="Of all, at the motor shaft"
            unit="kg·m²"
            text={inertia}
            error={wrong(inertia)}
            set={setInertia}
          />
        )}
        {known === 'coast' && (
          <NumberField
            label="From full speed to rest"
            unit="s"
            text={coast}
            error={wrong(coast)}
            set={setCoast}
          />
        )}
      </FieldGrid>
      <Slider label="Acceleration" shown={inSeconds(up)} {...range_s} step={0.1} value={up} set={setUp} />
      <Slider
        label="Deceleration"
        shown={inSeconds(down)}
        {...range_s}
        step={0.1}
        value={down}
        set={setDown}
      />
      {failed && (
        <Text role="alert" color="failed">
          The curves could not be computed on this device.
        </Text>
      )}
      <Box role="status" my="2">
        <Text fontFamily="heading" fontWeight="600" fontSize="1.3rem">
          {answer === null
            ? 'Computing…'
            : trip === null
              ? 'It comes up and stops without a trip.'
              : `It trips on ${trip.why} after ${formatSignificant(trip.t)} s, ${trip.while === 'up' ? 'accelerating' : 'decelerating'}.`}
        </Text>
        <Text>
          Shortest safe acceleration {shortest(answer?.shortestUp)}, deceleration{' '}
          {shortest(answer?.shortestDown)}.
        </Text>
        {answer !== null && (
          <Secondary
            my="2"
            onClick={() => {
              keep({ up_s: answer.shortestUp.seconds, down_s: answer.shortestDown.seconds });
              setKept('Kept: sets of this job are judged by them.');
            }}
          >
            Keep these for the audit
          </Secondary>
        )}
        <KeptNote text={kept} />
        {answer !== null && (
          <BrakeWords
            brake={answer.brake}
            cycle_s={cycle_s}
            least_ohm={least_ohm}
            fitted_ohm={choices.brakeResistor ? numberFrom(ohm) : null}
          />
        )}
        {answer !== null && (
          <Disclosure>
            {answer.shortestUp.sum}. {answer.shortestDown.sum}. {answer.brake.sum}. Inertia{' '}
            {formatSignificant(inertiaOf(given))} kg·m²; {formatSignificant(answer.turning_J)} J turn at full
            speed. Trip at {tripShare} × and chopper at {chopShare} × the supply volts: common practice, no
            source.
          </Disclosure>
        )}
      </Box>
      {points.length > 0 && (
        <Lanes
          name="Ramp chart"
          samples={points}
          series={lanes(given)}
          marks={trip === null ? [] : [{ at_s: trip.t, name: 'trips' }]}
          handles={[
            { name: 'at speed', at_s: up, shown: inSeconds(up), move: (at) => setUp(within(at)) },
            {
              name: 'stands',
              at_s: up + given.ramp.hold_s + down,
              shown: inSeconds(down),
              move: (at) => setDown(within(at - up - given.ramp.hold_s)),
            },
          ]}
        />
      )}
    </Section>
  );
}
