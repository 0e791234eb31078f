import { Text } from '@chakra-ui/react';
import { useState } from 'react';
import { expectedHz, judgeSweep } from '@/core/power-up/first-power';
import type { Payload } from '@/core/logbook';
import { Primary } from '../../kit/buttons';
import { FieldGrid, Section } from '../../kit/section';
import { NumberField } from '../../kit/field';
import { figureFrom, numberFrom } from '../../kit/number-from';
import { PlainTable } from '../../kit/plain-table';
import { StateMark } from '../../kit/state-mark';

const percents = [0, 25, 50, 75, 100] as const;

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
  const [min, setMin] = useState(String(kept?.min_Hz ?? 0));
  const [max, setMax] = useState(String(kept?.max_Hz ?? 50));
  const [got, setGot] = useState<Readonly<Record<number, string>>>(
    Object.fromEntries((kept?.points ?? []).map((p) => [p.percent, String(p.hz)])),
  );
  const low = figureFrom(min);
  const high = numberFrom(max);
  const min_Hz = low ?? 0;
  const max_Hz = high ?? 50;
  const points = percents.flatMap((percent) => {
    const hz = figureFrom(got[percent] ?? '');
    return hz === null || hz < 0 ? [] : [{ percent, hz }];
  });
  const judged = judgeSweep({ min_Hz, max_Hz, points });
  const backwards = max_Hz <= min_Hz;
  const unread = low === null || low < 0 || high === null;
  return (
    <Section title="Reference from zero to maximum">
      <FieldGrid min="150px">
        <NumberField
          label="At zero"
          unit="Hz"
          text={min}
          error={low === null || low < 0 ? 'A figure, zero or above' : undefined}
          set={setMin}
        />
        <NumberField
          label="At maximum"
          unit="Hz"
          text={max}
          error={high === null ? 'A figure above zero' : backwards ? 'More than at zero' : undefined}
          set={setMax}
        />
      </FieldGrid>
      <FieldGrid min="150px">
        {percents.map((p) => (
          <NumberField
            key={p}
            label={`Output at ${p} %`}
            unit="Hz"
            text={got[p] ?? ''}
            hint={`should be ${expectedHz({ min_Hz, max_Hz }, p)} Hz`}
            set={(t) => setGot((g) => ({ ...g, [p]: t }))}
          />
        ))}
      </FieldGrid>
      {judged.rows.length > 0 && (
        <PlainTable heads={['reference', 'should be', 'is', 'off by', '']}>
          {judged.rows.map((r) => (
            <tr key={r.percent}>
              <td>{r.percent} %</td>
              <td>{r.expected_Hz} Hz</td>
              <td>{r.hz} Hz</td>
              <td>{Number(r.off_Hz.toFixed(2))} Hz</td>
              <td>
                <StateMark
                  mark={r.passes ? 'sound' : 'failed'}
                  label={r.passes ? 'within the band' : 'outside the band'}
                />
              </td>
            </tr>
          ))}
        </PlainTable>
      )}
      <Text role="status" my="2">
        {judged.text} The band is {Number(judged.band_Hz.toFixed(2))} Hz, 1 % of the range (common practice,
        no source).
      </Text>
      {!wasOn && <Text color="soft">It was not switched on in this job yet.</Text>}
      <Primary
        disabled={!wasOn || points.length === 0 || backwards || unread}
        onClick={() => keep({ min_Hz, max_Hz, points })}
      >
        Keep the sweep
      </Primary>
    </Section>
  );
}
