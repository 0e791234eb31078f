import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { Payload } from '@/core/logbook';
import { Primary } from '../../kit/buttons';
import { Caution } from '../../kit/caution';
import { Section } from '../../kit/section';
import { Choice } from '../../kit/field';
import { Tick } from '../../kit/tick';

type Off = Payload<'motor.disconnected'>['encoder'];
const offOrNone = [
  { value: 'off', label: 'disconnected' },
  { value: 'none', label: 'none fitted' },
] as const;

/** Before a tester is put on: what it would kill is off. */
export function Disconnect({ keep }: { keep: (what: Payload<'motor.disconnected'>) => void }) {
  const [drive, setDrive] = useState(false);
  const [thermistors, setThermistors] = useState<Off | null>(null);
  const [encoder, setEncoder] = useState<Off | null>(null);
  return (
    <Section title="First: disconnect">
      <Caution grave title="The insulation tester destroys electronics.">
        Isolate and prove dead. Disconnect drive, thermistors and encoder before applying 500 V to a winding,
        and everything else on that cable: other drives, filters, capacitors.
      </Caution>
      <Box display="grid" gap="3" mb="3">
        <Tick label="Drive disconnected: U, V, W off its terminals" checked={drive} onChange={setDrive} />
        <Choice label="Thermistors" value={thermistors} onChange={setThermistors} options={offOrNone} />
        <Choice label="Encoder" value={encoder} onChange={setEncoder} options={offOrNone} />
      </Box>
      <Primary
        waitsFor={
          !drive || thermistors === null || encoder === null
            ? 'Drive, thermistors and encoder: each disconnected or not fitted.'
            : null
        }
        onClick={() =>
          thermistors !== null && encoder !== null && keep({ drive: 'off', thermistors, encoder })
        }
      >
        All disconnected
      </Primary>
    </Section>
  );
}
