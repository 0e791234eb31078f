import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { ApiProblem } from '@/api/contract';
import { Primary } from '../../kit/buttons';
import { TextField } from '../../kit/field';
import { FieldGrid, Section } from '../../kit/section';
import { Item, Text } from '../../kit/text';
import type { Outcome } from './use-type-edit';

/** So many errors are listed: the others show when these are put right. */
const mostListed = 20;

/** Saving as a version, with a note; what is wrong is listed with its place. */
export function SavePart({
  lead,
  outcome,
  problems,
  save,
}: {
  lead: boolean;
  outcome: Outcome | null;
  problems: readonly ApiProblem[];
  /** True where it was saved. */
  save: (note: string) => Promise<boolean>;
}) {
  const [note, setNote] = useState('');
  const isBad = outcome?.state === 'wrong' || outcome?.state === 'trouble';
  return (
    <Section title="Save">
      <FieldGrid min="320px">
        <TextField
          label="Note for this version"
          hint="What changed, or for which firmware it is"
          text={note}
          set={setNote}
          maxLength={200}
        />
      </FieldGrid>
      <Primary
        waitsFor={lead ? null : 'Only the shop lead saves types; hand yours on as one file.'}
        disabled={outcome?.state === 'busy'}
        onClick={() => void save(note).then((saved) => saved && setNote(''))}
      >
        Save this type
      </Primary>
      {outcome !== null && (
        <Text role={isBad ? 'alert' : 'status'} color={isBad ? 'failed' : 'ink'} mt="2">
          {outcome.said}
        </Text>
      )}
      {problems.length > 0 && (
        <Box as="ul" pl="5" aria-label="To correct">
          {problems.slice(0, mostListed).map((p) => (
            <Item key={`${p.file} ${p.path} ${p.allowed}`}>
              {p.file}, {p.path}: {p.allowed}
            </Item>
          ))}
        </Box>
      )}
    </Section>
  );
}
