import { documentRoute } from '@/server/documents/document-route';
import { loadStartUpSheet } from '@/server/documents/start-up-sheet';

/** The start-up sheet as PDF, JSON or CSV. */
export const GET = documentRoute('start-up', {
  load: loadStartUpSheet,
  heads: ['number', 'name', 'value', 'state', 'in_drive', 'rule', 'sum', 'reason', 'warnings'],
  rows: (sheet) => sheet.rows,
  content: (sheet) => sheet,
});
