import { Box } from '@chakra-ui/react';
import * as z from 'zod';
import type { Payload } from '@/core/logbook';
import { Primary } from '../../kit/buttons';
import { Caution } from '../../kit/caution';
import { Choice, Field, optionsOf } from '../../kit/field';
import { mustChoose, positiveFigure } from '../../kit/form-figures';
import { FieldGrid } from '../../kit/section';
import { useTypedForm } from '../../kit/typed-form';

/** Probes must stand the bus of this drive. */
const probesFor = (bus_V: number) =>
  z.object({
    by: mustChoose(['differential', 'battery-scope', 'meter-only']),
    ratedVolts: positiveFigure.refine(
      (volts) => volts >= bus_V,
      `Not enough for a bus of ${Math.ceil(bus_V)} V: take another`,
    ),
  });
const none: z.input<ReturnType<typeof probesFor>> = { by: null, ratedVolts: '' };

/** What will touch live terminals; asked before any picture of them. */
export function ProbesForm({
  bus_V,
  keep,
}: {
  bus_V: number;
  keep: (what: Payload<'power.probes'>) => void;
}) {
  const { read, text, pick, submit } = useTypedForm('probes', probesFor(bus_V), none);
  return (
    <>
      <Caution grave title="An earthed clip on a power terminal shorts the bridge to earth.">
        Only differential probes rated for the bus, or a battery scope with isolated inputs. The earth of a
        scope is never lifted: its case would be at the bus. Local codes and licensed practice come first.
      </Caution>
      <form onSubmit={submit(keep)} noValidate>
        <Box mb="3">
          <Choice
            label="What touches live terminals"
            {...pick('by')}
            options={optionsOf({
              differential: 'differential probes',
              'battery-scope': 'a battery scope, inputs isolated',
              'meter-only': 'a rated meter, no scope',
            })}
          />
        </Box>
        <FieldGrid>
          <Field
            label="Rated for"
            figure
            unit="V"
            hint={`read off the probe; at least ${Math.ceil(bus_V)} V`}
            {...text('ratedVolts')}
          />
        </FieldGrid>
        <Primary type="submit" disabled={read === null}>
          These and no others
        </Primary>
      </form>
    </>
  );
}
