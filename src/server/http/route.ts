import {
  contract,
  type AnswerOf,
  type ParamsOf,
  type ParsedBodyOf,
  type QueryOf,
  type Route,
  type RouteKey,
} from '../../api/contract';
import type { Person } from '../../core/logbook';
import { personOf } from '../people/asking';
import { guardedRoute, HttpError, jsonAnswer, jsonBody, readBy } from './guard';

/** What a handler gets: everything parsed by the route's schemas. */
export interface Asked<K extends RouteKey> {
  params: Record<ParamsOf<K>, string>;
  query: QueryOf<K>;
  body: ParsedBodyOf<K>;
  /** Who is at the tablet. */
  person: () => Promise<Person>;
  request: Request;
}

const mayAsk = ({ role }: Person, wanted: 'technician' | 'lead'): boolean =>
  wanted === 'lead' ? role === 'lead' : role !== 'apprentice';

/**
 * A JSON route of the contract: checks who asks, parses query and body, and answers what the contract says.
 * @param headers of a success
 */
export const jsonRoute = <K extends RouteKey>(
  key: K,
  handle: (asked: Asked<K>) => Promise<AnswerOf<K>>,
  headers: Record<string, string> = {},
) =>
  guardedRoute(async (request: Request, context: { params: Promise<Record<string, string>> }) => {
    const route: Route = contract[key];
    const { body: bodySchema, heaviest = 0, query: querySchema, may, status = 200 } = route;
    if (may !== undefined && !mayAsk(await personOf(request), may.role))
      throw new HttpError(403, may.refusal);
    const search = Object.fromEntries(new URL(request.url).searchParams);
    const query: unknown = querySchema === undefined ? undefined : readBy(querySchema, search);
    const body: unknown =
      bodySchema === undefined ? undefined : await jsonBody(request, bodySchema, heaviest);
    // The schemas are those of this key: what they made has its types.
    const person = () => personOf(request);
    const asked = { params: await context.params, query, body, person, request } as Asked<K>;
    return jsonAnswer(await handle(asked), { status, headers });
  });
