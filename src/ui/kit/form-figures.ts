import * as z from 'zod';
import { figureFrom, numberFrom } from './number-from';

/** A field read by `read`; `problem` is the error for what it cannot read. */
const readBy = (read: (text: string) => number | null, problem: string) =>
  z.string().transform((text, context): number => {
    const value = read(text);
    if (value !== null) return value;
    context.addIssue({ code: 'custom', message: problem });
    return z.NEVER;
  });

/** A field of a form that takes a figure above zero, as people write it; `problem` where another one must be told. */
export const positiveFigureOr = (problem: string) => readBy(numberFrom, problem);
export const positiveFigure = positiveFigureOr('A figure above zero, like 15');

/** A field that takes a figure, also below zero. */
export const anyFigure = readBy(figureFrom, 'A figure');

/** A field that takes a figure from zero up; `problem` where another one must be told. */
export const zeroOrMoreOr = (problem: string) =>
  readBy((text) => {
    const value = figureFrom(text);
    return value === null || value < 0 ? null : value;
  }, problem);
export const zeroOrMore = zeroOrMoreOr('A figure, zero or above');

/** A field that may stay empty: null then. */
export const orNone = <Read>(figure: z.ZodType<Read, string>) =>
  z.string().transform((text, context): Read | null => {
    if (text.trim() === '') return null;
    const asked = figure.safeParse(text);
    if (asked.success) return asked.data;
    for (const { message } of asked.error.issues) context.addIssue({ code: 'custom', message });
    return z.NEVER;
  });

/** A field that must not stay empty; `problem` says where what is missing can be found. */
export const filledText = (problem: string) => z.string().trim().min(1, problem);

/** A choice that must be made before anything is kept. */
export const mustChoose = <V extends string>(values: readonly V[]) =>
  z
    .enum(values)
    .nullable()
    .transform((value, context): V => {
      if (value !== null) return value;
      context.addIssue({ code: 'custom', message: 'Choose one' });
      return z.NEVER;
    });
