import { publishedSchemas } from '@/core/equipment/catalogue/schema';
import { guarded } from '@/server/http/border';

/** JSON Schema of type.json and control.json. */
export const GET = guarded(() => Promise.resolve(Response.json(publishedSchemas())));
