import type * as z from 'zod';

const things: Readonly<Record<string, string>> = {
  string: 'text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'yes or no',
  array: 'a list',
  object: 'a group of fields',
  record: 'a group of fields',
  date: 'a time',
  null: 'empty',
};
const thing = (expected: string): string => things[expected] ?? expected;

/** A bound of a value, a text or a list, in words. */
function boundWords(
  origin: string,
  { bound, isLeast, inclusive }: { bound: number | bigint; isLeast: boolean; inclusive: boolean },
): string {
  const side = isLeast ? 'at least' : 'at most';
  if (origin === 'string') return bound === 1 && isLeast ? 'may not be empty' : `${side} ${bound} characters`;
  if (origin === 'array' || origin === 'set') return `${side} ${bound} of them`;
  return inclusive ? `${side} ${bound}` : `${isLeast ? 'more' : 'less'} than ${bound}`;
}

const list = (values: readonly unknown[]): string => values.map(String).join(', ').slice(0, 300);

/**
 * What was asked for, in words for the person, where a schema does not say it itself.
 * @returns undefined: the usual message has to do
 */
export const plainFault: z.core.$ZodErrorMap = (issue) => {
  switch (issue.code) {
    case 'invalid_type':
      return issue.input === undefined
        ? `missing: ${thing(issue.expected)}`
        : `must be ${thing(issue.expected)}`;
    case 'too_small':
      return boundWords(issue.origin, {
        ...{ bound: issue.minimum, isLeast: true, inclusive: issue.inclusive !== false },
      });
    case 'too_big':
      return boundWords(issue.origin, {
        ...{ bound: issue.maximum, isLeast: false, inclusive: issue.inclusive !== false },
      });
    case 'invalid_value':
      return issue.values.length === 1 ? `must be ${list(issue.values)}` : `one of ${list(issue.values)}`;
    case 'unrecognized_keys':
      return `no such field: ${list(issue.keys)}`;
    case 'invalid_union':
      return 'has none of the forms that are allowed here';
    case 'invalid_format':
      return 'is not written in the form asked for here';
    case 'not_multiple_of':
      return `a multiple of ${issue.divisor}`;
    default:
      return undefined;
  }
};
