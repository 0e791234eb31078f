import { useState } from 'react';
import type { Payload } from '@/core/logbook';
import { winding } from '@/core/motor/winding';
import { Primary } from '../../kit/buttons';
import { FieldGrid, Section } from '../../kit/section';
import { Choice, Field } from '../../kit/field';
import { figureFrom, numberFrom } from '../../kit/number-from';
import { Verdict } from './verdict';

/** Ohms of the three pairs, brought to one temperature, and whether they are alike. */
export function WindingTestPanel({
  tests,
  keep,
}: {
  tests: readonly Payload<'motor.winding'>[];
  keep: (test: Payload<'motor.winding'>) => void;
}) {
  const [typed, setTyped] = useState({ uv: '', vw: '', wu: '' });
  const [temperature, setTemperature] = useState('20');
  const [material, setMaterial] = useState<'copper' | 'aluminium'>('copper');
  const uv = numberFrom(typed.uv);
  const vw = numberFrom(typed.vw);
  const wu = numberFrom(typed.wu);
  const temperature_C = figureFrom(temperature);
  const test: Payload<'motor.winding'> | null =
    uv === null || vw === null || wu === null || temperature_C === null
      ? null
      : { ohms: { uv, vw, wu }, temperature_C, reference_C: 20, material };
  const last = tests[tests.length - 1];
  const shown = last === undefined ? null : winding(last);
  return (
    <Section title="Winding resistance">
      {shown !== null && last !== undefined && (
        <Verdict
          verdict={shown.verdict}
          figure={`${shown.unbalance_percent} % apart`}
          sum={`${shown.corrected.uv} / ${shown.corrected.vw} / ${shown.corrected.wu} Ω at ${last.reference_C} °C, ${shown.sum}`}
          source="234.5 °C for copper and 225 °C for aluminium, from memory; 2 % and 5 % are common practice, no source"
        />
      )}
      <FieldGrid min="140px">
        {(['uv', 'vw', 'wu'] as const).map((pair) => (
          <Field
            key={pair}
            label={`${pair[0]?.toUpperCase()} to ${pair[1]?.toUpperCase()}`}
            figure
            unit="Ω"
            value={typed[pair]}
            onChange={(e) => setTyped({ ...typed, [pair]: e.target.value })}
          />
        ))}
        <Field
          label="Winding at"
          figure
          unit="°C"
          value={temperature}
          onChange={(e) => setTemperature(e.target.value)}
        />
      </FieldGrid>
      <Choice
        label="Metal"
        value={material}
        onChange={setMaterial}
        options={[
          { value: 'copper', label: 'copper' },
          { value: 'aluminium', label: 'aluminium' },
        ]}
      />
      <Primary
        mt="3"
        disabled={test === null}
        onClick={() => {
          if (test === null) return;
          keep(test);
          setTyped({ uv: '', vw: '', wu: '' });
        }}
      >
        Keep the three figures
      </Primary>
    </Section>
  );
}
