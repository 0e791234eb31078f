import { Box } from '@chakra-ui/react';

/** A row of names of which one is open below it. */
export function PanelSwitch<P extends string>({
  label,
  panels,
  open,
  choose,
}: {
  label: string;
  panels: readonly { id: P; name: string }[];
  open: P;
  choose: (panel: P) => void;
}) {
  return (
    <Box
      role="group"
      aria-label={label}
      display="flex"
      flexWrap="wrap"
      borderBottom="2px solid"
      borderColor="ink"
      mb="4"
    >
      {panels.map(({ id, name }) => (
        <Box
          asChild
          key={id}
          minH="48px"
          px="4"
          cursor="pointer"
          fontFamily="heading"
          fontSize="1.05rem"
          fontWeight={open === id ? 600 : 500}
          bg={open === id ? 'ink' : 'transparent'}
          color={open === id ? 'card' : 'ink'}
          borderTopRadius="3px"
        >
          <button type="button" aria-pressed={open === id} onClick={() => choose(id)}>
            {name}
          </button>
        </Box>
      ))}
    </Box>
  );
}
