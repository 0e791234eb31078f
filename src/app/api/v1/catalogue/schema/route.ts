import { publishedSchemas } from '@/core/equipment/catalogue/schema';
import { guardedRoute } from '@/server/http/border';

/** JSON Schema of type.json and control.json. */
export const GET = guardedRoute(() => Promise.resolve(Response.json(publishedSchemas())));
