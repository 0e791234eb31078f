import { Box, Text } from '@chakra-ui/react';
import { TriangleAlert } from 'lucide-react';
import type { ReactNode } from 'react';

/** Danger, before the step it belongs to and always in the same place: under the heading. */
export function Caution({
  title,
  children,
  grave = false,
}: {
  title: string;
  children: ReactNode;
  grave?: boolean;
}) {
  return (
    <Box
      role="note"
      aria-label={`Caution: ${title}`}
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
        <Text as="span" fontWeight="600">
          {title}{' '}
        </Text>
        {children}
      </Box>
    </Box>
  );
}
