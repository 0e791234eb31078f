import { shownAs } from '@/core/equipment/drive-words';
import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { mayMove } from '@/core/fault-finding/trials';
import { BeforeWrite } from './before-write';
import { Primary, Secondary } from '../kit/buttons';
import { Caution } from '../kit/caution';
import { Tick } from '../kit/tick';
import type { WriteWish } from './use-write';
import { Text } from '../kit/text';

/** What will be written, one after the other, what may move, and the two things that must be so before it. */
export function ConfirmWrite({
  wishes,
  writing,
  go,
  cancel,
}: {
  wishes: readonly WriteWish[];
  writing: boolean;
  go: () => void;
  cancel: () => void;
}) {
  const [open, setOpen] = useState(false);
  const [clear, setClear] = useState(false);
  const warnings = [...new Set(wishes.map((w) => mayMove(w.parameter)))];
  return (
    <BeforeWrite label="Write to the drive">
      <Caution title="The machine may move.">{warnings.join(' ')}</Caution>
      {wishes.map(({ parameter, from, to, reason }) => (
        <Box key={parameter.number} mb="2">
          <Text fontFamily="heading" fontWeight="600" fontSize="1.2rem">
            {parameter.number} {parameter.name}
          </Text>
          <Text
            fontFamily="mono"
            fontSize={wishes.length > 1 ? '1.1rem' : '1.6rem'}
            lineHeight="1.3"
            overflowWrap="anywhere"
          >
            {shownAs(parameter, from)} → {shownAs(parameter, to)}
          </Text>
          <Text color="soft">{reason}</Text>
        </Box>
      ))}
      <Box mt="2">
        <Tick label="Run input open, and no other run command active" checked={open} onChange={setOpen} />
        <Tick label="People are clear of the machine and informed" checked={clear} onChange={setClear} />
      </Box>
      <Box display="flex" gap="2" flexWrap="wrap" mt="3">
        <Primary
          disabled={writing}
          waitsFor={open && clear ? null : 'Confirm both lines first.'}
          onClick={go}
        >
          {writing ? 'Writing…' : 'Write and read back'}
        </Primary>
        <Secondary onClick={cancel} disabled={writing}>
          Cancel
        </Secondary>
      </Box>
    </BeforeWrite>
  );
}
