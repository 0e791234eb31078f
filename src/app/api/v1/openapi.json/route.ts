import { openApi } from '@/core/verbs';
import { guardedRoute, jsonAnswer } from '@/server/http/guard';

export const GET = guardedRoute(async () => jsonAnswer(openApi('1')));
