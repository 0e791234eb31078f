import { openApi } from '@/core/verbs';
import { guarded } from '@/server/http/border';

export const GET = guarded(async () => Response.json(openApi('1')));
