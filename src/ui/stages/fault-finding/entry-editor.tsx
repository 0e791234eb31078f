import { Box } from '@chakra-ui/react';
import { useMemo } from 'react';
import * as z from 'zod';
import type { Control } from '@/core/equipment/catalogue';
import {
  parameterAt,
  limitsOf,
  rangeText,
  type Rating,
  type Values,
  shownAs,
} from '@/core/equipment/drive-words';
import { Secondary } from '../../kit/buttons';
import { FieldGrid } from '../../kit/section';
import { Choice, Field, Select, choiceOptions } from '../../kit/field';
import { unread } from '../../kit/form-figures';
import { figureFrom } from '../../kit/number-from';
import { useTypedForm } from '../../kit/typed-form';
import type { WriteWish } from '../../drive-link/use-write';

const reasons = ['trial', 'as on the nameplate', 'as found', 'process need'] as const;

interface EntryTyped {
  number: string;
  to: string;
  reason: (typeof reasons)[number];
}
const blank: EntryTyped = { number: '', to: '', reason: 'trial' };

/** An entry that was read, with a value that it takes, as a wish to write it. */
const entrySchema = (control: Control, rating: Rating, values: Values): z.ZodType<WriteWish, EntryTyped> =>
  z
    .object({ number: z.string(), to: z.string(), reason: z.enum(reasons) })
    .transform(({ number, to: text, reason }, context) => {
      const parameter = parameterAt(control, number);
      const from = parameter === undefined ? undefined : values[parameter.number];
      if (parameter === undefined || from === undefined)
        return unread(context, 'Choose the parameter', ['number']);
      // Nothing typed yet is no mistake at the field; it is no wish either.
      if (text.trim() === '') return unread(context, 'Enter a value');
      const to = figureFrom(text);
      const { min, max } = limitsOf(parameter, rating);
      if (to !== null && to >= min && to <= max)
        return { parameter, from, to, reason, trial: reason === 'trial' };
      return unread(context, `Takes ${rangeText(parameter, rating)}.`, ['to']);
    });

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
  const schema = useMemo(() => entrySchema(control, rating, values), [control, rating, values]);
  const { typed, read, text, pick, set, submit } = useTypedForm('value to write', schema, blank);
  const parameter = parameterAt(control, typed.number);
  const from = parameter === undefined ? undefined : values[parameter.number];
  const hint = parameter === undefined || from === undefined ? undefined : `Now ${shownAs(parameter, from)}`;
  return (
    <form onSubmit={submit(wish)} noValidate>
      <FieldGrid>
        <Select
          label="Parameter"
          {...pick('number')}
          onChange={(number) => {
            set('number', number);
            set('to', '');
          }}
          options={[
            { value: '', label: 'choose its number' },
            ...control.parameters
              .filter((p) => !p.readOnly && p.concept !== 'lock.code' && values[p.number] !== undefined)
              .map((p) => ({ value: p.number, label: `${p.number} ${p.name}` })),
          ]}
        />
        {parameter?.choices === undefined ? (
          <Field label="New value" figure unit={parameter?.unit} hint={hint} {...text('to')} />
        ) : (
          <Select label="New value" {...pick('to')} hint={hint} options={choiceOptions(parameter.choices)} />
        )}
      </FieldGrid>
      <Choice label="Why" {...pick('reason')} options={reasons.map((r) => ({ value: r, label: r }))} />
      <Box mt="3">
        <Secondary type="submit" disabled={read === null && typed.to.trim() === ''}>
          Review before writing
        </Secondary>
      </Box>
    </form>
  );
}
