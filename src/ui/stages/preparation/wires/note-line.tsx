import { Box } from '@chakra-ui/react';
import type { MapNote } from '@/core/replacement/wires';
import type { JobStore } from '../../../job-store/use-job';
import { Secondary } from '../../../kit/buttons';
import { StateMark } from '../../../kit/state-mark';
import { Said } from '../../../kit/text';

/** Something about the whole map; where a jumper stood is answered in place. */
export function NoteLine({ note, store }: { note: MapNote; store: JobStore }) {
  const input = note.id === 'selector:AI1' ? 'AI1' : note.id === 'selector:AI2' ? 'AI2' : null;
  return (
    <Box as="li" py="1" display="flex" gap="2" alignItems="baseline" flexWrap="wrap">
      <StateMark
        mark={note.stood === undefined ? 'doubt' : 'sound'}
        label={note.stood === undefined ? 'to know' : `position ${note.stood}`}
      />
      <Box as="span" flex="1" minW="220px">
        <Said>{note.text}</Said>
      </Box>
      {input !== null &&
        (['V', 'mA'] as const).map((position) => (
          <Secondary
            key={position}
            aria-label={`${input} was set to ${position}`}
            aria-pressed={note.stood === position}
            disabled={note.stood === position}
            onClick={() => store.record('swap.selector', { input, position })}
          >
            at {position}
          </Secondary>
        ))}
    </Box>
  );
}
