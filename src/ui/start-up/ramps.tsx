import { Box, Text } from '@chakra-ui/react';
import { useState } from 'react';
import type { DriveType } from '@/core/catalogue';
import type { Rating } from '@/core/drive-words';
import type { Payload } from '@/core/logbook';
import { plateSums, type Plate } from '@/core/plate';
import { inertiaFromCoastDown, type LoadCurve, type RampCase, type Sample } from '@/core/ramp';
import type { Choices, LoadKind } from '@/core/settings';
import { modelOf } from '../catalogue/rating-of';
import { FieldGrid, Section } from '../kit/face';
import { Choice, Field, Select } from '../kit/field';
import { Lanes, type Lane } from '../kit/lanes';
import { numberFrom } from '../kit/number-from';
import { Why } from '../kit/why';
import { useRamp } from './use-ramp';

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

/** A motor's own inertia from its torque, kg·m² (common practice, no source: about 6 ms to its speed at rated torque per pole pair). */
const ownInertia = (torque_Nm: number, rpm: number): number =>
  (0.08 * torque_Nm) / ((rpm * 2 * Math.PI) / 60);

const trips_V = 2.05;
const chops_V = 1.92;

interface Point extends Sample {
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
  {
    id: 'bus',
    name: 'Bus',
    unit: 'V',
    of: (s) => s.busVolts,
    limit: { value: given.drive.tripVolts, name: 'trips' },
  },
];

/** A handle for a ramp: dragged, or by the arrow keys. */
function Handle({ label, value, set }: { label: string; value: number; set: (seconds: number) => void }) {
  return (
    <Box as="label" display="block">
      <Text as="span" fontFamily="heading" fontWeight="500">
        {label}
      </Text>
      <Text as="span" fontFamily="mono" fontSize="1.5rem" ml="3">
        {value.toFixed(1)} s
      </Text>
      <Box asChild width="100%" height="48px" css={{ accentColor: 'var(--chakra-colors-ink)' }}>
        <input
          type="range"
          min={0.2}
          max={40}
          step={0.1}
          value={value}
          aria-label={label}
          onChange={(e) => set(Number(e.target.value))}
        />
      </Box>
    </Box>
  );
}

const figure = (value: number, digits = 3): string => String(Number(value.toPrecision(digits)));

