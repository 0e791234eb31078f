import { sheetRows } from '@/core/job/static-sheet';
import { documentRoute } from '@/server/documents/document-route';
import { loadStaticSheet } from '@/server/documents/static-sheet';

/** The static-test sheet as PDF, JSON or CSV. */
export const GET = documentRoute('static-test', {
  load: loadStaticSheet,
  heads: ['red', 'black', 'value_V', 'earlier_V', 'expected_V', 'state', 'taken_at', 'by'],
  rows: sheetRows,
  content: (sheet) => sheet,
});
