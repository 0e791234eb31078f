import * as z from 'zod';
import type { Payload } from '@/core/logbook';
import { unbalance } from '@/core/numerics/unbalance';
import { Primary } from '../../kit/buttons';
import { FieldGrid, Section } from '../../kit/section';
import { Choice, Field, optionsOf } from '../../kit/field';
import { positiveFigure } from '../../kit/form-figures';
import { useTypedForm } from '../../kit/typed-form';
import { Verdict } from './verdict';

type Test = Payload<'motor.unbalance'>;

const unbalanceSchema = z.object({
  of: z.enum(['voltage', 'current']),
  fedFrom: z.enum(['line', 'drive']),
  a: positiveFigure,
  b: positiveFigure,
  c: positiveFigure,
});
const noFigures = { a: '', b: '', c: '' };
const blank: z.input<typeof unbalanceSchema> = { of: 'voltage', fedFrom: 'line', ...noFigures };

/** Three voltages or currents, how far apart they are, and what it costs a line-fed motor. */
export function UnbalanceTestPanel({ tests, keep }: { tests: readonly Test[]; keep: (test: Test) => void }) {
  const { typed, text, pick, submit } = useTypedForm('unbalance test', unbalanceSchema, blank);
  const save = submit(({ of, fedFrom, a, b, c }) => keep({ of, fedFrom, values: [a, b, c] }), {
    ...typed,
    ...noFigures,
  });
  const [where, unit] = typed.of === 'voltage' ? ['Line to line', 'V'] : ['Phase', 'A'];
  const last = tests[tests.length - 1];
  const shown = last === undefined ? null : unbalance(last);
  return (
    <Section title="Unbalance">
      {shown !== null && last !== undefined && (
        <Verdict
          verdict={shown.verdict}
          figure={`${shown.unbalance_percent} %`}
          sum={`${shown.sum}${shown.deratingFactor === null ? '' : `; derate the motor to ${(100 * shown.deratingFactor).toFixed(0)} %`}`}
          source={shown.source}
        />
      )}
      <form onSubmit={save} noValidate>
        <FieldGrid min="240px">
          <Choice label="Of" {...pick('of')} options={optionsOf({ voltage: 'volts', current: 'amps' })} />
          <Choice
            label="Fed from"
            {...pick('fedFrom')}
            options={optionsOf({ line: 'line', drive: 'drive' })}
          />
        </FieldGrid>
        <FieldGrid min="140px">
          {(['a', 'b', 'c'] as const).map((name, i) => (
            <Field key={name} label={`${where} ${i + 1}`} figure unit={unit} {...text(name)} />
          ))}
        </FieldGrid>
        <Primary type="submit">Save the three readings</Primary>
      </form>
    </Section>
  );
}
