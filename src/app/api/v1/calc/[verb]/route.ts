import { bodyText, guardedRoute, jsonAnswer } from '@/server/http/guard';
import { personOf } from '@/server/people/asking';
import { calc } from '@/server/verbs/calc-pool';

const heaviest = 8 * 1024 * 1024;

/** One headless computation: the same schemas and answers as `./grim calc`. */
export const POST = guardedRoute(async (request, { params }: { params: Promise<{ verb: string }> }) => {
  const text = await bodyText(request, heaviest);
  const { status, body } = await calc((await params).verb, text, (await personOf(request)).id);
  return jsonAnswer(body, { status });
});
