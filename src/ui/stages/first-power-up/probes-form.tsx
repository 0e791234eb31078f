import { Box } from '@chakra-ui/react';
import * as z from 'zod';
import type { Payload } from '@/core/logbook';
import { Primary } from '../../kit/buttons';
import { Caution } from '../../kit/caution';
import { probeVolts } from '@/core/equipment/power-stage';
import { Choice, Field, optionsOf } from '../../kit/field';
import { mustChoose, positiveFigure } from '../../kit/form-figures';
import { FieldGrid } from '../../kit/section';
import { useTypedForm } from '../../kit/typed-form';

/** Probes must stand the trip level of this drive's class. */
const probesFor = (needed_V: number) =>
  z.object({
    by: mustChoose(['differential', 'battery-scope', 'meter-only']),
    ratedVolts: positiveFigure.refine(
      (volts) => volts >= needed_V,
      `Not enough: ${needed_V} V required by the trip level of this voltage class`,
    ),
    category: mustChoose(['II', 'III', 'IV']).refine((c) => c !== 'II', 'CAT III at least'),
  });
const none: z.input<ReturnType<typeof probesFor>> = { by: null, ratedVolts: '', category: null };

/** What will touch live terminals; asked before any picture of them. */
export function ProbesForm({
  supply_V,
  keep,
}: {
  /** Rated line volts of the drive. */
  supply_V: number;
  keep: (what: Payload<'power.probes'>) => void;
}) {
  const needed_V = probeVolts(supply_V);
  const { text, pick, submit } = useTypedForm('probes', probesFor(needed_V), none);
  return (
    <>
      <Caution grave title="An earthed clip on a power terminal shorts the rectifier to earth.">
        Use only differential probes rated for the bus, or a battery scope with isolated inputs. Never lift
        the earth of a scope: its case would be at bus voltage. Local codes and licensed practice take
        precedence.
      </Caution>
      <form onSubmit={submit(keep)} noValidate>
        <Box mb="3">
          <Choice
            label="Used on live terminals"
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
            hint={`as printed on the probe, also common mode; at least ${needed_V} V`}
            {...text('ratedVolts')}
          />
        </FieldGrid>
        <Box mb="3">
          <Choice
            label="Measurement category"
            {...pick('category')}
            options={optionsOf({ II: 'CAT II', III: 'CAT III', IV: 'CAT IV' })}
          />
        </Box>
        <Primary type="submit">Confirm: only these</Primary>
      </form>
    </>
  );
}
