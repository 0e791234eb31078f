'use client';
import { Box, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import type { Payload } from '@/core/logbook';
import { fittingReadings, plateSums, type Finding, type Plate } from '@/core/equipment/plate';
import { Primary, Secondary } from '../../kit/buttons';
import { FieldGrid, KeptNote, Section } from '../../kit/section';
import { Choice, Field } from '../../kit/field';
import { Photos } from '../../kit/photos';
import { StateMark, type Mark } from '../../kit/state-mark';
import { Tick } from '../../kit/tick';
import { Disclosure } from '../../kit/why';
import { numberFrom } from '../../kit/number-from';

type Motor = Payload<'identify.motor'>;
type PlateField =
  | 'power'
  | 'volts'
  | 'amps'
  | 'hz'
  | 'rpm'
  | 'cosPhi'
  | 'serviceFactor'
  | 'poles'
  | 'volts2'
  | 'amps2'
  | 'insulationClass'
  | 'serial';
type PlateText = Record<PlateField, string>;

const asText = (m: Motor | null): PlateText => {
  const n = (x: number | undefined): string => (x === undefined ? '' : String(x));
  const other = m?.plate.alternatives?.[0];
  return {
    power: n(m?.plate.power.value),
    volts: n(m?.plate.volts),
    amps: n(m?.plate.amps),
    hz: n(m?.plate.hz ?? 50),
    rpm: n(m?.plate.rpm),
    cosPhi: n(m?.plate.cosPhi),
    serviceFactor: n(m?.plate.serviceFactor),
    poles: n(m?.plate.poles),
    volts2: n(other?.volts),
    amps2: n(other?.amps),
    insulationClass: m?.insulationClass ?? '',
    serial: m?.serial ?? '',
  };
};

/** The plate as far as its figures can be read; null until the ones that matter are there. */
function plateFrom(text: PlateText, unit: 'kW' | 'hp', connection: 'star' | 'delta'): Plate | null {
  const value = numberFrom(text.power);
  const [volts, amps, hz, rpm] = [text.volts, text.amps, text.hz, text.rpm].map(numberFrom);
  if (value === null || !volts || !amps || !hz || !rpm) return null;
  const [cosPhi, serviceFactor, poles, volts2, amps2] = [
    text.cosPhi,
    text.serviceFactor,
    text.poles,
    text.volts2,
    text.amps2,
  ].map(numberFrom);
  return {
    power: { value, unit },
    volts,
    amps,
    hz,
    rpm,
    ...(cosPhi ? { cosPhi } : {}),
    ...(serviceFactor ? { serviceFactor } : {}),
    ...(poles ? { poles } : {}),
    ...(volts2 && amps2
      ? {
          alternatives: [
            {
              connection: connection === 'star' ? ('delta' as const) : ('star' as const),
              volts: volts2,
              amps: amps2,
            },
          ],
        }
      : {}),
  };
}

const isWrong = (plate: Plate): boolean => plateSums(plate).findings.some((f) => f.severity === 'wrong');

const marks: Record<Finding['severity'], Mark> = { info: 'unprobed', doubt: 'doubt', wrong: 'failed' };
const words: Record<Finding['severity'], string> = { info: 'note', doubt: 'doubt', wrong: 'wrong' };

/** What follows from the plate, at once, each with its sum. */
function Sums({ plate }: { plate: Plate }) {
  const sums = plateSums(plate);
  return (
    <Section title="What follows">
      <Text mb="2" fontFamily="mono" fontSize="1.02rem">
        {sums.power_kW.toFixed(2)} kW · {sums.poles} poles · {(100 * sums.slip).toFixed(1)} % slip ·{' '}
        {sums.torque_Nm.toFixed(1)} N·m
      </Text>
      <Box as="ul" listStyleType="none" display="grid" gap="1.5">
        {sums.findings.map((f) => (
          <Box as="li" key={f.code} display="grid" gridTemplateColumns="20px 1fr" fontSize="0.95rem">
            <StateMark mark={marks[f.severity]} label={words[f.severity]} />
            <Box>
              {f.text} <Disclosure>{f.sum}</Disclosure>
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
  setAsWritten,
  take,
}: {
  plate: Plate;
  asWritten: boolean;
  setAsWritten: (really: boolean) => void;
  take: (plate: Plate) => void;
}) {
  return (
    <Section title="Read it again">
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
      <Tick label="I read it again: the plate says so" checked={asWritten} onChange={setAsWritten} />
    </Section>
  );
}

/** The motor's rating plate. */
export function MotorForm({ motor, keep }: { motor: Motor | null; keep: (motor: Motor) => void }) {
  const [unit, setUnit] = useState<'kW' | 'hp'>(motor?.plate.power.unit ?? 'kW');
  const [connection, setConnection] = useState<'star' | 'delta'>(motor?.connection ?? 'star');
  const [photos, setPhotos] = useState<string[]>(motor?.photos ?? []);
  const [kept, setKept] = useState<string | null>(null);
  const [held, setHeld] = useState(false);
  const [asWritten, setAsWritten] = useState(motor?.plate.asWritten ?? false);
  const { register, control, handleSubmit, setError, setValue, formState } = useForm<PlateText>({
    defaultValues: asText(motor),
  });
  const text = useWatch({ control }) as PlateText;
  const plate = plateFrom(text, unit, connection);
  const figure = (name: keyof PlateText, label: string, unitWord?: string) => (
    <Field
      label={label}
      figure
      unit={unitWord}
      error={formState.errors[name]?.message}
      {...register(name, {
        validate: (v) => v.trim() === '' || numberFrom(v) !== null || 'A figure like 14.8',
      })}
    />
  );
  const submit = handleSubmit((form) => {
    const read = plateFrom(form, unit, connection);
    if (read === null) {
      for (const name of ['power', 'volts', 'amps', 'hz', 'rpm'] as const)
        if (!numberFrom(form[name])) setError(name, { message: 'Needed, above zero' });
      return;
    }
    const wrong = isWrong(read);
    setHeld(wrong && !asWritten);
    if (wrong && !asWritten) return setKept(null);
    keep({
      plate: wrong ? { ...read, asWritten } : read,
      connection,
      photos,
      ...(form.serial.trim() === '' ? {} : { serial: form.serial.trim() }),
      ...(form.insulationClass.trim() === '' ? {} : { insulationClass: form.insulationClass.trim() }),
    });
    setKept('Motor plate kept.');
  });
  return (
    <form onSubmit={(e) => void submit(e)} aria-label="Motor plate">
      <FieldGrid min="150px">
        {figure('power', 'Power', unit)}
        <Choice
          label="in"
          value={unit}
          onChange={setUnit}
          options={[
            { value: 'kW', label: 'kW' },
            { value: 'hp', label: 'hp' },
          ]}
        />
        {figure('volts', 'Volts', 'V')}
        {figure('amps', 'Amps', 'A')}
        {figure('hz', 'Frequency', 'Hz')}
        {figure('rpm', 'Speed', 'rpm')}
        {figure('cosPhi', 'cos φ')}
        {figure('serviceFactor', 'Service factor')}
        {figure('poles', 'Poles')}
        <Field label="Insulation class" maxLength={4} {...register('insulationClass')} />
        <Field label="Motor serial number" maxLength={200} {...register('serial')} />
      </FieldGrid>
      <FieldGrid min="150px">
        <Choice
          label="Connected in"
          value={connection}
          onChange={setConnection}
          options={[
            { value: 'star', label: 'star' },
            { value: 'delta', label: 'delta' },
          ]}
        />
        {figure('volts2', `Other pair (${connection === 'star' ? 'delta' : 'star'}), volts`, 'V')}
        {figure('amps2', 'Other pair, amps', 'A')}
      </FieldGrid>
      {plate !== null && <Sums plate={plate} />}
      {plate !== null && isWrong(plate) && (
        <Asked
          plate={plate}
          asWritten={asWritten}
          setAsWritten={setAsWritten}
          take={({ power, amps, poles }) => {
            setUnit(power.unit);
            setValue('power', String(power.value));
            setValue('amps', String(amps));
            if (poles !== undefined) setValue('poles', String(poles));
          }}
        />
      )}
      <Box mb="3">
        <Photos label="Motor plate" photos={photos} onChange={setPhotos} />
      </Box>
      <Primary type="submit">Keep motor plate</Primary>
      {held && (
        <Text role="alert" color="failed" fontWeight="500" mt="2">
          Not kept yet: the figures cannot be true together. See above what would fit.
        </Text>
      )}
      <KeptNote text={kept} />
    </form>
  );
}
