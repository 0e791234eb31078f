import { Box } from '@chakra-ui/react';
import type { Diagnosis } from '@/core/bench/static-diagnosis';
import { storyOf, type Consequence } from '@/core/bench/story';
import { Heading, Item, Text } from '../../kit/text';

/** The chain of cause behind a fault, and what to look at before new parts go in. */
export function Story({ diagnosis, table }: { diagnosis: Diagnosis; table: readonly Consequence[] }) {
  const [best] = diagnosis.candidates;
  if (diagnosis.verdict !== 'faulty' || best === undefined) return null;
  const lines = storyOf(best.faults, table);
  if (lines.length === 0) return null;
  return (
    <Box as="section" aria-label="Before fitting parts" mb="4" fontSize="0.92rem">
      <Heading as="h2" fontFamily="heading" fontSize="1rem" fontWeight="600" mb="1">
        Before fitting parts
      </Heading>
      {lines.map((line) => (
        <Box key={line.id} mb="2">
          <Text>{line.chain}</Text>
          <Box as="ul" pl="5" mt="1" listStyleType="disc">
            {line.inspect.map((item) => (
              <Item key={item}>{item}</Item>
            ))}
          </Box>
        </Box>
      ))}
    </Box>
  );
}
