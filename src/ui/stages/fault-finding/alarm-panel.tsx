import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { Control } from '@/core/equipment/catalogue';
import type { Live, Rating, Values } from '@/core/equipment/drive-words';
import { isReleased, type Person, type StageId } from '@/core/logbook';
import type { Limits } from '@/core/bench/make-safe';
import { driveSays, familyWords, isDeadly, type TraceTable } from '@/core/fault-finding/tracing';
import type { JobStore } from '../../job-store/use-job';
import { Select } from '../../kit/field';
import { Clearing, FaultHistory } from './clearing';
import { Tracer } from './tracer';
import { Item, Text } from '../../kit/text';

type Alarm = Control['alarms'][number];

/** From what it shows or does to its cause; what the drive wrote down; how the alarm is put back. */
export function AlarmPanel({
  store,
  person,
  limits,
  control,
  rating,
  tables,
  alarm,
  values,
  live,
  goTo,
}: {
  store: JobStore;
  person: Person;
  limits: Limits;
  /** Null: the drive is of no type of the catalogue, and answers nothing itself. */
  control: Control | null;
  rating: Rating | null;
  tables: readonly TraceTable[];
  /** The one to trace: active, or the first of the newest event. */
  alarm: Alarm | undefined;
  values: Values;
  live: Live;
  goTo: (stage: StageId) => void;
}) {
  const [picked, setPicked] = useState<string | null>(null);
  const { seen, asFound, traced } = store.state;
  // Without a fault on the display, what was traced last goes on.
  const last = traced[traced.length - 1]?.payload.family;
  const family = picked ?? alarm?.family ?? last ?? null;
  const table = tables.find((t) => t.family === family);
  const captured = (seen !== null && seen.readAt !== null) || (asFound !== null && 'captured' in asFound);
  return (
    <>
      <Box maxW="420px" mb="4">
        <Select
          label="What the drive shows or does"
          value={family ?? ''}
          onChange={(v) => setPicked(v === '' ? null : v)}
          options={[
            { value: '', label: 'choose' },
            ...tables.map((t) => ({ value: t.family, label: familyWords[t.family] })),
          ]}
        />
      </Box>
      {table !== undefined && (
        <Tracer
          key={table.family}
          store={store}
          person={person}
          limits={limits}
          table={table}
          shown={alarm?.family ?? null}
          goTo={goTo}
          said={
            control === null || rating === null ? [] : driveSays(table, { control, ...rating, values, live })
          }
          alarm={
            picked === null && alarm !== undefined
              ? `${alarm.code}, ${alarm.name}`
              : familyWords[table.family]
          }
        />
      )}
      {alarm !== undefined && table === undefined && (
        <Box as="section" aria-label="First checks" mb="4">
          <Text fontFamily="heading" fontWeight="600" fontSize="1.1rem">
            First checks for {alarm.code}
          </Text>
          <Box as="ol" pl="5" listStyleType="decimal">
            {alarm.firstChecks.map((c) => (
              <Item key={c}>{c}</Item>
            ))}
          </Box>
        </Box>
      )}
      {control !== null && <FaultHistory control={control} history={seen?.history ?? []} />}
      {alarm !== undefined && live.alarm === alarm.code && (
        <Clearing
          alarm={alarm}
          captured={captured}
          // The fault’s own family decides, whatever list is open.
          deadNeeded={isDeadly(alarm.family) && !isReleased(store.state)}
          goToAsFound={() => goTo('as-found')}
        />
      )}
    </>
  );
}
