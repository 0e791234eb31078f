import { paperRoute } from '@/server/paper-route';
import { startUpOfJob, startUpPdf } from '@/server/start-up';

/** The start-up sheet as PDF, JSON or CSV. */
export const GET = paperRoute('start-up', {
  gather: startUpOfJob,
  rows: (sheet) => sheet.rows,
  pdf: startUpPdf,
});
