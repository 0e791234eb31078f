import { Box } from '@chakra-ui/react';
import type { Control } from '@/core/equipment/catalogue';
import { countOf, type KeptSet } from '@/core/logbook';
import type { UnitSet } from '@/core/parameter-sets/parameters';
import {
  checksumOf,
  hasObjects,
  setAsCsv,
  setAsDcf,
  setAsJson,
  type SetOut,
} from '@/core/parameter-sets/set-files';
import { useState } from 'react';
import { Primary, Secondary } from '../../../kit/buttons';
import { Select, TextField } from '../../../kit/field';
import { saveText } from '../../../kit/save-text';
import { StateMark } from '../../../kit/state-mark';
import { dateTime } from '../../../kit/time';
import { Disclosure } from '../../../kit/why';
import { Text } from '../../../kit/text';

const sourceWords: Readonly<Record<KeptSet['source'], string>> = {
  'read-out': 'over the link',
  file: 'from a file',
  typed: 'typed',
  translated: 'translated',
};

export const setWords = (set: KeptSet): string =>
  `${set.name}, ${countOf(Object.keys(set.values).length, 'value')}, ${dateTime(set.at)}`;

/** Which set is meant, where it came from, and the set as a file. */
export function SetChooser({
  label,
  jobId,
  sets,
  chosen,
  choose,
  unit,
  markGood,
}: {
  label: string;
  jobId: string;
  sets: readonly KeptSet[];
  chosen: KeptSet;
  choose: (id: string) => void;
  unit: (UnitSet & { control: Pick<Control, 'parameters'> }) | null;
  markGood: (why: string) => void;
}) {
  const [why, setWhy] = useState<string | null>(null);
  const out: SetOut | null =
    unit === null
      ? null
      : {
          name: chosen.name,
          typeId: unit.typeId,
          rating: unit.rating,
          values: unit.values,
          strangers: chosen.strangers,
          ...(chosen.serial === null ? {} : { serial: chosen.serial }),
          ...(chosen.firmware === null ? {} : { firmware: chosen.firmware }),
        };
  const madeFrom = sets.find((s) => s.id === chosen.from);
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
        {chosen.typeId}, {sourceWords[chosen.source]}, {chosen.by.name}
        {chosen.serial === null ? '' : `, serial number ${chosen.serial}`}
        {chosen.firmware === null ? '' : `, firmware ${chosen.firmware}`}, checksum{' '}
        {checksumOf(chosen.typeId, chosen.values)}
        {madeFrom === undefined ? '' : `, made from “${madeFrom.name}”`}.
        {chosen.strangers.length > 0 &&
          ` ${countOf(chosen.strangers.length, 'parameter')} not known to this type.`}
      </Text>
      {chosen.strangers.length > 0 && (
        <Disclosure label="unknown parameters">
          {chosen.strangers.map((s, i) => (
            <Text key={i} fontFamily="mono">
              {s.number} = {s.text}
            </Text>
          ))}
        </Disclosure>
      )}
      {chosen.good !== null && (
        <Text color="sound" fontWeight="500">
          <StateMark mark="sound" label={null} /> Marked as good: {chosen.good}
        </Text>
      )}
      {out !== null && unit !== null && (
        <Box display="flex" gap="2" mt="2" flexWrap="wrap">
          <Secondary onClick={() => saveText(`${chosen.typeId}.csv`, setAsCsv(out, unit.control))}>
            CSV
          </Secondary>
          <Secondary onClick={() => saveText(`${chosen.typeId}.json`, setAsJson(out))}>JSON</Secondary>
          {hasObjects(unit.control) && (
            <Secondary onClick={() => saveText(`${chosen.typeId}.dcf`, setAsDcf(out, unit.control))}>
              DCF
            </Secondary>
          )}
          <Secondary asChild>
            <a href={`/api/v1/jobs/${jobId}/set-sheet?set=${chosen.id}`}>Sheet to print</a>
          </Secondary>
          {chosen.good === null && why === null && (
            <Secondary onClick={() => setWhy('')}>Mark as good</Secondary>
          )}
        </Box>
      )}
      {why !== null && (
        <Box display="flex" gap="2" mt="2" alignItems="end" flexWrap="wrap">
          <Box flex="1 1 260px" maxW="420px">
            <TextField
              label="Why is this set good?"
              hint="E.g. machine ran with it for a week"
              text={why}
              maxLength={200}
              set={setWhy}
            />
          </Box>
          <Primary
            waitsFor={why.trim() === '' ? 'Enter the reason first.' : null}
            onClick={() => {
              markGood(why.trim());
              setWhy(null);
            }}
          >
            Mark
          </Primary>
        </Box>
      )}
    </Box>
  );
}
