import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { bitsFrom, bitsOfTerminals, wayRound, type WayRound } from '@/core/equipment/drive-words';
import { useDraftText } from '../../kit/draft-text';
import { Primary } from '../../kit/buttons';
import { FieldGrid } from '../../kit/section';
import { NumberField, Select } from '../../kit/field';
import { PlainTable } from '../../kit/plain-table';
import { Cell, Text } from '../../kit/text';

interface Terminal {
  id: string;
  mark: string;
}

const ways: readonly { way: WayRound; name: string }[] = [
  { way: 'left-first', name: 'first bit left' },
  { way: 'right-first', name: 'first bit right' },
];

/**
 * The row of bits of an input monitor, over the terminals both ways round. Makes differ in it: one input that is
 * turned and read again tells which way it is.
 */
export function BitsForm({
  terminals,
  keep,
}: {
  terminals: readonly Terminal[];
  keep: (inputs: Record<string, boolean>) => void;
}) {
  const [first, setFirst] = useDraftText('bits of the display');
  const [second, setSecond] = useDraftText('bits of the display, after');
  const [turned, setTurned] = useState('');
  const before = bitsFrom(first);
  const after = bitsFrom(second);
  const index = terminals.findIndex((t) => t.id === turned);
  const way =
    before === null || after === null || index < 0 ? null : wayRound(before, after, index, terminals.length);
  const newest = after ?? before;
  const error = (text: string, bits: boolean[] | null) =>
    text !== '' && bits === null ? 'Zeros and ones, as the display shows them.' : undefined;
  return (
    <Box as="section" aria-label="Row of bits" mb="5">
      <FieldGrid>
        <NumberField
          label="Bits of the input monitor"
          hint="As displayed, e.g. 001000"
          text={first}
          error={error(first, before)}
          set={setFirst}
        />
      </FieldGrid>
      {before !== null && newest !== null && (
        <>
          <PlainTable heads={['Bit order', ...terminals.map((t) => t.mark)]}>
            {ways
              .filter((w) => way === null || w.way === way)
              .map((w) => (
                <tr key={w.way}>
                  <Cell>{w.name}</Cell>
                  {bitsOfTerminals(newest, terminals.length, w.way).map((on, i) => (
                    <Cell key={terminals[i]?.id}>
                      <Text as="span" fontFamily="mono" fontSize="1.3rem">
                        {on ? 1 : 0}
                      </Text>
                    </Cell>
                  ))}
                </tr>
              ))}
          </PlainTable>
          <Text mt="2" mb="2">
            Which bit order? Switch one input that moves nothing, with the run input off and people clear, and
            read again.
          </Text>
          <FieldGrid>
            <Select
              label="Switched input"
              value={turned}
              onChange={setTurned}
              options={[
                { value: '', label: 'which input?' },
                ...terminals.map((t) => ({ value: t.id, label: t.mark })),
              ]}
            />
            <NumberField
              label="Bits after switching"
              text={second}
              error={
                error(second, after) ??
                (after !== null && index >= 0 && way === null
                  ? 'The change does not fit one input: switch that input again and read both rows again.'
                  : undefined)
              }
              set={setSecond}
            />
          </FieldGrid>
          {way !== null && (
            <Primary
              onClick={() => {
                const bits = bitsOfTerminals(newest, terminals.length, way);
                keep(Object.fromEntries(terminals.map((t, i) => [t.id, bits[i] ?? false])));
                setFirst('');
                setSecond('');
                setTurned('');
              }}
            >
              Save these bits, {ways.find((w) => w.way === way)?.name}
            </Primary>
          )}
        </>
      )}
    </Box>
  );
}
