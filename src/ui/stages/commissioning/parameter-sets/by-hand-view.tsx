import { Box } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import type { Control } from '@/core/equipment/catalogue';
import { parameterAt, shownAs } from '@/core/equipment/drive-words';
import type { DriveWrite, JobState } from '@/core/logbook';
import { findEntries } from '@/core/parameter-sets/parameters';
import { ManualLink } from '../../../kit/manual-link';
import { ActRow } from '../../../kit/act-row';
import { Secondary } from '../../../kit/buttons';
import { Section } from '../../../kit/section';
import { TextField } from '../../../kit/field';
import { DataTable } from '../../../kit/data-table';
import { dateTime } from '../../../kit/time';
import type { WriteWish } from '../../../drive-link/use-write';
import { Text } from '../../../kit/text';

/** Values somebody wrote that are still in the drive as they were written, the newest first. */
const standingWrites = ({ registers, seen }: JobState): DriveWrite[] =>
  registers.writes
    .filter(
      (w, i, all) => !all.slice(i + 1).some((later) => later.number === w.number && later.outcome === 'done'),
    )
    .filter((w) => w.outcome === 'done' && w.found !== null && w.found !== w.from)
    .filter((w) => seen?.values[w.number] === w.found)
    .reverse();

/** Find an entry by what it does or by a number that is remembered, and put wrong writes back. */
export function ByHandView({
  control,
  state,
  ask,
}: {
  control: Control;
  state: JobState;
  /** Null: no drive answers. */
  ask: ((wishes: readonly WriteWish[]) => void) | null;
}) {
  const [text, setText] = useState('');
  const found = useMemo(() => findEntries(control, text), [control, text]);
  const undo = standingWrites(state);
  const values = state.seen?.values ?? {};
  return (
    <>
      <Box maxW="520px" mb="2">
        <TextField
          label="Function, or parameter number"
          hint="Reverse, ramp, 45, top speed"
          text={text}
          maxLength={60}
          set={setText}
        />
      </Box>
      <Text role="status" mb="2">
        {text.trim() === ''
          ? ''
          : found.length === 0
            ? 'No match. Try describing the effect on the machine.'
            : `${found.length} found.`}
      </Text>
      {found.length > 0 && (
        <DataTable
          rows={found}
          keyOf={({ parameter }) => parameter.number}
          columns={[
            {
              head: 'Parameter',
              names: true,
              by: ({ parameter: p }) => p.number,
              cell: ({ parameter: p }) => (
                <>
                  <b>{p.number}</b> {p.name}
                  <ManualLink control={control} of={p} name={p.number} />
                </>
              ),
            },
            {
              head: 'What it is',
              cell: ({ parameter: p, concept }) =>
                [
                  concept ?? '—',
                  ...(p.lock > 0 ? ['access code needed'] : []),
                  ...(p.stop ? ['only when stopped'] : []),
                  ...(p.readOnly ? ['read only'] : []),
                ].join(', '),
            },
            {
              head: 'In the drive',
              cell: ({ parameter: p }) => {
                const value = values[p.number];
                return value === undefined ? 'not read' : shownAs(p, value);
              },
            },
            { head: 'Found by', by: ({ because }) => because, cell: ({ because }) => because },
          ]}
        />
      )}
      <Box mt="5">
        <Section title="Written by hand in this job">
          {undo.length === 0 && <Text>No changes to undo.</Text>}
          <Box as="ul" listStyleType="none">
            {undo.map((w) => {
              const parameter = parameterAt(control, w.number);
              return (
                <ActRow key={w.id}>
                  <Text flex="1 1 260px">
                    <b>{w.number}</b> {w.name}: {w.shownFrom} → {w.shownTo},{' '}
                    <Text as="span" color="soft">
                      {dateTime(w.askedAt)}, {w.by.name}, {w.reason}
                    </Text>
                  </Text>
                  {ask !== null && parameter !== undefined && w.found !== null && (
                    <Secondary
                      onClick={() =>
                        ask([
                          {
                            parameter,
                            from: w.found ?? w.to,
                            to: w.from,
                            reason: 'wrong change undone',
                            trial: false,
                          },
                        ])
                      }
                    >
                      Restore {w.number} to {w.shownFrom}
                    </Secondary>
                  )}
                </ActRow>
              );
            })}
          </Box>
        </Section>
      </Box>
    </>
  );
}
