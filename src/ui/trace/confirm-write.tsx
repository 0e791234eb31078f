import { Box, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { mayMove } from '@/core/trials';
import { Primary, Secondary } from '../kit/buttons';
import { Caution } from '../kit/caution';
import { Tick } from '../kit/tick';
import { shownAs } from './shown-as';
import type { WriteWish } from './use-write';

/** What will be written, what may move, and the two things that must be so before it. */
export function ConfirmWrite({
  wish,
  writing,
  go,
  cancel,
}: {
  wish: WriteWish;
  writing: boolean;
  go: () => void;
  cancel: () => void;
}) {
  const [open, setOpen] = useState(false);
  const [clear, setClear] = useState(false);
  const { parameter, from, to, reason } = wish;
  return (
    <Box
      as="section"
      aria-label="Write to the drive"
      border="2px solid"
      borderColor="doubt"
      bg="paper"
      px="4"
      py="3"
      mb="4"
    >
      <Caution title="It may move.">{mayMove(parameter)}</Caution>
      <Text fontFamily="heading" fontWeight="600" fontSize="1.2rem">
        {parameter.number} {parameter.name}
      </Text>
      <Text fontFamily="mono" fontSize="1.6rem" lineHeight="1.3" overflowWrap="anywhere">
        {shownAs(parameter, from)} → {shownAs(parameter, to)}
      </Text>
      <Text color="soft">{reason}</Text>
      <Box mt="2">
        <Tick label="The run input is open, and nothing else gives run" checked={open} onChange={setOpen} />
        <Tick label="People are clear of the machine and know of it" checked={clear} onChange={setClear} />
      </Box>
      <Box display="flex" gap="2" flexWrap="wrap" mt="3">
        <Primary disabled={!open || !clear || writing} onClick={go}>
          {writing ? 'Writing…' : 'Write and read back'}
        </Primary>
        <Secondary onClick={cancel} disabled={writing}>
          Leave it
        </Secondary>
      </Box>
    </Box>
  );
}
