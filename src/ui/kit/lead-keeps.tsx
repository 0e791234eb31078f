import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Primary } from './buttons';
import { KeptNote } from './kept-note';
import { Text } from './text';

/** The foot of what the shop lead edits: the one button, what went wrong, what was kept. */
export function LeadKeeps({
  lead,
  label,
  others,
  save,
  trouble,
  kept,
  children,
}: {
  lead: boolean;
  label: string;
  /** What all others read instead of the button. */
  others: string;
  save: () => void;
  trouble: string | null;
  kept: string | null;
  /** More buttons beside it. */
  children?: ReactNode;
}) {
  return (
    <>
      {trouble !== null && (
        <Text role="alert" color="failed" mb="2">
          {trouble}
        </Text>
      )}
      {lead ? (
        <Box display="flex" gap="3" flexWrap="wrap" mt="2">
          <Primary onClick={save}>{label}</Primary>
          {children}
        </Box>
      ) : (
        <Text>{others}</Text>
      )}
      <KeptNote text={kept} />
    </>
  );
}
