'use client';
import { createContext, useContext } from 'react';
import { Text } from './text';

/** The newest entry of this job was refused, or does not count: nothing that was said to be kept stands beside that. */
export const NotTaken = createContext(false);

/**
 * What was kept just now, said aloud.
 * @param refused something was pressed since that could not be kept
 */
export function KeptNote({ text, refused = false }: { text: string | null; refused?: boolean }) {
  const notTaken = useContext(NotTaken);
  return (
    <Text role="status" fontSize="0.95rem" color="sound" fontWeight="500" minH="1.5em">
      {refused || notTaken ? null : text}
    </Text>
  );
}
