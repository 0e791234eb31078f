import { Box, Text } from '@chakra-ui/react';
import type { Control } from '@/core/catalogue';
import { counted, type KeptSet } from '@/core/logbook';
import type { UnitSet } from '@/core/parameters';
import { setAsCsv, setAsJson } from '@/core/set-files';
import { Secondary } from '../kit/buttons';
import { Select } from '../kit/field';
import { saveText } from '../kit/save-text';
import { dateTime } from '../kit/time';

const sourceWords: Readonly<Record<KeptSet['source'], string>> = {
  'read-out': 'over the link',
  file: 'from a file',
  typed: 'typed',
  translated: 'carried over',
};

export const setWords = (set: KeptSet): string =>
  `${set.name}, ${counted(Object.keys(set.values).length, 'value')}, ${dateTime(set.at)}`;

/** Which set is meant, where it came from, and the set as a file. */
export function SetChooser({
  label,
  sets,
  chosen,
  choose,
  unit,
}: {
  label: string;
  sets: readonly KeptSet[];
  chosen: KeptSet;
  choose: (id: string) => void;
  unit: (UnitSet & { control: Pick<Control, 'parameters'> }) | null;
}) {
  const out = unit === null ? null : { ...unit, name: chosen.name, strangers: chosen.strangers };
  return (
    <Box mb="4">
      <Box maxW="640px">
        <Select
          label={label}
          value={chosen.id}
          onChange={choose}
          options={sets.map((s) => ({ value: s.id, label: setWords(s) }))}
        />
      </Box>
      <Text color="soft" mt="1">
        {chosen.typeId}, {sourceWords[chosen.source]}, {chosen.by.name}.
        {chosen.strangers.length > 0 &&
          ` ${counted(chosen.strangers.length, 'entry')} that the type does not know.`}
      </Text>
      {out !== null && (
        <Box display="flex" gap="2" mt="2">
          <Secondary onClick={() => saveText(`${chosen.typeId}.csv`, setAsCsv(out, out.control))}>
            CSV
          </Secondary>
          <Secondary
            onClick={() =>
              saveText(
                `${chosen.typeId}.json`,
                setAsJson({
                  name: out.name,
                  typeId: out.typeId,
                  rating: out.rating,
                  values: out.values,
                  strangers: out.strangers,
                }),
              )
            }
          >
            JSON
          </Secondary>
        </Box>
      )}
    </Box>
  );
}
