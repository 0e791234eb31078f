'use client';
import { chakra } from '@chakra-ui/react';
import { Fragment } from 'react';
import * as z from 'zod';
import { leastKnown_V, quantitiesAt, type ProofPlace, type Quantity } from '@/core/bench/make-safe';
import type { Payload } from '@/core/logbook';
import { Primary } from '../../kit/buttons';
import { Field } from '../../kit/field';
import { filledText, zeroOrMoreOr } from '../../kit/form-figures';
import { FieldGrid } from '../../kit/section';
import { useTypedForm } from '../../kit/typed-form';
import { Text } from '../../kit/text';

const sourceHints = { dc: 'a proving unit', ac: 'a live socket; empty: the same' } as const;

const proofSchema = (least: Record<Quantity, number>, onAc: boolean) => {
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
      acVolts: onAc ? volts('ac') : z.string().transform(() => null),
    })
    .transform(({ dcSource, dcVolts, acSource, acVolts }) => ({
      dc: { source: dcSource, volts: dcVolts },
      ...(acVolts === null ? {} : { ac: { source: acSource === '' ? dcSource : acSource, volts: acVolts } }),
    }));
};

/** The meter on known sources near the circuit's voltage, before and after, on both ranges that the proof uses. */
export function MeterProof({
  when,
  place,
  sources = null,
  supply_V,
  disabled,
  keep,
}: {
  when: 'before' | 'after';
  place: ProofPlace;
  /** What it was proven on before, in words. */
  sources?: { dc: string; ac: string | null } | null;
  supply_V: number | null;
  disabled: boolean;
  keep: (proven: Payload<'safety.meter-proof'>) => void;
}) {
  const least = { dc: leastKnown_V('dc', supply_V), ac: leastKnown_V('ac', supply_V) };
  const used = quantitiesAt(place);
  const empty = { dcSource: sources?.dc ?? '', dcVolts: '', acSource: sources?.ac ?? '', acVolts: '' };
  const { text, submit } = useTypedForm(
    `meter proven ${when}`,
    proofSchema(least, used.includes('ac')),
    empty,
  );
  return (
    <chakra.form noValidate onSubmit={submit((shown) => keep({ when, ...shown }), empty)}>
      <FieldGrid min="270px">
        {used.map((quantity) => {
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
        Near the voltage of the circuit{used.includes('ac') ? ', on both ranges' : ''}. A battery of a few
        volts proves nothing.
      </Text>
      <Primary type="submit" disabled={disabled}>
        Save: meter proven {when}
      </Primary>
    </chakra.form>
  );
}
