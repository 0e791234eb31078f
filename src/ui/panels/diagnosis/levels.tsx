import { Box } from '@chakra-ui/react';
import type { ProofLevel } from '@/core/logbook';
import { StateMark, type Mark } from '../../kit/state-mark';
import { Heading, Text } from '../../kit/text';

const marks: Readonly<Record<ProofLevel['state'], Mark>> = {
  yes: 'sound',
  no: 'failed',
  doubt: 'doubt',
  'not signed': 'doubt',
  'not tested': 'unprobed',
};

/** The three verdict levels, each on its own line; none stands for another. */
export function Levels({ levels }: { levels: readonly ProofLevel[] }) {
  return (
    <Box as="section" aria-label="Verdict levels" mb="4" fontSize="0.92rem">
      <Heading as="h2" fontFamily="heading" fontSize="1rem" fontWeight="600" mb="1">
        Proven so far
      </Heading>
      <Box as="ul" listStyleType="none">
        {levels.map((level) => (
          <Box
            as="li"
            key={level.id}
            display="grid"
            gridTemplateColumns="22px 1fr auto"
            gap="1"
            alignItems="baseline"
          >
            <StateMark mark={marks[level.state]} label={null} />
            <span>{level.name}</span>
            <Text as="span" fontWeight="500">
              {level.state}
            </Text>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
