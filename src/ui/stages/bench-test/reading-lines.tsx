import { Box } from '@chakra-ui/react';
import type { Given, ReadingLine } from '@/core/bench/readings-file';
import { Secondary } from '../../kit/buttons';
import { PlainTable } from '../../kit/plain-table';
import { StateMark, type Mark } from '../../kit/state-mark';
import { shownValue } from './readings-table';
import { Cell, Text } from '../../kit/text';

const same = (a: Given, b: Given | undefined): boolean => a.value === b?.value;

function stateOf(line: ReadingLine, answered: boolean): { mark: Mark | null; words: string } {
  switch (line.kind) {
    case 'reading':
      return { mark: null, words: 'to be saved' };
    case 'known':
      return { mark: null, words: 'saved already' };
    case 'question':
      return answered ? { mark: null, words: 'to be saved' } : { mark: 'doubt', words: line.why };
    case 'unreadable':
      return { mark: 'failed', words: line.why };
  }
}

/** What each line of a text was understood as, and what must be asked. */
export function ReadingLines({
  lines,
  answers,
  answer,
}: {
  lines: readonly ReadingLine[];
  answers: Readonly<Record<number, Given>>;
  answer: (index: number, reading: Given) => void;
}) {
  return (
    <PlainTable heads={['line', 'red to black', 'V', 'state']}>
      {lines.map((line, i) => {
        const answered = answers[i];
        const reading =
          line.kind === 'question' ? answered : line.kind === 'unreadable' ? undefined : line.reading;
        const { mark, words } = stateOf(line, answered !== undefined);
        return (
          <tr key={`${line.line} ${i}`}>
            <Text as="td" fontFamily="mono" color="soft">
              {line.line}
            </Text>
            {reading === undefined ? (
              <Text asChild fontFamily="mono" css={{ overflowWrap: 'anywhere' }}>
                <Cell colSpan={2}>{line.given.slice(0, 60)}</Cell>
              </Text>
            ) : (
              <>
                <Text as="td" fontFamily="mono" whiteSpace="nowrap">
                  {reading.red} to {reading.black}
                </Text>
                <Text as="td" fontFamily="mono">
                  {shownValue(reading.value)}
                </Text>
              </>
            )}
            <Cell>
              {mark !== null && <StateMark mark={mark} label={null} />} {words}
              {line.kind === 'question' && (
                <Box display="flex" gap="2" flexWrap="wrap" mt="1">
                  {line.choices.map((c) => (
                    <Secondary
                      key={c.words}
                      minH="44px"
                      aria-pressed={same(c.reading, answered)}
                      onClick={() => answer(i, c.reading)}
                    >
                      {c.words}
                    </Secondary>
                  ))}
                </Box>
              )}
            </Cell>
          </tr>
        );
      })}
    </PlainTable>
  );
}
