import { paperRoute } from '@/server/documents/document-route';
import { powerPaper, powerPaperPdf } from '@/server/documents/first-power';

/** The first-power plan of a job, as PDF, JSON or CSV (its bus curve). */
export const GET = paperRoute('first-power', {
  gather: powerPaper,
  rows: (paper) => paper.expected,
  pdf: powerPaperPdf,
});
