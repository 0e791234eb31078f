import { Box } from '@chakra-ui/react';
import { Choice, NumberField, Select, optionsOf } from '../../kit/field';
import { FieldGrid } from '../../kit/section';
import { Slider } from '../../kit/slider';
import { mostLoad_percent, wrong, wrongShare, type RampAsked } from './ramp-asked';

const range_s = { min: 0.2, max: 40 };
/** A ramp the sliders can stand at. */
export const withinRange = (seconds: number): number =>
  Number(Math.min(range_s.max, Math.max(range_s.min, seconds)).toFixed(1));
export const inSeconds = (value: number): string => `${value.toFixed(1)} s`;

/** What turns, against what, and how fast it is asked to come up and stop. */
export function RampFields({
  asked,
  braked,
  set,
}: {
  asked: RampAsked;
  /** A brake resistor is fitted. */
  braked: boolean;
  set: (change: Partial<RampAsked>) => void;
}) {
  return (
    <>
      <FieldGrid>
        <Select
          label="Load torque"
          value={asked.curve}
          onChange={(curve) => set({ curve })}
          options={optionsOf({
            constant: 'the same at any speed',
            linear: 'grows with speed',
            square: 'grows with its square',
            hoisting: 'suspended load',
          })}
        />
        <NumberField
          label="Torque at full speed, of rated"
          unit="%"
          text={asked.load}
          error={wrongShare(asked.load, mostLoad_percent)}
          set={(load) => set({ load })}
        />
        <NumberField
          label="S-curve"
          unit="%"
          text={asked.rounding}
          error={wrongShare(asked.rounding, 100)}
          set={(rounding) => set({ rounding })}
        />
        <NumberField
          label="A stop every"
          unit="s"
          text={asked.cycle}
          error={wrong(asked.cycle)}
          set={(cycle) => set({ cycle })}
        />
        {braked && (
          <NumberField
            label="Brake resistor"
            unit="Ω"
            text={asked.ohm}
            error={wrong(asked.ohm)}
            set={(ohm) => set({ ohm })}
          />
        )}
      </FieldGrid>
      {asked.curve === 'hoisting' && (
        <Choice
          label="Show curve while"
          value={asked.way}
          onChange={(way) => set({ way })}
          options={optionsOf({ up: 'lifted', down: 'lowered' })}
        />
      )}
      <Box height="3" />
      <Choice
        label="Inertia"
        value={asked.inertiaBy}
        onChange={(inertiaBy) => set({ inertiaBy })}
        options={optionsOf({ class: 'by kind of machine', figure: 'known', coast: 'from a coast-down test' })}
      />
      <FieldGrid>
        {asked.inertiaBy === 'figure' && (
          <NumberField
            label="Total, at the motor shaft"
            unit="kg·m²"
            text={asked.inertia}
            error={wrong(asked.inertia)}
            set={(inertia) => set({ inertia })}
          />
        )}
        {asked.inertiaBy === 'coast' && (
          <NumberField
            label="Full speed to standstill"
            unit="s"
            text={asked.coast}
            error={wrong(asked.coast)}
            set={(coast) => set({ coast })}
          />
        )}
      </FieldGrid>
      <Slider
        label="Ramp up"
        shown={inSeconds(asked.up_s)}
        {...range_s}
        step={0.1}
        value={asked.up_s}
        set={(up_s) => set({ up_s })}
      />
      <Slider
        label="Ramp down"
        shown={inSeconds(asked.down_s)}
        {...range_s}
        step={0.1}
        value={asked.down_s}
        set={(down_s) => set({ down_s })}
      />
    </>
  );
}
