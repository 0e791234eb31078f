import * as z from 'zod';
import { plainFault } from './plain-fault';

const said = (schema: z.ZodType, value: unknown): string[] =>
  schema.safeParse(value, { error: plainFault }).error?.issues.map((issue) => issue.message) ?? [];

it.each([
  [z.strictObject({ name: z.string() }), {}, 'missing: text'],
  [z.strictObject({ scale: z.number() }), { scale: 'x' }, 'must be a number'],
  [z.int(), 1.5, 'must be a whole number'],
  [z.string().min(1), '', 'may not be empty'],
  [z.string().max(8), 'too long a unit', 'at most 8 characters'],
  [z.number().positive(), 0, 'more than 0'],
  [z.number().min(1).max(9), 10, 'at most 9'],
  [z.array(z.number()).min(2), [1], 'at least 2 of them'],
  [z.enum(['reset', 'power-off']), 'later', 'one of reset, power-off'],
  [z.strictObject({}), { colour: 1 }, 'no such field: colour'],
  [z.uuid(), 'x', 'is not written in the form asked for here'],
  [z.union([z.number(), z.boolean()]), 'x', 'has none of the forms that are allowed here'],
])('what %# asks for is said in words', (schema, value, words) => {
  expect(said(schema, value)).toEqual([words]);
});

it('leaves what a schema says itself', () => {
  expect(said(z.string().min(1, 'Read it from the nameplate'), '')).toEqual(['Read it from the nameplate']);
});
