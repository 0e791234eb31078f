import { Box } from '@chakra-ui/react';
import { useState, type KeyboardEvent } from 'react';
import type { Control } from '@/core/equipment/catalogue';
import {
  displayDoubt,
  parameterAt,
  valueFault,
  type Live,
  type Rating,
  type Values,
} from '@/core/equipment/drive-words';
import { useDraftText } from '../../kit/draft-text';
import { Secondary } from '../../kit/buttons';
import { FieldGrid } from '../../kit/section';
import { Choice, NumberField, Select, choiceOptions, optionsOf } from '../../kit/field';
import { figureFrom } from '../../kit/number-from';
import { driveStateWords } from '../../drive-link/state-words';
import { BitsForm } from './bits-form';
import { Text } from '../../kit/text';

export interface ObservedValues {
  values?: Values;
  live?: Live;
}

/** The bits of the input monitor over the marks of the terminals; a touch turns one. */
export function InputBits({
  control,
  inputs,
  turn,
}: {
  control: Control;
  inputs: Live['inputs'];
  /** Null while the link shows them. */
  turn: ((id: string, on: boolean) => void) | null;
}) {
  const terminals = [...control.inputs, ...(control.safeStop?.channels ?? [])];
  return (
    <>
      <Text fontFamily="heading" fontWeight="600" fontSize="1.1rem" mb="2">
        Input monitor
      </Text>
      <Box role="group" aria-label="Input monitor" display="flex" flexWrap="wrap" gap="2" mb="4">
        {terminals.map(({ id, mark }) => {
          const on = inputs?.[id];
          const words = on === undefined ? 'not read' : on ? 'on' : 'off';
          return (
            <Box
              asChild
              key={id}
              minW="64px"
              minH="64px"
              border="1px solid"
              borderColor="line"
              borderRadius="3px"
              bg={on === true ? 'ink' : 'transparent'}
              color={on === true ? 'card' : 'ink'}
              cursor="pointer"
            >
              <button
                type="button"
                aria-pressed={on === true}
                aria-label={`${mark}: ${words}`}
                disabled={turn === null}
                onClick={() => turn?.(id, on !== true)}
              >
                <Text as="span" display="block" fontFamily="heading" fontWeight="600" fontSize="1.05rem">
                  {mark}
                </Text>
                <Text as="span" fontFamily="mono" fontSize="0.9rem">
                  {on === undefined ? '?' : on ? '1' : '0'}
                </Text>
              </button>
            </Box>
          );
        })}
      </Box>
    </>
  );
}

/** A figure is kept when its field is left; Enter leaves it. */
const leaveOnEnter = (e: KeyboardEvent<HTMLInputElement>) => {
  if (e.key === 'Enter') e.currentTarget.blur();
};

type Shown = 'bus' | 'reference' | 'value';

/** A figure that was not kept, and why. */
interface Trouble {
  of: Shown;
  words: string;
  /** Keeps it all the same: the display may show just that. Null: it is no figure. */
  keepIt: (() => void) | null;
}

/** What can hardly be is asked about, and kept where the display shows just that. */
function InDoubt({ trouble, of }: { trouble: Trouble | null; of: readonly Shown[] }) {
  return trouble === null || trouble.keepIt === null || !of.includes(trouble.of) ? null : (
    <Box mb="3">
      <Secondary onClick={trouble.keepIt}>The display shows exactly this</Secondary>
    </Box>
  );
}

/** Reads figures, and asks about what can hardly be. @param doubtAbout why a figure can hardly be; null: it can */
function useFigures(doubtAbout: (of: Shown, value: number) => string | null) {
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const figure = (of: Shown, text: string, kept: (v: number) => void) => {
    const v = figureFrom(text);
    if (v === null) return setTrouble({ of, words: 'A value as displayed, e.g. 25.0.', keepIt: null });
    const doubt = doubtAbout(of, v);
    const take = () => {
      setTrouble(null);
      kept(v);
    };
    if (doubt === null) return take();
    setTrouble({ of, words: doubt, keepIt: take });
  };
  const error = (of: Shown) => (trouble?.of === of ? trouble.words : undefined);
  return { trouble, figure, error };
}

