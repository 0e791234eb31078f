import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** The frame of what is asked before values go to a drive. */
export function BeforeWrite({ label, children }: { label: string; children: ReactNode }) {
  return (
    <Box
      as="section"
      aria-label={label}
      border="2px solid"
      borderColor="doubt"
      bg="paper"
      px="4"
      py="3"
      mb="4"
    >
      {children}
    </Box>
  );
}
