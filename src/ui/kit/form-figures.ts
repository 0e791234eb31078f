import * as z from 'zod';
import { ratedPower, temperature } from '@/core/terms';
import { figureFrom, numberFrom, quantityFrom } from './number-from';

/** What a transform gives for what it cannot read: nothing, and an error at the field, or at one inside it. */
export const unread = (context: z.RefinementCtx, message: string, path: PropertyKey[] = []): never => {
  context.addIssue({ code: 'custom', message, path });
  return z.NEVER;
};

/** A field read by `read`; `problem` is the error for what it cannot read. */
export const readBy = <Read extends string | number>(read: (text: string) => Read | null, problem: string) =>
  z.string().transform((text, context): Read => read(text) ?? unread(context, problem));

/** A field of a form that takes a figure above zero, as people write it; `problem` where another one must be told. */
export const positiveFigureOr = (problem: string) => readBy(numberFrom, problem);
export const positiveFigure = positiveFigureOr('A value above zero, e.g. 15');

/** A field that takes a figure, also below zero. */
export const anyFigure = readBy(figureFrom, 'A value');

/** A field that takes a temperature in either unit, °C. */
export const temperatureFigure = readBy(quantityFrom(temperature), 'A temperature, e.g. 40 or 104 °F');

/** A field that takes a power in either unit, kW. */
export const powerFigure = readBy((text) => {
  const kilowatts = quantityFrom(ratedPower)(text);
  return kilowatts !== null && kilowatts > 0 ? kilowatts : null;
}, 'A power above zero, e.g. 5.5 or 7.5 hp');

/** A field that takes a figure from zero up; `problem` where another one must be told. */
export const zeroOrMoreOr = (problem: string) =>
  readBy((text) => {
    const value = figureFrom(text);
    return value === null || value < 0 ? null : value;
  }, problem);
export const zeroOrMore = zeroOrMoreOr('A value of zero or more');

/** A field that may stay empty: null then. */
export const orNone = <Read>(figure: z.ZodType<Read, string>) =>
  z.string().transform((text, context): Read | null => {
    if (text.trim() === '') return null;
    const asked = figure.safeParse(text);
    if (asked.success) return asked.data;
    return unread(context, asked.error.issues[0]?.message ?? 'Not read');
  });

/** A field that must not stay empty; `problem` says where what is missing can be found. */
export const filledText = (problem: string) => z.string().trim().min(1, problem);

/** A choice that must be made before anything is kept. */
export const mustChoose = <V extends string>(values: readonly V[]) =>
  z
    .enum(values)
    .nullable()
    .transform((value, context): V => value ?? unread(context, 'Choose one'));
