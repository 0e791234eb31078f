import { Box, Text } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { judgeLamps, lampsPerLeg, lampVolts, type LampExpectation } from '@/core/power-up/first-power';
import { formatSignificant } from '@/core/numerics/figures';
import type { EntryOf, Payload } from '@/core/logbook';
import type { UnitWords } from '@/core/power-up/waveform';
import { Primary } from '../../kit/buttons';
import { Caution } from '../../kit/caution';
import { FieldGrid, Section } from '../../kit/section';
import { NumberField } from '../../kit/field';
import { figureFrom, numberFrom } from '../../kit/number-from';
import { PlainTable } from '../../kit/plain-table';
import { StateMark } from '../../kit/state-mark';
import { Disclosure } from '../../kit/why';
import { useWaveWorker } from './use-waves';
import { ownJson } from '../../kit/own-json';

const tried_Hz = [5, 10, 20, 30, 40, 50] as const;
const marks = { equal: 'sound', doubtful: 'doubt', unequal: 'failed' } as const;

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
      const said = error instanceof Error ? error.message : 'it could not be computed on this device';
      if (wanted) setRows((now) => ({ ...now, key, trouble: `Not computed: ${said}` }));
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
  const [watts, setWatts] = useState('100');
  const [hz, setHz] = useState('30');
  const [volts, setVolts] = useState(['', '', '']);
  const [amps, setAmps] = useState(['', '', '']);
  const perLeg = lampsPerLeg(unit.supply_V, lampVolts);
  const typedWatts = numberFrom(watts);
  const lampWatts = typedWatts ?? 100;
  const { rows, trouble } = useExpected(unit, lampWatts, perLeg);
  const v = volts.map(figureFrom);
  const a = amps.map(figureFrom);
  const at = figureFrom(hz);
  const complete = v.every((x) => x !== null && x >= 0) && at !== null && at >= 0;
  const someAmps = amps.some((x) => x.trim() !== '');
  const allAmps = a.every((x) => x !== null && x >= 0);
  const three = (list: (number | null)[]): [number, number, number] => [
    list[0] ?? 0,
    list[1] ?? 0,
    list[2] ?? 0,
  ];
  const put = (list: string[], k: number, text: string) => list.map((x, i) => (i === k ? text : x));
  return (
    <Section title="Lamps as a load">
      <Caution grave title="The star point of the lamps is live.">
        Insulate it. Motor off. Output phase-loss supervision off is a value for this test only: it goes back
        on afterwards.
      </Caution>
      <FieldGrid min="160px">
        <NumberField
          label="Each lamp"
          unit="W"
          text={watts}
          hint={`${perLeg === 1 ? 'one' : perLeg} of ${lampVolts} V a leg`}
          error={typedWatts === null ? 'A figure above zero; computed for 100 W' : undefined}
          set={setWatts}
        />
      </FieldGrid>
      <PlainTable heads={['Hz', 'line to line, filtered', 'wide-band', 'each leg', 'each lamp', 'look']}>
        {rows.map((r) => (
          <tr key={r.hz}>
            <td>{r.hz}</td>
            <td>{formatSignificant(r.pair_V)} V</td>
            <td>{formatSignificant(r.pairWide_V)} V</td>
            <td>{formatSignificant(r.amps)} A</td>
            <td>{formatSignificant(r.watts)} W</td>
            <td>{r.look}</td>
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
          computing…
        </Text>
      )}
      <Disclosure>
        <Text>
          A filament has about a fourteenth of its hot resistance when cold, and its current goes with volts
          to the power 0.55 (handbook figures of tungsten, from memory). What heats it is all of the pulses,
          not their fundamental alone: it is brighter at low frequency than the filtered volts say.
        </Text>
      </Disclosure>
      <Box mt="4">
        <FieldGrid min="140px">
          <NumberField label="At" unit="Hz" text={hz} set={setHz} />
          {(['U to V', 'V to W', 'W to U'] as const).map((pair, k) => (
            <NumberField
              key={pair}
              label={pair}
              unit="V"
              text={volts[k] ?? ''}
              set={(t) => setVolts(put(volts, k, t))}
            />
          ))}
        </FieldGrid>
        <FieldGrid min="140px">
          {(['U', 'V', 'W'] as const).map((leg, k) => (
            <NumberField
              key={leg}
              label={`Current ${leg}`}
              unit="A"
              text={amps[k] ?? ''}
              {...(k === 0 ? { hint: 'no clamp: leave empty' } : {})}
              set={(t) => setAmps(put(amps, k, t))}
            />
          ))}
        </FieldGrid>
        {!wasOn && <Text color="soft">It was not switched on in this job yet.</Text>}
        <Primary
          disabled={!complete || typedWatts === null || !wasOn || (someAmps && !allAmps)}
          onClick={() => {
            if (at === null) return;
            keep({
              lamp: { volts: lampVolts, watts: lampWatts },
              perLeg,
              hz: at,
              volts: three(v),
              amps: someAmps ? three(a) : null,
            });
            setVolts(['', '', '']);
            setAmps(['', '', '']);
          }}
        >
          Keep these readings
        </Primary>
      </Box>
      {kept.map((entry) => {
        const judged = judgeLamps(entry.payload);
        return (
          <Box key={entry.id} mt="3" role="status">
            <StateMark mark={marks[judged.verdict]} />{' '}
            <Text as="span" fontWeight="600">
              At {entry.payload.hz} Hz: {judged.text}
            </Text>
            <Disclosure label="sum">{judged.sum}. Bounds: common practice, no source.</Disclosure>
          </Box>
        );
      })}
    </Section>
  );
}
