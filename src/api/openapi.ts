// All routes as OpenAPI 3.1: the contract, the documents of a job, and the verbs.
import * as z from 'zod';
import {
  component,
  jsonContent,
  openApiDocument,
  pascal,
  verbPaths,
  verbs,
  type Components,
  type JsonObject,
  type VerbExample,
} from '../core/verbs';
import { contract, type Route } from './contract';

/** What is fetched, and in which types of media. */
interface Download {
  summary: string;
  media: readonly string[];
  query?: z.ZodType;
  tag: string;
}

const paged = z.object({
  form: z.enum(['pdf', 'json', 'csv']).default('pdf'),
  paper: z.enum(['a4', 'letter']).optional(),
});
const printed = ['application/pdf', 'application/json', 'text/csv'] as const;
const document = (
  summary: string,
  media: readonly string[] = printed,
  query: z.ZodType = paged,
): Download => ({
  summary,
  media,
  query,
  tag: 'Documents',
});

/** Routes that answer with a file or a stream. */
const downloads: Readonly<Record<string, Download>> = {
  '/api/v1/jobs/:id/sheet': document('The static-test sheet of a job.'),
  '/api/v1/jobs/:id/report': document('The report of a job.'),
  '/api/v1/jobs/:id/start-up': document('The start-up sheet of a job.'),
  '/api/v1/jobs/:id/set-sheet': document(
    'A parameter set of a job.',
    printed,
    paged.extend({ set: z.uuid() }),
  ),
  '/api/v1/jobs/:id/key-sheet': document(
    'The keys that enter a parameter set.',
    printed,
    paged.extend({ set: z.uuid() }),
  ),
  '/api/v1/jobs/:id/first-power': document('The plan of the first power-up.'),
  '/api/v1/jobs/:id/wires': document('The wire list of a replacement.'),
  '/api/v1/jobs/:id/drilling': document('The drilling template of the new unit, one to one.'),
  '/api/v1/jobs/:id/wire-labels': document(
    'Labels for both ends of every wire.',
    ['application/pdf'],
    z.object({ sheet: z.string().optional(), skip: z.int().min(0).max(99).optional() }),
  ),
  '/api/v1/jobs/:id/stop-calendar': document(
    'The planned outage as a calendar.',
    ['text/calendar'],
    z.object({}),
  ),
  '/api/v1/jobs/:id/archive': document('The whole job as an archive.', ['application/zip'], z.object({})),
  '/api/v1/blobs/:sha': {
    summary: 'A photograph or capture by its SHA-256.',
    media: ['image/webp', 'application/json'],
    tag: 'Files',
  },
  '/api/v1/catalogue/schema': {
    summary: 'The JSON Schema of a drive type.',
    media: ['application/json'],
    tag: 'Drive types',
  },
  '/api/v1/health': {
    summary: 'Whether all parts of the server work.',
    media: ['application/json'],
    tag: 'System',
  },
  '/api/v1/openapi.json': { summary: 'This document.', media: ['application/json'], tag: 'System' },
  '/api/v1/meter': {
    summary: 'Lines of the bench meter as they come.',
    media: ['text/event-stream'],
    tag: 'Devices',
  },
  '/api/v1/drives/watch': {
    summary: 'Live values of a drive as they come.',
    media: ['text/event-stream'],
    query: z.object({ target: z.string(), typeId: z.string() }),
    tag: 'Devices',
  },
};

/** Routes that take the bytes of a file. */
const uploads: Readonly<Record<string, readonly string[]>> = {
  'POST /api/v1/blobs': ['image/jpeg', 'image/png', 'image/webp'],
  'POST /api/v1/archives': ['application/zip'],
};

const tagOf = (path: string): string => {
  const [, , , first = ''] = path.split('/');
  const tags: Readonly<Record<string, string>> = {
    jobs: 'Jobs',
    sets: 'Jobs',
    drives: 'Devices',
    rig: 'Devices',
    catalogue: 'Drive types',
    blobs: 'Files',
    trends: 'Files',
    captures: 'Files',
    archives: 'Files',
  };
  return tags[first] ?? 'System';
};

const asSchema = (schema: z.ZodType, io: 'input' | 'output'): unknown =>
  z.toJSONSchema(schema, { io, unrepresentable: 'any' });

