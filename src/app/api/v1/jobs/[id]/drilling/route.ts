import { paperRoute } from '@/server/documents/document-route';
import { drillingOf, drillingPdf, drillingRows } from '@/server/documents/replacement';

/** The drilling template true to scale, or hole coordinates as JSON or CSV. */
export const GET = paperRoute('drilling', { gather: drillingOf, rows: drillingRows, pdf: drillingPdf });
