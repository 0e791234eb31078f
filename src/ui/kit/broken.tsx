import { Box } from '@chakra-ui/react';
import { StateMark } from './state-mark';
import { Item, Text } from './text';

/** Things of the shop's own that cannot be read: left out, said, and nothing else is hurt. */
export function Broken({ what, items }: { what: 'type' | 'table'; items: readonly string[] }) {
  if (items.length === 0) return null;
  const one = items.length === 1;
  return (
    <Box role="alert" border="1px solid" borderColor="failed" borderRadius="3px" p="3" mb="4">
      <Text fontWeight="600" display="flex" alignItems="center" gap="2">
        <StateMark mark="failed" label={null} />
        {one
          ? `One ${what} of this shop cannot be read and is not used.`
          : `${items.length} ${what}s of this shop cannot be read and are not used.`}
      </Text>
      <Box as="ul" pl="5" listStyleType="disc">
        {items.map((item) => (
          <Item key={item}>{item}</Item>
        ))}
      </Box>
      <Text>
        {what === 'table'
          ? 'The default table is used instead. Save the tables again to repair it.'
          : 'Upload its files again to repair it.'}
      </Text>
    </Box>
  );
}
