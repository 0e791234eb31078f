import { openApi } from '@/core/verbs';
import { guardedRoute } from '@/server/http/border';

export const GET = guardedRoute(async () => Response.json(openApi('1')));