/** A run-up and a stop, drawn before anything turns. */
export function Ramps({
  plate,
  rating,
  drive,
  catalogue,
  choices,
}: {
  plate: Plate;
  rating: Rating;
  drive: Payload<'identify.drive'>;
  catalogue: readonly DriveType[];
  choices: Choices;
}) {
  const sums = plateSums(plate);
  const own = ownInertia(sums.torque_Nm, plate.rpm);
  const [up, setUp] = useState(choices.up_s ?? 6);
  const [down, setDown] = useState(choices.down_s ?? 8);
  const [curve, setCurve] = useState<LoadCurve>(curveOf(choices.load));
  const [load, setLoad] = useState('60');
  const [known, setKnown] = useState<'class' | 'figure' | 'coast'>('class');
  const [inertia, setInertia] = useState('');
  const [coast, setCoast] = useState('');
  const [ohm, setOhm] = useState('60');
  const [rounding, setRounding] = useState('0');
  const torque = (sums.torque_Nm * (numberFrom(load) ?? 0)) / 100;
  const total =
    known === 'figure'
      ? (numberFrom(inertia) ?? own)
      : known === 'coast'
        ? inertiaFromCoastDown(Math.max(torque, 0.1), numberFrom(coast) ?? 5, plate.rpm)
        : own * (1 + classOf[choices.load]);
  const given: RampCase = {
    motor: { torque_Nm: sums.torque_Nm, rpm: plate.rpm, hz: plate.hz, inertia_kgm2: own },
    load: { torque_Nm: torque, curve, inertia_kgm2: Math.max(0, total - own) },
    drive: {
      limit: choices.load === 'fan-or-pump' ? 1.1 : 1.5,
      busVolts: Math.SQRT2 * rating.supply_V,
      tripVolts: trips_V * rating.supply_V,
      capacitance_F: (modelOf(drive, catalogue)?.capacitance_uF ?? 100 * rating.power_kW) * 1e-6,
      losses: 0.05,
      regulated: false,
      ...(choices.brakeResistor
        ? { chopper: { above_V: chops_V * rating.supply_V, ohm: numberFrom(ohm) ?? 60 } }
        : {}),
    },
    ramp: {
      up_s: up,
      down_s: down,
      rounding: (numberFrom(rounding) ?? 0) / 100,
      to_Hz: plate.hz,
      countsTo_Hz: plate.hz,
      hold_s: 1,
    },
  };
  const { answer, failed } = useRamp(given, 60);
  const points: Point[] = answer?.run.samples.map((s) => ({ ...s, at_s: s.t })) ?? [];
  const trip = answer?.run.trip ?? null;
  const shortest = (s: { seconds: number | null } | undefined): string =>
    s === undefined ? '…' : s.seconds === null ? 'none is long enough' : `${figure(s.seconds)} s`;
  return (
    <Section title="Ramps">
      <FieldGrid>
        <Select
          label="Load torque"
          value={curve}
          onChange={(v) => setCurve(v as LoadCurve)}
          options={[
            { value: 'constant', label: 'the same at any speed' },
            { value: 'linear', label: 'grows with speed' },
            { value: 'square', label: 'grows with its square' },
            { value: 'hoisting', label: 'a load that hangs' },
          ]}
        />
        <Field
          label="At full speed, of the plate"
          figure
          unit="%"
          value={load}
          onChange={(e) => setLoad(e.target.value)}
        />
        <Field
          label="S-rounding"
          figure
          unit="%"
          value={rounding}
          onChange={(e) => setRounding(e.target.value)}
        />
        {choices.brakeResistor && (
          <Field
            label="Brake resistor"
            figure
            unit="Ω"
            value={ohm}
            onChange={(e) => setOhm(e.target.value)}
          />
        )}
      </FieldGrid>
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
          <Field
            label="Of all, at the motor shaft"
            figure
            unit="kg·m²"
            value={inertia}
            onChange={(e) => setInertia(e.target.value)}
          />
        )}
        {known === 'coast' && (
          <Field
            label="From full speed to rest"
            figure
            unit="s"
            value={coast}
            onChange={(e) => setCoast(e.target.value)}
          />
        )}
      </FieldGrid>
      <Handle label="Acceleration" value={up} set={setUp} />
      <Handle label="Deceleration" value={down} set={setDown} />
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
              : `It trips on ${trip.why} after ${figure(trip.t)} s, ${trip.while === 'up' ? 'accelerating' : 'decelerating'}.`}
        </Text>
        <Text>
          Shortest safe acceleration {shortest(answer?.shortestUp)}, deceleration{' '}
          {shortest(answer?.shortestDown)}.
        </Text>
        {answer !== null && answer.brake.lowering_W !== null && (
          <Text fontWeight="500">
            Lowering gives {figure(answer.brake.lowering_W / 1000)} kW back all the way down: a brake resistor
            for that, and a brake that is proven to close.
          </Text>
        )}
        {answer !== null && answer.brake.energy_J > 1 && (
          <Text>
            A brake resistor would take {figure(answer.brake.peak_W / 1000)} kW at the peak and{' '}
            {figure(answer.brake.average_W)} W on average with a stop a minute: at most{' '}
            {figure(answer.brake.most_ohm ?? 0)} Ω, never below the chopper&rsquo;s least. Its thermal switch
            drops the line contactor.
          </Text>
        )}
        {answer !== null && (
          <Why>
            {answer.shortestUp.sum}. {answer.shortestDown.sum}. {answer.brake.sum}. Inertia {figure(total)}{' '}
            kg·m²; {figure(answer.turning_J)} J turn at full speed. Trip at {trips_V} × and chopper at{' '}
            {chops_V} × the supply volts: common practice, no source.
          </Why>
        )}
      </Box>
      {points.length > 0 && (
        <Lanes
          name="Ramp chart"
          samples={points}
          series={lanes(given)}
          marks={trip === null ? [] : [{ at_s: trip.t, name: 'trips' }]}
        />
      )}
    </Section>
  );
}
