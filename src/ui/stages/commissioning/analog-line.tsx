import { Box } from '@chakra-ui/react';
import * as z from 'zod';
import { fivePoints } from '@/core/numerics/analog-scaling';
import type { Control } from '@/core/equipment/catalogue';
import { potentiometerFault, potentiometers } from '@/core/numerics/preferred-values';
import type { Plate } from '@/core/equipment/plate';
import { analogLineOf, selectorFor, speedInput } from '@/core/job/release';
import type { StartUpChoices } from '@/core/equipment/application';
import type { JobStore } from '../../job-store/use-job';
import { Secondary } from '../../kit/buttons';
import { Choice, Field } from '../../kit/field';
import { orNone, positiveFigureOr } from '../../kit/form-figures';
import { FieldGrid, Section } from '../../kit/section';
import { PlainTable } from '../../kit/plain-table';
import { StateMark } from '../../kit/state-mark';
import { useTypedForm } from '../../kit/typed-form';
import { Disclosure } from '../../kit/why';
import { Cell, Text } from '../../kit/text';

const kilohm = (ohm: number): string => `${ohm / 1000} kΩ`;

const potentiometerSchema = (window: readonly [number, number]) =>
  z.object({
    kilohm: orNone(positiveFigureOr('Kilohms above zero, or empty for none.')).refine(
      (typed) => typed === null || potentiometerFault(typed * 1000, window) === null,
      {
        error: ({ input }) => potentiometerFault(Number(input) * 1000, window) ?? '',
      },
    ),
  });

/** The potentiometer that is fitted, held against what the type takes. */
function Potentiometer({
  window,
  ohm,
  keep,
}: {
  window: readonly [number, number];
  ohm: number | null;
  keep: (ohm: number | null) => void;
}) {
  const { text, submit } = useTypedForm('potentiometer', potentiometerSchema(window), {
    kilohm: ohm === null ? '' : String(ohm / 1000),
  });
  return (
    <form
      noValidate
      onSubmit={submit(({ kilohm: typed }) => keep(typed === null ? null : Math.round(typed * 1000)))}
    >
      <FieldGrid min="220px">
        <Field label="Potentiometer fitted" figure unit="kΩ" hint="Empty: none" {...text('kilohm')} />
        <Box alignSelf="end">
          <Secondary type="submit">Save potentiometer</Secondary>
        </Box>
      </FieldGrid>
    </form>
  );
}

/** Where the selector of an input stands, held against the signal. */
function Selector({
  jumper,
  wanted,
  stands,
  keep,
}: {
  jumper: string;
  wanted: 'V' | 'mA';
  stands: 'V' | 'mA' | undefined;
  keep: (position: 'V' | 'mA') => void;
}) {
  return (
    <Box mt="2">
      <Text>{jumper}</Text>
      <Choice
        label="Selector position"
        value={stands ?? null}
        onChange={keep}
        options={[
          { value: 'V', label: 'V' },
          { value: 'mA', label: 'mA' },
        ]}
      />
      {stands !== undefined && (
        <Text role="status" color={stands === wanted ? 'sound' : 'failed'} fontWeight="500">
          <StateMark mark={stands === wanted ? 'sound' : 'failed'} label={null} />{' '}
          {stands === wanted ? 'Matches the signal.' : `The signal needs ${wanted}.`}
        </Text>
      )}
    </Box>
  );
}

/** What the speed signal stands for at five points, and the potentiometers that are sold for it. */
export function AnalogLine({
  store,
  control,
  choices,
  plate,
}: {
  store: JobStore;
  control: Control;
  choices: StartUpChoices;
  plate: Pick<Plate, 'hz' | 'rpm'>;
}) {
  const input = speedInput(control, choices);
  const line = analogLineOf(control, choices, plate.hz);
  if (input === null || line === null) return null;
  const { signal } = input;
  const { jumpers, potentiometer_ohm } = store.state.startUp;
  const window = control.supply.potentiometer_ohm;
  const sold = window === undefined || signal !== '0-10V' ? [] : potentiometers(window[0], window[1]);
  return (
    <Section title={`Scaling of ${input.mark}`}>
      <PlainTable heads={['Signal', 'Expected reference', 'Motor speed by nameplate', 'Calculation']}>
        {fivePoints(line).map((p) => (
          <tr key={p.signal}>
            <Cell>
              <Text as="span" fontFamily="mono">
                {p.signal} {p.unit}
              </Text>
            </Cell>
            <Cell>
              <Text as="span" fontFamily="mono">
                {p.stands} Hz
              </Text>
            </Cell>
            <Cell>
              <Text as="span" fontFamily="mono">
                {Math.round((p.stands * plate.rpm) / plate.hz)} rpm
              </Text>
            </Cell>
            <Cell>{p.sum}</Cell>
          </tr>
        ))}
      </PlainTable>
      {input.jumper !== undefined && (
        <Selector
          jumper={input.jumper}
          wanted={selectorFor(signal)}
          stands={jumpers[input.id]}
          keep={(position) => store.record('startup.jumper', { input: input.id, position })}
        />
      )}
      {window !== undefined && signal === '0-10V' && (
        <Potentiometer
          window={window}
          ohm={potentiometer_ohm}
          keep={(ohm) => store.record('startup.potentiometer', { ohm })}
        />
      )}
      {window !== undefined && signal === '0-10V' && (
        <Text as="div" mt="2">
          A potentiometer from {control.supply.plus10} and {control.supply.analogCommon}:{' '}
          {[...new Set(sold.map((p) => p.ohm))]
            .sort((a, b) => a - b)
            .map(kilohm)
            .join(' or ') || 'no standard value in this range'}
          .
          <Disclosure>
            From {kilohm(window[0])} to {kilohm(window[1])} as allowed by the type;{' '}
            {sold.map((p) => `${kilohm(p.ohm)} of the ${p.sold}`).join(', ')}. IEC 60063, from memory.
          </Disclosure>
        </Text>
      )}
    </Section>
  );
}
