import { Box, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { readDiodeTest } from '@/core/bench/entry-text';
import { commonMeter } from '@/core/equipment/power-stage';
import { numberFrom } from '../../../kit/number-from';
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

/** The diode across the device and the gate's own resistance, where they were measured. */
export function MeterReadings({
  keepDiode,
  keepGate,
}: {
  keepDiode: (forward_V: number, reverse: 'OL' | number) => void;
  keepGate: (ohm: 'OL' | number) => void;
}) {
  const [forward, setForward] = useState('');
  const [reverse, setReverse] = useState('');
  const [gate, setGate] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const keep = () => {
    const [f, r, g] = [diodeReading(forward), diodeReading(reverse), gateReading(gate)];
    const asksDiode = forward.trim() !== '' || reverse.trim() !== '';
    if (asksDiode && (f === null || r === null))
      return setTrouble('Both diode readings: volts like 0.371, or OL.');
    if (gate.trim() !== '' && g === null) return setTrouble('Ohms, or OL for open.');
    if (f !== null && r !== null) keepDiode(f === 'OL' ? openDiode_V : f, r);
    if (g !== null) keepGate(g);
    setTrouble(null);
    setForward('');
    setReverse('');
    setGate('');
  };
  return (
    <Box mt="3">
      <Disclosure label="diode and gate readings">
        <Box asChild display="flex" gap="3" flexWrap="wrap" alignItems="flex-end">
          <form
            onSubmit={(e) => {
              e.preventDefault();
              keep();
            }}
          >
            <Field
              label="Red on E, black on C"
              figure
              unit="V"
              value={forward}
              onChange={(e) => setForward(e.target.value)}
            />
            <Field
              label="Red on C, black on E"
              figure
              unit="V"
              value={reverse}
              onChange={(e) => setReverse(e.target.value)}
            />
            <Field
              label="Gate to emitter"
              figure
              unit="Ω"
              value={gate}
              onChange={(e) => setGate(e.target.value)}
            />
            <Secondary type="submit">Keep these</Secondary>
          </form>
        </Box>
        {trouble !== null && (
          <Text role="alert" color="failed">
            {trouble}
          </Text>
        )}
      </Disclosure>
    </Box>
  );
}
