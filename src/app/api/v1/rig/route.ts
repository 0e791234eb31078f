import { jsonRoute } from '@/server/http/route';
import { askSimulator, withFiles } from '@/server/simulator/rig';

export const dynamic = 'force-dynamic';

/** What is set on the rig of the simulated drive, and what the drive shows. */
export const GET = jsonRoute('GET /api/v1/rig', async ({ person }) => askSimulator(null, await person()));

/** One order to the rig. */
export const POST = jsonRoute('POST /api/v1/rig', async ({ body, person }) =>
  askSimulator(JSON.stringify(await withFiles(body)), await person()),
);
