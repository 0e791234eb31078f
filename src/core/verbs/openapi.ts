// The verbs as OpenAPI 3.1 (openapis.org, 3.1.0): schemas under components, JSON Schema 2020-12.
import { schemasOf } from './manners';
import type { Verb } from './verb';

/** A JSON Schema, or a part of an OpenAPI document. */
export type JsonObject = Record<string, unknown>;

/** Schemas of a document by name. */
export type Components = Record<string, JsonObject>;

const isObject = (value: unknown): value is JsonObject =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Any JSON value in a schema that spells it out: texts, numbers, and lists and objects of itself. */
const isAnyJson = (name: string, definition: unknown): boolean =>
  isObject(definition) &&
  Array.isArray(definition['anyOf']) &&
  definition['anyOf'].some(
    (o) => isObject(o) && isObject(o['items']) && o['items']['$ref'] === `#/$defs/${name}`,
  );

/** The schema with its references pointing at the document's components. */
function pointed(value: unknown, name: string, anyJson: ReadonlySet<string>): unknown {
  if (Array.isArray(value)) return value.map((inner) => pointed(inner, name, anyJson));
  if (!isObject(value)) return value;
  const { $ref } = value;
  if (typeof $ref === 'string') {
    const definition = $ref.replace(/^#\/\$defs\//, '');
    // A type that is made of itself only is more than generators of clients can write.
    if (anyJson.has(definition)) return { description: 'Any JSON value.' };
    return { $ref: `#/components/schemas/${$ref === '#' ? name : `${name}.${definition}`}` };
  }
  return Object.fromEntries(
    Object.entries(value).map(([key, inner]) => [key, pointed(inner, name, anyJson)]),
  );
}

/**
 * Puts a JSON Schema among the components, its definitions beside it.
 * @param components of the document; grows
 * @param name of the schema there: letters, digits, dots
 * @param schema as `z.toJSONSchema` makes it
 * @returns a reference to it
 */
export function component(components: Components, name: string, schema: unknown): JsonObject {
  const { $schema: _, $defs, ...own } = isObject(schema) ? schema : {};
  const definitions = Object.entries(isObject($defs) ? $defs : {});
  const anyJson = new Set(definitions.filter(([key, d]) => isAnyJson(key, d)).map(([key]) => key));
  components[name] = pointed(own, name, anyJson) as JsonObject;
  for (const [key, definition] of definitions)
    if (!anyJson.has(key)) components[`${name}.${key}`] = pointed(definition, name, anyJson) as JsonObject;
  return { $ref: `#/components/schemas/${name}` };
}

/** A content of JSON. @param example of it; absent: none */
export const jsonContent = (schema: JsonObject, example?: unknown): JsonObject => ({
  content: { 'application/json': { schema, ...(example === undefined ? {} : { example }) } },
});

/** A name in capitals for its parts: `set-import` → `SetImport`. */
export const pascal = (name: string): string =>
  name
    .split(/[^A-Za-z0-9]/)
    .map((part) => part.charAt(0).toUpperCase() + part.slice(1))
    .join('');

const refusal: JsonObject = {
  type: 'object',
  description: 'Why a calculation was refused, problem by problem.',
  required: ['error'],
  properties: {
    id: { description: 'Of the input, where it had one.' },
    error: {
      type: 'object',
      required: ['code', 'problems'],
      properties: {
        code: { enum: ['bad-input', 'not-json', 'unknown-verb', 'our-fault', 'busy'] },
        problems: {
          type: 'array',
          items: {
            type: 'object',
            required: ['path', 'given', 'allowed'],
            properties: { path: { type: 'string' }, given: {}, allowed: { type: 'string' } },
          },
        },
      },
    },
  },
};

/** An example of a verb: what goes in and what comes out. */
export interface VerbExample {
  input: unknown;
  output: unknown;
}

/** The worked example of a page: its first two blocks of JSON; null where it has no two. */
function exampleIn(page: string): VerbExample | null {
  const [input, output] = Array.from(
    page.matchAll(/```json\n([\s\S]*?)```/g),
    ([, text = '']) => JSON.parse(text) as unknown,
  );
  return input === undefined || output === undefined ? null : { input, output };
}

/**
 * The worked example of each verb, by its name.
 * @param pages of docs/contracts: the name of the file and what it says
 */
export const examplesIn = (
  pages: readonly (readonly [file: string, page: string])[],
): Readonly<Record<string, VerbExample>> =>
  Object.fromEntries(
    pages.flatMap(([file, page]) => {
      const example = exampleIn(page);
      return example === null ? [] : [[file.replace(/\.md$/, ''), example]];
    }),
  );

/**
 * The paths of all verbs.
 * @param components of the document; grows
 * @param examples by verb; a verb may be without one
 */
export function verbPaths(
  verbs: readonly Verb[],
  components: Components,
  examples: Readonly<Record<string, VerbExample>> = {},
): JsonObject {
  const refused = component(components, 'CalculationRefusal', refusal);
  const not = (description: string) => ({ description, ...jsonContent(refused) });
  return Object.fromEntries(
    verbs.map((verb) => {
      const { input, output } = schemasOf(verb);
      const name = pascal(verb.name);
      const example = examples[verb.name];
      return [
        `/api/v1/calc/${verb.name}`,
        {
          post: {
            operationId: `calculate${name}`,
            tags: ['Calculations'],
            summary: verb.summary,
            requestBody: {
              required: true,
              ...jsonContent(component(components, `${name}Input`, input), example?.input),
            },
            responses: {
              200: {
                description: 'The answer.',
                ...jsonContent(component(components, `${name}Output`, output), example?.output),
              },
              400: not('The body is not JSON.'),
              422: not('The body does not match the schema.'),
              503: not('Too many calculations are waiting: try again in a moment.'),
            },
          },
        },
      ];
    }),
  );
}

/** A whole document. @param version of what it describes */
export const openApiDocument = (version: string, paths: JsonObject, components: Components): JsonObject => ({
  openapi: '3.1.0',
  info: {
    title: 'Grim Spanner',
    version,
    description: 'Calculations (the same as `./grim calc`), jobs, documents and the link to drives.',
    license: { name: 'MIT', identifier: 'MIT' },
  },
  servers: [{ url: '/', description: 'This installation.' }],
  // Whoever works at a device is chosen on its pages; there is no key.
  security: [],
  tags: [{ name: 'Calculations', description: 'Verbs without state: JSON in, JSON out.' }],
  paths,
  components: { schemas: components },
});
