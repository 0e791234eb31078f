import { useState } from 'react';
import type { Payload } from '@/core/logbook';
import { unbalance } from '@/core/numerics/unbalance';
import { Primary } from '../../kit/buttons';
import { FieldGrid, Section } from '../../kit/section';
import { Choice, Field } from '../../kit/field';
import { numberFrom } from '../../kit/number-from';
import { Verdict } from './verdict';

type Test = Payload<'motor.unbalance'>;

/** Three voltages or currents, how far apart they are, and what it costs a line-fed motor. */
export function UnbalanceTestPanel({ tests, keep }: { tests: readonly Test[]; keep: (test: Test) => void }) {
  const [of, setOf] = useState<Test['of']>('voltage');
  const [fedFrom, setFedFrom] = useState<Test['fedFrom']>('line');
  const [typed, setTyped] = useState(['', '', '']);
  const figures = typed.map((t) => numberFrom(t));
  const [a, b, c] = figures;
  const last = tests[tests.length - 1];
  const shown = last === undefined ? null : unbalance(last);
  return (
    <Section title="Unbalance">
      {shown !== null && last !== undefined && (
        <Verdict
          verdict={shown.verdict}
          figure={`${shown.unbalance_percent} %`}
          sum={`${shown.sum}${shown.deratingFactor === null ? '' : `; the motor may give ${(100 * shown.deratingFactor).toFixed(0)} % of its power`}`}
          source={shown.source}
        />
      )}
      <FieldGrid min="240px">
        <Choice
          label="Of"
          value={of}
          onChange={setOf}
          options={[
            { value: 'voltage', label: 'volts' },
            { value: 'current', label: 'amps' },
          ]}
        />
        <Choice
          label="Fed from"
          value={fedFrom}
          onChange={setFedFrom}
          options={[
            { value: 'line', label: 'line' },
            { value: 'drive', label: 'drive' },
          ]}
        />
      </FieldGrid>
      <FieldGrid min="140px">
        {typed.map((text, i) => (
          <Field
            key={i}
            label={of === 'voltage' ? `Line to line ${i + 1}` : `Phase ${i + 1}`}
            figure
            unit={of === 'voltage' ? 'V' : 'A'}
            value={text}
            onChange={(e) => setTyped(typed.map((t, k) => (k === i ? e.target.value : t)))}
          />
        ))}
      </FieldGrid>
      <Primary
        disabled={figures.some((f) => f === null)}
        onClick={() => {
          if (!a || !b || !c) return;
          keep({ of, fedFrom, values: [a, b, c] });
          setTyped(['', '', '']);
        }}
      >
        Keep the three figures
      </Primary>
    </Section>
  );
}
