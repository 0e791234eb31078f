import { openApi } from '@/api/openapi';
import { guardedRoute, jsonAnswer } from '@/server/http/guard';
import { verbExamples } from '@/server/verbs/examples';

let written: unknown;

/** The document is the same as long as the server runs: it is made once. */
export const GET = guardedRoute(() =>
  Promise.resolve(jsonAnswer((written ??= openApi('1', verbExamples())))),
);
