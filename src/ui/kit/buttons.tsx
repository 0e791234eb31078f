import { Box, Button, chakra } from '@chakra-ui/react';
import type { ComponentProps, ReactNode } from 'react';

type ButtonProps = ComponentProps<typeof Button>;

/** The step that is wanted now. */
export function Primary(props: ButtonProps) {
  return (
    <Button
      minH="48px"
      px="5"
      borderRadius="3px"
      bg="ink"
      color="card"
      fontWeight="600"
      fontSize="1rem"
      _hover={{ opacity: 0.88 }}
      _disabled={{ opacity: 0.45, cursor: 'not-allowed' }}
      {...props}
    />
  );
}

/** Something that may be done instead. */
export function Secondary(props: ButtonProps) {
  return (
    <Button
      minH="48px"
      px="4"
      borderRadius="3px"
      bg="transparent"
      color="ink"
      border="1px solid"
      borderColor="line"
      fontWeight="500"
      fontSize="1rem"
      _hover={{ bg: 'paper' }}
      {...props}
    />
  );
}

/** A button that is also a key; the key is drawn on it. */
export function KeyButton({
  keyName,
  children,
  ...rest
}: { keyName: string; children: ReactNode } & ButtonProps) {
  return (
    <Button
      minH="48px"
      px="3"
      gap="2"
      justifyContent="flex-start"
      borderRadius="3px"
      bg="transparent"
      border="1px solid"
      borderColor="line"
      color="ink"
      fontWeight="400"
      fontSize="0.95rem"
      _hover={{ bg: 'paper' }}
      {...rest}
    >
      <Key>{keyName}</Key>
      {children}
    </Button>
  );
}

const KeyCap = chakra('kbd');
export function Key({ children }: { children: ReactNode }) {
  return (
    <KeyCap
      fontFamily="mono"
      fontSize="0.8rem"
      border="1px solid"
      borderColor="ink"
      borderRadius="2px"
      px="1.5"
      bg="paper"
    >
      {children}
    </KeyCap>
  );
}

/** Words for readers that listen; nothing to see. */
export function Spoken({ children }: { children: ReactNode }) {
  return (
    <Box
      as="span"
      position="absolute"
      width="1px"
      height="1px"
      overflow="hidden"
      clipPath="inset(50%)"
      whiteSpace="nowrap"
    >
      {children}
    </Box>
  );
}
