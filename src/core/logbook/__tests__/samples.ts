/** Entries of every kind, made from their schemas, with a word of the test's own wherever somebody may write. */
import * as z from 'zod';
import type { EntryKind } from '..';
import { payloads } from '../payloads';

/** Words that JavaScript's own objects answer to. */
export const objectWords = [
  'constructor',
  '__proto__',
  'toString',
  'hasOwnProperty',
  'valueOf',
  '__defineGetter__',
];

type Json = z.core.JSONSchema.JSONSchema;
const formats: Readonly<Record<string, string>> = {
  uuid: '0190a200-0000-7000-8000-00000000ffff',
  date: '2026-11-21',
  'date-time': '2026-11-21T10:00:00.000Z',
};
const branches = (schema: Json): Json[] => (schema.anyOf ?? schema.oneOf ?? []) as Json[];

function sample(schema: Json, word: string, pick: number): unknown {
  if (schema.const !== undefined) return schema.const;
  if (schema.enum !== undefined) return schema.enum[pick % schema.enum.length];
  const of = branches(schema);
  if (of.length > 0) return sample(of[pick % of.length]!, word, pick);
  const inner = (child: unknown): unknown => sample(child as Json, word, pick);
  switch (schema.type) {
    case 'object': {
      const named = Object.entries(schema.properties ?? {}).map(([key, of_]) => [key, inner(of_)]);
      const free = typeof schema.additionalProperties === 'object';
      const keys = (schema.propertyNames as Json | undefined)?.enum ?? (free ? [word] : []);
      return Object.fromEntries([...named, ...keys.map((key) => [key, inner(schema.additionalProperties)])]);
    }
    case 'array': {
      const items = (schema.prefixItems ??
        Array(Math.max(1, schema.minItems ?? 0)).fill(schema.items)) as Json[];
      return items.map(inner);
    }
    case 'string':
      if (schema.format !== undefined && formats[schema.format] !== undefined) return formats[schema.format];
      return schema.pattern?.includes('64') === true ? 'ab'.repeat(32) : word.slice(0, schema.maxLength);
    case 'number':
    case 'integer':
      return Math.min(schema.maximum ?? 1, Math.max(schema.minimum ?? 1, 1));
    case 'boolean':
      return pick % 2 === 0;
    default:
      return null;
  }
}

/**
 * Something that a schema takes, with the word in every free text and as the key of every record; undefined where none is found.
 * @param pick which branches of it are taken
 */
export function sampleOf(schema: z.ZodType, word: string, pick: number): unknown {
  const made = sample(z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' }), word, pick);
  return schema.safeParse(made).success ? made : undefined;
}

/** Up to three payloads of a kind, each taking other branches of its schema. */
export function samplesOf(kind: EntryKind, word: string): unknown[] {
  return [0, 1, 2].flatMap((pick) => {
    const made = sampleOf(payloads[kind], word, pick);
    return made === undefined ? [] : [payloads[kind].parse(made)];
  });
}
