import { Box } from '@chakra-ui/react';
import * as z from 'zod';
import { temperature } from '@/core/terms';
import { constructionAsked_V, insulation } from '@/core/motor/insulation';
import { trendsOf, type InsulationThen } from '@/core/motor/motor-history';
import { earthFor_s, timeTextOf, type EntryOf, type Payload } from '@/core/logbook';
import { Primary, Secondary } from '../../kit/buttons';
import { FieldGrid, Section } from '../../kit/section';
import { Choice, Field, Select, optionsOf } from '../../kit/field';
import { mustChoose, orNone, positiveFigure, temperatureFigure, zeroOrMore } from '../../kit/form-figures';
import { QuantityField } from '../../kit/quantity-field';
import { useTypedForm } from '../../kit/typed-form';
import { InsulationTrendChart } from './insulation-trend';
import { useEarlier } from './use-earlier';
import { Verdict } from './verdict';
import { Text } from '../../kit/text';

type Test = Payload<'motor.insulation'>;
type Kept = EntryOf<'motor.insulation'>;

const ofWords = { motor: 'motor', cable: 'cable', 'motor-and-cable': 'motor and cable' } as const;
const betweenWords = { earth: 'to earth', cores: 'between cores' } as const;

const insulationSchema = z.object({
  of: z.enum(['motor', 'cable', 'motor-and-cable']),
  between: z.enum(['earth', 'cores']),
  oneMinute: zeroOrMore,
  tenMinutes: orNone(positiveFigure),
  winding_C: temperatureFigure,
  kind: z.enum(['modern', 'before-1970']),
  construction: mustChoose(['random', 'form']),
});
const blank: z.input<typeof insulationSchema> = {
  of: 'motor-and-cable',
  between: 'earth',
  oneMinute: '',
  tenMinutes: '',
  winding_C: '20',
  kind: 'modern',
  construction: 'random',
};

function Shown({
  test,
  again,
  earthed_s,
  earth,
}: {
  test: Kept;
  /** The same was measured again since. */
  again: boolean;
  earthed_s: number | undefined;
  earth: (seconds: number) => void;
}) {
  const result = insulation(test.payload);
  const need = earthFor_s(test);
  return (
    <Box mb="2">
      <Text fontWeight="500">
        {ofWords[test.payload.of]} {betweenWords[test.payload.between]}
      </Text>
      <Verdict
        verdict={result.verdict}
        figure={`${result.correctedTo40C_Mohm} MΩ`}
        sum={`${result.sum}; at least ${result.minimum_Mohm} MΩ`}
        source={result.source}
      >
        <Text>
          at 40 °C, at least {result.minimum_Mohm} MΩ.{' '}
          {result.polarizationIndex === null
            ? result.polarizationNote
            : `Polarization index ${result.polarizationIndex}.`}
        </Text>
        {result.notes.map((n) => (
          <Text key={n}>{n}</Text>
        ))}
        {again ? (
          <Text color="soft">Repeated later.</Text>
        ) : (earthed_s ?? 0) >= need ? (
          <Text color="sound">Earthed for {earthed_s} s afterwards.</Text>
        ) : (
          <Box display="flex" gap="3" alignItems="center" flexWrap="wrap" my="1">
            <Text color="failed" fontWeight="500">
              The winding is charged: earth it for {need} s before touching it or connecting a drive.
            </Text>
            <Secondary onClick={() => earth(need)}>Earthed for {need} s</Secondary>
          </Box>
        )}
      </Verdict>
    </Box>
  );
}

/** Earlier tests of the same motor and these, each kind over time. */
function Over({ jobId, tests }: { jobId: string; tests: readonly Kept[] }) {
  const { tests: earlier, trouble } = useEarlier(jobId);
  const here = tests.map((t): InsulationThen => ({
    jobId,
    at: timeTextOf(t),
    of: t.payload.of,
    between: t.payload.between,
    test: t.payload,
  }));
  const trends = trendsOf([...(earlier ?? []), ...here]).filter((t) => t.points.length > 1);
  return (
    <>
      {trouble !== null && <Text color="doubt">{trouble}</Text>}
      {trends.map((t) => (
        <InsulationTrendChart
          key={`${t.of} ${t.between}`}
          trend={t}
          name={`Insulation of ${ofWords[t.of]} ${betweenWords[t.between]}`}
        />
      ))}
    </>
  );
}

/** Insulation after one minute and, where wanted, ten; corrected to 40 °C against its minimum. */
export function InsulationTestPanel({
  jobId,
  tests,
  earthed,
  ratedVolts,
  keep,
  earth,
}: {
  jobId: string;
  tests: readonly Kept[];
  earthed: Readonly<Record<string, number>>;
  ratedVolts: number;
  keep: (test: Test) => void;
  earth: (test: string, seconds: number) => void;
}) {
  const testVolts = ratedVolts <= 1000 ? 500 : 1000;
  const asksConstruction = ratedVolts >= constructionAsked_V;
  const { typed, text, quantity, pick, submit } = useTypedForm('insulation test', insulationSchema, {
    ...blank,
    // Below 1 kV the minimum is the same for both.
    construction: asksConstruction ? null : 'random',
  });
  const save = submit(
    ({ of, between, oneMinute, tenMinutes, winding_C, kind, construction }) =>
      keep({
        ...{ of, between, ratedVolts, testVolts, winding_C, kind, construction },
        readings: [
          { at_s: 60, megohm: oneMinute },
          ...(tenMinutes === null ? [] : [{ at_s: 600, megohm: tenMinutes }]),
        ],
        material: kind === 'modern' ? 'thermosetting' : 'thermoplastic',
      }),
    { ...typed, oneMinute: '', tenMinutes: '' },
  );
  return (
    <Section title="Insulation">
      {tests.map((t, i) => (
        <Shown
          key={t.id}
          test={t}
          again={tests
            .slice(i + 1)
            .some((u) => u.payload.of === t.payload.of && u.payload.between === t.payload.between)}
          earthed_s={earthed[t.id]}
          earth={(s) => earth(t.id, s)}
        />
      ))}
      <Over jobId={jobId} tests={tests} />
      <Text color="soft" mb="2">
        {testVolts} V DC. Test motor and cable together first; separately only if the result is low.
      </Text>
      <form onSubmit={save} noValidate>
        <FieldGrid>
          <Select label="Of" {...pick('of')} options={optionsOf(ofWords)} />
          <Select label="Between" {...pick('between')} options={optionsOf(betweenWords)} />
          <Field label="After 1 minute" figure unit="MΩ" {...text('oneMinute')} />
          <Field
            label="After 10 minutes"
            hint="For the polarization index; optional"
            figure
            unit="MΩ"
            {...text('tenMinutes')}
          />
          <QuantityField label="Winding temperature" quantity={temperature} {...quantity('winding_C')} />
        </FieldGrid>
        <Choice
          label="Insulation age"
          {...pick('kind')}
          options={optionsOf({ modern: 'after about 1970', 'before-1970': 'before' })}
        />
        {asksConstruction && (
          <Choice
            label="Winding construction: decides the minimum from 1 kV on"
            {...pick('construction')}
            options={optionsOf({ random: 'random-wound', form: 'form-wound coils' })}
          />
        )}
        <Primary type="submit" mt="3">
          Save test
        </Primary>
      </form>
    </Section>
  );
}
