import { Box } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import type { Figures, WaveCase } from '@/core/power-up/waveform';
import { causesFor, figureUnit, figureWords } from '@/core/power-up/waveform-diagnosis';
import { Choice, Select, optionsOf } from '../../kit/field';
import { Section } from '../../kit/section';
import { PlainTable } from '../../kit/plain-table';
import { Slider } from '../../kit/slider';
import { inputLanes, lanesFor, outputLanes } from './lanes-of';
import { useWave } from './use-waves';
import { WaveChart } from './wave-chart';
import { Cell, Text } from '../../kit/text';

const shownKeys = {
  input: ['vdc_avg', 'vdc_pp', 'vdc_ripple_hz', 'ia_rms', 'ib_rms', 'ic_rms', 'ia_dc', 'ib_dc', 'ic_dc'],
  output: [
    'vuv_h1_rms',
    'vvw_h1_rms',
    'vwu_h1_rms',
    'vuv_rms',
    'vvw_rms',
    'vwu_rms',
    'iu_rms',
    'iv_rms',
    'iw_rms',
    'iu_dc',
    'iv_dc',
    'iw_dc',
  ],
} as const;

/** As a meter would show it: two decimals of an ampere, whole volts. */
const figure = (key: string, value: number | undefined): string => {
  if (value === undefined) return '';
  const unit = figureUnit(key);
  const digits = unit === 'A' ? 2 : unit === 'V' && Math.abs(value) < 100 ? 1 : 0;
  return `${Number(value.toFixed(digits)) + 0} ${unit}`;
};

function FiguresTable({
  keys,
  now,
  sound,
}: {
  keys: readonly string[];
  now: Figures | null;
  sound: Figures | null;
}) {
  return (
    <PlainTable heads={['', 'normal', 'now']}>
      {keys
        .filter((k) => sound?.[k] !== undefined || now?.[k] !== undefined)
        .map((k) => (
          <tr key={k}>
            <Cell>
              {figureWords(k)}
              {k.endsWith('_rms') && k.startsWith('v') && !k.includes('h1') ? ', wide-band meter' : ''}
            </Cell>
            <Cell>{figure(k, sound?.[k])}</Cell>
            <Cell style={{ fontWeight: 600 }}>{figure(k, now?.[k])}</Cell>
          </tr>
        ))}
    </PlainTable>
  );
}

/** What this unit should look like, and what a fault makes of it. */
export function ScopePanel({ sound, prechargeOhm }: { sound: WaveCase; prechargeOhm: number }) {
  const [fault, setFault] = useState('sound');
  const [size, setSize] = useState(0.6);
  const [side, setSide] = useState<'input' | 'output'>('input');
  const faults = useMemo(() => causesFor(sound, prechargeOhm), [sound, prechargeOhm]);
  const chosen = faults.find((f) => f.id === fault) ?? faults[0];
  const known = chosen?.id ?? 'sound';
  const broken = known !== 'sound';
  const sized = chosen?.sized;
  const faulty = useMemo(() => {
    const change = sized === undefined ? chosen?.changes[0] : sized(size);
    return broken ? (change?.(sound) ?? null) : null;
  }, [broken, chosen, sized, size, sound]);
  const good = useWave(sound);
  const bad = useWave(faulty);
  const now = broken ? bad.answer : good.answer;
  const beside = broken ? good.answer : null;
  const { fc } = sound.inverter;
  const lanes = useMemo(
    () => lanesFor(side === 'input' ? inputLanes : outputLanes, now, beside, fc),
    [side, now, beside, fc],
  );
  return (
    <Section title="Expected waveforms">
      <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: '1fr 1fr' }} gap="4" mb="3">
        <Select
          label="With this in it"
          value={known}
          onChange={setFault}
          options={faults.map((f) => ({ value: f.id, label: f.id === 'sound' ? 'no fault' : f.name }))}
        />
        <Choice
          label="Side"
          value={side}
          onChange={setSide}
          options={optionsOf({ input: 'lines and bus', output: 'output' })}
        />
      </Box>
      {sized !== undefined && (
        <Slider
          label="Severity"
          shown={`${Math.round(100 * size)} %`}
          min={0}
          max={1}
          step={0.01}
          value={size}
          set={setSize}
        />
      )}
      {(good.failed || bad.failed) && (
        <Text role="alert" color="failed">
          The waveform could not be calculated on this device. Change a value above, or reload the page.
        </Text>
      )}
      {now === null ? (
        <Text role="status" color="soft">
          calculating…
        </Text>
      ) : (
        <>
          <WaveChart
            name={`Calculated waveforms of the ${side === 'input' ? 'lines and bus' : 'output'}`}
            lanes={lanes}
          />
          <FiguresTable keys={shownKeys[side]} now={now.figures} sound={good.answer?.figures ?? null} />
          {side === 'output' && (
            <Text fontSize="0.9rem" color="soft" mt="2">
              A wide-band meter also reads the pulses, far above the fundamental at low output: use the
              filtered range to compare voltages, or the wide-band row.
            </Text>
          )}
        </>
      )}
    </Section>
  );
}
