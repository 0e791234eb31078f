import { paperRoute } from '@/server/documents/document-route';
import { startUpOfJob, startUpPdf } from '@/server/documents/start-up-sheet';

/** The start-up sheet as PDF, JSON or CSV. */
export const GET = paperRoute('start-up', {
  gather: startUpOfJob,
  rows: (sheet) => sheet.rows,
  pdf: startUpPdf,
});
