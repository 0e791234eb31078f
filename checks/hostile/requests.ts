/** Every request of the hostile run, made from the routes and their schemas. */
import { v7 } from 'uuid';
import * as z from 'zod';
import type { Route } from '@/api/contract';
import { newEntrySchema, newestVersion, payloads } from '@/core/logbook/schema';
import { sampleOf, samplesOf } from '@/core/logbook/__tests__/samples';
import { keysOf } from '@/core/numerics/arrays';
import { verbs } from '@/core/verbs';
import { seeded } from '../random';
import { ids, queries, rawBodies, spoilt } from './mutations';
import { routes, type FoundRoute } from './routes';

export interface HostileRequest {
  what: string;
  method: string;
  path: string;
  headers: Record<string, string>;
  body?: string | Buffer;
  /** Nothing of it may be taken: an answer of 200 to 299 is wrong. */
  mustRefuse: boolean;
}

const json = { 'content-type': 'application/json' };
const knownJob = '0190a200-0000-7000-8000-000000000001';
/** So many spoilt bodies a route, and of each kind of entry. */
const spoiltBodies = 45;
const spoiltEntries = 6;

const withIds = (path: string, id: string): string => path.replaceAll(/\[\w+\]/g, id);
/** What JSON makes of it: what a schema is to judge is what arrives. */
const asSent = (value: unknown): unknown => JSON.parse(JSON.stringify(value) ?? 'null');

function jsonRequests({ method, path }: FoundRoute, { body }: Route, random: () => number): HostileRequest[] {
  if (body === undefined) return [];
  const schema: z.ZodType = body;
  const to = { method, path: withIds(path, knownJob), headers: json };
  const samples = [0, 1, 2].flatMap((n) => sampleOf(schema, 'constructor', n) ?? []);
  return [
    ...rawBodies.map(([what, raw]) => ({
      ...to,
      what,
      body: raw,
      mustRefuse: !schema.safeParse(tryJson(raw)).success,
    })),
    ...samples.flatMap((sample) =>
      spoilt(sample, Math.ceil(spoiltBodies / samples.length), random).map(({ what, value }) => ({
        ...to,
        what,
        body: JSON.stringify(value) ?? '',
        mustRefuse: !schema.safeParse(asSent(value)).success,
      })),
    ),
  ];
}

function tryJson(raw: string | Buffer): unknown {
  try {
    return JSON.parse(raw.toString('utf8'));
  } catch {
    return undefined;
  }
}

/** An entry of each kind, spoilt; what its schema refuses must be refused in its verdict. */
function entryRequests(random: () => number): HostileRequest[] {
  const path = `/api/v1/jobs/${knownJob}/entries`;
  return keysOf(payloads).flatMap((kind) =>
    samplesOf(kind, 'toString')
      .slice(0, 1)
      .flatMap((payload) => {
        const entry = {
          v: newestVersion,
          id: v7(),
          jobId: knownJob,
          at: new Date().toISOString(),
          kind,
          payload,
        };
        return spoilt(entry, spoiltEntries, random).map(({ what, value }) => ({
          ...{ what: `${kind}: ${what}`, method: 'POST', path, headers: json },
          body: JSON.stringify({ entries: [value] }),
          mustRefuse: !newEntrySchema.safeParse(asSent(value)).success,
        }));
      }),
  );
}

function verbRequests(random: () => number): HostileRequest[] {
  return Object.entries(verbs).flatMap(([name, verb]) => {
    const schema: z.ZodType = verb.input;
    const to = { method: 'POST', path: `/api/v1/calc/${name}`, headers: json };
    const sample = sampleOf(schema, '__proto__', 0);
    return [
      ...rawBodies.slice(0, -1).map(([what, raw]) => ({
        ...{ ...to, what, body: raw },
        mustRefuse: !schema.safeParse(tryJson(raw)).success,
      })),
      ...(sample === undefined
        ? []
        : spoilt(sample, 12, random).map(({ what, value }) => ({
            ...{ ...to, what, body: JSON.stringify(value) ?? '' },
            mustRefuse: !schema.safeParse(asSent(value)).success,
          }))),
    ];
  });
}

