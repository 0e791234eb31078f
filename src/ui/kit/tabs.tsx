import { Tabs as ChakraTabs } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Said } from './text';

/** A row of tabs, and below it what the open one shows. Arrow keys go from tab to tab; Tab leads into the panel. */
export function Tabs<P extends string>({
  label,
  panels,
  open,
  choose,
  children,
}: {
  label: string;
  panels: readonly { id: P; name: string }[];
  open: P;
  choose: (panel: P) => void;
  /** Of the open tab. */
  children: ReactNode;
}) {
  // Many tabs stand closer: a second row would push what is needed below the fold.
  const many = panels.length > 5;
  return (
    <ChakraTabs.Root
      unstyled
      value={open}
      // What a panel shows may be costly: an arrow key only moves the focus, Enter or Space opens.
      activationMode="manual"
      onValueChange={({ value }) => {
        const chosen = panels.find(({ id }) => id === value);
        if (chosen !== undefined) choose(chosen.id);
      }}
    >
      <ChakraTabs.List
        aria-label={label}
        display="flex"
        flexWrap="wrap"
        borderBottom="2px solid"
        borderColor="ink"
        mb="3"
      >
        {panels.map(({ id, name }) => (
          <ChakraTabs.Trigger
            key={id}
            value={id}
            minH="48px"
            px={many ? 2 : { base: 3, xl: 3.5 }}
            cursor="pointer"
            fontFamily="heading"
            fontSize={many ? '0.94rem' : '1rem'}
            fontWeight={open === id ? 600 : 500}
            bg={open === id ? 'ink' : 'transparent'}
            color={open === id ? 'card' : 'ink'}
            borderTopRadius="3px"
          >
            <Said>{name}</Said>
          </ChakraTabs.Trigger>
        ))}
      </ChakraTabs.List>
      <ChakraTabs.Content value={open} mb="6">
        {children}
      </ChakraTabs.Content>
    </ChakraTabs.Root>
  );
}
