import { Box, chakra } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import * as z from 'zod';
import { judgeLamps, lampsPerLeg, lampVolts, type LampExpectation } from '@/core/power-up/first-power';
import { formatSignificant } from '@/core/numerics/figures';
import type { EntryOf, Payload } from '@/core/logbook';
import type { UnitWords } from '@/core/power-up/waveform';
import { Primary } from '../../kit/buttons';
import { Caution } from '../../kit/caution';
import { FieldGrid, Section } from '../../kit/section';
import { Field } from '../../kit/field';
import { positiveFigureOr, zeroOrMore } from '../../kit/form-figures';
import { useTypedForm } from '../../kit/typed-form';
import { numberFrom } from '../../kit/number-from';
import { PlainTable } from '../../kit/plain-table';
import { StateMark } from '../../kit/state-mark';
import { Disclosure } from '../../kit/why';
import { useWaveWorker } from './use-waves';
import { ownJson } from '../../kit/own-json';
import { Cell, Text } from '../../kit/text';

const tried_Hz = [5, 10, 20, 30, 40, 50] as const;
const marks = { equal: 'sound', doubtful: 'doubt', unequal: 'failed' } as const;

const three = <Read,>(figure: z.ZodType<Read, string>) => z.tuple([figure, figure, figure]);
const lampsSchema = z.object({
  watts: positiveFigureOr('A value above zero; calculated for 100 W'),
  hz: zeroOrMore,
  volts: three(zeroOrMore),
  /** All three or, without a clamp, none. */
  amps: z.union([three(zeroOrMore), three(z.string().regex(/^\s*$/)).transform(() => null)]),
});
const noReadings: z.input<typeof lampsSchema> = {
  watts: '100',
  hz: '30',
  volts: ['', '', ''],
  amps: ['', '', ''],
};

/** What the lamps should do, computed a frequency at a time so that the first rows come at once. */
function useExpected(
  unit: UnitWords,
  watts: number,
  perLeg: number,
): { rows: readonly LampExpectation[]; trouble: string | null } {
  const ask = useWaveWorker();
  const [rows, setRows] = useState<{ key: string; rows: readonly LampExpectation[]; trouble: string | null }>(
    {
      key: '',
      rows: [],
      trouble: null,
    },
  );
  const key = JSON.stringify([unit, watts, perLeg]);
  useEffect(() => {
    let wanted = true;
    const [asked, lamp, strings] = ownJson<[UnitWords, number, number]>(key);
    const load = { lamp: { volts: lampVolts, watts: lamp }, perLeg: strings };
    const each = async () => {
      for (const hz of tried_Hz) {
        const more = await ask((worker) => worker.lamps(asked, load, [hz]));
        if (!wanted) return;
        setRows((now) => ({ key, rows: now.key === key ? [...now.rows, ...more] : more, trouble: null }));
      }
    };
    each().catch((error: unknown) => {
      const said = error instanceof Error ? error.message : 'it could not be calculated on this device';
      if (wanted) setRows((now) => ({ ...now, key, trouble: `Not calculated: ${said}` }));
    });
    return () => {
      wanted = false;
    };
  }, [key, ask]);
  return rows.key === key ? rows : { rows: [], trouble: null };
}

/** Three equal lamps in star at the output, at several frequencies. */
export function LampsPanel({
  unit,
  kept,
  wasOn,
  keep,
}: {
  unit: UnitWords;
  kept: readonly EntryOf<'power.lamps'>[];
  wasOn: boolean;
  keep: (what: Payload<'power.lamps'>) => void;
}) {
  const { typed, text, submit } = useTypedForm('lamps as a load', lampsSchema, noReadings);
  const perLeg = lampsPerLeg(unit.supply_V, lampVolts);
  const lampWatts = numberFrom(typed.watts) ?? 100;
  const { rows, trouble } = useExpected(unit, lampWatts, perLeg);
  const save = submit(
    ({ watts, ...readings }) => wasOn && keep({ lamp: { volts: lampVolts, watts }, perLeg, ...readings }),
    { ...noReadings, watts: typed.watts, hz: typed.hz },
  );
  return (
    <Section title="Lamps as a load">
      <Caution grave title="The star point of the lamps is live.">
        Insulate it. Disconnect the motor. Output phase-loss supervision is off for this test only: switch it
        on again afterwards.
      </Caution>
      <FieldGrid min="160px">
        <Field
          label="Each lamp"
          figure
          unit="W"
          hint={`${perLeg === 1 ? 'one' : perLeg} of ${lampVolts} V a leg`}
          {...text('watts')}
        />
      </FieldGrid>
      <PlainTable heads={['Hz', 'line to line, filtered', 'wide-band', 'each leg', 'each lamp', 'look']}>
        {rows.map((r) => (
          <tr key={r.hz}>
            <Cell>{r.hz}</Cell>
            <Cell>{formatSignificant(r.pair_V)} V</Cell>
            <Cell>{formatSignificant(r.pairWide_V)} V</Cell>
            <Cell>{formatSignificant(r.amps)} A</Cell>
            <Cell>{formatSignificant(r.watts)} W</Cell>
            <Cell>{r.look}</Cell>
          </tr>
        ))}
      </PlainTable>
      {trouble !== null && (
        <Text role="alert" color="failed">
          {trouble}
        </Text>
      )}
      {trouble === null && rows.length < tried_Hz.length && (
        <Text role="status" color="soft">
          calculating…
        </Text>
      )}
      <Disclosure>
        <Text>
          A cold filament has about a fourteenth of its hot resistance; its current follows voltage to the
          power 0.55 (handbook values for tungsten, from memory). All pulses heat it, not only the
          fundamental: at low frequency it is brighter than the filtered voltage suggests.
        </Text>
      </Disclosure>
      <chakra.form mt="4" onSubmit={save} noValidate>
        <FieldGrid min="140px">
          <Field label="At" figure unit="Hz" {...text('hz')} />
          <Field label="U to V" figure unit="V" {...text('volts.0')} />
          <Field label="V to W" figure unit="V" {...text('volts.1')} />
          <Field label="W to U" figure unit="V" {...text('volts.2')} />
        </FieldGrid>
        <FieldGrid min="140px">
          <Field label="Current U" figure unit="A" hint="Empty without a clamp" {...text('amps.0')} />
          <Field label="Current V" figure unit="A" {...text('amps.1')} />
          <Field label="Current W" figure unit="A" {...text('amps.2')} />
        </FieldGrid>
        {!wasOn && <Text color="soft">Power has not been switched on in this job yet.</Text>}
        <Primary type="submit" disabled={!wasOn}>
          Save these readings
        </Primary>
      </chakra.form>
      {kept.map((entry) => {
        const judged = judgeLamps(entry.payload);
        return (
          <Box key={entry.id} mt="3" role="status">
            <StateMark mark={marks[judged.verdict]} />{' '}
            <Text as="span" fontWeight="600">
              At {entry.payload.hz} Hz: {judged.text}
            </Text>
            <Disclosure label="calculation">{judged.sum}. Limits: common practice, no source.</Disclosure>
          </Box>
        );
      })}
    </Section>
  );
}
