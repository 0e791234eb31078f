import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { changesBetween, isRecord, type Json, type TypeFiles } from '@/core/equipment/type-edit';
import type { TypeVersion } from '@/api/type-files';
import { call } from '../../api/call';
import { Secondary } from '../../kit/buttons';
import { DataTable } from '../../kit/data-table';
import { PlainTable } from '../../kit/plain-table';
import { Section } from '../../kit/section';
import { Cell, Text } from '../../kit/text';
import { dateTime } from '../../kit/time';

const shortly = (value: Json | undefined): string => {
  if (value === undefined) return '–';
  const text = typeof value === 'string' ? value : JSON.stringify(value);
  return text.length > 120 ? `${text.slice(0, 120)}…` : text;
};

/** The files of a version as an editor takes them. */
const filesOf = ({ type, control }: { type: unknown; control: unknown }): TypeFiles | null => {
  // What the server keeps came in as JSON.
  const [own, other] = [type, control] as [Json, Json];
  return isRecord(own) && (other === null || isRecord(other)) ? { type: own, control: other } : null;
};

/** Earlier versions: what differs from what is on the page, and going back to one. */
export function Versions({
  id,
  versions,
  now,
  restore,
}: {
  id: string;
  versions: readonly TypeVersion[];
  now: TypeFiles;
  restore: (files: TypeFiles) => void;
}) {
  const [compared, setCompared] = useState<{ version: number; files: TypeFiles } | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const compare = async (version: number) => {
    const answer = await call('GET /api/v1/catalogue/:id/versions/:version', {
      params: { id, version: String(version) },
    });
    const files = answer.ok ? filesOf(answer.value) : null;
    setTrouble(files === null ? 'This version could not be loaded: try again.' : null);
    setCompared(files === null ? null : { version, files });
  };
  const changes =
    compared === null
      ? []
      : [
          ...changesBetween(compared.files.type, now.type),
          ...changesBetween(compared.files.control ?? {}, now.control ?? {}),
        ];
  return (
    <Section title="Versions">
      <PlainTable heads={['Version', 'Note', 'By', 'When', '']}>
        {versions.map(({ version, note, by, at }) => (
          <tr key={version}>
            <Cell>{version}</Cell>
            <Cell>{note}</Cell>
            <Cell>{by}</Cell>
            <Cell>{dateTime(Date.parse(at))}</Cell>
            <Cell>
              <Secondary aria-label={`Compare version ${version}`} onClick={() => void compare(version)}>
                Compare
              </Secondary>
            </Cell>
          </tr>
        ))}
      </PlainTable>
      {trouble !== null && (
        <Text role="alert" color="failed">
          {trouble}
        </Text>
      )}
      {compared !== null && (
        <Box mt="3">
          <Text role="status" fontWeight="600" mb="1">
            {changes.length === 0
              ? `Nothing differs from version ${compared.version}.`
              : `${changes.length} ${changes.length === 1 ? 'place differs' : 'places differ'} from version ${compared.version}.`}
          </Text>
          {changes.length > 0 && (
            <>
              <DataTable
                rows={changes}
                keyOf={(c) => c.where}
                columns={[
                  { head: 'Where', names: true, by: (c) => c.where, cell: (c) => c.where },
                  { head: `Version ${compared.version}`, cell: (c) => shortly(c.before) },
                  { head: 'Now', cell: (c) => shortly(c.after) },
                ]}
              />
              <Secondary mt="2" onClick={() => restore(compared.files)}>
                Go back to version {compared.version}
              </Secondary>
            </>
          )}
        </Box>
      )}
    </Section>
  );
}
