import { Box, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { networkQuestions, type UnitRequirements } from '@/core/replacement/replacement';
import type { JobStore } from '../../job-store/use-job';
import { Primary } from '../../kit/buttons';
import { FieldGrid, KeptNote, Section } from '../../kit/section';
import { Field, NumberField, Select } from '../../kit/field';
import { figureFrom } from '../../kit/number-from';
import { Tick } from '../../kit/tick';

const figures = [
  ['motorAmps', 'Motor amps', 'A'],
  ['ambient_C', 'Warmest at the drive', '°C'],
  ['altitude_m', 'Height above the sea', 'm'],
  ['carrier_kHz', 'Carrier', 'kHz'],
  ['brakeResistor_ohm', 'Brake resistor fitted', 'Ω'],
] as const;
type FigureKey = (typeof figures)[number][0];
const sides = [
  ['width', 'Room, width'],
  ['height', 'Room, height'],
  ['depth', 'Room, depth'],
] as const;

const text = (n: number | null): string => (n === null ? '' : String(n));
/** Empty: not known. Undefined: it cannot be read. */
const read = (t: string): number | null | undefined =>
  t.trim() === '' ? null : (figureFrom(t) ?? undefined);

type YesNo = 'yes' | 'no' | '';
const yesNo = (b: boolean | null): YesNo => (b === null ? '' : b ? 'yes' : 'no');
const yesNoOptions = [
  { value: '' as const, label: 'not known' },
  { value: 'yes' as const, label: 'yes' },
  { value: 'no' as const, label: 'no' },
];

/** What machine and place ask of a unit; with a network, what the controller must know, asked before anything is decided. */
export function AskedForm({ asked, store }: { asked: UnitRequirements; store: JobStore }) {
  const [typed, setTyped] = useState<Record<string, string>>({
    volts: String(asked.supply.volts),
    ...Object.fromEntries(figures.map(([key]) => [key, text(asked[key])])),
    ...Object.fromEntries(sides.map(([side]) => [side, text(asked.room_mm[side])])),
    protection: asked.protection ?? '',
    network: asked.network?.name ?? '',
    ...Object.fromEntries(networkQuestions.map((q) => [`net ${q.id}`, asked.network?.answers[q.id] ?? ''])),
  });
  const [phases, setPhases] = useState<'1' | '3'>(asked.supply.phases === 1 ? '1' : '3');
  const [earthing, setEarthing] = useState(asked.supply.earthing);
  const [duty, setDuty] = useState<'' | 'normal' | 'heavy'>(asked.duty ?? '');
  const [brakes, setBrakes] = useState<YesNo>(yesNo(asked.brakes));
  const [feedback, setFeedback] = useState<YesNo>(yesNo(asked.feedback));
  const [cables, setCables] = useState<'' | 'below' | 'above'>(asked.cablesFrom ?? '');
  const [sideBySide, setSideBySide] = useState(asked.sideBySide);
  const [kept, setKept] = useState<string | null>(null);
  const at = (key: string): string => typed[key] ?? '';
  const put = (key: string) => (value: string) => setTyped((t) => ({ ...t, [key]: value }));
  const volts = read(at('volts'));
  const badProtection = at('protection').trim() !== '' && !/^IP[0-6][0-9]$/i.test(at('protection').trim());
  const unread =
    typeof volts !== 'number' ||
    volts <= 0 ||
    badProtection ||
    [...figures.map(([k]) => k), ...sides.map(([s]) => s)].some((k) => read(at(k)) === undefined);
  const keep = () => {
    if (unread || typeof volts !== 'number') return;
    const figure = (key: FigureKey | 'width' | 'height' | 'depth') => read(at(key)) ?? null;
    const truth = (v: YesNo): boolean | null => (v === '' ? null : v === 'yes');
    store.record('swap.asked', {
      supply: { volts, phases: phases === '1' ? 1 : 3, earthing },
      motorAmps: figure('motorAmps'),
      duty: duty === '' ? null : duty,
      ambient_C: figure('ambient_C'),
      altitude_m: figure('altitude_m'),
      carrier_kHz: figure('carrier_kHz'),
      sideBySide,
      brakeResistor_ohm: figure('brakeResistor_ohm'),
      brakes: truth(brakes),
      feedback: truth(feedback),
      network:
        at('network').trim() === ''
          ? null
          : {
              name: at('network').trim(),
              answers: Object.fromEntries(
                networkQuestions.flatMap((q) => {
                  const said = at(`net ${q.id}`).trim();
                  return said === '' ? [] : [[q.id, said]];
                }),
              ),
            },
      wired: null,
      room_mm: { width: figure('width'), height: figure('height'), depth: figure('depth') },
      cablesFrom: cables === '' ? null : cables,
      protection: at('protection').trim() === '' ? null : at('protection').trim().toUpperCase(),
    });
    setKept('Kept.');
  };
  return (
    <Section title="What the place asks">
      <FieldGrid min="160px">
        <NumberField label="Supply" unit="V" text={at('volts')} set={put('volts')} />
        <Select
          label="Phases of the supply"
          value={phases}
          onChange={setPhases}
          options={[
            { value: '3', label: '3' },
            { value: '1', label: '1' },
          ]}
        />
        <Select
          label="Earthing"
          value={earthing}
          onChange={setEarthing}
          options={[
            { value: 'star-earthed', label: 'star point earthed' },
            { value: 'isolated', label: 'isolated' },
            { value: 'corner-earthed', label: 'corner earthed' },
          ]}
        />
        <Select
          label="Duty"
          value={duty}
          onChange={setDuty}
          options={[
            { value: '', label: 'not known' },
            { value: 'normal', label: 'normal: pumps, fans' },
            { value: 'heavy', label: 'heavy: hoists, crushers, full load at standstill' },
          ]}
        />
        {figures.map(([key, label, unit]) => (
          <NumberField
            key={key}
            label={label}
            unit={unit}
            text={at(key)}
            error={read(at(key)) === undefined ? 'A figure' : undefined}
            set={put(key)}
          />
        ))}
        <Select
          label="Does the load drive the motor?"
          value={brakes}
          onChange={setBrakes}
          options={yesNoOptions}
        />
        <Select
          label="Encoder on the motor?"
          value={feedback}
          onChange={setFeedback}
          options={yesNoOptions}
        />
        <Select
          label="Cables come from"
          value={cables}
          onChange={setCables}
          options={[
            { value: '', label: 'as the old unit' },
            { value: 'below', label: 'below' },
            { value: 'above', label: 'above' },
          ]}
        />
        <Field
          label="Protection class wanted"
          value={at('protection')}
          maxLength={4}
          placeholder="as the old unit"
          error={badProtection ? 'IP and two figures, e.g. IP54' : undefined}
          onChange={(e) => put('protection')(e.target.value)}
        />
        {sides.map(([side, label]) => (
          <NumberField
            key={side}
            label={label}
            unit="mm"
            text={at(side)}
            error={read(at(side)) === undefined ? 'A figure' : undefined}
            set={put(side)}
          />
        ))}
      </FieldGrid>
      <Tick label="Other units close beside it" checked={sideBySide} onChange={setSideBySide} />
      <FieldGrid min="240px">
        <Field
          label="Network"
          value={at('network')}
          maxLength={60}
          hint="e.g. Modbus RTU. Empty: none"
          onChange={(e) => put('network')(e.target.value)}
        />
      </FieldGrid>
      {at('network').trim() !== '' && (
        <Box borderLeft="4px solid" borderColor="doubt" pl="3" mb="3">
          <Text fontWeight="500" mb="2">
            On a network the controller must change too. Ask before you decide.
          </Text>
          <FieldGrid min="240px">
            {networkQuestions.map((q) => (
              <Field
                key={q.id}
                label={q.asks}
                value={at(`net ${q.id}`)}
                maxLength={300}
                onChange={(e) => put(`net ${q.id}`)(e.target.value)}
              />
            ))}
          </FieldGrid>
        </Box>
      )}
      <Primary disabled={unread} onClick={keep}>
        Keep what the place asks
      </Primary>
      <KeptNote text={kept} />
    </Section>
  );
}
