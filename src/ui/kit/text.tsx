'use client';
import {
  Heading as ChakraHeading,
  Text as ChakraText,
  type HeadingProps,
  type TextProps,
} from '@chakra-ui/react';
import type { ComponentProps, ReactNode } from 'react';
import { useSaid } from './terms';

/** A text in the reader's terms and units. */
export function Text({ children, ...rest }: TextProps) {
  return <ChakraText {...rest}>{useSaid(children)}</ChakraText>;
}

/** A heading in the reader's terms and units. */
export function Heading({ children, ...rest }: HeadingProps) {
  return <ChakraHeading {...rest}>{useSaid(children)}</ChakraHeading>;
}

/** A cell of a table in the reader's terms and units. */
export function Cell({ children, ...rest }: ComponentProps<'td'>) {
  return <td {...rest}>{useSaid(children)}</td>;
}

/** An item of a list in the reader's terms and units. */
export function Item({ children, ...rest }: ComponentProps<'li'>) {
  return <li {...rest}>{useSaid(children)}</li>;
}

/** Texts among elements, in the reader's terms and units; no element of its own. */
export const Said = ({ children }: { children: ReactNode }) => <>{useSaid(children)}</>;
