import { Box, Text } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import type { KeptSet } from '@/core/logbook';
import { diffSets, factorySet, type Unit, type UnitSet } from '@/core/parameters';
import { useControl } from '../catalogue/use-control';
import { Select } from '../kit/field';
import { PlainTable } from '../kit/plain-table';
import { Tick } from '../kit/tick';
import { setWords } from './set-chooser';

/** What it is compared with: another set, or what the factory sets. */
function Against({ other, unit, set }: { other: KeptSet; unit: Unit; set: UnitSet }) {
  const { control, trouble } = useControl(other.typeId);
  return control === null ? (
    <Text role="status">{trouble ?? 'Fetching what the catalogue says of this type…'}</Text>
  ) : (
    <Differences
      a={set}
      b={{ typeId: other.typeId, control, rating: other.rating ?? unit.rating, values: other.values }}
    />
  );
}

function Differences({ a, b }: { a: UnitSet; b: UnitSet }) {
  const [all, setAll] = useState(false);
  const differences = useMemo(() => diffSets(a, b), [a, b]);
  const shown = differences.filter((d) => all || d.matters);
  return (
    <>
      <Text role="status" fontWeight="500" mb="1">
        {shown.length === 0 ? 'No difference that matters.' : `${shown.length} differences.`}
      </Text>
      <Tick label="Readings and commands too" checked={all} onChange={setAll} />
      {shown.length > 0 && (
        <PlainTable heads={['', 'This set', 'The other', '']}>
          {shown.map((d, i) => (
            <tr key={i}>
              <td>{d.about}</td>
              <td>{d.a === null ? '—' : `${d.a.number} ${d.a.shown}`}</td>
              <td>{d.b === null ? 'nothing of the kind' : `${d.b.number} ${d.b.shown}`}</td>
              <td>{d.sum}</td>
            </tr>
          ))}
        </PlainTable>
      )}
    </>
  );
}

/** A set beside another one, or beside the factory's. */
export function CompareView({
  set,
  id,
  sets,
  drive,
}: {
  set: UnitSet;
  id: string;
  sets: readonly KeptSet[];
  /** The job's drive. */
  drive: Unit;
}) {
  const [other, setOther] = useState('factory-50Hz');
  const others = sets.filter((s) => s.id !== id);
  const kept = others.find((s) => s.id === other);
  const factory = useMemo(() => factorySet(set, other === 'factory-60Hz' ? '60Hz' : '50Hz'), [set, other]);
  return (
    <>
      <Box maxW="640px" mb="3">
        <Select
          label="With"
          value={other}
          onChange={setOther}
          options={[
            { value: 'factory-50Hz', label: 'the factory’s, 50 Hz' },
            { value: 'factory-60Hz', label: 'the factory’s, 60 Hz' },
            ...others.map((s) => ({ value: s.id, label: setWords(s) })),
          ]}
        />
      </Box>
      {kept === undefined ? (
        <Differences a={set} b={factory} />
      ) : (
        <Against other={kept} unit={drive} set={set} />
      )}
    </>
  );
}
