import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { Control } from '@/core/equipment/catalogue';
import { parameterAt, limitsOf, type Rating, type Values, shownAs } from '@/core/equipment/drive-words';
import { Secondary } from '../../kit/buttons';
import { FieldGrid } from '../../kit/section';
import { Choice, NumberField, Select } from '../../kit/field';
import { figureFrom } from '../../kit/number-from';
import type { WriteWish } from '../../drive-link/use-write';

const usualReasons = ['trial', 'as on the plate', 'as found before', 'process need'] as const;

/** Any entry that was read, and the value it shall have. */
export function EntryEditor({
  control,
  rating,
  values,
  wish,
}: {
  control: Control;
  rating: Rating;
  values: Values;
  wish: (wish: WriteWish) => void;
}) {
  const [number, setNumber] = useState('');
  const [text, setText] = useState('');
  const [reason, setReason] = useState<(typeof usualReasons)[number]>('trial');
  const [error, setError] = useState<string | undefined>();
  const parameter = parameterAt(control, number);
  const from = parameter === undefined ? undefined : values[parameter.number];
  const take = () => {
    if (parameter === undefined || from === undefined) return;
    const to = figureFrom(text);
    const { min, max } = limitsOf(parameter, rating);
    if (to === null || to < min || to > max)
      return setError(`From ${min} to ${max}${parameter.unit === undefined ? '' : ` ${parameter.unit}`}.`);
    setError(undefined);
    wish({ parameter, from, to, reason, trial: reason === 'trial' });
  };
  return (
    <>
      <FieldGrid>
        <Select
          label="Entry"
          value={number}
          onChange={(n) => {
            setNumber(n);
            setText('');
            setError(undefined);
          }}
          options={[
            { value: '', label: 'choose its number' },
            ...control.parameters
              .filter((p) => !p.readOnly && p.concept !== 'lock.code' && values[p.number] !== undefined)
              .map((p) => ({ value: p.number, label: `${p.number} ${p.name}` })),
          ]}
        />
        {parameter?.choices === undefined ? (
          <NumberField
            label="New value"
            unit={parameter?.unit}
            text={text}
            error={error}
            hint={
              parameter === undefined || from === undefined ? undefined : `Now ${shownAs(parameter, from)}`
            }
            set={setText}
          />
        ) : (
          <Select
            label="New value"
            value={text}
            onChange={setText}
            hint={from === undefined ? undefined : `Now ${shownAs(parameter, from)}`}
            options={[
              { value: '', label: 'choose' },
              ...parameter.choices.map((c) => ({ value: String(c.value), label: c.name })),
            ]}
          />
        )}
      </FieldGrid>
      <Choice
        label="Why"
        value={reason}
        onChange={setReason}
        options={usualReasons.map((r) => ({ value: r, label: r }))}
      />
      <Box mt="3">
        <Secondary disabled={parameter === undefined || text === ''} onClick={take}>
          Look at it before it is written
        </Secondary>
      </Box>
    </>
  );
}
