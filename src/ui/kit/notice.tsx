import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Heading, Text } from './text';

/** A sentence that matters, on white with a bar of its state. */
export function Notice({
  tone,
  headline,
  children,
}: {
  tone: 'sound' | 'doubt' | 'failed' | 'slate';
  headline: string;
  children?: ReactNode;
}) {
  return (
    <Box bg="paper" borderLeft="5px solid" borderColor={tone} px="3" py="2.5" mb="3.5">
      <Heading as="h3" fontFamily="heading" fontWeight="600" fontSize="1.2rem" lineHeight="1.2" mb="1">
        {headline}
      </Heading>
      <Text as="div" fontSize="0.92rem">
        {children}
      </Text>
    </Box>
  );
}
