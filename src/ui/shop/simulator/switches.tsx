import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Field } from '../../kit/field';
import { figureFrom } from '../../kit/number-from';
import { Text } from '../../kit/text';

/** A switch that shows its state in words. */
export function Switch({
  label,
  on,
  words = ['on', 'off'],
  turn,
}: {
  label: string;
  on: boolean;
  words?: readonly [on: string, off: string];
  turn: (on: boolean) => void;
}) {
  return (
    <Box
      asChild
      minH="60px"
      minW="108px"
      px="3"
      border="1px solid"
      borderColor="line"
      borderRadius="3px"
      bg={on ? 'ink' : 'transparent'}
      color={on ? 'card' : 'ink'}
      cursor="pointer"
      textAlign="left"
    >
      <button type="button" role="switch" aria-checked={on} aria-label={label} onClick={() => turn(!on)}>
        <Text as="span" display="block" fontFamily="heading" fontWeight="600" lineHeight="1.1">
          {label}
        </Text>
        <Text as="span" fontSize="0.85rem">
          {on ? words[0] : words[1]}
        </Text>
      </button>
    </Box>
  );
}

/** A figure that is set when its field is left or Enter is struck. */
export function Dial({
  label,
  unit,
  value,
  set,
}: {
  label: string;
  unit: string;
  value: number;
  set: (value: number) => void;
}) {
  return (
    <Field
      // The rig may change it by itself: then the field starts anew.
      key={value}
      label={label}
      figure
      unit={unit}
      defaultValue={String(value)}
      onKeyDown={(e) => {
        if (e.key === 'Enter') e.currentTarget.blur();
      }}
      onBlur={(e) => {
        const wanted = figureFrom(e.target.value);
        if (wanted !== null && wanted !== value) set(wanted);
      }}
    />
  );
}

export const SwitchRow = ({ children }: { children: ReactNode }) => (
  <Box display="flex" gap="2" flexWrap="wrap" mb="3">
    {children}
  </Box>
);
