import { documentRoute } from '@/server/documents/document-route';
import { loadStartUpSheet } from '@/server/documents/start-up-sheet';

/** The start-up sheet as PDF, JSON or CSV. */
export const GET = documentRoute('start-up', {
  load: loadStartUpSheet,
  rows: (sheet) => sheet.rows,
  content: (sheet) => sheet,
});
