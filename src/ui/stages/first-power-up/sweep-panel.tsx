import * as z from 'zod';
import { expectedHz, judgeSweep } from '@/core/power-up/first-power';
import type { Payload } from '@/core/logbook';
import { Primary } from '../../kit/buttons';
import { FieldGrid, Section } from '../../kit/section';
import { Field } from '../../kit/field';
import { positiveFigure, zeroOrMore } from '../../kit/form-figures';
import { figureFrom, numberFrom } from '../../kit/number-from';
import { PlainTable } from '../../kit/plain-table';
import { useTypedForm } from '../../kit/typed-form';
import { StateMark } from '../../kit/state-mark';
import { Cell, Text } from '../../kit/text';

const percents = [0, 25, 50, 75, 100] as const;

/** What was read at each of `percents`; what is empty or no figure is left out. */
const pointsOf = (got: readonly string[]) =>
  percents.flatMap((percent, i) => {
    const hz = figureFrom(got[i] ?? '');
    return hz === null || hz < 0 ? [] : [{ percent, hz }];
  });
const sweepSchema = z
  .object({ min_Hz: zeroOrMore, max_Hz: positiveFigure, got: z.array(z.string()) })
  .transform(({ got, ...range }): Payload<'power.swept'> => ({ ...range, points: pointsOf(got) }))
  .refine(({ min_Hz, max_Hz }) => max_Hz > min_Hz, {
    path: ['max_Hz'],
    message: 'Must be above the value at zero',
  })
  .refine(({ points }) => points.length > 0, { path: ['got'], message: 'At least one reading' });
const typedSweep = (kept: Payload<'power.swept'> | null): z.input<typeof sweepSchema> => ({
  min_Hz: String(kept?.min_Hz ?? 0),
  max_Hz: String(kept?.max_Hz ?? 50),
  got: percents.map((percent) => String(kept?.points.find((p) => p.percent === percent)?.hz ?? '')),
});

/** The reference from nothing to all: does the output follow? */
export function SweepPanel({
  kept,
  wasOn,
  keep,
}: {
  kept: Payload<'power.swept'> | null;
  wasOn: boolean;
  keep: (what: Payload<'power.swept'>) => void;
}) {
  const { typed, text, submit } = useTypedForm('reference sweep', sweepSchema, typedSweep(kept));
  const range = { min_Hz: figureFrom(typed.min_Hz) ?? 0, max_Hz: numberFrom(typed.max_Hz) ?? 50 };
  const judged = judgeSweep({ ...range, points: pointsOf(typed.got) });
  return (
    <Section title="Reference from zero to maximum">
      <form onSubmit={submit(keep)} noValidate>
        <FieldGrid min="150px">
          <Field label="At zero" figure unit="Hz" {...text('min_Hz')} />
          <Field label="At maximum" figure unit="Hz" {...text('max_Hz')} />
        </FieldGrid>
        <FieldGrid min="150px">
          {percents.map((p, i) => (
            <Field
              key={p}
              label={`Output at ${p} %`}
              figure
              unit="Hz"
              hint={`expected ${expectedHz(range, p)} Hz`}
              {...text(`got.${i}`)}
            />
          ))}
        </FieldGrid>
        {judged.rows.length > 0 && (
          <PlainTable heads={['reference', 'expected', 'is', 'deviation', '']}>
            {judged.rows.map((r) => (
              <tr key={r.percent}>
                <Cell>{r.percent} %</Cell>
                <Cell>{r.expected_Hz} Hz</Cell>
                <Cell>{r.hz} Hz</Cell>
                <Cell>{Number(r.off_Hz.toFixed(2))} Hz</Cell>
                <Cell>
                  <StateMark
                    mark={r.passes ? 'sound' : 'failed'}
                    label={r.passes ? 'within the band' : 'outside the band'}
                  />
                </Cell>
              </tr>
            ))}
          </PlainTable>
        )}
        <Text role="status" my="2">
          {judged.text} The band is {Number(judged.band_Hz.toFixed(2))} Hz, 1 % of the range (common practice,
          no source).
        </Text>
        {!wasOn && <Text color="soft">Power has not been switched on in this job yet.</Text>}
        <Primary type="submit" disabled={!wasOn}>
          Save sweep
        </Primary>
      </form>
    </Section>
  );
}
