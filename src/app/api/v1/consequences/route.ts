import { consequences, setConsequences } from '@/server/administration/settings';
import { jsonRoute } from '@/server/http/route';

export const GET = jsonRoute('GET /api/v1/consequences', async () => ({
  consequences: await consequences(),
}));

/** The shop lead writes down what the shop has seen. */
export const PUT = jsonRoute('PUT /api/v1/consequences', async ({ body }) => {
  await setConsequences(body);
  return { consequences: await consequences() };
});
