import { Box } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import { plateConcepts } from '@/core/equipment/concepts';
import { parameterAt, type Values } from '@/core/equipment/drive-words';
import { countOf, foundBefore, type JobState, type KeptSet, type SetRun } from '@/core/logbook';
import {
  diffSets,
  factorySet,
  threeWay,
  type PlannedOutcome,
  type RatedUnit,
  type UnitSet,
} from '@/core/parameter-sets/parameters';
import { useControl } from '../../../drive-link/use-control';
import { Select } from '../../../kit/field';
import { DataTable } from '../../../kit/data-table';
import { PlainTable } from '../../../kit/plain-table';
import { StateMark, type Mark } from '../../../kit/state-mark';
import { Tick } from '../../../kit/tick';
import { setWords } from './set-chooser';
import { Cell, Text } from '../../../kit/text';

/** What it is compared with: another set, or what the factory sets. */
function Against({ other, unit, set }: { other: KeptSet; unit: RatedUnit; set: UnitSet }) {
  const { control, trouble } = useControl(other.typeId);
  return control === null ? (
    <Text role="status">{trouble ?? 'Loading catalogue data of this type…'}</Text>
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
        {shown.length === 0 ? 'No relevant differences.' : `${countOf(shown.length, 'difference')}.`}
      </Text>
      <Tick label="Include readings and commands" checked={all} onChange={setAll} />
      {shown.length > 0 && (
        <PlainTable heads={['', 'This set', 'The other', '']}>
          {shown.map((d, i) => (
            <tr key={i}>
              <Cell>{d.about}</Cell>
              <Cell>{d.a === null ? '—' : `${d.a.number} ${d.a.shown}`}</Cell>
              <Cell>{d.b === null ? 'no equivalent' : `${d.b.number} ${d.b.shown}`}</Cell>
              <Cell>{d.sum}</Cell>
            </tr>
          ))}
        </PlainTable>
      )}
    </>
  );
}

/** What a person wants to be in the drive: of the entries it speaks of, the ones that are otherwise. */
function AgainstWanted({ set, wanted, drive }: { set: UnitSet; wanted: Values; drive: RatedUnit }) {
  const has = (values: Values): Values =>
    Object.fromEntries(Object.entries(values).filter(([number]) => wanted[number] !== undefined));
  return set.typeId === drive.typeId ? (
    <Differences a={{ ...set, values: has(set.values) }} b={{ ...drive, values: wanted }} />
  ) : (
    <Text>This compares with the drive of the job: choose a set of its type.</Text>
  );
}

/** As found, as planned, as left: of the newest run that ended. */
function Three({ run, sets, drive }: { run: SetRun; sets: readonly KeptSet[]; drive: RatedUnit }) {
  const end = run.end;
  const planned = sets.find((s) => s.id === run.set);
  const found = foundBefore(sets, run);
  const left = sets.filter((s) => s.source === 'read-out' && s.at >= (end?.at ?? Infinity))[0];
  if (planned === undefined || found === undefined || left === undefined)
    return <Text>As found, planned and as left are not all in this job.</Text>;
  const [a, b, c] = [found, planned, left].map(({ values }) => ({ ...drive, values }));
  const rows = a === undefined || b === undefined || c === undefined ? [] : threeWay(a, b, c);
  return (
    <>
      <Text role="status" fontWeight="500" mb="1">
        {countOf(rows.length, 'parameter')} that were planned to change or did change.
      </Text>
      <DataTable
        rows={rows}
        keyOf={(r) => r.number}
        columns={[
          { head: 'Parameter', names: true, by: (r) => r.number, cell: (r) => `${r.number} ${r.name}` },
          { head: 'As found', cell: (r) => r.found },
          { head: 'As planned', cell: (r) => r.planned },
          { head: 'As left', cell: (r) => r.left },
          {
            head: 'Outcome',
            by: (r) => r.fate,
            cell: (r) => (
              <>
                <StateMark mark={fateMarks[r.fate]} label={null} /> {r.fate}
              </>
            ),
          },
        ]}
      />
    </>
  );
}

const fateMarks: Readonly<Record<PlannedOutcome, Mark>> = {
  'as planned': 'sound',
  'not done': 'failed',
  otherwise: 'failed',
  'not planned': 'doubt',
};

/** Entries of the motor's plate. */
const ofPlate = (drive: RatedUnit, values: Values): Values =>
  Object.fromEntries(
    Object.entries(values).filter(([number]) => {
      const concept = parameterAt(drive.control, number)?.concept;
      return concept !== undefined && plateConcepts.includes(concept);
    }),
  );
/** A set beside another one, the factory's, the plate, the start-up sheet, or as it was before and after a run. */
export function CompareView({
  set,
  id,
  state,
  drive,
  sheet,
}: {
  set: UnitSet;
  id: string;
  state: JobState;
  /** The job's drive. */
  drive: RatedUnit;
  /** What the start-up sheet enters; null before there is one. */
  sheet: Values | null;
}) {
  const { sets, setRuns } = state;
  const [other, setOther] = useState('factory-50Hz');
  const others = sets.filter((s) => s.id !== id);
  const kept = others.find((s) => s.id === other);
  const ended = setRuns.filter((r) => r.end !== null).at(-1);
  const factory = useMemo(() => factorySet(set, other === 'factory-60Hz' ? '60Hz' : '50Hz'), [set, other]);
  const wanted =
    other === 'sheet' ? sheet : other === 'plate' && sheet !== null ? ofPlate(drive, sheet) : null;
  return (
    <>
      <Box maxW="640px" mb="3">
        <Select
          label="With"
          value={other}
          onChange={setOther}
          options={[
            { value: 'factory-50Hz', label: 'factory defaults, 50 Hz' },
            { value: 'factory-60Hz', label: 'factory defaults, 60 Hz' },
            ...others.map((s) => ({ value: s.id, label: setWords(s) })),
            ...(sheet === null
              ? []
              : [
                  { value: 'plate', label: 'the motor nameplate' },
                  { value: 'sheet', label: 'the start-up sheet' },
                ]),
            ...(ended === undefined
              ? []
              : [{ value: 'three', label: `as found, planned, as left: “${ended.name}”` }]),
          ]}
        />
      </Box>
      {other === 'three' && ended !== undefined ? (
        <Three run={ended} sets={sets} drive={drive} />
      ) : wanted !== null ? (
        <AgainstWanted set={set} wanted={wanted} drive={drive} />
      ) : kept === undefined ? (
        <Differences a={set} b={factory} />
      ) : (
        <Against other={kept} unit={drive} set={set} />
      )}
    </>
  );
}
