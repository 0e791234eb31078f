import { paperRoute } from '@/server/paper-route';
import { drillingOf, drillingPdf, drillingRows } from '@/server/swap-papers';

/** The drilling template true to scale, or hole coordinates as JSON or CSV. */
export const GET = paperRoute('drilling', { gather: drillingOf, rows: drillingRows, pdf: drillingPdf });
