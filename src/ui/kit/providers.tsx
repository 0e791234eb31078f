'use client';
import { ChakraProvider } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { EmotionRegistry } from './emotion-registry';
import type { TermsProfile } from '@/core/terms';
import { Island } from './island';
import { TermsProvider } from './terms';
import { system } from './theme';

export function Providers({ terms, children }: { terms: TermsProfile; children: ReactNode }) {
  return (
    <EmotionRegistry>
      <ChakraProvider value={system}>
        <TermsProvider value={terms}>
          <Island>{children}</Island>
        </TermsProvider>
      </ChakraProvider>
    </EmotionRegistry>
  );
}
