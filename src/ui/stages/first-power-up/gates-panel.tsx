import { Box, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { gateNames, judgeGates } from '@/core/power-up/first-power';
import type { Payload } from '@/core/logbook';
import { Primary } from '../../kit/buttons';
import { Section } from '../../kit/section';
import { NumberField, optionsOf, Select } from '../../kit/field';
import { figureFrom } from '../../kit/number-from';
import { StateMark } from '../../kit/state-mark';

type Pulse = 'yes' | 'no' | 'not-seen';

const pulseOptions = optionsOf<Pulse>({
  'not-seen': 'not looked',
  yes: 'alike the others',
  no: 'none, or unlike',
});

/** Six gate drives compared with the bus dead, before a module sees it. */
export function GatesPanel({
  kept,
  needed,
  isOn,
  keep,
}: {
  kept: Payload<'power.gates'> | null;
  needed: boolean;
  isOn: boolean;
  keep: (what: Payload<'power.gates'>) => void;
}) {
  const text = (v: number | null | undefined) => (v === null || v === undefined ? '' : String(v));
  const [ohms, setOhms] = useState(gateNames.map((_, k) => text(kept?.ohms[k])));
  const [supplies, setSupplies] = useState(gateNames.map((_, k) => text(kept?.supplies[k])));
  const [pulses, setPulses] = useState<Pulse[]>(gateNames.map((_, k) => kept?.pulses[k] ?? 'not-seen'));
  const given = { ohms: ohms.map(figureFrom), supplies: supplies.map(figureFrom), pulses };
  const judged = judgeGates(given);
  const at = <V,>(list: readonly V[], k: number, value: V): V[] => list.map((v, i) => (i === k ? value : v));
  return (
    <Section title="Gate drives, bus dead">
      <Text color="soft" mb="3">
        {needed
          ? 'A module was out: this comes before it sees the bus.'
          : 'Before a new module sees the bus. Six gates alike, six pulses alike.'}
      </Text>
      {gateNames.map((name, k) => (
        <Box
          key={name}
          display="grid"
          gridTemplateColumns={{ base: '1fr', md: '80px 1fr 1fr 1fr' }}
          gap="3"
          mb="2"
          alignItems="end"
        >
          <Text fontFamily="heading" fontWeight="600" pb={{ md: 3 }}>
            {name}
          </Text>
          <NumberField
            label={`${name}: gate to emitter`}
            unit="Ω"
            text={ohms[k] ?? ''}
            set={(v) => setOhms(at(ohms, k, v))}
          />
          <NumberField
            label={`${name}: driver supply`}
            unit="V"
            text={supplies[k] ?? ''}
            set={(v) => setSupplies(at(supplies, k, v))}
          />
          <Select
            label={`${name}: pulses`}
            value={pulses[k] ?? 'not-seen'}
            onChange={(v) => setPulses(at(pulses, k, v))}
            options={pulseOptions}
          />
        </Box>
      ))}
      <Box role="status" my="2">
        <StateMark
          mark={judged.verdict === 'alike' ? 'sound' : judged.verdict === 'unlike' ? 'failed' : 'unprobed'}
          label={null}
        />{' '}
        {judged.verdict === 'alike'
          ? 'All six alike.'
          : judged.verdict === 'unlike'
            ? judged.findings.join('; ')
            : 'Not all compared yet.'}
      </Box>
      {isOn && <Text color="failed">It is switched on: gate drives are compared with the bus dead.</Text>}
      <Primary disabled={isOn} onClick={() => keep(given)}>
        Keep the gate check
      </Primary>
    </Section>
  );
}
