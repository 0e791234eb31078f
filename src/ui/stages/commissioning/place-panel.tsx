import { Box } from '@chakra-ui/react';
import * as z from 'zod';
import type { Control } from '@/core/equipment/catalogue';
import type { Payload } from '@/core/logbook';
import { percentOfShare } from '@/core/numerics/figures';
import { temperature } from '@/core/terms';
import { lineFuseOf, type SupplyFit } from '@/core/equipment/supply';
import { Primary } from '../../kit/buttons';
import { CableFields, cableOf, cableShape, cableTyped } from '../../panels/cable-fields';
import { FieldGrid, Section } from '../../kit/section';
import { Choice, Field, optionsOf } from '../../kit/field';
import {
  anyFigure,
  temperatureFigure,
  mustChoose,
  orNone,
  positiveFigure,
  positiveFigureOr,
  zeroOrMore,
} from '../../kit/form-figures';
import { QuantityField } from '../../kit/quantity-field';
import { useTypedForm } from '../../kit/typed-form';
import { PlainTable } from '../../kit/plain-table';
import { StateMark, type Mark } from '../../kit/state-mark';
import { Tick } from '../../kit/tick';
import { Disclosure } from '../../kit/why';
import { Cell, Text } from '../../kit/text';

type Place = Payload<'startup.place'>;
const marks: Readonly<Record<SupplyFit['findings'][number]['severity'], Mark>> = {
  info: 'sound',
  doubt: 'doubt',
  wrong: 'failed',
};

const placeSchema = z
  .object({
    ambient_C: temperatureFigure,
    altitude_m: anyFigure,
    carrier_kHz: positiveFigure,
    storedYears: zeroOrMore,
    motors: positiveFigure.refine(Number.isInteger, 'At least one motor'),
    phases: z.enum(['1', '3']),
    earthing: mustChoose(['star-earthed', 'isolated', 'corner-earthed']),
    sideBySide: z.boolean(),
    singlePhaseMotor: z.boolean(),
    ...cableShape,
    share_percent: orNone(
      positiveFigureOr('Percent, 1 to 100').refine((percent) => percent <= 100, 'Percent, 1 to 100'),
    ),
    page: z.string().trim(),
  })
  .refine(({ share_percent, page }) => share_percent === null || page !== '', {
    path: ['page'],
    message: 'Enter manual and page',
  })
  .transform(({ phases, share_percent, page, cable_m, winding, filter, ...rest }): Place => ({
    ...rest,
    cable: cableOf({ cable_m, winding, filter }),
    phases: phases === '1' ? 1 : 3,
    onePhase: share_percent === null ? null : { share: share_percent / 100, page },
  }));

function Findings({ fit, ratedAmps }: { fit: SupplyFit; ratedAmps: number }) {
  return (
    <Box role="status" mb="4">
      <Text fontFamily="mono" fontSize="2rem" lineHeight="1.2">
        {(fit.derating * ratedAmps).toFixed(1)} A
      </Text>
      <Text color="soft" mb="2">
        is the available current here, of {ratedAmps} A.
      </Text>
      {fit.findings.map((f) => (
        <Box key={f.text} mb="1">
          <Text>
            <StateMark mark={marks[f.severity]} /> {f.text}
          </Text>
          <Disclosure>{f.sum}.</Disclosure>
        </Box>
      ))}
      {fit.reforming.map((r) => (
        <Text key={r} fontWeight="500" color="doubt">
          {r}
        </Text>
      ))}
    </Box>
  );
}

/** A fuse by calculation, where no table of the type is known. */
function FuseEstimate({ ratedAmps, phases }: { ratedAmps: number; phases: 1 | 3 }) {
  if (!(ratedAmps > 0)) return 'not in the table of this type';
  const { fuse_A, sum } = lineFuseOf(ratedAmps, phases);
  return (
    <>
      <Text>
        {fuse_A === null ? 'larger than 1250 A' : `about ${fuse_A} A`}, not in the table of this type
      </Text>
      <Disclosure>
        {sum}; the next larger fuse link. An estimate, common practice: the label and the manual of the type
        come first.
      </Disclosure>
    </>
  );
}