interface SeenProps {
  control: Control;
  rating: Rating;
  keep: (seen: ObservedValues) => void;
}

/** Any setting by its number. */
function SettingSeen({ control, rating, keep }: SeenProps) {
  const [number, setNumber] = useDraftText('a setting off the display');
  const [value, setValue] = useDraftText('value of a setting off the display');
  const parameter = parameterAt(control, number);
  const { trouble, figure, error } = useFigures((_, v) =>
    parameter === undefined || parameter.readOnly ? null : valueFault(parameter, v, rating),
  );
  return (
    <Box mt="4">
      <FieldGrid>
        <Select
          label="Parameter"
          value={number}
          onChange={(chosen) => {
            setNumber(chosen);
            setValue('');
          }}
          options={[
            { value: '', label: 'choose its number' },
            ...control.parameters
              .filter((p) => p.concept !== undefined)
              .map((p) => ({ value: p.number, label: `${p.number} ${p.name}` })),
          ]}
        />
        {parameter?.choices !== undefined ? (
          <Select
            label="Set to"
            value={value}
            onChange={setValue}
            options={choiceOptions(parameter.choices)}
          />
        ) : (
          <NumberField
            label="Set to"
            unit={parameter?.unit}
            text={value}
            error={error('value')}
            set={setValue}
          />
        )}
      </FieldGrid>
      <InDoubt trouble={trouble} of={['value']} />
      <Secondary
        waitsFor={parameter === undefined || value === '' ? 'Choose a parameter and enter its value.' : null}
        onClick={() =>
          figure('value', value, (v) => {
            keep({ values: { [number]: v } });
            setNumber('');
            setValue('');
          })
        }
      >
        Save parameter value
      </Secondary>
    </Box>
  );
}

/** What the display shows, where no link reads it: live figures, and any setting by its number. */
export function SeenForm({ control, rating, live, keep }: SeenProps & { live: Live }) {
  const [bus, setBus] = useDraftText('bus off the display');
  const [reference, setReference] = useDraftText('reference off the display');
  const { trouble, figure, error } = useFigures((of, v) =>
    of === 'value' ? null : displayDoubt(of, v, rating.supply_V),
  );
  return (
    <Box as="section" aria-label="Display readings">
      <BitsForm terminals={control.inputs} keep={(inputs) => keep({ live: { inputs } })} />
      <FieldGrid>
        <Select
          label="State"
          value={live.state ?? ''}
          onChange={(state) => {
            if (state !== '') keep({ live: { state } });
          }}
          options={optionsOf({
            '': 'not read',
            ...driveStateWords,
          })}
        />
        <Select
          label="Active fault"
          value={live.alarm === undefined ? '' : (live.alarm ?? 'none')}
          onChange={(alarm) => {
            if (alarm !== '') keep({ live: { alarm: alarm === 'none' ? null : alarm } });
          }}
          options={[
            { value: '', label: 'not read' },
            { value: 'none', label: 'none' },
            ...control.alarms.map((a) => ({ value: a.code, label: `${a.code}: ${a.name}` })),
          ]}
        />
        <NumberField
          label="Bus voltage"
          unit="V"
          text={bus}
          placeholder={live.busVolts?.toFixed(0)}
          error={error('bus')}
          set={setBus}
          onKeyDown={leaveOnEnter}
          onBlur={() =>
            bus !== '' &&
            figure('bus', bus, (busVolts) => {
              keep({ live: { busVolts } });
              setBus('');
            })
          }
        />
        <NumberField
          label="Reference"
          unit="Hz"
          text={reference}
          placeholder={live.reference_Hz?.toFixed(1)}
          error={error('reference')}
          set={setReference}
          onKeyDown={leaveOnEnter}
          onBlur={() =>
            reference !== '' &&
            figure('reference', reference, (reference_Hz) => {
              keep({ live: { reference_Hz } });
              setReference('');
            })
          }
        />
      </FieldGrid>
      <InDoubt trouble={trouble} of={['bus', 'reference']} />
      <Choice
        label="Local/remote"
        value={live.place ?? null}
        onChange={(place) => keep({ live: { place } })}
        options={optionsOf({ local: 'local', remote: 'remote' })}
      />
      <SettingSeen {...{ control, rating, keep }} />
    </Box>
  );
}
