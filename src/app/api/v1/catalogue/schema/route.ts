import { publishedSchemas } from '@/core/equipment/catalogue/schema';
import { guardedRoute, jsonAnswer } from '@/server/http/guard';

/** JSON Schema of type.json and control.json. */
export const GET = guardedRoute(() => Promise.resolve(jsonAnswer(publishedSchemas())));
