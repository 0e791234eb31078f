import { Box, Text, chakra } from '@chakra-ui/react';
import { useId, type ComponentProps, type ReactNode } from 'react';

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

/** A button that may have to wait, and what for: it is said under it. */
type WaitingProps = ButtonProps & {
  /** What must be done first; null: nothing. */
  waitsFor?: string | null | undefined;
};

/** The same frame whether it waits or not: a button that is drawn anew would lose the focus. */
function Waiting({
  waitsFor,
  id,
  children,
}: {
  waitsFor: string | null | undefined;
  id: string;
  children: ReactNode;
}) {
  if (waitsFor === undefined) return children;
  return (
    <Box display="inline-flex" flexDirection="column" alignItems="flex-start" gap="1" maxW="100%">
      {children}
      {waitsFor !== null && (
        <Text as="span" id={id} fontSize="0.86rem" color="soft">
          {waitsFor}
        </Text>
      )}
    </Box>
  );
}

/** What a button has of its waiting. */
const held = (waitsFor: string | null | undefined, id: string, disabled: boolean | undefined) => ({
  disabled: disabled === true || typeof waitsFor === 'string',
  ...(typeof waitsFor === 'string' ? { 'aria-describedby': id } : {}),
});

/** The step that is wanted now. */
export function Primary({ waitsFor, ...props }: WaitingProps) {
  const id = useId();
  return (
    <Waiting waitsFor={waitsFor} id={id}>
      <Button
        {...asButton(props)}
        px="5"
        bg="ink"
        color="card"
        fontWeight="600"
        fontSize="1rem"
        _hover={{ opacity: 0.88 }}
        {...props}
        {...held(waitsFor, id, props.disabled)}
      />
    </Waiting>
  );
}

/** Something that may be done instead. */
export function Secondary({ waitsFor, ...props }: WaitingProps) {
  const id = useId();
  return (
    <Waiting waitsFor={waitsFor} id={id}>
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
        {...held(waitsFor, id, props.disabled)}
      />
    </Waiting>
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
