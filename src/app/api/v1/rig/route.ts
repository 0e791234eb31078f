import { guarded } from '@/server/http/border';
import { rig } from '@/server/simulator/rig';

export const dynamic = 'force-dynamic';

/** What is set on the rig of the simulated drive, and what the drive shows. */
export const GET = guarded(async () => Response.json(await rig(null)));

/** One order to the rig. */
export const POST = guarded(async (request) => Response.json(await rig(await request.text())));
