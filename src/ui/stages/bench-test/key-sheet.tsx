'use client';
import { Box, Heading, Text } from '@chakra-ui/react';
import { useEffect, useRef } from 'react';
import { Key, Primary } from '../../kit/buttons';

const keys: [string, string][] = [
  ['0.451 Enter', 'keep the figure and move on; 451 mV, .451 and 0,451 are the same'],
  ['O', 'overload'],
  ['S', 'short: 0.000'],
  ['C', 'still climbing: the bank fills through the meter'],
  ['R', 'measure the last one again; both values are kept'],
  ['↑', 'back: put a slip of the finger right; the first stays in the log'],
  ['N', 'take the suggested probe'],
  ['space', 'meter by cable: yes, it is overload (a pedal sends the same)'],
  ['?', 'this sheet'],
];

/** The keys of the bench. */
export function KeySheet({ close }: { close: () => void }) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => dialog.current?.showModal(), []);
  return (
    <dialog
      ref={dialog}
      onClose={close}
      aria-label="Keys of the bench"
      style={{
        margin: 'auto',
        padding: 24,
        maxWidth: 560,
        background: 'var(--chakra-colors-card)',
        color: 'var(--chakra-colors-ink)',
        border: '2px solid var(--chakra-colors-ink)',
        borderRadius: 4,
      }}
    >
      <Heading as="h2" fontFamily="heading" fontSize="1.3rem" mb="3">
        Keys
      </Heading>
      <Box display="grid" gridTemplateColumns="auto 1fr" columnGap="4" rowGap="2" mb="4">
        {keys.map(([key, words]) => (
          <Box key={key} display="contents">
            <Box>
              <Key>{key}</Key>
            </Box>
            <Text>{words}</Text>
          </Box>
        ))}
      </Box>
      <Primary onClick={() => dialog.current?.close()}>Close</Primary>
    </dialog>
  );
}
