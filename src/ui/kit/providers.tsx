'use client';
import { ChakraProvider } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { EmotionRegistry } from './emotion-registry';
import { Island } from './island';
import { system } from './theme';

export function Providers({ children }: { children: ReactNode }) {
  return (
    <EmotionRegistry>
      <ChakraProvider value={system}>
        <Island>{children}</Island>
      </ChakraProvider>
    </EmotionRegistry>
  );
}
