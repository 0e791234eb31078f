import { Text } from '@chakra-ui/react';
import { fivePoints } from '@/core/numerics/analog-scaling';
import type { Control } from '@/core/equipment/catalogue';
import { potentiometers } from '@/core/numerics/preferred-values';
import { analogLineOf } from '@/core/job/release';
import type { StartUpChoices } from '@/core/equipment/application';
import { Section } from '../../kit/section';
import { PlainTable } from '../../kit/plain-table';
import { Disclosure } from '../../kit/why';

const kilohm = (ohm: number): string => `${ohm / 1000} kΩ`;

/** What the speed signal stands for at five points, and the potentiometers that are sold for it. */
export function AnalogLine({
  control,
  choices,
  plate_Hz,
}: {
  control: Control;
  choices: StartUpChoices;
  plate_Hz: number;
}) {
  const input = control.analogInputs.find((a) => a.id === choices.speedFrom);
  const line = analogLineOf(control, choices, plate_Hz);
  if (input === undefined || line === null) return null;
  const { signal } = line;
  const window = control.supply.potentiometer_ohm;
  const sold = window === undefined || signal !== '0-10V' ? [] : potentiometers(window[0], window[1]);
  return (
    <Section title={`What ${input.mark} stands for`}>
      <PlainTable heads={['Signal', 'Speed to expect', 'Sum']}>
        {fivePoints(line).map((p) => (
          <tr key={p.signal}>
            <td>
              <Text as="span" fontFamily="mono">
                {p.signal} {p.unit}
              </Text>
            </td>
            <td>
              <Text as="span" fontFamily="mono">
                {p.stands} Hz
              </Text>
            </td>
            <td>{p.sum}</td>
          </tr>
        ))}
      </PlainTable>
      {input.jumper !== undefined && <Text mt="2">{input.jumper}</Text>}
      {window !== undefined && signal === '0-10V' && (
        <Text as="div" mt="2">
          A potentiometer between {control.supply.plus10} and {control.supply.analogCommon}:{' '}
          {sold.map((p) => kilohm(p.ohm)).join(' or ') || 'none is sold in that window'}.
          <Disclosure>
            From {kilohm(window[0])} to {kilohm(window[1])} as the type takes it;{' '}
            {sold.map((p) => `${kilohm(p.ohm)} of the ${p.sold}`).join(', ')}. IEC 60063, from memory.
          </Disclosure>
        </Text>
      )}
    </Section>
  );
}
