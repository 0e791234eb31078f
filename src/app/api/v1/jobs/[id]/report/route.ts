import { paperRoute } from '@/server/documents/document-route';
import { reportOfJob, reportPdf } from '@/server/documents/report';

/** The job report as PDF, JSON, or its record as CSV. */
export const GET = paperRoute('report', {
  gather: reportOfJob,
  rows: (report) =>
    report.record.flatMap((part) => [
      ...part.lines.map((text) => ({ part: part.title, text })),
      ...(part.table?.rows ?? []).map((row) => ({ part: part.title, text: row.join(' | ') })),
    ]),
  pdf: reportPdf,
});