/** Requests that come from where nobody may ask, by ways that there are not, and for what there is not. */
function strangeRequests(all: readonly FoundRoute[]): HostileRequest[] {
  const paths = [...new Set(all.map((r) => r.path))];
  const foreign: Record<string, string>[] = [
    { host: 'evil.example' },
    { origin: 'http://evil.example' },
    { origin: 'null' },
    { 'sec-fetch-site': 'cross-site' },
  ];
  return [
    ...all.flatMap(({ method, path }) =>
      foreign.map((headers) => ({
        ...{
          what: JSON.stringify(headers),
          method,
          path: withIds(path, knownJob),
          headers: { ...json, ...headers },
        },
        ...(method === 'GET' ? {} : { body: '{}' }),
        mustRefuse: true,
      })),
    ),
    ...paths.flatMap((path) =>
      ['DELETE', 'PATCH', 'PROPFIND', 'TRACE']
        .filter((method) => !all.some((r) => r.path === path && r.method === method))
        .map((method) => ({
          what: method,
          method,
          path: withIds(path, knownJob),
          headers: {},
          mustRefuse: true,
        })),
    ),
    ...['/', '/administration', '/drive-types', '/jobs/new', `/jobs/${knownJob}`].map((path) => ({
      ...{ what: 'a page under a foreign name', method: 'GET', path, headers: { host: 'evil.example' } },
      mustRefuse: true,
    })),
    ...ids.flatMap((id) =>
      [`/jobs/${id}`, `/jobs/${knownJob}/${id}`, `/catalogue/${id}`, `/${id}`].map((path) => ({
        ...{ what: 'a page of nothing', method: 'GET', path, headers: {}, mustRefuse: false },
      })),
    ),
  ];
}

function addressRequests(all: readonly FoundRoute[]): HostileRequest[] {
  return all.flatMap(({ method, path, says }) => {
    const body = method === 'GET' ? {} : { body: '{}' };
    const varies = path.includes('[');
    return [
      ...(varies
        ? ids.map((id) => ({
            ...{ what: `id ${id.slice(0, 30)}`, method, path: withIds(path, id), headers: json, ...body },
            mustRefuse: id !== knownJob,
          }))
        : []),
      ...(method === 'GET'
        ? queries.map((query) => ({
            ...{
              what: `query ${query.slice(0, 30)}`,
              method,
              path: withIds(path, knownJob) + query,
              headers: {},
            },
            mustRefuse: says?.query === undefined ? false : refusesQuery(says.query, query),
          }))
        : []),
      ...(says?.may === undefined
        ? []
        : [
            {
              ...{ what: 'a cookie of nobody', method, path: withIds(path, knownJob), ...body },
              headers: { ...json, cookie: 'grim_person=../../x; grim_person=%00; =;;' },
              mustRefuse: true,
            },
          ]),
    ];
  });
}

function refusesQuery(schema: z.ZodType, query: string): boolean {
  const asked = Object.fromEntries(new URLSearchParams(query.slice(1)));
  return !schema.safeParse(asked).success;
}

/** All of them, in one order. @param seed which spoilt bodies are made */
export function hostileRequests(seed = 20261130): HostileRequest[] {
  const random = seeded(seed);
  const all = routes();
  return [
    ...all.flatMap((route) => (route.says === undefined ? [] : jsonRequests(route, route.says, random))),
    ...entryRequests(random),
    ...verbRequests(random),
    ...rawBodies.flatMap(([what, body]) =>
      ['/api/v1/blobs', '/api/v1/archives'].map((path) => ({
        ...{ what, method: 'POST', path, headers: { 'content-type': 'image/jpeg' }, body, mustRefuse: true },
      })),
    ),
    ...addressRequests(all),
    ...strangeRequests(all),
  ];
}

/** Routes with a body of which nothing is known here: each needs its own way to be spoilt. */
export const uncovered = (): string[] =>
  routes()
    .filter((r) => r.method !== 'GET' && r.says?.body === undefined)
    .map((r) => `${r.method} ${r.path}`);
