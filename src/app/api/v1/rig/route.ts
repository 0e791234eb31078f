import { guardedRoute } from '@/server/http/border';
import { askSimulator } from '@/server/simulator/rig';

export const dynamic = 'force-dynamic';

/** What is set on the rig of the simulated drive, and what the drive shows. */
export const GET = guardedRoute(async () => Response.json(await askSimulator(null)));

/** One order to the rig. */
export const POST = guardedRoute(async (request) => Response.json(await askSimulator(await request.text())));
