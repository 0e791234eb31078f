import { documentRoute } from '@/server/documents/document-route';
import { drillingOf, drillingRows } from '@/server/documents/replacement';

/** The drilling template true to scale, or hole coordinates as JSON or CSV. */
export const GET = documentRoute('drilling', {
  load: drillingOf,
  heads: ['hole', 'x_mm', 'y_mm', 'screw_mm', 'old_hole'],
  rows: drillingRows,
  content: (template) => template,
});
