import { sheetRows } from '@/core/job/static-sheet';
import { documentRoute } from '@/server/documents/document-route';
import { loadStaticSheet } from '@/server/documents/static-sheet';

/** The static-test sheet as PDF, JSON or CSV. */
export const GET = documentRoute('static-test', {
  load: loadStaticSheet,
  rows: sheetRows,
  content: (sheet) => sheet,
});
