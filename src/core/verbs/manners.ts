import { closest } from 'fastest-levenshtein';
import * as z from 'zod';
import type { Problem, Verb } from './verb';

type Path = readonly PropertyKey[];

const pathText = (path: Path): string =>
  path.reduce<string>(
    (text, key) =>
      typeof key === 'number' ? `${text}[${key}]` : text === '' ? String(key) : `${text}.${String(key)}`,
    '',
  );

const valueAt = (value: unknown, path: Path): unknown =>
  path.reduce<unknown>((inner, key) => (inner as Record<PropertyKey, unknown> | undefined)?.[key], value);

interface JsonSchema {
  properties?: Record<string, JsonSchema>;
  items?: JsonSchema;
  anyOf?: JsonSchema[];
  oneOf?: JsonSchema[];
  additionalProperties?: JsonSchema | boolean;
}

/** Every key that some branch of the schema knows at this place. */
function keysAt(schema: JsonSchema, path: Path): string[] {
  const branches = [...(schema.anyOf ?? []), ...(schema.oneOf ?? [])];
  const [key, ...rest] = path;
  const inBranches = branches.flatMap((branch) => keysAt(branch, path));
  if (key === undefined) return [...Object.keys(schema.properties ?? {}), ...inBranches];
  const more = typeof schema.additionalProperties === 'object' ? schema.additionalProperties : undefined;
  const inner = typeof key === 'number' ? schema.items : (schema.properties?.[String(key)] ?? more);
  return [...(inner === undefined ? [] : keysAt(inner, rest)), ...inBranches];
}

const asJsonSchema = (schema: z.ZodType, io: 'input' | 'output'): JsonSchema =>
  z.toJSONSchema(schema, { io, unrepresentable: 'any' }) as JsonSchema;

const allowedBy = (issue: z.core.$ZodIssue): string => {
  if (issue.code === 'invalid_value') return `one of ${issue.values.map(String).join(', ')}`;
  return issue.message;
};

function problemsOf(issue: z.core.$ZodIssue, input: unknown, schema: JsonSchema, base: Path = []): Problem[] {
  const path = [...base, ...issue.path];
  if (issue.code === 'unrecognized_keys') {
    const known = keysAt(schema, path);
    return issue.keys.map((key) => ({
      path: pathText([...path, key]),
      given: valueAt(input, [...path, key]) ?? null,
      allowed: known.length === 0 ? 'unknown key' : `unknown key; nearest is "${closest(key, known)}"`,
    }));
  }
  if (issue.code === 'invalid_union' && issue.errors.length > 0) {
    // Of all shapes tried, the one with the fewest complaints is the one that was meant.
    const meant = [...issue.errors].sort((a, b) => a.length - b.length)[0] ?? [];
    const deeper = meant.flatMap((inner) => problemsOf(inner, input, schema, path));
    if (meant.some((inner) => inner.path.length > 0 || inner.code === 'unrecognized_keys')) return deeper;
    const allowed = [...new Set(issue.errors.flat().map(allowedBy))].join(' or ');
    return [{ path: pathText(path), given: valueAt(input, path) ?? null, allowed }];
  }
  return [{ path: pathText(path), given: valueAt(input, path) ?? null, allowed: allowedBy(issue) }];
}

/** `id` and `note` may stand in any object; they are dropped where the schema has no use for them. */
function withoutRemarks(input: unknown, issues: readonly z.core.$ZodIssue[]): unknown {
  const copy: unknown = structuredClone(input);
  const strip = (list: readonly z.core.$ZodIssue[], base: Path) => {
    for (const issue of list) {
      const path = [...base, ...issue.path];
      if (issue.code === 'unrecognized_keys') {
        const holder = valueAt(copy, path) as Record<string, unknown>;
        for (const key of issue.keys) if (key === 'id' || key === 'note') delete holder[key];
      } else if (issue.code === 'invalid_union') issue.errors.forEach((errors) => strip(errors, path));
    }
  };
  strip(issues, []);
  return copy;
}

/** Validates what came in for a verb. */
export function parseInput(verb: Verb, input: unknown): { value: unknown } | { problems: Problem[] } {
  const first = verb.input.safeParse(input);
  if (first.success) return { value: first.data };
  const cleaned = withoutRemarks(input, first.error.issues);
  const second = verb.input.safeParse(cleaned);
  if (second.success) return { value: second.data };
  const schema = asJsonSchema(verb.input, 'input');
  return { problems: second.error.issues.flatMap((issue) => problemsOf(issue, input, schema)) };
}

/** The published schemas of a verb. */
export const schemasOf = (verb: Verb): { input: unknown; output: unknown } => ({
  input: asJsonSchema(verb.input, 'input'),
  output: asJsonSchema(verb.output, 'output'),
});
