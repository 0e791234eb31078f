import { Box, Text } from '@chakra-ui/react';
import { useState } from 'react';
import type { Payload } from '@/core/logbook';
import type { Running, WaveCase } from '@/core/power-up/waveform';
import { Primary, Secondary } from '../../kit/buttons';
import { FieldGrid, KeptNote, Section } from '../../kit/section';
import { Choice, NumberField, optionsOf } from '../../kit/field';
import { figureFrom } from '../../kit/number-from';
import { keptConclusion, WaveConclusion } from './conclusion';
import { useJudging, useWaveWorker } from './use-waves';

interface FieldOf {
  key: string;
  label: string;
  unit: string;
}

const busFields: readonly FieldOf[] = [
  { key: 'vdc_avg', label: 'Bus, average', unit: 'V' },
  { key: 'vdc_pp', label: 'Bus ripple, peak to peak', unit: 'V' },
  { key: 'vdc_ripple_hz', label: 'Ripple frequency', unit: 'Hz' },
];
const lineFields: readonly FieldOf[] = [
  { key: 'ia_rms', label: 'Line current L1', unit: 'A' },
  { key: 'ib_rms', label: 'Line current L2', unit: 'A' },
  { key: 'ic_rms', label: 'Line current L3', unit: 'A' },
];
const outFields: readonly FieldOf[] = [
  { key: 'iu_rms', label: 'Output current U', unit: 'A' },
  { key: 'iv_rms', label: 'Output current V', unit: 'A' },
  { key: 'iw_rms', label: 'Output current W', unit: 'A' },
  { key: 'i_sum_rms', label: 'All three in the clamp', unit: 'A' },
];
const voltFields = (meter: 'wide' | 'filtered'): readonly FieldOf[] =>
  (['vuv', 'vvw', 'vwu'] as const).map((pair, k) => ({
    key: `${pair}_${meter === 'wide' ? 'rms' : 'h1_rms'}`,
    label: `Output ${['U to V', 'V to W', 'W to U'][k] ?? ''}`,
    unit: 'V',
  }));

/** What was typed, by the names of the figures; one that is no figure is left out and listed. */
function typed(
  texts: Readonly<Record<string, string>>,
  fields: readonly FieldOf[],
): { figures: Record<string, number>; wrong: string[] } {
  const figures: Record<string, number> = {};
  const wrong: string[] = [];
  for (const { key } of fields) {
    const text = texts[key] ?? '';
    if (text.trim() === '') continue;
    const value = figureFrom(text);
    if (value === null || value < 0 || value > 1e5) wrong.push(key);
    else figures[key] = value;
  }
  return { figures, wrong };
}

/** Figures of a meter, compared with every fault of this unit. */
export function MeasuredPanel({
  sound,
  running,
  prechargeOhm,
  phases,
  keep,
}: {
  sound: WaveCase;
  running: Running;
  prechargeOhm: number;
  phases: 1 | 3;
  keep: (what: Payload<'power.measured'>) => void;
}) {
  const [texts, setTexts] = useState<Readonly<Record<string, string>>>({});
  const [meter, setMeter] = useState<'wide' | 'filtered'>('wide');
  const [got, setGot] = useState('');
  const [note, setNote] = useState<string | null>(null);
  const judging = useJudging(useWaveWorker());
  const all = [
    ...busFields,
    ...lineFields.slice(0, phases === 1 ? 2 : 3),
    ...voltFields(meter),
    ...outFields,
  ];
  const { figures, wrong } = typed(texts, all);
  const put = (key: string, text: string) => setTexts((t) => ({ ...t, [key]: text }));
  const out_Hz = figureFrom(got);
  const astray = out_Hz !== null && Math.abs(out_Hz - running.f1) > Math.max(0.5, 0.01 * running.f1);
  const rows = (fields: readonly FieldOf[]) => (
    <FieldGrid min="160px">
      {fields.map((f) => (
        <NumberField
          key={f.key}
          label={f.label}
          unit={f.unit}
          text={texts[f.key] ?? ''}
          error={wrong.includes(f.key) ? 'A figure, zero or above' : undefined}
          set={(text) => put(f.key, text)}
        />
      ))}
    </FieldGrid>
  );
  const judge = async () => {
    setNote(null);
    await judging.judge(sound, figures, prechargeOhm);
  };
  return (
    <Section title="Measured with a meter">
      <Text color="soft" mb="3">
        Whatever can be measured; what is left empty is not judged. The three line currents tell most.
      </Text>
      {rows(lineFields.slice(0, phases === 1 ? 2 : 3))}
      {rows(busFields)}
      <Box mb="3">
        <Choice
          label="Volts at the output by"
          value={meter}
          onChange={setMeter}
          options={optionsOf({ wide: 'a wide-band meter', filtered: 'a filtered range' })}
        />
      </Box>
      {rows(voltFields(meter))}
      {rows(outFields)}
      <FieldGrid min="160px">
        <NumberField
          label="Output frequency"
          unit="Hz"
          text={got}
          hint={`reference ${running.f1} Hz`}
          set={setGot}
        />
      </FieldGrid>
      {astray && (
        <Text role="status" color="doubt" fontWeight="500" mb="2">
          {out_Hz} Hz at a reference of {running.f1} Hz: the output does not follow. Sweep the reference, and
          look at limits and scaling first.
        </Text>
      )}
      <Primary
        disabled={Object.keys(figures).length === 0 || wrong.length > 0 || judging.progress !== null}
        onClick={judge}
      >
        What gives these figures?
      </Primary>
      <WaveConclusion judging={judging} stop={judging.stop} />
      {judging.diagnosis !== null && judging.diagnosis.verdict !== 'nothing-measured' && (
        <Secondary
          onClick={() => {
            if (judging.diagnosis === null) return;
            keep({ running, figures, conclusion: keptConclusion(judging.diagnosis) });
            setNote('Kept, with what was concluded.');
          }}
        >
          Keep figures and conclusion
        </Secondary>
      )}
      <KeptNote text={note} />
    </Section>
  );
}
