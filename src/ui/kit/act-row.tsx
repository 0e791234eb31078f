import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** A line of a list with something to do at its end; on a narrow screen below it. */
export function ActRow({ children }: { children: ReactNode }) {
  return (
    <Box
      as="li"
      display="flex"
      flexWrap="wrap"
      gap="3"
      alignItems="center"
      borderBottom="1px solid"
      borderColor="line"
      py="2"
    >
      {children}
    </Box>
  );
}
