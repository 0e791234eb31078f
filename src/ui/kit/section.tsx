import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Heading, Text } from './text';

/** The head of a work face: what to do now, in one line. */
export function StageHead({ title, children }: { title: string; children?: ReactNode }) {
  return (
    <Box mb="3">
      <Heading as="h1" fontFamily="heading" fontWeight="600" fontSize="1.56rem" lineHeight="1.1" mb="0.5">
        {title}
      </Heading>
      {children !== undefined && (
        <Text as="div" color="soft">
          {children}
        </Text>
      )}
    </Box>
  );
}

/** Fields side by side where there is room. */
export function FieldGrid({ children, min = '190px' }: { children: ReactNode; min?: string }) {
  return (
    <Box
      display="grid"
      gridTemplateColumns={`repeat(auto-fill, minmax(min(100%, ${min}), 1fr))`}
      gap="4"
      alignItems="start"
      mb="4"
    >
      {children}
    </Box>
  );
}

export function Section({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box as="section" mb="6">
      <Heading as="h2" fontFamily="heading" fontWeight="600" fontSize="1.15rem" mb="2">
        {title}
      </Heading>
      {children}
    </Box>
  );
}
