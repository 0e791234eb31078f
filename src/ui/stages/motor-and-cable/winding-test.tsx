import * as z from 'zod';
import type { Payload } from '@/core/logbook';
import { temperature } from '@/core/terms';
import { winding } from '@/core/motor/winding';
import { Primary } from '../../kit/buttons';
import { FieldGrid, Section } from '../../kit/section';
import { Choice, Field, optionsOf } from '../../kit/field';
import { positiveFigure, temperatureFigure } from '../../kit/form-figures';
import { QuantityField } from '../../kit/quantity-field';
import { useTypedForm } from '../../kit/typed-form';
import { Verdict } from './verdict';

const windingSchema = z.object({
  uv: positiveFigure,
  vw: positiveFigure,
  wu: positiveFigure,
  temperature_C: temperatureFigure,
  material: z.enum(['copper', 'aluminium']),
});
const noFigures = { uv: '', vw: '', wu: '' };
const blank: z.input<typeof windingSchema> = { ...noFigures, temperature_C: '20', material: 'copper' };

/** Ohms of the three pairs, brought to one temperature, and whether they are alike. */
export function WindingTestPanel({
  tests,
  keep,
}: {
  tests: readonly Payload<'motor.winding'>[];
  keep: (test: Payload<'motor.winding'>) => void;
}) {
  const { typed, text, quantity, pick, submit } = useTypedForm('winding test', windingSchema, blank);
  const save = submit(
    ({ temperature_C, material, ...ohms }) => keep({ ohms, temperature_C, reference_C: 20, material }),
    { ...typed, ...noFigures },
  );
  const last = tests[tests.length - 1];
  const shown = last === undefined ? null : winding(last);
  return (
    <Section title="Winding resistance">
      {shown !== null && last !== undefined && (
        <Verdict
          verdict={shown.verdict}
          figure={`${shown.unbalance_percent} % unbalance`}
          sum={`${shown.corrected.uv} / ${shown.corrected.vw} / ${shown.corrected.wu} Ω at ${last.reference_C} °C, ${shown.sum}`}
          source="234.5 °C for copper and 225 °C for aluminium, from memory; 2 % and 5 % are common practice, no source"
        />
      )}
      <form onSubmit={save} noValidate>
        <FieldGrid min="140px">
          <Field label="U to V" figure unit="Ω" {...text('uv')} />
          <Field label="V to W" figure unit="Ω" {...text('vw')} />
          <Field label="W to U" figure unit="Ω" {...text('wu')} />
          <QuantityField label="Winding temperature" quantity={temperature} {...quantity('temperature_C')} />
        </FieldGrid>
        <Choice
          label="Metal"
          {...pick('material')}
          options={optionsOf({ copper: 'copper', aluminium: 'aluminium' })}
        />
        <Primary type="submit" mt="3">
          Save the three readings
        </Primary>
      </form>
    </Section>
  );
}
