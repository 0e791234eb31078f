import { openApi } from '@/api/openapi';
import { guardedRoute, jsonAnswer } from '@/server/http/guard';
import { verbExamples } from '@/server/verbs/examples';

export const GET = guardedRoute(() => Promise.resolve(jsonAnswer(openApi('1', verbExamples()))));
