import { Box, chakra } from '@chakra-ui/react';
import type { ComponentProps, ReactNode } from 'react';

const Button = chakra('button', {
  base: {
    display: 'inline-flex',
    alignItems: 'center',
    justifyContent: 'center',
    gap: '2',
    minH: '48px',
    borderRadius: '3px',
    cursor: 'pointer',
    textAlign: 'center',
    lineHeight: 1.2,
    py: '1.5',
    _disabled: { opacity: 0.45, cursor: 'not-allowed' },
  },
});
type ButtonProps = ComponentProps<typeof Button>;

/** A button does not submit unless told to; a link in a button's clothes has no type. */
const asButton = ({ asChild }: ButtonProps) => (asChild === true ? {} : { type: 'button' as const });

/** The step that is wanted now. */
export function Primary(props: ButtonProps) {
  return (
    <Button
      {...asButton(props)}
      px="5"
      bg="ink"
      color="card"
      fontWeight="600"
      fontSize="1rem"
      _hover={{ opacity: 0.88 }}
      {...props}
    />
  );
}

/** Something that may be done instead. */
export function Secondary(props: ButtonProps) {
  return (
    <Button
      {...asButton(props)}
      px="4"
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
      type="button"
      px="3"
      justifyContent="flex-start"
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
export function VisuallyHidden({ children }: { children: ReactNode }) {
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
