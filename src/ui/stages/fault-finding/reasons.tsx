import { Box } from '@chakra-ui/react';
import type { ChainLink } from '@/core/fault-finding/run-chain';
import { StateMark } from '../../kit/state-mark';
import { linkMark } from './ladder';
import { Item, Said, Text } from '../../kit/text';

/** Why a link is judged as it is, and what that rests on. */
export function Reasons({ link }: { link: ChainLink }) {
  return (
    <Box
      as="section"
      aria-label={link.name}
      borderLeft="5px solid"
      borderColor={linkMark[link.state]}
      bg="paper"
      px="4"
      py="3"
      mb="4"
    >
      <Text fontFamily="heading" fontWeight="600" fontSize="1.15rem">
        <StateMark mark={linkMark[link.state]} label={null} /> {link.name}
      </Text>
      <Text>{link.why}</Text>
      {link.look !== undefined && <Text mt="1">{link.look.what}</Text>}
      {link.evidence.length > 0 && (
        <Box as="ul" mt="2" pl="4" fontSize="0.94rem" color="soft" listStyleType="disc">
          {link.evidence.map((e) => (
            <Item key={`${e.what} ${e.said}`}>
              {e.what}:{' '}
              <b>
                <Said>{e.said}</Said>
              </b>
            </Item>
          ))}
        </Box>
      )}
    </Box>
  );
}
