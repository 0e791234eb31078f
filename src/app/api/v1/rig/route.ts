import { jsonRoute } from '@/server/http/route';
import { askSimulator } from '@/server/simulator/rig';

export const dynamic = 'force-dynamic';

/** What is set on the rig of the simulated drive, and what the drive shows. */
export const GET = jsonRoute('GET /api/v1/rig', () => askSimulator(null));

/** One order to the rig. */
export const POST = jsonRoute('POST /api/v1/rig', ({ body }) => askSimulator(JSON.stringify(body)));
