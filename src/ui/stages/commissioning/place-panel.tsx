import { Box, Text } from '@chakra-ui/react';
import { useState } from 'react';
import type { Control } from '@/core/equipment/catalogue';
import type { Payload } from '@/core/logbook';
import type { SupplyFit } from '@/core/equipment/supply';
import { Primary } from '../../kit/buttons';
import { FieldGrid, Section } from '../../kit/section';
import { Choice, NumberField, Select } from '../../kit/field';
import { figureFrom } from '../../kit/number-from';
import { PlainTable } from '../../kit/plain-table';
import { StateMark, type Mark } from '../../kit/state-mark';
import { Tick } from '../../kit/tick';
import { Disclosure } from '../../kit/why';
import { keysOf, recordOf } from '@/core/numerics/arrays';

type Place = Payload<'startup.place'>;
const marks: Readonly<Record<SupplyFit['findings'][number]['severity'], Mark>> = {
  info: 'sound',
  doubt: 'doubt',
  wrong: 'failed',
};

function Findings({ fit, ratedAmps }: { fit: SupplyFit; ratedAmps: number }) {
  return (
    <Box role="status" mb="4">
      <Text fontFamily="mono" fontSize="2rem" lineHeight="1.2">
        {(fit.derating * ratedAmps).toFixed(1)} A
      </Text>
      <Text color="soft" mb="2">
        is what the unit may give here, of {ratedAmps} A.
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
  const [typed, setTyped] = useState({
    ambient: String(place?.ambient_C ?? 35),
    altitude: String(place?.altitude_m ?? 0),
    carrier: String(place?.carrier_kHz ?? carrier_kHz),
    stored: String(place?.storedYears ?? 0),
    motors: String(place?.motors ?? 1),
  });
  const [fed, setFed] = useState<'1' | '3'>(String(place?.phases ?? phases) === '1' ? '1' : '3');
  const [earthing, setEarthing] = useState<Place['earthing']>(place?.earthing ?? 'star-earthed');
  const [sideBySide, setSideBySide] = useState(place?.sideBySide ?? false);
  const [single, setSingle] = useState(place?.singlePhaseMotor ?? false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const field = (key: keyof typeof typed, label: string, unit: string) => (
    <NumberField
      label={label}
      unit={unit}
      text={typed[key]}
      set={(text) => setTyped({ ...typed, [key]: text })}
    />
  );
  const save = () => {
    const figures = recordOf(keysOf(typed), (key) => figureFrom(typed[key]));
    const { ambient, altitude, carrier, stored, motors } = figures;
    if (ambient === null || altitude === null || carrier === null || stored === null || motors === null)
      return setTrouble('Figures in every field, like 35 or 0.');
    if (carrier <= 0 || stored < 0 || motors < 1 || !Number.isInteger(motors))
      return setTrouble('At least one motor, a carrier above zero, years from zero up.');
    setTrouble(null);
    keep({
      phases: fed === '1' ? 1 : 3,
      earthing,
      ambient_C: ambient,
      altitude_m: altitude,
      carrier_kHz: carrier,
      sideBySide,
      storedYears: stored,
      motors,
      singlePhaseMotor: single,
    });
  };
  const fuse = control.fitting.fuses.find((f) => f.type === type);
  return (
    <Section title="Supply and place">
      {fit !== null && <Findings fit={fit} ratedAmps={ratedAmps} />}
      <FieldGrid min="160px">
        {field('ambient', 'Air into the unit', '°C')}
        {field('altitude', 'Altitude', 'm')}
        {field('carrier', 'Carrier', 'kHz')}
        {field('stored', 'Stored unpowered', 'years')}
        {field('motors', 'Motors on it', '')}
        <Select
          label="Supply earthed"
          value={earthing}
          onChange={setEarthing}
          options={[
            { value: 'star-earthed', label: 'at its star point' },
            { value: 'isolated', label: 'not at all' },
            { value: 'corner-earthed', label: 'at a corner' },
          ]}
        />
      </FieldGrid>
      <Choice
        label="Fed from"
        value={fed}
        onChange={setFed}
        options={[
          { value: '3', label: 'three phases' },
          { value: '1', label: 'one phase' },
        ]}
      />
      <Tick label="Units stand side by side without a gap" checked={sideBySide} onChange={setSideBySide} />
      <Tick label="The motor is a single-phase one" checked={single} onChange={setSingle} />
      {trouble !== null && (
        <Text role="alert" color="failed">
          {trouble}
        </Text>
      )}
      <Primary mt="2" onClick={save}>
        Keep this place
      </Primary>
      <Box mt="5">
        <PlainTable heads={['Fuse and wire', 'Torques']}>
          <tr>
            <td>
              {fuse === undefined
                ? 'not in the table of this type'
                : `${fuse.fuse_A} A ${fuse.kind}, ${fuse.wire_mm2} mm²`}
            </td>
            <td>{control.fitting.torques.map((t) => `${t.terminals}: ${t.torque_Nm} N·m`).join('; ')}</td>
          </tr>
        </PlainTable>
        <Text color="soft" mt="1">
          The maker&rsquo;s table for the exact type and the local code decide.
        </Text>
      </Box>
    </Section>
  );
}