/** Where the drive is to work: what it may give there, and what must be thought of. */
export function PlacePanel({
  place,
  phases,
  type,
  control,
  ratedAmps,
  carrier_kHz,
  fit,
  keep,
}: {
  place: Place | null;
  phases: 1 | 3;
  /** Of the model, for its fuse and wire. */
  type: string;
  control: Pick<Control, 'fitting'>;
  ratedAmps: number;
  carrier_kHz: number;
  fit: SupplyFit | null;
  keep: (place: Place) => void;
}) {
  const { typed, text, quantity, pick, tick, submit } = useTypedForm('place', placeSchema, {
    ambient_C: String(place?.ambient_C ?? 35),
    altitude_m: String(place?.altitude_m ?? 0),
    carrier_kHz: String(place?.carrier_kHz ?? carrier_kHz),
    storedYears: String(place?.storedYears ?? 0),
    motors: String(place?.motors ?? 1),
    phases: (place?.phases ?? phases) === 1 ? '1' : '3',
    earthing: place?.earthing ?? null,
    sideBySide: place?.sideBySide ?? false,
    singlePhaseMotor: place?.singlePhaseMotor ?? false,
    ...cableTyped(place?.cable),
    share_percent: place?.onePhase ? String(percentOfShare(place.onePhase.share)) : '',
    page: place?.onePhase?.page ?? '',
  });
  const fuse = control.fitting.fuses.find((f) => f.type === type);
  return (
    <Section title="Supply and installation">
      {fit !== null && <Findings fit={fit} ratedAmps={ratedAmps} />}
      <form onSubmit={submit(keep)} noValidate>
        <FieldGrid min="160px">
          <QuantityField label="Ambient at the unit" quantity={temperature} {...quantity('ambient_C')} />
          <Field label="Altitude" figure unit="m" {...text('altitude_m')} />
          <Field label="Carrier frequency" figure unit="kHz" {...text('carrier_kHz')} />
          <Field label="Stored unpowered" figure unit="years" {...text('storedYears')} />
          <Field label="Motors connected" figure {...text('motors')} />
          <CableFields length={text('cable_m')} winding={pick('winding')} filter={pick('filter')} />
        </FieldGrid>
        <FieldGrid min="400px">
          <Choice
            label="Supply earthing"
            {...pick('earthing')}
            options={optionsOf({
              'star-earthed': 'star point earthed',
              isolated: 'not earthed (IT)',
              'corner-earthed': 'corner earthed',
            })}
          />
          <Choice
            label="Fed from"
            {...pick('phases')}
            options={[
              { value: '3', label: 'three phases' },
              { value: '1', label: 'one phase' },
            ]}
          />
        </FieldGrid>
        {phases === 3 && typed.phases === '1' && control.fitting.onePhase === undefined && (
          <FieldGrid min="220px">
            <Field
              label="Output on a single-phase supply"
              figure
              unit="%"
              hint="From the manual of the type"
              {...text('share_percent')}
            />
            <Field label="Manual and page" maxLength={120} {...text('page')} />
          </FieldGrid>
        )}
        <Tick label="Units mounted side by side without gap" {...tick('sideBySide')} />
        <Tick label="Single-phase motor" {...tick('singlePhaseMotor')} />
        <Primary type="submit" mt="2">
          Save installation
        </Primary>
      </form>
      <Box mt="5">
        <PlainTable heads={['Fuse and wire', 'Torques']}>
          <tr>
            <Cell>
              {fuse === undefined ? (
                <FuseEstimate ratedAmps={ratedAmps} phases={typed.phases === '1' ? 1 : 3} />
              ) : (
                `${fuse.fuse_A} A ${fuse.kind}, ${fuse.wire_mm2} mm²`
              )}
            </Cell>
            <Cell>{control.fitting.torques.map((t) => `${t.terminals}: ${t.torque_Nm} N·m`).join('; ')}</Cell>
          </tr>
        </PlainTable>
        <Text color="soft" mt="1">
          The maker&rsquo;s table for the exact type and the local code decide.
        </Text>
      </Box>
    </Section>
  );
}
