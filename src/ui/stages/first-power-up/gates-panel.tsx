import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { gateNames, judgeGates } from '@/core/power-up/first-power';
import type { Payload } from '@/core/logbook';
import { Primary } from '../../kit/buttons';
import { Section } from '../../kit/section';
import { NumberField, optionsOf, Select } from '../../kit/field';
import { figureFrom } from '../../kit/number-from';
import { StateMark } from '../../kit/state-mark';
import { Tick } from '../../kit/tick';
import { Text } from '../../kit/text';

type Pulse = 'yes' | 'no' | 'not-seen';

const pulseOptions = optionsOf<Pulse>({
  'not-seen': 'not checked',
  yes: 'like the others',
  no: 'missing or different',
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
  const [oneRail, setOneRail] = useState(kept?.minus === null);
  const [minus, setMinus] = useState(gateNames.map((_, k) => text(kept?.minus?.[k])));
  const [pulses, setPulses] = useState<Pulse[]>(gateNames.map((_, k) => kept?.pulses[k] ?? 'not-seen'));
  const given = {
    ohms: ohms.map(figureFrom),
    supplies: supplies.map(figureFrom),
    minus: oneRail ? null : minus.map(figureFrom),
    pulses,
  };
  const judged = judgeGates(given);
  const at = <V,>(list: readonly V[], k: number, value: V): V[] => list.map((v, i) => (i === k ? value : v));
  return (
    <Section title="Gate drives, bus dead">
      <Text color="soft" mb="3">
        {needed
          ? 'A module was removed: do this check before bus voltage is applied.'
          : 'Before bus voltage is applied to a new module: six gates equal, both rails equal, six pulses equal.'}
      </Text>
      <Text color="soft" mb="3">
        Pulses with the bus dead: feed the control supply externally (24 V, where the manual names a terminal)
        or the driver board on the bench, close STO, and use the gate test of the maker. Without a gate test
        the undervoltage fault blocks the pulses: choose not checked.
      </Text>
      <Tick label="Gate drivers with one rail" checked={oneRail} onChange={setOneRail} />
      {gateNames.map((name, k) => (
        <Box
          key={name}
          display="grid"
          gridTemplateColumns={{
            base: '1fr',
            md: '1fr 1fr',
            lg: oneRail ? '80px 1fr 1fr 1fr' : '80px 1fr 1fr 1fr 1fr',
          }}
          gap="3"
          mb="2"
          alignItems="end"
        >
          <Text
            fontFamily="heading"
            fontWeight="600"
            pb={{ lg: 3 }}
            gridColumn={{ md: '1 / -1', lg: 'auto' }}
          >
            {name}
          </Text>
          <NumberField
            label={`${name}: gate to emitter`}
            unit="Ω"
            text={ohms[k] ?? ''}
            set={(v) => setOhms(at(ohms, k, v))}
          />
          <NumberField
            label={`${name}: positive rail`}
            unit="V"
            text={supplies[k] ?? ''}
            set={(v) => setSupplies(at(supplies, k, v))}
          />
          {!oneRail && (
            <NumberField
              label={`${name}: negative rail`}
              unit="V"
              text={minus[k] ?? ''}
              set={(v) => setMinus(at(minus, k, v))}
            />
          )}
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
          ? 'All six equal.'
          : judged.verdict === 'unlike'
            ? judged.findings.join('; ')
            : 'Not all compared yet.'}
      </Box>
      {isOn && <Text color="failed">Power is on: compare gate drives with the bus dead.</Text>}
      <Primary disabled={isOn} onClick={() => keep(given)}>
        Save gate check
      </Primary>
    </Section>
  );
}
