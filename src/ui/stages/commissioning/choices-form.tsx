import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { Control } from '@/core/equipment/catalogue';
import type { Payload } from '@/core/logbook';
import {
  loadKinds,
  defaultStartUpChoices,
  type StartUpChoices,
  type LoadKind,
} from '@/core/equipment/application';
import { Primary } from '../../kit/buttons';
import { FieldGrid } from '../../kit/section';
import { Choice, NumberField, Select, type Option } from '../../kit/field';
import { figureFrom, numberFrom } from '../../kit/number-from';
import { Tick } from '../../kit/tick';

type Chosen = Payload<'startup.choices'>;

const loadWords: Readonly<Record<LoadKind, string>> = {
  'fan-or-pump': 'fan or centrifugal pump',
  conveyor: 'conveyor, mixer, drum',
  'piston-pump': 'piston or screw pump',
  hoist: 'hoist',
  winch: 'winch',
  other: 'something else',
};

const yesNo: readonly {
  key: keyof StartUpChoices &
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
  const [choices, setChoices] = useState<StartUpChoices>(
    chosen?.choices ?? defaultStartUpChoices({ plate_Hz, knob: control.knob }),
  );
  const [volts, setVolts] = useState(String(chosen?.supply.volts ?? supply_V));
  const [up, setUp] = useState(choices.up_s === undefined ? '' : String(choices.up_s));
  const [down, setDown] = useState(choices.down_s === undefined ? '' : String(choices.down_s));
  const [lowest, setLowest] = useState(choices.minimum_Hz === undefined ? '' : String(choices.minimum_Hz));
  const [error, setError] = useState<string | undefined>();
  const set = (differs: Partial<StartUpChoices>) => setChoices({ ...choices, ...differs });
  const speeds: Option<StartUpChoices['speedFrom']>[] = [
    { value: 'keypad', label: 'keypad' },
    ...(control.knob ? [{ value: 'knob' as const, label: 'knob on the unit' }] : []),
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
          onChange={(load) => set({ load })}
          options={loadKinds.map((l) => ({ value: l, label: loadWords[l] }))}
        />
        <NumberField label="Supply, measured" unit="V" text={volts} set={setVolts} />
        <Select
          label="Run from"
          value={choices.runFrom}
          onChange={(runFrom) => set({ runFrom })}
          options={[
            { value: 'terminals', label: 'terminals' },
            { value: 'keypad', label: 'keypad' },
            { value: 'serial', label: 'serial' },
          ]}
        />
        <Select
          label="Speed from"
          value={choices.speedFrom}
          onChange={(speedFrom) => set({ speedFrom })}
          options={speeds}
        />
        <Select
          label="Run wiring"
          value={choices.wiring}
          onChange={(wiring) => set({ wiring })}
          options={[
            { value: 'two-wire', label: 'contact that stays' },
            { value: 'three-wire', label: 'start pulse and stop' },
            { value: 'two-wire-direction', label: 'run and direction' },
          ]}
        />
        <Select
          label="Signal"
          value={choices.signal ?? '0-10V'}
          onChange={(signal) => set({ signal })}
          options={[
            { value: '0-10V', label: '0 to 10 V' },
            { value: '0-20mA', label: '0 to 20 mA' },
            { value: '4-20mA', label: '4 to 20 mA' },
          ]}
        />
        <NumberField label="Acceleration" hint="Empty: the rule’s" unit="s" text={up} set={setUp} />
        <NumberField label="Deceleration" hint="Empty: the rule’s" unit="s" text={down} set={setDown} />
        <NumberField label="Lowest frequency" hint="Empty: 0" unit="Hz" text={lowest} set={setLowest} />
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
