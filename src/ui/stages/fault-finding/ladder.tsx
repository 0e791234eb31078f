import { Box } from '@chakra-ui/react';
import type { ChainLink, ChainLinkId } from '@/core/fault-finding/run-chain';
import { markColour, type Mark } from '../../kit/state-mark';
import { Text } from '../../kit/text';

export const linkMark: Readonly<Record<ChainLink['state'], Mark>> = {
  closed: 'sound',
  open: 'failed',
  unknown: 'unprobed',
};

/** A contact in its wire: its arm closed, lifted, or a question mark where nobody looked. */
function Contact({ state, first }: { state: ChainLink['state']; first: boolean }) {
  const colour = markColour(linkMark[state]);
  const wire = <Box flex="1" height="2.5px" bg="ink" />;
  return (
    <Box as="span" display="flex" alignItems="center" aria-hidden>
      {wire}
      <svg viewBox="30 0 40 44" width="40" height="44">
        {first && <circle cx="50" cy="20" r="19" fill={colour} opacity="0.16" />}
        {state === 'unknown' ? (
          <text x="50" y="28" textAnchor="middle" fontSize="20" fill={colour} fontWeight="600">
            ?
          </text>
        ) : (
          <path
            d={state === 'closed' ? 'M36 22 L64 22' : 'M36 22 L62 7'}
            stroke={colour}
            strokeWidth="4"
            strokeLinecap="round"
          />
        )}
        <path d="M30 22 L36 22 M64 22 L70 22" stroke="currentColor" strokeWidth="2.5" />
        <circle cx="36" cy="22" r="3.4" fill={colour} />
        <circle cx="64" cy="22" r="3.4" fill={colour} />
      </svg>
      {wire}
    </Box>
  );
}

const stateWords: Readonly<Record<ChainLink['state'], string>> = {
  closed: 'closed',
  open: 'open',
  unknown: 'not checked',
};

/** The run chain as a rung of contacts from supply to output; each can be asked. */
export function Ladder({
  links,
  firstOpen,
  chosen,
  choose,
}: {
  links: readonly ChainLink[];
  firstOpen: ChainLinkId | null;
  chosen: ChainLinkId;
  choose: (id: ChainLinkId) => void;
}) {
  return (
    <Box
      role="group"
      aria-label="Run chain"
      display="flex"
      flexWrap="wrap"
      rowGap="3"
      borderLeft="3px solid"
      borderRight="3px solid"
      borderColor="ink"
      mb="4"
    >
      {links.map((link) => (
        <Box
          asChild
          key={link.id}
          flex="1 1 94px"
          minH="76px"
          cursor="pointer"
          textAlign="center"
          bg={chosen === link.id ? 'paper' : 'transparent'}
          boxShadow={chosen === link.id ? 'inset 0 -3px 0 currentColor' : 'none'}
        >
          <button type="button" aria-pressed={chosen === link.id} onClick={() => choose(link.id)}>
            <Contact state={link.state} first={link.id === firstOpen} />
            <Text as="span" display="block" fontFamily="heading" fontWeight="500" lineHeight="1.1">
              {link.name}
            </Text>
            <Text as="span" display="block" fontSize="0.82rem" color={markColour(linkMark[link.state])}>
              {stateWords[link.state]}
            </Text>
          </button>
        </Box>
      ))}
    </Box>
  );
}
