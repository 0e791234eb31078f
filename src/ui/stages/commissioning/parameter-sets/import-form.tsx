import { Box } from '@chakra-ui/react';
import { useMemo } from 'react';
import * as z from 'zod';
import type { DriveType } from '@/core/equipment/catalogue';
import type { Rating } from '@/core/equipment/drive-words';
import type { Payload } from '@/core/logbook';
import { readSetText, type SetText } from '@/core/parameter-sets/set-files';
import { ratedPower } from '@/core/terms';
import { useControl } from '../../../drive-link/use-control';
import { Primary } from '../../../kit/buttons';
import { FieldGrid } from '../../../kit/section';
import { Field, LongField, Select } from '../../../kit/field';
import { filledText, positiveFigure, powerFigure } from '../../../kit/form-figures';
import { numberFrom, quantityFrom } from '../../../kit/number-from';
import { textOfFile } from '../../../kit/read-text';
import { QuantityField } from '../../../kit/quantity-field';
import { StateMark } from '../../../kit/state-mark';
import { useTypedForm } from '../../../kit/typed-form';
import { LinesTaken, WritableEntries } from './import-tables';
import { Text } from '../../../kit/text';

/** What is kept of the lines: values that were taken, and as strangers those that were not. */
const setOf = (
  read: SetText,
  about: Pick<Payload<'set.kept'>, 'name' | 'typeId' | 'rating'>,
  file: string | null,
): Payload<'set.kept'> => ({
  ...about,
  values: read.values,
  strangers: [
    ...read.strangers,
    ...read.lines
      .filter((l) => l.state === 'refused' || l.state === 'twice')
      .map(({ number, text }) => ({ number, text })),
  ].slice(0, 400),
  source: file === null ? 'typed' : 'file',
  ...(read.about.serial === undefined ? {} : { serial: read.about.serial }),
  ...(read.about.firmware === undefined ? {} : { firmware: read.about.firmware }),
});

const importSchema = z.object({
  type: z.string(),
  amps: positiveFigure,
  kilowatts: powerFigure,
  name: filledText('Enter a name'),
  lines: z.string(),
  /** Where the lines are from; null: they were typed. */
  file: z.string().nullable(),
});

/** A set from a file, a spreadsheet or paper: each line says what was made of it. */
export function ImportForm({
  catalogue,
  typeId,
  rating,
  keep,
}: {
  catalogue: readonly DriveType[];
  typeId: string;
  rating: Rating;
  keep: (set: Payload<'set.kept'>) => void;
}) {
  const {
    typed,
    read: form,
    text,
    pick,
    quantity,
    set,
    submit,
  } = useTypedForm('set from a file', importSchema, {
    type: typeId,
    amps: String(rating.ratedAmps),
    kilowatts: String(rating.power_kW),
    name: '',
    lines: '',
    file: null,
  });
  const { control, trouble } = useControl(typed.type);
  const ratedAmps = numberFrom(typed.amps);
  const power_kW = quantityFrom(ratedPower)(typed.kilowatts);
  const its = useMemo<Rating | null>(
    () => (ratedAmps === null || power_kW === null ? null : { ...rating, ratedAmps, power_kW }),
    [ratedAmps, power_kW, rating],
  );
  const read = useMemo(
    () =>
      control === null || its === null || typed.lines.trim() === ''
        ? null
        : readSetText(typed.lines, control, its),
    [control, its, typed.lines],
  );
  const taken = read === null ? 0 : Object.keys(read.values).length;
  const save = submit(({ name, type, file }) => {
    if (read !== null && its !== null && taken > 0)
      keep(setOf(read, { name, typeId: type, rating: its }, file));
  });
  const lines = text('lines');
  const typing = (content: string, file: string | null) => {
    set('lines', content);
    set('file', file);
  };
  return (
    <form onSubmit={save} noValidate>
      <FieldGrid min="200px">
        <Select
          label="Type"
          {...pick('type')}
          options={catalogue.map((t) => ({ value: t.id, label: `${t.maker} ${t.range}` }))}
        />
        <Field label="Rated output current of that unit" figure unit="A" {...text('amps')} />
        <QuantityField label="Rated power of that unit" quantity={ratedPower} {...quantity('kilowatts')} />
        <Field label="Name" maxLength={200} hint="E.g. backup of March" {...text('name')} />
      </FieldGrid>
      <LongField
        label="Numbers and values"
        hint="A line for each parameter, as the display shows it: number or name, then value, in any order. Or paste from a spreadsheet, CSV, JSON or DCF"
        rows={8}
        {...lines}
        onChange={(e) => {
          set('file', null);
          void lines.onChange(e);
        }}
      />
      <Box asChild my="2">
        <label>
          or choose a file{' '}
          <input
            type="file"
            accept=".csv,.txt,.json,.tsv,.dcf,.eds"
            onChange={(e) => {
              const chosen = e.target.files?.[0];
              if (chosen === undefined) return;
              void textOfFile(chosen).then((content) => {
                typing(content, chosen.name);
                if (typed.name === '') set('name', chosen.name);
              });
            }}
          />
        </label>
      </Box>
      {control !== null && (
        <WritableEntries
          control={control}
          add={(number) => {
            const before =
              typed.lines === '' || typed.lines.endsWith('\n') ? typed.lines : `${typed.lines}\n`;
            typing(`${before}${number}\t`, null);
          }}
        />
      )}
      {trouble !== null && <Text color="failed">{trouble}</Text>}
      {read?.about.typeId !== undefined && read.about.typeId !== typed.type && (
        <Text color="doubt" fontWeight="500">
          <StateMark mark="doubt" label={null} /> The file is for {read.about.typeId}: choose that type, or
          check every value.
        </Text>
      )}
      {read !== null && (
        <>
          <Text role="status" fontWeight="500" my="2">
            {read.trouble ?? `${taken} values read from ${read.lines.length} lines.`}
          </Text>
          <Primary type="submit" disabled={taken === 0 || form === null}>
            {typed.name.trim() === '' ? 'Enter a name first' : `Save ${taken} values`}
          </Primary>
          <LinesTaken lines={read.lines} />
        </>
      )}
    </form>
  );
}
