import { z } from 'zod';
import { numberFrom } from './number-from';

/** A field of a form that takes a figure above zero, as people write it. */
export const positiveFigure = z.string().transform((text, context): number => {
  const value = numberFrom(text);
  if (value !== null) return value;
  context.addIssue({ code: 'custom', message: 'A figure above zero, like 15' });
  return z.NEVER;
});

/** A field that must not stay empty; `problem` says where what is missing can be found. */
export const filledText = (problem: string) => z.string().trim().min(1, problem);
