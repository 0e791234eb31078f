import { Box, chakra } from '@chakra-ui/react';
import { useId, type ComponentProps, type ReactNode } from 'react';
import { useSaid } from './terms';
import { Text, Said } from './text';

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
function HeldButton({ waitsFor, disabled, children, ...props }: WaitingProps) {
  const id = useId();
  const waits = typeof waitsFor === 'string';
  const said = useSaid(children);
  const button = (
    <Button
      {...asButton(props)}
      fontSize="1rem"
      {...props}
      disabled={disabled === true || waits}
      {...(waits ? { 'aria-describedby': id } : {})}
    >
      {said}
    </Button>
  );
  if (waitsFor === undefined) return button;
  return (
    <Box display="inline-flex" flexDirection="column" alignItems="flex-start" gap="1" maxW="100%">
      {button}
      {waits && (
        <Text as="span" id={id} fontSize="0.86rem" color="soft">
          {waitsFor}
        </Text>
      )}
    </Box>
  );
}

/** The step that is wanted now. */
export const Primary = (props: WaitingProps) => (
  <HeldButton px="5" bg="ink" color="card" fontWeight="600" _hover={{ opacity: 0.88 }} {...props} />
);

/** Something that may be done instead. */
export const Secondary = (props: WaitingProps) => (
  <HeldButton
    px="4"
    bg="transparent"
    color="ink"
    border="1px solid"
    borderColor="line"
    fontWeight="500"
    _hover={{ bg: 'paper' }}
    {...props}
  />
);

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
      <Said>{children}</Said>
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

/** Said for readers that listen; nothing to see. */
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
      {useSaid(children)}
    </Box>
  );
}
