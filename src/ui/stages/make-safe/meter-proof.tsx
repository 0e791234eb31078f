'use client';
import { chakra } from '@chakra-ui/react';
import { Fragment } from 'react';
import * as z from 'zod';
import { leastKnown_V, quantities, type Quantity } from '@/core/bench/make-safe';
import type { Payload } from '@/core/logbook';
import { Primary } from '../../kit/buttons';
import { Field } from '../../kit/field';
import { filledText, zeroOrMoreOr } from '../../kit/form-figures';
import { FieldGrid } from '../../kit/section';
import { useTypedForm } from '../../kit/typed-form';
import { Text } from '../../kit/text';

const sourceHints = { dc: 'a proving unit', ac: 'a live socket; empty: the same' } as const;
const empty = { dcSource: '', dcVolts: '', acSource: '', acVolts: '' };

const proofSchema = (least: Record<Quantity, number>) => {
  const volts = (quantity: Quantity) =>
    zeroOrMoreOr('Meter reading, e.g. 231').refine(
      (shown) => shown >= least[quantity],
      `At least ${least[quantity]} V for this drive: check source, range, leads and battery.`,
    );
  return z
    .object({
      dcSource: filledText('Enter the known source, e.g. a proving unit.'),
      dcVolts: volts('dc'),
      acSource: z.string().trim(),
      acVolts: volts('ac'),
    })
    .transform(({ dcSource, dcVolts, acSource, acVolts }) => ({
      dc: { source: dcSource, volts: dcVolts },
      ac: { source: acSource === '' ? dcSource : acSource, volts: acVolts },
    }));
};

/** The meter on known sources near the circuit's voltage, before and after, on both ranges that the proof uses. */
export function MeterProof({
  when,
  supply_V,
  disabled,
  keep,
}: {
  when: 'before' | 'after';
  supply_V: number | null;
  disabled: boolean;
  keep: (proven: Payload<'safety.meter-proof'>) => void;
}) {
  const least = { dc: leastKnown_V('dc', supply_V), ac: leastKnown_V('ac', supply_V) };
  const { text, submit } = useTypedForm(`meter proven ${when}`, proofSchema(least), empty);
  return (
    <chakra.form noValidate onSubmit={submit((shown) => keep({ when, ...shown }), empty)}>
      <FieldGrid min="270px">
        {quantities.map((quantity) => {
          const range = quantity.toUpperCase();
          return (
            <Fragment key={quantity}>
              <Field
                label={`Known source ${range}, ${when}`}
                hint={sourceHints[quantity]}
                disabled={disabled}
                maxLength={200}
                {...text(`${quantity}Source`)}
              />
              <Field
                label={`Meter reading ${range}, ${when}`}
                figure
                unit="V"
                hint={`${least[quantity]} V or more`}
                disabled={disabled}
                {...text(`${quantity}Volts`)}
              />
            </Fragment>
          );
        })}
      </FieldGrid>
      <Text mb="2" fontSize="0.9rem" color="soft">
        Near the voltage of the circuit, on both ranges. A battery of a few volts proves nothing.
      </Text>
      <Primary type="submit" disabled={disabled}>
        Save: meter proven {when}
      </Primary>
    </chakra.form>
  );
}
