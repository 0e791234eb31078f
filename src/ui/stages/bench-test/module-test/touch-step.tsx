import { Box } from '@chakra-ui/react';
import { useEffect, useRef, type KeyboardEvent } from 'react';
import type { Connection, ModuleDevice, LampTouch } from '@/core/bench/module-test';
import { KeyButton } from '../../../kit/buttons';
import { ConnectionPicture } from './connection';
import { Heading, Text } from '../../../kit/text';

interface Outcome {
  key: string;
  words: string;
  lamp: LampTouch['lamp'];
  holds: boolean;
}

const outcomes: Readonly<Record<LampTouch['gate'], readonly Outcome[]>> = {
  plus: [
    { key: '1', words: 'lights, and stays lit', lamp: 'on', holds: true },
    { key: '2', words: 'lights, then fades', lamp: 'on', holds: false },
    { key: '3', words: 'dim', lamp: 'dim', holds: true },
    { key: '4', words: 'stays dark', lamp: 'off', holds: true },
  ],
  minus: [
    { key: '1', words: 'goes out, and stays out', lamp: 'off', holds: true },
    { key: '2', words: 'goes out, then comes back', lamp: 'off', holds: false },
    { key: '3', words: 'dim', lamp: 'dim', holds: true },
    { key: '4', words: 'stays lit', lamp: 'on', holds: true },
  ],
};

/** One touch of one gate: how it is connected, what to do, and what the lamp did. */
export function TouchStep({
  device,
  connection,
  first: gate,
  keep,
}: {
  device: ModuleDevice | null;
  connection: Connection | null;
  first: LampTouch['gate'];
  keep: (touch: Omit<LampTouch, 'device'>) => void;
}) {
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => box.current?.focus({ preventScroll: true }), []);
  if (device === null || connection === null) return null;
  const onKey = (e: KeyboardEvent) => {
    const outcome = outcomes[gate].find((o) => o.key === e.key);
    if (outcome !== undefined && e.target === box.current)
      keep({ gate, lamp: outcome.lamp, holds: outcome.holds });
  };
  return (
    <Box
      ref={box}
      tabIndex={-1}
      onKeyDown={onKey}
      outline="none"
      role="group"
      aria-label={`Touch ${device.gate} with ${gate}`}
    >
      <Heading as="h2" fontFamily="heading" fontWeight="600" fontSize="1.3rem">
        {device.name}: touch {connection.gate} with {gate}
      </Heading>
      <Text mb="2">
        <b>{connection.toMinus}</b> to battery minus, <b>{connection.throughLamp}</b> through the lamp to
        plus.
        {connection.bridged.length > 0 && ' Every other gate bridged to its own emitter.'} Finger on the{' '}
        <b>{gate}</b> terminal first, then on <b>{connection.gate}</b>; then let go and watch for three
        seconds.
      </Text>
      <ConnectionPicture connection={connection} gate={gate} />
      <Box display="flex" gap="1.5" flexWrap="wrap" mt="2">
        {outcomes[gate].map((o) => (
          <KeyButton key={o.key} keyName={o.key} onClick={() => keep({ gate, lamp: o.lamp, holds: o.holds })}>
            {o.words}
          </KeyButton>
        ))}
      </Box>
    </Box>
  );
}
