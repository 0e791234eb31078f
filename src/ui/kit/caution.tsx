import { Box } from '@chakra-ui/react';
import { TriangleAlert } from 'lucide-react';
import type { ReactNode } from 'react';
import { useTerms } from './terms';
import { Text, Said } from './text';

/** DANGER will kill or injure, WARNING can, CAUTION damages; none where a step is only blocked. */
export type Signal = 'DANGER' | 'WARNING' | 'CAUTION';

/** One hazard, what it does and how it is avoided, before the step it belongs to and always in the same place: under the heading. */
export function Caution({
  title,
  children,
  grave = false,
  signal = grave ? 'DANGER' : 'WARNING',
}: {
  title: string;
  children: ReactNode;
  grave?: boolean;
  /** Null: no hazard, a step that is blocked. */
  signal?: Signal | null;
}) {
  const { say } = useTerms();
  return (
    <Box
      role="note"
      aria-label={say(signal === null ? title : `${signal}: ${title}`)}
      border="2px solid"
      borderColor={grave ? 'failed' : 'doubt'}
      bg={grave ? 'failedWash' : 'doubtWash'}
      px="3"
      py="2"
      mb="3"
      fontSize="0.94rem"
      display="grid"
      gridTemplateColumns="auto 1fr"
      columnGap="2.5"
    >
      <Box color={grave ? 'failed' : 'doubt'} pt="0.5">
        <TriangleAlert size={20} aria-hidden />
      </Box>
      <Box>
        {signal !== null && (
          <Text as="span" fontWeight="600" letterSpacing="0.04em" mr="1.5">
            {signal}
          </Text>
        )}
        <Text as="span" fontWeight="600">
          {title}{' '}
        </Text>
        <Said>{children}</Said>
      </Box>
    </Box>
  );
}
