import { Box } from '@chakra-ui/react';
import { memo, type ReactNode } from 'react';
import { wireRoleWords, type RecordedWire, type WirePlacement } from '@/core/replacement/wires';
import { StateMark } from '../../../kit/state-mark';
import { outcomeMarks, outcomeWords, wireFlags } from './placement-words';
import { Said, Text } from '../../../kit/text';

/** A line of the wire list: where it is, what it is, where it goes. A touch opens it. */
export const WireLine = memo(function WireLine({
  wire,
  placement,
  open,
  toggle,
  children,
}: {
  wire: RecordedWire;
  placement: WirePlacement | undefined;
  open: boolean;
  toggle: (id: string) => void;
  children?: ReactNode;
}) {
  const outcome = placement?.outcome ?? 'unknown';
  return (
    <Box
      as="li"
      id={`wire-${wire.number}`}
      borderBottom="1px solid"
      borderColor="line"
      bg={open ? 'paper' : 'transparent'}
      // Hundreds of lines: those out of sight are not laid out.
      css={open ? {} : { contentVisibility: 'auto', containIntrinsicSize: 'auto 54px' }}
    >
      <Box
        asChild
        width="100%"
        textAlign="left"
        minH="52px"
        py="1.5"
        display="grid"
        gridTemplateColumns={{ base: '2.6em 1fr', md: '2.6em 8.5em minmax(0, 1fr) auto' }}
        columnGap="3"
        alignItems="center"
        cursor="pointer"
      >
        <button type="button" aria-expanded={open} onClick={() => toggle(wire.id)}>
          <Text as="span" fontFamily="mono" fontSize="1.25rem" fontWeight="600">
            {wire.number}
          </Text>
          <Text as="span" fontFamily="mono" fontSize="1.1rem" whiteSpace="nowrap">
            {wire.from ?? 'loose'} → {placement?.to ?? '—'}
          </Text>
          <Box as="span" gridColumn={{ base: '2', md: 'auto' }} minW="0">
            <Said>{wireRoleWords(wire.role)}</Said>
            {wire.ferrule !== '' && (
              <Text as="span" color="soft">
                {' '}
                · ferrule {wire.ferrule}
              </Text>
            )}
            {wireFlags(wire).map((f) => (
              <Text as="span" key={f} color="doubt" fontWeight="500">
                {' '}
                · {f}
              </Text>
            ))}
          </Box>
          <Box
            as="span"
            gridColumn={{ base: '2', md: 'auto' }}
            display="inline-flex"
            gap="2"
            alignItems="center"
            whiteSpace="nowrap"
          >
            <StateMark mark={outcomeMarks[outcome]} label={null} />
            {placement === undefined ? 'not mapped' : outcomeWords[outcome]}
          </Box>
        </button>
      </Box>
      {open && <Box pb="4">{children}</Box>}
    </Box>
  );
});
