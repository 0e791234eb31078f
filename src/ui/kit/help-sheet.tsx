'use client';
import { Box } from '@chakra-ui/react';
import { Key } from './buttons';
import { Dialog } from './dialog';
import { helpOf } from './help-pages';
import { Item, Text } from './text';

/** What one does on the page of an address, and with which keys. */
export function HelpSheet({ path, close }: { path: string; close: () => void }) {
  const { title, things, keys = [] } = helpOf(path);
  return (
    <Dialog name="Help" title={title} close={close}>
      <Box as="ol" pl="5" listStyleType="decimal" mb="4">
        {things.map((thing) => (
          <Item key={thing}>{thing}</Item>
        ))}
      </Box>
      <Box display="grid" gridTemplateColumns="auto 1fr" columnGap="4" rowGap="2" mb="4">
        {[...keys, ['?', 'this help'] as const].map(([key, does]) => (
          <Box key={key} display="contents">
            <Box>
              <Key>{key}</Key>
            </Box>
            <Text>{does}</Text>
          </Box>
        ))}
      </Box>
    </Dialog>
  );
}
