'use client';
import { ChakraProvider } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { EmotionRegistry } from './emotion-registry';
import { system } from './theme';

export function Providers({ children }: { children: ReactNode }) {
  return (
    <EmotionRegistry>
      <ChakraProvider value={system}>{children}</ChakraProvider>
    </EmotionRegistry>
  );
}
