import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { StateMark, type Mark } from '../../kit/state-mark';
import { Disclosure } from '../../kit/why';
import { Text } from '../../kit/text';

const marks: Readonly<Record<'pass' | 'doubtful' | 'fail', Mark>> = {
  pass: 'sound',
  doubtful: 'doubt',
  fail: 'failed',
};
const words = { pass: 'passes', doubtful: 'doubtful', fail: 'fails' } as const;

/** What a test came to: the figure large, its sum and source one touch away. */
export function Verdict({
  verdict,
  figure,
  sum,
  source,
  children,
}: {
  verdict: 'pass' | 'doubtful' | 'fail';
  figure: string;
  sum: string;
  source: string;
  children?: ReactNode;
}) {
  return (
    <Box bg="paper" borderLeft="5px solid" borderColor={marks[verdict]} px="4" py="2" mb="3">
      <Box display="flex" alignItems="baseline" gap="3" flexWrap="wrap">
        <Text fontFamily="mono" fontSize="2rem" lineHeight="1.2">
          {figure}
        </Text>
        <Text as="span" fontWeight="600" color={marks[verdict]}>
          <StateMark mark={marks[verdict]} label={null} /> {words[verdict]}
        </Text>
      </Box>
      {children}
      <Disclosure>
        {sum}. {source}.
      </Disclosure>
    </Box>
  );
}
