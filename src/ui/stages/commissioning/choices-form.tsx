import { Box, chakra } from '@chakra-ui/react';
import * as z from 'zod';
import type { Control } from '@/core/equipment/catalogue';
import type { Payload } from '@/core/logbook';
import {
  loadKinds,
  defaultStartUpChoices,
  type StartUpChoices,
  type LoadKind,
  type UnitHistory,
  unitHistories,
} from '@/core/equipment/application';
import { Primary } from '../../kit/buttons';
import { FieldGrid } from '../../kit/section';
import { Choice, Field, optionsOf, Select, type Option } from '../../kit/field';
import { orNone, positiveFigureOr, zeroOrMoreOr } from '../../kit/form-figures';
import { useTypedForm } from '../../kit/typed-form';
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

const historyWords: Readonly<Record<UnitHistory, string>> = {
  'from-its-box': 'new, in its box',
  'set-up-before': 'used on this machine before',
  'not-known': 'not known: from stock, repaired, used',
};

const yesNo = [
  ['coupled', 'Motor shaft coupled to the machine'],
  ['reverse', 'Machine runs in both directions'],
  ['windmills', 'Air or liquid flow may turn the shaft before the start (fans, pumps)'],
  ['encoder', 'Encoder and encoder board fitted'],
  ['brakeProven', 'Mechanical brake proven to close'],
  ['brakeResistor', 'Brake resistor fitted'],
] as const;

const ramp = orNone(
  positiveFigureOr('A ramp needs a time above zero: 0 s trips on overcurrent or overvoltage.'),
);
const choicesSchema = z
  .object({
    load: z.enum(loadKinds),
    volts: positiveFigureOr('Line-to-line voltage, as measured.'),
    runFrom: z.enum(['terminals', 'keypad', 'serial']),
    speedFrom: z.enum(['keypad', 'knob', 'AI1', 'AI2', 'preset', 'serial']),
    wiring: z.enum(['two-wire', 'three-wire', 'two-wire-direction']),
    signal: z.enum(['0-10V', '0-20mA', '4-20mA']),
    region: z.enum(['50Hz', '60Hz']),
    up_s: ramp,
    down_s: ramp,
    minimum_Hz: orNone(zeroOrMoreOr('Hz, zero or more.')),
    history: z.enum(['', ...unitHistories]),
    windmills: z.boolean(),
    coupled: z.boolean(),
    reverse: z.boolean(),
    encoder: z.boolean(),
    brakeProven: z.boolean(),
    brakeResistor: z.boolean(),
  })
  .transform(({ volts, history, up_s, down_s, minimum_Hz, ...plain }): Chosen => ({
    choices: {
      ...plain,
      // The place says it.
      singlePhaseFed: false,
      ...(history === '' ? {} : { history }),
      ...(up_s === null ? {} : { up_s }),
      ...(down_s === null ? {} : { down_s }),
      ...(minimum_Hz === null ? {} : { minimum_Hz }),
    },
    supply: { volts, hz: plain.region === '60Hz' ? 60 : 50 },
  }));

const typedOf = (
  { singlePhaseFed: _, windmills, signal, history, up_s, down_s, minimum_Hz, ...plain }: StartUpChoices,
  volts: number,
) => ({
  ...plain,
  signal: signal ?? ('0-10V' as const),
  history: history ?? ('' as const),
  windmills: windmills ?? false,
  volts: String(volts),
  up_s: String(up_s ?? ''),
  down_s: String(down_s ?? ''),
  minimum_Hz: String(minimum_Hz ?? ''),
});

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
  const { text, pick, tick, submit } = useTypedForm(
    'start-up choices',
    choicesSchema,
    typedOf(
      chosen?.choices ?? defaultStartUpChoices({ plate_Hz, knob: control.knob }),
      chosen?.supply.volts ?? supply_V,
    ),
  );
  const speeds: Option<StartUpChoices['speedFrom']>[] = [
    { value: 'keypad', label: 'keypad' },
    ...(control.knob ? [{ value: 'knob' as const, label: 'potentiometer on the unit' }] : []),
    ...control.analogInputs.map((a) => ({ value: a.id, label: `analog ${a.mark}` })),
    { value: 'preset', label: 'fixed speeds' },
    { value: 'serial', label: 'serial' },
  ];
  return (
    <chakra.form aria-label="Load and control" mb="5" onSubmit={submit(keep)} noValidate>
      <FieldGrid>
        <Select label="Load" {...pick('load')} options={optionsOf(loadWords)} />
        <Field label="Supply, measured" figure unit="V" {...text('volts')} />
        <Select
          label="Control source"
          {...pick('runFrom')}
          options={optionsOf({ terminals: 'terminals', keypad: 'keypad', serial: 'serial' })}
        />
        <Select label="Reference source" {...pick('speedFrom')} options={speeds} />
        <Select
          label="Run wiring"
          {...pick('wiring')}
          options={optionsOf({
            'two-wire': 'maintained contact',
            'three-wire': 'start pulse and stop (3-wire)',
            'two-wire-direction': 'run and direction',
          })}
        />
        <Select
          label="Signal"
          {...pick('signal')}
          options={optionsOf({ '0-10V': '0 to 10 V', '0-20mA': '0 to 20 mA', '4-20mA': '4 to 20 mA' })}
        />
        <Field label="Ramp up" hint="Empty: default of the rule" figure unit="s" {...text('up_s')} />
        <Field label="Ramp down" hint="Empty: default of the rule" figure unit="s" {...text('down_s')} />
        <Field label="Minimum frequency" hint="Empty: 0" figure unit="Hz" {...text('minimum_Hz')} />
      </FieldGrid>
      <Choice
        label="50/60 Hz default set"
        {...pick('region')}
        options={optionsOf({ '50Hz': '50 Hz', '60Hz': '60 Hz' })}
      />
      <FieldGrid min="260px">
        <Select
          label="History of the unit"
          hint="If not known, the unit is saved, reset and checked first"
          {...pick('history')}
          options={optionsOf({ '': 'not said', ...historyWords })}
        />
      </FieldGrid>
      <Box mt="2">
        {yesNo.map(([key, label]) => (
          <Tick key={key} label={label} {...tick(key)} />
        ))}
      </Box>
      <Primary type="submit" mt="2">
        {chosen === null ? 'Make start-up sheet' : 'Update start-up sheet'}
      </Primary>
    </chakra.form>
  );
}
