import { documentRoute } from '@/server/documents/document-route';
import { drillingOf, drillingRows } from '@/server/documents/replacement';

/** The drilling template true to scale, or hole coordinates as JSON or CSV. */
export const GET = documentRoute('drilling', {
  load: drillingOf,
  rows: drillingRows,
  content: (template) => template,
});
