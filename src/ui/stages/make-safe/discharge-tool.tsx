'use client';
import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { dischargeTool } from '@/core/bench/discharge';
import { numberFrom } from '../../kit/number-from';
import { Secondary } from '../../kit/buttons';
import { Caution } from '../../kit/caution';
import { FieldGrid } from '../../kit/section';
import { NumberField } from '../../kit/field';
import { Text } from '../../kit/text';

/** A bank that does not run down by itself: the sums of a discharge resistor, and the record of its use. */
export function DischargeTool({
  capacitance_uF,
  volts,
  keep,
}: {
  /** Null: not known; it is asked for. */
  capacitance_uF: number | null;
  volts: number;
  keep: (startVolts: number, ohm: number) => void;
}) {
  const [from, setFrom] = useState(volts > 0 ? String(volts) : '');
  const [ohm, setOhm] = useState('1000');
  const [bank, setBank] = useState(capacitance_uF?.toString() ?? '');
  const start = numberFrom(from);
  const resistance = numberFrom(ohm);
  const bank_uF = numberFrom(bank);
  const sums =
    start !== null && resistance !== null && bank_uF !== null
      ? dischargeTool(bank_uF, start, resistance)
      : null;
  return (
    <Box>
      <Caution grave title="The capacitor bank can kill.">
        Use a resistor with insulated leads and probes rated for the bus, never a screwdriver. Wear insulating
        gloves and eye protection as your rules require; licensed persons only where they say so.
      </Caution>
      <FieldGrid>
        <NumberField label="Bank voltage now" unit="V" text={from} set={setFrom} />
        <NumberField label="Resistor" unit="Ω" text={ohm} set={setOhm} />
        {capacitance_uF === null && (
          <NumberField
            label="Capacitor bank"
            unit="µF"
            hint="As printed on the capacitors"
            text={bank}
            set={setBank}
          />
        )}
      </FieldGrid>
      {sums !== null && start !== null && resistance !== null && (
        <>
          <Text fontFamily="mono" mb="2">
            peak {sums.peakWatts.toFixed(0)} W (V²÷R), {sums.peakAmps.toFixed(2)} A; {sums.joules.toFixed(0)}{' '}
            J (½CV²); {sums.seconds.toFixed(1)} s (5·R·C)
          </Text>
          <Secondary onClick={() => keep(start, resistance)}>Discharged: measure all points again</Secondary>
        </>
      )}
    </Box>
  );
}
