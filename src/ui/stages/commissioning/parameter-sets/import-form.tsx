import { Box, Text } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import type { DriveType } from '@/core/equipment/catalogue';
import type { Rating } from '@/core/equipment/drive-words';
import type { Payload } from '@/core/logbook';
import { readSetText } from '@/core/parameter-sets/set-files';
import { useControl } from '../../../drive-link/use-control';
import { Primary } from '../../../kit/buttons';
import { FieldGrid } from '../../../kit/section';
import { NumberField, LongField, Select, TextField } from '../../../kit/field';
import { numberFrom } from '../../../kit/number-from';
import { textOfFile } from '../../../kit/read-text';
import { StateMark } from '../../../kit/state-mark';
import { LinesTaken, WritableEntries } from './import-tables';

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
  const [type, setType] = useState(typeId);
  const [text, setText] = useState('');
  const [file, setFile] = useState<string | null>(null);
  const [name, setName] = useState('');
  const [amps, setAmps] = useState(String(rating.ratedAmps));
  const [kilowatts, setKilowatts] = useState(String(rating.power_kW));
  const { control, trouble } = useControl(type);
  const ratedAmps = numberFrom(amps);
  const power_kW = numberFrom(kilowatts);
  const its = useMemo<Rating | null>(
    () => (ratedAmps === null || power_kW === null ? null : { ...rating, ratedAmps, power_kW }),
    [ratedAmps, power_kW, rating],
  );
  const read = useMemo(
    () => (control === null || its === null || text.trim() === '' ? null : readSetText(text, control, its)),
    [control, its, text],
  );
  const taken = read === null ? 0 : Object.keys(read.values).length;
  return (
    <>
      <FieldGrid min="200px">
        <Select
          label="Type"
          value={type}
          onChange={setType}
          options={catalogue.map((t) => ({ value: t.id, label: `${t.maker} ${t.range}` }))}
        />
        <NumberField label="Rated output of that unit" unit="A" text={amps} set={setAmps} />
        <NumberField label="Rated power of that unit" unit="kW" text={kilowatts} set={setKilowatts} />
        <TextField label="Called" text={name} maxLength={200} hint="e.g. backup of March" set={setName} />
      </FieldGrid>
      <LongField
        label="Numbers and values"
        hint="Pasted from a spreadsheet, typed from paper, CSV, JSON or DCF: a number and its value a line"
        rows={8}
        value={text}
        onChange={(e) => {
          setFile(null);
          setText(e.target.value);
        }}
      />
      <Box asChild my="2">
        <label>
          or a file{' '}
          <input
            type="file"
            accept=".csv,.txt,.json,.tsv,.dcf,.eds"
            onChange={(e) => {
              const chosen = e.target.files?.[0];
              if (chosen === undefined) return;
              void textOfFile(chosen).then((content) => {
                setText(content);
                setFile(chosen.name);
                if (name === '') setName(chosen.name);
              });
            }}
          />
        </label>
      </Box>
      {control !== null && (
        <WritableEntries
          control={control}
          add={(number) => {
            setFile(null);
            setText(`${text}${text === '' || text.endsWith('\n') ? '' : '\n'}${number}\t`);
          }}
        />
      )}
      {trouble !== null && <Text color="failed">{trouble}</Text>}
      {read?.about.typeId !== undefined && read.about.typeId !== type && (
        <Text color="doubt" fontWeight="500">
          <StateMark mark="doubt" label={null} /> The file says it is of {read.about.typeId}: choose that
          type, or look at every value.
        </Text>
      )}
      {read !== null && (
        <>
          <Text role="status" fontWeight="500" my="2">
            {read.trouble ?? `${taken} values of ${read.lines.length} lines are taken.`}
          </Text>
          <Primary
            disabled={taken === 0 || name.trim() === '' || its === null}
            onClick={() =>
              its !== null &&
              keep({
                name: name.trim(),
                typeId: type,
                rating: its,
                values: read.values,
                strangers: [
                  ...read.strangers,
                  ...read.lines
                    .filter((l) => l.state === 'refused' || l.state === 'twice')
                    .map(({ number, text: given }) => ({ number, text: given })),
                ].slice(0, 400),
                source: file === null ? 'typed' : 'file',
                ...(read.about.serial === undefined ? {} : { serial: read.about.serial }),
                ...(read.about.firmware === undefined ? {} : { firmware: read.about.firmware }),
              })
            }
          >
            {name.trim() === '' ? 'Give it a name first' : `Keep ${taken} values`}
          </Primary>
          <LinesTaken lines={read.lines} />
        </>
      )}
    </>
  );
}
