import { Box } from '@chakra-ui/react';
import * as z from 'zod';
import { readDiodeTest } from '@/core/bench/entry-text';
import { commonMeter } from '@/core/equipment/power-stage';
import { numberFrom } from '../../../kit/number-from';
import { orNone, readBy, unread } from '../../../kit/form-figures';
import { useTypedForm } from '../../../kit/typed-form';
import { Secondary } from '../../../kit/buttons';
import { Field } from '../../../kit/field';
import { Disclosure } from '../../../kit/why';

/** Above any diode's drop: what an open diode is kept as. */
const openDiode_V = 3;

/** A figure or overload as the bench reads it; null where it is neither or not sure. */
function diodeReading(text: string): 'OL' | number | null {
  const typed = readDiodeTest(text, commonMeter.ceiling_V);
  return typed.kind === 'value' && typed.value !== 'climbing' ? typed.value : null;
}

/** Ohms, or overload for an open gate. */
const gateReading = (text: string): 'OL' | number | null =>
  diodeReading(text) === 'OL' ? 'OL' : numberFrom(text);

const volts = orNone(readBy(diodeReading, 'Volts like 0.371, or OL.'));
const readingsSchema = z
  .object({ forward: volts, reverse: volts, gate: orNone(readBy(gateReading, 'Ohms, or OL for open.')) })
  .transform(({ forward, reverse, gate }, context) => {
    if (forward !== null && reverse !== null)
      return { diode: { forward_V: forward === 'OL' ? openDiode_V : forward, reverse }, gate };
    if (forward === null && reverse === null) return { diode: null, gate };
    return unread(context, 'Both diode readings: volts like 0.371, or OL.', [
      forward === null ? 'forward' : 'reverse',
    ]);
  });
const noReadings: z.input<typeof readingsSchema> = { forward: '', reverse: '', gate: '' };

/** The diode across the device and the gate's own resistance, where they were measured. */
export function MeterReadings({
  keepDiode,
  keepGate,
}: {
  keepDiode: (forward_V: number, reverse: 'OL' | number) => void;
  keepGate: (ohm: 'OL' | number) => void;
}) {
  const { text, submit } = useTypedForm('module by meter', readingsSchema, noReadings);
  const keep = submit(({ diode, gate }) => {
    if (diode !== null) keepDiode(diode.forward_V, diode.reverse);
    if (gate !== null) keepGate(gate);
  }, noReadings);
  return (
    <Box mt="3">
      <Disclosure label="diode and gate readings">
        <Box asChild display="flex" gap="3" flexWrap="wrap" alignItems="flex-end">
          <form onSubmit={keep} noValidate>
            <Field label="Red on E, black on C" figure unit="V" {...text('forward')} />
            <Field label="Red on C, black on E" figure unit="V" {...text('reverse')} />
            <Field label="Gate to emitter" figure unit="Ω" {...text('gate')} />
            <Secondary type="submit">Save these readings</Secondary>
          </form>
        </Box>
      </Disclosure>
    </Box>
  );
}
