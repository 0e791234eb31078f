import { Box } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import type { JobState } from '@/core/logbook';
import { busLevelsOf } from '@/core/equipment/power-stage';
import { machineCase, type RampAnswer, type RampCase } from '@/core/commissioning/ramp';
import type { UnitWords } from '@/core/power-up/waveform';
import { Section } from '../../kit/section';
import { NumberField } from '../../kit/field';
import { numberFrom } from '../../kit/number-from';
import { Slider } from '../../kit/slider';
import { useRamp } from '../../panels/use-ramp';
import { WaveChart, type Curve } from './wave-chart';
import { Text } from '../../kit/text';

/** One stop a minute; only the average power of a resistor depends on it. */
const cycle_s = 60;
/** The machine turns so many times the motor's own inertia (common practice, no source). */
const ofMotor = 10;

const curveOf = (answer: RampAnswer | null, name: string, style: Curve['style'], from_s: number): Curve[] => {
  const samples = answer?.run.samples.filter((s) => s.t >= from_s) ?? [];
  return samples.length === 0
    ? []
    : [
        {
          name,
          style,
          t: Float64Array.from(samples, (s) => s.t),
          v: Float64Array.from(samples, (s) => s.busVolts),
        },
      ];
};

/** A stop that is too fast, and what a brake resistor makes of it: the bus, over seconds. */
export function StopPicture({ unit, motor }: { unit: UnitWords; motor: NonNullable<JobState['motor']> }) {
  const [down, setDown] = useState(1);
  const [ohm, setOhm] = useState('60');
  const brake_ohm = numberFrom(ohm) ?? 60;
  const { plain, braked } = useMemo(() => {
    const with_ = (resistor: number | null): RampCase =>
      machineCase({
        plate: motor.plate,
        supply_V: unit.supply_V,
        levels: busLevelsOf(unit.supply_V),
        capacitance_F: unit.capacitance_F,
        curve: 'constant',
        loadShare: 0.1,
        inertia: { as: 'multiple', ofMotor },
        limit: 1.5,
        brake_ohm: resistor,
        up_s: 5,
        down_s: down,
        rounding: 0,
      });
    return { plain: with_(null), braked: with_(brake_ohm) };
  }, [motor, unit, down, brake_ohm]);
  const without = useRamp(plain, cycle_s).answer;
  const with_ = useRamp(braked, cycle_s).answer;
  // From just before it slows down.
  const from_s = plain.ramp.up_s + plain.ramp.hold_s - 0.2;
  const curves = [
    ...curveOf(without, 'without a brake', 'now', from_s),
    ...curveOf(with_, 'with the resistor', 'sound', from_s),
  ];
  const trip = without?.run.trip ?? null;
  return (
    <Section title="Stopping too fast">
      <Slider
        label="Full speed to standstill in"
        shown={`${down.toFixed(1)} s`}
        min={0.2}
        max={20}
        step={0.1}
        value={down}
        set={setDown}
      />
      <Box maxW="200px" mb="3">
        <NumberField
          label="Brake resistor"
          unit="Ω"
          text={ohm}
          error={numberFrom(ohm) === null ? 'A value above zero; drawn with 60' : undefined}
          set={setOhm}
        />
      </Box>
      <Text role="status" fontWeight="500" color={trip === null ? 'sound' : 'failed'}>
        {trip === null
          ? 'Stops without a brake resistor.'
          : trip.why === 'overvoltage'
            ? `Without a brake resistor the drive trips on overvoltage, above ${Math.round(plain.drive.tripVolts)} V.`
            : 'The drive trips on overcurrent.'}
      </Text>
      {curves.length > 0 && (
        <WaveChart
          name="Bus voltage while stopping"
          axis="s"
          words={{ now: 'without a brake (solid)', sound: 'with the resistor (dashed)' }}
          lanes={[{ id: 'bus', name: 'Bus', unit: 'V', curves }]}
        />
      )}
      <Text fontSize="0.9rem" color="soft">
        Drawn with ten times the motor inertia and a tenth of its torque as load (common practice, no source);
        see Commissioning, Ramps for this machine.
      </Text>
    </Section>
  );
}
