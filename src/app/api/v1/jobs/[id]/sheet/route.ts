import { sheetRows } from '@/core/job/static-sheet';
import { documentRoute } from '@/server/documents/document-route';
import { loadStaticSheet, sheetPdf } from '@/server/documents/static-sheet';

/** The static-test sheet as PDF, JSON or CSV. */
export const GET = documentRoute('static-test', { load: loadStaticSheet, rows: sheetRows, pdf: sheetPdf });
