import type { AnswerOf, ApiError, BodyOf, ParamsOf, QueryOf, RouteKey } from '@/api/contract';

/**
 * An answer of the server, or why there is none. `status` 0: the server was not reached; `retryAfter_s`: it asked to be left
 * alone for so long.
 */
export type Called<K extends RouteKey> =
  { ok: true; value: AnswerOf<K> } | ({ ok: false; status: number; retryAfter_s: number | null } & ApiError);

type Wanted<K extends RouteKey> = (ParamsOf<K> extends never
  ? { params?: undefined }
  : { params: Record<ParamsOf<K>, string> }) &
  (QueryOf<K> extends undefined ? { query?: undefined } : { query: Partial<QueryOf<K>> }) &
  (BodyOf<K> extends undefined ? { body?: undefined } : { body: BodyOf<K> }) & {
    /** A file, where the route takes one. */
    file?: Blob;
    signal?: AbortSignal;
  };

const isApiError = (body: unknown): body is Partial<ApiError> & { error: string } =>
  typeof body === 'object' && body !== null && 'error' in body && typeof body.error === 'string';

function pathOf(path: string, params: Readonly<Record<string, string>>, query: object): string {
  const filled = path.replace(/:(\w+)/g, (_, name: string) => encodeURIComponent(params[name] ?? ''));
  const search = new URLSearchParams(
    Object.entries(query).map(([key, value]): [string, string] => [key, String(value)]),
  ).toString();
  return search === '' ? filled : `${filled}?${search}`;
}

const unreachable = {
  ok: false,
  status: 0,
  error: 'The server does not answer.',
  problems: [],
  retryAfter_s: null,
} as const;

/** Seconds, or until a date by the server's own clock. */
function retryAfterOf(headers: Headers): number | null {
  const said = headers.get('retry-after');
  if (said === null) return null;
  if (/^\d+$/.test(said)) return Number(said);
  const seconds = (Date.parse(said) - Date.parse(headers.get('date') ?? '')) / 1000;
  return Number.isFinite(seconds) ? Math.max(0, seconds) : null;
}

/**
 * Asks the server. Never throws: what went wrong is in the answer; an aborted call looks like a server
 * that was not reached.
 */
export async function call<K extends RouteKey>(key: K, wanted: Wanted<K>): Promise<Called<K>> {
  const [method = 'GET', path = ''] = key.split(' ');
  const {
    params = {},
    query = {},
    body,
    file,
    signal,
  }: {
    params?: Readonly<Record<string, string>>;
    query?: object;
    body?: unknown;
    file?: Blob;
    signal?: AbortSignal;
  } = wanted;
  try {
    const answer = await fetch(pathOf(path, params, query), {
      method,
      ...(body === undefined
        ? {}
        : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
      ...(file === undefined ? {} : { body: file }),
      ...(signal === undefined ? {} : { signal }),
    });
    // A refusal that is no JSON is one all the same: its status says what it means.
    const said: unknown = answer.ok ? await answer.json() : await answer.json().catch(() => null);
    // The server is held to the contract by the same types.
    if (answer.ok) return { ok: true, value: said as AnswerOf<K> };
    const { status } = answer;
    const refusal = isApiError(said) ? said : { error: 'The server refused this.' };
    return { ok: false, status, problems: [], retryAfter_s: retryAfterOf(answer.headers), ...refusal };
  } catch {
    return unreachable;
  }
}

/** A file that the server made, under the name it gave, or why there is none. */
export type FileCalled =
  { ok: true; name: string; content: Blob } | { ok: false; status: number; error: string };

const nameIn = (disposition: string | null): string =>
  /filename="([^"]+)"/.exec(disposition ?? '')?.[1] ?? 'file';

/** Fetches a file. Never throws, as `call`. */
export async function callFile(path: string, signal: AbortSignal): Promise<FileCalled> {
  try {
    const answer = await fetch(path, { signal });
    if (answer.ok)
      return {
        ok: true,
        name: nameIn(answer.headers.get('content-disposition')),
        content: await answer.blob(),
      };
    const said: unknown = await answer.json().catch(() => null);
    const { error } = isApiError(said) ? said : { error: 'The server refused this.' };
    return { ok: false, status: answer.status, error };
  } catch {
    return unreachable;
  }
}
