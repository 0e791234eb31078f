import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { Control } from '@/core/catalogue';
import type { Payload } from '@/core/logbook';
import { loadKinds, type Choices, type LoadKind } from '@/core/settings';
import { Primary } from '../kit/buttons';
import { FieldGrid } from '../kit/face';
import { Choice, Field, Select } from '../kit/field';
import { figureFrom, numberFrom } from '../kit/number-from';
import { Tick } from '../kit/tick';

type Chosen = Payload<'startup.choices'>;

const loadWords: Readonly<Record<LoadKind, string>> = {
  'fan-or-pump': 'fan or centrifugal pump',
  conveyor: 'conveyor, mixer, drum',
  'piston-pump': 'piston or screw pump',
  hoist: 'hoist',
  winch: 'winch',
  other: 'something else',
};

/** To begin with: what most machines of this kind have. */
const usual = (control: Control, hz: number): Choices => ({
  load: 'other',
  region: hz >= 55 ? '60Hz' : '50Hz',
  runFrom: 'terminals',
  speedFrom: control.knob ? 'knob' : 'AI1',
  wiring: 'two-wire',
  signal: '0-10V',
  reverse: false,
  encoder: false,
  coupled: true,
  brakeProven: false,
  brakeResistor: false,
  singlePhaseFed: false,
});

const yesNo: readonly {
  key: keyof Choices &
    ('reverse' | 'encoder' | 'coupled' | 'brakeProven' | 'brakeResistor' | 'singlePhaseFed');
  label: string;
}[] = [
  { key: 'coupled', label: 'The shaft is coupled to its machine' },
  { key: 'reverse', label: 'The machine runs both ways' },
  { key: 'encoder', label: 'An encoder is fitted, with its board' },
  { key: 'brakeProven', label: 'A mechanical brake is proven to close' },
  { key: 'brakeResistor', label: 'A brake resistor is fitted' },
  { key: 'singlePhaseFed', label: 'Made for three phases, fed from one' },
];

/** What a person decides; the rules do the rest. */
export function ChoicesForm({
  control,
  plate_Hz,
  supply_V,
  chosen,
  keep,
}: {
  control: Control;
  plate_Hz: number;
  supply_V: number;
  chosen: Chosen | null;
  keep: (chosen: Chosen) => void;
}) {
  const [choices, setChoices] = useState<Choices>(chosen?.choices ?? usual(control, plate_Hz));
  const [volts, setVolts] = useState(String(chosen?.supply.volts ?? supply_V));
  const [up, setUp] = useState(choices.up_s === undefined ? '' : String(choices.up_s));
  const [down, setDown] = useState(choices.down_s === undefined ? '' : String(choices.down_s));
  const [lowest, setLowest] = useState(choices.minimum_Hz === undefined ? '' : String(choices.minimum_Hz));
  const [error, setError] = useState<string | undefined>();
  const set = (differs: Partial<Choices>) => setChoices({ ...choices, ...differs });
  const speeds = [
    { value: 'keypad', label: 'keypad' },
    ...(control.knob ? [{ value: 'knob', label: 'knob on the unit' }] : []),
    ...control.analogInputs.map((a) => ({ value: a.id, label: `analog ${a.mark}` })),
    { value: 'preset', label: 'fixed speeds' },
    { value: 'serial', label: 'serial' },
  ];
  const save = () => {
    const supply = numberFrom(volts);
    const seconds = (text: string) => (text.trim() === '' ? undefined : figureFrom(text));
    const up_s = seconds(up);
    const down_s = seconds(down);
    const minimum_Hz = seconds(lowest);
    const bad = [up_s, down_s].some((s) => s === null || (s !== undefined && s <= 0));
    if (supply === null) return setError('Volts between two phases, as measured.');
    if (bad) return setError('A ramp takes some time: 0 s trips on current, or pumps the bus up.');
    if (minimum_Hz === null || (minimum_Hz !== undefined && minimum_Hz < 0))
      return setError('Hz from zero up.');
    setError(undefined);
    const { up_s: _, down_s: __, minimum_Hz: ___, ...rest } = choices;
    keep({
      choices: {
        ...rest,
        ...(typeof up_s === 'number' ? { up_s } : {}),
        ...(typeof down_s === 'number' ? { down_s } : {}),
        ...(minimum_Hz === undefined ? {} : { minimum_Hz }),
      },
      supply: { volts: supply, hz: choices.region === '60Hz' ? 60 : 50 },
    });
  };
  return (
    <Box as="section" aria-label="Load and control" mb="5">
      <FieldGrid>
        <Select
          label="Load"
          value={choices.load}
          onChange={(v) => set({ load: loadKinds.find((l) => l === v) ?? 'other' })}
          options={loadKinds.map((l) => ({ value: l, label: loadWords[l] }))}
        />
        <Field
          label="Supply, measured"
          figure
          unit="V"
          value={volts}
          onChange={(e) => setVolts(e.target.value)}
        />
        <Select
          label="Run from"
          value={choices.runFrom}
          onChange={(v) => set({ runFrom: v as Choices['runFrom'] })}
          options={[
            { value: 'terminals', label: 'terminals' },
            { value: 'keypad', label: 'keypad' },
            { value: 'serial', label: 'serial' },
          ]}
        />
        <Select
          label="Speed from"
          value={choices.speedFrom}
          onChange={(v) => set({ speedFrom: v as Choices['speedFrom'] })}
          options={speeds}
        />
        <Select
          label="Run wiring"
          value={choices.wiring}
          onChange={(v) => set({ wiring: v as Choices['wiring'] })}
          options={[
            { value: 'two-wire', label: 'contact that stays' },
            { value: 'three-wire', label: 'start pulse and stop' },
            { value: 'two-wire-direction', label: 'run and direction' },
          ]}
        />
        <Select
          label="Signal"
          value={choices.signal ?? '0-10V'}
          onChange={(v) => set({ signal: v as Choices['signal'] })}
          options={[
            { value: '0-10V', label: '0 to 10 V' },
            { value: '0-20mA', label: '0 to 20 mA' },
            { value: '4-20mA', label: '4 to 20 mA' },
          ]}
        />
        <Field
          label="Acceleration"
          hint="Empty: the rule’s"
          figure
          unit="s"
          value={up}
          onChange={(e) => setUp(e.target.value)}
        />
        <Field
          label="Deceleration"
          hint="Empty: the rule’s"
          figure
          unit="s"
          value={down}
          onChange={(e) => setDown(e.target.value)}
        />
        <Field
          label="Lowest frequency"
          hint="Empty: 0"
          figure
          unit="Hz"
          value={lowest}
          onChange={(e) => setLowest(e.target.value)}
        />
      </FieldGrid>
      <Choice
        label="Region"
        value={choices.region}
        onChange={(region) => set({ region })}
        options={[
          { value: '50Hz', label: '50 Hz' },
          { value: '60Hz', label: '60 Hz' },
        ]}
      />
      <Box mt="2">
        {yesNo.map(({ key, label }) => (
          <Tick key={key} label={label} checked={choices[key]} onChange={(on) => set({ [key]: on })} />
        ))}
      </Box>
      {error !== undefined && (
        <Box role="alert" color="failed" mb="2">
          {error}
        </Box>
      )}
      <Primary mt="2" onClick={save}>
        {chosen === null ? 'Make the sheet' : 'Make it again'}
      </Primary>
    </Box>
  );
}
