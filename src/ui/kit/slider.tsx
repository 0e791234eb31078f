import { Box } from '@chakra-ui/react';
import { Text } from './text';

/** A figure that is set by a slide; what it comes to is shown large beside its name. */
export function Slider({
  label,
  shown,
  min,
  max,
  step,
  value,
  set,
}: {
  label: string;
  shown: string;
  min: number;
  max: number;
  step: number;
  value: number;
  set: (value: number) => void;
}) {
  return (
    <Box as="label" display="block">
      <Text as="span" fontFamily="heading" fontWeight="500">
        {label}
      </Text>
      <Text as="span" fontFamily="mono" fontSize="1.5rem" ml="3">
        {shown}
      </Text>
      <Box asChild width="100%" height="48px" css={{ accentColor: 'var(--chakra-colors-ink)' }}>
        <input
          type="range"
          min={min}
          max={max}
          step={step}
          value={value}
          aria-label={label}
          onChange={(e) => set(Number(e.target.value))}
        />
      </Box>
    </Box>
  );
}
