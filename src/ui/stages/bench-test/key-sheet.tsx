'use client';
import { Box, Text } from '@chakra-ui/react';
import { Key } from '../../kit/buttons';
import { Dialog } from '../../kit/dialog';

const keys: [string, string][] = [
  ['0.451 Enter', 'keep the figure and move on; 451 mV, .451 and 0,451 are the same'],
  ['O', 'overload'],
  ['S', 'short: 0.000'],
  ['C', 'still climbing: the bank fills through the meter'],
  ['R', 'measure the last one again; both values are kept'],
  ['↑', 'back: correct a mistyped reading; the first stays in the log'],
  ['N', 'take the suggested probe'],
  ['space', 'meter by cable: yes, it is overload (a pedal sends the same)'],
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
