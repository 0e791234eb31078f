'use client';
import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { Payload } from '@/core/logbook';
import { keysOf } from '@/core/numerics/arrays';
import { formatSignificant } from '@/core/numerics/figures';
import { fittingReadings, plateSums, type Finding, type Plate } from '@/core/equipment/plate';
import { Primary, Secondary } from '../../kit/buttons';
import { FieldGrid, Section } from '../../kit/section';
import { KeptNote } from '../../kit/kept-note';
import { Choice, Field, optionsOf } from '../../kit/field';
import { Photos } from '../../kit/photos';
import { StateMark, type Mark } from '../../kit/state-mark';
import { Tick } from '../../kit/tick';
import { Disclosure } from '../../kit/why';
import { useTypedForm } from '../../kit/typed-form';
import { motorTexts } from './plate-items';
import { PlateReader } from './plate-reader';
import { isWrong, motorEntryOf, motorPlateSchema, plateSoFar, plateTypedOf } from './motor-plate';
import { ratedPower, writeQuantity } from '@/core/terms';
import { useTerms } from '../../kit/terms';
import { Said, Text } from '../../kit/text';

type Motor = Payload<'identify.motor'>;

const marks: Record<Finding['severity'], Mark> = { info: 'unprobed', doubt: 'doubt', wrong: 'failed' };
const words: Record<Finding['severity'], string> = { info: 'note', doubt: 'doubt', wrong: 'wrong' };

/** What follows from the plate, at once, each with its sum. */
function Sums({ plate }: { plate: Plate }) {
  const sums = plateSums(plate);
  const { profile } = useTerms();
  return (
    <Section title="Derived values">
      <Text mb="2" fontFamily="mono" fontSize="1.02rem">
        {writeQuantity(ratedPower, sums.power_kW, profile === 'us', sums.power_kW.toFixed(2))} · {sums.poles}{' '}
        poles · {(100 * sums.slip).toFixed(1)} % slip · {sums.torque_Nm.toFixed(1)} N·m ·{' '}
        {formatSignificant(sums.apparentPower_kVA)} kVA
      </Text>
      <Box as="ul" listStyleType="none" display="grid" gap="1.5">
        {sums.findings.map((f) => (
          <Box as="li" key={f.code} display="grid" gridTemplateColumns="20px 1fr" fontSize="0.95rem">
            <StateMark mark={marks[f.severity]} label={words[f.severity]} />
            <Box>
              <Said>{f.text}</Said> <Disclosure>{f.sum}</Disclosure>
            </Box>
          </Box>
        ))}
      </Box>
    </Section>
  );
}

/** A plate that cannot be: what would fit, or that it really says so. */
function Asked({
  plate,
  asWritten,
  take,
}: {
  plate: Plate;
  asWritten: { checked: boolean; onChange: (really: boolean) => void };
  take: (plate: Plate) => void;
}) {
  return (
    <Section title="Check the nameplate">
      {fittingReadings(plate).map((f) => (
        <Box key={f.as} display="flex" alignItems="center" gap="3" flexWrap="wrap" mb="2">
          <Secondary type="button" onClick={() => take(f.plate)}>
            It is {f.as}
          </Secondary>
          <Text as="span" color="soft">
            fits: {f.sum}
          </Text>
        </Box>
      ))}
      <Tick label="Checked again: the nameplate says so" {...asWritten} />
    </Section>
  );
}

/** The motor's rating plate. */
export function MotorForm({ motor, keep }: { motor: Motor | null; keep: (motor: Motor) => void }) {
  const { profile } = useTerms();
  const us = profile === 'us';
  const { typed, refused, text, pick, tick, set, submit } = useTypedForm(
    'motor nameplate',
    motorPlateSchema,
    plateTypedOf(motor, profile),
  );
  const [kept, setKept] = useState<string | null>(null);
  const [held, setHeld] = useState(false);
  const plate = plateSoFar(typed);
  const save = submit((read) => {
    const hold = isWrong(read.plate) && !read.asWritten;
    setHeld(hold);
    if (hold) return setKept(null);
    keep(motorEntryOf(read));
    setKept('Motor nameplate saved.');
  });
  const figure = (name: Parameters<typeof text>[0], label: string, unit?: string) => (
    <Field label={label} figure unit={unit} {...text(name)} />
  );
  return (
    <>
      <PlateReader
        said="Photo of the motor nameplate"
        take={(taken) => {
          const texts = motorTexts(taken);
          for (const name of keysOf(typed)) {
            const value = texts[name];
            if (value !== undefined) set(name, value);
          }
        }}
      />
      <form onSubmit={save} noValidate aria-label="Motor nameplate">
        <FieldGrid min="150px">
          {figure('power', 'Power', typed.unit)}
          <Choice
            label="in"
            {...pick('unit')}
            options={optionsOf(us ? { hp: 'hp', kW: 'kW' } : { kW: 'kW', hp: 'hp' })}
          />
          {figure('volts', 'Volts', 'V')}
          {figure('amps', us ? 'FLA' : 'Amps', 'A')}
          {figure('hz', 'Frequency', 'Hz')}
          {figure('rpm', 'Speed', 'rpm')}
          {figure('cosPhi', 'cos φ')}
          {figure('serviceFactor', 'Service factor')}
          {figure('poles', 'Poles')}
          <Field label="Insulation class" maxLength={4} {...text('insulationClass')} />
          <Field label="Motor serial number" maxLength={200} {...text('serial')} />
        </FieldGrid>
        <FieldGrid min="150px">
          <Choice
            label="Connected in"
            {...pick('connection')}
            options={optionsOf({ star: 'star', delta: 'delta' })}
          />
          {figure('volts2', `Other pair (${typed.connection === 'star' ? 'delta' : 'star'}), volts`, 'V')}
          {figure('amps2', 'Other pair, amps', 'A')}
        </FieldGrid>
        {plate !== null && <Sums plate={plate} />}
        {plate !== null && isWrong(plate) && (
          <Asked
            plate={plate}
            asWritten={tick('asWritten')}
            take={({ power, amps, poles }) => {
              set('unit', power.unit);
              set('power', String(power.value));
              set('amps', String(amps));
              if (poles !== undefined) set('poles', String(poles));
            }}
          />
        )}
        <Box mb="3">
          <Photos
            label="Motor nameplate"
            photos={typed.photos}
            onChange={(photos) => set('photos', photos)}
          />
        </Box>
        <Primary type="submit">Save motor nameplate</Primary>
        {held && (
          <Text role="alert" color="failed" fontWeight="500" mt="2">
            Not saved yet: the values contradict each other. See above for possible corrections.
          </Text>
        )}
        <KeptNote text={kept} refused={refused} />
      </form>
    </>
  );
}