/** `GET /api/v1/jobs/:id/entries` → `getJobsIdEntries`. */
const operationOf = (method: string, path: string): string =>
  `${method.toLowerCase()}${pascal(path.replace('/api/v1/', ''))}`;

const braced = (path: string): string => path.replace(/:(\w+)/g, '{$1}');

function parametersOf(path: string, query: z.ZodType | undefined): JsonObject[] {
  const inPath = [...path.matchAll(/:(\w+)/g)].map(([, name = '']) => ({
    ...{ name, in: 'path', required: true },
    schema: { type: 'string' },
  }));
  if (query === undefined) return inPath;
  const { properties = {}, required = [] } = asSchema(query, 'input') as {
    properties?: JsonObject;
    required?: string[];
  };
  return [
    ...inPath,
    ...Object.entries(properties).map(([name, schema]) => ({
      ...{ name, in: 'query', required: required.includes(name) },
      schema,
    })),
  ];
}

const apiError: JsonObject = {
  type: 'object',
  description: 'Why a request was refused, and what to do.',
  required: ['error', 'problems'],
  properties: {
    error: { type: 'string' },
    problems: {
      type: 'array',
      items: {
        type: 'object',
        required: ['path', 'allowed'],
        properties: {
          path: { type: 'string' },
          allowed: { type: 'string' },
          file: { type: 'string' },
          line: { type: 'integer' },
          given: { type: 'string' },
        },
      },
    },
    certain: { type: 'boolean', description: 'Of a write to a drive: nothing was written for sure.' },
  },
};

/** What a route may refuse, by status. */
function refusals(
  refused: JsonObject,
  { path, body, may }: { path: string; body: boolean; may?: string | undefined },
) {
  const not = (description: string) => ({ description, ...jsonContent(refused) });
  return {
    ...(body ? { 400: not('The body cannot be read.'), 413: not('The body is too large.') } : {}),
    ...(may === undefined ? {} : { 403: not(may) }),
    ...(path.includes(':') ? { 404: not('There is none of that id.') } : {}),
    422: not('What was sent does not match the schema, or cannot be done now.'),
    503: not('The server is busy or restarting: try again in a moment.'),
  };
}

/**
 * The document of all routes.
 * @param version of what it describes
 * @param examples of verbs
 */
export function openApi(version: string, examples: Readonly<Record<string, VerbExample>> = {}): JsonObject {
  const components: Components = {};
  const refused = component(components, 'Refusal', apiError);
  const paths: Record<string, JsonObject> = verbPaths(verbs, components, examples) as Record<
    string,
    JsonObject
  >;
  const add = (method: string, path: string, operation: JsonObject) => {
    paths[braced(path)] = { ...paths[braced(path)], [method.toLowerCase()]: operation };
  };
  for (const [key, route] of Object.entries(contract) as [string, Route][]) {
    const [method = '', path = ''] = key.split(' ');
    const name = pascal(operationOf(method, path));
    const media = uploads[key];
    const body =
      media !== undefined
        ? {
            content: Object.fromEntries(
              media.map((type) => [type, { schema: { type: 'string', format: 'binary' } }]),
            ),
          }
        : route.body === undefined
          ? null
          : jsonContent(component(components, `${name}Body`, asSchema(route.body, 'input')));
    add(method, path, {
      operationId: operationOf(method, path),
      tags: [tagOf(path)],
      summary: key,
      parameters: parametersOf(path, route.query),
      ...(body === null ? {} : { requestBody: { required: true, ...body } }),
      responses: {
        [route.status ?? 200]: {
          description: 'The answer.',
          ...jsonContent(component(components, `${name}Answer`, asSchema(route.answer, 'output'))),
        },
        ...refusals(refused, { path, body: body !== null, may: route.may?.refusal }),
      },
    });
  }
  for (const [path, { summary, media, query, tag }] of Object.entries(downloads))
    add('GET', path, {
      operationId: operationOf('get', path),
      tags: [tag],
      summary,
      parameters: parametersOf(path, query),
      responses: {
        200: {
          description: 'The file.',
          content: Object.fromEntries(
            media.map((type) => [
              type,
              { schema: type.endsWith('json') ? {} : { type: 'string', format: 'binary' } },
            ]),
          ),
        },
        ...refusals(refused, { path, body: false }),
      },
    });
  return openApiDocument(version, paths, components);
}
