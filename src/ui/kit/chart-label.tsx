import type { ComponentProps } from 'react';
import { Said } from './text';

/** A text in a chart, clear of the lines behind it. */
export const ChartLabel = ({ children, ...rest }: ComponentProps<'text'>) => (
  <text
    fontSize="12"
    fill="var(--chakra-colors-ink)"
    stroke="var(--chakra-colors-card)"
    strokeWidth="4"
    strokeLinejoin="round"
    paintOrder="stroke"
    {...rest}
  >
    <Said>{children}</Said>
  </text>
);
