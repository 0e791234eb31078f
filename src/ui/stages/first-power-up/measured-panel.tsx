import { Box } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import type { Payload } from '@/core/logbook';
import type { Running, WaveCase } from '@/core/power-up/waveform';
import { Primary, Secondary } from '../../kit/buttons';
import { FieldGrid, Section } from '../../kit/section';
import { KeptNote } from '../../kit/kept-note';
import { Choice, Field, optionsOf } from '../../kit/field';
import { figureFrom } from '../../kit/number-from';
import { useTypedForm } from '../../kit/typed-form';
import { keptConclusion, WaveConclusion } from './conclusion';
import {
  busFields,
  isAstray,
  lineFields,
  measuredSchema,
  nothingMeasured,
  outFields,
  voltFields,
  type MeterField,
} from './measured-figures';
import { useJudging, useWaveWorker } from './use-waves';
import { Text } from '../../kit/text';

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
  const schema = useMemo(() => measuredSchema(phases), [phases]);
  const { typed, refused, text, pick, submit } = useTypedForm(
    'measured under power',
    schema,
    nothingMeasured,
  );
  /** What the conclusion below is about; the fields may say something else by now. */
  const [judged, setJudged] = useState<Pick<Payload<'power.measured'>, 'running' | 'figures'> | null>(null);
  const [note, setNote] = useState<string | null>(null);
  const judging = useJudging(useWaveWorker());
  const out_Hz = figureFrom(typed.out_Hz);
  const rows = (fields: readonly MeterField[]) => (
    <FieldGrid min="160px">
      {fields.map(({ key, label, unit }) => (
        <Field key={key} label={label} figure unit={unit} {...text(`figures.${key}`)} />
      ))}
    </FieldGrid>
  );
  const judge = submit(({ figures }) => {
    setNote(null);
    setJudged({ running, figures });
    void judging.judge(sound, figures, prechargeOhm);
  });
  const { diagnosis } = judging;
  return (
    <Section title="Measured with a meter">
      <form onSubmit={judge} noValidate>
        <Text color="soft" mb="3">
          Enter what you can measure; empty fields are ignored. The three line currents are most useful.
        </Text>
        {rows(lineFields(phases))}
        {rows(busFields)}
        <Box mb="3">
          <Choice
            label="Output voltage measured with"
            {...pick('meter')}
            options={optionsOf({ wide: 'a wide-band meter', filtered: 'a filtered range' })}
          />
        </Box>
        {rows(voltFields(typed.meter))}
        {rows(outFields)}
        <FieldGrid min="160px">
          <Field
            label="Output frequency"
            figure
            unit="Hz"
            hint={`reference ${running.f1} Hz`}
            {...text('out_Hz')}
          />
        </FieldGrid>
        {out_Hz !== null && isAstray(out_Hz, running.f1) && (
          <Text role="status" color="doubt" fontWeight="500" mb="2">
            {out_Hz} Hz at a reference of {running.f1} Hz: the output does not follow the reference. Sweep the
            reference, and check limits and scaling first.
          </Text>
        )}
        <Primary type="submit" disabled={judging.progress !== null}>
          Diagnose these values
        </Primary>
      </form>
      <WaveConclusion judging={judging} stop={judging.stop} />
      {judged !== null && diagnosis !== null && diagnosis.verdict !== 'nothing-measured' && (
        <Secondary
          onClick={() => {
            keep({ ...judged, conclusion: keptConclusion(diagnosis) });
            setNote('Values and conclusion saved.');
          }}
        >
          Save values and conclusion
        </Secondary>
      )}
      <KeptNote text={note} refused={refused} />
    </Section>
  );
}
