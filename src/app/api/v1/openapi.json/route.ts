import { openApi } from '@/core/verbs';
import { guardedRoute, jsonAnswer } from '@/server/http/border';

export const GET = guardedRoute(async () => jsonAnswer(openApi('1')));
