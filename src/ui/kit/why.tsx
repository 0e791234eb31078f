import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Text, Said } from './text';

/** The reason behind an advice or a figure, one tap away. */
export function Disclosure({ children, label = 'why?' }: { children: ReactNode; label?: string }) {
  return (
    <Box
      as="details"
      css={{
        '& > summary': {
          cursor: 'pointer',
          listStyle: 'none',
          textDecoration: 'underline',
          display: 'inline-block',
          minHeight: '28px',
          paddingBlock: '4px',
        },
        '& > summary::-webkit-details-marker': { display: 'none' },
      }}
    >
      <summary>
        <Said>{label}</Said>
      </summary>
      <Text as="div" pt="1" fontSize="0.9rem" color="ink">
        {children}
      </Text>
    </Box>
  );
}
