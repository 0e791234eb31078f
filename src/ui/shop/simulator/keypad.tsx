import { Box } from '@chakra-ui/react';
import { useRef, useState } from 'react';
import { pressesFrom, type Press } from '@/core/parameter-sets/keypad';
import { Secondary } from '../../kit/buttons';
import { LongField } from '../../kit/field';
import { Tick } from '../../kit/tick';
import type { RigState } from '@/api/rig-state';
import { Text } from '../../kit/text';

/** A key is held when it stays down for this long, ms. */
const held_ms = 450;

/** The keypad of the simulated drive: its display, its keys, and a list of keys pressed one after the other. */
export function Keypad({
  keypad,
  press,
}: {
  keypad: NonNullable<RigState['keypad']>;
  press: (keys: readonly Press[]) => void;
}) {
  const [hold, setHold] = useState(false);
  const [list, setList] = useState('');
  const [wrong, setWrong] = useState(false);
  const down = useRef<number | null>(null);
  const release = (cap: string, at: number) => {
    const lasted = down.current === null ? 0 : at - down.current;
    down.current = null;
    const held = hold || lasted > held_ms;
    press([
      held ? { cap, held, ticks: Math.max(1, Math.round((hold ? 1000 : lasted) / 100)) } : { cap, held },
    ]);
  };
  return (
    <Box maxW="420px">
      <Box bg="ink" color="card" borderRadius="4px" px="4" py="3" mb="3" aria-label="Display" role="status">
        <Text fontFamily="mono" fontSize="1.7rem" lineHeight="1.3" minH="1.3em" overflowWrap="anywhere">
          {keypad.shows}
        </Text>
        <Text fontSize="0.85rem" minH="1.3em">
          {keypad.cursor === null
            ? ''
            : keypad.cursor === 0
              ? 'editing, cursor at the last digit'
              : `editing, cursor ${keypad.cursor} from the last digit`}
        </Text>
      </Box>
      {keypad.caps.map((row, i) => (
        <Box key={i} display="flex" gap="2" mb="2">
          {row.map((cap) => (
            <Secondary
              key={cap}
              flex="1"
              minH="56px"
              borderBottomWidth="4px"
              borderColor="ink"
              fontFamily="heading"
              fontWeight="600"
              fontSize="1.1rem"
              onPointerDown={(e) => (down.current = e.timeStamp)}
              onClick={(e) => release(cap, e.timeStamp)}
            >
              {cap}
            </Secondary>
          ))}
        </Box>
      ))}
      <Tick label="Hold the next key for a second" checked={hold} onChange={setHold} />
      <LongField
        label="Key sequence"
        hint="In order, e.g. Menu ×2, Enter, hold Up 1.2 s"
        rows={3}
        value={list}
        onChange={(e) => {
          setWrong(false);
          setList(e.target.value);
        }}
      />
      {wrong && (
        <Text role="alert" color="failed">
          This is not a valid key sequence. Enter key names and counts, separated by commas.
        </Text>
      )}
      <Secondary
        mt="2"
        disabled={list.trim() === ''}
        onClick={() => {
          const keys = pressesFrom(list);
          if (keys === null) return setWrong(true);
          press(keys);
        }}
      >
        Press all
      </Secondary>
    </Box>
  );
}
