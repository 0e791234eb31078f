'use client';
import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { Person } from '@/core/logbook';
import { familyWords, tablesWith, usualTables, type TraceTable } from '@/core/fault-finding/tracing';
import { Broken } from '../../kit/broken';
import { CardPage } from '../../kit/card-page';
import { Secondary } from '../../kit/buttons';
import { FieldGrid } from '../../kit/section';
import { Select, TextField } from '../../kit/field';
import { LeadKeeps } from '../../kit/lead-keeps';
import { Causes } from './causes';
import { Checks } from './checks';
import { changeAt, withCause, withCheck, withoutCause } from './edit';
import { call } from '../../api/call';
import { Text } from '../../kit/text';

/** "1.causes.4.name" as a person counts: "causes 5, name"; the table is the one that is open, or was. */
const placeWords = (path: string): string =>
  path
    .split('.')
    .slice(1)
    .map((part) => (/^\d+$/.test(part) ? String(Number(part) + 1) : part))
    .join(' ');

/** What the tracer knows of each family, as this shop has seen it. */
export function TraceTablesPage({
  own,
  broken,
  seen,
  people,
  person,
}: {
  own: readonly TraceTable[];
  /** Tables of the shop's own that cannot be read, and why; the usual ones stand in for them. */
  broken: readonly string[];
  /** The version that the page shows. */
  seen: string;
  people: readonly Person[];
  person: Person;
}) {
  const [tables, setTables] = useState(() => tablesWith(own));
  const [family, setFamily] = useState(tables[0]?.family);
  const [version, setVersion] = useState(seen);
  const [kept, setKept] = useState<string | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const lead = person.role === 'lead';
  const table = tables.find((t) => t.family === family);
  const usual = usualTables.find((t) => t.family === family);
  const put = (next: TraceTable) => setTables(tables.map((t) => (t.family === next.family ? next : t)));
  const save = async () => {
    setKept(null);
    const answer = await call('PUT /api/v1/trace-tables', {
      query: { seen: version },
      body: tables.filter((t) => !usualTables.includes(t)),
    });
    if (answer.ok) {
      setTrouble(null);
      setVersion(answer.value.version);
      return setKept('Tables saved. Fault finding uses them from now on.');
    }
    const [first] = answer.problems;
    setTrouble(
      first !== undefined
        ? `Not saved: ${placeWords(first.path)}: ${first.allowed}.`
        : answer.status === 0
          ? 'Not saved: server not reachable. What you typed stays here; try again.'
          : `Not saved: ${answer.error}`,
    );
  };
  return (
    <CardPage
      title="Trace tables"
      about="Causes of each fault, how often they occur, and what each check shows. They decide which check comes next."
      people={people}
      person={person}
      maxW="1100px"
    >
      <Broken what="table" items={broken} />
      <FieldGrid min="260px">
        <Select
          label="Fault or symptom"
          value={family ?? ''}
          onChange={(v) => setFamily(tables.find((t) => t.family === v)?.family)}
          options={tables.map((t) => ({ value: t.family, label: familyWords[t.family] }))}
        />
        {table !== undefined && (
          <TextField
            label="Source"
            text={table.provenance}
            disabled={!lead}
            set={(text) => put({ ...table, provenance: text })}
          />
        )}
      </FieldGrid>
      {table !== undefined && (
        <Box key={table === usual ? `${table.family} usual` : table.family}>
          {table.deadFirst && (
            <Text fontWeight="500" mb="3">
              No power and no second reset before dead measurements: this cannot be changed.
            </Text>
          )}
          <Causes
            causes={table.causes}
            disabled={!lead}
            change={(c) => put({ ...table, causes: changeAt(table.causes, c) })}
            add={() => put(withCause(table))}
            remove={(id) => put(withoutCause(table, id))}
          />
          <Checks
            checks={table.checks}
            causes={table.causes}
            disabled={!lead}
            change={(k) => put({ ...table, checks: changeAt(table.checks, k) })}
            add={() => put(withCheck(table))}
            remove={(id) => put({ ...table, checks: table.checks.filter((k) => k.id !== id) })}
          />
        </Box>
      )}
      <LeadKeeps
        lead={lead}
        label="Save tables"
        others="Only the shop lead can change these tables."
        save={() => void save()}
        trouble={trouble}
        kept={kept}
      >
        {table !== undefined && usual !== undefined && table !== usual && (
          <Secondary onClick={() => put(usual)}>Restore the default table</Secondary>
        )}
      </LeadKeeps>
    </CardPage>
  );
}
