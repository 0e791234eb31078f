'use client';
import { Box, Text } from '@chakra-ui/react';
import { Key } from '../../kit/buttons';
import { Dialog } from '../../kit/dialog';

const keys: [string, string][] = [
  ['0.451 Enter', 'save the reading and go on; 451 mV, .451 and 0,451 are the same'],
  ['O', 'OL'],
  ['S', 'short: 0.000'],
  ['C', 'still climbing: the meter charges the capacitor bank'],
  ['R', 'measure the last one again; both values are saved'],
  ['↑', 'back: correct a mistyped reading; the first stays in the log'],
  ['N', 'go to the suggested test'],
  ['space', 'meter by cable: confirm OL (a pedal sends the same)'],
  ['?', 'this sheet'],
];

/** The keys of the bench. */
export const KeySheet = ({ close }: { close: () => void }) => (
  <Dialog name="Keys of the bench" title="Keys" close={close}>
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
  </Dialog>
);
