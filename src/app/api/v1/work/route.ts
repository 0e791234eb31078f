import { printLoad } from '@/server/documents/print';
import { jsonRoute } from '@/server/http/route';

export const dynamic = 'force-dynamic';

/** How many papers wait to be printed. */
export const GET = jsonRoute('GET /api/v1/work', async () => ({ waiting: printLoad().waiting }));
